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

/** A throttle worked by a twist grip, single or push-pull. Common practice, no source. */
final readonly class TwistGripCauses implements KnownFamily
{
    public static function knowledge(): Knowledge
    {
        return Knowledge::of(
            Families::of(FamilyKey::TwistGrip)->symptoms(),
            self::checks(),
            [...self::settings(), ...self::parts(), ...self::imitators()],
            Shared::ofAnyCable(),
        );
    }

    /** @return list<Check> */
    private static function checks(): array
    {
        return [
            Shared::wire(),
            Shared::adjusters(),
            Check::of('groove', 'Wire on its drum', 'Housing open a little, grip turned: does the wire lie in its groove?', 'In its groove', ['out' => 'Out of its groove'], 3.0)->stoppingOn('out')->asProof('wire_in_groove')->using('screwdriver')->first(),
            Check::of('spring', 'Return spring and bracket', 'At the carburettor, grip let go: spring whole and hooked, bracket straight?', 'Whole and straight', ['weak' => 'Weak, broken or unhooked', 'bent' => 'Bracket bent'], 2.0)->stoppingOn('weak')->asInspection('spring'),
            Check::of('grip', 'Grip and drum', 'Push it along the bar end and turn it: does it bind or slip on its tube?', 'Turns freely', ['binds' => 'Binds on the bar end', 'slips' => 'Rubber turns on the tube'], 0.5)->stoppingOn('binds')->asInspection('grip'),
            Check::play(),
            Check::story([...Shared::GROWS, ...Shared::JUMPED]),
            Check::of('steering', 'Play while steering', 'Read at full left and full right as well.', 'Inside everywhere', ['tight' => 'Goes tight at one side'], 2.0)->stoppingOn('tight')->using('rule or caliper'),
            Check::of('closing', 'Closing cable', 'Play of the closing cable, read past the rest of the grip.', 'Inside its band', ['tight' => 'Too little', 'loose' => 'Too much'], 2.0)->using('rule or caliper'),
            Check::of('butterfly', 'Throttle at the carburettor', 'Grip held fully open, engine off: does it reach its stop?', 'Reaches its stop', ['short' => 'Stops short of it'], 3.0)->using('light'),
            Check::of('throttle_pivot', 'Throttle by hand', 'Cable unhooked: turn the throttle by hand and let go.', 'Snaps shut by itself', ['sticks' => 'Sticks'], 5.0)->stoppingOn('sticks')->using('pliers'),
            Shared::conduit(),
            Shared::drag(5.0),
        ];
    }

    /** @return list<Cause> */
    private static function settings(): array
    {
        return [
            Cause::setting('too_tight', 'Play too small', Commonness::Common, 'Give slack, to the middle of the band, in the tightest place of the bars.', 6, Bearing::MoreSlack)
                ->shows('play:tight', Grade::Always, 'play too small is what is read')
                ->shows('steering:tight', Grade::Usually, 'what is tight straight ahead is tighter at a side')
                ->brings(Symptom::IdleRises, Grade::Usually, 'the bars draw the wire')
                ->brings(Symptom::StaysOpen, Grade::Sometimes, 'the wire holds the throttle a little open'),
            Cause::setting('too_loose', 'Play too large', Commonness::Common, 'Take slack away, to the middle of the band.', 6, Bearing::LessSlack)
                ->shows('play:loose', Grade::Always, 'play too large is what is read')
                ->shows('butterfly:short', Grade::Usually, 'the grip is used up before the throttle is open')
                ->brings(Symptom::DeadTravel, Grade::Always, 'the grip turns before the wire does')
                ->brings(Symptom::NotWideOpen, Grade::Usually, 'the grip is used up before the throttle is open')
                ->brings(Symptom::Jerky, Grade::Usually, 'it comes on all at once after the slack')
                ->shows('groove:out', Grade::Rarely, 'a slack wire leaves its groove'),
            Cause::setting('closing_tight', 'Closing cable too tight', Commonness::Occasional, 'Give the closing cable slack; some books set it first.', 8, Bearing::MoreSlack)
                ->shows('closing:tight', Grade::Always, 'it reads so')
                ->brings(Symptom::Heavy, Grade::Usually, 'the two cables pull against each other')
                ->shows('butterfly:short', Grade::Sometimes, 'it holds the throttle back')
                ->brings(Symptom::NotWideOpen, Grade::Sometimes, 'it holds the throttle back'),
        ];
    }

    /** @return list<Cause> */
    private static function parts(): array
    {
        return [
            Cause::of(
                'grip_binds',
                'Grip binds on the bar end',
                Commonness::Occasional,
                'Leave a little room at the bar end, clean the tube, no grease on the bar.',
                6,
            )
                ->shows('grip:binds', Grade::Always, 'a hand feels it')
                ->brings(Symptom::StaysOpen, Grade::Usually, 'it rubs on the bar end')
                ->brings(Symptom::Heavy, Grade::Usually, 'it rubs on the bar end')
                ->brings(Symptom::NoSpringBack, Grade::Usually, 'it rubs on the bar end'),
            Cause::of(
                'closing_loose',
                'Closing cable too loose',
                Commonness::Rare,
                'Take up its slack, then read both.',
                8,
            )
                ->shows('closing:loose', Grade::Always, 'it reads so')
                ->shows('groove:out', Grade::Sometimes, 'a slack wire leaves its groove')
                ->brings(Symptom::StaysOpen, Grade::Sometimes, 'it does not draw the throttle shut'),
        ];
    }

    /** @return list<Cause> what is mistaken for a bad setting */
    private static function imitators(): array
    {
        return [
            Cause::of('routed_tight', 'A cable too short for its route, or trapped at the steering head', Commonness::Occasional, 'Free it, route it as it was made, and sweep again.', 20)->imitates()
                ->shows('steering:tight', Grade::Always, 'one side draws it')
                ->shows('conduit:trapped', Grade::Usually, 'it is seen at the steering head')
                ->brings(Symptom::IdleRises, Grade::Always, 'steering draws the wire')
                ->brings(Symptom::StaysOpen, Grade::Rarely, 'at one side it holds the throttle open'),
            Cause::of('weak_spring', 'A weak, broken or unhooked return spring', Commonness::Occasional, 'Hook it on, or replace it.', 12)->imitates()
                ->shows('spring:weak', Grade::Always, 'it is seen at the carburettor')
                ->brings(Symptom::StaysOpen, Grade::Usually, 'nothing draws it shut')
                ->brings(Symptom::NoSpringBack, Grade::Always, 'nothing draws it back'),
            Cause::of('out_of_groove', 'Wire out of its groove', Commonness::Rare, 'Wire back in its groove, housing closed, and swept again.', 10)->imitates()
                ->shows('groove:out', Grade::Always, 'it is seen in the housing')
                ->brings(Symptom::StaysOpen, Grade::Usually, 'it jams on the edge of the drum')
                ->brings(Symptom::PlayChanges, Grade::Usually, 'it climbs and falls back')
                ->brings(Symptom::Heavy, Grade::Sometimes, 'it rubs on the edge of the drum'),
            Cause::of('rubber_turns', 'Grip rubber turns on its tube', Commonness::Rare, 'Glue it, or replace it.', 15)->imitates()
                ->shows('grip:slips', Grade::Always, 'a hand feels it')
                ->brings(Symptom::DeadTravel, Grade::Usually, 'the hand turns, the tube does not')
                ->brings(Symptom::NotWideOpen, Grade::Usually, 'the hand turns, the tube does not'),
            Cause::of('sticking_throttle', 'A throttle that sticks in the carburettor', Commonness::Rare, 'Clean it; a worn one is replaced.', 40)->imitates()
                ->shows('throttle_pivot:sticks', Grade::Always, 'by hand it sticks, too')
                ->brings(Symptom::StaysOpen, Grade::Always, 'it sticks by itself')
                ->brings(Symptom::NoSpringBack, Grade::Usually, 'it sticks by itself')
                ->brings(Symptom::Heavy, Grade::Sometimes, 'it sticks by itself'),
            Cause::of('bent_bracket', 'A bent bracket', Commonness::Rare, 'Straighten it if it is not cracked, else replace it; then set the cable.', 15)->imitates()
                ->shows('spring:bent', Grade::Always, 'it is seen at the carburettor')
                ->shows('play:loose', Grade::Sometimes, 'a bracket that gives lets the conduit come')
                ->brings(Symptom::PlayChanges, Grade::Usually, 'it gives under the pull')
                ->brings(Symptom::AgainAndAgain, Grade::Usually, 'it goes on bending')
                ->brings(Symptom::NotWideOpen, Grade::Sometimes, 'it takes a part of the pull'),
        ];
    }
}
