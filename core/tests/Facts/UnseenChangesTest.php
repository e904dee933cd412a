<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Facts;

use Closure;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use VividPull\Core\Cable\Pose;
use VividPull\Core\Log\ClosingOutcome;
use VividPull\Core\Log\Finding;
use VividPull\Core\Measurement\VerdictKind;
use VividPull\Core\Spec\FamilyKey;
use VividPull\Core\Tests\Support\FamilyJob;
use VividPull\Core\Tests\Support\TestJob;
use VividPull\Core\Wire\StateCodec;

final class UnseenChangesTest extends TestCase
{
    public function test_a_reading_whose_author_had_not_seen_anothers_move_is_not_judged(): void
    {
        $job = TestJob::clutch()->ready()->read(25.5, 25, 25.5);
        $seen = $job->last();
        $job->as(TestJob::oda())->line('+1t', 'in_band');
        $job->person = TestJob::ines();
        $job->entry('reading', self::reading(25.0), $seen);
        self::assertTrue($job->state->judgement->now->is(VerdictKind::NotJudged));
        self::assertFalse($job->state->beliefs()->play->hasLearned(), 'nothing is learned from the pair');
        self::assertSame([], $job->state->beliefs()->surprises);
        self::assertContains(
            'Two people worked on this at once: read it again.',
            StateCodec::encode($job->state)['warnings'],
        );
    }

    public function test_a_late_reading_of_someone_who_had_seen_everything_counts(): void
    {
        $job = TestJob::clutch()->ready()->read(25.5, 25, 25.5)->as(TestJob::oda())->line('+1t', 'in_band');
        $seen = $job->last();
        $job->person = TestJob::ines();
        $job->line('n bars bumped')->entry('reading', self::reading(21.0), $seen);
        self::assertTrue($job->state->judgement->now->is(VerdictKind::TooLoose));
    }

    public function test_who_saw_everything_goes_on_learning_beside_a_reading_that_crossed(): void
    {
        $job = TestJob::clutch()->ready()->as(TestJob::oda())->read(25.5, 25, 25.5);
        $seen = $job->last();
        $job->line('+1t', 'in_band');
        $job->person = TestJob::ines();
        $job->entry('reading', self::reading(25.0), $seen);
        $job->person = TestJob::oda();
        $job->read(21, 21, 21);
        self::assertTrue($job->state->beliefs()->play->hasLearned());
        self::assertSame([], $job->state->beliefs()->surprises);
    }

    public function test_ones_own_moves_never_cross(): void
    {
        $job = TestJob::clutch()->ready()->read(25.5, 25, 25.5);
        $seen = $job->last();
        $job->line('+1t', 'in_band')->entry('reading', self::reading(21.0), $seen);
        self::assertFalse($job->state->judgement->nowGroup?->at->crossed);
    }

    public function test_a_move_across_anothers_move_asks_for_a_reading(): void
    {
        $job = TestJob::clutch()->ready()->read(25.5, 25, 25.5);
        $seen = $job->last();
        $job->as(TestJob::oda())->line('+1t', 'in_band');
        $job->person = TestJob::ines();
        $job->entry('move', ['adjuster' => 'perch', 'turns' => 1], $seen);
        self::assertSame('Two people worked on this at once: read it again', $job->state->judgement->now->sentence);
        self::assertEqualsWithDelta(
            4.0,
            $job->state->facts->adjusters->positions['perch']?->toFloat(),
            1e-9,
            'both moves happened',
        );
    }

