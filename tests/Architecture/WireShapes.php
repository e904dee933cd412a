<?php

declare(strict_types=1);

namespace Tests\Architecture;

use LogicException;
use PHPStan\PhpDocParser\Ast\Attribute;
use PHPStan\PhpDocParser\Ast\Comment;
use PHPStan\PhpDocParser\Ast\ConstExpr\ConstExprIntegerNode;
use PHPStan\PhpDocParser\Ast\PhpDoc\PhpDocNode;
use PHPStan\PhpDocParser\Ast\PhpDoc\PhpDocTextNode;
use PHPStan\PhpDocParser\Ast\Type\ArrayShapeItemNode;
use PHPStan\PhpDocParser\Ast\Type\ArrayShapeNode;
use PHPStan\PhpDocParser\Ast\Type\ConstTypeNode;
use PHPStan\PhpDocParser\Ast\Type\GenericTypeNode;
use PHPStan\PhpDocParser\Ast\Type\IdentifierTypeNode;
use PHPStan\PhpDocParser\Ast\Type\TypeNode;
use PHPStan\PhpDocParser\Ast\Type\UnionTypeNode;
use PHPStan\PhpDocParser\Lexer\Lexer;
use PHPStan\PhpDocParser\Parser\ConstExprParser;
use PHPStan\PhpDocParser\Parser\PhpDocParser;
use PHPStan\PhpDocParser\Parser\TokenIterator;
use PHPStan\PhpDocParser\Parser\TypeParser;
use PHPStan\PhpDocParser\ParserConfig;
use ReflectionClass;

/**
 * What the core's codecs write, as schemas of the API document: each `@phpstan-type NameShape` of theirs is the schema
 * `Name`. Static analysis holds the codecs to these types, and the tests every answer to the document.
 */
final class WireShapes
{
    private const SUFFIX = 'Shape';

    /** What text of a kind of its own is called in a shape. */
    private const FORMATS = ['Day' => 'date', 'Moment' => 'date-time', 'Uuid' => 'uuid'];

    private const SCALARS = ['string' => 'string', 'int' => 'integer', 'float' => 'number', 'bool' => 'boolean'];

    /**
     * @param  array<class-string, string>  $enums  the schema of each
     * @param  array<string, string>  $uses  classes by their short names, in the file that is read
     */
    private function __construct(private readonly array $enums, private array $uses = []) {}

    /**
     * @param  list<class-string>  $codecs
     * @param  array<class-string, string>  $enums  the schema of each
     * @return array<string, array<string, mixed>> by name
     */
    public static function of(array $codecs, array $enums): array
    {
        $shapes = new self($enums);
        $schemas = [];
        foreach ($codecs as $codec) {
            $schemas += $shapes->declaredIn($codec);
        }

        return $schemas;
    }

    /**
     * @param  class-string  $codec
     * @return array<string, array<string, mixed>>
     */
    private function declaredIn(string $codec): array
    {
        $class = new ReflectionClass($codec);
        $doc = (string) $class->getDocComment();
        if (! str_contains($doc, '@phpstan-type ')) {
            return [];
        }
        preg_match_all('/^use ([\w\\\\]+\\\\(\w+));$/m', (string) file_get_contents((string) $class->getFileName()), $used);
        $this->uses = array_combine($used[2], $used[1]);
        $parsed = self::parsed($doc);
        $schemas = [];
        foreach ($parsed->getTypeAliasTagValues() as $alias) {
            if ($alias->type instanceof ArrayShapeNode && str_ends_with($alias->alias, self::SUFFIX)) {
                // The first shape of a codec is what the codec is about.
                $about = $schemas === [] ? ['description' => self::summary($parsed)] : [];
                $schemas[self::name($alias->alias)] = ['x-shape' => $codec, ...$about, ...$this->schema($alias->type)];
            }
        }

        return $schemas;
    }

    private static function summary(PhpDocNode $doc): string
    {
        $first = $doc->children[0] ?? null;

        return $first instanceof PhpDocTextNode ? (string) preg_replace('/\s+/', ' ', trim($first->text)) : '';
    }

