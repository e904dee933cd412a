<?php

declare(strict_types=1);

namespace Tests\Feature;

use PhpParser\Node\FunctionLike;
use PhpParser\Node\Stmt\ClassMethod;
use PhpParser\NodeFinder;
use PHPUnit\Framework\TestCase;
use Tests\Support\Sources;

/**
 * No function of the product is longer than can be read at once, and nothing is made of more than can be named; what
 * the screens have is held to theirs by the linter.
 */
final class ShapeTest extends TestCase
{
    private const MOST_LINES = 40;

    private const MOST_PARAMETERS = 10;

    public function test_no_function_is_longer_than_forty_lines(): void
    {
        $long = [];
        $looked = 0;
        foreach (Sources::in('core/src', 'app') as $file) {
            $tree = Sources::parsed((string) file_get_contents($file->getPathname()));
            foreach ((new NodeFinder)->findInstanceOf($tree, FunctionLike::class) as $function) {
                $looked++;
                if ($function->getEndLine() - $function->getStartLine() >= self::MOST_LINES) {
                    $long[] = $file->getBasename().' '
                        .($function instanceof ClassMethod ? $function->name->name : 'line '.$function->getStartLine());
                }
            }
        }
        self::assertSame([], $long);
        self::assertGreaterThan(2500, $looked);
    }

    public function test_nothing_is_made_of_more_than_ten_things_at_once(): void
    {
        $made = [];
        foreach (Sources::in('core/src', 'app') as $file) {
            foreach ((new NodeFinder)->findInstanceOf(
                Sources::parsed((string) file_get_contents($file->getPathname())),
                ClassMethod::class,
            ) as $method) {
                if ($method->name->name === '__construct') {
                    $made[$file->getBasename('.php')] = count($method->params);
                }
            }
        }
        self::assertSame(
            [],
            array_filter($made, static fn (int $parameters): bool => $parameters > self::MOST_PARAMETERS),
        );
        self::assertGreaterThan(300, count($made));
        self::assertContains(self::MOST_PARAMETERS, $made);
    }
}
