<?php

declare(strict_types=1);

namespace App\Library;

use App\Models\Audit;
use App\Models\Control;
use App\Models\Machine;
use App\Models\SpecVersion;
use App\Models\User;
use App\Refusals\Conflict;
use Illuminate\Support\Facades\DB;
use VividPull\Core\Errors\Refused;

/**
 * By which versions machines are judged: those that a second person checked; where one person works alone, every one
 * with nothing left empty, and each says wherever it judges that nobody checked it.
 */
final readonly class SpecUse
{
    /** As it is called among the settings of the shop. */
    private const ALONE = 'works_alone';

    public static function worksAlone(): bool
    {
        return DB::table('shop_settings')->where('name', self::ALONE)->exists();
    }

    public static function setWorksAlone(bool $alone, User $by): void
    {
        DB::transaction(static function () use ($alone, $by): void {
            $alone
                ? DB::table('shop_settings')->updateOrInsert(['name' => self::ALONE], ['value' => 'yes'])
                : DB::table('shop_settings')->where('name', self::ALONE)->delete();
            Audit::note($by, 'second person for specs', $alone ? 'nobody: one person works alone' : 'needed');
        });
    }

    public static function judges(SpecVersion $spec, bool $alone): bool
    {
        return ! $spec->isDraft() || ($alone && $spec->missing() === []);
    }

    /**
     * @throws Refused If something of it is empty.
     * @throws Conflict If nobody checked it.
     */
    public static function mustJudge(SpecVersion $spec): void
    {
        SpecWriter::mustBeWhole($spec);
        if (! self::judges($spec, self::worksAlone())) {
            throw new Conflict(
                'This is a draft. A second person holds it against its document first; a shop of one person says so under Shop.',
            );
        }
    }

    /**
     * On every machine of its model that has no such control, if its enterer asked for that and machines may be judged
     * by it.
     */
    public static function hangWhereAsked(SpecVersion $spec, User $by): void
    {
        if (! $spec->hangs || $spec->run === null || ! self::judges($spec, self::worksAlone())) {
            return;
        }
        $without = Machine::query()->where('name', $spec->model)->whereNull('retired_at')->orderBy('tag')
            ->whereDoesntHave('controls', static fn ($controls) => $controls->where('key', $spec->control))->get();
        foreach ($without as $machine) {
            self::hang($machine, $spec);
            Audit::note($by, 'control added', "{$machine->tag} {$spec->name}");
        }
        $spec->forceFill(['hangs' => false])->save();
    }

    /**
     * A draft that hangs on machines already was put right before any job: they are drawn anew with it, but for one
     * that was drawn otherwise.
     *
     * @param  array<string, mixed>|null  $before  its run until now
     */
    public static function redraw(SpecVersion $spec, ?array $before): void
    {
        foreach (Control::query()->where('spec_version_id', $spec->id)->get() as $control) {
            $control
                ->forceFill(
                    ['name' => $spec->name, 'minutes' => $spec->minutes]
                        + ($control->run === $before ? ['run' => $spec->run] : []),
                )
                ->save();
        }
    }

    public static function hang(Machine $machine, SpecVersion $spec): void
    {
        Control::query()->create(['machine_id' => $machine->id, 'spec_version_id' => $spec->id, 'key' => $spec->control,
            'name' => $spec->name, 'run' => $spec->run, 'minutes' => $spec->minutes]);
    }
}
