<?php

declare(strict_types=1);

namespace Tests\Browser;

use ArrayObject;
use CurlMultiHandle;
use Database\Demo\DemoPeople;
use LogicException;
use PHPUnit\Framework\TestCase;
use Tests\Support\HttpClient;
use Tests\Support\Served;
use Tests\Support\Server;

/**
 * The workshop behind nginx: two application servers that share one job, HTTPS by an authority of its own, and what
 * never reaches them.
 */
final class ServedTest extends TestCase
{
    private static ?Served $served = null;

    public static function setUpBeforeClass(): void
    {
        self::$served = Served::begin();
    }

    public static function tearDownAfterClass(): void
    {
        self::$served?->end();
        self::$served = null;
    }

    public function test_two_servers_share_a_job_without_a_difference_and_one_alone_goes_on(): void
    {
        [$ines, $tomas] = [self::client('ines'), self::client('tomas')];
        $id = self::uuid(1);
        [$status, $job] = $ines->send('POST', 'machines/QB-05/jobs', ['id' => $id, 'control' => 'throttle']);
        self::assertSame(201, $status, (string) json_encode($job));
        $head = $job['state']['head'];
        [, $joined] = $tomas->send(
            'POST',
            "jobs/{$id}/entries",
            ['id' => self::uuid(2), 'at' => date('c'), 'after' => $head, 'kind' => 'joined', 'body' => (object) []],
        );
        for ($n = 0; $n < 20; $n++) {
            $who = $n % 2 === 0 ? $ines : $tomas;
            [$status, $answer] = $who->send(
                'POST',
                "jobs/{$id}/entries",
                [
                    'id' => self::uuid(10 + $n),
                    'at' => date('c'),
                    'after' => $joined['state']['head'],
                    'line' => "n word {$n}",
                    'shown' => (object) [],
                ],
            );
            self::assertSame(200, $status, (string) json_encode($answer));
            $joined = $answer;
            [, $seen] = ($n % 2 === 0 ? $tomas : $ines)->send('GET', "jobs/{$id}");
            self::assertSame(
                $answer['state']['log'],
                $seen['state']['log'],
                'the other server answers with what the one has just taken',
            );
        }
        self::served()->kill(1);
        $seen = [];
        for ($n = 0; $n < 6; $n++) {
            [$status, $seen] = $ines->send('GET', "jobs/{$id}");
            self::assertSame(200, $status, 'one server alone goes on');
        }
        self::assertSame(
            array_map(static fn (int $n): string => "word {$n}", range(0, 19)),
            array_column(
                array_filter($seen['state']['log'], static fn (array $row): bool => $row['kind'] === 'note'),
                'what',
            ),
        );
    }

    /** Whoever serves is nobody who may read what the screens were built from. */
    public function test_paper_is_printed_by_the_account_that_serves(): void
    {
        $ines = self::client('ines');
        foreach ([
            'machines/RT-14/sheet',
            'machines/RT-14/service/sheet',
            'machines/RT-14/controls/clutch/blank',
        ] as $path) {
            self::assertSame(200, $ines->send('GET', $path)[0], $path);
        }
    }

    public function test_plain_http_only_says_how_to_trust_the_workshop(): void
    {
        [$status, $headers] = self::get(self::served()->plain.'/machines/RT-14');
        self::assertSame(308, $status);
        self::assertSame(self::served()->secure.'/machines/RT-14', $headers['location'] ?? '');
        self::assertSame(308, self::get(self::served()->plain.'/api/session')[0], 'no password goes over plain http');
        [$status, , $said] = self::get(self::served()->plain.'/trust/about');
        $about = (array) json_decode($said, true);
        self::assertSame([200, '192.0.2.7'], [$status, $about['address']]);
        $pem = (string) file_get_contents(self::served()->authority());
        self::assertSame(
            strtoupper((string) openssl_x509_fingerprint($pem, 'sha256')),
            str_replace(':', '', (string) $about['fingerprint']),
        );
        self::assertSame($pem, self::get(self::served()->plain.'/trust/authority.crt')[2]);
        self::assertSame(200, self::get(self::served()->plain.'/trust')[0]);
    }

    public function test_https_holds_by_the_authority_alone_and_cookies_stay_on_it(): void
    {
        [$status, $headers] = self::get(self::served()->secure.'/api/session');
        self::assertSame(200, $status, 'its certificate holds for this address');
        self::assertSame('max-age=31536000', $headers['strict-transport-security'] ?? '');
        self::assertMatchesRegularExpression('/;\s*secure/i', $headers['set-cookie'] ?? '');
        self::assertArrayNotHasKey('x-powered-by', $headers);
        self::assertSame(
            0,
            self::get(self::served()->secure.'/', [CURLOPT_CAINFO => '/etc/ssl/certs/ca-certificates.crt'])[0],
            'nobody else vouches for it',
        );
        self::assertSame(
            308,
            self::get(str_replace('https:', 'http:', self::served()->secure).'/due')[0],
            'plain words at the secure door are led to it',
        );
    }

