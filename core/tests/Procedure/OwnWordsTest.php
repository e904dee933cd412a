<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Procedure;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use VividPull\Core\Diagnosis\Causes;
use VividPull\Core\Procedure\OwnWords;
use VividPull\Core\Procedure\Sayings;
use VividPull\Core\Procedure\Symptom;
use VividPull\Core\Spec\FamilyKey;

/** Complaints in the words people use (common practice, no source), and what they mean. */
final class OwnWordsTest extends TestCase
{
    /** @return iterable<string, array{FamilyKey, string, string}> */
    public static function said(): iterable
    {
        yield 'When I give it gas in fourth the engine screams but the bike does not go faster' => [
            FamilyKey::ClutchLever,
            'When I give it gas in fourth the engine screams but the bike does not go faster',
            'slips',
        ];
        yield 'Revs go up but no drive' => [FamilyKey::ClutchLever, 'Revs go up but no drive', 'slips'];
        yield 'it jumps forward when I put it in first with the lever pulled' => [
            FamilyKey::ClutchLever,
            'it jumps forward when I put it in first with the lever pulled',
            'creeps_in',
        ];
        yield 'bike wants to move with clutch pulled in' => [
            FamilyKey::ClutchLever,
            'bike wants to move with clutch pulled in',
            'creeps_in',
        ];
        yield 'gears crunch, neutral is hard to find' => [
            FamilyKey::ClutchLever,
            'gears crunch, neutral is hard to find',
            'hard_to_shift',
        ];
        yield 'cannot find neutral at the lights' => [
            FamilyKey::ClutchLever,
            'cannot find neutral at the lights',
            'hard_to_shift',
        ];
        yield 'takes up right at the end of the lever' => [
            FamilyKey::ClutchLever,
            'takes up right at the end of the lever',
            'bites_late',
        ];
        yield 'engages as soon as I let go a little' => [
            FamilyKey::ClutchLever,
            'engages as soon as I let go a little',
            'bites_early',
        ];
        yield 'lever has no feel, pulls like there is only a little spring' => [
            FamilyKey::ClutchLever,
            'lever has no feel, pulls like there is only a little spring',
            'soft',
        ];
        yield 'lever is really stiff, my hand hurts' => [
            FamilyKey::ClutchLever,
            'lever is really stiff, my hand hurts',
            'heavy',
        ];
        yield 'free play is different hot and cold' => [
            FamilyKey::ClutchLever,
            'free play is different hot and cold',
            'play_changes',
        ];
        yield 'the barrel is screwed all the way out' => [
            FamilyKey::ClutchLever,
            'the barrel is screwed all the way out',
            'end_of_thread',
        ];
        yield 'adjuster at the lever is wobbly' => [
            FamilyKey::ClutchLever,
            'adjuster at the lever is wobbly',
            'wobbles',
        ];
        yield 'I adjust it every weekend' => [FamilyKey::ClutchLever, 'I adjust it every weekend', 'again_and_again'];
        yield 'throttle stays open when I let go' => [
            FamilyKey::TwistGrip,
            'throttle stays open when I let go',
            'stays_open',
        ];
        // A throttle that closes slowly is open when the hand has let go of it: it does not snap shut.
        yield 'grip comes back slowly when it is wet' => [
            FamilyKey::TwistGrip,
            'grip comes back slowly when it is wet',
            'stays_open',
        ];
        yield 'pedal is slow to come up' => [FamilyKey::PedalThrottle, 'pedal is slow to come up', 'stays_open'];
        yield 'pedal comes up slowly' => [FamilyKey::PedalThrottle, 'pedal comes up slowly', 'stays_open'];
        yield 'cart goes slowly' => [FamilyKey::PedalThrottle, 'cart goes slowly', 'low_top_speed'];
        yield 'trigger goes back too slow' => [FamilyKey::TriggerThrottle, 'trigger goes back too slow', 'stays_open'];
        yield 'grip feels lazy' => [FamilyKey::TwistGrip, 'grip feels lazy', 'stays_open'];
        // And a bail that comes back slowly lets the blade run on.
        yield 'bail is slow to return' => [FamilyKey::Bail, 'bail is slow to return', 'runs_on'];
        yield 'lever is slow to return' => [FamilyKey::ClutchLever, 'lever is slow to return', 'heavy'];
        yield 'grip is sticky' => [FamilyKey::TwistGrip, 'grip is sticky', 'stays_open'];
        yield 'engine races when bars are turned left' => [
            FamilyKey::TwistGrip,
            'engine races when bars are turned left',
            'idle_rises',
        ];
        yield 'revs go up when I turn the handlebars' => [
            FamilyKey::TwistGrip,
            'revs go up when I turn the handlebars',
            'idle_rises',
        ];
        yield 'does not reach full throttle' => [FamilyKey::TwistGrip, 'does not reach full throttle', 'not_wide_open'];
        yield 'lots of free play before anything happens' => [
            FamilyKey::TwistGrip,
            'lots of free play before anything happens',
            'dead_travel',
        ];
        yield 'jumpy on and off the gas' => [FamilyKey::TwistGrip, 'jumpy on and off the gas', 'jerky'];
        yield 'head keeps turning at idle' => [FamilyKey::TriggerThrottle, 'head keeps turning at idle', 'creeps_out'];
        yield 'line spins at idle' => [FamilyKey::TriggerThrottle, 'line spins at idle', 'creeps_out'];
        yield 'bogs, only half throttle' => [FamilyKey::TriggerThrottle, 'bogs, only half throttle', 'not_wide_open'];
        yield 'cart lurches when I touch the pedal' => [
            FamilyKey::PedalThrottle,
            'cart lurches when I touch the pedal',
            'jerky',
        ];
        yield 'cart tops out at 8 mph' => [FamilyKey::PedalThrottle, 'cart tops out at 8 mph', 'low_top_speed'];
        yield 'have to push the pedal halfway before it moves' => [
            FamilyKey::PedalThrottle,
            'have to push the pedal halfway before it moves',
            'dead_travel',
        ];
        yield 'mower creeps with the handle let go' => [
            FamilyKey::SlidingDrive,
            'mower creeps with the handle let go',
            'creeps_out',
        ];
        yield 'self propel is weak uphill' => [FamilyKey::SlidingDrive, 'self propel is weak uphill', 'weak'];
        yield 'will not pull itself on grass' => [FamilyKey::SlidingDrive, 'will not pull itself on grass', 'weak'];
        yield 'hard to pull backwards' => [FamilyKey::SlidingDrive, 'hard to pull backwards', 'hard_to_pull_back'];
        yield 'handle flops forward' => [FamilyKey::SlidingDrive, 'handle flops forward', 'no_spring_back'];
        yield 'slips in heavy soil' => [FamilyKey::EngageByPull, 'slips in heavy soil', 'slips'];
        yield 'it goes on moving when I release the handle' => [
            FamilyKey::EngageByPull,
            'it goes on moving when I release the handle',
            'creeps_out',
        ];
        yield 'does not stop when I pull the clutch' => [
            FamilyKey::ReleaseByPull,
            'does not stop when I pull the clutch',
            'creeps_in',
        ];
        yield 'smells burnt and slips' => [FamilyKey::ReleaseByPull, 'smells burnt and slips', 'slips'];
        yield 'starts only every third time' => [FamilyKey::Bail, 'starts only every third time', 'starts_sometimes'];
        yield 'won\'t start most days' => [FamilyKey::Bail, 'won\'t start most days', 'starts_sometimes'];
        yield 'cord is really hard to pull' => [FamilyKey::Bail, 'cord is really hard to pull', 'rope_hard'];
        yield 'blade goes on for ages after letting go' => [
            FamilyKey::Bail,
            'blade goes on for ages after letting go',
            'runs_on',
        ];
        yield 'reverse one goes forward' => [FamilyKey::SpeedSelector, 'reverse one goes forward', 'wrong_direction'];
        yield 'in R1 it crawls forward' => [FamilyKey::SpeedSelector, 'in R1 it crawls forward', 'wrong_direction'];
        yield 'lever hard to move between speeds' => [
            FamilyKey::SpeedSelector,
            'lever hard to move between speeds',
            'hard_to_shift',
        ];
        yield 'slow in every gear' => [FamilyKey::SpeedSelector, 'slow in every gear', 'weak'];
        yield 'will not lock in park, rolls away' => [
            FamilyKey::ModeCables,
            'will not lock in park, rolls away',
            'does_not_hold',
        ];
        yield 'big bang when it comes out of turf' => [
            FamilyKey::ModeCables,
            'big bang when it comes out of turf',
            'bangs_on_unlocking',
        ];
        yield 'dash says two wheel but it is in turf' => [
            FamilyKey::ModeCables,
            'dash says two wheel but it is in turf',
            'dash_disagrees',
        ];
        yield 'only one wheel locks in park' => [
            FamilyKey::ModeCables,
            'only one wheel locks in park',
            'does_not_hold',
        ];
        yield 'auger turns by itself' => [FamilyKey::HookControl, 'auger turns by itself', 'creeps_out'];
        yield 'auger stops in heavy snow' => [FamilyKey::HookControl, 'auger stops in heavy snow', 'weak'];
        yield 'drive handle stays down' => [FamilyKey::HookControl, 'drive handle stays down', 'no_spring_back'];
        yield 'brake lever comes to the bar' => [FamilyKey::BrakePull, 'brake lever comes to the bar', 'does_not_hold'];
        yield 'wheel gets hot' => [FamilyKey::BrakePull, 'wheel gets hot', 'drags'];
        yield 'brakes are weak' => [FamilyKey::BrakePull, 'brakes are weak', 'does_not_hold'];
        yield 'spongy lever' => [FamilyKey::HydraulicClutch, 'spongy lever', 'soft'];
        yield 'have to pump the lever' => [FamilyKey::HydraulicClutch, 'have to pump the lever', 'soft'];
        yield 'wants to drive off at idle' => [FamilyKey::AutomaticClutch, 'wants to drive off at idle', 'creeps_out'];
        yield 'grabs all at once' => [FamilyKey::AutomaticClutch, 'grabs all at once', 'jerky'];
        yield 'choke does not come back' => [FamilyKey::OtherControl, 'choke does not come back', 'no_spring_back'];
    }

