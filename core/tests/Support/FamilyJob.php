<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Support;

use VividPull\Core\Family\Families;
use VividPull\Core\Spec\Aim;
use VividPull\Core\Spec\FamilyKey;
use VividPull\Core\Wire\AimCodec;

/** A job of any family, as a spec of it begins, with one barrel under a belt cover. */
final class FamilyJob
{
    /** @param  array<string, mixed>  $standing  beside its shelf and positions */
    public static function of(FamilyKey $key, array $standing = []): TestJob
    {
        $start = Families::of($key)->starting();
        $plays = $start->aims === [] && Families::of($key)->notSettable() === null;

        return TestJob::of(
            [
                'family' => $key->value,
                'others' => array_map(static fn (Aim $aim): array => AimCodec::encode($aim), $start->aims),
            ]
                + ($plays
                    ? ['aim' => [
                        'kind' => 'free_play_band',
                        'point' => $key === FamilyKey::TwistGrip ? 'grip_flange' : 'handle_travel',
                        'low_mm' => 5,
                        'high_mm' => 15,
                    ]]
                    : []),
            [
                'hand' => ['kind' => $start->hand->value, 'name' => $start->handName],
                'cables' => [[
                    'id' => 'cable',
                    'name' => 'Cable',
                    'adjusters' => [[
                        'id' => 'barrel',
                        'name' => 'barrel',
                        'kind' => 'barrel',
                        'thread' => 'M8 x 1.25',
                        'travel_mm' => 10,
                        'access' => ['minutes' => 2, 'cover' => 'belt cover'],
                    ]],
                ]],
                'working_end' => $start->workingEnd,
            ],
            ['barrel' => 3.0],
            $standing,
        );
    }
}