    public function test_files_are_kept_by_their_hash_and_answers_are_packed(): void
    {
        [, , $page] = self::get(self::served()->secure.'/');
        self::assertSame(1, preg_match('#"(https://127\.0\.0\.1:\d+)?(/build/assets/main-[^"]+\.js)"#', $page, $main));
        [$status, $headers] = self::get(
            self::served()->secure.$main[2],
            [CURLOPT_HTTPHEADER => ['Accept-Encoding: gzip']],
        );
        self::assertSame(
            [200, 'public, max-age=31536000, immutable', 'gzip'],
            [$status, $headers['cache-control'] ?? '', $headers['content-encoding'] ?? ''],
        );
        $plain = file_get_contents(dirname(__DIR__, 2)."/public{$main[2]}");
        foreach (['gzip' => '.gz', 'br' => '.br'] as $packing => $ending) {
            [, $headers, $packed] = self::get(
                self::served()->secure.$main[2],
                [CURLOPT_HTTPHEADER => ["Accept-Encoding: {$packing}"]],
            );
            self::assertSame($packing, $headers['content-encoding'] ?? '');
            self::assertSame('Accept-Encoding', $headers['vary'] ?? '');
            self::assertSame(
                file_get_contents(dirname(__DIR__, 2)."/public{$main[2]}{$ending}"),
                $packed,
                'packed once, when it was built',
            );
            self::assertTrue($packing !== 'gzip' || gzdecode($packed) === $plain);
        }
        self::assertSame($plain, self::get(self::served()->secure.$main[2])[2], 'nobody is made to unpack');
        [, $headers] = self::get(
            self::served()->secure.'/api/bench',
            [CURLOPT_HTTPHEADER => ['Accept-Encoding: gzip', 'Accept: application/json']],
        );
        self::assertStringContainsString('no-cache', $headers['cache-control'] ?? '');
        [$status, $headers, $said] = self::get(self::served()->secure.'/manifest.webmanifest');
        self::assertSame([200, 'application/manifest+json'], [$status, $headers['content-type'] ?? '']);
        foreach (((array) json_decode($said, true))['icons'] as $icon) {
            self::assertSame(200, self::get(self::served()->secure.$icon['src'])[0], $icon['src']);
        }
    }

    public function test_more_people_than_processes_are_all_answered_at_once(): void
    {
        $multi = curl_multi_init();
        $handles = [];
        for ($n = 0; $n < 40; $n++) {
            $handle = curl_init(self::served()->secure.'/api/session');
            self::assertNotFalse($handle);
            $authority = self::served()->authority();
            assert($authority !== '');
            curl_setopt_array(
                $handle,
                [CURLOPT_RETURNTRANSFER => true, CURLOPT_TIMEOUT => 15, CURLOPT_CAINFO => $authority],
            );
            curl_multi_add_handle($multi, $handle);
            $handles[] = $handle;
        }
        do {
            curl_multi_exec($multi, $running);
            curl_multi_select($multi, 0.1);
        } while ($running > 0);
        self::assertSame(
            [200],
            array_values(array_unique(array_map(
                static fn ($one): int => curl_getinfo($one, CURLINFO_RESPONSE_CODE),
                $handles,
            ))),
        );
    }

