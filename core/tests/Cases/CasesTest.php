<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Cases;

use PHPUnit\Framework\TestCase;
use VividPull\Core\Bench\BenchState;
use VividPull\Core\Measurement\VerdictKind;
use VividPull\Core\Planning\PlanKind;
use VividPull\Core\Quantity\Steps;
use VividPull\Core\Wire\JobFile;

/** Jobs on which the bench once said something plainly wrong, and what it must say of them. */
final class CasesTest extends TestCase
{
    public function test_three_readings_alike_by_chance_are_not_sure(): void
    {
        self::assertTrue(self::job('three-alike-by-chance')->judgement->now->is(VerdictKind::CantTell));
    }

    public function test_half_an_inch_is_half_an_inch(): void
    {
        $found = self::job('half-an-inch')->judgement->nowGroup?->found;
        self::assertEqualsWithDelta(12.7, $found?->mean, 1e-9);
        self::assertLessThan(1.0, $found?->expanded(), 'a rule of 0.5 mm, read once');
        self::assertLessThan(1.0, self::job('thirty-seconds-of-one-rule')->judgement->nowGroup?->found->expanded());
    }

    public function test_a_plan_of_several_steps_goes_on_with_its_second(): void
    {
        $next = self::job('first-step-of-a-service-plan-done')->next();
        self::assertSame([PlanKind::Move, 'bracket', 1], [$next->kind, $next->recommended, $next->plan?->done]);
        self::assertStringContainsString('bracket, out', $next->sentence);
    }

    public function test_poses_accuse_a_cable_only_when_they_were_read_and_differ(): void
    {
        self::assertNotSame(PlanKind::RoutingFault, self::job('poses-nobody-read')->next()->kind);
        self::assertNotSame(PlanKind::RoutingFault, self::job('equal-poses-in-a-narrow-band')->next()->kind);
    }

    public function test_a_reading_far_off_the_others_is_asked_about(): void
    {
        $state = self::job('one-of-three-far-off');
        self::assertSame('25.0 does not go with the others: misread?', $state->judgement->nowGroup?->doubt?->question);
        self::assertSame(PlanKind::Decide, $state->next()->kind);
        self::assertStringContainsString('Take it back, say that it is right, or read again', $state->next()->sentence);
    }

    public function test_a_reading_that_many_contradict_is_left_out_and_said_to_be(): void
    {
        $group = self::job('one-of-fifteen-far-off')->judgement->nowGroup;
        self::assertNotNull($group);
        self::assertSame(['25.0'], array_map(static fn ($one): string => $one->entered, $group->leftOut));
        self::assertLessThan(15.6, $group->found->mean);
    }

    public function test_a_ratio_entered_twice_too_small_is_unlearned_and_named(): void
    {
        $state = self::job('ratio-twice-what-was-measured');
        self::assertEqualsWithDelta(2.0, $state->beliefs()->play->ratio() / (132 / 38), 0.1);
        self::assertStringContainsString(
            'seems to move 2.0 times as far as its spec says: measure its two distances',
            $state->next()->sentence,
        );
        self::assertSame(PlanKind::Suspect, $state->next()->kind, 'it was swung long enough');
    }

    public function test_a_bench_that_swung_says_what_it_suspects(): void
    {
        $next = self::job('lost-motion-swings')->next();
        self::assertSame(PlanKind::Suspect, $next->kind);
        self::assertNull($next->recommended, 'and turns no further');
    }

    public function test_a_cable_that_reads_otherwise_from_the_other_side_is_gone_past_and_come_back_to(): void
    {
        $state = self::job('reads-otherwise-from-the-other-side');
        self::assertTrue($state->beliefs()->play->sides()->areKnown());
        $plan = $state->next()->plan;
        self::assertNotNull($plan);
        self::assertTrue($plan->finishesAlike);
        self::assertCount(2, $plan->steps);
        [$past, $back] = array_map(
            static fn ($step): int => ($step->steps ?? self::fail('no move'))->count,
            $plan->steps,
        );
        self::assertLessThan(0, $past * $back, 'past, and back');
        self::assertStringNotContainsString('wrong cable', $state->next()->sentence);
    }

    public function test_a_rule_too_coarse_for_its_band_lets_the_person_go_on(): void
    {
        $state = self::job('a-rule-too-coarse-for-its-band');
        self::assertSame(PlanKind::Decide, $state->next()->kind);
        self::assertMatchesRegularExpression(
            '/^Inside with \d\d %: this steel rule can say no more/',
            $state->next()->sentence,
        );
        self::assertTrue($state->judgement->now->mayBeLeft());
    }

    public function test_bolts_used_up_come_home_and_the_clamp_takes_the_wire(): void
    {
        $next = self::job('clamp-free-bolts-used-up')->next();
        self::assertSame(PlanKind::Move, $next->kind);
        self::assertSame(['far_bolt', 'bolt', 'clamp'], array_column($next->plan->steps ?? [], 'adjuster'));
        self::assertStringNotContainsString('wrong cable', $next->sentence);
    }

    public function test_service_turns_no_bolt_to_its_last_thread(): void
    {
        foreach (self::job('inside-but-service-turns-it-out')->next()->plan->steps ?? [] as $step) {
            self::assertTrue($step->healthyAfter);
            self::assertStringNotContainsString('0.0 mm of thread', $step->sentence);
            self::assertLessThanOrEqual(
                Steps::of(1)->count,
                abs(($step->steps ?? self::fail('no move'))->count),
                'a small turn home, and no more',
            );
        }
    }

    public function test_the_cable_match_uses_what_was_learned_of_the_ratio(): void
    {
        // 20.2 mm before a turn of 1.25 mm and 10.2 after: 8 mm for one. Ten of play are 2.5 mm of slack as found, and
        // not six.
        $state = self::job('cable-match-after-learning');
        self::assertEqualsWithDelta(8.0, $state->beliefs()->play->ratio(), 0.3);
        $match = \VividPull\Core\Progress\CableMatching::of($state->cable, null);
        self::assertEqualsWithDelta(20.17 / 7.94 + 4 * 1.25 + 4 * 1.25 - 4.0, $match?->slackIn, 0.2);
    }

    public function test_a_throttles_window_carries_its_uncertainty(): void
    {
        $window = self::job('window-by-one-reading')->window();
        self::assertStringContainsString(
            "Can't tell that it closes: 1.1 mm of slack, and it takes 1.0 mm; 59 % chance",
            $window->sentence ?? '',
        );
    }

    private static function job(string $name): BenchState
    {
        return JobFile::replay((string) file_get_contents(__DIR__."/{$name}.json"));
    }
}
