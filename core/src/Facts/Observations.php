<?php

declare(strict_types=1);

namespace VividPull\Core\Facts;

use VividPull\Core\Log\Entry\PartRefused;
use VividPull\Core\Log\Entry\PhotoTaken;
use VividPull\Core\Log\Entry\PutRight;
use VividPull\Core\Log\Entry\TraceTaken;
use VividPull\Core\Log\Replacing;
use VividPull\Core\Procedure\ToldSymptom;

/** What a log says beside readings and moves: what was seen, measured, put right, photographed and replaced. */
final readonly class Observations
{
    /**
     * @param  list<SeenOutcome>  $outcomes
     * @param  list<SeenMeasure>  $measures
     * @param  list<PutRight>  $putRight
     * @param  list<PhotoTaken>  $photos
     * @param  list<PartRefused>  $refused
     */
    public function __construct(
        public array $outcomes,
        public array $measures,
        public array $putRight,
        public array $photos,
        public array $refused,
        public ?Replacing $replacing,
        /** Since when new plates lie in oil, RFC 3339; null where none do. */
        public ?string $soaking = null,
        /** @var list<ToldSymptom> what was said to feel wrong, before the job and since, each once */
        public array $told = [],
        /** @var list<SeenTrace> pulls that were kept as curves */
        public array $traces = [],
        /** Why it is read anew, where only adjusters were changed since. */
        public ?ReadAnew $readAnew = null,
    ) {}

    /** Whether somebody looked where the bench said and found nothing, and only adjusters were changed since. */
    public function isLookedAt(): bool
    {
        return $this->readAnew === ReadAnew::NothingFound;
    }

    /** The last pull kept as a curve at this setting or since. */
    public function curveSince(int $setting): ?TraceTaken
    {
        $now = array_filter($this->traces, static fn (SeenTrace $one): bool => $one->setting >= $setting);

        return array_pop($now)?->entry;
    }
}
