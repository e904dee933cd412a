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

/** A throttle trigger on a trimmer, a pole saw or another tool held in the hands. Common practice, no source. */
final readonly class TriggerThrottleCauses implements KnownFamily
{
    public static function knowledge(): Knowledge
    {
        return Knowledge::of(
            Families::of(FamilyKey::TriggerThrottle)->symptoms(),
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
            Check::of('keyhole', 'End of the wire', 'At the carburettor: does it sit home in its keyhole?', 'Home in its keyhole', ['out' => 'Half out, or in the wrong hole'], 3.0)->stoppingOn('out')->asProof('end_home')->under('filter cover', 2.0)->first(),
            Check::of('bracket', 'Bracket at the carburettor', 'Look along it, and draw the trigger.', 'Straight', ['bent' => 'Bent, or gives'], 1.0)->asInspection('bracket')->under('filter cover', 2.0),
            Check::of('trigger', 'Trigger and lock-out', 'Draw it and let go.', 'Comes back by itself', ['sticks' => 'Sticks, or worn'], 0.5)->stoppingOn('sticks')->asInspection('trigger'),
            Check::play(),
            Check::story([...Shared::GROWS, ...Shared::JUMPED]),
            Check::of('barrel', 'Barrel at full trigger', 'Trigger held fully, engine off: can the barrel still be moved on by hand?', 'It stands at its stop', ['short' => 'It can be moved on'], 1.0)->asProof('wide_open')->under('filter cover', 2.0),
            Check::of('idle_screw', 'Idle screw', 'Does it reach the barrel, and does the tool idle as the book says?', 'Set as the book says', ['high' => 'Turned in too far'], 2.0)->using('screwdriver'),
            Check::of('head', 'Clutch of the head', 'Drum off, engine cold: springs whole, shoes back?', 'Whole, shoes back', ['broken' => 'A spring weak or broken'], 10.0)->stoppingOn('broken')->using('spanner'),
            Check::of('joint', 'Joint of the two pieces', 'Housing open: the eye hooked, the guide nut where it sat?', 'Hooked, nut in its place', ['off' => 'Unhooked or shifted'], 6.0)->using('screwdriver'),
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
                'Give slack: half a turn, and try.',
                4,
                Bearing::MoreSlack,
            )
                ->shows('play:tight', Grade::Always, 'play too small is what is read')
                ->brings(Symptom::CreepsOut, Grade::Usually, 'the wire holds the barrel off its idle stop')
                ->brings(Symptom::StaysOpen, Grade::Sometimes, 'the wire holds the barrel a little open'),
            Cause::setting(
                'too_loose',
                'Play too large',
                Commonness::Common,
                'Take slack away: one turn, try, then half a turn.',
                4,
                Bearing::LessSlack,
            )
                ->shows('play:loose', Grade::Always, 'play too large is what is read')
                ->shows('barrel:short', Grade::Usually, 'the trigger is used up before the barrel is open')
                ->brings(Symptom::NotWideOpen, Grade::Always, 'the trigger is used up before the barrel is open')
                ->brings(Symptom::DeadTravel, Grade::Usually, 'the trigger moves before the wire does')
                ->shows('keyhole:out', Grade::Sometimes, 'a slack wire falls out'),
            Cause::setting(
                'idle_high',
                'Idle screw turned in too far',
                Commonness::Occasional,
                'Turn it back until the head stands still at idle.',
                4,
                Bearing::Elsewhere,
            )
                ->shows('idle_screw:high', Grade::Always, 'its screw tells')
                ->brings(Symptom::CreepsOut, Grade::Always, 'the clutch takes hold at idle'),
        ];
    }

    /** @return list<Cause> */
    private static function parts(): array
    {
        return [
            Cause::of('bent_bracket', 'A bracket bent by pulling the tool about', Commonness::Occasional, 'Bend it back once if it is not cracked, else replace it.', 10)->imitates()
                ->shows('bracket:bent', Grade::Always, 'it is seen')
                ->shows('play:loose', Grade::Sometimes, 'it gives')
                ->shows('play:tight', Grade::Sometimes, 'bent the other way it draws the wire')
                ->brings(Symptom::NotWideOpen, Grade::Usually, 'it takes a part of the pull')
                ->brings(Symptom::PlayChanges, Grade::Sometimes, 'it gives under the pull')
                ->brings(Symptom::AgainAndAgain, Grade::Usually, 'it goes on bending'),
            Cause::of('end_out', 'The end out of its keyhole', Commonness::Occasional, 'Hook it home; the cover that holds its stop back on.', 5)->imitates()
                ->shows('keyhole:out', Grade::Always, 'it is seen')
                ->brings(Symptom::NotWideOpen, Grade::Usually, 'it catches beside its hole')
                ->brings(Symptom::StaysOpen, Grade::Usually, 'it catches beside its hole')
                ->brings(Symptom::DeadTravel, Grade::Sometimes, 'nothing is hooked'),
            Cause::of('joint_off', 'The joint of the two pieces has shifted', Commonness::Rare, 'Hook the eye, the guide nut where it sat.', 15)
                ->shows('joint:off', Grade::Always, 'it is seen in the housing')
                ->brings(Symptom::NotWideOpen, Grade::Usually, 'a part of the pull is lost')
                ->brings(Symptom::DeadTravel, Grade::Usually, 'a part of the pull is lost')
                ->shows('play:loose', Grade::Usually, 'it is longer by what shifted'),
            Cause::of('sticking_trigger', 'A trigger that sticks', Commonness::Occasional, 'Clean it; a worn one is replaced.', 12)->imitates()
                ->shows('trigger:sticks', Grade::Always, 'a finger feels it')
                ->brings(Symptom::StaysOpen, Grade::Usually, 'it sticks by itself')
                ->brings(Symptom::NoSpringBack, Grade::Usually, 'it sticks by itself')
                ->brings(Symptom::Heavy, Grade::Sometimes, 'it rubs'),
            Cause::of('clutch_spring', 'A weak spring in the clutch of the head', Commonness::Rare, 'Replace it.', 30)->imitates()
                ->shows('head:broken', Grade::Always, 'it is seen with the drum off')
                ->brings(Symptom::CreepsOut, Grade::Usually, 'it takes hold at idle speed'),
        ];
    }
}
