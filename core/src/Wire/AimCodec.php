<?php

declare(strict_types=1);

namespace VividPull\Core\Wire;

use VividPull\Core\Errors\BadFile;
use VividPull\Core\Input\Node;
use VividPull\Core\Procedure\LeverPull;
use VividPull\Core\Procedure\MeasureKey;
use VividPull\Core\Spec\Aim;
use VividPull\Core\Spec\EngagementWindow;
use VividPull\Core\Spec\Mover;
use VividPull\Core\Spec\OutcomeSetting;
use VividPull\Core\Spec\OutcomeTable;
use VividPull\Core\Spec\OutcomeWord;
use VividPull\Core\Spec\PackFigures;
use VividPull\Core\Spec\PullFigure;
use VividPull\Core\Spec\SpeedCeiling;
use VividPull\Core\Spec\Stands;
use VividPull\Core\Spec\ThrottleWindow;
use VividPull\Core\Spec\TimeLimit;

/** What a spec asks beside play, to and from the wire: each by its kind. */
final readonly class AimCodec
{
    public static function decode(Node $node): Aim
    {
        $kind = $node->at('kind')->string(40);

        return $node->making(static fn (): Aim => match ($kind) {
            'time_limit' => TimeLimit::seconds(
                $node->object(['kind', 'at_most_s'])->at('at_most_s')->number(0.01, 600),
            ),
            'speed_ceiling' => self::speed($node->object(['kind', 'at_most_kmh', 'tyre_mm'], ['usual_kmh'])),
            'engagement_window' => EngagementWindow::fullBy(
                $node->object(['kind', 'full_by_mm'])->at('full_by_mm')->number(0.1, 1000),
            ),
            'throttle_window' => self::window($node->object(
                ['kind', 'stroke_mm', 'arc_mm', 'margin_mm'],
                ['over_travel_mm', 'arm_ratio'],
            )),
            'outcome_table' => self::table($node->object([
                'kind', 'arm', 'unit', 'plus', 'minus', 'settings', 'movers', 'trial', 'most_at_once',
            ])),
            'pull' => self::pull($node->object(['kind', 'pull_n', 'release_n', 'at_mm'])),
            'pack' => self::pack($node->object(
                ['kind', 'friction_plates', 'steel_plates', 'springs'],
                ['friction_min_mm', 'steel_warp_max_mm', 'spring_min_mm', 'bolts', 'bolt_nm'],
            )),
            default => throw BadFile::at(
                $node->at('kind')->path,
                'this kind of aim is not known. Known are: time_limit, speed_ceiling, engagement_window, throttle_window, outcome_table, pull, pack.',
            ),
        });
    }

    /** @return array<string, mixed> */
    public static function encode(Aim $aim): array
    {
        return match (true) {
            $aim instanceof TimeLimit => ['kind' => 'time_limit', 'at_most_s' => $aim->atMostS],
            $aim instanceof SpeedCeiling => [
                'kind' => 'speed_ceiling',
                'at_most_kmh' => $aim->atMostKmh,
                'tyre_mm' => $aim->tyreMm,
                'usual_kmh' => $aim->usualKmh,
            ],
            $aim instanceof EngagementWindow => ['kind' => 'engagement_window', 'full_by_mm' => $aim->fullByMm],
            $aim instanceof ThrottleWindow => [
                'kind' => 'throttle_window',
                'stroke_mm' => $aim->strokeMm,
                'arc_mm' => $aim->arcMm,
                'margin_mm' => $aim->marginMm,
                'over_travel_mm' => $aim->overTravelMm,
                'arm_ratio' => $aim->armRatio,
            ],
            $aim instanceof OutcomeTable => self::encodeTable($aim),
            $aim instanceof PullFigure => [
                'kind' => 'pull',
                'pull_n' => $aim->fresh->pull,
                'release_n' => $aim->fresh->release,
                'at_mm' => $aim->atMm,
            ],
            $aim instanceof PackFigures => self::encodePack($aim),
            default => [],
        };
    }

    private static function speed(Node $node): SpeedCeiling
    {
        return SpeedCeiling::of(
            $node->at('at_most_kmh')->number(1, 200),
            $node->at('tyre_mm')->number(100, 2000),
            self::optional($node, 'usual_kmh', 200),
        );
    }

    private static function window(Node $node): ThrottleWindow
    {
        return ThrottleWindow::of(
            $node->at('stroke_mm')->number(1, 200),
            $node->at('arc_mm')->number(1, 200),
            $node->at('margin_mm')->number(0, 50),
            self::optional($node, 'over_travel_mm', 50),
            self::optional($node, 'arm_ratio', 20),
        );
    }

    private static function pull(Node $node): PullFigure
    {
        return PullFigure::of(
            LeverPull::of($node->at('pull_n')->number(0.1, 1000), $node->at('release_n')->number(0.1, 1000)),
            $node->at('at_mm')->number(1, 1000),
        );
    }

    private static function pack(Node $node): PackFigures
    {
        return PackFigures::of(
            $node->at('friction_plates')->integer(0, 30),
            $node->at('steel_plates')->integer(0, 30),
            $node->at('springs')->integer(0, 12),
            self::optional($node, 'friction_min_mm', 20),
            self::optional($node, 'steel_warp_max_mm', 20),
            self::optional($node, 'spring_min_mm', 200),
            $node->has('bolts') ? $node->at('bolts')->integer(1, 12) : 1,
            self::optional($node, 'bolt_nm', 200),
        );
    }

    private static function table(Node $node): OutcomeTable
    {
        $unit = $node->at('unit')->string(20);
        $settings = array_map(
            static fn (Node $one): OutcomeSetting => self::setting($one, $unit),
            $node->at('settings')->items(12),
        );
        $movers = array_map(self::mover(...), $node->at('movers')->items(3));
        if ($settings === [] || $movers === []) {
            throw BadFile::at($node->path, 'a table of outcomes has at least one setting and one mover.');
        }

        return OutcomeTable::of(
            $node->at('arm')->string(40),
            $unit,
            $node->at('plus')->string(40),
            $node->at('minus')->string(40),
            $settings,
            $movers,
            $node->at('trial')->number(0.001, 1000),
            $node->at('most_at_once')->number(0.001, 1000),
        );
    }

    private static function setting(Node $node, string $unit): OutcomeSetting
    {
        $node->object(['key', 'label', 'at', 'wants', 'sees'], ['weights', 'telling']);
        $weights = $node->has('weights')
            ? array_map(static fn (Node $weight): float => $weight->number(-100, 100), $node->at('weights')->entries())
            : [];

        return $node->making(static fn (): OutcomeSetting => OutcomeSetting::of(
            $node->at('key')->id(),
            $node->at('label')->string(60),
            $node->at('at')->number(-1000, 1000),
            $node->at('wants')->string(40),
            array_map(static fn (Node $one): OutcomeWord => self::word($one, $unit), $node->at('sees')->items(8)),
            $weights,
            ! $node->has('telling') || $node->at('telling')->boolean(),
        ));
    }

    private static function word(Node $node, string $unit): OutcomeWord
    {
        $node->object(['key', 'label'], ['low', 'high', 'proves_nothing', 'stands']);
        if ($node->has('stands')) {
            $node->object(['key', 'label', 'stands']);

            return OutcomeWord::standing(
                $node->at('key')->id(),
                $node->at('label')->string(80),
                $node->at('stands')->enum(Stands::class),
                $unit,
            );
        }
        $edge = static fn (string $key): ?float => $node->has($key) ? $node->at($key)->number(-1000, 1000) : null;

        return $node->flag('proves_nothing')
            ? OutcomeWord::provingNothing($node->at('key')->id(), $node->at('label')->string(80))
            : $node->making(static fn (): OutcomeWord => OutcomeWord::between(
                $node->at('key')->id(),
                $node->at('label')->string(80),
                $edge('low'),
                $edge('high'),
            ));
    }

    private static function mover(Node $node): Mover
    {
        $node->object(['adjuster', 'error'], ['per_step', 'sign']);
        $sign = $node->has('sign') ? $node->at('sign')->integer(-1, 1) : null;

        return Mover::of(
            $node->at('adjuster')->id(),
            self::optional($node, 'per_step', 1000),
            $sign === 0 ? null : $sign,
            $node->at('error')->number(0, 1),
        );
    }

    /** @return array<string, mixed> */
    private static function encodeTable(OutcomeTable $table): array
    {
        $word = static fn (OutcomeWord $one): array => $one->stands !== null
            ? ['key' => $one->key, 'label' => $one->label, 'stands' => $one->stands->value]
            : [
                'key' => $one->key,
                'label' => $one->label,
                'low' => $one->low,
                'high' => $one->high,
                'proves_nothing' => $one->provesNothing,
            ];

        return [
            'kind' => 'outcome_table', 'arm' => $table->arm, 'unit' => $table->unit, 'plus' => $table->plus,
            'minus' => $table->minus,
            'settings' => array_map(static fn (OutcomeSetting $one): array => [
                'key' => $one->key, 'label' => $one->label, 'at' => $one->at, 'wants' => $one->wants,
                'sees' => array_values(array_map($word, $one->sees)),
                ...($one->weights === [] ? [] : ['weights' => $one->weights]), 'telling' => $one->isTelling,
            ], array_values($table->settings)),
            'movers' => array_map(
                static fn (Mover $one): array => [
                    'adjuster' => $one->adjuster,
                    'per_step' => $one->perStep,
                    'sign' => $one->sign,
                    'error' => $one->error,
                ],
                array_values($table->movers),
            ),
            'trial' => $table->trial, 'most_at_once' => $table->mostAtOnce,
        ];
    }

    /** @return array<string, mixed> */
    private static function encodePack(PackFigures $pack): array
    {
        return [
            'kind' => 'pack', 'friction_plates' => $pack->counts[MeasureKey::FrictionPlate->value],
            'steel_plates' => $pack->counts[MeasureKey::SteelPlate->value],
            'springs' => $pack->counts[MeasureKey::ClutchSpring->value], 'friction_min_mm' => $pack->frictionMinMm,
            'steel_warp_max_mm' => $pack->steelWarpMaxMm,
            'spring_min_mm' => $pack->springMinMm, 'bolts' => $pack->bolts, 'bolt_nm' => $pack->boltNm,
        ];
    }

    private static function optional(Node $node, string $key, float $most): ?float
    {
        return $node->has($key) ? $node->at($key)->number(0.001, $most) : null;
    }
}