    /**
     * @return iterable<string, array{
     *     TestJob, Closure(TestJob): TestJob, array{string, array<string, mixed>}, string, string,
     * }>
     */
    public static function overtaken(): iterable
    {
        $straight = ['key' => 'snap_shut', 'answer' => 'yes', 'pose' => 'straight'];
        $mode = static fn (): TestJob => FamilyJob::of(FamilyKey::SpeedSelector);
        yield 'a proof, and a turn' => [
            TestJob::throttle(),
            static fn (TestJob $job): TestJob => $job->entry('move', ['adjuster' => 'grip', 'flats' => 1]),
            ['check', $straight],
            'check:snap_shut/straight',
            'Opened fully and let go: snaps shut by itself, bars straight',
        ];
        yield 'a proof, and a new spring' => [
            TestJob::throttle(),
            static fn (TestJob $job): TestJob => $job->entry('part', ['part' => 'spring']),
            ['check', $straight],
            'check:snap_shut/straight',
            'Opened fully and let go: snaps shut by itself, bars straight',
        ];
        yield 'a proof, and a lock' => [
            TestJob::throttle(),
            static fn (TestJob $job): TestJob => $job->entry('confirmed', ['key' => 'locked', 'adjuster' => 'grip']),
            ['check', $straight],
            'check:snap_shut/straight',
            'Opened fully and let go: snaps shut by itself, bars straight',
        ];
        yield 'a proof, and the same proof failed' => [
            TestJob::throttle(),
            static fn (TestJob $job): TestJob => $job->entry('check', ['answer' => 'no'] + $straight),
            ['check', $straight],
            'check:snap_shut/straight',
            'Opened fully and let go: snaps shut by itself, bars straight',
        ];
        yield 'a run, and a cover that came off' => [
            $mode()->triedByHand()->refit(),
            static fn (TestJob $job): TestJob => $job->entry('cover', ['adjuster' => 'barrel', 'off' => true])->refit(),
            ['check', ['key' => 'auger_still', 'answer' => 'yes']],
            'check:auger_still',
            'With both handles released nothing turns',
        ];
        yield 'a wire, and what another saw of it' => [
            TestJob::throttle(),
            static fn (TestJob $job): TestJob => $job->entry(
                'inspected',
                ['key' => 'wire', 'finding' => 'fault', 'remark' => 'frayed'],
            ),
            ['inspected', ['key' => 'wire', 'finding' => 'sound']],
            'fault:wire',
            '',
        ];
        yield 'a lock, and a turn of the same' => [
            TestJob::throttle(),
            static fn (TestJob $job): TestJob => $job->entry('move', ['adjuster' => 'grip', 'flats' => 1]),
            ['confirmed', ['key' => 'locked', 'adjuster' => 'grip']],
            'lock:grip',
            'Lock the grip adjuster',
        ];
        yield 'guards on, and a turn' => [
            $mode(),
            static fn (TestJob $job): TestJob => $job->entry('move', ['adjuster' => 'barrel', 'flats' => 1]),
            ['confirmed', ['key' => 'guards']],
            'guards',
            '',
        ];
        yield 'tools out, and a mend' => [
            TestJob::clutch(),
            static fn (TestJob $job): TestJob => $job->entry('put_right', ['cure' => 'oiled']),
            ['confirmed', ['key' => 'restored']],
            'restored',
            '',
        ];
        yield 'a blade that was timed, and a new cable' => [
            FamilyJob::of(FamilyKey::Bail)->triedByHand()->refit(),
            static fn (TestJob $job): TestJob => $job->entry('part', ['part' => 'cable'])->triedByHand()->refit(),
            ['measure', ['key' => 'blade_stop', 'value' => 2, 'entered' => '2']],
            'measure:blade_stop',
            'Blade stop time',
        ];
        yield 'a setting, and a turn' => [
            $mode(),
            static fn (TestJob $job): TestJob => $job->entry('move', ['adjuster' => 'barrel', 'flats' => 1]),
            ['outcome', ['setting' => 'f1', 'saw' => 'forward']],
            'outcome:f1',
            '',
        ];
        yield 'a thread, and its turn' => [
            TestJob::throttle(),
            static fn (TestJob $job): TestJob => $job->entry('move', ['adjuster' => 'carburettor', 'flats' => 1]),
            ['thread', ['adjuster' => 'carburettor', 'turns' => 5]],
            'thread:carburettor',
            '',
        ];
        yield 'left by choice, and a turn' => [
            TestJob::clutch()->ready()->read(22, 22, 22),
            static fn (TestJob $job): TestJob => $job->entry('move', ['adjuster' => 'perch', 'flats' => 1]),
            ['by_choice', ['reason' => 'Thick gloves.']],
            'in_band',
            '',
        ];
    }

