<?php

declare(strict_types=1);

namespace VividPull\Core\Learning;

/**
 * What is believed of R and of the side: shares of nodes of ln R, laid about the most likely value of each hypothesis.
 *
 * Each grid spans six standard deviations of its curve at the peak either way, so that it stays fine however much was learned; the
 * weight of a node is its height times the width of its cell, so that hypotheses weigh by their evidence.
 */
final readonly class Posterior
{
    /** Nodes to either side of the peak: of the likeliest hypothesis, and of those beside it. */
    private const HALF = 24;

    private const HALF_BESIDE = 12;

    private const REACH = 6.0;

    /** Shares below this are left out of every sum. */
    private const NEGLIGIBLE = 1e-9;

    /** Hypotheses of less evidence than this, next to the best, are not gone into. */
    private const LEAST_EVIDENCE = 2e-3;

    /**
     * @param  list<float>  $ratios  R at the nodes that count
     * @param  list<float>  $shares  their shares, adding up to one
     * @param  list<float>  $sides  what one step of side adds to play there, in mm
     * @param  list<float>  $sideVariances
     * @param  list<float>  $cells  variance of ln R within the cell of each node, about that node
     */
    private function __construct(
        public array $ratios,
        public array $shares,
        public array $sides,
        public array $sideVariances,
        public array $cells,
        /** Expected R. */
        public float $ratio,
        /** Variance of R. */
        public float $variance,
        /** Mean and standard deviation of ln R, to hand on. */
        public float $ln,
        public float $spread,
        /** Expected side, and the share of the hypotheses under which the side matters. */
        public float $side,
        public float $sideChance,
    ) {}

    /**
     * @param  non-empty-list<Hypothesis>  $hypotheses
     * @param  list<TautReading>  $taut
     */
    public static function of(array $hypotheses, Sums $sums, array $taut): self
    {
        $rough = array_map(static fn (Hypothesis $one): float => $one->roughEvidence(), $hypotheses);
        $best = max($rough);
        $nodes = [];
        $total = 0.0;
        foreach ($hypotheses as $place => $hypothesis) {
            if ($rough[$place] < $best + log(self::LEAST_EVIDENCE)) {
                continue;
            }
            $half = $rough[$place] === $best ? self::HALF : self::HALF_BESIDE;
            $peak = $hypothesis->peak();
            $step = $peak->spread * self::REACH / $half;
            $scale = log($step) - $best;
            [$side, $variance, $cell] = [$hypothesis->side, $hypothesis->side === 0.0 ? 0.0 : $hypothesis->sideVariance, $step * $step / 12];
            for ($node = -$half; $node <= $half; $node++) {
                $ln = $peak->ln + $node * $step;
                $ratio = exp($ln);
                $weight = exp($hypothesis->height($ln, $ratio) + $scale);
                foreach ($taut as $reading) {
                    $weight *= $reading->likelihood($ratio, $sums, $hypothesis);
                }
                $nodes[] = [$ln, $ratio, $weight, $side === 0.0 ? 0.0 : $hypothesis->sideOf($ratio), $variance, $cell];
                $total += $weight;
            }
        }

        // Taut where nothing lets it be: the reading is left aside, for a surprise was told already.
        return $total > 0.0 || $taut === [] ? self::summed($nodes, $total) : self::of($hypotheses, $sums, []);
    }

    /** @param  list<array{float, float, float, float, float, float}>  $nodes  ln R, R, weight, side, its variance, cell */
    private static function summed(array $nodes, float $total): self
    {
        $nodes = array_filter($nodes, static fn (array $node): bool => $node[2] >= self::NEGLIGIBLE * $total);
        $total = array_sum(array_column($nodes, 2));
        [$ratios, $shares, $sides, $variances, $cells] = [[], [], [], [], []];
        [$mean, $square, $ln, $lnSquare, $side, $sided] = [0.0, 0.0, 0.0, 0.0, 0.0, 0.0];
        foreach ($nodes as [$at, $ratio, $weight, $sideHere, $sideVariance, $cell]) {
            $share = $weight / $total;
            $ratios[] = $ratio;
            $shares[] = $share;
            $sides[] = $sideHere;
            $variances[] = $sideVariance;
            $cells[] = $cell;
            $mean += $share * $ratio;
            $square += $share * $ratio * $ratio;
            $ln += $share * $at;
            $lnSquare += $share * $at * $at;
            $side += $share * $sideHere;
            $sided += $sideVariance > 0.0 ? $share : 0.0;
        }

        return new self($ratios, $shares, $sides, $variances, $cells, $mean, max(0.0, $square - $mean * $mean), $ln, sqrt(max(1e-12, $lnSquare - $ln * $ln)), $side, $sided);
    }
}
