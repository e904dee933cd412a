<?php

declare(strict_types=1);

namespace App\Bench;

use App\Models\Control;
use App\Models\Intake;
use App\Models\Machine;
use App\Models\User;
use App\Refusals\Conflict;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Str;
use VividPull\Core\Diagnosis\Causes;
use VividPull\Core\Input\Node;
use VividPull\Core\Log\Draft;
use VividPull\Core\Log\Entry\Noted;
use VividPull\Core\Procedure\OwnWords;

/** Reports that something feels odd: taken in by anybody at the counter, taken up by a job, or answered. */
final readonly class Intakes
{
    /** What is asked of each to tell what it may mean. */
    private const SPEAKS_OF = ['machine.controls.specVersion', 'control.specVersion'];

    /** @return list<array<string, mixed>> not yet answered, oldest first */
    public static function open(?Machine $machine = null): array
    {
        $intakes = Intake::query()
            ->with([...self::SPEAKS_OF, 'user'])
            ->whereNull('answered_at')
            ->when($machine !== null, static fn (Builder $query) => $query->where('machine_id', $machine?->id))
            ->orderBy('at')
            ->get();

        return array_values($intakes->map(static fn (Intake $one): array => [
            'id' => $one->id,
            'tag' => $one->machine->tag,
            'machine' => $one->machine->name,
            'control' => $one->control?->key,
            'control_name' => $one->control?->name,
            'words' => $one->words,
            'may_stop' => self::mayStop($one),
            'none_stops' => $one->none_stops === true,
            'by' => $one->user->name,
            'at' => $one->at->toIso8601String(),
        ])->all());
    }

    public static function take(Machine $machine, Node $node, User $by): void
    {
        $node->object(['id', 'words'], ['control', 'none_stops']);
        $id = EntryRequest::uuid($node->at('id'));
        $control = $node->has('control')
            ? Control::query()
                ->where('machine_id', $machine->id)
                ->where('key', $node->at('control')->string(40))
                ->firstOrFail()
            : null;
        $words = trim($node->at('words')->string(500));
        $none = $node->has('none_stops') && $node->at('none_stops')->boolean();
        $same = Intake::query()->find($id);
        if ($same !== null) {
            $same->machine_id === $machine->id && $same->words === $words && ($same->none_stops === true) === $none
                ? null
                : throw new Conflict('Another report stands under this id.');

            return;
        }
        Intake::query()->create([
            'id' => $id,
            'machine_id' => $machine->id,
            'control_id' => $control?->id,
            'words' => $words,
            'none_stops' => $none ? true : null,
            'user_id' => $by->id,
            'at' => CarbonImmutable::now(),
        ]);
    }

    /** Answered in words, where no job is needed. */
    public static function answer(Intake $intake, string $answer, User $by): void
    {
        if ($intake->answered_at !== null) {
            throw new Conflict('This report was answered already.');
        }
        $intake
            ->forceFill(['answered_at' => CarbonImmutable::now(), 'answered_by_id' => $by->id, 'answer' => $answer])
            ->save();
    }

    /** What was said first about it that nobody answered, and that a job on it takes up; null where nothing was. */
    public static function words(Control $control): ?string
    {
        return self::takenUpBy($control)->first()?->words;
    }

    /**
     * @return list<string> what was reported about it by which nobody should run the machine, as far as the words tell
     */
    public static function stopping(Control $control): array
    {
        $said = self::about($control)->pluck('words')->map(
            static fn (string $words): array => self::understood($words, [$control]),
        );

        return array_values(array_unique(array_merge([], ...$said->all())));
    }

    /** @return array<int, true> every control that should not be run by what was reported, by its id */
    public static function stopped(): array
    {
        $stopped = [];
        foreach (Intake::query()->with(self::SPEAKS_OF)->whereNull('answered_at')->get() as $one) {
            foreach (self::mayBeOf($one) as $control) {
                if (self::understood($one->words, [$control]) !== []) {
                    $stopped[$control->id] = true;
                }
            }
        }

        return $stopped;
    }

    /** @return list<string> what those reports seem to say, which its next job tries again before it is fit for use */
    public static function symptoms(Control $control): array
    {
        $known = Causes::of($control->spec()->family)->symptoms;
        $said = [];
        foreach (self::takenUpBy($control) as $one) {
            foreach (OwnWords::understood($one->words, $known) as $symptom) {
                $said[$symptom->value] = true;
            }
        }

        return array_map(strval(...), array_keys($said));
    }

    /** @return Collection<int, Intake> what a job on it takes up */
    private static function takenUpBy(Control $control): Collection
    {
        return self::about($control)
            ->with([...self::SPEAKS_OF, 'user'])
            ->get()
            ->filter(static fn (Intake $one): bool => ! self::isOfAnother($one, $control));
    }

    /** @return list<string> the same of one report */
    private static function mayStop(Intake $one): array
    {
        return self::understood($one->words, self::mayBeOf($one));
    }

    /** @return array<int, Control> its control, or every control of the machine where it names none */
    private static function mayBeOf(Intake $one): array
    {
        return $one->control === null ? $one->machine->controls->all() : [$one->control];
    }

    /** Whether it names no control, and may stop the machine by another than this: no job on this one answers that. */
    private static function isOfAnother(Intake $one, Control $control): bool
    {
        return $one->control === null
            && self::mayStop($one) !== []
            && self::understood($one->words, [$control]) === [];
    }

    /** @return list<Control> the others that a report may stop the machine by, where it names none */
    private static function others(Intake $one, Control $control): array
    {
        return $one->control !== null ? [] : array_values(array_filter(
            self::mayBeOf($one),
            static fn (Control $other): bool => $other->id !== $control->id
                && self::understood($one->words, [$other]) !== [],
        ));
    }

    /**
     * @param  array<int, Control>  $controls
     * @return list<string>
     */
    private static function understood(string $words, array $controls): array
    {
        $said = [];
        foreach ($controls as $control) {
            $said = [...$said, ...OwnWords::stopping($words, $control->loadMissing('specVersion')->spec()->stopping())];
        }

        return array_values(array_unique($said));
    }

    /** @return Builder<Intake> what was reported about it, or about the machine at large, and nobody answered */
    private static function about(Control $control): Builder
    {
        return Intake::query()->where('machine_id', $control->machine_id)->whereNull('answered_at')
            ->where(
                static fn (Builder $query) => $query->where('control_id', $control->id)->orWhereNull('control_id'),
            )->orderBy('at');
    }

    /**
     * A job begun on a control takes up what was reported about it, or about the machine at large; what may stop the
     * machine by another control waits for a job on that. Where it may be of both, the other's goes on under its name.
     *
     * @return list<Draft> what was reported and by whom, for the job's own log
     */
    public static function takeUp(Control $control, string $job, User $by, CarbonImmutable $now): array
    {
        $waiting = self::takenUpBy($control);
        foreach ($waiting as $one) {
            $one->forceFill(['answered_at' => $now, 'answered_by_id' => $by->id, 'job_id' => $job])->save();
            foreach (self::others($one, $control) as $other) {
                Intake::query()->create([
                    'id' => (string) Str::uuid7($now),
                    'control_id' => $other->id,
                    ...$one->only(['machine_id', 'words', 'none_stops', 'user_id', 'at']),
                ]);
            }
        }

        return array_merge([], ...$waiting->map(
            static fn (Intake $one): array => Noted::told(self::head($one), $one->words),
        )->all());
    }

    /** Who reported it; and where its words tell of no danger, whether anybody asked for one. */
    private static function head(Intake $one): string
    {
        $isKnown = $one->none_stops === true || self::mayStop($one) !== [];

        return "Reported by {$one->user->name}".($isKnown ? '' : ', nobody said whether it is safe to run').': ';
    }
}
