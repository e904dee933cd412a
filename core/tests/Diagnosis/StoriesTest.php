<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Diagnosis;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use VividPull\Core\Diagnosis\Causes;
use VividPull\Core\Diagnosis\Check;
use VividPull\Core\Diagnosis\Diagnosis;
use VividPull\Core\Diagnosis\Evidence;
use VividPull\Core\Diagnosis\StepKind;
use VividPull\Core\Diagnosis\Weights;
use VividPull\Core\Spec\FamilyKey;

/**
 * Complaints as people tell them, and what it turned out to be (common practice, no source). Each look finds what is
 * there, all else is as it should be.
 */
final class StoriesTest extends TestCase
{
    /**
     * @return iterable<string, array{FamilyKey, array<string, string>, array<string, string>, string, int}> family,
     *     told, what is there to be found, what it was, most looks
     */
    public static function stories(): iterable
    {
        yield 'lever goes soft after the engine was apart' => [
            FamilyKey::ClutchLever,
            ['soft' => 'yes', 'hard_to_shift' => 'yes'],
            ['springs_felt' => 'return_only', 'arm_mark' => 'off'],
            'wrong_spline',
            5,
        ];
        yield 'slips since the last oil change, cable is right' => [
            FamilyKey::ClutchLever,
            ['slips' => 'yes', 'again_and_again' => 'no', 'bites_late' => 'no'],
            ['oil' => 'wrong'],
            'wrong_oil',
            4,
        ];
        yield 'slips, was set up tight' => [
            FamilyKey::ClutchLever,
            ['slips' => 'yes', 'bites_late' => 'yes'],
            ['play' => 'tight', 'arm_free' => 'no'],
            'too_tight',
            3,
        ];
        yield 'slips and wants setting every week' => [
            FamilyKey::ClutchLever,
            ['slips' => 'yes', 'again_and_again' => 'yes'],
            ['plates' => 'worn'],
            'worn_plates',
            8,
        ];
        yield 'barrel can be wiggled' => [
            FamilyKey::ClutchLever,
            ['wobbles' => 'yes'],
            ['perch' => 'loose'],
            'worn_barrel',
            3,
        ];
        yield 'fine in the morning, tight at noon' => [
            FamilyKey::ClutchLever,
            ['play_changes' => 'yes', 'wobbles' => 'no'],
            ['heat' => 'other'],
            'hot',
            6,
        ];
        yield 'heavy in winter' => [FamilyKey::ClutchLever, ['heavy' => 'yes'], ['drag' => 'stiff'], 'dry_cable', 5];
        yield 'idle climbs at full left' => [
            FamilyKey::TwistGrip,
            ['idle_rises' => 'yes'],
            ['steering' => 'tight', 'conduit' => 'trapped'],
            'routed_tight',
            5,
        ];
        yield 'grip stays where it is put' => [
            FamilyKey::TwistGrip,
            ['stays_open' => 'yes', 'no_spring_back' => 'yes', 'heavy' => 'yes'],
            ['grip' => 'binds'],
            'grip_binds',
            6,
        ];
        yield 'reverse goes forward' => [
            FamilyKey::SpeedSelector,
            ['wrong_direction' => 'yes'],
            ['r1' => 'forward'],
            'off_forward',
            4,
        ];
        yield 'starts only now and then' => [
            FamilyKey::Bail,
            ['starts_sometimes' => 'yes', 'rope_hard' => 'yes'],
            ['conduit' => 'shortened', 'contact' => 'half', 'brake_off' => 'drags', 'length' => 'short'],
            'shortened_conduit',
            5,
        ];
        yield 'mower wants a new rung every month' => [
            FamilyKey::SlidingDrive,
            ['weak' => 'yes', 'again_and_again' => 'yes'],
            ['belt' => 'worn', 'grass' => 'slow'],
            'stretched_belt',
            5,
        ];
        yield 'trimmer was dragged by its cable' => [
            FamilyKey::TriggerThrottle,
            ['not_wide_open' => 'yes', 'again_and_again' => 'yes'],
            ['bracket' => 'bent', 'barrel' => 'short'],
            'bent_bracket',
            5,
        ];
        yield 'cart is slow since the cable was replaced' => [
            FamilyKey::PedalThrottle,
            ['low_top_speed' => 'yes', 'dead_travel' => 'yes'],
            ['play' => 'loose', 'open' => 'short'],
            'too_loose',
            4,
        ];
        yield 'bang when park lets go' => [
            FamilyKey::ModeCables,
            ['bangs_on_unlocking' => 'yes', 'heavy' => 'no'],
            ['met' => 'met'],
            'unmet',
            5,
        ];
        yield 'auger turns with the handle up' => [
            FamilyKey::HookControl,
            ['creeps_out' => 'yes', 'heavy' => 'no', 'no_spring_back' => 'no'],
            ['rest' => 'tight', 'drive' => 'turns', 'hole' => 'wrong'],
            'too_tight',
            4,
        ];
        yield 'tiller slips in hard ground' => [
            FamilyKey::EngageByPull,
            ['slips' => 'yes', 'dead_travel' => 'yes'],
            ['play' => 'loose', 'load' => 'slips'],
            'too_loose',
            4,
        ];
        yield 'tractor slips and smells, handle let go' => [
            FamilyKey::ReleaseByPull,
            ['slips' => 'yes', 'weak' => 'yes'],
            ['play' => 'tight', 'load' => 'slips'],
            'too_tight',
            4,
        ];
        yield 'brake pulled to the bar' => [
            FamilyKey::BrakePull,
            ['does_not_hold' => 'yes', 'again_and_again' => 'yes'],
            ['shoes' => 'worn', 'play' => 'loose', 'arm' => 'past'],
            'worn_shoes',
            5,
        ];
        yield 'hydraulic lever pumps up' => [
            FamilyKey::HydraulicClutch,
            ['soft' => 'yes', 'play_changes' => 'yes'],
            ['pump' => 'harder'],
            'air',
            4,
        ];
        yield 'small bike rolls on at idle' => [
            FamilyKey::AutomaticClutch,
            ['creeps_out' => 'yes'],
            ['idle' => 'high'],
            'idle_high',
            4,
        ];
    }

    /**
     * @param  array<string, string>  $told
     * @param  array<string, string>  $there
     */
    #[DataProvider('stories')]
    public function test_it_comes_to_what_it_was(
        FamilyKey $family,
        array $told,
        array $there,
        string $was,
        int $most,
    ): void {
        $knowledge = Causes::of($family);
        $evidence = Evidence::none();
        foreach ($told as $symptom => $answer) {
            $evidence = $evidence->answered($symptom, $answer);
        }
        $looks = [];
        $next = Diagnosis::of($knowledge, Weights::ofTheTrade(), $evidence)->next;
        while ($next->kind === StepKind::Check && count($looks) < 20) {
            $looks[] = $next->key;
            $evidence = $evidence->answered($next->key, $there[$next->key] ?? Check::RIGHT);
            $next = Diagnosis::of($knowledge, Weights::ofTheTrade(), $evidence)->next;
        }

        self::assertSame([StepKind::Cure, $was], [$next->kind, $next->key], implode(', ', $looks).' → '.$next->why);
        self::assertLessThanOrEqual($most, count($looks), implode(', ', $looks));
    }
}
