<?php

declare(strict_types=1);

namespace VividPull\Core\Planning;

use VividPull\Core\Cable\Run;
use VividPull\Core\Facts\Facts;
use VividPull\Core\Procedure\Suspect;
use VividPull\Core\Spec\Spec;

/** What is looked for where proofs failed and no setting cures it: of each that failed, the likeliest first. */
final readonly class LookedFor
{
    /** @return list<Suspect> each once */
    public static function of(Spec $spec, Run $run, Facts $facts): array
    {
        $suspects = [];
        foreach ($spec->proofs($run) as $proof) {
            foreach ($proof->tries() as $pose) {
                $answer = $facts->answers->checks[Facts::checkKey($proof->key, $pose?->value)] ?? null;
                if ($answer !== null && ! $facts->passes($proof, $answer)) {
                    $suspects = [...$suspects, ...array_column($proof->suspects, null, 'what')];
                }
            }
        }

        return array_values($suspects);
    }
}
