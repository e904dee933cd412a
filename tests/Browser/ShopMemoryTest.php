<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;
use Symfony\Component\Process\Process;

/** What the shop remembers, as people meet it: stories, specs, the day, labels, people and files. */
final class ShopMemoryTest extends BrowserTestCase
{
    public function test_a_machine_tells_its_story_and_takes_a_meter_and_a_report(): void
    {
        $this
            ->as('ines')
            ->visit('/machines/RT-11#clutch')
            ->see('Plates are wearing', 'The last interval does not fit: play grew by', 'Next check')
            ->accessible('a wear story');
        self::assertStringContainsString(
            'jump: no wear does that',
            (string) $this->browser->executeScript('return document.querySelector("main").textContent'),
        );
        $this
            ->click('[data-meter]')
            ->await('[name=face]')
            ->accessible('the meter')
            ->click('[role=dialog] [data-primary]')
            ->see('A whole figure, as the meter shows it.')
            ->field('face', '89')
            ->click('[role=dialog] [data-primary]')
            ->see('is less. If it is mistyped, put it right; if the meter was replaced, say so.');
        $this->field('face', '8 960')->click('[role=dialog] [data-primary]')->gone('[role=dialog]')->see('8 960 km');
        $this
            ->click('[data-report]')
            ->accessible('a report')
            ->see('Say which control it is')
            ->click('#odd-words')
            ->keys('Squeaks')
            ->click('[data-odd-control=throttle]')
            ->click('[data-feels^="Does not snap shut"]')
            ->see('Do not run it before somebody has looked: does not snap shut, or shuts slowly')
            ->accessible('a report of what stops it');
        self::assertSame('Squeaks. Does not snap shut, or shuts slowly', $this->value('#odd-words'));
        $this
            ->clear('#odd-words')
            ->click('[data-odd-control=clutch]')
            ->click('[data-feels^=Heavy]')
            ->gone('[role=dialog] [data-may-stop]')
            ->see('Is it one of these? Then nobody runs it.', 'Say if it is one of these')
            ->await('[role=dialog] [data-primary]:disabled');
        // What is said of one control is no answer for another.
        $this
            ->click('[data-none-stops]')
            ->await('[role=dialog] [data-primary]:not(:disabled)')
            ->click('[data-odd-control=throttle]')
            ->click('[data-odd-control=clutch]')
            ->await('[role=dialog] [data-primary]:disabled')
            ->click('[data-none-stops]')
            ->accessible('a report of what stops nothing')
            ->click('[role=dialog] [data-primary]')
            ->gone('[role=dialog]')
            ->see('“Heavy, or slow to return”');
        $this
            ->visit('/')
            ->see('Reported', 'Heavy, or slow to return')
            ->visit('/machines/RT-11')
            ->clickText('Answer')
            ->clickText('Cancel');
        $this->window(390, 844);
        $this
            ->visit('/machines/MW-04')
            ->see('The belt is stretching', 'replace it')
            ->accessible('a wear story on a phone');
        self::assertTrue($this->browser->executeScript(
            'return document.documentElement.scrollWidth <= document.documentElement.clientWidth',
        ));
    }

