<?php

declare(strict_types=1);

namespace App\Practice;

use App\Models\PracticeAttempt;
use VividPull\Core\Bench\SafeAgain;
use VividPull\Core\Family\Families;
use VividPull\Core\Practice\Lesson\Attempt;
use VividPull\Core\Practice\Lesson\AttemptSteps;
use VividPull\Core\Practice\Lesson\MachineView;
use VividPull\Core\Practice\Lesson\ScoreCodec;
use VividPull\Core\Practice\Lesson\Scorer;
use VividPull\Core\Wire\StateCodec;

/**
 * An attempt as its screen needs it: the job as any other is shown, the machine beside it, and when it is over how it
 * went.
 */
final readonly class AttemptResource
{
    /** @return array<string, mixed> */
    public static function of(PracticeAttempt $row, Attempt $attempt): array
    {
        $tale = $attempt->lesson->tale;

        return [
            'id' => $row->id,
            'lesson' => [
                'key' => $tale->key,
                'title' => $tale->title,
                'teaches' => $tale->teaches,
                'story' => $tale->story,
                'next' => $attempt->isOver() ? LessonList::after($row->user, $tale->key) : null,
                'learned' => LessonList::total($row) >= LessonList::LEARNED,
            ],
            'is_over' => $attempt->isOver(),
            'job' => self::job($row, $attempt),
            'machine' => MachineView::of($attempt),
            'score' => $attempt->isOver() ? $row->score ?? ScoreCodec::encode(Scorer::judge($attempt)) : null,
            'deeds' => $attempt->isOver() ? AttemptSteps::of($attempt) : [],
        ];
    }

    /** @return array<string, mixed> what the screen of any job needs */
    private static function job(PracticeAttempt $row, Attempt $attempt): array
    {
        $person = Attempts::person($row);
        $title = Families::of($attempt->job()->spec->family)->title();

        return [
            'id' => $row->id,
            'visit' => $row->id,
            'opened_at' => $row->begun_at->toIso8601String(),
            'corrects' => null,
            'people' => [[
                'name' => $person->name,
                'role' => $person->role->value,
                'at' => $row->begun_at->toIso8601String(),
            ]],
            'machine' => [
                'tag' => 'Practice',
                'name' => $attempt->lesson->tale->title,
                'usage' => 0,
                'usage_unit' => 'uses',
                'stood_minutes' => null,
            ],
            'control' => ['key' => 'practice', 'name' => $title, 'due_on' => null, 'due_why' => null],
            'from_file' => false,
            'heat_again' => null,
            'spec_changed' => null,
            'waits' => $attempt->job()->progress->waits,
            'safe_again' => SafeAgain::said($attempt->job()),
            'lies' => null,
            'do_not_run' => [],
            'complaint' => null,
            'state' => StateCodec::encode($attempt->job()),
        ];
    }
}
