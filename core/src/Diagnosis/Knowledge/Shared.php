<?php

declare(strict_types=1);

namespace VividPull\Core\Diagnosis\Knowledge;

use VividPull\Core\Diagnosis\Cause;
use VividPull\Core\Diagnosis\Check;
use VividPull\Core\Diagnosis\Commonness;
use VividPull\Core\Diagnosis\Grade;
use VividPull\Core\Procedure\Symptom;

/**
 * Looks and causes that most families share: a wire, its conduit, a cable that runs dry. Common practice, no source.
 */
final readonly class Shared
{
    private function __construct() {}

    /** Before anything runs. */
    public static function wire(): Check
    {
        return Check::of(
            'wire',
            'Inner wire',
            'Light and finger: behind both end fittings, and where it bends.',
            'Sound',
            ['frayed' => 'Frayed, rusty or kinked'],
            1.0,
        )->stoppingOn('frayed')
            ->asInspection('wire')->saying('Gloves: broken strands cut.')->first();
    }

    public static function conduit(): Check
    {
        return Check::of(
            'conduit',
            'Conduit and route',
            'Follow it from end to end: kinks, tight bends, strands poking out, ferrules in their seats.',
            'Lies as it should',
            [
                'trapped' => 'Kinked, trapped or wrongly routed',
                'shortened' => 'Its spiral strands poke out',
                'unseated' => 'A ferrule out of its seat',
            ],
            2.0,
        )->asInspection('conduit');
    }

    /** @param  float  $minutes  to unhook it and hook it on again */
    public static function drag(float $minutes): Check
    {
        return Check::of(
            'drag',
            'Wire by itself',
            'Unhook one end and draw the wire to and fro by hand.',
            'Slides with nearly no resistance',
            ['stiff' => 'Stiff, or it sticks'],
            $minutes,
        )->using('pliers where it is hooked');
    }

    /** How much room its adjusters have left; what is on file is not asked. */
    public static function adjusters(): Check
    {
        return Check::of(
            'thread',
            'Adjusters',
            'How far out does each of them stand?',
            'In their healthy zone',
            ['end' => 'At the end of the thread, or nearly'],
            0.5,
        )->asThread();
    }

    public const GROWS = ['grows' => 'Its play grows from job to job'];

    public const SHRINKS = ['shrinks' => 'Its play shrinks from job to job'];

    public const JUMPED = ['jumped' => 'Its play jumped, which no wear does'];

    /** @return list<Cause> what becomes of any cable */
    public static function ofAnyCable(): array
    {
        return [self::frayed(), self::dry(), self::badRoute(), self::shortened(), self::unseated(), self::usedUp()];
    }

    private static function frayed(): Cause
    {
        return Cause::of('frayed_wire', 'A frayed or rusty wire', Commonness::Occasional, 'Replace the cable.', 35)
            ->shows('wire:frayed', Grade::Always, 'it shows behind the end fittings')
            ->shows('cable_age:old', Grade::Usually, 'a wire breaks strand by strand over years')
            ->shows('drag:stiff', Grade::Usually, 'broken strands catch in the conduit')
            ->brings(Symptom::Heavy, Grade::Usually, 'broken strands catch in the conduit')
            ->brings(Symptom::AgainAndAgain, Grade::Usually, 'a wire that breaks strand by strand grows longer')
            ->brings(Symptom::NoSpringBack, Grade::Sometimes, 'broken strands catch in the conduit')
            ->brings(Symptom::StaysOpen, Grade::Sometimes, 'broken strands catch in the conduit')
            ->brings(Symptom::RunsOn, Grade::Rarely, 'broken strands catch in the conduit');
    }

    private static function dry(): Cause
    {
        return Cause::of(
            'dry_cable',
            'A dry or dirty cable',
            Commonness::Common,
            'Oil it with light oil, pivots greased; still stiff: replace it.',
            10,
        )
            ->shows('drag:stiff', Grade::Always, 'a dry wire drags')
            ->shows('oiled:long_ago', Grade::Usually, 'oil is gone after years')
            ->brings(Symptom::Heavy, Grade::Usually, 'a dry wire drags')
            ->brings(Symptom::NoSpringBack, Grade::Usually, 'the spring cannot draw a dry wire back')
            ->brings(Symptom::StaysOpen, Grade::Usually, 'the spring cannot draw a dry wire back')
            ->brings(Symptom::RunsOn, Grade::Sometimes, 'the spring cannot draw a dry wire back')
            ->brings(Symptom::Drags, Grade::Sometimes, 'the spring cannot draw a dry wire back')
            ->brings(Symptom::CreepsOut, Grade::Sometimes, 'the spring cannot draw a dry wire back');
    }

    private static function badRoute(): Cause
    {
        return Cause::of(
            'bad_route',
            'A kinked, trapped or wrongly routed cable',
            Commonness::Occasional,
            'Route it as it was made, clips home; a kinked one is replaced.',
            15,
        )->imitates()
            ->shows('conduit:trapped', Grade::Always, 'it is seen along the route')
            ->shows('cable_age:new', Grade::Sometimes, 'a cable is led wrong when it is fitted')
            ->shows('drag:stiff', Grade::Usually, 'a tight bend drags')
            ->brings(Symptom::Heavy, Grade::Usually, 'a tight bend drags')
            ->brings(Symptom::NoSpringBack, Grade::Sometimes, 'a tight bend holds the wire')
            ->brings(Symptom::StaysOpen, Grade::Sometimes, 'a tight bend holds the wire')
            ->brings(Symptom::RunsOn, Grade::Sometimes, 'a tight bend holds the wire')
            ->brings(Symptom::PlayChanges, Grade::Sometimes, 'it lies differently each time');
    }

    private static function shortened(): Cause
    {
        return Cause::of(
            'shortened_conduit',
            'A conduit that has shortened',
            Commonness::Rare,
            'Replace the cable.',
            35,
        )->imitates()
            ->shows('conduit:shortened', Grade::Always, 'its spiral strands poke out')
            ->shows('cable_age:old', Grade::Usually, 'a conduit shrinks over years')
            ->shows('play:loose', Grade::Usually, 'the wire is longer beside it')
            ->shows('story:grows', Grade::Sometimes, 'it goes on shortening')
            ->brings(Symptom::AgainAndAgain, Grade::Usually, 'it goes on shortening')
            ->brings(Symptom::DeadTravel, Grade::Usually, 'the wire is longer beside it')
            ->brings(Symptom::NotWideOpen, Grade::Sometimes, 'the wire is longer beside it')
            ->brings(Symptom::Weak, Grade::Sometimes, 'the wire is longer beside it')
            ->brings(Symptom::Heavy, Grade::Sometimes, 'the loose strands rub');
    }

    private static function unseated(): Cause
    {
        return Cause::of(
            'unseated_ferrule',
            'A ferrule out of its seat',
            Commonness::Occasional,
            'Push it home, and read again.',
            3,
        )->imitates()
            ->shows('conduit:unseated', Grade::Always, 'it is seen at its seat')
            ->shows('cable_age:new', Grade::Sometimes, 'a new cable settles into its seats')
            ->shows('play:tight', Grade::Usually, 'standing on its edge it draws the wire')
            ->shows('story:jumped', Grade::Usually, 'it goes in and out of its seat')
            ->brings(Symptom::PlayChanges, Grade::Usually, 'it goes in and out of its seat')
            ->brings(Symptom::IdleRises, Grade::Sometimes, 'steering pushes it onto its edge')
            ->brings(Symptom::StaysOpen, Grade::Rarely, 'standing on its edge it draws the wire')
            ->brings(Symptom::CreepsOut, Grade::Sometimes, 'standing on its edge it draws the wire')
            ->brings(Symptom::CreepsIn, Grade::Rarely, 'it takes a part of the pull')
            ->brings(Symptom::StartsSometimes, Grade::Sometimes, 'it takes a part of the pull')
            ->brings(Symptom::WrongDirection, Grade::Sometimes, 'standing on its edge it draws the wire')
            ->brings(Symptom::DashDisagrees, Grade::Sometimes, 'standing on its edge it draws the wire');
    }

    private static function usedUp(): Cause
    {
        return Cause::of('used_up', 'A cable that is used up', Commonness::Occasional, 'Replace the cable.', 35)
            ->shows('thread:end', Grade::Always, 'its adjusters are used up')
            ->shows('cable_age:old', Grade::Usually, 'it takes years to use a cable up')
            ->shows('play:loose', Grade::Usually, 'it has grown longer than its adjusters take up')
            ->shows('story:grows', Grade::Usually, 'a cable that grows gives play from job to job')
            ->brings(Symptom::EndOfThread, Grade::Always, 'its adjusters are used up')
            ->brings(Symptom::AgainAndAgain, Grade::Usually, 'it goes on growing')
            ->brings(Symptom::DeadTravel, Grade::Sometimes, 'its slack cannot be taken up')
            ->brings(Symptom::CreepsIn, Grade::Sometimes, 'the lever is used up first')
            ->brings(Symptom::Weak, Grade::Sometimes, 'its slack cannot be taken up');
    }
}
