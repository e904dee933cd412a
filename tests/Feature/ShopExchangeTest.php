<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Bench\JobHead;
use App\Bench\Pictures;
use App\Bench\Traces;
use App\Chain\ChainCheck;
use App\Exchange\ShopExport;
use App\Exchange\ShopImport;
use App\Exchange\ShopTables;
use App\Models\Audit;
use App\Models\Control;
use App\Models\FormerTag;
use App\Models\User;
use Carbon\CarbonImmutable;
use Database\Demo\DemoWorkshop;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use Illuminate\Support\Str;
use Opis\JsonSchema\Validator;
use PHPUnit\Framework\Attributes\DataProvider;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Support\HttpJob;
use Tests\Support\Picture;
use Tests\Support\Pulled;
use Tests\TestCase;
use VividPull\Core\Errors\CoreError;
use VividPull\Core\Errors\Refused;
use VividPull\Core\Spec\FamilyKey;
use ZipArchive;

/** A whole shop goes out and comes in again, and nothing is lost on the way. */
final class ShopExchangeTest extends TestCase
{
    private string $folder;

    protected function setUp(): void
    {
        parent::setUp();
        $this->folder = sys_get_temp_dir().'/shop-'.bin2hex(random_bytes(6));
        mkdir($this->folder);
    }

    protected function tearDown(): void
    {
        foreach ((array) glob("{$this->folder}/*") as $file) {
            unlink((string) $file);
        }
        rmdir($this->folder);
        parent::tearDown();
    }

    public function test_every_table_of_the_database_is_exported_or_left_out_with_a_reason(): void
    {
        $tables = array_map(
            static fn (array $one): string => $one['name'],
            Schema::getTables(Schema::getCurrentSchemaName()),
        );
        sort($tables);
        $named = [...array_keys(ShopTables::EXPORTED), ...array_keys(ShopTables::LEFT_OUT)];
        sort($named);
        self::assertSame($tables, $named);
        foreach ([...ShopTables::LEFT_OUT, ...ShopTables::COLUMNS_LEFT_OUT] as $reason) {
            self::assertGreaterThan(10, strlen($reason));
        }
        foreach (array_keys(ShopTables::EXPORTED) as $table) {
            $json = array_map(
                static fn (array $one): string => $one['name'],
                array_filter(Schema::getColumns($table), static fn (array $one): bool => $one['type'] === 'longtext'),
            );
            self::assertSame(
                array_values($json),
                ShopTables::JSON[$table] ?? [],
                "{$table}: what is JSON goes out as JSON",
            );
            $blobs = array_map(
                static fn (array $one): string => $one['name'],
                array_filter(
                    Schema::getColumns($table),
                    static fn (array $one): bool => str_contains($one['type'], 'blob'),
                ),
            );
            self::assertSame(
                array_values($blobs),
                isset(ShopTables::PICTURES[$table]) ? [ShopTables::PICTURES[$table][0]] : [],
                "{$table}: pictures go out as files",
            );
        }
    }

    public function test_a_shop_with_everything_comes_back_byte_for_byte_and_works(): void
    {
        $this->everything();
        ShopExport::to("{$this->folder}/one.zip");
        self::assertStringNotContainsString(
            (string) User::query()->where('login', 'ines')->value('password'),
            (string) file_get_contents("{$this->folder}/one.zip"),
        );
        $this->holdsItsSchema("{$this->folder}/one.zip");
        $this->emptied();
        $preview = ShopImport::from("{$this->folder}/one.zip", false);
        self::assertSame([[], false, 0], [$preview['rejected'], $preview['kept'], DB::table('machines')->count()]);
        $import = ShopImport::from("{$this->folder}/one.zip", true);
        self::assertTrue($import['kept']);
        ShopExport::to("{$this->folder}/two.zip");
        self::assertSame(
            hash_file('sha256', "{$this->folder}/one.zip"),
            hash_file('sha256', "{$this->folder}/two.zip"),
        );
        $this->signIn('ines');
        foreach (Control::query()->with(['machine', 'openJob'])->whereHas('openJob')->get() as $control) {
            $this->getJson("/api/machines/{$control->machine->tag}")->assertOk();
            $this->getJson("/api/jobs/{$control->openJob?->id}")->assertOk();
        }
        $this->getJson('/api/bench')->assertOk();
    }

