<?php

declare(strict_types=1);

namespace VividPull\Core\Diagnosis\Knowledge;

use VividPull\Core\Diagnosis\Cause;
use VividPull\Core\Diagnosis\Commonness;
use VividPull\Core\Diagnosis\Grade;
use VividPull\Core\Diagnosis\Knowledge;
use VividPull\Core\Family\Families;
use VividPull\Core\Procedure\Bearing;
use VividPull\Core\Procedure\Symptom;
use VividPull\Core\Spec\FamilyKey;

/** A drive clutch that drives with its handle let go and stands with it pulled. Common practice, no source. */
final readonly class ReleaseByPullCauses implements KnownFamily
{
    public static function knowledge(): Knowledge
    {
        return Knowledge::of(
            Families::of(FamilyKey::ReleaseByPull)->symptoms(),
            SharedDrive::checks(
                'Handle drawn and held, in gear',
                'Engine off: roll it by hand. Is the clutch free?',
                [...Shared::SHRINKS, ...Shared::GROWS, ...Shared::JUMPED],
            ),
            [...self::settings(), ...self::parts(), ...SharedDrive::causes()],
            Shared::ofAnyCable(),
        );
    }

    /** @return list<Cause> */
    private static function settings(): array
    {
        return [
            Cause::setting(
                'too_tight',
                'Play too small',
                Commonness::Common,
                'Give slack at once: it burns.',
                6,
                Bearing::MoreSlack,
            )
                ->shows('play:tight', Grade::Always, 'play too small is what is read')
                ->shows('load:slips', Grade::Usually, 'the wire keeps it from closing')
                ->brings(Symptom::Weak, Grade::Always, 'the wire keeps it from closing')
                ->brings(Symptom::Slips, Grade::Always, 'the wire keeps it from closing'),
            Cause::setting(
                'too_loose',
                'Play too large',
                Commonness::Occasional,
                'Take slack away, to the middle of the band.',
                6,
                Bearing::LessSlack,
            )
                ->shows('play:loose', Grade::Always, 'play too large is what is read')
                ->shows('rest:held', Grade::Sometimes, 'the pull does not part it')
                ->brings(Symptom::CreepsIn, Grade::Always, 'the pull does not part it')
                ->brings(Symptom::DeadTravel, Grade::Usually, 'the handle moves before the wire')
                ->brings(Symptom::HardToShift, Grade::Usually, 'the pull does not part it'),
        ];
    }

    /** @return list<Cause> */
    private static function parts(): array
    {
        return [
            Cause::of('stretched_belt', 'A stretched or glazed belt', Commonness::Common, 'Replace the belt, then set the cable.', 35)->imitates()
                ->shows('belt:worn', Grade::Always, 'it is seen')
                ->shows('load:slips', Grade::Usually, 'it slips on its wheel')
                ->brings(Symptom::Weak, Grade::Usually, 'it slips on its wheel')
                ->brings(Symptom::Slips, Grade::Always, 'it slips on its wheel')
                ->brings(Symptom::AgainAndAgain, Grade::Usually, 'it goes on stretching')
                ->brings(Symptom::EndOfThread, Grade::Sometimes, 'the cable has made up for it'),
            Cause::of('worn_lining', 'A worn, glazed or oily clutch', Commonness::Occasional, 'Clean it; a thin or oily lining is replaced.', 60)
                ->shows('lining:worn', Grade::Always, 'it is seen')
                ->shows('load:slips', Grade::Always, 'it does not hold')
                ->shows('play:tight', Grade::Sometimes, 'what wears away takes the play')
                ->shows('story:shrinks', Grade::Usually, 'what wears away takes the play from job to job')
                ->brings(Symptom::Slips, Grade::Always, 'it does not hold')
                ->brings(Symptom::Weak, Grade::Usually, 'it does not hold')
                ->brings(Symptom::AgainAndAgain, Grade::Usually, 'it goes on wearing'),
            Cause::of('broken_spring', 'A weak, broken or unhooked spring', Commonness::Occasional, 'Hook it on, or replace it.', 12)->imitates()
                ->shows('spring:broken', Grade::Always, 'it is seen')
                ->brings(Symptom::NoSpringBack, Grade::Always, 'nothing draws it back')
                ->brings(Symptom::Slips, Grade::Usually, 'nothing presses it together')
                ->brings(Symptom::Weak, Grade::Usually, 'nothing presses it together'),
            Cause::of('bolts_used_up', 'Bolts at the end of their thread', Commonness::Occasional, 'Run the bolts fully back, pull wire through the pinch clamp, start again with the whole bolt.', 20)
                ->shows('thread:end', Grade::Always, 'it is seen')
                ->brings(Symptom::EndOfThread, Grade::Always, 'that is what is seen'),
        ];
    }
}
