<?php

declare(strict_types=1);

namespace VividPull\Core\Procedure;

use VividPull\Core\Cable\AdjusterKind;

/**
 * The guided sequences: what is set in a fixed order of steps rather than by so many turns. Common practice, no source;
 * where the machine's book differs, the book wins.
 */
final readonly class Guide
{
    /** Gives the cable all its slack: where its adjusters stand is known then. */
    public const SLACK = 'slack';

    /** @return list<GuideStep> none where a kind is not set by steps */
    public static function of(AdjusterKind $kind): array
    {
        return match ($kind) {
            AdjusterKind::PushRodA => self::pushRodA(),
            AdjusterKind::PushRodB => self::pushRodB(),
            AdjusterKind::SplineArm => self::splineArm(),
            AdjusterKind::SelfAdjuster => self::selfAdjuster(),
            default => [],
        };
    }

    /** @return non-empty-list<GuideStep> */
    private static function pushRodA(): array
    {
        return [
            new GuideStep(
                self::SLACK,
                'Give the cable full slack at every adjuster',
                'With the cable taut the screw finds a false seat.',
            ),
            new GuideStep('free', 'Free the lock nut of the screw'),
            new GuideStep('seat', 'Turn the screw in, gently, until it just seats', 'By finger force: no further.'),
            new GuideStep(
                'back',
                'Back it out: by the book, else 1/2 to 1 turn',
                'The gap keeps rod and bearing from rubbing all the time.',
                'How far?',
            ),
            new GuideStep('lock', 'Hold the screw and lock its nut'),
        ];
    }

    /** @return non-empty-list<GuideStep> */
    private static function pushRodB(): array
    {
        return [
            new GuideStep(
                self::SLACK,
                'Give the cable full slack at every adjuster',
                'With the cable taut the screw finds a false seat.',
            ),
            new GuideStep(
                'seat',
                'Turn the screw anticlockwise until it just resists',
                'This type turns the other way: anticlockwise is towards the rod.',
            ),
            new GuideStep(
                'back',
                'Back it a quarter turn, clockwise',
                'The gap keeps rod and bearing from rubbing all the time.',
                'How far?',
            ),
            new GuideStep(
                'lock',
                'Let the sprung lock plate drop over the screw',
                'The plate is sprung: mind eyes and fingers.',
            ),
        ];
    }

    /** @return non-empty-list<GuideStep> */
    private static function splineArm(): array
    {
        return [
            new GuideStep(
                'spring',
                'Take the return spring off the arm',
                'Springs and snap rings: mind eyes and fingers.',
            ),
            new GuideStep(
                'slop',
                'Turn the shaft by hand until its slop is gone',
                'Marks that meet at rest prove nothing.',
            ),
            new GuideStep(
                'tooth',
                'Drop the arm on the tooth that brings its index to the case mark, or the tooth just before',
                'Other makes of plate may shift the tooth.',
                'How many teeth before the mark? 0 where they meet',
            ),
            new GuideStep('ring', 'Washer on, marked face up, snap ring in its groove, lock tab closed'),
            new GuideStep(
                'wind',
                'Wind the return spring on last, with the cable set',
                'Springs store force: mind eyes and fingers.',
                isAfterCable: true,
            ),
        ];
    }

    /** @return non-empty-list<GuideStep> */
    private static function selfAdjuster(): array
    {
        return [
            new GuideStep('tab', 'Free the tab'),
            new GuideStep(
                'take_up',
                'Let the spring take up the slack by itself',
                'Fingers clear: it moves by itself.',
            ),
            new GuideStep('home', 'Press the tab home'),
        ];
    }
}
