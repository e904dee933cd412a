<?php

declare(strict_types=1);

namespace VividPull\Core\Practice\Faulty;

use Closure;

/** What becomes of any cable, in quantities of its own. */
final readonly class AnyCable
{
    private function __construct() {}

    /** @return array<string, Closure(WornControl): void> */
    public static function faults(): array
    {
        return [
            'frayed_wire' => static function (WornControl $is): void {
                $is->put('strands', $is->chance->between(0.05, 0.35));
                $is->put('rate', $is->chance->between(0.0, 0.8));
            },
            'dry_cable' => static function (WornControl $is): void {
                $is->put('friction', $is->chance->between(0.15, 0.55));
            },
            'bad_route' => static function (WornControl $is): void {
                $is->put('bends', $is->chance->between(2.0, 9.0));
                $is->put('friction', $is->chance->between(0.0, 0.1));
            },
            'shortened_conduit' => static function (WornControl $is): void {
                $is->put('poking_mm', $is->chance->between(1.5, 6.0));
                $is->put('rate', $is->chance->between(0.2, 0.9));
            },
            'unseated_ferrule' => static function (WornControl $is): void {
                $is->put('unseated_mm', $is->chance->between(0.8, 3.0));
            },
            'used_up' => static function (WornControl $is): void {
                $is->put('thread', 1.0);
                $is->put('grown', $is->chance->between(0.6, 2.4));
                $is->put('rate', $is->chance->between(0.2, 0.9));
            },
        ];
    }

    /** @return array<string, Closure(WornControl): void> a setting that errs */
    public static function settings(): array
    {
        return [
            'too_tight' => static function (WornControl $is): void {
                $is->put('slack', -$is->chance->between(1.3, 2.6));
            },
            'too_loose' => static function (WornControl $is): void {
                $is->put('slack', $is->chance->between(1.3, 3.2));
            },
        ];
    }

    /** @return Closure(WornControl): void one quantity that lies somewhere between two figures */
    public static function spoilt(
        string $quantity,
        float $least,
        float $most,
        string $also = '',
        float $alsoLeast = 0.0,
        float $alsoMost = 0.0,
    ): Closure {
        return static function (WornControl $is) use ($quantity, $least, $most, $also, $alsoLeast, $alsoMost): void {
            $is->put($quantity, $is->chance->between($least, $most));
            if ($also !== '') {
                $is->put($also, $is->chance->between($alsoLeast, $alsoMost));
            }
        };
    }
}
