<?php

declare(strict_types=1);

namespace VividPull\Core\Practice\Lesson;

use VividPull\Core\Cable\Pose;
use VividPull\Core\Cable\ReadingPoint;
use VividPull\Core\Cable\Run;
use VividPull\Core\Input\Node;
use VividPull\Core\Practice\Control\AsFound;
use VividPull\Core\Practice\Control\DrawnJob;
use VividPull\Core\Practice\Control\Fault;
use VividPull\Core\Practice\Control\Mechanics;
use VividPull\Core\Spec\EngineHeat;
use VividPull\Core\Spec\FamilyKey;
use VividPull\Core\Spec\Spec;
use VividPull\Core\Wire\RunCodec;
use VividPull\Core\Wire\SpecCodec;

/**
 * The lessons that come with the product, in the order in which they teach. Machines and stories are invented; what is
 * wrong with them is what goes wrong with such machines: common practice, no source.
 */
final readonly class LessonBook
{
    /** By how much a hand's pulls differ, in mm. */
    private const HAND = 0.1;

    /** Minutes to take a cover off and put it back; ours. */
    private const TO_UNCOVER = 2;

    /** Where an adjuster stands when nothing else is said: the share of its way. */
    private const USUAL = 0.3;

    public const RULE = [
        'id' => 'rule',
        'name' => 'Steel rule',
        'kind' => 'steel_rule',
        'resolution_mm' => 0.5,
        'reach_mm' => 150.0,
    ];

    public const CALIPER = [
        'id' => 'caliper',
        'name' => 'Caliper',
        'kind' => 'caliper',
        'resolution_mm' => 0.05,
        'reach_mm' => 150.0,
    ];

    public const FEELER = [
        'id' => 'feeler',
        'name' => 'Feeler gauge',
        'kind' => 'feeler',
        'resolution_mm' => 0.05,
        'reach_mm' => 5.0,
    ];

    public const COINS = [
        'id' => 'coins',
        'name' => 'Coins',
        'kind' => 'coin',
        'resolution_mm' => 0.2,
        'reach_mm' => 3.0,
    ];

    /**
     * A governor as a cart of this kind has it: the maker's limit and the tyres it holds for, what it usually reaches,
     * its nut. Invented.
     */
    private const CEILING = ['kind' => 'speed_ceiling', 'at_most_kmh' => 24.0, 'tyre_mm' => 457.0, 'usual_kmh' => 22.0];

    private const NUT = [
        'id' => 'governor',
        'name' => 'governor nut',
        'kind' => 'governor_nut',
        'thread' => 'M6 x 1',
        'travel_mm' => 30,
    ];

    /**
     * The gap between lever and perch, from its band to how far its point lies from the pivot. Common practice, no
     * source.
     */
    private const GAP = ['low_mm' => 1.0, 'high_mm' => 3.0, 'pivot_mm' => 31.0];

    /**
     * Key, family, title, what it is for, how it came in, and what is true of it: `play` and `second` in mm, `offset`
     * of a table's arm, `at` as the share of each adjuster's way, `faults`, `ratio` by which its drawing is off, `left`
     * and `right` in mm of slack, `lost` of a thread turned the other way in its smallest steps, `stiction` in mm of
     * conduit, degrees by which its lever stands off `square` to the wire, mm of conduit that a new cable gives while
     * it `beds` in, `creep` of a lock in its smallest steps, `hot` where its engine is, `heat` that its figure holds
     * for, `speed` in km/h that its governor lets it reach, `pair` of cables, `told` where its adjusters stand, `fine`
     * where a caliper is at hand, `covers` over its adjusters, `gap` where it is read between lever and perch, by
     * feeler or coin.
     *
     * @var list<array{string, string, string, string, string, array<string, mixed>}>
     */
    private const LESSONS = [
        [
            'lever_loose',
            'clutch_lever',
            'A first clutch lever',
            'Read free play at the tip and take it up at the perch.',
            'Came in with the lever flapping. Cold.',
            ['play' => 31.0],
        ],
        [
            'lever_tight',
            'clutch_lever',
            'A lever with no play',
            'Give slack back before anything slips.',
            'Slips on hills. The barrel is well out.',
            ['play' => 4.0, 'at' => ['barrel' => 0.5]],
        ],
        [
            'lever_right',
            'clutch_lever',
            'Leave it alone',
            'Read, try, sign: what is right is not turned.',
            'The owner is not sure about it.',
            ['play' => 15.5],
        ],
        [
            'lever_home',
            'clutch_lever',
            'A barrel near its end',
            'Bring the barrel home with the nuts below.',
            'Taken up at the lever all season.',
            ['play' => 27.0, 'at' => ['barrel' => 0.63, 'bracket_nuts' => 0.3]],
        ],
        [
            'lever_taut',
            'clutch_lever',
            'A taut cable',
            'A cable that is taut reads nothing: give slack first, then read.',
            'A new barrel was fitted yesterday.',
            ['play' => -8.0, 'at' => ['barrel' => 0.55]],
        ],
        [
            'lever_drawn',
            'clutch_lever',
            'A lever that moves twice as far',
            'Believe the second reading, not the drawing.',
            'Another lever was fitted to this machine.',
            ['play' => 38.0, 'ratio' => 1.7],
        ],
        [
            'lever_lock',
            'clutch_lever',
            'A nut that turns what it holds',
            'Lock, then read again.',
            'Was set last week and is loose again.',
            ['play' => 24.0, 'creep' => 0.6, 'fine' => true],
        ],
        [
            'lever_spline',
            'clutch_lever',
            'Play is right, and it creeps',
            'What is no matter of slack is not turned away.',
            'A new arm was fitted. It creeps in gear.',
            ['play' => 14.5, 'faults' => ['wrong_spline']],
        ],
        [
            'lever_frayed',
            'clutch_lever',
            'Strands at the nipple',
            'Look before you turn: a frayed wire is not set, it is tagged.',
            'Feels rough in the last weeks.',
            ['play' => 22.0, 'faults' => ['frayed_wire']],
        ],
        [
            'lever_short',
            'clutch_lever',
            'A wrong cable',
            'With both adjusters in and the cable still taut, a part is wrong.',
            'The new cable came in a plain bag.',
            ['play' => -20.0, 'at' => ['barrel' => 0.05, 'bracket_nuts' => 0.05]],
        ],
        [
            'auto_right',
            'automatic_clutch',
            'No cable at all',
            'Know what cannot be set.',
            'Sold as needing its clutch adjusted.',
            [],
        ],
        [
            'auto_spring',
            'automatic_clutch',
            'It pulls away at idle',
            'A spring is put right; nothing is turned.',
            'Creeps at the lights.',
            ['faults' => ['weak_spring']],
        ],
        [
            'hydraulic_right',
            'hydraulic_clutch',
            'Fluid, not wire',
            'Look at level and line before anything else.',
            'In for its yearly look.',
            [],
        ],
        [
            'hydraulic_air',
            'hydraulic_clutch',
            'A soft lever',
            'A soft lever is bled, not adjusted.',
            'Soft since the line was changed.',
            ['faults' => ['air']],
        ],
        [
            'grip_loose',
            'twist_grip',
            'A first throttle grip',
            'Read in all three poses, and set the middle.',
            'Snatches when it is opened.',
            ['play' => 9.0, 'left' => 0.15, 'right' => -0.1],
        ],
        [
            'grip_tight',
            'twist_grip',
            'Idle that climbs',
            'Free play is what lets it shut: give it back.',
            'Idles high with the bars turned.',
            ['play' => 0.8, 'left' => 0.1, 'right' => -0.2],
        ],
        [
            'grip_route',
            'twist_grip',
            'Tight at full left',
            'What changes with the bars is the route, not the nut.',
            'Snags in the yard, never on the road.',
            ['play' => 4.0, 'left' => -0.4, 'right' => 0.2, 'faults' => ['route']],
        ],
        [
            'grip_pair',
            'twist_grip',
            'Push and pull',
            'Two cables, each with its own play.',
            'Both cables are new.',
            ['play' => 8.0, 'second' => 0.4, 'pair' => true],
        ],
        [
            'grip_groove',
            'twist_grip',
            'A wire beside its groove',
            'Look at the end before the nuts are blamed.',
            'The grip was off for new rubber.',
            ['play' => 4.2, 'faults' => ['off_groove']],
        ],
        [
            'grip_dry',
            'twist_grip',
            'It does not snap shut',
            'A dry wire looks like a tight one.',
            'Stood by the sea all winter.',
            ['play' => 3.8, 'faults' => ['dry']],
        ],
        [
            'trigger_loose',
            'trigger_throttle',
            'A trigger that opens late',
            'Take up what does not open, and no more.',
            'No power at full trigger.',
            ['play' => 5.0, 'fine' => true],
        ],
        [
            'trigger_tight',
            'trigger_throttle',
            'A trigger with no play',
            'Closed must be closed.',
            'Blades turn at idle.',
            ['play' => 0.1, 'fine' => true],
        ],
        [
            'trigger_end',
            'trigger_throttle',
            'An end beside its seat',
            'Seat the end, then read.',
            'Somebody changed the trigger.',
            ['play' => 1.4, 'faults' => ['off_seat'], 'fine' => true],
        ],
        [
            'pedal_loose',
            'pedal_throttle',
            'A pedal that opens late',
            'Set the pedal before the governor is looked at.',
            'Will not reach its speed.',
            ['play' => 26.0],
        ],
        [
            'pedal_pair',
            'pedal_throttle',
            'Pedal and governor',
            'The first cable first, the second after it.',
            'Both were taken off for a new engine.',
            ['play' => 20.0, 'second' => 3.4, 'pair' => true, 'fine' => true],
        ],
        [
            'pedal_spring',
            'pedal_throttle',
            'A pedal that stays down',
            'Play is right: it is the spring.',
            'Hung open once on a slope.',
            ['play' => 10.0, 'faults' => ['weak_spring']],
        ],
        [
            'drive_slow',
            'sliding_drive',
            'Slow on grass',
            'A rung more, and try it at rest again.',
            'Slow uphill.',
            ['offset' => -1.0],
        ],
        [
            'drive_creeps',
            'sliding_drive',
            'It creeps',
            'A rung less, before anybody walks behind it.',
            'Crawls with the handle let go.',
            ['offset' => 1.0],
        ],
        [
            'drive_belt',
            'sliding_drive',
            'The fifth rung this season',
            'A worn belt looks like slack.',
            'Taken up four times since spring.',
            ['offset' => 0.0, 'faults' => ['belt']],
        ],
        [
            'engage_loose',
            'engage_by_pull',
            'A drive that comes late',
            'Clamp for the big step, bolt for the small.',
            'Slips under load.',
            ['play' => 41.0],
        ],
        [
            'engage_tight',
            'engage_by_pull',
            'A drive that never lets go',
            'At rest nothing may move.',
            'Creeps with the handle open.',
            ['play' => 3.0],
        ],
        [
            'engage_spring',
            'engage_by_pull',
            'It does not spring back',
            'A spring, not a thread.',
            'Handle hangs halfway.',
            ['play' => 15.0, 'faults' => ['weak_spring']],
        ],
        [
            'release_tight',
            'release_by_pull',
            'A clutch that burns',
            'Here wear takes play away: give it back.',
            'Smells hot, pulls weakly.',
            ['play' => 2.0],
        ],
        [
            'release_loose',
            'release_by_pull',
            'It drives with the handle pulled',
            'Too much play never releases.',
            'Grinds into gear.',
            ['play' => 44.0],
        ],
        [
            'bail_conduit',
            'bail',
            'A bail whose conduit has shrunk',
            'No thread here: mount and length are looked at.',
            'Brake rubs after a hot summer.',
            ['faults' => ['mount']],
        ],
        [
            'bail_spring',
            'bail',
            'Blades that run on',
            'Stopping is the test, and a spring is the cure.',
            'Runs on after the bail is let go.',
            ['faults' => ['weak_spring']],
        ],
        ['bail_right', 'bail', 'A bail that is right', 'Try it, time it, leave it.', 'In for new blades only.', []],
        [
            'selector_back',
            'speed_selector',
            'Forward in reverse',
            'Two detents decide: which way did the arm go?',
            'Drives forward in R1.',
            ['offset' => 1.0],
        ],
        [
            'selector_fast',
            'speed_selector',
            'Reverse in the first',
            'The bracket the other way.',
            'Backs out of F1.',
            ['offset' => -1.3],
        ],
        [
            'mode_short',
            'mode_cables',
            'Mode cables',
            'Bevels are counted, and one cable is moved at a time.',
            'Does not lock on the turf setting.',
            ['offset' => 12.0],
        ],
        [
            'mode_long',
            'mode_cables',
            'Past its stop',
            'Bevels back, by no more than four turns.',
            'Bangs on unlocking.',
            ['offset' => -10.0],
        ],
        [
            'hook_slow',
            'hook_control',
            'One hole is all',
            'A hole is a big step: try it after each.',
            'Weak in deep snow.',
            ['offset' => -1.0],
        ],
        [
            'hook_spring',
            'hook_control',
            'A hook that hangs',
            'Look at the spring before the hole.',
            'Handle does not come back by itself.',
            ['offset' => 0.0, 'faults' => ['weak_spring']],
        ],
        [
            'brake_loose',
            'brake_pull',
            'A brake at the bar',
            'Take it up, and let the wheel turn free.',
            'The handle meets the bar.',
            ['play' => 24.0],
        ],
        [
            'brake_drags',
            'brake_pull',
            'A brake that drags',
            'Free first: a brake that drags fades.',
            'Hub is hot after a mile.',
            ['play' => 1.5],
        ],
        [
            'other_loose',
            'other_control',
            'A control nobody drew',
            'The same hands, whatever it moves.',
            'From a machine without a book.',
            ['play' => 23.0],
        ],
        [
            'other_stiff',
            'other_control',
            'Stiff and slow to return',
            'Oil and grease before a new part.',
            'Stood in a wet shed.',
            ['play' => 9.5, 'faults' => ['dry']],
        ],
        [
            'lever_gap',
            'clutch_lever',
            'A coin at the perch',
            'Find the blade that drags a little: that one is the gap.',
            'No rule fits in there. Hangs loose.',
            ['play' => 4.6, 'gap' => true],
        ],
        [
            'grip_boot',
            'twist_grip',
            'Under its boot',
            'A boot comes off before the thread, and goes back before it runs.',
            'Slack since the bars were changed. Boots look new.',
            [
                'play' => 8.5,
                'left' => 0.1,
                'right' => -0.1,
                'covers' => ['in_line' => 'boot', 'bracket_nuts' => 'cowl'],
            ],
        ],
        [
            'lever_hot',
            'clutch_lever',
            'Still hot from the road',
            'Feel it before you read: a hot engine hides play.',
            'Rode in a moment ago. They say it got tight.',
            ['play' => 12.0, 'hot' => true],
        ],
        [
            'lever_lost',
            'clutch_lever',
            'A thread with slack in it',
            'Finish each move the same way: the first flats back turn nothing.',
            'Set by three people this week, each time the other way.',
            ['play' => 7.0, 'at' => ['barrel' => 0.5], 'lost' => 3.0, 'stiction' => 0.1, 'fine' => true],
        ],
        [
            'lever_warm',
            'clutch_lever',
            'A figure for a hot engine',
            'Feel it before you read: cold, it shows more play than it has.',
            'Came on the trailer. Slips once it is warm.',
            ['play' => 7.5, 'heat' => 'hot'],
        ],
        [
            'pedal_governor',
            'pedal_throttle',
            'A governor somebody screwed down',
            'Both cables first; then the nut out, until it keeps its limit.',
            'Goes well, they say. Faster than the others.',
            ['play' => 10.0, 'speed' => 26.5],
        ],
        [
            'lever_square',
            'clutch_lever',
            'A lever that stands off its wire',
            'A lever swings in an arc: the same turn moves it less the nearer it comes to square.',
            'A bent lever was fitted. Its book is of a straight one.',
            ['play' => 34.0, 'square' => 40.0],
        ],
        [
            'lever_new',
            'clutch_lever',
            'A new cable',
            'A new cable beds in: pull it fully, again and again, before you believe it.',
            'Its cable was changed this morning, and nobody rode since.',
            ['play' => 9.0, 'at' => ['barrel' => 0.45], 'beds' => 0.9],
        ],
        [
            'lever_blind',
            'clutch_lever',
            'Threads nobody counted',
            'Work without knowing where the adjusters stand.',
            'No record of it. The boots are on.',
            ['play' => 29.0, 'told' => false],
        ],
        [
            'grip_hard',
            'twist_grip',
            'Everything at once',
            'Fault first, then play, then poses, then the lock.',
            'Bought unseen. Drawing is of another grip.',
            [
                'play' => 8.5,
                'ratio' => 1.3,
                'left' => 0.2,
                'right' => -0.2,
                'creep' => 0.4,
                'faults' => ['weak_spring'],
            ],
        ],
    ];

    /** @return list<Lesson> in the order in which they teach */
    public static function all(): array
    {
        return array_map(self::lesson(...), self::LESSONS, range(1, count(self::LESSONS)));
    }

    public static function count(): int
    {
        return count(self::LESSONS);
    }

    /** What a lesson is called, a machine at random too; null where nothing has this key. */
    public static function title(string $key): ?string
    {
        return array_column(self::LESSONS, 2, 0)[$key] ?? FreeMachine::title($key);
    }

    /** By its key; a machine at random has one too. */
    public static function find(string $key): ?Lesson
    {
        foreach (self::LESSONS as $place => $row) {
            if ($row[0] === $key) {
                return self::lesson($row, $place + 1);
            }
        }

        return FreeMachine::named($key);
    }

    /**
     * @param  array<string, mixed>  $true
     * @return non-empty-list<array{id: string, name: string, kind: string, resolution_mm: float, reach_mm: float}>
     */
    private static function shelf(array $true, bool $isGap): array
    {
        return match (true) {
            $isGap => [self::FEELER, self::COINS],
            ($true['fine'] ?? false) === true => [self::CALIPER, self::RULE],
            default => [self::RULE, self::CALIPER],
        };
    }

    /**
     * @param  array<string, mixed>  $true
     * @param  array<string, float>  $poses
     */
    private static function mechanics(array $true, array $poses, int $seed): Mechanics
    {
        return new Mechanics(
            self::number($true, 'ratio', 1.0),
            $poses,
            self::HAND,
            $seed % 2 === 0 ? 1 : -1,
            self::number($true, 'creep', 0.0),
            0.0,
            self::number($true, 'lost', 0.0),
            self::number($true, 'stiction', 0.0),
            self::number($true, 'square', 0.0),
            self::number($true, 'beds', 0.0),
        );
    }

    /** @param  array{string, string, string, string, string, array<string, mixed>}  $row */
    private static function lesson(array $row, int $seed): Lesson
    {
        [$key, $family, $title, $teaches, $story, $true] = $row;
        [$spec, $wire] = DrawnJob::frame(FamilyKey::from($family), ($true['pair'] ?? false) === true);
        $wire = self::covered($wire, is_array($true['covers'] ?? null) ? $true['covers'] : []);
        $isGap = ($true['gap'] ?? false) === true;
        [$spec, $wire] = $isGap ? self::atTheGap($spec, $wire) : [$spec, $wire];
        $isHot = ($true['hot'] ?? false) === true;
        $heat = $isHot ? EngineHeat::Cold : (is_string($true['heat'] ?? null) ? EngineHeat::from($true['heat']) : null);
        $spec = $heat === null ? $spec : self::heated($spec, $heat);
        [$spec, $wire] = isset($true['speed']) ? self::governed($spec, $wire) : [$spec, $wire];
        $run = RunCodec::decode(Node::of($wire));
        $found = new AsFound(
            self::number($true, 'play', 0.0),
            isset($true['second']) ? self::number($true, 'second', 0.0) : null,
            self::number($true, 'offset', 0.0),
            self::standing($run, is_array($true['at'] ?? null) ? $true['at'] : []),
            self::faults($true),
            $isHot,
            isset($true['speed']) ? self::number($true, 'speed', 0.0) : null,
        );
        $poses = array_intersect_key(
            ['left' => self::number($true, 'left', 0.0), 'right' => self::number($true, 'right', 0.0)],
            array_flip(array_map(static fn (Pose $one): string => $one->value, $spec->conditions->poses)),
        );

        return new Lesson(
            new LessonTale($key, $title, $teaches, $story),
            $spec,
            $wire,
            $found,
            self::mechanics($true, $poses, $seed),
            self::shelf($true, $isGap),
            ($true['told'] ?? true) === true,
            $seed,
        );
    }

    /**
     * The same, with covers over its adjusters.
     *
     * @param  array<string, mixed>  $wire
     * @param  array<mixed>  $covers  by adjuster
     * @return array<string, mixed>
     */
    private static function covered(array $wire, array $covers): array
    {
        $under = static function (mixed $adjuster) use ($covers): mixed {
            if (! is_array($adjuster) || ! is_string($adjuster['id'] ?? null)) {
                return $adjuster;
            }
            $cover = $covers[$adjuster['id']] ?? null;

            return $cover === null
                ? $adjuster
                : ['access' => ['minutes' => self::TO_UNCOVER, 'cover' => $cover]] + $adjuster;
        };
        $cables = array_map(
            static fn (mixed $cable): mixed => is_array($cable) && is_array($cable['adjusters'] ?? null)
                ? ['adjusters' => array_map($under, $cable['adjusters'])] + $cable
                : $cable,
            is_array($wire['cables'] ?? null) ? $wire['cables'] : [],
        );

        return ['cables' => $cables] + $wire;
    }

    /**
     * The same, read between lever and perch.
     *
     * @param  array<string, mixed>  $wire
     * @return array{Spec, array<string, mixed>}
     */
    private static function atTheGap(Spec $spec, array $wire): array
    {
        $aim = [
            'point' => ReadingPoint::PerchGap->value,
            'low_mm' => self::GAP['low_mm'],
            'high_mm' => self::GAP['high_mm'],
        ];
        $hand = ['pivot_to_point_mm' => [ReadingPoint::PerchGap->value => self::GAP['pivot_mm']]]
            + (is_array($wire['hand'] ?? null) ? $wire['hand'] : []);

        return [
            SpecCodec::decode(Node::of(array_replace_recursive(SpecCodec::encode($spec), ['aim' => $aim]))),
            ['hand' => $hand] + $wire,
        ];
    }

    /** The same, of a book whose figure holds for an engine so hot. */
    private static function heated(Spec $spec, EngineHeat $heat): Spec
    {
        return SpecCodec::decode(Node::of(array_replace_recursive(
            SpecCodec::encode($spec),
            ['conditions' => ['engine' => $heat->value]],
        )));
    }

    /**
     * The same, with a governor and its nut.
     *
     * @param  array<string, mixed>  $wire
     * @return array{Spec, array<string, mixed>}
     */
    private static function governed(Spec $spec, array $wire): array
    {
        $encoded = SpecCodec::encode($spec);
        $encoded['others'] = [...(is_array($encoded['others'] ?? null) ? $encoded['others'] : []), self::CEILING];
        $cables = array_values(is_array($wire['cables'] ?? null) ? $wire['cables'] : []);
        $first = is_array($cables[0] ?? null) ? $cables[0] : [];
        $first['adjusters'] = [...(is_array($first['adjusters'] ?? null) ? $first['adjusters'] : []), self::NUT];
        $cables[0] = $first;

        return [SpecCodec::decode(Node::of($encoded)), ['cables' => $cables] + $wire];
    }

    /** @param  array<string, mixed>  $true */
    private static function number(array $true, string $key, float $else): float
    {
        return is_float($true[$key] ?? null) ? $true[$key] : $else;
    }

    /**
     * @param  array<mixed>  $shares  of its way, by adjuster
     * @return array<string, float>
     */
    private static function standing(Run $run, array $shares): array
    {
        $at = [];
        foreach ($run->adjusters() as $adjuster) {
            [$from, $to] = [$adjuster->travel()->from->toFloat(), $adjuster->travel()->to->toFloat()];
            $share = $shares[$adjuster->id()] ?? self::USUAL;
            $at[$adjuster->id()] = round($from + ($to - $from) * (is_float($share) ? $share : self::USUAL));
        }

        return $at;
    }

    /**
     * @param  array<string, mixed>  $true
     * @return list<Fault>
     */
    private static function faults(array $true): array
    {
        return array_values(array_filter(array_map(
            static fn (mixed $one): ?Fault => is_string($one) ? Fault::tryFrom($one) : null,
            is_array($true['faults'] ?? null) ? $true['faults'] : [],
        )));
    }
}
