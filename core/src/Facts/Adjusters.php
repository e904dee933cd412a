<?php

declare(strict_types=1);

namespace VividPull\Core\Facts;

use VividPull\Core\Cable\AdjustedQuantity;
use VividPull\Core\Cable\Adjuster;
use VividPull\Core\Cable\Run;
use VividPull\Core\Cable\StepRange;
use VividPull\Core\Log\Entry\AdjusterFitted;
use VividPull\Core\Log\Entry\Confirmed;
use VividPull\Core\Log\Entry\CoverMoved;
use VividPull\Core\Log\Entry\Entry;
use VividPull\Core\Log\Entry\GuideStepDone;
use VividPull\Core\Log\Entry\Moved;
use VividPull\Core\Log\Entry\ThreadNoted;
use VividPull\Core\Log\Standing;
use VividPull\Core\Log\ThreadState;
use VividPull\Core\Procedure\Guide;
use VividPull\Core\Quantity\Steps;

/**
 * Where each adjuster stands and what was done to it: moves, threads, locks, covers and guided steps, one after the
 * other.
 */
final class Adjusters
{
    /** @var array<string, Steps|null> */
    private array $positions = [];

    /** @var array<string, Steps|null> */
    private array $home;

    /** @var array<string, true> */
    private array $touched = [];

    /** @var array<string, true> */
    private array $loosened = [];

    /** @var array<string, true> */
    private array $locked = [];

    /** @var array<string, ThreadNoted> */
    private array $threads = [];

    /** @var array<string, list<string>> */
    private array $guides = [];

    /** @var array<string, true> */
    private array $coversOff = [];

    /** @var array<string, true> */
    private array $seized = [];

    /** @var array<string, StepRange> where each may stand that nobody saw, by what it was moved */
    private array $may = [];

    public function __construct(Run $run, Standing $standing, private readonly UnseenChanges $unseen)
    {
        foreach (array_keys($run->adjusters()) as $id) {
            $this->positions[$id] = $standing->positions[$id] ?? null;
        }
        $this->home = $this->positions;
    }

    /** The move as it was made, with where it left its adjuster. */
    public function move(Moved $move, Adjuster $adjuster): MoveMade
    {
        $id = $move->adjuster;
        $at = $this->positions[$id];
        $now = $move->steps === null ? null : $at?->plus($move->steps);
        // One that stood outside before may come back towards its travel.
        $beyond = $now === null
            ? $at === null && ! $this->mayMove($move, $adjuster)
            : ! $adjuster->travel()->contains($now) && ! $adjuster->travel()->isNearer($now, $at);
        $this->positions[$id] = $now;
        $this->touched[$id] = $this->loosened[$id] = true;
        unset($this->seized[$id], $this->locked[$id]);
        $this->unseen->note(self::place($id), $move);

        return new MoveMade(
            $move,
            $now,
            $beyond,
            $this->unseen->before($move, UnseenChanges::STANDS, UnseenChanges::SPEED) !== null,
        );
    }

    /**
     * Whether one that nobody saw can have been moved so far after all it was moved before. From then on it stands
     * where that leaves it; moved by nobody knows how much, it may stand anywhere again.
     */
    private function mayMove(Moved $move, Adjuster $adjuster): bool
    {
        $id = $adjuster->id();
        if ($move->steps === null) {
            unset($this->may[$id]);

            return true;
        }
        $may = ($this->may[$id] ?? $adjuster->travel())->movedBy($move->steps)->within($adjuster->travel());
        if ($may === null) {
            unset($this->may[$id]);

            return false;
        }
        $this->may[$id] = $may;

        return true;
    }

    /** Whether it was loose until now; null where the lock does not count, for somebody turned it meanwhile. */
    public function lock(Confirmed $step, string $adjuster): ?bool
    {
        if ($this->unseen->overtook($step, self::place($adjuster))) {
            return null;
        }
        $wasLoose = ! isset($this->locked[$adjuster]);
        $this->locked[$adjuster] = true;

        return $wasLoose;
    }

