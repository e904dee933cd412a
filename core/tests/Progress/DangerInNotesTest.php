<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Progress;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use VividPull\Core\Diagnosis\Causes;
use VividPull\Core\Log\ClosingOutcome;
use VividPull\Core\Log\Entry\Noted;
use VividPull\Core\Procedure\Symptom;
use VividPull\Core\Procedure\SymptomProofs;
use VividPull\Core\Spec\FamilyKey;
use VividPull\Core\Tests\Support\FamilyJob;
use VividPull\Core\Tests\Support\TestJob;
use VividPull\Core\Wire\LogRows;

/** What somebody wrote down of a danger is answered before anybody signs. Common practice, no source. */
final class DangerInNotesTest extends TestCase
{
    /** @return iterable<string, array{FamilyKey, Symptom}> what stops each family */
    public static function dangers(): iterable
    {
        foreach (FamilyKey::cases() as $family) {
            foreach (Causes::of($family)->stopping() as $symptom) {
                yield "{$family->value}: {$symptom->value}" => [$family, $symptom];
            }
        }
    }

    #[DataProvider('dangers')]
    public function test_it_stands_in_the_way_until_somebody_answers(FamilyKey $family, Symptom $symptom): void
    {
        $job = FamilyJob::of($family)->line("n {$symptom->words()}");
        $asked = 'check:'.SymptomProofs::key($symptom);
        $said = 'A note tells of this: '.lcfirst($symptom->words());

        self::assertSame("{$said}. Gone?", $job->state->progress->item($asked)?->label);
        self::assertContains("{$said}.", $job->state->unfit());
        self::assertStringContainsString(
            lcfirst($said),
            implode(' ', $job->state->progress->blocks(ClosingOutcome::Fit)),
        );
        self::assertNull($job->line('v written on the wrong job')->state->progress->item($asked));
        self::assertNotContains("{$said}.", $job->state->unfit());
    }

    public function test_gone_answers_it_and_so_does_misread_which_runs_nothing_and_still_there_does_not(): void
    {
        $job = self::noted()->line('still there', self::ASKED);
        self::assertContains(self::SAID, $job->state->unfit());
        self::assertTrue($job->state->progress->item(self::ASKED)?->failed);

        $job = self::noted()->refit()->line('gone', self::ASKED);
        self::assertNotContains(self::SAID, $job->state->unfit());

        $job = self::noted()->line('the note means something else', self::ASKED);
        self::assertTrue($job->state->progress->item(self::ASKED)?->done);
        self::assertNotContains(self::SAID, $job->state->unfit());
        $job->line('+1f', 'in_band');
        self::assertTrue($job->state->progress->item(self::ASKED)?->done, 'whatever is turned');
        self::assertFalse($job->line('n creeps again')->state->progress->item(self::ASKED)?->done, 'that is another');
    }

    public function test_whoever_writes_it_sees_in_the_log_what_it_is_taken_for(): void
    {
        $says = static fn (TestJob $job): array => array_column(LogRows::of($job->state), 'says', 'what');
        self::assertSame(
            'Asked about before signing: creeps or lurches with the lever in',
            $says(self::noted())['it creeps with the lever in'],
        );
        self::assertSame(
            'Asked about before signing: wire frayed or broken',
            $says(TestJob::clutch()->line('n strands broken at the perch'))['strands broken at the perch'],
        );
        self::assertNull($says(TestJob::clutch()->line('n greased'))['greased']);
    }

    public function test_the_words_that_make_it_ask_stand_with_it(): void
    {
        self::assertSame(
            'Written in the log: “it creeps with the lever in”.',
            self::noted()->state->progress->item(self::ASKED)?->detail,
        );
    }

    public function test_what_is_written_after_it_was_called_gone_is_asked_again(): void
    {
        $job = self::noted()->refit()->line('gone', self::ASKED)->line('n creeps again when warm');

        self::assertFalse($job->state->progress->item(self::ASKED)?->done);
        self::assertContains(self::SAID, $job->state->unfit());
    }

    public function test_what_it_was_brought_in_with_is_asked_once_and_is_no_matter_of_reading(): void
    {
        $job = TestJob::clutch(standing: ['symptoms' => ['creeps_in']])->line('n it creeps with the lever in');

        self::assertCount(1, $job->state->facts->observations->told);
        self::assertSame(
            'Brought in for: creeps or lurches with the lever in. Gone?',
            $job->state->progress->item(self::ASKED)?->label,
        );
        self::assertStringContainsString(
            'does not answer',
            $job->refusal(static fn (TestJob $one): TestJob => $one->entry(
                'check',
                ['key' => 'gone_creeps_in', 'answer' => 'misread'],
            )),
        );
    }

