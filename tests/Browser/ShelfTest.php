<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;

final class ShelfTest extends BrowserTestCase
{
    public function test_a_lead_adds_an_instrument_puts_it_right_and_puts_it_away(): void
    {
        $this
            ->as('oda')
            ->visit('/shelf')
            ->see('Pocket caliper: calibration overdue', 'Overdue since')
            ->accessible('the shelf');
        $this
            ->clickText('Add an instrument')
            ->see('Add an instrument', 'Calibrate again by')
            ->accessible('the instrument dialog');
        $this->clickText('Save')->see('Fill this in.', 'What it shows, such as')->accessible('what is missing of it');
        self::assertSame('name', $this->browser->executeScript('return document.activeElement.name'), 'the first that is');
        $this
            ->fill('Name', 'Depth gauge')
            ->fill('Shows, mm', 'fine')
            ->fill('Reaches, mm', '150')
            ->clickText('Save')
            ->see('What it shows, such as');
        $this
            ->fill('Shows, mm', '0,02')
            ->clickText('Save')
            ->gone('[role=dialog]')
            ->see('Depth gauge', 'shows 0.02 mm, reaches 150 mm', 'No certificate');
        $this
            ->clickText('Change Depth gauge')
            ->fill('Certificate ±, mm', '0.03')
            ->fill('Factor k', '0.2')
            ->clickText('Save')
            ->see('A factor k of 1 or more');
        $this->fill('Factor k', '2')->clickText('Save')->gone('[role=dialog]')->see('± 0.03 mm, k = 2');
        $this
            ->clickText('Add an instrument')
            ->fill('Name', 'depth gauge')
            ->fill('Shows, mm', '1')
            ->fill('Reaches, mm', '9')
            ->clickText('Save')
            ->see('Another instrument is called depth gauge');
        $this
            ->keys(WebDriverKeys::ESCAPE)
            ->gone('[role=dialog]')
            ->clickText('Change Depth gauge')
            ->clickText('Put it away')
            ->see('What was read with it stays')
            ->clickText('Yes, put it away')
            ->gone('[role=dialog]');
        $this->until(
            'return !document.querySelector("main").innerText.includes("Depth gauge")',
            'it is still on the shelf',
        );
    }

    public function test_a_certificate_that_another_lead_changed_meanwhile_is_shown_beside_what_is_typed(): void
    {
        $this
            ->as('oda')
            ->visit('/shelf')
            ->clickText('Change Pocket caliper')
            ->fill('Certificate ±, mm', '0.03')
            ->fill('Calibrate again by', '01062027');
        // Somebody else writes meanwhile.
        $this->server
            ->database()
            ->exec(
                "update instruments set body = json_set(body, '$.calibration.due', '2028-02-29') where body like '%Pocket caliper%'",
            );
        $this->expectsTrouble = true;
        $this
            ->clickText('Save')
            ->see('since you looked. What you typed is still here', 'It says now', '2028-02-29', '2027-01-06')
            ->accessible('an instrument changed meanwhile');
        self::assertSame('0.03', $this->element('[data-field=expanded_mm] [data-mine]')->getText());
        $this->clickText('Save')->gone('[role=dialog]')->see('± 0.03 mm');
    }

    public function test_others_look_and_the_phone_shows_it_too(): void
    {
        $this->window(390, 844);
        $this
            ->as('ines')
            ->visit('/shelf')
            ->see('A lead keeps the shelf', 'In your hands it repeats to')
            ->accessible('the shelf on a phone');
        self::assertSame([], $this->browser->findElements(WebDriverBy::cssSelector('[data-primary]')));
        self::assertTrue($this->browser->executeScript(
            'return document.documentElement.scrollWidth <= document.documentElement.clientWidth',
        ));
    }

    private function fill(string $label, string $text): static
    {
        $id = (string) $this->browser
            ->findElement(WebDriverBy::xpath("//label[normalize-space(.) = \"{$label}\"]"))
            ->getAttribute('for');
        $field = $this->browser->findElement(WebDriverBy::id($id));
        $field->clear();
        $field->sendKeys(WebDriverKeys::CONTROL.'a');
        $field->sendKeys($text);

        return $this;
    }
}
