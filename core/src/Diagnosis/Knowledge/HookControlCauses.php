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

/** A control whose Z-bend sits in one of several holes. Common practice, no source. */
final readonly class HookControlCauses implements KnownFamily
{
    public static function knowledge(): Knowledge
    {
        return Knowledge::of(
            Families::of(FamilyKey::HookControl)->symptoms(),
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
            Check::of('spring', 'Idler spring and arm', 'Belt cover off: spring whole, arm free?', 'Whole and free', ['broken' => 'Spring broken or unhooked', 'stiff' => 'Arm stiff'], 2.0)->asInspection('spring')->under('belt cover', 8.0)->saying('Spark lead off before a hand goes in.'),
            Check::of('belt', 'Belt', 'Cover off: glazed, cracked, or longer than the idler takes up?', 'Good', ['worn' => 'Stretched, glazed or cracked', 'off' => 'Off its wheel, or behind its guide'], 2.0)->asInspection('belt')->under('belt cover', 8.0)->saying('Spark lead off before a hand goes in.'),
            Check::of('hole', 'Z-bend', 'Which hole is it in, and is the bend whole?', 'In its hole, whole', ['wrong' => 'In another hole', 'worn' => 'Worn thin or opened'], 1.0)->stoppingOn('worn')->first(),
            Check::of('rest', 'Control let go, engine off', 'Pull the belt by hand at the idler: is it loose?', 'Loose', ['tight' => 'Tight'], 1.0)->stoppingOn('tight')->under('belt cover', 8.0),
            Check::of('drive', 'Pulled, then let go', 'Does it drive fully, and stand when let go?', 'Both', ['slips' => 'It slips, or hardly turns', 'turns' => 'It turns when let go'], 3.0)->stoppingOn('turns')->running('Belt cover on. Outdoors: carbon monoxide kills. Auger area clear: use a stick, never a hand.'),
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
                'A hole too tight',
                Commonness::Common,
                'One hole looser, and try.',
                5,
                Bearing::MoreSlack,
            )
                ->shows('rest:tight', Grade::Always, 'the idler presses at rest')
                ->shows('drive:turns', Grade::Always, 'it turns when let go')
                ->brings(Symptom::CreepsOut, Grade::Always, 'the idler presses at rest')
                ->shows('hole:wrong', Grade::Usually, 'somebody moved it'),
            Cause::setting(
                'too_loose',
                'A hole too loose',
                Commonness::Common,
                'One hole tighter, and try.',
                5,
                Bearing::LessSlack,
            )
                ->shows('drive:slips', Grade::Always, 'it slips when pulled')
                ->brings(Symptom::Weak, Grade::Always, 'the idler does not reach the belt')
                ->shows('hole:wrong', Grade::Sometimes, 'somebody moved it'),
        ];
    }

    /** @return list<Cause> */
    private static function parts(): array
    {
        return [
            Cause::of('stretched_belt', 'A stretched or glazed belt', Commonness::Common, 'Replace the belt, then find the hole anew.', 35)->imitates()
                ->shows('belt:worn', Grade::Always, 'it is seen')
                ->shows('drive:slips', Grade::Usually, 'it slips on its wheel')
                ->brings(Symptom::Weak, Grade::Usually, 'it slips on its wheel')
                ->brings(Symptom::AgainAndAgain, Grade::Always, 'it goes on stretching'),
            Cause::of('belt_off', 'Belt off its wheel, or a guide bent onto it', Commonness::Occasional, 'Put it back, straighten the guide.', 12)->imitates()
                ->shows('belt:off', Grade::Always, 'it is seen')
                ->shows('drive:turns', Grade::Sometimes, 'a guide holds it on its wheel')
                ->shows('drive:slips', Grade::Sometimes, 'it does not draw')
                ->brings(Symptom::Weak, Grade::Sometimes, 'it does not draw')
                ->brings(Symptom::CreepsOut, Grade::Usually, 'a guide holds it on its wheel'),
            Cause::of('broken_spring', 'A broken idler spring', Commonness::Occasional, 'Replace it: it feels like a slack cable.', 15)->imitates()
                ->shows('spring:broken', Grade::Always, 'it is seen')
                ->shows('drive:slips', Grade::Usually, 'nothing presses the idler')
                ->brings(Symptom::Weak, Grade::Usually, 'nothing presses the idler')
                ->brings(Symptom::NoSpringBack, Grade::Usually, 'nothing draws it back')
                ->brings(Symptom::CreepsOut, Grade::Sometimes, 'nothing draws the idler off'),
            Cause::of('stiff_arm', 'An idler arm that is stiff', Commonness::Occasional, 'Free it, grease its pivot.', 15)->imitates()
                ->shows('spring:stiff', Grade::Always, 'a hand feels it')
                ->shows('rest:tight', Grade::Sometimes, 'it stays where it was')
                ->shows('drive:turns', Grade::Usually, 'it stays where it was')
                ->brings(Symptom::CreepsOut, Grade::Usually, 'it stays where it was')
                ->brings(Symptom::NoSpringBack, Grade::Usually, 'it stays where it was')
                ->brings(Symptom::Heavy, Grade::Usually, 'it rubs'),
            Cause::of('worn_zbend', 'A Z-bend worn thin or opened', Commonness::Occasional, 'Replace the cable.', 30)
                ->shows('hole:worn', Grade::Always, 'it is seen')
                ->brings(Symptom::AgainAndAgain, Grade::Sometimes, 'it goes on opening')
                ->brings(Symptom::Weak, Grade::Sometimes, 'what opened is lost'),
        ];
    }
}
