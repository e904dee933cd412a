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
 * A cable whose Z-bend sits in one of several holes, on the auger or drive of a snow thrower. The hole is noted before
 * anything comes apart.
 */
final readonly class HookControl extends CommonFamily
{
    public function key(): FamilyKey
    {
        return FamilyKey::HookControl;
    }

    private const RUNNING = 'Outdoors: carbon monoxide kills. Auger area clear: use a stick, never a hand. Operator in place, nobody in front.';

    public function worksWhileHeld(): bool
    {
        return true;
    }

    public function title(): string
    {
        return 'Control on hook holes';
    }

    public function symptoms(): array
    {
        return [Symptom::CreepsOut, Symptom::Weak, Symptom::NoSpringBack, Symptom::AgainAndAgain, Symptom::Heavy];
    }

    public function lookOver(): array
    {
        return [
            new Inspection(
                'wire',
                'Inner wire and its Z-bend',
                'Fray, rust, a Z-bend worn thin or opened',
                GateKey::WireSound,
            ),
            new Inspection('conduit', 'Conduit and route', 'Strands poking out, guide in place, clips home'),
            new Inspection(
                'spring',
                'Idler spring and idler arm',
                'Belt cover off first. Spring whole, arm free, pivot greased',
            ),
            new Inspection('belt', 'Belt and guide', 'Stretched, glazed, guide bent onto it'),
        ];
    }

    public function proofs(Run $run): array
    {
        return [
            Proof::yesIsRight(
                'nothing_at_rest',
                'Released: nothing turns',
                GateKey::StillAtRest,
                caution: self::RUNNING,
            )
                ->running()
                ->noWants(Bearing::Taut)
                ->suspecting(...Suspect::ofDrivingAtRest()),
            Proof::yesIsRight('full_drive', 'Pulled: full drive before the end of its travel', caution: self::RUNNING)
                ->running()
                ->noWants(Bearing::LessSlack)
                ->suspecting(...Suspect::ofSlipping(), ...Suspect::ofNotReaching()),
            Proof::yesIsRight(
                'springs_back',
                'Let go: the handle springs back by itself',
            )->suspecting(...Suspect::ofComingBack()),
        ];
    }

    public function gates(): array
    {
        return [
            Gate::running(
                GateKey::StillAtRest,
                'Still with the control released',
                'It turns with the control released.',
            ),
            Gate::atRest(GateKey::WireSound, 'Inner wire sound', 'The wire or its Z-bend is damaged.'),
            Gate::running(
                GateKey::NotTaut,
                'Cable has play',
                'The cable is taut: it drives with the control released.',
            ),
        ];
    }

    public function cures(): array
    {
        return [Cure::Belt, ...parent::cures()];
    }

    public function imitators(): array
    {
        return ['Needed again and again: a stretched belt.', 'A broken idler spring feels like a slack cable.'];
    }

    public function replacing(): array
    {
        return [
            new GuideStep('cover_off', 'Belt cover off'),
            GuideStep::ifFitted('spring_off', 'Idler spring and its clip off, with pliers', Replacement::SPRINGS),
            GuideStep::ifFitted('belt_off', 'Belt off the idler'),
            GuideStep::ifFitted(
                'arm_off',
                'Nut of the idler arm off, its bolt held inside the housing; the cable off the arm',
                'Spark lead off before a hand goes into the housing.',
            ),
            GuideStep::ifFitted('guide_off', 'Cable guide: its nut held, its bolt out'),
            Replacement::note('Lift the sleeve and note the hole: picture, or count it'),
            Replacement::slack('Z-end out of its hole'),
            Replacement::compare(),
            new GuideStep('hole_on', 'New Z-end up through the slot at the bottom of the adjuster, into the same hole'),
            Replacement::draw(),
            GuideStep::ifFitted('guide_on', 'Guide and its cap in line on the back of the housing, bolt and nut'),
            GuideStep::ifFitted('arm_on', 'Z-end into the arm: washer, arm, bushing, nut'),
            GuideStep::ifFitted('belt_on', 'Belt back on the idler'),
            GuideStep::ifFitted('spring_on', 'Spring clip in the frame, spring to clip and arm', Replacement::SPRINGS),
            Replacement::hook(),
        ];
    }

    public function closing(): array
    {
        return [
            new Step('restored', 'What was moved aside is back and tried, tools are out'),
        ];
    }

    public function refit(): array
    {
        return [new Step(
            'guards',
            'Idler spring, idler arm, guide, cable: in reverse, then the belt cover',
            'Nothing is run before they are.',
        )];
    }

    public function cautions(JobStage $stage): array
    {
        return match ($stage) {
            JobStage::Set => [
                'Note which hole before anything comes apart. Hold the wire when an old adjuster is stiff. Belt cover off, idler spring, idler arm, guide, cable.',
            ],
            JobStage::Prove => [self::PROVING],
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

    /**
     * What is bounded where no figure exists: the hole at which it drives fully and stands when let go.
     *
     * @param  string  $holes  the adjuster
     */
    public static function table(string $holes): OutcomeTable
    {
        $hole = StepUnit::Hole->value;

        return OutcomeTable::of('Z-bend', $hole, 'tighter', 'looser', [
            OutcomeSetting::of('drive', 'Pulled, then let go', 0.0, 'right', [
                OutcomeWord::standing('right', 'Full drive, and nothing turns when let go', Stands::Right, $hole),
                OutcomeWord::standing('slips', 'It slips, or hardly turns', Stands::Short, $hole),
                OutcomeWord::standing('turns', 'It turns when let go', Stands::Past, $hole),
            ], [], true),
        ], [Mover::of($holes, 1.0, 1, 0.0)], 1.0, 1.0);
    }

    public function tryingCaution(): string
    {
        return 'Belt cover on. '.self::RUNNING;
    }

    public function workingEnd(): WorkingEnd
    {
        return WorkingEnd::Belt;
    }

    /** The trade has no figure: nothing turns released, full drive pulled. */
    public function starting(): StarterSpec
    {
        return new StarterSpec(
            HandKind::Handle,
            'Auger handle',
            'auger clutch',
            [AdjusterKind::HookHoles],
            null,
            [self::table(AdjusterKind::HookHoles->value)],
        );
    }
}
