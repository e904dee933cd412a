<?php

declare(strict_types=1);

namespace VividPull\Core\Diagnosis;

/**
 * What it takes to know whether each cause is there, and then to put it right: by the cheapest check that always shows
 * it; where there is none left, by putting it right and trying.
 */
final readonly class Looks
{
    /**
     * @param  list<float>  $minutes  by cause
     * @param  list<string|null>  $covers
     * @param  list<float>  $coverMinutes
     * @param  list<float>  $repairs  after it was found; nought where trying was putting it right
     * @param  list<string|null>  $checks  null where it is put right and tried
     * @param  list<float>  $remains  the chance that what people came with is still there when only this cause is left
     */
    private function __construct(
        public array $minutes,
        public array $covers,
        public array $coverMinutes,
        public array $repairs,
        public array $checks,
        public array $remains,
    ) {}

    /**
     * @param  array<string, true>  $closed  checks that are answered, or cannot be made
     * @param  array<string, true>  $off  covers that are off
     * @param  list<string>  $symptoms  what people came with
     */
    public static function of(Knowledge $knowledge, array $closed, array $off, array $symptoms): self
    {
        [$minutes, $covers, $coverMinutes, $repairs, $checks, $remains] = [[], [], [], [], [], []];
        foreach ($knowledge->causes as $cause) {
            $best = null;
            foreach ($cause->telling() as $key) {
                $check = $knowledge->checks[$key];
                $cover = isset($off[$check->effort->cover ?? '']) ? 0.0 : $check->effort->coverMinutes;
                if (
                    ! isset($closed[$key])
                    && ! $check->isOnFile
                    && ($best === null || $check->minutes + $cover < $best[0] + $best[1])
                ) {
                    $best = [$check->minutes, $cover, $check->effort->cover, $key];
                }
            }
            $isTried = $best === null || $cause->minutes <= $best[0] + $best[1];
            $minutes[] = $isTried ? $cause->minutes : $best[0];
            $coverMinutes[] = $isTried ? 0.0 : $best[1];
            $covers[] = $isTried ? null : $best[2];
            $repairs[] = $isTried ? 0.0 : $cause->minutes;
            $checks[] = $isTried ? null : $best[3];
            $remains[] = self::remaining($cause, $symptoms);
        }

        return new self($minutes, $covers, $coverMinutes, $repairs, $checks, $remains);
    }

    /** @param  list<string>  $symptoms */
    private static function remaining(Cause $cause, array $symptoms): float
    {
        $gone = 1.0;
        foreach ($symptoms as $symptom) {
            $gone *= 1.0 - (($cause->links[$symptom] ?? null)?->grade->chance() ?? 0.0);
        }

        return $symptoms === [] ? 1.0 : 1.0 - $gone;
    }
}
