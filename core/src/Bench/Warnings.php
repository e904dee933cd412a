<?php

declare(strict_types=1);

namespace VividPull\Core\Bench;

use VividPull\Core\Cable\Adjuster;
use VividPull\Core\Cable\Part;
use VividPull\Core\Facts\Facts;
use VividPull\Core\Judging\PackState;
use VividPull\Core\Log\Entry\Checked;
use VividPull\Core\Log\Entry\Confirmed;
use VividPull\Core\Log\Entry\CoverMoved;
use VividPull\Core\Log\Entry\Entry;
use VividPull\Core\Log\Entry\GuideStepDone;
use VividPull\Core\Log\Entry\Inspected;
use VividPull\Core\Log\Entry\MeasureTaken;
use VividPull\Core\Log\Entry\OutcomeSeen;
use VividPull\Core\Log\Entry\PartFitted;
use VividPull\Core\Log\Entry\ThreadNoted;
use VividPull\Core\Log\Stamp;
use VividPull\Core\Measurement\VerdictKind;
use VividPull\Core\Planning\AdjusterAdvice;
use VividPull\Core\Planning\PlanKind;
use VividPull\Core\Planning\RatioFinding;
use VividPull\Core\Planning\Suspicion;
use VividPull\Core\Procedure\LockStep;
use VividPull\Core\Progress\StageItem;
use VividPull\Core\Quantity\Figure;

