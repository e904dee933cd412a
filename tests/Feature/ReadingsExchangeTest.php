<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Exchange\Csv;
use App\Exchange\HistoryExport;
use App\Exchange\ReadingRow;
use App\Exchange\ReadingsExport;
use App\Models\Instrument;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;
use Ramsey\Uuid\Uuid;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Support\Exchanges;
use Tests\Support\HttpJob;
use Tests\TestCase;

/** Readings go out from every job and come in for those that a file of history brought. */
final class ReadingsExchangeTest extends TestCase
{
    use Exchanges;

    private const JOB = '11111111-2222-4333-8444-555555555555';

    private const GOOD = [
        'reading' => 'aaaaaaaa-0000-4000-8000-000000000001',
        'job' => self::JOB,
        'machine' => 'RT-14',
        'control' => 'clutch',
        'at' => '2025-01-10T09:30:00+01:00',
        'by' => 'Bo',
        'point' => 'lever_tip',
        'pose' => 'straight',
        'engine' => 'cold',
        'wheels' => 'on_ground',
        'instrument' => 'rule-300',
        'entered' => '15.3',
        'value_mm' => '15.3',
        'written_step_mm' => '',
        'put_right' => '',
        'taken_back' => '',
    ];

    public function test_readings_fill_the_log_of_the_job_that_history_made(): void
    {
        $this->history();
        $this->takenIn(
            'readings',
            self::csv([
                self::GOOD,
                self::but(2, ['value_mm' => '151', 'taken_back' => 'yes', 'at' => '2025-01-10T09:29:00+01:00']),
                self::but(3, ['entered' => '19/32 in', 'value_mm' => '15.08', 'written_step_mm' => '0.79']),
            ]),
            3,
        );
        $job = $this->getJson('/api/jobs/'.self::JOB)->assertOk()->json();
        self::assertSame(
            ['opened', 'reading', 'reading', 'void', 'reading', 'closed'],
            DB::table('entries')->where('job_id', self::JOB)->orderBy('seq')->pluck('kind')->all(),
        );
        $log = array_column($job['state']['log'], null, 'id');
        self::assertSame('Bo', $log[self::GOOD['reading']]['by']);
        self::assertStringContainsString('15.3', $log[self::GOOD['reading']]['what']);
        self::assertSame('Taken back before it came in', $log[self::id(2)]['voided']);
        $this->get('/api/jobs/'.self::JOB.'/sheet')->assertOk();
        $this
            ->postJson(
                '/api/jobs/'.self::JOB.'/entries',
                [
                    'id' => self::id(9),
                    'at' => now()->toIso8601String(),
                    'line' => '15.2',
                    'shown' => ['item' => null],
                    'after' => null,
                ],
            )
            ->assertUnprocessable();
        $again = $this->taken('readings', self::csv([self::GOOD, self::but(2, ['value_mm' => '151'])]));
        self::assertSame(
            [0, 2, []],
            [$again['new'], $again['standing'], $again['rejected']],
            'what stands is left as it is',
        );
    }

    public function test_a_certificate_is_held_against_the_day_that_the_file_names_and_not_against_that_of_the_import(): void
    {
        $row = Instrument::query()->findOrFail(self::GOOD['instrument']);
        $overdue = function (string $due) use ($row): mixed {
            $this->throwTheLogAway();
            $calibration = ['expanded_mm' => 0.5, 'factor' => 2, 'due' => $due];
            $row->forceFill(['body' => ['calibration' => $calibration] + $row->body])->save();
            $this->history();
            $this->takenIn('readings', self::csv([self::GOOD]), 1);

            return $this->getJson('/api/jobs/'.self::JOB)->assertOk()->json('state.found.overdue_since');
        };
        self::assertNull($overdue('2025-03-01'));
        self::assertSame('2025-01-09', $overdue('2025-01-09'));
    }

