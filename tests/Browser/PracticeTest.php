<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\Interactions\WebDriverActions;
use Facebook\WebDriver\WebDriverKeys;

/**
 * Lessons in the browser: the machine worked by touch and by keys, read off the drawn scale, and gone through once more
 * at the end.
 */
final class PracticeTest extends BrowserTestCase
{
    /** Half of the mark of a rule of half millimetres, and what a pull gives once it resists. */
    private const HALF_A_MARK = 0.25;

    public function test_a_whole_lesson_by_touch_on_a_phone(): void
    {
        $this->window(390, 844);
        $this
            ->as('mirre')
            ->visit('/practice')
            ->await('[data-next]')
            ->see('A first clutch lever', '0 of 57 learned')
            ->accessible('the lessons')
            ->click('[data-lesson=lever_tight] button')->await('[data-machine]')->see('Slips on hills');
        $this->madeReady()->accessible('a lesson');
        $this->line(sprintf('%.1F', $this->readOffTheRule()));
        // The learner first: out is the wrong way here, and the bench says so after it.
        $this
            ->await('[data-guess]')
            ->click('[data-ask] [data-more=turns]')
            ->click('[data-guess]')
            ->await('[data-guessed]')
            ->see('You would turn')
            ->await('[data-done]');
        $say = $this->text('[data-steps]');
        $this->turned($say)->await('[data-unwritten]')->click('[data-write]')->gone('[data-unwritten]');
        $this->onToTheEnd();
        self::assertGreaterThanOrEqual(85, (int) $this->element('[data-score]')->getAttribute('data-score'));
        $this->see('What you said you would turn')->accessible('how it went');
        $this
            ->click('[data-skill=direction] [data-show-deed]')
            ->until(
                'return document.querySelector("[aria-current=step]")?.textContent.includes("Would have turned")',
                'the deed it is about stands out',
            );
        $this->see('How it truly stood')->click('[data-after]');
        $jobs = $this->server->database()->prepare('select count(*) from control_jobs where id = ?');
        $jobs->execute([$this->job()]);
        self::assertSame(0, (int) $jobs->fetchColumn(), 'it is no job of the shop');
        $this->visit('/practice')->see('1 of 57 learned');
        $this
            ->as('oda')
            ->visit('/practice')
            ->clickText('Who learns')
            ->await('[data-learner=mirre]')
            ->see('1 of 57 learned, 1 attempt')
            ->accessible('who learns');
    }

    public function test_what_is_read_off_the_drawn_scale_is_what_is_so_and_from_the_side_it_is_not(): void
    {
        $this
            ->as('tomas')
            ->visit('/practice')
            ->click('[data-lesson=lever_right] button')
            ->await('[data-machine]')
            ->madeReady();
        for ($n = 0; $n < 3; $n++) {
            $read = $this->readOffTheRule();
            self::assertEqualsWithDelta($this->held(), $read, self::HALF_A_MARK + 0.15, 'within half a mark');
        }
        $this->set('[data-eye]', 1.0);
        self::assertGreaterThan(0.8, abs($this->atTheLine() - $this->held()), 'parallax');
        // A caliper says its figure.
        $this->click('[data-instrument=caliper]')->await('[data-digital]');
        self::assertEqualsWithDelta($this->held(), (float) $this->text('[data-digital]'), 0.3);
        // Its button sends what it shows, and nobody types.
        $shown = number_format((float) $this->text('[data-digital]'), 1);
        $this->click('[data-send]')->see('1 reading, 0 moves', "{$shown}");
    }

