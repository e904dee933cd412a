<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\Chrome\ChromeDevToolsDriver;
use PDO;
use Tests\Support\Preparation;

/** What holds on every screen: nobody is shut out, nothing is cut off, nothing is too small to hit. */
final class ScreensTest extends BrowserTestCase
{
    protected function tearDown(): void
    {
        // What one test leaves is not what the next one finds.
        $this->server->database()->exec("update users set lengths = null where login = 'ines'");
        parent::tearDown();
    }

    public function test_no_screen_shuts_anybody_out(): void
    {
        $this->visit('/')->accessible('the sign-in');
        $this->as('oda');
        foreach ([
            '/' => 'on the bench',
            '/machines' => 'in the yard',
            '/machines/RT-14' => 'Adjusters',
            '/machines/QB-05' => 'Do not run',
            '/rudder' => 'No such page',
            '/machines/ZZ-99' => 'No machine hangs',
        ] as $path => $words) {
            $this->visit($path)->see($words)->accessible($path);
        }
        $this
            ->startJob('SC-08', 'clutch')
            ->accessible('make safe')
            ->line(...array_fill(0, 5, 'ok'))
            ->accessible('look over');
        $this
            ->line('ok', 'ok', 'ok', 'ok')
            ->accessible('the state of the machine')
            ->line('cold')
            ->accessible('the thread')
            ->line('3.5')
            ->accessible('the reading');
        $this->line('17', '17', '17')->see('Next move')->accessible('the setting');
        $this
            ->clickText('I moved it differently')
            ->see('What did you move?')
            ->accessible('the move dialog')
            ->clickText('Cancel')
            ->gone('[role=dialog]');
        $this
            ->clickText('Oda: settings')
            ->see('Keys work anywhere')
            ->accessible('the settings')
            ->click('[data-cancel]')
            ->gone('[role=dialog]');
        $this->line('abc')->see('has no number in it')->accessible('a refused line');
        foreach (['prove', 'close'] as $stage) {
            $this->click("[data-stage={$stage}]")->accessible($stage);
        }
        $this->window(390, 844);
        $this
            ->visit((string) parse_url($this->browser->getCurrentURL(), PHP_URL_PATH))
            ->await('#bench-line')
            ->accessible('the setting on a phone');
    }

    public function test_empty_screens_are_screens_too(): void
    {
        $this
            ->as('office')
            ->visit('/machines/RT-20#throttle')
            ->see('No job yet', 'Never worked on here')
            ->accessible('a control without a job');
        $this
            ->click('[role=combobox]')
            ->keys('zz')
            ->see('No machine answers to “zz”')
            ->accessible('a search that finds nothing');
        $this->answering(
            '/api/bench',
            [
                'day' => 'Sunday', 'date' => '2026-01-04', 'minutes' => 0, 'present' => [], 'queue' => [], 'done' => [],
                'intakes' => [], 'complaints' => [], 'carry_on' => null, 'stopped' => [], 'due' => [],
            ],
        );
        $this->visit('/')->see('Nothing waits on the bench', 'No machine is tagged, and no open job found one unfit.')->accessible('an empty bench');
        $this
            ->answering('/api/yard', ['machines' => []])
            ->visit('/machines')
            ->see('No machines yet')
            ->accessible('an empty yard');
    }

    /** A style that is added anew may make the browser take up its letters again, and lay out the whole page twice. */
    public function test_the_letters_are_taken_up_once_and_no_more(): void
    {
        $this->beforeEachPage(
            'window.taken = []; document.fonts.addEventListener("loadingdone", (e) => taken.push(...e.fontfaces.map((face) => face.family)))',
        );
        foreach (['/machines/RT-14', '/due'] as $path) {
            $this->as('ines')->visit($path)->settledFonts()->armed();
            $taken = (array) $this->browser->executeScript('return window.taken');
            self::assertNotSame([], $taken, $path);
            self::assertSame(array_values(array_unique($taken)), $taken, $path);
        }
    }

