<?php

declare(strict_types=1);

namespace App\Bench;

use App\Chain\Version;
use App\Library\SpecUse;
use App\Models\Audit;
use App\Models\Control;
use App\Models\ControlJob;
use App\Models\FormerTag;
use App\Models\Machine;
use App\Models\MeterReading;
use App\Models\SpecVersion;
use App\Models\User;
use App\Refusals\ChangedSince;
use App\Refusals\Conflict;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Support\Facades\DB;
use VividPull\Core\Errors\BadFile;
use VividPull\Core\Errors\Refused;
use VividPull\Core\Input\Node;
use VividPull\Core\Spec\MeterUnit;

/** The machines of the shop: hung on a tag, tagged anew, their meters read, retired. */
final readonly class Machines
{
    private const TAG = '/^[A-Z0-9][A-Z0-9.-]{0,18}[A-Z0-9]$/';

    private const HIGHEST_METER = 4_000_000;

    /** By the tag it hangs under now, else by one it hung under before. */
    public static function find(string $tag): Machine
    {
        $former = static fn (): ?int => FormerTag::query()
            ->where('tag', $tag)
            ->orderByDesc('until')
            ->value('machine_id');

        return Machine::query()->where('tag', $tag)->first() ?? Machine::query()->find($former())
            ?? throw (new ModelNotFoundException)->setModel(Machine::class);
    }

    /** A new machine with the controls that the library has for its model. */
    public static function add(Node $node, User $by): Machine
    {
        $node->object(['tag', 'name', 'kind', 'year', 'place', 'usage', 'usage_unit'], ['plate']);
        $row = self::words($node) + [
            'name' => $node->at('name')->name(),
            'year' => $node->at('year')->integer(1900, 2100),
            'usage_reading' => $node->at('usage')->integer(0, self::HIGHEST_METER),
            'usage_unit' => $node->at('usage_unit')->enum(MeterUnit::class)->value,
        ];

        $add = static function () use ($row, $by): Machine {
            $machine = Machine::query()->create($row);
            foreach (self::specsOf($machine->name) as $spec) {
                SpecUse::hang($machine, $spec);
            }
            Audit::note($by, 'machine added', "{$machine->tag} {$machine->name}");

            return $machine;
        };

        return self::withFreeTag($row['tag'], static fn (): Machine => DB::transaction($add));
    }

    /** Another control of the library for a machine that has none of it. */
    public static function addControl(Machine $machine, SpecVersion $spec, User $by): void
    {
        if (Control::query()->where('machine_id', $machine->id)->where('key', $spec->control)->exists()) {
            throw new Conflict("{$machine->tag} has a {$spec->name} already.");
        }
        if ($spec->run === null) {
            throw Refused::because(
                'This version draws no cable run, so no control can be made from it. Enter the next version with its run.',
            );
        }
        SpecUse::mustJudge($spec);
        SpecUse::hang($machine, $spec);
        Audit::note($by, 'control added', "{$machine->tag} {$spec->name}");
    }

    /** @return array<string, string|null> what may be written anew about a machine */
    public static function said(Machine $machine): array
    {
        return [
            'tag' => $machine->tag,
            'plate' => $machine->plate,
            'kind' => $machine->kind,
            'place' => $machine->place,
        ];
    }

    /**
     * @param  string|null  $seen  the version that was looked at
     *
     * @throws ChangedSince If it is another by now.
     */
    public static function change(Machine $found, Node $node, User $by, ?string $seen): void
    {
        $node->object(['tag', 'kind', 'place'], ['plate']);
        $row = self::words($node);
        $change = static function () use ($found, $row, $by, $seen): void {
            $machine = Machine::query()->lockForUpdate()->findOrFail($found->id);
            $before = self::said($machine);
            Version::mustBe($seen, Version::of($before), "machine {$machine->id}", $before);
            if ($row['tag'] !== $machine->tag) {
                FormerTag::query()->create([
                    'machine_id' => $machine->id,
                    'tag' => $machine->tag,
                    'until' => CarbonImmutable::now(),
                ]);
                Audit::note($by, 'machine re-tagged', "{$machine->tag} is {$row['tag']} now");
            }
            $machine->forceFill($row)->save();
            $found->setRawAttributes($machine->getAttributes(), true);
            Audit::note(
                $by,
                'machine changed',
                "{$machine->tag} {$machine->name}",
                Audit::changes($before, self::said($machine)),
                "machine {$machine->id}",
            );
        };
        self::withFreeTag($row['tag'], static fn () => DB::transaction($change));
    }

    /**
     * Out of use: off the lists, its past kept.
     *
     * @param  string|null  $seen  the version that was looked at
     *
     * @throws ChangedSince If it is another by now.
     */
    public static function retire(Machine $machine, string $why, User $by, ?string $seen): void
    {
        self::inUse($machine, false, ['retired_at' => CarbonImmutable::now(), 'retired_why' => $why], $seen);
        Audit::note(
            $by,
            'machine retired',
            "{$machine->tag} {$machine->name}",
            ['why' => $why],
            "machine {$machine->id}",
        );
    }

    /**
     * @param  string|null  $seen  the version that was looked at
     *
     * @throws ChangedSince If it is another by now.
     */
    public static function bringBack(Machine $machine, User $by, ?string $seen): void
    {
        self::inUse($machine, true, ['retired_at' => null, 'retired_why' => null], $seen);
        Audit::note($by, 'machine brought back', "{$machine->tag} {$machine->name}", [], "machine {$machine->id}");
    }

    /** @param  array<string, mixed>  $row */
    private static function inUse(Machine $found, bool $again, array $row, ?string $seen): void
    {
        DB::transaction(static function () use ($found, $again, $row, $seen): void {
            $machine = Machine::query()->lockForUpdate()->findOrFail($found->id);
            if (($machine->retired_at === null) === $again) {
                throw new Conflict(
                    $again
                        ? "{$machine->tag} is in use already."
                        : "{$machine->tag} is retired already: {$machine->retired_why}.",
                );
            }
            Version::mustBe($seen, Version::of(self::said($machine)), "machine {$machine->id}", self::said($machine));
            if (
                ! $again
                && ControlJob::query()->whereIn('open_control_id', $machine->controls()->select('id'))->exists()
            ) {
                throw new Conflict("A job on {$machine->tag} is open. Close it first.");
            }
            $machine->forceFill($row)->save();
            $found->setRawAttributes($machine->getAttributes(), true);
        }, 3);
    }

    /** The meter as it is read; the same id twice is the same reading. */
    public static function readMeter(Machine $machine, Node $node, User $by): void
    {
        $node->object(['id', 'face'], ['replaced_at', 'sure']);
        $id = EntryRequest::uuid($node->at('id'));
        $face = $node->at('face')->integer(0, self::HIGHEST_METER);
        DB::transaction(static function () use ($machine, $node, $by, $id, $face): void {
            $locked = Machine::query()->lockForUpdate()->findOrFail($machine->id);
            $same = MeterReading::query()->find($id);
            if ($same !== null) {
                $same->machine_id === $machine->id && $same->face === $face
                    ? null
                    : throw new Conflict('Another meter reading stands under this id.');

                return;
            }
            $isNew = $node->has('replaced_at');
            $meter = $isNew
                ? $locked
                    ->meter()
                    ->replaced((float) $node->at('replaced_at')->integer(0, self::HIGHEST_METER), (float) $face)
                : $locked->meter()->read((float) $face, $node->flag('sure'));
            $locked->forceFill(['usage_reading' => (int) $meter->face, 'usage_before' => (int) $meter->before])->save();
            MeterReading::query()->create([
                'id' => $id,
                'machine_id' => $machine->id,
                'at' => CarbonImmutable::now(),
                'face' => $face,
                'usage' => (int) $meter->usage(),
                'is_new_meter' => $isNew,
                'user_id' => $by->id,
            ]);
            NextLook::refreshAll($locked);
        }, 3);
        $machine->refresh();
    }

    /** @return array{tag: string, plate: string|null, kind: string, place: string} */
    private static function words(Node $node): array
    {
        $tag = mb_strtoupper(trim($node->at('tag')->string(20)));
        if (preg_match(self::TAG, $tag) !== 1) {
            throw BadFile::at(
                $node->at('tag')->path,
                'a tag is 2 to 20 letters and digits, with dashes or points between, such as RT-14.',
            );
        }

        return [
            'tag' => $tag,
            'plate' => $node->has('plate') ? trim($node->at('plate')->string(20)) : null,
            'kind' => $node->at('kind')->name(),
            'place' => $node->at('place')->name(),
        ];
    }

    /**
     * @template T
     *
     * @param  callable(): T  $write
     * @return T
     */
    private static function withFreeTag(string $tag, callable $write): mixed
    {
        try {
            return $write();
        } catch (UniqueConstraintViolationException $e) {
            throw new Conflict("{$tag} hangs on another machine already.", previous: $e);
        }
    }

    /**
     * @return list<SpecVersion> the newest version of each control of a model that has a run drawn and that machines
     *     may be judged by
     */
    private static function specsOf(string $model): array
    {
        $alone = SpecUse::worksAlone();
        $newest = [];
        foreach (SpecVersion::query()->where('model', $model)->whereNotNull('run')->orderBy('version')->get() as $spec) {
            if (SpecUse::judges($spec, $alone)) {
                $newest[$spec->control] = $spec;
            }
        }

        return array_values($newest);
    }
}
