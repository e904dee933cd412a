<?php

declare(strict_types=1);

namespace App\Sheets;

use App\Bench\ControlPast;
use App\Bench\ControlStory;
use App\Bench\ShopClock;
use App\Models\Control;
use App\Models\Machine;

/** Everything that was done to one machine, control by control. */
final readonly class MachineSheet
{
    /** @return array<string, mixed> */
    public static function of(Machine $machine): array
    {
        $controls = Control::query()
            ->with(['machine', 'specVersion'])
            ->where('machine_id', $machine->id)
            ->orderBy('id')
            ->get();

        return [
            'machine' => $machine,
            'controls' => array_values($controls->map(static function (Control $control): array {
                $past = ControlPast::of($control);
                $spec = $control->spec();

                return [
                    'name' => $control->name,
                    'says' => $spec->say(),
                    'source' => $spec->source->say(),
                    'rows' => $past->rows(),
                    'story' => ControlStory::of($control, $past)->wire(),
                    'tag' => $control->summary->tag['reason'] ?? null,
                ];
            })->all()),
            'printed_at' => ShopClock::now()->format('j F Y, H:i'),
        ];
    }
}
