<?php

declare(strict_types=1);

namespace VividPull\Core\Learning;

/**
 * What is believed of R, of the side and of the thread: shares of nodes of ln R, laid about the most likely value of
 * each hypothesis.
 *
 * Each grid spans six standard deviations of its curve at the peak either way, so that it stays fine however much was
 * learned; the weight of a node is its height times the width of its cell, so that hypotheses weigh by their evidence.
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

    private function __construct(
        /** @var non-empty-list<Believed> */
        public array $parts,
        /** Expected R. */
        public float $ratio,
        /** Variance of R. */
        public float $variance,
        /** Mean and standard deviation of ln R, to hand on. */
        public float $ln,
        public float $spread,
        /**
         * By how much play is expected to be apart between the sides, and the share of the hypotheses under which it
         * is.
         */
        public float $apart,
        public float $sideChance,
    ) {}

    /**
     * @param  non-empty-list<Hypothesis>  $hypotheses
     * @param  list<TautReading>  $taut
     */
    public static function of(array $hypotheses, array $taut): self
    {
        $rough = array_map(static fn (Hypothesis $one): float => $one->roughEvidence(), $hypotheses);
        $best = max($rough);
        $kept = [];
        $total = 0.0;
        foreach ($hypotheses as $place => $hypothesis) {
            if ($rough[$place] < $best + log(self::LEAST_EVIDENCE)) {
                continue;
            }
            $half = $rough[$place] === $best ? self::HALF : self::HALF_BESIDE;
            $peak = $hypothesis->peak();
            $step = $peak->spread * self::REACH / $half;
            $scale = log($step) - $best;
            $nodes = [];
            for ($node = -$half; $node <= $half; $node++) {
                $ln = $peak->ln + $node * $step;
                $ratio = exp($ln);
                $weight = exp($hypothesis->height($ln, $ratio) + $scale);
                foreach ($taut as $count => $reading) {
                    $weight *= $reading->likelihood($ratio, $hypothesis, $hypothesis->told->taut[$count]);
                }
                $nodes[] = [$ln, $ratio, $weight];
                $total += $weight;
            }
            $kept[] = [$hypothesis, $step * $step / 12, $nodes];
        }

        // Taut where nothing lets it be: the reading is left aside, for a surprise was told already.
        return $total > 0.0 || $taut === [] ? self::summed($kept, $total) : self::of($hypotheses, []);
    }

    /**
     * @param  list<array{Hypothesis, float, list<array{float, float, float}>}>  $kept  with the cell and ln R, R,
     *     weight of each node
     */
    private static function summed(array $kept, float $total): self
    {
        $parts = [];
        [$mean, $square, $ln, $lnSquare, $apart, $sided] = [0.0, 0.0, 0.0, 0.0, 0.0, 0.0];
        $least = self::NEGLIGIBLE * $total;
        $total -= self::below($least, $kept);
        foreach ($kept as [$hypothesis, $cell, $nodes]) {
            [$ratios, $shares, $sides] = [[], [], []];
            [$sum, $ratioSum, $squareSum, $sideSum] = [0.0, 0.0, 0.0, 0.0];
            foreach ($nodes as [$at, $ratio, $weight]) {
                if ($weight < $least) {
                    continue;
                }
                $share = $weight / $total;
                $side = $hypothesis->side === 0.0 ? 0.0 : $hypothesis->sideOf($ratio);
                $ratios[] = $ratio;
                $shares[] = $share;
                $sides[] = $side;
                $sum += $share;
                $ratioSum += $share * $ratio;
                $squareSum += $share * $ratio * $ratio;
                $sideSum += $share * $side;
                $ln += $share * $at;
                $lnSquare += $share * $at * $at;
            }
            if ($sum === 0.0) {
                continue;
            }
            $sums = [$sum, $ratioSum, $squareSum, $sideSum];
            $parts[] = $part = Believed::summed($hypothesis, [$ratios, $shares, $sides], $cell, $sums);
            $mean += $ratioSum;
            $square += $squareSum;
            $apart += $sum * $part->apart();
            $sided += $hypothesis->hasSides() ? $sum : 0.0;
        }
        assert($parts !== []);
        $spread = sqrt(max(1e-12, $lnSquare - $ln * $ln));

        return new self($parts, $mean, max(0.0, $square - $mean * $mean), $ln, $spread, $apart, $sided);
    }

    /**
     * What weighs next to nothing, taken together.
     *
     * @param  list<array{Hypothesis, float, list<array{float, float, float}>}>  $kept
     */
    private static function below(float $least, array $kept): float
    {
        $sum = 0.0;
        foreach ($kept as [, , $nodes]) {
            foreach ($nodes as [, , $weight]) {
                $sum += $weight < $least ? $weight : 0.0;
            }
        }

        return $sum;
    }
}
