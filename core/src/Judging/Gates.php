<?php

declare(strict_types=1);

namespace VividPull\Core\Judging;

use VividPull\Core\Cable\Part;
use VividPull\Core\Cable\Run;
use VividPull\Core\Facts\Facts;
use VividPull\Core\Family\Families;
use VividPull\Core\Family\Family;
use VividPull\Core\Log\Entry\PartFitted;
use VividPull\Core\Log\Finding;
use VividPull\Core\Measurement\VerdictKind;
use VividPull\Core\Procedure\Gate;
use VividPull\Core\Procedure\GateKey;
use VividPull\Core\Procedure\Inspection;
use VividPull\Core\Procedure\PackFindings;
use VividPull\Core\Procedure\Proof;
use VividPull\Core\Spec\Spec;
use VividPull\Core\Trace\Reached;

/**
 * The hard gates of a family. All passed: it may be fit for use. Any failed: only a tag ends the job. Any unknown: it
 * cannot be closed, and the sentence names what was not tried.
 */
final readonly class Gates
{
    /** The chance of play above zero that the gate asks for. */
    public const SURE = 0.95;

    /**
     * @param  array<string, Verdict>  $poses  by what is said of them: bars straight, bars full left, backward
     * @param  list<MeasureState>  $measures
     * @return list<GateState>
     */
    public static function states(Spec $spec, Run $run, Facts $facts, array $poses, array $measures): array
    {
        $family = Families::of($spec->family);
        $pack = PackState::of($spec, $facts);
        $here = array_values(array_filter($family->gates(), static fn (Gate $gate): bool => match ($gate->key) {
            GateKey::PackSound => $pack !== null && self::isPackSeen($pack, $facts),
            GateKey::SpringsReached => self::curve($facts) === Reached::ReturnOnly
                || self::asksHand($spec, $run, $gate),
            default => true,
        }));

        return array_map(static fn (Gate $gate): GateState => match ($gate->key) {
            GateKey::WireSound => self::inspected($family, $gate, $facts),
            GateKey::NotTaut => self::notTaut($gate, $poses),
            GateKey::SnapShut, GateKey::WireInGroove, GateKey::StillAtRest, GateKey::BrakeHolds, GateKey::Releases,
            GateKey::ArmFree => self::proved($spec->proofs($run), $gate, $facts),
            GateKey::SpringsReached => self::springsReached($spec, $run, $gate, $facts),
            GateKey::PackSound => self::pack($gate, $pack, $facts),
            GateKey::BladeStops, GateKey::SpeedGoverned => self::measured($gate, $measures),
        }, $here);
    }

    private static function inspected(Family $family, Gate $gate, Facts $facts): GateState
    {
        foreach ($family->lookOver() as $inspection) {
            if ($inspection->gate !== $gate->key) {
                continue;
            }
            $found = $facts->answers->inspected[$inspection->key] ?? null;
            if ($found === null) {
                return new GateState($gate, GateStatus::Unknown, "{$inspection->label}: not looked over yet.");
            }
            if ($found->finding === Finding::Fault) {
                return new GateState($gate, GateStatus::Failed, $gate->failure);
            }
        }

        return new GateState($gate, GateStatus::Passed, $gate->title);
    }

    /**
     * Passed only when every run that makes it whole was made and the value is clearly inside its limit; where the spec
     * has no limit there is nothing to hold it against.
     *
     * @param  list<MeasureState>  $measures
     */
    private static function measured(Gate $gate, array $measures): GateState
    {
        foreach ($measures as $state) {
            if ($state->measure->gate !== $gate->key) {
                continue;
            }
            if ($state->verdict->kind->isOutside()) {
                return new GateState($gate, GateStatus::Failed, $gate->failure);
            }
            if (! $state->isWhole() || ! $state->verdict->is(VerdictKind::Inside)) {
                return new GateState(
                    $gate,
                    GateStatus::Unknown,
                    "{$gate->title}: "
                        .lcfirst(
                            $state->found === null
                                ? 'Not measured yet'
                                : ($state->isWhole()
                                    ? $state->verdict->sentence
                                    : count($state->values)." of {$state->measure->runs} runs"),
                        )
                        .'.',
                );
            }
        }

        return new GateState($gate, GateStatus::Passed, $gate->title);
    }

    private static function asksHand(Spec $spec, Run $run, Gate $gate): bool
    {
        return array_filter(
            $spec->proofs($run),
            static fn (Proof $proof): bool => $proof->gate === $gate->key,
        ) !== [];
    }

    /** What a hand feels and what a curve of the pull shows have to agree; a curve alone is enough to fail it. */
    private static function springsReached(Spec $spec, Run $run, Gate $gate, Facts $facts): GateState
    {
        $byHand = self::proved($spec->proofs($run), $gate, $facts);
        if (self::curve($facts) !== Reached::ReturnOnly || $byHand->status === GateStatus::Failed) {
            return $byHand;
        }

        return self::asksHand($spec, $run, $gate) && $byHand->status === GateStatus::Passed
            ? new GateState(
                $gate,
                GateStatus::Unknown,
                'A hand felt the clutch springs, and the curve of the pull shows none. Pull it once more, as far as it goes.',
            )
            : new GateState(
                $gate,
                GateStatus::Failed,
                'The curve of the pull never gets heavier than a return spring. Put the arm right, then pull it again.',
            );
    }

    /** What the last pull kept as a curve says of the springs, since the last move. */
    private static function curve(Facts $facts): ?Reached
    {
        return $facts->observations->curveSince($facts->readings->movedAt)?->told->reached;
    }

    /** A pack that was not opened says nothing, and so there is nothing to pass. */
    private static function isPackSeen(PackState $pack, Facts $facts): bool
    {
        $looked = array_filter(
            PackFindings::all(),
            static fn (Inspection $one): bool => isset($facts->answers->inspected[$one->key]),
        );
        $isNew = array_filter($facts->answers->parts, static fn (PartFitted $one): bool => $one->part === Part::Plates);

        return $pack->items !== [] || $looked !== [] || $isNew !== [];
    }

    /** As good as its weakest part; what was not measured is not said to be within its limit. */
    private static function pack(Gate $gate, ?PackState $pack, Facts $facts): GateState
    {
        foreach (PackFindings::all() as $inspection) {
            if (($facts->answers->inspected[$inspection->key] ?? null)?->finding === Finding::Fault) {
                return new GateState($gate, GateStatus::Failed, "{$inspection->label}: a fault. {$gate->failure}");
            }
        }

        return $pack?->isWorn() === true
            ? new GateState($gate, GateStatus::Failed, $pack->sentence)
            : new GateState(
                $gate,
                GateStatus::Passed,
                $pack === null || $pack->items === []
                    ? 'Plates and springs: not measured'
                    : 'Plates and springs: '.lcfirst($pack->sentence),
            );
    }

    /**
     * A reading above zero is not yet play: its chance counts.
     *
     * @param  array<string, Verdict>  $poses
     */
    private static function notTaut(Gate $gate, array $poses): GateState
    {
        [$unread, $unsure] = [[], []];
        foreach ($poses as $pose => $verdict) {
            if ($verdict->is(VerdictKind::Taut)) {
                return new GateState($gate, GateStatus::Failed, $gate->failure." Seen with {$pose}.");
            }
            if ($verdict->is(VerdictKind::Unread) || $verdict->is(VerdictKind::NotJudged)) {
                $unread[] = $pose;
            } elseif ($verdict->chanceOfPlay === null || $verdict->chanceOfPlay < self::SURE) {
                $unsure[] = $pose
                    .($verdict->chanceOfPlay === null ? '' : ', '.(int) floor(100 * $verdict->chanceOfPlay).' %');
            }
        }
        if ($unsure !== []) {
            return new GateState(
                $gate,
                GateStatus::Unknown,
                'Not sure that there is any play at all: '.implode('; ', $unsure).'. Read it again, or give it slack.',
            );
        }

        return $unread === []
            ? new GateState($gate, GateStatus::Passed, $gate->title)
            : new GateState(
                $gate,
                GateStatus::Unknown,
                'Not read since the last move or lock: '.implode(', ', $unread).'.',
            );
    }

    /** @param  list<Proof>  $proofs */
    private static function proved(array $proofs, Gate $gate, Facts $facts): GateState
    {
        [$untried, $hidden] = [[], null];
        foreach ($proofs as $proof) {
            if ($proof->gate !== $gate->key) {
                continue;
            }
            foreach ($proof->tries() as $pose) {
                $answer = $facts->answers->checks[Facts::checkKey($proof->key, $pose?->value)] ?? null;
                if ($answer !== null && ! $proof->passes($answer->answer)) {
                    return new GateState(
                        $gate,
                        GateStatus::Failed,
                        rtrim($gate->failure, '.').($pose === null ? '' : ', '.$pose->label()).'.',
                    );
                }
                if ($answer !== null && $proof->asksWhy($answer->answer)) {
                    $hidden ??= "{$gate->title}: not to be seen on this machine ({$answer->remark}).";
                }
                if ($answer === null) {
                    $untried[] = $pose === null ? $proof->question : $pose->label();
                }
            }
        }

        return $untried === []
            ? new GateState($gate, GateStatus::Passed, $hidden ?? $gate->title)
            : new GateState($gate, GateStatus::Unknown, "{$gate->title}: not tried yet: ".implode(', ', $untried).'.');
    }
}
