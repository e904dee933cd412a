<?php

declare(strict_types=1);

namespace VividPull\Core\Wire;

use VividPull\Core\Cable\Adjuster;
use VividPull\Core\Cable\AdjusterAccess;
use VividPull\Core\Cable\AdjusterKind;
use VividPull\Core\Cable\Cable;
use VividPull\Core\Cable\HandControl;
use VividPull\Core\Cable\HandKind;
use VividPull\Core\Cable\Knowledge;
use VividPull\Core\Cable\ReadingPoint;
use VividPull\Core\Cable\Run;
use VividPull\Core\Cable\Sense;
use VividPull\Core\Cable\ThreadedAdjuster;
use VividPull\Core\Cable\TurnRange;
use VividPull\Core\Errors\BadFile;
use VividPull\Core\Errors\Quoted;
use VividPull\Core\Quantity\ThreadPitch;
use VividPull\Core\Quantity\Turns;

/** A cable run from the wire. A run is written by people and kept as they wrote it, so it is only ever decoded. */
final readonly class RunCodec
{
    private const MOST_TRAVEL_MM = 500;

    public static function decode(Node $node): Run
    {
        $node->object(['hand', 'cables', 'working_end']);
        $cables = array_map(self::cable(...), $node->at('cables')->items(6));
        if ($cables === []) {
            throw BadFile::at($node->at('cables')->path, 'a run has at least one cable.');
        }
        self::refuseTwins($node, $cables);

        return $node->making(static fn (): Run => Run::of(self::hand($node->at('hand')), $cables, $node->at('working_end')->string(60)));
    }

    /** @param  list<Cable>  $cables */
    private static function refuseTwins(Node $node, array $cables): void
    {
        $ids = array_merge(...array_map(static fn (Cable $cable): array => array_map(static fn (Adjuster $a): string => $a->id(), $cable->adjusters), $cables));
        foreach ($ids as $place => $id) {
            if (in_array($id, array_slice($ids, 0, $place), true)) {
                throw BadFile::at($node->at('cables')->path, 'two adjusters are called '.Quoted::text($id).'.');
            }
        }
    }

    private static function hand(Node $node): HandControl
    {
        $kind = $node->object(['kind', 'name'], ['pivot_to_wire_mm', 'pivot_to_point_mm', 'drum_radius_mm', 'flange_radius_mm', 'knowledge'])
            ->at('kind')->enum(HandKind::class);
        $knowledge = $node->has('knowledge') ? $node->at('knowledge')->enum(Knowledge::class) : Knowledge::Drawn;
        $name = $node->at('name')->string(60);

        return match ($kind) {
            HandKind::Lever => HandControl::of($kind, $name, self::distance($node, 'pivot_to_wire_mm', 1.0), self::points($node), $knowledge),
            HandKind::Grip => HandControl::of($kind, $name, self::distance($node, 'drum_radius_mm', 1.0), $node->has('flange_radius_mm')
                ? [ReadingPoint::GripFlange->value => $node->at('flange_radius_mm')->number(0.1, 500)] : [], $knowledge),
        };
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
        $node->object(['id', 'name', 'adjusters']);

        return Cable::of($node->at('id')->id(), $node->at('name')->string(60), array_map(self::adjuster(...), $node->at('adjusters')->items(6)));
    }

    private static function adjuster(Node $node): Adjuster
    {
        $node->object(['id', 'name', 'kind', 'travel_mm'], ['thread', 'pitch_mm', 'sense', 'healthy_mm', 'smallest_step_turns', 'access', 'lock', 'lock_torque_nm']);
        $pitch = self::pitch($node);

        return $node->making(static fn (): Adjuster => ThreadedAdjuster::of(
            $node->at('id')->id(),
            $node->at('name')->string(60),
            $node->at('kind')->enum(AdjusterKind::class),
            $pitch,
            $node->has('sense') ? $node->at('sense')->enum(Sense::class) : Sense::OutTakesSlack,
            $node->at('travel_mm')->number(0.1, self::MOST_TRAVEL_MM),
            $node->has('healthy_mm') ? self::healthy($node->at('healthy_mm'), $pitch) : null,
            $node->has('smallest_step_turns') ? Turns::exactly($node->at('smallest_step_turns')->number(1 / 720, 2)) : Turns::fromFlats(1),
            $node->has('access') ? self::access($node->at('access')) : AdjusterAccess::of(0.0, null, 'none'),
            $node->optionalString('lock', 60) ?? 'lock nut',
            $node->has('lock_torque_nm') ? $node->at('lock_torque_nm')->number(0, 500) : null,
        ));
    }

    private static function pitch(Node $node): ThreadPitch
    {
        if ($node->has('thread') === $node->has('pitch_mm')) {
            throw BadFile::at($node->path, 'name either the “thread” or its “pitch_mm”.');
        }

        return $node->making(static fn (): ThreadPitch => $node->has('thread')
            ? ThreadPitch::fromName($node->at('thread')->string(40))
            : ThreadPitch::entered($node->at('pitch_mm')->number(0.01, 10)));
    }

    private static function healthy(Node $node, ThreadPitch $pitch): TurnRange
    {
        $node->object(['from', 'to']);
        $turns = static fn (string $key): Turns => Turns::nearest($node->at($key)->number(0, self::MOST_TRAVEL_MM) / $pitch->mm);

        return $node->making(static fn (): TurnRange => TurnRange::between($turns('from'), $turns('to')));
    }

    private static function access(Node $node): AdjusterAccess
    {
        $node->object(['minutes'], ['cover', 'tools']);

        return AdjusterAccess::of($node->at('minutes')->number(0, 600), $node->optionalString('cover', 60), $node->optionalString('tools', 100) ?? 'none');
    }
}
