<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Exchange\Csv;
use App\Exchange\HistoryExport;
use App\Exchange\HistoryRow;
use App\Exchange\Importing;
use App\Exchange\ReadingsExport;
use App\Exchange\SpecExport;
use App\Models\ImportFile;
use App\Models\SpecVersion;
use App\Models\User;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use PDOException;
use PHPUnit\Framework\Attributes\DataProvider;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Symfony\Component\Process\Process;
use Tests\Support\Exchanges;
use Tests\Support\HttpJob;
use Tests\TestCase;

/**
 * History, readings and specs, out and in: what goes out comes back as nothing new, and what is wrong is named with its
 * line.
 */
final class ExchangeTest extends TestCase
{
    use Exchanges;

    public function test_history_from_elsewhere_becomes_jobs_and_a_wear_story(): void
    {
        $file = $this->taken(
            'history',
            self::HEAD
                ."\nRT-14,clutch,2025-01-10,2000,,15.3,Bo\nrt-14,clutch,2025-05-10,3100,11.3,15.3,Bo\nRT-14,clutch,2025-09-10,4200,11.4,15.2,Bo\n",
        );
        self::assertSame(
            ['checked', 3, 3, 0],
            [$file['state'], $file['lines'], $file['new'], $file['rejected_in_all']],
        );
        self::assertSame(
            [],
            $this->getJson('/api/machines/RT-14')->json('controls.0.history'),
            'a preview keeps nothing',
        );
        $done = $this->postJson("/api/imports/{$file['id']}/run", ['without_rejected' => false])->assertOk()->json();
        self::assertSame(['done', 3], [$done['state'], $done['done']]);
        $control = $this->getJson('/api/machines/RT-14')->assertOk()->json('controls.0');
        self::assertSame([15.2, 15.3, 15.3], array_column($control['history'], 'left_mm'));
        self::assertSame('Plates are wearing', $control['story']['heading']);
        self::assertSame('Bo', $control['history'][0]['by']);
        $state = $this->getJson("/api/jobs/{$control['history'][0]['job']}")->assertOk()->json('state');
        self::assertSame(
            [11.4, 'inside', 15.2, 'As its file says'],
            [$state['found']['mm'], $state['found']['verdict'], $state['now']['mm'], $state['now']['sentence']],
            'the record of the file counts',
        );
        $this->get("/api/jobs/{$control['history'][0]['job']}/sheet")->assertOk();
        $again = $this->taken('history', self::HEAD."\nRT-14,clutch,2025-01-10,2000,,15.3,Bo\n");
        self::assertSame([0, 1], [$again['new'], $again['standing']], 'the same line twice is one job');
    }

    public function test_somebody_who_signs_in_by_the_word_history_signs_jobs_of_their_own(): void
    {
        User::query()->where('login', 'ines')->update(['login' => 'history']);
        $job = HttpJob::open($this->signIn('history'))->ready()->read('15.3', '15.1', '15.2');
        $job->body('tag', ['reason' => 'for the test'])->assertOk();
        $job->body('closed', ['outcome' => 'tagged'])->assertOk();
        $this
            ->getJson("/api/jobs/{$job->id}")
            ->assertOk()
            ->assertJsonPath('from_file', false)
            ->assertJsonPath('state.found.count', 3);
    }

    public function test_a_long_reason_goes_out_whole_and_comes_in_again(): void
    {
        $why = trim(str_repeat('The lever is cracked at its pivot, as was said before. ', 9));
        $job = HttpJob::open($this->signIn('ines'))->ready()->read('15.3', '15.1', '15.2');
        $job->body('tag', ['reason' => $why])->assertOk();
        $job->body('closed', ['outcome' => 'tagged'])->assertOk();
        $this->signIn('oda');
        self::assertStringContainsString($why, $this->get('/api/export/history')->assertOk()->streamedContent());
        $taken = $this->taken(
            'history',
            "machine,control,day,usage,left_mm,signed_by,reason,outcome\nRT-14,clutch,2025-01-10,2000,15.3,Bo,\"{$why}\",tagged\n",
        );
        self::assertSame(1, $taken['new']);
    }

