<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Bench\JobHead;
use App\Bench\Pictures;
use App\Chain\ChainCheck;
use App\Chain\DayHeads;
use App\Chain\Link;
use App\Chain\Rechain;
use App\Models\User;
use Carbon\CarbonImmutable;
use Closure;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Support\HttpJob;
use Tests\Support\Picture;
use Tests\TestCase;

/** What was written is what stands there, and whoever changed it by hand is found out. */
final class ChainTest extends TestCase
{
    public function test_each_entry_keeps_the_hash_of_the_one_before_it_and_of_itself(): void
    {
        $job = $this->job();
        $rows = DB::table('entries')->where('visit_id', JobHead::find($job->id)->visit)->orderBy('seq')->get();
        self::assertGreaterThan(8, $rows->count());
        $before = str_repeat('0', 64);
        foreach ($rows as $row) {
            // Written out here by hand, as docs/formats/shop.md says it, with keys in the order of RFC 8785.
            $said = array_filter([
                'after' => $row->after, 'at' => $row->at, 'body' => json_decode($row->body),
                'by' => json_decode($row->by), 'device' => $row->device, 'id' => $row->id, 'job_id' => $row->job_id,
                'kind' => $row->kind, 'line' => $row->line, 'received_at' => $row->received_at, 'seq' => $row->seq,
                'visit_id' => $row->visit_id,
            ], static fn (mixed $one): bool => $one !== null);
            self::assertSame($before = hash('sha256', $before.self::sorted($said)), $row->chain, "number {$row->seq}");
        }
        $check = new ChainCheck;
        self::assertNull($check->complaint());
        self::assertSame(DB::table('entries')->count(), $check->entries);
    }

    /** @return iterable<string, array{Closure(string): mixed, string}> */
    public static function tampered(): iterable
    {
        $row = static fn (string $visit, int $seq) => DB::table('entries')
            ->where('visit_id', $visit)
            ->where('seq', $seq);
        yield 'a value' => [
            static fn (string $visit) => $row($visit, 4)->update(['body' => DB::raw("json_set(body, '$.added', 1)")]),
            'This row was altered, or a row before it was added or taken out: entry %4, number 4',
        ];
        yield 'a name' => [
            static fn (string $visit) => $row($visit, 5)->update(['by' => DB::raw(
                "json_set(`by`, '$.name', 'Nobody')",
            )]),
            'This row was altered, or a row before it was added or taken out: entry %5, number 5',
        ];
        yield 'a moment' => [
            static fn (string $visit) => $row($visit, 3)->update(['received_at' => '2020-01-01 00:00:00.000']),
            'entry %3, number 3',
        ];
        yield 'a device' => [
            static fn (string $visit) => $row($visit, 3)->update(['device' => 'another']),
            'entry %3, number 3',
        ];
        yield 'a row is gone' => [
            static fn (string $visit) => $row($visit, 4)->delete(),
            'After number 3 a row was taken out before this one: entry %5, number 5',
        ];
        yield 'a row is gone and the numbers closed up' => [static function (string $visit) use ($row): void {
            $row($visit, 4)->delete();
            DB::table('entries')
                ->where('visit_id', $visit)
                ->where('seq', '>', 4)
                ->orderBy('seq')
                ->update(['seq' => DB::raw('seq - 1')]);
        }, 'entry %5, number 4'];
        yield 'two rows change places' => [static function (string $visit) use ($row): void {
            $row($visit, 4)->update(['seq' => 999]);
            $row($visit, 5)->update(['seq' => 4]);
            $row($visit, 999)->update(['seq' => 5]);
        }, 'entry %5, number 4'];
        yield 'a row is added at the end' => [static function (string $visit): void {
            $last = (array) DB::table('entries')->where('visit_id', $visit)->orderByDesc('seq')->first();
            DB::table('entries')->insert(
                ['id' => '00000000-0000-4000-8000-000000000001', 'seq' => $last['seq'] + 1] + $last,
            );
        }, 'entry 00000000-0000-4000-8000-000000000001'];
        yield 'no chain' => [
            static fn (string $visit) => $row($visit, 2)->update(['chain' => null]),
            'entry %2, number 2',
        ];
    }

