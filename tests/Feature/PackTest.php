<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Control;
use Tests\Support\HttpJob;
use Tests\TestCase;

/** Plates and springs over HTTP: they soak on the Bench, and what one job measured the next one knows. */
final class PackTest extends TestCase
{
    public function test_plates_that_soak_show_on_the_bench_until_they_are_ready(): void
    {
        $this->travelTo('2026-06-15 09:00:00');
        $job = HttpJob::open($this->signIn());
        $job->body('soak', [])->assertOk();
        self::assertSame(
            ['soaking', '2026-06-16T09:00:00+00:00'],
            self::row($this->getJson('/api/bench')->assertOk()->json('queue')),
        );
        $this->travelTo('2026-06-16 09:00:01');
        self::assertNotSame('soaking', self::row($this->getJson('/api/bench')->json('queue'))[0]);
        $job->body('part', ['part' => 'plates'])->assertOk();
        self::assertNull(self::row($this->getJson('/api/bench')->json('queue'))[1], 'they went in');
        self::assertSame(
            [],
            array_filter($job->state['warnings'], static fn (string $one): bool => str_contains($one, 'lay in oil')),
        );
    }

    public function test_plates_that_went_in_too_soon_are_said_to_have(): void
    {
        $this->travelTo('2026-06-15 09:00:00');
        $job = HttpJob::open($this->signIn());
        $job->body('soak', [])->assertOk();
        $this->travelTo('2026-06-15 12:00:00');
        $job->body('part', ['part' => 'plates'])->assertOk();
        self::assertContains('The new plates lay in oil for 3.0 h; 24 to 48 h is usual.', $job->state['warnings']);
        $throttle = HttpJob::open($this, 'RT-14', 'throttle');
        self::assertSame(
            'This control has no plates on file.',
            $throttle->body('soak', [])->assertStatus(422)->json('detail'),
        );
    }

    public function test_what_one_job_measured_the_next_one_knows(): void
    {
        $this->signIn();
        $this->measured('3.01', 5000);
        $second = HttpJob::open($this);
        self::measure($second, '2.93');
        self::assertSame([], $second->state['beside']['pack']['lives'], 'with the same meter nothing can be said');
        $second->body('void', ['entry' => $second->state['head'], 'reason' => 'wrong plate'])->assertOk();
        $this->finish($second);
        $this->meter(9000);
        $third = HttpJob::open($this);
        self::measure($third, '2.93');
        $life = $third->state['beside']['pack']['lives'][0];
        self::assertSame(['friction_plate', 2], [$life['key'], $life['inspections']]);
        self::assertEqualsWithDelta(4000.0, $life['left'], 1.0);
    }

    private function measured(string $mm, int $usage): void
    {
        $this->meter($usage);
        $job = HttpJob::open($this);
        self::measure($job, $mm);
        $this->finish($job);
    }

    private static function measure(HttpJob $job, string $mm): void
    {
        $job
            ->body('measure', ['key' => 'friction_plate', 'value' => (float) $mm, 'entered' => $mm, 'of' => '1'])
            ->assertOk();
    }

    private function finish(HttpJob $job): void
    {
        $job->ready()->read('15', '15', '15');
        foreach (['yes', 'yes', 'ok', 'ok', 'yes', 'holds', 'middle', 'ok'] as $answer) {
            $job->line($answer)->assertOk();
        }
        $job->body('closed', ['outcome' => 'fit'])->assertOk();
    }

    private function meter(int $usage): void
    {
        Control::query()
            ->where('key', 'clutch')
            ->firstOrFail()->machine
            ->forceFill(['usage_reading' => $usage])
            ->save();
    }

    /**
     * @param  list<array<string, mixed>>  $queue
     * @return array{string, string|null}
     */
    private static function row(array $queue): array
    {
        foreach ($queue as $row) {
            if ($row['tag'] === 'RT-14' && $row['control']['key'] === 'clutch') {
                return [$row['ready'], $row['soaked_at']];
            }
        }
        self::fail('The clutch is not in the queue.');
    }
}
