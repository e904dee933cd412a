<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Procedure;

use PHPUnit\Framework\TestCase;
use VividPull\Core\Diagnosis\Causes;
use VividPull\Core\Procedure\OwnWords;
use VividPull\Core\Procedure\Sayings;
use VividPull\Core\Procedure\Symptom;
use VividPull\Core\Procedure\WordsAlike;
use VividPull\Core\Spec\FamilyKey;

/** What is guessed of sentences nobody wrote down before. */
final class WordsAlikeTest extends TestCase
{
    /** Written after the sentences that meanings are learned from, and kept out of them. Common practice, no source. */
    private const NEW = [
        ['clutch_lever', 'can hear the engine race when i pull away hard', 'slips'],
        ['clutch_lever', 'in top gear uphill it just revs', 'slips'],
        ['clutch_lever', 'holding the lever in it still wants to go', 'creeps_in'],
        ['clutch_lever', 'need to switch off to find neutral', 'hard_to_shift,creeps_in'],
        ['clutch_lever', 'stalls when i put it in gear', 'creeps_in,hard_to_shift'],
        ['clutch_lever', 'grabs straight off the grip', 'bites_early'],
        ['clutch_lever', 'it only takes up when my fingers are fully stretched', 'bites_late'],
        ['clutch_lever', 'lever flaps about', 'soft'],
        ['clutch_lever', 'kids can\'t pull the lever', 'heavy'],
        ['clutch_lever', 'lever sticks in', 'no_spring_back'],
        ['twist_grip', 'throttle stuck at half on the beach', 'stays_open'],
        ['twist_grip', 'revs go up turning left out of the yard', 'idle_rises'],
        ['twist_grip', 'doesn\'t rev out', 'not_wide_open'],
        ['twist_grip', 'quarter turn of nothing', 'dead_travel'],
        ['twist_grip', 'grip is lazy coming home', 'stays_open'],
        ['trigger_throttle', 'saw chain doesn\'t stop when i let off', 'creeps_out'],
        ['trigger_throttle', 'it idles so fast the blade turns', 'creeps_out'],
        ['trigger_throttle', 'trigger won\'t release', 'stays_open'],
        ['trigger_throttle', 'no power at full squeeze', 'not_wide_open'],
        ['pedal_throttle', 'buggy keeps going when i take my foot off', 'stays_open'],
        ['pedal_throttle', 'does thirty down the fairway', 'too_fast'],
        ['pedal_throttle', 'barely gets up to jogging speed', 'low_top_speed'],
        ['pedal_throttle', 'dead pedal at the top', 'dead_travel'],
        ['sliding_drive', 'mower runs away from me when i start it', 'creeps_out'],
        ['sliding_drive', 'self drive is gone', 'weak'],
        ['sliding_drive', 'can hardly drag it backwards', 'hard_to_pull_back'],
        ['engage_by_pull', 'machine drives without touching the handle', 'creeps_out'],
        ['engage_by_pull', 'tines stop as soon as they touch the soil', 'weak,slips'],
        ['release_by_pull', 'it keeps pushing even when i squeeze', 'creeps_in'],
        ['release_by_pull', 'belt smells burnt when working', 'slips,weak'],
        ['bail', 'let go and the blade whirls on', 'runs_on'],
        ['bail', 'motor won\'t die', 'runs_on'],
        ['bail', 'sometimes no spark', 'starts_sometimes'],
        ['bail', 'rope comes out like it is glued', 'rope_hard'],
        ['speed_selector', 'first forward goes backward', 'wrong_direction'],
        ['speed_selector', 'inches forward in neutral', 'creeps_out'],
        ['speed_selector', 'lever jams at 4', 'hard_to_shift,heavy'],
        ['mode_cables', 'park does not lock the wheels', 'does_not_hold'],
        ['mode_cables', 'shows park but rolls', 'does_not_hold,dash_disagrees'],
        ['mode_cables', 'gets stuck between turf and 4wd', 'hard_to_shift'],
        ['hook_control', 'auger won\'t quit when i release', 'creeps_out'],
        ['hook_control', 'barely chews the snow', 'weak'],
        ['brake_pull', 'i pull and pull and it keeps rolling', 'does_not_hold'],
        ['brake_pull', 'brake stays on after the lever is let go', 'drags'],
        ['brake_pull', 'smoke from the rear drum', 'drags'],
        ['automatic_clutch', 'wants to drive off at the lights', 'creeps_out'],
        ['automatic_clutch', 'judders from standstill', 'jerky'],
        ['hydraulic_clutch', 'lever goes all the way in with no feel', 'soft'],
        ['hydraulic_clutch', 'can\'t get it out of gear', 'hard_to_shift,creeps_in'],
        ['other_control', 'spreader keeps throwing with the lever shut', 'creeps_out'],
        ['other_control', 'hand winch pawl slips', 'does_not_hold'],
        ['other_control', 'lever stays where i leave it', 'no_spring_back'],
    ];

