<?php

declare(strict_types=1);

namespace Tests\Browser;

use Database\Demo\DemoPeople;
use Tests\Support\GaugeBench;
use Tests\Support\HttpClient;

/**
 * Gauges that speak, from the button to the screen: the simulated caliper on a pseudo terminal, the real bridge, the
 * real server and browser.
 */
final class GaugesTest extends BrowserTestCase
{
    private ?GaugeBench $bench = null;

    protected function tearDown(): void
    {
        $this->bench?->end();
        $this->server->database()->exec('update gauge_bridges set ended_at = now(3)');
        parent::tearDown();
    }

    public function test_a_press_is_a_reading_of_the_job_that_listens_and_of_nothing_else(): void
    {
        $bench = $this->gauges($this->server->url);
        $this->as('ines')->lookedOver($this->machineLike('RT-20', 'ZG-20'), 'clutch');
        $this
            ->click('[data-offered]')
            ->click('[data-claim=caliper-1]')
            ->await('[data-speaks=caliper-1]')
            ->see('Caliper speaks here');
        $bench->do('press 12.4');
        $this
            ->await('[data-waits]')
            ->see('12.4', 'is asked now, and that is not answered by a length')
            ->accessible('a reading waits');
        self::assertNotContains('reading', $this->kinds(), 'nothing was logged at another question');
        $this->line('cold', 'thread 3 mm')->await('[data-take]')->click('[data-take]')->gone('[data-waits]')->settled();
        self::assertSame(['reading'], array_slice($this->kinds(), -1));

        // Its button sticks, half a line comes, garbage, and it is pulled out: of all this, one reading.
        $bench->do(
            'show 12.5',
            'hold',
            'wait 1.2',
            'let go',
            'wait 0.6',
            'fault half',
            'press',
            'wait 0.7',
            'fault garbage',
            'press',
            'wait 0.6',
            'fault none',
            'unplug',
            'wait 0.3',
            'plug',
        );
        $bench->awaitSaid('again and again');
        $bench->awaitSaid('bytes that are no text');
        $bench->awaitSaid('Listening.', 2);
        $this->waitForReadings(2);
        // With a note begun it still lands in the log and not in the note.
        $this->keys('n boot')->until('return document.querySelector("#bench-line").value === "n boot"', 'no note');
        $bench->do('press 12.45');
        $this->waitForReadings(3);
        self::assertSame('n boot', $this->value('#bench-line'));
        // Three are enough: something else is asked now, and what comes waits until it is dropped.
        $bench->do('press 12.6');
        $this->await('[data-waits]')->click('[data-drop]')->gone('[data-waits]');
        $this->click('[data-speaks=caliper-1] button')->gone('[data-speaks]');
        $bench->do('press 12.7');
        $bench->awaitSaid('no job listened to it then');
        self::assertSame(3, count(array_keys($this->kinds(), 'reading', true)));
    }

    public function test_a_force_gauge_fills_the_pair_that_is_open_and_is_logged_with_it(): void
    {
        $bench = $this->gauges($this->server->url, GaugeBench::FORCE);
        $this->as('ines')->lookedOver($this->machineLike('RT-20', 'ZG-23'), 'clutch');
        $this->click('[data-offered]')->click('[data-claim=pull-500]')->await('[data-speaks=pull-500]');
        $bench->do('press 52');
        $this->await('[data-waits]')->see('A force is measured at Pull and drag');
        $this
            ->click('[data-drop]')
            ->gone('[data-waits]')
            ->click('[data-pull-open]')
            ->await('[data-form-hears]')
            ->accessible('a pair that a gauge fills');
        $bench->do('press 48');
        $this->until('return document.querySelector("#lever_pull").value.endsWith(" N")', 'the pull did not come');
        $bench->do('press 31');
        $this->until(
            'return document.querySelector("#lever_release").value.endsWith(" N")',
            'the release did not come',
        );
        $this->click('[role=dialog] [data-primary]')->gone('[role=dialog]')->settled()->gone('[data-waits]');
        self::assertSame(['measure', 'measure'], array_slice($this->kinds(), -2));
        $query = $this->server
            ->database()
            ->prepare('select count(*) from gauge_readings r join entries e on e.id = r.id where e.job_id = ?');
        $query->execute([$this->job()]);
        self::assertSame(2, (int) $query->fetchColumn(), 'each under the id of its press');
    }

