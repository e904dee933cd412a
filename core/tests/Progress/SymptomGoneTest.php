<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Progress;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use VividPull\Core\Log\ClosingOutcome;
use VividPull\Core\Log\Person;
use VividPull\Core\Log\Role;
use VividPull\Core\Procedure\Proof;
use VividPull\Core\Procedure\Symptom;
use VividPull\Core\Procedure\SymptomProofs;
use VividPull\Core\Procedure\ToldSymptom;
use VividPull\Core\Progress\Answer;
use VividPull\Core\Progress\AnswerTone;
use VividPull\Core\Progress\StageItem;
use VividPull\Core\Tests\Support\TestJob;
use VividPull\Core\Wire\ClosingRecord;
use VividPull\Core\Wire\LogRows;

/** Play inside its band is no proof that what felt wrong is gone. Common practice, no source. */
final class SymptomGoneTest extends TestCase
{
    /** A job that lacks nothing but the answer to what it was brought in with. */
    private static function all(string ...$symptoms): TestJob
    {
        $job = TestJob::clutch(standing: ['symptoms' => $symptoms])->ready()->read(15.0, 15.0, 15.0);
        for ($n = 0; $n < 60; $n++) {
            $item = $job->state->progress->asks();
            if ($item === null || $item->kind->value === 'sign_off' || str_starts_with($item->key, 'check:gone_')) {
                break;
            }
            $item->kind->value === 'reading' || $item->kind->value === 'in_band'
                ? $job->line('15', $item->key)
                : self::right($job, $item);
        }

        return $job;
    }

    private static function right(TestJob $job, StageItem $item): void
    {
        $answer = array_values(array_filter(
            $item->answers,
            static fn (Answer $one): bool => $one->tone === AnswerTone::Right,
        ))[0]
            ?? $item->answers[0];
        $job->answer($answer);
    }

    public function test_it_is_asked_last_and_blocks_fit_for_use(): void
    {
        $job = self::all('creeps_in');

        self::assertSame('check:gone_creeps_in', $job->state->progress->asks()?->key);
        self::assertStringContainsString(
            'brought in for: creeps or lurches with the lever in',
            implode(' ', $job->state->progress->blocksFit),
        );
        $job->line('gone');
        self::assertSame([], self::withoutClosing($job));
    }

    public function test_still_there_leads_to_putting_it_right_and_is_asked_again(): void
    {
        $job = self::all('creeps_in')->line('still there');
        $item = $job->state->progress->item('put_right');

        self::assertStringContainsString('Still there: creeps', $item->said ?? '');
        self::assertNotSame([], self::withoutClosing($job));
        $job->entry('put_right', ['cure' => 'other', 'remark' => 'arm set to its mark']);
        self::assertFalse($job->state->progress->item('check:gone_creeps_in')?->done, 'tried anew');
    }

    public function test_what_could_hurt_is_never_left_and_never_taken_on_trust(): void
    {
        $job = self::all('creeps_in');
        self::assertStringContainsString(
            'does not answer',
            $job->refusal(static fn (TestJob $job): TestJob => $job->entry(
                'check',
                ['key' => 'gone_creeps_in', 'answer' => 'not_here', 'remark' => 'raining'],
            )),
        );
        self::assertStringContainsString(
            'does not answer',
            $job->refusal(static fn (TestJob $job): TestJob => $job->entry(
                'check',
                ['key' => 'gone_creeps_in', 'answer' => 'left', 'remark' => 'no time'],
            )),
        );
    }

    public function test_what_is_only_a_nuisance_is_left_with_its_reason_and_stays_on_the_record(): void
    {
        $job = self::all('heavy');
        self::assertStringContainsString(
            'Say why',
            $job->refusal(static fn (TestJob $job): TestJob => $job->entry(
                'check',
                ['key' => 'gone_heavy', 'answer' => 'left'],
            )),
        );
        $job->entry('check', ['key' => 'gone_heavy', 'answer' => 'left', 'remark' => 'new cable ordered']);

        self::assertSame([], self::withoutClosing($job));
        self::assertSame(
            ['Heavy, or slow to return, still there: new cable ordered'],
            ClosingRecord::of($job->state)['left_faults'],
        );
    }

