<?php

declare(strict_types=1);

namespace App\Gauges;

use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Symfony\Component\HttpFoundation\StreamedResponse;

/**
 * What came for a job, told to the screen that listens the moment it comes, as server-sent events (WHATWG HTML, 9.2):
 * `reading` for each, `look` where something else about its gauges changed. It waits to be woken and asks the database
 * for nothing meanwhile.
 */
final readonly class Streaming
{
    /** A browser asks anew by itself after a stream has ended; so no process is held for ever by one that has gone. */
    private const LONGEST_S = 150.0;

    /** Only by writing does it show that nobody listens any more. */
    private const BEAT_S = 5.0;

    private const AGAIN_MS = 250;

    private const LATER_MS = 2000;

    public static function of(string $job, string $device): StreamedResponse
    {
        return new StreamedResponse(static fn () => self::run($job, $device), 200, [
            'Content-Type' => 'text/event-stream', 'Cache-Control' => 'no-store', 'X-Accel-Buffering' => 'no',
        ]);
    }

    private static function run(string $job, string $device): void
    {
        set_time_limit(0);
        ignore_user_abort(false);
        // The socket first, and then what lies there already: what comes in between wakes it.
        $wake = Wake::waitingFor($job);
        if ($wake === null) {
            // Where no socket can be had, what is there is told, and the browser asks again in a while.
            self::send('retry: '.self::LATER_MS."\n\n");
            self::handOut($job, $device);

            return;
        }
        // Also where the browser has gone and the script ends in the middle.
        register_shutdown_function($wake->close(...));
        self::send('retry: '.self::AGAIN_MS."\n\n");
        for ($ends = microtime(true) + self::LONGEST_S; microtime(true) < $ends;) {
            self::handOut($job, $device);
            DB::disconnect();
            self::send($wake->wait(self::BEAT_S) ? "event: look\ndata: {}\n\n" : ": \n\n");
        }
    }

    private static function handOut(string $job, string $device): void
    {
        foreach (Arrivals::handOut($job, $device, CarbonImmutable::now()) as $reading) {
            self::send(
                "event: reading\ndata: ".json_encode($reading, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE)."\n\n",
            );
        }
    }

    private static function send(string $text): void
    {
        echo $text;
        while (ob_get_level() > 0) {
            ob_end_flush();
        }
        flush();
    }
}
