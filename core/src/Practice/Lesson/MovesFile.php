<?php

declare(strict_types=1);

namespace VividPull\Core\Practice\Lesson;

use VividPull\Core\Bench\BenchLine;
use VividPull\Core\Bench\Shown;
use VividPull\Core\Cable\Pose;
use VividPull\Core\Cable\ReadingPoint;
use VividPull\Core\Errors\BadFile;
use VividPull\Core\Errors\CoreError;
use VividPull\Core\Input\Node;
use VividPull\Core\Log\EntryKind;
use VividPull\Core\Log\Person;
use VividPull\Core\Log\Role;
use VividPull\Core\Log\Stamp;
use VividPull\Core\Quantity\Unit;
use VividPull\Core\Wire\EntryCodec;

/** What was done and written in an attempt, in one file, so that it can be done again. See docs/formats/lesson.md. */
final readonly class MovesFile
{
    public const FORMAT = 'vivid-pull/practice-moves@1';

    private const MOST = 1000;

    private const START = '2026-01-01T08:00:00+00:00';

    /** @throws CoreError If the file is not what its schema says, or something in it cannot be done. */
    public static function play(Lesson $lesson, string $json): Attempt
    {
        $node = Node::fromJson($json)->object(['format', 'lesson', 'moves']);
        if ($node->at('format')->value !== self::FORMAT) {
            throw BadFile::at('$.format', 'this is not “'.self::FORMAT.'”, the only format of moves read here.');
        }
        if ($node->at('lesson')->value !== $lesson->tale->key) {
            throw BadFile::at('$.lesson', "these moves are of another lesson than {$lesson->tale->key}.");
        }
        $person = new Person('learner', 'Learner', Role::Technician);
        $attempt = new Attempt($lesson, $person, 'opened', self::START);
        foreach ($node->at('moves')->items(self::MOST) as $place => $move) {
            $move->making(static fn () => self::one($attempt, $move, $person, $place));
        }

        return $attempt;
    }

    private static function one(Attempt $attempt, Node $move, Person $person, int $place): null
    {
        $at = $move->has('at') ? EntryCodec::instant($move->at('at')) : self::START;
        if ($move->has('act')) {
            $attempt->act(
                ActCodec::decode(Node::of(
                    array_diff_key(is_array($move->value) ? $move->value : [], ['at' => true]),
                    $move->path,
                )),
                $at,
            );

            return null;
        }
        $stamp = new Stamp("m{$place}", $at, $person);
        $codec = new EntryCodec($attempt->job()->run);
        if ($move->has('line')) {
            $move->object(['line'], ['at', 'shown']);
            $draft = BenchLine::read(
                $move->at('line')->string(500),
                self::shown($move, $attempt->lesson),
                $attempt->job(),
                $person,
            );
            $attempt->write($codec->drafted($draft, $stamp));

            return null;
        }
        $move->object(['kind', 'body'], ['at']);
        $attempt->write($codec->entry($move->at('kind')->enum(EntryKind::class), $move->at('body'), $stamp));

        return null;
    }

    private static function shown(Node $move, Lesson $lesson): Shown
    {
        $shown = $move->has('shown')
            ? $move->at('shown')->object([], ['pose', 'point', 'instrument', 'item'])
            : Node::of([]);

        return new Shown(
            null,
            null,
            $shown->optionalEnum('pose', Pose::class),
            $shown->optionalEnum('point', ReadingPoint::class),
            $shown->optionalString('instrument', 40) ?? $lesson->instruments[0]['id'],
            $shown->optionalString('item', 80),
            Unit::Millimetre,
        );
    }
}
