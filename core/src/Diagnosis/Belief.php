<?php

declare(strict_types=1);

namespace VividPull\Core\Diagnosis;

/** How likely each hypothesis is by what is known; exact, by enumeration. */
final readonly class Belief
{
    /**
     * @param  list<float>  $weights  by hypothesis, summing to one; all zero where what was seen contradicts everything
     * @param  list<int>  $cured  places of causes that were put right, and it is still there
     */
    private function __construct(private Model $model, public array $weights, private array $cured) {}

    public static function of(Model $model, Evidence $evidence): self
    {
        $weights = $model->prior;
        foreach ($evidence->seen as $question => $likelihoods) {
            $chances = $model->chances[$question] ?? null;
            if ($chances === null) {
                continue;
            }
            foreach ($weights as $h => $weight) {
                $likelihood = 0.0;
                foreach ($likelihoods as $answer => $share) {
                    $likelihood += $share * ($chances[$answer][$h] ?? 0.0);
                }
                $weights[$h] = $weight * $likelihood;
            }
        }
        $tried = array_keys(array_intersect($model->causes, $evidence->tried));
        foreach ($tried === [] ? [] : $model->hypotheses as $h => $set) {
            if (array_diff($set, $tried) === []) {
                $weights[$h] = 0.0;
            }
        }

        return new self($model, self::normal(array_values($weights)), $tried);
    }

    public function isPossible(): bool
    {
        return array_sum($this->weights) > 0.0;
    }

    /**
     * @return array<string, float> the chance that each cause is there now, alone or with another; nought for what was
     *     put right
     */
    public function chances(): array
    {
        return array_combine($this->model->causes, $this->byCause());
    }

    /** @return array<string, float> how likely each answer to a question is */
    public function answers(string $question): array
    {
        $answers = [];
        foreach ($this->model->chances[$question] as $answer => $chances) {
            $sum = 0.0;
            foreach ($this->weights as $h => $weight) {
                $sum += $chances[$h] * $weight;
            }
            $answers[$answer] = $sum;
        }

        return $answers;
    }

    public function after(string $question, string $answer): self
    {
        $weights = [];
        $chances = $this->model->chances[$question][$answer];
        foreach ($this->weights as $h => $weight) {
            $weights[] = $weight * $chances[$h];
        }

        return new self($this->model, self::normal($weights), $this->cured);
    }

    /**
     * Minutes until what people came with is gone, if causes are looked at one after the other, the surest for its
     * minutes first, and each that is found is put right: exact over all hypotheses for that order. Of two causes the
     * second is only needed if it keeps the symptom alive. (Heckerman, Breese and Rommelse, Decision-theoretic
     * troubleshooting, Communications of the ACM 38(3), 1995: observe and repair by the ratio of chance to cost of
     * observation.)
     */
    public function minutesLeft(Looks $looks): float
    {
        $until = [];
        $spent = 0.0;
        $covers = [];
        foreach ($this->order($looks) as $cause) {
            if (! in_array($cause, $this->cured, true)) {
                $cover = $looks->covers[$cause];
                $spent += $looks->minutes[$cause]
                    + ($cover === null || isset($covers[$cover]) ? 0.0 : $looks->coverMinutes[$cause]);
                $covers[$cover ?? ''] = true;
            }
            $until[$cause] = $spent;
        }
        // Written out, for this is done some hundred times for one answer.
        [$hypotheses, $repairs, $remains, $isCured] = [
            $this->model->hypotheses,
            $looks->repairs,
            $looks->remains,
            array_fill_keys($this->cured, true),
        ];
        $expected = 0.0;
        foreach ($this->weights as $h => $weight) {
            $one = $hypotheses[$h][0];
            $other = $hypotheses[$h][1] ?? $one;
            if ($until[$other] < $until[$one]) {
                [$one, $other] = [$other, $one];
            }
            $expected += $weight * ($until[$one] + $repairs[$one]);
            if ($one !== $other) {
                $expected += $weight * (isset($isCured[$one]) ? 1.0 : $remains[$other]) * ($until[$other]
                    - $until[$one]
                    + $repairs[$other]);
            }
        }

        return $expected;
    }

    /** The cause that is looked at first in that order. */
    public function first(Looks $looks): int
    {
        foreach ($this->order($looks) as $cause) {
            if (! in_array($cause, $this->cured, true)) {
                return $cause;
            }
        }

        return count($this->model->causes) - 1;
    }

    /**
     * By the chance that it is right once this one is, for the minutes: what is only there beside another cause can
     * wait for that one.
     *
     * @return list<int>
     */
    private function order(Looks $looks): array
    {
        $alone = array_fill(0, count($this->model->causes), 0.0);
        [$hypotheses, $remains, $isCured] = [
            $this->model->hypotheses,
            $looks->remains,
            array_fill_keys($this->cured, true),
        ];
        foreach ($this->weights as $h => $weight) {
            $one = $hypotheses[$h][0];
            $other = $hypotheses[$h][1] ?? null;
            if ($other === null) {
                $alone[$one] += $weight;
            } else {
                $alone[$one] += $weight * (isset($isCured[$other]) ? 1.0 : 1.0 - $remains[$other]);
                $alone[$other] += $weight * (isset($isCured[$one]) ? 1.0 : 1.0 - $remains[$one]);
            }
        }
        $ratio = [];
        foreach ($alone as $cause => $chance) {
            $ratio[$cause] = in_array($cause, $this->cured, true)
                ? -INF
                : -$chance / ($looks->minutes[$cause] + $looks->coverMinutes[$cause]);
        }
        asort($ratio);

        return array_keys($ratio);
    }

    /** @return list<float> */
    private function byCause(): array
    {
        $by = array_fill(0, count($this->model->causes), 0.0);
        foreach ($this->weights as $h => $weight) {
            foreach ($this->model->hypotheses[$h] as $cause) {
                $by[$cause] += $weight;
            }
        }
        foreach ($this->cured as $cause) {
            $by[$cause] = 0.0;
        }

        return array_values($by);
    }

    /**
     * @param  list<float>  $weights
     * @return list<float>
     */
    private static function normal(array $weights): array
    {
        $sum = array_sum($weights);
        if ($sum <= 0.0) {
            return $weights;
        }
        $normal = [];
        foreach ($weights as $weight) {
            $normal[] = $weight / $sum;
        }

        return $normal;
    }
}
