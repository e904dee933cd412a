<?php

declare(strict_types=1);

namespace App\Exchange;

use App\Bench\JobHead;
use App\Bench\JobLog;
use App\Chain\ChainCheck;
use App\Chain\DayHeads;
use App\Chain\Rechain;
use App\Models\ControlJob;
use App\Models\User;
use App\People\ReadUnits;
use App\Refusals\DiskFull;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use stdClass;
use Throwable;
use VividPull\Core\Errors\CoreError;
use VividPull\Core\Errors\Refused;
use VividPull\Core\Input\Node;
use VividPull\Core\Log\Role;
use VividPull\Core\Wire\CheckCodec;
use VividPull\Core\Wire\RunCodec;
use VividPull\Core\Wire\RunDraft;
use VividPull\Core\Wire\SpecCodec;
use VividPull\Core\Wire\TraceFile;
use ZipArchive;

/**
 * A whole shop into an empty install: all of it or nothing. Every line is held against its table, every spec, run and
 * job is read by the core as a job would read it, and only then is anything kept.
 */
final class ShopImport
{
    private const NOT_THE_ONE = 'this file is not the one that its manifest names: it was changed or cut off.';

    private const PIECE = 300;

    private const MOST_FILES = 500_000;

    private const MOST_BYTES = 4_294_967_296;

    private const LONGEST_LINE = 4_194_304;

    private const MOST_NAMED = 200;

    private const NAME = '/^(?:manifest\.json|shop\.schema\.json|[a-z_]+\.jsonl|photos\/[0-9a-f-]{36}\.jpg|sketches\/\d{1,20}\.jpg)$/';

    /** @var list<Rejected> */
    private array $rejected = [];

    private int $rejectedInAll = 0;

    /** @var array<string, int> */
    private array $rows = [];

    /** @var array<string, string>|null day to the head of the log; null in the file of an older version */
    private ?array $heads = null;

    private function __construct(private readonly ZipArchive $zip) {}

    /**
     * @param  bool  $keep  false tries everything and keeps nothing
     * @return array{rows: array<string, int>, rejected: list<Rejected>, rejected_in_all: int, kept: bool}
     *
     * @throws Refused If the file is no export, or the install is not empty.
     */
    public static function from(string $path, bool $keep): array
    {
        if (User::query()->exists() || ControlJob::query()->exists()) {
            throw Refused::because('A whole shop goes into an empty install only. bin/import begins one.');
        }
        $zip = new ZipArchive;
        if (! is_file($path) || @$zip->open($path, ZipArchive::RDONLY | ZipArchive::CHECKCONS) !== true) {
            throw Refused::because('This file is no zip, or it is damaged.');
        }
        $import = new self($zip);
        DB::beginTransaction();
        try {
            $import->read();
            $kept = $keep && $import->rejectedInAll === 0;
            $kept ? DB::commit() : DB::rollBack();
        } catch (Throwable $e) {
            DB::rollBack();
            throw $e instanceof QueryException
                ? Refused::because('The database does not take this shop: '.self::plain($e))
                : $e;
        } finally {
            $zip->close();
        }

        return [
            'rows' => $import->rows,
            'rejected' => $import->rejected,
            'rejected_in_all' => $import->rejectedInAll,
            'kept' => $kept,
        ];
    }

    private function read(): void
    {
        $this->mustBeSane();
        $manifest = $this->manifest();
        $password = bcrypt(Str::random(40));
        foreach (array_keys(ShopTables::EXPORTED) as $table) {
            $this->table($table, $manifest[$table], $table === 'users' ? ['password' => $password] : []);
        }
        if ($this->rejectedInAll === 0) {
            Rechain::missing();
            $this->mustReplay();
            $this->mustBeChained();
        }
    }

    private function mustBeChained(): void
    {
        $why = (new ChainCheck)->complaint();
        if ($why !== null) {
            $this->reject('entries.jsonl', $why);
        } elseif ($this->heads !== null && $this->heads !== DayHeads::all()) {
            $this->reject('manifest.json', 'the heads of the log are not those of these entries.');
        }
    }

