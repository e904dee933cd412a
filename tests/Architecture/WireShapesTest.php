<?php

declare(strict_types=1);

namespace Tests\Architecture;

use LogicException;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use VividPull\Core\Spec\Wheels;

/** What a codec declares is what the document says. */
final class WireShapesTest extends TestCase
{
    /** @return iterable<string, array{string, array<string, mixed>}> */
    public static function types(): iterable
    {
        $ref = static fn (string $name): array => ['$ref' => "#/components/schemas/{$name}"];
        yield 'text' => ['string', ['type' => 'string']];
        yield 'a number or none' => ['float|null', ['type' => ['number', 'null']]];
        yield 'a day' => ['Day|null', ['type' => ['string', 'null'], 'format' => 'date']];
        yield 'within bounds' => ['int<2, 9>', ['type' => 'integer', 'minimum' => 2, 'maximum' => 9]];
        yield 'no less than' => ['int<0, max>', ['type' => 'integer', 'minimum' => 0]];
        yield 'one of the values of an enum' => ['value-of<Wheels>', $ref('Wheels')];
        yield 'another shape, or none' => ['OtherShape|null', ['anyOf' => [$ref('Other'), ['type' => 'null']]]];
        yield 'some' => ['list<OtherShape>', ['type' => 'array', 'items' => $ref('Other')]];
        yield 'anything by name' => ['array<string, mixed>', ['type' => 'object', 'additionalProperties' => []]];
        yield 'a shape within, of which one may be left out' => ['array{a: bool, b?: int}', [
            'type' => 'object',
            'required' => ['a'],
            'properties' => ['a' => ['type' => 'boolean'], 'b' => ['type' => 'integer']],
            'additionalProperties' => false,
        ]];
    }

    /** @param  array<string, mixed>  $schema */
    #[DataProvider('types')]
    public function test_a_type_has_its_schema(string $type, array $schema): void
    {
        $made = self::declared("array{\n *     // What it is,\n *     // said above it.\n *     it: {$type},\n * }")['One'];
        self::assertSame('What one is about.', $made['description']);
        self::assertSame(['it'], $made['required']);
        self::assertFalse($made['additionalProperties']);
        self::assertEquals(
            ['it' => $schema + ['description' => 'What it is, said above it.']],
            json_decode((string) json_encode($made['properties']), true),
        );
    }

    #[DataProvider('unknown')]
    public function test_what_has_no_schema_is_refused(string $type): void
    {
        $this->expectException(LogicException::class);
        $this->expectExceptionMessage('has no');
        self::declared("array{it: {$type}}");
    }

    /** @return iterable<string, array{string}> */
    public static function unknown(): iterable
    {
        yield 'one of two' => ['string|int'];
        yield 'a class' => ['DateTime'];
        yield 'an enum that the document does not list' => ['value-of<Pose>'];
    }

    /** @return array<string, array<string, mixed>> of a codec that declares one shape */
    private static function declared(string $shape): array
    {
        $class = 'Codec'.md5($shape);
        $file = (string) tempnam(sys_get_temp_dir(), 'shape');
        file_put_contents($file, "<?php\nnamespace Tests\\Architecture\\Made;\n\nuse VividPull\\Core\\Spec\\Wheels;\n\n/**\n * What one is\n * about.\n *\n"
            ." * @phpstan-type Day string\n * @phpstan-type OneShape {$shape}\n */\nfinal class {$class} {}\n");
        try {
            require_once $file;
            /** @var class-string $codec */
            $codec = "Tests\\Architecture\\Made\\{$class}";

            return WireShapes::of([$codec], [Wheels::class => 'Wheels']);
        } finally {
            unlink($file);
        }
    }
}
