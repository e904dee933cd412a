<?php

declare(strict_types=1);

namespace App\Exchange;

use App\Models\ImportFile;
use App\Models\User;
use App\Refusals\DiskFull;
use Carbon\CarbonImmutable;
use Generator;
use Illuminate\Support\Facades\DB;
use Throwable;
use VividPull\Core\Errors\CoreError;
use VividPull\Core\Errors\Refused;

/**
 * An import in two steps: every line is considered and the rejected ones named; then, if somebody says so, the rest is
 * written at once.
 */
final class Importing
{
    private const MOST_NAMED = 200;

    private const PIECE = 200;

    private const PROGRESS_EVERY = 500;

    private int $lines = 0;

    private int $new = 0;

    private int $standing = 0;

    private int $rejectedInAll = 0;

    /** @var list<Rejected> */
    private array $rejected = [];

    private function __construct(private readonly ImportFile $import, private readonly LineImport $kind) {}

    public static function check(ImportFile $import): void
    {
        self::guarded($import, 'checking', 'checked', static fn (self $one) => iterator_count($one->considered()));
    }

    public static function run(ImportFile $import): void
    {
        self::guarded(
            $import,
            'running',
            'done',
            static fn (self $one) => DB::transaction(static fn () => $one->takeIn()),
        );
    }

    /** @param  callable(self): mixed  $do */
    private static function guarded(ImportFile $import, string $during, string $after, callable $do): void
    {
        $import->forceFill(['state' => $during])->save();
        $one = new self($import, ImportKind::from($import->kind)->import(User::query()->findOrFail($import->user_id)));
        try {
            $do($one);
            $import
                ->forceFill([
                    'state' => $after,
                    'lines' => $one->lines,
                    'report' => $one->report(),
                    'finished_at' => CarbonImmutable::now(),
                ])
                ->save();
        } catch (CoreError $e) {
            $import
                ->forceFill([
                    'state' => 'failed',
                    'report' => ['sentence' => $e->getMessage()] + $one->report(),
                    'finished_at' => CarbonImmutable::now(),
                ])
                ->save();
        } catch (Throwable $e) {
            $why = DiskFull::is($e)
                ? 'The disk of the server is full: nothing of the file was kept. Make room and take it in again.'
                : 'The import failed and nothing of it was kept. Try again; if it fails again, ask whoever keeps the server.';
            $import
                ->forceFill([
                    'state' => 'failed',
                    'report' => ['sentence' => $why] + $one->report(),
                    'finished_at' => CarbonImmutable::now(),
                ])
                ->save();
            report($e);
        }
    }

    /** Writes what is new, a piece at a time. */
    private function takeIn(): void
    {
        $taken = [];
        foreach ($this->considered() as $made) {
            $taken[] = $made;
            if (count($taken) === self::PIECE) {
                $this->kind->write($taken);
                $taken = [];
            }
        }
        $this->kind->write($taken);
        $this->kind->finish();
    }

    /**
     * Each line looked at and counted.
     *
     * @return Generator<int, object> what is new
     */
    private function considered(): Generator
    {
        $in = fopen($this->import->path(), 'rb');
        if ($in === false) {
            throw Refused::because('The file is not there any more. Send it again.');
        }
        foreach (Rows::of($in, $this->kind) as $place => $row) {
            $this->lines++;
            $made = $this->consider($place, $row);
            if ($made !== null) {
                yield $made;
            }
            if ($this->lines % self::PROGRESS_EVERY === 0) {
                $this->import->progress($this->lines);
            }
        }
        fclose($in);
        $this->import->progress($this->lines);
    }

    private function consider(string $place, mixed $row): ?object
    {
        try {
            if (! is_array($row) || ($row !== [] && array_is_list($row))) {
                throw Refused::because('This is no row: JSON objects, each on a line of its own, are.');
            }
            $made = $this->kind->consider($row);
            $made === null ? $this->standing++ : $this->new++;

            return $made;
        } catch (CoreError $e) {
            $this->rejectedInAll++;
            if (count($this->rejected) < self::MOST_NAMED) {
                $this->rejected[] = new Rejected($place, $e->getMessage());
            }

            return null;
        }
    }

    /** @return array<string, mixed> */
    private function report(): array
    {
        return [
            'new' => $this->new,
            'standing' => $this->standing,
            'rejected_in_all' => $this->rejectedInAll,
            'rejected' => array_map(static fn (Rejected $one): array => $one->wire(), $this->rejected),
        ];
    }
}
