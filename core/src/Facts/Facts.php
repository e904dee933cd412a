<?php

declare(strict_types=1);

namespace VividPull\Core\Facts;

use VividPull\Core\Cable\Adjuster;
use VividPull\Core\Cable\Run;
use VividPull\Core\Log\Entry\Checked;
use VividPull\Core\Log\Entry\Closed;
use VividPull\Core\Log\Entry\ConditionNoted;
use VividPull\Core\Log\Entry\Confirmed;
use VividPull\Core\Log\Entry\Inspected;
use VividPull\Core\Log\Entry\LeftByChoice;
use VividPull\Core\Log\Entry\Noted;
use VividPull\Core\Log\Entry\PartFitted;
use VividPull\Core\Log\Entry\ThreadNoted;
use VividPull\Core\Log\Person;
use VividPull\Core\Log\Standing;
use VividPull\Core\Log\StandingTag;
use VividPull\Core\Procedure\Guide;
use VividPull\Core\Procedure\GuideStep;
use VividPull\Core\Procedure\Proof;
use VividPull\Core\Quantity\Steps;
use VividPull\Core\Spec\Parking;
use VividPull\Core\Spec\Policy;
use VividPull\Core\Spec\SetLike;
use VividPull\Core\Spec\SettingMode;

/** What the log says happened, nothing concluded from it yet. */
final readonly class Facts
{
    /**
     * @param  array<string, Person>  $joined  by person id
     * @param  array<string, Steps|null>  $positions  by adjuster; null is unknown
     * @param  array<string, Steps|null>  $home  where each stood before anyone touched it
     * @param  array<string, true>  $touched  adjusters moved in this job
     * @param  array<string, true>  $locked  adjusters locked since their last move
     * @param  array<string, ThreadNoted>  $threads  the first thread reading of each adjuster
     * @param  array<string, Confirmed>  $confirmed  by key
     * @param  array<string, Inspected>  $inspected  by key
     * @param  array<string, true>  $coversOff  by adjuster
     * @param  array<string, list<string>>  $guides  steps done of the guided sequence last begun, by adjuster
     * @param  list<ReadingGroup>  $groups
     * @param  list<MoveMade>  $moves
     * @param  array<string, Checked>  $checks  answers given since the last move, by key and pose
     * @param  list<Checked>  $voidedChecks  answers taken back; they still print
     * @param  list<Noted>  $notes
     */
    public function __construct(
        public Standing $standing,
        public array $joined,
        public array $positions,
        public array $home,
        public array $touched,
        public array $locked,
        public array $threads,
        public array $confirmed,
        public array $inspected,
        public ?ConditionNoted $condition,
        public array $coversOff,
        public array $guides,
        public array $groups,
        public array $moves,
        public array $checks,
        public array $voidedChecks,
        public array $notes,
        public ?Policy $policy,
        public ?SettingMode $mode,
        public ?Parking $parking,
        public ?SetLike $like,
        public ?LeftByChoice $byChoice,
        public ?StandingTag $tag,
        public ?Closed $closed,
        public float $slack,
        public int $stretch,
        public int $setting,
        /** The setting that the last move, or the last guided step, made; a lock makes a newer one. */
        public int $movedAt,
        /** The stretch from which the ratio starts over, since a part of it is new; 0 where none is. */
        public int $ratioFrom,
        /** @var list<PartFitted> */
        public array $parts,
        public bool $lastMoveCrossed,
        public Observations $seen,
        /** The same of a second cable: its readings and its slack; null where there is none. */
        public ?self $second,
    ) {}

    public static function checkKey(string $key, ?string $pose): string
    {
        return $pose === null ? $key : "{$key}/{$pose}";
    }

    /** Groups read before anything was moved. */
    public function asFound(): ?ReadingGroup
    {
        foreach ($this->groups as $group) {
            if ($group->moves === 0) {
                return $group;
            }
        }

        return null;
    }

    /** The adjuster whose guided sequence is begun and not yet at its end; a last step that waits for the cable keeps nothing waiting. */
    public function guideUnderWay(Run $run): ?Adjuster
    {
        foreach (array_keys($this->guides) as $id) {
            $adjuster = $run->adjuster($id);
            if ($adjuster !== null && $this->guideNext($adjuster)?->isAfterCable === false) {
                return $adjuster;
            }
        }

        return null;
    }

    /** The step its sequence asks for; null where it is not begun, or at its end. */
    public function guideNext(Adjuster $adjuster): ?GuideStep
    {
        $done = $this->guides[$adjuster->id()] ?? null;

        return $done === null ? null : Guide::of($adjuster->kind())[count($done)] ?? null;
    }

    /** Whether what was read after the last move is void only because something was locked since. */
    public function isVoidedByLock(): bool
    {
        return $this->locked !== [] && $this->setting > $this->movedAt
            && array_filter($this->groups, fn (ReadingGroup $group): bool => $group->setting >= $this->movedAt) !== [];
    }

    /** Whether anything was changed since the job opened that what was found could no longer be read after. */
    public function isChanged(): bool
    {
        return $this->moves !== [] || $this->setting > 0;
    }

    /** Whether it will not turn: nothing is planned with it until it is freed, or turned after all. */
    public function isSeized(Adjuster $adjuster): bool
    {
        return isset($this->seen->seized[$adjuster->id()]);
    }

    /** Whether this answer passes: as the book has it, or, in a matter of taste, as the rider wants it. */
    public function passes(Proof $proof, Checked $given): bool
    {
        return $proof->passes($given->answer) || ($proof->tolerates($given->answer) && $this->seen->wish?->bite === $given->answer);
    }

    public function isLocked(): bool
    {
        return array_diff_key($this->touched, $this->locked) === [];
    }
}
