<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Wire;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use VividPull\Core\Cable\Knowledge;
use VividPull\Core\Errors\BadFile;
use VividPull\Core\Errors\CoreError;
use VividPull\Core\Input\Node;
use VividPull\Core\Log\Entry\Closed;
use VividPull\Core\Log\Entry\CoverMoved;
use VividPull\Core\Log\Entry\Moved;
use VividPull\Core\Log\Entry\ThreadNoted;
use VividPull\Core\Log\EntryKind;
use VividPull\Core\Log\Stamp;
use VividPull\Core\Quantity\Steps;
use VividPull\Core\Spec\DecisionRule;
use VividPull\Core\Spec\EngineHeat;
use VividPull\Core\Tests\Support\TestJob;
use VividPull\Core\Wire\EntryCodec;
use VividPull\Core\Wire\RunCodec;
use VividPull\Core\Wire\SpecCodec;
use VividPull\Core\Wire\StandingCodec;

final class CodecsTest extends TestCase
{
    public function test_a_spec_comes_back_as_it_went(): void
    {
        $spec = SpecCodec::decode(Node::of(['rule' => 'plain', 'policy' => 'crisp'] + TestJob::clutchSpec()));
        self::assertEquals($spec, SpecCodec::decode(Node::of(SpecCodec::encode($spec))));
        self::assertSame(DecisionRule::Plain, $spec->rule);
    }

    public function test_a_spec_that_says_nothing_else_is_cold_straight_and_guarded(): void
    {
        $spec = SpecCodec::decode(Node::of([
            'family' => 'clutch_lever',
            'aim' => ['kind' => 'free_play_band', 'point' => 'lever_tip', 'low_mm' => 3],
            'source' => ['document' => 'd'],
        ]));
        self::assertSame(
            [EngineHeat::Cold, DecisionRule::Guarded, 'loose'],
            [$spec->conditions->engine, $spec->rule, $spec->policy->value],
        );
        self::assertNull($spec->play()->band->high);
    }

    public function test_what_history_knew_comes_back_as_it_went(): void
    {
        $standing = StandingCodec::decode(Node::of(TestJob::standing(['perch' => 2.5, 'bracket' => null]) + [
            'taught' => ['lever_tip' => ['ln_ratio' => 1.2, 'spread' => 0.07]],
            'pooled' => [['person' => 'ines', 'instrument' => 'rule', 'deviation_mm' => 0.2, 'freedom' => 12]],
            'tag' => ['reason' => 'sticks', 'at' => '2026-01-01T08:00:00Z', 'by' => 'Ines'],
        ]));
        $again = StandingCodec::decode(Node::fromJson((string) json_encode(StandingCodec::encode($standing))));
        self::assertEquals($standing, $again);
        self::assertSame(Steps::exactly(2.5)->count, $again->positions['perch']?->count);
        self::assertNull($again->positions['bracket']);
        $studied = Node::of([
            'id' => 'c',
            'name' => 'Caliper',
            'kind' => 'caliper',
            'resolution_mm' => 0.05,
            'hands' => ['deviation_mm' => 0.2, 'freedom' => 3],
        ]);
        self::assertEquals(
            [0.2, 3.0],
            [
                StandingCodec::instrument($studied)->hands?->deviation,
                StandingCodec::instrument($studied)->hands?->freedom,
            ],
        );
        self::assertEquals(
            StandingCodec::instrument($studied),
            StandingCodec::instrument(Node::fromJson((string) json_encode(StandingCodec::encodeInstrument(
                StandingCodec::instrument($studied),
            )))),
        );
    }

