<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Bench;

use PHPUnit\Framework\TestCase;
use VividPull\Core\Family\Families;
use VividPull\Core\Judging\GateStatus;
use VividPull\Core\Log\ClosingOutcome;
use VividPull\Core\Procedure\GateKey;
use VividPull\Core\Procedure\Proof;
use VividPull\Core\Spec\FamilyKey;
use VividPull\Core\Tests\Support\FamilyJob;
use VividPull\Core\Tests\Support\TestJob;
use VividPull\Core\Wire\LogRows;

/** A proof that cannot be seen on this machine is passed with its reason, and never one that a hand can try. */
final class NotHereTest extends TestCase
{
    public function test_an_arm_inside_its_case_is_passed_with_the_reason(): void
    {
        $job = self::atTheArm();
        self::assertSame(
            'Say why it cannot be seen, such as: arm inside its case.',
            $job->refusal(static fn (TestJob $one): TestJob => $one->line('not here')),
        );
        $job->line('not here arm inside its Case');
        self::assertTrue($job->state->progress->item('check:arm_loose')?->done);
        self::assertSame(
            'Not here: it cannot be seen: arm inside its Case',
            $job->state->progress->item('check:arm_loose')->said,
        );
        $gate = array_values(array_filter(
            $job->state->judgement->gates,
            static fn ($one): bool => $one->gate->key === GateKey::ArmFree,
        ))[0];
        self::assertSame(GateStatus::Passed, $gate->status);
        self::assertStringContainsString('not to be seen on this machine (arm inside its Case)', $gate->sentence);
        $rows = LogRows::of($job->state);
        self::assertStringEndsWith('arm inside its Case', $rows[count($rows) - 1]['what']);
    }

    public function test_an_arm_that_is_not_free_stays_a_failure(): void
    {
        $job = self::atTheArm()->line('no');
        self::assertNotSame([], $job->state->progress->blocks(ClosingOutcome::Fit));
        self::assertTrue($job->state->progress->item('check:arm_loose')?->failed);
    }

    public function test_no_proof_that_a_hand_or_the_machine_can_try_is_ever_passed_unseen(): void
    {
        $hidden = [];
        foreach (FamilyKey::cases() as $key) {
            foreach (Families::of($key)->proofs(FamilyJob::of($key)->state->run) as $proof) {
                if (isset($proof->answers->words[Proof::NOT_HERE])) {
                    $hidden[] = "{$key->value} {$proof->key}";
                }
            }
        }
        self::assertSame(
            ['clutch_lever arm_loose', 'clutch_lever wiggle_still', 'bail contact_open', 'mode_cables dash_agrees'],
            $hidden,
        );
    }

    private static function atTheArm(): TestJob
    {
        return TestJob::clutch()->ready()->read(15.0, 15.0, 15.0);
    }
}