    public function test_a_pull_comes_point_by_point_from_two_gauges(): void
    {
        $bench = $this->gauges($this->server->url, GaugeBench::CALIPER, GaugeBench::FORCE);
        $this->as('ines')->lookedOver($this->machineLike('RT-20', 'ZG-24'), 'clutch');
        $job = $this->job();
        $this
            ->visit("/jobs/{$job}/pull")
            ->click('[data-claim=caliper-1]')
            ->see('The other one is wanted too')
            ->click('[data-claim=pull-500]')
            ->see('each pair is a point')
            ->accessible('two gauges send points');
        foreach ([
            [0, 1.5], [5, 2], [10, 6], [12, 20], [15, 34], [20, 36], [25, 39], [30, 41], [35, 44],
        ] as $place => [$mm, $newtons]) {
            $bench->tell(GaugeBench::CALIPER, "press {$mm}");
            if ($place === 0) {
                $this->see('now press the force');
            }
            $bench->tell(GaugeBench::FORCE, "press {$newtons}");
            $this->until(
                'return document.querySelector("#points").value.split("\\n").filter((one) => / mm .* N$/.test(one)).length === '
                    .($place + 1),
                'The point did not come',
            );
        }
        $this->click('[data-take-typed]')->await('[data-phase]')->see('9 points');
        self::assertSame(
            [],
            array_values(array_filter($this->kinds(), static fn (string $kind): bool => $kind === 'reading')),
            'a point is no reading of play',
        );
    }

    public function test_a_pull_that_a_force_gauge_records_opens_by_itself(): void
    {
        $bench = $this->gauges($this->server->url, GaugeBench::FORCE);
        $this->as('ines')->lookedOver($this->machineLike('RT-20', 'ZG-25'), 'clutch');
        $job = $this->job();
        $this
            ->visit("/jobs/{$job}/pull")
            ->click('[data-records=pull-500]')
            ->see('Let it send from the moment you begin to pull')
            ->accessible('a force gauge records');
        $this->expectsTrouble = true;
        $bench->tell(GaugeBench::FORCE, 'pull 11 1.5');
        $this->await('#reach')->see('Say how far it was pulled');
        $this->click('[data-draw]')->element('#reach')->sendKeys('60');
        $this
            ->click('[data-draw]')
            ->await('[data-phase=free_play]')
            ->see('Lost to friction')
            ->click('[data-keep-trace]')
            ->gone('[data-keep-trace]')
            ->gone('[data-take-reading]');
        // Another one, pulled while the job itself is open, is told there and goes nowhere by itself.
        $this->visit("/jobs/{$job}")->await('[data-speaks=pull-500]');
        $bench->tell(GaugeBench::FORCE, 'pull 12 1.5');
        $this->await('[data-pulled]')->see('recorded a pull:')->accessible('a pull waits in the job');
        self::assertSame(1, count(array_keys($this->kinds(), 'trace', true)));
        $this->visit("/jobs/{$job}/pull")->await('[data-recorded]')->clickText('Discard it')->gone('[data-recorded]');
        $this->visit("/jobs/{$job}")->await('[data-speaks=pull-500]')->gone('[data-pulled]');
    }

    public function test_what_is_pressed_while_the_server_is_away_comes_in_its_order(): void
    {
        $this->ownServer();
        $this->expectsTrouble = true;
        $bench = $this->gauges($this->server->url);
        $this->as('ines')->lookedOver($this->machineLike('RT-20', 'ZG-21'), 'clutch');
        $this
            ->line('cold', 'thread 3 mm')
            ->click('[data-offered]')
            ->click('[data-claim=caliper-1]')
            ->await('[data-speaks=caliper-1]');
        $this->server->stop();
        $bench->do('press 12.1', 'wait 0.7', 'press 12.2', 'wait 0.7', 'press 12.3');
        $bench->awaitSaid('3 in all');
        $this->server->start();
        $bench->awaitSaid('ZG-21, Clutch lever', 3);
        $bench->awaitSaid('It answers again.');
        $this->waitForReadings(3);
        $typed = array_values(array_filter($this->rows(), static fn (array $row): bool => $row['kind'] === 'reading'));
        self::assertSame(
            ['12.1', '12.2', '12.3'],
            array_map(static fn (array $row): string => (string) round((float) $row['line'], 1), $typed),
        );
    }

