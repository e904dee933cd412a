<?php

declare(strict_types=1);

namespace VividPull\Core\Practice;

use VividPull\Core\Diagnosis\Cause;
use VividPull\Core\Diagnosis\Check;
use VividPull\Core\Diagnosis\Grade;
use VividPull\Core\Diagnosis\Knowledge;
use VividPull\Core\Diagnosis\Link;
use VividPull\Core\Diagnosis\Model;
use VividPull\Core\Diagnosis\Weights;

/**
 * A complaint with a hidden truth: one or two causes, what they brought about, and what each look will show. Drawn from
 * the grades of a family, or from grades that are off by chance, as the trade's word may be.
 */
final readonly class DrawnComplaint extends HiddenComplaint
{
    /**
     * @param  list<string>  $causes  what it is
     * @param  array<string, list<string>>  $brought  symptoms, by the causes that each of them has
     * @param  array<string, string>  $shows  by check, what a look shows
     */
    private function __construct(private array $causes, private array $brought, private array $shows) {}

    /** @param  int  $off  by how many grades each link may be off, either way */
    public static function of(Knowledge $knowledge, SeededChance $chance, int $off = 0): self
    {
        $links = array_map(
            static fn (Cause $cause): array => array_map(
                static fn (Link $link): Grade => $off === 0
                    ? $link->grade
                    : $link->grade->shifted(self::whole($chance, -$off, $off)),
                $cause->links,
            ),
            $knowledge->causes,
        );
        for (; ;) {
            $causes = self::drawn($knowledge, $chance);
            $brought = [];
            foreach ($knowledge->symptoms as $symptom) {
                foreach ($causes as $cause) {
                    if ($chance->between(0.0, 1.0) < (($links[$cause][$symptom->value] ?? null)?->chance() ?? 0.0)) {
                        $brought[$symptom->value][] = $cause;
                    }
                }
            }
            // Nobody comes in with nothing.
            if ($brought !== []) {
                return new self($causes, $brought, self::seen($knowledge, $links, $causes, $chance));
            }
        }
    }

    /** @return list<string> one in six has two */
    private static function drawn(Knowledge $knowledge, SeededChance $chance): array
    {
        $model = Model::of($knowledge, Weights::ofTheTrade());
        $draw = $chance->between(0.0, 1.0);
        foreach ($model->prior as $h => $share) {
            $draw -= $share;
            if ($draw <= 0.0) {
                return array_map(static fn (int $cause): string => $model->causes[$cause], $model->hypotheses[$h]);
            }
        }

        return [$model->causes[0]];
    }

    /**
     * @param  array<string, array<string, Grade>>  $links
     * @param  list<string>  $causes
     * @return array<string, string>
     */
    private static function seen(Knowledge $knowledge, array $links, array $causes, SeededChance $chance): array
    {
        $shows = [];
        foreach ($knowledge->checks as $check) {
            $seen = [];
            foreach (array_keys($check->finds) as $find) {
                $not = array_product(array_map(
                    static fn (string $cause): float => 1.0
                        - (($links[$cause]["{$check->key}:{$find}"] ?? null)?->chance() ?? 0.0),
                    $causes,
                ));
                if ($chance->between(0.0, 1.0) < 1.0 - (1.0 - Model::LEAK) * $not) {
                    $seen[] = $find;
                }
            }
            $shows[$check->key] = $seen === [] ? 'right' : $seen[self::whole($chance, 0, count($seen) - 1)];
        }

        return $shows;
    }

    private static function whole(SeededChance $chance, int $least, int $most): int
    {
        return min($most, (int) floor($chance->between($least, $most + 1)));
    }

    public function causes(): array
    {
        return $this->causes;
    }

    public function shows(string $check): string
    {
        return $this->shows[$check];
    }

    public function symptoms(): array
    {
        return array_keys($this->brought);
    }

    /** @param  list<string>  $cured */
    public function isGone(array $cured): bool
    {
        return array_filter($this->brought, static fn (array $by): bool => array_diff($by, $cured) !== []) === [];
    }
}