    /** @return iterable<string, array{string}> */
    public static function spreadsheets(): iterable
    {
        $rows = [
            ['machine', 'control', 'day', 'usage', 'found_mm', 'left_mm', 'signed_by', 'reason', 'outcome'],
            ['RT-14', 'clutch', '2025-05-10', '3100', '11,3', '15,35', 'Bo', "'=1+1", 'by_choice'],
        ];
        $with = static fn (string $mark, string $end, string $bom): string => $bom
            .implode($end, array_map(static fn (array $row): string => implode($mark, $row), $rows)).$end;
        yield 'semicolons, decimal commas, CRLF and a byte order mark' => [$with(';', "\r\n", "\xEF\xBB\xBF")];
        yield 'tabs and LF' => [$with("\t", "\n", '')];
        yield 'quoted cells' => [
            "\"machine\";\"control\";\"day\";\"usage\";\"found_mm\";\"left_mm\";\"signed_by\";\"reason\";\"outcome\"\r\n\"RT-14\";\"clutch\";\"2025-05-10\";\"3100\";\"11,3\";\"15,35\";\"Bo\";\"'=1+1\";\"by_choice\"\r\n",
        ];
    }

    #[DataProvider('spreadsheets')]
    public function test_what_a_spreadsheet_writes_is_read(string $text): void
    {
        $file = $this->taken('history', $text);
        self::assertSame([1, []], [$file['new'], $file['rejected']]);
        $this->postJson("/api/imports/{$file['id']}/run", ['without_rejected' => false])->assertOk();
        $job = $this->getJson('/api/machines/RT-14')->json('controls.0.history.0');
        self::assertSame([11.3, 15.35, '=1+1'], [$job['found_mm'], $job['left_mm'], $job['reason']]);
    }

    /** @return iterable<string, array{string, string}> */
    public static function wrongLines(): iterable
    {
        yield 'a machine that is not here' => ['ZZ-9,clutch,2025-05-10,3100,11,15,Bo', 'ZZ-9 has no control called clutch here.'];
        yield 'a control that is none' => ['RT-14,wing,2025-05-10,3100,11,15,Bo', 'RT-14 has no control called wing here.'];
        yield 'a day that is none' => ['RT-14,clutch,2025-02-30,3100,11,15,Bo', 'is no day'];
        yield 'a day to come' => ['RT-14,clutch,2125-02-20,3100,11,15,Bo', 'is not between'];
        yield 'a meter with letters' => ['RT-14,clutch,2025-05-10,many,11,15,Bo', 'is no whole number of a meter'];
        yield 'a figure with letters' => ['RT-14,clutch,2025-05-10,3100,eleven,15,Bo', '“eleven” is no number'];
        yield 'play below nothing' => ['RT-14,clutch,2025-05-10,3100,-1,15,Bo', 'is not between 0 and 1000 mm'];
        yield 'nobody' => ['RT-14,clutch,2025-05-10,3100,11,15,', 'who stood for it?'];
        yield 'too many cells' => ['RT-14,clutch,2025-05-10,3100,11,15,Bo,more', 'more cells than'];
        yield 'not UTF-8' => ["RT-14,clutch,2025-05-10,3100,11,15,B\xF6", 'Save the file as UTF-8'];
    }

    #[DataProvider('wrongLines')]
    public function test_a_line_that_cannot_be_taken_is_named_and_stands_in_the_way(string $line, string $why): void
    {
        $file = $this->taken('history', self::HEAD."\nRT-14,clutch,2025-01-10,2000,,15.3,Bo\n{$line}\n");
        self::assertSame([1, 1, 'line 3'], [$file['new'], $file['rejected_in_all'], $file['rejected'][0]['place']]);
        self::assertStringContainsString($why, $file['rejected'][0]['why']);
        $this->postJson("/api/imports/{$file['id']}/run", ['without_rejected' => false])->assertConflict();
        self::assertSame(0, DB::table('control_jobs')->count(), 'all or nothing');
        $this
            ->postJson("/api/imports/{$file['id']}/run", ['without_rejected' => true])
            ->assertOk()
            ->assertJsonPath('state', 'done');
        self::assertSame(1, DB::table('control_jobs')->count(), 'unless told otherwise');
        $this
            ->postJson("/api/imports/{$file['id']}/run", ['without_rejected' => true])
            ->assertConflict()
            ->assertJsonPath('detail', 'This file was taken in already.');
    }

