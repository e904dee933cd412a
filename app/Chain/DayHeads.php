<?php

declare(strict_types=1);

namespace App\Chain;

use App\Bench\ShopClock;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;

/**
 * One number a day for all that was logged: the SHA-256 of the day before's, and of the last chain of each visit that
 * was written in that day. Written on paper, or kept in an export elsewhere, it shows later whether the log up to then
 * is still the same. What came from lists is left out: readings may be filed into it later.
 */
final readonly class DayHeads
{
    private const KEPT_S = 172_800;

    /** @return array<string, string> day (UTC, as received) to its head, oldest first */
    public static function all(): array
    {
        $filed = DB::table('entries')->where('seq', '>=', Link::FILED_CLOSING)->distinct()->pluck('visit_id')->flip();
        $last = DB::table('entries')
            ->groupByRaw('date(received_at), visit_id')
            ->selectRaw('date(received_at) as day, visit_id, max(seq) as seq');
        $rows = DB::table('entries')->joinSub(
            $last,
            'last',
            static fn ($join) => $join
                ->on('last.visit_id', '=', 'entries.visit_id')
                ->on('last.seq', '=', 'entries.seq'),
        )
            ->get(['last.day', 'entries.visit_id', 'entries.chain']);
        $days = [];
        foreach ($rows as $row) {
            if (! isset($filed[$row->visit_id])) {
                $days[(string) $row->day][(string) $row->visit_id] = (string) $row->chain;
            }
        }
        ksort($days, SORT_STRING);
        $before = Link::NOTHING;
        foreach ($days as $day => $visits) {
            ksort($visits, SORT_STRING);
            $text = $before;
            foreach ($visits as $visit => $chain) {
                $text .= "{$visit}{$chain}";
            }
            $days[$day] = $before = hash('sha256', $text);
        }

        return $days;
    }

    /**
     * The head of all that was logged before today, worked out once a day: a day that is over does not change.
     *
     * @return array{day: string, head: string}|null null where nothing was logged before today
     */
    public static function beforeToday(): ?array
    {
        $yesterday = ShopClock::now()->utc()->subDay()->format('Y-m-d');
        $head = Cache::remember("day-head:{$yesterday}", self::KEPT_S, static fn (): string => self::on($yesterday));

        return $head === Link::NOTHING ? null : ['day' => $yesterday, 'head' => $head];
    }

    /** The head that holds on a day: its own, or the last before it. */
    public static function on(string $day): string
    {
        $held = array_filter(self::all(), static fn (string $one): bool => $one <= $day, ARRAY_FILTER_USE_KEY);

        return $held === [] ? Link::NOTHING : end($held);
    }
}
