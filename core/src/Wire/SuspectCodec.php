<?php

declare(strict_types=1);

namespace VividPull\Core\Wire;

use VividPull\Core\Family\Family;
use VividPull\Core\Procedure\Suspect;

/** What may be at fault, with what is tapped once it was put right or replaced; the likeliest first. */
final readonly class SuspectCodec
{
    /**
     * @param  list<Suspect>  $suspects
     * @return list<array{what: string, cure: string|null, part: string|null}>
     */
    public static function encode(Family $family, array $suspects): array
    {
        $cures = $family->cures();

        return array_map(
            static fn (Suspect $one): array => [
                'what' => $one->what,
                'cure' => $one->cure !== null && in_array($one->cure, $cures, true) ? $one->cure->value : null,
                'part' => $one->part?->value,
            ],
            $suspects,
        );
    }
}
