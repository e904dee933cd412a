<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Measurement;

use PHPUnit\Framework\TestCase;
use VividPull\Core\Judging\PackState;
use VividPull\Core\Measurement\WearLife;
use VividPull\Core\Tests\Support\TestJob;

final class WearLifeTest extends TestCase
{
    public function test_two_inspections_say_how_much_use_is_left(): void
    {
        // 0.1 mm worn in 4,000 km; 0.05 mm more to go: 2,000 km.
        $life = WearLife::of([['usage' => 1000.0, 'mm' => 3.0], ['usage' => 5000.0, 'mm' => 2.9]], 2.85);
        self::assertEqualsWithDelta(0.05 / (0.1 / 4000), $life?->left, 1e-6);
    }

    public function test_more_than_two_are_a_line_through_all_of_them(): void
    {
        // Least squares through 0, 1 and 2 at 10, 8 and 9: slope −0.5, at the last use 8.5.
        $life = WearLife::of(
            [['usage' => 0.0, 'mm' => 10.0], ['usage' => 1.0, 'mm' => 8.0], ['usage' => 2.0, 'mm' => 9.0]],
            7.0,
        );
        self::assertEqualsWithDelta((8.5 - 7.0) / 0.5, $life?->left, 1e-9);
    }

    public function test_one_inspection_or_no_wear_says_nothing(): void
    {
        self::assertNull(WearLife::of([['usage' => 1000.0, 'mm' => 3.0]], 2.85));
        self::assertNull(WearLife::of([['usage' => 1000.0, 'mm' => 3.0], ['usage' => 1000.0, 'mm' => 2.9]], 2.85));
        self::assertNull(WearLife::of([['usage' => 1000.0, 'mm' => 2.9], ['usage' => 2000.0, 'mm' => 2.9]], 2.85));
        self::assertSame(
            0.0,
            WearLife::of([['usage' => 0.0, 'mm' => 2.9], ['usage' => 1.0, 'mm' => 2.8]], 2.85)?->left,
        );
    }

    public function test_a_pack_that_was_opened_before_knows_how_long_it_lasts(): void
    {
        $job = TestJob::clutch(
            ['others' => [[
                'kind' => 'pack',
                'friction_plates' => 2,
                'steel_plates' => 0,
                'springs' => 0,
                'friction_min_mm' => 2.85,
            ]]],
            [],
            [
                'usage' => 9000,
                'usage_unit' => 'km',
                'pack' => [['usage' => 5000, 'weakest_mm' => ['friction_plate' => 3.01]]],
            ],
        );
        $job
            ->entry('measure', ['key' => 'friction_plate', 'value' => 2.97, 'entered' => '2.97', 'of' => '1'])
            ->entry('measure', ['key' => 'friction_plate', 'value' => 2.93, 'entered' => '2.93', 'of' => '2']);
        $life = PackState::of($job->state->spec, $job->state->facts)->lives['friction_plate'] ?? null;
        self::assertEqualsWithDelta(0.08 / (0.08 / 4000), $life?->left, 1e-6);
    }
}
