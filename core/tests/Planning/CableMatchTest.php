<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Planning;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use VividPull\Core\Cable\CableComparison;
use VividPull\Core\Planning\CableMatch;
use VividPull\Core\Planning\MatchVerdict;
use VividPull\Core\Tests\Support\Chance;

final class CableMatchTest extends TestCase
{
    /** @return iterable<string, array{float, MatchVerdict, string}> */
    public static function wires(): iterable
    {
        // The old one has 8 mm of slack with the adjusters in; 20 mm can be taken up, 10 of it healthy; 3 to 6 mm are
        // wanted, 5 aimed for.
        yield 'alike: 3 of 20 mm taken up' => [
            84.0,
            MatchVerdict::Fits,
            'It takes 3.0 mm of take-up and leaves 17.0 mm',
        ];
        yield 'an inch short' => [
            84.0 - 25.4,
            MatchVerdict::DoesNotFit,
            'Too short by 20.4 mm: with the adjusters in, its ends hook only by pulling',
        ];
        yield 'short enough to hook, too tight to run' => [
            84.0 - 6.0,
            MatchVerdict::DoesNotFit,
            'Too short by 1.0 mm: even with the adjusters in',
        ];
        yield 'inside the band only with everything in' => [
            84.0 - 4.0,
            MatchVerdict::AtItsEnd,
            'nothing is left to slacken with',
        ];
        yield 'past the healthy part' => [
            84.0 + 10.0,
            MatchVerdict::AtItsEnd,
            'near the end of its thread, with 7.0 mm left',
        ];
        yield 'longer than the adjusters can take up' => [84.0 + 19.0, MatchVerdict::DoesNotFit, 'Too long by 1.0 mm'];
    }

    #[DataProvider('wires')]
    public function test_the_wire_that_shows_decides(float $newWire, MatchVerdict $verdict, string $sentence): void
    {
        $match = CableMatch::of(
            new CableComparison(84.0, $newWire, 900.0, 900.0, true),
            [8.0, 8.0],
            [],
            20.0,
            10.0,
            3.75,
            3.0,
            6.0,
            5.0,
        );
        self::assertSame($verdict, $match->verdict);
        self::assertStringContainsString($sentence, $match->sentence);
    }

    public function test_ends_of_another_kind_and_a_short_conduit_do_not_fit_whatever_the_wire(): void
    {
        $other = CableMatch::of(
            new CableComparison(84.0, 84.0, null, null, false),
            [8.0, 8.0],
            [],
            20.0,
            10.0,
            3.75,
            3.0,
            6.0,
            5.0,
        );
        self::assertSame(
            [MatchVerdict::DoesNotFit, 'Its ends are of another kind.'],
            [$other->verdict, $other->sentence],
        );
        $short = CableMatch::of(
            new CableComparison(84.0, 84.0, 900.0, 885.0, true),
            [8.0, 8.0],
            [],
            20.0,
            10.0,
            3.75,
            3.0,
            6.0,
            5.0,
        );
        self::assertSame(MatchVerdict::DoesNotFit, $short->verdict);
        self::assertStringContainsString('15.0 mm shorter: the route would pull tight', $short->sentence);
    }

    public function test_what_is_not_known_is_said_and_not_guessed(): void
    {
        $broken = CableMatch::of(
            new CableComparison(null, 84.0, null, null, true),
            [8.0, 8.0],
            [],
            20.0,
            10.0,
            3.75,
            3.0,
            6.0,
            5.0,
        );
        self::assertSame(MatchVerdict::CannotTell, $broken->verdict);
        self::assertNull($broken->slackIn);
        $hidden = CableMatch::of(
            new CableComparison(84.0, 84.0 - 8.0, null, null, true),
            [8.0, 30.0],
            ['engine bracket'],
            20.0,
            10.0,
            3.75,
            3.0,
            6.0,
            5.0,
        );
        self::assertStringContainsString('It depends on where the engine bracket stood', $hidden->sentence);
        $alike = CableMatch::of(
            new CableComparison(84.0, 84.4, null, null, true),
            [8.0, 30.0],
            ['engine bracket'],
            20.0,
            10.0,
            3.75,
            3.0,
            6.0,
            5.0,
        );
        self::assertSame(
            [MatchVerdict::Fits, null],
            [$alike->verdict, $alike->takeUp],
            'as the old one was set, wherever that was',
        );
        $anyway = CableMatch::of(
            new CableComparison(84.0, 84.0 - 60.0, null, null, true),
            [8.0, 30.0],
            ['engine bracket'],
            20.0,
            10.0,
            3.75,
            3.0,
            6.0,
            5.0,
        );
        self::assertSame(MatchVerdict::DoesNotFit, $anyway->verdict, 'too short wherever it stood');
    }

    public function test_it_foretells_what_the_lengths_themselves_give(): void
    {
        $chance = new Chance(1208);
        for ($case = 0; $case < 400; $case++) {
            // Slack is wire, less the path that the conduit and the distance between anchor and seat make of it.
            $conduit = $chance->whole(800, 1000);
            $gap = $chance->whole(60, 90);
            $oldWire = $conduit + $gap + $chance->whole(0, 200) / 10;
            $newWire = $oldWire + $chance->whole(-300, 300) / 10;
            $takes = (float) $chance->whole(10, 40);
            [$low, $high] = [2.0, 6.0];
            $slack = static fn (float $wire, float $out): float => $wire - $conduit - $gap - $out;
            $match = CableMatch::of(
                new CableComparison($oldWire - $conduit, $newWire - $conduit, $conduit, $conduit, true),
                [$slack($oldWire, 0.0), $slack($oldWire, 0.0)],
                [],
                $takes,
                $takes / 2,
                3.75,
                $low,
                $high,
                4.0,
            );
            $reaches = false;
            for ($n = 0; $n <= 20 * $takes; $n++) {
                $left = round($slack($newWire, $n / 20), 6);
                $reaches = $reaches || ($left >= $low && $left <= $high);
            }
            $hooks = round($slack($newWire, 0.0), 6) >= 0.0;
            self::assertSame(
                $reaches && $hooks,
                $match->verdict !== MatchVerdict::DoesNotFit,
                "seed {$chance->seed}, case {$case}",
            );
            self::assertEqualsWithDelta($slack($newWire, 0.0), (float) $match->slackIn, 1e-9);
        }
    }
}
