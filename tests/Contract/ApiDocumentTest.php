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
            if (($node['type'] ?? null) === 'object' && isset($node['properties']) && ($node['additionalProperties'] ?? null) !== false) {
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
}