    public function test_a_move_asks_it_again(): void
    {
        $job = self::all('heavy')->line('gone')->line('+1f', 'in_band');

        self::assertFalse($job->state->progress->item('check:gone_heavy')?->done);
    }

    public function test_what_is_said_to_feel_wrong_while_the_job_is_open_is_asked_as_well(): void
    {
        $job = TestJob::clutch(standing: ['symptoms' => ['heavy']])
            ->ready()
            ->entry('complaint', ['symptoms' => ['creeps_in', 'heavy']]);

        self::assertEquals(
            [ToldSymptom::felt(Symptom::Heavy), ToldSymptom::felt(Symptom::CreepsIn)],
            $job->state->facts->observations->told,
        );
        self::assertNotNull($job->state->progress->item('check:gone_creeps_in'));
        self::assertStringContainsString(
            'brought in for: creeps or lurches',
            implode(' ', $job->state->progress->blocks(ClosingOutcome::Fit)),
        );
        self::assertSame(
            'Feels wrong: creeps or lurches with the lever in; heavy, or slow to return',
            LogRows::of($job->state)[count($job->state->log->entries) - 1]['what'] ?? null,
        );
    }

    public function test_what_was_gone_and_is_felt_again_is_asked_again(): void
    {
        $job = self::all('heavy')->line('gone');
        self::assertTrue($job->state->progress->item('check:gone_heavy')?->done);

        self::assertFalse(
            $job->entry('complaint', ['symptoms' => ['heavy']])->state->progress->item('check:gone_heavy')?->done,
        );
    }

    public function test_whoever_notices_it_need_not_work_on_the_job(): void
    {
        $job = TestJob::clutch();
        $job->person = new Person('mirre', 'Mirre', Role::Apprentice);

        self::assertEquals(
            [ToldSymptom::felt(Symptom::Slips)],
            $job->entry('complaint', ['symptoms' => ['slips']])->state->facts->observations->told,
        );
        self::assertStringContainsString(
            'is not on this job',
            $job->refusal(static fn (TestJob $job): TestJob => $job->entry('note', ['text' => 'slips'])),
        );
    }

    public function test_a_check_ends_where_something_feels_wrong(): void
    {
        $check = TestJob::clutchCheck();
        self::assertTrue($check->state->progress->check?->isOn());

        self::assertFalse($check->entry('complaint', ['symptoms' => ['slips']])->state->progress->check?->isOn());
    }

    public function test_of_what_it_was_not_brought_in_with_nothing_is_asked(): void
    {
        self::assertStringNotContainsString(
            'gone_',
            implode(
                ' ',
                array_map(
                    static fn ($item): string => $item->key,
                    array_merge(...array_values(self::all()->state->progress->items)),
                ),
            ),
        );
        self::assertStringContainsString(
            'is not a proof',
            self::all()->refusal(static fn (TestJob $job): TestJob => $job->entry(
                'check',
                ['key' => 'gone_heavy', 'answer' => 'gone'],
            )),
        );
    }

    /** @return iterable<string, array{Symptom, bool}> */
    public static function symptoms(): iterable
    {
        foreach (Symptom::cases() as $symptom) {
            yield $symptom->value => [$symptom, false];
            yield "{$symptom->value}, works while held" => [$symptom, true];
        }
    }

    #[DataProvider('symptoms')]
    public function test_only_gone_passes_where_it_stops_the_machine(Symptom $symptom, bool $isHeld): void
    {
        [$proof] = SymptomProofs::of([ToldSymptom::felt($symptom)], $isHeld);

        self::assertTrue($proof->passes('gone'));
        self::assertFalse($proof->passes('still'));
        self::assertSame(! $symptom->stopsTheMachine($isHeld), isset($proof->answers->words[Proof::LEFT]));
        self::assertSame($symptom->stopsTheMachine($isHeld), $proof->caution !== null);
        self::assertSame($symptom->words(), SymptomProofs::words($proof));
    }

    /** @return list<string> what stands in the way of fit for use, the last lines of the job aside */
    private static function withoutClosing(TestJob $job): array
    {
        return array_values(array_filter(
            $job->state->progress->blocks(ClosingOutcome::Fit),
            static fn (string $one): bool => ! str_starts_with($one, 'Close:'),
        ));
    }
}
