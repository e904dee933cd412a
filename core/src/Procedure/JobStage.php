<?php

declare(strict_types=1);

namespace VividPull\Core\Procedure;

/** The way through a job. The current stage is the first with something missing. */
enum JobStage: string
{
    case MakeSafe = 'make_safe';
    case LookOver = 'look_over';
    case AsFound = 'as_found';
    case Set = 'set';
    case Prove = 'prove';
    case Close = 'close';

    public function title(): string
    {
        return match ($this) {
            self::MakeSafe => 'Make safe',
            self::LookOver => 'Look it over',
            self::AsFound => 'As found',
            self::Set => 'Set',
            self::Prove => 'Prove',
            self::Close => 'Close',
        };
    }
}
