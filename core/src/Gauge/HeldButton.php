<?php

declare(strict_types=1);

namespace VividPull\Core\Gauge;

/**
 * One press is one reading. A gauge whose button sticks, or that sends without being asked, repeats faster than anybody
 * sets it to a lever and presses again; of such a run only the first counts.
 */
final class HeldButton
{
    /** Nobody takes two readings in less; ours. */
    private const APART_MS = 400;

    /** So many in a row are no bounce of the button; ours. */
    private const STUCK = 5;

    private ?int $last = null;

    private int $run = 0;

    /** Whether what came now is a press of its own. */
    public function isPress(int $nowMs): bool
    {
        $isOwn = $this->last === null || $nowMs - $this->last >= self::APART_MS;
        $this->last = $nowMs;
        $this->run = $isOwn ? 0 : $this->run + 1;

        return $isOwn;
    }

    /** Whether it has repeated so often that somebody should look at it; true once a run. */
    public function hasJustStuck(): bool
    {
        return $this->run === self::STUCK;
    }
}
