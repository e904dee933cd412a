<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\Chrome\ChromeDevToolsDriver;
use Facebook\WebDriver\WebDriverBy;

final class LostConnectionTest extends BrowserTestCase
{
    protected bool $expectsTrouble = true;

    public function test_three_entries_typed_while_the_server_is_stopped_arrive_once_and_in_order(): void
    {
        $this->ownServer();
        $this->as('ines')->lookedOver('RT-09', 'throttle', 'cold')->line('8');
        $before = count($this->rows());
        $this->until('return navigator.serviceWorker.controller !== null', 'Nothing keeps the page for a reload');
        usleep(500_000);

        $this->server->stop();
        foreach (['8.5', '8', '7.5'] as $typed => $reading) {
            $this->keys($reading."\u{E007}")->see(sprintf('%d kept, not judged yet', $typed + 1));
        }
        $this->see('No connection.')->accessible('a job without connection');
        $this->browser->navigate()->refresh();
        $this->await('#bench-line')->see('3 kept, not judged yet', 'No connection.');
        self::assertCount(
            3,
            $this->browser->findElements(\Facebook\WebDriver\WebDriverBy::cssSelector('[data-kept=waiting]')),
        );

        $this->server->start();
        $this->gone('[data-kept]')->settled()->see('All entries saved');
        $rows = array_slice($this->rows(), $before);
        self::assertSame(['8.5', '8', '7.5'], array_column($rows, 'line'));
        $this->see('4 readings at the grip flange');
        $this->server->stop();
    }

    public function test_a_screen_never_opened_shows_without_network_and_one_that_is_nowhere_says_so(): void
    {
        $this->ownServer();
        $this->as('ines')->visit('/machines/RT-14')->await('[data-meter]');
        $this->until('return navigator.serviceWorker.controller !== null', 'Nothing keeps the page for a reload');
        $files = (array) json_decode((string) file_get_contents(dirname(__DIR__, 2).'/public/build/manifest.json'), true);
        $all = count(array_unique(array_column($files, 'file')));
        $this->until(
            'caches.open("files").then((cache) => cache.keys()).then((keys) => { window.kept = keys.length; });'
                ."return window.kept >= {$all}",
            'Every screen is kept',
        );
        $this->server->stop();
        $this
            ->click('header a[href="/shelf"]')
            ->see('The workshop server does not answer.')
            ->accessible('a screen without its server')
            ->click('header a[href="/specs"]')
            ->await('h1');
        self::assertSame([], $this->browser->findElements(WebDriverBy::cssSelector('[data-broken]')));

        // A device whose files were cleared away.
        $this->browser->executeScript('window.gone = false; caches.delete("files").then(() => { window.gone = true; })');
        $this->until('return window.gone', 'The files are cleared away');
        (new ChromeDevToolsDriver($this->browser))->execute('Network.clearBrowserCache');
        $this->window(390, 844);
        $this->browser->executeScript('history.go(-2)');
        $this
            ->await('[data-meter]')
            ->click('[data-meter]')
            ->await('[role=dialog] [data-reload]')
            ->see('This part is not on this device')
            ->accessible('a dialog that is nowhere')
            ->click('[role=dialog] [data-cancel]')
            ->gone('[role=dialog]')
            ->await('[data-meter]');
        $this
            ->click('header a[href="/practice"]')
            ->await('[data-broken=missing]')
            ->see('This screen is not on this device', 'What was logged is kept, sent or not.')
            ->accessible('a screen that is nowhere');
        $this
            ->click('header a[href="/specs"]')
            ->gone('[data-broken]')
            ->click('header a[href="/practice"]')
            ->await('[data-broken=missing]');
        $this->server->start();
        $this->click('[data-broken] [data-primary]')->gone('[data-broken]')->see('Practice');
        self::assertSame('/practice', parse_url($this->browser->getCurrentURL(), PHP_URL_PATH));
        $this->server->stop();
    }

