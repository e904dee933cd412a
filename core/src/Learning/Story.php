<?php

declare(strict_types=1);

namespace VividPull\Core\Learning;

/**
 * What was turned and read in one series, so that it can be told again as another thread would have had it. Each part
 * holds the one before it, since most stories only grow.
 */
final readonly class Story
{
    private const FOUND = 0;

    private const TURNED = 1;

    private const SHIFTED = 2;

    private const READ = 3;

    private const TAUT = 4;

    private function __construct(private ?self $before, private int $part, private float $one, private float $other) {}

    public static function from(float $slack, float $firstWay): self
    {
        return new self(null, self::FOUND, $slack, $firstWay);
    }

    /** Slack given by an adjuster, in mm of conduit. */
    public function turned(float $slack): self
    {
        return new self($this, self::TURNED, $slack, 0.0);
    }

    /** Slack that came by itself, or by a guided adjuster, and its variance in mm² of play. */
    public function shifted(float $slack, float $variance): self
    {
        return new self($this, self::SHIFTED, $slack, $variance);
    }

    public function read(float $play, float $weight): self
    {
        return new self($this, self::READ, $play, $weight);
    }

    public function readTaut(): self
    {
        return new self($this, self::TAUT, 0.0, 0.0);
    }

    /**
     * @param  float  $found  from which side it was found: 1 as the first move goes, −1 the other side, 0 between them
     */
    public function told(LostMotion $thread, float $found): Told
    {
        $parts = [];
        for ($at = $this; $at !== null; $at = $at->before) {
            $parts[] = $at;
        }
        $told = null;
        foreach (array_reverse($parts) as $at) {
            $told = match ($at->part) {
                self::TURNED => $told?->turned($at->one),
                self::SHIFTED => $told?->shifted($at->one, $at->other),
                self::READ => $told?->read($at->one, $at->other),
                self::TAUT => $told?->readTaut(),
                default => Told::asFound(
                    $at->one,
                    $found * $at->other,
                    $thread,
                    $at->other === 0.0 ? 1 - $found : null,
                ),
            };
        }
        assert($told !== null);

        return $told;
    }
}
