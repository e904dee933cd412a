<?php

declare(strict_types=1);

namespace VividPull\Core\Bench;

enum AnswerTone: string
{
    case Right = 'right';
    case Plain = 'plain';
    case Wrong = 'wrong';
}
