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

/** A drive clutch that takes hold when its handle is pushed down. Common practice, no source. */
final readonly class EngageByPullCauses implements KnownFamily
{
    public static function knowledge(): Knowledge
    {
        return Knowledge::of(
            Families::of(FamilyKey::EngageByPull)->symptoms(),
            SharedDrive::checks(
                'Handle at rest, in gear',
                'Engine off: roll it by hand. Is the clutch free?',
                [...Shared::GROWS, ...Shared::JUMPED],
            ),
            [...self::settings(), ...self::parts(), ...SharedDrive::causes(), ...self::imitators()],
            Shared::ofAnyCable(),
        );
    }

    /** @return list<Cause> */
    private static function settings(): array
    {
        return [
            Cause::setting(
                'too_loose',
                'Play too large',
                Commonness::Common,
                'Take slack away: one nut gives room, the other follows, counted.',
                6,
                Bearing::LessSlack,
            )
                ->shows('play:loose', Grade::Always, 'play too large is what is read')
                ->shows('load:slips', Grade::Usually, 'the belt is not drawn tight')
                ->brings(Symptom::Weak, Grade::Usually, 'the belt is not drawn tight')
                ->brings(Symptom::Slips, Grade::Usually, 'the belt is not drawn tight')
                ->brings(Symptom::DeadTravel, Grade::Usually, 'the handle moves before the wire'),
            Cause::setting(
                'too_tight',
                'Play too small',
                Commonness::Common,
                'Give slack until nothing moves at rest.',
                6,
                Bearing::MoreSlack,
            )
                ->shows('play:tight', Grade::Always, 'play too small is what is read')
                ->shows('rest:held', Grade::Usually, 'it is never free')
                ->brings(Symptom::CreepsOut, Grade::Always, 'it is never free')
                ->brings(Symptom::HardToPullBack, Grade::Usually, 'it is never free'),
        ];
    }

    /** @return list<Cause> */
    private static function parts(): array
    {
        return [
            Cause::of(
                'worn_lining',
                'A worn, glazed or oily clutch',
                Commonness::Occasional,
                'Clean it; a thin or oily lining is replaced.',
                60,
            )
                ->shows('lining:worn', Grade::Always, 'it is seen')
                ->shows('load:slips', Grade::Always, 'it does not hold')
                ->brings(Symptom::Slips, Grade::Always, 'it does not hold')
                ->brings(Symptom::Weak, Grade::Usually, 'it does not hold')
                ->brings(Symptom::AgainAndAgain, Grade::Usually, 'it goes on wearing'),
            Cause::of(
                'bolts_used_up',
                'Bolts at the end of their thread',
                Commonness::Occasional,
                'Run the bolts fully back, pull wire through the pinch clamp, start again with the whole bolt.',
                20,
            )
                ->shows('thread:end', Grade::Always, 'it is seen')
                ->brings(Symptom::EndOfThread, Grade::Always, 'that is what is seen')
                ->shows('play:loose', Grade::Usually, 'nothing is left to take it up')
                ->brings(Symptom::Weak, Grade::Sometimes, 'nothing is left to take it up'),
        ];
    }

    /** @return list<Cause> what is mistaken for a bad setting */
    private static function imitators(): array
    {
        return [
            Cause::of(
                'stretched_belt',
                'A stretched or glazed belt',
                Commonness::Common,
                'Replace the belt, then set the cable.',
                35,
            )->imitates()
                ->shows('belt:worn', Grade::Always, 'it is seen')
                ->shows('load:slips', Grade::Usually, 'it slips on its wheel')
                ->shows('play:loose', Grade::Sometimes, 'a long belt lets the arm come further')
                ->shows('story:grows', Grade::Usually, 'a belt that stretches gives play from job to job')
                ->brings(Symptom::Weak, Grade::Usually, 'it slips on its wheel')
                ->brings(Symptom::Slips, Grade::Always, 'it slips on its wheel')
                ->brings(Symptom::AgainAndAgain, Grade::Usually, 'it goes on stretching')
                ->brings(Symptom::EndOfThread, Grade::Sometimes, 'the cable has made up for it'),
            Cause::of(
                'broken_spring',
                'A weak, broken or unhooked spring',
                Commonness::Occasional,
                'Hook it on, or replace it.',
                12,
            )->imitates()
                ->shows('spring:broken', Grade::Always, 'it is seen')
                ->brings(Symptom::NoSpringBack, Grade::Always, 'nothing draws it back')
                ->brings(Symptom::CreepsOut, Grade::Usually, 'the arm stays where it was drawn')
                ->brings(Symptom::HardToPullBack, Grade::Usually, 'the arm stays where it was drawn'),
        ];
    }
}