    public function test_of_what_is_left_out_in_turn_most_is_guessed_right(): void
    {
        $all = [];
        foreach (Sayings::ALL as $family => $said) {
            foreach (array_filter($said, static fn (string $means): bool => $means !== '') as $words => $means) {
                $all[] = [$family, $words, $means];
            }
        }
        $right = ['first' => 0, 'of two' => 0];
        foreach (range(0, 9) as $left) {
            $learned = WordsAlike::learned(array_column(
                array_filter($all, static fn (int $at): bool => $at % 10 !== $left, ARRAY_FILTER_USE_KEY),
                2,
                1,
            ));
            foreach ($all as $at => [$family, $words, $means]) {
                if ($at % 10 === $left) {
                    $likely = self::keys($learned->likely($words, Causes::of(FamilyKey::from($family))->symptoms));
                    $means = explode(',', $means);
                    $right['first'] += (int) (array_intersect($means, array_slice($likely, 0, 1)) !== []);
                    $right['of two'] += (int) (array_intersect($means, array_slice($likely, 0, 2)) !== []);
                }
            }
        }
        self::assertGreaterThan(0.70, $right['first'] / count($all));
        self::assertGreaterThan(0.80, $right['of two'] / count($all));
    }

    public function test_what_nobody_wrote_down_before_is_understood_or_guessed(): void
    {
        $right = 0;
        $wrong = 0;
        foreach (self::NEW as [$family, $words, $means]) {
            self::assertArrayNotHasKey($words, Sayings::ALL[$family], 'kept out of what is learned from');
            $symptoms = Causes::of(FamilyKey::from($family))->symptoms;
            $understood = self::keys(OwnWords::understood($words, $symptoms));
            $perhaps = self::keys(OwnWords::perhaps($words, $symptoms));
            self::assertTrue($understood === [] || $perhaps === [], 'what is understood is not asked about');
            self::assertLessThanOrEqual(2, count($perhaps));
            $right += (int) (array_intersect(explode(',', $means), [...$understood, ...$perhaps]) !== []);
            $wrong += (int) ($understood !== [] && array_intersect(explode(',', $means), $understood) === []);
        }
        self::assertGreaterThan(0.85, $right / count(self::NEW));
        self::assertSame(0, $wrong, 'what is said to be understood is right');
    }

    public function test_of_words_nobody_used_nothing_is_guessed(): void
    {
        $symptoms = Causes::of(FamilyKey::TwistGrip)->symptoms;
        self::assertSame([], OwnWords::perhaps('xyzzy plugh', $symptoms));
        self::assertSame([], OwnWords::perhaps('', $symptoms));
        self::assertSame([], OwnWords::perhaps('…?! 🙂', $symptoms));
        self::assertSame([], WordsAlike::learned([])->likely('the throttle sticks', $symptoms));
    }

    /**
     * @param  list<Symptom>  $symptoms
     * @return list<string>
     */
    private static function keys(array $symptoms): array
    {
        return array_map(static fn (Symptom $one): string => $one->value, $symptoms);
    }
}
