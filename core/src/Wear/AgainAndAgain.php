<?php

declare(strict_types=1);

namespace VividPull\Core\Wear;

use DateTimeImmutable;
use VividPull\Core\Family\Family;
use VividPull\Core\Quantity\StepUnit;

/** What it says that an adjuster was moved again and again, and which of several cured it last time. */
final readonly class AgainAndAgain
{
    /** Rungs or holes taken up in a year that a sound belt and wire do not ask for (common practice, no source). */
    private const MANY = 5.0;

    /** @param  list<Taken>  $taken  oldest first */
    private function __construct(private array $taken) {}

    /** @param  list<Taken>  $taken  oldest first */
    public static function of(array $taken): self
    {
        return new self($taken);
    }

    /**
     * A sentence for each adjuster that was taken up so often within a year of this day that something wears.
     *
     * @return list<string>
     */
    public function said(string $today, Family $family): array
    {
        $since = (new DateTimeImmutable($today))->modify('-1 year')->format('Y-m-d');
        [$sums, $last] = [[], []];
        foreach ($this->taken as $one) {
            if ($one->day >= $since && in_array($one->unit, [StepUnit::Rung, StepUnit::Hole], true)) {
                $sums[$one->adjuster] = ($sums[$one->adjuster] ?? 0.0) + $one->slack;
                $last[$one->adjuster] = $one;
            }
        }
        $said = [];
        foreach ($sums as $id => $sum) {
            if ($sum >= self::MANY) {
                $said[] = ucfirst("{$last[$id]->name}: ").(int) $sum
                    ." {$last[$id]->unit->plural()} taken up in a year. ".$family->againAndAgain();
            }
        }

        return $said;
    }

    /** The adjuster moved last in the last job that ended fit for use; null where none was moved in it. */
    public function curedLast(): ?string
    {
        for ($place = count($this->taken) - 1; $place >= 0; $place--) {
            if ($this->taken[$place]->endedFit && $this->taken[$place]->slack !== 0.0) {
                return $this->taken[$place]->adjuster;
            }
        }

        return null;
    }
}
