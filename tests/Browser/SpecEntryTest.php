<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverBy;
use Tests\Support\Picture;

/** What the book says, entered at the machine: the printed line first, the run tapped together, and on to the bench. */
final class SpecEntryTest extends BrowserTestCase
{
    /** For a new model with one clutch lever, from the yard to its first job. */
    private const KEYS = 60;

    private const TAPS = 12;

    private int $keys = 0;

    private int $taps = 0;

    protected function tearDown(): void
    {
        $this->server->database()->exec("delete from shop_settings where name = 'works_alone'");
        parent::tearDown();
    }

    private function typed(string $name, string $text): static
    {
        $this->keys += mb_strlen($text);
        $this->element("[name=\"{$name}\"]")->sendKeys($text);

        return $this;
    }

    private function tap(string $css): static
    {
        $this->taps++;

        return $this->click($css);
    }

    private function tag(): string
    {
        return 'ZS-'.strtoupper(substr(md5($this->name()), 0, 2));
    }

    public function test_a_new_model_with_one_lever_is_on_the_bench_in_sixty_keys_where_one_person_works_alone(): void
    {
        $this
            ->as('oda')
            ->visit('/shop')
            ->click('[data-part=units]')
            ->see('A spec is used once a second person held it')
            ->click('[data-works-alone]')
            ->see('A spec is used as soon as nothing in it is empty')
            ->accessible('settings of the shop');
        $tag = $this->tag();
        $this
            ->visit('/machines')
            ->tap('[data-add-machine]')
            ->await('[name=tag]')
            ->typed('tag', $tag)
            ->typed('model', 'Hesk 410')
            ->typed('kind', 'tractor')
            ->typed('year', '2026')
            ->typed('place', 'pier')
            ->typed('usage', '0')
            ->tap('[role=dialog] [data-primary]');
        $this
            ->see('No control yet')
            ->accessible('a machine without controls')
            ->tap('[data-add-control-link]')
            ->see('Add a control', 'Hesk 410')
            ->typed('printed', '10 - 20 mm')
            ->see('10–20 mm');
        $this
            ->tap('[data-document="workshop manual"]')
            ->typed('page', '12')
            ->tap('[data-part=bracket_nuts]')
            ->tap('[data-take-out=bracket_nuts]')
            ->tap('[data-part=barrel]')
            ->tap('[data-thread="M8 x 1.25"]')
            ->typed('barrel_travel', '16');
        $this
            ->accessible('a control entered at its machine')
            ->tap('[data-primary]')
            ->see('10–20 mm at the lever tip', 'not checked by a second person');
        $this
            ->tap('[data-start=clutch_lever]')
            ->await('[data-unread], #bench-line')
            ->tap('[data-unread]')
            ->await('[data-unchecked]')
            ->see('Not checked by a second person.', 'Hesk 410 workshop manual');

        self::assertLessThanOrEqual(self::KEYS, $this->keys);
        self::assertLessThanOrEqual(self::TAPS, $this->taps);
    }

    public function test_what_was_entered_at_a_machine_hangs_there_when_another_checked_it(): void
    {
        $tag = $this->machineLike('RT-20', $this->tag());
        $this->as('tomas')->visit("/machines/{$tag}")->click('[data-add-control-link]');
        $this
            ->typed('printed', '1/8 - 1/4 inch')
            ->see('3.175–6.35 mm')
            ->typed('name', ' front')
            ->click('[data-document="owner\'s manual"]')
            ->click('[data-part=bracket_nuts]')
            ->click('[data-take-out=bracket_nuts]');
        $this
            ->click('[data-part=barrel]')
            ->click('[data-thread="M6 x 1"]')
            ->typed('barrel_travel', '12')
            ->click('[data-primary]')
            ->await('[data-waiting=clutch_lever_front]')
            ->see('is a draft of Tomas: it comes here when it is whole and checked.');
        $this
            ->as('oda')
            ->visit("/machines/{$tag}")
            ->click('[data-waiting] a')
            ->see('I checked it against the document')
            ->click('[data-check]')
            ->gone('[data-check]')
            ->see($tag);
        $this
            ->visit("/machines/{$tag}#clutch_lever_front")
            ->await('[data-start=clutch_lever_front]')
            ->gone('[data-waiting]');
    }

