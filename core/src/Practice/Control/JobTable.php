<?php

declare(strict_types=1);

namespace VividPull\Core\Practice\Control;

use VividPull\Core\Practice\SeededChance;
use VividPull\Core\Spec\FamilyKey;

/**
 * Jobs on hidden controls of one family, worked by an honest hand as the bench asks: how they end, and whether that is
 * so.
 */
final readonly class JobTable
{
    /**
     * @param  array<string, int>  $ends  jobs by how they ended
     * @param  list<int>  $moves  of each, in order
     * @param  list<string>  $wrong  what must not be, each with its seed
     */
    private function __construct(
        public array $ends,
        public array $moves,
        public array $wrong,
        /** Jobs called fit that are not. */
        public int $falselyFit,
    ) {}

    /** @param  bool  $isRough  see `DrawnJob` */
    public static function of(FamilyKey $family, int $count, float $faulty, bool $isRough, int $firstSeed = 1): self
    {
        $ends = array_fill_keys(array_map(static fn (JobEnd $one): string => $one->value, JobEnd::cases()), 0);
        [$moves, $wrong, $falselyFit] = [[], [], 0];
        for ($seed = $firstSeed; $seed < $firstSeed + $count; $seed++) {
            $job = DrawnJob::of($family, new SeededChance($seed), $faulty, $isRough);
            $worked = HonestHand::work($job->spec, $job->run, $job->control, $job->found->at, $job->instrument);
            $ends[$worked->end->value]++;
            $moves[] = $worked->moves;
            $why = self::wrong($worked, $job->control);
            if ($why !== null) {
                $wrong[] = "seed {$seed}, {$why}";
                $falselyFit += (int) ($worked->end === JobEnd::Fit);
            }
        }
        sort($moves);

        return new self($ends, $moves, $wrong, $falselyFit);
    }

    /** Null where it ended as it truly is. */
    private static function wrong(WorkedJob $worked, TrueControl $control): ?string
    {
        return match ($worked->end) {
            JobEnd::Fit => $control->isUnsafe() ? 'called fit, and is not' : null,
            JobEnd::Tagged => $control->isUnsafe() ? null : "tagged, and nothing is wrong with it: {$worked->why}",
            JobEnd::Spent => $control->isPlainlyRight()
                ? "said to be out of reach, and is right: {$worked->why}"
                : null,
            JobEnd::Suspected => null,
            JobEnd::Lost => 'led nowhere after '.implode(', ', $worked->asked).": {$worked->why}",
        };
    }

    public function movesOf(float $share): int
    {
        return $this->moves[(int) floor($share * (count($this->moves) - 1))] ?? 0;
    }
}