    public function test_it_is_worked_by_keys_alone_and_goes_on_where_it_was_left(): void
    {
        $this->as('ines')->visit('/practice');
        $this
            ->pressed('[data-lesson=drive_slow] button')
            ->await('[data-machine]')
            ->line('all ok')
            ->await('[data-asked] [data-look]');
        while (($parts = $this->browser->executeScript(
            'return [...document.querySelectorAll("[data-look]")].map((one) => one.dataset.look)',
        )) !== []) {
            $this->pressed("[data-look={$parts[0]}]")->gone("[data-look={$parts[0]}]");
        }
        $this
            ->line('all ok')
            ->await('[data-asked] [data-run]')
            ->pressed('[data-run=drive]')
            ->await('[data-run=drive] + [data-saw]')
            ->see('Seen:');
        $this
            ->visit('/practice')
            ->see('Go on with')
            ->pressed('[data-begin=drive_slow]')
            ->await('[data-run=drive] + [data-saw]');
        $this
            ->pressed('[data-stop]')
            ->await('[data-end]')
            ->pressed('[data-end]')
            ->await('[data-score]')
            ->see('without being signed or tagged');
        self::assertLessThanOrEqual(50, (int) $this->element('[data-score]')->getAttribute('data-score'));
    }

    public function test_what_is_no_adjuster_is_put_right_and_written_in_one(): void
    {
        $this
            ->as('tomas')
            ->visit('/practice')
            ->click('[data-lesson=pedal_spring] button')
            ->await('[data-machine]')
            ->line('all ok')
            ->settled()
            ->click('[data-way=cure]')
            ->click('[data-cure=spring]')
            ->until(
                'return document.body.innerText.split("Spring hooked or replaced").length > 2',
                'it stands in the log too',
            )
            ->settled()
            ->click('[data-stop]')
            ->click('[data-end]')
            ->await('[data-score]')
            ->see('Found: a weak or unhooked return spring')
            ->gone('[data-skill=cause] [data-show-deed]');
        $this->until(
            'return !document.body.innerText.includes("nothing of that was done")',
            'it was done before it was written',
        );
    }

    public function test_an_end_is_hooked_by_hand_in_its_drawing(): void
    {
        $this
            ->as('tomas')
            ->visit('/practice')
            ->click('[data-lesson=trigger_end] button')
            ->await('[data-machine]')
            ->line('all ok')
            ->settled()
            ->click('[data-way=cure]')
            ->await('[data-end-drawn="cable/hand"]')
            ->gone('[data-cure=ferrule]')
            ->accessible('the ends of a cable');
        $this
            ->dragged('[data-end-drawn="cable/hand"]', 0.04)
            ->until(
                'const slide = document.querySelector("[data-end-slide=\'cable/hand\']");
                return slide.value > 0.7 && !slide.disabled && document.querySelector("[data-let-go=\'cable/hand\']").disabled',
                'a little further in, and the machine has answered: until then the end is not taken again',
            )
            ->gone('[data-hooked]');
        $this
            ->dragged('[data-end-drawn="cable/hand"]', 0.4)
            ->await('[data-hooked]')
            ->see('Hooked, and not written yet.')
            ->click('[data-write-hooked]')
            ->settled()
            ->gone('[data-hooked]')
            ->see('Ferrule or end reseated');
        $this->set('[data-end-slide="cable/working"]', 0.0);
        $this
            ->click('[data-let-go="cable/working"]')
            ->until(
                'return document.querySelector("[data-let-go=\'cable/working\']").disabled && document.querySelector("[data-end-slide=\'cable/working\']").value === "0"',
                'it is off',
            )
            ->click('[data-way=pull]')
            ->click('[data-hold]')
            ->await('[data-refused]')
            ->see('At the carburettor the cable is off, and nothing answers. Hook it first.');
        $this
            ->click('[data-stop]')
            ->click('[data-end]')
            ->await('[data-score]')
            ->see(
                'What was wrong: an end beside its seat',
                'At the carburettor the cable was left off its hook.',
                'At the throttle trigger: hooked, home in its seat',
            );
    }

