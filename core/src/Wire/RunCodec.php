<?php

declare(strict_types=1);

namespace VividPull\Core\Wire;

use VividPull\Core\Cable\Adjuster;
use VividPull\Core\Cable\AdjusterAccess;
use VividPull\Core\Cable\AdjusterKind;
use VividPull\Core\Cable\Cable;
use VividPull\Core\Cable\Counting;
use VividPull\Core\Cable\Fitting;
use VividPull\Core\Cable\HandControl;
use VividPull\Core\Cable\HandKind;
use VividPull\Core\Cable\Knowledge;
use VividPull\Core\Cable\Pulls;
use VividPull\Core\Cable\ReadingPoint;
use VividPull\Core\Cable\Run;
use VividPull\Core\Cable\Sense;
use VividPull\Core\Cable\SteppedAdjuster;
use VividPull\Core\Cable\StepRange;
use VividPull\Core\Cable\ThreadedAdjuster;
use VividPull\Core\Cable\UnsetAdjuster;
use VividPull\Core\Cable\Ways;
use VividPull\Core\Errors\BadFile;
use VividPull\Core\Errors\Quoted;
use VividPull\Core\Input\Node;
use VividPull\Core\Quantity\Steps;
use VividPull\Core\Quantity\StepUnit;
use VividPull\Core\Quantity\ThreadPitch;

