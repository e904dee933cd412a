<?php

declare(strict_types=1);

namespace VividPull\Core\Planning;

use VividPull\Core\Learning\Interval;
use VividPull\Core\Spec\Mover;
use VividPull\Core\Spec\OutcomeSetting;
use VividPull\Core\Spec\OutcomeTable;

/** How far each mover by itself should shift the arm, from the bounds on where it stands at each setting. */
final readonly class TableShifts
{
    /** @param  array<string, Interval>  $stands  by setting, as far as it is known */
    public function __construct(private OutcomeTable $table, private array $stands) {}

    /**
     * A shift that could bring every setting right, certain where it must; where one mover alone cannot, the shift of
     * it that brings the most settings right, if that is more than are right without; else null.
     */
    public function of(Mover $mover): ?TableShift
    {
        return $this->whole($mover) ?? $this->part($mover);
    }

    private function whole(Mover $mover): ?TableShift
    {
        [$certain, $possible] = [Interval::everything(), Interval::everything()];
        foreach ($this->table->settings as $setting) {
            [$stands, $wanted, $weight] = [
                $this->stands[$setting->key],
                self::wanted($setting),
                $setting->weight($mover->adjuster),
            ];
            if ($weight !== 0.0) {
                $certain = $certain->meeting($stands->certainShiftsInto($wanted)->times(1.0 / $weight));
                $possible = $possible->meeting($stands->possibleShiftsInto($wanted)->times(1.0 / $weight));
            } elseif (! $stands->overlaps($wanted)) {
                return null;
            }
        }
        if ($possible->isEmpty()) {
            return null;
        }
        $x = ($certain->isEmpty() ? $possible : $certain)->aim($this->table->trial);

        return new TableShift(
            $this->within($x),
            ! $certain->isEmpty() && $this->within($x) === $x,
            true,
            count($this->table->settings),
            $possible,
            $certain,
        );
    }

    private function part(Mover $mover): ?TableShift
    {
        $best = null;
        foreach ($this->table->settings as $setting) {
            $weight = $setting->weight($mover->adjuster);
            if ($weight === 0.0 || $this->stands[$setting->key]->overlaps(self::wanted($setting))) {
                continue;
            }
            $possible = $this->stands[$setting->key]->possibleShiftsInto(self::wanted($setting))->times(1.0 / $weight);
            $x = $this->within($possible->aim($this->table->trial));
            $shift = new TableShift($x, false, false, $this->right($mover, $x), $possible, Interval::between(INF, INF));
            $best = $best === null || $shift->right > $best->right ? $shift : $best;
        }

        return $best !== null && $best->right > $this->right($mover, 0.0) ? $best : null;
    }

    /** Settings that could be right after this shift. */
    private function right(Mover $mover, float $x): int
    {
        return count(array_filter(
            $this->table->settings,
            fn (OutcomeSetting $one): bool => $this->stands[$one->key]
                ->shifted($one->weight($mover->adjuster) * $x)
                ->overlaps(self::wanted($one)),
        ));
    }

    private static function wanted(OutcomeSetting $setting): Interval
    {
        return Interval::ofEdges($setting->wanted()->low, $setting->wanted()->high);
    }

    private function within(float $x): float
    {
        return max(-$this->table->mostAtOnce, min($this->table->mostAtOnce, $x));
    }
}
