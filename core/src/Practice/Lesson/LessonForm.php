<?php

declare(strict_types=1);

namespace VividPull\Core\Practice\Lesson;

use VividPull\Core\Cable\Adjuster;
use VividPull\Core\Cable\Pose;
use VividPull\Core\Cable\ReadingPoint;
use VividPull\Core\Errors\BadFile;
use VividPull\Core\Errors\Refused;
use VividPull\Core\Input\Node;
use VividPull\Core\Practice\Control\DrawnJob;
use VividPull\Core\Practice\Control\Fault;
use VividPull\Core\Procedure\MeasureKey;
use VividPull\Core\Spec\OutcomeTable;

/** A lesson filled in by hand: the machine of another lesson, with what is true of it as somebody writes it. */
final readonly class LessonForm
{
    /** The same as in a file of a lesson. */
    private const MOST_MM = 500.0;

    private const MOST_AMOUNT = 1000.0;

    /** @return array<string, mixed> what can be filled in for this machine, and how it stands in this lesson */
    public static function of(Lesson $lesson): array
    {
        $true = $lesson->found;
        $faults = self::faults($lesson);

        return [
            'key' => $lesson->tale->key, 'title' => $lesson->tale->title, 'teaches' => $lesson->tale->teaches,
            'story' => $lesson->tale->story, 'told' => $lesson->isTold,
            'play' => self::play($lesson->spec->aim?->point, $true->play),
            'second_play' => self::play($lesson->spec->second?->point, $true->secondPlay),
            'offset' => $lesson->spec->other(OutcomeTable::class) === null
                ? null
                : ['amount' => $true->offset, 'unit' => $lesson->spec->other(OutcomeTable::class)->unit],
            'adjusters' => self::adjusters($lesson),
            'faults' => array_map(
                static fn (Fault $one): array => [
                    'fault' => $one->value,
                    'label' => $one->label(),
                    'is' => in_array($one, $true->faults, true),
                ],
                $faults,
            ),
            'poses' => array_map(
                static fn (Pose $one): array => [
                    'pose' => $one->value,
                    'label' => $one->label(),
                    'slack_mm' => abs($lesson->mechanics->poses[$one->value] ?? 0.0),
                    'less' => ($lesson->mechanics->poses[$one->value] ?? 0.0) < 0.0,
                ],
                self::poses($lesson),
            ),
            'hot' => $lesson->spec->conditions->engine === null ? null : $true->isHot,
            'speed_kmh' => $true->speed,
            'ratio_factor' => $lesson->mechanics->ratioFactor,
            'lock_creep' => $lesson->mechanics->creep,
        ];
    }

    /** @return list<array<string, mixed>> */
    private static function adjusters(Lesson $lesson): array
    {
        return array_map(
            static fn (Adjuster $one): array => [
                'id' => $one->id(),
                'name' => $one->name(),
                'unit' => $one->counting()->unit->plural(),
                'at' => $lesson->found->at[$one->id()] ?? 0.0,
                'from' => $one->travel()->from->toFloat(),
                'to' => $one->travel()->to->toFloat(),
            ],
            array_values($lesson->run->adjusters()),
        );
    }

    /** @return array<string, mixed> how it truly stands, as far as anything was said of it */
    private static function amount(Node $form, Lesson $like): array
    {
        return array_filter([
            'play_mm' => self::signed($form, 'play', $like->spec->aim !== null),
            'second_play_mm' => self::signed($form, 'second_play', $like->spec->second !== null),
            'at' => self::amounts($form->at('at')),
            'speed_kmh' => self::speed($form, $like),
            'poses_mm' => self::slack($form->at('poses')),
            'lost_steps' => $like->mechanics->lost === 0.0 ? null : $like->mechanics->lost,
            'stiction_mm' => $like->mechanics->stiction === 0.0 ? null : $like->mechanics->stiction,
            'off_square_deg' => $like->mechanics->offSquare === 0.0 ? null : $like->mechanics->offSquare,
            'beds_mm' => $like->mechanics->beds === 0.0 ? null : $like->mechanics->beds,
        ], static fn (mixed $one): bool => $one !== null && $one !== []);
    }

    /**
     * The lesson that was filled in, on the machine of another.
     *
     * @throws BadFile If something in it cannot be.
     * @throws Refused If nothing on this machine would set it right.
     */
    public static function filledIn(Lesson $like, Node $form, string $key, int $seed): Lesson
    {
        $form->object(
            ['title', 'teaches', 'story', 'told', 'at', 'faults', 'poses', 'ratio_factor', 'lock_creep'],
            ['play', 'second_play', 'offset', 'hot', 'speed_kmh'],
        );
        $lesson = LessonFile::read(json_encode([
            'key' => $key, 'seed' => $seed,
            ...array_map(
                static fn (string $field): string => trim($form->at($field)->string(300)),
                ['title' => 'title', 'teaches' => 'teaches', 'story' => 'story'],
            ),
            'told' => $form->at('told')->boolean(),
            'true' => self::amount($form, $like) + [
                'hot' => self::isHot($form, $like),
                'offset' => $form->optionalNumber('offset', -100, 100) ?? 0.0,
                'faults' => array_map(
                    static fn (Node $one): string => self::fault($one, $like)->value,
                    $form->at('faults')->items(10),
                ),
                'ratio_factor' => $form->at('ratio_factor')->number(0.2, 5),
                'lock_creep' => $form->at('lock_creep')->number(0, 20),
                'hand_mm' => $like->mechanics->noise, 'arm_sense' => $like->mechanics->sense,
            ],
        ] + LessonFile::encode($like), JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION));
        if (! BestPlay::endsWell($lesson)) {
            throw Refused::because(
                'Nothing that turns on this machine would set it right: that is no lesson. Leave the adjusters more room.',
            );
        }

        return $lesson;
    }

    private static function isHot(Node $form, Lesson $like): bool
    {
        $isHot = $form->flag('hot');
        if ($isHot && $like->spec->conditions->engine === null) {
            throw BadFile::at($form->at('hot')->path, 'the figure of this control is the same hot or cold.');
        }

        return $isHot;
    }

    private static function speed(Node $form, Lesson $like): ?float
    {
        if ($like->found->speed !== null) {
            return $form->at('speed_kmh')->number(1, MeasureKey::GroundSpeed->most());
        }
        if ($form->has('speed_kmh')) {
            throw BadFile::at($form->at('speed_kmh')->path, 'this control has no governor.');
        }

        return null;
    }

    /** @return array{label: string, size_mm: float, taut: bool}|null */
    private static function play(?ReadingPoint $point, ?float $mm): ?array
    {
        return $point === null || $mm === null
            ? null
            : ['label' => $point->label(), 'size_mm' => abs($mm), 'taut' => $mm < 0.0];
    }

    /** @return list<Fault> those that a control of this family shows */
    private static function faults(Lesson $lesson): array
    {
        return DrawnJob::faultsOf($lesson->spec->family);
    }

    private static function fault(Node $one, Lesson $like): Fault
    {
        $fault = $one->enum(Fault::class);

        return in_array($fault, self::faults($like), true)
            ? $fault
            : throw BadFile::at($one->path, "a control of this kind does not show {$fault->label()}.");
    }

    /** @return list<Pose> those that differ from straight */
    private static function poses(Lesson $lesson): array
    {
        return array_values(array_filter(
            $lesson->spec->conditions->poses,
            static fn (Pose $one): bool => $one !== Pose::Straight,
        ));
    }

    private static function signed(Node $form, string $key, bool $isThere): ?float
    {
        if (! $isThere) {
            return null;
        }
        $play = $form->at($key)->object(['size_mm', 'taut']);
        $mm = $play->at('size_mm')->number(0, self::MOST_MM);

        return $play->at('taut')->boolean() ? -$mm : $mm;
    }

    /** @return array<string, float> */
    private static function amounts(Node $at): array
    {
        return array_map(
            static fn (Node $one): float => $one->number(-self::MOST_AMOUNT, self::MOST_AMOUNT),
            $at->entries(),
        );
    }

    /** @return array<string, float> mm by pose */
    private static function slack(Node $poses): array
    {
        return array_map(static function (Node $one): float {
            $one->object(['slack_mm', 'less']);

            return ($one->at('less')->boolean() ? -1 : 1) * $one->at('slack_mm')->number(0, 50);
        }, $poses->entries());
    }
}
