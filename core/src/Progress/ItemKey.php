<?php

declare(strict_types=1);

namespace VividPull\Core\Progress;

/**
 * The key of an item, taken apart: `lock:perch`, `reading:left:second`, `found:outcome:r1`. The one place that knows
 * how keys are made up; everybody else asks for the topic and what it is of.
 */
final readonly class ItemKey
{
    /** Of the second cable, the same items end so. */
    private const SECOND = ':second';

    private const OUTCOMES = ['try:', 'outcome:', 'found:outcome:'];

    private const MEASURES = ['measure:', 'found:measure:'];

    private function __construct(public ItemTopic $topic, public ?string $of) {}

    public static function of(string $key): self
    {
        $key = str_ends_with($key, self::SECOND) ? substr($key, 0, -strlen(self::SECOND)) : $key;
        foreach ([
            [ItemTopic::Outcome, self::OUTCOMES],
            [ItemTopic::Measure, self::MEASURES],
        ] as [$topic, $beginnings]) {
            foreach ($beginnings as $beginning) {
                if (str_starts_with($key, $beginning)) {
                    return new self($topic, substr($key, strlen($beginning)));
                }
            }
        }
        [$first, $rest] = [...explode(':', $key, 2), null];
        $topic = ItemTopic::tryFrom((string) $first);

        return $topic === null || $topic === ItemTopic::Step
            ? new self(ItemTopic::Step, $key)
            : new self($topic, $rest);
    }
}
