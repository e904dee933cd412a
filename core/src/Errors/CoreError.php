<?php

declare(strict_types=1);

namespace VividPull\Core\Errors;

use Throwable;

/** Marks every error the core throws on purpose; its message is a sentence for the person at the bench. */
interface CoreError extends Throwable {}
