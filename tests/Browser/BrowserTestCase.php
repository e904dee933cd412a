<?php

declare(strict_types=1);

namespace Tests\Browser;

use Database\Demo\DemoPeople;
use Facebook\WebDriver\Chrome\ChromeDevToolsDriver;
use Facebook\WebDriver\Chrome\ChromeOptions;
use Facebook\WebDriver\Cookie;
use Facebook\WebDriver\Exception\PhpWebDriverExceptionInterface;
use Facebook\WebDriver\Remote\DesiredCapabilities;
use Facebook\WebDriver\Remote\DriverCommand;
use Facebook\WebDriver\Remote\RemoteWebDriver;
use Facebook\WebDriver\Remote\RemoteWebElement;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;
use PDO;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;
use Tests\Support\Server;
use Throwable;

/** The real interface in a real browser, driven by keys and clicks. */
abstract class BrowserTestCase extends TestCase
{
    private const PATIENCE_S = 25;

    /** How often in a row the server must name the new person before the page counts as theirs. */
    private const STEADY = 5;

    /** How often somebody is carried in anew, at the most: a session that was ended stays ended. */
    private const MOST_LOOKS = 50;

    private const AGAIN_US = 50_000;

    /**
     * What no change of the document tells, a value typed or the width of the page, is looked at four times a second.
     * What holds is true, or an array of what was found.
     */
    private const WAIT = <<<'JS'
        const [given, patience, done] = arguments;
        const look = () => { try { return (() => { %s })(); } catch { return false; } };
        const holds = () => { const found = look(); return found === true || Array.isArray(found) ? found : false; };
        const first = holds();
        if (first) { done(first); return; }
        let soon = 0;
        const again = () => { soon = 0; const found = holds(); if (found) end(found); };
        const watch = new MutationObserver(() => { soon ||= setTimeout(again, 20); });
        const end = (found) => { watch.disconnect(); clearInterval(slowly); clearTimeout(last); clearTimeout(soon); done(found); };
        const slowly = setInterval(again, 250);
        const last = setTimeout(() => end(false), patience);
        watch.observe(document, { subtree: true, childList: true, attributes: true, characterData: true });
        JS;

    /**
     * Where a finger meets what was found, in the middle of its first line: once it may be pressed, is in sight and
     * lies under nothing else. A label is pressed for its field.
     */
    private const SPOT = <<<'JS'
        const one = %s;
        if (one === null || one.matches(':disabled')) return false;
        const meets = () => {
            const box = one.getClientRects()[0];
            if (box === undefined) return false;
            const [left, top] = [Math.max(0, box.left), Math.max(0, box.top)];
            const [x, y] = [(left + Math.min(innerWidth, box.right)) / 2, (top + Math.min(innerHeight, box.bottom)) / 2];
            const hit = document.elementFromPoint(x, y);
            return one.contains(hit) || (hit?.closest('label')?.control ?? null) === one ? [x, y] : false;
        };
        const at = meets();
        if (at) return at;
        one.scrollIntoView({ block: 'center', inline: 'nearest', behavior: 'instant' });
        return meets();
        JS;

    /** Axe, from the tests' server where it is one, since a script sent along is read anew for each page. */
    private const AXE = <<<'JS'
        const done = arguments[arguments.length - 1];
        const there = () => window.axe ? null : new Promise((loaded, missing) => {
            document.head.append(Object.assign(document.createElement('script'), { src: '/tests/axe.js', onload: loaded, onerror: missing }));
        });
        const said = (one) => `${one.id}: ${one.nodes.map((node) => `${node.target} ${node.failureSummary}`).join(' | ')}`;
        document.fonts.ready.then(there).then(
            () => axe.run(document, { resultTypes: ['violations'] }).then((found) => done(found.violations.map(said))),
            () => done(null),
        );
        JS;

    private const FAILURES = __DIR__.'/../../.runtime/failures';

    protected RemoteWebDriver $browser;

    protected Server $server;

    private static ?Process $chromedriver = null;

    /** Debian's Chromium without a window's frame: it draws the same pages for two thirds of the work. */
    private const SHELL = '/usr/lib/chromium/chromium-headless-shell';

    /** One that the last test left as good as new. */
    private static ?RemoteWebDriver $kept = null;

    /** Whether what the test did to its browser outlives clearing it. */
    protected bool $isSpoilt = false;

    private static int $port = 0;

    /** Under which the browser that is kept does without the worker that keeps pages for a reload. */
    private static ?string $workless = null;

    private bool $somebodyWasHere = false;

