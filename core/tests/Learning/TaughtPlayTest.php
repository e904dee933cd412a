<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Learning;

use PHPUnit\Framework\TestCase;
use VividPull\Core\Cable\RatioPrior;
use VividPull\Core\Learning\Surprise;
use VividPull\Core\Learning\TaughtPlay;
use VividPull\Core\Statistics\NormalDistribution;
use VividPull\Core\Tests\Support\Chance;

final class TaughtPlayTest extends TestCase
{
    /** E[R]/R₀ at k = 0.1: 0.97·e^(0.1²/2) + 0.03·e^(0.7²/2). */
    private const E_OF_R = 1.0131967;

    public function test_one_reading_places_it_and_teaches_nothing_of_the_ratio(): void
    {
        $play = self::after(TaughtPlay::startingFrom(RatioPrior::of(log(3.5), 0.1), 0.0), [[0.0, 25.0]]);
        self::assertTrue($play->isPlaced());
        self::assertFalse($play->hasLearned());
        // E[R] of a log-normal is e^(m + k²/2); of three machines in a hundred k is 0.7.
        self::assertEqualsWithDelta(self::E_OF_R * 3.5, $play->ratio(), 2e-3);
        self::assertEqualsWithDelta(25.0, $play->expected(0.0), 1e-12);
    }

    public function test_two_settings_teach_the_ratio(): void
    {
        // 1.25 mm of slack taken away brought 25.3 down to 20.9: 3.52 mm of play for one of conduit.
        $play = self::after(
            TaughtPlay::startingFrom(RatioPrior::of(log(3.0), 0.5), 0.0),
            [[0.0, 25.3], [-1.25, 20.9]],
            0.05,
        );
        // Each reading ± 0.05: the slope ± √2 × 0.05 / 1.25.
        self::assertEqualsWithDelta(4.4 / 1.25, $play->ratio(), 0.057);
        self::assertEqualsWithDelta(20.9 - 3.52, $play->expected(-1.0), 0.1);
    }

    /**
     * The grids against a plain sum over ln R and the side, hypothesis by hypothesis: the same model, worked out the
     * long way.
     */
    public function test_the_grid_agrees_with_brute_integration(): void
    {
        $seed = 77;
        $chance = new Chance($seed);
        for ($case = 0; $case < 24; $case++) {
            $prior = RatioPrior::of(log($chance->between(0.8, 5.0)), [0.1, 0.3, 0.5][$case % 3]);
            $readings = [];
            $truth = exp($prior->ln) * $chance->between(0.7, 1.4);
            for ($n = $chance->whole(2, 5), $x = 0.0; $n > 0; $n--) {
                $readings[] = [$x, 12.0 + $truth * $x + $chance->between(-0.2, 0.2)];
                $x += $chance->between(-1.5, 1.5);
            }
            $play = self::after(TaughtPlay::startingFrom($prior, 0.0), $readings, 0.3);
            $here = $readings[count($readings) - 1][0];
            [$ratio, $below] = self::integrated($prior, $readings, 0.3, $here - 0.7, 12.0);
            self::assertEqualsWithDelta($ratio, $play->ratio(), 4e-3 * $ratio, "seed {$seed}, case {$case}");
            self::assertEqualsWithDelta(
                $below,
                $play->chanceBetween(-INF, 12.0, -0.7, 0.0),
                4e-3,
                "seed {$seed}, case {$case}",
            );
        }
    }

    public function test_a_ratio_entered_twice_too_small_is_unlearned_by_one_move(): void
    {
        // Told 3.5 within a tenth; a millimetre taken away brings 25 down to 18, which is 7 for one.
        $play = self::after(
            TaughtPlay::startingFrom(RatioPrior::of(log(3.5), 0.1), 0.0),
            [[0.0, 25.0], [-1.0, 18.0], [-1.3, 15.9]],
        );
        self::assertEqualsWithDelta(7.0, $play->ratio(), 0.4);
        self::assertEqualsWithDelta(log(7.0), $play->taught()->ln, 0.06);
    }

