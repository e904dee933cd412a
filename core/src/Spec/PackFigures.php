<?php

declare(strict_types=1);

namespace VividPull\Core\Spec;

use VividPull\Core\Procedure\MeasureKey;

/**
 * The figures of a clutch pack: how many plates and springs, what each must still have, and how its bolts are
 * tightened.
 */
final readonly class PackFigures implements Aim
{
    /** @param  array<string, int>  $counts  plates and springs there are, by measure */
    private function __construct(
        public array $counts,
        public ?float $frictionMinMm,
        public ?float $steelWarpMaxMm,
        public ?float $springMinMm,
        public int $bolts,
        public ?float $boltNm,
    ) {}

    public static function of(
        int $friction,
        int $steel,
        int $springs,
        ?float $frictionMinMm,
        ?float $steelWarpMaxMm,
        ?float $springMinMm,
        int $bolts,
        ?float $boltNm,
    ): self {
        return new self(
            [
                MeasureKey::FrictionPlate->value => $friction,
                MeasureKey::SteelPlate->value => $steel,
                MeasureKey::ClutchSpring->value => $springs,
            ],
            $frictionMinMm,
            $steelWarpMaxMm,
            $springMinMm,
            $bolts,
            $boltNm,
        );
    }

    public function band(MeasureKey $key): ?SpecBand
    {
        return match ($key) {
            MeasureKey::FrictionPlate => $this->frictionMinMm === null
                ? null
                : SpecBand::between($this->frictionMinMm, null),
            MeasureKey::SteelPlate => $this->steelWarpMaxMm === null
                ? null
                : SpecBand::between(null, $this->steelWarpMaxMm),
            MeasureKey::ClutchSpring => $this->springMinMm === null
                ? null
                : SpecBand::between($this->springMinMm, null),
            MeasureKey::BladeStop, MeasureKey::GroundSpeed, MeasureKey::Tyre, MeasureKey::FullDrive,
            MeasureKey::ShortOfOpen, MeasureKey::LeverPull, MeasureKey::LeverRelease => null,
        };
    }

    /**
     * The order in which bolts on a circle are tightened, each as far from the last as it can be.
     *
     * @return list<int> numbered round the circle from 1
     */
    public function starOrder(): array
    {
        $n = $this->bolts;
        if ($n < 3) {
            return range(1, max(1, $n));
        }
        $order = [];
        if ($n % 2 === 1) {
            for ($i = 0; $i < $n; $i++) {
                $order[] = ($i * intdiv($n, 2)) % $n + 1;
            }

            return $order;
        }
        $half = intdiv($n, 2);
        foreach (self::spread($half) as $place) {
            array_push($order, $place + 1, $place + $half + 1);
        }

        return $order;
    }

    /**
     * The places of half a circle, each the farthest from all that came before it.
     *
     * @return list<int>
     */
    private static function spread(int $places): array
    {
        $order = [0];
        while (count($order) < $places) {
            [$next, $farthest] = [0, -1];
            foreach (array_diff(range(0, $places - 1), $order) as $place) {
                $nearest = min(array_map(
                    static fn (int $done): int => min(abs($place - $done), $places - abs($place - $done)),
                    $order,
                ));
                [$next, $farthest] = $nearest > $farthest ? [$place, $nearest] : [$next, $farthest];
            }
            $order[] = $next;
        }

        return $order;
    }

    public function say(): string
    {
        return 'plates and springs at their limits';
    }
}
