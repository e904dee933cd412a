<?php

declare(strict_types=1);

namespace VividPull\Core\Wire;

use VividPull\Core\Cable\AdjusterKind;
use VividPull\Core\Cable\Pose;
use VividPull\Core\Family\Families;
use VividPull\Core\Family\StarterSpec;
use VividPull\Core\Procedure\GuideStep;
use VividPull\Core\Spec\Aim;
use VividPull\Core\Spec\FamilyKey;

/**
 * A spec and a run to begin from, as they are written: common practice where the trade has a figure, labelled as that;
 * empty where it has none. The run is a draft (`RunDraft`).
 */
final readonly class StartingSpec
{
    /**
     * Of a cable's hexagonal adjuster: one is its smallest step, and four turns are 24 (common practice, no source).
     */
    private const BEVELS = 6;

    /**
     * @return array{
     *     spec: array<string, mixed>,
     *     run: array<string, mixed>,
     *     has_figure: bool,
     *     replacing: list<array{key: string, label: string}>,
     * }
     */
    public static function of(FamilyKey $key): array
    {
        $family = Families::of($key);
        $starting = $family->starting();

        return [
            'spec' => [
                'family' => $key->value,
                ...self::aims($starting),
                'conditions' => [
                    'engine' => in_array($key, [FamilyKey::ClutchLever], true) ? 'cold' : null,
                    'wheels' => null,
                    'poses' => $family->poses() === []
                        ? ['straight']
                        : array_map(static fn (Pose $pose): string => $pose->value, $family->poses()),
                ],
                'policy' => $family->startingPolicy()->value,
                'rule' => 'guarded',
                'source' => ['kind' => 'common_practice', 'document' => 'What the trade usually does'],
            ],
            'run' => [
                'hand' => ['kind' => $starting->hand->value, 'name' => $starting->handName],
                'cables' => self::cables($starting),
                'working_end' => $starting->workingEnd,
            ],
            'has_figure' => $starting->practice !== null,
            'replacing' => array_map(
                static fn (GuideStep $step): array => ['key' => $step->key, 'label' => $step->label],
                $family->replacing(),
            ),
        ];
    }

    /** @return array<string, mixed> */
    private static function aims(StarterSpec $starting): array
    {
        $band = $starting->practice;
        $aim = $band === null ? [] : ['aim' => [
            'kind' => SpecCodec::AIM,
            'point' => $band->point->value,
            'low_mm' => $band->band->low,
            'high_mm' => $band->band->high,
        ]];
        $others = array_map(static fn (Aim $one): array => AimCodec::encode($one), $starting->aims);

        return $aim + ($others === [] ? [] : ['others' => $others]);
    }

    /** @return list<array<string, mixed>> */
    private static function cables(StarterSpec $starting): array
    {
        if ($starting->cables === []) {
            return [[
                'id' => 'cable',
                'name' => 'Cable',
                'adjusters' => array_map(self::adjuster(...), $starting->adjusters),
            ]];
        }

        return array_map(static fn (string $name, int $n): array => [
            'id' => $name, 'name' => ucfirst($name).' cable',
            'adjusters' => isset($starting->adjusters[$n])
                ? [
                    ['id' => "{$name}_bevels", 'name' => "{$name} adjuster", 'bevels_per_turn' => self::BEVELS]
                    + self::adjuster($starting->adjusters[$n]),
                ]
                : [],
        ], $starting->cables, array_keys($starting->cables));
    }

    /**
     * An adjuster as it is usually fitted. Its thread, its travel and its steps are a machine's, not the trade's: they
     * stay empty.
     *
     * @return array<string, mixed>
     */
    private static function adjuster(AdjusterKind $kind): array
    {
        return ['id' => $kind->value, 'name' => $kind->label(), 'kind' => $kind->value];
    }
}
