<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Control;
use App\Models\SpecVersion;
use Tests\Support\HttpJob;
use Tests\TestCase;

/** An adjuster of this machine alone stays on it from job to job; the model's spec stays as it is. */
final class AdjusterFittedTest extends TestCase
{
    private const NEW = [
        'id' => 'fitted_1',
        'name' => 'long barrel',
        'kind' => 'barrel',
        'thread' => 'M8 x 1.25',
        'travel_mm' => '1 in',
        'access' => ['minutes' => 0],
    ];

    public function test_the_next_job_begins_with_it_and_another_machine_does_not(): void
    {
        $job = HttpJob::open($this->signIn(), 'RT-14', 'clutch')->ready();
        $job
            ->body(
                'adjuster',
                [
                    'cable' => 'clutch',
                    'adjuster' => self::NEW,
                    'in_place_of' => 'perch',
                    'remark' => 'from the box of spares',
                ],
            )
            ->assertOk();
        self::assertSame(
            ['long barrel', 'in-line adjuster', 'engine bracket'],
            array_column($job->state['adjusters'], 'name'),
        );
        self::assertEqualsWithDelta(
            25.4,
            $job->state['adjusters'][0]['travel_mm'],
            1e-2,
            'read as it was typed, in whole steps of its thread',
        );
        $job->line('thread 4', ['adjuster' => 'fitted_1'])->assertOk();
        $job->body('tag', ['reason' => 'lever cracked'])->assertOk();
        $job->body('closed', ['outcome' => 'tagged'])->assertOk();

        $next = HttpJob::open($this, 'RT-14', 'clutch');
        self::assertSame(['fitted_1', 'in_line', 'bracket'], array_column($next->state['adjusters'], 'id'));
        self::assertEqualsWithDelta(4.0, $next->state['adjusters'][0]['at_mm'], 1e-9, 'where it was left');
        $spec = SpecVersion::query()->where('model', 'Tolvane Ridge 300')->where('control', 'clutch')->firstOrFail();
        self::assertSame('perch', ($spec->run ?? [])['cables'][0]['adjusters'][0]['id']);
    }

    public function test_what_was_taken_back_is_not_on_the_machine(): void
    {
        $job = HttpJob::open($this->signIn(), 'RT-14', 'clutch')->ready();
        $job->body('adjuster', ['cable' => 'clutch', 'adjuster' => self::NEW])->assertOk();
        $job->body('void', ['entry' => $job->lastSent['id'], 'reason' => 'another machine'])->assertOk();
        $job->body('tag', ['reason' => 'lever cracked'])->assertOk();
        $job->body('closed', ['outcome' => 'tagged'])->assertOk();
        $run = Control::query()
            ->where('key', 'clutch')
            ->whereHas('machine', static fn ($machines) => $machines->where('tag', 'RT-14'))
            ->firstOrFail()->run;
        self::assertCount(3, $run['cables'][0]['adjusters']);
    }

    public function test_a_bad_one_is_refused_with_a_sentence_and_nothing_is_logged(): void
    {
        $job = HttpJob::open($this->signIn(), 'RT-14', 'clutch')->ready();
        $rows = $job->rows();
        foreach ([
            ['travel_mm' => '3 N'] + self::NEW,
            ['thread' => 'M99'] + self::NEW,
            ['kind' => 'magnet'] + self::NEW,
            ['id' => '7'] + self::NEW,
            ['travel_mm' => -4] + self::NEW,
        ] as $bad) {
            self::assertNotSame(
                '',
                (string) $job
                    ->body('adjuster', ['cable' => 'clutch', 'adjuster' => $bad])
                    ->assertStatus(422)
                    ->json('detail'),
            );
        }
        self::assertSame($rows, $job->rows());
    }
}