    /** @return iterable<string, array{string, string, string}> */
    public static function wrongFiles(): iterable
    {
        yield 'columns that are none' => [
            'history',
            "machine,colour\nRT-14,red\n",
            'names “colour”, which is no column here',
        ];
        yield 'a column twice' => ['history', "machine,machine\nRT-14,RT-14\n", 'names a column twice'];
        yield 'JSON of another kind' => [
            'history',
            '{"format":"something/1","rows":[]}',
            'is not in the format vivid-pull/history@1',
        ];
        yield 'half a JSON' => [
            'specs',
            '{"format":"vivid-pull/specs@1","specs":[{"model":',
            'is not in the format vivid-pull/specs@1',
        ];
        yield 'bytes' => ['specs', "\x00\x01\x02\xFF", 'which is no column here'];
    }

    #[DataProvider('wrongFiles')]
    public function test_a_file_of_another_kind_is_refused_with_a_sentence(
        string $kind,
        string $text,
        string $why,
    ): void {
        $file = $this->taken($kind, $text);
        self::assertSame('failed', $file['state']);
        self::assertStringContainsString($why, (string) $file['sentence']);
        $this->postJson("/api/imports/{$file['id']}/run", ['without_rejected' => true])->assertConflict();
    }

    public function test_a_disk_that_fills_while_a_file_is_taken_in_says_so_and_nothing_of_it_is_kept(): void
    {
        $file = $this->taken('history', self::HEAD."\nRT-14,clutch,2025-01-10,2000,,15.3,Bo\n");
        $full = new PDOException('The table is full');
        $full->errorInfo = ['HY000', 1114, "The table 'entries' is full"];
        DB::connection()->beforeExecuting(static function (string $query) use ($full): void {
            if (str_starts_with($query, 'insert into `entries`')) {
                throw new QueryException('mariadb', $query, [], $full);
            }
        });
        $failed = $this->postJson("/api/imports/{$file['id']}/run", ['without_rejected' => false])->assertOk();
        self::assertSame(
            ['failed', 'The disk of the server is full: nothing of the file was kept. Make room and take it in again.'],
            [$failed->json('state'), $failed->json('sentence')],
        );
        self::assertSame(0, DB::table('control_jobs')->count() + DB::table('visits')->count());
    }

    public function test_files_are_kept_under_their_senders_id_and_forgotten(): void
    {
        $id = (string) Str::uuid();
        $this->signIn('oda');
        $this->file($id, 'history', '')->assertUnprocessable();
        $this->file($id, 'rubbish', 'x')->assertUnprocessable();
        $this->file($id, 'history', self::HEAD."\n")->assertCreated();
        $this->file($id, 'history', self::HEAD."\n")->assertConflict();
        $this->getJson("/api/imports/{$id}")->assertOk()->assertJsonPath('lines', 0);
        $this->getJson('/api/imports')->assertOk()->assertJsonPath('imports.0.id', $id);
        $this->postJson("/api/imports/{$id}/run", [])->assertUnprocessable();
        $this->deleteJson("/api/imports/{$id}")->assertNoContent();
        $this->getJson("/api/imports/{$id}")->assertNotFound();
    }

    public function test_every_export_comes_back_as_nothing_new(): void
    {
        $this->signIn('ines');
        HttpJob::open($this)->ready()->read('25.3', '25.0');
        $this->closedJobs(12);
        foreach ([
            'history' => new HistoryExport,
            'readings' => new ReadingsExport,
            'specs' => new SpecExport,
        ] as $kind => $export) {
            foreach (['csv', 'spreadsheet', 'json'] as $as) {
                $text = self::text($export, $as);
                $file = $this->taken($kind, $text);
                self::assertSame([0, []], [$file['new'], $file['rejected']], "{$kind} as {$as}");
                self::assertGreaterThan(0, $file['standing']);
            }
        }
    }

