<?php

declare(strict_types=1);

namespace VividPull\Core\Family;

use VividPull\Core\Cable\Run;
use VividPull\Core\Procedure\Bearing;
use VividPull\Core\Procedure\Cure;
use VividPull\Core\Procedure\Gate;
use VividPull\Core\Procedure\GateKey;
use VividPull\Core\Procedure\GuideStep;
use VividPull\Core\Procedure\JobStage;
use VividPull\Core\Procedure\Measure;
use VividPull\Core\Procedure\MeasureKey;
use VividPull\Core\Procedure\Proof;
use VividPull\Core\Procedure\Replacement;
use VividPull\Core\Procedure\Step;
use VividPull\Core\Procedure\Suspect;
use VividPull\Core\Spec\Spec;

/**
 * A walking tractor's drive clutch, worked by its handle through a cable; whether the pull engages or releases it is
 * the family's own.
 */
abstract readonly class DriveClutch extends CommonFamily
{
    protected const DRIVING = 'Outdoors: carbon monoxide kills. Start in neutral, operator in place, nobody in front.';

    protected function usualMultiple(): float
    {
        return 3.3;
    }

    /** Eyelets or a pinch clamp, washers and bushings in their order; common practice, no source. */
    public function replacing(): array
    {
        return [
            Replacement::note(
                'Photograph the route, both ends and the order of washers and bushings before anything comes off',
            ),
            Replacement::slack('Handle at rest, hollow bolts run fully home, their nuts apart'),
            GuideStep::ifFitted(
                'spring_off',
                'Return spring of the clutch arm unhooked, its hole noted',
                Replacement::SPRINGS,
            ),
            GuideStep::ifFitted(
                'clamp_off',
                'Pinch clamp open, the wire drawn out',
                'Bolts home first: the whole bolt is wanted for the new cable.',
            ),
            new GuideStep(
                'unhook',
                'Unhook both ends: pin, washer, eyelet and bushing kept in their order',
                'Still tight: give more slack, never lever it off.',
            ),
            Replacement::compare(),
            Replacement::draw(),
            Replacement::sheaths(),
            new GuideStep('hook_on', 'Both ends on: bushing, eyelet, washer, a new split pin'),
            GuideStep::ifFitted(
                'clamp_on',
                'Wire through the pinch clamp, bolts home, clamp tight',
                'Some slack, always.',
            ),
            GuideStep::ifFitted('spring_on', 'Return spring back in its hole', Replacement::SPRINGS),
            Replacement::routed(),
            Replacement::hook(),
        ];
    }

    public function makeSafe(): array
    {
        return [
            new Step(
                'engine_off',
                'Engine off, spark lead off the plug',
                'Never measure a running belt, blade or chain.',
            ),
            new Step(
                'neutral',
                'In neutral, brake set, wheels chocked',
                'On stands rated for it, never on a jack alone.',
            ),
            new Step('clear', 'Tines, blades and belt clear, everything stopped'),
            new Step(
                'manual',
                'The machine\'s own manual is at hand',
                'Manual and local law win over anything shown here.',
            ),
        ];
    }

    public function measures(Spec $spec): array
    {
        return [Measure::runningFoundToo(MeasureKey::FullDrive, 2, self::DRIVING)];
    }

    public function proofs(Run $run): array
    {
        return [
            self::atRest(),
            Proof::choice(
                'light_load',
                'Light load, on the level: how does it take up?',
                ['early' => 'Within the first inch of handle', 'late' => 'Late', 'none' => 'Not at all'],
                ['early'],
                self::DRIVING,
            )
                ->running()
                ->mayBeLeftAs(['late'])
                ->erring(['late' => Bearing::LessSlack, 'none' => Bearing::LessSlack])
                ->suspecting(...Suspect::ofSlipping(), ...Suspect::ofNotReaching()),
            Proof::choice(
                'under_load',
                'Under load: what does it do?',
                [
                    'pulls' => 'It pulls, ground speed holds',
                    'slips' => 'Engine speed holds, ground speed drops: it slips',
                ],
                ['pulls'],
                'Light load first. '.self::DRIVING,
            )
                ->running()
                ->erring(['slips' => Bearing::LessSlack])
                ->suspecting(...Suspect::ofSlipping()),
            Proof::yesIsRight(
                'springs_back',
                'Let go: the handle springs back by itself',
            )->suspecting(...Suspect::ofComingBack()),
        ];
    }

    private static function atRest(): Proof
    {
        return
            Proof::yesIsRight(
                'nothing_at_rest',
                'Handle at rest, in gear: no motion at all',
                GateKey::StillAtRest,
                caution: self::DRIVING,
            )
                ->running()
                ->noWants(Bearing::Taut)
                ->suspecting(...Suspect::ofDrivingAtRest());
    }

    public function cures(): array
    {
        return [Cure::Belt, ...parent::cures()];
    }

    public function gates(): array
    {
        return [
            Gate::running(GateKey::StillAtRest, 'Still with the handle at rest', 'It drives with the handle at rest.'),
            Gate::atRest(GateKey::WireSound, 'Inner wire sound', 'The drive wire is damaged.'),
            Gate::running(
                GateKey::NotTaut,
                'Some slack, always',
                'The drive cable is taut: the clutch is never fully off, or never fully on.',
            ),
        ];
    }

    public function cautions(JobStage $stage): array
    {
        return match ($stage) {
            JobStage::AsFound => ['Draw the handle fully three times before each reading.'],
            JobStage::Set => [
                'Give one nut room, follow with the other, count, lock, test again. Hold the wire when an old adjuster is stiff.',
            ],
            JobStage::Prove => [self::PROVING],
            default => parent::cautions($stage),
        };
    }
}
