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

/** A self-propelled drive worked by a sliding handle: a toothed conduit in a clamp. Common practice, no source. */
final readonly class SlidingDriveCauses implements KnownFamily
{
    public static function knowledge(): Knowledge
    {
        return Knowledge::of(
            Families::of(FamilyKey::SlidingDrive)->symptoms(),
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
            Check::of('creep', 'Handle let go', 'Push it by hand on a hard floor, engine off: do the wheels roll freely?', 'They roll', ['held' => 'They hold'], 0.5)->stoppingOn('held')->asProof('rolls_back')->first(),
            Check::of('clamp', 'Conduit in its clamp', 'Mark it, then pull at the conduit: teeth whole, seat whole, bolt tight?', 'Held', ['slips' => 'Slips, teeth or seat stripped'], 1.0)->asInspection('conduit')->using('pen'),
            Check::of('handle', 'Handle', 'Push it forward and let go.', 'Returns by itself', ['falls' => 'Falls forward, or stays'], 0.5)->stoppingOn('falls')->asInspection('handle'),
            Check::of('belt', 'Belt', 'Cover off: glazed, cracked, or longer than the idler takes up?', 'Good', ['worn' => 'Stretched, glazed or cracked', 'off' => 'Off its wheel, or behind its guide'], 2.0)->asInspection('belt')->under('belt cover', 8.0)->saying('Spark lead off before a hand goes in.'),
            Check::of('grass', 'Drive on a hard floor', 'Push the handle: does it drive, and stand when let go?', 'It does both', ['slow' => 'Slow, or not at all', 'creeps' => 'It creeps when let go'], 2.0)->stoppingOn('creeps')->running('Outdoors: carbon monoxide kills. Belt cover on, blade off, nobody in front.'),
            Check::of('wheels', 'Wheels and their pinions', 'Wheel off: teeth of pinion and wheel, pawl and key.', 'Sharp and free', ['worn' => 'Worn, or the pawl sticks'], 8.0)->using('spanner'),
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
                'Too much drive',
                Commonness::Common,
                'One rung towards the handle, and try.',
                5,
                Bearing::MoreSlack,
            )
                ->shows('grass:creeps', Grade::Always, 'it creeps when let go')
                ->shows('creep:held', Grade::Usually, 'it never lets go')
                ->brings(Symptom::CreepsOut, Grade::Always, 'the belt never comes free')
                ->brings(Symptom::HardToPullBack, Grade::Usually, 'the drive does not let go'),
            Cause::setting(
                'too_loose',
                'Too little drive',
                Commonness::Common,
                'One rung towards the engine, and try; two at most.',
                5,
                Bearing::LessSlack,
            )
                ->shows('grass:slow', Grade::Always, 'it is slow when pushed')
                ->brings(Symptom::Weak, Grade::Always, 'the belt is not drawn tight'),
        ];
    }

    /** @return list<Cause> */
    private static function parts(): array
    {
        return [
            Cause::of('stretched_belt', 'A stretched or glazed belt', Commonness::Common, 'Replace the belt, then set the cable.', 35)->imitates()
                ->shows('belt:worn', Grade::Always, 'it is seen')
                ->shows('grass:slow', Grade::Usually, 'a long belt is not drawn tight')
                ->brings(Symptom::Weak, Grade::Usually, 'a long belt is not drawn tight')
                ->brings(Symptom::AgainAndAgain, Grade::Always, 'it goes on stretching'),
            Cause::of('belt_off', 'Belt off its wheel or behind its guide', Commonness::Occasional, 'Put it back; see that the guide is straight.', 12)->imitates()
                ->shows('belt:off', Grade::Always, 'it is seen')
                ->shows('grass:slow', Grade::Usually, 'it does not draw')
                ->brings(Symptom::Weak, Grade::Always, 'it does not draw')
                ->brings(Symptom::CreepsOut, Grade::Rarely, 'it catches'),
            Cause::of('broken_spring', 'A broken spring at the handle', Commonness::Occasional, 'Replace it: it is not the cable.', 12)->imitates()
                ->shows('handle:falls', Grade::Always, 'the handle falls forward')
                ->brings(Symptom::NoSpringBack, Grade::Always, 'nothing draws it back')
                ->brings(Symptom::CreepsOut, Grade::Sometimes, 'the handle is never all the way back'),
            Cause::of('slipped_clamp', 'Conduit slips in its clamp', Commonness::Occasional, 'Back to its mark, bolt tight but not hard; a stripped seat is replaced.', 8)
                ->shows('clamp:slips', Grade::Always, 'a hand moves it')
                ->shows('grass:slow', Grade::Usually, 'the conduit gives')
                ->brings(Symptom::Weak, Grade::Usually, 'the conduit gives')
                ->brings(Symptom::AgainAndAgain, Grade::Usually, 'it slips again'),
            Cause::of('drive_holds', 'A drive that does not let go', Commonness::Occasional, 'Free the pawl, clean and grease it; try both ways.', 25)->imitates()
                ->shows('wheels:worn', Grade::Always, 'it is seen with the wheel off')
                ->shows('creep:held', Grade::Usually, 'a pawl that sticks holds the wheel')
                ->brings(Symptom::HardToPullBack, Grade::Always, 'the wheel turns the drive with it')
                ->brings(Symptom::Weak, Grade::Sometimes, 'worn teeth jump'),
        ];
    }
}
