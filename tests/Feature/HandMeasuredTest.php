<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Control;
use App\Models\SpecVersion;
use Tests\Support\HttpJob;
use Tests\TestCase;

/** The lever of this machine, measured, stays with it from job to job; the model's spec stays as it is. */
final class HandMeasuredTest extends TestCase
{
    private const LEVER = ['wire_mm' => '1 1/2 in', 'point_mm' => ['lever_tip' => '150', 'perch_gap' => 31]];

    public function test_the_next_job_begins_with_it_and_the_spec_keeps_its_own(): void
    {
        $job = HttpJob::open($this->signIn(), 'RT-14', 'clutch')->ready();
        $told = $job->state['hand'];
        self::assertFalse($told['of_machine']);
        self::assertSame([null, 'lever_tip', 'perch_gap'], array_column($told['distances'], 'point'));
        $job->body('hand', self::LEVER)->assertOk();
        self::assertEqualsWithDelta(150 / 38.1, $job->state['hand']['ratio'], 1e-9, 'read as it was typed');
        $now = array_map(floatval(...), array_column($job->state['hand']['distances'], 'mm'));
        self::assertSame([38.1, 150.0, 31.0], $now);
        $job->body('tag', ['reason' => 'lever cracked'])->assertOk();
        $job->body('closed', ['outcome' => 'tagged'])->assertOk();

        $next = HttpJob::open($this, 'RT-14', 'clutch');
        self::assertEqualsWithDelta(150 / 38.1, $next->state['hand']['ratio'], 1e-9);
        self::assertTrue($next->state['hand']['of_machine']);
        self::assertSame('measured', $next->state['hand']['knowledge']);
        $spec = SpecVersion::query()->where('model', 'Tolvane Ridge 300')->where('control', 'clutch')->firstOrFail();
        self::assertNotEquals(150, ($spec->run ?? [])['hand']['pivot_to_point_mm']['lever_tip']);
    }

    public function test_what_was_taken_back_is_not_on_the_machine(): void
    {
        $job = HttpJob::open($this->signIn(), 'RT-14', 'clutch')->ready();
        $before = $this->onFile()['hand'];
        $job->body('hand', self::LEVER)->assertOk();
        $job->body('void', ['entry' => $job->lastSent['id'], 'reason' => 'another machine'])->assertOk();
        $job->body('tag', ['reason' => 'lever cracked'])->assertOk();
        $job->body('closed', ['outcome' => 'tagged'])->assertOk();
        self::assertEquals($before, $this->onFile()['hand']);
    }

    public function test_a_bad_one_is_refused_with_a_sentence_and_nothing_is_logged(): void
    {
        $job = HttpJob::open($this->signIn(), 'RT-14', 'clutch')->ready();
        $rows = $job->rows();
        foreach ([
            ['wire_mm' => '38 N'] + self::LEVER,
            ['wire_mm' => 'about so'] + self::LEVER,
            ['wire_mm' => 0] + self::LEVER,
            ['wire_mm' => 3.81] + self::LEVER,
            ['point_mm' => []] + self::LEVER,
            ['point_mm' => ['lever_tip' => 150]] + self::LEVER,
            ['point_mm' => ['elbow' => 150]] + self::LEVER,
            ['point_mm' => 150] + self::LEVER,
            ['entered' => '38'] + self::LEVER,
        ] as $bad) {
            self::assertNotSame('', (string) $job->body('hand', $bad)->assertStatus(422)->json('detail'));
        }
        self::assertSame($rows, $job->rows());
    }

    public function test_it_is_typed_in_one_line(): void
    {
        $job = HttpJob::open($this->signIn(), 'RT-14', 'clutch')->ready();
        $job->line('distances 38 and 150 and 31')->assertOk();
        self::assertEqualsWithDelta(150 / 38, $job->state['hand']['ratio'], 1e-9);
        self::assertStringStartsWith(
            'Type pivot to wire and pivot to lever tip',
            (string) $job->line('distances 38')->assertStatus(422)->json('detail'),
        );
    }

    /** @return array<string, mixed> */
    private function onFile(): array
    {
        return Control::query()
            ->where('key', 'clutch')
            ->whereHas('machine', static fn ($machines) => $machines->where('tag', 'RT-14'))
            ->firstOrFail()->run;
    }
}
