<?php

declare(strict_types=1);

namespace VividPull\Core\Planning;

use VividPull\Core\Cable\CableComparison;
use VividPull\Core\Cable\KnownCable;
use VividPull\Core\Cable\Run;
use VividPull\Core\Quantity\Steps;
use VividPull\Core\Spec\Parking;
use VividPull\Core\Spec\Spec;
use VividPull\Core\Spec\SpecBand;

/**
 * Which known cable fits a control, before anything is ordered: each beside the one that is on it now, from the play it
 * was left with and where its adjusters stand. The match is the one of two cables on the bench (`CableMatch`); a book
 * adds what nobody may have written down.
 */
final readonly class CableBook
{
    /** Take-up that differs by less than this, in mm, is no reason to take one rather than the other (ours). */
    private const ALIKE = 1.0;

    /**
     * @param  KnownCable|null  $on  what is on the control; null where nobody measured it
     * @param  float|null  $left  mm of play at the spec's point, as it was left; null where none was read
     * @param  array<string, Steps|null>  $positions  where each adjuster stands
     * @param  float  $lnRatio  of play to slack, as it is known
     */
    private function __construct(
        private Spec $spec,
        private ?KnownCable $on,
        private ?float $left,
        private array $positions,
        private float $lnRatio,
    ) {}

    /**
     * Best first: what fits, then what lands at the end of its thread, then what cannot be told. Of those alike the one
     * whose conduit differs least, then the one that leaves most for stretch.
     *
     * @param  array<string, Steps|null>  $positions
     * @param  array<int, array{cable: KnownCable, before: bool|null}>  $book  by their ids
     * @return list<BookMatch>
     */
    public static function ranked(
        Spec $spec,
        Run $run,
        ?KnownCable $on,
        ?float $left,
        array $positions,
        float $lnRatio,
        array $book,
    ): array {
        $self = new self($spec, $on, $left, $positions, $lnRatio);
        $takeUp = TakeUp::of($run);
        $found = [];
        foreach ($book as $id => $row) {
            $match = $self->match($takeUp, $row['cable']);
            $found[] = new BookMatch(
                $id,
                $match,
                $match->takeUp === null ? [] : $takeUp->landing($match->takeUp, Parking::Threads),
                $row['before'],
            );
        }
        usort($found, self::better(...));

        return $found;
    }

    private static function better(BookMatch $one, BookMatch $two): int
    {
        return self::worth($one) <=> self::worth($two);
    }

    /** @return list<float|int> compared from the first on; the lower the better */
    private static function worth(BookMatch $one): array
    {
        return [
            $one->rank(),
            $one->before === true ? 0 : 1,
            round(abs($one->match->conduitDifference ?? INF)),
            -round(($one->match->reserve ?? 0.0) / self::ALIKE),
            $one->cable,
        ];
    }

    private function match(TakeUp $takeUp, KnownCable $new): CableMatch
    {
        $band = $this->spec->aim->band ?? SpecBand::between(0.0, null);
        $ratio = exp($this->lnRatio);
        $target = $band->high === null || $this->spec->aim === null
            ? $band->floor() + 1.0
            : $band->floor() + $this->spec->policy->share() * ($band->high - $band->floor());
        $slackIn = $this->left === null || $this->spec->aim === null
            ? null
            : $takeUp->slackIn($this->left / $ratio, $this->positions);
        $ends = $this->on?->endsLike($new);
        $match = CableMatch::of(
            new CableComparison($this->on?->wire, $new->wire, $this->on?->conduit, $new->conduit, $ends !== false),
            $slackIn,
            $takeUp->unmeasured($this->positions),
            $takeUp->whole,
            $takeUp->healthy,
            $takeUp->stretch,
            $band->floor() / $ratio,
            $band->high === null ? null : $band->high / $ratio,
            $target / $ratio,
        );

        return $this->withDoubts($match, $new, $ends);
    }

    /** What nobody wrote down may be what keeps it from fitting: then nothing is promised. */
    private function withDoubts(CableMatch $match, KnownCable $new, ?bool $ends): CableMatch
    {
        if ($this->on === null) {
            return $match;
        }
        $carries = $this->on->carriesLike($new);

        return $match->unless(array_values(array_filter([
            $ends === null ? 'Not both of its ends were written down: compare them.' : null,
            $carries === null ? 'Whether it carries an adjuster of its own was not written down: look.' : null,
            $carries === false
                ? 'It carries other adjusters than the one on it now: its take-up is not this one\'s.'
                : null,
            $match->conduitDifference === null
                ? 'Its conduit was not measured: hold the route against it, from lock to lock.'
                : null,
        ], is_string(...))));
    }
}
