<?php

declare(strict_types=1);

namespace VividPull\Core\Wire;

use VividPull\Core\Cable\ReadingPoint;
use VividPull\Core\Input\Node;
use VividPull\Core\Log\Entry\TraceTaken;
use VividPull\Core\Trace\Phase;
use VividPull\Core\Trace\Reached;
use VividPull\Core\Trace\Thinned;
use VividPull\Core\Trace\TraceFinding;
use VividPull\Core\Trace\TraceReading;
use VividPull\Core\Trace\TraceSummary;
use VividPull\Core\Trace\WorkingEnd;

/** Traces on the wire: the body of an entry, and a curve with what it tells for the screen. */
final readonly class TraceCodec
{
    private function __construct() {}

    /**
     * Where and with what a pull was measured.
     *
     * @return array{point: string, to_stop: bool, instrument?: string, at_mm?: float, reach_mm?: float}
     */
    public static function how(Node $node): array
    {
        $node->object(['point', 'to_stop'], ['instrument', 'at_mm', 'reach_mm']);
        $reach = $node->optionalNumber('reach_mm', 1, 1000);
        $at = $node->optionalNumber('at_mm', 1, 2000);
        $instrument = $node->optionalString('instrument', 40);

        return [
            'point' => $node->at('point')->enum(ReadingPoint::class)->value,
            'to_stop' => $node->at('to_stop')->boolean(),
        ]
            + ($instrument === null ? [] : ['instrument' => $instrument])
                + ($at === null ? [] : ['at_mm' => $at])
                + ($reach === null ? [] : ['reach_mm' => $reach]);
    }

    /** @return array<string, mixed> as an entry holds it */
    public static function body(TraceTaken $taken): array
    {
        return array_filter([
            'trace' => $taken->trace, 'points' => $taken->points, 'point' => $taken->point->value,
            'instrument' => $taken->instrument, 'at_mm' => $taken->atMm, 'reach_mm' => $taken->reachMm,
            'to_stop' => $taken->isToStop,
            'told' => self::summary($taken->told),
        ], static fn (mixed $one): bool => $one !== null);
    }

    public static function told(Node $node): TraceSummary
    {
        $node->object(['heaviest_n', 'heaviest_mm', 'reached', 'snags'], ['play_mm', 'play_expanded_mm', 'efficiency']);
        $number = static fn (string $key, float $least, float $most): ?float => $node->has($key)
            ? $node->at($key)->number($least, $most)
            : null;

        return new TraceSummary(
            $number('play_mm', -1000, 1000),
            $number('play_expanded_mm', 0, 1000),
            $node->at('heaviest_n')->number(-5000, 5000),
            $node->at('heaviest_mm')->number(-2000, 2000),
            $number('efficiency', 0, 1),
            $node->at('reached')->enum(Reached::class),
            (int) $node->at('snags')->number(0, 1000),
        );
    }

    /** @return array<string, mixed> rounded to what a gauge tells */
    public static function summary(TraceSummary $told): array
    {
        return array_filter([
            'play_mm' => $told->playMm === null ? null : round($told->playMm, 3),
            'play_expanded_mm' => $told->playUMm === null ? null : round($told->playUMm, 3),
            'heaviest_n' => round($told->heaviestN, 2),
            'heaviest_mm' => round($told->heaviestMm, 2),
            'efficiency' => $told->efficiency === null ? null : round($told->efficiency, 4),
            'reached' => $told->reached->value,
            'snags' => $told->snags,
        ], static fn (mixed $one): bool => $one !== null);
    }

    /**
     * @param  list<TraceFinding>  $findings
     * @return array<string, mixed> the curve thin enough to be drawn, its phases, and what it tells
     */
    public static function reading(TraceReading $read, WorkingEnd $end, array $findings): array
    {
        $rest = $read->trace->rest();

        return [
            'points' => $read->trace->points(),
            'pull' => Thinned::of($read->trace->pull, $rest),
            'release' => $read->trace->release === null ? [] : Thinned::of($read->trace->release, $rest),
            'phases' => array_map(static fn (Phase $one): array => [
                'kind' => $one->kind->value, 'label' => $one->kind->label($end), 'from_mm' => round($one->from, 3),
                'to_mm' => round($one->to, 3), 'from_n' => round($one->fromN, 2), 'to_n' => round($one->toN, 2),
            ], $read->phases->all),
            'findings' => array_map(
                static fn (TraceFinding $one): array => [
                    'key' => $one->key,
                    'label' => $one->label,
                    'figure' => $one->figure,
                    'sentence' => $one->sentence,
                    'fault' => $one->isFault,
                ],
                $findings,
            ),
            'told' => self::summary($read->summary()),
        ];
    }
}
