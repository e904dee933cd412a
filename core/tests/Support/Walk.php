<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Support;

use PHPUnit\Framework\Assert;
use VividPull\Core\Bench\MeasuredHand;
use VividPull\Core\Cable\Pose;
use VividPull\Core\Errors\Refused;
use VividPull\Core\Planning\AdjusterAdvice;
use VividPull\Core\Planning\PlanKind;
use VividPull\Core\Planning\PlanOutcome;
use VividPull\Core\Planning\SettledBy;
use VividPull\Core\Planning\TablePlanner;
use VividPull\Core\Procedure\Cure;
use VividPull\Core\Procedure\JobStage;
use VividPull\Core\Progress\ItemKind;
use VividPull\Core\Progress\StageItem;
use VividPull\Core\Quantity\Steps;

/**
 * One walk through a job: whatever is asked is answered by chance, mostly well; at each step a way on must be offered.
 */
final class Walk
{
    private const REMEMBERED = 6;

    /** @var list<string> */
    private array $last = [];

    private function __construct(
        private readonly TestJob $job,
        private readonly Chance $chance,
        private readonly string $name,
    ) {}

    /** @return int entries made */
    public static function through(TestJob $job, int $seed, int $most, string $name): int
    {
        $walk = new self($job, new Chance($seed), "{$name}, seed {$seed}");
        for ($step = 0; $step < $most; $step++) {
            $item = $job->state->progress->asks();
            Assert::assertNotNull($item, "{$walk->where('nothing')}: nothing is asked");
            if ($item->kind === ItemKind::SignOff) {
                return $step;
            }
            $where = $walk->where($item->key);
            Assert::assertFalse(
                $item->failed && str_starts_with($item->key, 'check:') && $walk->isOnlyFailing(),
                "{$where}: put it right and answer again, and no way how",
            );
            $walk->goOn($item, $where);
            $walk->last[] = $item->key;
        }

        return $most;
    }

    private function where(string $key): string
    {
        return "{$this->name}, {$key}, after ".implode(', ', array_slice($this->last, -self::REMEMBERED));
    }

    /** Whether nothing else is open in the stage than what failed. */
    private function isOnlyFailing(): bool
    {
        $items = $this->job->state->progress->items[$this->job->state->progress->stage->value];

        return $this->job->state->progress->stage === JobStage::Prove
            && array_filter($items, static fn (StageItem $one): bool => ! $one->done && ! $one->failed) === [];
    }

    private function goOn(StageItem $item, string $where): void
    {
        try {
            match (true) {
                $item->kind === ItemKind::Thread => $this->thread($item),
                $item->kind === ItemKind::Measure => $this->job->line(
                    (string) round($this->chance->between(1.0, 40.0), 1),
                    $item->key,
                ),
                $item->key === 'put_right' => $this->job->entry('put_right', ['cure' => Cure::Other->value]),
                $item->kind === ItemKind::InBand => $this->set($item, $where),
                $item->kind === ItemKind::Reading => $this->read($item),
                default => $this->answer($item, $where),
            };
        } catch (Refused $refused) {
            Assert::fail("{$where}: {$refused->getMessage()}");
        }
    }

    /** As before, counted, or one of the answers of a person who cannot count it. */
    private function thread(StageItem $item): void
    {
        $chosen = $item->answers[$this->chance->whole(0, count($item->answers) - 1)];
        $this->job->answer($chosen);
    }

    private function read(StageItem $item): void
    {
        $this->job->line(
            (string) round($this->chance->between(1.0, 17.0), 1),
            $item->key,
            $item->about === null ? null : Pose::tryFrom($item->about),
        );
    }

    private function set(StageItem $item, string $where): void
    {
        $next = $this->job->state->next();
        if ($next->kind === PlanKind::Table && $this->job->state->judgement->table !== null) {
            $advice = TablePlanner::advise(
                $this->job->state->spec,
                $this->job->state->judgement->table,
                $this->job->state->run,
                $this->job->state->facts,
            );
            $this->leavesThread($advice->adjuster, $advice->steps, $where);
            $this->moved($advice->adjuster, $advice->steps?->toFloat());

            return;
        }
        Assert::assertNotSame('', $next->sentence, $where);
        self::blamesNothingThatReaches($next, $where);
        $advised = $next->options[$next->recommended ?? ''] ?? null;
        $this->leavesThread($advised?->adjuster, $advised?->steps, $where);
        match (true) {
            $advised?->steps !== null => $this->moved($advised->adjuster, $advised->steps->toFloat()),
            $next->kind === PlanKind::Read, $next->kind === PlanKind::Decide => $this->read($item),
            $next->settledBy === SettledBy::Hand => $this->measureHand(),
            $next->isLookedFor() && $this->chance->whole(0, 1) === 0 => $this->job->entry('nothing_found', []),
            // A part is blamed, or nothing reaches: something is mended.
            default => $this->moved(null, null),
        };
    }

    /** What is advised can be turned, and leaves the thread engaged that must be; what stands further out may stay. */
    private function leavesThread(?string $id, ?Steps $steps, string $where): void
    {
        $adjuster = $this->job->state->run->adjuster($id ?? '');
        $at = $this->job->state->facts->adjusters->at($id ?? '');
        if ($adjuster !== null && $at !== null && $steps !== null) {
            $reach = $adjuster->safe()->reaching($at);
            Assert::assertTrue($reach->contains($at->plus($steps)), "{$where}: {$id} by {$steps->toFloat()}");
        }
    }

    /** No part is suspected while an adjuster on the list still reaches. */
    private static function blamesNothingThatReaches(PlanOutcome $next, string $where): void
    {
        $reaches = array_filter($next->options, static fn (AdjusterAdvice $one): bool => $one->moves()) !== [];
        if ($next->kind === PlanKind::OutOfThread && $reaches) {
            Assert::assertStringNotContainsString('uspect', $next->sentence, $where);
        }
    }

    private function moved(?string $id, ?float $steps): void
    {
        $adjuster = $this->job->state->run->adjuster($id ?? '');
        if ($adjuster === null || $steps === null) {
            $this->job->entry(
                'put_right',
                [
                    'cure' => $this->job->state->facts->adjusters->seized === []
                        ? Cure::Other->value
                        : Cure::Freed->value,
                ],
            );

            return;
        }
        $this->job->entry('move', ['adjuster' => $adjuster->id(), $adjuster->counting()->unit->field() => $steps]);
    }

    /** Whatever it is asked to measure is taken. */
    private function measureHand(): void
    {
        $points = [];
        foreach (MeasuredHand::points($this->job->state) as $point) {
            $drawn = $this->job->state->run->asOpened()->couplings->at($point)->value ?? 3.0;
            $points[$point->value] = 20.0 * $drawn * $this->chance->between(0.5, 2.0);
        }
        $this->job->entry('hand', ['wire_mm' => 20.0, 'point_mm' => $points]);
    }

    private function answer(StageItem $item, string $where): void
    {
        Assert::assertNotSame([], $item->answers, "{$where}: it cannot be answered");
        $isAny = $this->chance->whole(0, 3) === 0;
        $answer = $item->answers[$isAny ? $this->chance->whole(0, count($item->answers) - 1) : 0];
        $this->job->answer($answer);
    }
}