    public function test_a_spec_is_read_from_print_checked_by_another_and_put_in_force(): void
    {
        $this->as('tomas')->visit('/specs')->accessible('the library');
        $this->element('input[type=search]')->sendKeys('quay clutch');
        $this
            ->see('Ondrel Quay 125', '1 control')
            ->click('[data-spec="Ondrel Quay 125/clutch"]')
            ->see('Ondrel Quay 125, clutch lever', 'Versions')
            ->accessible('a spec');
        $this
            ->click('[data-next]')
            ->see('the next version')
            ->accessible('the form of a spec')
            ->field('printed', '8–14 mm (1/4–1 in)')
            ->see('Its two units disagree', '14 mm is about 35/64 in.');
        $this
            ->click('[data-primary]')
            ->see('Look at the print again')
            ->field('printed', '9–14 mm (11/32–9/16 in)')
            ->gone('[data-disagreement]');
        $this
            ->until('return document.querySelector("[name=low]").value === "9"', 'the print was not read')
            ->click('[data-fold=book]')
            ->field('use', '4000')
            ->click('[data-primary]')
            ->see('draft', 'every 4000 mi', 'Throw away');
        $path = (string) parse_url($this->browser->getCurrentURL(), PHP_URL_PATH);
        self::assertSame(
            [],
            $this->browser->findElements(WebDriverBy::cssSelector('[data-check]')),
            'not by who entered it',
        );
        $this->as('oda')->visit($path)->await('[data-check]');
        // Under the checker's hand its author changes it.
        $id = (int) basename($path);
        $this->server
            ->database()
            ->exec("update spec_versions set body = json_set(body, '$.aim.high_mm', 28) where id = {$id}");
        $this->expectsTrouble = true;
        $this
            ->click('[data-check]')
            ->see('It was changed since you looked', 'Changed since you looked. It said: 9 to 14 mm')
            ->accessible('a draft changed under the hand');
        $this->server
            ->database()
            ->exec("update spec_versions set body = json_set(body, '$.aim.high_mm', 14) where id = {$id}");
        $this
            ->visit($path)
            ->click('[data-check]')
            ->gone('[data-check]')
            ->click('[data-adopt]')
            ->gone('[data-adopt]')
            ->see('version 2');
        $this->visit('/machines/SC-02#clutch')->see('9–14 mm at the lever tip');
        $this
            ->visit('/specs/new')
            ->await('[name=family]')
            ->click('[data-source=practice]')
            ->see('No maker\'s figure', '3–5 mm');
        $this->choose('family', 'bail');
        $this
            ->see('Stops within')
            ->field('model', 'Hesk Lawn 40')
            ->click('[data-primary]')
            ->see('Hesk Lawn 40, operator-presence bail', 'Common practice, no maker');
    }

    public function test_a_control_without_any_figure_is_saved_as_it_begins_and_tells_what_it_still_needs(): void
    {
        $this
            ->as('tomas')
            ->visit('/specs/new')
            ->await('[name=family]')
            ->click('[data-source=practice]')
            ->choose('family', 'hook_control');
        $this
            ->see('hook holes', 'steps?')
            ->field('model', 'Hesk Drift 24')
            ->click('[data-primary]')
            ->see(
                'Hesk Drift 24',
                'Fill in before it is checked',
                'hook holes: how many mm one step moves',
                'hook holes: its first and last step',
            )
            ->accessible('a draft with empty fields');
        $path = (string) parse_url($this->browser->getCurrentURL(), PHP_URL_PATH);
        $this->as('oda')->visit($path)->see('Fill in before it is checked')->gone('[data-check]');
        $this
            ->as('tomas')
            ->visit("{$path}/edit")
            ->click('[data-part=hook_holes]')
            ->await('[name=hook_holes_step]')
            ->click('[data-more=hook_holes]')
            ->field('hook_holes_step', '8')
            ->field('hook_holes_from', '1')
            ->field('hook_holes_to', '5')
            ->field('hook_holes_out', 'up')
            ->field('hook_holes_in', 'up')
            ->click('[data-primary]')
            ->see('Out and in are both called “up”')
            ->field('hook_holes_in', 'down')
            ->click('[data-primary]')
            ->see('8 mm a step, 1 to 5')
            ->gone('[data-missing]');
        self::assertSame(
            ['out' => 'up', 'in' => 'down'],
            $this->written('Hesk Drift 24', 'run')['cables'][0]['adjusters'][0]['ways'],
        );
        $this->as('oda')->visit($path)->click('[data-check]')->gone('[data-check]');
    }

    public function test_a_closing_cable_is_added_in_the_form_with_its_play_and_its_adjuster(): void
    {
        $this->as('tomas')->visit('/specs/new')->await('[name=family]')->click('[data-source=practice]');
        $this->choose('family', 'twist_grip');
        $this
            ->see('Add the closing cable')
            ->click('[data-add-second]')
            ->see('Play of the second cable', 'No figure yet')
            ->click('[data-fold=second]')
            ->see('Which cable is set first')
            ->field('second_low', '1')
            ->field('second_high', '5')
            ->accessible('a second cable in the form');
        $this
            ->field('model', 'Hesk Fell 610')
            ->click('[data-primary]')
            ->see('Hesk Fell 610', 'Second cable', '1–5 mm, read past the rest of the grip', 'closing cable nuts');
    }