    public function test_a_page_of_every_day_asks_for_its_answer_before_it_knows_who_is_here_and_asks_once(): void
    {
        $asked = <<<'JS'
            return performance.getEntriesByType('resource')
                .filter(({ name }) => /\/api\/(session|bench)$/.test(name))
                .map(({ name, startTime, responseEnd }) => [name.split('/').pop(), startTime, responseEnd]);
            JS;
        $this->as('tomas')->visit('/')->await('main h2');
        $this->visit('/')->await('main h2');
        [[$first, , $known], [$second, $begun]] = $all = (array) $this->browser->executeScript($asked);
        self::assertSame(['session', 'bench'], [$first, $second]);
        self::assertCount(2, $all, 'each is asked for once');
        self::assertLessThan($known, $begun, 'and neither waits for the other');

        // Whoever signs out leaves a device that asks for nothing of the workshop's.
        $this->click('[aria-label$="settings and sign-out"]')->clickText('Sign out')->await('input[type=password]');
        $this->server->forget('tomas');
        $this->visit('/')->await('input[type=password]');
        self::assertSame(['session'], array_column((array) $this->browser->executeScript($asked), 0));
    }

    public function test_a_device_whose_clock_is_wrong_says_so_on_every_screen(): void
    {
        $this->isSpoilt = true;
        $this->as('tomas')->visit('/')->await('main h2')->gone('[data-strip]');
        $this->atTheStart('const real = Date.now; Date.now = () => real() - 26.5 * 3600e3;');
        $said = 'Entries keep the time it shows: set whichever is wrong.';
        foreach (['/', '/machines/RT-14'] as $path) {
            $this->visit($path)->await('[data-strip=clock]')->see('26 h', 'behind the workshop server’s.', $said);
        }
        $this->accessible('a device whose clock is wrong');
        $this->begin($this->machineLike('RT-14', 'ZY-42'), 'clutch')->see('26 h', 'behind the workshop server’s.', $said);
        // What is planned for today stands in the workshop's today, though tomorrow is here.
        $this->atTheStart(
            'const Shown = Date; Date = class extends Shown { constructor(...given) { given.length === 0 ? super(Shown.now() + 53 * 3600e3) : super(...given); } static now() { return Shown.now() + 53 * 3600e3; } };',
        );
        $this->visit('/due')->await('[data-strip=clock]')->see('ahead of the workshop server’s.');
        $this->click('[data-due="QB-01 throttle"] [data-plan]')->await('[data-due="QB-01 throttle"] [data-unplan]');
        $this->visit('/')->await('[data-row="QB-01 throttle"]');
        $this->visit('/due')->click('[data-due="QB-01 throttle"] [data-unplan]')->await(
            '[data-due="QB-01 throttle"] [data-plan]',
        );
    }

    public function test_a_viewer_reads_along_and_nothing_more(): void
    {
        $this
            ->as('office')
            ->visit('/')
            ->see('RT-09')
            ->click('[data-row="RT-09 clutch"]')
            ->see('You may read along')
            ->accessible('a job to look at');
        self::assertSame('', $this->text('[aria-label="Bench line"]'));
    }

    public function test_the_setting_needs_no_page_scroll_at_1280_by_720(): void
    {
        $this->window(1280, 720);
        $this->as('ines')->lookedOver('RT-02', 'clutch', 'hot')->line('3.5');
        $this->browser->executeScript(
            'const list = document.querySelector("[data-pick=instrument]"); list.value = "caliper-1"; list.dispatchEvent(new Event("change", { bubbles: true }))',
        );
        $this->line('5.0', '5.05', '5.0')->see('Next move');
        self::assertTrue($this->browser->executeScript(
            'return document.documentElement.scrollHeight <= window.innerHeight',
        ));
        self::assertTrue(
            $this->browser->executeScript(
                'const box = document.querySelector("#bench-line").getBoundingClientRect(); return box.bottom < window.innerHeight - 36',
            ),
            'the line is in sight',
        );
    }

