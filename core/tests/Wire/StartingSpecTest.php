<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Wire;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use VividPull\Core\Cable\Adjuster;
use VividPull\Core\Family\Families;
use VividPull\Core\Input\Node;
use VividPull\Core\Quantity\Steps;
use VividPull\Core\Quantity\StepUnit;
use VividPull\Core\Spec\FamilyKey;
use VividPull\Core\Spec\OutcomeTable;
use VividPull\Core\Spec\SourceKind;
use VividPull\Core\Wire\RunDraft;
use VividPull\Core\Wire\SpecCodec;
use VividPull\Core\Wire\StartingSpec;

final class StartingSpecTest extends TestCase
{
    /** @return iterable<string, array{FamilyKey}> */
    public static function families(): iterable
    {
        foreach (FamilyKey::cases() as $key) {
            yield $key->value => [$key];
        }
    }

    #[DataProvider('families')]
    public function test_every_family_begins_with_a_draft_that_can_be_saved_and_names_what_is_empty(FamilyKey $key): void
    {
        $starting = StartingSpec::of($key);
        $draft = RunDraft::of(Node::of($starting['run']));
        self::assertSame(Families::of($key)->starting()->workingEnd, $draft->run->workingEnd);
        $measured = array_filter(
            $draft->run->adjusters(),
            static fn (Adjuster $one): bool => $one->kind()->measuredBy() !== 'nothing',
        );
        self::assertCount(2 * count($measured), $draft->missing, 'a thread and its travel, or a step and how many');
        $spec = SpecCodec::draft(Node::of($starting['spec']));
        self::assertSame(SourceKind::CommonPractice, $spec->source->kind);
        self::assertStringStartsWith("Common practice, no maker's figure: ", $spec->source->say());
    }

    /**
     * A figure without a source is an empty field: what the trade has no figure for is nowhere filled in as if it had
     * one.
     */
    #[DataProvider('families')]
    public function test_nothing_of_a_machine_is_made_up(FamilyKey $key): void
    {
        $starting = StartingSpec::of($key);
        $invented = [
            'thread', 'pitch_mm', 'travel_mm', 'healthy_mm', 'mm_per_step', 'travel_steps', 'access',
            'pivot_to_wire_mm', 'pivot_to_point_mm', 'drum_radius_mm', 'flange_radius_mm', 'stroke_mm', 'arc_mm',
            'at_most_kmh', 'tyre_mm', 'full_by_mm', 'pull_n',
        ];
        array_walk_recursive(
            $starting,
            static fn (mixed $value, int|string $name) => self::assertNotContains($name, $invented),
        );
        $table = SpecCodec::draft(Node::of($starting['spec']))->other(OutcomeTable::class);
        foreach ($key === FamilyKey::SpeedSelector ? [] : $table->settings ?? [] as $setting) {
            foreach ($setting->sees as $word) {
                self::assertTrue(
                    $word->provesNothing || $word->stands !== null,
                    "{$setting->label}: {$word->label} has figures that no book gives",
                );
            }
        }
    }

    public function test_the_figures_of_the_trade(): void
    {
        // Common practice, no source.
        $said = array_map(
            static fn (FamilyKey $key): ?string => Families::of($key)->starting()->practice?->say(),
            [
                FamilyKey::ClutchLever,
                FamilyKey::TwistGrip,
                FamilyKey::TriggerThrottle,
                FamilyKey::EngageByPull,
                FamilyKey::BrakePull,
            ],
        );

        self::assertSame(
            [
                '3 to 5 mm at the lever tip',
                '2 to 6 mm at the grip flange',
                'at most 1.59 mm at the carburettor barrel',
                'at most 25.4 mm at the handle',
                null,
            ],
            $said,
        );
    }

    public function test_mode_cables_begin_with_bevels_so_that_four_turns_are_four_turns(): void
    {
        $starting = StartingSpec::of(FamilyKey::ModeCables);
        $run = RunDraft::of(Node::of($starting['run']))->run;
        $table = SpecCodec::decode(Node::of($starting['spec']))->other(OutcomeTable::class);
        foreach ($table->movers ?? self::fail('no table') as $id => $mover) {
            $counting = $run->adjuster($id)?->counting() ?? self::fail("no {$id}");
            self::assertSame(StepUnit::Bevel, $counting->unit);
            self::assertEqualsWithDelta(4.0, $table->mostAtOnce * $counting->each->count / Steps::PER_TURN, 1e-9);
        }
    }
}
