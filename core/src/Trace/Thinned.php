<?php

declare(strict_types=1);

namespace VividPull\Core\Trace;

/**
 * A branch in few enough points to be drawn at once: of each column of the drawing its first, its lowest, its highest
 * and its last, so nothing sharp is lost.
 */
final readonly class Thinned
{
    public const COLUMNS = 320;

    /** @return list<array{float, float}> travel from rest in mm, and N */
    public static function of(Branch $branch, float $rest, int $columns = self::COLUMNS): array
    {
        $count = $branch->count();
        $places = range(0, $count - 1);
        if ($count > 4 * $columns) {
            [$from, $reach] = [min($branch->travel), max($branch->reach(), 1e-9)];
            $columnsOf = [];
            foreach ($branch->travel as $place => $travel) {
                $column = (int) ($columns * ($travel - $from) / $reach * 0.999999);
                $force = $branch->force[$place];
                $now = $columnsOf[$column] ??= [$place, $place, $place, $place];
                $columnsOf[$column] = [
                    $now[0],
                    $force < $branch->force[$now[1]] ? $place : $now[1],
                    $force > $branch->force[$now[2]] ? $place : $now[2],
                    $place,
                ];
            }
            $places = array_unique(array_merge(...array_values($columnsOf)));
            sort($places);
        }

        return array_map(
            static fn (int $place): array => [
                round($branch->travel[$place] - $rest, 4),
                round($branch->force[$place], 3),
            ],
            $places,
        );
    }
}
