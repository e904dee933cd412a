<?php

declare(strict_types=1);

namespace VividPull\Core\Practice\Lesson\Judged;

use VividPull\Core\Practice\Lesson\Attempt;
use VividPull\Core\Practice\Lesson\Remark;
use VividPull\Core\Progress\ItemTopic;

/** What the job still asked for at the end. */
final readonly class Undone
{
    private const COSTS = 2.5;

    /** @return list<Remark> one for each thing of this topic */
    public static function of(Attempt $attempt, ItemTopic $topic): array
    {
        $remarks = [];
        foreach ($attempt->job()->progress->items as $items) {
            foreach ($items as $item) {
                if ($item->topic() === $topic && ! $item->done) {
                    $remarks[] = new Remark(self::COSTS, "Left undone: {$item->label}.");
                }
            }
        }

        return $remarks;
    }
}
