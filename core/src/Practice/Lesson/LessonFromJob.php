<?php

declare(strict_types=1);

namespace VividPull\Core\Practice\Lesson;

use VividPull\Core\Bench\BenchState;
use VividPull\Core\Cable\Pose;
use VividPull\Core\Cable\Run;
use VividPull\Core\Errors\Refused;
use VividPull\Core\Input\Node;
use VividPull\Core\Log\Entry\Inspected;
use VividPull\Core\Log\Entry\MeasureTaken;
use VividPull\Core\Log\Entry\Moved;
use VividPull\Core\Log\Entry\PutRight;
use VividPull\Core\Log\Finding;
use VividPull\Core\Measurement\VerdictKind;
use VividPull\Core\Practice\Control\AsFound;
use VividPull\Core\Practice\Control\Fault;
use VividPull\Core\Practice\Control\Mechanics;
use VividPull\Core\Practice\Control\TrueControl;
use VividPull\Core\Procedure\MeasureKey;
use VividPull\Core\Quantity\Steps;
use VividPull\Core\Spec\OutcomeTable;
use VividPull\Core\Spec\SpeedCeiling;
use VividPull\Core\Wire\RunCodec;

/**
 * A machine to learn on, from a job of the shop: as it was found, with what was put right as its faults. Nobody and no
 * machine is named in it.
 */
final readonly class LessonFromJob
{
    /** A cable that was taut as found is so by this much, in mm at the point: how much nobody read. Ours. */
    private const TAUT = -2.0;

    private const HAND = 0.1;

    private function __construct(private BenchState $job, private Run $run) {}

    /**
     * @param  array<mixed>  $wire  the run of the job as it goes over the wire
     *
     * @throws Refused If nothing was found that could be learned on, or nobody could set it right.
     */
    public static function of(BenchState $job, array $wire, LessonTale $tale, int $seed): Lesson
    {
        if ($job->facts->closed === null) {
            throw Refused::because(
                'A lesson is made from a job that is closed: how it was found is known then, and what it was.',
            );
        }
        $made = new self($job, RunCodec::decode(Node::of($wire)));
        $lesson = new Lesson(
            $tale,
            $job->spec,
            $wire,
            $made->found(),
            $made->mechanics(),
            [LessonBook::RULE, LessonBook::CALIPER],
            $made->positions() !== [],
            $seed,
        );
        if (! BestPlay::endsWell($lesson)) {
            throw Refused::because('Nothing that turns on this machine would set it right: that is no lesson.');
        }

        return $lesson;
    }

    private function found(): AsFound
    {
        if (
            $this->job->spec->aim !== null
            && $this->job->judgement->foundGroup === null
            && ! $this->job->judgement->found->is(VerdictKind::TooTight)
        ) {
            throw Refused::because('Nobody read in this job how it was found.');
        }

        return new AsFound(
            $this->job->spec->aim === null ? 0.0 : self::play($this->job),
            $this->job->spec->second === null ? null : self::play($this->job->second ?? $this->job),
            $this->offset(),
            $this->positions(),
            $this->faults(),
            speed: $this->speed(),
        );
    }

    /** What it went before its governor was touched; where nobody measured that, what one like it does. */
    private function speed(): ?float
    {
        $ceiling = $this->job->spec->other(SpeedCeiling::class);
        if ($ceiling === null) {
            return null;
        }
        foreach ($this->job->log->effective() as $entry) {
            if ($entry instanceof MeasureTaken && $entry->key === MeasureKey::GroundSpeed) {
                return max(1.0, $entry->value);
            }
        }

        return $ceiling->usualKmh ?? $ceiling->atMostKmh;
    }

    private static function play(BenchState $cable): float
    {
        $mean = $cable->judgement->foundGroup?->found->mean;

        return $mean === null || $mean <= 0.0 ? self::TAUT : $mean;
    }

    /** By as much as it was moved to be right, the arm of a table stood wrong. */
    private function offset(): float
    {
        $table = $this->job->spec->other(OutcomeTable::class);
        $moved = 0.0;
        foreach ($table === null ? [] : $this->job->log->effective() as $entry) {
            $adjuster = $entry instanceof Moved ? $this->run->adjuster($entry->adjuster) : null;
            $mover = $entry instanceof Moved ? $table->movers[$entry->adjuster] ?? null : null;
            if ($entry instanceof Moved && $entry->steps !== null && $adjuster !== null && $mover?->perStep !== null) {
                $units = $entry->steps->count / $adjuster->counting()->each->count;
                $moved += $units * $mover->perStep * ($mover->sign ?? 1);
            }
        }

        return -$moved;
    }

    /** @return array<string, float> where adjusters stood as it was found; empty where of one nobody knows */
    private function positions(): array
    {
        $home = array_intersect_key($this->job->facts->adjusters->home, $this->run->adjusters());
        $known = array_filter($home, static fn (?Steps $one): bool => $one !== null);

        return count($known) < count($this->run->adjusters())
            ? []
            : array_map(static fn (Steps $one): float => $one->toFloat(), $known);
    }

    /** @return list<Fault> */
    private function faults(): array
    {
        $faults = [];
        foreach ($this->job->log->effective() as $entry) {
            foreach (Fault::cases() as $fault) {
                $isIt = ($entry instanceof PutRight && $fault->cure() === $entry->cure)
                    || ($entry instanceof Inspected
                        && $entry->finding === Finding::Fault
                        && $fault->isSeenAt() === $entry->key);
                if (
                    $isIt
                    && ! in_array(
                        $fault->cure(),
                        array_map(static fn (Fault $one): mixed => $one->cure(), $faults),
                        true,
                    )
                ) {
                    $faults[] = $fault;
                }
            }
        }

        return $faults;
    }

    /**
     * What a pose read first, less what straight did at that setting, in mm; a wrong route is what makes it so much of
     * what it is.
     */
    private function apart(string $pose): float
    {
        $straight = [];
        foreach ($this->job->facts->readings->groups as $group) {
            $at = "{$group->at->series} {$group->at->moves}";
            $straight[$at] = $group->first()->pose === Pose::Straight ? $group->found->mean : $straight[$at] ?? null;
            if ($group->first()->pose->value === $pose && isset($straight[$at])) {
                return ($group->found->mean - $straight[$at]) / (in_array(Fault::Route, $this->faults(), true)
                    ? TrueControl::ROUTED
                    : 1.0);
            }
        }

        return 0.0;
    }

    private function mechanics(): Mechanics
    {
        $aim = $this->job->spec->aim;
        $drawn = $aim === null ? null : $this->run->couplings->at($aim->point)?->value;
        $learned = $drawn !== null && $this->job->beliefs()->play->hasLearned()
            ? max(0.4, min(2.5, $this->job->beliefs()->play->ratio() / $drawn))
            : 1.0;
        $poses = [];
        foreach (array_keys($this->job->judgement->sweep->poses) as $pose) {
            $poses[$pose] = $this->apart($pose) / (($drawn ?? 1.0) * $learned);
        }

        return new Mechanics($learned, $poses, self::HAND, 1, 0.0, 0.0);
    }
}
