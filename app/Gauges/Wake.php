<?php

declare(strict_types=1);

namespace App\Gauges;

/**
 * How a request tells the streams of a job that something came, without any of them asking again and again: each stream
 * holds a socket for datagrams under its job's name, and waits on it.
 */
final class Wake
{
    /** A path of a socket holds 107 letters on Linux. */
    private const LONGEST_FOLDER = 60;

    /** @param  resource  $socket */
    private function __construct(private readonly mixed $socket, private readonly string $path) {}

    /** Null where no socket can be made: the stream then ends at once, and is asked for anew. */
    public static function waitingFor(string $job): ?self
    {
        $path = self::folder().'/'.self::short($job).'-'.bin2hex(random_bytes(4));
        $socket = @stream_socket_server("udg://{$path}", $code, $why, STREAM_SERVER_BIND);

        return $socket === false ? null : new self($socket, $path);
    }

    /** Tells every stream of the job to look. One that is gone is cleared away. */
    public static function all(string $job): void
    {
        foreach ((array) glob(self::folder().'/'.self::short($job).'-*') as $path) {
            $told = @stream_socket_client("udg://{$path}", $code, $why, 0.1);
            if ($told === false) {
                @unlink((string) $path);
            } else {
                @fwrite($told, '.');
                fclose($told);
            }
        }
    }

    /** Waits until it is told, or the time is over; every telling so far counts as one. Whether it was told. */
    public function wait(float $seconds): bool
    {
        if (! $this->isTold($seconds)) {
            return false;
        }
        do {
            stream_socket_recvfrom($this->socket, 64);
        } while ($this->isTold(0.0));

        return true;
    }

    private function isTold(float $seconds): bool
    {
        $read = [$this->socket];
        $none = null;

        return (int) @stream_select($read, $none, $none, (int) $seconds, (int) (fmod($seconds, 1.0) * 1e6)) > 0;
    }

    public function close(): void
    {
        fclose($this->socket);
        @unlink($this->path);
    }

    private static function short(string $job): string
    {
        return substr(hash('sha256', $job), 0, 16);
    }

    /**
     * The application's own; somewhere shorter where its path is too long for a socket. Nobody else may tell or listen.
     */
    private static function folder(): string
    {
        $own = storage_path('framework/wake');
        $folder = strlen($own) <= self::LONGEST_FOLDER
            ? $own
            : sys_get_temp_dir().'/vp-wake-'.substr(hash('sha256', $own), 0, 12);
        if (! is_dir($folder)) {
            @mkdir($folder, 0700, true);
        }

        return $folder;
    }
}
