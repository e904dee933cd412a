<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverKeys;

final class ClutchJobTest extends BrowserTestCase
{
    public function test_a_whole_job_without_a_single_click(): void
    {
        $this->visit('/')->keys('ines', WebDriverKeys::TAB, 'ferry-bell-42', WebDriverKeys::ENTER)->see('on the bench');
        $this
            ->keys('/', 'rt-20')
            ->await('[role=option][id$="RT-20"]')
            ->keys(WebDriverKeys::ENTER)
            ->await('[data-start=clutch]');
        $this->browser->executeScript('document.querySelector("[data-start=clutch]").focus()');
        $this
            ->keys(WebDriverKeys::ENTER)
            ->see('What does the meter of RT-20 say?', '640 km')
            ->accessible('the meter at a start')
            ->keys('655', WebDriverKeys::ENTER)
            ->await('#bench-line');

        $this->line('ok', 'ok', 'ok', 'ok', 'ok')->see('Inner wire');
        $this->line('ok', 'noted boot torn', 'ok', 'ok')->see('How does it stand?');
        $this->line('cold')->see('Thread showing at the perch barrel')->line('3.1');
        $this->line('25.3', '1 in', '25.5')->see('Outside: too loose by');
        self::assertSame(
            'set',
            $this->browser->executeScript('return document.querySelector("[aria-current=step]").dataset.stage'),
        );

        $this
            ->see('OUT')
            ->armed()
            ->keys('=')
            ->settled()
            ->see('Moved: pull it fully three times and read it')
            ->line('17.5', '17', '17.5')
            ->see('Inside the band');
        $this
            ->see('Lock the perch barrel', 'Perch clamp 6 N·m')
            ->line('ok')
            ->see('Read it again, locked')
            ->line('17.5', '17', '17.5');
        $this
            ->see('Release arm loose by hand')
            ->line('yes', 'yes')
            ->see('Slots of barrel, ring and perch out of line')
            ->line('ok', 'ok')
            ->see('In gear with the lever in')
            ->line('yes', 'holds', 'middle', 'ok');
        $this->see('Sign as fit for use')->keys(WebDriverKeys::CONTROL.WebDriverKeys::ENTER)->see('Signed by Ines');

        self::assertSame(
            [
                'confirmed', 'confirmed', 'confirmed', 'confirmed', 'confirmed', 'inspected', 'inspected', 'inspected',
                'inspected', 'condition', 'thread', 'reading', 'reading', 'reading', 'move', 'reading', 'reading',
                'reading', 'confirmed', 'reading', 'reading', 'reading', 'check', 'check', 'confirmed', 'confirmed',
                'check', 'check', 'check', 'confirmed', 'closed',
            ],
            array_slice(array_column($this->rows(), 'kind'), 1),
        );
        $this->visit('/machines/RT-20')->see('fit for use', 'left 17.3 mm');
    }

