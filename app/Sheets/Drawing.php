<?php

declare(strict_types=1);

namespace App\Sheets;

use VividPull\Core\Quantity\Figure;

/**
 * The marks and the tape of the screens, drawn for paper. The shape tells the state, so that a black printer does as
 * well.
 */
final readonly class Drawing
{
    private const INK = '#10222B';

    private const PETROL = '#0B6E6E';

    private const AMBER = '#B45309';

    private const RED = '#B3221B';

    /** A picture that a sheet can hold, of a mark beside a word. */
    public static function mark(string $kind): string
    {
        return self::uri(20, 20, self::shape($kind, 10, 10));
    }

    public static function tape(?float $low, ?float $high, ?float $found, ?float $left): string
    {
        $width = 520;
        $most = max(array_filter(
            [$low, $high, $found, $left, ($high ?? $low ?? 1.0) * 1.3],
            static fn (?float $value): bool => $value !== null,
        ));
        $x = static fn (float $mm): float => round(12 + ($width - 24) * $mm / $most, 2);
        $from = $x($low ?? 0.0);
        $to = $high === null ? $width - 12 : $x($high);
        $parts = ['<rect x="1" y="14" width="'.($width - 2).'" height="34" fill="#FBF3D4" stroke="#D9C98A"/>',
            '<rect x="'.$from.'" y="14" width="'.max(0.0, $to - $from).'" height="34" fill="#BFE3DC"/>'];
        for ($mm = 0; $mm <= $most; $mm++) {
            $parts[] = '<path d="M'.$x($mm).' 48v-'.($mm % 5 === 0 ? 12 : 6).'" stroke="#7C8F97" stroke-width="1"/>';
        }
        foreach ([$low, $high] as $edge) {
            $parts[] = $edge === null
                ? ''
                : '<path d="M'.$x($edge).' 6V56" stroke="'.self::PETROL.'" stroke-width="4"/>';
        }
        $parts[] = $found === null ? '' : self::shape('found', $x($found), 26);
        $parts[] = $left === null ? '' : self::shape('left', $x($left), 30);

        return self::uri($width, 60, implode('', $parts));
    }

    /**
     * A pull: solid as it was pulled, lighter as it was let back, its phases parted by dashes.
     *
     * @param  list<array{float, float}>  $pull
     * @param  list<array{float, float}>  $release
     * @param  list<array{label: string, from_mm: float, to_mm: float}>  $phases
     */
    public static function curve(array $pull, array $release, array $phases): string
    {
        [$width, $height, $left, $top, $foot] = [520, 170, 30, 26, 22];
        [$far, $heavy] = [max(1.0, ...array_column($pull, 0)), 1.05 * max(1.0, ...array_column($pull, 1))];
        $x = static fn (float $mm): float => round($left + ($width - $left - 6) * $mm / $far, 1);
        $y = static fn (float $newtons): float => round(
            $height - $foot - ($height - $foot - $top) * $newtons / $heavy,
            1,
        );
        $line = static fn (array $points): string => 'M'
            .implode('L', array_map(static fn (array $one): string => "{$x($one[0])} {$y($one[1])}", $points));
        $parts = [
            '<path d="M'.$left.' '.$top.'V'.($height - $foot).'H'.($width - 6).'" fill="none" stroke="'.self::INK.'"/>',
        ];
        foreach ($phases as $place => $phase) {
            $parts[] = $place === 0
                ? ''
                : '<path d="M'.$x($phase['from_mm']).' '.$top.'V'.($height - $foot).'" stroke="'.self::INK
                    .'" stroke-dasharray="2 3" stroke-width="0.8"/>';
            $parts[] = self::text(
                ($x($phase['from_mm']) + $x($phase['to_mm'])) / 2,
                $place % 2 === 0 ? 9 : 20,
                $phase['label'],
                'middle',
            );
        }
        $parts[] = $release === []
            ? ''
            : '<path d="'.$line($release).'" fill="none" stroke="'.self::PETROL.'" stroke-width="1"/>';
        $parts[] = '<path d="'.$line($pull).'" fill="none" stroke="'.self::INK.'" stroke-width="1.6"/>';
        $parts[] = self::text($left - 3, $y($heavy / 1.05) + 3, (string) Figure::force($heavy / 1.05), 'end');
        $parts[] = self::text($width - 6, $height - 8, (string) Figure::length($far).' from rest', 'end');

        return self::uri($width, $height, implode('', $parts));
    }

    private static function text(float $at, float $under, string $words, string $anchor): string
    {
        return "<text x=\"{$at}\" y=\"{$under}\" font-size=\"9\" text-anchor=\"{$anchor}\" fill=\"".self::INK.'">'
            ."{$words}</text>";
    }

    private static function shape(string $kind, float $x, float $y): string
    {
        $at = "transform=\"translate({$x} {$y})\"";

        return match ($kind) {
            'found',
            'by_choice' => "<path {$at} d=\"M-8 -6.5H8L0 8Z\" fill=\"#FFFFFF\" stroke=\"".self::AMBER
                .'" stroke-width="3"/>',
            'left', 'checked' => "<rect {$at} x=\"-7\" y=\"-7\" width=\"14\" height=\"14\" fill=\"".self::PETROL.'"/>',
            'fit' => "<path {$at} d=\"M-7 0L-2 6L8 -6\" fill=\"none\" stroke=\"".self::PETROL.'" stroke-width="3.6"/>',
            'tagged' => "<path {$at} d=\"M-4 -9H4L9 -4V4L4 9H-4L-9 4V-4Z\" fill=\"".self::RED.'"/>',
            'wrong' => "<path {$at} d=\"M-6 -6L6 6M-6 6L6 -6\" stroke=\"".self::RED.'" stroke-width="3"/>',
            'box' => "<rect {$at} x=\"-8\" y=\"-8\" width=\"16\" height=\"16\" fill=\"#FFFFFF\" stroke=\"".self::INK
                .'" stroke-width="1.6"/>',
            default => "<circle {$at} r=\"6\" fill=\"none\" stroke=\"".self::INK.'" stroke-width="2"/>',
        };
    }

    private static function uri(int $width, int $height, string $inside): string
    {
        $svg = "<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"{$width}\" height=\"{$height}\" viewBox=\"0 0 {$width} {$height}\">{$inside}</svg>";

        return 'data:image/svg+xml;base64,'.base64_encode($svg);
    }
}
