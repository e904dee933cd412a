<?php

declare(strict_types=1);

namespace VividPull\Core\Facts;

use VividPull\Core\Cable\AdjustedQuantity;
use VividPull\Core\Cable\Adjuster;
use VividPull\Core\Cable\ReadingPoint;
use VividPull\Core\Cable\Run;
use VividPull\Core\Log\Entry\Moved;
use VividPull\Core\Log\Entry\ReadingTaken;
use VividPull\Core\Log\Log;
use VividPull\Core\Spec\Spec;

/** What is read and turned, as it comes: which readings go together, which compare, and how much slack was given. */
final class Readings
{
    private const FIRST = 0;

    private const SECOND = 1;

    /** @var list<ReadingTaken> of the group being gathered */
    private array $gathering = [];

    private bool $gatheringCrossed = false;

    /** @var array<self::FIRST|self::SECOND, list<ReadingGroup>> by cable */
    private array $groups = [self::FIRST => [], self::SECOND => []];

    /** @var array<self::FIRST|self::SECOND, float> given to each cable, in mm */
    private array $slack = [self::FIRST => 0.0, self::SECOND => 0.0];

    /** @var list<MoveMade> */
    private array $moves = [];

    private int $series = 0;

    private int $setting = 0;

    private int $movedAt = 0;

    private int $changedAt = 0;

    private int $ratioFrom = 0;

    private bool $lastMoveCrossed = false;

    /**
     * @param  array<string, true>  $upheld  readings that a person stands by, by id
     * @param  ReadingPoint|null  $secondPoint  where a second cable is read; null where there is none
     */
    public function __construct(
        private readonly Spec $spec,
        private readonly ?ReadingPoint $secondPoint,
        private readonly Log $log,
        private readonly UnseenChanges $unseen,
        private readonly array $upheld,
    ) {}

    public function take(ReadingTaken $reading, Run $run): void
    {
        $crossed = $this->unseen->before($reading, UnseenChanges::STANDS, UnseenChanges::LOCKED) !== null;
        $last = $this->gathering[0] ?? null;
        if ($last !== null && (! $reading->repeats($last, $this->spec) || $crossed !== $this->gatheringCrossed)) {
            $this->finish($run);
        }
        $this->gatheringCrossed = $crossed;
        $this->gathering[] = $reading;
    }

    /** What was read last is all there is of that group. */
    public function finish(Run $run): void
    {
        if ($this->gathering === []) {
            return;
        }
        $cable = $this->gathering[0]->point === $this->secondPoint ? self::SECOND : self::FIRST;
        $group = ReadingGroup::of(
            $this->gathering,
            $this->log->opened->standing,
            new ReadAt(
                $this->slack[$cable],
                $this->series,
                $this->setting,
                count($this->moves),
                $this->gatheringCrossed,
            ),
            $this->upheld,
            Doubt::beyond($this->gathering, $run, $this->upheld),
        );
        $this->groups[$cable] = $this->withGroup($this->groups[$cable], $group);
        $this->gathering = [];
    }

    /**
     * Where the same was read before with nothing moved since, it goes on with those readings: who looked at another
     * pose in between need not begin anew. What jumped is asked about, and stays by itself.
     *
     * @param  list<ReadingGroup>  $before
     * @return list<ReadingGroup>
     */
    private function withGroup(array $before, ReadingGroup $group): array
    {
        for (
            $place = count($before) - 1;
            $place >= 0 && $before[$place]->at->setting === $group->at->setting && $group->doubt === null;
            $place--
        ) {
            $earlier = $before[$place];
            if ($earlier->doubt !== null || ! $earlier->isComparableTo($group, $this->spec)) {
                continue;
            }
            $jump = Doubt::jumped($earlier, $group, $this->upheld);
            if ($jump !== null) {
                return [...$before, $group->doubted($jump)];
            }
            if (! $group->first()->repeats($earlier->first(), $this->spec)) {
                break;
            }
            array_splice($before, $place, 1);

            return [
                ...$before,
                ReadingGroup::of(
                    [...$earlier->readings, ...$group->readings],
                    $this->log->opened->standing,
                    $group->at,
                    $this->upheld,
                ),
            ];
        }

        return [...$before, $group];
    }

    public function turned(MoveMade $made): void
    {
        $this->moves[] = $made;
        $this->lastMoveCrossed = $made->crossed;
    }

    /** What a turn gives the cable it is on; what nobody counted, or saw the others turn, does not compare. */
    public function give(Moved $move, Adjuster $adjuster, Run $run): void
    {
        if (
            $move->steps === null
            || $this->lastMoveCrossed
            || $adjuster->kind()->sets() !== AdjustedQuantity::Play
        ) {
            $this->series++;
        }
        $cable = $run->cableOf($move->adjuster)?->pulls->isSecond() === true ? self::SECOND : self::FIRST;
        $this->slack[$cable] += $move->steps === null ? 0.0 : $adjuster->slackGiven($move->steps);
    }

    /** Nothing read before compares with what comes after. */
    public function startAnew(): void
    {
        $this->series++;
    }

    /** It stands otherwise than it did. */
    public function moveOn(): void
    {
        $this->movedAt = ++$this->setting;
    }

    /** A lock turns what it locks: what was read before it is not current. */
    public function lock(): void
    {
        $this->setting++;
    }

    /** It was something else than an adjuster that made it stand so. */
    public function changeHere(): void
    {
        $this->changedAt = $this->setting;
    }

    /** A part of the ratio is new, or is known anew. */
    public function startRatioOver(): void
    {
        $this->ratioFrom = $this->series;
    }

    public function isAnyTold(): bool
    {
        return array_filter([$this->gathering, ...$this->groups, $this->moves]) !== [];
    }

    public function at(): Moment
    {
        return new Moment($this->slack[self::FIRST], count($this->moves), $this->series, $this->setting);
    }

    /** The setting that something else than an adjuster made last. */
    public function changedAt(): int
    {
        return $this->changedAt;
    }

    public function facts(Run $run, bool $ranSince): ReadingFacts
    {
        $groups = $this->groups[self::FIRST];

        return $this->factsOf(
            self::FIRST,
            $this->spec->aim === null ? $groups : ReadingConversion::all($this->spec, $run, $groups),
            $ranSince,
        );
    }

    public function factsOfSecond(bool $ranSince): ReadingFacts
    {
        return $this->factsOf(self::SECOND, $this->groups[self::SECOND], $ranSince);
    }

    /**
     * @param  self::FIRST|self::SECOND  $cable
     * @param  list<ReadingGroup>  $groups
     */
    private function factsOf(int $cable, array $groups, bool $ranSince): ReadingFacts
    {
        return new ReadingFacts(
            $groups,
            $this->moves,
            $this->slack[$cable],
            $this->series,
            $this->setting,
            $this->movedAt,
            $this->changedAt,
            $this->ratioFrom,
            $this->lastMoveCrossed,
            $ranSince,
        );
    }
}
