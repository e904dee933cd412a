<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Spec;

use PHPUnit\Framework\TestCase;
use VividPull\Core\Errors\OutOfRange;
use VividPull\Core\Spec\ThrottleWindow;
use VividPull\Core\Tests\Support\Chance;

/** The window is arithmetic of the wire's own lengths; no published source. */
final class ThrottleWindowTest extends TestCase
{
    public function test_a_stroke_of_30_and_an_arc_of_26_leave_1_to_4(): void
    {
        $window = ThrottleWindow::of(30, 26, 1, null);
        self::assertSame([1.0, 30.0 - 26.0], [$window->least(), $window->most()]);
        self::assertFalse($window->isEmpty());
    }

    public function test_an_over_travel_of_1_narrows_it_to_3_to_4(): void
    {
        self::assertSame(
            [30.0 - 26.0 - 1.0, 4.0],
            [ThrottleWindow::of(30, 26, 1, 1)->least(), ThrottleWindow::of(30, 26, 1, 1)->most()],
        );
    }

    public function test_a_drum_that_needs_more_than_the_hand_gives_leaves_nothing(): void
    {
        self::assertTrue(ThrottleWindow::of(30, 29.5, 1, null)->isEmpty());
        self::assertFalse(ThrottleWindow::of(30, 29, 1, null)->isEmpty(), 'one slack is enough');
    }

    public function test_it_holds_exactly_the_slacks_that_close_and_open_when_tried(): void
    {
        $chance = new Chance(77);
        for ($case = 0; $case < 300; $case++) {
            $stroke = $chance->whole(200, 400) / 10;
            $arc = $chance->whole(180, 400) / 10;
            $margin = $chance->whole(0, 30) / 10;
            $over = $chance->whole(0, 1) === 0 ? null : $chance->whole(0, 40) / 10;
            $ratio = $chance->whole(0, 1) === 0 ? null : $chance->whole(80, 130) / 100;
            $second = $ratio === null ? 0.0 : $chance->whole(0, 20) / 10;
            $window = ThrottleWindow::of($stroke, $arc, $margin, $over, $ratio);
            for ($slack = 0.05; $slack < 20; $slack += 0.1) {
                $inWindow = $slack >= $window->least($second) && $slack <= $window->most($second);
                self::assertSame(
                    self::tried($slack, $second, $stroke, $arc, $margin, $over, $ratio),
                    $inWindow,
                    "seed {$chance->seed}, case {$case}, slack {$slack}",
                );
            }
        }
    }

    public function test_lengths_that_are_none_are_refused(): void
    {
        $this->expectException(OutOfRange::class);
        $this->expectExceptionMessage('The wire\'s stroke, in mm, must be above zero');
        ThrottleWindow::of(0, 26, 1, null);
    }

    /** Pulls the hand all the way and looks: how far the drum went, and how hard the wire was pulled past its stop. */
    private static function tried(
        float $slack,
        float $second,
        float $stroke,
        float $arc,
        float $margin,
        ?float $over,
        ?float $ratio,
    ): bool {
        $arrives = max(0.0, $stroke - $slack);
        $atDrum = $ratio === null ? $arrives : max(0.0, $arrives * $ratio - $second);
        $strain = ($atDrum - $arc) / ($ratio ?? 1.0);

        return $slack >= $margin && $atDrum >= $arc && ($over === null || $strain <= $over);
    }
}
