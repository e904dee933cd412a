<?php

declare(strict_types=1);

namespace Tests\Contract;

use PHPUnit\Framework\TestCase;
use Tests\Support\Contract;

/** Runs after the feature tests: what the API document promises, they must have met. */
final class ApiDocumentTest extends TestCase
{
    public function test_every_operation_and_status_was_met(): void
    {
        self::assertSame([], Contract::unmet(), 'No test met these. Run the whole feature suite.');
    }

    public function test_every_object_is_closed(): void
    {
        $open = [];
        $walk = static function (mixed $node, string $path) use (&$walk, &$open): void {
            if (! is_array($node)) {
                return;
            }
            if (
                ($node['type'] ?? null) === 'object'
                && isset($node['properties'])
                && ($node['additionalProperties'] ?? null) !== false
            ) {
                $open[] = $path;
            }
            foreach ($node as $key => $child) {
                $walk($child, "{$path}/{$key}");
            }
        };
        $walk(Contract::document()['components'], '');
        self::assertSame([], $open);
        self::assertSame('3.1.0', Contract::document()['openapi']);
    }

    public function test_every_list_of_words_is_the_enum_it_names(): void
    {
        $named = array_filter(
            Contract::document()['components']['schemas'],
            static fn (array $schema): bool => isset($schema['x-enum']),
        );
        self::assertGreaterThan(30, count($named));
        foreach ($named as $name => $schema) {
            self::assertSame(
                array_column($schema['x-enum']::cases(), 'value'),
                $schema['enum'],
                "{$name}: run bin/contract.",
            );
        }
    }

    public function test_no_list_of_the_core_is_written_down_a_second_time(): void
    {
        $lists = [];
        foreach (Contract::document()['components']['schemas'] as $schema) {
            if (isset($schema['x-enum'])) {
                $lists[$schema['x-enum']] = self::sorted($schema['enum']);
            }
        }
        $again = [];
        $walk = static function (mixed $node, string $path) use (&$walk, &$again, $lists): void {
            if (is_array($node)) {
                if (
                    is_array($node['enum'] ?? null)
                    && ! isset($node['x-enum'])
                    && in_array(self::sorted($node['enum']), $lists, true)
                ) {
                    $again[] = $path;
                }
                foreach ($node as $key => $child) {
                    $walk($child, "{$path}/{$key}");
                }
            }
        };
        $walk(Contract::document(), '');
        self::assertSame([], $again);
    }

    /**
     * @param  array<mixed>  $values
     * @return list<mixed>
     */
    private static function sorted(array $values): array
    {
        $values = array_values(array_filter($values, is_string(...)));
        sort($values);

        return $values;
    }
}