    #[DataProvider('said')]
    public function test_it_is_understood(FamilyKey $family, string $words, string $means): void
    {
        $understood = array_map(
            static fn (Symptom $one): string => $one->value,
            OwnWords::understood($words, Causes::of($family)->symptoms),
        );

        self::assertContains($means, $understood);
        self::assertLessThanOrEqual(2, count($understood), 'little else is read into it');
    }

    /**
     * What people say of what is not to be run, and of what is no matter of danger. Common practice, no source.
     *
     * @return iterable<string, array{FamilyKey, list<string>, list<string>}>
     */
    public static function reports(): iterable
    {
        yield 'a grip' => [
            FamilyKey::TwistGrip,
            [
                'does not come back by itself', 'throttle stuck', 'throttle jams open', 'gas stays on when I let go',
                'engine races when I let go of the grip', 'it keeps revving', 'does not go back to idle',
                'idle too high', 'it took off by itself', 'runs away', 'cable is catching', 'revs drop slowly',
                'cable is frayed at the grip', 'wire nearly broken',
                'the return spring is broken', 'return spring came off', 'grip binds on the bar end',
                'goes tight when the bars are turned', 'wire is out of its groove', 'cable has jumped off the drum',
            ],
            [
                'two hands to turn it', 'adjuster is stuck', 'nothing happens at first', 'no full throttle', 'grip is torn',
                'heavy since last spring, gone in summer', 'since the spring it is weak', 'adjuster is seized',
                'tight to turn',
            ],
        ];
        yield 'a pedal' => [
            FamilyKey::PedalThrottle,
            [
                'cart keeps going when I lift my foot', 'runs on after I let off', 'accelerator stuck',
                'cart does not slow down when I let off', 'pedal comes back halfway', 'pedal stays down',
            ],
            ['cart is slow', 'slow on the hills', 'a lot of play before it moves', 'tops out at 8 mph'],
        ];
        yield 'a trigger' => [
            FamilyKey::TriggerThrottle,
            [
                'saw runs on', 'stays at full speed', 'head spins at idle', 'trigger does not come back',
                'end of the wire is half out of its keyhole',
            ],
            ['bogs, only half throttle', 'hard to pull', 'trigger drags a little'],
        ];
        yield 'a clutch lever' => [
            FamilyKey::ClutchLever,
            ['drags', 'does not free', 'jumps when I put it in gear', 'stalls at the lights in gear'],
            ['wire is out of its slot', 'lever does not come back', 'cable drags', 'two hands to pull it', 'slips in fourth', 'lever feels soft'],
        ];
        yield 'a sliding drive' => [
            FamilyKey::SlidingDrive,
            [
                'keeps driving after I let go', 'mower runs away from me', 'handle stays where it is', 'no spring on the handle',
                'spring has come off the handle', 'belt drags with the handle open',
            ],
            ['no drive uphill', 'wheels lock going backward'],
        ];
        yield 'a drive that is held in' => [
            FamilyKey::EngageByPull,
            ['handle does not spring back', 'tines keep turning', 'handle sticks', 'tiller runs away'],
            ['weak in heavy soil', 'adjuster all the way out'],
        ];
        yield 'a drive that is held off' => [
            FamilyKey::ReleaseByPull,
            ['still drives with lever pulled', 'does not stop when I pull the lever'],
            ['handle does not spring back', 'no drive'],
        ];
        yield 'a bail' => [
            FamilyKey::Bail,
            [
                'blade keeps spinning after letting go', 'cannot turn it off', 'does not switch off when I let go',
                'brake lining is worn out', 'the spring is unhooked',
            ],
            ['starter rope is hard', 'starts only now and then'],
        ];
        yield 'a selector' => [
            FamilyKey::SpeedSelector,
            ['moves in neutral', 'goes forward in reverse', 'wheels turn in neutral'],
            ['hard to find neutral', 'slow in every gear'],
        ];
        yield 'a tool' => [
            FamilyKey::HookControl,
            [
                'auger keeps turning', 'belt does not let go', 'snow blower throws when handle is up',
                'z-bend is worn thin', 'Z bend has opened',
            ],
            ['does not throw far', 'z-bend is in another hole', 'moved the z-bend one hole'],
        ];
        yield 'a brake' => [
            FamilyKey::BrakePull,
            [
                'brake slips', 'parking brake useless', 'brake fades', 'pulls all the way', 'rolls away when parked',
                'shoes are oily', 'pads are worn down', 'brake arm stands past square', 'arm goes over centre',
            ],
            ['adjuster all the way out', 'hard to pull'],
        ];
        yield 'a hydraulic clutch' => [
            FamilyKey::HydraulicClutch,
            ['loses fluid, it drips on the floor', 'fluid leaks at the lever', 'lever slowly sinks when held'],
            ['spongy lever', 'hard to pull'],
        ];
        yield 'modes' => [
            FamilyKey::ModeCables,
            ['rolls in park', 'slips out of park', 'jumps out of gear', 'park grates', 'in park it grinds'],
            ['hard to shift into low', 'dash says 4x4 but it is not'],
        ];
        yield 'a latch' => [
            FamilyKey::OtherControl,
            ['latch pops open', 'bed opens by itself', 'comes loose while driving'],
            ['hard to pull'],
        ];
    }