    public function test_the_run_is_a_drawing_whose_parts_are_tapped_moved_named_by_their_kind_and_taken_out(): void
    {
        $this->as('tomas')->window(390, 844);
        $this
            ->visit('/specs/new')
            ->click('[data-part=barrel]')
            ->click('[data-gap="1"]')
            ->see('What is fitted here?')
            ->accessible('a run tapped together on a phone')
            ->click('[data-kind=in_line]')
            ->await('[data-panel=adjuster]');
        self::assertSame(['hand', 'barrel', 'in_line', 'bracket_nuts', 'end'], $this->parts());
        $this->click('[data-towards=hand]');
        self::assertSame(['hand', 'in_line', 'barrel', 'bracket_nuts', 'end'], $this->parts());
        self::assertNotNull($this->element('[data-towards=hand]')->getAttribute('disabled'), 'nothing is nearer');
        // A second barrel is told from the first; changed into another kind it is called after that.
        $this->click('[data-gap="3"]')->click('[data-kind=barrel]');
        self::assertSame('barrel adjuster 2', $this->value('[name=barrel_1_name]'));
        $this->element('[data-panel] select')->sendKeys('Hollow');
        $this->until(
            'return document.querySelector("[name=barrel_1_name]").value === "hollow adjusting bolt"',
            'its name did not follow its kind',
        );
        $this->click('[data-take-out=barrel_1]');
        self::assertSame(['hand', 'in_line', 'barrel', 'bracket_nuts', 'end'], $this->parts());
        $this->click('[data-part=end]')->typed('working-end', ' of the gearbox')->see('release arm of the gearbox');
        $this->click('[data-part=hand]')->typed('to-wire', '38')->typed('to-point', '132')->see('38 mm and 132 mm');
    }

    public function test_another_models_spec_is_copied_without_its_document_and_the_page_is_looked_at_beside(): void
    {
        $this
            ->as('tomas')
            ->visit('/specs/new')
            ->typed('model', 'Hesk Fen 90')
            ->click('[data-like-another]')
            ->typed('like', 'ridge clutch')
            ->click('[data-like="Tolvane Ridge 300/clutch"]')
            ->see('Copied from Tolvane Ridge 300, clutch lever.', 'perch barrel', 'M8 x 1.25, 11 mm');
        self::assertSame(['Hesk Fen 90', ''], [$this->value('[name=model]'), $this->value('[name=document]')]);
        self::assertMatchesRegularExpression('/^\d+–\d+ mm \(/', $this->value('[name=printed]'));
        $this
            ->accessible('a spec copied from another')
            ->click('[data-primary]')
            ->see('Fill this in: where the figure is printed.')
            ->click('[data-document="workshop manual"]');
        $file = sys_get_temp_dir().'/page-'.bin2hex(random_bytes(4)).'.png';
        file_put_contents($file, Picture::png());
        $this->browser->findElement(WebDriverBy::cssSelector('[data-page-beside] input[type=file]'))->sendKeys($file);
        $this->await('[data-page-beside=shown] img');
        unlink($file);
        $this
            ->click('[data-primary]')
            ->see('Hesk Fen 90', 'Where it is measured', 'Hesk Fen 90 workshop manual')
            ->click('[data-edit]')
            ->await('[data-page-beside=shown] img');
    }

    public function test_what_is_no_band_is_said_and_nothing_typed_is_lost(): void
    {
        $this
            ->as('tomas')
            ->visit('/specs/new')
            ->typed('printed', '3 mm')
            ->see('“3 mm” is one figure, and no band.')
            ->typed('model', 'Hesk Fen 91')
            ->click('[data-primary]')
            ->see('Fill this in: where the figure is printed.');
        self::assertSame(['3 mm', 'Hesk Fen 91'], [$this->value('[name=printed]'), $this->value('[name=model]')]);
        // Another family keeps what was typed of the model and its book.
        $this->typed('page', '7');
        $this->element('[name=family]')->sendKeys('Operator');
        $this->await('[data-fold=beside]')->see('Stops within');
        self::assertSame(
            ['3 mm', 'Hesk Fen 91', '7', ''],
            array_map(fn (string $name): string => $this->value("[name={$name}]"), ['printed', 'model', 'page', 'low']),
        );
    }