    public function test_what_is_noted_of_a_part_is_read_as_well(): void
    {
        $grip = FamilyJob::of(FamilyKey::TwistGrip);
        $part = $grip->state->spec->inspections()[0];
        $grip->entry('inspected', ['key' => $part->key, 'finding' => 'noted', 'remark' => 'sticks open now and then']);

        self::assertContains('A note tells of this: does not snap shut, or shuts slowly.', $grip->state->unfit());
        $grip->entry('inspected', ['key' => $part->key, 'finding' => 'sound', 'remark' => 'sticks open now and then']);
        self::assertNotNull(
            $grip->state->progress->item('check:gone_stays_open'),
            'another word takes no danger away',
        );
    }

    public function test_a_check_becomes_a_whole_job(): void
    {
        $check = TestJob::clutchCheck()->line('n it creeps with the lever in');

        self::assertFalse($check->state->progress->check?->isOn());
        self::assertSame(
            'A note tells of this: creeps or lurches with the lever in. That takes a whole job',
            $check->state->progress->check->over ?? null,
        );
    }

    public function test_what_is_written_of_a_days_work_is_no_danger(): void
    {
        foreach ([
            'greased barrel and pivot', 'boot torn, ordered', 'customer wants more play', 'lock nut was loose',
            'adjuster seized, freed with oil', 'oiled the cable from the top', 'waited for the engine to cool',
            'spring hooked back on', 'return spring replaced', 'grip snaps shut now', 'no creep at idle',
            'does not creep', 'doesn\'t creep any more', 'gone to get the caliper', 'came back after lunch',
            'read twice, rule shook', 'tested with wheels up, fine', 'checked brake, holds', 'stops at once when let go',
            'tight at the bracket, freed', 'belt worn, will tell the owner', 'left running to warm up',
        ] as $words) {
            foreach (FamilyKey::cases() as $family) {
                $job = FamilyJob::of($family)->line("n {$words}");
                self::assertSame([], $job->state->facts->observations->told, "{$family->value}: {$words}");
            }
        }
    }

    public function test_what_was_answered_in_a_search_is_no_note_of_a_danger(): void
    {
        $notes = Noted::ofSearch('Ines', ['creeps or lurches with the lever in: no', 'slips under load: yes']);
        self::assertCount(1, $notes);

        self::assertSame([], TestJob::clutch()->entry('note', $notes[0]->body)->state->facts->observations->told);
    }

    public function test_nothing_that_was_said_is_cut_off_and_what_goes_over_into_a_second_note_says_whose_it_is(): void
    {
        $long = str_repeat('The lever was heavy all week, as it is in the cold. ', 9);
        $notes = array_column(
            array_column(Noted::told('Reported by Mirre: ', "{$long}It stops well. It creeps with the lever in."), 'body'),
            'text',
        );
        self::assertSame(
            [
                'Reported by Mirre: '.trim($long),
                'Reported by Mirre: It stops well. It creeps with the lever in.',
            ],
            $notes,
        );
        $job = TestJob::clutch();
        foreach ($notes as $note) {
            $job = $job->entry('note', ['text' => $note]);
        }
        self::assertNotSame([], $job->state->facts->observations->told, 'a danger at the end of a long report');

        $all = array_map(static fn (int $n): string => "what was asked at number {$n}: no, it is not so", range(1, 60));
        $search = array_column(array_column(Noted::ofSearch('Ines', $all), 'body'), 'text');
        self::assertGreaterThan(3, count($search));
        foreach ($search as $note) {
            self::assertLessThanOrEqual(500, mb_strlen($note));
            self::assertStringStartsWith('Looking for the cause, Ines: ', $note);
        }
        self::assertSame(
            $all,
            array_merge(...array_map(
                static fn (string $note): array => explode('; ', substr($note, strlen('Looking for the cause, Ines: '), -1)),
                $search,
            )),
        );

        $unbroken = array_column(array_column(Noted::told('Reported by Mirre: ', str_repeat('x', 700)), 'body'), 'text');
        self::assertSame(700, substr_count(implode('', $unbroken), 'x'));
        self::assertSame([], array_filter($unbroken, static fn (string $one): bool => mb_strlen($one) > 500));
    }

    public function test_what_should_not_creep_and_does_is_understood(): void
    {
        foreach (['it should not creep like that', 'creeps, which it shouldn\'t', 'shouldn\'t creep'] as $words) {
            self::assertNotSame([], TestJob::clutch()->line("n {$words}")->state->facts->observations->told, $words);
        }
    }

    private const ASKED = 'check:gone_creeps_in';

    private const SAID = 'A note tells of this: creeps or lurches with the lever in.';

    private static function noted(): TestJob
    {
        return TestJob::clutch()->ready()->read(15.0, 15.0, 15.0)->triedByHand()->line('n it creeps with the lever in');
    }
}
