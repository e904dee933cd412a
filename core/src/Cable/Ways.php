<?php

declare(strict_types=1);

namespace VividPull\Core\Cable;

use VividPull\Core\Errors\OutOfRange;
use VividPull\Core\Quantity\Steps;

/** What the people who turn an adjuster call its two ways: its kind's words, or their own, such as `down` and `up`. */
final readonly class Ways
{
    private function __construct(public string $outward, public string $inward) {}

    /** @throws OutOfRange If both are the same word. */
    public static function said(string $outward, string $inward): self
    {
        if (mb_strtolower($outward) === mb_strtolower($inward)) {
            throw OutOfRange::ways($outward);
        }

        return new self($outward, $inward);
    }

    public function of(Steps $steps): string
    {
        return $steps->count < 0 ? $this->inward : $this->outward;
    }

    /**
     * What may be typed for each, long and short, without *the*: `towards engine`, `engine`.
     *
     * @return array<string, int> 1 for outward, −1 for inward
     */
    public function typed(): array
    {
        [$out, $in] = [
            str_replace('the ', '', mb_strtolower($this->outward)),
            str_replace('the ', '', mb_strtolower($this->inward)),
        ];
        // Where both begin alike, the second word tells them apart: `towards engine`, `towards handle`.
        $telling = explode(' ', $out)[0] === explode(' ', $in)[0] ? 1 : 0;
        $short = static fn (string $way): string => explode(' ', $way)[$telling] ?? $way;

        return [$out => 1, $short($out) => 1, $in => -1, $short($in) => -1];
    }
}
