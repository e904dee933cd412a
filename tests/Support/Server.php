<?php

declare(strict_types=1);

namespace Tests\Support;

use PDO;
use RuntimeException;
use Symfony\Component\Process\Process;

/** A real server on a real port, in processes of its own, as `bin/start` runs it. */
final class Server
{
    private const ROOT = __DIR__.'/../..';

    /** As in bin/start. */
    private const OPTIONS = [
        '-d',
        'variables_order=EGPCS',
        '-d',
        'opcache.preload=bootstrap/preload.php',
        '-d',
        'opcache.jit_buffer_size=32M',
        '-d',
        'opcache.jit=function',
        '-d',
        'zend.enable_gc=0',
    ];

    private ?Process $process = null;

    public readonly string $url;

    /** @var array<string, string> the cookie of the device */
    private array $device = [];

    /** @var array<string, array<string, string>> cookies by login */
    private array $sessions = [];

    private static ?self $shared = null;

    /** @param  array<string, string>  $env */
    public function __construct(
        private readonly int $port,
        private readonly array $env,
        private readonly string $router = 'tests/Support/router.php',
    ) {
        $this->url = "http://127.0.0.1:{$port}";
    }

    /** The server of the whole run, with the demo workshop behind it. */
    public static function withDemo(): self
    {
        if (self::$shared === null) {
            self::$shared = new self(self::freePort(), self::environment());
            self::$shared->fillWithDemo();
            self::$shared->start();
            register_shutdown_function(static fn () => self::$shared?->stop());
        }

        return self::$shared;
    }

    /** @return array<string, string> */
    public static function environment(): array
    {
        return [
            'APP_ENV' => 'production', 'APP_DEBUG' => 'false', 'APP_KEY' => (string) getenv('APP_KEY'),
            'APP_CONFIG_CACHE' => '.runtime/none/config.php', 'APP_ROUTES_CACHE' => '.runtime/none/routes.php',
            'APP_EVENTS_CACHE' => '.runtime/none/events.php',
            'DB_HOST' => (string) getenv('DB_HOST'), 'DB_PORT' => (string) getenv('DB_PORT'),
            'DB_DATABASE' => (string) getenv('DB_DATABASE'),
            'DB_USERNAME' => (string) getenv('DB_USERNAME'), 'DB_PASSWORD' => (string) getenv('DB_PASSWORD'),
            'CACHE_STORE' => 'database', 'SESSION_DRIVER' => 'database', 'LOG_CHANNEL' => 'single',
            'QUEUE_CONNECTION' => 'sync', 'WORKSHOP_DEMO' => 'true',
            'PHP_CLI_SERVER_WORKERS' => '4', 'BCRYPT_ROUNDS' => '4',
        ];
    }

    public static function freePort(): int
    {
        $socket = stream_socket_server('tcp://127.0.0.1:0');
        if ($socket === false) {
            throw new RuntimeException('No port is free.');
        }
        $name = explode(':', (string) stream_socket_get_name($socket, false));
        fclose($socket);

        return (int) end($name);
    }

    public function start(): void
    {
        $this->process = new Process(
            [
                'setsid',
                PHP_BINARY,
                ...self::OPTIONS,
                '-d',
                'opcache.preload_user='.(posix_getpwuid(posix_geteuid())['name'] ?? ''),
                '-S',
                "127.0.0.1:{$this->port}",
                '-t',
                'public',
                $this->router,
            ],
            self::ROOT, $this->env, null, null,
        );
        $this->process->disableOutput();
        $this->process->start();
        for ($i = 0; $i < 400; $i++) {
            $answers = @fsockopen('127.0.0.1', $this->port);
            if ($answers !== false) {
                fclose($answers);

                return;
            }
            usleep(50_000);
        }
        throw new RuntimeException('The server did not start.');
    }

    /** Its workers would outlive the process that began them. */
    public function __destruct()
    {
        $this->stop();
    }

    public function stop(): void
    {
        $pid = $this->process?->getPid();
        if ($pid !== null) {
            posix_kill(-$pid, SIGKILL);
            for ($i = 0; $i < 100 && $this->process->isRunning(); $i++) {
                usleep(20_000);
            }
        }
        $this->process = null;
    }

    public function artisan(string ...$arguments): void
    {
        (new Process([PHP_BINARY, 'artisan', ...$arguments], self::ROOT, $this->env, null, 120))->mustRun();
    }

