<?php

declare(strict_types=1);

namespace VividPull\Core\Progress;

enum AnswerTone: string
{
    case Right = 'right';
    case Plain = 'plain';
    case Wrong = 'wrong';
}
