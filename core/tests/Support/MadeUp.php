<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Support;

use VividPull\Core\Cable\AdjusterKind;
use VividPull\Core\Family\Families;
use VividPull\Core\Spec\Aim;
use VividPull\Core\Spec\FamilyKey;
use VividPull\Core\Spec\OutcomeTable;
use VividPull\Core\Wire\AimCodec;

/**
 * Specs and runs that no book has: any family, with whatever adjusters, covers, bands and second cables chance gives
 * it.
 */
final class MadeUp
{
    private const KINDS = [
        AdjusterKind::Barrel, AdjusterKind::InLine, AdjusterKind::BracketNuts, AdjusterKind::HollowBolt,
        AdjusterKind::CamScrew, AdjusterKind::RungClamp, AdjusterKind::PinchClamp, AdjusterKind::HookHoles,
        AdjusterKind::SlottedBracket,
    ];

    private const POINTS = [
        'twist_grip' => 'grip_flange',
        'clutch_lever' => 'lever_tip',
        'trigger_throttle' => 'carburettor_barrel',
    ];

    public static function job(FamilyKey $key, int $seed): TestJob
    {
        $chance = new Chance($seed);
        $family = Families::of($key);
        $start = $family->starting();
        $tables = array_values(array_filter($start->aims, static fn (Aim $aim): bool => $aim instanceof OutcomeTable));
        $adjusters = $tables === []
            ? self::adjusters($chance)
            : array_map(
                static fn (string $id): array => self::adjuster($chance, $id, AdjusterKind::InLine),
                array_keys($tables[0]->movers),
            );
        $plays = $tables === [] && $family->notSettable() === null;
        $low = round($chance->between(0.2, 6.0), 1);
        $second = $plays && $key === FamilyKey::TwistGrip && $seed % 2 === 0;
        $spec = [
            'family' => $key->value,
            'others' => array_map(static fn (Aim $aim): array => AimCodec::encode($aim), $start->aims),
            'conditions' => [
                'engine' => [null, 'cold', 'hot'][$chance->whole(0, 2)],
                'wheels' => [null, 'on_ground'][$chance->whole(0, 1)],
                'poses' => ['straight'],
            ],
            ...($plays
                ? ['aim' => [
                    'kind' => 'free_play_band',
                    'point' => self::POINTS[$key->value] ?? 'handle_travel',
                    'low_mm' => $low,
                    'high_mm' => $chance->whole(0, 5) === 0 ? null : round($low + $chance->between(0.5, 10.0), 1),
                ]]
                : []),
            ...($second
                ? ['backward' => ['low_mm' => 1, 'high_mm' => 6, 'set_first' => $chance->whole(0, 1) === 0]]
                : []),
        ];
        $job = TestJob::of($spec, [
            'hand' => ['kind' => $start->hand->value, 'name' => $start->handName],
            'cables' => [['id' => 'cable', 'name' => 'Cable', 'adjusters' => $adjusters],
                ...($second
                    ? [[
                        'id' => 'closing',
                        'name' => 'Closing cable',
                        'pulls' => 'closing',
                        'adjusters' => [self::adjuster($chance, 'return', AdjusterKind::BracketNuts)],
                    ]]
                    : [])],
            'working_end' => $start->workingEnd,
        ], array_map(
            static fn (): float => 4.0,
            array_flip(array_column(array_filter($adjusters, static fn (): bool => $chance->whole(0, 2) > 0), 'id')),
        ));

        return $job;
    }

    /** @return list<array<string, mixed>> */
    private static function adjusters(Chance $chance): array
    {
        $adjusters = [];
        for ($n = $chance->whole(0, 3); $n > 0; $n--) {
            $adjusters[] = self::adjuster(
                $chance,
                "adjuster_{$n}",
                self::KINDS[$chance->whole(0, count(self::KINDS) - 1)],
            );
        }

        return $adjusters;
    }

    /** @return array<string, mixed> */
    private static function adjuster(Chance $chance, string $id, AdjusterKind $kind): array
    {
        return ['id' => $id, 'name' => strtr($id, '_', ' '), 'kind' => $kind->value] + match (true) {
            $kind->isThreaded() => [
                'thread' => ['M6 x 1', 'M8 x 1.25', '1/4-20'][$chance->whole(0, 2)],
                'travel_mm' => $chance->whole(8, 30),
            ],
            default => [
                'mm_per_step' => $chance->whole(1, 3),
                'travel_steps' => ['from' => 1, 'to' => $chance->whole(6, 20)],
            ],
        }
            + [
                'access' => ['minutes' => $chance->whole(0, 9)]
                    + ($chance->whole(0, 2) === 0 ? ['cover' => 'cover'] : []),
            ];
    }
}
