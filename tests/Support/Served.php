<?php

declare(strict_types=1);

namespace Tests\Support;

use RuntimeException;
use Symfony\Component\Process\Process;

/** The workshop as `bin/start` serves it to a network: nginx with HTTPS, in front of two application servers that share one database. */
final class Served
{
    private const ROOT = __DIR__.'/../..';

    private const SERVES = <<<'SH'
        . bin/lib.sh; . bin/web.sh
        choose_web_user
        use_web_folders
        make_tls 127.0.0.1
        export WORKSHOP_ADDRESS=192.0.2.7 WORKSHOP_PLAIN_PORT="$PLAIN" WORKSHOP_HTTPS_PORT="$SECURE" WORKSHOP_AUTHORITY="$WEB/tls/authority.crt" SESSION_SECURE_COOKIE=true
        quietly optimize artisan optimize
        for n in 1 2; do
            write_fpm "$WEB/fpm$n.conf" "$WEB/php$n.sock" 2
            [ "$WEB_USER" = "$(id -un)" ] || chown "$WEB_USER" "$WEB/fpm$n.conf"
            fpm "$WEB/fpm$n.conf"
            "${AS_WEB[@]}" "${FPM[@]}" </dev/null >"$LOGS/php$n.log" 2>&1 &
            echo $! >"$DATA/php$n.pid"
        done
        write_nginx "$WEB/nginx.conf" "$WEB/php1.sock $WEB/php2.sock" 127.0.0.1 "$PLAIN" "$SECURE"
        [ "$WEB_USER" = "$(id -un)" ] || chown "$WEB_USER" "$WEB/nginx.conf"
        nginx_command "$WEB/nginx.conf"
        for n in 1 2; do for _ in $(seq 1 100); do [ -S "$WEB/php$n.sock" ] && break; sleep 0.1; done; done
        exec "${AS_WEB[@]}" "${NGINX[@]}" </dev/null >"$LOGS/web.log" 2>&1
        SH;

    public readonly string $plain;

    public readonly string $secure;

    private Process $process;

    private function __construct(private readonly string $folder, private readonly int $plainPort, private readonly int $securePort)
    {
        $this->plain = "http://127.0.0.1:{$plainPort}";
        $this->secure = "https://127.0.0.1:{$securePort}";
    }

    /** On the demo workshop of this run. */
    public static function begin(): self
    {
        Server::withDemo();
        $folder = sys_get_temp_dir().'/vivid-pull-served-'.bin2hex(random_bytes(4));
        mkdir($folder, 0o711);
        $served = new self($folder, Server::freePort(), Server::freePort());
        $env = ['VIVID_PULL_DATA' => $folder, 'PLAIN' => (string) $served->plainPort, 'SECURE' => (string) $served->securePort] + Server::environment();
        $served->process = new Process(['setsid', 'bash', '-c', self::SERVES], self::ROOT, $env, null, null);
        $served->process->start();
        for ($i = 0; $i < 300 && $served->process->isRunning(); $i++) {
            $answers = @fsockopen('127.0.0.1', $served->securePort);
            if ($answers !== false) {
                fclose($answers);

                return $served;
            }
            usleep(100_000);
        }
        throw new RuntimeException('It is not served: '.$served->process->getOutput().$served->process->getErrorOutput().@file_get_contents("{$folder}/logs/web.log").@file_get_contents("{$folder}/logs/php1.log"));
    }

    public function authority(): string
    {
        return "{$this->folder}/tls/authority.crt";
    }

    /** Kills one of the two application servers by force. */
    public function kill(int $server): void
    {
        $pid = (int) file_get_contents("{$this->folder}/php{$server}.pid");
        foreach (explode("\n", trim((string) shell_exec("pgrep -P {$pid}"))) as $child) {
            posix_kill((int) $child, SIGKILL);
        }
        posix_kill($pid, SIGKILL);
    }

    public function end(): void
    {
        posix_kill(-(int) $this->process->getPid(), SIGKILL);
        $this->process->stop(0);
        (new Process(['rm', '-rf', $this->folder]))->run();
    }
}
