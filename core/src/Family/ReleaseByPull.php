<?php

declare(strict_types=1);

namespace VividPull\Core\Family;

use VividPull\Core\Cable\AdjusterKind;
use VividPull\Core\Cable\HandKind;
use VividPull\Core\Cable\Part;
use VividPull\Core\Cable\Run;
use VividPull\Core\Procedure\Bearing;
use VividPull\Core\Procedure\Cure;
use VividPull\Core\Procedure\Gate;
use VividPull\Core\Procedure\GateKey;
use VividPull\Core\Procedure\JobStage;
use VividPull\Core\Procedure\Proof;
use VividPull\Core\Procedure\Suspect;
use VividPull\Core\Procedure\Symptom;
use VividPull\Core\Procedure\WearCause;
use VividPull\Core\Spec\FamilyKey;
use VividPull\Core\Spec\Spec;
use VividPull\Core\Trace\WorkingEnd;

/**
 * A walking tractor's drive that lets go as its handle is pulled. Wear makes it tighter: slacken it, or it burns.
 */
final readonly class ReleaseByPull extends DriveClutch
{
    public function key(): FamilyKey
    {
        return FamilyKey::ReleaseByPull;
    }

    public function title(): string
    {
        return 'Drive clutch, released by its pull';
    }

    public function symptoms(): array
    {
        return [
            Symptom::Weak, Symptom::Slips, Symptom::CreepsIn, Symptom::HardToShift, Symptom::DeadTravel,
            Symptom::NoSpringBack, Symptom::Heavy, Symptom::EndOfThread, Symptom::AgainAndAgain,
            Symptom::PlayChanges,
        ];
    }

    /** It lets go as the handle is drawn: how far to full drive is not what it is judged by. */
    public function measures(Spec $spec): array
    {
        return [];
    }

    public function proofs(Run $run): array
    {
        return [
            Proof::yesIsRight(
                'stands_pulled',
                'Handle drawn fully and held, in gear: no motion at all',
                GateKey::StillAtRest,
                caution: self::DRIVING,
            )
                ->running()
                ->noWants(Bearing::LessSlack)
                ->suspecting(...Suspect::ofNotReaching()),
            ...self::letGo(),
            Proof::yesIsRight(
                'springs_back',
                'Let go: the handle springs back by itself',
            )->suspecting(...Suspect::ofComingBack()),
        ];
    }

    /** @return list<Proof> what it does with the handle let go */
    private static function letGo(): array
    {
        return [
            Proof::choice(
                'drives_released',
                'Handle let go: how does it take up?',
                ['smoothly' => 'Smoothly, and it drives', 'weak' => 'Weakly, or it burns', 'none' => 'Not at all'],
                ['smoothly'],
                self::DRIVING,
            )
                ->running()
                ->erring(['weak' => Bearing::Taut, 'none' => Bearing::Taut])
                ->suspecting(...self::ofGripping()),
            Proof::choice(
                'under_load',
                'Under load, handle let go: what does it do?',
                [
                    'pulls' => 'It pulls, ground speed holds',
                    'slips' => 'Engine speed holds, ground speed drops: it slips',
                ],
                ['pulls'],
                'Light load first. '.self::DRIVING,
            )
                ->running()
                ->erring(['slips' => Bearing::Taut])
                ->suspecting(...self::ofGripping()),
        ];
    }

    /** @return list<Suspect> where it does not grip with the handle let go (common practice, no source) */
    private static function ofGripping(): array
    {
        return [
            Suspect::toReplace('a worn or burnt lining', Part::Plates),
            Suspect::of('a weak clutch spring', Cure::Spring),
            Suspect::of('a stretched, glazed or oily belt', Cure::Belt),
        ];
    }

    public function gates(): array
    {
        return [
            Gate::running(GateKey::StillAtRest, 'Stands with the handle drawn', 'It drives with the handle drawn.'),
            Gate::atRest(GateKey::WireSound, 'Inner wire sound', 'The drive wire is damaged.'),
            Gate::running(
                GateKey::NotTaut,
                'Some slack with the handle let go',
                'The drive cable is taut: the clutch is never fully on, slips and burns.',
            ),
        ];
    }

    public function cautions(JobStage $stage): array
    {
        return match ($stage) {
            JobStage::Prove => [self::PROVING.' It drives as the handle is let go.'],
            default => parent::cautions($stage),
        };
    }

    public function drift(): Drift
    {
        return Drift::ShrinksPlay;
    }

    public function imitators(): array
    {
        return [
            'It burns or slips though nothing was touched: wear has made it taut. Slacken it first.',
            'Hollow bolts first, at either end. The pinch clamp is last: it notches the wire.',
        ];
    }

    public function wearCause(Drift $seen): WearCause
    {
        return match ($seen) {
            Drift::GrowsPlay => WearCause::Stretch,
            Drift::ShrinksPlay => WearCause::Lining,
        };
    }

    public function workingEnd(): WorkingEnd
    {
        return WorkingEnd::Linkage;
    }

    /** It has a least play, which wear takes away; the trade has no figure for it. */
    public function starting(): StarterSpec
    {
        return new StarterSpec(
            HandKind::Handle,
            'Drive handle',
            'drive clutch',
            [AdjusterKind::HollowBolt, AdjusterKind::PinchClamp],
            null,
        );
    }
}