    public function test_a_cable_of_two_pieces_and_the_tools_of_a_step_are_written_in_the_form_and_come_back(): void
    {
        $this
            ->as('tomas')
            ->visit('/specs/new')
            ->await('[name=family]')
            ->click('[data-source=practice]')
            ->choose('family', 'trigger_throttle');
        $this
            ->see('The cable is of two pieces')
            ->gone('[aria-label="Poses of the bars"]')
            ->click('[data-two-pieces]')
            ->see('Piece at the hand', 'Piece at the working end')
            ->field('model', 'Hesk Dale 88');
        $this
            ->click('[data-fold=book]')
            ->click('[data-add-tools]')
            ->field('tools_0_what', 'pliers')
            ->click('[data-primary]')
            ->see('Tools 1, step: this is empty')
            ->choose('tools_0_step', 'keyhole_off')
            ->field('tools_0_what', 'long-nose pliers, 10 mm')
            ->accessible('tools of a step in the form')
            ->click('[data-primary]')->see(
                'Hesk Dale 88',
                'long-nose pliers, 10 mm',
                'Piece at the hand',
                'Piece at the working end',
            );
        self::assertEquals(
            [['step' => 'keyhole_off', 'what' => 'long-nose pliers, 10 mm']],
            $this->written('Hesk Dale 88')['book']['tools'] ?? [],
        );
        $this
            ->click('[data-edit]')
            ->await('[data-two-pieces=true]')
            ->see('1 step with its tools')
            ->click('[data-fold=book]')
            ->await('[name=tools_0_step]');
        self::assertSame(
            ['keyhole_off', 'long-nose pliers, 10 mm'],
            [$this->value('[name=tools_0_step]'), $this->value('[name=tools_0_what]')],
        );
        $this->click('[data-two-pieces]')->await('[data-two-pieces=false]')->click('[data-primary]')->see('Throw away');
        self::assertStringNotContainsString('Piece at the', $this->text('main'), 'one piece again');
    }

    public function test_an_adjuster_is_counted_in_clicks_or_bevels_by_the_form(): void
    {
        $this
            ->as('tomas')
            ->visit('/specs/new')
            ->await('[name=family]')
            ->click('[data-source=practice]')
            ->choose('family', 'mode_cables')
            ->click('[data-part=mode_bevels]')
            ->click('[data-more=mode_bevels]')
            ->see('Bevels a turn')
            ->field('model', 'Hesk Gully 700');
        self::assertSame('bevel', $this->value('[name=mode_bevels_counts]'));
        $this
            ->choose('mode_bevels_counts', 'turn')
            ->click('[data-primary]')
            ->see('counts in bevels, and the mode adjuster in turns. Say how many bevels a turn of it has.');
        $this
            ->choose('mode_bevels_counts', 'bevel')
            ->field('mode_bevels_per_turn', '0')
            ->click('[data-primary]')
            ->see('bevels a turn: ')
            ->field('mode_bevels_per_turn', '6')
            ->accessible('what an adjuster is counted in')
            ->click('[data-primary]')
            ->see('Hesk Gully 700', 'Throw away', '6 bevels a turn');
    }

