<?php

declare(strict_types=1);

namespace VividPull\Core\Spec;

/** What stands behind a spec's figures. */
enum SourceKind: string
{
    /** A document of the maker. */
    case Document = 'document';
    /** What the trade usually does, where no document is at hand: always labelled, never a maker's figure. */
    case CommonPractice = 'common_practice';
}
