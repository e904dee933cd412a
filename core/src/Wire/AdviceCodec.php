<?php

declare(strict_types=1);

namespace VividPull\Core\Wire;

use VividPull\Core\Bench\BenchState;
use VividPull\Core\Cable\Adjuster;
use VividPull\Core\Cable\Rotation;
use VividPull\Core\Family\Families;
use VividPull\Core\Measurement\Instrument;
use VividPull\Core\Planning\AdjusterAdvice;
use VividPull\Core\Planning\AdjustmentPlan;
use VividPull\Core\Planning\AdviceKind;
use VividPull\Core\Planning\PlanKind;
use VividPull\Core\Planning\SettledBy;
use VividPull\Core\Quantity\Steps;

/**
 * The next move, the others there are, the plan it belongs to, and the way home.
 *
 * @phpstan-import-type SuspectShape from SuspectCodec
 *
 * @phpstan-type NextMoveShape array{
 *     kind: value-of<PlanKind>,
 *     sentence: string,
 *     // Whether what is looked for was looked for before, and nothing was found: the cable is replaced, or
 *     // the tag is hung.
 *     looked_at: bool,
 *     // What would settle it: something put right, the distances of the hand control measured, or play read
 *     // with a finer instrument; null where no one thing would.
 *     settled_by: value-of<SettledBy>|null,
 *     // Where a finer instrument settles it: those of the shelf, by id, the finest first.
 *     finer: list<string>,
 *     // What may be at fault where nothing that turns brings it inside, the likeliest first.
 *     suspects: list<SuspectShape>,
 *     recommended: string|null,
 *     target_mm: float|null,
 *     options: list<OptionShape>,
 *     plan: PlanShape|null,
 * }
 * @phpstan-type PlanShape array{
 *     steps: list<OptionShape>,
 *     why: string|null,
 *     runner_up: string|null,
 *     // Steps of it that are done.
 *     done: int,
 * }
 * @phpstan-type OptionShape array{
 *     adjuster: string,
 *     kind: value-of<AdviceKind>,
 *     direction: string|null,
 *     rotation: value-of<Rotation>|null,
 *     seen_from: string,
 *     say: string|null,
 *     expected_mm: float|null,
 *     low_mm: float|null,
 *     high_mm: float|null,
 *     chance: float|null,
 *     healthy_after: bool,
 *     sentence: string,
 *     steps: float|null,
 *     room_say: string|null,
 *     // How far the adjuster comes out with it, in mm of thread, slot or wire.
 *     grows_mm: float|null,
 *     // The move as it is said: out 1 turn, 2 rungs towards the engine.
 *     phrase: string|null,
 * }
 * @phpstan-type WayHomeShape array{
 *     adjuster: string,
 *     name: string,
 *     say: string|null,
 *     body: array<string, mixed>|null,
 * }
 */
final readonly class AdviceCodec
{
    private function __construct(private BenchState $state) {}

    /** @return NextMoveShape */
    public static function of(BenchState $state): array
    {
        return (new self($state))->next();
    }

    /** @return NextMoveShape */
    private function next(): array
    {
        $next = $this->state->next();

        return [
            'kind' => $next->kind->value,
            'sentence' => $next->sentence,
            'looked_at' => $next->isLookedAt,
            'settled_by' => $next->settledBy?->value,
            'finer' => $next->settledBy === SettledBy::Finer ? $this->finer() : [],
            'suspects' => SuspectCodec::encode(Families::of($this->state->spec->family), $next->suspects),
            'recommended' => $next->recommended,
            'target_mm' => $next->target,
            'options' => array_map($this->option(...), array_values($next->options)),
            'plan' => $this->plan($next->plan),
        ];
    }

    /** @return list<string> instruments of the shelf that are finer than the one it was read with, the finest first */
    private function finer(): array
    {
        $group = $this->state->judgement->nowGroup;

        return $group === null ? [] : array_map(
            static fn (Instrument $one): string => $one->id,
            $this->state->facts->standing->finerThan($group->instrument, $group->found->mean),
        );
    }

    /** @return OptionShape */
    private function option(AdjusterAdvice $advice): array
    {
        $adjuster = $this->state->run->adjuster($advice->adjuster);

        return [
            'adjuster' => $advice->adjuster,
            'kind' => $advice->kind->value,
            'direction' => $advice->steps === null ? null : $this->direction($adjuster, $advice->steps),
            'rotation' => $advice->steps === null ? null : $this->rotation($advice->adjuster, $advice->steps)?->value,
            'seen_from' => $adjuster?->kind()->seenFrom() ?? '',
            'say' => $advice->steps === null ? null : $adjuster?->counting()->say($advice->steps),
            'phrase' => $advice->steps === null ? null : $adjuster?->say($advice->steps),
            'steps' => $advice->steps?->toFloat(),
            'grows_mm' => $advice->steps === null ? null : $adjuster?->showing($advice->steps),
            'expected_mm' => $advice->expected === null ? null : max(0.0, $advice->expected),
            'low_mm' => $advice->low,
            'high_mm' => $advice->high,
            'chance' => $advice->chance,
            'room_say' => $advice->roomLeft,
            'healthy_after' => $advice->healthyAfter,
            'sentence' => $advice->sentence,
        ];
    }

    private function direction(?Adjuster $adjuster, Steps $steps): ?string
    {
        return $adjuster?->ways()->of($steps);
    }

    private function rotation(string $adjuster, Steps $steps): ?Rotation
    {
        $out = $this->state->run->adjuster($adjuster)?->kind()->rotationOut();

        return $steps->count < 0 ? $out?->opposite() : $out;
    }

    /** @return PlanShape|null */
    private function plan(?AdjustmentPlan $plan): ?array
    {
        return $plan === null ? null : [
            'steps' => array_map($this->option(...), $plan->steps),
            'done' => $plan->done,
            'why' => $plan->why,
            'runner_up' => $plan->runnerUp,
        ];
    }

    /** @return list<WayHomeShape> moves that bring everything back to where it stood */
    public static function wayHome(BenchState $state): array
    {
        $way = [];
        foreach ($state->wayHome() as $id => $steps) {
            $adjuster = $state->run->adjuster($id);
            if ($adjuster !== null && $steps?->isNone() !== true) {
                $way[] = [
                    'adjuster' => $id,
                    'name' => $adjuster->name(),
                    'say' => $steps === null ? null : $adjuster->say($steps),
                    'body' => $steps === null
                        ? null
                        : ['adjuster' => $id, $adjuster->counting()->unit->field() => $steps->toFloat()],
                ];
            }
        }

        return $way;
    }
}