    /**
     * A thread read before the adjuster was first moved is its home mark; a later one only corrects where it stands.
     */
    public function note(ThreadNoted $thread): void
    {
        $id = $thread->adjuster;
        if (! array_key_exists($id, $this->positions) || $this->unseen->overtook($thread, self::place($id))) {
            return;
        }
        $this->threads[$id] ??= $thread;
        if ($thread->state === ThreadState::Seized) {
            // Where it stands is as known as before; it only does not turn.
            $this->seized[$id] = true;

            return;
        }
        $this->positions[$id] = $thread->position;
        if ($thread->position !== null) {
            unset($this->may[$id]);
        }
        if (! isset($this->touched[$id])) {
            $this->home[$id] = $thread->position;
        }
    }

    /** What would not turn does: where it stands is asked again. */
    public function free(): void
    {
        $this->seized = [];
        $this->threads = array_filter(
            $this->threads,
            static fn (ThreadNoted $one): bool => $one->state !== ThreadState::Seized,
        );
    }

    /**
     * Every thread of the cable stands at the end that gives it all its slack; a clamp is left alone.
     *
     * @param  string|null  $cable  by id; null is the one that is set by its play
     */
    public function giveAllSlack(Run $run, Entry $by, ?string $cable = null): void
    {
        foreach ($cable === null ? $run->playAdjusters() : $run->adjusters() as $id => $adjuster) {
            if (
                ($cable !== null && $run->cableOf($id)?->id !== $cable)
                || $adjuster->kind()->sets() !== AdjustedQuantity::Play
                || ! $adjuster->kind()->isThreaded()
            ) {
                continue;
            }
            $end = $adjuster->sense()->slackEnd($adjuster->travel());
            if ($this->positions[$id]?->count !== $end->count) {
                $this->loosened[$id] = true;
                unset($this->locked[$id]);
            }
            $this->positions[$id] = $end;
            unset($this->may[$id]);
            $this->unseen->note(self::place($id), $by);
        }
    }

    public function guide(GuideStepDone $step, Adjuster $adjuster): void
    {
        $done = $this->guides[$step->adjuster] ?? [];
        $this->guides[$step->adjuster] = count($done) >= count(Guide::of($adjuster->kind()))
            ? [$step->key]
            : [...$done, $step->key];
    }

    /** What was known of the one in whose place it stands is forgotten. */
    public function fit(AdjusterFitted $fitted): void
    {
        [$old, $new] = [$fitted->inPlaceOf ?? '', $fitted->adjuster->id()];
        if (isset($this->coversOff[$old]) && $fitted->adjuster->access()->cover !== null) {
            $this->coversOff[$new] = true;
            // Where the new one lies under none, the cover is still off the machine.
            unset($this->coversOff[$old]);
        }
        unset(
            $this->positions[$old],
            $this->home[$old],
            $this->touched[$old],
            $this->loosened[$old],
            $this->locked[$old],
            $this->threads[$old],
            $this->guides[$old],
            $this->seized[$old],
            $this->may[$old],
        );
        $this->positions[$new] = $this->home[$new] = null;
        if (
            $fitted->adjuster->kind()->sets() !== AdjustedQuantity::Nothing
            && Guide::of($fitted->adjuster->kind()) === []
        ) {
            $this->loosened[$new] = true;
        }
    }

    public function moveCover(CoverMoved $cover): void
    {
        if ($cover->off) {
            $this->coversOff[$cover->adjuster] = true;
            $this->unseen->note(UnseenChanges::OPEN, $cover);
        } elseif (! $this->unseen->overtook($cover, UnseenChanges::OPEN)) {
            unset($this->coversOff[$cover->adjuster]);
        }
    }

    /** @return array<string, true> by adjuster */
    public function coversOff(): array
    {
        return $this->coversOff;
    }

    public function facts(): AdjusterFacts
    {
        return new AdjusterFacts(
            $this->positions,
            $this->home,
            $this->touched,
            $this->loosened,
            $this->locked,
            $this->threads,
            $this->guides,
            $this->coversOff,
            $this->seized,
            $this->may,
        );
    }

    /** Where an adjuster stands, as something that somebody changes. */
    private static function place(string $adjuster): string
    {
        return "place:{$adjuster}";
    }
}
