<?php

declare(strict_types=1);

namespace VividPull\Core\Wear;

use DateTimeImmutable;
use VividPull\Core\Spec\BookInterval;
use VividPull\Core\Spec\MeterUnit;

/**
 * When a control is looked at again: the earliest of book, practice and what its own drift foretells; soon after a new
 * part.
 */
final readonly class NextCheck
{
    /** Months to the next look; common practice, no source. */
    private const USUAL_MONTHS = 6;

    /** Months to the first look after a new part, which beds in; common practice, no source. */
    private const MONTHS_OF_NEW = 1;

    /** Share of the practice interval after which a new part is looked at first (ours). */
    private const SHARE_OF_NEW = 0.25;

    /** What was just signed is not due again before this share of the usual interval, nor before a week (ours). */
    private const LEAST_SHARE = 0.05;

    private const LEAST_DAYS = 7;

    private function __construct(
        public Candidate $decides,
        /** @var non-empty-list<Candidate> earliest first */
        public array $all,
    ) {}

    /**
     * @param  float|null  $bound  use from the last look until drift may reach an edge; null where nothing says so
     * @param  bool  $bedsIn  whether it is the first look at a new machine whose belt and cable bed in
     * @param  string|null  $named  the day that was named at the last job, which stands alone
     * @param  JobRecord|null  $whole  the last that was looked over and proved, where that is another: what book and
     *     practice want is counted from it
     */
    public static function after(
        JobRecord $last,
        MeterUnit $unit,
        ?BookInterval $book,
        ?float $bound,
        ?UsageRate $pace,
        ?string $named = null,
        bool $bedsIn = false,
        ?JobRecord $whole = null,
    ): self {
        if ($named !== null) {
            $only = new Candidate(CheckReason::Named, null, $named);

            return new self($only, [$only]);
        }
        $whole ??= $last;
        $usual = $unit->usualCheck();
        $all = [
            // A check looked at nothing else than play.
            self::counted($whole, CheckReason::Practice, $usual, self::USUAL_MONTHS, $pace),
            ...($book === null
                ? []
                : [self::counted($whole, CheckReason::Book, $book->in($unit), $book->months, $pace)]),
        ];
        if ($bound !== null) {
            $use = $usual === null ? $bound : max($bound, self::LEAST_SHARE * $usual);
            $soonest = (new DateTimeImmutable($last->day))->modify('+'.self::LEAST_DAYS.' days')->format('Y-m-d');
            $all[] = self::counted($last, CheckReason::Drift, $use, null, $pace)->notBefore($soonest);
        }
        if ($bedsIn) {
            $all[] = self::counted($last, CheckReason::NewMachine, $unit->firstUses(), self::MONTHS_OF_NEW, $pace);
        }
        if ($last->parts !== []) {
            $use = $usual === null ? null : $usual * self::SHARE_OF_NEW;
            $all[] = self::counted($last, CheckReason::NewPart, $use, self::MONTHS_OF_NEW, $pace);
        }
        usort($all, static fn (Candidate $a, Candidate $b): int => $a->comesBefore($b) ? -1 : 1);

        return new self($all[0], $all);
    }

    /** By use or by months from that job, whichever comes first. */
    private static function counted(
        JobRecord $job,
        CheckReason $why,
        ?float $use,
        ?int $months,
        ?UsageRate $pace,
    ): Candidate {
        return new Candidate(
            $why,
            $use === null ? null : $job->usage + $use,
            self::earliest([
                $months === null
                    ? null
                    : (new DateTimeImmutable($job->day))->modify("+{$months} months")->format('Y-m-d'),
                $use === null ? null : $pace?->dayOf($job->day, $use),
            ]),
        );
    }

    /** @param  list<string|null>  $days */
    private static function earliest(array $days): ?string
    {
        $known = array_filter($days, is_string(...));

        return $known === [] ? null : min($known);
    }
}
