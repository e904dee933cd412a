<?php

declare(strict_types=1);

namespace Tests\Support;

use App\Exchange\TableExport;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use Random\Randomizer;
use Symfony\Component\HttpFoundation\Response;

/** Files out of the shop and into it, as the lead sends them. */
trait Exchanges
{
    private const HEAD = 'machine,control,day,usage,found_mm,left_mm,signed_by';

    private static function text(TableExport $export, string $as): string
    {
        $out = fopen('php://memory', 'w+b');
        self::assertNotFalse($out);
        $export->write($out, $as);
        rewind($out);

        return (string) stream_get_contents($out);
    }

    private function takenIn(string $kind, string $text, int $new): void
    {
        $file = $this->taken($kind, $text);
        self::assertSame([$new, []], [$file['new'], $file['rejected']], $kind);
        $this
            ->postJson("/api/imports/{$file['id']}/run", ['without_rejected' => false])
            ->assertOk()
            ->assertJsonPath('state', 'done');
    }

    private function closedJobs(int $many, string $reason = 'kept as it was'): void
    {
        $rows = array_map(
            static fn (int $n): string => "RT-14,clutch,2024-0{$n}-10,".(1000 * $n)
                .",1{$n}.5,15,Bo,by_choice,\"{$reason}\"",
            range(1, min(9, $many)),
        );
        $this->takenIn('history', self::HEAD.",outcome,reason\n".implode("\n", $rows)."\n", count($rows));
    }

    private function throwTheLogAway(): void
    {
        DB::table('entries')->delete();
        DB::table('control_jobs')->delete();
        DB::table('visits')->delete();
    }

    /** @return array<string, mixed> */
    private function taken(string $kind, string $text): array
    {
        $this->signIn('oda');

        return $this->file((string) Str::uuid(), $kind, $text)->assertCreated()->json();
    }

    /** @return TestResponse<Response> */
    private function file(string $id, string $kind, string $text): TestResponse
    {
        return $this->call(
            'PUT',
            "/api/imports/{$id}?kind={$kind}&name=file.csv",
            [],
            [],
            [],
            ['CONTENT_TYPE' => 'application/octet-stream', 'HTTP_ACCEPT' => 'application/json'],
            $text,
        );
    }

    private static function damaged(string $good, Randomizer $chance): string
    {
        for ($times = $chance->getInt(1, 4); $times > 0; $times--) {
            $at = $chance->getInt(0, max(0, strlen($good) - 1));
            $good = match ($chance->getInt(0, 6)) {
                0 => substr($good, 0, $at),
                1 => substr_replace($good, $chance->getBytes($chance->getInt(1, 3)), $at, 1),
                2 => substr_replace($good, '', $at, $chance->getInt(1, 30)),
                3 => substr_replace(
                    $good,
                    [',', ';', '"', "\n", '{', ']', "\0", '1e999', '-', 'null', '[]'][$chance->getInt(0, 10)],
                    $at,
                    0,
                ),
                4 => (string) preg_replace_callback(
                    '/\d+/',
                    static fn (): string => (string) $chance->getInt(-9, 999_999_999),
                    $good,
                    $chance->getInt(1, 5),
                ),
                5 => (string) preg_replace('/"[a-z_]+":/', '"x":', $good, 1),
                default => str_replace(['clutch', 'lever_tip', 'true', 'RT-14'][$chance->getInt(0, 3)], '', $good),
            };
        }

        return $good;
    }
}
