<?php

declare(strict_types=1);

namespace Tests\Support;

use RuntimeException;
use Symfony\Component\Process\Process;

/**
 * The workshop as `bin/start` serves it to a network: nginx with HTTPS, in front of two application servers that share
 * one database.
 */
final class Served
{
    private const ROOT = __DIR__.'/../..';

    /** As bin/start serves the machine itself. */
    private const SERVES_ITSELF = <<<'SH'
        . bin/lib.sh; . bin/web.sh
        choose_web_user
        use_web_folders
        quietly optimize artisan optimize
        # Another front may have a route of its own, which kept ones would hide.
        [ "$FRONT" = "$ROOT/public/index.php" ] || rm -f "$APP_ROUTES_CACHE"
        write_fpm "$WEB/fpm1.conf" "$WEB/php1.sock" 8
        write_nginx "$WEB/nginx.conf" "$WEB/php1.sock" 127.0.0.1 "$PLAIN"
        [ "$WEB_USER" = "$(id -un)" ] || chown "$WEB_USER" "$WEB/fpm1.conf" "$WEB/nginx.conf"
        fpm "$WEB/fpm1.conf"
        "${AS_WEB[@]}" "${FPM[@]}" </dev/null >"$LOGS/php1.log" 2>&1 &
        for _ in $(seq 1 100); do [ -S "$WEB/php1.sock" ] && break; sleep 0.1; done
        nginx_command "$WEB/nginx.conf"
        exec "${AS_WEB[@]}" "${NGINX[@]}" </dev/null >"$LOGS/web.log" 2>&1
        SH;

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

    private function __construct(
        private readonly string $folder,
        private readonly int $plainPort,
        private readonly int $securePort,
    ) {
        $this->plain = "http://127.0.0.1:{$plainPort}";
        $this->secure = "https://127.0.0.1:{$securePort}";
    }

    /** To a network, on the demo workshop of this run. */
    public static function begin(): self
    {
        Server::withDemo();
        $served = new self(self::folder(), Server::freePort(), Server::freePort());

        return $served->serve(self::SERVES, $served->securePort, Server::environment());
    }

    /**
     * To the machine itself, by plain http.
     *
     * @param  array<string, string>  $env
     * @param  string  $front  the script that every request goes to
     */
    public static function itself(array $env, string $front): self
    {
        $port = Server::freePort();

        return (new self(self::folder(), $port, $port))->serve(self::SERVES_ITSELF, $port, ['FRONT' => $front] + $env);
    }

    /** @param  array<string, string>  $env */
    private function serve(string $script, int $port, array $env): self
    {
        // Its own caches, not those that tests must not find.
        $env = array_diff_key(
            $env,
            ['APP_CONFIG_CACHE' => true, 'APP_ROUTES_CACHE' => true, 'APP_EVENTS_CACHE' => true],
        );
        $this->process = new Process(
            ['setsid', 'bash', '-c', $script],
            self::ROOT,
            [
                'VIVID_PULL_DATA' => $this->folder,
                'PLAIN' => (string) $this->plainPort,
                'SECURE' => (string) $this->securePort,
            ]
                + $env,
            null,
            null,
        );
        $this->process->start();
        for ($i = 0; $i < 300 && $this->process->isRunning(); $i++) {
            $answers = @fsockopen('127.0.0.1', $port);
            if ($answers !== false) {
                fclose($answers);

                return $this;
            }
            usleep(100_000);
        }
        throw new RuntimeException(
            'It is not served: '.$this->process->getOutput().$this->process->getErrorOutput()
                .@file_get_contents("{$this->folder}/logs/web.log").@file_get_contents("{$this->folder}/logs/php1.log"),
        );
    }

    private static function folder(): string
    {
        $folder = sys_get_temp_dir().'/vivid-pull-served-'.bin2hex(random_bytes(4));
        mkdir($folder, 0o711);

        return $folder;
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
        // php-fpm begins a session of its own, and its processes outlive their master: each is ended by itself.
        foreach (self::family((int) $this->process->getPid()) as $pid) {
            posix_kill($pid, SIGKILL);
        }
        $this->process->stop(0);
        (new Process(['rm', '-rf', $this->folder]))->run();
    }

    /** @return list<int> a process and all that it began, and what those began */
    private static function family(int $pid): array
    {
        $children = array_filter(
            explode("\n", (string) shell_exec("pgrep -P {$pid}")),
            static fn (string $line): bool => $line !== '',
        );

        return [
            $pid,
            ...array_merge(...array_map(
                static fn (string $child): array => self::family((int) $child),
                array_values($children),
            )),
        ];
    }
}