    public function test_a_shop_goes_into_an_empty_install_only(): void
    {
        ShopExport::to("{$this->folder}/one.zip");
        $this->expectException(Refused::class);
        $this->expectExceptionMessage('A whole shop goes into an empty install only.');
        ShopImport::from("{$this->folder}/one.zip", true);
    }

    public function test_a_shop_exported_before_entries_knew_their_device_and_their_chain_still_comes_in(): void
    {
        HttpJob::open($this->signIn());
        $written = DB::table('entries')->orderBy('id')->pluck('id')->all();
        $this->exportWithEntries(
            static fn (string $all): string => (string) preg_replace(
                '/,"(?:device|chain)":(?:null|"[^"]*")/',
                '',
                $all,
            ),
            ['heads' => null],
        );
        $this->emptied();
        self::assertSame([], ShopImport::from("{$this->folder}/one.zip", true)['rejected']);
        self::assertSame($written, DB::table('entries')->orderBy('id')->pluck('id')->all());
        self::assertSame(0, DB::table('entries')->whereNull('chain')->count(), 'it is chained as it comes in');
        self::assertNull((new ChainCheck)->complaint());
    }

    public function test_a_log_that_was_changed_in_its_file_and_signed_off_in_the_manifest_is_found_out(): void
    {
        HttpJob::open($this->signIn())->line('n torn boot')->assertOk();
        $this->exportWithEntries(static fn (string $all): string => str_replace('torn boot', 'good boot', $all));
        $this->emptied();
        $report = ShopImport::from("{$this->folder}/one.zip", true);
        self::assertFalse($report['kept']);
        self::assertStringContainsString(
            'This row was altered, or a row before it was added or taken out',
            $report['rejected'][0]->why,
        );
        self::assertSame(0, DB::table('entries')->count());
    }

    public function test_a_log_chained_anew_in_its_file_does_not_fit_the_heads(): void
    {
        HttpJob::open($this->signIn())->line('n torn boot')->assertOk();
        $this->exportWithEntries(static fn (string $all): string => (string) preg_replace(
            '/,"chain":"[^"]*"/',
            '',
            str_replace('torn boot', 'good boot', $all),
        ));
        $this->emptied();
        self::assertSame(
            'the heads of the log are not those of these entries.',
            ShopImport::from("{$this->folder}/one.zip", true)['rejected'][0]->why,
        );
    }

    /**
     * An export whose entries say something else, with a manifest that knows it.
     *
     * @param  callable(string): string  $change
     * @param  array<string, mixed>  $manifest  what it says otherwise; null for nothing
     */
    private function exportWithEntries(callable $change, array $manifest = []): void
    {
        ShopExport::to("{$this->folder}/one.zip");
        $zip = new ZipArchive;
        $zip->open("{$this->folder}/one.zip");
        $before = (string) $zip->getFromName('entries.jsonl');
        $entries = $change($before);
        self::assertNotSame($before, $entries);
        $said = $manifest + json_decode((string) $zip->getFromName('manifest.json'), true);
        $said['tables']['entries']['sha256'] = hash('sha256', $entries);
        $zip->addFromString('entries.jsonl', $entries);
        $zip->addFromString(
            'manifest.json',
            (string) json_encode(array_filter($said, static fn (mixed $one): bool => $one !== null)),
        );
        $zip->close();
    }

