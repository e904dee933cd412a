<?php

declare(strict_types=1);

namespace VividPull\Core\Practice\Lesson;

use VividPull\Core\Cable\Run;
use VividPull\Core\Errors\BadFile;
use VividPull\Core\Input\Node;
use VividPull\Core\Practice\Control\AsFound;
use VividPull\Core\Practice\Control\Fault;
use VividPull\Core\Practice\Control\Mechanics;
use VividPull\Core\Procedure\MeasureKey;
use VividPull\Core\Spec\Spec;
use VividPull\Core\Spec\SpeedCeiling;
use VividPull\Core\Wire\RunCodec;
use VividPull\Core\Wire\SpecCodec;

/** A lesson in one file, with its spec, its run and what is true of its machine. See docs/formats/lesson.md. */
final readonly class LessonFile
{
    public const FORMAT = 'vivid-pull/lesson@1';

    private const KEY = '/^[a-z][a-z0-9_]{1,39}$/D';

    private const MOST_MM = 500.0;

    private const KINDS = ['steel_rule', 'caliper', 'feeler', 'coin'];

    /** @return array<string, mixed> */
    public static function encode(Lesson $lesson): array
    {
        $true = array_filter([
            'play_mm' => $lesson->spec->aim === null ? null : $lesson->found->play,
            'second_play_mm' => $lesson->found->secondPlay,
            'offset' => $lesson->found->offset,
            'at' => $lesson->found->at === [] ? null : $lesson->found->at,
            'hot' => $lesson->found->isHot ? true : null,
            'speed_kmh' => $lesson->found->speed,
            'faults' => array_map(static fn (Fault $one): string => $one->value, $lesson->found->faults),
            'ratio_factor' => $lesson->mechanics->ratioFactor,
            'poses_mm' => $lesson->mechanics->poses === [] ? null : $lesson->mechanics->poses,
            'hand_mm' => $lesson->mechanics->noise,
            'arm_sense' => $lesson->mechanics->sense,
            'lock_creep' => $lesson->mechanics->creep,
            'lost_steps' => $lesson->mechanics->lost === 0.0 ? null : $lesson->mechanics->lost,
            'stiction_mm' => $lesson->mechanics->stiction === 0.0 ? null : $lesson->mechanics->stiction,
            'off_square_deg' => $lesson->mechanics->offSquare === 0.0 ? null : $lesson->mechanics->offSquare,
            'beds_mm' => $lesson->mechanics->beds === 0.0 ? null : $lesson->mechanics->beds,
        ], static fn (mixed $one): bool => $one !== null);

        return [
            'format' => self::FORMAT, 'key' => $lesson->tale->key, 'title' => $lesson->tale->title,
            'teaches' => $lesson->tale->teaches, 'story' => $lesson->tale->story,
            'seed' => $lesson->seed, 'told' => $lesson->isTold, 'instruments' => $lesson->instruments, 'true' => $true,
            'spec' => SpecCodec::encode($lesson->spec), 'run' => $lesson->wire,
        ];
    }

    /** @throws BadFile If the file is not what its schema says. */
    public static function read(string $json): Lesson
    {
        $node = Node::fromJson($json)->object([
            'format', 'key', 'title', 'teaches', 'story', 'seed', 'told', 'instruments', 'true', 'spec', 'run',
        ]);
        if ($node->at('format')->value !== self::FORMAT) {
            throw BadFile::at('$.format', 'this is not “'.self::FORMAT.'”, the only format of lessons read here.');
        }
        [$spec, $run] = [SpecCodec::decode($node->at('spec')), RunCodec::decode($node->at('run'))];
        $wire = is_array($node->at('run')->value) ? $node->at('run')->value : [];
        $true = $node
            ->at('true')
            ->object(
                ['offset', 'faults', 'ratio_factor', 'hand_mm', 'arm_sense', 'lock_creep'],
                [
                    'play_mm', 'second_play_mm', 'at', 'poses_mm', 'hot', 'speed_kmh', 'lost_steps', 'stiction_mm',
                    'off_square_deg', 'beds_mm',
                ],
            );
        $tale = new LessonTale(
            self::key($node->at('key')),
            $node->at('title')->string(80),
            $node->at('teaches')->string(200),
            $node->at('story')->string(300),
        );

        return new Lesson(
            $tale,
            $spec,
            $wire,
            self::found($true, $spec, $run),
            self::mechanics($true, $spec, $run),
            self::instruments($node->at('instruments')),
            $node->at('told')->boolean(),
            $node->at('seed')->integer(0, 2 ** 31),
        );
    }

    /** @throws BadFile If it is none. */
    private static function key(Node $node): string
    {
        $key = $node->string(40);
        if (preg_match(self::KEY, $key) !== 1) {
            throw BadFile::at(
                $node->path,
                'a key is made of small letters, figures and underscores, and begins with a letter.',
            );
        }

        return $key;
    }

    private static function found(Node $true, Spec $spec, Run $run): AsFound
    {
        if (
            $true->has('play_mm') !== ($spec->aim !== null)
            || $true->has('second_play_mm') !== ($spec->second !== null)
        ) {
            throw BadFile::at(
                $true->path,
                'a play is named for each cable whose play the spec knows, and for no other.',
            );
        }
        $at = [];
        foreach ($true->has('at') ? $true->at('at')->entries() : [] as $adjuster => $one) {
            $known = $run->adjuster($adjuster) ?? throw BadFile::at($one->path, 'the run has no such adjuster.');
            $at[$adjuster] = $one->number($known->travel()->from->toFloat(), $known->travel()->to->toFloat());
        }
        $number = static fn (string $key): ?float => $true->has($key)
            ? $true->at($key)->number(-self::MOST_MM, self::MOST_MM)
            : null;

        return new AsFound(
            $number('play_mm') ?? 0.0,
            $number('second_play_mm'),
            $true->at('offset')->number(-100, 100),
            $at,
            array_map(static fn (Node $one): Fault => $one->enum(Fault::class), $true->at('faults')->items(10)),
            $true->flag('hot'),
            self::speed($true, $spec),
        );
    }

    private static function speed(Node $true, Spec $spec): ?float
    {
        if ($true->has('speed_kmh') !== ($spec->other(SpeedCeiling::class) !== null)) {
            throw BadFile::at($true->path, 'a speed is named where the spec has a governed speed, and nowhere else.');
        }

        return $true->optionalNumber('speed_kmh', 1, MeasureKey::GroundSpeed->most());
    }

    private static function offSquare(Node $true, Run $run): float
    {
        if (! $true->has('off_square_deg')) {
            return 0.0;
        }

        return $run->hand->pointMm !== []
            ? $true->at('off_square_deg')->number(-60, 60)
            : throw BadFile::at(
                $true->path,
                'how a lever stands to its wire tells nothing where the distance from its pivot to the wire is not known.',
            );
    }

    private static function mechanics(Node $true, Spec $spec, Run $run): Mechanics
    {
        $poses = [];
        foreach ($true->has('poses_mm') ? $true->at('poses_mm')->entries() : [] as $pose => $one) {
            if (! in_array($pose, array_column($spec->conditions->poses, 'value'), true)) {
                throw BadFile::at($one->path, 'the spec is not read in this pose.');
            }
            $poses[$pose] = $one->number(-50, 50);
        }

        return new Mechanics(
            $true->at('ratio_factor')->number(0.2, 5),
            $poses,
            $true->at('hand_mm')->number(0, 5),
            $true->at('arm_sense')->number(-1, 1) < 0 ? -1 : 1,
            $true->at('lock_creep')->number(0, 20),
            0.0,
            $true->optionalNumber('lost_steps', 0, 20) ?? 0.0,
            $true->optionalNumber('stiction_mm', 0, 5) ?? 0.0,
            self::offSquare($true, $run),
            $true->optionalNumber('beds_mm', 0, 5) ?? 0.0,
        );
    }

    /** @return non-empty-list<array{id: string, name: string, kind: string, resolution_mm: float, reach_mm: float}> */
    private static function instruments(Node $list): array
    {
        $all = [];
        foreach ($list->items(6) as $one) {
            $one->object(['id', 'name', 'kind', 'resolution_mm', 'reach_mm']);
            $kind = $one->at('kind')->string(20);
            if (! in_array($kind, self::KINDS, true)) {
                throw BadFile::at($one->at('kind')->path, 'an instrument is one of '.implode(', ', self::KINDS).'.');
            }
            $all[] = [
                'id' => $one->at('id')->id(),
                'name' => $one->at('name')->name(),
                'kind' => $kind,
                'resolution_mm' => $one->at('resolution_mm')->number(0.001, 50),
                'reach_mm' => $one->at('reach_mm')->number(1, 1000),
            ];
        }

        return $all === [] ? throw BadFile::at($list->path, 'a lesson has an instrument at hand, at least one.') : $all;
    }
}
