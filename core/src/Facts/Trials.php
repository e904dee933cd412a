<?php

declare(strict_types=1);

namespace VividPull\Core\Facts;

use VividPull\Core\Family\Families;
use VividPull\Core\Log\Entry\Checked;
use VividPull\Core\Log\Entry\MeasureTaken;
use VividPull\Core\Log\Entry\OutcomeSeen;
use VividPull\Core\Procedure\Measure;
use VividPull\Core\Procedure\MeasureKey;
use VividPull\Core\Procedure\Proof;
use VividPull\Core\Procedure\Running;
use VividPull\Core\Spec\OutcomeTable;
use VividPull\Core\Spec\Spec;

/**
 * What was tried, run and measured, and what of it still tells: nothing from before a change or a lock, no run with
 * something off, and nothing that crossed another's change. What went wrong stands where what went right would not.
 */
final class Trials
{
    /** @var array<string, Checked> */
    private array $checks = [];

    /** @var array<string, Checked> */
    private array $foundChecks = [];

    /** @var array<string, Checked> notes that mean something else: whatever is changed, they still do */
    private array $misread = [];

    /** @var list<TriedProof> */
    private array $tried = [];

    /** @var list<SeenOutcome> */
    private array $outcomes = [];

    /** @var list<SeenMeasure> */
    private array $measures = [];

    private bool $ran = false;

    public function __construct(private readonly Spec $spec, private readonly UnseenChanges $unseen) {}

    /** Whether anything was run since somebody last said how hot it is: it is hotter now. */
    public function ranSince(): bool
    {
        return $this->ran;
    }

    public function heatIsSaid(): void
    {
        $this->ran = false;
    }

    /**
     * What is noted of an answer that says something is wrong, so that an older one that does not is held against it.
     */
    public static function failing(string $what): string
    {
        return "failed:{$what}";
    }

    /** @param  Proof|null  $proof  that it answers; null where this control has none such any more */
    public function check(Checked $check, ?Proof $proof, Moment $at, Refit $refit): void
    {
        $key = Facts::checkKey($check->key, $check->pose?->value);
        $failing = self::failing($key);
        if ($check->answer === Proof::MISREAD) {
            $this->misread($key, $check);

            return;
        }
        $this->ran = $this->ran || $proof?->running->runs() === true;
        $passes = $proof !== null && ($proof->passes($check->answer) || $proof->tolerates($check->answer));
        $open = $proof?->running === Running::Refitted ? [UnseenChanges::OPEN] : [];
        $ways = [UnseenChanges::STANDS, UnseenChanges::LOCKED, $failing, ...$open];
        if ($passes && $this->unseen->overtook($check, ...$ways)) {
            return;
        }
        if (! $passes) {
            $this->unseen->note($failing, $check);
        }
        // A run with something off, as it turned out since, proves nothing; what went wrong in it stands.
        if (
            $passes
            && $refit->waitsFor(
                $proof->running,
                $proof->asFound && $at->isAsFound() && ! isset($this->foundChecks[$key]),
            ) !== []
        ) {
            unset($this->checks[$key]);
        } else {
            $this->checks[$key] = $check;
        }
        $this->tried[] = new TriedProof($check, $at->slack, $at->moves, $at->series);
        if ($at->setting === 0) {
            $this->foundChecks[$key] = $check;
        }
    }

    /** Whoever had not seen what was written since speaks of an older note. */
    private function misread(string $key, Checked $check): void
    {
        if (! $this->unseen->overtook($check, self::failing($key))) {
            $this->misread[$key] = $check;
        }
    }

    public function see(OutcomeSeen $seen, Moment $at, Refit $refit): void
    {
        $runs = Families::of($this->spec->family)->runsItsTable();
        $wanted = ($this->spec->other(OutcomeTable::class)->settings[$seen->setting] ?? null)?->wants;
        $this->ran = $this->ran || ($runs && $wanted !== null);
        $failing = self::failing($seen->setting);
        if (
            $seen->saw === $wanted
            && $this->unseen->overtook(
                $seen,
                UnseenChanges::STANDS,
                UnseenChanges::LOCKED,
                $failing,
                ...($runs ? [UnseenChanges::OPEN] : []),
            )
        ) {
            return;
        }
        if ($seen->saw !== $wanted) {
            $this->unseen->note($failing, $seen);
        }
        $this->outcomes[] = new SeenOutcome(
            $seen,
            $at->moves,
            $at->setting,
            $at->series,
            $runs && $refit->waitsFor(Running::Refitted, true) !== [],
        );
    }

    /** After one run with something off, that and the runs before it are measured again. */
    public function measure(MeasureTaken $taken, Moment $at, Refit $refit): void
    {
        $seen = new SeenMeasure($taken, $at->moves, $at->setting);
        foreach (array_filter(
            Families::of($this->spec->family)->measures($this->spec),
            static fn (Measure $one): bool => $one->key === $taken->key,
        ) as $measure) {
            $this->ran = $this->ran || $measure->running->runs();
            $ofEngine = $measure->running === Running::Refitted ? [UnseenChanges::SPEED, UnseenChanges::OPEN] : [];
            if ($this->unseen->overtook($taken, UnseenChanges::STANDS, UnseenChanges::LOCKED, ...$ofEngine)) {
                return;
            }
            if ($refit->waitsFor($measure->running, $measure->asFound && $at->isAsFound()) !== []) {
                $this->measureAgain($taken->key);
                $seen = $seen->noMore();
            }
        }
        $this->measures[] = $seen;
    }

    /** All is tried and measured again. */
    public function startOver(): void
    {
        $this->checks = [];
        $this->measureAgain();
    }

    /** @param  MeasureKey|null  $of  null is all of them */
    public function measureAgain(?MeasureKey $of = null): void
    {
        if ($this->measures !== []) {
            $this->measures = array_map(
                static fn (SeenMeasure $one): SeenMeasure => $of === null || $one->entry->key === $of
                    ? $one->noMore()
                    : $one,
                $this->measures,
            );
        }
    }

    /** One proof is tried again. */
    public function tryAgain(string $key): void
    {
        unset($this->checks[$key], $this->misread[$key]);
    }

    public function isAnyTold(): bool
    {
        return array_filter([$this->checks, $this->outcomes, $this->measures]) !== [];
    }

    /** @return array<string, Checked> answers since the last change, by key and pose */
    public function checks(): array
    {
        return $this->checks + $this->misread;
    }

    /** @return array<string, Checked> answers given before anything was changed, by key and pose */
    public function foundChecks(): array
    {
        return $this->foundChecks;
    }

    /** @return list<TriedProof> every answer to a proof, those before a change as well */
    public function tried(): array
    {
        return $this->tried;
    }

    /** @return list<SeenOutcome> */
    public function outcomes(): array
    {
        return $this->outcomes;
    }

    /** @return list<SeenMeasure> */
    public function measures(): array
    {
        return $this->measures;
    }
}