    public function test_the_same_job_by_clicking(): void
    {
        $this->as('tomas')->startJob('RT-14', 'clutch');
        $this->browser->executeScript('window.asked = [];
            new MutationObserver(() => { const now = document.querySelector("[data-ask] h2")?.innerText ?? ""; if (asked.at(-1) !== now) asked.push(now); })
                .observe(document.body, { subtree: true, childList: true, characterData: true })');
        for ($i = 0; $i < 5; $i++) {
            $this->armed()->click('[data-answer=ok]')->settled();
        }
        $asked = (array) $this->browser->executeScript('return window.asked');
        self::assertSame(
            array_values(array_unique($asked)),
            $asked,
            'what was answered is never asked again while it is saved',
        );
        self::assertGreaterThanOrEqual(5, count($asked));
        $this
            ->see('Inner wire')
            ->armed()
            ->click('[data-answer=ok]')
            ->settled()
            ->see('Conduit and route')
            ->armed()
            ->click('[data-answer=noted]');
        $this->keys('boot torn', WebDriverKeys::ENTER)->settled();
        $this
            ->armed()
            ->click('[data-answer=ok]')
            ->settled()
            ->armed()
            ->click('[data-answer=ok]')
            ->settled()
            ->see('How does it stand?');
        $this->armed()->click('[data-answer=cold]')->settled()->see('Thread showing at the perch barrel');
        $this->pad('1.9')->see('Reading at the lever tip');
        foreach (['25.3', '25', '25.5'] as $reading) {
            $this->pad($reading);
        }
        $this->see('too loose by 5.3')->clickText('I moved it differently')->see('What did you move?');
        $this
            ->clickText('Out')
            ->clickText('One of the turns more')
            ->clickText('One of the flats more')
            ->clickText('Log +1t1f')
            ->settled();
        $this->see('perch barrel out 1 turn and 1 flat')->pad('21')->pad('21.5');
        $this->armed()->click('[data-done]')->settled()->see('pull it fully three times');
        $this->pad('17')->pad('17.5')->see('Lock the perch barrel')->armed()->click('[data-answer=ok]')->settled();
        $this->pad('17')->pad('17')->armed()->click('[data-go-on]')->see('Release arm loose');
        foreach (['yes', 'yes', 'ok', 'ok', 'yes', 'holds', 'middle', 'ok'] as $answer) {
            $this->armed()->click("[data-answer={$answer}]")->settled();
        }
        $this
            ->await('[data-close=fit]')
            ->gone('[data-offered]')
            ->click('[data-close=fit]')
            ->see('Fit for use', 'Signed by Tomas')
            ->clickText('To RT-14');
        $this->see('fit for use', 'Tolvane service book');
    }

    public function test_a_drawn_thread_grows_by_its_pitch_over_six_when_a_flat_is_logged(): void
    {
        $this->as('ines')->lookedOver('RT-11', 'clutch', 'cold')->line('3.5');
        $this->line('24', '24', '24')->see('Next move');
        $scale = (float) $this->element('[data-thread=perch]')->getAttribute('data-scale');
        $before = $this->drawn();
        $this->line('+1f')->see('perch barrel out 1 flat');
        self::assertEqualsWithDelta(1.25 / 6 * $scale, $this->drawn() - $before, 1e-6, 'M8 has 1.25 mm of pitch');
        $this->line('-2f')->see('perch barrel in 2 flats');
        self::assertEqualsWithDelta(-1.25 / 6 * $scale, $this->drawn() - $before, 1e-6);
    }

    public function test_what_was_put_right_on_the_bench_is_logged_by_one_tap(): void
    {
        $this->window(390, 844);
        $this
            ->as('ines')
            ->lookedOver($this->machineLike('RT-11', 'PR-01'), 'clutch', 'cold')
            ->line('3.5', '24', '24', '24')
            ->see('Next move');
        $this->armed()->click('[data-changed] [data-cure=ferrule]')->settled()->await('tr[data-entry=put_right]');
        self::assertSame(['ferrule', null], $this->putRight());
        $this->see('Changed: pull it fully three times and read it', 'found; not read since');
        // What has no word of its own is told first, and an empty telling is not logged.
        $this->line('21', '21')->armed()->click('[data-changed] [data-cure=other]')->await('[data-cure-log]:disabled');
        $this
            ->click('[name=cure-words]')
            ->keys('barrel filed where it caught', WebDriverKeys::ENTER)
            ->settled()
            ->gone('[data-cure-log]');
        self::assertSame(['other', 'barrel filed where it caught'], $this->putRight());
        $this->see('Something else put right: barrel filed where it caught');
    }

    /** @return array{string, string|null} the last that was put right: what, and in which words */
    private function putRight(): array
    {
        $query = $this->server
            ->database()
            ->prepare("select body from entries where job_id = ? and kind = 'put_right' order by seq desc limit 1");
        $query->execute([$this->job()]);
        $body = json_decode((string) $query->fetchColumn(), true);

        return [$body['cure'], $body['remark'] ?? null];
    }

    public function test_a_wrong_entry_is_taken_back_and_another_put_right(): void
    {
        $this->as('ines')->lookedOver('SC-02', 'clutch', 'cold')->line('3.5');
        $this->line('12.5', '52')->see('52.0');
        $this->clickText('52.0, change this reading')->see('What it should have said');
        $this
            ->click('#amend-line')
            ->keys('12.7')
            ->click('#change-reason')
            ->keys('digits swapped')
            ->clickText('Put it right')
            ->settled();
        $this->see('12.6 ±', 'Put an entry right');
        $this->line('12.6')->line('v looked from the side')->see('taken back: looked from the side');
        $this->see('12.6 ±');
        self::assertSame(
            ['reading', 'reading', 'amend', 'reading', 'void'],
            array_slice(array_column($this->rows(), 'kind'), -5),
        );
    }

    private function drawn(): float
    {
        return (float) $this->element('[data-thread=perch]')->getAttribute('width');
    }

    /** Taps a figure on the keys of the screen. */
    private function pad(string $figure): static
    {
        if (! (bool) $this->browser->executeScript(
            'return [...document.querySelectorAll("form button[type=submit]")].some((b) => b.offsetParent !== null && b.innerText === "Log")',
        )) {
            $this->clickText('Keys');
        }
        foreach (mb_str_split($figure) as $key) {
            $name = $key === '.' ? 'point' : $key;
            $this->browser->executeScript(
                '[...document.querySelectorAll("form button")].find((b) => b.innerText === arguments[0] || b.getAttribute("aria-label") === arguments[1]).click()',
                [$key, $name],
            );
        }
        $this->browser->executeScript(
            '[...document.querySelectorAll("form button[type=submit]")].find((b) => b.innerText === "Log").click()',
        );

        return $this->settled();
    }
}
