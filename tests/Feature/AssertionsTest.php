<?php

declare(strict_types=1);

namespace Tests\Feature;

use PhpParser\Node;
use PhpParser\Node\Expr;
use PhpParser\NodeFinder;
use PHPUnit\Framework\TestCase;
use Tests\Support\Sources;

/** Every assertion can fail: none is about what it says itself, and none holds of something that is not there. */
final class AssertionsTest extends TestCase
{
    /** Assertions that a value in the place of a missing one passes as well as any. */
    private const PASSED_BY_NOTHING = [
        'assertLessThan',
        'assertLessThanOrEqual',
        'assertNotContains',
        'assertStringNotContainsString',
        'assertNotSame',
        'assertFalse',
        'assertEmpty',
    ];

    public function test_none_is_about_what_it_says_itself(): void
    {
        self::assertSame(
            [],
            self::found(
                static fn (Expr\StaticCall|Expr\MethodCall $call): bool => $call instanceof Expr\StaticCall
                    && $call->getArgs() !== []
                    && array_filter(
                        $call->getArgs(),
                        static fn (Node\Arg $arg): bool => ! self::isFixed($arg->value),
                    ) === [],
            ),
        );
    }

    public function test_none_holds_of_what_is_not_there(): void
    {
        self::assertSame([], self::found(static function (Expr\StaticCall|Expr\MethodCall $call): bool {
            $stand = (new NodeFinder)->find(
                $call->getArgs(),
                static fn (Node $node): bool => $node instanceof Expr\BinaryOp\Coalesce && self::isFixed($node->right),
            );

            return $stand !== [] && in_array(self::nameOf($call), self::PASSED_BY_NOTHING, true);
        }));
    }

    public function test_both_are_seen_where_they_are(): void
    {
        $code = '<?php self::assertTrue(true); self::assertLessThan(3, $a ?? 0); self::assertSame(3, $a ?? 0); self::assertLessThan(3, $a ?? self::fail());';
        $seen = array_map(self::nameOf(...), self::calls($code));
        self::assertSame(['assertTrue', 'assertLessThan', 'assertSame', 'assertLessThan'], $seen);
        self::assertTrue(self::isFixed(self::calls($code)[0]->getArgs()[0]->value));
    }

    /**
     * @param  callable(Expr\StaticCall|Expr\MethodCall): bool  $isBad
     * @return list<string>
     */
    private static function found(callable $isBad): array
    {
        $found = [];
        foreach (Sources::in('core/tests', 'tests') as $file) {
            foreach (array_filter(self::calls((string) file_get_contents($file->getPathname())), $isBad) as $call) {
                $found[] = $file->getBasename().':'.$call->getStartLine().' '.self::nameOf($call);
            }
        }

        return $found;
    }

    /** @return list<Expr\StaticCall|Expr\MethodCall> */
    private static function calls(string $code): array
    {
        $tree = Sources::parsed($code);
        $calls = [
            ...(new NodeFinder)->findInstanceOf($tree, Expr\StaticCall::class),
            ...(new NodeFinder)->findInstanceOf($tree, Expr\MethodCall::class),
        ];

        return array_values(array_filter(
            $calls,
            static fn (Expr\StaticCall|Expr\MethodCall $call): bool => str_starts_with(self::nameOf($call), 'assert')
                && ! $call->isFirstClassCallable(),
        ));
    }

    private static function nameOf(Expr\StaticCall|Expr\MethodCall $call): string
    {
        return $call->name instanceof Node\Identifier ? $call->name->name : '';
    }

    /** Whether it is the same in every run: a literal, a constant, or made of nothing else. */
    private static function isFixed(Node $node): bool
    {
        return $node instanceof Node\Scalar && ! $node instanceof Node\Scalar\InterpolatedString
            || $node instanceof Expr\ConstFetch
            || ($node instanceof Expr\Array_
                && array_filter(
                    $node->items,
                    static fn (?Node\ArrayItem $item): bool => $item !== null && ! self::isFixed($item->value),
                ) === []);
    }
}