    /** @return iterable<string, array{string, callable(string): string, string}> */
    public static function damages(): iterable
    {
        yield 'a role nobody has' => [
            'users.jsonl',
            static fn (string $all): string => str_replace('"apprentice"', '"king"', $all),
            'role: this is no role.',
        ];
        yield 'a column that is none' => [
            'users.jsonl',
            static fn (string $all): string => str_replace('"login"', '"logon"', $all),
            'is no column of users',
        ];
        yield 'a figure upside down' => [
            'spec_versions.jsonl',
            static fn (string $all): string => str_replace('"low_mm":10', '"low_mm":90', $all),
            'low edge must lie below',
        ];
        yield 'half a line' => [
            'machines.jsonl',
            static fn (string $all): string => substr($all, 0, -40),
            'this is not JSON',
        ];
        yield 'a day that is none' => [
            'machines.jsonl',
            static fn (string $all): string => (string) preg_replace(
                '/"created_at":"[^"]*"/',
                '"created_at":"2026-02-31 00:00:00"',
                $all,
            ),
            'this is no moment',
        ];
        yield 'a hash that does not fit' => [
            'machines.jsonl',
            static fn (string $all): string => str_replace('beach', 'reach', $all),
            'it was changed or cut off',
        ];
        yield 'another picture' => [
            'photos/',
            static fn (string $all): string => Picture::jpeg(60, 40),
            'this picture is not the one that its line names',
        ];
        yield 'a check of too few readings' => [
            'instrument_checks.jsonl',
            static fn (string $all): string => str_replace(',5.05]', ']', $all),
            'Read each block at least three times',
        ];
        yield 'other points of a pull' => [
            'traces.jsonl',
            static fn (string $all): string => str_replace('direction\n0,', 'direction\n0.01,', $all),
            'csv: these are not the points that were taken in.',
        ];
        yield 'points that are none' => [
            'traces.jsonl',
            static fn (string $all): string => str_replace('direction\n0,', 'direction\nfar,', $all),
            'csv: Line 2: “far” is no travel.',
        ];
        yield 'a picture that is none' => [
            'photos/',
            static fn (string $all): string => 'no picture',
            'this is no picture',
        ];
    }

    /** @param  callable(string): string  $damage */
    #[DataProvider('damages')]
    public function test_what_is_wrong_is_named_with_its_place_and_nothing_is_kept(
        string $file,
        callable $damage,
        string $says,
    ): void {
        $job = HttpJob::open($this->signIn());
        Pictures::keep(
            JobHead::find($job->id),
            User::query()->where('login', 'ines')->firstOrFail(),
            (string) Str::uuid(),
            Picture::png(),
            CarbonImmutable::now(),
        );
        Traces::keep(
            JobHead::find($job->id),
            User::query()->where('login', 'ines')->firstOrFail(),
            (string) Str::uuid(),
            Pulled::csv(2, 100),
            CarbonImmutable::now(),
        );
        $blocks = ['kind' => 'blocks', 'blocks' => [['size_mm' => 5, 'readings_mm' => [5.0, 5.0, 5.05]]]];
        $this
            ->signIn('oda')
            ->postJson(
                '/api/shelf/caliper-1/checks',
                ['id' => (string) Str::uuid(), 'keep' => true, 'check' => $blocks],
            )
            ->assertOk();
        ShopExport::to("{$this->folder}/one.zip");
        $zip = new ZipArchive;
        $zip->open("{$this->folder}/one.zip");
        for ($n = 0; $n < $zip->numFiles; $n++) {
            $name = (string) $zip->getNameIndex($n);
            if (str_starts_with($name, $file)) {
                $zip->addFromString($name, $damage((string) $zip->getFromName($name)));
                break;
            }
        }
        $zip->close();
        $this->emptied();
        $report = ShopImport::from("{$this->folder}/one.zip", true);
        self::assertFalse($report['kept']);
        self::assertStringContainsString(
            $says,
            implode("\n", array_map(static fn ($one): string => "{$one->place}: {$one->why}", $report['rejected'])),
        );
        self::assertSame(0, DB::table('users')->count() + DB::table('machines')->count());
    }

