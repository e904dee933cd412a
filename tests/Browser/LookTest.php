<?php

declare(strict_types=1);

namespace Tests\Browser;

/** The same screens after dark, for the left hand, and for the ear. */
final class LookTest extends BrowserTestCase
{
    /** @param  array<string, mixed>  $change */
    private function prefer(array $change): static
    {
        $this->as('ines')->visit('/');
        $this->browser->executeScript(
            'const key = "vivid-pull.preferences.ines"; localStorage.setItem(key, JSON.stringify({ keysAnywhere: true, instrument: null, ...JSON.parse(localStorage.getItem(key) ?? "{}"), ...arguments[0] }))',
            [$change],
        );

        return $this;
    }

    public function test_every_screen_is_readable_after_dark(): void
    {
        $this->prefer(['theme' => 'night']);
        $screens = ['/', '/machines/RT-14', '/due', '/specs/1/next', '/machines/RT-14/clutch/cause', $this->openJob()];
        foreach ($screens as $screen) {
            $this
                ->visit($screen)
                ->until(
                    'return document.querySelector("[data-loading]") === null && document.documentElement.dataset.theme === "night"',
                    "{$screen} loads for ever",
                );
            $this->accessible("{$screen} after dark");
        }
        $this->window(390, 844);
        foreach (['/', $this->openJob()] as $screen) {
            $this
                ->visit($screen)
                ->until('return document.querySelector("[data-loading]") === null', "{$screen} loads for ever");
            $this->accessible("{$screen} after dark on a phone");
        }
    }

    public function test_a_person_chooses_the_screen_and_the_hand_and_the_device_keeps_it(): void
    {
        $this
            ->as('ines')
            ->visit('/')
            ->click('button[aria-haspopup=dialog]')
            ->click('[data-theme=night]')
            ->until('return document.documentElement.dataset.theme === "night"', 'it stayed day');
        $this->accessible('settings after dark')->click('[data-hand=left]');
        $left = 'const [aside, rail] = ["main > aside", "main > nav"].map((css) => document.querySelector(css).getBoundingClientRect().left); return aside < rail';
        $this->visit($this->openJob())->await('main > aside');
        self::assertTrue($this->browser->executeScript($left));
        $this
            ->visit('/')
            ->click('button[aria-haspopup=dialog]')
            ->click('[data-hand=right]')
            ->click('[data-theme=day]')
            ->until('return document.documentElement.dataset.theme === "day"', 'it stayed night');
        $this->visit($this->openJob())->await('main > aside');
        self::assertFalse($this->browser->executeScript($left));
    }

    public function test_what_comes_next_is_said_aloud_where_somebody_wants_it(): void
    {
        $hear = 'window.heard = []; window.speechSynthesis.speak = (one) => window.heard.push(one.text); window.speechSynthesis.cancel = () => {};';
        $tag = $this->as('ines')->machineLike('RT-20', 'ZL-01');
        $this->prefer(['speaks' => true]);
        $this->begin($tag, 'clutch');
        $this->browser->executeScript($hear);
        $this
            ->line('all ok', 'all ok', 'cold', '3.1', '24.5', '25', '24.5')
            ->until('return window.heard.some((one) => /millimetres/.test(one))', 'the next move was not said');
        $heard = (array) $this->browser->executeScript('return window.heard');
        $move = (string) end($heard);
        self::assertMatchesRegularExpression(
            '/^Outside: too loose by 4\.\d\. perch barrel: out, .+, anticlockwise, seen from .+\. Expect \d+\.\d millimetres\.$/',
            $move,
        );
        self::assertSame(count($heard), count(array_unique($heard)), 'each once');

        $this->prefer(['speaks' => false])->visit("/machines/{$tag}")->visit($this->openJob())->await('main > aside');
        $this->browser->executeScript($hear);
        usleep(400_000);
        self::assertSame([], $this->browser->executeScript('return window.heard'));
    }
}
