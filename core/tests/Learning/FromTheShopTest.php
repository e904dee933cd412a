<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Learning;

use PHPUnit\Framework\TestCase;
use VividPull\Core\Cable\LockCreep;
use VividPull\Core\Cable\RatioPrior;
use VividPull\Core\Tests\Support\TestJob;

/** What other machines, and the lock of this one, teach. */
final class FromTheShopTest extends TestCase
{
    public function test_machines_like_it_tell_where_the_next_one_lies(): void
    {
        $others = array_map(static fn (float $ln): RatioPrior => RatioPrior::of($ln, 0.05), [1.60, 1.70, 1.65, 1.55]);
        $next = RatioPrior::fromMachines($others, RatioPrior::of(1.25, 0.50));
        // Their mean is 1.625; the drawing, known to 0.5, hardly counts beside four of them.
        self::assertEqualsWithDelta(1.625, $next->ln, 0.03);
        self::assertSame(4, $next->machines);
        self::assertLessThan(0.20, $next->spread, 'surer than the drawing');
        self::assertGreaterThan(0.07, $next->spread, 'and no surer than machines differ');
    }

    public function test_few_machines_that_differ_leave_it_wide(): void
    {
        $drawn = RatioPrior::of(1.25, 0.30);
        $two = RatioPrior::fromMachines([RatioPrior::of(1.0, 0.05), RatioPrior::of(1.8, 0.05)], $drawn);
        $ten = RatioPrior::fromMachines(
            array_map(static fn (int $n): RatioPrior => RatioPrior::of(1.4 + 0.01 * ($n % 3), 0.05), range(1, 10)),
            $drawn,
        );
        self::assertGreaterThan($ten->spread, $two->spread);
        self::assertGreaterThan(0.3, $two->spread);
    }

    /**
     * DerSimonian and Laird (1986), formula 8, against their sums worked out in the open: Q, and τ² = (Q − (n − 1))/(Σw
     * − Σw²/Σw).
     */
    public function test_the_spread_between_machines_is_the_published_estimate_drawn_towards_a_tenth(): void
    {
        $y = [1.2, 1.5, 1.9, 1.25];
        $s = [0.1, 0.15, 0.1, 0.5];
        $w = array_map(static fn (float $one): float => 1 / $one ** 2, $s);
        $mean = array_sum(array_map(static fn (float $a, float $b): float => $a * $b, $w, $y)) / array_sum($w);
        $q = array_sum(array_map(static fn (float $a, float $b): float => $a * ($b - $mean) ** 2, $w, $y));
        $tau2 = ($q - 3) / (array_sum($w)
            - array_sum(array_map(static fn (float $one): float => $one ** 2, $w)) / array_sum($w));
        $drawn = (3 * $tau2 + 2 * 0.1 ** 2) / 5;
        $weights = array_map(static fn (float $one): float => 1 / ($one ** 2 + $drawn), $s);
        $next = RatioPrior::fromMachines(
            [RatioPrior::of(1.2, 0.1), RatioPrior::of(1.5, 0.15), RatioPrior::of(1.9, 0.1)],
            RatioPrior::of(1.25, 0.5),
        );
        self::assertEqualsWithDelta(sqrt($drawn + 1 / array_sum($weights)), $next->spread, 1e-9);
        self::assertEqualsWithDelta(
            array_sum(array_map(static fn (float $a, float $b): float => $a * $b, $weights, $y)) / array_sum($weights),
            $next->ln,
            1e-9,
        );
    }

    public function test_what_the_lock_does_is_learned_from_pairs(): void
    {
        $job = TestJob::clutch()
            ->ready()
            ->read(25.5, 25, 25.5)
            ->line('+2t2f', 'in_band')
            ->read(15, 15, 15.5)
            ->entry('confirmed', ['key' => 'locked', 'adjuster' => 'perch'])
            ->read(14, 14, 14.5);
        self::assertSame(1, $job->state->beliefs()->creep->pairs);
        // A millimetre of play less is 1/3.47 mm of conduit taken; one pair counts for half of it.
        self::assertEqualsWithDelta(-1 / 3.47 / 2, $job->state->beliefs()->creep->mean(), 0.03);
        self::assertSame(0.0, $job->state->beliefs()->creep->expectedAt(3.47), 'one pair is not aimed off by yet');
    }

    public function test_the_last_move_aims_off_by_what_the_lock_will_do(): void
    {
        $creep = (new LockCreep)->with(-0.3)->with(-0.28)->with(-0.32);
        $standing = ['creep' => $creep->sums()] + TestJob::standing();
        $plain = TestJob::clutch()->ready()->read(25.5, 25, 25.5)->state->next()->target;
        $aimed = TestJob::clutch(standing: $standing)->ready()->read(25.5, 25, 25.5)->state->next()->target;
        self::assertNotNull($plain);
        self::assertEqualsWithDelta(
            $plain + 0.9 / 4 * 3.5,
            $aimed,
            0.05,
            'three pairs of 0.3, which count for three of four',
        );
    }

    public function test_the_screen_names_the_machines_it_was_learned_from(): void
    {
        $standing = ['taught' => ['lever_tip' => ['ln_ratio' => log(4.0), 'spread' => 0.12, 'machines' => 4]]]
            + TestJob::standing();
        $state = \VividPull\Core\Wire\StateCodec::encode(
            TestJob::clutch(standing: $standing)->ready()->read(25)->state,
        );
        self::assertSame(4, $state['learned']['machines']);
    }
}