    public function test_on_a_phone_the_next_move_comes_first(): void
    {
        $this->window(390, 844);
        $this
            ->as('tomas')
            ->visit('/')
            ->see('RT-09')
            ->click('[data-row="RT-09 clutch"]')
            ->see('Join this job')
            ->clickText('Join')
            ->settled()
            ->see('Next move');
        $tops = $this->browser->executeScript(
            'return ["[data-ask]", "[aria-label=Tape]", "#bench-line", "[aria-label=\"Cable run\"]"].map((css) => document.querySelector(css).getBoundingClientRect().top)',
        );
        $sorted = $tops;
        sort($sorted);
        self::assertSame($sorted, $tops, 'next move, tape, line, and then the rest');
        self::assertLessThan(844, $tops[2], 'the line is in sight without scrolling');
        // What was read stands below what was done, and neither is squeezed.
        self::assertMatchesRegularExpression(
            '/^\d+\.\d ± \d+\.\d /',
            $this->text('[data-entry=reading] [data-what] [data-below]'),
        );
        self::assertGreaterThan(
            200,
            $this->browser->executeScript(
                'return document.querySelector("[data-entry=reading] [data-what]").getBoundingClientRect().width',
            ),
        );
        // Lying on its side it has the verdict and all keys beside the line.
        $this->window(844, 390);
        $this->browser->executeScript('document.querySelector("[aria-label=\"Bench line\"]").scrollIntoView()');
        [$line, $key, $last, $verdict] = (array) $this->browser->executeScript(
            'return ["#bench-line", "[data-key=\"1\"]", "[data-key=enter]", "[data-stands] [data-verdict]"].map((css) => { const { left, right, bottom } = document.querySelector(css).getBoundingClientRect(); return { left, right, bottom }; })',
        );
        self::assertLessThan($key['left'], $line['right'], 'the keys are beside the line');
        self::assertLessThan(390, max($last['bottom'], $verdict['bottom']), 'and all of it is in sight');
    }

    public function test_a_refused_answer_is_seen_on_a_phone_wherever_it_was_tapped(): void
    {
        $tag = $this->machineLike('RT-20', 'PH-20');
        $this->as('tomas');
        $this->server->job('tomas', $tag, 'clutch', ['tag lever snapped']);
        $this
            ->onBench($tag, 'throttle', Preparation::RIGHT, '4.2', '4.2', '4.2', 'yes', 'yes', 'yes', 'yes')
            ->window(390, 844);
        $this->await('[data-do-not-run]')->see('a tag hangs on its clutch lever', 'Open that job');
        self::assertSame('Open that job', $this->text('[data-primary]'), 'what is not to be run has no vivid answer');
        $this->armed()->click('[data-answer=yes]')->await('[role=alert] [data-kept=refused]');
        $this
            ->see('Idle stays steady while steering from stop to stop: Yes', 'Do not run it')
            ->accessible('a refused answer on a phone');
        $seen = 'const box = document.querySelector("[data-kept=refused]").getBoundingClientRect(); return box.top > 0 && box.bottom <= window.innerHeight';
        self::assertTrue($this->browser->executeScript($seen), 'in sight where it was tapped');
        $this->browser->executeScript('window.scrollTo(0, document.body.scrollHeight / 2)');
        self::assertTrue($this->browser->executeScript($seen), 'and wherever one looks next');
        $this
            ->clickText('Discard it')
            ->gone('[data-kept]')
            ->clickText('Open that job')
            ->see('Clutch lever', 'lever snapped');
    }

    public function test_a_damaged_wire_leads_to_another_or_to_a_tag_and_to_nothing_else(): void
    {
        $this
            ->as('tomas')
            ->onBench(
                $this->machineLike('RT-20', 'PH-21'),
                'clutch',
                'all ok',
                'fault strands broken',
                'ok',
                'ok',
                'ok',
            )
            ->see(
                'Not fit: Inner wire',
                'Do not run. Clutch wire is damaged.',
                'nothing is set or run with it',
                'Tag it: do not run',
            )
            ->accessible('a damaged wire');
        self::assertSame('Replace the cable', $this->text('[data-primary]'));
        $this->window(390, 844);
        $this
            ->armed()
            ->click('[data-replace-now]')
            ->see('Why is it replaced?')
            ->clickText('Frayed')
            ->clickText('Begin')
            ->settled()
            ->gone('[data-replace-now]')
            ->await('[data-replacing]');
        self::assertStringStartsWith('replace:', (string) $this->state()['asks']);
    }