    /**
     * Random histories with every awkward thing in their cells: out, thrown away, in again, out again: the same bytes.
     */
    public function test_an_export_that_is_thrown_away_and_taken_in_again_is_the_same(): void
    {
        $this->signIn('oda');
        $chance = new Randomizer(new Mt19937(7));
        $words = [
            '=HYPERLINK("x")', '+1', '-2', '@a', "'quoted", "''=", 'semi;colon', 'comma, "quotes"', "two\nlines", 'ünï',
            "\tTab", '7,5', 'plain',
        ];
        $rows = [HistoryRow::COLUMNS];
        for ($n = 0; $n < 60; $n++) {
            $rows[] = [
                (string) Str::uuid(),
                ['RT-14', 'QB-03'][$n % 2],
                $n % 2 === 0 ? 'clutch' : 'throttle',
                '2025-0'.$chance->getInt(1, 9).'-1'.$chance->getInt(0, 9),
                1000 + $n,
                null,
                ['cold', 'hot', null][$n % 3],
                $chance->getInt(0, 3000) / 100,
                $chance->getInt(1, 99) / 100,
                $chance->getInt(0, 3000) / 100,
                $chance->getInt(1, 99) / 100,
                ['by_choice', 'tagged'][$n % 2],
                $words[$n % count($words)],
                ['', 'cable', 'plates spring'][$n % 3],
                $chance->getInt(-99, 99) / 100,
                ['2027-01-31', null][$n % 2],
                $words[($n + 3) % count($words)],
            ];
        }
        $out = fopen('php://memory', 'w+b');
        self::assertNotFalse($out);
        foreach ($rows as $row) {
            Csv::write(
                $out,
                array_map(
                    static fn (mixed $cell): string|int|float|null => is_string($cell) ? trim($cell) : $cell,
                    $row,
                ),
            );
        }
        rewind($out);
        $this->takenIn('history', (string) stream_get_contents($out), 60);
        foreach (['csv', 'spreadsheet', 'json'] as $as) {
            $first = self::text(new HistoryExport, $as);
            $this->throwTheLogAway();
            $this->takenIn('history', $first, 60);
            self::assertSame($first, self::text(new HistoryExport, $as), $as);
        }
    }

    public function test_a_csv_is_read_alike_by_another_reader_and_holds_no_formula(): void
    {
        $this->closedJobs(5, '=cmd|x');
        $text = self::text(new HistoryExport, 'csv');
        // Python's csv module, as RFC 4180 has it.
        $python = new Process(
            ['python3', '-c', 'import csv,sys,json; print(json.dumps(list(csv.reader(sys.stdin))))'],
            null,
            null,
            $text,
        );
        $cells = json_decode($python->mustRun()->getOutput(), true);
        self::assertSame(HistoryRow::COLUMNS, $cells[0]);
        self::assertCount(6, $cells);
        self::assertStringEndsWith("\r\n", $text);
        foreach (array_merge(...$cells) as $cell) {
            self::assertDoesNotMatchRegularExpression('/^[=@]/', $cell);
        }
        self::assertStringStartsWith("\xEF\xBB\xBFjob;machine;", self::text(new HistoryExport, 'spreadsheet'));
    }

    public function test_the_exports_are_answered_over_http_in_each_form(): void
    {
        HttpJob::open($this->signIn())->ready()->read('25.3')->line('v misread')->assertOk();
        foreach (['history', 'readings', 'specs'] as $what) {
            foreach ([
                'csv' => 'text/csv',
                'spreadsheet' => 'text/csv',
                'json' => 'application/json',
                'x' => 'text/csv',
            ] as $as => $type) {
                $answer = $this->get("/api/export/{$what}?as={$as}")->assertOk();
                self::assertStringStartsWith($type, (string) $answer->headers->get('Content-Type'));
                $text = $answer->streamedContent();
                self::assertNotSame('', $text);
                if ($type === 'application/json') {
                    self::assertIsArray(json_decode($text, true, flags: JSON_THROW_ON_ERROR));
                }
            }
        }
        self::assertStringContainsString('25.3', $this->get('/api/export/readings')->streamedContent());
        self::assertStringContainsString(',yes', $this->get('/api/export/readings')->streamedContent());
        $zip = $this->signIn('oda')->get('/api/export/shop')->assertOk();
        self::assertSame('application/zip', $zip->headers->get('Content-Type'));
    }

