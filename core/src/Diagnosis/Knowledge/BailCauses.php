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

/**
 * An operator-presence bail: closed it frees the brake and opens the stop contact, let go it stops the blade. Common
 * practice, no source.
 */
final readonly class BailCauses implements KnownFamily
{
    public static function knowledge(): Knowledge
    {
        return Knowledge::of(
            Families::of(FamilyKey::Bail)->symptoms(),
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
            Shared::drag(5.0),
            Check::of('stop', 'Bail let go, engine off', 'Is the brake on the flywheel?', 'It is on', ['off' => 'It stays off'], 1.0)->stoppingOn('off')->asProof('brake_on')->first(),
            Check::of('peg', 'Peg, clip and mount', 'Where the conduit ends, at the bail and at the engine.', 'Whole', ['broken' => 'Peg broken, clip off'], 1.0)->asInspection('peg'),
            Check::of('brake_off', 'Bail closed', 'Is the brake fully off the flywheel?', 'Fully off', ['drags' => 'It still touches'], 1.0)->asProof('brake_off'),
            Check::of('contact', 'Stop contact', 'Bail closed: is it fully open?', 'Fully open', ['half' => 'Half open'], 1.0)->asProof('contact_open')->under('engine cover', 4.0),
            Check::of('lining', 'Brake lining and contact', 'Lining thick enough, contact straight and clean?', 'Good', ['worn' => 'Lining worn', 'dirty' => 'Contact bent or dirty'], 3.0)->stoppingOn('worn')->asInspection('brake')->under('engine cover', 4.0),
            Check::of('spring', 'Springs', 'Brake spring and bail spring: whole and hooked?', 'Whole and hooked', ['broken' => 'Weak, broken or unhooked'], 1.5)->stoppingOn('broken'),
            Check::of('length', 'Old cable beside a new one', 'Laid straight beside a new cable of the same number: conduit and wire.', 'Alike', ['short' => 'Its conduit is shorter', 'long' => 'Its wire is longer'], 6.0)->using('a new cable, or its figures'),
            Check::of('plug', 'Spark', 'Lead off, tester on: a spark at each pull?', 'A spark each time', ['none' => 'None, or now and then'], 3.0)->using('spark tester'),
            Check::of('rope', 'Starter by itself', 'Bail closed, plug out: how hard is the rope?', 'Light', ['hard' => 'Hard as well'], 4.0)->using('plug spanner'),
            Shared::conduit(),
        ];
    }

    /** @return list<Cause> */
    private static function settings(): array
    {
        return [
            Cause::of(
                'shortened_conduit',
                'A conduit that has shortened',
                Commonness::Occasional,
                'Replace the cable, straightened, with gentle bends.',
                25,
            )
                ->shows('conduit:shortened', Grade::Usually, 'its strands poke out')
                ->shows('length:short', Grade::Always, 'beside a new one it is shorter')
                ->shows('contact:half', Grade::Usually, 'it does not draw far enough')
                ->brings(Symptom::StartsSometimes, Grade::Always, 'the contact stays half open')
                ->brings(Symptom::RopeHard, Grade::Usually, 'the brake stays on')
                ->shows('brake_off:drags', Grade::Usually, 'the brake does not come all the way off'),
            Cause::of(
                'used_up',
                'A stretched wire',
                Commonness::Occasional,
                'Replace the cable, matched by its number.',
                25,
            )
                ->shows('length:long', Grade::Always, 'beside a new one its wire is longer')
                ->shows('contact:half', Grade::Usually, 'it does not draw far enough')
                ->shows('brake_off:drags', Grade::Usually, 'the brake does not come all the way off')
                ->brings(Symptom::StartsSometimes, Grade::Usually, 'the contact stays half open')
                ->brings(Symptom::RopeHard, Grade::Usually, 'the brake stays on')
                ->brings(Symptom::AgainAndAgain, Grade::Usually, 'it goes on stretching'),
        ];
    }

    /** @return list<Cause> */
    private static function parts(): array
    {
        return [
            Cause::of(
                'worn_lining',
                'A worn brake lining',
                Commonness::Occasional,
                'Replace the brake; time it again.',
                35,
            )
                ->shows('lining:worn', Grade::Always, 'it is seen')
                ->brings(Symptom::RunsOn, Grade::Always, 'it no longer holds the flywheel'),
            Cause::of(
                'dry_cable',
                'A dry or rusty cable',
                Commonness::Common,
                'Light oil; stiff still: replace it.',
                10,
            )
                ->shows('drag:stiff', Grade::Always, 'a dry wire drags')
                ->shows('stop:off', Grade::Sometimes, 'the wire does not come back')
                ->brings(Symptom::Heavy, Grade::Usually, 'a dry wire drags')
                ->brings(Symptom::NoSpringBack, Grade::Usually, 'the wire does not come back')
                ->brings(Symptom::RunsOn, Grade::Sometimes, 'the wire does not come back'),
        ];
    }

    /** @return list<Cause> what is mistaken for a bad setting */
    private static function imitators(): array
    {
        return [
            Cause::of('broken_peg', 'A broken peg or a clip that came off', Commonness::Occasional, 'Replace the peg or clip: it imitates a bad cable.', 10)->imitates()
                ->shows('peg:broken', Grade::Always, 'it is seen')
                ->shows('contact:half', Grade::Usually, 'the conduit gives')
                ->shows('brake_off:drags', Grade::Usually, 'the conduit gives')
                ->brings(Symptom::StartsSometimes, Grade::Usually, 'the conduit gives')
                ->brings(Symptom::RopeHard, Grade::Usually, 'the brake stays on'),
            Cause::of('dirty_contact', 'A bent or dirty stop contact', Commonness::Occasional, 'Clean it, bend it back.', 15)->imitates()
                ->shows('lining:dirty', Grade::Always, 'it is seen')
                ->shows('contact:half', Grade::Sometimes, 'bent it never opens')
                ->brings(Symptom::StartsSometimes, Grade::Usually, 'it grounds now and then')
                ->brings(Symptom::RunsOn, Grade::Sometimes, 'it does not ground when let go'),
            Cause::of('broken_spring', 'A weak, broken or unhooked spring', Commonness::Occasional, 'Hook it on, or replace it. Pliers only where it cannot spring at you.', 15)->imitates()
                ->shows('spring:broken', Grade::Always, 'it is seen')
                ->shows('stop:off', Grade::Usually, 'nothing draws the brake on')
                ->brings(Symptom::RunsOn, Grade::Usually, 'nothing draws the brake on')
                ->brings(Symptom::NoSpringBack, Grade::Always, 'nothing draws the bail back'),
            Cause::of('bad_route', 'A cable trapped under the folding handle', Commonness::Occasional, 'Route it under the handle with gentle bends, ties low down.', 8)->imitates()
                ->shows('conduit:trapped', Grade::Always, 'it is seen at the fold')
                ->shows('stop:off', Grade::Sometimes, 'it holds the wire drawn')
                ->shows('contact:half', Grade::Sometimes, 'the bend takes a part of the pull')
                ->brings(Symptom::RunsOn, Grade::Sometimes, 'it holds the wire drawn')
                ->brings(Symptom::Heavy, Grade::Usually, 'a tight bend drags')
                ->brings(Symptom::StartsSometimes, Grade::Sometimes, 'the bend takes a part of the pull')
                ->brings(Symptom::NoSpringBack, Grade::Sometimes, 'it holds the wire'),
            Cause::of('no_spark', 'Plug, lead or coil', Commonness::Occasional, 'Plug first, then lead, then coil and its gap.', 25)->imitates()
                ->shows('plug:none', Grade::Always, 'the tester tells')
                ->brings(Symptom::StartsSometimes, Grade::Usually, 'it has no spark now and then'),
            Cause::of('stiff_starter', 'Starter or engine turns hard', Commonness::Rare, 'Starter off and turned by hand; then the engine.', 30)->imitates()
                ->shows('rope:hard', Grade::Always, 'it is hard with the plug out, too')
                ->brings(Symptom::RopeHard, Grade::Always, 'that is what is felt'),
        ];
    }
}
