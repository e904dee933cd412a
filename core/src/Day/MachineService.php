<?php

declare(strict_types=1);

namespace VividPull\Core\Day;

use VividPull\Core\Cable\Adjuster;
use VividPull\Core\Family\Families;
use VividPull\Core\Judging\InstrumentCapability;
use VividPull\Core\Log\Person;
use VividPull\Core\Log\Standing;

/**
 * All controls of one machine in one visit: what is read cold first, then what holds in any heat, what waits for it to
 * run last; on its wheels before it goes up on a stand; controls under one cover next to each other. And what is laid
 * out before anything is begun.
 */
final readonly class MachineService
{
    /** Tools that nobody has to fetch. */
    private const BY_HAND = 'by hand';

    /** @param  list<ServiceStop>  $stops  in the order in which they are best done */
    private function __construct(public array $stops) {}

    /** @param  list<ServiceStop>  $stops */
    public static function of(array $stops): self
    {
        usort(
            $stops,
            static fn (ServiceStop $a, ServiceStop $b): int => [
                $a->ready->order(),
                $a->height(),
                $a->minutes,
                $a->key,
            ] <=> [$b->ready->order(), $b->height(), $b->minutes, $b->key],
        );
        $order = [];
        while ($stops !== []) {
            $one = array_shift($stops);
            $order[] = $one;
            $mates = array_filter(
                $stops,
                static fn (ServiceStop $other): bool => self::isAlike($one, $other)
                    && self::shared($one, $other) !== [],
            );
            $order = [...$order, ...array_values($mates)];
            $stops = array_values(array_diff_key($stops, $mates));
        }

        return new self($order);
    }

    /** @return list<string> covers that are off already when it is its turn */
    public function sharedBefore(int $place): array
    {
        [$before, $here] = [$this->stops[$place - 1] ?? null, $this->stops[$place] ?? null];

        return $before === null || $here === null ? [] : self::shared($before, $here);
    }

    /** What it takes at its place: a cover that is off is not taken off again. */
    public function minutesAt(int $place): float
    {
        $saved = array_sum(array_intersect_key(
            $this->stops[$place]->covers(),
            array_flip($this->sharedBefore($place)),
        ));

        return max(0.0, $this->stops[$place]->minutes - $saved);
    }

    public function minutes(): float
    {
        return array_sum(array_map($this->minutesAt(...), array_keys($this->stops)));
    }

    /** @return array<string, list<string>> tools and sizes, each with the adjusters that it is for */
    public function tools(): array
    {
        $tools = [];
        foreach ($this->adjusters() as [$stop, $adjuster]) {
            $tool = $adjuster->access()->tools;
            if ($tool !== '' && $tool !== self::BY_HAND) {
                $tools[$tool][] = "{$adjuster->name()}, ".lcfirst($stop->name);
            }
        }
        ksort($tools, SORT_NATURAL);

        return $tools;
    }

    /**
     * Instruments that decide each control's band, the one with the fewest readings first among them, and of those the
     * plainest.
     *
     * @return array<string, list<string>> by name, each with the controls that it is for; under an empty name what none
     *     on the shelf decides
     */
    public function instruments(Standing $shelf, Person $by): array
    {
        $instruments = [];
        foreach ($this->stops as $stop) {
            $band = $stop->spec->aim?->band;
            if ($band === null) {
                continue;
            }
            $capable = new InstrumentCapability($shelf, $band, $stop->spec->rule, $by);
            $able = [];
            foreach ($shelf->shelf as $instrument) {
                $readings = $instrument->reach < ($band->high ?? 0.0) ? null : $capable->readingsWith($instrument);
                if ($readings !== null) {
                    $able[] = [$readings, -$instrument->resolution, $instrument->name];
                }
            }
            sort($able);
            $instruments[$able[0][2] ?? ''][] = $stop->name;
        }
        ksort($instruments, SORT_NATURAL);

        return $instruments;
    }

    /** @return array<string, list<string>> what is used up, each with the controls that it is for */
    public function consumables(): array
    {
        $consumables = [];
        foreach ($this->stops as $stop) {
            foreach (Families::of($stop->spec->family)->consumables() as $one) {
                $consumables[$one][] = $stop->name;
            }
        }

        return $consumables;
    }

    /** @return array<string, float> covers that come off, with the minutes of each, once */
    public function covers(): array
    {
        $covers = [];
        foreach ($this->stops as $stop) {
            foreach ($stop->covers() as $cover => $minutes) {
                $covers[$cover] = max($covers[$cover] ?? 0.0, $minutes);
            }
        }

        return $covers;
    }

    /** @return list<array{what: string, nm: float, of: string}> in N·m, of the books and of fitted parts */
    public function torques(): array
    {
        $torques = [];
        foreach ($this->stops as $stop) {
            foreach ($stop->spec->book->torques as $one) {
                $torques[] = ['what' => $one->what, 'nm' => $one->nm, 'of' => $stop->name];
            }
        }
        foreach ($this->adjusters() as [$stop, $adjuster]) {
            if ($adjuster->lockTorqueNm() !== null) {
                $torques[] = [
                    'what' => "{$adjuster->lock()} of the {$adjuster->name()}",
                    'nm' => $adjuster->lockTorqueNm(),
                    'of' => $stop->name,
                ];
            }
        }

        return $torques;
    }

    /** @return array<string, string> what each control is held against, by its name */
    public function figures(): array
    {
        return array_column(
            array_map(static fn (ServiceStop $stop): array => [$stop->name, $stop->spec->say()], $this->stops),
            1,
            0,
        );
    }

    /** @return list<array{ServiceStop, Adjuster}> */
    private function adjusters(): array
    {
        $all = [];
        foreach ($this->stops as $stop) {
            foreach ($stop->run->adjusters() as $adjuster) {
                $all[] = [$stop, $adjuster];
            }
        }

        return $all;
    }

    private static function isAlike(ServiceStop $one, ServiceStop $other): bool
    {
        return $one->ready === $other->ready && $one->height() === $other->height();
    }

    /** @return list<string> */
    private static function shared(ServiceStop $one, ServiceStop $other): array
    {
        return array_keys(SharedCovers::of($other->covers(), $one->covers()));
    }
}
