<?php

declare(strict_types=1);

namespace App\Bench;

use App\Models\Control;
use VividPull\Core\Bench\BenchState;
use VividPull\Core\Family\Families;
use VividPull\Core\Log\Entry\Noted;
use VividPull\Core\Progress\ItemKind;
use VividPull\Core\Spec\MeterUnit;
use VividPull\Core\Wire\StandingCodec;

/** One control in a list: its spec in words, its small tape, and whether a job is open on it. */
final readonly class ControlResource
{
    private const HANDOVER = 'Handover:';

    /** @return array<string, mixed> */
    public static function of(Control $control, ?BenchState $open): array
    {
        $spec = $control->spec();
        $family = Families::of($spec->family);
        $summary = $control->summary;
        $stage = $open?->progress->stage;

        return [
            'key' => $control->key,
            'name' => $control->name,
            'minutes' => $control->minutes,
            'band' => ['low_mm' => $spec->aim?->band->low, 'high_mm' => $spec->aim?->band->high],
            'point_label' => $spec->aim?->point->named($family->moved()),
            'family' => $family->title(),
            'engine' => $spec->conditions->engine?->value,
            'job' => $control->openJob?->id,
            'stage' => $stage?->title(),
            'moves' => $open === null ? 0 : count($open->facts->readings->moves),
            'found_mm' => $open?->judgement->foundGroup?->found->mean,
            'now_mm' => $open?->judgement->nowGroup?->found->mean,
            'left_mm' => $open === null ? $summary?->leftMm() : null,
            'left_outcome' => $open === null ? $summary?->outcome->value : null,
            'left_open' => $open === null ? $summary?->leftOpen()?->said() ?? [] : [],
            'left_at' => $open === null ? $summary?->at : null,
            'next' => $open === null ? null : self::next($open),
            'by' => $open === null ? null : $open->log->entries[count($open->log->entries) - 1]->stamp->by->name,
            'at' => $open === null ? null : $open->log->entries[count($open->log->entries) - 1]->stamp->at,
            'handover' => $open === null ? null : self::handover($open),
            'due_on' => $control->due_on?->toDateString(),
            'due_in' => self::dueIn($control),
            'due_why' => $control->due_why,
            'planned_on' => $control->planned_on?->toDateString(),
            'covers' => (object) self::covers($control),
            'wish' => $open === null ? $summary?->wishSaid() : $open->facts->chosen->wish?->say(),
            'tag' => $open === null ? $summary?->tag : StandingCodec::encodeTag($open->facts->tag),
            'unfit' => $open === null ? [] : $open->unfit(),
            'may_check' => $open === null && $summary?->tag === null && Opening::checkRefused($control) === null,
        ];
    }

    /** What whoever put the job down last told the next, so long as nobody else went on since. */
    private static function handover(BenchState $open): ?string
    {
        $last = null;
        foreach (array_reverse($open->log->effective()) as $entry) {
            $last ??= $entry->stamp->by;
            if (! $entry->stamp->by->is($last)) {
                return null;
            }
            if ($entry instanceof Noted && str_starts_with($entry->text, self::HANDOVER)) {
                return trim(substr($entry->text, strlen(self::HANDOVER)));
            }
        }

        return null;
    }

    /** @return array<string, float> minutes to take off each cover over an adjuster of the control */
    private static function covers(Control $control): array
    {
        $covers = [];
        foreach ($control->fitted()->adjusters() as $adjuster) {
            $access = $adjuster->access();
            if ($access->cover !== null) {
                $covers[$access->cover] = $access->minutes;
            }
        }

        return $covers;
    }

    /** @return array{says: string, is_over: bool}|null use left until the next look, where use decides: `in 190 km` */
    private static function dueIn(Control $control): ?array
    {
        $left = $control->due_usage === null ? null : $control->due_usage - $control->machine->usage();
        $unit = MeterUnit::from($control->machine->usage_unit);

        return match (true) {
            $left === null => null,
            $left <= 0 => ['says' => $unit->say(-$left), 'is_over' => true],
            default => ['says' => 'in '.$unit->say($left), 'is_over' => false],
        };
    }

    /** What a person would do next: the move while it is being set, else what is asked. */
    private static function next(BenchState $open): string
    {
        $asks = $open->progress->asks();

        return $asks === null || $asks->kind === ItemKind::InBand
            ? $open->next()->sentence
            : rtrim($asks->label, '?').(str_ends_with($asks->label, '?') ? '?' : '.');
    }
}
