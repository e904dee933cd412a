<?php

declare(strict_types=1);

namespace VividPull\Core\Bench;

use VividPull\Core\Spec\Spec;
use VividPull\Core\Spec\ThrottleWindow;

/** A throttle between closing lost and opening lost, as last read: closing in its tightest pose, opening in its slackest. In mm at the wire. */
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
    ) {}

    public static function of(BenchState $state): ?self
    {
        $window = $state->spec->other(ThrottleWindow::class);
        if ($window === null || $state->spec->aim === null) {
            return null;
        }
        $ratio = exp($state->beliefs->play->taught()->ln);
        $second = $window->armRatio === null ? 0.0 : self::secondSlack($state);
        $read = array_map(static fn (ReadingGroup $group): float => $group->found->mean / $ratio, array_values($state->judgement->poseGroups));
        if ($read === [] && $state->judgement->foundGroup !== null && ! $state->facts->isChanged()) {
            $read = [$state->judgement->foundGroup->found->mean / $ratio];
        }
        [$tightest, $slackest] = $read === [] ? [null, null] : [min($read), max($read)];

        return new self($window, $window->least($second), $window->most($second), $tightest, $slackest, $ratio, self::said($state->spec, $window, $second, $tightest, $slackest));
    }

    /** Slack of the cable behind the governor; where it was not read, the middle of what its spec allows. */
    private static function secondSlack(BenchState $state): float
    {
        $band = $state->spec->second?->band;
        $usual = $band === null ? 0.0 : ($band->floor() + ($band->high ?? $band->floor() + 2.0)) / 2;

        return $state->second?->judgement->nowGroup->found->mean ?? $state->second?->judgement->foundGroup->found->mean ?? $usual;
    }

    private static function said(Spec $spec, ThrottleWindow $window, float $second, ?float $tightest, ?float $slackest): string
    {
        $mm = static fn (float $value): string => number_format($value, 1, '.', '').' mm';

        return match (true) {
            $window->isEmpty($second) => 'No slack lets it close and open fully: suspect a wrong cable, a bent bracket or a wrong drum.',
            $tightest === null || $slackest === null => "It closes from {$mm($window->least($second))} of slack on, and opens fully up to {$mm($window->most($second))}.",
            $tightest < $window->marginMm => "Closing lost: {$mm($tightest)} of slack, and it takes {$mm($window->marginMm)} to close in every pose.",
            $slackest > $window->most($second) => "Opening lost: {$mm($slackest)} of slack, and it opens fully only up to {$mm($window->most($second))}.",
            $tightest < $window->least($second) => "Over-travel: the carburettor stops {$mm($window->most($second) - $tightest)} before the hand does, and the wire takes the strain. At least {$mm($window->least($second))} of slack.",
            default => "Closes with {$mm($tightest - $window->marginMm)} to spare, opens with {$mm($window->most($second) - $slackest)} to spare.",
        };
    }
}