    /**
     * @param  Closure(TestJob): TestJob  $meanwhile  what Oda did
     * @param  array{string, array<string, mixed>}  $said  by Ines, who had not seen it
     */
    #[DataProvider('overtaken')]
    public function test_what_was_said_by_somebody_who_had_not_seen_a_change_is_asked_again(
        TestJob $job,
        Closure $meanwhile,
        array $said,
        string $item,
        string $label,
    ): void {
        $job->entry('note', ['text' => 'begun']);
        $seen = $job->last();
        $meanwhile($job->as(TestJob::oda()));
        $hers = clone $job;
        $job->person = TestJob::ines();
        $job->entry($said[0], $said[1], $seen);

        self::assertNotTrue($job->state->progress->item($item)?->done, 'it is open');
        self::assertSame(
            [[$job->last(), 'Oda']],
            array_map(
                static fn (array $one): array => [$one[0]->stamp->id, $one[1]->name],
                $job->state->facts->answers->overtaken,
            ),
        );
        $asked = $job->state->progress->item($item)->label ?? null;
        $warned = array_values(array_filter(
            StateCodec::encode($job->state)['warnings'],
            static fn (string $one): bool => str_contains($one, 'had not seen'),
        ));
        self::assertSame(
            $asked === null ? [] : ['Ines had not seen what Oda did meanwhile. Asked again: '.rtrim($asked, '?').'.'],
            $warned,
        );
        self::assertStringContainsString($label, implode($warned));

        // A blade is timed three times.
        foreach (range(1, $said[0] === 'measure' ? 3 : 1) as $_) {
            $job->entry($said[0], $said[1]);
        }
        self::assertSame(
            [],
            array_filter(
                StateCodec::encode($job->state)['warnings'],
                static fn (string $one): bool => str_contains($one, 'had not seen'),
            ),
            'said again, it is settled',
        );
        $hers->entry($said[0], $said[1]);
        self::assertSame([], $hers->state->facts->answers->overtaken, 'who did it knows it');
    }

    public function test_what_is_wrong_is_believed_whoever_had_seen_what(): void
    {
        $job = TestJob::throttle()->entry('note', ['text' => 'begun']);
        $seen = $job->last();
        $job->as(TestJob::oda())->entry('move', ['adjuster' => 'grip', 'flats' => 1]);
        $job->person = TestJob::ines();
        $job
            ->entry('check', ['key' => 'snap_shut', 'answer' => 'no', 'pose' => 'left'], $seen)
            ->entry('inspected', ['key' => 'wire', 'finding' => 'fault', 'remark' => 'frayed'], $seen);
        self::assertStringContainsString(
            'snaps shut by itself, bars full left failed',
            implode($job->state->progress->blocks(ClosingOutcome::Fit)),
        );
        self::assertSame(Finding::Fault, $job->state->facts->answers->inspected['wire']->finding);
    }

    public function test_what_somebody_stood_by_is_not_lost_beside_what_else_was_read(): void
    {
        $job = TestJob::throttle()->ready()->read(4, 4, 4)->readIn(Pose::Left, 4.1, 17);
        $job->entry('upheld', ['reading' => $job->last()])->as(TestJob::oda())->readIn(Pose::Left, 3.9, 4);
        self::assertSame(VerdictKind::CantTell, $job->state->judgement->poses['left']->kind);
        $group = $job->state->facts->readings->groups[2];
        self::assertSame(
            'Read 17.0 mm before and 4.0 mm now, and nothing was moved in between: misread, or did something slip?',
            $group->doubt?->question,
        );
        $job->entry('upheld', ['reading' => $job->last()]);
        self::assertSame(
            VerdictKind::Inside,
            $job->state->judgement->poses['left']->kind,
            'stood by as well, the last one counts',
        );
    }

    /** @return array<string, mixed> */
    private static function reading(float $mm): array
    {
        return [
            'mm' => $mm,
            'entered' => (string) $mm,
            'point' => 'lever_tip',
            'engine' => 'cold',
            'wheels' => 'on_ground',
            'instrument' => 'rule',
        ];
    }
}
