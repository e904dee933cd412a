<?php

declare(strict_types=1);

namespace VividPull\Core\Progress;

use VividPull\Core\Family\Families;
use VividPull\Core\Log\Entry\Inspected;
use VividPull\Core\Log\Finding;
use VividPull\Core\Measurement\VerdictKind;
use VividPull\Core\Planning\CableState;
use VividPull\Core\Procedure\JobStage;
use VividPull\Core\Procedure\Step;

/**
 * A check: the machine made safe, its play read as it stands, and that signed. It says that play is inside its band,
 * and nothing of what nobody looked at: never *fit for use*. As soon as anything is outside, wrong or moved it is a
 * whole job, with all that was answered so far.
 */
final readonly class QuickCheck
{
    /** What a check asks of the stages that a whole job goes through, in their order. */
    private const STAGES = [JobStage::MakeSafe, JobStage::AsFound, JobStage::Prove, JobStage::Close];

    /**
     * @param  array<string, list<StageItem>>  $items  what it asks, by stage
     * @param  string|null  $over  why it is a whole job now; null while it is a check
     * @param  list<string>  $says  what whoever signs it says beside the reading
     */
    private function __construct(public array $items, public ?string $over, public array $says) {}

    /**
     * Null where the job was not begun as a check.
     *
     * @param  array<string, list<StageItem>>  $whole  what a whole job asks, by stage
     */
    public static function of(CableState $first, ?CableState $second, array $whole): ?self
    {
        if ($first->facts->chosen->isCheck === null) {
            return null;
        }
        $items = self::items($first, $second, $whole);
        $family = Families::of($first->spec->family);
        $says = array_map(static fn (Step $step): string => $step->label, [...$family->refit(), ...$family->closing()]);

        return new self($items, self::over($first, $second, $items), $says);
    }

    public function isOn(): bool
    {
        return $this->over === null;
    }

    /** @return list<string> what stands in the way of signing it, a sentence each */
    public function missing(): array
    {
        $missing = $this->over === null ? [] : [$this->over];
        foreach ($this->items as $stage => $of) {
            foreach ($of as $item) {
                if (! $item->done && $item->kind !== ItemKind::SignOff) {
                    $missing[] = JobStage::from($stage)->title().': '.lcfirst($item->label)
                        .($item->said === null ? ' is missing.' : ": {$item->said}.");
                }
            }
        }

        return $missing;
    }

    /**
     * Its lines of safety, the state it is in, play in every pose, what is asked of a reading that does not fit, and
     * the signature. Where an adjuster stands is not asked: nothing is moved.
     *
     * @param  array<string, list<StageItem>>  $whole
     * @return array<string, list<StageItem>>
     */
    private static function items(CableState $first, ?CableState $second, array $whole): array
    {
        $items = array_fill_keys(array_keys($whole), []);
        foreach (self::STAGES as $stage) {
            foreach ($whole[$stage->value] as $item) {
                if (! self::isAsked($stage, $item)) {
                    continue;
                }
                // Of a reading it is not enough that it was made.
                $of = $item->isSecond ? $second ?? $first : $first;
                $items[$stage->value][] = $stage === JobStage::AsFound && $item->topic() === ItemTopic::Reading
                    ? $item->doneOnlyIf($of->judgement->found->is(VerdictKind::Inside))
                    : $item;
            }
        }

        return $items;
    }

    private static function isAsked(JobStage $stage, StageItem $item): bool
    {
        return match ($stage) {
            JobStage::MakeSafe => true,
            JobStage::AsFound => $item->topic() !== ItemTopic::Thread,
            JobStage::Prove => in_array($item->topic(), [ItemTopic::Pose, ItemTopic::Doubt], true)
                || $item->key === 'wheels_down',
            default => $item->kind === ItemKind::SignOff,
        };
    }

    /** @param  array<string, list<StageItem>>  $items */
    private static function over(CableState $first, ?CableState $second, array $items): ?string
    {
        foreach ([$first->judgement, $second?->judgement] as $of) {
            foreach ($of === null ? [] : [$of->found, ...array_values($of->poses)] as $verdict) {
                if ($verdict->kind->isOutside()) {
                    return "{$verdict->sentence}: it is a whole job now";
                }
            }
        }
        $facts = $first->facts;
        $isFailed = array_filter(
            array_merge(...array_values($items)),
            static fn (StageItem $item): bool => $item->failed,
        ) !== [];
        $isFault = array_filter(
            $facts->answers->inspected,
            static fn (Inspected $one): bool => $one->finding === Finding::Fault,
        ) !== [];

        return match (true) {
            $first->spec->aim === null => 'No play is read on this control: it is a whole job',
            $facts->chosen->isCheck === false => 'It was gone on with as a whole job',
            $facts->tag !== null => "A tag stands ({$facts->tag->reason}): only a whole job lifts it",
            $facts->observations->told !== [] => $facts->observations->told[0]->said().'. That takes a whole job',
            $facts->answers->wireInNotes() !== null => 'The log tells of a wire that may part: it is a whole job now',
            $facts->chosen->byChoice !== null, $isFailed, $isFault => 'Something is not right: it is a whole job now',
            $facts->observations->putRight !== []
                || $facts->answers->parts !== []
                || $facts->observations->replacing !== null => 'More was done than reading: it is a whole job now',
            $facts->readings->isChanged() => 'Something was moved: it is a whole job now',
            default => null,
        };
    }
}
