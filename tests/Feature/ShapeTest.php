<?php

declare(strict_types=1);

namespace Tests\Feature;

use PhpParser\Node\FunctionLike;
use PhpParser\Node\Stmt\ClassMethod;
use PhpParser\NodeFinder;
use PhpToken;
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

    private const WIDEST = 120;

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

    /** A sentence stands on one line, so that it is found by searching for it: what is in quotes is not counted. */
    public function test_no_line_is_wider_than_a_screen_beside_another(): void
    {
        $wide = [];
        $looked = 0;
        foreach (Sources::in('core', 'app', 'tests', 'database', 'routes', 'config', 'bench', 'bootstrap') as $file) {
            $looked++;
            foreach (self::widths((string) file_get_contents($file->getPathname())) as $line => $width) {
                if ($width > self::WIDEST) {
                    $wide[] = "{$file->getBasename()}:{$line}";
                }
            }
        }
        self::assertSame([], $wide);
        self::assertGreaterThan(900, $looked);
    }

    /** @return array<int, int> characters of each line, without what is in quotes and what is one long word */
    private static function widths(string $code): array
    {
        $widths = [];
        foreach (explode("\n", $code) as $place => $line) {
            $isOneWord = preg_match('/^\s*(public function test_\w+\(|\* @phpstan-sealed )/', $line) === 1;
            $widths[$place + 1] = $isOneWord ? 0 : mb_strlen($line);
        }
        foreach (PhpToken::tokenize($code) as $token) {
            if ($token->is([T_CONSTANT_ENCAPSED_STRING, T_ENCAPSED_AND_WHITESPACE])) {
                foreach (explode("\n", $token->text) as $further => $text) {
                    $widths[$token->line + $further] -= mb_strlen($text);
                }
            }
        }

        return $widths;
    }
}