    public function test_a_wire_is_hooked_into_another_hole(): void
    {
        $this->window(390, 844);
        $this
            ->as('mirre')
            ->visit('/practice')
            ->click('[data-lesson=hook_slow] button')
            ->await('[data-machine]')
            ->line('all ok')
            ->settled()
            ->click('[data-way=turn]')
            ->await('[data-holes]');
        $before = $this->element('[data-holes]')->getAttribute('aria-label');
        $this
            ->dragged('[data-holes]', 0.11)
            ->await('[data-unwritten]')
            ->see('Turned, and not written yet: hook holes, tighter');
        self::assertNotSame($before, $this->element('[data-holes]')->getAttribute('aria-label'));
        $this->click('[data-write]')->settled()->gone('[data-unwritten]');
    }

    public function test_a_hot_engine_is_felt_and_left_to_cool_before_it_is_read(): void
    {
        $this
            ->as('tomas')
            ->visit('/practice')
            ->click('[data-lesson=lever_hot] button')
            ->await('[data-machine]')
            ->line('all ok', 'all ok')
            ->await('[data-asked] [data-feel]')
            ->click('[data-feel]')
            ->await('[data-cool]')
            ->see('Seen: Hot')
            ->accessible('a hot engine')
            ->click('[data-cool]')
            ->await('[data-feel]')
            ->click('[data-feel]')
            ->see('Seen: Cold')
            ->line('cold')
            ->settled();
        $this
            ->click('[data-stop]')
            ->click('[data-end]')
            ->await('[data-score]')
            ->see('Felt the engine: hot', 'Left it until it was cold', 'Felt the engine: cold');
        self::assertStringNotContainsString(
            'was hot: what is read then',
            (string) $this->browser->executeScript('return document.body.innerText'),
        );
    }

    public function test_a_governor_is_measured_before_its_nut_is_touched(): void
    {
        $this
            ->as('tomas')
            ->visit('/practice')
            ->click('[data-lesson=pedal_governor] button')
            ->await('[data-machine]')
            ->line('all ok')
            ->settled()
            ->click('[data-way=measure]')
            ->click('[data-measure=ground_speed]')
            ->await('[data-measure=ground_speed] + [data-saw]')
            ->see('Once more', 'On the level, loaded as it is used')
            ->accessible('a speed');
        self::assertMatchesRegularExpression('/Seen: 2[5-8]\.\d km\/h/', $this->text('[data-machine]'));
        $this->click('[data-measure=tyre]')->await('[data-measure=tyre] + [data-saw]');
        $this
            ->click('[data-stop]')
            ->click('[data-end]')
            ->await('[data-score]')
            ->see('Measured: Ground speed at full pedal, 2', 'past its limit');
    }

    public function test_a_gap_is_felt_with_blades_and_coins(): void
    {
        $this
            ->as('ines')
            ->visit('/practice')
            ->click('[data-lesson=lever_gap] button')
            ->await('[data-machine]')
            ->madeReady()
            ->click('[data-hold]')
            ->await('[data-gap]')
            ->accessible('a gap');
        $truth = (float) $this->element('[data-gap]')->getAttribute('data-gap');
        // Halved down to the blade that drags a little.
        [$low, $high] = [0.05, 5.0];
        for ($n = 0; $n < 9 && ($felt = (string) $this
            ->element('[data-felt]')
            ->getAttribute('data-felt')) !== 'drags'; $n++) {
            $blade = round(($low + $high) / 2 / 0.05) * 0.05;
            $this->set('[data-blade]', $blade);
            $felt = (string) $this->element('[data-felt]')->getAttribute('data-felt');
            [$low, $high] = $felt === 'none' ? [$low, $blade] : [$blade, $high];
        }
        $blade = (float) $this->element('[data-blade]')->getAttribute('value');
        self::assertEqualsWithDelta($truth, $blade, 0.1, 'the one that drags');
        $this
            ->see('It goes in and drags a little.')
            ->click('[data-instrument=coins]')
            ->click('[data-coin=nickel]')
            ->see('It goes in loose.')
            ->click('[data-instrument=feeler]');
        $this->line(sprintf('%.2F', $blade))->see('1 reading, 0 moves');
        $this
            ->click('[data-stop]')
            ->click('[data-end]')
            ->await('[data-score]')
            ->see('Each reading is what the instrument showed.');
    }