    /**
     * @param  list<string>  $stops
     * @param  list<string>  $harmless
     */
    #[DataProvider('reports')]
    public function test_what_may_stop_the_machine_is_told_from_what_does_not(
        FamilyKey $family,
        array $stops,
        array $harmless,
    ): void {
        $knowledge = Causes::of($family);
        foreach ($stops as $words) {
            self::assertNotSame([], OwnWords::stopping($words, $knowledge->stopping()), $words);
        }
        foreach ($harmless as $words) {
            self::assertSame([], OwnWords::stopping($words, $knowledge->stopping()), $words);
        }
    }

    /** @return iterable<string, array{FamilyKey, list<array{string, list<string>}>}> */
    public static function asPeopleSayIt(): iterable
    {
        foreach (Sayings::ALL as $family => $said) {
            $all = [];
            foreach ($said as $words => $means) {
                $all[] = [$words, $means === '' ? [] : explode(',', $means)];
            }
            yield $family => [FamilyKey::from($family), $all];
        }
    }

    /** @param  list<array{string, list<string>}>  $said */
    #[DataProvider('asPeopleSayIt')]
    public function test_people_are_understood_as_they_say_it(FamilyKey $family, array $said): void
    {
        $knowledge = Causes::of($family);
        $stopping = array_map(static fn (Symptom $one): string => $one->value, $knowledge->stopping());
        foreach ($said as [$words, $means]) {
            $understood = array_map(
                static fn (Symptom $one): string => $one->value,
                OwnWords::understood($words, $knowledge->symptoms),
            );
            $stops = OwnWords::stopping($words, $knowledge->stopping());
            if ($means === []) {
                self::assertSame([], $stops, $words);
            } else {
                self::assertNotSame([], array_intersect($means, $understood), $words);
                self::assertLessThanOrEqual(4, count($understood), $words);
            }
            if ($means !== [] && array_diff($means, $stopping) === []) {
                self::assertNotSame([], $stops, "{$words}: stops the machine");
            }
        }
    }

