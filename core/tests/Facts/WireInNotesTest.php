<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Facts;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use VividPull\Core\Family\Families;
use VividPull\Core\Judging\GateState;
use VividPull\Core\Judging\GateStatus;
use VividPull\Core\Procedure\GateKey;
use VividPull\Core\Spec\FamilyKey;
use VividPull\Core\Tests\Support\FamilyJob;
use VividPull\Core\Tests\Support\TestJob;

/** Whoever writes that the wire frays looks at it again before anybody signs. Common practice, no source. */
final class WireInNotesTest extends TestCase
{
    /** @return iterable<string, array{FamilyKey, string}> families whose wire is looked at, and what that is called */
    public static function wires(): iterable
    {
        foreach (FamilyKey::cases() as $family) {
            foreach (Families::of($family)->lookOver() as $inspection) {
                if ($inspection->gate === GateKey::WireSound) {
                    yield $family->value => [$family, $inspection->key];
                }
            }
        }
    }

    #[DataProvider('wires')]
    public function test_a_note_that_tells_of_it_is_answered_by_looking_again(FamilyKey $family, string $key): void
    {
        $job = FamilyJob::of($family);
        $job->entry('inspected', ['key' => $key, 'finding' => 'sound']);
        self::assertSame(GateStatus::Passed, self::wire($job));
        $job->line('n two strands broken behind the barrel');
        self::assertSame(GateStatus::Unknown, self::wire($job));
        self::assertStringStartsWith(
            'Written in the log: “two strands broken behind the barrel”. ',
            (string) $job->state->progress->item($key)?->detail,
        );
        $job->entry('inspected', ['key' => $key, 'finding' => 'sound', 'remark' => 'replaced']);
        self::assertSame(GateStatus::Passed, self::wire($job), 'looked at since');
    }

    public function test_it_takes_no_fault_away_and_is_gone_with_the_note(): void
    {
        $job = TestJob::clutch();
        $job->entry('inspected', ['key' => 'wire', 'finding' => 'fault', 'remark' => 'frayed']);
        $job->line('n frayed behind the lever');
        self::assertSame(GateStatus::Failed, self::wire($job));
        $job->entry('inspected', ['key' => 'wire', 'finding' => 'sound']);
        $job->line('n frayed again');
        self::assertSame(GateStatus::Unknown, self::wire($job));
        $job->line('v written on the wrong job');
        self::assertSame(GateStatus::Passed, self::wire($job));
    }

    public function test_other_notes_leave_it_as_it_was_seen(): void
    {
        $job = TestJob::clutch();
        $job->entry('inspected', ['key' => 'wire', 'finding' => 'sound']);
        $job->line('n no fray, wire dry');
        self::assertSame(GateStatus::Passed, self::wire($job));
    }

    private static function wire(TestJob $job): ?GateStatus
    {
        $gates = array_filter(
            $job->state->judgement->gates,
            static fn (GateState $one): bool => $one->gate->key === GateKey::WireSound,
        );

        return array_values($gates)[0]->status ?? null;
    }
}
