<?php

declare(strict_types=1);

namespace Tests\Architecture;

use PhpToken;
use PHPUnit\Framework\TestCase;
use Tests\Support\Sources;

/** What a rule about classes cannot see: calls that reach the clock, chance, files or the framework's helpers. */
final class CorePurityTest extends TestCase
{
    private const FORBIDDEN = [
        'env', 'config', 'app', 'now', 'rand', 'mt_rand', 'random_int', 'random_bytes', 'uniqid', 'time', 'microtime',
        'hrtime', 'date', 'file_get_contents', 'file_put_contents', 'fopen', 'curl_init', 'getenv', 'dd', 'dump',
        'var_dump', 'print_r', 'exit', 'die', 'error_log',
    ];

    public function test_the_core_calls_nothing_that_reaches_outside(): void
    {
        $found = [];
        foreach (Sources::in('core/src') as $file) {
            $tokens = PhpToken::tokenize((string) file_get_contents($file->getPathname()));
            foreach ($tokens as $at => $token) {
                $calls = $token->is([T_STRING, T_EXIT])
                    && in_array(strtolower($token->text), self::FORBIDDEN, true)
                    && ($tokens[$at + 1]->text ?? '') === '(';
                $member = in_array($tokens[$at - 1]->text ?? '', ['->', '?->', '::', 'function'], true)
                    || ($tokens[$at - 2]->text ?? '') === 'function';
                if ($calls && ! $member) {
                    $found[] = "{$file->getFilename()}:{$token->line} {$token->text}()";
                }
            }
        }
        self::assertSame([], $found);
    }

    public function test_every_file_is_strict_about_types(): void
    {
        $loose = [];
        foreach (Sources::in('core/src', 'app', 'database', 'tests', 'core/tests', 'routes') as $file) {
            if (! str_contains((string) file_get_contents($file->getPathname()), 'declare(strict_types=1);')) {
                $loose[] = $file->getPathname();
            }
        }
        self::assertSame([], $loose);
    }
}
