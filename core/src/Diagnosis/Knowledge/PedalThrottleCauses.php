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

/**
 * A throttle pedal with a governor: the primary cable to the governor arm, the secondary to the carburettor. Common
 * practice, no source.
 */
final readonly class PedalThrottleCauses implements KnownFamily
{
    public static function knowledge(): Knowledge
    {
        return Knowledge::of(
            Families::of(FamilyKey::PedalThrottle)->symptoms(),
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
            Check::of('pedal', 'Pedal and its return', 'Press it by hand, key out, and let go; look for the mat.', 'Springs back by itself', ['sticks' => 'Sticks, or the mat holds it'], 0.5)->stoppingOn('sticks')->asInspection('pedal')->saying('Key out, in neutral: pressing the pedal may start the engine and drive off.')->first(),
            Check::play(),
            Check::story([...Shared::GROWS, ...Shared::JUMPED]),
            Check::of('second', 'Play of the secondary cable', 'At the carburettor barrel, pedal up.', 'Inside its band', ['tight' => 'Too little', 'loose' => 'Too much'], 3.0)->using('rule'),
            Check::of('open', 'Carburettor at full pedal', 'Pedal held fully down, key out: can the throttle still be moved on by hand?', 'At its stop, and no more', ['short' => 'It can be moved on', 'over' => 'It is at its stop before the pedal is down'], 2.0)->asProof('wide_open'),
            Check::of('governor', 'Governor arm, spring and nut', 'Arm straight, spring whole, half an inch of thread behind the nut?', 'As it should be', ['spring' => 'Spring weak, broken or in another hole', 'nut' => 'Nut screwed down', 'raised' => 'Stronger spring, tied up, or set past its limit'], 2.0)->asInspection('governor'),
            Check::of('tyre', 'Tyres', 'Diameter at their pressure.', 'As the machine had them', ['small' => 'Smaller, or soft', 'large' => 'Larger'], 3.0)->asMeasure('tyre')->using('tape'),
            Check::of('belt', 'Drive belt and clutches', 'Look at the belt: width, glaze, cracks.', 'Good', ['worn' => 'Narrow, glazed or cracked'], 6.0)->under('engine cover', 4.0)->saying('Engine off, key out. Hot parts burn.'),
            Check::of('engine', 'Engine by itself', 'Does it run evenly and pull, air filter clean?', 'It does', ['poor' => 'It misses, or the filter is dirty'], 6.0)->running('Outdoors: carbon monoxide kills. In neutral, brake set, nobody in front.'),
            Shared::conduit(),
            Shared::drag(5.0),
        ];
    }

    /** @return list<Cause> */
    private static function settings(): array
    {
        return [
            Cause::setting('too_tight', 'Primary cable too tight', Commonness::Common, 'Give slack: pedal up, the arm just at rest.', 8, Bearing::MoreSlack)
                ->shows('play:tight', Grade::Always, 'it reads so')
                ->shows('open:over', Grade::Usually, 'the carburettor stops before the pedal')
                ->brings(Symptom::Jerky, Grade::Always, 'it opens as soon as the pedal moves')
                ->brings(Symptom::StaysOpen, Grade::Sometimes, 'it holds the arm off its rest'),
            Cause::setting('too_loose', 'Primary cable too loose', Commonness::Common, 'Take slack away, before any look at the governor.', 8, Bearing::LessSlack)
                ->shows('play:loose', Grade::Always, 'it reads so')
                ->shows('open:short', Grade::Usually, 'the pedal is used up first')
                ->brings(Symptom::DeadTravel, Grade::Always, 'the pedal moves before the wire')
                ->brings(Symptom::LowTopSpeed, Grade::Usually, 'it never opens fully')
                ->brings(Symptom::NotWideOpen, Grade::Usually, 'the pedal is used up first'),
            Cause::setting('second_loose', 'Secondary cable too loose', Commonness::Occasional, 'Take its slack away, after the primary.', 10, Bearing::LessSlack)
                ->shows('second:loose', Grade::Always, 'it reads so')
                ->shows('open:short', Grade::Usually, 'the governor arm is used up first')
                ->brings(Symptom::LowTopSpeed, Grade::Usually, 'it never opens fully')
                ->brings(Symptom::NotWideOpen, Grade::Usually, 'the arm is used up first'),
            Cause::setting('second_tight', 'Secondary cable too tight', Commonness::Rare, 'Give it slack.', 10, Bearing::MoreSlack)
                ->shows('second:tight', Grade::Always, 'it reads so')
                ->brings(Symptom::StaysOpen, Grade::Usually, 'it holds the barrel off its idle stop')
                ->brings(Symptom::Jerky, Grade::Usually, 'it is open too early'),
        ];
    }

    /** @return list<Cause> */
    private static function parts(): array
    {
        return [
            Cause::of('governor_nut', 'Governor nut turned from its place', Commonness::Occasional, 'Last of all: half an inch of thread stays, and never past the limit of the book.', 15)
                ->shows('governor:nut', Grade::Always, 'its thread tells')
                ->brings(Symptom::LowTopSpeed, Grade::Usually, 'the governor closes early'),
            Cause::of('governor_spring', 'Governor spring weak, broken or in another hole', Commonness::Occasional, 'Hook it in its hole, or replace it.', 15)->imitates()
                ->shows('governor:spring', Grade::Always, 'it is seen at the governor')
                ->brings(Symptom::LowTopSpeed, Grade::Usually, 'the governor closes early')
                ->brings(Symptom::NotWideOpen, Grade::Sometimes, 'nothing draws the throttle open'),
            Cause::of('governor_raised', 'Governor set past its limit, tied up, or with a stronger spring', Commonness::Rare, 'Set it back to the limit of the book. It is never raised past it.', 15)
                ->shows('governor:raised', Grade::Always, 'it is seen at the governor')
                ->brings(Symptom::TooFast, Grade::Always, 'it closes too late, or not at all'),
            Cause::of('pedal_sticks', 'A pedal that sticks, or a mat under it', Commonness::Occasional, 'Clear it, grease its pivot, mend its spring.', 8)->imitates()
                ->shows('pedal:sticks', Grade::Always, 'a hand feels it')
                ->brings(Symptom::StaysOpen, Grade::Usually, 'it holds the pedal down')
                ->brings(Symptom::NoSpringBack, Grade::Always, 'it holds the pedal down')
                ->brings(Symptom::NotWideOpen, Grade::Sometimes, 'a mat stops it short')
                ->brings(Symptom::Heavy, Grade::Sometimes, 'it rubs'),
            Cause::of('small_tyres', 'Smaller or soft tyres', Commonness::Rare, 'Inflate them, or fit the size the machine had.', 15)->imitates()
                ->shows('tyre:small', Grade::Always, 'the tape tells')
                ->brings(Symptom::LowTopSpeed, Grade::Always, 'each turn goes less far'),
            Cause::of('large_tyres', 'Larger tyres', Commonness::Rare, 'Fit the size the machine had.', 15)->imitates()
                ->shows('tyre:large', Grade::Always, 'the tape tells')
                ->brings(Symptom::TooFast, Grade::Usually, 'each turn goes farther'),
            Cause::of('worn_belt', 'A worn drive belt', Commonness::Occasional, 'Replace the belt.', 40)->imitates()
                ->shows('belt:worn', Grade::Always, 'it is seen')
                ->brings(Symptom::LowTopSpeed, Grade::Usually, 'a narrow belt never reaches its last speed')
                ->brings(Symptom::Jerky, Grade::Sometimes, 'it takes hold unevenly'),
            Cause::of('weak_engine', 'An engine that does not pull', Commonness::Occasional, 'Filter, plug, carburettor first; then measure.', 40)->imitates()
                ->shows('engine:poor', Grade::Always, 'it is heard')
                ->brings(Symptom::LowTopSpeed, Grade::Usually, 'it lacks power')
                ->brings(Symptom::Jerky, Grade::Sometimes, 'it misses'),
        ];
    }
}
