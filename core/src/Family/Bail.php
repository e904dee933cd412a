<?php

declare(strict_types=1);

namespace VividPull\Core\Family;

use VividPull\Core\Cable\AdjusterKind;
use VividPull\Core\Cable\HandKind;
use VividPull\Core\Cable\Part;
use VividPull\Core\Cable\Run;
use VividPull\Core\Procedure\Cure;
use VividPull\Core\Procedure\Gate;
use VividPull\Core\Procedure\GateKey;
use VividPull\Core\Procedure\GuideStep;
use VividPull\Core\Procedure\Inspection;
use VividPull\Core\Procedure\JobStage;
use VividPull\Core\Procedure\Measure;
use VividPull\Core\Procedure\MeasureKey;
use VividPull\Core\Procedure\Proof;
use VividPull\Core\Procedure\Replacement;
use VividPull\Core\Procedure\Step;
use VividPull\Core\Procedure\Suspect;
use VividPull\Core\Procedure\Symptom;
use VividPull\Core\Spec\FamilyKey;
use VividPull\Core\Spec\Spec;
use VividPull\Core\Spec\TimeLimit;
use VividPull\Core\Trace\WorkingEnd;

/**
 * The operator-presence bail of a walking mower. Closed: brake fully off the flywheel, stop contact fully open.
 * Released: brake on, engine grounded; where a blade clutch lets the engine run on, the blade is judged. Often there is
 * no adjuster: the cure is route, mount or part.
 */
