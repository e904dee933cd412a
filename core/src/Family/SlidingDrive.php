<?php

declare(strict_types=1);

namespace VividPull\Core\Family;

use VividPull\Core\Cable\AdjusterKind;
use VividPull\Core\Cable\HandKind;
use VividPull\Core\Cable\Run;
use VividPull\Core\Procedure\Bearing;
use VividPull\Core\Procedure\Cure;
use VividPull\Core\Procedure\Gate;
use VividPull\Core\Procedure\GateKey;
use VividPull\Core\Procedure\GuideStep;
use VividPull\Core\Procedure\Inspection;
use VividPull\Core\Procedure\JobStage;
use VividPull\Core\Procedure\Proof;
use VividPull\Core\Procedure\Replacement;
use VividPull\Core\Procedure\Step;
use VividPull\Core\Procedure\Suspect;
use VividPull\Core\Procedure\Symptom;
use VividPull\Core\Procedure\WearCause;
use VividPull\Core\Quantity\StepUnit;
use VividPull\Core\Spec\FamilyKey;
use VividPull\Core\Spec\Mover;
use VividPull\Core\Spec\OutcomeSetting;
use VividPull\Core\Spec\OutcomeTable;
use VividPull\Core\Spec\OutcomeWord;
use VividPull\Core\Spec\Stands;
use VividPull\Core\Trace\WorkingEnd;

/**
 * A mower's drive set by sliding a toothed conduit in its clamp, a rung at a time. Often no figure exists: the target
 * is what it does. It drives when pushed, stands at rest, rolls back freely, and the handle returns by itself.
 */
