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

/** Mode, park and differential cables that meet at one arm. Common practice, no source. */
final readonly class ModeCablesCauses implements KnownFamily
{
    public static function knowledge(): Knowledge
    {
        return Knowledge::of(
            Families::of(FamilyKey::ModeCables)->symptoms(),
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
            Shared::drag(5.0),
            Check::of('arm', 'Arm and its notches', 'Straight, notches sharp?', 'Straight and sharp', ['bent' => 'Bent or worn'], 2.0)->asInspection('arm')->first(),
            Check::of('park', 'Park', 'Rear wheels on stands, a wheel turned so that teeth can meet: both locked?', 'Both locked', ['turns' => 'One turns', 'grates' => 'It grates'], 3.0)->stoppingOn('turns', 'grates')->using('rated stands'),
            Check::of('turf', 'Turf', 'On stands: does one spin free?', 'One spins free', ['locked' => 'Both turn together', 'grates' => 'It grates'], 2.0)->using('rated stands'),
            Check::of('two', 'Two-wheel', 'On stands: do both turn together?', 'Both together', ['free' => 'One spins free', 'locked' => 'Locked'], 2.0)->using('rated stands'),
            Check::of('met', 'Teeth', 'Turn a wheel a little and try the lever again: does it go in now?', 'It made no difference', ['met' => 'Now it is right'], 1.0)->using('rated stands'),
            Check::of('boots', 'Cable ends', 'Boots whole, clips home, no rust?', 'Whole', ['torn' => 'Torn, rusty or off'], 2.0),
            Check::of('tyres', 'Tyres', 'All of one size and pressure?', 'All alike', ['differ' => 'They differ'], 3.0)->using('tape, gauge'),
            Check::of('dash', 'Dash switch', 'Lever in each mode: does the lamp follow the arm?', 'It follows', ['off' => 'It does not'], 2.0),
            Shared::conduit()->onlyHere(),
        ];
    }

    /** @return list<Cause> */
    private static function settings(): array
    {
        return [
            Cause::setting(
                'short',
                'Arm stands short of its places',
                Commonness::Common,
                'One cable at a time, four turns at most, unloaded; then the whole table again.',
                15,
                Bearing::Elsewhere,
            )
                ->shows('park:grates', Grade::Usually, 'it does not reach its notch')
                ->shows('two:free', Grade::Usually, 'it does not reach its notch')
                ->shows('turf:locked', Grade::Sometimes, 'it does not reach its notch')
                ->brings(Symptom::DoesNotHold, Grade::Usually, 'it does not reach its notch')
                ->brings(Symptom::DashDisagrees, Grade::Usually, 'the lever says one thing, the wheels another'),
            Cause::setting(
                'past',
                'Arm stands past its places',
                Commonness::Common,
                'The same cable back, or another by as much; then the whole table again.',
                15,
                Bearing::Elsewhere,
            )
                ->shows('turf:grates', Grade::Usually, 'it goes past its notch')
                ->shows('two:locked', Grade::Usually, 'it goes past its notch')
                ->shows('park:turns', Grade::Sometimes, 'it goes past its notch')
                ->brings(Symptom::DoesNotHold, Grade::Sometimes, 'it goes past its notch')
                ->brings(Symptom::DashDisagrees, Grade::Usually, 'the lever says one thing, the wheels another')
                ->brings(Symptom::HardToShift, Grade::Sometimes, 'it stands against the next notch'),
        ];
    }

    /** @return list<Cause> */
    private static function parts(): array
    {
        return [
            Cause::of('unmet', 'Teeth that have not met', Commonness::Common, 'Roll the machine a little at each change; nothing is set.', 2)->imitates()
                ->shows('met:met', Grade::Always, 'a little turn cures it')
                ->shows('park:turns', Grade::Sometimes, 'they have not met yet')
                ->shows('two:free', Grade::Sometimes, 'they have not met yet')
                ->brings(Symptom::DashDisagrees, Grade::Usually, 'the lever is there, the teeth are not')
                ->brings(Symptom::BangsOnUnlocking, Grade::Usually, 'they let go late, under load')
                ->brings(Symptom::DoesNotHold, Grade::Sometimes, 'they have not met yet'),
            Cause::of('bent_arm', 'A bent arm or worn notches', Commonness::Rare, 'Replace the arm, then set the three cables.', 50)->imitates()
                ->shows('arm:bent', Grade::Always, 'it is seen')
                ->shows('park:turns', Grade::Sometimes, 'it does not hold')
                ->brings(Symptom::DoesNotHold, Grade::Usually, 'it does not hold')
                ->brings(Symptom::AgainAndAgain, Grade::Usually, 'no setting holds'),
            Cause::of('dry_cable', 'A rusty cable under a torn boot', Commonness::Occasional, 'Replace the cable and its boot.', 40)
                ->shows('boots:torn', Grade::Always, 'it is seen')
                ->brings(Symptom::Heavy, Grade::Always, 'rust drags')
                ->brings(Symptom::HardToShift, Grade::Usually, 'rust drags')
                ->brings(Symptom::BangsOnUnlocking, Grade::Sometimes, 'it lets go late')
                ->brings(Symptom::DashDisagrees, Grade::Sometimes, 'the arm does not follow'),
            Cause::of('unequal_tyres', 'Tyres of two sizes or pressures', Commonness::Rare, 'Make them alike; set nothing before.', 15)->imitates()
                ->shows('tyres:differ', Grade::Always, 'the tape tells')
                ->brings(Symptom::BangsOnUnlocking, Grade::Usually, 'one wheel winds the lock up')
                ->brings(Symptom::HardToShift, Grade::Usually, 'one wheel winds the lock up'),
            Cause::of('dash_switch', 'A dash switch that does not follow', Commonness::Occasional, 'Set or replace the switch: the wheels are right.', 15)->imitates()
                ->shows('dash:off', Grade::Always, 'the lamp tells')
                ->brings(Symptom::DashDisagrees, Grade::Always, 'it shows something else'),
        ];
    }
}
