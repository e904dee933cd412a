<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Practice\Lesson;

use VividPull\Core\Input\Node;
use VividPull\Core\Log\EntryKind;
use VividPull\Core\Log\Person;
use VividPull\Core\Log\Role;
use VividPull\Core\Log\Stamp;
use VividPull\Core\Practice\Control\Act;
use VividPull\Core\Practice\Control\AsFound;
use VividPull\Core\Practice\Control\HonestHand;
use VividPull\Core\Practice\Control\Mechanics;
use VividPull\Core\Practice\Control\TrueControl;
use VividPull\Core\Practice\Lesson\Attempt;
use VividPull\Core\Practice\Lesson\Lesson;
use VividPull\Core\Practice\SeededChance;
use VividPull\Core\Quantity\Steps;
use VividPull\Core\Spec\SpeedCeiling;
use VividPull\Core\Wire\EntryCodec;

/** Turns before it is safe, then writes what ought to be so without looking at anything, and signs it as fit. */
final readonly class CarelessHand
{
    public static function works(Lesson $lesson): Attempt
    {
        $person = new Person('hand', 'Hand', Role::Technician);
        $attempt = new Attempt($lesson, $person, 'opened', '2026-01-01T08:00:00+00:00');
        foreach ($lesson->run->adjusters() as $adjuster) {
            if ($attempt->control()->isCovered($adjuster->id())) {
                $attempt->act(Act::open($adjuster->id()), '2026-01-01T08:00:01+00:00');
            }
            $attempt->act(
                Act::turn($adjuster->id(), Steps::fromCount(-2 * $adjuster->smallestStep()->count)),
                '2026-01-01T08:00:01+00:00',
            );
            break;
        }
        foreach (HonestHand::work(
            $lesson->spec,
            $lesson->run,
            self::asItOughtToBe($lesson),
            $lesson->isTold ? $lesson->found->at : [],
            $lesson->instruments[0],
        )->deeds as $deed) {
            if (! $deed instanceof Act) {
                $attempt->write($deed);
            }
        }
        $attempt->write((new EntryCodec($lesson->run))->entry(
            EntryKind::Closed,
            Node::of(['outcome' => 'fit']),
            new Stamp('end', '2026-01-01T09:00:00+00:00', $person),
        ));

        return $attempt;
    }

    private static function asItOughtToBe(Lesson $lesson): TrueControl
    {
        $middle = static fn (?float $low, ?float $high): float => (($low ?? 0.0) + ($high ?? ($low ?? 0.0) + 2.0)) / 2;
        $band = $lesson->spec->aim?->band;
        $second = $lesson->spec->second?->band;
        $found = new AsFound(
            $band === null ? 0.0 : $middle($band->low, $band->high),
            $second === null ? null : $middle($second->low, $second->high),
            0.0,
            $lesson->found->at,
            [],
            speed: $lesson->spec->other(SpeedCeiling::class)?->usualKmh,
        );

        return new TrueControl(
            $lesson->spec,
            $lesson->run,
            $found,
            new Mechanics(1.0, [], 0.0, 1, 0.0, 0.0),
            new SeededChance(1),
        );
    }
}
