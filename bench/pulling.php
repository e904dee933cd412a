<?php

declare(strict_types=1);

/*
 * The lever of a lesson under the pointer: how evenly frames come while it is pulled to and fro for four seconds, and
 * the longest task meanwhile. Run by hand: bin/bench pulling
 */

require __DIR__.'/../vendor/autoload.php';

use Facebook\WebDriver\Chrome\ChromeOptions;
use Facebook\WebDriver\Cookie;
use Facebook\WebDriver\Remote\DesiredCapabilities;
use Facebook\WebDriver\Remote\RemoteWebDriver;
use Facebook\WebDriver\WebDriverBy;
use Symfony\Component\Process\Process;
use Tests\Support\HttpClient;
use Tests\Support\Served;
use Tests\Support\Server;

const FRAME_MS = 17.5;
const TASK_MS = 50.0;

$served = Served::begin();
$client = new HttpClient($served->secure, authority: $served->authority());
$client->signIn('ines', 'ferry-bell-42');
$id = sprintf('%s-0000-4000-8000-%s', bin2hex(random_bytes(4)), bin2hex(random_bytes(6)));
$client->send('POST', 'practice/attempts', ['id' => $id, 'lesson' => 'lever_loose']);
$client->send(
    'POST',
    "practice/attempts/{$id}/acts",
    [
        'id' => sprintf('%s-0000-4000-8000-%s', bin2hex(random_bytes(4)), bin2hex(random_bytes(6))),
        'at' => '2026-01-01T08:00:00+00:00',
        'act' => 'hold',
        'point' => 'lever_tip',
    ],
);

$port = Server::freePort();
$driver = new Process(['chromedriver', "--port={$port}", '--log-level=OFF']);
$driver->start();
while (@fsockopen('127.0.0.1', $port) === false) {
    usleep(100_000);
}
$failed = false;
foreach ([[1280, 800], [390, 844]] as [$wide, $high]) {
    $options = (new ChromeOptions)->addArguments([
        '--headless=new',
        '--no-sandbox',
        '--ignore-certificate-errors',
        "--window-size={$wide},{$high}",
    ]);
    $browser = RemoteWebDriver::create(
        "http://127.0.0.1:{$port}",
        DesiredCapabilities::chrome()->setCapability(ChromeOptions::CAPABILITY, $options),
    );
    $browser->get("{$served->secure}/icon.svg");
    foreach ($client->cookies() as $name => $value) {
        $browser->manage()->addCookie(Cookie::createFromArray(['name' => $name, 'value' => $value, 'path' => '/']));
    }
    $browser->get("{$served->secure}/practice/{$id}");
    $browser
        ->wait(20, 100)
        ->until(static fn (): bool => $browser->findElements(WebDriverBy::cssSelector('[data-way=pull]')) !== []);
    $browser->findElement(WebDriverBy::cssSelector('[data-way=pull]'))->click();
    $browser
        ->wait(20, 100)
        ->until(static fn (): bool => $browser->findElements(WebDriverBy::cssSelector('[data-scale]')) !== []);
    $browser->manage()->timeouts()->setScriptTimeout(30);
    [$gaps, $tasks] = $browser->executeAsyncScript(<<<'JS'
        const done = arguments[0];
        const hand = document.querySelector('[data-hand]');
        const tasks = [];
        new PerformanceObserver((list) => tasks.push(...list.getEntries().map((one) => one.duration))).observe({ entryTypes: ['longtask'] });
        const at = (n) => ({ bubbles: true, pointerId: 1, isPrimary: true, clientX: 100, clientY: 100 + 80 * (1 - Math.cos(n / 20)) });
        const real = hand.setPointerCapture;
        hand.setPointerCapture = () => undefined;
        hand.dispatchEvent(new PointerEvent('pointerdown', at(0)));
        const gaps = [];
        let before = performance.now();
        const frame = (n) => (now) => {
            gaps.push(now - before);
            before = now;
            if (n === 240) return setTimeout(() => done([gaps.slice(1), tasks]), 200);
            hand.dispatchEvent(new PointerEvent('pointermove', at(n)));
            requestAnimationFrame(frame(n + 1));
        };
        requestAnimationFrame(frame(0));
        JS);
    sort($gaps);
    $usual = $gaps[(int) floor(0.95 * (count($gaps) - 1))];
    $longest = $tasks === [] ? 0.0 : max($tasks);
    printf(
        "%d x %d: frames every %.1f ms (19 of 20 within %.1f), longest task %s\n",
        $wide,
        $high,
        array_sum($gaps) / count($gaps),
        $usual,
        $longest === 0.0 ? 'under 50 ms' : sprintf('%.0f ms', $longest),
    );
    $failed = $failed || $usual > FRAME_MS || $longest > TASK_MS;
    $browser->quit();
}
$driver->stop();
$served->end();
exit($failed ? 1 : 0);
