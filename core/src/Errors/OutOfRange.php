<?php

declare(strict_types=1);

namespace VividPull\Core\Errors;

use DomainException;

/** A value that the type it was meant for cannot hold. */
final class OutOfRange extends DomainException implements CoreError
{
    public static function band(float $low, float $high): self
    {
        return new self("The band runs from {$low} to {$high} mm: its low edge must lie below its high edge.");
    }

    public static function emptyBand(): self
    {
        return new self('A band needs at least one edge, low or high.');
    }

    public static function emptyInterval(): self
    {
        return new self('An interval names use, months, or both.');
    }

    public static function useWithoutUnit(): self
    {
        return new self('Use needs its unit (km, mi, h or uses), and a unit needs its figure.');
    }

    public static function negativeEdge(float $edge): self
    {
        return new self("A band edge of {$edge} mm is below zero, and free play never is.");
    }

    /** @param  string  $why  what is wrong with a trace of a pull, as a sentence */
    public static function trace(string $why): self
    {
        return new self($why);
    }

    public static function positive(string $what, float $value): self
    {
        return new self("{$what} must be above zero, and {$value} is not.");
    }

    public static function finerThanTurns(float $turns): self
    {
        return new self("{$turns} turns is finer than a 720th of a turn, the smallest that is counted.");
    }

    public static function thread(string $name): self
    {
        return new self(
            Quoted::text($name)
                .' is not a thread in the table. Write it as M8, M8 x 1.25, 1/4-20 or 5/16-18, or enter the pitch in mm.',
        );
    }

    public static function tooFew(string $what, int $have, int $need): self
    {
        return new self("{$what} needs at least {$need} values, and there are {$have}.");
    }

    public static function outcome(string $setting, string $wanted): self
    {
        return new self(
            "At {$setting}, {$wanted} is wanted, but it is not one of the things that can be told apart there.",
        );
    }

    public static function sight(string $label, float $low, float $high): self
    {
        return new self("{$label} is seen from {$low} to {$high}: the first must lie below the second.");
    }

    public static function sightAnywhere(string $label): self
    {
        return new self(
            "{$label} would be seen wherever the arm stands. Say from where or to where, or that it proves nothing.",
        );
    }

    public static function ways(string $both): self
    {
        return new self("Out and in are both called “{$both}”: nobody could tell which is meant.");
    }

    public static function twice(string $what, string $name): self
    {
        return new self("{$what}: {$name} stands there twice.");
    }

    public static function trial(float $trial, float $most): self
    {
        return new self("The first try of {$trial} is more than the {$most} that are ever moved at once.");
    }

    public static function pull(float $pull, float $release): self
    {
        return new self(
            "It took {$pull} N to pull and {$release} N as it was let back: friction works against both, so the pull is the greater. Read both again at the same place.",
        );
    }

    public static function probability(float $p): self
    {
        return new self("A probability lies between 0 and 1, and {$p} does not.");
    }
}
