<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Control;
use App\Models\EntryRow;
use App\Models\Visit;
use Tests\Support\HttpJob;
use Tests\TestCase;

/** What a signature brings about: the record, the lists, and what the next job begins with. */
final class ClosingTest extends TestCase
{
    public function test_whoever_signs_has_seen_what_somebody_else_wrote(): void
    {
        $mine = HttpJob::open($this->signIn());
        $mine->line('tag frayed wire')->assertOk();
        $theirs = HttpJob::resume($this->signIn('tomas'), $mine->id);
        $theirs->body('joined', [])->assertOk();
        $this->signIn();
        $theirs->line('n looked at it with a light');
        $this->signIn('tomas');
        $theirs->line('n the strands are whole after all')->assertOk();
        $this->signIn();
        $refused = $mine->body('closed', ['outcome' => 'tagged'])->assertConflict();
        self::assertSame(
            'Tomas wrote in this job since you looked. Look at what stands there now, then sign.',
            $refused->json('detail'),
        );
        self::assertNull($this->getJson("/api/jobs/{$mine->id}")->json('state.closed'));
        HttpJob::resume($this, $mine->id)->body('closed', ['outcome' => 'tagged'])->assertOk();
    }

    public function test_what_was_signed_stands_in_the_closing_entry_for_ever(): void
    {
        $job = $this->done(HttpJob::open($this->signIn()));
        $record = EntryRow::query()->where('job_id', $job->id)->where('kind', 'closed')->firstOrFail()->body['record'];
        self::assertSame(
            ['inside', '10 to 20 mm at the lever tip', 'Tolvane service book, 2nd edition, page 3-11'],
            [$record['left']['verdict'], $record['spec'], $record['source']],
        );
        self::assertSame($job->state['engine'], $record['engine']);
        self::assertGreaterThan(0.95, $record['left']['chance_inside']);
        self::assertSame(['passed'], array_values(array_unique(array_column($record['gates'], 'status'))));
    }

    public function test_a_client_cannot_write_the_record_itself(): void
    {
        $job = HttpJob::open($this->signIn())->ready()->read('15', '15', '15');
        foreach (['yes', 'yes', 'ok', 'ok', 'yes', 'holds', 'middle', 'ok'] as $answer) {
            $job->line($answer)->assertOk();
        }
        $job
            ->body('closed', ['outcome' => 'fit', 'record' => ['left' => ['mm' => 11, 'verdict' => 'perfect']]])
            ->assertOk();
        $record = EntryRow::query()->where('job_id', $job->id)->where('kind', 'closed')->firstOrFail()->body['record'];
        self::assertSame('inside', $record['left']['verdict']);
    }

    public function test_without_a_day_the_practice_interval_is_the_next_check(): void
    {
        $this->done(HttpJob::open($this->signIn()));
        $control = Control::query()->where('key', 'clutch')->firstOrFail();
        self::assertSame(now()->addMonths(6)->toDateString(), $control->due_on?->toDateString());
        self::assertSame('practice interval', $control->due_why);
        self::assertNull($control->planned_on);
    }

    public function test_a_device_whose_clock_is_off_by_years_puts_no_check_off(): void
    {
        $job = HttpJob::open($this->signIn())->ready()->read('15', '15', '15');
        foreach (['yes', 'yes', 'ok', 'ok', 'yes', 'holds', 'middle', 'ok'] as $answer) {
            $job->line($answer)->assertOk();
        }
        $at = now()->addYears(3)->toIso8601String();
        $job->send(['kind' => 'closed', 'body' => ['outcome' => 'fit'], 'at' => $at])->assertOk();
        $control = Control::query()->where('key', 'clutch')->firstOrFail();
        self::assertSame(now()->addMonths(6)->toDateString(), $control->due_on?->toDateString());
        self::assertSame(now()->toDateString(), substr((string) $control->summary?->at, 0, 10));
        self::assertSame($at, EntryRow::query()->where('kind', 'closed')->firstOrFail()->at, 'it stands as it was shown');
        $this->signIn('oda');
        self::assertStringContainsString(
            ','.now()->toDateString().',',
            $this->get('/api/export/history')->assertOk()->streamedContent(),
        );
    }

    public function test_the_visit_ends_with_its_last_job(): void
    {
        $this->signIn();
        $clutch = HttpJob::open($this);
        $throttle = HttpJob::open($this, 'RT-14', 'throttle');
        $this->tagged($clutch);
        self::assertNull(Visit::query()->sole()->closed_at);
        $this->tagged($throttle);
        self::assertNotNull(Visit::query()->sole()->closed_at);
        HttpJob::open($this);
        self::assertSame(2, Visit::query()->count(), 'the next job begins another');
    }

    public function test_a_closed_job_is_still_there_to_read(): void
    {
        $job = $this->done(HttpJob::open($this->signIn()));
        $state = $this->getJson("/api/jobs/{$job->id}")->assertOk()->json('state');
        self::assertSame(
            ['fit', 'Ines', 'over'],
            [$state['closed']['outcome'], $state['closed']['by'], $state['next']['kind']],
        );
        self::assertSame([false], array_values(array_unique(array_column($state['log'], 'can_void'))));
    }

    public function test_what_happens_to_the_visit_later_does_not_change_it(): void
    {
        $this->signIn();
        $throttle = HttpJob::open($this, 'RT-14', 'throttle');
        $clutch = $this->done(HttpJob::open($this));
        $before = $this->getJson("/api/jobs/{$clutch->id}")->json('state');
        $throttle->body('condition', ['engine' => 'hot', 'wheels' => 'on_stand'])->assertOk();
        self::assertSame($before, $this->getJson("/api/jobs/{$clutch->id}")->json('state'));
    }

    public function test_what_it_taught_is_handed_on_wider(): void
    {
        $job = HttpJob::open($this->signIn())->ready()->read('25', '25', '25');
        $job->line('+2t2f', ['adjuster' => 'perch', 'item' => 'in_band'])->assertOk();
        $job->read('15', '15', '15');
        $taught = $job->state['learned'];
        $job->line('ok')->assertOk();
        $job->read('15', '15', '15');
        foreach (['yes', 'yes', 'ok', 'ok', 'yes', 'holds', 'middle', 'ok'] as $answer) {
            $job->line($answer)->assertOk();
        }
        $job->body('closed', ['outcome' => 'fit'])->assertOk();
        $next = HttpJob::open($this)->state['learned'];
        self::assertEqualsWithDelta($taught['ln_ratio'], $next['ln_ratio'], 0.01);
        self::assertGreaterThan($taught['spread'], $next['spread']);
    }

    private function done(HttpJob $job): HttpJob
    {
        $job->ready()->read('15', '15', '15');
        foreach (['yes', 'yes', 'ok', 'ok', 'yes', 'holds', 'middle', 'ok'] as $answer) {
            $job->line($answer)->assertOk();
        }
        $job->body('closed', ['outcome' => 'fit'])->assertOk();

        return $job;
    }

    private function tagged(HttpJob $job): void
    {
        $job->line('tag end of the day')->assertOk();
        $job->body('closed', ['outcome' => 'tagged'])->assertOk();
    }
}