    public function test_a_frayed_wire_shows_itself_only_in_the_light(): void
    {
        $this
            ->as('tomas')
            ->visit('/practice')
            ->click('[data-lesson=lever_frayed] button')
            ->await('[data-machine]')
            ->line('all ok')
            ->await('[data-look=wire]')
            ->click('[data-look=wire]')
            ->see('Sound: there is nothing to see.')
            ->click('[data-light]')
            ->await('[data-light][aria-pressed=true]')
            ->click('[data-look=wire]')
            ->see('A fault: it is not as it should be.')
            ->accessible('a light');
    }

    public function test_teeth_meet_once_a_wheel_is_turned(): void
    {
        $this->window(390, 844);
        $this
            ->as('mirre')
            ->visit('/practice')
            ->click('[data-lesson=mode_short] button')
            ->await('[data-machine]')
            ->click('[data-way=run]')
            ->gone('[data-roll]');
        $this
            ->click('[data-run=park]')
            ->see('Seen: Cannot tell: the teeth have not met')
            ->accessible('teeth that have not met');
        $this->click('[data-roll]')->gone('[data-roll]');
        self::assertStringNotContainsString('Cannot tell', $this->text('[data-machine] [data-saw]'));
    }

    public function test_a_boot_comes_off_before_what_lies_under_it_is_turned(): void
    {
        $this
            ->as('ines')
            ->visit('/practice')
            ->click('[data-lesson=grip_boot] button')
            ->await('[data-machine]')
            ->line('all ok')
            ->settled()
            ->click('[data-way=turn]')
            ->click('[data-machine] [data-turned=in_line]')
            ->await('[data-cover=on]')
            ->see('The boot is over it.')
            ->click('[data-machine] [data-more=turns]')
            ->await('[data-turn]:disabled')
            ->accessible('a boot');
        $this
            ->click('[data-uncover=in_line]')
            ->await('[data-cover=off]')
            ->click('[data-turn]')
            ->await('[data-unwritten]')
            ->click('[data-uncover=in_line]')
            ->await('[data-cover=on]');
        $this
            ->click('[data-stop]')
            ->click('[data-end]')
            ->await('[data-score]')
            ->see('Took off the boot', 'Put back the boot');
        self::assertStringNotContainsString(
            'was left off',
            (string) $this->browser->executeScript('return document.body.innerText'),
        );
    }

    public function test_in_inches_no_millimetre_is_left_on_it(): void
    {
        $this->server->database()->exec("update users set lengths = 'in32' where login = 'ines'");
        try {
            $this
                ->as('ines')
                ->visit('/practice')
                ->click('[data-lesson=lever_home] button')
                ->await('[data-machine]')
                ->madeReady()
                ->click('[data-hold]')
                ->await('[data-scale]');
            $this->set('[data-pull]', 26.0);
            self::assertContains(
                '1',
                $this->browser->executeScript(
                    'return [...document.querySelectorAll("[data-scale] text")].map((one) => one.textContent)',
                ),
                'an inch rule: 27 mm are an inch and a bit',
            );
            $this->line('1 1/16')->await('[data-guess]');
            foreach (['pull', 'turn', 'try', 'look', 'cure'] as $way) {
                $this->click("[data-way={$way}]");
                self::assertDoesNotMatchRegularExpression(
                    '/\d\s*mm\b/',
                    (string) $this->browser->executeScript('return document.body.innerText'),
                    $way,
                );
            }
            $this->click('[data-stop]')->click('[data-end]')->await('[data-truth]');
            self::assertDoesNotMatchRegularExpression(
                '/\d\s*mm\b/',
                (string) $this->browser->executeScript('return document.body.innerText'),
            );
        } finally {
            $this->server->database()->exec("update users set lengths = null where login = 'ines'");
        }
    }