    /** @return iterable<string, array{array<string, string>, string}> */
    public static function wrongReadings(): iterable
    {
        yield 'a job nobody knows' => [['job' => '99999999-2222-4333-8444-555555555555'], 'Take in the history first'];
        yield 'another machine\'s job' => [['machine' => 'QB-03'], 'this one is on RT-14 clutch, not on QB-03 clutch'];
        yield 'an instrument nobody has' => [
            ['instrument' => 'plumb-line'],
            '“plumb-line” is not an instrument on the shelf',
        ];
        yield 'more than the instrument reaches' => [['value_mm' => '301'], 'reaches'];
        yield 'below zero' => [['value_mm' => '-3'], 'is not between 0 and 1000 mm'];
        yield 'a point that is none' => [['point' => 'elbow'], 'point: “elbow” is not one of: '];
        yield 'a point this control does not have' => [['point' => 'grip_flange'], 'Play is not read at the'];
        yield 'a pose the spec knows no figure for' => [['pose' => 'left'], 'The spec knows no figure for'];
        yield 'a time without an offset' => [['at' => '2025-01-10 09:30'], 'is not a time with its offset'];
        yield 'a time to come' => [['at' => '2125-01-10T09:30:00Z'], 'is not between'];
        yield 'nobody' => [['by' => ''], 'by: this is empty'];
        yield 'no id' => [['reading' => ''], 'each has an id of its own'];
        yield 'an id that is none' => [['reading' => 'seven'], 'reading: this is no UUID.'];
        yield 'an id of no version there is' => [
            ['reading' => '465b9030-59cc-9c51-6bf5-39348ad4951c'],
            'reading: this is no UUID.',
        ];
        yield 'half taken back' => [['taken_back' => 'no'], 'is neither “yes” nor empty'];
        yield 'the same twice' => [['reading' => self::GOOD['reading']], 'stands in the file already'];
    }

    /** @param  array<string, string>  $wrong */
    #[DataProvider('wrongReadings')]
    public function test_a_reading_that_cannot_be_taken_is_named(array $wrong, string $why): void
    {
        $this->history();
        $file = $this->taken('readings', self::csv([self::GOOD, self::but(2, $wrong)]));
        self::assertSame(
            [1, 1, 'line 3'],
            [$file['new'], $file['rejected_in_all'], $file['rejected'][0]['place'] ?? null],
        );
        self::assertStringContainsString($why, $file['rejected'][0]['why']);
        $this
            ->postJson("/api/imports/{$file['id']}/run", ['without_rejected' => true])
            ->assertOk()
            ->assertJsonPath('state', 'done');
        self::assertSame(1, DB::table('entries')->where('kind', 'reading')->count());
    }

    public function test_nothing_is_put_into_the_log_of_a_job_that_was_done_here(): void
    {
        $job = HttpJob::open($this->signIn())->ready()->read('25.3');
        $file = $this->taken('readings', self::csv([['job' => $job->id] + self::GOOD]));
        self::assertStringContainsString('it was done here', $file['rejected'][0]['why']);
        $opening = DB::table('entries')->where('job_id', $job->id)->where('kind', 'opened')->value('id');
        $file = $this->taken('readings', self::csv([['job' => $job->id, 'reading' => (string) $opening] + self::GOOD]));
        self::assertStringContainsString('stands for something else', $file['rejected'][0]['why']);
    }

    /**
     * Random readings of random jobs, with every awkward thing in their cells: history and readings out, thrown away,
     * in again, out again: the same bytes.
     */
    public function test_an_export_that_is_thrown_away_and_taken_in_again_is_the_same(): void
    {
        $this->closedJobs(9);
        $jobs = DB::table('control_jobs')->pluck('id')->all();
        $this->takenIn('readings', self::readingsOf($jobs, 12), 108);
        $history = self::text(new HistoryExport, 'csv');
        foreach (['csv', 'spreadsheet', 'json'] as $as) {
            $first = self::text(new ReadingsExport, $as);
            self::assertSame(108, preg_match_all('/lever_tip/', $first));
            $this->throwTheLogAway();
            $this->takenIn('history', $history, 9);
            $this->takenIn('readings', $first, 108);
            self::assertSame($first, self::text(new ReadingsExport, $as), $as);
            self::assertSame($history, self::text(new HistoryExport, 'csv'), 'the history is as it was');
        }
    }