    public function test_what_a_gauge_sends_is_told_at_once_and_who_listens_is_in_nobodys_way(): void
    {
        [$ines, $id] = [self::client('ines'), self::uuid(90)];
        $tag = Server::withDemo()->machineLike('RT-20', 'ZG-30');
        [$status, $job] = $ines->send('POST', "machines/{$tag}/jobs", ['id' => $id, 'control' => 'clutch']);
        self::assertSame(201, $status, (string) json_encode($job));
        [, $made] = self::client('oda')->send('POST', 'bridges', ['name' => 'Behind nginx']);
        $bridge = [CURLOPT_HTTPHEADER => [
            "Authorization: Bearer {$made['token']}",
            'Content-Type: application/json',
            'Accept: application/json',
        ]];
        self::assertSame(
            200,
            self::get(
                self::served()->secure.'/api/gauges/here',
                [CURLOPT_CUSTOMREQUEST => 'PUT', CURLOPT_POSTFIELDS => '{"carries": ["caliper-1"]}'] + $bridge,
            )[0],
        );
        self::assertSame(200, $ines->send('PUT', "jobs/{$id}/gauges/caliper-1")[0]);

        // More streams than the application has processes.
        $multi = curl_multi_init();
        $heard = new ArrayObject;
        $streams = [];
        for ($n = 0; $n < 6; $n++) {
            $stream = $ines->handle('GET', "jobs/{$id}/gauges/stream");
            curl_setopt($stream, CURLOPT_WRITEFUNCTION, static function ($of, string $piece) use ($heard): int {
                $heard->append($piece);

                return strlen($piece);
            });
            curl_multi_add_handle($multi, $stream);
            $streams[] = $stream;
        }
        self::listen($multi, static fn (): bool => substr_count(implode('', (array) $heard), 'retry:') === 6);
        self::assertSame(200, $ines->send('GET', "jobs/{$id}")[0], 'others are answered meanwhile');
        $pressed = microtime(true);
        $reading = ['id' => self::uuid(91), 'instrument' => 'caliper-1', 'line' => '+012.40mm', 'age_ms' => 0];
        [$status, , $said] = self::get(
            self::served()->secure.'/api/gauges/readings',
            [CURLOPT_CUSTOMREQUEST => 'POST', CURLOPT_POSTFIELDS => (string) json_encode($reading)] + $bridge,
        );
        self::assertSame(200, $status, $said);
        self::listen($multi, static fn (): bool => str_contains(implode('', (array) $heard), '"entered":"12.40 mm"'));
        self::assertLessThan(3.0, microtime(true) - $pressed, 'nothing in between keeps it back');
        self::listen($multi, static fn (): bool => substr_count(implode('', (array) $heard), 'event: look') === 6);
        self::assertSame(1, substr_count(implode('', (array) $heard), 'event: reading'), 'one screen is handed it');
        foreach ($streams as $stream) {
            curl_multi_remove_handle($multi, $stream);
        }
    }

    /** @param  callable(): bool  $until */
    private static function listen(CurlMultiHandle $multi, callable $until): void
    {
        for ($ends = microtime(true) + 30.0; ! $until() && microtime(true) < $ends;) {
            curl_multi_exec($multi, $running);
            curl_multi_select($multi, 0.05);
        }
        self::assertTrue($until(), 'It was not told.');
    }

    public function test_what_is_too_large_or_no_address_never_reaches_the_application(): void
    {
        [$status, $headers, $said] = self::get(
            self::served()->secure.'/api/session',
            [CURLOPT_POST => true, CURLOPT_POSTFIELDS => str_repeat('x', 400_000)],
        );
        self::assertSame([413, 'application/problem+json'], [$status, $headers['content-type'] ?? '']);
        self::assertStringContainsString('Nothing was kept', $said);
        // Pictures and curves are longer than anything typed: they are asked who sends them.
        foreach (['photos', 'traces'] as $what) {
            self::assertContains(
                self::get(
                    self::served()->secure."/api/jobs/none/{$what}/none",
                    [CURLOPT_CUSTOMREQUEST => 'PUT', CURLOPT_POSTFIELDS => str_repeat('x', 400_000)],
                )[0],
                [401, 419],
                $what,
            );
        }
        self::assertSame(400, self::get(self::served()->secure.'/%00')[0]);
        self::assertSame(404, self::get(self::served()->secure.'/build/none.js')[0]);
        self::assertSame(404, self::get(self::served()->secure.'/errors/away.html')[0]);
        self::assertStringNotContainsString('<?php', self::get(self::served()->secure.'/index.php')[2]);
    }

    private static function served(): Served
    {
        return self::$served ?? throw new LogicException('Nothing is served.');
    }

    private static function client(string $login): HttpClient
    {
        $client = new HttpClient(self::served()->secure, [], self::served()->authority());
        $client->signIn($login, array_column(DemoPeople::ALL, 3, 0)[$login]);

        return $client;
    }

    private static function uuid(int $n): string
    {
        return sprintf('5e12ed00-2222-4333-8444-%012d', $n);
    }

    /**
     * @param  array<int, mixed>  $options
     * @return array{int, array<string, string>, string} status, headers by name, and what was said; 0 where nobody was
     *     trusted
     */
    private static function get(string $address, array $options = []): array
    {
        assert($address !== '');
        $headers = [];
        $handle = curl_init($address);
        self::assertNotFalse($handle);
        curl_setopt_array($handle, $options + [
            CURLOPT_RETURNTRANSFER => true,
            CURLOPT_TIMEOUT => 20,
            CURLOPT_CAINFO => self::served()->authority(),
            CURLOPT_PATH_AS_IS => true,
            CURLOPT_HEADERFUNCTION => static function ($of, string $line) use (&$headers): int {
                [$name, $value] = [...explode(':', trim($line), 2), ''];
                $headers[strtolower($name)] = isset($headers[strtolower($name)])
                    ? $headers[strtolower($name)].'; '.trim($value)
                    : trim($value);

                return strlen($line);
            },
        ]);
        $said = curl_exec($handle);

        return [curl_getinfo($handle, CURLINFO_RESPONSE_CODE), $headers, is_string($said) ? $said : ''];
    }
}
