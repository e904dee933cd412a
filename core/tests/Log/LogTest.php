<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Log;

use PHPUnit\Framework\TestCase;
use VividPull\Core\Errors\Refused;
use VividPull\Core\Log\Entry\Amended;
use VividPull\Core\Log\Entry\Entry;
use VividPull\Core\Log\Entry\Noted;
use VividPull\Core\Log\Entry\Opened;
use VividPull\Core\Log\Entry\Voided;
use VividPull\Core\Log\Log;
use VividPull\Core\Log\Stamp;
use VividPull\Core\Log\Standing;
use VividPull\Core\Tests\Support\TestJob;

final class LogTest extends TestCase
{
    public function test_a_log_begins_with_the_entry_that_opens_it(): void
    {
        $this->expectExceptionObject(Refused::because('A log begins with the entry that opens the job.'));
        Log::of(self::note('a'));
    }

    public function test_nothing_happened_after_the_server_had_it_nor_before_its_job_was_begun(): void
    {
        $had = '2026-05-04T08:00:00.000+00:00';
        // Two minutes are what clocks differ by.
        foreach ([
            '2026-05-04T10:02:59+02:00' => '2026-05-04T10:02:59+02:00',
            '2026-05-04T10:03:00+02:00' => '2026-05-04T10:00:00+02:00',
            '2027-05-04T10:00:00+02:00' => '2026-05-04T10:00:00+02:00',
            '2026-05-04T09:10:00+02:00' => '2026-05-04T09:10:00+02:00',
            '2026-05-04T08:59:00+02:00' => '2026-05-04T08:59:00+02:00',
            '2015-01-01T00:00:00+02:00' => '2026-05-04T09:00:00+02:00',
        ] as $shown => $can) {
            self::assertSame($can, Stamp::possible($shown, $had, '2026-05-04T07:00:00+00:00'), $shown);
        }
        self::assertSame('2027-05-04T10:00:00+02:00', Stamp::possible('2027-05-04T10:00:00+02:00', null));
    }

    public function test_an_empty_log_is_none(): void
    {
        $this->expectException(Refused::class);
        Log::of();
    }

    public function test_a_job_is_opened_once(): void
    {
        $this->expectExceptionMessage('A job is opened once. Entry b opens it again.');
        Log::of(self::opened('a'), self::opened('b'));
    }

    public function test_an_id_stands_once(): void
    {
        $log = Log::of(self::opened('a'), self::note('b'));
        $this->expectExceptionMessage('Entry b stands twice in the log.');
        $log->with(self::note('b'));
    }

    public function test_entry_by_entry_is_the_same_as_all_at_once(): void
    {
        $entries = [
            self::opened('a'),
            self::note('b'),
            self::note('c'),
            new Voided(self::stamp('d'), 'b', 'x'),
            self::amended('e', 'c'),
        ];
        $log = Log::of($entries[0]);
        foreach (array_slice($entries, 1) as $entry) {
            $log = $log->with($entry);
        }
        $whole = Log::of(...$entries);
        self::assertEquals(self::ids($whole->effective()), self::ids($log->effective()));
        self::assertEqualsCanonicalizing($whole->places, $log->places);
        self::assertSame(array_keys($whole->voids()), array_keys($log->voids()));
    }

    public function test_what_was_taken_back_does_not_count(): void
    {
        $log = Log::of(self::opened('a'), self::note('b'), new Voided(self::stamp('c'), 'b', 'x'));
        self::assertSame(['a'], self::ids($log->effective()));
        self::assertSame('b', $log->find('b')?->stamp->id, 'and stays');
        self::assertNull($log->find('z'));
    }

    public function test_the_newest_amendment_counts_unless_it_was_taken_back(): void
    {
        $log = Log::of(
            self::opened('a'),
            self::note('b'),
            self::amended('c', 'b', 'first'),
            self::amended('d', 'b', 'second'),
        );
        self::assertSame('second', self::text($log->effective()[1]));
        self::assertSame('first', self::text($log->with(new Voided(self::stamp('e'), 'd', 'x'))->effective()[1]));
        self::assertCount(2, $log->effective(), 'an amendment is no entry of its own');
    }

    public function test_a_prefix_is_a_log_too(): void
    {
        $log = Log::of(self::opened('a'), self::note('b'), self::note('c'));
        self::assertSame(['a', 'b'], self::ids($log->prefix(2)->entries));
    }

    /**
     * @param  list<Entry>  $entries
     * @return list<string>
     */
    private static function ids(array $entries): array
    {
        return array_map(static fn (Entry $entry): string => $entry->stamp->id, $entries);
    }

    private static function text(Entry $entry): string
    {
        return $entry instanceof Noted ? $entry->text : '';
    }

    private static function opened(string $id): Opened
    {
        return new Opened(self::stamp($id), 'test', new Standing([], [], [], [], null));
    }

    private static function note(string $id, string $text = 'n'): Noted
    {
        return new Noted(self::stamp($id), $text);
    }

    private static function amended(string $id, string $target, string $text = 'put right'): Amended
    {
        return new Amended(self::stamp($id), $target, self::note($target, $text), 'x');
    }

    private static function stamp(string $id): Stamp
    {
        return new Stamp($id, '2026-03-03T08:00:00+00:00', TestJob::ines());
    }
}