    public function test_without_a_server_it_says_so_and_nothing_is_lost(): void
    {
        $this->ownServer();
        $this
            ->as('ines')
            ->visit('/practice')
            ->click('[data-lesson=lever_loose] button')
            ->await('[data-machine]')
            ->line('all ok')
            ->settled();
        $this->server->stop();
        $this->expectsTrouble = true;
        $this->click('[data-look=wire]')->await('[data-refused]')->see('does not answer');
        $this->server->start();
        $this->click('[data-look=wire]')->gone('[data-look=wire]')->gone('[data-refused]');
    }

    public function test_a_lead_makes_a_lesson_of_a_closed_job_and_takes_it_out_again(): void
    {
        $row = $this->server
            ->database()
            ->query(
                "select j.id from control_jobs j join entries e on e.job_id = j.id and e.kind = 'reading' where j.closed_at < now() - interval 1 day and json_extract(j.frame, '$.spec.family') = 'clutch_lever' order by j.closed_at desc limit 1",
            );
        $this
            ->as('oda')
            ->visit('/jobs/'.($row === false ? '' : (string) $row->fetchColumn()))
            ->click('[data-make-lesson]')
            ->await('[name=lesson-title]')
            ->accessible('a lesson from a job')
            ->click('[role=dialog] [data-primary]')
            ->await('[data-wrong="lesson-title"]')
            ->await('[data-wrong="lesson-story"]');
        foreach ([
            'title' => 'From our own yard',
            'story' => 'Came back for the third time.',
            'teaches' => 'What it was last week.',
        ] as $field => $words) {
            $this->element("[name=lesson-{$field}]")->sendKeys($words);
        }
        $this->click('[role=dialog] [data-primary]')->see('From our own yard', 'Our own', 'Take a lesson in');
        $key = (string) $this->element('[data-take-out]')->getAttribute('data-take-out');
        $this
            ->click("[data-lesson={$key}] button[aria-label]")
            ->await('[data-machine]')
            ->see('Came back for the third time.');
        $this->visit('/practice')->click('[data-take-out]')->gone("[data-lesson={$key}]");
    }