    public function test_what_is_missing_or_refused_is_marked_at_its_field_and_gone_to(): void
    {
        $this->window(390, 844);
        $held = fn (): string => (string) $this->browser->executeScript('return document.activeElement.name');
        $this->as('tomas')->visit('/specs/new')->await('[data-primary]')->click('[data-primary]')
            ->see('Not saved.', 'Fill this in.', 'Fill this in: where the figure is printed.');
        $this->until('return document.activeElement.name === "model"', 'the first that is missing is gone to');
        self::assertCount(2, $this->browser->findElements(WebDriverBy::cssSelector('[aria-invalid=true]')));
        $this->accessible('what is missing, marked');
        $this->typed('model', 'Hesk Fen 94');
        self::assertCount(1, $this->browser->findElements(WebDriverBy::cssSelector('[aria-invalid=true]')));
        self::assertSame('model', $held(), 'whoever types is left alone');
        // What the server refuses is marked too, in a part that was shut.
        $this
            ->typed('document', 'service book')
            ->click('[data-part^=barrel]')
            ->await('[data-panel=adjuster]');
        $thread = (string) $this->element('[name$="_thread"]')->getAttribute('name');
        $this
            ->typed($thread, 'as thick as it is')
            ->click('[data-part=hand]')
            ->gone("[name={$thread}]")
            ->click('[data-primary]')
            ->see('“as thick as it is” is not a thread in the table.');
        $this->until("return document.activeElement.name === '{$thread}'", 'its panel opens');
        $this->clear("[name={$thread}]")->keys('M8 x 1.25')->click('[data-fold=conditions]');
        $this->clear('[name=minutes]')->keys('x');
        $this->click('[data-fold=conditions]')->gone('[name=minutes]')->click('[data-primary]')->see('A whole figure');
        $this->until('return document.activeElement.name === "minutes"', 'what holds it opens');
        $this->clear('[name=minutes]')->keys('20')->click('[data-primary]')->see('Hesk Fen 94', 'Where it is measured');
    }

    /** @return list<string> what is drawn, from the hand on */
    private function parts(): array
    {
        return explode(
            ' ',
            (string) $this->browser->executeScript(
                'return [...document.querySelectorAll("[data-part]")].map((one) => one.dataset.part).join(" ")',
            ),
        );
    }

    public function test_a_spec_that_is_left_half_typed_stands_there_again(): void
    {
        $this->window(390, 844);
        $this
            ->as('oda')
            ->visit('/specs/new')
            ->await('[name=printed]')
            ->gone('[data-begun]')
            ->typed('printed', '10 - 20 mm')
            ->typed('model', 'Hesk 415')
            ->click('nav a[href="/due"]')
            ->until('return document.title.startsWith("Due")', 'the other screen is there');
        $this->browser->navigate()->back();
        $this->see('Not saved yet. This was typed today')->accessible('a spec begun before');
        self::assertSame('Hesk 415', $this->element('[name=model]')->getAttribute('value'));
        self::assertSame('10 - 20 mm', $this->element('[name=printed]')->getAttribute('value'));
        $this->visit('/')->visit('/specs/new')->click('[data-anew]')->see('What was typed before is set aside.');
        self::assertSame('', $this->element('[name=model]')->getAttribute('value'));
        $this->click('[data-take-back]')->gone('[data-begun]');
        self::assertSame('Hesk 415', $this->element('[name=model]')->getAttribute('value'));
        $this->as('mirre')->visit('/specs/new')->await('[name=printed]');
        self::assertSame('', $this->element('[name=model]')->getAttribute('value'), 'it is of whoever typed it');
        $this->as('oda')->visit('/specs/new')->see('Not saved yet.')->clickText('Cancel')->see('Specs');
        $this->visit('/specs/new')->await('[name=printed]')->gone('[data-begun]');
    }

    public function test_a_figure_half_typed_is_no_other_one_in_other_units(): void
    {
        $this->as('oda')->visit('/specs/new')->await('[name=low]')->typed('low', '1.5')->inUnits('in32');
        $this->visit('/specs/new')->await('[name=low]')->gone('[data-begun]');
        $this->inUnits('mm')->visit('/specs/new')->see('Not saved yet.');
        self::assertSame('1.5', $this->element('[name=low]')->getAttribute('value'));
    }

    private function inUnits(string $lengths): static
    {
        $this->visit('/')->click('button[aria-haspopup=dialog]')->await('#person-lengths');

        return $this->lengthsIn($lengths);
    }
}
