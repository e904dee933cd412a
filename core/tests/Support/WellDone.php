<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Support;

use PHPUnit\Framework\Assert;
use VividPull\Core\Cable\Pose;
use VividPull\Core\Progress\ItemKind;
use VividPull\Core\Progress\StageItem;

/**
 * A job on a control that has nothing wrong: everything that is asked is answered as the trade passes it, up to the
 * signature.
 */
final class WellDone
{
    /**
     * @param  (callable(StageItem): bool)|null  $goesOn  looked at before each is answered; no ends it there
     * @return list<string> keys of what was asked, in their order
     */
    public static function upToTheSignature(TestJob $job, string $play, ?callable $goesOn = null): array
    {
        $asked = [];
        while (
            ($item = $job->state->progress->asks()) !== null
            && $item->kind !== ItemKind::SignOff
            && ($goesOn === null || $goesOn($item))
        ) {
            $asked[] = $item->key;
            Assert::assertLessThan(80, count($asked), "nothing else than {$item->key} is asked");
            $good = $job->right($item);
            $reads = in_array($item->kind, [ItemKind::Reading, ItemKind::InBand, ItemKind::Measure], true)
                || $good === [];
            $reads
                ? $job->line(
                    $item->kind === ItemKind::Measure ? '1.6' : $play,
                    $item->key,
                    $item->about === null ? null : Pose::tryFrom($item->about),
                )
                : $job->answer($good[0]);
        }

        return $asked;
    }
}
