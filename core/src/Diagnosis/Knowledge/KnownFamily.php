<?php

declare(strict_types=1);

namespace VividPull\Core\Diagnosis\Knowledge;

use VividPull\Core\Diagnosis\Knowledge;

/** What the trade knows of the causes in one family of controls. */
interface KnownFamily
{
    public static function knowledge(): Knowledge;
}
