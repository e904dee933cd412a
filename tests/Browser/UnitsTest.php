<?php

declare(strict_types=1);

namespace Tests\Browser;

/**
 * Somebody who thinks in inches meets no millimetre but what was printed or typed so, and what they type bare is in
 * inches.
 */
final class UnitsTest extends BrowserTestCase
{
    private const STYLE = 'in32';

    /** What may still say mm: as it is printed in a book, as somebody typed it, and the size of a spanner. */
    private const AS_IT_IS = '/^(Printed:|Logged: Read|Read |Such as )|^[\d–. ]+mm \(.+ in\)$|spanner|socket/u';

    private function chooseInches(): static
    {
        $this
            ->as('ines')
            ->visit('/')
            ->click('button[aria-haspopup=dialog]')
            ->await('#person-lengths')
            ->accessible('how lengths are read');

        return $this->lengthsIn(self::STYLE);
    }

    public function test_every_screen_speaks_inches(): void
    {
        $this->chooseInches();
        $job = $this->browser->executeAsyncScript(
            'const done = arguments[0]; fetch("/api/bench", { headers: { Accept: "application/json" } }).then((r) => r.json()).then((day) => done(day.queue.map((row) => row.control.job).find(Boolean)))',
        );
        foreach ([
            '/', '/machines', '/machines/RT-14', '/machines/QB-05', '/machines/TR-02', '/due', '/specs', '/shelf',
            '/shelf/caliper-1/checks', '/causes', '/causes/counts', '/practice', '/specs/1', '/specs/1/next', '/shop',
            "/jobs/{$job}",
        ] as $path) {
            $this
                ->visit($path)
                ->until('return document.querySelector("[data-loading]") === null', "{$path} loads for ever");
            usleep(300_000);
            $lines = explode("\n", (string) $this->browser->executeScript('return document.body.innerText'));
            $left = array_filter(
                $lines,
                static fn (string $line): bool => preg_match('/\bmm\b/', $line) === 1
                    && preg_match(self::AS_IT_IS, $line) !== 1,
            );
            self::assertSame([], array_values($left), $path);
        }
    }

    public function test_a_bare_number_is_in_inches_and_the_advice_is_too(): void
    {
        $this->chooseInches();
        $tag = $this->machineLike('RT-20', 'ZU-01');
        $this->begin($tag, 'clutch')->line('all ok', 'all ok', 'cold', '1/8');
        $this->see('Reading at the lever tip, as found')->line('1.06', '1 1/16', '1.06');
        self::assertEqualsWithDelta(26.9, $this->state()['found']['mm'], 0.2);
        $this->see('25/32 in', 'too loose by')->accessible('a job in inches')->window(390, 844);
        $this->accessible('a job in inches on a phone');

        $this->as('tomas')->visit("/machines/{$tag}")->see('10–20 mm');
    }
}