    public function test_a_teacher_sets_a_lesson_of_their_own_without_advice_and_sees_how_far_each_is(): void
    {
        $this
            ->as('oda')
            ->visit('/practice')
            ->click('[data-like=lever_tight]')
            ->await('[data-save-lesson]')
            ->accessible('a lesson that is filled in');
        $this->element('[name=title]')->sendKeys('Tight after winter');
        $this
            ->clearAndType('[name=play]', 'plenty')
            ->click('[data-fault=wrong_spline]')
            ->click('[data-save-lesson]')
            ->await('[role=alert]')
            ->see('plenty');
        $this
            ->clearAndType('[name=play]', '5')
            ->click('[data-fault=wrong_spline]')
            ->click('[data-save-lesson]')
            ->see('Our own', 'Tight after winter');
        $own = (string) $this->element('[data-take-out]')->getAttribute('data-take-out');
        $this
            ->clickText('Who learns')
            ->click('[data-new-group]:not(:disabled)')
            ->await('[name=group-name]')
            ->accessible('a new group');
        $this->element('[name=group-name]')->sendKeys('Winter class');
        $this
            ->click('[data-person=mirre]')
            ->click('[data-save-group]')
            ->await('[data-group="Winter class"]')
            ->see('No lesson is set yet.')
            ->click('[data-group="Winter class"] [data-set-lesson]')
            ->await("#task-lesson option[value={$own}]")
            ->accessible('setting a lesson')
            ->click('[data-set-it]')
            ->see('Choose one.');
        $this->browser->executeScript(
            'const one = document.querySelector("#task-lesson"); one.value = arguments[0]; one.dispatchEvent(new Event("change", { bubbles: true }));',
            [$own],
        );
        $this
            ->click('[data-help=none]')
            ->click('[data-set-it]')
            ->await('[data-group="Winter class"] [data-result=mirre]')
            ->see('Tight after winter', 'No advice', 'Mirre not begun')
            ->accessible('who learns, in groups');

        $this->window(390, 844);
        $this
            ->as('mirre')
            ->visit('/practice')
            ->await('[data-set-for-me]')
            ->see('Winter class · No advice')
            ->accessible('what is set for me');
        $this
            ->see('Apprentices · Own answer first, then advice')
            ->click('[data-set-for-me] [aria-label^="Begin: Tight after winter"]')
            ->await('[data-machine]')
            ->madeReady();
        $this
            ->line(sprintf('%.1F', $this->readOffTheRule()))
            ->see('There is no advice in this lesson.')
            ->gone('[data-ask-bench]')
            ->gone('[data-steps]');
        // Turned as one would, and written, without anything being said of it before.
        $this
            ->click('[data-way=turn]')
            ->click('[data-machine] [data-turned=barrel]')
            ->click('[data-machine] [data-turn-way=in]');
        foreach ([1, 2] as $ignored) {
            $this->click('[data-machine] [data-more=turns]');
        }
        $this
            ->click('[data-turn]')
            ->await('[data-unwritten]')
            ->click('[data-write]')
            ->gone('[data-unwritten]')
            ->click('[data-stop]')
            ->click('[data-end]')
            ->await('[data-score]');
        $total = (string) $this->element('[data-score]')->getAttribute('data-score');

        $this->window(1280, 800);
        $this
            ->as('oda')
            ->visit('/practice/learners')
            ->await('[data-group="Winter class"]')
            ->see("Mirre {$total}")
            ->click('[data-group="Winter class"] [data-take-back]')
            ->gone('[data-group="Winter class"] [data-result=mirre]')
            ->click('[data-group="Winter class"] [data-remove-group]')
            ->await('[role=dialog] [data-primary]')
            ->click('[role=dialog] [data-primary]')
            ->gone('[data-group="Winter class"]');
        $this->visit('/practice')->click('[data-take-out]')->gone("[data-lesson={$own}]");
    }

    private function clearAndType(string $css, string $text): static
    {
        $this->browser->executeScript('
            const one = document.querySelector(arguments[0]);
            Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, "value").set.call(one, arguments[1]);
            one.dispatchEvent(new Event("input", { bubbles: true }));', [$css, $text]);

        return $this;
    }

    private function madeReady(): static
    {
        $this->line('all ok')->await('[data-asked] [data-look]');
        foreach (['wire', 'conduit', 'perch', 'arm'] as $part) {
            $this->click("[data-look={$part}]")->gone("[data-look={$part}]");
        }
        $this->line('all ok', 'cold')->settled();
        foreach (['barrel', 'bracket nuts'] as $adjuster) {
            $this->see("Thread showing at the {$adjuster}")->armed()->clickText('As before')->settled();
        }

        return $this->await('[data-hold]');
    }

    /** Pulled until the force begins to rise, looked at square on, and read between the figures that are drawn. */
    private function readOffTheRule(): float
    {
        $before = $this->browser->executeScript('return document.querySelector("[data-pulled]")?.dataset.pulled ?? ""');
        // Once after each turn, so that what was turned lies where it stays.
        if ($this->browser->executeScript('return document.querySelector("[data-snapped]") === null') === true) {
            $this->click('[data-snap]')->await('[data-snapped]');
        }
        $this
            ->click('[data-hold]')
            ->until(
                'return (document.querySelector("[data-scale]")?.closest("[data-pulled]")?.dataset.pulled ?? '
                    .json_encode($before).') !== '.json_encode($before),
                'pulled anew',
            );
        $this->set('[data-eye]', 0.0);
        $force = fn (): float => (float) $this->element('[data-force]')->getAttribute('data-force');
        // Halved down to where it begins to resist.
        [$low, $high] = [0.0, (float) $this->element('[data-pull]')->getAttribute('max')];
        for ($n = 0; $n < 9; $n++) {
            $this->set('[data-pull]', ($low + $high) / 2);
            [$low, $high] = $force() > 7.0 ? [$low, ($low + $high) / 2] : [($low + $high) / 2, $high];
        }
        $this->set('[data-pull]', $low);

        return round($this->atTheLine() * 2) / 2;
    }

