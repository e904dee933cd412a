<?php

declare(strict_types=1);

namespace App\Bench;

use App\Chain\Version;
use App\Models\Control;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use Sabre\VObject\Component\VCalendar;
use VividPull\Core\Spec\MeterUnit;

/** Everything that falls due, as a list and as a calendar. */
final readonly class DueList
{
    private const MOST = 500;

    /** @return list<array<string, mixed>> earliest first */
    public static function rows(CarbonImmutable $now): array
    {
        return array_values(self::controls()->map(static fn (Control $control): array => [
            'tag' => $control->machine->tag,
            'machine' => $control->machine->name,
            'place' => $control->machine->place,
            'kind' => $control->machine->kind,
            'control' => $control->key,
            'control_name' => $control->name,
            'due_on' => $control->due_on?->toDateString(),
            'days' => $control->due_on === null
                ? null
                : (int) $now->startOfDay()->diffInDays($control->due_on->shiftTimezone($now->timezone), false),
            'usage_left' => $control->due_usage === null ? null : $control->due_usage - $control->machine->usage(),
            'usage_unit' => $control->machine->usage_unit,
            'why' => $control->due_why,
            ...self::plan($control),
            'plan_etag' => Version::of(self::plan($control)),
            'minutes' => $control->minutes,
        ])->all());
    }

    /** @return array{planned_on: string|null} what may be planned of a control */
    public static function plan(Control $control): array
    {
        return ['planned_on' => $control->planned_on?->toDateString()];
    }

    /** iCalendar (RFC 5545): one all-day event a control, under an id that stays its own. */
    public static function calendar(string $home): string
    {
        $calendar = new VCalendar(['PRODID' => '-//Vivid Pull//Due dates//EN', 'X-WR-CALNAME' => 'Vivid Pull: due']);
        foreach (self::controls() as $control) {
            $unit = MeterUnit::from($control->machine->usage_unit);
            $event = $calendar->createComponent('VEVENT', [
                'UID' => "control-{$control->id}@vivid-pull",
                'SUMMARY' => "{$control->machine->tag} {$control->name}",
                'DESCRIPTION' => implode(
                    '. ',
                    array_filter(
                        [
                            ucfirst((string) $control->due_why),
                            $control->due_usage === null ? null : 'At '.$unit->say($control->due_usage),
                            $control->machine->name,
                        ],
                        is_string(...),
                    ),
                ),
                'LOCATION' => $control->machine->place,
                'URL' => "{$home}/machines/".rawurlencode($control->machine->tag)."#{$control->key}",
                'TRANSP' => 'TRANSPARENT',
                'DTSTAMP' => CarbonImmutable::parse($control->updated_at ?? 'now')->utc()->toDateTime(),
            ]);
            $event->add('DTSTART', $control->due_on?->toDateTime(), ['VALUE' => 'DATE']);
            $calendar->add($event);
        }

        return $calendar->serialize();
    }

    /** @return Collection<int, Control> */
    private static function controls(): Collection
    {
        return Control::query()
            ->with('machine')
            ->whereNotNull('due_on')
            ->whereHas('machine', static fn ($machines) => $machines->whereNull('retired_at'))
            ->whereDoesntHave('openJob')->orderBy('due_on')->orderBy('id')->limit(self::MOST)->get()->toBase();
    }
}
