<?php

declare(strict_types=1);

namespace VividPull\Core\Practice\Lesson;

use VividPull\Core\Log\ClosingOutcome;
use VividPull\Core\Log\Entry\Closed;
use VividPull\Core\Log\Entry\Entry;
use VividPull\Core\Log\Entry\Tagged;
use VividPull\Core\Log\Person;
use VividPull\Core\Log\Role;
use VividPull\Core\Log\Stamp;
use VividPull\Core\Practice\Control\Act;
use VividPull\Core\Practice\Control\HonestHand;
use VividPull\Core\Practice\Control\JobEnd;
use VividPull\Core\Practice\Control\WorkedJob;
use VividPull\Core\Wire\EntryCodec;

/** Works a lesson as the bench asks, tries everything it writes, and signs or tags it. */
final readonly class AdvisedHand
{
    public static function works(Lesson $lesson): Attempt
    {
        $worked = self::work($lesson);
        $person = new Person('hand', 'Hand', Role::Technician);
        $attempt = new Attempt($lesson, $person, 'opened', '2026-01-01T08:00:00+00:00');
        foreach ($worked->deeds as $deed) {
            $deed instanceof Act ? $attempt->act($deed, self::lastAt($attempt)) : $attempt->write($deed);
        }
        $attempt->write(self::end(
            $lesson,
            $worked->end,
            $worked->why,
            new Stamp('end', self::lastAt($attempt), $person),
        ));

        return $attempt;
    }

    private static function work(Lesson $lesson): WorkedJob
    {
        return HonestHand::work(
            $lesson->spec,
            $lesson->run,
            $lesson->control(),
            $lesson->isTold ? $lesson->found->at : [],
            $lesson->instruments[0],
        );
    }

    private static function end(Lesson $lesson, JobEnd $end, string $why, Stamp $stamp): Entry
    {
        $codec = new EntryCodec($lesson->run);

        return $end === JobEnd::Fit
            ? $codec->drafted(Closed::draft(ClosingOutcome::Fit), $stamp)
            : $codec->drafted(Tagged::draft(mb_substr($why === '' ? 'Not fit for use.' : $why, 0, 200)), $stamp);
    }

    /** The time of what was last written. */
    private static function lastAt(Attempt $attempt): string
    {
        $entries = $attempt->job()->log->entries;

        return $entries[count($entries) - 1]->stamp->at;
    }
}
