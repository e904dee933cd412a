<?php

declare(strict_types=1);

namespace VividPull\Core\Judging;

use VividPull\Core\Facts\Facts;
use VividPull\Core\Facts\ReadingGroup;
use VividPull\Core\Learning\Beliefs;
use VividPull\Core\Quantity\Figure;
use VividPull\Core\Spec\DecisionRule;
use VividPull\Core\Spec\Spec;
use VividPull\Core\Spec\ThrottleWindow;
use VividPull\Core\Statistics\StudentDistribution;

/**
 * A throttle between closing lost and opening lost, as last read: closing in its tightest pose, opening in its
 * slackest. In mm at the wire.
 */
final readonly class WindowState
{
    private function __construct(
        public ThrottleWindow $window,
        public float $least,
        public float $most,
        public ?float $tightest,
        public ?float $slackest,
        public float $ratio,
        public string $sentence,
        /** Chance that it closes in every pose, and that it opens fully, as read; null where nothing was. */
        public ?float $closes = null,
        public ?float $opens = null,
    ) {}

    public static function of(
        Spec $spec,
        Facts $facts,
        Beliefs $beliefs,
        Judgement $judgement,
        ?Judgement $behind,
    ): ?self {
        $window = $spec->other(ThrottleWindow::class);
        if ($window === null || $spec->aim === null) {
            return null;
        }
        $ratio = exp($beliefs->play->taught()->ln);
        $second = $window->armRatio === null ? 0.0 : self::secondSlack($spec, $behind);
        $read = self::slackRead($facts, $judgement, $ratio, $beliefs->play->taught()->spread);
        [$tightest, $slackest] = $read === [] ? [null, null] : [$read[0], $read[count($read) - 1]];
        $closes = $tightest === null ? null : self::chance($tightest, $window->marginMm, INF);
        $opens = $slackest === null ? null : self::chance($slackest, -INF, $window->most($second));
        $spared = $tightest === null || $window->overTravelMm === null
            ? null
            : self::chance($tightest, $window->least($second), INF);

        return new self(
            $window,
            $window->least($second),
            $window->most($second),
            $tightest[0] ?? null,
            $slackest[0] ?? null,
            $ratio,
            self::said($window, $second, $tightest[0] ?? null, $slackest[0] ?? null, $closes, $opens, $spared),
            $closes,
            $opens,
        );
    }

    /**
     * @param  float  $spread  of ln R
     * @return list<array{float, float, float}> slack of each pose, its standard uncertainty and degrees of freedom;
     *     the tightest first
     */
    private static function slackRead(Facts $facts, Judgement $judgement, float $ratio, float $spread): array
    {
        $groups = array_values($judgement->poseGroups);
        if ($groups === [] && $judgement->foundGroup !== null && ! $facts->readings->isChanged()) {
            $groups = [$judgement->foundGroup];
        }
        $read = array_map(static fn (ReadingGroup $group): array => [
            $group->found->mean / $ratio,
            hypot($group->found->standard() / $ratio, $group->found->mean / $ratio * $spread),
            $group->found->freedom(),
        ], $groups);
        usort($read, static fn (array $one, array $other): int => $one[0] <=> $other[0]);

        return $read;
    }

    /**
     * P(the slack lies between these), for a slack with its standard uncertainty and degrees of freedom.
     *
     * @param  array{float, float, float}  $slack
     */
    private static function chance(array $slack, float $from, float $to): float
    {
        [$mean, $standard, $freedom] = $slack;

        return $standard <= 0.0 ? (float) ($mean >= $from && $mean <= $to)
            : StudentDistribution::cumulative(($to - $mean) / $standard, $freedom)
                - StudentDistribution::cumulative(($from - $mean) / $standard, $freedom);
    }

    /** Slack of the cable behind the governor; where it was not read, the middle of what its spec allows. */
    private static function secondSlack(Spec $spec, ?Judgement $behind): float
    {
        $band = $spec->second?->band;
        $usual = $band === null ? 0.0 : ($band->floor() + ($band->high ?? $band->floor() + 2.0)) / 2;

        return $behind->nowGroup->found->mean ?? $behind->foundGroup->found->mean ?? $usual;
    }

    /** What was read says it only with 95 % confidence (ISO 14253-1); between, the chance is told. */
    private static function said(
        ThrottleWindow $window,
        float $second,
        ?float $tightest,
        ?float $slackest,
        ?float $closes,
        ?float $opens,
        ?float $spared,
    ): string {
        $mm = static fn (float $value): string => (string) Figure::length($value);
        $share = static fn (float $chance): string => (int) floor(100 * $chance).' %';
        $sure = DecisionRule::CONFIDENCE;

        return match (true) {
            $window->isEmpty($second) => 'No slack lets it close and open fully: suspect a wrong cable, a bent bracket or a wrong drum.',
            $tightest === null,
            $slackest === null,
            $closes === null,
            $opens === null => "It closes from {$mm($window->least($second))} of slack on, and opens fully up to {$mm($window->most($second))}.",
            $closes <= 1 - $sure => "Closing lost: {$mm($tightest)} of slack, and it takes {$mm($window->marginMm)} to close in every pose.",
            $opens <= 1 - $sure => "Opening lost: {$mm($slackest)} of slack, and it opens fully only up to {$mm($window->most($second))}.",
            $spared !== null && $spared <= 1 - $sure => "Over-travel: the carburettor stops {$mm($window->most($second) - $tightest)} before the hand does, "
                ."and the wire takes the strain. At least {$mm($window->least($second))} of slack.",
            $closes < $sure => "Can't tell that it closes: {$mm($tightest)} of slack, and it takes {$mm($window->marginMm)}; {$share($closes)} chance. Read it again, or give it slack.",
            $opens < $sure => "Can't tell that it opens fully: {$mm($slackest)} of slack, and it opens up to {$mm($window->most($second))}; {$share($opens)} chance. Read it again, or take slack up.",
            $spared !== null && $spared < $sure => "Can't tell that the wire is spared at full hand: {$mm($tightest)} of slack, and it takes {$mm($window->least($second))}; {$share($spared)} chance.",
            default => "Closes with {$mm($tightest - $window->marginMm)} to spare, opens with {$mm($window->most($second) - $slackest)} to spare.",
        };
    }
}