    private function atTheLine(): float
    {
        return (float) $this->browser->executeScript('
            const middle = (one) => { const box = one.getBoundingClientRect(); return box.left + box.width / 2; };
            const figures = [...document.querySelectorAll("[data-scale] text")].map((one) => [Number(one.textContent), middle(one)]);
            const [a, b] = [figures[0], figures[figures.length - 1]];
            return a[0] + (b[0] - a[0]) * (middle(document.querySelector("[data-line]")) - a[1]) / (b[1] - a[1]);');
    }

    private function held(): float
    {
        $attempt = $this->job();
        $body = $this->browser->executeAsyncScript(
            'fetch("/api/practice/attempts/'.$attempt.'").then((one) => one.json()).then(arguments[0])',
        );

        return (float) $body['machine']['held']['mm'];
    }

    /** @param  float  $share  of the drawing's width; to the right above zero */
    private function dragged(string $css, float $share): static
    {
        $drawing = $this->element($css);
        $hand = new WebDriverActions($this->browser);
        $hand
            ->clickAndHold($drawing)
            ->moveByOffset(
                (int) round($share * min(
                    $drawing->getSize()->getWidth(),
                    $drawing->getSize()->getHeight() * 600 / 110,
                )),
                0,
            )
            ->release()
            ->perform();

        return $this;
    }

    private function set(string $css, float $value): void
    {
        $this->clearAndType($css, (string) $value);
    }

    /** As far as the bench says, the way it says. */
    private function turned(string $say): static
    {
        $way = mb_strtolower($this->text('[data-direction]')) === 'in' ? 'in' : 'out';
        $adjuster = $this->browser->executeScript(
            'return document.querySelector("[data-ask]").textContent.toLowerCase().startsWith("next move · bracket nuts") ? "bracket_nuts" : "barrel"',
        );
        $this
            ->click('[data-way=turn]')
            ->click("[data-machine] [data-turned={$adjuster}]")
            ->click("[data-machine] [data-turn-way={$way}]");
        preg_match_all('/(\d+) (turn|flat)/', $say, $amounts, PREG_SET_ORDER);
        foreach ($amounts as [, $count, $unit]) {
            for ($n = 0; $n < (int) $count; $n++) {
                $this->click("[data-machine] [data-more={$unit}s]");
            }
        }

        return $this->click('[data-turn]');
    }

    /** Reads, locks, tries and says what is so, until it is signed. */
    private function onToTheEnd(): void
    {
        for ($n = 0; $n < 40 && $this->browser->executeScript(
            'return document.querySelector("[data-score]") === null',
        ) === true; $n++) {
            $this->settled();
            $next = $this->browser->executeScript('
                const there = (css) => document.querySelector(css) !== null;
                if (there("[data-close]")) return "sign";
                if (there("[data-asked] [data-try]:not(:has(+ [data-saw]))")) return "try";
                if (there("[data-asked] [data-saw]")) return "say";
                if (there("[data-ask] [data-primary]:not([data-done])")) return "answer";
                return "read";');
            match ($next) {
                'sign' => $this->armed()->click('[data-close]')->await('[data-score]'),
                'try' => $this->click('[data-asked] [data-try]')->await('[data-asked] [data-saw]'),
                'say' => $this->armed()->clickText($this->text('[data-asked] [data-saw] b')),
                'answer' => $this->armed()->click('[data-ask] [data-primary]'),
                default => $this->line(sprintf('%.1F', $this->readOffTheRule())),
            };
        }
    }

    private function pressed(string $css): static
    {
        $this->await($css)->element($css)->sendKeys(WebDriverKeys::ENTER);

        return $this;
    }
}
