<?php

declare(strict_types=1);

namespace VividPull\Core\Procedure;

/**
 * What replacing any cable has in common; common practice, no source. Each family puts its own steps about these, in
 * its own order: old and new are compared before anything is drawn through, and hooked without pulling the control.
 */
final readonly class Replacement
{
    public const BEGIN = 'begin';

    public const NOTE = 'note';

    public const COMPARE = 'compare';

    public const SLACK = 'slack';

    public const SPRINGS = 'Springs store force: mind eyes and fingers.';

    /** @return non-empty-list<GuideStep> where a family has no order of its own */
    public static function usual(): array
    {
        return [
            self::note('Photograph route, hole and fittings before anything comes off'),
            self::slack('All adjusters to full slack, slots in line'),
            new GuideStep('unhook', 'Unhook both ends', 'Still tight: give more slack, never lever it off.'),
            self::compare(),
            self::draw(),
            self::sheaths(),
            new GuideStep('hook_on', 'Hook both ends, ferrules home in their seats'),
            self::routed(),
            self::hook(),
        ];
    }

    public static function note(string $label): GuideStep
    {
        return new GuideStep(self::NOTE, $label, 'What is not noted now cannot be looked up later.');
    }

    /** All slack given: where the adjusters of this cable stand is known then. */
    public static function slack(string $label, ?string $caution = null): GuideStep
    {
        return new GuideStep(self::SLACK, $label, $caution);
    }

    public static function compare(): GuideStep
    {
        return new GuideStep(
            self::COMPARE,
            'Lay old and new side by side and compare them',
            'A label is no proof of fit: an inch short has been sold as right.',
        );
    }

    public static function draw(): GuideStep
    {
        return GuideStep::ifFitted(
            'draw',
            'Tape new to old and draw it through gently',
            'Frayed strands cut: gloves on.',
        );
    }

    public static function sheaths(): GuideStep
    {
        return GuideStep::ifFitted('sheaths', 'Small sheaths and boots on, before hooking up');
    }

    public static function routed(string $label = 'Route, clips and ties as they were'): GuideStep
    {
        return GuideStep::ifFitted('routed', $label, 'Clear of the exhaust and of what turns; nothing pulls it tight.');
    }

    public static function hook(): GuideStep
    {
        return new GuideStep(
            'hook',
            'Look at both ends: hooked, and neither pulls the control',
            'An end that has to be pulled on is a cable that is too short.',
        );
    }
}
