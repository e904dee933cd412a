<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Bench;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use VividPull\Core\Bench\Carryover;
use VividPull\Core\Cable\Part;
use VividPull\Core\Log\ControlDrift;
use VividPull\Core\Tests\Support\TestJob;

/** What starts over after which part. */
final class PartsTest extends TestCase
{
    /** @return iterable<string, array{string, bool}> whether the ratio starts over */
    public static function parts(): iterable
    {
        yield 'a new cable keeps the ratio' => ['cable', false];
        yield 'so do plates' => ['plates', false];
        yield 'and a spring' => ['spring', false];
        yield 'a lever has distances of its own' => ['lever', true];
        yield 'an arm too' => ['arm', true];
        yield 'and a drum' => ['drum', true];
    }

    #[DataProvider('parts')]
    public function test_a_part_parts_the_readings_and_may_start_the_ratio_over(string $part, bool $over): void
    {
        $job = self::taught();
        $ratio = $job->state->beliefs()->play->ratio();
        self::assertEqualsWithDelta(4.0, $ratio, 0.1, 'the machine taught more than the drawing\'s 3.47');
        $job->entry('part', ['part' => $part]);
        self::assertSame('unread', $job->state->judgement->now->kind->value);
        self::assertFalse($job->state->beliefs()->play->isPlaced());
        self::assertEqualsWithDelta($over ? 132 / 38 : 4.0, exp($job->state->beliefs()->play->taught()->ln), 0.1);
        self::assertTrue($job->read(15, 15, 15)->state->beliefs()->play->isPlaced());
    }

    public function test_the_next_job_begins_with_what_was_taught_widened(): void
    {
        $job = self::taught();
        $spread = $job->state->beliefs()->play->taught()->spread;
        self::assertEqualsWithDelta(
            sqrt($spread ** 2 + 0.05 ** 2),
            Carryover::taught($job->state)['lever_tip']->spread,
            1e-12,
        );
        $job->entry('part', ['part' => 'cable'])->read(15, 15, 15)->line('+2f', 'in_band')->read(13.5, 13.5, 14);
        $spread = $job->state->beliefs()->play->taught()->spread;
        self::assertEqualsWithDelta(
            sqrt($spread ** 2 + 0.05 ** 2 + 0.10 ** 2),
            Carryover::taught($job->state)['lever_tip']->spread,
            1e-12,
            'more after a part',
        );
    }

    public function test_a_job_that_taught_nothing_hands_on_what_it_was_given(): void
    {
        $standing = ['taught' => ['lever_tip' => ['ln_ratio' => 1.4, 'spread' => 0.04]]] + TestJob::standing();
        $job = TestJob::clutch(standing: $standing)->ready()->read(15, 15, 15);
        self::assertEqualsWithDelta(1.4, Carryover::taught($job->state)['lever_tip']->ln, 1e-12);
        self::assertEqualsWithDelta(
            sqrt(0.04 ** 2 + 0.05 ** 2),
            Carryover::taught($job->state)['lever_tip']->spread,
            1e-12,
        );
        self::assertSame(
            [],
            Carryover::taught($job->entry('part', ['part' => 'lever'])->state),
            'a new lever hands on nothing it was not taught',
        );
    }

    public function test_drift_before_a_new_part_is_forgotten(): void
    {
        $visits = [
            ['found' => 20.0, 'left' => 15.0, 'parts' => []],
            ['found' => 5.0, 'left' => 16.0, 'parts' => [Part::Cable]],
            ['found' => 17.0, 'left' => 15.0, 'parts' => [Part::Spring]],
            ['found' => 15.5, 'left' => 15.0, 'parts' => []],
        ];
        $drift = ControlDrift::over($visits, 1.0);
        self::assertEqualsWithDelta((1.0 + 0.5) / 2, $drift?->conduitMm, 1e-12);
        self::assertSame(2, $drift?->intervals);
    }

    private static function taught(): TestJob
    {
        $job = TestJob::clutch()
            ->ready()
            ->read(25, 25, 25)
            ->line('+1t', 'in_band')
            ->read(20, 20, 20)
            ->line('+1t', 'in_band')
            ->read(15, 15, 15);
        $job->instrument = 'rule';

        return $job;
    }
}
