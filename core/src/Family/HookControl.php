<?php

declare(strict_types=1);

namespace VividPull\Core\Family;

use VividPull\Core\Bench\Cure;
use VividPull\Core\Bench\JobStage;
use VividPull\Core\Cable\AdjusterKind;
use VividPull\Core\Cable\HandKind;
use VividPull\Core\Cable\Run;
use VividPull\Core\Wear\WearCause;

/**
 * A cable whose Z-bend sits in one of several holes, on the auger or drive of a snow thrower. The hole is noted before anything comes apart.
 */
final readonly class HookControl extends CommonFamily
{
    private const RUNNING = 'Outdoors: carbon monoxide kills. Auger area clear: use a stick, never a hand. Operator in place, nobody in front.';

    public function title(): string
    {
        return 'Control on hook holes';
    }

    public function lookOver(): array
    {
        return [
            new Inspection('wire', 'Inner wire and its Z-bend', 'Fray, rust, a Z-bend worn thin or opened', GateKey::WireSound),
            new Inspection('conduit', 'Conduit and route', 'Strands poking out, guide in place, clips home'),
            new Inspection('spring', 'Idler spring and idler arm', 'Belt cover off first. Spring whole, arm free, pivot greased'),
            new Inspection('belt', 'Belt and guide', 'Stretched, glazed, guide bent onto it'),
        ];
    }

    public function proofs(Run $run): array
    {
        return [
            Proof::yesIsRight('nothing_at_rest', 'Released: nothing turns', GateKey::StillAtRest, caution: self::RUNNING)->running()->noWants(Bearing::MoreSlack),
            Proof::yesIsRight('full_drive', 'Pulled: full drive before the end of its travel', caution: self::RUNNING)->running()->noWants(Bearing::LessSlack),
            Proof::yesIsRight('springs_back', 'Let go: the handle springs back by itself'),
        ];
    }

    public function gates(): array
    {
        return [
            new Gate(GateKey::StillAtRest, 'Still with the control released', 'It turns with the control released.'),
            new Gate(GateKey::WireSound, 'Inner wire sound', 'The wire or its Z-bend is damaged.'),
            new Gate(GateKey::NotTaut, 'Cable has play', 'The cable is taut: it drives with the control released.'),
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

    public function closing(): array
    {
        return [
            new Step('restored', 'What was moved aside is back and tried, tools are out'),
        ];
    }

    public function refit(): array
    {
        return [new Step('guards', 'Idler spring, idler arm, guide, cable: in reverse, then the belt cover', 'Nothing is run before they are.')];
    }

    public function cautions(JobStage $stage): array
    {
        return match ($stage) {
            JobStage::Set => ['Note which hole before anything comes apart. Hold the wire when an old adjuster is stiff. Belt cover off, idler spring, idler arm, guide, cable.'],
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

    /** The trade has no figure: nothing turns released, full drive pulled. */
    public function starting(): Starting
    {
        return new Starting(HandKind::Handle, 'Auger handle', 'auger clutch', [AdjusterKind::HookHoles], null);
    }
}
