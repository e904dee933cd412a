<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Planning;

use PHPUnit\Framework\TestCase;
use VividPull\Core\Cable\AdjusterKind;
use VividPull\Core\Cable\CableEnd;
use VividPull\Core\Cable\KnownCable;
use VividPull\Core\Cable\Run;
use VividPull\Core\Input\Node;
use VividPull\Core\Planning\BookMatch;
use VividPull\Core\Planning\CableBook;
use VividPull\Core\Planning\MatchVerdict;
use VividPull\Core\Quantity\Steps;
use VividPull\Core\Spec\Spec;
use VividPull\Core\Tests\Support\TestJob;
use VividPull\Core\Wire\RunCodec;
use VividPull\Core\Wire\SpecCodec;

/** The book of known cables over one control: which fits, where it would land, and what nobody wrote down. */
final class CableBookTest extends TestCase
{
    /** One mm of slack is one mm of play. */
    private const LN_RATIO = 0.0;

    private static function cable(
        float $wire,
        ?float $conduit = 900.0,
        ?CableEnd $hand = CableEnd::Barrel,
        ?CableEnd $working = CableEnd::Barrel,
    ): KnownCable {
        return new KnownCable('a cable', $wire, $conduit, $hand, $working, []);
    }

    /**
     * The clutch of the tests: 10 to 20 mm, left with 15, the perch barrel 2 turns out and the bracket 6.
     *
     * @param  array<int, array{cable: KnownCable, before: bool|null}>  $book
     * @return list<BookMatch>
     */
    private static function ranked(
        array $book,
        ?KnownCable $on = null,
        ?float $left = 15.0,
        ?Steps $bracket = null,
    ): array {
        return CableBook::ranked(
            self::spec(),
            self::clutchRun(),
            $on ?? self::cable(84.0),
            $left,
            ['perch' => Steps::of(2), 'bracket' => $bracket ?? Steps::of(6)],
            self::LN_RATIO,
            $book,
        );
    }

    private static function spec(): Spec
    {
        return SpecCodec::decode(Node::of(TestJob::clutchSpec()));
    }

    private static function clutchRun(): Run
    {
        return RunCodec::decode(Node::of(TestJob::clutchRun()));
    }

    /**
     * @param  list<BookMatch>  $found
     * @return array<int, string>
     */
    private static function verdicts(array $found): array
    {
        return array_column(
            array_map(static fn (BookMatch $one): array => [$one->cable, $one->match->verdict->value], $found),
            1,
            0,
        );
    }

    public function test_the_book_is_ranked_by_what_fits(): void
    {
        $found = self::ranked([
            1 => ['cable' => self::cable(84.0 - 60.0), 'before' => null],
            2 => ['cable' => self::cable(84.0, 906.0), 'before' => null],
            3 => ['cable' => self::cable(84.0), 'before' => null],
            4 => ['cable' => self::cable(84.0, hand: CableEnd::Ball), 'before' => null],
            5 => ['cable' => self::cable(84.0, null), 'before' => null],
            6 => ['cable' => self::cable(84.0, 880.0), 'before' => null],
        ]);

        self::assertSame(
            [
                3 => 'fits',
                2 => 'fits',
                5 => 'cannot_tell',
                1 => 'does_not_fit',
                4 => 'does_not_fit',
                6 => 'does_not_fit',
            ],
            self::sortedTail(self::verdicts($found)),
        );
    }

    /**
     * @param  array<int, string>  $verdicts
     * @return array<int, string> those that do not fit by their ids: among them the order is of no use to anybody
     */
    private static function sortedTail(array $verdicts): array
    {
        $tail = array_filter($verdicts, static fn (string $one): bool => $one === MatchVerdict::DoesNotFit->value);
        ksort($tail);

        return array_diff_key($verdicts, $tail) + $tail;
    }

    public function test_a_cable_like_the_one_on_it_lands_where_that_one_stands_taken_together(): void
    {
        [$same] = self::ranked([1 => ['cable' => self::cable(84.0), 'before' => null]]);
        $slack = 0.0;
        foreach (self::clutchRun()->playAdjusters() as $id => $adjuster) {
            $slack += $adjuster->slackGiven($same->lands[$id]->minus(Steps::of($id === 'perch' ? 2 : 6)));
        }
        // It was left in the middle or near it: the target of the spec is all that it is moved by.
        $spec = self::spec();
        self::assertNotNull($spec->aim);
        $target = $spec->aim->band->floor()
            + $spec->policy->share() * ($spec->aim->band->ceiling() - $spec->aim->band->floor());
        self::assertEqualsWithDelta($target - 15.0, $slack, 0.35, 'to the nearest flat of each');
    }

