<?php

declare(strict_types=1);

namespace App\Bench;

use App\Models\Complaint;
use App\Models\ComplaintAnswer;
use App\Models\Control;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Builder;
use VividPull\Core\Diagnosis\Cause;
use VividPull\Core\Diagnosis\Check;
use VividPull\Core\Diagnosis\Knowledge;
use VividPull\Core\Family\Families;
use VividPull\Core\Procedure\Cure;

/**
 * When the engine oil of a machine was changed last, as far as that is on file: in a job of any control whose clutch
 * runs in it, or in a search that was about it.
 */
final readonly class EngineOil
{
    private function __construct() {}

    /**
     * @param  ControlPast  $past  of this control
     * @return int|null days since then; null where that is not on file, or the clutch does not run in it
     */
    public static function days(Control $control, ControlPast $past, Knowledge $knowledge): ?int
    {
        if (! isset($knowledge->checks[Check::OIL_AGE])) {
            return null;
        }
        $days = array_filter(
            [$past->engineOilDays(), ...self::inJobsOfOthers($control), self::inSearches($control->machine_id)],
            static fn (?int $one): bool => $one !== null,
        );

        return $days === [] ? null : min($days);
    }

    /** @return list<int|null> by the other controls of its machine */
    private static function inJobsOfOthers(Control $control): array
    {
        $others = Control::query()
            ->with('specVersion')
            ->where('machine_id', $control->machine_id)
            ->whereKeyNot($control->id)
            ->get()
            ->filter(static fn (Control $other): bool => in_array(
                Cure::EngineOil,
                Families::of($other->spec()->family)->cures(),
                true,
            ));

        return array_values($others->map(
            static fn (Control $other): ?int => ControlPast::of($other)->engineOilDays(),
        )->all());
    }

    /** It was what felt wrong, or it was changed and that did not help. */
    private static function inSearches(int $machine): ?int
    {
        $of = static fn (Builder $control): Builder => $control->where('machine_id', $machine);
        $named = Complaint::query()->where('cause', Cause::WRONG_OIL)->whereHas('control', $of)->max('closed_at');
        // What was said last about it in each search: it may have been taken back.
        $tried = ComplaintAnswer::query()
            ->where('about', Cause::WRONG_OIL)
            ->whereIn('complaint_id', Complaint::query()->whereHas('control', $of)->select('id'))
            ->orderBy('seq')
            ->get()
            ->keyBy('complaint_id')
            ->where('kind', AnswerKind::Tried->value)
            ->max('at');
        $last = max($named === null ? null : CarbonImmutable::parse((string) $named), $tried);

        return $last === null ? null : (int) $last->diffInDays(CarbonImmutable::now(), true);
    }
}
