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

/** A hydraulic clutch: no cable play; fluid work is the maker\'s procedure. Common practice, no source. */
final readonly class HydraulicClutchCauses implements KnownFamily
{
    public static function knowledge(): Knowledge
    {
        return Knowledge::of(
            Families::of(FamilyKey::HydraulicClutch)->symptoms(),
            self::checks(),
            [...self::settings(), ...self::parts()],
        );
    }

    /** @return list<Check> */
    private static function checks(): array
    {
        return [
            Check::of('fluid', 'Fluid', 'Level and colour at the reservoir.', 'Between the marks, clear', ['low' => 'Low', 'dark' => 'Dark or cloudy'], 1.0)->saying('Fluid takes paint and skin: gloves, goggles, water at hand.')->first(),
            Check::of('lines', 'Lines and cylinders', 'Follow the line from end to end, under the boots as well.', 'Dry', ['wet' => 'Wet somewhere'], 3.0)->stoppingOn('wet'),
            Check::of('pump', 'Lever pumped', 'Draw it ten times: does it get harder?', 'It stays as it is', ['harder' => 'It gets harder'], 0.5),
            Check::of('hold', 'Lever held', 'Hold it for a minute: does it sink to the bar?', 'It stays', ['sinks' => 'It sinks'], 1.0)->stoppingOn('sinks'),
            Check::of('lever', 'Lever and its pivot', 'Does it move freely, with its free travel before the piston?', 'Freely', ['binds' => 'It binds, or no free travel'], 1.0),
            Check::of('oil', 'Engine oil', 'The right kind for a wet clutch, and fresh?', 'The right kind, and fresh', ['wrong' => 'Another kind, or old'], 3.0),
            Check::oilAge(),
            Check::of('plates', 'Plates', 'Measure them.', 'Thick enough, flat', ['worn' => 'Under their limit, warped or blue'], 14.0)->under('clutch cover', 25.0)->using('caliper, glass plate'),
        ];
    }

    /** @return list<Cause> */
    private static function settings(): array
    {
        return [
            Cause::of('air', 'Air in the line', Commonness::Common, 'Bleed it by the maker\'s procedure.', 30)
                ->shows('pump:harder', Grade::Always, 'pumping makes up for it')
                ->brings(Symptom::Soft, Grade::Always, 'air gives way')
                ->brings(Symptom::CreepsIn, Grade::Usually, 'the stroke is lost in the air')
                ->brings(Symptom::HardToShift, Grade::Usually, 'the stroke is lost in the air')
                ->brings(Symptom::PlayChanges, Grade::Usually, 'the air moves')
                ->shows('fluid:low', Grade::Sometimes, 'it was drawn in there'),
            Cause::of(
                'leak',
                'A leak',
                Commonness::Occasional,
                'Find it; cylinder or line by the maker\'s procedure.',
                60,
            )
                ->shows('lines:wet', Grade::Always, 'it is seen')
                ->shows('fluid:low', Grade::Usually, 'it went there')
                ->shows('hold:sinks', Grade::Usually, 'it goes past the seal')
                ->brings(Symptom::Soft, Grade::Usually, 'fluid is lost')
                ->brings(Symptom::CreepsIn, Grade::Usually, 'the stroke is lost'),
        ];
    }

    /** @return list<Cause> */
    private static function parts(): array
    {
        return [
            Cause::of('worn_seal', 'A worn seal in the lever\'s cylinder', Commonness::Occasional, 'Rebuild or replace it by the maker\'s procedure.', 50)
                ->shows('hold:sinks', Grade::Always, 'it goes past the seal')
                ->brings(Symptom::Soft, Grade::Usually, 'it goes past the seal')
                ->brings(Symptom::CreepsIn, Grade::Usually, 'it goes past the seal'),
            Cause::of('old_fluid', 'Old fluid', Commonness::Occasional, 'Change it by the maker\'s procedure.', 30)
                ->shows('fluid:dark', Grade::Always, 'its colour tells')
                ->brings(Symptom::PlayChanges, Grade::Usually, 'it boils when hot')
                ->brings(Symptom::Heavy, Grade::Rarely, 'dirt drags'),
            Cause::of('lever_binds', 'A lever that binds', Commonness::Occasional, 'Free it, grease its pivot; leave its free travel.', 8)
                ->shows('lever:binds', Grade::Always, 'a hand feels it')
                ->brings(Symptom::Heavy, Grade::Usually, 'it rubs')
                ->brings(Symptom::NoSpringBack, Grade::Usually, 'it holds the piston in')
                ->brings(Symptom::Slips, Grade::Usually, 'it holds the piston in'),
            Cause::of(Cause::WRONG_OIL, 'The wrong oil, or old oil', Commonness::Occasional, 'Change it for the kind the book names.', 25)->imitates()
                ->shows('oil:wrong', Grade::Always, 'the can or the record tells')
                ->shows('oil_age:old', Grade::Sometimes, 'oil goes off over years')
                ->brings(Symptom::Slips, Grade::Usually, 'its additives let a wet clutch slip'),
            Cause::of('worn_plates', 'Worn or burnt plates', Commonness::Occasional, 'Replace the plates, soaked a day or two in oil.', 70)
                ->shows('plates:worn', Grade::Always, 'they measure so')
                ->brings(Symptom::Slips, Grade::Always, 'thin or glazed plates do not hold'),
        ];
    }
}