    public function test_what_is_asked_next_comes_into_sight_wherever_the_tap_was(): void
    {
        $tag = $this->machineLike('RT-20', 'PH-41');
        $this->as('tomas')->onBench($tag, 'clutch', 'all ok')->window(1280, 400);
        $this->browser->executeScript('document.querySelector("aside").scrollTop = 9999');
        $this->line('ok')->inSight();
        $this->window(390, 844);
        $this->onBench($tag, 'throttle')->click('li:last-child > [data-item]')->inSight();
        self::assertStringContainsString('own manual is at hand', $this->text('[data-ask]'));
    }

    private function inSight(): static
    {
        return $this->until(
            'const top = document.querySelector("[data-ask]").getBoundingClientRect().top;
            return top >= 0 && top < innerHeight / 2;',
            'What is asked is out of sight.',
        );
    }

    public function test_after_it_ran_hands_are_kept_off_until_it_is_safe_again(): void
    {
        $this
            ->as('tomas')
            ->onBench(
                $this->machineLike('RT-20', 'PH-22'),
                'throttle',
                Preparation::RIGHT,
                '4.2',
                '4.2',
                '4.2',
                'yes',
                'yes',
                'yes',
                'yes',
            )
            ->see('Idle stays steady')
            ->gone('[data-safe-again]');
        $this
            ->line('no')
            ->await('[data-safe-again]')
            ->see('It ran. Before hands go near it again: engine off, key out')
            ->accessible('after it ran');
        $this->window(390, 844);
        self::assertLessThan(
            844,
            $this->browser->executeScript(
                'return document.querySelector("[data-safe-again]").getBoundingClientRect().bottom',
            ),
            'in sight on a phone',
        );
    }

    public function test_what_would_not_be_judged_is_said_before_it_is_read(): void
    {
        $this
            ->as('oda')
            ->lookedOver($this->machineLike('SC-08', 'HT-08'), 'clutch', 'hot')
            ->line('cannot be seen')
            ->window(390, 844);
        $this
            ->await('[data-wrong-state]')
            ->see('the figure is for a cold engine: what is read now is not judged')
            ->accessible('a machine too hot to be read');
        self::assertStringNotContainsString('can decide this band', $this->text('main'));
        $this->clickText('Now: cold')->settled()->gone('[data-wrong-state]')->see('can decide this band');
    }

    /** The narrowest phone, a phone, a tablet, a desk; after dark what is narrow, and a desk. */
    private const WIDTHS = ['day' => [360, 390, 820, 1280], 'night' => [360, 1280]];

    private const SCREENS = [
        '/',
        '/machines',
        '/machines/RT-14',
        '/machines/QB-05',
        '/machines/TR-02',
        '/machines/RT-14/service',
        '/machines/RT-14/add',
        '/machines/RT-14/clutch/cables',
        '/due',
        '/specs',
        '/specs/1',
        '/specs/1/next',
        '/specs/new',
        '/shop',
        '/shelf',
        '/shelf/cables',
        '/shelf/gauges',
        '/shelf/caliper-1/checks',
        '/causes',
        '/causes/counts',
        '/machines/RT-14/clutch/cause',
        '/practice',
        '/practice/learners',
        '/practice/lessons/grip_route/like',
    ];

