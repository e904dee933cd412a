<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Wire;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use VividPull\Core\Family\Families;
use VividPull\Core\Quantity\Steps;
use VividPull\Core\Quantity\StepUnit;
use VividPull\Core\Spec\FamilyKey;
use VividPull\Core\Spec\OutcomeTable;
use VividPull\Core\Spec\SourceKind;
use VividPull\Core\Wire\Node;
use VividPull\Core\Wire\RunCodec;
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
    public function test_every_family_has_a_run_that_can_be_read_and_a_spec_once_a_figure_is_there(FamilyKey $key): void
    {
        $starting = StartingSpec::of($key);
        $run = RunCodec::decode(Node::of($starting['run']));
        self::assertSame(Families::of($key)->starting()->workingEnd, $run->workingEnd);
        $isEmpty = ! isset($starting['spec']['aim']) && ! isset($starting['spec']['others']) && Families::of($key)->notSettable() === null;
        $spec = SpecCodec::decode(Node::of($starting['spec'] + ($isEmpty ? ['aim' => ['kind' => SpecCodec::AIM, 'point' => 'lever_tip', 'low_mm' => 1, 'high_mm' => 2]] : [])));
        self::assertSame(SourceKind::CommonPractice, $spec->source->kind);
        self::assertStringStartsWith("Common practice, no maker's figure: ", $spec->source->say());
    }

    public function test_the_figures_of_the_trade(): void
    {
        // Common practice, no source.
        $said = array_map(static fn (FamilyKey $key): ?string => Families::of($key)->starting()->practice?->say(), [FamilyKey::ClutchLever, FamilyKey::TwistGrip, FamilyKey::TriggerThrottle, FamilyKey::EngageByPull, FamilyKey::BrakePull]);

        self::assertSame(['3 to 5 mm at the lever tip', '2 to 6 mm at the grip flange', 'at most 1.59 mm at the carburettor barrel', 'at most 25.4 mm at the handle', null], $said);
    }

    public function test_mode_cables_begin_with_bevels_so_that_four_turns_are_four_turns(): void
    {
        $starting = StartingSpec::of(FamilyKey::ModeCables);
        $run = RunCodec::decode(Node::of($starting['run']));
        $table = SpecCodec::decode(Node::of($starting['spec']))->other(OutcomeTable::class);
        foreach ($table->movers ?? self::fail('no table') as $id => $mover) {
            $counting = $run->adjuster($id)?->counting() ?? self::fail("no {$id}");
            self::assertSame(StepUnit::Bevel, $counting->unit);
            self::assertEqualsWithDelta(4.0, $table->mostAtOnce * $counting->each->count / Steps::PER_TURN, 1e-9);
        }
    }
}
