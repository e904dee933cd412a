<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Progress;

use PHPUnit\Framework\TestCase;
use VividPull\Core\Bench\Warnings;
use VividPull\Core\Tests\Support\TestJob;

/** What would not be judged is said before it is read. Common practice, no source. */
final class WrongStateTest extends TestCase
{
    private const HOT = 'It is hot, and the figure is for a cold engine: what is read now is not judged. Let it cool, then say so.';

    public function test_hot_for_a_cold_figure_is_said_before_anything_is_read(): void
    {
        self::assertNull(TestJob::clutch()->state->wrongState(), 'nobody said how it stands');
        $job = TestJob::clutch()->toReading()->entry('condition', ['engine' => 'hot']);
        self::assertSame(self::HOT, $job->state->wrongState());
        $job->read(15, 15, 15);
        self::assertStringStartsWith('It is hot', $job->state->wrongState(), 'and as long as it is read so');
        self::assertStringNotContainsString('Not judged', implode(' ', Warnings::of($job->state)), 'once is enough');
        $job->entry('condition', ['engine' => 'cold']);
        self::assertNull($job->state->wrongState());
        self::assertContains(
            'Not judged: read hot; the figure is for a cold engine.',
            Warnings::of($job->state),
            'what was read hot stays what it is',
        );
        $job->read(15, 15, 15);
        self::assertNotContains('Not judged: read hot; the figure is for a cold engine.', Warnings::of($job->state));
    }

    public function test_cold_for_a_hot_figure_is_run_warm_with_its_caution(): void
    {
        $job = TestJob::clutch(['conditions' => ['engine' => 'hot', 'wheels' => null, 'poses' => ['straight']]])
            ->toReading()
            ->entry('condition', ['engine' => 'cold']);
        self::assertSame(
            'It is cold, and the figure is for a hot engine: what is read now is not judged. Run it warm, outdoors and with nobody near what turns, then say so.',
            $job->state->wrongState(),
        );
    }

    public function test_on_its_wheels_for_a_figure_on_a_stand_and_not_the_other_way_round(): void
    {
        $on = static fn (string $figure, string $stands): ?string => TestJob::clutch(['conditions' => [
            'engine' => null,
            'wheels' => $figure,
            'poses' => ['straight'],
        ]])
            ->toReading()->entry('condition', ['engine' => 'cold', 'wheels' => $stands])->state->wrongState();
        self::assertSame(
            'It is on its wheels, and the figure is for the machine on a stand: what is read now is not judged. Put it there, then say so.',
            $on('on_stand', 'on_ground'),
        );
        self::assertNull($on('on_ground', 'on_stand'), 'good enough to set by');
        self::assertNull($on('on_stand', 'on_stand'));
    }

    public function test_where_nothing_is_read_it_is_no_matter(): void
    {
        $job = TestJob::clutch()->toReading()->entry('condition', ['engine' => 'cold'])->read(15, 15, 15);
        self::assertStringStartsWith('check:', (string) $job->state->progress->asks()?->key);
        $job->entry('condition', ['engine' => 'hot']);
        self::assertNull($job->state->wrongState(), 'it is run now, and gets hot by that');
    }
}
