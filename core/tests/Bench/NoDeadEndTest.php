<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Bench;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use VividPull\Core\Bench\Cure;
use VividPull\Core\Bench\EntryKind;
use VividPull\Core\Bench\ItemKind;
use VividPull\Core\Bench\JobStage;
use VividPull\Core\Bench\StageItem;
use VividPull\Core\Cable\Pose;
use VividPull\Core\Errors\Refused;
use VividPull\Core\Family\FamilyKey;
use VividPull\Core\Planning\PlanKind;
use VividPull\Core\Planning\TableAdviceKind;
use VividPull\Core\Planning\TablePlanner;
use VividPull\Core\Tests\Support\Chance;
use VividPull\Core\Tests\Support\FamilyJob;
use VividPull\Core\Tests\Support\TestJob;

/** Whatever is answered, the bench offers a way on: a reading, a move, a check, a mend, a replacement or a tag. */
final class NoDeadEndTest extends TestCase
{
    private const WALKS = 20;

    private const STEPS = 60;

    /** @return iterable<string, array{FamilyKey}> */
    public static function families(): iterable
    {
        foreach (FamilyKey::cases() as $key) {
            yield $key->value => [$key];
        }
    }

    #[DataProvider('families')]
    public function test_no_walk_through_a_job_ends_before_it_is_signed(FamilyKey $key): void
    {
        for ($walk = 0; $walk < self::WALKS; $walk++) {
            $chance = new Chance(500 + $walk);
            $job = FamilyJob::of($key);
            $last = [];
            for ($step = 0; $step < self::STEPS; $step++) {
                $item = $job->state->progress->asks();
                self::assertNotNull($item, "walk {$walk}, step {$step}: nothing is asked");
                if ($item->kind === ItemKind::SignOff) {
                    break;
                }
                $where = "walk {$walk}, step {$step}, {$item->key}, after ".implode(', ', array_slice($last, -6));
                self::assertFalse($item->failed && str_starts_with($item->key, 'check:') && $this->isOnlyFailing($job), "{$where}: put it right and answer again, and no way how");
                $this->goOn($job, $item, $chance, $where);
                $last[] = $item->key;
            }
        }
    }

    /** Whether nothing else is open in the stage than what failed. */
    private function isOnlyFailing(TestJob $job): bool
    {
        $items = $job->state->progress->items[$job->state->progress->stage->value];

        return $job->state->progress->stage === JobStage::Prove && array_filter($items, static fn (StageItem $one): bool => ! $one->done && ! $one->failed) === [];
    }

    private function goOn(TestJob $job, StageItem $item, Chance $chance, string $where): void
    {
        try {
            match (true) {
                $item->kind === ItemKind::Thread => $job->line($item->answers === [] ? '3' : 'ok', $item->key),
                $item->kind === ItemKind::Measure => $job->line((string) round($chance->between(1.0, 40.0), 1), $item->key),
                $item->key === 'put_right' => $job->entry('put_right', ['cure' => Cure::Other->value]),
                $item->kind === ItemKind::InBand => $this->set($job, $item, $chance, $where),
                $item->kind === ItemKind::Reading => $this->read($job, $item, $chance),
                default => $this->answer($job, $item, $chance, $where),
            };
        } catch (Refused $refused) {
            self::fail("{$where}: {$refused->getMessage()}");
        }
    }

    private function read(TestJob $job, StageItem $item, Chance $chance): void
    {
        $job->line((string) round($chance->between(3.0, 17.0), 1), $item->key, $item->about === null ? null : Pose::tryFrom($item->about));
    }

    private function set(TestJob $job, StageItem $item, Chance $chance, string $where): void
    {
        $next = $job->state->next();
        if ($next->kind === PlanKind::Table && $job->state->judgement->table !== null) {
            $advice = TablePlanner::advise($job->state->spec, $job->state->judgement->table, $job->state->run, $job->state->facts);
            self::assertContains($advice->kind, TableAdviceKind::cases(), $where);
            $adjuster = $job->state->run->adjuster($advice->adjuster ?? '');
            if ($advice->steps !== null && $adjuster !== null) {
                $job->entry('move', ['adjuster' => $adjuster->id(), $adjuster->counting()->unit->field() => $advice->steps->toFloat()]);

                return;
            }
            $job->entry('put_right', ['cure' => Cure::Other->value]);

            return;
        }
        $advised = $next->options[$next->recommended ?? ''] ?? null;
        $adjuster = $job->state->run->adjuster($advised->adjuster ?? '');
        self::assertNotSame('', $next->sentence, $where);
        match (true) {
            $advised?->steps !== null && $adjuster !== null => $job->entry('move', ['adjuster' => $adjuster->id(), $adjuster->counting()->unit->field() => $advised->steps->toFloat()]),
            $next->kind === PlanKind::Read, $next->kind === PlanKind::Decide => $this->read($job, $item, $chance),
            // A part is blamed, or nothing reaches: something is mended.
            default => $job->entry('put_right', ['cure' => Cure::Other->value]),
        };
    }

    private function answer(TestJob $job, StageItem $item, Chance $chance, string $where): void
    {
        self::assertNotSame([], $item->answers, "{$where}: it cannot be answered");
        $answer = $item->answers[$chance->whole(0, 3) === 0 ? $chance->whole(0, count($item->answers) - 1) : 0];
        $remark = $answer->asksRemark && $answer->kind !== EntryKind::Step ? ['remark' => 'seen so'] : [];
        $job->entry($answer->kind->value, $answer->body + $remark);
    }
}
