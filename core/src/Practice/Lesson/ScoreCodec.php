<?php

declare(strict_types=1);

namespace VividPull\Core\Practice\Lesson;

/** A score as it goes over the wire. */
final readonly class ScoreCodec
{
    /** @return array<string, mixed> */
    public static function encode(Score $score): array
    {
        return [
            'total' => $score->total,
            'moves' => $score->moves,
            'fewest' => $score->fewest,
            'minutes' => round($score->minutes, 1),
            'reads_high_mm' => $score->readsHigh === null ? null : round($score->readsHigh, 2),
            'skills' => array_map(static fn (SkillScore $one): array => [
                'skill' => $one->skill->value,
                'label' => $one->skill->label(),
                'points' => round($one->points(), 1),
                'of' => $one->skill->weight(),
                'sentence' => $one->sentence,
                'remarks' => array_map(
                    static fn (Remark $remark): array => [
                        'costs' => $remark->costs,
                        'sentence' => $remark->sentence,
                        'deed' => $remark->deed,
                    ],
                    $one->remarks,
                ),
            ], $score->skills),
        ];
    }
}