    public function test_a_table_of_outcomes_and_the_play_of_a_second_cable_are_changed_in_the_form(): void
    {
        $this->as('tomas')->visit('/specs/new')->await('[name=family]')->click('[data-source=practice]');
        $this->choose('family', 'speed_selector');
        $this
            ->see('What it does at its settings')
            ->field('model', 'Ondrel Drift 71')
            ->click('[data-fold=tables]')
            ->click('[data-setting=r2]')
            ->clickText('Take R2 out')
            ->gone('[data-setting-fields=r2]')
            ->field('arm', 'swash arm')
            ->field('trial', 'half')
            ->accessible('a table of outcomes')
            ->click('[data-primary]')->see('half');
        $this
            ->field('trial', '0,25')
            ->click('[data-add-setting]')
            ->click('[data-primary]')
            ->see('Setting 8, name: this is empty')
            ->field('setting_1_label', 'Fast')
            ->field('setting_1_seen_1', 'Runs')
            ->field('setting_1_seen_2', 'Stalls')
            ->click('[data-primary]')
            ->see('Setting 8, seen 1: “Runs” would be seen wherever the arm stands')
            ->field('setting_1_seen_1_low', '0')
            ->field('setting_1_seen_2_high', '0')
            ->click('[data-primary]')
            ->see('At Fast', 'Runs', 'Throw away');
        $table = $this->written('Ondrel Drift 71')['others'][0];
        self::assertSame(
            ['swash arm', 0.25, ['r1', 'f1', 'f2', 'f3', 'f4', 'f5', 'f6', 'setting_1']],
            [$table['arm'], $table['trial'], array_column($table['settings'], 'key')],
        );

        $second = $this->server
            ->database()
            ->query(
                "select max(id) as id, model from spec_versions where json_value(body, '$.backward.high_mm') is not null group by model limit 1",
            );
        self::assertNotFalse($second);
        $second = (array) $second->fetch();
        $this
            ->visit("/specs/{$second['id']}/next")
            ->see('Play of the second cable')
            ->click('[data-fold=second]')
            ->field('second_high', '7,5')
            ->click('[data-primary]')
            ->see('7.5 mm, read past the rest of the grip');
        self::assertEquals(7.5, $this->written($second['model'])['backward']['high_mm']);
    }

    public function test_the_readings_behind_a_history_come_in_and_stand_in_the_job_of_their_line(): void
    {
        $job = 'aaaaaaaa-1111-4222-8333-bbbbbbbbbbbb';
        $send = function (string $kind, string ...$lines): void {
            $file = sys_get_temp_dir()."/{$kind}-".bin2hex(random_bytes(4)).'.csv';
            file_put_contents($file, implode("\r\n", $lines)."\r\n");
            $this
                ->visit('/shop')
                ->click('[data-part=data]')
                ->click("[data-kind={$kind}]")
                ->await('input[type=file]')->browser
                ->findElement(WebDriverBy::cssSelector('input[type=file]'))
                ->sendKeys($file);
            $this->await('[data-run]');
            unlink($file);
        };
        $head = 'reading;job;machine;control;at;by;point;engine;wheels;instrument;entered;value_mm';
        $line = static fn (
            string $n,
            string $of,
            string $mm,
        ): string => "aaaaaaaa-1111-4222-8333-00000000000{$n};{$of};RT-20;throttle;2026-03-10T08:15:00+00:00;Bo;grip_flange;cold;on_ground;rule-300;{$mm};{$mm}";
        $this->as('oda');
        $send(
            'history',
            'job;machine;control;day;usage;found_mm;left_mm;signed_by',
            "{$job};RT-20;throttle;2026-03-10;210;4,1;4,1;Bo",
        );
        $this->click('[data-run]')->see('Taken in: 1 line.');
        $send(
            'readings',
            $head,
            $line('1', $job, '4,25'),
            $line('2', 'aaaaaaaa-1111-4222-8333-cccccccccccc', '4'),
            $line('3', $job, '900'),
        );
        $this
            ->see('2 lines cannot be taken', 'line 3', 'Take in the history first', 'line 4', 'reaches 300 mm')
            ->click('[data-run]')
            ->see('Taken in: 1 line.');
        $this
            ->visit("/jobs/{$job}")
            ->see('It came in by file.', 'As its file says', '4.1', 'Signed by Bo')
            ->accessible('a job from a file');
        self::assertStringContainsString('4.25', $this->text('main'), 'its reading stands in the log');
    }

    /** One of a list by its key, as picking it does. */
    private function choose(string $name, string $key): static
    {
        $this->browser->executeScript(
            "const s = document.querySelector('[name={$name}]'); Object.getOwnPropertyDescriptor(HTMLSelectElement.prototype, 'value').set.call(s, '{$key}'); s.dispatchEvent(new Event('change', { bubbles: true }));",
        );

        return $this;
    }

    /** @return array<string, mixed> the newest version of a model, as the library keeps it */
    private function written(string $model, string $column = 'body'): array
    {
        $query = $this->server
            ->database()
            ->prepare("select {$column} from spec_versions where model = ? order by id desc limit 1");
        $query->execute([$model]);

        return (array) json_decode((string) $query->fetchColumn(), true);
    }

