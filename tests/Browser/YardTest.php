<?php

declare(strict_types=1);

namespace Tests\Browser;

/** The yard at a glance: what must not run is seen, sifted for and found. */
final class YardTest extends BrowserTestCase
{
    public function test_a_machine_that_must_not_run_is_seen_and_found(): void
    {
        $this
            ->as('ines')
            ->visit('/machines')
            ->await('[data-machine=QB-05] [data-mark=tagged]')
            ->see('do not run')
            ->accessible('the yard');
        $all = (int) $this->element('[data-shown]')->getAttribute('data-shown');
        $this
            ->click('[data-state=tagged]')
            ->until('return Number(document.querySelector("[data-shown]").dataset.shown) > 0', 'nothing was sifted');
        self::assertNotSame(
            [],
            $this->browser->executeScript(
                'return [...document.querySelectorAll("[data-machine]")].map((one) => one.dataset.machine)',
            ),
        );
        $this->click('[data-state=all]')->click('[data-words]');
        $this->browser->switchTo()->activeElement()->sendKeys('ridge north');
        $this->until(
            'return document.querySelectorAll("[data-machine]").length > 0 && [...document.querySelectorAll("[data-machine]")].every((one) => one.innerText.includes("Ridge"))',
            'words were not found',
        );
        self::assertLessThan($all, (int) $this->element('[data-shown]')->getAttribute('data-shown'));
        $this->browser->switchTo()->activeElement()->sendKeys(' zzz');
        $this->see('Ask for less')->window(390, 844);
        $this->accessible('an empty sift on a phone')->click('[data-retired]')->see('Retired machines');
    }
}