final readonly class Bail extends CommonFamily
{
    private const POPPED = 'Bail pressed in and popped out of its hole: no tension on the cable';

    public function key(): FamilyKey
    {
        return FamilyKey::Bail;
    }

    public function worksWhileHeld(): bool
    {
        return true;
    }

    public function title(): string
    {
        return 'Operator-presence bail';
    }

    public function consumables(): array
    {
        return ['light oil', 'cable ties', 'rag'];
    }

    public function moved(): string
    {
        return 'bail';
    }

    public function allowsByChoice(): bool
    {
        return false;
    }

    public function symptoms(): array
    {
        return [
            Symptom::StartsSometimes, Symptom::RopeHard, Symptom::RunsOn, Symptom::NoSpringBack, Symptom::Heavy,
            Symptom::AgainAndAgain,
        ];
    }

    public function makeSafe(): array
    {
        return [
            new Step(
                'engine_off',
                'Engine off, spark lead off the plug',
                'A blade turned by hand can start the engine.',
            ),
            new Step(
                'clear',
                'Blade stopped, its area clear',
                'Never look under a deck to see it. Fuel tap shut and tank low before a machine is laid on its side.',
            ),
            new Step(
                'tension',
                'Bail pressed to free the tension before its clip is touched',
                'Springs store force: mind eyes and fingers. Pliers on the clip\'s wings, never on its ends.',
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
            new Inspection('wire', 'Inner wire', 'Fray, stretch, coiled set of a new cable', GateKey::WireSound),
            new Inspection(
                'conduit',
                'Conduit and route',
                'Spiral strands poking out have shortened it; under a folding handle, gentle bends, ties low down',
            ),
            new Inspection('peg', 'Peg, clip and mount', 'A broken peg imitates a bad cable'),
            new Inspection('brake', 'Flywheel brake and stop contact', 'Lining worn, contact bent or dirty'),
        ];
    }

    public function measures(Spec $spec): array
    {
        return [Measure::running(
            MeasureKey::BladeStop,
            3,
            GateKey::BladeStops,
            'Outdoors: carbon monoxide kills. Deck clear, feet and hands clear. Never look under the deck: listen.',
        )->suspecting(...self::ofTheBrake())];
    }

    public function proofs(Run $run): array
    {
        return [
            Proof::yesIsRight(
                'brake_off',
                'Bail closed: the brake is fully off the flywheel',
                caution: 'Starter rope hard to pull with the bail closed: the brake is still on.',
            )->foundToo()->suspecting(...self::ofTheCable()),
            Proof::yesIsRight(
                'contact_open',
                'Bail closed: the stop contact is fully open',
                caution: 'Half open, it starts only sometimes.',
            )
                ->foundToo()
                ->mayBeHidden()
                ->suspecting(...[...self::ofTheCable(), Suspect::of('a bent or dirty stop contact')]),
            Proof::yesIsRight('brake_on', 'Bail released: the brake is on', GateKey::BrakeHolds)
                ->foundToo()
                ->suspecting(...self::ofTheBrake()),
            Proof::choice('stops', 'Bail let go while running: what happens?', [
                'engine_stops' => 'Engine and blade stop',
                'blade_stops' => 'Blade clutch: the engine runs on, the blade stops', 'runs_on' => 'The blade goes on',
            ], [
                'engine_stops',
                'blade_stops',
            ], 'Outdoors: carbon monoxide kills. Deck clear, feet and hands clear, nobody near.', GateKey::StillAtRest)->running()->suspecting(...self::ofTheBrake()),
        ];
    }

    /** @return list<Suspect> where the bail does not draw far enough (common practice, no source) */
    private static function ofTheCable(): array
    {
        return [
            Suspect::of('a broken peg, or a mount that gave way', Cure::Mount),
            Suspect::of('a conduit off its route, or pinched under the folding handle', Cure::Route),
            Suspect::toReplace('a stretched wire, or a conduit whose strands poke out and have shortened it', Part::Cable),
        ];
    }

    /** @return list<Suspect> where the brake does not come on, or not in time (common practice, no source) */
    private static function ofTheBrake(): array
    {
        return [
            Suspect::of('a weak or unhooked brake spring', Cure::Spring),
            Suspect::of('a dry wire that lets the brake on slowly', Cure::Oiled),
            Suspect::of('a conduit off its route, or pinched under the folding handle', Cure::Route),
            Suspect::toReplace('a worn or oily brake lining', Part::Plates),
        ];
    }

    public function gates(): array
    {
        return [
            Gate::running(GateKey::BladeStops, 'Blade stops in time', 'The blade takes too long to stop.'),
            Gate::running(
                GateKey::StillAtRest,
                'Blade stops when the bail is let go',
                'The blade goes on with the bail released.',
            ),
            Gate::atRest(GateKey::BrakeHolds, 'Brake on when released', 'The brake does not come on.'),
            Gate::atRest(GateKey::WireSound, 'Inner wire sound', 'The bail wire is damaged.'),
        ];
    }

    public function imitators(): array
    {
        return [
            'A broken peg imitates a bad cable.',
            'Conduit strands poking out have shortened it: no adjuster cures that.',
        ];
    }

    /** Engine end first on, bail last (common practice, no source). */
    public function replacing(): array
    {
        return [
            Replacement::note('Photograph the route, the ties and both fittings before anything comes off'),
            Replacement::slack(self::POPPED, Replacement::SPRINGS),
            GuideStep::ifFitted('ties_off', 'Cut the ties'),
            new GuideStep('upper_off', 'Upper end turned sideways and out of the handle'),
            new GuideStep(
                'engine_off_end',
                'Engine end: the L-shaped end straight out and turned, the mount pushed through',
                'Pliers squeeze the wings of the mount only, never the ends.',
            ),
            Replacement::compare(),
            new GuideStep('straightened', 'Straighten the coil out of the new cable'),
            new GuideStep(
                'engine_end_on',
                'Engine end first: hooked from below, the mount pushed by hand until both wings lock',
            ),
            new GuideStep(
                'routed',
                'Laid along the underside of the handle, in gentle bends',
                'Under a folding handle: fold it once and look that nothing is pinched.',
            ),
            new GuideStep('upper_on', 'Upper end turned sideways in, on the inside of the handle', 'Never forced.'),
            new GuideStep('bail_on', 'Bail back in its hole, last'),
            new GuideStep(
                'ties_on',
                'New ties near the bottom and near the end',
                'Branches catch a loose cable; a tie in the middle pulls on it.',
            ),
            GuideStep::ifFitted(
                'oiled',
                'Stored damp: a few drops of light oil worked in',
                'Oil, not grease: grease stiffens in the cold.',
            ),
            Replacement::hook(),
        ];
    }

    public function closing(): array
    {
        return [
            new Step('restored', 'What was moved aside is back, tools are out'),
        ];
    }

    public function refit(): array
    {
        return [
            new Step('guards', 'Guards and covers back on, ties new and low down', 'Nothing is run before they are.'),
            new Step('spark_lead', 'Tools out, then the spark lead back on'),
        ];
    }

    public function cautions(JobStage $stage): array
    {
        return match ($stage) {
            JobStage::AsFound => ['Engine off for these. Draw the bail fully three times.'],
            JobStage::Set => ['Light oil in the conduit, not grease, which stiffens in the cold.'],
            JobStage::Prove => [self::PROVING],
            default => parent::cautions($stage),
        };
    }

    public function workingEnd(): WorkingEnd
    {
        return WorkingEnd::BrakeBand;
    }

    /** The blade stops within 3.0 s of letting go (16 CFR 1205.5(a)(1), walk-behind rotary mowers in the US). */
    public function starting(): StarterSpec
    {
        return new StarterSpec(
            HandKind::Bail,
            'Operator bail',
            'brake and stop',
            [AdjusterKind::None],
            null,
            [TimeLimit::seconds(3)],
        );
    }
}