    public function test_a_gauge_on_a_line_of_this_device_needs_nobody_in_between(): void
    {
        $this->withALine();
        $this->as('ines')->lookedOver($this->machineLike('RT-20', 'ZG-22'), 'clutch');
        $this
            ->line('cold', 'thread 3 mm')
            ->click('[data-offered]')
            ->click('[data-serial]')
            ->accessible('a gauge is connected');
        $this->element('[data-pick=serial-instrument] option[value=caliper-1]')->click();
        $this->click('[role=dialog] [data-primary]')->await('[data-speaks=this-device]')->see('Caliper speaks here');
        $this->browser->executeScript('gaugeSends("+012."); setTimeout(() => gaugeSends("40mm\r\n"), 50)');
        $this->waitForReadings(1);
        $this->browser->executeScript('gaugeSends("12.5 furlong\r\n")');
        $this->see('is not known. Nothing was taken.');
        // No hand takes two readings sooner.
        usleep(450_000);
        $this->browser->executeScript('gaugeSends("+12.45 mm\n")');
        $this->waitForReadings(2);
        $this->browser->executeScript('gaugeGoes()');
        $this->see('The gauge was unplugged. Connect it again.');
        self::assertSame(
            ['12.40 mm', '12.45 mm'],
            array_values(array_map(
                static fn (array $row): string => (string) $row['line'],
                array_filter($this->rows(), static fn (array $row): bool => $row['kind'] === 'reading'),
            )),
        );
    }

    public function test_a_force_gauge_on_a_line_of_this_device_records_a_pull(): void
    {
        $this->withALine();
        $this->as('ines')->lookedOver($this->machineLike('RT-20', 'ZG-26'), 'clutch');
        $job = $this->job();
        $this
            ->visit("/jobs/{$job}/pull")
            ->click('[data-serial]')
            ->await('[data-pick=serial-instrument] option[value=pull-500]');
        $this->element('[data-pick=serial-unit] option[value=N]')->click();
        $this
            ->click('[role=dialog] [data-primary]')
            ->await('[data-speaks=this-device]')
            ->see('Let it send from the moment you begin to pull')
            ->accessible('a force gauge on a line of this device');
        $this->expectsTrouble = true;
        $this->browser->executeScript('gaugeSends("4.20 mm\r\n")');
        $this->see('It sent 4.20 mm, which is a length');
        // Twenty times a second up to 60 N and back, as a gauge that is never at rest.
        $this->browser->executeScript(
            'let n = 0; const timer = setInterval(() => { gaugeSends(`US,+${(n <= 30 ? 2 * n : 1.6 * (60 - n)).toFixed(1)}\r\n`); if (++n > 60) clearInterval(timer); }, 40)',
        );
        $this->await('#reach')->element('#reach')->sendKeys('60');
        $this->click('[data-draw]')->await('[data-phase]')->see('Force over travel', 'points');
    }

    public function test_a_lead_adds_a_computer_and_ends_it(): void
    {
        $this->as('oda')->visit('/shelf/gauges')->click('[data-add-bridge]');
        $this->keys('Welding bay');
        $this
            ->click('[role=dialog] [data-primary]')
            ->await('[data-token]')
            ->see('It is shown only now')
            ->accessible('a token');
        $this
            ->clickText('Done')
            ->await('[data-bridge="Welding bay"]')
            ->see('Not heard of yet')
            ->accessible('gauges that speak');
        $this
            ->click('[data-bridge="Welding bay"] [data-end-bridge]')
            ->see('Yes, end its token')
            ->click('[data-bridge="Welding bay"] [data-end-bridge]')
            ->gone('[data-bridge="Welding bay"]');
    }