    public function test_what_was_refused_here_comes_last_and_what_was_fitted_here_first(): void
    {
        $found = self::ranked([
            1 => ['cable' => self::cable(84.0), 'before' => false],
            2 => ['cable' => self::cable(84.0 - 60.0), 'before' => null],
            3 => ['cable' => self::cable(84.0, 905.0), 'before' => true],
            4 => ['cable' => self::cable(84.0), 'before' => null],
        ]);

        self::assertSame([3, 4, 2, 1], array_map(static fn (BookMatch $one): int => $one->cable, $found));
    }

    public function test_what_nobody_wrote_down_keeps_a_cable_from_being_said_to_fit(): void
    {
        $doubts = [
            [self::cable(84.0, working: null), 'Not both of its ends were written down'],
            [self::cable(84.0, null), 'Its conduit was not measured'],
            [
                new KnownCable('a', 84.0, 900.0, CableEnd::Barrel, CableEnd::Barrel, null),
                'Whether it carries an adjuster of its own was not written down',
            ],
            [
                new KnownCable('a', 84.0, 900.0, CableEnd::Barrel, CableEnd::Barrel, [AdjusterKind::InLine]),
                'It carries other adjusters than the one on it now',
            ],
        ];
        foreach ($doubts as [$cable, $says]) {
            [$match] = self::ranked([1 => ['cable' => $cable, 'before' => null]]);
            self::assertSame(MatchVerdict::CannotTell, $match->match->verdict, $says);
            self::assertStringContainsString('By its wire it fits. ', $match->match->sentence);
            self::assertStringContainsString($says, $match->match->sentence);
        }
        // What is too short is too short whatever its ends are.
        [$short] = self::ranked([1 => ['cable' => self::cable(20.0, null, null, null), 'before' => null]]);
        self::assertSame(MatchVerdict::DoesNotFit, $short->match->verdict);
    }

    public function test_without_the_cable_on_it_or_its_play_or_a_place_nothing_is_promised(): void
    {
        $book = [1 => ['cable' => self::cable(84.0), 'before' => null]];
        $unmeasured = CableBook::ranked(
            self::spec(),
            self::clutchRun(),
            null,
            15.0,
            ['perch' => Steps::of(2), 'bracket' => Steps::of(6)],
            self::LN_RATIO,
            $book,
        );
        self::assertSame(MatchVerdict::CannotTell, $unmeasured[0]->match->verdict);
        self::assertSame([], $unmeasured[0]->lands);
        // The same length as one that could be set can be set, but longer or shorter nobody knows.
        self::assertSame(
            MatchVerdict::CannotTell,
            self::ranked([1 => ['cable' => self::cable(90.0), 'before' => null]], left: null)[0]->match->verdict,
        );
        $hidden = CableBook::ranked(
            self::spec(),
            self::clutchRun(),
            self::cable(84.0),
            15.0,
            ['perch' => Steps::of(2), 'bracket' => null],
            self::LN_RATIO,
            [1 => ['cable' => self::cable(84.0 - 12.0), 'before' => null]],
        );
        self::assertStringContainsString('It depends on where the', $hidden[0]->match->sentence);
    }

    public function test_a_longer_wire_is_more_slack_and_never_a_better_verdict_past_what_can_be_taken_up(): void
    {
        $order = [
            MatchVerdict::CannotTell->value => -1,
            MatchVerdict::DoesNotFit->value => 0,
            MatchVerdict::AtItsEnd->value => 1,
            MatchVerdict::Fits->value => 2,
        ];
        $seen = [];
        foreach (range(-60, 60) as $more) {
            [$one] = self::ranked([1 => ['cable' => self::cable(84.0 + $more), 'before' => null]]);
            $seen[] = $order[$one->match->verdict->value];
            if (
                $one->match->reserve !== null
                && $one->match->takeUp !== null
                && $one->match->verdict !== MatchVerdict::DoesNotFit
            ) {
                self::assertGreaterThanOrEqual(0.0, $one->match->reserve);
            }
        }
        $best = array_keys($seen, max($seen), true);
        self::assertSame(range($best[0], $best[count($best) - 1]), $best, 'what fits lies together');
        self::assertSame([0, 0], [$seen[0], $seen[count($seen) - 1]], 'an inch and more off fits nowhere');
        // Up to the best it never gets worse, after it never better.
        foreach ($seen as $n => $verdict) {
            if ($n > 0) {
                self::assertTrue($n <= $best[0] ? $verdict >= $seen[$n - 1] : $verdict <= $seen[$n - 1], "at {$n}");
            }
        }
    }
}
