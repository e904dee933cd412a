<?php

declare(strict_types=1);

namespace VividPull\Core\Wire;

use VividPull\Core\Errors\BadFile;
use VividPull\Core\Errors\Refused;
use VividPull\Core\Input\Node;
use VividPull\Core\Measurement\BlockCheck;
use VividPull\Core\Measurement\GaugeStudy;
use VividPull\Core\Measurement\Instrument;
use VividPull\Core\Quantity\Dimension;
use VividPull\Core\Quantity\Figure;

/**
 * An instrument's check as it is written down (`blocks`: sizes that are known, and what it showed of them; `study`:
 * several people, several pieces), and what it tells, in figures and in sentences. Sizes in mm, of a force gauge in N.
 */
final readonly class CheckCodec
{
    private const MOST_READINGS = 50;

    private const MOST_CELLS = 400;

    /** A certificate is said to a thousandth of a millimetre or newton. */
    private const FINEST = 1000;

    /**
     * Up to here, what the gauge and its hands make of all that differs is called good, and up to here it may do
     * (Measurement Systems Analysis, 4th ed., AIAG; from memory).
     */
    private const GOOD = 0.1;

    private const MAY_DO = 0.3;

    /**
     * @return array<string, mixed> what it tells
     *
     * @throws BadFile If it is no check as the format has it.
     */
    public static function told(Node $body, Instrument $instrument): array
    {
        $in = StandingCodec::unitKey($instrument->kind);
        $dimension = $instrument->kind->dimension();
        $kind = $body->object(['kind'], ['known_'.$in, 'blocks', 'of_play', 'readings'])->at('kind')->string(10);
        $isOfPlay = $body->flag('of_play');
        if ($isOfPlay && $dimension !== Dimension::Length) {
            throw BadFile::at("{$body->path}.of_play", 'play is a length, and this instrument shows forces.');
        }

        return match ($kind) {
            'blocks' => self::blocks(self::blockCheck($body, $instrument->resolution, $in), $dimension),
            'study' => self::study(self::gaugeStudy($body, $in), $dimension, $isOfPlay),
            default => throw BadFile::at("{$body->path}.kind", 'a check is “blocks” or “study”.'),
        };
    }

    /** @throws BadFile|Refused If what was kept as a check is none. */
    public static function mustBeOne(Node $body): void
    {
        $in = str_contains((string) json_encode($body->value), 'readings_n') ? 'n' : 'mm';
        if ($body->at('kind')->string(10) === 'study') {
            self::gaugeStudy($body, $in);
        } else {
            self::blockCheck($body, 1.0, $in);
        }
    }

    private static function blockCheck(Node $body, float $step, string $in): BlockCheck
    {
        $blocks = array_map(static fn (Node $one): array => [
            'size' => $one->object(["size_{$in}", "readings_{$in}"])->at("size_{$in}")->number(0, 5000),
            'readings' => self::numbers($one->at("readings_{$in}")),
        ], $body->at('blocks')->items(40));

        return BlockCheck::of(
            $blocks,
            $body->has("known_{$in}") ? $body->at("known_{$in}")->number(0, 10) : 0.0,
            $step,
        );
    }

    /** @throws BadFile If it is no study as the format has it. */
    public static function gaugeStudy(Node $body, string $in): GaugeStudy
    {
        $readings = [];
        foreach ($body->at('readings')->items(self::MOST_CELLS) as $one) {
            $one->object(['person', 'piece', "readings_{$in}"]);
            $readings[$one->at('person')->string(60)][$one->at('piece')->string(60)] = self::numbers(
                $one->at("readings_{$in}"),
            );
        }

        return GaugeStudy::of($readings);
    }

    /** @return list<float> */
    private static function numbers(Node $node): array
    {
        return array_map(static fn (Node $one): float => $one->number(-5000, 5000), $node->items(self::MOST_READINGS));
    }

    /** @return array<string, mixed> */
    private static function blocks(BlockCheck $check, Dimension $dimension): array
    {
        $size = static fn (float $value): string => self::size($value, $dimension);

        // Nothing is surer than its last figure.
        $expanded = ceil($check->expanded * self::FINEST - 1e-6) / self::FINEST;

        return [
            'kind' => 'blocks', 'blocks' => $check->blocks, 'worst' => $check->worst, 'repeat' => $check->repeat,
            'expanded' => $expanded, 'factor' => BlockCheck::FACTOR,
            'says' => [
                abs($check->worst) < 1e-9
                    ? 'It shows every block as it is.'
                    : "At its worst it shows {$size($check->worst)} too ".($check->worst > 0.0 ? 'much' : 'little').'.',
                "One reading on a block repeats to {$size($check->repeat)} (standard deviation).",
                "A certificate would say ± {$size($expanded)}, k = 2.",
                'That is the instrument alone: how well a hand repeats on a lever is learned from jobs.',
            ],
        ];
    }

    /** @return array<string, mixed> */
    private static function study(GaugeStudy $study, Dimension $dimension, bool $isOfPlay): array
    {
        $size = static fn (float $value): string => self::size($value, $dimension);
        $share = Figure::ratio(100.0 * $study->share(), 0);

        return [
            'kind' => 'study', 'repeat' => $study->repeat, 'freedom' => $study->repeatFreedom,
            'between' => $study->between, 'pieces' => $study->pieces, 'share' => $study->share(),
            'says' => [
                "One hand repeats to {$size($study->repeat)} (standard deviation).",
                $study->between > 0.0
                    ? "Between hands it differs by {$size($study->between)}."
                    : 'Hands do not differ by more than chance.',
                ...($isOfPlay && $study->hands() !== null
                    ? ['From the next job on a reading with it may be off by that, too, whoever reads.']
                    : []),
                "The pieces differ by {$size($study->pieces)}.",
                ...($study->isPooled
                    ? []
                    : ['Some hands read some pieces otherwise than the rest: look at how those are held.']),
                "Instrument and hands make {$share->bare()} % of all that differs, which is ".match (true) {
                    $study->share() <= self::GOOD => 'good.',
                    $study->share() <= self::MAY_DO => 'enough for most uses.',
                    default => 'too much to tell these pieces apart.',
                },
            ],
        ];
    }

    private static function size(float $value, Dimension $dimension): string
    {
        return (string) Figure::measured(
            abs($value),
            $dimension === Dimension::Length ? 3 : 2,
            $dimension->internalUnit(),
        );
    }
}