    /** Who is signed in. */
    private string $login = '';

    /** Console errors that the test brings about on purpose. */
    protected bool $expectsTrouble = false;

    protected function setUp(): void
    {
        $this->server = Server::withDemo();
        $this->browser = self::$kept ?? self::newBrowser();
        self::$workless = self::$kept === null ? null : self::$workless;
        self::$kept = null;
        $this->window(1280, 800);
        self::$workless ??= $this->withoutWorker();
    }

    protected function tearDown(): void
    {
        $complaints = $this->expectsTrouble ? [] : array_filter(
            $this->browser->manage()->getLog('browser'),
            static fn (array $entry): bool => $entry['level'] === 'SEVERE'
                && ! str_contains($entry['message'], 'status of 4'),
        );
        if (! $this->status()->isSuccess()) {
            $this->server->forgetAll();
            @mkdir(self::FAILURES, recursive: true);
            $this->browser->takeScreenshot(
                self::FAILURES.'/'.preg_replace('/\W+/', '-', static::class.'-'.$this->nameWithDataSet()).'.png',
            );
        }
        if ($this->isSpoilt || $this->expectsTrouble || $complaints !== [] || ! $this->status()->isSuccess()) {
            $this->browser->quit();
        } else {
            self::$kept = $this->keptOrNone();
        }
        self::assertSame([], array_column($complaints, 'message'), 'The console complained.');
    }

    /** One that does not answer any more is let go, and the next test begins another. */
    private function keptOrNone(): ?RemoteWebDriver
    {
        try {
            return $this->asNew();
        } catch (PhpWebDriverExceptionInterface) {
            try {
                $this->browser->quit();
            } catch (PhpWebDriverExceptionInterface) {
                // It is gone already, or ends with its driver.
            }

            return null;
        }
    }

    /**
     * Nothing of this test is left in it: no page, no cookie, nothing kept, no worker. Beginning another takes two
     * seconds.
     */
    private function asNew(): RemoteWebDriver
    {
        [$first, $more] = [$this->browser->getWindowHandles()[0], array_slice($this->browser->getWindowHandles(), 1)];
        foreach ($more as $window) {
            $this->browser->switchTo()->window($window)->close();
        }
        $this->browser->switchTo()->window($first)->get('about:blank');
        $tools = new ChromeDevToolsDriver($this->browser);
        $tools->execute('Storage.clearDataForOrigin', ['origin' => $this->server->url, 'storageTypes' => 'all']);
        $tools->execute('Network.clearBrowserCookies');
        $this->browser->manage()->getLog('browser');

        return $this->browser;
    }

    protected static function newBrowser(): RemoteWebDriver
    {
        if (self::$chromedriver === null) {
            self::$port = Server::freePort();
            self::$chromedriver = new Process(['setsid', 'chromedriver', '--port='.self::$port], timeout: null);
            self::$chromedriver->disableOutput();
            self::$chromedriver->start();
            register_shutdown_function(static function (): void {
                self::$kept?->quit();
                $pid = self::$chromedriver?->getPid();
                if ($pid !== null) {
                    posix_kill(-$pid, SIGTERM);
                }
            });
        }
        $isShell = is_executable(self::SHELL);
        $options = (new ChromeOptions)->setBinary($isShell ? self::SHELL : '/usr/bin/chromium')->addArguments([
            ...($isShell ? [] : ['--headless=new']), '--no-sandbox', '--disable-gpu', '--disable-quic',
            '--no-first-run', '--disable-background-networking',
            '--disable-component-update', '--disable-sync', '--force-prefers-reduced-motion',
            // Pages that are looked at for a second are gone before what is compiled for speed has paid for itself.
            '--js-flags=--no-opt --no-maglev --single-threaded-gc --no-flush-bytecode',
            '--user-data-dir='.sys_get_temp_dir().'/vivid-pull-'.bin2hex(random_bytes(6)),
        ]);
        $wishes = DesiredCapabilities::chrome();
        $wishes->setCapability(ChromeOptions::CAPABILITY, $options);
        $wishes->setBrowserName($isShell ? 'chrome-headless-shell' : 'chrome');
        $wishes->setCapability('goog:loggingPrefs', ['browser' => 'ALL']);
        for ($i = 0; ; $i++) {
            try {
                return RemoteWebDriver::create('http://127.0.0.1:'.self::$port, $wishes, 20_000, 60_000);
            } catch (Throwable $notYet) {
                if ($i >= 40) {
                    throw $notYet;
                }
                usleep(100_000);
            }
        }
    }

