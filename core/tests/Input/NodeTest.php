<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Input;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use VividPull\Core\Errors\BadFile;
use VividPull\Core\Input\Node;
use VividPull\Core\Quantity\Steps;
use VividPull\Core\Spec\Policy;

final class NodeTest extends TestCase
{
    public function test_what_is_right_is_handed_on(): void
    {
        $node = Node::fromJson(
            '{"name": "perch", "turns": 1.5, "flats": 3, "off": true, "list": [1, 2], "policy": "loose", "none": null}',
        );
        self::assertSame('perch', $node->at('name')->string());
        self::assertSame(1.5, $node->at('turns')->number(0, 2));
        self::assertSame(3.0, $node->at('flats')->number(0, 5));
        self::assertSame(3, $node->at('flats')->integer(0, 5));
        self::assertTrue($node->at('off')->boolean());
        self::assertSame(Policy::Loose, $node->at('policy')->enum(Policy::class));
        self::assertCount(2, $node->at('list')->items(2));
        self::assertFalse($node->has('none'), 'null is as good as nothing');
        self::assertNull($node->optionalString('none'));
    }

    public function test_paths_lead_to_the_place(): void
    {
        $node = Node::fromJson('{"log": [{"body": {"mm": 1}}]}');
        self::assertSame('$.log[0].body.mm', $node->at('log')->items(9)[0]->at('body')->at('mm')->path);
    }

    /** @return iterable<string, array{string, callable(Node): mixed, string}> */
    public static function wrong(): iterable
    {
        yield 'text where a number belongs' => [
            '"ten"',
            static fn (Node $n): float => $n->number(0, 1),
            '$: “"ten"” is not a number.',
        ];
        yield 'a number where text belongs' => [
            '10',
            static fn (Node $n): string => $n->string(),
            '$: “10” is not text.',
        ];
        yield 'a fraction where a count belongs' => [
            '1.5',
            static fn (Node $n): int => $n->integer(0, 9),
            '$: “1.5” is not a whole number.',
        ];
        yield 'text where yes or no belongs' => [
            '"yes"',
            static fn (Node $n): bool => $n->boolean(),
            '$: “"yes"” is not true or false.',
        ];
        yield 'a list where an object belongs' => [
            '[1]',
            static fn (Node $n): Node => $n->object(['a']),
            'is not an object.',
        ];
        yield 'an object where a list belongs' => [
            '{"a": 1}',
            static fn (Node $n): array => $n->items(9),
            'is not a list',
        ];
        yield 'below the least' => [
            '-1',
            static fn (Node $n): float => $n->number(0, 9),
            '$: -1 is not between 0 and 9.',
        ];
        yield 'above the most' => [
            '10',
            static fn (Node $n): float => $n->number(0, 9),
            '$: 10 is not between 0 and 9.',
        ];
        yield 'beyond any number' => ['1e999', static fn (Node $n): float => $n->number(0, 9), '$: '];
        yield 'a count above the most' => [
            '99',
            static fn (Node $n): int => $n->integer(0, 9),
            '$: 99 is not between 0 and 9.',
        ];
        yield 'no text in the text' => [
            '"  "',
            static fn (Node $n): string => $n->string(),
            '$: this is empty; write something.',
        ];
        yield 'more text than is kept' => [
            '"abcdef"',
            static fn (Node $n): string => $n->string(5),
            '$: this is 6 characters; at most 5 are kept.',
        ];
        yield 'a key that is missing' => [
            '{}',
            static fn (Node $n): Node => $n->object(['mm']),
            '$: the key “mm” is missing.',
        ];
        yield 'a key that is not known' => [
            '{"inches": 1}',
            static fn (Node $n): Node => $n->object([], ['mm']),
            '$: the key “inches” is not known here. Known are: mm.',
        ];
        yield 'a word that is not on the list' => [
            '"tight"',
            static fn (Node $n): mixed => $n->enum(Policy::class),
            '$: “tight” is not one of: middle, crisp, loose.',
        ];
        yield 'more than fit' => ['[1, 2, 3]', static fn (Node $n): array => $n->items(2), '$: '];
        yield 'an id of digits' => [
            '"12"',
            static fn (Node $n): string => $n->id(),
            '$: an id of digits only is a number; begin “12” with a letter.',
        ];
        yield 'a name of digits' => [
            '{"12": 1, "x": 2}',
            static fn (Node $n): array => $n->entries(),
            '$: the key “12” is a number; names begin with a letter.',
        ];
        yield 'what the core refuses, with the path before it' => [
            '0.1234',
            static fn (Node $n): mixed => $n->making(static fn (): Steps => Steps::exactly($n->number(0, 1))),
            '$: ',
        ];
    }

    /** @param  callable(Node): mixed  $read */
    #[DataProvider('wrong')]
    public function test_what_is_wrong_is_said_with_its_path(string $json, callable $read, string $sentence): void
    {
        try {
            $read(Node::fromJson($json));
            self::fail('It was read.');
        } catch (BadFile $refused) {
            self::assertStringContainsString($sentence, $refused->getMessage());
            self::assertSame('$', $refused->path);
        }
    }

    public function test_outside_text_is_cut_before_it_is_repeated(): void
    {
        try {
            Node::of(str_repeat('x', 5000))->number(0, 1);
            self::fail('It was read.');
        } catch (BadFile $refused) {
            self::assertLessThan(140, mb_strlen($refused->getMessage()));
        }
    }

    public function test_what_is_nested_without_end_is_not_json(): void
    {
        $this->expectException(BadFile::class);
        Node::fromJson(str_repeat('[', 500).str_repeat(']', 500));
    }
}
