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
use VividPull\Core\Procedure\Proof;
use VividPull\Core\Procedure\Suspect;
use VividPull\Core\Procedure\Symptom;
use VividPull\Core\Spec\FamilyKey;
use VividPull\Core\Trace\WorkingEnd;

/** Any other cable that is pulled by hand, with play between two edges. */
final readonly class OtherControl extends CommonFamily
{
    public function key(): FamilyKey
    {
        return FamilyKey::OtherControl;
    }

    private const RUNNING = 'Where it runs: outdoors, carbon monoxide kills. Clear of everything that turns. Operator in place, nobody in front.';

    public function title(): string
    {
        return 'Other control';
    }

    public function symptoms(): array
    {
        return [
            Symptom::CreepsOut, Symptom::DeadTravel, Symptom::Heavy, Symptom::NoSpringBack, Symptom::Drags,
            Symptom::DoesNotHold, Symptom::PlayChanges, Symptom::EndOfThread, Symptom::Wobbles,
            Symptom::AgainAndAgain,
        ];
    }

    public function proofs(Run $run): array
    {
        return [
            Proof::yesIsRight(
                'nothing_at_rest',
                'Released: nothing moves, nothing drags',
                GateKey::StillAtRest,
                caution: self::RUNNING,
            )
                ->running()
                ->noWants(Bearing::Taut)
                ->suspecting(
                    Suspect::of('a weak spring', Cure::Spring),
                    Suspect::of('a stiff pivot', Cure::Oiled),
                    Suspect::of('something that drags'),
                ),
            Proof::yesIsRight(
                'works_fully',
                'Pulled: it works fully before the end of its travel',
                caution: self::RUNNING,
            )
                ->running()
                ->noWants(Bearing::LessSlack)
                ->suspecting(...Suspect::ofNotReaching()),
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
                'It moves with the control released.',
            ),
            Gate::atRest(GateKey::WireSound, 'Inner wire sound', 'The wire is damaged.'),
            Gate::running(GateKey::NotTaut, 'Cable has play', 'The cable is taut: it works with the control released.'),
        ];
    }

    public function workingEnd(): WorkingEnd
    {
        return WorkingEnd::Linkage;
    }

    /** No figure of its own. */
    public function starting(): StarterSpec
    {
        return new StarterSpec(HandKind::Handle, 'Handle', 'working end', [AdjusterKind::Barrel], null);
    }
}
