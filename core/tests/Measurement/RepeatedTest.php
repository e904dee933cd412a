<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Measurement;

use PHPUnit\Framework\TestCase;
use VividPull\Core\Judging\Verdict;
use VividPull\Core\Measurement\Repeated;
use VividPull\Core\Measurement\Spread;
use VividPull\Core\Measurement\VerdictKind;
use VividPull\Core\Procedure\MeasureKey;
use VividPull\Core\Spec\DecisionRule;
use VividPull\Core\Spec\SpecBand;

final class RepeatedTest extends TestCase
{
    public function test_the_spread_is_pooled_with_the_usual_one_and_what_is_shared_is_added_in_squares(): void
    {
        $found = Repeated::of(MeasureKey::BladeStop, [2.1, 2.3, 2.2]);
        // Pooled variance by degrees of freedom, JCGM 100:2008, 4.2.4: five of the usual 0.15 s, two of the sample's
        // 0.1 s.
        $pooled = (5 * 0.15 ** 2 + 2 * 0.1 ** 2) / 7;
        self::assertEqualsWithDelta(2.2, $found->mean, 1e-9);
        self::assertEqualsWithDelta(sqrt($pooled / 3 + 0.1 ** 2), $found->standard(), 1e-9);
        self::assertGreaterThan($found->standard(), $found->expanded());
    }

    public function test_runs_that_happen_to_agree_are_not_believed_to_be_exact(): void
    {
        self::assertGreaterThan(0.1, Repeated::of(MeasureKey::BladeStop, [2.0, 2.0, 2.0])->standard());
    }

    public function test_more_runs_help_down_to_what_they_all_share(): void
    {
        $found = Repeated::of(MeasureKey::BladeStop, [2.5]);
        self::assertLessThan($found->standard(), $found->spread(1.0, 5)->standard);
        self::assertGreaterThan(0.1, $found->spread(1.0, 1000)->standard);
    }

    public function test_a_blade_has_three_seconds(): void
    {
        // 16 CFR 1205.5(a)(1): the blade of a walk-behind rotary mower stops within 3.0 s of the release of its
        // control. Local law may differ.
        $limit = SpecBand::between(null, 3.0);
        $kind = static function (float ...$runs) use ($limit): VerdictKind {
            self::assertNotSame([], $runs);
            $found = Repeated::of(MeasureKey::BladeStop, array_values($runs));

            return Verdict::ofLimit(
                $found->mean,
                $found->spread(),
                $limit,
                DecisionRule::Guarded,
                MeasureKey::BladeStop,
                static fn (): string => 'again',
            )->kind;
        };
        self::assertSame(VerdictKind::Inside, $kind(2.1, 2.3, 2.2));
        self::assertSame(VerdictKind::CantTell, $kind(2.9, 3.0, 2.9), 'on the limit is not inside it');
        self::assertSame(VerdictKind::TooLoose, $kind(3.5, 3.6, 3.4));
    }

    public function test_a_verdict_is_in_the_unit_of_what_is_measured(): void
    {
        $verdict = Verdict::ofLimit(
            3.5,
            Spread::of(0.1),
            SpecBand::between(null, 3.0),
            DecisionRule::Guarded,
            MeasureKey::BladeStop,
            static fn (): string => '',
        );
        self::assertSame('Outside: 0.50 s over its limit', $verdict->sentence);
        $worn = Verdict::ofLimit(
            2.7,
            Spread::of(0.01),
            SpecBand::between(2.85, null),
            DecisionRule::Guarded,
            MeasureKey::FrictionPlate,
            static fn (): string => '',
        );
        self::assertSame('Outside: 0.15 mm under its limit', $worn->sentence);
    }
}
