<?php

declare(strict_types=1);

namespace Tests\Browser;

/** The book of cables, from the shelf and from a machine: what is on it is measured once, and says which others fit. */
final class CableBookTest extends BrowserTestCase
{
    public function test_the_cable_on_a_machine_is_measured_once_on_a_phone_and_says_which_others_fit(): void
    {
        $tag = $this->machineLike('RT-14', 'ZK-14');
        $this->window(390, 844);
        $this
            ->as('tomas')
            ->visit("/machines/{$tag}#clutch")
            ->click('[data-fitting=clutch]')
            ->see(
                'Which cable fits the clutch lever?',
                'Nobody measured the cable that is on it',
                'No play is known of it',
            )
            ->accessible('the book at a control');
        $this->click('[data-measure-on]')->see('Far end seated, conduit straight')->accessible('a cable measured');
        $this->element('[name=wire]')->sendKeys('84');
        $this->element('[name=conduit]')->sendKeys('912');
        $this->element('[name=hand-end]')->sendKeys('Barrel');
        $this->element('[name=working-end]')->sendKeys('Barrel');
        $this
            ->click('[data-carries=in_line]')
            ->click('[role=dialog] [data-primary]')
            ->gone('[role=dialog]')
            ->await('[data-on="Clutch lever, ZK-14"]');
        // No play was read of it yet: one of its length fits where it fitted, and of another length nobody knows.
        $this
            ->await('[data-cable="Clutch cable, Ridge 300"] [data-fits=fits]')
            ->await('[data-cable="Clutch cable, Ridge 300, long bars"] [data-fits=cannot_tell]')
            ->gone('[data-cable="Clutch cable, Quay 125"]');
        $this
            ->click('[data-all-cables]')
            ->await('[data-cable="Clutch cable, Quay 125"] [data-fits=does_not_fit]')
            ->see('Its ends are of another kind.')
            ->accessible('known cables, best first');
    }

    public function test_the_book_is_kept_and_says_where_each_number_fitted(): void
    {
        $this
            ->as('tomas')
            ->visit('/shelf')
            ->click('[data-shelf-part=cables]')
            ->await('[data-cable="Throttle cable"] [data-told=fitted]')
            ->await('[data-cable="Throttle cable, an inch short"] [data-told=refused]')
            ->accessible('the book of cables');
        $this->click('[data-primary]')->element('[name=wire]')->sendKeys('3 5/16 in');
        $this->element('[name=cable-name]')->sendKeys('Brake cable');
        $this->element('[name=number]')->sendKeys('MH-2112');
        $this->expectsTrouble = true;
        $this->click('[role=dialog] [data-primary]')->see('The book has number MH-2112 already: Throttle cable.');
        $this->element('[name=number]')->sendKeys('-B');
        $this
            ->click('[role=dialog] [data-primary]')
            ->gone('[role=dialog]')
            ->await('[data-cable="Brake cable"]')
            ->see('wire 84.138 mm');
        $this->element('input[type=search]')->sendKeys('brake');
        $this
            ->gone('[data-cable="Throttle cable"]')
            ->click('[data-cable="Brake cable"] button')
            ->click('[data-leave-out]')
            ->click('[data-leave-out]')
            ->gone('[role=dialog]')
            ->see('Nothing fits these words');
        $this->as('mirre')->visit('/shelf/cables')->await('[data-cable="Throttle cable"]')->gone('[data-primary]');
    }
}