    /** Putting everything by for a reload without network takes a second of each test that needs none of it. */
    private function withoutWorker(): string
    {
        return $this->atTheStart('delete Navigator.prototype.serviceWorker');
    }

    /**
     * A server of its own, on the same data, so that the others keep theirs: it may be stopped, and the worker is
     * there.
     */
    protected function ownServer(): void
    {
        try {
            (new ChromeDevToolsDriver($this->browser))->execute(
                'Page.removeScriptToEvaluateOnNewDocument',
                ['identifier' => self::$workless],
            );
        } catch (PhpWebDriverExceptionInterface) {
            // A page that a test before opened never had it.
        }
        self::$workless = null;
        $this->server = new Server(Server::freePort(), Server::environment());
        $this->server->start();
    }

    protected function window(int $width, int $height): void
    {
        (new ChromeDevToolsDriver($this->browser))->execute(
            'Emulation.setDeviceMetricsOverride',
            ['width' => $width, 'height' => $height, 'deviceScaleFactor' => 1, 'mobile' => false],
        );
    }

    /** Signed in without the form, which has tests of its own. */
    protected function as(string $login): static
    {
        $password = array_column(DemoPeople::ALL, 3, 0)[$login];
        $this->login = $login;
        $this->browser->get($this->server->url.'/icon.svg');
        $this->carry($login, $password);
        // Its worker may still be fetching for whoever was here before: a late answer brings their cookie back.
        for ($steady = $looks = 0; $steady < ($this->somebodyWasHere ? self::STEADY : 1); $steady++) {
            usleep($this->somebodyWasHere ? 100_000 : 0);
            if (! $this->isHere($login)) {
                self::assertLessThan(self::MOST_LOOKS, ++$looks, "{$login} is not let in");
                $this->carry($login, $password);
                $steady = -1;
            }
        }
        $this->somebodyWasHere = true;

        return $this;
    }

    private function carry(string $login, string $password): void
    {
        foreach ($this->server->session($login, $password) as $name => $value) {
            $this->browser
                ->manage()
                ->addCookie(Cookie::createFromArray(['name' => $name, 'value' => $value, 'path' => '/']));
        }
    }