    /** Hundreds: bits, cuts and swapped values in a real export, in one process. */
    public function test_no_damaged_shop_gets_in_by_half_or_breaks_the_import(): void
    {
        ShopExport::to("{$this->folder}/one.zip");
        $good = (string) file_get_contents("{$this->folder}/one.zip");
        $this->emptied();
        $chance = new Randomizer(new Mt19937(20261125));
        $kept = 0;
        for ($n = 0; $n < 200; $n++) {
            file_put_contents("{$this->folder}/bad.zip", self::damaged($good, $chance, $this->folder));
            DB::beginTransaction();
            try {
                $report = ShopImport::from("{$this->folder}/bad.zip", true);
                $kept += (int) $report['kept'];
                self::assertSame($report['kept'], DB::table('users')->exists(), "mutation {$n} of seed 20261125");
            } catch (CoreError $e) {
                self::assertMatchesRegularExpression('/\w.*\.$/s', $e->getMessage());
                self::assertFalse(DB::table('users')->exists(), "mutation {$n} of seed 20261125");
            } finally {
                DB::rollBack();
            }
        }
        self::assertLessThan(200, $kept);
    }

    private static function damaged(string $good, Randomizer $chance, string $folder): string
    {
        if ($chance->getInt(0, 3) === 0) {
            $at = $chance->getInt(0, strlen($good) - 1);

            return match ($chance->getInt(0, 2)) {
                0 => substr($good, 0, $at),
                1 => substr_replace($good, $chance->getBytes(1), $at, 1),
                default => substr_replace($good, '', $at, $chance->getInt(1, 60)),
            };
        }
        // A line of one table changed, and its manifest made to fit, so that only the lines themselves can tell.
        $file = "{$folder}/work.zip";
        file_put_contents($file, $good);
        $zip = new ZipArchive;
        $zip->open($file);
        $table = array_keys(ShopTables::EXPORTED)[$chance->getInt(0, 6)];
        $lines = explode("\n", rtrim((string) $zip->getFromName("{$table}.jsonl")));
        $n = $chance->getInt(0, count($lines) - 1);
        $lines[$n] = self::line($lines[$n], $chance);
        $text = implode("\n", $lines)."\n";
        $manifest = json_decode((string) $zip->getFromName('manifest.json'), true);
        $manifest['tables'][$table] = ['rows' => count($lines), 'sha256' => hash('sha256', $text)];
        $zip->addFromString("{$table}.jsonl", $text);
        $zip->addFromString('manifest.json', (string) json_encode($manifest));
        $zip->close();

        return (string) file_get_contents($file);
    }

    private static function line(string $line, Randomizer $chance): string
    {
        $at = $chance->getInt(0, max(0, strlen($line) - 1));

        return match ($chance->getInt(0, 4)) {
            0 => substr($line, 0, $at),
            1 => substr_replace($line, (string) $chance->getInt(-9_000_000, 9_000_000), $at, 1),
            2 => (string) preg_replace('/:(?:"[^"]*"|\d+)/', ':null', $line, $chance->getInt(1, 3)),
            3 => (string) preg_replace_callback(
                '/:\d+/',
                static fn (): string => ':'.$chance->getInt(-5, 99_999_999),
                $line,
                $chance->getInt(1, 4),
            ),
            default => str_replace('"', ['\\"', '', '""'][$chance->getInt(0, 2)], $line),
        };
    }