    public function test_the_day_is_fitted_to_who_is_here_and_fed_from_what_is_due(): void
    {
        // However much other tests left open, half an hour does not hold it, and a long day of four does.
        $this
            ->as('ines')
            ->visit('/')
            ->click('[data-who-is-here]')
            ->see('Who is at the bench today?')
            ->accessible('who is here');
        $this
            ->here(['ines' => 30, 'tomas' => 0, 'oda' => 0, 'mirre' => 0])
            ->see('no time for')
            ->await('[data-no-time]')
            ->accessible('the bench, fitted');
        $this
            ->click('[data-who-is-here]')
            ->see('Who is at the bench today?')
            ->here(['ines' => 480, 'tomas' => 480, 'oda' => 480, 'mirre' => 480])
            ->gone('[data-no-time]')
            ->see('4 people');
        $this
            ->visit('/due')
            ->see('Within a month')
            ->accessible('the due list')
            ->click('[data-due="QB-01 throttle"] [data-plan]')
            ->await('[data-due="QB-01 throttle"] [data-unplan]');
        $this
            ->visit('/')
            ->await('[data-row="QB-01 throttle"]')
            ->visit('/due')
            ->click('[data-due="QB-01 throttle"] [data-unplan]')
            ->await('[data-due="QB-01 throttle"] [data-plan]');
        // Several at once, of one kind and place.
        $all = count($this->browser->findElements(WebDriverBy::cssSelector('[data-due]')));
        $places = (array) $this->browser->executeScript(
            'return [...document.querySelector("[aria-label=Place]").options].map((one) => one.value).filter((one) => one !== "")',
        );
        $names = [];
        foreach ($places as $place) {
            $this->browser->executeScript(
                'const list = document.querySelector("[aria-label=Place]"); list.value = arguments[0]; list.dispatchEvent(new Event("change", { bubbles: true }))',
                [$place],
            );
            $this->see(" of {$all} controls");
            $rows = $this->browser->findElements(WebDriverBy::cssSelector('[data-due]:has([data-plan])'));
            $names = array_slice(
                array_map(static fn ($row): string => (string) $row->getAttribute('data-due'), $rows),
                0,
                2,
            );
            if ($names !== []) {
                break;
            }
        }
        self::assertNotSame([], $names, 'of some place something is not planned');
        foreach ($names as $name) {
            $this->click("[data-due=\"{$name}\"] [data-pick]");
        }
        $this->see(count($names).' to the bench')->accessible('several due')->click('[data-plan-chosen]');
        foreach ($names as $name) {
            $this->await("[data-due=\"{$name}\"] [data-unplan]");
        }
        $this->visit('/');
        foreach ($names as $name) {
            $this->await("[data-row=\"{$name}\"]");
        }
        $this->visit('/due');
        foreach ($names as $name) {
            $this->click("[data-due=\"{$name}\"] [data-unplan]")->await("[data-due=\"{$name}\"] [data-plan]");
        }
        $this
            ->click('[data-calendar]')
            ->click('[role=dialog] [data-primary]')
            ->await('#calendar-address')
            ->accessible('a calendar address');
        $address = $this->value('#calendar-address');
        self::assertStringStartsWith("BEGIN:VCALENDAR\r\n", (string) file_get_contents($address));
    }

    public function test_a_label_is_read_by_a_scanner_and_prints_as_large_as_it_says(): void
    {
        $this->as('office')->visit('/machines/RT-14/label')->accessible('a label');
        foreach (['62x29', '89x36', '100x50', '54x70'] as $size) {
            $this->click("[data-size=\"{$size}\"]")->settledFonts();
            $file = sys_get_temp_dir().'/label-'.bin2hex(random_bytes(4)).'.png';
            $this->element('[data-label]')->takeElementScreenshot($file);
            $read = (new Process(['zbarimg', '--quiet', '--raw', $file]))->mustRun()->getOutput();
            unlink($file);
            self::assertSame("{$this->server->url}/machines/RT-14", trim($read), $size);
        }
        self::assertSame('54mm', $this->element('[data-label]')->getAttribute('width'));
    }