    public function test_play_that_reads_otherwise_from_the_other_side_is_learned_and_taken_into_account(): void
    {
        // 3.5 for one, and 1.5 mm more whenever slack was given last: out to 3.0, back by 0.2 to 5.2 and not 3.7, out
        // by 0.2 to 3.0.
        $play = self::after(
            TaughtPlay::startingFrom(RatioPrior::of(log(3.5), 0.1), 0.0, -1.0),
            [[0.0, 6.65], [-1.0, 3.15], [-0.8, 5.35], [-1.0, 3.15], [-0.9, 5.0]],
            0.1,
        );
        self::assertTrue($play->sides()->areKnown());
        self::assertEqualsWithDelta(1.5, $play->sides()->apart, 0.3);
        self::assertEqualsWithDelta(5.0 + 0.35, $play->expected(0.1), 0.15, 'on the same way');
        self::assertEqualsWithDelta(5.0 - 0.35 - 1.5, $play->expected(-0.1), 0.3, 'the other way');
    }

    public function test_a_thread_that_loses_a_turn_is_learned_and_the_next_turn_back_reckons_with_it(): void
    {
        // 3.5 for one; the thread loses 0.4 mm whenever the turning is reversed: out by 1.0, back by 0.6 of which 0.2
        // is left, out again by 0.6.
        $play = self::after(
            TaughtPlay::startingFrom(RatioPrior::of(log(3.5), 0.05), 0.0, -1.0),
            [[0.0, 12.0], [-1.0, 8.5], [-0.4, 9.2], [-1.0, 8.5]],
            0.1,
        );
        self::assertTrue($play->sides()->areKnown());
        self::assertEqualsWithDelta(3.5, $play->ratio(), 0.2);
        self::assertEqualsWithDelta(8.5 - 3.5 * 0.3, $play->expected(-0.3), 0.15, 'on the same way nothing is lost');
        self::assertEqualsWithDelta(8.5, $play->expected(0.3), 0.15, 'less than is lost does nothing');
        self::assertEqualsWithDelta(8.5 + 3.5 * 0.5, $play->expected(0.9), 0.25, 'what is beyond it counts');
        self::assertEqualsWithDelta(8.5, $play->after(0.3)->expected(0.0), 0.15);
        self::assertEqualsWithDelta(
            8.5 + 3.5 * 0.5,
            $play->after(0.3)->expected(0.6),
            0.25,
            'turned on, the rest of it is lost',
        );
        self::assertEqualsWithDelta(
            8.5,
            $play->after(0.3)->expected(-0.3),
            0.15,
            'and turned back, what was lost is lost again',
        );
    }

    public function test_a_first_turn_that_does_too_little_may_be_a_thread_or_a_ratio_and_the_next_one_tells(): void
    {
        $play = self::after(
            TaughtPlay::startingFrom(RatioPrior::of(log(3.5), 0.05), 0.0, -1.0),
            [[0.0, 12.0], [-1.0, 10.6]],
            0.1,
        );
        self::assertLessThan(10.6 - 1.9, $play->expected(-1.0), 'more than the ratio of what was seen');
        self::assertGreaterThan(10.6 - 3.4, $play->expected(-1.0), 'less than the drawing');
        $thread = $play->after(-1.0)->given(7.1, 0.1);
        self::assertInstanceOf(TaughtPlay::class, $thread);
        self::assertEqualsWithDelta(3.5, $thread->ratio(), 0.25, 'the thread it was');
    }

    public function test_a_lock_that_may_have_shifted_it_loosens_the_level_and_keeps_the_ratio(): void
    {
        $play = self::after(
            TaughtPlay::startingFrom(RatioPrior::of(log(3.5), 0.3), 0.0),
            [[0.0, 25.0], [-1.0, 21.5], [-2.0, 18.0]],
            0.1,
        );
        $shaken = $play->shaken(0.1, 0.05);
        self::assertEqualsWithDelta($play->expected(0.0) + 0.1 * $play->ratio(), $shaken->expected(0.0), 1e-9);
        self::assertGreaterThan($play->deviation(0.0, 0.0), $shaken->deviation(0.0, 0.0));
        self::assertSame($play->ratio(), $shaken->ratio());
    }

    public function test_the_range_holds_the_share_it_says(): void
    {
        $play = self::after(TaughtPlay::startingFrom(RatioPrior::of(log(3.5), 0.3), 0.0), [[0.0, 25.0], [-0.6, 23.1]]);
        [$low, $high] = $play->range(0.95, -1.0, 0.2);
        self::assertEqualsWithDelta(0.95, $play->chanceBetween($low, $high, -1.0, 0.2), 1e-3);
        self::assertEqualsWithDelta(0.025, $play->chanceBetween(-INF, $low, -1.0, 0.2), 1e-3);
    }

