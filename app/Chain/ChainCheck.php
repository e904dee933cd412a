<?php

declare(strict_types=1);

namespace App\Chain;

use App\Exchange\ShopTables;
use Generator;
use Illuminate\Support\Facades\DB;
use stdClass;
use VividPull\Core\Log\EntryKind;

/** Works every chain out anew from what lies in the table, and names the first row that does not fit. */
final class ChainCheck
{
    private const PIECE = 5_000;

    private const BEFORE_ALL = '00000000-0000-0000-0000-000000000000';

    public int $entries = 0;

    public int $visits = 0;

    /** @return string|null what does not fit; null where all of it does */
    public function complaint(): ?string
    {
        $before = null;
        $chain = Link::NOTHING;
        foreach (self::rows() as $row) {
            $isFirst = $before === null || $before->visit_id !== $row->visit_id;
            $this->visits += $isFirst ? 1 : 0;
            $this->entries++;
            $why = self::gap($isFirst ? null : $before, $row);
            $chain = Link::of($isFirst ? Link::NOTHING : $chain, (array) $row);
            if ($why !== null || $chain !== $row->chain) {
                return ($why ?? 'This row was altered, or a row before it was added or taken out').': '
                    .self::place($row).'.';
            }
            $before = $row;
        }

        return self::withoutClosing() ?? self::picture();
    }

    /** Every row in the order of its chain, read in pieces. */
    private static function rows(): Generator
    {
        [$visit, $seq] = [self::BEFORE_ALL, 0];
        do {
            $rows = DB::table('entries')->where(
                static fn ($all) => $all
                    ->where('visit_id', '>', $visit)
                    ->orWhere(static fn ($same) => $same->where('visit_id', $visit)->where('seq', '>', $seq)),
            )
                ->orderBy('visit_id')->orderBy('seq')->limit(self::PIECE)->get([...Link::COLUMNS, 'chain']);
            foreach ($rows as $row) {
                yield $row;
                [$visit, $seq] = [$row->visit_id, $row->seq];
            }
        } while ($rows->count() === self::PIECE);
    }

    private static function gap(?stdClass $before, stdClass $row): ?string
    {
        $last = (int) ($before->seq ?? 0);

        return (int) $row->seq === $last + 1 || (int) $row->seq === Link::FILED_CLOSING
            ? null
            : "After number {$last} a row was taken out before this one";
    }

    /** A closed job whose last rows are gone shows no break in what is left. */
    private static function withoutClosing(): ?string
    {
        $job = DB::table('control_jobs')
            ->whereNotNull('closed_at')
            ->whereNotExists(
                static fn ($closing) => $closing
                    ->from('entries')
                    ->whereColumn('entries.job_id', 'control_jobs.id')
                    ->where('kind', EntryKind::Closed->value),
            )
            ->first(['id']);

        return $job === null ? null : "Job {$job->id} is closed, and the row that closed it was taken out.";
    }

    private static function picture(): ?string
    {
        foreach (ShopTables::PICTURES as $table => [$column]) {
            [$key] = ShopTables::EXPORTED[$table];
            $id = DB::table($table)
                ->where(static fn ($wrong) => $wrong->whereNull('sum')->orWhereRaw("`sum` <> sha2({$column}, 256)"))
                ->orderBy($key)
                ->value($key);
            if ($id !== null) {
                return "The picture {$id} in {$table} is not the one that was taken in.";
            }
        }
        $id = DB::table('traces')->whereRaw('`sum` <> sha2(csv, 256)')->orderBy('id')->value('id');
        if ($id !== null) {
            return "The points of curve {$id} are not those that were taken in.";
        }

        return null;
    }

    private static function place(stdClass $row): string
    {
        $at = DB::table('visits')
            ->join('machines', 'machines.id', '=', 'visits.machine_id')
            ->where('visits.id', $row->visit_id)
            ->value('tag');

        return "entry {$row->id}, number {$row->seq} ({$row->kind}) of "
            .($row->job_id === null ? "visit {$row->visit_id}" : "job {$row->job_id}").' on '
            .(is_string($at) ? $at : 'no machine');
    }
}