    public function fillWithDemo(): void
    {
        (new Process(
            ['bash', '-c', '. tests/Support/demo.sh; fill_with_demo'],
            self::ROOT,
            $this->env,
            null,
            120,
        ))->mustRun();
    }

    /** A machine of this test's own, like another of the yard, on which nothing was ever done. */
    public function machineLike(string $tag, string $own): string
    {
        $database = $this->database();
        $columns = 'name, kind, year, place, usage_reading, usage_unit';
        $database
            ->prepare(
                "insert into machines (tag, {$columns}, ran_until, created_at, updated_at) select ?, {$columns}, now() - interval 1 day, now(), now() from machines where tag = ?",
            )
            ->execute([$own, $tag]);
        $database
            ->prepare(
                'insert into controls (machine_id, spec_version_id, `key`, name, run, minutes, created_at, updated_at) select o.id, c.spec_version_id, c.`key`, c.name, c.run, c.minutes, now(), now() from controls c join machines m on m.id = c.machine_id, machines o where m.tag = ? and o.tag = ? order by c.id',
            )
            ->execute([$tag, $own]);

        return $own;
    }

    /** A control of a machine that only this test uses, judged by a band of its own. */
    public function judgedBy(string $tag, string $control, float $low, float $high): void
    {
        $database = $this->database();
        $row = $database->prepare(
            'select s.* from spec_versions s join controls c on c.spec_version_id = s.id join machines m on m.id = c.machine_id where m.tag = ? and c.`key` = ?',
        );
        $row->execute([$tag, $control]);
        $spec = array_diff_key((array) $row->fetch(PDO::FETCH_ASSOC), ['id' => true, 'words' => true]);
        $body = json_decode((string) $spec['body'], true, flags: JSON_THROW_ON_ERROR);
        $body['aim'] = ['low_mm' => $low, 'high_mm' => $high] + $body['aim'];
        $spec = ['body' => json_encode($body, JSON_THROW_ON_ERROR), 'model' => $tag] + $spec;
        $columns = implode(', ', array_map(static fn (int|string $one): string => "`{$one}`", array_keys($spec)));
        $places = implode(', ', array_fill(0, count($spec), '?'));
        $database
            ->prepare("insert into spec_versions ({$columns}) values ({$places})")
            ->execute(array_values($spec));
        $database
            ->prepare(
                'update controls c join machines m on m.id = c.machine_id set c.spec_version_id = ? where m.tag = ? and c.`key` = ?',
            )
            ->execute([$database->lastInsertId(), $tag, $control]);
    }

    /**
     * A job of this test's own on a control, whatever another left open there, brought so far by whoever is signed in
     * so.
     *
     * @param  list<string>  $lines
     */
    public function job(string $login, string $tag, string $control, array $lines): string
    {
        $this->leave($tag, $control);

        return Preparation::of(new HttpClient($this->url, $this->sessions[$login]), $tag, $control, $lines);
    }

    /** No job is open on it any more. */
    public function leave(string $tag, string $control): void
    {
        $this->database()->prepare('update control_jobs set open_control_id = null, closed_at = now(3)
            where open_control_id in (select c.id from controls c join machines m on m.id = c.machine_id where m.tag = ? and c.key = ?)')->execute([$tag, $control]);
    }

    public function database(): PDO
    {
        $dsn = "mysql:host=127.0.0.1;port={$this->env['DB_PORT']};dbname={$this->env['DB_DATABASE']}";

        return new PDO($dsn, $this->env['DB_USERNAME'], $this->env['DB_PASSWORD']);
    }

    /** Their next visit signs in afresh, where a test ended the session they had. */
    public function forget(string $login): void
    {
        unset($this->sessions[$login]);
    }

    /** So does everybody's, after a test that ended where it should not have. */
    public function forgetAll(): void
    {
        $this->sessions = [];
    }

    /** @return array<string, string> the cookies of a signed-in person */
    public function session(string $login, string $password): array
    {
        if (! isset($this->sessions[$login])) {
            // All of them sign in on one device, as on a shared tablet.
            $client = new HttpClient($this->url, $this->device);
            $client->signIn($login, $password);
            $this->sessions[$login] = $client->cookies();
            $this->device = array_intersect_key($this->sessions[$login], ['vivid_device' => true]);
        }

        return $this->sessions[$login];
    }
}
