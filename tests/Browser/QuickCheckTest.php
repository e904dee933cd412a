<?php

declare(strict_types=1);

namespace Tests\Browser;

/** A lever that is right already: made safe, read and signed with a few taps, and a whole job as soon as it is not. */
final class QuickCheckTest extends BrowserTestCase
{
    /** Taps from the machine's page to the signature, as they stand in the table of steps in the docs. */
    private const TAPS = 6;

    private const KEYS = 12;

    private int $taps = 0;

    private string $tag = '';

    /** A finger on it. */
    private function tap(string $css): static
    {
        $this->taps++;

        return $this->click($css);
    }

    /** Held as long as it takes. */
    private function hold(string $css): static
    {
        $this->taps++;
        $this->armed()->browser->executeScript('const held = document.querySelector(arguments[0]);
            held.dispatchEvent(new PointerEvent("pointerdown", { bubbles: true }));
            setTimeout(() => held.dispatchEvent(new PointerEvent("pointerup", { bubbles: true })), 1100)', [$css]);

        return $this->gone($css)->settled();
    }

    /** A machine of this test's own, with its page before us. */
    private function own(string $control): static
    {
        $this->tag = $this->machineLike('RT-20', 'ZC-'.substr(md5($this->name()), 0, 4));

        return $this->visit("/machines/{$this->tag}#{$control}");
    }

    public function test_a_lever_that_is_right_takes_six_taps_on_a_phone(): void
    {
        $this->window(390, 844);
        $this
            ->as('ines')
            ->own('clutch')
            ->tap('[data-check=clutch]')
            ->await('[data-check-strip=on]')
            ->see('Engine off, key out', 'Nothing is touched until each line is true')
            ->accessible('a check on a phone');
        $this->hold('[data-hold]')->see('Reading at the lever tip, as found');
        $this->tap('[data-key="1"]')->tap('[data-key="5"]')->tap('[data-key=enter]')->settled();
        $this->see('Play is inside', 'not as fit for use', 'Not tried:')->accessible('a check to be signed');
        $this->tap('[data-close=checked]')->settled()->see('Checked, play inside', 'Next check');

        self::assertLessThanOrEqual(self::TAPS, $this->taps);
        self::assertSame('checked', $this->state()['closed']['outcome']);
        $this->visit("/machines/{$this->tag}#clutch")->see('checked, play inside');
    }

    public function test_by_keys_alone_it_takes_twelve(): void
    {
        $this->as('ines')->own('clutch')->click('[data-check=clutch]')->await('#bench-line');
        $typed = ['ok cold', '15'];
        $this->line(...$typed)->see('Play is inside')->keys('=')->settled()->see('Checked, play inside');

        self::assertLessThanOrEqual(
            self::KEYS,
            array_sum(array_map(static fn (string $line): int => strlen($line) + 1, $typed)) + 1,
        );

        self::assertSame('checked', $this->state()['closed']['outcome']);
    }

    public function test_outside_it_is_the_job_and_nothing_is_typed_again(): void
    {
        $this
            ->as('tomas')
            ->own('clutch')
            ->click('[data-check=clutch]')
            ->await('[data-check-strip=on]')
            ->hold('[data-hold]')
            ->line('27', '27', '27');

        $this->await('[data-check-strip=over]')->see('it is a whole job now', 'Inner wire');
        self::assertSame('look_over', $this->state()['stage']);
        self::assertSame(3, $this->state()['found']['count']);
        $this->accessible('a check that became a job');
    }

    public function test_it_is_begun_from_the_bench_and_gone_on_with_by_choice(): void
    {
        $tag = $this->machineLike('RT-20', 'ZC-BENCH');
        $this->server
            ->database()
            ->prepare(
                'update controls c join machines m on m.id = c.machine_id set c.planned_on = date(now() - interval 1 day) where m.tag = ? and c.`key` = ?',
            )
            ->execute([$tag, 'clutch']);
        $this
            ->as('oda')
            ->visit('/')
            ->click("[data-check='{$tag} clutch']")
            ->await('[data-check-strip=on]')
            ->click('[data-whole-job]')
            ->settled()
            ->await('[data-check-strip=over]');
        self::assertFalse($this->state()['check']['on']);
    }

    public function test_where_no_play_is_read_none_is_offered(): void
    {
        $tag = $this->machineLike('SN-03', 'ZC-SNOW');
        $this->as('ines')->visit("/machines/{$tag}#selector")->await('[data-start=selector]');
        self::assertSame(
            0,
            $this->browser->executeScript('return document.querySelectorAll("[data-check=selector]").length'),
        );
        self::assertSame(
            1,
            $this->browser->executeScript('return document.querySelectorAll("[data-check=auger]").length'),
        );
    }
}
