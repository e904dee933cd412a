<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Quantity;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use VividPull\Core\Errors\OutOfRange;
use VividPull\Core\Quantity\ThreadPitch;

final class ThreadPitchTest extends TestCase
{
    /** @return iterable<string, array{string, float}> */
    public static function names(): iterable
    {
        yield 'a bare metric name is the coarse thread' => ['M8', 1.25];
        yield 'fine, with an x' => ['M6x0.75', 0.75];
        yield 'fine, with a cross and spaces' => ['M10 × 1.25', 1.25];
        yield 'lower case' => ['m5 x 0.5', 0.5];
        yield 'unified carries its turns per inch' => ['1/4-20', 25.4 / 20];
        yield 'unified with its series' => ['5/16-18 UNC', 25.4 / 18];
    }

    #[DataProvider('names')]
    public function test_the_pitch_is_in_the_name(string $name, float $mm): void
    {
        self::assertEqualsWithDelta($mm, ThreadPitch::fromName($name)->mm, 1e-12);
    }

    /** @return iterable<string, array{string}> */
    public static function wrong(): iterable
    {
        yield 'a pitch that the diameter does not have' => ['M8 x 2'];
        yield 'a diameter that is not listed' => ['M77'];
        yield 'no thread' => ['thick'];
        yield 'no turns per inch' => ['1/4-0'];
        yield 'nothing below the line' => ['1/0-20'];
    }

    #[DataProvider('wrong')]
    public function test_another_name_is_refused_with_the_name_in_the_sentence(string $name): void
    {
        $this->expectException(OutOfRange::class);
        $this->expectExceptionMessage($name);
        ThreadPitch::fromName($name);
    }

    public function test_an_entered_pitch_is_above_zero(): void
    {
        self::assertSame(0.9, ThreadPitch::entered(0.9)->mm);
        $this->expectException(OutOfRange::class);
        ThreadPitch::entered(0.0);
    }
}