    public function test_a_report_sent_without_network_is_refused_at_once_and_keeps_its_words(): void
    {
        $tag = $this->machineLike('RT-14', 'ZY-41');
        $this
            ->as('ines')
            ->visit("/machines/{$tag}")
            ->click('[data-report]')
            ->await('#odd-words')
            ->click('#odd-words')
            ->keys('lever feels gritty')
            ->click('[data-none-stops][aria-pressed=false]')
            ->until('return !document.querySelector("[role=dialog] [data-primary]").disabled', 'It may be sent');
        $this->network(false);
        try {
            $this->click('[role=dialog] [data-primary]')->see('The workshop server does not answer.');
            self::assertSame('lever feels gritty', $this->value('#odd-words'));
        } finally {
            $this->network(true);
        }
        $this->click('[role=dialog] [data-primary]')->gone('#odd-words')->see('lever feels gritty');
    }

    public function test_a_screen_that_had_no_network_shows_by_itself_when_it_is_back(): void
    {
        $this
            ->as('ines')
            ->visit('/machines')
            ->click('main a[href="/machines/RT-14"]')
            ->await('[data-report]')
            ->click('header a[href="/machines"]')
            ->await('main a[href="/machines/QB-03"]');
        $this->network(false);
        try {
            $this->click('main a[href="/machines/QB-03"]')->see('This page tries again by itself.');
        } finally {
            $this->network(true);
        }
        $this->gone('main [role=alert]')->await('[data-report]');
    }

    public function test_a_screen_kept_from_before_says_since_when_and_is_asked_for_anew_when_the_server_is_back(): void
    {
        $this->ownServer();
        $this->as('ines')->visit('/machines/RT-14')->await('[data-report]');
        $this->until('return navigator.serviceWorker.controller !== null', 'Nothing keeps the page for a reload');
        $this->visit('/machines/RT-14')->await('[data-report]')->gone('[data-strip=no-connection]');
        $this->browser->executeScript(
            'window.aged = false;'
                .'caches.open("answers").then(async (cache) => {'
                .'for (const one of await cache.keys()) {'
                .'const body = await (await cache.match(one)).text();'
                .'await cache.put(one, new Response(body, { headers: { Date: new Date(Date.now() - 864e5).toUTCString() } }));'
                .'} window.aged = true; })',
        );
        $this->until('return window.aged', 'What is kept is of yesterday');

        $this->server->stop();
        $this->browser->navigate()->refresh();
        $this
            ->await('[data-report]')
            ->see('No connection. This is how it stood yesterday')
            ->accessible('a machine as it was kept');
        $this->server->start();
        $this->gone('[data-strip=no-connection]')->await('[data-report]');
        $this->server->stop();
    }

    public function test_two_tabs_typing_at_the_same_instant_lose_nothing(): void
    {
        $this->ownServer();
        $this->as('ines')->begin('TR-05', 'drive')->line('ok');
        $path = (string) parse_url($this->browser->getCurrentURL(), PHP_URL_PATH);
        $before = count($this->rows());
        $this->until('return navigator.serviceWorker.controller !== null', 'Nothing keeps the page for a reload');
        usleep(500_000);
        $windows = [$this->browser->getWindowHandle()];
        $this->browser->switchTo()->newWindow('window');
        $this->visit($path)->await('#bench-line')->settled();
        $windows[] = $this->browser->getWindowHandle();
        $this->server->stop();
        foreach ($windows as $n => $window) {
            $this->browser->switchTo()->window($window);
            $this->browser->executeScript(self::TYPES, [$n]);
        }
        foreach ($windows as $window) {
            $this->browser->switchTo()->window($window);
            $this->until('return window.typedAll === true', 'It did not type on');
            $this->until(
                'return document.querySelectorAll("[data-kept]").length === 30',
                'What one tab keeps, the other shows too',
            );
        }
        $this->server->start();
        $this->gone('[data-kept]')->settled()->see('All entries saved');
        $lines = array_column(array_slice($this->rows(), $before), 'line');
        $of = static fn (int $n): array => array_values(array_filter(
            $lines,
            static fn (?string $line): bool => str_starts_with((string) $line, "n tab {$n} "),
        ));
        foreach ([0, 1] as $n) {
            self::assertSame(
                array_map(static fn (int $i): string => "n tab {$n} line {$i}", range(1, 15)),
                $of($n),
                'each once, and in its order',
            );
        }
        $this->browser->close();
        $this->browser->switchTo()->window($windows[0]);
        $this->server->stop();
    }

