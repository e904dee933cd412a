<?php

declare(strict_types=1);

namespace VividPull\Core\Progress;

use VividPull\Core\Facts\Facts;
use VividPull\Core\Family\Families;
use VividPull\Core\Judging\GateState;
use VividPull\Core\Judging\GateStatus;
use VividPull\Core\Judging\Judgement;
use VividPull\Core\Measurement\VerdictKind;
use VividPull\Core\Planning\CableState;
use VividPull\Core\Procedure\JobStage;
use VividPull\Core\Spec\Spec;

/** Stage, what is missing, and how the job may end. */
final readonly class StageProgress
{
    /** @param  CableState|null  $second  of a control with two cables that are read */
    public static function of(CableState $first, ?CableState $second): Progress
    {
        [$spec, $facts, $judgement] = [$first->spec, $first->facts, $first->judgement];
        $asking = new StageItems($first, $second);
        $whole = $asking->all();
        $check = QuickCheck::of($first, $second, $whole);
        $items = $check?->isOn() === true ? $check->items : $whole;
        $missing = self::missing($whole, false);
        $gates = array_map(
            static fn (GateState $gate): string => $gate->sentence,
            [...$judgement->gatesThat(GateStatus::Failed), ...$judgement->gatesThat(GateStatus::Unknown)],
        );

        return new Progress(
            self::stage($items, $facts),
            $items,
            array_values(array_unique([
                ...$gates,
                ...self::tagStands($facts),
                ...self::byChoiceStands($first, $second),
                ...$missing,
            ])),
            array_values(array_unique([
                ...self::mayChoose($spec, $facts),
                ...$gates,
                ...self::tagStands($facts),
                ...self::missing($whole, true),
            ])),
            $facts->tag === null ? ['Hang the tag first: say why it must not run.'] : [],
            $check,
            self::waiting($asking, $whole, $facts, $judgement),
        );
    }

    /**
     * What runs waits for what failed with the machine at rest; and whatever is tried waits for a pose that was read
     * outside: it is turned for that, and all is tried anew.
     *
     * @param  array<string, list<StageItem>>  $items
     * @return list<string>
     */
    private static function waiting(StageItems $asking, array $items, Facts $facts, Judgement $judgement): array
    {
        $prove = $items[JobStage::Prove->value] ?? [];
        $isOutside = array_filter(
            $prove,
            static fn (StageItem $one): bool => $one->kind === ItemKind::Reading
                && $one->failed
                && ! self::isLetBe($one, $facts),
        ) !== [];

        return match (true) {
            $isOutside => array_values(array_map(
                static fn (StageItem $one): string => $one->key,
                array_filter(
                    $prove,
                    static fn (StageItem $one): bool => $one->kind !== ItemKind::Reading
                        && $one->key !== StageItems::WHEELS_DOWN
                        && $one->topic() !== ItemTopic::Condition
                        && $one->topic() !== ItemTopic::Doubt,
                ),
            )),
            $judgement->stopsRunning() !== [] => $asking->thatRun(),
            default => [],
        };
    }

    /** @param  array<string, list<StageItem>>  $items */
    private static function stage(array $items, Facts $facts): JobStage
    {
        if ($facts->closed === null) {
            foreach ($items as $stage => $of) {
                foreach ($of as $item) {
                    if (! $item->done && ! self::isLetBe($item, $facts)) {
                        return JobStage::from($stage);
                    }
                }
            }
        }

        return JobStage::Close;
    }

    /**
     * What is left outside by choice may also bite otherwise than the book has it; a proof of safety is never let be.
     */
    private static function isLetBe(StageItem $item, Facts $facts): bool
    {
        return $facts->chosen->byChoice !== null && $item->mayStay;
    }

    /**
     * What is missing before the signature, a sentence each.
     *
     * @param  array<string, list<StageItem>>  $items
     * @param  bool  $byChoice  whether the band itself, and what is a matter of taste, is let off
     * @return list<string>
     */
    private static function missing(array $items, bool $byChoice): array
    {
        $missing = [];
        foreach ($items as $stage => $of) {
            foreach ($of as $item) {
                if (
                    $item->done
                    || $item->kind === ItemKind::SignOff
                    || ($byChoice
                        && ($item->mayStay
                            || ($item->topic() === ItemTopic::InBand && ($item->failed || $item->said !== null))))
                ) {
                    continue;
                }
                $missing[] = JobStage::from($stage)->title().': '.lcfirst($item->label).match (true) {
                    $item->topic() === ItemTopic::Fault => ' is open: mended, or left with a reason.',
                    $item->failed => ' failed.',
                    default => ' is missing.',
                };
            }
        }

        return $missing;
    }

    /** @return list<string> */
    private static function tagStands(Facts $facts): array
    {
        return $facts->tag === null
            ? []
            : ["A tag stands ({$facts->tag->reason}). A lead lifts it once every gate has passed."];
    }

    /**
     * What was chosen lets the band off, and so nothing else tells that it is inside: only a verdict does.
     *
     * @return list<string>
     */
    private static function byChoiceStands(CableState $first, ?CableState $second): array
    {
        $table = $first->judgement->table;
        $isRight = ($first->spec->aim === null || $first->judgement->now->is(VerdictKind::Inside))
            && ($second === null || $second->judgement->now->is(VerdictKind::Inside))
            && ($table === null || $table->isSet());

        return $first->facts->chosen->byChoice !== null && ! $isRight
            ? ['It is left outside by choice: close it as that.']
            : [];
    }

    /** @return list<string> */
    private static function mayChoose(Spec $spec, Facts $facts): array
    {
        return match (true) {
            ! Families::of($spec->family)->allowsByChoice() => [
                'This control is never left outside its limits by choice.',
            ],
            $facts->chosen->byChoice === null => ['Say why it is left outside the band by choice.'],
            default => [],
        };
    }
}
