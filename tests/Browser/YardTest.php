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

    public function test_what_somebody_writes_down_of_a_danger_stops_the_machine_until_it_is_answered(): void
    {
        $tag = $this->machineLike('RT-20', 'ZY-40');
        $this->as('ines')->lookedOver($tag, 'throttle')->click('#bench-line')->line('n return spring broken');
        $this->see('Asked about before signing: does not spring back by itself');
        $job = "/jobs/{$this->job()}";
        $this->visit('/')->see('A note tells of this: does not spring back by itself.', 'Throttle grip, in its open job');
        $this->visit("/machines?find={$tag}")->await("[data-machine={$tag}] [data-mark=in_work_stopped]");
        $this->window(390, 844);
        $this
            ->visit("/machines/{$tag}")
            ->await('[data-unfit]')
            ->see('Do not run', 'A note tells of this: does not spring back by itself.')
            ->accessible('a machine of which a note tells a danger');
        $this->window(1280, 800);
        $this->visit($job)->click('#bench-line')->line('v the one on the shelf');
        $this->visit("/machines/{$tag}")->see('in work')->gone('[data-unfit]');
    }
}
