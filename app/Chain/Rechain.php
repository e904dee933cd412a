<?php

declare(strict_types=1);

namespace App\Chain;

use Illuminate\Support\Facades\DB;

/**
 * Chains a visit anew from its first entry: for what an upgrade found without a chain, and for readings filed into a
 * job that came from a list.
 */
final readonly class Rechain
{
    public static function visit(string $visit): void
    {
        $before = Link::NOTHING;
        foreach (DB::table('entries')->where('visit_id', $visit)->orderBy('seq')->get([
            ...Link::COLUMNS,
            'chain',
        ]) as $row) {
            $before = Link::of($before, (array) $row);
            if ($row->chain !== $before) {
                DB::table('entries')->where('id', $row->id)->update(['chain' => $before]);
            }
        }
    }

    /** Every visit with an entry that has no chain. */
    public static function missing(): void
    {
        foreach (DB::table('entries')->whereNull('chain')->distinct()->pluck('visit_id') as $visit) {
            self::visit((string) $visit);
        }
    }
}
