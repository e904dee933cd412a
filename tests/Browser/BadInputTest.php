<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverKeys;

final class BadInputTest extends BrowserTestCase
{
    private const LINES = [
        '12,,5' => '“12,,5” is not a number I can read',
        '999' => 'but the Steel rule reaches 300 mm',
        '3/0 in' => 'has 0 below the line',
        'abc' => '“abc” has no number in it',
        '-3' => 'Is -3 a reading or a move?',
        '+4.20' => 'Is +4.20 a reading or a move?',
        '+99t' => 'that is beyond its thread',
        '4 furlong' => '“furlong” is not a unit I know',
        'v' => 'Taking an entry back needs a reason',
        'yes' => '“yes” answers a question, but',
    ];

    public function test_each_bad_line_gets_its_sentence_and_stays_in_the_field(): void
    {
        $this->as('ines')->lookedOver('SC-05', 'clutch', 'cold')->line('3.5', '5');
        $rows = count($this->rows());
        foreach (self::LINES as $line => $sentence) {
            $this->keys($line.WebDriverKeys::ENTER)->see($sentence);
            self::assertSame((string) $line, $this->value('#bench-line'), 'what was typed stays');
            self::assertSame('true', $this->element('#bench-line')->getAttribute('aria-invalid'));
            $this->cleared();
        }
        $this->keys(WebDriverKeys::ENTER)->see('Nothing was typed');
        $this->typedLong()->see('characters');
        self::assertSame(10_240, strlen($this->value('#bench-line')), 'not even ten kilobytes are lost');
        self::assertCount($rows, $this->rows());
    }

    public function test_why_a_line_was_refused_comes_in_sight(): void
    {
        $this->as('ines')->lookedOver($this->machineLike('RT-02', 'ZY-43'), 'clutch', 'hot');
        foreach ([[1280, 720], [390, 844]] as [$wide, $high]) {
            $this->window($wide, $high);
            $this->browser->executeScript('document.querySelector("#bench-line").scrollIntoView({ block: "end" })');
            $this->keys("{$wide} flats", WebDriverKeys::ENTER)->see('does not say how much thread shows');
            $this->until(
                'const box = document.querySelector("[data-refusal]"), at = box.getBoundingClientRect();
                return [at.top + 4, at.bottom - 4].every((y) => box.contains(document.elementFromPoint(at.left + at.width / 2, y)))',
                "The sentence is out of sight at {$wide}",
            );
            $this->cleared();
        }
    }

    public function test_a_line_that_was_begun_outlives_a_reload(): void
    {
        $this
            ->as('ines')
            ->startJob('RT-16', 'throttle')
            ->keys('n the boot is to')
            ->visit((string) parse_url($this->browser->getCurrentURL(), PHP_URL_PATH));
        $this->await('#bench-line');
        self::assertSame('n the boot is to', $this->value('#bench-line'));
    }

    public function test_a_session_that_ended_keeps_the_screen_and_the_line(): void
    {
        $this->visit('/')->clickText('Tomas, technician')->see('on the bench');
        $this->startJob('RT-16', 'clutch')->line('ok');
        $this->browser->manage()->deleteAllCookies();
        $this->keys('ok', WebDriverKeys::ENTER)->see('Tomas, sign in again', 'What you typed is kept');
        $this
            ->click('input[type=password]')
            ->keys('dune-grass-17', WebDriverKeys::ENTER)
            ->gone('input[type=password]')
            ->settled();
        $this->see('2 of 5 confirmed');
        self::assertCount(3, $this->rows());
    }

    public function test_a_session_that_ended_is_noticed_by_what_is_saved_too(): void
    {
        $this
            ->as('tomas')
            ->visit('/machines/RT-14')
            ->click('[data-report]')
            ->click('[data-odd-control=clutch]')
            ->click('[data-feels^=Creeps]')
            ->see('Do not run it before somebody has looked');
        $this->browser->manage()->deleteAllCookies();
        $this->click('[role=dialog] [data-primary]')->see('Tomas, sign in again', 'What you typed is kept');
        $this->click('input[type=password]')->keys('dune-grass-17', WebDriverKeys::ENTER)->gone('input[type=password]');
        $this->see('What feels odd on RT-14?');
    }

    public function test_a_screen_that_fails_says_so_and_the_rest_can_be_gone_to(): void
    {
        $this->expectsTrouble = true;
        $this->as('ines')->visit('/machines/RT-11')->see('Plates are wearing')->click('header a[href="/practice"]');
        $this->gone('[data-report]');
        $this->browser->executeScript('Number.prototype.toFixed = () => { throw new Error("spoilt on purpose"); }');
        $this->browser->navigate()->back();
        $this
            ->await('[data-broken=failed]')
            ->see('This screen failed', 'What was logged is kept, sent or not.')
            ->accessible('a screen that failed')
            ->click('header a[href="/practice"]')
            ->gone('[data-broken]');
        $this->browser->navigate()->back();
        $this->await('[data-broken=failed]');
        $this->click('[data-broken] [data-primary]')->gone('[data-broken]')->see('Plates are wearing');
    }

    public function test_an_unknown_machine_job_and_address_say_so(): void
    {
        $this->as('ines')->visit('/machines/ZZ-99')->see('No machine hangs under the tag ZZ-99.', 'All machines');
        $this->visit('/jobs/00000000-0000-4000-8000-000000000000')->see('There is no job under this address.');
        $this->visit('/rudder')->see('No such page');
    }

    public function test_keys_anywhere_can_be_switched_off(): void
    {
        $this->as('mirre')->startJob('RT-02', 'throttle');
        $this
            ->blurred()
            ->keys('7')
            ->until('return document.querySelector("#bench-line").value === "7"', 'The key did not reach the line');
        $this
            ->cleared()
            ->clickText('Mirre: settings')
            ->see('Keys work anywhere')
            ->click('input[type=checkbox]')
            ->click('[data-cancel]')
            ->gone('[role=dialog]');
        $this->blurred()->keys('7');
        self::assertSame('', $this->value('#bench-line'));
    }

    private function blurred(): static
    {
        $this->browser->executeScript('document.activeElement?.blur()');

        return $this;
    }

    private function cleared(): static
    {
        $this->click('#bench-line')->keys(WebDriverKeys::CONTROL.'a', WebDriverKeys::BACKSPACE);

        return $this->until('return document.querySelector("#bench-line").value === ""', 'The field was not cleared');
    }

    /** Ten kilobytes, pasted. */
    private function typedLong(): static
    {
        $this->browser->executeScript('const field = document.querySelector("#bench-line");
            Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, "value").set.call(field, "0123456789".repeat(1024));
            field.dispatchEvent(new Event("input", { bubbles: true })); field.focus()');

        return $this->keys(WebDriverKeys::ENTER);
    }
}
