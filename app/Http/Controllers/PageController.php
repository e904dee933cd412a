<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use Illuminate\Contracts\View\View;

/** The one page of the application. The screen that its address opens is on its way beside the application itself. */
final class PageController
{
    /** What is looked at every day, by its address. Any other screen is fetched when somebody goes there. */
    private const DAILY = [
        '#^$#' => 'bench/BenchScreen',
        '#^machines$#' => 'machines/MachinesScreen',
        '#^machines/[^/]+$#' => 'machines/MachineScreen',
        '#^jobs/[^/]+$#' => 'job/JobScreen',
        '#^due$#' => 'due/DueScreen',
    ];

    /** Drawn in before they arrive, the device's letters would be replaced under the reader's eye. */
    private const LETTERS = ['atkinson-hyperlegible-next', 'sofia-sans-condensed'];

    public function __invoke(string $address = ''): View
    {
        return view('app', [
            'asksEarly' => trim($address, '/') !== 'trust',
            // The theme is evaluated by itself: a phone is never busy with everything in one piece.
            'scripts' => ['resources/js/theme/system.ts', 'resources/js/main.tsx', ...self::screen($address)],
            'letters' => array_map(
                static fn (string $name): string => "node_modules/@fontsource-variable/{$name}/files/{$name}-latin-wght-normal.woff2",
                self::LETTERS,
            ),
        ]);
    }

    /** @return list<string> the screen of an address of every day; none for any other */
    private static function screen(string $address): array
    {
        foreach (self::DAILY as $pattern => $screen) {
            if (preg_match($pattern, trim($address, '/')) === 1) {
                return ["resources/js/features/{$screen}.tsx"];
            }
        }

        return [];
    }
}