    /** @param  Closure(string): mixed  $tamper */
    #[DataProvider('tampered')]
    public function test_what_was_changed_by_hand_is_named(Closure $tamper, string $says): void
    {
        $this->job('QB-03', 'throttle');
        $visit = JobHead::find($this->job()->id)->visit;
        $ids = DB::table('entries')->where('visit_id', $visit)->pluck('id', 'seq');
        $tamper($visit);
        $says = (string) preg_replace_callback(
            '/%(\d)/',
            static fn (array $of): string => (string) $ids[(int) $of[1]],
            $says,
        );
        $complaint = (string) (new ChainCheck)->complaint();
        self::assertStringContainsString($says, $complaint);
        self::assertStringContainsString(' on RT-14.', $complaint);
        self::assertSame(1, Artisan::call('workshop:verify'));
        self::assertStringContainsString($says, Artisan::output());
    }

    public function test_a_picture_that_was_exchanged_is_named(): void
    {
        $job = $this->job();
        $id = (string) Str::uuid();
        Pictures::keep(
            JobHead::find($job->id),
            User::query()->where('login', 'ines')->firstOrFail(),
            $id,
            Picture::png(),
            CarbonImmutable::now(),
        );
        self::assertNull((new ChainCheck)->complaint());
        DB::table('photos')->where('id', $id)->update(['jpeg' => 'another']);
        self::assertSame(
            "The picture {$id} in photos is not the one that was taken in.",
            (new ChainCheck)->complaint(),
        );
    }

    public function test_rows_from_before_there_was_a_chain_are_chained_by_the_upgrade(): void
    {
        $this->job();
        $written = DB::table('entries')->orderBy('id')->pluck('chain', 'id')->all();
        DB::table('entries')->update(['chain' => null]);
        self::assertNotNull((new ChainCheck)->complaint());
        Rechain::missing();
        self::assertSame($written, DB::table('entries')->orderBy('id')->pluck('chain', 'id')->all());
    }

    public function test_a_day_s_head_stands_still_while_the_days_after_it_are_written(): void
    {
        $this->travelTo('2026-11-20 09:00:00');
        $this->job('QB-03', 'throttle');
        $first = DayHeads::on('2026-11-20');
        self::assertNotSame(Link::NOTHING, $first);
        self::assertSame(Link::NOTHING, DayHeads::on('2026-11-19'));
        $this->travelTo('2026-11-23 09:00:00');
        $job = $this->job();
        self::assertSame($first, DayHeads::on('2026-11-22'));
        self::assertNotSame($first, $then = DayHeads::on('2026-11-23'));
        $this->travelTo('2026-11-24 09:00:00');
        $job->line('n the next morning')->assertOk();
        self::assertSame($then, DayHeads::on('2026-11-23'));
        self::assertSame(0, Artisan::call('workshop:verify', ['--day' => '2026-11-23']));
        self::assertStringContainsString("Head of the log on 2026-11-23: {$then}", Artisan::output());
        self::assertSame(2, Artisan::call('workshop:verify', ['--day' => 'yesterday']));
    }

    public function test_a_day_s_head_shows_a_chain_that_was_written_anew_from_one_end_to_the_other(): void
    {
        $visit = JobHead::find($this->job()->id)->visit;
        $day = CarbonImmutable::now('UTC')->format('Y-m-d');
        $kept = DayHeads::on($day);
        DB::table('entries')
            ->where('visit_id', $visit)
            ->where('seq', 4)
            ->update(['line' => 'as somebody would have it']);
        Rechain::visit($visit);
        self::assertNull((new ChainCheck)->complaint());
        self::assertNotSame($kept, DayHeads::on($day));
    }

    private function job(string $machine = 'RT-14', string $control = 'clutch'): HttpJob
    {
        $job = HttpJob::open($this->signIn(), $machine, $control);
        foreach (['n torn boot — élan ½', 'n second'] as $line) {
            $job->line($line)->assertOk();
        }
        while (DB::table('entries')->where('job_id', $job->id)->count() < 9) {
            $job->line($job->state['asks'] === 'condition' ? 'cold' : 'ok')->assertOk();
        }

        return $job;
    }

    private static function sorted(mixed $value): string
    {
        if (is_object($value)) {
            $pairs = get_object_vars($value);
            ksort($pairs, SORT_STRING);

            return '{'
                .implode(
                    ',',
                    array_map(
                        static fn (string $key): string => json_encode($key).':'.self::sorted($pairs[$key]),
                        array_map(strval(...), array_keys($pairs)),
                    ),
                )
                .'}';
        }
        if (is_array($value)) {
            return array_is_list($value)
                ? '['.implode(',', array_map(self::sorted(...), $value)).']'
                : self::sorted((object) $value);
        }

        return (string) json_encode($value, JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES);
    }
}