    public function test_a_refused_entry_holds_what_follows_it_until_somebody_has_looked(): void
    {
        $this->ownServer();
        $this->as('ines')->lookedOver('QB-09', 'clutch', 'cold')->line('thread 3 mm');
        $before = count($this->rows());
        $this->until('return navigator.serviceWorker.controller !== null', 'Nothing keeps the page for a reload');
        usleep(500_000);
        $this->server->stop();
        foreach (['thread 99 mm', '25', '25.5'] as $typed => $line) {
            $this->keys($line."\u{E007}")->see(sprintf('%d kept, not judged yet', $typed + 1));
        }
        $this->server->start();
        $this
            ->await('[data-kept=refused]')
            ->see('so 99 mm cannot show', 'waits: one before it was refused', '1 refused, 2 kept: look at it')
            ->accessible('a refused entry and what waits for it');
        self::assertCount($before, $this->rows(), 'nothing after it went out');
        $this->browser->navigate()->refresh();
        $this->await('[data-kept=refused]')->see('1 refused, 2 kept: look at it');
        $this
            ->clickText('Put it right')
            ->until(
                'return document.querySelector("#bench-line").value === "thread 99 mm"',
                'Its words are not in the line',
            );
        $this->browser
            ->findElement(\Facebook\WebDriver\WebDriverBy::id('bench-line'))
            ->sendKeys([\Facebook\WebDriver\WebDriverKeys::CONTROL, 'a']);
        $this->keys("thread 9 mm\u{E007}")->gone('[data-kept]')->settled()->see('All entries saved');
        self::assertSame(
            ['thread 9 mm', '25', '25.5'],
            array_column(array_slice($this->rows(), $before), 'line'),
            'in its place, before what had followed it',
        );
        $this->server->stop();
    }

    public function test_work_goes_on_from_stage_to_stage_without_the_server_and_nothing_is_judged_meanwhile(): void
    {
        $this->ownServer();
        $this->as('ines')->begin('TR-02', 'drive');
        $this->until('return navigator.serviceWorker.controller !== null', 'Nothing keeps the page for a reload');
        usleep(500_000);
        $state = $this->state();
        $count = static fn (string $stage): int => count(array_filter(
            array_column($state['stages'], null, 'key')[$stage]['items'],
            static fn (array $one): bool => ! $one['done'],
        ));
        [$safe, $look] = [$count('make_safe'), $count('look_over')];
        self::assertGreaterThan(0, $safe);
        $this->server->stop();
        $this->keys(...array_fill(0, $safe, "ok\u{E007}"))->see("{$safe} kept, not judged yet");
        self::assertSame(
            [],
            $this->browser->findElements(WebDriverBy::cssSelector('[data-unjudged]')),
            'the next stage is asked',
        );
        $this->see($state['stages'][1]['items'][0]['label']);
        $this
            ->keys(...array_fill(0, $look, "ok\u{E007}"))
            ->see('kept, not judged yet')
            ->accessible('a job worked on without the server');
        $text = $this->text('main');
        foreach (['Sign', 'Not fit', 'Hang a tag'] as $word) {
            self::assertStringNotContainsString($word, $text);
        }
        $this->server->start();
        $this->gone('[data-kept]')->settled()->see('All entries saved');
        self::assertSame(
            0,
            count(array_filter($this->state()['stages'][0]['items'], static fn (array $one): bool => ! $one['done'])),
        );
        $this->server->stop();
    }

    /** Types fifteen notes, one right after the other, as fast as the page takes them. */
    private const TYPES = <<<'JS'
        const [tab] = arguments;
        const field = document.querySelector('#bench-line');
        const set = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value').set;
        let n = 0;
        const type = () => {
            n += 1;
            set.call(field, `n tab ${tab} line ${n}`);
            field.dispatchEvent(new Event('input', { bubbles: true }));
            setTimeout(() => {
                field.form.requestSubmit();
                if (n < 15) setTimeout(type, 15);
                else window.typedAll = true;
            }, 15);
        };
        type();
        JS;

    private function network(bool $isThere): void
    {
        $tools = new ChromeDevToolsDriver($this->browser);
        $tools->execute('Network.enable');
        $tools->execute('Network.emulateNetworkConditions', [
            'offline' => ! $isThere,
            'latency' => 0,
            'downloadThroughput' => -1,
            'uploadThroughput' => -1,
        ]);
    }
}
