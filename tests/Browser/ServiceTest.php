<?php

declare(strict_types=1);

namespace Tests\Browser;

/** A machine in one visit: begun from its page, left and come back to, until nothing is left. */
final class ServiceTest extends BrowserTestCase
{
    public function test_all_controls_are_gone_through_from_one_list(): void
    {
        $tag = $this->machineLike('RT-20', 'ZS-01');
        $this
            ->as('ines')
            ->visit("/machines/{$tag}")
            ->click('[data-service]')
            ->await('[data-stop=clutch]')
            ->see('To lay out first', 'two 12 mm spanners', 'Cold, before it runs')
            ->accessible('a service');
        $this
            ->click('[data-stop=clutch] [data-check]')
            ->await('#bench-line')
            ->line('ok cold', '15')
            ->see('Play is inside')
            ->keys('=')
            ->settled()
            ->see('Checked, play inside');
        $this
            ->click('[data-rest]')
            ->await('[data-stop=clutch][data-done=true]')
            ->see('checked, play inside', 'Its sheet');
        $this
            ->click('[data-stop=throttle] [data-start]')
            ->await('#bench-line')
            ->visit("/machines/{$tag}/service")
            ->see('Go on at Make safe')
            ->window(390, 844);
        $this->accessible('a service on a phone');
    }
}
