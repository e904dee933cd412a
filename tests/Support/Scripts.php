<?php

declare(strict_types=1);

namespace Tests\Support;

use Symfony\Component\Process\Process;

/** The scripts in bin/, on a workshop of the test's own. */
trait Scripts
{
    /** Only what hangs takes longer, also on a machine that is busy with other tests. */
    private const PATIENCE_S = 600;

    /** What it said; it ends with this code. */
    private static function script(string $data, string $script, int $code = 0): string
    {
        $process = new Process(
            ['bash', '-c', $script],
            __DIR__.'/../..',
            [
                'VIVID_PULL_DATA' => $data, 'APP_ENV' => 'production', 'CACHE_STORE' => false,
                'SESSION_DRIVER' => false, 'QUEUE_CONNECTION' => false, 'DB_DATABASE' => false, 'DB_USERNAME' => false,
                'DB_PASSWORD' => false, 'DB_PORT' => false, 'APP_KEY' => false, 'BCRYPT_ROUNDS' => '4',
            ],
            null,
            self::PATIENCE_S,
        );
        $process->run();
        $said = $process->getOutput().$process->getErrorOutput();
        self::assertSame($code, $process->getExitCode(), "{$script}\n{$said}");

        return $said;
    }
}
