<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Bench;

use Closure;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use VividPull\Core\Cable\Pose;
use VividPull\Core\Errors\CoreError;
use VividPull\Core\Log\ClosingOutcome;
use VividPull\Core\Log\EntryKind;
use VividPull\Core\Procedure\Cure;
use VividPull\Core\Procedure\Symptom;
use VividPull\Core\Progress\Answer;
use VividPull\Core\Progress\ItemKind;
use VividPull\Core\Progress\StageItem;
use VividPull\Core\Spec\FamilyKey;
use VividPull\Core\Tests\Support\Auditor;
use VividPull\Core\Tests\Support\Chance;
use VividPull\Core\Tests\Support\FamilyJob;
use VividPull\Core\Tests\Support\MadeUp;
use VividPull\Core\Tests\Support\TestJob;

/**
 * Jobs that are done well and disturbed again and again: wherever the core would let them be signed as fit for use,
 * somebody who reads the bare log by the rules of the trade has nothing against it.
 */
final class AuditedJobsTest extends TestCase
{
    private const JOBS = 3;

    private const ENTRIES = 170;

    /** How often something is done that was not asked for. */
    private const DISTURBED = 0.08;

    /** How often a job came so far that it might be signed, and how often that was taken from it, over all. */
    private static int $fit = 0;

    private static int $unfit = 0;

    /** States in which it might have been left outside by choice. */
    private static int $chosen = 0;

    /** @return iterable<string, array{Closure(int): TestJob}> */
    public static function jobs(): iterable
    {
        foreach (FamilyKey::cases() as $key) {
            yield $key->value => [static fn (): TestJob => FamilyJob::of($key)];
            yield "{$key->value} as no book has it" => [static fn (int $n): TestJob => MadeUp::job($key, 71_000 + $n)];
        }
        yield 'a lever with two adjusters' => [static fn (): TestJob => TestJob::clutch()];
        yield 'a grip with covers over both adjusters' => [static fn (): TestJob => TestJob::throttle()];
        yield 'a grip with two cables' => [static fn (): TestJob => TestJob::throttle(
            ['backward' => ['low_mm' => 1, 'high_mm' => 6]],
            ['positions_steps' => ['grip' => 2.0, 'carburettor' => 3.0, 'return' => 4.0]] + TestJob::standing(),
            [[
                'id' => 'closing',
                'name' => 'Closing cable',
                'pulls' => 'closing',
                'adjusters' => [[
                    'id' => 'return',
                    'name' => 'return adjuster',
                    'kind' => 'in_line',
                    'thread' => 'M6 x 0.75',
                    'travel_mm' => 9,
                ]],
            ]],
        )];
    }

    /** @param  Closure(int): TestJob  $begin  by its number */
    #[DataProvider('jobs')]
    public function test_what_may_be_signed_has_nothing_against_it(Closure $begin): void
    {
        [$fit, $unfit, $chosen] = [0, 0, 0];
        for ($n = 0; $n < self::JOBS; $n++) {
            $job = $begin($n)->as(TestJob::oda());
            $family = $job->state->spec->family->value;
            $conditions = $job->state->spec->conditions;
            $state = array_filter(['engine' => $conditions->engine?->value, 'wheels' => $conditions->wheels?->value]);
            $chance = new Chance(31_000 + 100 * $n + crc32((string) $this->dataName()) % 97);
            $wasFit = false;
            for ($step = 0; $step < self::ENTRIES; $step++) {
                if (! self::wentOn($job, $chance)) {
                    continue;
                }
                $mayBeSigned = $job->state->progress->blocks(ClosingOutcome::Fit) === [];
                if ($mayBeSigned) {
                    self::assertSame(
                        [],
                        Auditor::objections($family, $job->written, self::bands($job), $state),
                        "seed {$chance->seed}, after ".self::told($job),
                    );
                }
                if ($job->state->progress->blocks(ClosingOutcome::ByChoice) === []) {
                    $chosen++;
                    self::assertSame(
                        [],
                        Auditor::againstChoice($family, $job->written, self::bands($job), $state),
                        "seed {$chance->seed}, by choice, after ".self::told($job),
                    );
                }
                $fit += $mayBeSigned && ! $wasFit ? 1 : 0;
                $unfit += $wasFit && ! $mayBeSigned ? 1 : 0;
                $wasFit = $mayBeSigned;
            }
        }
        self::$fit += $fit;
        self::$unfit += $unfit;
        self::$chosen += $chosen;
        self::assertGreaterThanOrEqual($unfit, $fit, 'nothing is lost that was not there');
    }