    public function test_geometry_says_how_well_it_is_known(): void
    {
        $run = RunCodec::decode(Node::of(TestJob::clutchRun()));
        self::assertEqualsWithDelta(132 / 38, $run->couplings->all()['lever_tip']->value, 1e-12);
        self::assertSame(Knowledge::Measured, $run->couplings->all()['lever_tip']->knowledge);
        self::assertSame(['bracket' => 'side cover'], $run->covers());
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function badRuns(): iterable
    {
        $adjuster = ['id' => 'a', 'name' => 'a', 'kind' => 'barrel', 'travel_mm' => 10];
        $run = static fn (array $one): array => ['cables' => [['id' => 'c', 'name' => 'c', 'adjusters' => [$one]]]]
            + TestJob::clutchRun();
        yield 'no thread and no pitch' => [$run($adjuster), 'name either the “thread” or its “pitch_mm”'];
        yield 'a thread and a pitch' => [
            $run($adjuster + ['thread' => 'M8', 'pitch_mm' => 1.25]),
            'name either the “thread” or its “pitch_mm”',
        ];
        yield 'no travel' => [
            $run(['travel_mm' => 0, 'thread' => 'M8'] + $adjuster),
            '$.cables[0].adjusters[0].travel_mm',
        ];
        yield 'a healthy zone upside down' => [
            $run($adjuster + ['thread' => 'M8', 'healthy_mm' => ['from' => 6, 'to' => 2]]),
            '$.cables[0].adjusters[0]',
        ];
        yield 'a step that cannot be counted' => [
            $run($adjuster + ['thread' => 'M8', 'smallest_step_turns' => 0.1234]),
            '0.1234',
        ];
        yield 'a sense that is none' => [
            $run($adjuster + ['thread' => 'M8', 'sense' => 'sideways']),
            '$.cables[0].adjusters[0].sense',
        ];
        yield 'no cable' => [['cables' => []] + TestJob::clutchRun(), '$.cables: a run has at least one cable.'];
        yield 'points without the wire beside them' => [
            ['hand' => ['kind' => 'lever', 'name' => 'l', 'pivot_to_point_mm' => ['lever_tip' => 132]]]
            + TestJob::clutchRun(),
            'need “pivot_to_wire_mm” beside them',
        ];
    }

    /** @param  array<string, mixed>  $run */
    #[DataProvider('badRuns')]
    public function test_a_run_that_cannot_be_gets_a_sentence(array $run, string $words): void
    {
        try {
            RunCodec::decode(Node::of($run));
            self::fail('It was read.');
        } catch (BadFile $refused) {
            self::assertStringContainsString($words, $refused->getMessage());
        }
    }

    public function test_turns_and_flats_add_up(): void
    {
        $move = self::body('move', ['adjuster' => 'perch', 'turns' => 1, 'flats' => -2]);
        self::assertInstanceOf(Moved::class, $move);
        self::assertSame(Steps::fromFlats(4)->count, $move->steps?->count);
        $thread = self::body('thread', ['adjuster' => 'perch', 'flats' => 9]);
        self::assertInstanceOf(ThreadNoted::class, $thread);
        self::assertSame(Steps::fromFlats(9)->count, $thread->position?->count);
        $uncounted = self::body('move', ['adjuster' => 'perch', 'uncounted' => true]);
        self::assertInstanceOf(Moved::class, $uncounted);
        self::assertNull($uncounted->steps);
    }

    public function test_covers_and_signatures_are_read(): void
    {
        $cover = self::body('cover', ['adjuster' => 'bracket', 'off' => true]);
        self::assertInstanceOf(CoverMoved::class, $cover);
        self::assertTrue($cover->off);
        $closed = self::body('closed', ['outcome' => 'fit', 'next_check' => '2026-09-01']);
        self::assertInstanceOf(Closed::class, $closed);
        self::assertSame('2026-09-01', $closed->nextCheck);
    }

    /** @return iterable<string, array{string, array<string, mixed>, string}> */
    public static function badBodies(): iterable
    {
        yield 'a move of nothing' => ['move', ['adjuster' => 'perch', 'turns' => 0], 'a move of nothing is no move.'];
        yield 'a move that does not say how far' => [
            'move',
            ['adjuster' => 'perch'],
            'say how far, in “turns”, “flats” or both.',
        ];
        yield 'a move counted and not' => [
            'move',
            ['adjuster' => 'perch', 'turns' => 1, 'uncounted' => true],
            'a move is either counted or “uncounted”, not both.',
        ];
        yield 'a thread below the seat' => ['thread', ['adjuster' => 'perch', 'turns' => -1], '$.turns'];
        yield 'a thread of an adjuster that is not there' => [
            'thread',
            ['adjuster' => 'cam', 'turns' => 1],
            '“cam” is not an adjuster of this control.',
        ];
        yield 'a note of nothing' => ['note', ['text' => ' '], '$.text: this is empty'];
        yield 'joining with something in hand' => ['joined', ['as' => 'lead'], 'the key “as” is not known here'];
        yield 'a finding that is none' => ['inspected', ['key' => 'wire', 'finding' => 'odd'], '$.finding'];
        yield 'an end that is none' => ['closed', ['outcome' => 'perhaps'], '$.outcome'];
        yield 'an amendment of an amendment' => [
            'amend',
            ['entry' => 'e1', 'kind' => 'amend', 'body' => [], 'reason' => 'x'],
            'an amendment cannot become an amendment.',
        ];
        yield 'taken back without a reason' => ['void', ['entry' => 'e1'], 'the key “reason” is missing.'];
        yield 'a reading with no instrument' => [
            'reading',
            ['mm' => 1, 'entered' => '1', 'point' => 'lever_tip', 'engine' => 'cold', 'wheels' => 'on_ground'],
            'the key “instrument” is missing.',
        ];
    }

    /** @param  array<string, mixed>  $body */
    #[DataProvider('badBodies')]
    public function test_a_body_that_is_wrong_gets_a_sentence(string $kind, array $body, string $words): void
    {
        try {
            self::body($kind, $body);
            self::fail('It was read.');
        } catch (CoreError $refused) {
            self::assertStringContainsString($words, $refused->getMessage());
        }
    }

    /** @return iterable<string, array{string, bool}> */
    public static function times(): iterable
    {
        yield 'in universal time' => ['2026-03-03T08:40:00Z', true];
        yield 'with an offset' => ['2026-03-03T08:40:00+01:00', true];
        yield 'with thousandths' => ['2026-03-03T08:40:00.123+00:00', true];
        yield 'without an offset' => ['2026-03-03T08:40:00', false];
        yield 'a day alone' => ['2026-03-03', false];
        yield 'a day that is none' => ['2026-13-45T08:40:00Z', false];
    }

    #[DataProvider('times')]
    public function test_a_time_has_its_offset(string $text, bool $good): void
    {
        try {
            self::assertSame($text, EntryCodec::instant(Node::of($text)));
            self::assertTrue($good);
        } catch (BadFile) {
            self::assertFalse($good);
        }
    }

    /** @param  array<string, mixed>  $body */
    private static function body(string $kind, array $body): object
    {
        return (new EntryCodec(RunCodec::decode(Node::of(TestJob::clutchRun()))))
            ->entry(EntryKind::from($kind), Node::of($body), new Stamp('e9', '2026-03-03T08:40:00Z', TestJob::ines()));
    }
}
