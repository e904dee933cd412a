<?php

declare(strict_types=1);

namespace Tests\Browser;

/** What somebody who thinks in inches types bare is in inches. That every screen speaks them is with all screens. */
final class UnitsTest extends BrowserTestCase
{
    private const STYLE = 'in32';

    private function chooseInches(): static
    {
        $this
            ->as('ines')
            ->visit('/')
            ->click('button[aria-haspopup=dialog]')
            ->await('#person-lengths')
            ->accessible('how lengths are read');

        return $this->lengthsIn(self::STYLE);
    }

    public function test_a_bare_number_is_in_inches_and_the_advice_is_too(): void
    {
        $this->chooseInches();
        $tag = $this->machineLike('RT-20', 'ZU-01');
        $this->begin($tag, 'clutch')->line('all ok', 'all ok', 'cold', '1/8');
        $this->see('Reading at the lever tip, as found')->line('1.06', '1 1/16', '1.06');
        self::assertEqualsWithDelta(26.9, $this->state()['found']['mm'], 0.2);
        $this->see('25/32 in', 'too loose by')->accessible('a job in inches')->window(390, 844);
        $this->accessible('a job in inches on a phone');

        $this->as('tomas')->visit("/machines/{$tag}")->see('10–20 mm');
    }
}
