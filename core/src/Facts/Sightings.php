<?php

declare(strict_types=1);

namespace VividPull\Core\Facts;

use VividPull\Core\Log\Entry\CablesCompared;
use VividPull\Core\Log\Entry\PartRefused;
use VividPull\Core\Log\Entry\PhotoTaken;
use VividPull\Core\Log\Entry\PutRight;
use VividPull\Core\Log\Entry\ReplacementStep;
use VividPull\Core\Log\Entry\TraceTaken;
use VividPull\Core\Log\Replacing;
use VividPull\Core\Procedure\Symptom;
use VividPull\Core\Procedure\ToldSymptom;

/** What a job shows beside readings and moves, as it comes: mends, photos, curves, complaints, a cable coming off. */
final class Sightings
{
    /** @var list<SeenTrace> */
    private array $traces = [];

    /** @var list<PutRight> */
    private array $putRight = [];

    /** @var list<PhotoTaken> */
    private array $photos = [];

    /** @var list<PartRefused> */
    private array $refused = [];

    private ?Replacing $replacing = null;

    private ?string $soaking = null;

    /** @var array{why: ReadAnew, from: int}|null why it is read anew, and from which setting on */
    private ?array $readAnew = null;

    /** @var list<ToldSymptom> */
    private array $told;

    /** @param  list<Symptom>  $symptoms  what was said to feel wrong before the job */
    public function __construct(array $symptoms)
    {
        $this->told = array_map(ToldSymptom::felt(...), $symptoms);
    }

    public function trace(TraceTaken $taken, int $setting): void
    {
        $this->traces[] = new SeenTrace($taken, $setting);
    }

    public function putRight(PutRight $done): void
    {
        $this->putRight[] = $done;
    }

    public function photo(PhotoTaken $taken): void
    {
        $this->photos[] = $taken;
    }

    public function refuse(PartRefused $refused): void
    {
        $this->refused[] = $refused;
    }

    /** @param  string  $since  RFC 3339 */
    public function soak(string $since): void
    {
        $this->soaking = $since;
    }

    public function tell(ToldSymptom $told): void
    {
        $this->told[] = $told;
    }

    /** @return list<ToldSymptom> what was said to feel wrong, before the job and since, each once */
    public function told(): array
    {
        return ToldSymptom::each($this->told);
    }

    public function beginReplacing(Replacing $begun): void
    {
        $this->replacing = $begun;
    }

    public function replacing(): ?Replacing
    {
        return $this->replacing;
    }

    public function replace(ReplacementStep $step): void
    {
        $this->replacing = $this->replacing?->withStepDone($step->key, $step->isHere);
    }

    public function compare(CablesCompared $compared): void
    {
        $this->replacing = $this->replacing?->compared($compared->sizes);
    }

    /** A new cable is on. */
    public function endReplacing(): void
    {
        $this->replacing = $this->replacing?->over();
    }

    public function readAnew(ReadAnew $why, int $from): void
    {
        $this->readAnew = ['why' => $why, 'from' => $from];
    }

    /** @param  int  $changedAt  the setting that something else than an adjuster made last */
    public function facts(Trials $trials, int $changedAt): Observations
    {
        return new Observations(
            $trials->outcomes(),
            $trials->measures(),
            $this->putRight,
            $this->photos,
            $this->refused,
            $this->replacing,
            $this->soaking,
            $this->told(),
            $this->traces,
            ($this->readAnew['from'] ?? null) === $changedAt ? $this->readAnew['why'] : null,
        );
    }
}