/** What a person should know before trusting the figures on the screen, one sentence each. */
final readonly class Warnings
{
    /** From so many minutes on a clock is said to be off by hours. */
    private const IN_MINUTES = 120;

    /** @return list<string> */
    public static function of(BenchState $state): array
    {
        return [
            ...($state->facts->standing->history->left?->said() ?? []),
            ...$state->facts->standing->history->again,
            ...self::crossed($state),
            ...self::overtaken($state),
            ...self::turning($state),
            ...self::leftOut($state),
            ...self::seized($state),
            ...self::conditions($state),
            ...self::calibration($state),
            ...self::sweep($state),
            ...self::voided($state),
            ...self::indexMarks($state),
            ...self::soaking($state),
            ...self::clocks($state),
        ];
    }

    /** @return list<string> */
    private static function crossed(BenchState $state): array
    {
        return $state->facts->readings->lastMoveCrossed || $state->judgement->nowGroup?->at->crossed === true
            ? ['Two people worked on this at once: read it again.'] : [];
    }

    /** @return list<string> answers that do not count and were not given again since */
    private static function overtaken(BenchState $state): array
    {
        if ($state->facts->answers->overtaken === []) {
            return [];
        }
        $open = array_filter(
            array_merge(...array_values($state->progress->items)),
            static fn (StageItem $item): bool => ! $item->done,
        );
        $asked = array_column($open, 'label', 'key');
        $again = [];
        foreach ($state->facts->answers->overtaken as [$entry, $by]) {
            $who = "{$entry->stamp->by->name} had not seen what {$by->name} did meanwhile.";
            $again[$who] = ($again[$who] ?? [])
                + array_slice(array_intersect_key($asked, array_flip(self::items($entry))), 0, 1);
        }
        $again = array_filter($again);

        return array_map(
            static fn (string $who, array $labels): string => "{$who} Asked again: "
                .(count($labels) === 1 ? rtrim(implode($labels), '?') : count($labels).' answers').'.',
            array_keys($again),
            $again,
        );
    }

    /** @return list<string> keys of the items that an answer is an answer to */
    private static function items(Entry $entry): array
    {
        return match (true) {
            $entry instanceof Checked => ['check:'.Facts::checkKey($entry->key, $entry->pose?->value)],
            $entry instanceof Confirmed => [$entry->key === LockStep::KEY ? "lock:{$entry->adjuster}" : $entry->key],
            $entry instanceof CoverMoved => ["cover:{$entry->adjuster}"],
            $entry instanceof Inspected => [$entry->key, "fault:{$entry->key}"],
            $entry instanceof MeasureTaken => ["measure:{$entry->key->value}"],
            $entry instanceof OutcomeSeen => [
                "found:outcome:{$entry->setting}",
                "try:{$entry->setting}",
                "outcome:{$entry->setting}",
            ],
            $entry instanceof ThreadNoted => ["thread:{$entry->adjuster}"],
            default => ['in_band'],
        };
    }

    /** @return list<string> what the turns of each cable did, and did not */
    private static function turning(BenchState $state): array
    {
        $second = $state->second;
        $label = $state->run->secondPulls()?->label() ?? '';

        return [
            ...self::ofOneCable($state),
            ...array_map(
                static fn (string $warning): string => ucfirst($label).': '.lcfirst($warning),
                $second === null ? [] : self::ofOneCable($second),
            ),
        ];
    }

    /** @return list<string> */
    private static function ofOneCable(BenchState $state): array
    {
        return [...self::surprises($state), ...self::ratio($state), ...self::stayingTaut($state)];
    }

    /** @return list<string> */
    private static function stayingTaut(BenchState $state): array
    {
        $said = $state->beliefs()->play->isPlaced() || $state->judgement->nowGroup?->isTaut() !== true
            || $state->next()->kind !== PlanKind::Move
            ? null
            : Suspicion::besideSlack($state->spec, $state->facts, $state->beliefs());

        return $said === null ? [] : [$said];
    }

    /** @return list<string> */
    private static function surprises(BenchState $state): array
    {
        $warnings = [];
        foreach ($state->beliefs()->surprises as ['group' => $group, 'surprise' => $surprise]) {
            if ($group->at->setting === $state->facts->readings->setting) {
                $warnings[] = 'Expected about '.Figure::length($surprise->expected).' and read '
                    .Figure::length($surprise->found)
                    .': turned the wrong way, or something slipped. Check the lock nut, the ferrule in its seat and which adjuster was turned.';
            }
        }

        return $warnings;
    }

    /** @return list<string> */
    private static function leftOut(BenchState $state): array
    {
        $warnings = [];
        foreach ($state->cables() as $cable) {
            foreach ($cable->judgement->poseGroups as $group) {
                foreach ($group->leftOut as $reading) {
                    $warnings[] = "{$reading->entered} does not go with the other "
                        .(count($group->readings) - count($group->leftOut))
                        .' readings and is left out of their mean. If it is right, point at it in the log and say so.';
                }
            }
        }

        return $warnings;
    }

    /** @return list<string> */
    private static function ratio(BenchState $state): array
    {
        $sides = $state->beliefs()->play->isPlaced() ? $state->beliefs()->play->sides() : null;

        return array_values(array_filter([
            RatioFinding::of($state->spec, $state->run, $state->beliefs())?->sentence,
            $sides?->areKnown() === true
                ? 'It reads about '.Figure::length(abs($sides->apart))
                    .' otherwise when come from the other side: finish every move in the same direction.'
                : null,
        ], is_string(...)));
    }

    /** @return list<string> */
    private static function seized(BenchState $state): array
    {
        $stuck = array_filter($state->run->adjusters(), $state->facts->isSeized(...));

        return array_values(array_map(
            static fn (Adjuster $one): string => 'The '.$one->name().' will not turn. '.AdjusterAdvice::FREE
                .' Nothing is planned with it until it is freed.',
            $stuck,
        ));
    }

    /** @return list<string> */
    private static function conditions(BenchState $state): array
    {
        // Where it stands so still, that is said by itself, with the way on.
        return $state->judgement->now->is(VerdictKind::NotJudged)
            && self::crossed($state) === []
            && $state->wrongState() === null
            ? [$state->judgement->now->sentence.'.']
            : [];
    }

    /** @return list<string> */
    private static function calibration(BenchState $state): array
    {
        $group = $state->judgement->nowGroup;
        $due = $group?->overdueSince($state->log);

        return $group !== null && $due !== null
            ? ["The {$group->instrument->name} was due for calibration on {$due}."] : [];
    }

    /** @return list<string> */
    private static function sweep(BenchState $state): array
    {
        return $state->judgement->isRoutingFault
            ? ['Play changes more from pose to pose than the band is wide: a routing fault, not an adjustment.'] : [];
    }

    /** @return list<string> */
    private static function voided(BenchState $state): array
    {
        $warnings = [];
        foreach ($state->facts->answers->voidedChecks as $check) {
            foreach ($state->spec->proofs($state->run) as $proof) {
                if ($proof->key === $check->key && $proof->gate !== null && ! $proof->passes($check->answer)) {
                    $warnings[] = "A failed answer was taken back: {$proof->question}"
                        .($check->pose === null ? '' : ', '.$check->pose->label()).'. It stays on the sheet.';
                }
            }
        }

        return $warnings;
    }

    /** @return list<string> an index further from its mark than a tooth before it is no matter of choice any more */
    private static function indexMarks(BenchState $state): array
    {
        $teeth = null;
        foreach ($state->log->effective() as $entry) {
            if ($entry instanceof GuideStepDone && $entry->key === 'tooth') {
                $teeth = is_numeric($entry->remark) ? (float) $entry->remark : null;
            }
        }

        return $teeth === null || ($teeth >= 0.0 && $teeth <= 1.0) ? []
            : [
                'The arm stands '.Figure::number(abs($teeth), 1)->bare()
                    .($teeth < 0.0 ? ' teeth past' : ' teeth before')
                    .' its mark: more than the one tooth that is usual. Look for another make of plate, a wrong arm or a worn end.',
            ];
    }

    /** @return list<string> plates that went in before the oil could */
    private static function soaking(BenchState $state): array
    {
        $since = $state->facts->observations->soaking;
        $fitted = array_values(array_filter(
            $state->facts->answers->parts,
            static fn (PartFitted $one): bool => $one->part === Part::Plates,
        ))[0]
            ?? null;
        $hours = $since === null || $fitted === null
            ? null
            : ((int) strtotime($state->log->happenedAt($fitted)) - (int) strtotime($since)) / 3600;

        return $hours === null || $hours >= PackState::LEAST_SOAK_H ? []
            : ['The new plates lay in oil for '.Figure::hours(max(0.0, $hours)).'; 24 to 48 h is usual.'];
    }

    /** @return list<string> */
    private static function clocks(BenchState $state): array
    {
        $ahead = [];
        foreach ($state->log->entries as $entry) {
            $minutes = $entry->stamp->minutesAhead();
            if ($minutes > Stamp::CLOCK_OFF_MINUTES) {
                $ahead[$entry->stamp->by->name] = max($minutes, $ahead[$entry->stamp->by->name] ?? 0);
            }
        }

        return array_map(
            static fn (
                string $name,
                int $minutes,
            ): string => "The clock of {$name}'s device runs "
                .($minutes < self::IN_MINUTES ? "{$minutes} min" : Figure::hours($minutes / 60))
                .' ahead. The times in the log are as it showed them.',
            array_keys($ahead),
            array_values($ahead),
        );
    }
}
