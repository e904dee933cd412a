<?php

declare(strict_types=1);

namespace VividPull\Core\Planning;

use VividPull\Core\Procedure\Suspect;
use VividPull\Core\Quantity\Steps;

/** What to do about a table of outcomes: try a setting, move one cable, or stop looking for an offset. */
final readonly class TableAdvice
{
    private function __construct(
        public TableAdviceKind $kind,
        public string $sentence,
        public ?string $adjuster,
        /** For the adjuster; null where what its steps move is not known. */
        public ?Steps $steps,
        /** At the arm, in the table's unit, to its plus; null where no move is meant. */
        public ?float $shift,
        /** The same without the distance at the arm: what to do with the hands. */
        public string $how,
        /** Whether every offset that fits what was seen would be cured by it. */
        public bool $isCertain,
        /** @var list<Suspect> what may be at fault where no cable reaches it, the likeliest first */
        public array $suspects = [],
    ) {}

    public static function say(TableAdviceKind $kind, string $sentence): self
    {
        return new self($kind, $sentence, null, null, null, $sentence, false);
    }

    /** @param  list<Suspect>  $suspects */
    public static function stuck(TableAdviceKind $kind, string $sentence, array $suspects): self
    {
        return new self($kind, $sentence, null, null, null, $sentence, false, $suspects);
    }

    public static function move(
        string $arm,
        string $how,
        string $adjuster,
        ?Steps $steps,
        float $shift,
        bool $isCertain,
    ): self {
        return new self(TableAdviceKind::Move, "{$arm}. {$how}", $adjuster, $steps, $shift, $how, $isCertain);
    }
}
