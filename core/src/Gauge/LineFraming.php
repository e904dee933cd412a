<?php

declare(strict_types=1);

namespace VividPull\Core\Gauge;

/**
 * Lines out of the bytes of a wire, in whatever pieces they come. A half line that nothing follows is let go, so that
 * it never joins the next.
 */
final class LineFraming
{
    /** A gauge writes a line in a few hundredths of a second; ours. */
    private const HALF_LINE_MS = 500;

    /** Longer than any line is worth keeping: the wire has lost its ends of line. */
    private const LONGEST = 200;

    private string $begun = '';

    private int $at = 0;

    /** How often bytes were let go: half lines, and those without an end. */
    private int $lost = 0;

    /** @return list<string> the lines that are whole now, without their ends, empty ones left out */
    public function take(string $bytes, int $nowMs): array
    {
        $this->settle($nowMs);
        $this->at = $nowMs;
        $parts = (array) preg_split('/[\r\n]+/', $this->begun.$bytes);
        $this->begun = (string) array_pop($parts);
        if (strlen($this->begun) > self::LONGEST) {
            $this->begun = '';
            $this->lost++;
        }

        return array_values(array_filter(
            array_map(static fn (mixed $part): string => trim((string) $part), $parts),
            static fn (string $line): bool => $line !== '',
        ));
    }

    /** Lets go of a half line that nothing has followed for half a second. */
    public function settle(int $nowMs): void
    {
        if ($this->begun !== '' && $nowMs - $this->at > self::HALF_LINE_MS) {
            $this->begun = '';
            $this->lost++;
        }
    }

    public function lost(): int
    {
        return $this->lost;
    }
}