    /** After all jobs above, in their order. */
    public function test_many_of_them_might_have_been_signed_and_many_lost_it_again(): void
    {
        self::assertGreaterThan(60, self::$fit, 'jobs come so far that they may be signed');
        self::assertGreaterThan(60, self::$unfit, 'and something takes it from them again');
        self::assertGreaterThan(3, self::$chosen, 'some might have been left outside by choice');
    }

    /** @return iterable<string, array{Closure(): TestJob}> */
    public static function checks(): iterable
    {
        yield 'a lever' => [TestJob::clutchCheck(...)];
        yield 'a grip' => [static fn (): TestJob => TestJob::throttle(isCheck: true)];
    }

    /** @param  Closure(): TestJob  $begin */
    #[DataProvider('checks')]
    public function test_a_check_that_may_be_signed_was_a_check(Closure $begin): void
    {
        [$signed, $gone] = [0, 0];
        for ($n = 0; $n < 30; $n++) {
            $job = $begin()->as(TestJob::oda());
            $chance = new Chance(52_000 + $n);
            for ($step = 0; $step < 26; $step++) {
                if (! self::wentOn($job, $chance)) {
                    continue;
                }
                if ($job->state->progress->blocks(ClosingOutcome::Checked) === []) {
                    $signed++;
                    self::assertSame(
                        [],
                        Auditor::againstCheck($job->state->spec->family->value, $job->written, self::bands($job)),
                        "seed {$chance->seed}, after ".self::told($job),
                    );
                } else {
                    $gone += $job->state->progress->check?->isOn() === false ? 1 : 0;
                }
            }
        }
        self::assertGreaterThan(8, $signed);
        self::assertGreaterThan(8, $gone, 'and many are whole jobs by then');
    }

    /** @return array<string, array{float, float}> of free play, in mm, by the point it is read at */
    private static function bands(TestJob $job): array
    {
        $bands = [];
        foreach (array_filter([$job->state->spec->aim, $job->state->spec->second]) as $aim) {
            $bands[$aim->point->value] = [$aim->band->floor(), $aim->band->ceiling()];
        }

        return $bands;
    }

    /** Well inside, as far apart as a hand reads. */
    private static function inside(TestJob $job, StageItem $asked, Chance $chance): float
    {
        $bands = self::bands($job);
        [$low, $high] = array_values($bands)[str_ends_with($asked->key, ':second') ? 1 : 0];

        return round($chance->between(0.6 * $low + 0.4 * $high, 0.4 * $low + 0.6 * $high), 1);
    }

    private static function told(TestJob $job): string
    {
        return implode(
            "\n",
            array_map(
                static fn (array $one): string => "{$one['id']} {$one['kind']} ".json_encode($one['body']),
                $job->written,
            ),
        );
    }

    /** Whether it took one thing more: what is asked, or now and then something else. */
    private static function wentOn(TestJob $job, Chance $chance): bool
    {
        // Two people at it, and the network of one is away now and then.
        $late = $job->written === [] || $chance->between(0.0, 1.0) > 0.1
            ? null
            : $job->written[max(0, count($job->written) - $chance->whole(1, 6))]['id'];
        $job->person = $chance->whole(0, 1) === 0 ? TestJob::ines() : TestJob::oda();
        $job->seen = $late;
        $asked = $job->state->progress->asks();
        try {
            $asked === null || $asked->kind === ItemKind::SignOff || $chance->between(0.0, 1.0) < self::DISTURBED
                ? self::disturb($job, $chance)
                : self::answer($job, $asked, $chance);
        } catch (CoreError) {
            return false;
        }

        return true;
    }

