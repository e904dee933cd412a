<?php

declare(strict_types=1);

namespace App\Bench;

use App\Models\Control;
use App\Models\ControlJob;
use VividPull\Core\Errors\Refused;
use VividPull\Core\Log\ClosingOutcome;
use VividPull\Core\Log\Entry\PolicyChosen;

/** Other machines whose control of the same make was left fit for use: what each was left at can be aimed for here. */
final readonly class ComparableControls
{
    private const MOST = 12;

    /** @return list<array{machine: string, name: string, left_mm: float, at: string}> newest first */
    public static function to(JobHead $job): array
    {
        $own = ControlJob::query()->with('control.specVersion')->findOrFail($job->id)->control;
        $point = $job->frame['spec']['aim']['point'] ?? null;
        $others = Control::query()
            ->with('machine')
            ->where('key', $own->key)
            ->whereKeyNot($own->id)
            ->whereNotNull('summary')
            ->whereHas(
                'specVersion',
                static fn ($specs) => $specs
                    ->where('model', $own->specVersion->model)
                    ->where('control', $own->specVersion->control),
            )
            ->orderByDesc('updated_at')->limit(self::MOST)->get();

        return array_values($others
            ->filter(
                static fn (Control $one): bool => $one->summary?->outcome === ClosingOutcome::Fit
                    && $one->summary->point() === $point
                    && $one->summary->leftMm() !== null,
            )
            ->map(static fn (Control $one): array => [
                'machine' => $one->machine->tag,
                'name' => $one->machine->name,
                'left_mm' => $one->summary?->leftMm() ?? 0.0,
                'at' => $one->summary->at ?? '',
            ])->all());
    }

    /** @throws Refused If no such machine was left at that figure. */
    public static function mustHold(JobHead $job, PolicyChosen $chosen): void
    {
        $like = $chosen->like;
        if ($like === null) {
            return;
        }
        foreach (self::to($job) as $one) {
            if ($one['machine'] === $like->machine && abs($one['left_mm'] - $like->mm) < 1e-6) {
                return;
            }
        }
        throw Refused::because(
            "No control like this one was left at that figure on {$like->machine}. Choose one from the list.",
        );
    }
}
