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

/** A speed selector with detents on a friction disc. Common practice, no source. */
final readonly class SpeedSelectorCauses implements KnownFamily
{
    public static function knowledge(): Knowledge
    {
        return Knowledge::of(
            Families::of(FamilyKey::SpeedSelector)->symptoms(),
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
            Shared::drag(5.0),
            Check::of('bracket', 'Arm and bracket', 'Marked where they stand: straight, tight?', 'Straight and tight', ['bent' => 'Bent', 'slipped' => 'The bracket slipped from its mark'], 2.0)->asInspection('bracket')->first(),
            Check::of('r1', 'First reverse', 'Wheels up, R1: which way do they turn?', 'Backward, slowly', ['forward' => 'Forward, or not at all'], 3.0)->stoppingOn('forward')->running('Outdoors: carbon monoxide kills. Operator in place, nobody in front.'),
            Check::of('f1', 'First forward', 'Wheels up, F1: which way do they turn?', 'Forward, slowly', ['backward' => 'Backward, or not at all'], 3.0)->stoppingOn('backward')->running('Outdoors: carbon monoxide kills. Operator in place, nobody in front.'),
            Check::of('disc', 'Friction wheel and disc', 'Cover off: rubber worn, disc oily?', 'Dry, rubber good', ['oily' => 'Oily', 'worn' => 'Rubber worn'], 3.0)->asInspection('disc')->under('bottom cover', 6.0),
            Check::of('pivot', 'Arm by hand', 'Cable unhooked, spring clamped: does the arm swing freely?', 'Freely', ['stiff' => 'Stiff or rusty'], 4.0)->under('bottom cover', 6.0)->saying('A strong return spring: clamp the arm first.'),
            Check::of('zbend', 'Z-bend', 'Both ends: worn thin, opened or broken?', 'Whole', ['worn' => 'Worn, opened or broken'], 1.0)->stoppingOn('worn'),
            Shared::conduit()->onlyHere(),
        ];
    }

    /** @return list<Cause> */
    private static function settings(): array
    {
        return [
            Cause::of(
                'off_forward',
                'Wheel stands too far forward',
                Commonness::Common,
                'Bracket, so that the arm goes towards reverse; a little at a time, then both R1 and F1.',
                10,
            )
                ->shows('r1:forward', Grade::Always, 'R1 is still on the forward side')
                ->brings(Symptom::WrongDirection, Grade::Always, 'R1 is still on the forward side')
                ->brings(Symptom::CreepsOut, Grade::Sometimes, 'neutral lies beside the middle'),
            Cause::of(
                'off_reverse',
                'Wheel stands too far in reverse',
                Commonness::Common,
                'Bracket, so that the arm goes towards forward; a little at a time, then both R1 and F1.',
                10,
            )
                ->shows('f1:backward', Grade::Always, 'F1 is still on the reverse side')
                ->brings(Symptom::WrongDirection, Grade::Always, 'F1 is still on the reverse side')
                ->brings(Symptom::CreepsOut, Grade::Sometimes, 'neutral lies beside the middle')
                ->brings(Symptom::Weak, Grade::Sometimes, 'the fastest forward is never reached'),
        ];
    }

    /** @return list<Cause> */
    private static function parts(): array
    {
        return [
            Cause::of('slipped_bracket', 'A bracket that slipped from its mark', Commonness::Occasional, 'Back to its mark, bolt held, self-locking nut tight.', 8)
                ->shows('bracket:slipped', Grade::Always, 'its mark tells')
                ->shows('r1:forward', Grade::Sometimes, 'it slipped that way')
                ->shows('f1:backward', Grade::Sometimes, 'it slipped that way')
                ->brings(Symptom::WrongDirection, Grade::Usually, 'the arm stands elsewhere now')
                ->brings(Symptom::AgainAndAgain, Grade::Usually, 'it slips again'),
            Cause::of('bent_arm', 'A bent arm or bracket', Commonness::Rare, 'Straighten or replace it, then set it.', 30)->imitates()
                ->shows('bracket:bent', Grade::Always, 'it is seen')
                ->shows('r1:forward', Grade::Sometimes, 'it stands off')
                ->shows('f1:backward', Grade::Sometimes, 'it stands off')
                ->brings(Symptom::WrongDirection, Grade::Usually, 'it stands off')
                ->brings(Symptom::HardToShift, Grade::Sometimes, 'it rubs'),
            Cause::of('oily_disc', 'An oily disc', Commonness::Occasional, 'Clean it with what leaves no film; find where the oil comes from.', 15)->imitates()
                ->shows('disc:oily', Grade::Always, 'it is seen')
                ->brings(Symptom::Weak, Grade::Always, 'the wheel slips on the disc'),
            Cause::of('worn_rubber', 'A worn friction wheel', Commonness::Occasional, 'Replace the rubber.', 40)->imitates()
                ->shows('disc:worn', Grade::Always, 'it is seen')
                ->brings(Symptom::Weak, Grade::Usually, 'it no longer presses')
                ->brings(Symptom::AgainAndAgain, Grade::Sometimes, 'it goes on wearing'),
            Cause::of('stiff_pivot', 'A stiff or rusty arm', Commonness::Occasional, 'Free it, grease its pivot, not its disc.', 15)->imitates()
                ->shows('pivot:stiff', Grade::Always, 'a hand feels it')
                ->brings(Symptom::HardToShift, Grade::Always, 'the arm does not follow')
                ->brings(Symptom::Heavy, Grade::Usually, 'the arm rubs')
                ->brings(Symptom::WrongDirection, Grade::Sometimes, 'the arm does not follow'),
            Cause::of('worn_zbend', 'A worn or broken Z-bend', Commonness::Occasional, 'Replace the cable or rod; grease the new one.', 20)
                ->shows('zbend:worn', Grade::Always, 'it is seen')
                ->shows('wire:frayed', Grade::Rarely, 'what wears one end wears the wire')
                ->brings(Symptom::WrongDirection, Grade::Sometimes, 'what is worn is lost at the arm')
                ->brings(Symptom::HardToShift, Grade::Sometimes, 'it catches')
                ->brings(Symptom::AgainAndAgain, Grade::Usually, 'it goes on wearing'),
        ];
    }
}
