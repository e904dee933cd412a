<?php

declare(strict_types=1);

namespace App\Sheets;

/** The marks and the tape of the screens, drawn for paper. The shape tells the state, so that a black printer does as well. */
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
        $most = max(array_filter([$low, $high, $found, $left, ($high ?? $low ?? 1.0) * 1.3], static fn (?float $value): bool => $value !== null));
        $x = static fn (float $mm): float => round(12 + ($width - 24) * $mm / $most, 2);
        $from = $x($low ?? 0.0);
        $to = $high === null ? $width - 12 : $x($high);
        $parts = ['<rect x="1" y="14" width="'.($width - 2).'" height="34" fill="#FBF3D4" stroke="#D9C98A"/>',
            '<rect x="'.$from.'" y="14" width="'.max(0.0, $to - $from).'" height="34" fill="#BFE3DC"/>'];
        for ($mm = 0; $mm <= $most; $mm++) {
            $parts[] = '<path d="M'.$x($mm).' 48v-'.($mm % 5 === 0 ? 12 : 6).'" stroke="#7C8F97" stroke-width="1"/>';
        }
        foreach ([$low, $high] as $edge) {
            $parts[] = $edge === null ? '' : '<path d="M'.$x($edge).' 6V56" stroke="'.self::PETROL.'" stroke-width="4"/>';
        }
        $parts[] = $found === null ? '' : self::shape('found', $x($found), 26);
        $parts[] = $left === null ? '' : self::shape('left', $x($left), 30);

        return self::uri($width, 60, implode('', $parts));
    }

    private static function shape(string $kind, float $x, float $y): string
    {
        $at = "transform=\"translate({$x} {$y})\"";

        return match ($kind) {
            'found', 'by_choice' => "<path {$at} d=\"M-8 -6.5H8L0 8Z\" fill=\"#FFFFFF\" stroke=\"".self::AMBER.'" stroke-width="3"/>',
            'left', 'checked' => "<rect {$at} x=\"-7\" y=\"-7\" width=\"14\" height=\"14\" fill=\"".self::PETROL.'"/>',
            'fit' => "<path {$at} d=\"M-7 0L-2 6L8 -6\" fill=\"none\" stroke=\"".self::PETROL.'" stroke-width="3.6"/>',
            'tagged' => "<path {$at} d=\"M-4 -9H4L9 -4V4L4 9H-4L-9 4V-4Z\" fill=\"".self::RED.'"/>',
            'wrong' => "<path {$at} d=\"M-6 -6L6 6M-6 6L6 -6\" stroke=\"".self::RED.'" stroke-width="3"/>',
            'box' => "<rect {$at} x=\"-8\" y=\"-8\" width=\"16\" height=\"16\" fill=\"#FFFFFF\" stroke=\"".self::INK.'" stroke-width="1.6"/>',
            default => "<circle {$at} r=\"6\" fill=\"none\" stroke=\"".self::INK.'" stroke-width="2"/>',
        };
    }

    private static function uri(int $width, int $height, string $inside): string
    {
        $svg = "<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"{$width}\" height=\"{$height}\" viewBox=\"0 0 {$width} {$height}\">{$inside}</svg>";

        return 'data:image/svg+xml;base64,'.base64_encode($svg);
    }
}
