<?php

declare(strict_types=1);

namespace VividPull\Core\Wire;

use VividPull\Core\Family\Family;
use VividPull\Core\Procedure\Suspect;

/**
 * What may be at fault, with what is tapped once it was put right or replaced; the likeliest first.
 *
 * @phpstan-type SuspectShape array{
 *     what: string,
 *     // Key of the cure that is logged once it was put right; null where none has a name of its own.
 *     cure: string|null,
 *     // Key of the part that is logged once it was replaced.
 *     part: string|null,
 * }
 */
final readonly class SuspectCodec
{
    /**
     * @param  list<Suspect>  $suspects
     * @return list<SuspectShape>
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