    public function test_a_reading_that_cannot_be_is_a_surprise_and_teaches_nothing(): void
    {
        $play = self::after(TaughtPlay::startingFrom(RatioPrior::of(log(3.5), 0.1), 0.0), [[0.0, 25.0]]);
        $answer = $play->after(-1.25)->given(29.4, 0.2);
        self::assertInstanceOf(Surprise::class, $answer);
        // Of a hundred threads three may lose some of a turn.
        self::assertEqualsWithDelta(25.0 - self::E_OF_R * 3.5 * 1.25, $answer->expected, 3e-2);
        self::assertSame(29.4, $answer->found);
        self::assertInstanceOf(TaughtPlay::class, $play->after(-1.25)->given(20.5, 0.2));
    }

    public function test_a_move_that_did_nothing_is_a_surprise_even_where_little_is_known_of_the_ratio(): void
    {
        // k = 0.5: a thousandth of all such machines have R below 3.5 × e^(−3.09 × 0.5) = 0.75, and this one shows
        // 0.05.
        $play = self::after(TaughtPlay::startingFrom(RatioPrior::of(log(3.5), 0.5), 0.0), [[0.0, 25.0]], 0.05);
        self::assertInstanceOf(Surprise::class, $play->after(-2.5)->given(24.9, 0.05));
        self::assertInstanceOf(TaughtPlay::class, $play->after(-2.5)->given(22.0, 0.05));
    }

    public function test_much_learned_is_as_finely_told_as_little(): void
    {
        // Twenty settings, each read to 0.02 mm: the slope of least squares is the answer, to a thousandth.
        $readings = [];
        for ($i = 0; $i < 20; $i++) {
            $readings[] = [-0.2 * $i, 25.0 - 0.2 * 3.137 * $i];
        }
        $play = self::after(TaughtPlay::startingFrom(RatioPrior::of(log(3.5), 0.5), 0.0), $readings, 0.02);
        self::assertEqualsWithDelta(3.137, $play->ratio(), 0.003);
        // Sxx = Σ(x − x̄)² = 0.04 × (20³ − 20)/12 = 26.6, so the deviation is 0.02/√26.6.
        self::assertEqualsWithDelta(0.02 / sqrt(26.6), $play->ratioDeviation(), 1e-4);
    }

    public function test_the_order_of_the_readings_does_not_matter(): void
    {
        $prior = RatioPrior::of(log(3.0), 0.3);
        $one = self::after(TaughtPlay::startingFrom($prior, 0.0), [[0.0, 25.0], [-1.0, 21.4], [-1.5, 19.8]]);
        $other = self::after(TaughtPlay::startingFrom($prior, 0.0), [[-1.5, 19.8], [0.0, 25.0], [-1.0, 21.4]]);
        // But for the two machines in a hundred on which the side matters, from which each setting was come to.
        self::assertEqualsWithDelta($one->ratio(), $other->ratio(), 2e-3);
        self::assertEqualsWithDelta(
            $one->expected(-1.0),
            $other->expected(-1.5),
            5e-3,
            'one stands at −1.5 and the other at −1.0: both come to −2.5',
        );
    }

    public function test_what_was_taught_is_handed_on_wider(): void
    {
        $taught = RatioPrior::of(log(3.5), 0.06)->forNextJob();
        self::assertEqualsWithDelta(sqrt(0.06 ** 2 + 0.05 ** 2), $taught->spread, 1e-12);
    }

    /** @param  list<array{float, float}>  $readings  slack given since the start, and the reading there */
    private static function after(TaughtPlay $play, array $readings, float $standard = 0.2): TaughtPlay
    {
        $at = 0.0;
        foreach ($readings as [$slack, $mm]) {
            $answer = $play->after($slack - $at)->given($mm, $standard);
            self::assertInstanceOf(TaughtPlay::class, $answer);
            [$play, $at] = [$answer, $slack];
        }

        return $play;
    }

