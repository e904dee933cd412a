<?php

declare(strict_types=1);

namespace Tests\Browser;

use Tests\Support\Server;

final class LostConnectionTest extends BrowserTestCase
{
    protected bool $expectsTrouble = true;

    public function test_three_entries_typed_while_the_server_is_stopped_arrive_once_and_in_order(): void
    {
        // A server of its own, on the same data, so that the others keep theirs.
        $this->server = new Server(Server::freePort(), Server::environment());
        $this->server->start();
        $this->as('ines')->startJob('RT-09', 'throttle')->line(...array_fill(0, 9, 'ok'))->line('cold', '8');
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
        self::assertCount(3, $this->browser->findElements(\Facebook\WebDriver\WebDriverBy::cssSelector('[data-kept=waiting]')));

        $this->server->start();
        $this->gone('[data-kept]')->settled()->see('All entries saved');
        $rows = array_slice($this->rows(), $before);
        self::assertSame(['8.5', '8', '7.5'], array_column($rows, 'line'));
        $this->see('4 readings at the grip flange');
        $this->server->stop();
    }
}
