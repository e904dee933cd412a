<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\Chrome\ChromeDevToolsDriver;
use Facebook\WebDriver\Interactions\WebDriverActions;

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
        $this->visit("/machines?words={$tag}")->await("[data-machine={$tag}] [data-mark=in_work_stopped]");
        $this->window(390, 844);
        $this
            ->visit("/machines/{$tag}")
            ->await('[data-unfit]')
            ->until(
                'return document.querySelector("[data-stopped]").getBoundingClientRect().bottom < innerHeight',
                'of several controls it is said above the fold by which nobody runs it',
            )
            ->see('Do not run it. Throttle grip:', 'A note tells of this: does not spring back by itself.')
            ->accessible('a machine of which a note tells a danger');
        $this->window(1280, 800);
        $this->visit($job)->click('#bench-line')->line('v the one on the shelf');
        $this->visit("/machines/{$tag}")->see('in work')->gone('[data-unfit]')->gone('[data-stopped]');
    }

    public function test_a_list_is_found_again_as_it_was_left(): void
    {
        $this->as('oda')->visit('/machines?kind=Airship')->see('None of them', 'Airship');
        $this->visit('/machines')->click('[data-state=due]')->click('[data-words]');
        $this->browser->switchTo()->activeElement()->sendKeys('strand');
        $this->until('return location.search === "?words=strand&state=due"', 'what is asked for stands in the address');
        $shown = $this->element('[data-shown]')->getAttribute('data-shown');
        $this->click('[data-machine=QB-03]')->until(
            'return document.title === "QB-03 Hesk Strand 450 · Vivid Pull" && document.activeElement.tagName === "H1"',
            'the window is called after the machine, and keys go on from its heading',
        );
        $this->browser->navigate()->back();
        $this->await('[data-state=due][aria-pressed=true]');
        self::assertSame($shown, $this->element('[data-shown]')->getAttribute('data-shown'));
        self::assertSame('strand', $this->element('[data-words]')->getAttribute('value'));
        $this->click('nav a[href="/machines"]')->await('[data-state=all][aria-pressed=true]');
        self::assertSame('', $this->element('[data-words]')->getAttribute('value'));
        $this->visit('/due?place=East+beach')->until(
            'return document.querySelector("select[aria-label=Place]").value === "East beach"',
            'what falls due elsewhere is left out',
        );
    }

    public function test_a_screen_is_come_to_at_its_top(): void
    {
        $this->window(390, 844);
        $this->as('oda')->visit('/machines/RT-14')->see('Tolvane Ridge 300');
        // All of it is known by now, and is drawn at once.
        $this->click('nav a[href="/machines"]')->await('[data-machine=RT-14]');
        $this->browser->executeScript('window.scrollTo(0, 700)');
        $this->until('return window.scrollY === 700', 'the list is scrolled');
        $this->browser->executeScript('document.querySelector("[data-machine=RT-14]").click()');
        $this->until('return document.title.startsWith("RT-14")', 'its page is there');
        self::assertSame(0, $this->browser->executeScript('return window.scrollY'));
        $this->browser->navigate()->back();
        $this->await('[data-machine=RT-14]')->until('return window.scrollY === 700', 'one is where one was');
    }

    public function test_what_must_not_run_stands_above_the_queue_on_a_phone(): void
    {
        $this->window(360, 740);
        $this->as('ines')->visit('/')->see('Do not run')->await('[data-frame] nav');
        self::assertTrue($this->browser->executeScript(<<<'JS'
            const top = (says) => [...document.querySelectorAll('main h2')].find((one) => one.innerText.startsWith(says)).getBoundingClientRect().top;
            return top('Do not run') < top('Any time') && top('Reported') < top('Any time');
            JS));
        self::assertLessThanOrEqual(
            120,
            $this->browser->executeScript('return document.querySelector("[data-frame]").offsetHeight'),
            'two lines of the frame, and no third',
        );
    }

    public function test_a_slip_beside_a_dialog_loses_nothing_that_was_filled_in(): void
    {
        $this->as('oda')->visit('/machines')->click('[data-add-machine]')->await('[name=tag]');
        $this->tappedBeside()->gone('[role=dialog]')->click('[data-add-machine]');
        $this->element('[name=tag]')->sendKeys('ZZ-99');
        $this->tappedBeside()->element('[data-state=open] [name=tag]')->sendKeys('8');
        self::assertSame('ZZ-998', $this->element('[role=dialog] [name=tag]')->getAttribute('value'));
        $this->click('[data-cancel]')->gone('[role=dialog]');
    }

    public function test_the_back_key_of_a_phone_closes_what_lies_on_top(): void
    {
        $this->isSpoilt = true;
        $this->window(390, 844);
        (new ChromeDevToolsDriver($this->browser))
            ->execute('Emulation.setTouchEmulationEnabled', ['enabled' => true, 'maxTouchPoints' => 1]);
        $this->as('oda')->visit('/machines');
        // No driver presses a phone's back key: what the browser would close is asked to close, as that key does.
        $this->browser->executeScript(<<<'JS'
            const made = window.CloseWatcher;
            window.CloseWatcher = class extends made { constructor() { super(); window.onTop = this; } };
            JS);
        $this->click('[data-add-machine]')->await('[name=tag]');
        $this->browser->executeScript('window.onTop.requestClose()');
        $this->gone('[role=dialog]')->see('Machines');
        self::assertStringEndsWith('/machines', $this->browser->getCurrentURL());
        $this->click('[data-add-machine]')->await('[name=tag]')->click('[data-cancel]')->gone('[role=dialog]');
    }

    private function tappedBeside(): static
    {
        $around = $this->element('[data-scope=dialog][data-part=positioner]');
        $size = $around->getSize();
        (new WebDriverActions($this->browser))
            ->moveToElement($around, 12 - intdiv($size->getWidth(), 2), 12 - intdiv($size->getHeight(), 2))
            ->click()
            ->perform();

        return $this;
    }
}