    private function isHere(string $login): bool
    {
        return $login === $this->browser->executeAsyncScript('const done = arguments[arguments.length - 1];
            fetch("/api/session", { headers: { Accept: "application/json" } }).then((r) => r.json()).then((session) => done(session.user?.id ?? null), () => done(null))');
    }

    protected function visit(string $path): static
    {
        $this->browser->get($this->server->url.$path);
        $this->until(
            'return document.readyState === "complete" && document.querySelector("h1, h2") !== null',
            "{$path} did not show",
        );

        return $this;
    }

    /** Starts a job on a control by its button. */
    protected function startJob(string $tag, string $control): static
    {
        $this
            ->visit("/machines/{$tag}#{$control}")
            ->click("[data-start={$control}]")
            ->await('[data-unread], #bench-line');
        if ($this->browser->findElements(WebDriverBy::cssSelector('[data-unread]')) !== []) {
            $this->click('[data-unread]');
        }

        return $this->await('#bench-line');
    }

    /** A job of this test's own, whatever another test left open on the control. */
    protected function begin(string $tag, string $control): static
    {
        $this->server->leave($tag, $control);

        return $this->startJob($tag, $control);
    }

    /** A job of this test's own that was brought so far without the screen, opened there. */
    protected function onBench(string $tag, string $control, string ...$lines): static
    {
        return $this
            ->visit('/jobs/'.$this->server->job($this->login, $tag, $control, array_values($lines)))
            ->await('#bench-line');
    }

    /** The same, made safe and with its four inspections sound. */
    protected function lookedOver(string $tag, string $control, string ...$lines): static
    {
        return $this->onBench($tag, $control, 'all ok', 'ok', 'ok', 'ok', 'ok', ...$lines);
    }

    /** The address of a job that is open on the bench of whoever is signed in. */
    protected function openJob(): string
    {
        return '/jobs/'
            .$this->browser->executeAsyncScript(
                'const done = arguments[0]; fetch("/api/bench", { headers: { Accept: "application/json" } }).then((r) => r.json()).then((day) => done(day.queue.map((row) => row.control.job).find(Boolean)))',
            );
    }

    /** A machine of this test's own, like another of the yard, on which nothing was ever done. */
    protected function machineLike(string $tag, string $own): string
    {
        return $this->server->machineLike($tag, $own);
    }

    /** Types a line from wherever the focus is, presses Enter, and waits for the answer. */
    protected function line(string ...$lines): static
    {
        foreach ($lines as $line) {
            $this->keys($line.WebDriverKeys::ENTER)->settled();
        }

        return $this;
    }

    /** Wherever the focus is, with no look at what has it. A Control that comes first is held down over the rest. */
    protected function keys(string ...$keys): static
    {
        foreach ($keys as $typed) {
            $isHeld = str_starts_with($typed, WebDriverKeys::CONTROL);
            $strokes = [];
            foreach (mb_str_split($isHeld ? mb_substr($typed, 1) : $typed) as $key) {
                $strokes[] = ['type' => 'keyDown', 'value' => $key];
                $strokes[] = ['type' => 'keyUp', 'value' => $key];
            }
            if ($isHeld) {
                array_unshift($strokes, ['type' => 'keyDown', 'value' => WebDriverKeys::CONTROL]);
                $strokes[] = ['type' => 'keyUp', 'value' => WebDriverKeys::CONTROL];
            }
            $this->browser->execute(
                DriverCommand::ACTIONS,
                ['actions' => [['type' => 'key', 'id' => 'keys', 'actions' => $strokes]]],
            );
        }

        return $this;
    }

    /** Everything sent was answered. */
    protected function settled(): static
    {
        $this->until('return document.querySelector("[data-saved=true]") !== null || document.querySelector("#bench-line") === null
            || document.querySelector("[data-refusal]") !== null', 'An entry was not answered');

        return $this;
    }

    protected function click(string $css): static
    {
        return $this->press('document.querySelector(given[0])', "There is no {$css} to press", $css);
    }

    /** Where it lies, with a mouse: the driver's own click asks for more first, and takes five times as long. */
    private function press(string $found, string $complaint, string $given): static
    {
        [$x, $y] = (array) $this->waited(sprintf(self::SPOT, $found), $complaint, [$given]);
        $tools = new ChromeDevToolsDriver($this->browser);
        foreach (['mousePressed', 'mouseReleased'] as $type) {
            $tools->execute(
                'Input.dispatchMouseEvent',
                ['type' => $type, 'x' => $x, 'y' => $y, 'button' => 'left', 'clickCount' => 1],
            );
        }

        return $this;
    }

    /** In the open menu of whoever is signed in: how they read lengths. */
    protected function lengthsIn(string $style): static
    {
        $this->browser->executeScript(
            'const list = document.querySelector("#person-lengths"); list.value = arguments[0]; list.dispatchEvent(new Event("change", { bubbles: true }))',
            [$style],
        );

        return $this->waitFor(
            'return document.querySelector("#person-lengths")?.value === given[0] || document.querySelector("[role=dialog]") === null',
            'the units did not change',
            [$style],
        );
    }

    protected function clickText(string $text): static
    {
        $xpath = "//*[self::button or self::a][not(@disabled)][contains(normalize-space(.), \"{$text}\") or contains(@aria-label, \"{$text}\")]";

        return $this->press(
            'document.evaluate(given[0], document, null, XPathResult.FIRST_ORDERED_NODE_TYPE).singleNodeValue',
            "There is no button “{$text}”",
            $xpath,
        );
    }

    protected function await(string $css): static
    {
        return $this->waitFor('return document.querySelector(given[0]) !== null', "There is no {$css}", [$css]);
    }

    protected function gone(string $css): static
    {
        return $this->waitFor('return document.querySelector(given[0]) === null', "{$css} is still there", [$css]);
    }

    protected function see(string ...$texts): static
    {
        foreach ($texts as $text) {
            $this->waitFor(
                'return document.body.innerText.replace(/\\s+/g, " ").includes(given[0])',
                "“{$text}” is not to be seen",
                [$text],
            );
        }

        return $this;
    }

    protected function text(string $css): string
    {
        return (string) $this->browser->executeScript(
            'return (document.querySelector(arguments[0])?.innerText ?? "").replace(/\s+/g, " ")',
            [$css],
        );
    }

    protected function value(string $css): string
    {
        return (string) $this->browser->executeScript(
            'return document.querySelector(arguments[0])?.value ?? ""',
            [$css],
        );
    }

    protected function element(string $css): RemoteWebElement
    {
        return $this->await($css)->browser->findElement(WebDriverBy::cssSelector($css));
    }

    protected function until(string $script, string $complaint): static
    {
        return $this->waitFor($script, $complaint);
    }

    /** The guard against a second tap has passed. */
    protected function armed(): static
    {
        usleep(400_000);

        return $this;
    }

    /** Id of the job on the screen. */
    protected function job(): string
    {
        return basename((string) parse_url($this->browser->getCurrentURL(), PHP_URL_PATH));
    }

    /** @return list<array{kind: string, line: string|null}> */
    protected function rows(): array
    {
        $query = $this->server
            ->database()
            ->prepare(
                'select kind, line from entries where job_id = ? or (job_id is null and visit_id = (select visit_id from control_jobs where id = ?)) order by seq',
            );
        $query->execute([$this->job(), $this->job()]);

        return array_values(array_map(
            static fn (array $row): array => ['kind' => (string) $row['kind'], 'line' => $row['line']],
            $query->fetchAll(PDO::FETCH_ASSOC),
        ));
    }

    /** Rubs out what stands in a field, or in the line. */
    protected function clear(string $css = '#bench-line'): static
    {
        $this->click($css)->keys(WebDriverKeys::CONTROL.'a', WebDriverKeys::DELETE);

        return $this->waitFor('return document.querySelector(given[0]).value === ""', 'It was not rubbed out', [$css]);
    }

    /** @return array<string, mixed> as the server answers the page itself */
    protected function state(): array
    {
        return (array) $this->browser->executeAsyncScript('const done = arguments[arguments.length - 1];
            fetch(`/api/jobs/${arguments[0]}`, { headers: { Accept: "application/json" } }).then((r) => r.json()).then((job) => done(job.state))', [$this->job()]);
    }

    /** Holds the page against the rules of axe-core, which the project ships with its tests. */
    protected function accessible(string $what): static
    {
        $found = $this->browser->executeAsyncScript(self::AXE);
        if ($found === null) {
            $this->browser->executeScript((string) file_get_contents(
                __DIR__.'/../../node_modules/axe-core/axe.min.js',
            ));
            $found = $this->browser->executeAsyncScript(self::AXE);
        }
        self::assertSame([], $found, $what);

        return $this;
    }

    protected function settledFonts(): static
    {
        $this->browser->executeAsyncScript('document.fonts.ready.then(arguments[arguments.length - 1])');

        return $this;
    }

    /**
     * From the next page on, this address answers with this: for states the demo is never in.
     *
     * @param  array<string, mixed>  $answer
     */
    protected function answering(string $path, array $answer): static
    {
        $script = sprintf('{ const real = window.fetch; window.fetch = (to, how) => new URL(to, location.href).pathname === %s
            ? Promise.resolve(new Response(%s, { headers: { "Content-Type": "application/json" } })) : real(to, how); }',
            json_encode($path), json_encode(json_encode($answer)));

        return $this->beforeEachPage($script);
    }

    /** From the next page on, this runs before anything of the page does. */
    protected function beforeEachPage(string $script): static
    {
        $this->atTheStart($script);
        $this->isSpoilt = true;

        return $this;
    }

    /** @return string under which the browser keeps it */
    protected function atTheStart(string $script): string
    {
        $added = (new ChromeDevToolsDriver($this->browser))->execute(
            'Page.addScriptToEvaluateOnNewDocument',
            ['source' => $script],
        );

        return is_string($added['identifier'] ?? null)
            ? $added['identifier']
            : self::fail('The browser takes no script.');
    }

    /** @param  list<string>  $given  what the script finds in `given` */
    private function waitFor(string $script, string $complaint, array $given = []): static
    {
        $this->waited($script, $complaint, $given);

        return $this;
    }

    /**
     * Waits in the page itself, which looks again when something in it has changed: asking it over and over takes from
     * what it is waited for.
     *
     * @param  string  $script  body of a function that answers whether it holds, or what it found
     * @param  list<string>  $given  what the script finds in `given`
     * @return mixed true, or the array that the script found
     */
    private function waited(string $script, string $complaint, array $given): mixed
    {
        $ends = microtime(true) + self::PATIENCE_S;
        do {
            try {
                $found = $this->browser->executeAsyncScript(
                    sprintf(self::WAIT, $script),
                    [$given, 1000 * max(0.0, $ends - microtime(true))],
                );
                if ($found === true || is_array($found)) {
                    return $found;
                }
            } catch (PhpWebDriverExceptionInterface) {
                // Another page has come in its place: that one is asked.
                usleep(self::AGAIN_US);
            }
        } while (microtime(true) < $ends);
        self::fail("{$complaint}. On the screen: ".mb_substr($this->text('body'), 0, 600));
    }
}