    public function test_a_reading_that_was_put_right_goes_out_as_it_stands_now(): void
    {
        $job = HttpJob::open($this->signIn())->ready()->read('25.3', '15.2', '15.1');
        $readings = array_column(
            array_filter($job->state['log'], static fn (array $row): bool => $row['kind'] === 'reading'),
            'id',
        );
        $job->body('amend', ['entry' => $readings[0], 'line' => '15.3', 'reason' => 'mistyped'])->assertOk();
        $job->line('v second thought')->assertOk();
        $job->body('amend', ['entry' => $readings[1], 'line' => '14.9', 'reason' => 'mistyped'])->assertOk();
        $rows = array_column(json_decode(self::text(new ReadingsExport, 'json'), true)['readings'], null, 'reading');
        self::assertSame(
            [25.3, null],
            [$rows[$readings[0]]['value_mm'], $rows[$readings[0]]['put_right']],
            'what was put right and taken back again counts as it was',
        );
        self::assertSame([14.9, 'yes'], [$rows[$readings[1]]['value_mm'], $rows[$readings[1]]['put_right']]);
        self::assertSame(
            [15.1, null, null],
            [$rows[$readings[2]]['value_mm'], $rows[$readings[2]]['put_right'], $rows[$readings[2]]['taken_back']],
        );
    }

    public function test_jobs_done_here_come_back_with_their_history_and_readings(): void
    {
        $done = HttpJob::open($this->signIn())->ready()->read('15.3', '15.1', '15.2');
        $done->body('tag', ['reason' => 'Wire is frayed'])->assertOk();
        $done->body('closed', ['outcome' => 'tagged'])->assertOk();
        self::assertNotNull(DB::table('control_jobs')->where('id', $done->id)->value('closed_at'));
        [$history, $readings] = [self::text(new HistoryExport, 'csv'), self::text(new ReadingsExport, 'csv')];
        $this->throwTheLogAway();
        $this->takenIn('history', $history, 1);
        $this->takenIn('readings', $readings, 3);
        self::assertSame($readings, self::text(new ReadingsExport, 'csv'));
    }

    /**
     * A file of readings made up for these jobs, all on the clutch of RT-14.
     *
     * @param  array<int, mixed>  $jobs
     */
    public static function readingsOf(array $jobs, int $each): string
    {
        $chance = new Randomizer(new Mt19937(11));
        $words = ['15.3', '=1+1', '+2', "'15", '19/32 in', 'comma, "quoted"', "two\nlines", 'ünï; 7,5'];
        $rows = [];
        for ($n = 0; $n < count($jobs) * $each; $n++) {
            $rows[] = [
                'reading' => Uuid::uuid5(self::JOB, "{$n}")->toString(), 'job' => (string) $jobs[$n % count($jobs)],
                'at' => sprintf(
                    '2024-0%d-1%dT%02d:%02d:00+02:00',
                    $chance->getInt(1, 9),
                    $chance->getInt(0, 9),
                    $chance->getInt(0, 23),
                    $chance->getInt(0, 59),
                ),
                'by' => $words[($n + 3) % count($words)], 'pose' => ['straight', ''][$n % 2],
                'engine' => ['cold', 'hot'][$n % 2], 'wheels' => ['on_ground', 'on_stand'][$n % 2],
                'instrument' => ['rule-300', 'caliper-1'][$n % 2],
                'entered' => $words[$n % count($words)], 'value_mm' => (string) ($chance->getInt(0, 1900) / 100),
                'written_step_mm' => ['', '0.79'][$n % 2], 'put_right' => ['', '', '', 'yes'][$n % 4],
                'taken_back' => ['', '', 'yes'][$n % 3],
            ] + self::GOOD;
        }

        return self::csv($rows);
    }

    private function history(): void
    {
        $this->takenIn('history', 'job,'.self::HEAD."\n".self::JOB.",RT-14,clutch,2025-01-10,2000,,15.3,Bo\n", 1);
    }

    /**
     * @param  array<string, string>  $with
     * @return array<string, string>
     */
    private static function but(int $n, array $with): array
    {
        return $with + ['reading' => self::id($n)] + self::GOOD;
    }

    private static function id(int $n): string
    {
        return "aaaaaaaa-0000-4000-8000-00000000000{$n}";
    }

    /** @param  list<array<string, string>>  $rows */
    private static function csv(array $rows): string
    {
        $out = fopen('php://memory', 'w+b');
        self::assertNotFalse($out);
        Csv::write($out, ReadingRow::COLUMNS);
        foreach ($rows as $row) {
            Csv::write($out, array_map(static fn (string $column): string => $row[$column], ReadingRow::COLUMNS));
        }
        rewind($out);

        return (string) stream_get_contents($out);
    }
}
