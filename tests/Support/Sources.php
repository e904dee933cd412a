<?php

declare(strict_types=1);

namespace Tests\Support;

use FilesystemIterator;
use PhpParser\Node;
use PhpParser\ParserFactory;
use RecursiveDirectoryIterator;
use RecursiveIteratorIterator;
use SplFileInfo;

/** The PHP files of the project, for the tests that read code. */
final readonly class Sources
{
    private const ROOT = __DIR__.'/../..';

    /** @return iterable<SplFileInfo> of folders of the project, and of those within them */
    public static function in(string ...$folders): iterable
    {
        foreach ($folders as $folder) {
            /** @var SplFileInfo $file */
            foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator(
                self::ROOT."/{$folder}",
                FilesystemIterator::SKIP_DOTS,
            )) as $file) {
                if ($file->getExtension() === 'php') {
                    yield $file;
                }
            }
        }
    }

    /** @return array<Node\Stmt> */
    public static function parsed(string $code): array
    {
        return (new ParserFactory)->createForHostVersion()->parse($code) ?? [];
    }
}