    /**
     * @param  list<array{float, float}>  $readings
     * @return array{float, float} E[R], and P(play at x < edge)
     */
    private static function integrated(RatioPrior $prior, array $readings, float $u, float $x, float $edge): array
    {
        $n = count($readings);
        $tau = 0.3 * exp($prior->ln);
        $plain = 1 - 0.02 - 0.03;
        $kinds = [
            [0.97 * $plain, $prior->spread, 0.0, 0.0, 0.0],
            [0.03 * $plain, 0.7, 0.0, 0.0, 0.0],
            [0.97 * 0.02, $prior->spread, $tau, 0.0, 0.0],
            [0.03 * 0.02, 0.7, $tau, 0.0, 0.0],
        ];
        foreach ([0.15, 0.3, 0.45, 0.6] as $lost) {
            foreach ([0.0, $lost] as $left) {
                $kinds[] = [0.03 / 8, $prior->spread, 0.05 * exp($prior->ln), $lost, $left];
            }
        }
        [$total, $ratio, $below] = [0.0, 0.0, 0.0];
        foreach ($kinds as [$share, $spread, $side, $lost, $left]) {
            [$slack, $ways, $to] = self::turned([...array_column($readings, 0), $x], $lost, $left);
            [$meanX, $meanY, $meanD] = [
                array_sum($slack) / $n,
                array_sum(array_column($readings, 1)) / $n,
                array_sum($ways) / $n,
            ];
            for ($i = -400; $i <= 400; $i++) {
                $r = exp($prior->ln + $spread * $i / 80);
                for ($j = $side === 0.0 ? 0 : -24; $j <= ($side === 0.0 ? 0 : 24); $j++) {
                    $h = $side * $j / 6;
                    $squares = 0.0;
                    foreach ($readings as $place => [, $mm]) {
                        $squares += ($mm
                            - $meanY
                            - $r * ($slack[$place] - $meanX)
                            - $h * ($ways[$place] - $meanD)) ** 2;
                    }
                    $weight = $share * exp(-0.5 * ($i / 80) ** 2 - 0.5 * $squares / $u ** 2) * ($side === 0.0
                        ? 1.0
                        : exp(-0.5 * ($j / 6) ** 2) / 6 / sqrt(2 * M_PI));
                    $total += $weight;
                    $ratio += $weight * $r;
                    $below += $weight * NormalDistribution::cumulative(
                        ($edge - $meanY - $r * ($to - $meanX) - $h * (-1.0 - $meanD)) / ($u / sqrt($n)),
                    );
                }
            }
        }

        return [$ratio / $total, $below / $total];
    }

    /**
     * What a thread makes of the places it is turned to, worked out turn by turn.
     *
     * @param  non-empty-list<float>  $places
     * @return array{list<float>, list<float>, float} slack and way at each but the last, and the slack at the last
     */
    private static function turned(array $places, float $lost, float $left): array
    {
        [$slack, $ways, $way] = [[$places[0]], [0.0], 0.0];
        for ($i = 1; $i < count($places); $i++) {
            $by = $places[$i] - $places[$i - 1];
            $left = $way !== 0.0 && $way * $by < 0.0 ? $lost - $left : $left;
            $gone = min($left, abs($by));
            $way = (float) ($by <=> 0.0);
            $left -= $gone;
            $slack[] = $slack[$i - 1] + $way * (abs($by) - $gone);
            $ways[] = $way;
        }
        $last = array_pop($slack);
        array_pop($ways);

        return [$slack, $ways, $last];
    }

    public function test_what_was_taut_before_the_first_reading_bounds_the_ratio_from_below(): void
    {
        $taut = TaughtPlay::startingFrom(RatioPrior::of(log(2.0), 0.5), 0.0)->givenTaut(0.0, 0.2);
        self::assertInstanceOf(TaughtPlay::class, $taut);
        self::assertFalse($taut->isPlaced());
        $placed = $taut->after(3.0)->given(9.0, 0.2);
        self::assertInstanceOf(TaughtPlay::class, $placed);
        $free = TaughtPlay::startingFrom(RatioPrior::of(log(2.0), 0.5), 3.0)->given(9.0, 0.2);
        self::assertInstanceOf(TaughtPlay::class, $free);
        // Three millimetres of slack made at least 9 of play, so the ratio is hardly below 3.
        self::assertGreaterThan(3.0, $placed->ratio());
        self::assertGreaterThan($free->ratio() + 0.8, $placed->ratio());
        self::assertLessThan(
            0.05,
            $placed->chanceBetween(-INF, 9.0 + 2.75 * 2, 2.0, 0.0),
            'two more give six at least',
        );
    }

    public function test_play_after_slack_was_taken_from_a_taut_cable_is_a_surprise(): void
    {
        $taut = TaughtPlay::startingFrom(RatioPrior::of(log(2.0), 0.3), 0.0)->givenTaut(0.0, 0.1);
        self::assertInstanceOf(TaughtPlay::class, $taut);
        self::assertInstanceOf(Surprise::class, $taut->after(-2.0)->given(4.0, 0.1));
    }
}
