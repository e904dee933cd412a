<?php

declare(strict_types=1);

namespace VividPull\Core\Wire;

use VividPull\Core\Bench\BenchState;
use VividPull\Core\Measurement\VerdictKind;

/** What a person should know before trusting the figures on the screen, one sentence each. */
final readonly class Warnings
{
    /** Minutes by which a device's clock may run ahead before its times are flagged. */
    private const CLOCK_AHEAD = 2;

    /** @return list<string> */
    public static function of(BenchState $state): array
    {
        return [...self::crossed($state), ...self::surprises($state), ...self::conditions($state), ...self::calibration($state), ...self::sweep($state), ...self::voided($state), ...self::clocks($state)];
    }

    /** @return list<string> */
    private static function crossed(BenchState $state): array
    {
        return $state->facts->lastMoveCrossed || $state->judgement->nowGroup?->crossed === true
            ? ['Two people moved this cable: read it again.'] : [];
    }

    /** @return list<string> */
    private static function surprises(BenchState $state): array
    {
        $warnings = [];
        foreach ($state->beliefs->surprises as ['group' => $group, 'surprise' => $surprise]) {
            if ($group->setting === $state->facts->setting) {
                $warnings[] = 'Expected about '.self::mm($surprise->expected).' mm and read '.self::mm($surprise->found)
                    .' mm: turned the wrong way, or something slipped. Check the lock nut, the ferrule in its seat and which adjuster was turned.';
            }
        }

        return $warnings;
    }

    /** @return list<string> */
    private static function conditions(BenchState $state): array
    {
        return $state->judgement->now->is(VerdictKind::NotJudged) ? [$state->judgement->now->sentence.'.'] : [];
    }

    /** @return list<string> */
    private static function calibration(BenchState $state): array
    {
        $group = $state->judgement->nowGroup;
        $due = $group?->overdueSince();

        return $group !== null && $due !== null
            ? ["The {$group->instrument->name} was due for calibration on {$due}."] : [];
    }

    /** @return list<string> */
    private static function sweep(BenchState $state): array
    {
        return $state->spec->aim !== null && $state->judgement->measuredBand === null
            ? ['Play changes more from pose to pose than the band is wide: a routing fault, not an adjustment.'] : [];
    }

    /** @return list<string> */
    private static function voided(BenchState $state): array
    {
        $warnings = [];
        foreach ($state->facts->voidedChecks as $check) {
            foreach ($state->spec->family->family()->proofs($state->run) as $proof) {
                if ($proof->key === $check->key && $proof->gate !== null && ! $proof->passes($check->answer)) {
                    $warnings[] = "A failed answer was taken back: {$proof->question}".($check->pose === null ? '' : ', '.$check->pose->label()).'. It stays on the sheet.';
                }
            }
        }

        return $warnings;
    }

    /** @return list<string> */
    private static function clocks(BenchState $state): array
    {
        $ahead = [];
        foreach ($state->log->entries as $entry) {
            $received = $entry->stamp->receivedAt;
            $minutes = $received === null ? 0 : intdiv((int) strtotime($entry->stamp->at) - (int) strtotime($received), 60);
            if ($minutes > self::CLOCK_AHEAD) {
                $ahead[$entry->stamp->by->name] = max($minutes, $ahead[$entry->stamp->by->name] ?? 0);
            }
        }

        return array_map(static fn (string $name, int $minutes): string => "The clock of {$name}'s device runs {$minutes} min ahead. The times in the log are as it showed them.",
            array_keys($ahead), array_values($ahead));
    }

    private static function mm(float $mm): string
    {
        return number_format($mm, 1, '.', '');
    }
}