    public function test_people_are_kept_a_tablet_changes_hands_and_a_file_comes_in(): void
    {
        $this
            ->as('oda')
            ->visit('/shop')
            ->await('[data-group=tagged]')
            ->see('Do not run: a lead lifts the tag', 'Specs that wait for a second person')
            ->accessible('what waits for a lead')
            ->click('[data-part=people]')
            ->see('keeps the shop, signs, lifts tags')
            ->accessible('people')
            ->click('[data-primary]')
            ->field('person-name', 'Wil')
            ->field('person-login', 'wil')
            ->click('[role=dialog] [data-primary]')
            ->await('[data-password]');
        $this
            ->clickText('Done')
            ->gone('[role=dialog]')
            ->see('signs in as wil')
            ->click('[data-part=audit]')
            ->see('person added')
            ->accessible('what was done');
        $this
            ->click('[data-part=mine]')
            ->field('new-pin', '3591')
            ->field('pin-password', 'harbour-lamp-9')
            ->keys(WebDriverKeys::ENTER)
            ->see('Saved.')
            ->accessible('my sign-in')
            ->click('[data-part=sessions]')
            ->see('here')
            ->accessible('sessions');
        $file = sys_get_temp_dir().'/history-'.bin2hex(random_bytes(4)).'.csv';
        file_put_contents(
            $file,
            "machine;control;day;usage;found_mm;left_mm;signed_by\r\nRT-20;clutch;2026-03-10;200;;15,3;Bo\r\nZZ-9;clutch;2026-03-10;200;;15,3;Bo\r\n",
        );
        $this
            ->click('[data-part=data]')
            ->accessible('data')
            ->await('input[type=file]')->browser
            ->findElement(WebDriverBy::cssSelector('input[type=file]'))
            ->sendKeys($file);
        $this
            ->see('1 line cannot be taken', 'ZZ-9 has no control called clutch here.')
            ->accessible('a file considered')
            ->click('[data-run]')
            ->see('Taken in: 1 line.');
        unlink($file);
        $this
            ->visit('/machines/RT-20')
            ->see('15.3')
            ->as('ines')
            ->visit('/')
            ->click('[aria-label^="Ines"]')
            ->click('[data-take-over=oda]')
            ->field('pin', '1111')
            ->clickText('Take over')
            ->see('do not go together');
        $this->field('pin', '3591')->keys(WebDriverKeys::ENTER)->await('[aria-label^="Oda"]');
        $this
            ->click('[aria-label^="Oda"]')
            ->see('Here by PIN', 'Signed in as technician')
            ->accessible('here by PIN')
            ->field('lead-password', 'harbour-lamp-9')
            ->clickText('Confirm')
            ->gone('[role=dialog]');
        $this->click('[aria-label^="Oda"]')->see('Signed in as lead');
        $this->server->forget('ines');
    }

    /**
     * @param  array<string, int>  $minutes  half hours, by the buttons: down to nothing, up to half a day, and from
     *     there
     */
    private function here(array $minutes): static
    {
        foreach ($minutes as $login => $wanted) {
            $name = ucfirst($login);
            for ($n = 0; $n < 40 && $this->minutes($login) > 0; $n++) {
                $this->click("[aria-label=\"{$name}: less\"]");
            }
            for ($n = 0; $n < 40 && $wanted > 0 && $this->minutes($login) !== $wanted; $n++) {
                $way = $this->minutes($login) === 0 || $this->minutes($login) < $wanted ? 'more' : 'less';
                $this->click("[aria-label=\"{$name}: {$way}\"]");
            }
            self::assertSame($wanted, $this->minutes($login), $login);
        }

        return $this->click('[role=dialog] [data-primary]')->gone('[role=dialog]');
    }

    private function minutes(string $login): int
    {
        $said = $this->text("[data-here={$login}] span");

        return preg_match('/(?:(\d+)[\s\x{A0}]h[\s\x{A0}])?(\d+)(?:[\s\x{A0}]min)?$/u', $said, $part) === 1
            ? 60 * (int) $part[1] + (int) $part[2]
            : 0;
    }

    private function field(string $name, string $text): static
    {
        $field = "[name=\"{$name}\"]";

        return $this->clear($field)->keys($text);
    }
}
