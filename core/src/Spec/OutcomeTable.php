<?php

declare(strict_types=1);

namespace VividPull\Core\Spec;

use VividPull\Core\Errors\OutOfRange;
use VividPull\Core\Quantity\Figure;

/**
 * What a control must do at each of its settings, where no play is read and the truth is in what the machine does: the
 * detents of a speed selector, the modes of an arm that several cables meet at, a drive that should neither creep nor
 * slip.
 *
 * The arm stands at p + w·o: p is the setting's own place, o the unknown offsets of the cables, w how much of each
 * counts there. What was seen bounds that sum; what is wanted is one of the same bounds.
 */
final readonly class OutcomeTable implements Aim
{
    /**
     * @param  string  $arm  what moves, as it is called: `friction-wheel arm`
     * @param  string  $unit  what its places are counted in: `mm`, `detent`, `rung`, `bevel`
     * @param  string  $plus  where it goes when its place grows: `towards forward`
     * @param  array<string, OutcomeSetting>  $settings  by key
     * @param  array<string, Mover>  $movers  by adjuster
     * @param  float  $trial  how far to go where nothing bounds the other side
     * @param  float  $mostAtOnce  never further in one move
     */
    private function __construct(
        public string $arm,
        public string $unit,
        public string $plus,
        public string $minus,
        public array $settings,
        public array $movers,
        public float $trial,
        public float $mostAtOnce,
    ) {}

    /**
     * @param  non-empty-list<OutcomeSetting>  $settings
     * @param  non-empty-list<Mover>  $movers
     *
     * @throws OutOfRange If two settings or movers have one key, or the first try is more than ever is moved at once.
     */
    public static function of(
        string $arm,
        string $unit,
        string $plus,
        string $minus,
        array $settings,
        array $movers,
        float $trial,
        float $mostAtOnce,
    ): self {
        Keys::mustDiffer('Settings', array_map(static fn (OutcomeSetting $one): string => $one->key, $settings));
        Keys::mustDiffer('What moves it', array_map(static fn (Mover $one): string => $one->adjuster, $movers));
        if ($trial > $mostAtOnce) {
            throw OutOfRange::trial($trial, $mostAtOnce);
        }

        return new self(
            $arm,
            $unit,
            $plus,
            $minus,
            array_combine(array_map(static fn (OutcomeSetting $one): string => $one->key, $settings), $settings),
            array_combine(array_map(static fn (Mover $one): string => $one->adjuster, $movers), $movers),
            $trial,
            $mostAtOnce,
        );
    }

    /**
     * @return list<OutcomeSetting> those tried as found and after every move: two detents of eight decide; all of them
     *     where none is named
     */
    public function telling(): array
    {
        $telling = array_filter($this->settings, static fn (OutcomeSetting $one): bool => $one->isTelling);

        return array_values($telling === [] ? $this->settings : $telling);
    }

    /** What an entry calls the arm itself, where it says which way that went; never the key of a setting. */
    public function armKey(): string
    {
        $key = 'arm';
        while (isset($this->settings[$key])) {
            $key .= '_itself';
        }

        return $key;
    }

    /**
     * Whether how much its movers move a setting is not known but learned: each may move it by nothing or by twice as
     * far, so that what is seen at one setting says nothing of another.
     */
    public function isLearned(): bool
    {
        return array_filter($this->movers, static fn (Mover $one): bool => $one->error >= 1.0) !== [];
    }

    public function say(): string
    {
        return implode(
            '; ',
            array_map(
                static fn (OutcomeSetting $one): string => "{$one->label}: ".lcfirst($one->wanted()->label),
                array_values($this->settings),
            ),
        );
    }

    /** A distance at the arm as it is said: `9 mm towards reverse`, `1.5 detents towards reverse`. */
    public function sayShift(float $shift): string
    {
        return $this->saySize($shift).' '.$this->way($shift);
    }

    /** How far: `9 mm`, `1.5 detents`. */
    public function saySize(float $shift): string
    {
        if ($this->unit === 'mm') {
            return (string) Figure::shortLength(abs($shift), 1);
        }
        $size = Figure::number(abs($shift), 1)->bare();

        return $size.' '.($size === '1' ? $this->unit : "{$this->unit}s");
    }

    public function way(float $shift): string
    {
        return $shift < 0 ? $this->minus : $this->plus;
    }
}