    /**
     * Pieces of text, and what is tapped, that lie over one another; and text that is cut off without saying so. What
     * lies over the page on purpose stands still while it scrolls, what is only said aloud is clipped away, and
     * drawings are looked at by people.
     */
    private const OVERLAPS = <<<'JS'
        const seen = (one) => one.checkVisibility({ opacityProperty: true, visibilityProperty: true });
        const still = (one) => { for (let at = one; at; at = at.parentElement) { const style = getComputedStyle(at); if (["fixed", "sticky"].includes(style.position) || style.clip.startsWith("rect")) return true; } return false; };
        const own = (one) => [...one.childNodes].some((child) => child.nodeType === 3 && child.textContent.trim() !== "");
        const told = (one) => `${one.tagName.toLowerCase()} “${(one.innerText || one.getAttribute("aria-label") || "").slice(0, 40)}”`;
        const pieces = [...document.querySelectorAll("main *, header *")].filter((one) => !one.closest("svg, option, [role=tooltip]") && (own(one) || one.matches("button, input, select, textarea")) && seen(one) && !still(one));
        // Large lines stand closer than their boxes are high: what is printed of them lies within.
        const inked = ({ left, right, top, bottom }) => ({ left, right, top: top + (bottom - top) * 0.15, bottom: bottom - (bottom - top) * 0.15 });
        // As far as what it stands in lets it be seen.
        const shown = (one, { left, right, top, bottom }) => {
            for (let at = one; at !== null && at !== document.body; at = at.parentElement) {
                if (getComputedStyle(at).overflow === "visible") continue;
                const hole = at.getBoundingClientRect();
                [left, right, top, bottom] = [Math.max(left, hole.left), Math.min(right, hole.right), Math.max(top, hole.top), Math.min(bottom, hole.bottom)];
            }
            return { left, right, top, bottom };
        };
        const boxes = [];
        for (const one of pieces) {
            const words = [...one.childNodes].filter((child) => child.nodeType === 3 && child.textContent.trim() !== "").flatMap((child) => { const range = document.createRange(); range.selectNode(child); return [...range.getClientRects()].map(inked); });
            const rects = one.matches("button, input, select, textarea") ? [one.getBoundingClientRect()] : words;
            for (const rect of rects.map((each) => shown(one, each))) if (rect.right - rect.left > 3 && rect.bottom - rect.top > 3) boxes.push({ one, rect });
        }
        boxes.sort((a, b) => a.rect.top - b.rect.top);
        const found = [];
        for (let n = 0; n < boxes.length; n++) for (let m = n + 1; m < boxes.length && boxes[m].rect.top < boxes[n].rect.bottom - 3; m++) {
            const [a, b] = [boxes[n], boxes[m]];
            if (a.one.contains(b.one) || b.one.contains(a.one)) continue;
            // A unit that stands in its field.
            if ([a, b].some(({ one }) => getComputedStyle(one).pointerEvents === "none") && [a, b].some(({ one }) => one.matches("input"))) continue;
            const wide = Math.min(a.rect.right, b.rect.right) - Math.max(a.rect.left, b.rect.left);
            const high = Math.min(a.rect.bottom, b.rect.bottom) - b.rect.top;
            if (wide > 3 && high > 5) found.push(`${told(a.one)} over ${told(b.one)}`);
        }
        for (const one of pieces) {
            const style = getComputedStyle(one);
            if (own(one) && style.overflowX === "hidden" && one.scrollWidth > one.clientWidth + 1 && !one.title) found.push(`cut off: ${told(one)}`);
            if (one.matches("button") && one.scrollWidth > one.clientWidth + 2) found.push(`wider than its button: ${told(one)}`);
        }
        return found.slice(0, 6);
        JS;

    /** A pull of the demo that was kept as a curve. */
    private function curve(): string
    {
        $row = $this->server->database()->query('select job_id, id from traces order by taken_in_at desc limit 1');

        return vsprintf('/jobs/%s/pull/%s', $row === false ? [] : (array) $row->fetch(PDO::FETCH_NUM));
    }

    /**
     * @return list<string> jobs in the stages that look most unlike each other: made safe, being set, set by what it
     *     does, and to be signed
     */
    private function jobs(): array
    {
        $this->as('ines');
        $looked = ['all ok', 'ok', 'ok', 'ok', 'ok', 'cold', 'thread 3 mm'];

        return array_map(fn (array $job): string => '/jobs/'.$this->server->job('ines', ...$job), [
            ['SN-03', 'auger', []],
            [$this->machineLike('RT-14', 'ZB-14'), 'clutch', [...$looked, '24', '24.5', '24']],
            ['SN-03', 'selector', [Preparation::OKS, 'forward', 'forward', 'yes', '10', 'cannot be seen']],
            [
                $this->machineLike('RT-14', 'ZB-15'),
                'clutch',
                [...$looked, '15', Preparation::RIGHT, 'cold', '15.5', '15', Preparation::RIGHT],
            ],
        ]);
    }

