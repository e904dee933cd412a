<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Gauge;

use PHPUnit\Framework\TestCase;
use VividPull\Core\Gauge\GaugeSettings;
use VividPull\Core\Gauge\HeldButton;
use VividPull\Core\Gauge\LineFraming;
use VividPull\Core\Gauge\ScpiReply;
use VividPull\Core\Quantity\NotUnderstood;
use VividPull\Core\Quantity\Unit;

/** Bytes into lines, presses into readings, answers of instruments on the network. */
final class WireTest extends TestCase
{
    public function test_lines_come_whole_in_whatever_pieces_the_bytes_do(): void
    {
        mt_srand(43);
        for ($n = 0; $n < 300; $n++) {
            $lines = array_map(static fn (): string => '+'.mt_rand(0, 9999).' mm', range(1, mt_rand(1, 6)));
            $bytes = implode(
                '',
                array_map(static fn (string $line): string => $line.["\r\n", "\n", "\r"][mt_rand(0, 2)], $lines),
            );
            $framing = new LineFraming;
            $found = [];
            for ($at = 0, $now = 0; $at < strlen($bytes); $at += $size, $now += mt_rand(0, 40)) {
                $size = mt_rand(1, 7);
                array_push($found, ...$framing->take(substr($bytes, $at, $size), $now));
            }
            self::assertSame($lines, $found);
            self::assertSame(0, $framing->lost());
        }
    }

    public function test_a_half_line_never_joins_the_next(): void
    {
        $framing = new LineFraming;
        self::assertSame([], $framing->take('+00', 0));
        self::assertSame(['4.20 mm'], $framing->take("4.20 mm\r\n", 501));
        self::assertSame(1, $framing->lost());
    }

    public function test_a_wire_without_ends_of_line_is_let_go(): void
    {
        $framing = new LineFraming;
        self::assertSame([], $framing->take(str_repeat('x', 201), 0));
        self::assertSame(['4.20 mm'], $framing->take("4.20 mm\n", 1));
        self::assertSame(1, $framing->lost());
    }

    public function test_a_button_that_sticks_is_one_press(): void
    {
        $button = new HeldButton;
        $presses = $stuck = 0;
        for ($at = 0; $at < 5000; $at += 100) {
            $presses += $button->isPress($at) ? 1 : 0;
            $stuck += $button->hasJustStuck() ? 1 : 0;
        }
        self::assertSame([1, 1], [$presses, $stuck]);
        self::assertTrue($button->isPress(6000), 'let go and pressed again');
        self::assertFalse($button->hasJustStuck());
    }

    public function test_presses_of_a_hand_all_count_and_a_bounce_does_not(): void
    {
        $button = new HeldButton;
        self::assertSame([true, false, true, true], array_map($button->isPress(...), [0, 30, 700, 1400]));
    }

    public function test_answers_of_an_instrument_on_the_network(): void
    {
        self::assertSame('4.2 mm', ScpiReply::reading('+4.20000000E+00', new GaugeSettings(Unit::Millimetre))->entered);
        self::assertSame('12.34 N', ScpiReply::reading('12.34 N', new GaugeSettings)->entered);
        self::assertNull(ScpiReply::error('+0,"No error"'));
        self::assertSame('The instrument says: Undefined header (-113).', ScpiReply::error('-113,"Undefined header"'));
        self::assertSame('The instrument answered “what” when asked for its errors.', ScpiReply::error('what'));
        self::assertSame('Force 50, number 0042', ScpiReply::name('Workshop,Force 50,0042,1.0'));
        self::assertNull(ScpiReply::name('hello'));
    }

    /** 9.9E37 is infinity and 9.91E37 is no number (SCPI-1999, volume 1, 7.2.1.4 and 7.2.1.5; from memory). */
    public function test_infinity_is_no_reading(): void
    {
        foreach ([
            ['9.90000000E+37', 'out of its range'],
            ['-9.9E37', 'out of its range'],
            ['9.91E37', 'no figure'],
        ] as [$reply, $says]) {
            try {
                ScpiReply::reading($reply, new GaugeSettings(Unit::Newton));
                self::fail("{$reply} was taken");
            } catch (NotUnderstood $no) {
                self::assertStringContainsString($says, $no->getMessage());
            }
        }
    }
}
