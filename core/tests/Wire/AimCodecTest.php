<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Wire;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use VividPull\Core\Errors\BadFile;
use VividPull\Core\Family\SlidingDrive;
use VividPull\Core\Family\SpeedSelector;
use VividPull\Core\Input\Node;
use VividPull\Core\Spec\Mover;
use VividPull\Core\Tests\Support\TestJob;
use VividPull\Core\Wire\AimCodec;
use VividPull\Core\Wire\SpecCodec;

final class AimCodecTest extends TestCase
{
    /** @return iterable<string, array{array<string, mixed>}> */
    public static function aims(): iterable
    {
        yield 'a stop time' => [['kind' => 'time_limit', 'at_most_s' => 3.0]];
        yield 'a governed speed' => [[
            'kind' => 'speed_ceiling',
            'at_most_kmh' => 25.7,
            'tyre_mm' => 457.0,
            'usual_kmh' => 24.0,
        ]];
        yield 'a drive' => [['kind' => 'engagement_window', 'full_by_mm' => 70.0]];
        yield 'a throttle' => [[
            'kind' => 'throttle_window',
            'stroke_mm' => 30.0,
            'arc_mm' => 26.0,
            'margin_mm' => 1.0,
            'over_travel_mm' => null,
            'arm_ratio' => 1.1,
        ]];
        yield 'a pull' => [['kind' => 'pull', 'pull_n' => 46.0, 'release_n' => 34.0, 'at_mm' => 120.0]];
        yield 'a pack' => [[
            'kind' => 'pack', 'friction_plates' => 6, 'steel_plates' => 5, 'springs' => 5, 'friction_min_mm' => 2.85,
            'steel_warp_max_mm' => 0.1, 'spring_min_mm' => 35.0, 'bolts' => 5, 'bolt_nm' => 9.5,
        ]];
        yield 'detents' => [AimCodec::encode(SpeedSelector::table(
            ['R1' => -1, 'F1' => 1],
            6.0,
            1.0,
            [Mover::of('bracket', 1.0, null, 0.15)],
        ))];
        yield 'a drive without a figure' => [AimCodec::encode(SlidingDrive::table('rungs'))];
    }

    /** @param  array<string, mixed>  $aim */
    #[DataProvider('aims')]
    public function test_it_comes_back_as_it_went(array $aim): void
    {
        self::assertEquals($aim, AimCodec::encode(AimCodec::decode(Node::of($aim))));
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function bad(): iterable
    {
        $table = AimCodec::encode(SlidingDrive::table('rungs'));
        yield 'a kind nobody knows' => [['kind' => 'wish'], '$.kind: this kind of aim is not known.'];
        yield 'a key nobody knows' => [
            ['kind' => 'time_limit', 'at_most_s' => 3, 'colour' => 'red'],
            'the key “colour” is not known here',
        ];
        yield 'a time of nothing' => [['kind' => 'time_limit', 'at_most_s' => 0], '$.at_most_s: 0 is not between'];
        yield 'a pull lighter than its way back' => [
            ['kind' => 'pull', 'pull_n' => 30, 'release_n' => 40, 'at_mm' => 120],
            'the pull is the greater',
        ];
        yield 'a table of no settings' => [['settings' => []] + $table, 'at least one setting'];
        yield 'something wanted that cannot be told' => [
            ['settings' => [[
                'key' => 'a',
                'label' => 'A',
                'at' => 0,
                'wants' => 'gold',
                'sees' => [['key' => 'x', 'label' => 'X', 'low' => 0], ['key' => 'y', 'label' => 'Y', 'high' => 0]],
            ]]]
            + $table,
            'At A, “gold” is wanted, but it is not one of the things that can be told apart there.',
        ];
        yield 'only one thing to be seen' => [
            ['settings' => [[
                'key' => 'a',
                'label' => 'A',
                'at' => 0,
                'wants' => 'x',
                'sees' => [['key' => 'x', 'label' => 'X', 'low' => 0]],
            ]]]
            + $table,
            'not one of the things that can be told apart',
        ];
        $seeing = static fn (array ...$sees): array => ['settings' => [[
            'key' => 'a',
            'label' => 'A',
            'at' => 0,
            'wants' => 'x',
            'sees' => $sees,
        ]]]
            + $table;
        $right = ['key' => 'x', 'label' => 'X', 'low' => 0];
        yield 'edges the wrong way round' => [
            $seeing($right, ['key' => 'y', 'label' => 'Y', 'low' => 5, 'high' => -5]),
            '$.settings[0].sees[1]: “Y” is seen from 5 to -5: the first must lie below the second.',
        ];
        yield 'something seen wherever the arm stands' => [
            $seeing($right, ['key' => 'y', 'label' => 'Y']),
            '“Y” would be seen wherever the arm stands',
        ];
        yield 'one thing seen twice' => [
            $seeing($right, ['key' => 'y', 'label' => 'Y', 'high' => 0], ['key' => 'y', 'label' => 'Z', 'high' => -1]),
            'What is seen at A: “y” stands there twice.',
        ];
        yield 'one setting twice' => [
            ['settings' => [
                ...$seeing($right, ['key' => 'y', 'label' => 'Y', 'high' => 0])['settings'],
                ...$seeing($right, ['key' => 'y', 'label' => 'Y', 'high' => 0])['settings'],
            ]]
            + $table,
            'Settings: “a” stands there twice.',
        ];
        yield 'one mover twice' => [
            ['movers' => [['adjuster' => 'rungs', 'error' => 0.1], ['adjuster' => 'rungs', 'error' => 0.2]]] + $table,
            'What moves it: “rungs” stands there twice.',
        ];
        yield 'a first try beyond the most' => [
            ['trial' => 3, 'most_at_once' => 2] + $table,
            'The first try of 3 is more than the 2 that are ever moved at once.',
        ];
        yield 'a mover that moves nothing' => [
            ['movers' => [['adjuster' => 'rungs', 'per_step' => 0, 'error' => 0.1]]] + $table,
            '$.movers[0].per_step',
        ];
    }

    /** @param  array<string, mixed>  $aim */
    #[DataProvider('bad')]
    public function test_a_bad_one_gets_a_sentence_with_its_path(array $aim, string $sentence): void
    {
        $this->expectException(BadFile::class);
        $this->expectExceptionMessage($sentence);
        AimCodec::decode(Node::of($aim));
    }

    public function test_a_spec_that_asks_for_nothing_is_refused_unless_there_is_nothing_to_ask(): void
    {
        self::assertNull(
            SpecCodec::decode(Node::of(['family' => 'hydraulic_clutch', 'source' => ['document' => 'd']]))->aim,
        );
        $this->expectException(BadFile::class);
        $this->expectExceptionMessage('say what it is held against: an “aim”, “others”, or both.');
        SpecCodec::decode(Node::of(['family' => 'bail', 'source' => ['document' => 'd']]));
    }

    public function test_a_second_cable_is_read_backward_or_at_the_carburettor_and_not_both(): void
    {
        $spec = TestJob::clutchSpec();
        self::assertEquals(
            ['low_mm' => 0.5, 'high_mm' => 2.5, 'set_first' => false],
            SpecCodec::encode(SpecCodec::decode(Node::of(
                $spec + ['secondary' => ['low_mm' => 0.5, 'high_mm' => 2.5]],
            )))['secondary'],
        );
        $this->expectException(BadFile::class);
        $this->expectExceptionMessage('is read “backward” or is a “secondary”, not both');
        SpecCodec::decode(Node::of($spec + ['secondary' => ['low_mm' => 1], 'backward' => ['low_mm' => 1]]));
    }
}