    private function mustBeSane(): void
    {
        $bytes = 0;
        if ($this->zip->numFiles > self::MOST_FILES) {
            throw Refused::because('This zip holds more files than a shop does.');
        }
        for ($n = 0; $n < $this->zip->numFiles; $n++) {
            $about = $this->zip->statIndex($n);
            if ($about === false || preg_match(self::NAME, $about['name']) !== 1) {
                throw Refused::because(
                    'This zip holds what is no part of a shop: '.mb_substr($about['name'] ?? 'a damaged entry', 0, 80)
                        .'.',
                );
            }
            $bytes += $about['size'];
        }
        if ($bytes > self::MOST_BYTES) {
            throw Refused::because('This zip unpacks to more than 4 GB.');
        }
    }

    /** @return array<string, array{rows: int, sha256: string}> */
    private function manifest(): array
    {
        $text = @$this->zip->getFromName('manifest.json', 1_000_000);
        $node = Node::fromJson(
            $text === false
                ? throw Refused::because('This zip has no manifest.json, so it is no export of a shop.')
                : $text,
        )->object(['format', 'tables'], ['heads']);
        if ($node->at('format')->value !== ShopExport::FORMAT) {
            throw Refused::because('This zip is not in the format '.ShopExport::FORMAT.'.');
        }
        $this->heads = $node->has('heads')
            ? array_map(static fn (Node $head): string => $head->string(64), $node->at('heads')->entries())
            : null;
        $node
            ->at('tables')
            ->object(array_values(array_diff(array_keys(ShopTables::EXPORTED), ShopTables::SINCE)), ShopTables::SINCE);
        $tables = [];
        foreach (array_keys(ShopTables::EXPORTED) as $table) {
            if (! $node->at('tables')->has($table)) {
                continue;
            }
            $about = $node->at('tables')->at($table)->object(['rows', 'sha256']);
            $tables[$table] = [
                'rows' => $about->at('rows')->integer(0, PHP_INT_MAX),
                'sha256' => $about->at('sha256')->string(64),
            ];
        }

        return $tables;
    }

    /**
     * @param  array{rows: int, sha256: string}  $about
     * @param  array<string, mixed>  $more  columns that are not in the file
     */
    private function table(string $table, array $about, array $more): void
    {
        $stream = @$this->zip->getStream("{$table}.jsonl");
        if ($stream === false) {
            throw Refused::because("This zip has no {$table}.jsonl.");
        }
        $check = ColumnCheck::of($table);
        $digest = hash_init('sha256');
        [$piece, $later, $n] = [[], [], 0];
        // A damaged zip warns while it is read; what is cut off is told by its hash.
        while (($line = @fgets($stream, self::LONGEST_LINE)) !== false) {
            hash_update($digest, $line);
            $row = json_decode($line, false, 64);
            $why = self::complaint($table, $check, $row);
            $n++;
            if ($why !== null || ! $row instanceof stdClass) {
                $this->reject("{$table}.jsonl line {$n}", (string) $why);

                continue;
            }
            if ($table === 'control_jobs' && $row->corrects !== null) {
                $later[$row->id] = $row->corrects;
                $row->corrects = null;
            }
            $piece[] = $this->columns($table, $row) + $more;
            if (count($piece) === self::PIECE) {
                $this->insert($table, $piece);
                $piece = [];
            }
        }
        $this->insert($table, $piece);
        foreach ($later as $job => $corrects) {
            DB::table('control_jobs')->where('id', $job)->update(['corrects' => $corrects]);
        }
        $this->rows[$table] = $n;
        if (hash_final($digest) !== $about['sha256'] || $n !== $about['rows']) {
            $this->reject("{$table}.jsonl", self::NOT_THE_ONE);
        }
    }

    /** What is wrong with the line read last; null where nothing is. */
    private static function complaint(string $table, ColumnCheck $check, mixed $row): ?string
    {
        return match (true) {
            json_last_error() !== JSON_ERROR_NONE => 'this is not JSON.',
            default => $check->complaint($row) ?? ($row instanceof stdClass ? self::meaning($table, $row) : null),
        };
    }

