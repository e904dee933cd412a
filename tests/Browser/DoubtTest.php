<?php

declare(strict_types=1);

namespace Tests\Browser;

/** What is asked before it is believed, answered with a thumb. */
final class DoubtTest extends BrowserTestCase
{
    public function test_a_reading_that_does_not_go_with_the_others_is_taken_back_or_stood_by(): void
    {
        $this->window(390, 844);
        $this->as('ines')->lookedOver('RT-27', 'clutch', 'cold')->line('15', '15.5', '1.55');
        $this
            ->see(
                '1.55 does not go with the others: a slipped decimal point?',
                "Can't tell: a reading is in question",
                'a reading that several others contradict is left out',
            )
            ->accessible('a reading in question');
        $this
            ->armed()
            ->clickText('Take it back')
            ->settled()
            ->until('return !document.body.innerText.includes("slipped decimal")', 'The question stayed.');
        self::assertSame('void', $this->rows()[count($this->rows()) - 1]['kind']);
        $this
            ->line('25')
            ->see('25 does not go with the others: misread?')
            ->armed()
            ->clickText('It is right')
            ->settled();
        $this->until('return !document.body.innerText.includes("does not go with")', 'The question stayed.');
        self::assertSame('upheld', $this->rows()[count($this->rows()) - 1]['kind']);
        self::assertGreaterThan(5.0, $this->state()['found']['expanded_mm']);
    }

    public function test_a_pose_in_question_has_its_one_proof_and_no_other(): void
    {
        $this
            ->as('ines')
            ->onBench(
                $this->machineLike('RT-11', 'DO-11'),
                'throttle',
                'all ok',
                'ok',
                'ok',
                'ok',
                'ok',
                'ground',
                '4.2',
                '0.8',
                '0.8',
                '4.2',
                '4.2',
            )
            ->see('misread, or did something slip?');
        self::assertSame(
            [1, 1, 1],
            array_map(
                fn (string $pose): int => substr_count($this->text("[data-pose={$pose}]"), 'snap not tried'),
                ['left', 'straight', 'right'],
            ),
        );
    }
}
