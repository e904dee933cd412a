<?php

declare(strict_types=1);

namespace VividPull\Core\Practice\Lesson;

/** What a lesson says of itself before it begins. */
final readonly class LessonTale
{
    public function __construct(
        /** Its name in a list of lessons and in a file. */
        public string $key,
        public string $title,
        /** What it is for, in a sentence. */
        public string $teaches,
        /** How the machine came in. */
        public string $story,
    ) {}
}