    /** @return array<string, mixed> */
    private function schema(TypeNode $type): array
    {
        return match (true) {
            $type instanceof ArrayShapeNode => $this->object($type),
            $type instanceof UnionTypeNode => $this->orNull($type),
            $type instanceof GenericTypeNode => $this->generic($type),
            $type instanceof IdentifierTypeNode => self::named($type->name),
            default => throw new LogicException("{$type} has no schema."),
        };
    }

    /** @return array<string, mixed> nothing else may stand in it */
    private function object(ArrayShapeNode $shape): array
    {
        [$required, $properties] = [[], []];
        foreach ($shape->items as $item) {
            $key = (string) $item->keyName;
            $required = $item->optional ? $required : [...$required, $key];
            $said = self::said($item);
            $properties[$key] = $this->schema($item->valueType) + ($said === '' ? [] : ['description' => $said]);
        }

        return [
            'type' => 'object',
            'required' => $required,
            'properties' => $properties,
            'additionalProperties' => false,
        ];
    }

    /** What is written above a field. */
    private static function said(ArrayShapeItemNode $item): string
    {
        /** @var list<Comment> $comments */
        $comments = $item->keyName?->getAttribute(Attribute::COMMENTS) ?? [];

        return implode(' ', array_map(static fn (Comment $one): string => trim(substr($one->text, 2)), $comments));
    }

    /** @return array<string, mixed> */
    private function orNull(UnionTypeNode $union): array
    {
        $others = array_values(array_filter($union->types, static fn (TypeNode $one): bool => (string) $one !== 'null'));
        if (count($others) !== 1 || count($union->types) !== 2) {
            throw new LogicException("{$union} has no schema: one type, or one and null.");
        }
        $schema = $this->schema($others[0]);

        return in_array($schema['type'] ?? null, self::SCALARS, true)
            ? ['type' => [$schema['type'], 'null']] + $schema
            : ['anyOf' => [$schema, ['type' => 'null']]];
    }

    /** @return array<string, mixed> */
    private function generic(GenericTypeNode $type): array
    {
        $of = $type->genericTypes;

        return match ((string) $type->type) {
            'list' => ['type' => 'array', 'items' => $this->schema($of[0])],
            'array' => ['type' => 'object', 'additionalProperties' => (object) $this->schema($of[1])],
            'value-of' => self::ref($this->enums[$this->uses[(string) $of[0]] ?? ''] ?? throw new LogicException("{$of[0]} has no list of values in the document.")),
            'int' => ['type' => 'integer'] + self::bound('minimum', $of[0]) + self::bound('maximum', $of[1]),
            default => throw new LogicException("{$type} has no schema."),
        };
    }

    /** @return array<string, int> */
    private static function bound(string $key, TypeNode $at): array
    {
        return $at instanceof ConstTypeNode && $at->constExpr instanceof ConstExprIntegerNode
            ? [$key => (int) $at->constExpr->value]
            : [];
    }

    /** @return array<string, mixed> */
    private static function named(string $name): array
    {
        return match (true) {
            isset(self::SCALARS[$name]) => ['type' => self::SCALARS[$name]],
            isset(self::FORMATS[$name]) => ['type' => 'string', 'format' => self::FORMATS[$name]],
            $name === 'mixed' => [],
            str_ends_with($name, self::SUFFIX) => self::ref(self::name($name)),
            default => throw new LogicException("{$name} has no schema."),
        };
    }

    private static function name(string $alias): string
    {
        return substr($alias, 0, -strlen(self::SUFFIX));
    }

    /** @return array{'$ref': string} */
    private static function ref(string $schema): array
    {
        return ['$ref' => "#/components/schemas/{$schema}"];
    }

    private static function parsed(string $doc): PhpDocNode
    {
        $config = new ParserConfig(['comments' => true]);
        $constants = new ConstExprParser($config);

        return (new PhpDocParser($config, new TypeParser($config, $constants), $constants))
            ->parse(new TokenIterator((new Lexer($config))->tokenize($doc)));
    }
}
