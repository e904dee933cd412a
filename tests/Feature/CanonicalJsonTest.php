<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Chain\CanonicalJson;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** RFC 8785, appendix B (numbers by their IEEE 754 bits) and section 3.2.3 (order of keys), the values from memory. */
final class CanonicalJsonTest extends TestCase
{
    /** @return iterable<string, array{string, string}> */
    public static function numbers(): iterable
    {
        yield 'zero' => ['0000000000000000', '0'];
        yield 'minus zero' => ['8000000000000000', '0'];
        yield 'the smallest' => ['0000000000000001', '5e-324'];
        yield 'the smallest below zero' => ['8000000000000001', '-5e-324'];
        yield 'the largest' => ['7fefffffffffffff', '1.7976931348623157e+308'];
        yield 'beyond whole numbers' => ['4340000000000001', '9007199254740994'];
        yield 'just under ten to the 23rd' => ['44b52d02c7e14af5', '9.999999999999997e+22'];
        yield 'ten to the 23rd' => ['44b52d02c7e14af6', '1e+23'];
        yield 'just over it' => ['44b52d02c7e14af7', '1.0000000000000001e+23'];
        yield 'the last without an exponent' => ['444b1ae4d6e2ef4f', '999999999999999900000'];
        yield 'the first with one' => ['444b1ae4d6e2ef50', '1e+21'];
        yield 'just under a millionth' => ['3eb0c6f7a0b5ed8c', '9.999999999999997e-7'];
        yield 'a millionth' => ['3eb0c6f7a0b5ed8d', '0.000001'];
        yield 'thirds' => ['41b3de4355555553', '333333333.3333332'];
        yield 'a fraction below one' => ['becbf647612f3696', '-0.0000033333333333333333'];
        yield 'sixteen digits' => ['43143ff3c1cb0959', '1424953923781206.2'];
    }

    #[DataProvider('numbers')]
    public function test_numbers_are_written_as_the_standard_has_them(string $bits, string $text): void
    {
        $number = unpack('E', (string) hex2bin($bits));
        self::assertIsArray($number);
        self::assertSame($text, CanonicalJson::of($number[1]));
    }

    public function test_keys_stand_in_the_order_of_their_code_units(): void
    {
        $json = '{"\u20ac":"Euro","\r":"CR","\ufb33":"Dalet","1":"One","\ud83d\ude00":"Emoji","\u0080":"Control","\u00f6":"o"}';
        $keys = array_keys((array) json_decode(CanonicalJson::of(json_decode($json)), true));
        self::assertSame(["\r", 1, "\u{80}", 'ö', '€', "\u{1F600}", "\u{FB33}"], $keys);
    }

    public function test_nothing_of_how_it_was_written_is_left(): void
    {
        self::assertSame(
            '{"a":[1,4.5,null,true,{}],"b":"é/\n"}',
            CanonicalJson::of(json_decode("{ \"b\" : \"\\u00e9\\/\\n\",\n \"a\":[1.0, 4.50,null , true,{}] }")),
        );
        $value = ['x' => 0.1 + 0.2, 'list' => [], 'map' => (object) []];
        self::assertSame(CanonicalJson::of($value), CanonicalJson::of(json_decode((string) json_encode($value))));
    }
}
