<?php

declare(strict_types=1);

namespace VividPull\Core\Diagnosis\Knowledge;

use VividPull\Core\Diagnosis\Cause;
use VividPull\Core\Diagnosis\Check;
use VividPull\Core\Diagnosis\Commonness;
use VividPull\Core\Diagnosis\Grade;
use VividPull\Core\Diagnosis\Knowledge;
use VividPull\Core\Family\Families;
use VividPull\Core\Procedure\Bearing;
use VividPull\Core\Procedure\Symptom;
use VividPull\Core\Spec\FamilyKey;

/** Any cable with play. Common practice, no source. */
final readonly class OtherControlCauses implements KnownFamily
{
    public static function knowledge(): Knowledge
    {
        return Knowledge::of(
            Families::of(FamilyKey::OtherControl)->symptoms(),
            self::checks(),
            [...self::settings(), ...self::parts()],
            Shared::ofAnyCable(),
        );
    }

    /** @return list<Check> */
    private static function checks(): array
    {
        return [
            Shared::wire(),
            Shared::adjusters(),
            Check::play(),
            Check::story([...Shared::GROWS, ...Shared::JUMPED]),
            Check::of('bracket', 'Brackets and pegs', 'Look along them while somebody draws the control.', 'Straight and whole', ['bent' => 'Bent, broken, or gives'], 1.0)->first(),
            Check::of('spring', 'Springs', 'Where it is drawn back: whole and hooked?', 'Whole and hooked', ['broken' => 'Weak, broken or unhooked'], 1.5),
            Check::of('barrel', 'Adjuster', 'Wiggle it; look at its thread.', 'Firm', ['loose' => 'Wobbles or stripped'], 0.5),
            Check::of('end', 'Working end', 'Cable unhooked: work it by hand.', 'Moves and comes back', ['stiff' => 'Stiff'], 5.0)->using('pliers'),
            Shared::conduit(),
            Shared::drag(5.0),
        ];
    }

    /** @return list<Cause> */
    private static function settings(): array
    {
        return [
            Cause::setting(
                'too_tight',
                'Play too small',
                Commonness::Common,
                'Give slack, to the middle of the band.',
                5,
                Bearing::MoreSlack,
            )
                ->shows('play:tight', Grade::Always, 'play too small is what is read')
                ->brings(Symptom::Drags, Grade::Always, 'it is never let go')
                ->brings(Symptom::CreepsOut, Grade::Usually, 'it works with the control let go'),
            Cause::setting(
                'too_loose',
                'Play too large',
                Commonness::Common,
                'Take slack away, to the middle of the band.',
                5,
                Bearing::LessSlack,
            )
                ->shows('play:loose', Grade::Always, 'play too large is what is read')
                ->brings(Symptom::DeadTravel, Grade::Always, 'the hand moves before the wire')
                ->brings(Symptom::DoesNotHold, Grade::Usually, 'the hand is used up first'),
        ];
    }

    /** @return list<Cause> */
    private static function parts(): array
    {
        return [
            Cause::of('bent_bracket', 'A bent bracket or a broken peg', Commonness::Occasional, 'Straighten or replace it, then set the cable.', 15)->imitates()
                ->shows('bracket:bent', Grade::Always, 'it is seen')
                ->shows('play:loose', Grade::Sometimes, 'it gives')
                ->brings(Symptom::PlayChanges, Grade::Usually, 'it gives under the pull')
                ->brings(Symptom::AgainAndAgain, Grade::Usually, 'it goes on bending')
                ->brings(Symptom::DoesNotHold, Grade::Sometimes, 'it takes a part of the pull'),
            Cause::of('broken_spring', 'A weak, broken or unhooked spring', Commonness::Occasional, 'Hook it on, or replace it.', 10)->imitates()
                ->shows('spring:broken', Grade::Always, 'it is seen')
                ->brings(Symptom::NoSpringBack, Grade::Always, 'nothing draws it back')
                ->brings(Symptom::Drags, Grade::Usually, 'nothing draws it off')
                ->brings(Symptom::CreepsOut, Grade::Usually, 'nothing draws it off'),
            Cause::of('worn_adjuster', 'A worn adjuster', Commonness::Occasional, 'Replace it; take the play up at the other end.', 20)
                ->shows('barrel:loose', Grade::Always, 'a hand feels it')
                ->brings(Symptom::Wobbles, Grade::Always, 'its thread is worn')
                ->brings(Symptom::PlayChanges, Grade::Usually, 'it shifts in its thread'),
            Cause::of('stiff_end', 'A working end that is stiff', Commonness::Occasional, 'Free it, grease its pivot.', 20)->imitates()
                ->shows('end:stiff', Grade::Always, 'by hand it is stiff, too')
                ->brings(Symptom::Heavy, Grade::Usually, 'it rubs')
                ->brings(Symptom::NoSpringBack, Grade::Usually, 'it stays where it was')
                ->brings(Symptom::Drags, Grade::Usually, 'it stays where it was')
                ->brings(Symptom::CreepsOut, Grade::Usually, 'it stays where it was'),
        ];
    }
}