    /**
     * @return list<string>
     *
     * @phpstan-impure
     */
    private function overlaps(): array
    {
        return array_values(array_map(strval(...), (array) $this->browser->executeScript(self::OVERLAPS)));
    }

    /** What may still say mm: as it is printed in a book, as somebody typed it, and the size of a spanner. */
    private const AS_IT_IS = '/^(Printed:|Logged: Read|Read |Such as )|^[\d–. ]+mm \(.+ in\)$|spanner|socket/u';

    /** @return list<string> what somebody who thinks in inches is told in millimetres */
    private function millimetres(): array
    {
        return array_values(array_filter(
            explode("\n", (string) $this->browser->executeScript('return document.body.innerText')),
            static fn (string $line): bool => preg_match('/\bmm\b/', $line) === 1
                && preg_match(self::AS_IT_IS, $line) !== 1,
        ));
    }

    private function loaded(): static
    {
        return $this
            ->until(
                'return document.querySelector("[data-loading]") === null',
                "{$this->browser->getCurrentURL()} loads for ever",
            )
            ->settledFonts();
    }

    private const FITS = 'return Math.max(document.documentElement.scrollWidth, window.innerWidth) === %d';

    /** Until what watches its width has been told of it, and has drawn itself anew. */
    private const DRAWN = <<<'JS'
        const done = arguments[arguments.length - 1];
        requestAnimationFrame(() => requestAnimationFrame(() => setTimeout(() => requestAnimationFrame(done), 20)));
        JS;

    /**
     * What is drawn to its width is drawn anew, which takes a moment; and a hurried browser now and then keeps the
     * columns of the width before, until it is told again, or the page is opened anew.
     */
    private function narrowed(int $width): static
    {
        $this->window($width, 844);
        $this->browser->executeAsyncScript(self::DRAWN);
        $isFitting = fn (): bool => $this->browser->executeScript(sprintf(self::FITS, $width)) === true;
        for ($tries = 5; $tries > 0 && ! $isFitting(); $tries--) {
            usleep(300_000);
            $this->window($width + 40, 844);
            usleep(150_000);
            $this->window($width, 844);
        }
        if (! $isFitting()) {
            $this->visit((string) parse_url($this->browser->getCurrentURL(), PHP_URL_PATH))->loaded();
        }

        return $this;
    }

    public function test_no_screen_is_wider_than_its_window_and_nothing_lies_over_anything_by_day_and_after_dark_in_mm_and_in_inches(): void
    {
        $faults = [];
        $screens = [...self::SCREENS, $this->curve(), ...$this->jobs()];
        // What it is to find, it finds.
        $this->as('ines')->visit('/due')->await('main');
        $this->browser->executeScript(
            'document.querySelector("main").insertAdjacentHTML("beforeend", "<p>One over</p><p style=\"margin-top: -3rem\">another</p><p style=\"overflow: hidden; width: 3rem; white-space: nowrap\">Cut off in the middle</p>")',
        );
        self::assertCount(2, $this->overlaps());
        foreach (['day' => 'null', 'night' => "'in32'"] as $theme => $lengths) {
            $this->server->database()->exec("update users set lengths = {$lengths} where login = 'ines'");
            $this->as('ines')->visit('/');
            $this->browser->executeScript(
                'localStorage.setItem("vivid-pull.preferences.ines", JSON.stringify({ keysAnywhere: true, instrument: null, theme: arguments[0] }))',
                [$theme],
            );
            foreach ($screens as $path) {
                $this->visit($path)->loaded();
                foreach (self::WIDTHS[$theme] as $width) {
                    $this->narrowed($width)->until(sprintf(self::FITS, $width), "{$path} is wider than {$width}");
                    foreach ($this->overlaps() as $fault) {
                        $faults[] = "{$path} at {$width} by {$theme}: {$fault}";
                    }
                }
                foreach ($theme === 'night' ? $this->millimetres() : [] as $line) {
                    $faults[] = "{$path} in inches: {$line}";
                }
            }
        }
        self::assertSame([], $faults);
    }

