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
 * A clutch lever on a motorcycle or ATV. The order for a slipping clutch (play, oil, basket and plates, springs)
 * follows from minutes and grades.
 */
final readonly class ClutchLeverCauses implements KnownFamily
{
    private const COVER = 'clutch cover';

    /** Off and on again, with its gasket. */
    private const COVER_MINUTES = 25.0;

    public static function knowledge(): Knowledge
    {
        return Knowledge::of(
            Families::of(FamilyKey::ClutchLever)->symptoms(),
            [...self::outside(), ...self::inside()],
            [...self::settings(), ...self::ofTheLever(), ...self::ofTheArm(), ...self::ofThePack()],
            Shared::ofAnyCable(),
        );
    }

    /** @return list<Check> */
    private static function outside(): array
    {
        return [
            Shared::wire(),
            Shared::adjusters(),
            Check::play(),
            Check::story([...Shared::SHRINKS, ...Shared::GROWS, ...Shared::JUMPED]),
            Check::of('heat', 'Engine', 'A hand near the case: as cold, or as hot, as the figure is for?', 'As the figure wants it', ['other' => 'Hotter or colder than that'], 0.5)->saying('Hot case and exhaust burn.'),
            Check::of('springs_felt', 'Lever drawn slowly', 'Past the return spring it should grow much heavier.', 'The clutch springs are felt', ['return_only' => 'Only the return spring is felt'], 0.5)->asProof('springs_felt'),
            Check::of('arm_free', 'Release arm', 'Wiggle it with the lever at rest.', 'Loose, just feelable', ['no' => 'Not loose at all'], 0.5)->asProof('arm_loose'),
            Check::of('perch', 'Perch and barrel', 'Take hold of the barrel and wiggle it; look at its thread and slot.', 'Firm', ['loose' => 'Wobbles, stripped or cracked'], 0.5)->asInspection('perch'),
            Check::of('arm', 'Release arm and bracket', 'Look along the bracket while somebody draws the lever.', 'Straight, spring whole', ['bent' => 'Bracket bent or gives', 'weak_spring' => 'Return spring weak, broken or unhooked'], 1.0)->asInspection('arm'),
            Check::of('oil', 'Engine oil', 'What was filled in, and when: the right kind for a wet clutch, and fresh?', 'The right kind, and fresh', ['wrong' => 'Another kind, or old'], 3.0),
            Check::oilAge(),
            Shared::conduit(),
            Shared::drag(5.0),
            Check::of('arm_mark', 'Mark on the release arm', 'Turn the shaft by hand until its slop is gone, then see where the mark stands.', 'At the case mark, or the tooth just before', ['off' => 'A tooth or more off'], 6.0)
                ->using('spanner, light')->saying('Marks that meet at rest prove nothing.'),
        ];
    }

    /** @return list<Check> */
    private static function inside(): array
    {
        $in = static fn (Check $check): Check => $check->under(self::COVER, self::COVER_MINUTES);

        return [
            $in(Check::of('rod_gap', 'Push rod', 'Lock nut loose, screw in gently until it seats: how far was it?', 'Half a turn to one, as the book says', ['none' => 'It sat already'], 4.0)->using('spanner, screwdriver')),
            $in(Check::of('rod', 'Ends of screw, rod and arm', 'Take the rod out and look at its ends.', 'Flat and bright', ['worn' => 'Worn, mushroomed or blue'], 5.0)->using('light')),
            $in(Check::of('basket', 'Basket, hub and pressure plate', 'A fingernail along the fingers of the basket and the splines of the hub.', 'Smooth', ['notched' => 'Ridges that catch the nail'], 4.0)->using('light')),
            $in(Check::of('plates', 'Friction and steel plates', 'Measure each friction plate; steel plates on glass, and their colour.', 'Thick enough, flat, no blue', ['worn' => 'Under their limit, warped or blue'], 12.0)
                ->asMeasure('friction_plate')->using('caliper, glass plate, feeler')),
            $in(Check::of('springs', 'Clutch springs', 'Measure each one standing free.', 'Long enough', ['short' => 'One is short'], 10.0)->asMeasure('clutch_spring')->using('caliper')),
        ];
    }

    /** @return list<Cause> */
    private static function settings(): array
    {
        return [
            Cause::setting('too_tight', 'Play too small', Commonness::Common, 'Give slack, to the middle of the band.', 5, Bearing::MoreSlack)
                ->shows('play:tight', Grade::Always, 'play too small is what is read')
                ->shows('arm_free:no', Grade::Usually, 'a taut wire holds the arm')
                ->brings(Symptom::Slips, Grade::Usually, 'a taut wire holds the plates a little apart')
                ->brings(Symptom::BitesLate, Grade::Usually, 'the plates meet only when the lever is all the way out'),
            Cause::setting('too_loose', 'Play too large', Commonness::Common, 'Take slack away, to the middle of the band.', 5, Bearing::LessSlack)
                ->shows('play:loose', Grade::Always, 'play too large is what is read')
                ->brings(Symptom::CreepsIn, Grade::Usually, 'the lever is used up before the plates part')
                ->brings(Symptom::HardToShift, Grade::Usually, 'the plates do not part')
                ->brings(Symptom::BitesEarly, Grade::Usually, 'the plates meet as soon as the lever leaves the bar'),
            Cause::setting('rod_tight', 'No gap at the push rod', Commonness::Rare, 'Full slack first, then set the screw, then the cable.', 25, Bearing::MoreSlack)
                ->shows('rod_gap:none', Grade::Always, 'the screw sits on the rod')
                ->shows('arm_free:no', Grade::Usually, 'the rod holds the arm, though the cable has play')
                ->brings(Symptom::Slips, Grade::Usually, 'the rod rides on its bearing and holds the plates apart')
                ->brings(Symptom::BitesLate, Grade::Sometimes, 'the rod holds the plates apart'),
            Cause::of('hot', 'Another heat than the figure is for', Commonness::Occasional, 'Let it cool, or warm it, and read again.', 20)->imitates()
                ->shows('heat:other', Grade::Always, 'the case tells')
                ->shows('play:tight', Grade::Sometimes, 'heat takes play away')
                ->shows('play:loose', Grade::Sometimes, 'heat may give play, too')
                ->brings(Symptom::PlayChanges, Grade::Usually, 'it is read once cold and once hot'),
        ];
    }

    /** @return list<Cause> */
    private static function ofTheLever(): array
    {
        return [
            Cause::of(
                'worn_barrel',
                'A worn barrel or perch',
                Commonness::Occasional,
                'Replace it; take the play up at the other end and bring it home.',
                20,
            )
                ->shows('perch:loose', Grade::Always, 'a hand feels it')
                ->shows('story:jumped', Grade::Sometimes, 'it shifts in its thread')
                ->brings(Symptom::Wobbles, Grade::Always, 'its thread is worn')
                ->brings(Symptom::PlayChanges, Grade::Usually, 'it shifts in its thread')
                ->brings(Symptom::EndOfThread, Grade::Sometimes, 'far out it has little thread left'),
        ];
    }

    /** @return list<Cause> */
    private static function ofTheArm(): array
    {
        return [
            Cause::of(
                'wrong_spline',
                'Arm on the wrong spline',
                Commonness::Rare,
                'Cable off, slop out of the shaft, arm to the case mark or the tooth just before; then the cable.',
                20,
            )->imitates()
                ->shows('springs_felt:return_only', Grade::Always, 'the clutch springs are never reached')
                ->shows('arm_mark:off', Grade::Always, 'its mark stands off')
                ->brings(Symptom::Soft, Grade::Always, 'only the return spring is felt')
                ->brings(Symptom::CreepsIn, Grade::Usually, 'the plates never part')
                ->brings(Symptom::HardToShift, Grade::Usually, 'the plates never part'),
            Cause::of(
                'bent_bracket',
                'A bent bracket',
                Commonness::Occasional,
                'Straighten it if it is not cracked, else replace it; then set the cable.',
                15,
            )->imitates()
                ->shows('arm:bent', Grade::Always, 'it is seen, or gives under the lever')
                ->shows('story:jumped', Grade::Usually, 'it bends all at once')
                ->shows('play:loose', Grade::Sometimes, 'a bracket that gives lets the conduit come')
                ->brings(Symptom::AgainAndAgain, Grade::Usually, 'it goes on bending')
                ->brings(Symptom::PlayChanges, Grade::Usually, 'it gives under the pull')
                ->brings(Symptom::CreepsIn, Grade::Sometimes, 'it takes the pull that should part the plates'),
            Cause::of(
                'weak_return',
                'A weak or broken return spring',
                Commonness::Occasional,
                'Hook it on, or replace it.',
                8,
            )->imitates()
                ->shows('arm:weak_spring', Grade::Always, 'it is seen at the arm')
                ->brings(Symptom::NoSpringBack, Grade::Usually, 'nothing draws the arm back')
                ->brings(Symptom::PlayChanges, Grade::Sometimes, 'the arm rests somewhere else each time'),
        ];
    }

    /** @return list<Cause> */
    private static function ofThePack(): array
    {
        return [
            Cause::of(Cause::WRONG_OIL, 'The wrong oil, or old oil', Commonness::Occasional, 'Change it for the kind the book names.', 25)->imitates()
                ->shows('oil:wrong', Grade::Always, 'the can or the record tells')
                ->shows('oil_age:old', Grade::Sometimes, 'oil goes off over years')
                ->brings(Symptom::Slips, Grade::Usually, 'its additives let a wet clutch slip')
                ->brings(Symptom::HardToShift, Grade::Rarely, 'thick oil drags the plates'),
            Cause::of('worn_plates', 'Worn or burnt plates', Commonness::Occasional, 'Replace the plates, soaked a day or two in oil.', 70)
                ->shows('plates:worn', Grade::Always, 'they measure so')
                ->shows('play:tight', Grade::Sometimes, 'a pack that wears takes the play away')
                ->shows('story:shrinks', Grade::Usually, 'a pack that wears takes the play away from job to job')
                ->brings(Symptom::Slips, Grade::Always, 'thin or glazed plates do not hold')
                ->brings(Symptom::BitesLate, Grade::Sometimes, 'a thin pack meets late')
                ->brings(Symptom::AgainAndAgain, Grade::Usually, 'the pack goes on wearing'),
            Cause::of('notched_basket', 'Ridges in the basket or hub', Commonness::Occasional, 'File shallow ridges; replace what is deeper.', 60)
                ->shows('basket:notched', Grade::Always, 'a fingernail catches')
                ->brings(Symptom::CreepsIn, Grade::Usually, 'plates that catch in the ridges do not part')
                ->brings(Symptom::HardToShift, Grade::Usually, 'plates that catch do not part')
                ->brings(Symptom::Slips, Grade::Sometimes, 'plates that catch do not close'),
            Cause::of('tired_springs', 'Tired clutch springs', Commonness::Rare, 'Replace them all, bolts in a star.', 45)
                ->shows('springs:short', Grade::Always, 'one measures short')
                ->brings(Symptom::Slips, Grade::Usually, 'they do not press the plates together'),
            Cause::of('worn_rod', 'Worn ends of screw, rod or arm', Commonness::Rare, 'Measure before buying; replace what is worn.', 50)->imitates()
                ->shows('rod:worn', Grade::Always, 'its ends tell')
                ->shows('play:loose', Grade::Usually, 'what is worn away is play')
                ->brings(Symptom::CreepsIn, Grade::Usually, 'the stroke is lost in the worn ends')
                ->brings(Symptom::EndOfThread, Grade::Usually, 'the adjusters make up for it'),
        ];
    }
}
