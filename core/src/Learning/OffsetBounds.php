<?php

declare(strict_types=1);

namespace VividPull\Core\Learning;

use VividPull\Core\Quantity\Figure;

/**
 * What is known of up to three offsets from half-planes that all hold: a polytope, kept by its corners.
 *
 * Every corner is where as many bounds meet as there are offsets; with one offset this is an interval. The few bounds
 * that a table gives make trying every combination cheap, and exact.
 */
final readonly class OffsetBounds
{
    /** No offset is further out than this, in any unit; a corner there means that nothing bounds that side. */
    private const FAR = 1e5;

    private const SLACK = 1e-7;

    /**
     * @param  non-empty-list<list<float>>  $corners
     * @param  non-empty-list<list<float>>  $wider  the same with twice as far an edge; what moves with that edge is
     *     bounded by nothing
     */
    private function __construct(private array $corners, private array $wider) {}

    /**
     * @param  int<1, 3>  $offsets  how many there are
     * @param  list<HalfPlane>  $planes
     * @return self|null null where the bounds contradict each other
     */
    public static function of(int $offsets, array $planes): ?self
    {
        $tight = self::tightest($planes);
        $corners = self::corners($offsets, [...$tight, ...self::farAway($offsets, self::FAR)]);

        $wider = self::corners($offsets, [...$tight, ...self::farAway($offsets, 2 * self::FAR)]);

        return $corners === [] || $wider === [] ? null : new self($corners, $wider);
    }

    /** @param  list<float>  $weights  the least this sum of the offsets can be; −INF where nothing bounds it */
    public function least(array $weights): float
    {
        $sum = new HalfPlane($weights, 0.0);
        $least = min(array_map($sum->sum(...), $this->corners));

        return min(array_map($sum->sum(...), $this->wider)) < $least - 1.0 ? -INF : $least;
    }

    /** @param  list<float>  $weights  the most this sum of the offsets can be; INF where nothing bounds it */
    public function most(array $weights): float
    {
        return -$this->least(array_map(static fn (float $weight): float => -$weight, $weights));
    }

    /**
     * @param  list<HalfPlane>  $planes
     * @return list<list<float>>
     */
    private static function corners(int $offsets, array $planes): array
    {
        $corners = [];
        foreach (self::choices(count($planes), $offsets) as $choice) {
            $at = self::meeting(array_map(static fn (int $n): HalfPlane => $planes[$n], $choice));
            if (
                $at !== null
                && array_filter($planes, static fn (HalfPlane $one): bool => ! $one->holds($at, self::SLACK)) === []
            ) {
                $corners[] = $at;
            }
        }

        return $corners;
    }

    /**
     * Of bounds that look the same way only the tightest counts.
     *
     * @param  list<HalfPlane>  $planes
     * @return list<HalfPlane>
     */
    private static function tightest(array $planes): array
    {
        $byWay = [];
        foreach ($planes as $plane) {
            $way = implode(
                ' ',
                array_map(static fn (float $weight): string => Figure::ratio($weight, 6)->bare(), $plane->weights),
            );
            $byWay[$way] = ! isset($byWay[$way]) || $plane->least > $byWay[$way]->least ? $plane : $byWay[$way];
        }

        return array_values($byWay);
    }

    /** @return list<HalfPlane> */
    private static function farAway(int $offsets, float $far): array
    {
        $planes = [];
        for ($n = 0; $n < $offsets; $n++) {
            foreach ([1.0, -1.0] as $way) {
                $weights = array_fill(0, $offsets, 0.0);
                $weights[$n] = $way;
                $planes[] = new HalfPlane(array_values($weights), -$far);
            }
        }

        return $planes;
    }

    /** @return iterable<list<int>> every choice of so many out of so many */
    private static function choices(int $of, int $take, int $from = 0): iterable
    {
        for ($n = $from; $n < $of; $n++) {
            if ($take === 1) {
                yield [$n];
            } else {
                foreach (self::choices($of, $take - 1, $n + 1) as $rest) {
                    yield [$n, ...$rest];
                }
            }
        }
    }

    /**
     * Where these bounds meet, by elimination with the largest pivot; null where they do not meet in one place.
     *
     * @param  list<HalfPlane>  $planes
     * @return list<float>|null
     */
    private static function meeting(array $planes): ?array
    {
        $rows = array_map(static fn (HalfPlane $plane): array => [...$plane->weights, $plane->least], $planes);
        $n = count($rows);
        for ($column = 0; $column < $n; $column++) {
            $pivot = $column;
            for ($row = $column + 1; $row < $n; $row++) {
                $pivot = abs($rows[$row][$column]) > abs($rows[$pivot][$column]) ? $row : $pivot;
            }
            if (abs($rows[$pivot][$column]) < 1e-12) {
                return null;
            }
            [$rows[$column], $rows[$pivot]] = [$rows[$pivot], $rows[$column]];
            for ($row = 0; $row < $n; $row++) {
                $share = $row === $column ? 0.0 : $rows[$row][$column] / $rows[$column][$column];
                for ($k = $column; $k <= $n; $k++) {
                    $rows[$row][$k] -= $share * $rows[$column][$k];
                }
            }
        }

        return array_map(
            static fn (array $row, int $place): float => $row[$n] / $row[$place],
            $rows,
            array_keys($rows),
        );
    }
}
