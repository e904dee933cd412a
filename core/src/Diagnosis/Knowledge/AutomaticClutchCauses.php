<?php

declare(strict_types=1);

namespace VividPull\Core\Diagnosis\Knowledge;

use VividPull\Core\Diagnosis\Cause;
use VividPull\Core\Diagnosis\Check;
use VividPull\Core\Diagnosis\Commonness;
use VividPull\Core\Diagnosis\Grade;
use VividPull\Core\Diagnosis\Knowledge;
use VividPull\Core\Family\Families;
use VividPull\Core\Procedure\Symptom;
use VividPull\Core\Spec\FamilyKey;

/** A centrifugal clutch: a tight lever is normal, nothing is set by a cable. Common practice, no source. */
final readonly class AutomaticClutchCauses implements KnownFamily
{
    public static function knowledge(): Knowledge
    {
        return Knowledge::of(
            Families::of(FamilyKey::AutomaticClutch)->symptoms(),
            self::checks(),
            [...self::settings(), ...self::parts()],
            Shared::ofAnyCable(),
        );
    }

    /** @return list<Check> */
    private static function checks(): array
    {
        return [
            Shared::wire()->onlyHere(),
            Shared::drag(5.0),
            Shared::conduit()->onlyHere(),
            Check::of('idle', 'Idle speed', 'Read it warm, in neutral.', 'As the book says', ['high' => 'Too high', 'low' => 'Too low'], 2.0)->running('Outdoors: carbon monoxide kills. In neutral, brake set, nobody in front.'),
            Check::of('oil', 'Oil', 'The right kind, and fresh?', 'The right kind, and fresh', ['wrong' => 'Another kind, or old'], 3.0),
            Check::oilAge(),
            Check::of('lever', 'Lever', 'Is a tight lever normal on this machine?', 'It is tight, as it should be', ['slack' => 'It is slack, or binds'], 0.5)->first(),
            Check::of('shoes', 'Shoes and drum', 'Cover off: measure the lining, look at the drum.', 'Thick enough, smooth', ['worn' => 'Worn or glazed'], 8.0)->under('clutch cover', 25.0)->using('caliper'),
            Check::of('springs', 'Springs of the shoes', 'All whole, and alike?', 'Whole and alike', ['weak' => 'One weak or broken'], 4.0)->under('clutch cover', 25.0),
        ];
    }

    /** @return list<Cause> */
    private static function settings(): array
    {
        return [
            Cause::of('idle_high', 'Idle too high', Commonness::Common, 'Set the idle as the book says.', 5)->imitates()
                ->shows('idle:high', Grade::Always, 'it is heard')
                ->brings(Symptom::CreepsOut, Grade::Always, 'the shoes take hold at idle')
                ->brings(Symptom::HardToShift, Grade::Usually, 'the shoes still hold'),
            Cause::of(
                'idle_low',
                'Idle too low',
                Commonness::Occasional,
                'Set the idle as the book says.',
                5,
            )->imitates()
                ->shows('idle:low', Grade::Always, 'it is heard')
                ->brings(Symptom::Jerky, Grade::Usually, 'it takes hold late and at once'),
        ];
    }

    /** @return list<Cause> */
    private static function parts(): array
    {
        return [
            Cause::of(
                Cause::WRONG_OIL,
                'The wrong oil, or old oil',
                Commonness::Occasional,
                'Change it for the kind the book names.',
                25,
            )->imitates()
                ->shows('oil:wrong', Grade::Always, 'the can or the record tells')
                ->shows('oil_age:old', Grade::Sometimes, 'oil goes off over years')
                ->brings(Symptom::Slips, Grade::Usually, 'it lets the shoes slide')
                ->brings(Symptom::CreepsOut, Grade::Rarely, 'thick oil drags'),
            Cause::of('worn_shoes', 'Worn or glazed shoes', Commonness::Occasional, 'Replace them.', 60)
                ->shows('shoes:worn', Grade::Always, 'they are seen')
                ->brings(Symptom::Slips, Grade::Always, 'they do not hold')
                ->brings(Symptom::Jerky, Grade::Usually, 'they grab'),
            Cause::of('weak_springs', 'A weak or broken spring of the shoes', Commonness::Rare, 'Replace them all.', 50)
                ->shows('springs:weak', Grade::Always, 'it is seen')
                ->brings(Symptom::CreepsOut, Grade::Usually, 'a shoe hangs on the drum')
                ->brings(Symptom::Jerky, Grade::Usually, 'one shoe comes before the others'),
            Cause::of('lever_binds', 'A lever or arm that binds', Commonness::Rare, 'Free it, grease its pivot.', 12)
                ->shows('lever:slack', Grade::Always, 'a hand feels it')
                ->brings(Symptom::HardToShift, Grade::Usually, 'it does not part')
                ->brings(Symptom::Heavy, Grade::Always, 'it rubs'),
        ];
    }
}
