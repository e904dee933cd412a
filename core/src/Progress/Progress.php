<?php

declare(strict_types=1);

namespace VividPull\Core\Progress;

use VividPull\Core\Log\ClosingOutcome;
use VividPull\Core\Log\EntryKind;
use VividPull\Core\Procedure\JobStage;

/** How far the job is: the items of each stage, the stage with the first thing missing, and how it may end. */
final readonly class Progress
{
    /**
     * @param  array<string, list<StageItem>>  $items  by stage
     * @param  list<string>  $blocksFit  what stands in the way of closing as fit, a sentence each
     * @param  list<string>  $blocksByChoice
     * @param  list<string>  $blocksTagged
     * @param  list<string>  $waits  keys of what is asked after all else: what runs the machine while that failed at
     *     rest, what is tried while a pose was read outside
     */
    public function __construct(
        public JobStage $stage,
        public array $items,
        public array $blocksFit,
        public array $blocksByChoice,
        public array $blocksTagged,
        /** Null where a whole job was begun. */
        public ?QuickCheck $check = null,
        public array $waits = [],
    ) {}

    /**
     * The first thing missing in the current stage; what was answered badly comes after what was not answered at all,
     * and what has to wait comes last.
     */
    public function asks(): ?StageItem
    {
        $failed = $waiting = null;
        foreach ($this->items[$this->stage->value] ?? [] as $item) {
            $waits = in_array($item->key, $this->waits, true);
            if (! $item->done && ! $item->failed && ! $waits) {
                return $item;
            }
            $failed ??= $item->done || $waits ? null : $item;
            $waiting ??= $item->done ? null : $item;
        }

        return $failed ?? $waiting;
    }

    /**
     * What of a stage may be confirmed together: its lines that nobody has answered yet, where there are several.
     *
     * @return list<StageItem>
     */
    public function together(JobStage $stage): array
    {
        if (! in_array($stage, [JobStage::MakeSafe, JobStage::LookOver], true)) {
            return [];
        }
        $lines = array_values(array_filter(
            $this->items[$stage->value] ?? [],
            static fn (StageItem $item): bool => ! $item->done
                && ! $item->failed
                && in_array(
                    $item->answers[0]->writes->kind ?? null,
                    [EntryKind::Confirmed, EntryKind::Inspected],
                    true,
                ),
        ));

        return count($lines) < 2 ? [] : $lines;
    }

    public function item(string $key): ?StageItem
    {
        foreach ($this->items as $items) {
            foreach ($items as $item) {
                if ($item->key === $key) {
                    return $item;
                }
            }
        }

        return null;
    }

    public function stageOf(string $key): ?JobStage
    {
        foreach ($this->items as $stage => $items) {
            foreach ($items as $item) {
                if ($item->key === $key) {
                    return JobStage::from($stage);
                }
            }
        }

        return null;
    }

    /** @return list<string> */
    public function blocks(ClosingOutcome $outcome): array
    {
        return match ($outcome) {
            ClosingOutcome::Fit => $this->blocksFit,
            ClosingOutcome::ByChoice => $this->blocksByChoice,
            ClosingOutcome::Tagged => $this->blocksTagged,
            ClosingOutcome::Checked => $this->check?->missing() ?? ['It was begun as a whole job. Close it as one.'],
        };
    }
}