/** A cable run from the wire. A run is written by people and kept as they wrote it, so it is only ever decoded. */
final readonly class RunCodec
{
    private const MOST_TRAVEL_MM = 500;

    /** Minutes to reach what is under a cover, where nobody says how many: the one in the open goes first (ours). */
    private const UNDER_A_COVER = 5.0;

    private const COMMON = ['sense', 'access', 'lock', 'lock_torque_nm', 'ways'];

    private const OF_A_THREAD = [
        'thread', 'pitch_mm', 'travel_mm', 'healthy_mm', 'smallest_step_turns', 'clicks_per_turn', 'bevels_per_turn',
        'stays_mm', 'engaged_mm',
    ];

    private const OF_A_STEP = ['mm_per_step', 'knowledge', 'travel_steps', 'healthy_steps', 'smallest_step'];

    public static function decode(Node $node): Run
    {
        $node->object(['hand', 'cables', 'working_end']);
        $cables = array_map(self::cable(...), $node->at('cables')->items(6));
        if ($cables === []) {
            throw BadFile::at($node->at('cables')->path, 'a run has at least one cable.');
        }
        self::refuseTwins($node, $cables);

        return $node->making(static fn (): Run => Run::of(
            self::hand($node->at('hand')),
            $cables,
            $node->at('working_end')->string(60),
        ));
    }

    /** @param  list<Cable>  $cables */
    private static function refuseTwins(Node $node, array $cables): void
    {
        $ids = array_merge(...array_map(
            static fn (Cable $cable): array => array_map(
                static fn (Adjuster $a): string => $a->id(),
                $cable->adjusters,
            ),
            $cables,
        ));
        foreach ($ids as $place => $id) {
            if (in_array($id, array_slice($ids, 0, $place), true)) {
                throw BadFile::at($node->at('cables')->path, 'two adjusters are called '.Quoted::text($id).'.');
            }
        }
    }

    private static function hand(Node $node): HandControl
    {
        $kind = $node->object(
            ['kind', 'name'],
            ['pivot_to_wire_mm', 'pivot_to_point_mm', 'drum_radius_mm', 'flange_radius_mm', 'knowledge', 'of_machine'],
        )
            ->at('kind')->enum(HandKind::class);
        $knowledge = $node->optionalEnum('knowledge', Knowledge::class) ?? Knowledge::Drawn;
        $name = $node->at('name')->string(60);

        return match ($kind) {
            HandKind::Lever, HandKind::Trigger, HandKind::Handle, HandKind::Bail, HandKind::Pedal,
            HandKind::Selector => HandControl::of(
                $kind,
                $name,
                self::distance($node, 'pivot_to_wire_mm', 1.0),
                self::points($node),
                $knowledge,
                $node->flag('of_machine'),
            ),
            HandKind::Grip => HandControl::of(
                $kind,
                $name,
                self::distance($node, 'drum_radius_mm', 1.0),
                $node->has('flange_radius_mm')
                    ? [ReadingPoint::GripFlange->value => $node->at('flange_radius_mm')->number(0.1, 500)]
                    : [],
                $knowledge,
                $node->flag('of_machine'),
            ),
        };
    }

    /** @return array<string, mixed> a hand control as it is written in a run */
    public static function handWritten(HandControl $hand): array
    {
        $distances = $hand->kind === HandKind::Grip
            ? [
                'drum_radius_mm' => $hand->wireMm,
                'flange_radius_mm' => $hand->pointMm[ReadingPoint::GripFlange->value] ?? null,
            ]
            : ['pivot_to_wire_mm' => $hand->wireMm, 'pivot_to_point_mm' => $hand->pointMm];

        return ['kind' => $hand->kind->value, 'name' => $hand->name]
            + array_filter($distances, static fn (array|float|null $one): bool => $one !== null && $one !== [])
            + ['knowledge' => $hand->knowledge->value]
            + ($hand->isOfMachine ? ['of_machine' => true] : []);
    }

    private static function distance(Node $node, string $key, float $otherwise): float
    {
        return $node->has($key) ? $node->at($key)->number(0.1, 500) : $otherwise;
    }

    /** @return array<string, float> */
    private static function points(Node $node): array
    {
        if (! $node->has('pivot_to_point_mm')) {
            return [];
        }
        if (! $node->has('pivot_to_wire_mm')) {
            throw BadFile::at($node->path, 'distances to reading points need “pivot_to_wire_mm” beside them.');
        }
        $points = [];
        foreach ($node->at('pivot_to_point_mm')->entries() as $point => $distance) {
            $points[Node::of($point, $distance->path)->enum(ReadingPoint::class)->value] = $distance->number(0.1, 1000);
        }

        return $points;
    }

    private static function cable(Node $node): Cable
    {
        $node->object(['id', 'name', 'adjusters'], ['pulls']);

        return Cable::of(
            $node->at('id')->id(),
            $node->at('name')->string(60),
            array_map(self::adjuster(...), $node->at('adjusters')->items(6)),
            $node->optionalEnum('pulls', Pulls::class) ?? Pulls::Opening,
        );
    }

    /** An adjuster by itself, as it is fitted on one machine. */
    public static function adjuster(Node $node): Adjuster
    {
        $kind = self::any($node)->at('kind')->enum(AdjusterKind::class);

        return $node->making(static fn (): Adjuster => match ($kind->measuredBy()) {
            'thread' => self::threaded($node, $kind),
            'steps' => self::stepped($node, $kind),
            default => UnsetAdjuster::of(self::fitting(
                $node->object(['id', 'name', 'kind'], self::COMMON),
                $kind,
                Steps::of(1),
            )),
        });
    }

    /** The kind decides which keys belong; until it is known, any of them may stand. */
    private static function any(Node $node): Node
    {
        return $node->object(['id', 'name', 'kind'], [...self::COMMON, ...self::OF_A_THREAD, ...self::OF_A_STEP]);
    }

    private static function threaded(Node $node, AdjusterKind $kind): Adjuster
    {
        $node->object(['id', 'name', 'kind', 'travel_mm'], [...self::COMMON, ...self::OF_A_THREAD]);
        $pitch = self::pitch($node);
        $counting = self::counting($node);

        $smallest = match (true) {
            $node->has('smallest_step_turns') => Steps::exactly($node->at('smallest_step_turns')->number(1 / 720, 2)),
            $counting->unit === StepUnit::Turn => Steps::fromFlats(1),
            default => $counting->each,
        };

        return ThreadedAdjuster::of(
            self::fitting($node, $kind, $smallest),
            $pitch,
            $node->at('travel_mm')->number(0.1, self::MOST_TRAVEL_MM),
            $node->has('healthy_mm')
                ? self::range($node->at('healthy_mm'), static fn (float $mm): Steps => Steps::nearest($mm / $pitch->mm))
                : null,
            $counting,
            self::stays($node, $kind),
            $node->optionalNumber('engaged_mm', 0, self::MOST_TRAVEL_MM),
        );
    }

    /** What is written of an adjuster of any kind. */
    private static function fitting(Node $node, AdjusterKind $kind, Steps $smallestStep): Fitting
    {
        return new Fitting(
            $node->at('id')->id(),
            $node->at('name')->string(60),
            $kind,
            $node->optionalEnum('sense', Sense::class) ?? $kind->usualSense(),
            $smallestStep,
            self::access($node),
            $node->optionalString('lock', 60) ?? 'lock nut',
            $node->optionalNumber('lock_torque_nm', 0, 500),
            $node->has('ways') ? self::ways($node->at('ways')) : null,
        );
    }

    /** What it is called when it goes out and in; a digit in it would be read as an amount. */
    private static function ways(Node $node): Ways
    {
        $node->object(['out', 'in']);
        $word = static function (Node $one): string {
            $said = $one->name(40);

            return preg_match('/\d/', $said) === 1
                ? throw BadFile::at($one->path, 'a way is said in words, such as down, without a figure.')
                : $said;
        };

        return $node->making(static fn (): Ways => Ways::said($word($node->at('out')), $word($node->at('in'))));
    }

    /** Thread that stays: of a governor's nut half an inch where the book says nothing (common practice, no source). */
    private static function stays(Node $node, AdjusterKind $kind): float
    {
        return $node->has('stays_mm')
            ? $node->at('stays_mm')->number(0, self::MOST_TRAVEL_MM)
            : ($kind === AdjusterKind::GovernorNut ? 12.7 : 0.0);
    }

    private static function stepped(Node $node, AdjusterKind $kind): Adjuster
    {
        $node->object(['id', 'name', 'kind', 'mm_per_step', 'travel_steps'], [...self::COMMON, ...self::OF_A_STEP]);
        $fine = match ($kind->unit()) {
            StepUnit::Turn => 0.125,
            StepUnit::Millimetre => 0.5,
            StepUnit::Rung, StepUnit::Hole, StepUnit::Tooth, StepUnit::Click, StepUnit::Bevel => 1.0,
        };

        return SteppedAdjuster::of(
            self::fitting(
                $node,
                $kind,
                Steps::exactly($node->optionalNumber('smallest_step', 1 / 720, 10) ?? $fine),
            ),
            $node->at('mm_per_step')->number(0.01, 100),
            $node->optionalEnum('knowledge', Knowledge::class) ?? Knowledge::Drawn,
            self::range($node->at('travel_steps'), Steps::exactly(...)),
            $node->has('healthy_steps') ? self::range($node->at('healthy_steps'), Steps::exactly(...)) : null,
        );
    }

    private static function counting(Node $node): Counting
    {
        if ($node->has('clicks_per_turn') && $node->has('bevels_per_turn')) {
            throw BadFile::at(
                $node->path,
                'a thread counts in “clicks_per_turn” or in “bevels_per_turn”, not in both.',
            );
        }

        return match (true) {
            $node->has('clicks_per_turn') => Counting::toTheTurn(
                StepUnit::Click,
                $node->at('clicks_per_turn')->integer(1, 720),
            ),
            $node->has('bevels_per_turn') => Counting::toTheTurn(
                StepUnit::Bevel,
                $node->at('bevels_per_turn')->integer(1, 720),
            ),
            default => Counting::turns(),
        };
    }

    private static function pitch(Node $node): ThreadPitch
    {
        if ($node->has('thread') === $node->has('pitch_mm')) {
            throw BadFile::at($node->path, 'name either the “thread” or its “pitch_mm”.');
        }

        $of = $node->at($node->has('thread') ? 'thread' : 'pitch_mm');

        return $of->making(static fn (): ThreadPitch => $node->has('thread')
            ? ThreadPitch::fromName($of->string(40))
            : ThreadPitch::entered($of->number(0.01, 10)));
    }

    /** @param  callable(float): Steps  $steps */
    private static function range(Node $node, callable $steps): StepRange
    {
        $node->object(['from', 'to']);
        $at = static fn (string $key): Steps => $steps($node->at($key)->number(0, self::MOST_TRAVEL_MM));

        return $node->making(static fn (): StepRange => StepRange::between($at('from'), $at('to')));
    }

    private static function access(Node $adjuster): AdjusterAccess
    {
        if (! $adjuster->has('access')) {
            return AdjusterAccess::of(0.0, null, 'none');
        }
        $node = $adjuster->at('access')->object([], ['minutes', 'cover', 'tools']);
        $cover = $node->optionalString('cover', 60);
        $minutes = $node->has('minutes')
            ? $node->at('minutes')->number(0, 600)
            : ($cover === null ? 0.0 : self::UNDER_A_COVER);

        return AdjusterAccess::of($minutes, $cover, $node->optionalString('tools', 100) ?? 'none');
    }
}