final readonly class SlidingDrive extends CommonFamily
{
    private const RUNG = StepUnit::Rung->value;

    public function key(): FamilyKey
    {
        return FamilyKey::SlidingDrive;
    }

    public function worksWhileHeld(): bool
    {
        return true;
    }

    public function title(): string
    {
        return 'Sliding drive handle';
    }

    public function consumables(): array
    {
        return [...parent::consumables(), 'pen for the home mark'];
    }

    /**
     * What is bounded where no figure exists: the rung at which it drives and does not creep.
     *
     * @param  string  $clamp  the adjuster
     */
    public static function table(string $clamp): OutcomeTable
    {
        return OutcomeTable::of('conduit', self::RUNG, 'towards more drive', 'towards less drive', [
            OutcomeSetting::of('drive', 'Pushed, on a hard floor', 0.0, 'right', [
                OutcomeWord::standing('right', 'It drives, and stands when let go', Stands::Right, self::RUNG),
                OutcomeWord::standing('slow', 'Slow, or not at all', Stands::Short, self::RUNG),
                OutcomeWord::standing('creeps', 'It creeps with the handle released', Stands::Past, self::RUNG),
            ], [], true),
        ], [Mover::of($clamp, 1.0, 1, 0.0)], 1.0, 2.0);
    }

    public function symptoms(): array
    {
        return [
            Symptom::Weak, Symptom::CreepsOut, Symptom::HardToPullBack, Symptom::NoSpringBack,
            Symptom::AgainAndAgain, Symptom::Heavy,
        ];
    }

    public function makeSafe(): array
    {
        return [
            new Step('engine_off', 'Engine off, spark lead off the plug', 'Never measure a running belt or blade.'),
            new Step(
                'clear',
                'Blade stopped, drive wheels clear, on a level hard floor',
                'Fuel tap shut and tank low before a machine is laid on its side.',
            ),
            new Step(
                'manual',
                'The machine\'s own manual is at hand',
                'Manual and local law win over anything shown here.',
            ),
        ];
    }

    public function lookOver(): array
    {
        return [
            new Inspection('wire', 'Inner wire', 'Fray behind the end fittings, rust, kinks', GateKey::WireSound),
            new Inspection(
                'conduit',
                'Toothed conduit and clamp',
                'Teeth stripped, seat cracked; mark where it stands first',
            ),
            new Inspection('handle', 'Handle', 'Falls forward: a broken spring'),
            new Inspection('belt', 'Belt and its cover', 'Stretched, glazed, off its wheel'),
        ];
    }

    public function proofs(Run $run): array
    {
        return [
            Proof::yesIsRight(
                'nothing_at_rest',
                'Handle released: it does not creep',
                GateKey::StillAtRest,
                caution: 'Outdoors: carbon monoxide kills. Hard floor, blade off, hands clear of the wheels, nobody in front.',
            )
                ->running()
                ->noWants(Bearing::MoreSlack)
                ->suspecting(...Suspect::ofDrivingAtRest()),
            Proof::yesIsRight(
                'rolls_back',
                'Handle released: it rolls back freely',
                caution: 'Hard to pull back is a drive that does not let go: try it both ways.',
            )->noWants(Bearing::MoreSlack)->suspecting(...Suspect::ofDrivingAtRest()),
            Proof::yesIsRight(
                'handle_returns',
                'Let go: the handle returns by itself',
            )->suspecting(...Suspect::ofComingBack()),
            Proof::choice(
                'on_grass',
                'On grass, under load: how does it drive?',
                ['well' => 'It drives', 'slow' => 'Slow', 'slips' => 'It slips'],
                ['well'],
                'Outdoors: carbon monoxide kills. Nobody in front. Hard floor first, then grass: load slows it.',
            )
                ->running()
                ->erring(['slow' => Bearing::LessSlack])
                ->suspecting(...Suspect::ofSlipping()),
        ];
    }

    public function tryingCaution(): string
    {
        return 'Outdoors: carbon monoxide kills. Belt cover on, hard floor, blade off, nobody in front.';
    }

    public function gates(): array
    {
        return [
            Gate::running(
                GateKey::StillAtRest,
                'Still with the handle released',
                'It drives with the handle released.',
            ),
            Gate::atRest(GateKey::WireSound, 'Inner wire sound', 'The drive wire is damaged.'),
        ];
    }

    public function cures(): array
    {
        return [Cure::Belt, ...parent::cures()];
    }

    public function imitators(): array
    {
        return ['Needed again and again: a stretched belt.', 'Handle falls forward: a broken spring, not the cable.'];
    }

    public function againAndAgain(): string
    {
        return 'Look at the belt: a stretched one asks for it again and again.';
    }

    /** After the first four or five uses of a new machine (common practice, no source). */
    public function bedsIn(): bool
    {
        return true;
    }

    public function replacing(): array
    {
        return [
            Replacement::note('Photograph the route and mark the rung that the clamp holds'),
            Replacement::slack('Clamp bolt loosened a few turns, conduit slid out of its teeth'),
            new GuideStep(
                'unhook',
                'Unhook both ends: at the handle, and at the drive under its belt cover',
                Replacement::SPRINGS,
            ),
            Replacement::compare(),
            Replacement::draw(),
            Replacement::sheaths(),
            new GuideStep('hook_on', 'Hook both ends: at the drive, then at the handle'),
            Replacement::routed(),
            new GuideStep(
                'rung',
                'Conduit into the clamp at the marked rung, bolt tight',
                'The seat is plastic: not hard.',
            ),
            Replacement::hook(),
        ];
    }

    public function cautions(JobStage $stage): array
    {
        return match ($stage) {
            JobStage::AsFound => [self::CARBON_MONOXIDE.' Hard floor, blade off.'],
            JobStage::Set => ['Mark home first. One or two rungs, tightened gently: the seat is plastic.'],
            JobStage::Prove => [self::PROVING.' Again after the first four or five uses of a new machine.'],
            default => parent::cautions($stage),
        };
    }

    public function wearCause(Drift $seen): WearCause
    {
        return match ($seen) {
            Drift::GrowsPlay => WearCause::Belt,
            Drift::ShrinksPlay => WearCause::Tightening,
        };
    }

    public function workingEnd(): WorkingEnd
    {
        return WorkingEnd::Belt;
    }

    /** No figure: it drives when pushed, and stands when let go. */
    public function starting(): StarterSpec
    {
        return new StarterSpec(
            HandKind::Handle,
            'Drive handle',
            'drive clutch',
            [AdjusterKind::RungClamp],
            null,
            [self::table(AdjusterKind::RungClamp->value)],
        );
    }
}