    public function test_letters_made_larger_in_the_browser_are_larger_here_and_strong_colours_leave_what_tells_by_its_ground(): void
    {
        $this->as('ines');
        $this->window(390, 844);
        $tools = new ChromeDevToolsDriver($this->browser);
        try {
            $tools->execute('Page.setFontSizes', ['fontSizes' => ['standard' => 24, 'fixed' => 24]]);
            foreach (['/', '/machines/RT-14', '/due'] as $path) {
                $this->visit($path)->await('main h1')->settledFonts();
                $this->until('return getComputedStyle(document.querySelector("main")).fontSize === "24px"', 'Larger');
                $this->until(sprintf(self::FITS, 390), "{$path} is wider than its window");
            }
        } finally {
            $tools->execute('Page.setFontSizes', ['fontSizes' => ['standard' => 16, 'fixed' => 13]]);
        }
        $ground = 'return getComputedStyle(document.querySelector("[data-machine-tag]")).backgroundColor';
        $this->visit('/machines/RT-14')->await('[data-machine-tag]');
        $own = $this->browser->executeScript($ground);
        try {
            $tools->execute('Emulation.setEmulatedMedia', [
                'features' => [['name' => 'forced-colors', 'value' => 'active']],
            ]);
            self::assertSame($own, $this->browser->executeScript($ground));
            self::assertSame(1, $this->browser->executeScript(
                'return new Set([...document.querySelectorAll("nav a:not([aria-current])")].map((one) => getComputedStyle(one).borderBottomColor)).size',
            ));
            self::assertNotSame(
                ...array_map(
                    fn (string $of): mixed => $this->browser->executeScript(
                        "return getComputedStyle(document.querySelector('nav a{$of}')).borderBottomColor",
                    ),
                    ['[aria-current]', ':not([aria-current])'],
                ),
            );
        } finally {
            $tools->execute('Emulation.setEmulatedMedia', ['features' => []]);
        }
    }

    public function test_nothing_on_a_page_of_every_day_jumps_while_it_opens(): void
    {
        $this->as('ines');
        $this->window(390, 844);
        // As on a telephone, whose bars of scrolling take no room.
        $tools = new ChromeDevToolsDriver($this->browser);
        $tools->execute('Emulation.setScrollbarsHidden', ['hidden' => true]);
        foreach (['/', '/machines/RT-14', '/due'] as $path) {
            $this->visit($path)->loaded();
            self::assertLessThan(self::NO_JUMP, $this->jumped(), $path);
        }
        // What it is to find, it finds.
        $this->browser->executeScript(
            'document.querySelector("main").insertAdjacentHTML("beforebegin", "<p style=\"height: 9rem\">Late</p>")',
        );
        usleep(200_000);
        self::assertGreaterThan(self::NO_JUMP, $this->jumped());
        $tools->execute('Emulation.setScrollbarsHidden', ['hidden' => false]);
    }

    /** What web.dev calls good is 0.1 ("Cumulative Layout Shift"); nothing that a finger is on its way to may move. */
    private const NO_JUMP = 0.02;

    /** The browser's own sum of how much of the window moved, and how far. */
    private function jumped(): float
    {
        return (float) $this->browser->executeAsyncScript(<<<'JS'
            const done = arguments[arguments.length - 1];
            let sum = 0;
            new PerformanceObserver((list) => {
              for (const shift of list.getEntries()) if (!shift.hadRecentInput) sum += shift.value;
            }).observe({ type: 'layout-shift', buffered: true });
            setTimeout(() => done(sum), 300);
            JS);
    }

    public function test_the_browser_finds_nothing_in_the_way_of_installing_it(): void
    {
        $this->as('ines')->visit('/');
        $tools = new ChromeDevToolsDriver($this->browser);
        $manifest = $tools->execute('Page.getAppManifest');
        self::assertSame([], $manifest['errors'] ?? null);
        self::assertStringContainsString('Vivid Pull', $manifest['data'] ?? '');
        self::assertSame([], $tools->execute('Page.getInstallabilityErrors')['installabilityErrors'] ?? null);
    }
}
