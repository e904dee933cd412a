<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Judging;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use VividPull\Core\Facts\Pooling;
use VividPull\Core\Judging\InstrumentCapability;
use VividPull\Core\Measurement\InstrumentKind;
use VividPull\Core\Spec\SpecBand;
use VividPull\Core\Statistics\StudentDistribution;
use VividPull\Core\Tests\Support\TestJob;

final class InstrumentCapabilityTest extends TestCase
{
    /**
     * @return iterable<string, array{float, int|null, int|null}> width of the band; readings with a rule of 0.5 mm,
     *     with a caliper
     */
    public static function bands(): iterable
    {
        yield 'ten millimetres are plain to any instrument' => [10.0, 1, 1];
        yield 'half a millimetre is beyond a rule however often it is read' => [0.5, null, 2];
        yield 'four tenths want three readings of a caliper' => [0.4, null, 3];
        yield 'a tenth is beyond both' => [0.1, null, null];
    }

    #[DataProvider('bands')]
    public function test_it_says_before_measuring_what_can_decide(float $width, ?int $rule, ?int $caliper): void
    {
        [$foresight, $shelf] = self::at($width);
        self::assertSame(
            [$rule, $caliper],
            [$foresight->readingsWith($shelf['rule']), $foresight->readingsWith($shelf['caliper'])],
        );
    }

    public function test_the_count_is_the_fewest_for_which_the_middle_is_called_inside(): void
    {
        // Half a band of w at 95 % both ways needs u ≤ w/2 over Student's t.975; the rule has 0.3/√n with 5 + n − 1
        // degrees of freedom, and 0.5/√12 twice, which has any number of them (Welch and Satterthwaite). And it needs
        // as much again of 0.3/√n alone once the marks have shifted the mean by what they can: half of 0.5 over n, for
        // a hand of 0.3 repeats more coarsely than the marks.
        foreach ([1, 2, 3, 5] as $n) {
            $repeat = 0.3 / sqrt($n);
            $u = sqrt($repeat ** 2 + 2 * 0.5 ** 2 / 12);
            $t = StudentDistribution::coverageFactor(0.95, (int) floor($u ** 4 / ($repeat ** 4 / (5 + $n - 1))));
            $marks = 0.5 / M_PI * exp(-2 * (M_PI * 0.3 / 0.5) ** 2) + 0.5 / (2 * $n);
            [$foresight, $shelf] = self::at(2 * max($t * $u, $marks + $t * $repeat) + 1e-6);
            self::assertSame($n, $foresight->readingsWith($shelf['rule']));
        }
    }

    public function test_it_names_the_instrument_to_take_instead(): void
    {
        [$foresight, $shelf] = self::at(0.5);
        self::assertSame(
            'The Steel rule cannot decide this band, however often it is read. Take the Caliper.',
            $foresight->warningOf($shelf['rule']),
        );
        self::assertNull($foresight->warningOf($shelf['caliper']));
        [$foresight, $shelf] = self::at(0.1);
        self::assertStringContainsString('Nothing on the shelf can', (string) $foresight->warningOf($shelf['caliper']));
    }

    public function test_an_instrument_that_does_not_reach_is_no_help(): void
    {
        $job = TestJob::clutch(['aim' => ['low_mm' => 180, 'high_mm' => 200]]);
        $foresight = new InstrumentCapability(
            $job->state->facts->standing,
            $job->state->spec->play()->band,
            $job->state->spec->rule,
            TestJob::ines(),
        );
        self::assertSame(
            'The Caliper does not reach across this band. Take the Steel rule.',
            $foresight->warningOf($job->state->facts->standing->shelf['caliper']),
        );
    }

    public function test_repeats_pool_about_each_groups_own_mean(): void
    {
        $job = TestJob::clutch()->ready()->read(15, 15.5, 14.5)->line('+1t', 'in_band')->read(10, 11);
        [$sums] = Pooling::of($job->state->facts->readings->groups);
        // Squares 0.5 about 15 and 0.5 about 10.5; two and one degrees of freedom.
        self::assertEqualsWithDelta(1.0, $sums['squares'], 1e-12);
        self::assertSame(['ines', 'rule', 3], [$sums['person'], $sums['instrument'], $sums['freedom']]);
    }

    public function test_a_short_history_is_put_together_with_what_is_usual(): void
    {
        // JCGM 100:2008, 4.2.4: variances weighted by their degrees of freedom; 0.3 with 5 is usual for a rule (ours).
        $short = Pooling::repeatability(InstrumentKind::SteelRule, 1.0, 3);
        self::assertEqualsWithDelta(sqrt((5 * 0.3 ** 2 + 1.0) / 8), $short->deviation, 1e-12);
        $long = Pooling::repeatability(InstrumentKind::SteelRule, 1.0, 10);
        self::assertEqualsWithDelta(sqrt(0.1), $long->deviation, 1e-12);
        self::assertSame(10.0, $long->freedom);
    }

    /** @return array{InstrumentCapability, array<string, \VividPull\Core\Measurement\Instrument>} */
    private static function at(float $width): array
    {
        $standing = TestJob::clutch()->state->facts->standing;

        return [
            new InstrumentCapability(
                $standing,
                SpecBand::between(10.0, 10.0 + $width),
                TestJob::clutch()->state->spec->rule,
                TestJob::ines(),
            ),
            $standing->shelf,
        ];
    }
}
