<?php

declare(strict_types=1);

namespace VividPull\Core\Facts;

use VividPull\Core\Cable\Adjuster;
use VividPull\Core\Cable\StepRange;
use VividPull\Core\Log\Entry\ThreadNoted;
use VividPull\Core\Quantity\Steps;

/** Where each adjuster of the run stands, and what was done to it. */
final readonly class AdjusterFacts
{
    /**
     * @param  array<string, Steps|null>  $positions  by adjuster; null is unknown
     * @param  array<string, Steps|null>  $home  where each stood before anyone touched it
     * @param  array<string, true>  $touched  adjusters moved in this job
     * @param  array<string, true>  $loosened  adjusters turned, slackened or fitted in this job, which are locked in
     *     the end
     * @param  array<string, true>  $locked  adjusters locked since they were loosened
     * @param  array<string, ThreadNoted>  $threads  the first thread reading of each adjuster
     * @param  array<string, list<string>>  $guides  steps done of the guided sequence last begun, by adjuster
     * @param  array<string, true>  $coversOff  by adjuster
     * @param  array<string, true>  $seized  those that will not turn
     * @param  array<string, StepRange>  $may  where each may stand that nobody saw and that was moved: what it was
     *     moved by, it had room for
     */
    public function __construct(
        public array $positions,
        public array $home,
        public array $touched,
        public array $loosened,
        public array $locked,
        public array $threads,
        public array $guides,
        public array $coversOff,
        public array $seized,
        public array $may,
    ) {}

    /** Where it stands, out from fully in; null where nobody knows. */
    public function at(Adjuster|string $adjuster): ?Steps
    {
        return $this->positions[$adjuster instanceof Adjuster ? $adjuster->id() : $adjuster] ?? null;
    }

    /** Where it stood before anyone touched it; null where nobody knows. */
    public function homeOf(Adjuster|string $adjuster): ?Steps
    {
        return $this->home[$adjuster instanceof Adjuster ? $adjuster->id() : $adjuster] ?? null;
    }

    /**
     * How far advice may still move it: inward (at most nothing) and outward (at least nothing), with the thread
     * engaged that must be. Of one that nobody saw it is the most that there can be.
     */
    public function room(Adjuster $adjuster): StepRange
    {
        $at = $this->at($adjuster);
        $may = $at === null
            ? $this->may[$adjuster->id()] ?? $adjuster->travel()
            : StepRange::between($at, $at);

        return StepRange::between(
            Steps::fromCount(min(0, $adjuster->safe()->from->minus($may->to)->count)),
            Steps::fromCount(max(0, $adjuster->safe()->to->minus($may->from)->count)),
        );
    }

    public function isLocked(): bool
    {
        return array_diff_key($this->loosened, $this->locked) === [];
    }
}
