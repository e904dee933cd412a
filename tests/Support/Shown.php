<?php

declare(strict_types=1);

namespace Tests\Support;

/**
 * What a screen says it shows beside a line that was typed: the item asked for, the adjuster that the card speaks of
 * and how far to turn it, the pose, the instrument.
 */
final class Shown
{
    /**
     * @param  array<string, mixed>  $state
     * @return array<string, mixed>
     */
    public static function of(array $state, string $instrument): array
    {
        $about = self::asked($state)['about'] ?? null;
        $adjusters = array_column($state['adjusters'], 'id');
        $next = $state['next'];
        $adjuster = in_array($about, $adjusters, true) ? $about : ($next['recommended'] ?? $adjusters[0] ?? null);
        $steps = array_column($next['options'], 'steps', 'adjuster')[$adjuster] ?? null;
        $pose = in_array($about, ['left', 'right'], true) ? $about : 'straight';

        return array_filter(
            [
                'item' => $state['asks'],
                'adjuster' => $adjuster,
                'steps' => $steps,
                'pose' => $pose,
                'instrument' => $instrument,
            ],
            static fn (mixed $one): bool => $one !== null,
        );
    }

    /**
     * @param  array<string, mixed>  $state
     * @return array<string, mixed>|null the item that is asked for
     */
    public static function asked(array $state): ?array
    {
        foreach ($state['stages'] as $stage) {
            foreach ($stage['items'] as $item) {
                if ($item['key'] === $state['asks']) {
                    return $item;
                }
            }
        }

        return null;
    }
}
