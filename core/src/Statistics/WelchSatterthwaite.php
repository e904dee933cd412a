<?php

declare(strict_types=1);

namespace VividPull\Core\Statistics;

/** Effective degrees of freedom of a combined standard uncertainty (JCGM 100:2008, formula G.2b). */
final readonly class WelchSatterthwaite
{
    /**
     * ν = u⁴ / Σ(uᵢ⁴/νᵢ); parts known exactly have infinite νᵢ and add nothing below.
     *
     * @param  list<array{u: float, freedom: float}>  $parts
     */
    public static function freedom(array $parts): float
    {
        $square = 0.0;
        $below = 0.0;
        foreach ($parts as $part) {
            $square += $part['u'] ** 2;
            $below += is_infinite($part['freedom']) ? 0.0 : $part['u'] ** 4 / $part['freedom'];
        }

        return $below === 0.0 ? INF : $square ** 2 / $below;
    }
}