    /** Every family, a tag, a void, a picture, a sketch, a former tag, a report, a meter read, an answer. */
    private function everything(): void
    {
        $this->emptied();
        self::demo();
        $this->signIn('ines');
        foreach (Control::query()->with('machine')->whereDoesntHave('openJob')->get() as $control) {
            HttpJob::open($this, $control->machine->tag, $control->key)->line('ok')->assertOk();
        }
        $families = array_unique(array_map(
            static fn (Control $one): string => $one->specVersion->body['family'],
            Control::query()->with('specVersion')->get()->all(),
        ));
        self::assertCount(count(FamilyKey::cases()), $families, 'a control of every family');
        $job = HttpJob::resume($this, (string) DB::table('control_jobs')->whereNotNull('open_control_id')->value('id'));
        $job->line('n a note to take back')->assertOk();
        $job->line('v said by mistake')->assertOk();
        Pictures::keep(
            JobHead::find($job->id),
            User::query()->where('login', 'ines')->firstOrFail(),
            (string) Str::uuid(),
            Picture::png(),
            CarbonImmutable::now(),
        );
        Traces::keep(
            JobHead::find($job->id),
            User::query()->where('login', 'ines')->firstOrFail(),
            (string) Str::uuid(),
            Pulled::csv(2, 100),
            CarbonImmutable::now(),
        );
        DB::table('spec_sketches')->insert(
            ['spec_version_id' => DB::table('spec_versions')->max('id')] + Pictures::anew(Picture::png()),
        );
        FormerTag::query()->create([
            'machine_id' => DB::table('machines')->min('id'),
            'tag' => 'OLD-1',
            'until' => now(),
        ]);
        $this
            ->postJson('/api/machines/RT-14/meter', ['id' => (string) Str::uuid(), 'face' => 2, 'replaced_at' => 6500])
            ->assertOk();
        $this
            ->postJson(
                '/api/machines/RT-14/controls/clutch/complaints',
                ['id' => (string) Str::uuid(), 'symptoms' => ['slips' => 'yes'], 'words' => 'slips uphill'],
            )
            ->assertCreated();
        $this->signIn('oda')->putJson('/api/causes/clutch_lever', ['here' => ['worn_plates' => 2]])->assertOk();
        $this->putJson('/api/shop/units', ['speeds' => 'mph'])->assertOk();
        $this
            ->putJson(
                '/api/cables/'.Str::uuid(),
                [
                    'name' => 'Clutch',
                    'wire_mm' => 84.5,
                    'adjusters' => [],
                    'control' => (int) DB::table('controls')->min('id'),
                ],
            )
            ->assertOk();
        Audit::note(null, 'test', 'ünïcode “quoted” / slashed', ['n' => 1.0, 'empty' => (object) []]);
        foreach (array_keys(ShopTables::EXPORTED) as $table) {
            self::assertTrue(DB::table($table)->exists(), "{$table} has rows");
        }
    }

    private function holdsItsSchema(string $path): void
    {
        $schema = json_decode((string) file_get_contents(base_path('docs/formats/shop.schema.json')));
        $validator = new Validator;
        $validator->resolver()?->registerRaw($schema, 'https://vivid-pull.example/schemas/shop-1.json');
        $zip = new ZipArchive;
        $zip->open($path);
        self::assertTrue(
            $validator
                ->validate(
                    json_decode((string) $zip->getFromName('manifest.json')),
                    'https://vivid-pull.example/schemas/shop-1.json',
                )
                ->isValid(),
        );
        foreach (array_keys(ShopTables::EXPORTED) as $table) {
            foreach (array_slice(explode("\n", rtrim((string) $zip->getFromName("{$table}.jsonl"))), 0, 60) as $line) {
                self::assertTrue(
                    $validator
                        ->validate(
                            json_decode($line),
                            "https://vivid-pull.example/schemas/shop-1.json#/\$defs/{$table}",
                        )
                        ->isValid(),
                    "{$table}: {$line}",
                );
            }
        }
    }

    /** The demo's rows: of the copy that a whole run makes, where it is there already. */
    private static function demo(): void
    {
        $made = (string) getenv('DEMO_MADE');
        if (! is_file($made)) {
            DemoWorkshop::load(CarbonImmutable::now());

            return;
        }
        $rows = array_filter(
            explode(";\n", (string) file_get_contents($made)),
            static fn (string $one): bool => preg_match('/^INSERT INTO `(\w+)`/m', $one, $into) === 1
                && isset(ShopTables::EXPORTED[$into[1]]),
        );
        $mode = DB::scalar('select @@sql_mode');
        // As a copy sets it: its rows name columns that are worked out.
        DB::statement("set session sql_mode = 'NO_AUTO_VALUE_ON_ZERO'");
        Schema::withoutForeignKeyConstraints(static function () use ($rows): void {
            foreach ($rows as $statement) {
                DB::unprepared($statement);
            }
        });
        DB::statement('set session sql_mode = ?', [$mode]);
    }

    private function emptied(): void
    {
        Schema::withoutForeignKeyConstraints(static function (): void {
            foreach (array_keys(ShopTables::EXPORTED) as $table) {
                DB::table($table)->delete();
            }
        });
    }
}