    public function test_a_caliper_is_held_against_blocks_and_what_that_tells_becomes_its_certificate(): void
    {
        $this
            ->as('oda')
            ->visit('/shelf')
            ->click('[href="/shelf/feeler-1/checks"]')
            ->see('Nobody has checked it yet')
            ->accessible('checks');
        foreach ([
            'size-0' => '5',
            'readings-0' => '5.0 5.1 5.0',
            'size-1' => '25',
            'readings-1' => '25.2 25.1',
        ] as $name => $text) {
            $this->element("[name={$name}]")->sendKeys($text);
        }
        $this->expectsTrouble = true;
        $this->click('[data-work-out]')->see('Read each block at least three times');
        self::assertSame('25.2 25.1', $this->value('[name=readings-1]'), 'nothing typed is lost');
        $this->element('[name=readings-1]')->sendKeys(' 25.2');
        $this
            ->click('[data-work-out]')
            ->see('At its worst it shows 0.167 mm too much')
            ->click('[data-keep-check]')
            ->await('[data-check=blocks]')
            ->see('A certificate would say ±');
        $this->click('[data-as-certificate]')->await('[role=dialog]')->accessible('a certificate from a check');
        self::assertSame(1, preg_match('/would say ± ([\d.]+) mm/', $this->text('[data-check=blocks]'), $said));
        self::assertEqualsWithDelta(
            (float) $said[1],
            (float) $this->browser->executeScript(
                'return [...document.querySelectorAll("[role=dialog] label")].find((one) => one.textContent.startsWith("Certificate")).parentElement.querySelector("input").value',
            ),
            0.001,
        );
        $this
            ->click('[role=dialog] [data-primary]')
            ->gone('[role=dialog]')
            ->visit('/shelf')
            ->see('± '.rtrim($said[1], '0').' mm, k = 2');
    }

    public function test_several_hands_tell_how_well_they_repeat(): void
    {
        $this
            ->as('oda')
            ->visit('/shelf/tape-pen/checks')
            ->click('[data-way=study]')
            ->see('Choose two people at least')
            ->click('[data-hand=ines]')
            ->click('[data-hand=tomas]');
        foreach ([
            ['ines', 0, '1.00 1.05'],
            ['tomas', 0, '1.05 1.05'],
            ['ines', 1, '2.00 2.05'],
            ['tomas', 1, '2.05 2.10'],
        ] as [$hand, $piece, $text]) {
            $this->element("[name={$hand}-{$piece}]")->sendKeys($text);
        }
        $this
            ->click('[data-work-out]')
            ->see('One hand repeats to 0.029 mm')
            ->accessible('several hands')
            ->click('[data-keep-check]')
            ->await('[data-check=study]');
    }

    private function gauges(string $server, string ...$kinds): GaugeBench
    {
        $lead = new HttpClient($server);
        $lead->signIn('oda', self::password('oda'));

        return $this->bench = new GaugeBench(
            $server,
            $lead,
            'Computer '.bin2hex(random_bytes(3)),
            $kinds === [] ? [GaugeBench::CALIPER] : array_values($kinds),
        );
    }

    private static function password(string $login): string
    {
        return array_column(DemoPeople::ALL, 3, 0)[$login];
    }

    private function waitForReadings(int $count): void
    {
        $this->until('return document.querySelector("[data-saved=true]") !== null', 'not saved');
        for ($n = 0; $n < 100 && count(array_keys($this->kinds(), 'reading', true)) < $count; $n++) {
            usleep(100_000);
        }
        self::assertCount($count, array_keys($this->kinds(), 'reading', true));
    }

    /** @return list<string> kinds of what this job's log holds, in order */
    private function kinds(): array
    {
        return array_column($this->rows(), 'kind');
    }

    /** The browser has a line with a gauge on it, which sends what the test says. */
    private function withALine(): void
    {
        $this->beforeEachPage(<<<'JS'
            let wire; const port = { open: async () => { port.readable = new ReadableStream({ start: (to) => { wire = to; } }); }, close: async () => undefined };
            Object.defineProperty(navigator, 'serial', { configurable: true, value: { requestPort: async () => port } });
            window.gaugeSends = (text) => wire.enqueue(new TextEncoder().encode(text)); window.gaugeGoes = () => wire.close();
            JS);
    }
}
