<?php

declare(strict_types=1);

namespace Tests\Browser;

use PHPUnit\Framework\Attributes\DataProvider;

/** What holds on every screen: nobody is shut out, nothing is cut off, nothing is too small to hit. */
final class ScreensTest extends BrowserTestCase
{
    public function test_no_screen_shuts_anybody_out(): void
    {
        $this->visit('/')->accessible('the sign-in');
        $this->as('oda');
        foreach (['/' => 'on the bench', '/machines' => 'in the yard', '/machines/RT-14' => 'Adjusters', '/machines/QB-05' => 'Do not run', '/rudder' => 'Nothing hangs here', '/machines/ZZ-99' => 'No machine hangs'] as $path => $words) {
            $this->visit($path)->see($words)->accessible($path);
        }
        $this->startJob('SC-08', 'clutch')->accessible('make safe')->line(...array_fill(0, 5, 'ok'))->accessible('look over');
        $this->line('ok', 'ok', 'ok', 'ok')->accessible('the state of the machine')->line('cold')->accessible('the thread')->line('3.5')->accessible('the reading');
        $this->line('17', '17', '17')->see('Next move')->accessible('the setting');
        $this->clickText('I moved it differently')->see('What did you turn?')->accessible('the move dialog')->clickText('Back')->gone('[role=dialog]');
        $this->clickText('Oda: settings')->see('Keys work anywhere')->accessible('the settings')->clickText('Back')->gone('[role=dialog]');
        $this->line('abc')->see('has no number in it')->accessible('a refused line');
        foreach (['prove', 'close'] as $stage) {
            $this->click("[data-stage={$stage}]")->accessible($stage);
        }
        $this->window(390, 844);
        $this->visit((string) parse_url($this->browser->getCurrentURL(), PHP_URL_PATH))->await('#bench-line')->accessible('the setting on a phone');
    }

    public function test_the_setting_needs_no_page_scroll_at_1280_by_720(): void
    {
        $this->window(1280, 720);
        $this->as('ines')->startJob('RT-02', 'clutch')->line(...array_fill(0, 9, 'ok'))->line('hot', '3.5');
        $this->browser->executeScript('const list = document.querySelector("[data-instrument]"); list.value = "caliper-1"; list.dispatchEvent(new Event("change", { bubbles: true }))');
        $this->line('5.0', '5.05', '5.0')->see('Next move');
        self::assertTrue($this->browser->executeScript('return document.documentElement.scrollHeight <= window.innerHeight'));
        self::assertTrue($this->browser->executeScript('const box = document.querySelector("#bench-line").getBoundingClientRect(); return box.bottom < window.innerHeight - 36'), 'the line is in sight');
    }

    public function test_on_a_phone_the_next_move_comes_first(): void
    {
        $this->window(390, 844);
        $this->as('tomas')->visit('/')->see('RT-09')->click('[data-row="RT-09 clutch"]')->see('Join this job')->clickText('Join')->settled()->see('Next move');
        $tops = $this->browser->executeScript('return ["[data-ask]", "[aria-label=Tape]", "#bench-line", "[aria-label=\"Cable run\"]"].map((css) => document.querySelector(css).getBoundingClientRect().top)');
        $sorted = $tops;
        sort($sorted);
        self::assertSame($sorted, $tops, 'next move, tape, line, and then the rest');
        self::assertLessThan(844, $tops[2], 'the line is in sight without scrolling');
    }

    /** @return iterable<string, array{int}> */
    public static function widths(): iterable
    {
        yield 'the narrowest phone' => [360];
        yield 'a phone' => [390];
        yield 'a tablet' => [820];
        yield 'a desk' => [1280];
    }

    #[DataProvider('widths')]
    public function test_no_screen_is_wider_than_its_window(int $width): void
    {
        $this->window($width, 844);
        $this->as('ines');
        foreach (['/', '/machines', '/machines/RT-14', '/machines/QB-05'] as $path) {
            $this->visit($path)->settledFonts();
            self::assertSame($width, (int) $this->browser->executeScript('return Math.max(document.documentElement.scrollWidth, window.innerWidth)'), $path);
        }
    }

    /** Holds the page against the rules of axe-core, which the project ships with its tests. */
    private function accessible(string $what): static
    {
        $this->settledFonts();
        $this->browser->executeScript((string) file_get_contents(__DIR__.'/../../node_modules/axe-core/axe.min.js'));
        $found = $this->browser->executeAsyncScript('const done = arguments[arguments.length - 1];
            axe.run(document, { resultTypes: ["violations"] }).then((r) => done(r.violations.map((v) => v.id + ": " + v.nodes.map((n) => n.target + " " + n.failureSummary).join(" | "))))');
        self::assertSame([], $found, $what);

        return $this;
    }

    private function settledFonts(): static
    {
        $this->browser->executeAsyncScript('document.fonts.ready.then(arguments[arguments.length - 1])');

        return $this;
    }
}