    /** @return array<string, mixed> */
    private function columns(string $table, stdClass $row): array
    {
        $columns = get_object_vars($row);
        foreach (ShopTables::JSON[$table] ?? [] as $column) {
            $columns[$column] = $columns[$column] === null ? null : json_encode($columns[$column], ShopExport::FLAGS);
        }
        if (isset(ShopTables::PICTURES[$table])) {
            [$column, $into] = ShopTables::PICTURES[$table];
            [$key] = ShopTables::EXPORTED[$table];
            $name = "{$into}/{$columns[$key]}.jpg";
            $jpeg = @$this->zip->getFromName($name);
            if ($jpeg === false || @getimagesizefromstring($jpeg) === false) {
                $this->reject($name, $jpeg === false ? 'this picture is missing.' : 'this is no picture.');
            }
            $sum = hash('sha256', (string) $jpeg);
            $columns['sum'] ??= $sum;
            if ($jpeg !== false && $columns['sum'] !== $sum) {
                $this->reject($name, 'this picture is not the one that its line names.');
            }
            $columns[$column] = (string) $jpeg;
        }

        return $columns;
    }

    /** @param  list<array<string, mixed>>  $piece */
    private function insert(string $table, array $piece): void
    {
        if ($piece !== [] && $this->rejectedInAll === 0) {
            DB::table($table)->insert($piece);
        }
    }

    /** What the core makes of a line beyond its columns. */
    private static function meaning(string $table, stdClass $row): ?string
    {
        $read = static fn (string $column): Node => Node::of(
            json_decode((string) json_encode($row->{$column}), true),
            "\$.{$column}",
        );
        try {
            match ($table) {
                'users' => [
                    Role::tryFrom($row->role) ?? throw Refused::because('role: this is no role.'),
                    ...array_map(
                        static fn (string $kind, string $style) => ($row->{$kind} ?? null) === null
                            || $style::tryFrom($row->{$kind}) !== null
                            ? null
                            : throw Refused::because("{$kind}: nobody reads {$kind} so."),
                        array_keys(ReadUnits::KINDS),
                        ReadUnits::KINDS,
                    ),
                ],
                'spec_versions' => self::version(
                    $row->checked_at === null,
                    $read('body'),
                    $row->run === null ? null : $read('run'),
                ),
                'controls' => RunCodec::decode($read('run')),
                'traces' => self::trace($row),
                'instrument_checks' => CheckCodec::mustBeOne($read('body')),
                'control_jobs' => [
                    SpecCodec::decode($read('frame')->object(['spec', 'run'])->at('spec')),
                    RunCodec::decode($read('frame')->at('run')),
                ],
                default => null,
            };
        } catch (CoreError $e) {
            return $e->getMessage();
        }

        return null;
    }

    /** The points of a pull are those that were taken in, and make a curve. */
    private static function trace(stdClass $row): void
    {
        $read = TraceFile::read((string) $row->csv);
        if ($read->trace === null || hash('sha256', (string) $row->csv) !== $row->sum) {
            throw Refused::because('csv: '.($read->problems[0] ?? 'these are not the points that were taken in.'));
        }
    }

    /** A draft may have empty fields; a version that was checked has none. */
    private static function version(bool $isDraft, Node $body, ?Node $run): void
    {
        $isDraft ? SpecCodec::draft($body) : SpecCodec::decode($body);
        if ($run !== null) {
            $isDraft ? RunDraft::of($run) : RunCodec::decode($run);
        }
    }

    /** Every job is folded as a screen would fold it: a log that cannot be replayed is no log. */
    private function mustReplay(): void
    {
        foreach (ControlJob::query()->orderBy('id')->pluck('id') as $id) {
            try {
                JobLog::of(JobHead::find((string) $id))->replay();
            } catch (Throwable $e) {
                $this->reject(
                    "entries of job {$id}",
                    $e instanceof CoreError ? $e->getMessage() : 'this log cannot be replayed.',
                );
            }
        }
    }

    private function reject(string $place, string $why): void
    {
        $this->rejectedInAll++;
        if (count($this->rejected) < self::MOST_NAMED) {
            $this->rejected[] = new Rejected($place, $why);
        }
    }

    private static function plain(QueryException $e): string
    {
        $code = (int) ($e->errorInfo[1] ?? 0);

        return match (true) {
            DiskFull::is($e) => 'its disk is full.',
            $code === 1062 => 'two lines have the same id, or stand for the same thing.',
            $code === 1452 => 'a line points at one that is not there.',
            default => 'a value does not fit its column.',
        };
    }
}