    public function test_specs_come_in_as_drafts_for_a_second_person(): void
    {
        $csv = "model,control,name,minutes,family,point,low_mm,high_mm,printed,engine,document,page\r\nTolvane Dune 90,clutch,Clutch lever,12,clutch_lever,lever_tip,8,\"12,5\",8–12.5 mm,cold,Tolvane service book,7\r\nTolvane Dune 90,horn,Horn,12,horn,,,,,,x,\r\n";
        $file = $this->taken('specs', $csv);
        self::assertSame([1, 1], [$file['new'], $file['rejected_in_all']]);
        $this->postJson("/api/imports/{$file['id']}/run", ['without_rejected' => true])->assertOk();
        $made = SpecVersion::query()->where('model', 'Tolvane Dune 90')->sole();
        self::assertSame(
            [true, 12.5, 'Tolvane service book'],
            [$made->isDraft(), $made->body['aim']['high_mm'], $made->body['source']['document']],
        );
        self::assertNotNull($made->run);
    }

    /**
     * Ten thousand in this process: cut, swapped and scrambled files of every kind. None breaks, none gets in by half.
     */
    public function test_no_damaged_file_breaks_an_import_or_gets_in_by_half(): void
    {
        $this->closedJobs(8);
        $this->takenIn(
            'readings',
            ReadingsExchangeTest::readingsOf(DB::table('control_jobs')->limit(2)->pluck('id')->all(), 3),
            6,
        );
        $chance = new Randomizer(new Mt19937(99));
        $oda = User::query()->where('login', 'oda')->firstOrFail();
        $standing = static fn (): int => DB::table('control_jobs')->count()
            + DB::table('spec_versions')->count()
            + DB::table('entries')->where('kind', 'reading')->count();
        foreach ([
            'history' => new HistoryExport,
            'readings' => new ReadingsExport,
            'specs' => new SpecExport,
        ] as $kind => $export) {
            $good = array_map(
                static fn (string $as): string => self::text($export, $as),
                ['csv', 'spreadsheet', 'json'],
            );
            for ($n = 0; $n < 100; $n++) {
                $import = new ImportFile([
                    'id' => '00000000-0000-4000-8000-000000000001',
                    'user_id' => $oda->id,
                    'kind' => $kind,
                    'name' => 'x',
                    'state' => 'waiting',
                    'report' => [],
                    'at' => now(),
                ]);
                file_put_contents($import->path(), self::damaged($good[$n % 3], $chance));
                DB::beginTransaction();
                // Without what stands, every line that is whole would be written: half of the files meet such a shop.
                if ($kind === 'readings' && $n % 2 === 0) {
                    DB::table('entries')->where('kind', 'reading')->delete();
                }
                $import->save();
                Importing::check($import);
                self::assertContains($import->state, ['checked', 'failed'], "{$kind} {$n} of seed 99");
                $sentence = $import->report['sentence'] ?? null;
                self::assertFalse(
                    is_string($sentence) && str_contains($sentence, 'ask whoever keeps the server'),
                    "{$kind} {$n} of seed 99",
                );
                if ($import->state === 'checked' && $n % 10 === 0) {
                    $before = $standing();
                    Importing::run($import);
                    self::assertSame(
                        $import->state === 'done' ? $before + (int) $import->report['new'] : $before,
                        $standing(),
                        "{$kind} {$n} of seed 99",
                    );
                }
                DB::rollBack();
            }
            (new ImportFile)->forceFill(['id' => '00000000-0000-4000-8000-000000000001'])->forget();
        }
    }

    public function test_no_damaged_file_gets_an_answer_of_failure_over_http(): void
    {
        $this->closedJobs(4);
        $chance = new Randomizer(new Mt19937(300));
        $this->signIn('oda');
        $good = [
            self::text(new HistoryExport, 'csv'),
            self::text(new SpecExport, 'json'),
            self::text(new ReadingsExport, 'csv'),
        ];
        for ($n = 0; $n < 75; $n++) {
            $answer = $this->file(
                (string) Str::uuid(),
                ['history', 'specs', 'readings'][$n % 3],
                self::damaged($good[$n % 3], $chance),
            );
            self::assertContains($answer->getStatusCode(), [201, 422], "{$n} of seed 300");
            if ($answer->getStatusCode() === 201) {
                self::assertContains(
                    $this
                        ->postJson("/api/imports/{$answer->json('id')}/run", ['without_rejected' => $n % 2 === 0])
                        ->getStatusCode(),
                    [200, 409],
                    "{$n} of seed 300",
                );
                ImportFile::query()->findOrFail($answer->json('id'))->forget();
            }
        }
        $this->getJson('/api/machines/RT-14')->assertOk();
        $this->getJson('/api/specs')->assertOk();
    }
}
