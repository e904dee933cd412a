<?php

declare(strict_types=1);

namespace VividPull\Core\Bench;

use VividPull\Core\Cable\Cable;
use VividPull\Core\Cable\Part;
use VividPull\Core\Errors\Quoted;
use VividPull\Core\Errors\Refused;
use VividPull\Core\Log\Entry\PartFitted;
use VividPull\Core\Log\Entry\ReplacementStep;
use VividPull\Core\Log\Replacing;
use VividPull\Core\Planning\MatchVerdict;
use VividPull\Core\Procedure\Replacement;
use VividPull\Core\Progress\CableMatching;

/**
 * The order of replacing a cable, as far as it matters: noted before anything comes off, slack before it is unhooked,
 * old and new compared before anything is drawn through or hooked. What comes off or goes on in between may be ticked
 * as it comes.
 */
final readonly class ReplacingOrder
{
    /** @throws Refused If it is not the step that is asked for, or lacks what that step needs. */
    public static function step(BenchState $state, ReplacementStep $step): void
    {
        if ($step->key === Replacement::BEGIN) {
            self::begins($state, $step);

            return;
        }
        $under = self::underWay($state);
        $asked = $under->step($step->key)
            ?? throw Refused::because(Quoted::text($step->key).' is no step of replacing this cable.');
        self::inTurn($under, $step->key);
        if ($step->key === Replacement::COMPARE) {
            throw Refused::because('Lay old and new side by side, and give their lengths.');
        }
        if (! $step->isHere && ! $asked->mayBePassed) {
            throw Refused::because('This step is never passed: '.lcfirst($asked->label).'.');
        }
        if ($step->key === Replacement::NOTE && $step->remark === null && $state->facts->observations->photos === []) {
            throw Refused::because('Take a picture of route and hole, or write down how it ran.');
        }
        self::mustFit($state);
    }

    /** @throws Refused If it is not yet time to compare; compared again it may be at any time. */
    public static function compared(BenchState $state): void
    {
        self::inTurn(self::underWay($state), Replacement::COMPARE);
    }

    /** @throws Refused If what must come before this step is open. */
    private static function inTurn(Replacing $under, string $key): void
    {
        foreach ($under->steps as $step) {
            if ($step->key === $key) {
                return;
            }
            if (
                in_array($step->key, [Replacement::NOTE, Replacement::SLACK, Replacement::COMPARE], true)
                && ! $under->isDone($step)
            ) {
                throw Refused::because('Not yet. Replacing asks first: '.lcfirst($step->label).'.');
            }
        }
    }

    /** @throws Refused If a cable is fitted before its steps are done, or one that does not fit. */
    public static function fitted(BenchState $state, PartFitted $fitted): void
    {
        $under = $state->facts->observations->replacing;
        if ($fitted->part !== Part::Cable || $under === null || $under->isOver) {
            return;
        }
        $next = $under->next();
        if ($next !== null) {
            throw Refused::because('Not yet. Replacing asks first: '.lcfirst($next->label).'.');
        }
        self::mustFit($state);
    }

    private static function begins(BenchState $state, ReplacementStep $step): void
    {
        if ($step->reason === null) {
            throw Refused::because('Say why the cable is replaced.');
        }
        $names = array_map(static fn (Cable $one): string => $one->name, $state->run->cables);
        $ids = array_map(static fn (Cable $one): string => $one->id, $state->run->cables);
        if ($step->cable === null && count($ids) > 1) {
            throw Refused::because('Say which cable is replaced: '.implode(' or ', $names).'.');
        }
        if ($step->cable !== null && ! in_array($step->cable, $ids, true)) {
            throw Refused::because(
                Quoted::text($step->cable).' is not a cable of this control. It has: '.implode(', ', $names).'.',
            );
        }
        if ($state->facts->observations->replacing?->isOver === false) {
            throw Refused::because('The cable is being replaced already: go on with its steps.');
        }
    }

    private static function underWay(BenchState $state): Replacing
    {
        $under = $state->facts->observations->replacing;

        return $under === null || $under->isOver
            ? throw Refused::because('No cable is being replaced. Begin with the reason.')
            : $under;
    }

    private static function mustFit(BenchState $state): void
    {
        $match = CableMatching::of($state->cable, $state->second?->cable);
        if ($match?->verdict === MatchVerdict::DoesNotFit) {
            throw Refused::because(
                "This cable does not fit: {$match->sentence} Write it down as the part that did not fit, and compare another.",
            );
        }
    }
}
