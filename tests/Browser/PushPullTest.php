<?php

declare(strict_types=1);

namespace Tests\Browser;

final class PushPullTest extends BrowserTestCase
{
    public function test_a_push_pull_throttle_is_set_closing_cable_first_and_proved_both_ways(): void
    {
        $this->as('ines')->lookedOver('RT-22', 'throttle', 'hot')->line('thread 6 mm');
        $this
            ->line('4', '4', '4')
            ->see('Reading at the grip flange, backward, as found: closing cable')
            ->line('0.5', '0.5', '0.5');
        $this
            ->see('Closing cable', '1 to 5 mm at the grip flange, backward', 'Next move · return adjuster')
            ->accessible('the closing cable');
        $this
            ->click('[data-other-cable]')
            ->see('Opening cable', '2 to 6 mm at the grip flange')
            ->click('[data-other-cable]')
            ->see('Next move · return adjuster');
        $this
            ->armed()
            ->click('[data-done]')
            ->settled()
            ->line('3', '3', '3')
            ->see('Opening cable')
            ->line('4', '4', '4')
            ->see('Lock the return adjuster');
        $this
            ->line('ok')
            ->see('Read it again, locked')
            ->line('4', '4', '4')
            ->see('Read it again, locked: closing cable')
            ->line('3', '3', '3');
        $this
            ->see('Reading, bars full left')
            ->line('4', '4', '4')
            ->line('4', '4', '4')
            ->see('Reading, bars full left: closing cable')
            ->line('3', '3', '3')
            ->line('3', '3', '3');
        $this
            ->see('Opened fully and let go')
            ->line('yes', 'yes', 'yes', 'yes', 'yes')
            ->see('Boots pulled home')
            ->see('The closing cable, as left', '3.0');
    }
}
