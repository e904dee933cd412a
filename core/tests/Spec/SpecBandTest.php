<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Spec;

use PHPUnit\Framework\TestCase;
use VividPull\Core\Errors\OutOfRange;
use VividPull\Core\Spec\SpecBand;

final class SpecBandTest extends TestCase
{
    public function test_a_band_includes_both_ends(): void
    {
        $band = SpecBand::between(10.0, 20.0);
        self::assertTrue($band->contains(10.0) && $band->contains(20.0));
        self::assertFalse($band->contains(9.999) || $band->contains(20.001));
    }

    public function test_it_says_how_far_outside_a_value_lies(): void
    {
        $band = SpecBand::between(10.0, 20.0);
        self::assertSame([-1.0, 0.0, 5.0], [$band->beyond(9.0), $band->beyond(15.0), $band->beyond(25.0)]);
    }

    public function test_one_edge_may_be_missing_and_not_both(): void
    {
        self::assertSame('at least 2 mm', SpecBand::between(2.0, null)->say());
        self::assertSame('at most 1.6 mm', SpecBand::between(null, 1.6)->say());
        $this->expectException(OutOfRange::class);
        SpecBand::between(null, null);
    }

    public function test_a_band_upside_down_is_refused(): void
    {
        $this->expectException(OutOfRange::class);
        SpecBand::between(20.0, 10.0);
    }
}