    /** As it ought to be, and now and then as it ought not. */
    private static function answer(TestJob $job, StageItem $asked, Chance $chance): void
    {
        $pose = $asked->about === null ? null : Pose::tryFrom($asked->about);
        if ($asked->answers !== []) {
            $good = $job->right($asked);
            $among = $good === [] || $chance->between(0.0, 1.0) < 0.08 ? $asked->answers : $good;
            $one = $among[$chance->whole(0, count($among) - 1)];
            $job->answer($one);

            return;
        }
        if ($chance->whole(0, 3) === 0) {
            // It has cooled by now.
            $job->entry('condition', ['engine' => 'cold', 'wheels' => 'on_ground']);
        }
        $next = $job->state->next();
        $advised = $next->options[$next->recommended ?? ''] ?? null;
        if ($asked->kind === ItemKind::InBand && $advised?->steps !== null && $chance->whole(0, 1) === 0) {
            $adjuster = $job->state->run->adjuster($advised->adjuster);
            $job->entry(
                'move',
                [
                    'adjuster' => $advised->adjuster,
                    (string) $adjuster?->counting()->unit->field() => $advised->steps->toFloat(),
                ],
            );

            return;
        }
        $job->line(
            (string) ($asked->kind === ItemKind::Measure
                ? round($chance->between(1.0, 2.4), 1)
                : self::inside($job, $asked, $chance)),
            $asked->key,
            $pose,
        );
    }

    /**
     * What people do besides: they turn something, look again, try again, take back, put right, take a cover off, fit a
     * part.
     */
    private static function disturb(TestJob $job, Chance $chance): void
    {
        $proofs = [];
        $looks = [];
        foreach ($job->state->progress->items as $items) {
            foreach ($items as $item) {
                foreach ($item->answers as $answer) {
                    $answer->writes->kind === EntryKind::Inspected
                        ? $looks[] = $answer
                        : ($answer->writes->kind === EntryKind::Check || $answer->writes->kind === EntryKind::Outcome
                            ? $proofs[] = $answer
                            : null);
                }
            }
        }
        $adjusters = array_keys($job->state->run->adjusters());
        $adjuster = $adjusters === [] ? 'none' : $adjusters[$chance->whole(0, count($adjusters) - 1)];
        $counted = $job->state->run->adjuster($adjuster)?->counting()->unit->field() ?? 'flats';
        $before = $job->written === [] ? null : $job->written[$chance->whole(0, count($job->written) - 1)];
        $of = static fn (array $all): mixed => $all[$chance->whole(0, count($all) - 1)];
        match ($chance->whole(0, 14)) {
            14 => $chance->whole(0, 3) > 0
                ? $job->entry('complaint', ['symptoms' => [$of(Symptom::cases())->value]])
                : $job->entry('tag', ['reason' => 'Something hangs.']),
            0, 1 => $job->entry('move', ['adjuster' => $adjuster, $counted => $of([-3, -2, -1, 1, 2, 3])]),
            2 => $looks === [] ? null : self::send($job, $of($looks)),
            3, 4 => $proofs === [] ? null : self::send($job, $of($proofs)),
            5 => $job->entry('put_right', ['cure' => $of(Cure::cases())->value]),
            6 => $before === null ? null : $job->entry('void', ['entry' => $before['id'], 'reason' => 'not so']),
            7 => $job->entry('confirmed', ['key' => 'locked', 'adjuster' => $adjuster]),
            8 => $job->entry('cover', ['adjuster' => $adjuster, 'off' => $chance->whole(0, 2) > 0]),
            9 => $job->line(
                (string) round($chance->between(0.0, 20.0), 1),
                'in_band',
                Pose::cases()[$chance->whole(0, 2)],
            ),
            10 => $before === null || $before['kind'] !== 'reading' ? $job->entry('condition', ['engine' => 'hot'])
                : $job->entry(
                    'amend',
                    [
                        'entry' => $before['id'],
                        'kind' => 'reading',
                        'reason' => 'misread',
                        'body' => ['mm' => $mm = round($chance->between(0.0, 20.0), 1), 'entered' => (string) $mm]
                            + $before['body'],
                    ],
                ),
            12 => $chance->whole(0, 2) > 0
                ? $job->entry('by_choice', ['reason' => 'The rider wants it so'])
                : $job->entry('adjuster', [
                    'cable' => $job->state->run->cableOf($adjuster)->id ?? '',
                    'in_place_of' => $chance->whole(0, 1) === 0 ? $adjuster : null,
                    'adjuster' => [
                        'id' => 'new_'.count($job->written),
                        'name' => 'new adjuster',
                        'kind' => 'in_line',
                        'thread' => 'M6 x 0.75',
                        'travel_mm' => 9,
                    ],
                ]),
            11 => $job->entry('replacing', ['key' => 'begin', 'reason' => 'frayed']),
            default => $job->entry('part', ['part' => $of(['cable', 'lever', 'spring'])]),
        };
    }

    private static function send(TestJob $job, Answer $answer): void
    {
        $job->answer($answer);
    }
}
