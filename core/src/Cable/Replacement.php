<?php

declare(strict_types=1);

namespace VividPull\Core\Cable;

/** Replacing a cable, in the order people who do it often keep; common practice, no source. */
final readonly class Replacement
{
    public const BEGIN = 'begin';

    public const COMPARE = 'compare';

    public const SLACK = 'slack';

    /** @return non-empty-list<GuideStep> from the first after its beginning; a new cable ends them */
    public static function steps(): array
    {
        return [
            new GuideStep('note', 'Photograph route, hole and fittings before anything comes off', 'What is not noted now cannot be looked up later.'),
            new GuideStep(self::SLACK, 'All adjusters to full slack, slots in line'),
            new GuideStep(self::COMPARE, 'Lay old and new side by side and compare them', 'A label is no proof of fit: an inch short has been sold as right.'),
            new GuideStep('draw', 'Tape new to old and draw it through gently', 'Frayed strands cut: gloves on.'),
            new GuideStep('sheaths', 'Small sheaths and boots on, before hooking up'),
            new GuideStep('hook', 'Hook both ends: neither may pull the control', 'An end that has to be pulled on is a cable that is too short.'),
        ];
    }

    public static function step(string $key): ?GuideStep
    {
        foreach (self::steps() as $step) {
            if ($step->key === $key) {
                return $step;
            }
        }

        return null;
    }
}
