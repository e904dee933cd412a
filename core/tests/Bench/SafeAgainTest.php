<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Bench;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use VividPull\Core\Bench\RunsTheMachine;
use VividPull\Core\Bench\SafeAgain;
use VividPull\Core\Cable\Pose;
use VividPull\Core\Progress\Answer;
use VividPull\Core\Progress\ItemKind;
use VividPull\Core\Progress\StageItem;
use VividPull\Core\Spec\FamilyKey;
use VividPull\Core\Tests\Support\FamilyJob;
use VividPull\Core\Tests\Support\TestJob;

/** Engine off before hands go near: also where it ran in between. Common practice, no source. */
final class SafeAgainTest extends TestCase
{
    private const STEPS = 90;

    /** @return iterable<string, array{FamilyKey}> */
    public static function families(): iterable
    {
        foreach (FamilyKey::cases() as $key) {
            yield $key->value => [$key];
        }
    }

    /** Every proof fails once, so that hands go back to it after it ran. */
    #[DataProvider('families')]
    public function test_after_it_ran_and_only_then_it_is_said_until_a_hand_was_at_it(FamilyKey $key): void
    {
        $job = FamilyJob::of($key);
        $failed = [];
        [$ran, $told] = [false, 0];
        for ($n = 0; $n < self::STEPS; $n++) {
            $item = $job->state->progress->asks();
            if ($item === null || $item->kind === ItemKind::SignOff) {
                break;
            }
            $said = SafeAgain::said($job->state);
            self::assertSame(
                $ran && ! RunsTheMachine::asked($job->state),
                $said !== null,
                "{$key->value}: {$item->key} after "
                    .($job->state->log->entries[count($job->state->log->entries) - 1]->kind()->value),
            );
            $told += $said === null ? 0 : 1;
            $runs = RunsTheMachine::asked($job->state);
            $isNoHand = $item->topic()->value === 'condition' || in_array($item->key, ['wheels_down'], true);
            self::answered($job, $item, $failed);
            $ran = $isNoHand ? $ran : $runs;
        }
        $key === FamilyKey::ModeCables
            ? self::assertSame(0, $told, 'of an arm nothing is tried but by hand')
            : self::assertGreaterThan(0, $told, $key->value);
    }

    public function test_it_says_what_keeps_this_machine_from_starting(): void
    {
        $job = FamilyJob::of(FamilyKey::Bail)->toReading();
        foreach (['brake_off' => 'yes', 'contact_open' => 'yes', 'brake_on' => 'yes'] as $proof => $answer) {
            $job->entry('check', ['key' => $proof, 'answer' => $answer]);
        }
        $job->entry('confirmed', ['key' => 'guards'])->entry('confirmed', ['key' => 'spark_lead']);
        self::assertSame('', (string) self::said($job), 'it is about to run');
        $job->entry('check', ['key' => 'stops', 'answer' => 'runs_on']);
        self::assertSame(
            'It ran. Before hands go near it again: engine off, spark lead off the plug; blade stopped, its area clear.',
            (string) self::said($job),
        );
        $job->line('n smells of belt');
        self::assertStringStartsWith('It ran. ', (string) self::said($job), 'a note is no hand at the machine');
        $job->entry('put_right', ['cure' => 'spring']);
        self::assertNull(self::said($job));
    }

    public function test_a_run_that_is_taken_back_did_not_run(): void
    {
        $job = FamilyJob::of(FamilyKey::HydraulicClutch)
            ->toReading()
            ->entry('check', ['key' => 'lever_feel', 'answer' => 'firm'])
            ->entry('check', ['key' => 'no_creep', 'answer' => 'no']);
        self::assertNotNull(self::said($job));
        $job->entry('void', ['entry' => $job->last(), 'reason' => 'wrong machine']);
        self::assertNull(self::said($job));
    }

    private static function said(TestJob $job): ?string
    {
        return SafeAgain::said($job->state);
    }

    /** @param  array<string, true>  $failed */
    private static function answered(TestJob $job, StageItem $item, array &$failed): void
    {
        $good = $job->right($item);
        $bad = array_values(array_filter(
            $item->answers,
            static fn (Answer $one): bool => ! in_array($one, $good, true) && ! $one->asksRemark,
        ));
        $isProof = $item->topic()->value === 'check'
            && $bad !== []
            && ! isset($failed[$item->key])
            && RunsTheMachine::asked($job->state);
        if ($isProof) {
            $failed[$item->key] = true;
        }
        $answer = $isProof ? $bad[0] : $good[0] ?? null;
        $answer === null || in_array($item->kind, [ItemKind::Reading, ItemKind::InBand, ItemKind::Measure], true)
            ? self::byHand($job, $item)
            : $job->answer($answer);
    }

    private static function byHand(TestJob $job, StageItem $item): void
    {
        if (
            $item->topic()->value === 'put_right'
            || ($item->kind === ItemKind::InBand && $job->state->spec->aim === null)
        ) {
            $job->entry('put_right', ['cure' => 'other', 'remark' => 'put right']);

            return;
        }
        $job->line(
            $item->kind === ItemKind::Measure ? '1.6' : '10',
            $item->key,
            $item->about === null ? null : Pose::tryFrom($item->about),
        );
    }
}
