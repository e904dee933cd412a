<?php

declare(strict_types=1);

namespace Tests\Feature;

use PHPUnit\Framework\TestCase;
use Symfony\Component\Finder\Finder;
use Tests\Architecture\Layers;

/** The folders of the core stand on one another, and none on one above it, not even in a comment. */
final class LayersTest extends TestCase
{
    private const SRC = __DIR__.'/../../core/src';

    public function test_no_folder_of_the_core_names_one_above_it(): void
    {
        $folders = array_values(array_diff((array) scandir(self::SRC), ['.', '..']));
        self::assertEqualsCanonicalizing($folders, Layers::OF_THE_CORE, 'every folder has its place');
        $graph = '';
        $upward = [];
        foreach (Layers::OF_THE_CORE as $place => $folder) {
            $named = self::namedBy($folder);
            $upward = [
                ...$upward,
                ...array_map(
                    static fn (string $one): string => "{$folder} names {$one}",
                    array_values(array_diff($named, array_slice(Layers::OF_THE_CORE, 0, $place + 1))),
                ),
            ];
            $graph .= sprintf(
                "  %-12s on %s\n",
                $folder,
                implode(', ', array_intersect(Layers::OF_THE_CORE, array_diff($named, [$folder]))),
            );
        }
        fwrite(STDERR, "\n{$graph}");
        self::assertSame([], $upward);
    }

    public function test_the_body_of_an_entry_is_made_by_its_own_class_alone(): void
    {
        $made = [];
        foreach (Finder::create()->files()->name('*.php')->in(self::SRC) as $file) {
            if (str_contains($file->getContents(), 'new Draft(')) {
                $made[] = $file->getRelativePath();
            }
        }
        self::assertSame(['Log/Entry'], array_values(array_unique($made)));
    }

    /** @return list<string> */
    private static function namedBy(string $folder): array
    {
        $named = [];
        foreach (Finder::create()->files()->name('*.php')->in(self::SRC."/{$folder}") as $file) {
            preg_match_all('/VividPull\\\\Core\\\\(\w+)\\\\/', $file->getContents(), $found);
            $named += array_fill_keys($found[1], true);
        }

        return array_keys($named);
    }
}