    /** What is run together with *not* is read as if it were not. */
    public function test_a_word_run_together_with_not_says_the_same(): void
    {
        $symptoms = Causes::of(FamilyKey::TwistGrip)->symptoms;
        $apart = OwnWords::understood('The grip does not come back', $symptoms);
        self::assertContains(Symptom::StaysOpen, $apart);
        foreach (['doesn\'t', 'doesn’t', 'doesnt', 'won\'t', 'wont', 'can\'t', 'cannot', 'didn´t'] as $run) {
            self::assertSame($apart, OwnWords::understood("The grip {$run} come back", $symptoms), $run);
        }
    }

    /** Whoever writes what stands on the list is understood, and stops the machine where it does. */
    public function test_each_symptom_is_understood_in_its_own_words(): void
    {
        foreach (FamilyKey::cases() as $family) {
            $knowledge = Causes::of($family);
            foreach ($knowledge->symptoms as $symptom) {
                $understood = OwnWords::understood($symptom->words(), $knowledge->symptoms);
                self::assertContains($symptom, $understood, "{$family->value}: {$symptom->words()}");
                self::assertLessThanOrEqual(3, count($understood), "{$family->value}: {$symptom->words()}");
            }
            foreach ($knowledge->stopping() as $symptom) {
                self::assertContains($symptom->words(), OwnWords::stopping($symptom->words(), $knowledge->stopping()));
            }
        }
    }

    /** Not to spring back by itself is not to move by itself, and slow to return is no weak drive. */
    public function test_no_more_is_read_into_the_words_of_the_list(): void
    {
        foreach ([
            [FamilyKey::SlidingDrive, Symptom::NoSpringBack, Symptom::CreepsOut],
            [FamilyKey::EngageByPull, Symptom::Heavy, Symptom::Weak],
            [FamilyKey::PedalThrottle, Symptom::StaysOpen, Symptom::LowTopSpeed],
        ] as [$family, $said, $other]) {
            $understood = OwnWords::understood($said->words(), Causes::of($family)->symptoms);
            self::assertNotContains($other, $understood, "{$family->value}: {$said->words()}");
        }
    }

    public function test_what_says_nothing_of_it_is_not_understood(): void
    {
        foreach (FamilyKey::cases() as $family) {
            foreach (['', 'It is blue.', 'Please look at it before Friday', '((((\\', 'service'] as $words) {
                self::assertSame(
                    [],
                    OwnWords::understood($words, Causes::of($family)->symptoms),
                    "{$family->value}: {$words}",
                );
            }
        }
    }
}
