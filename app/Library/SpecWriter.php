<?php

declare(strict_types=1);

namespace App\Library;

use App\Bench\Pictures;
use App\Chain\Version;
use App\Models\Audit;
use App\Models\Control;
use App\Models\ControlJob;
use App\Models\SpecVersion;
use App\Models\User;
use App\Refusals\ChangedSince;
use App\Refusals\Conflict;
use App\Refusals\Forbidden;
use Carbon\CarbonImmutable;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Support\Facades\DB;
use VividPull\Core\Cable\Run;
use VividPull\Core\Errors\BadFile;
use VividPull\Core\Errors\Quoted;
use VividPull\Core\Errors\Refused;
use VividPull\Core\Input\Node;
use VividPull\Core\Log\Permission;
use VividPull\Core\Quantity\StepUnit;
use VividPull\Core\Spec\OutcomeTable;
use VividPull\Core\Spec\PrintedBand;
use VividPull\Core\Spec\Spec;
use VividPull\Core\Wire\RunDraft;
use VividPull\Core\Wire\SpecCodec;

/**
 * Writes versions into the library: entered as a draft, held against the document by a second person, then put in
 * force. What a job was judged by is never changed.
 */
final readonly class SpecWriter
{
    private const ROUNDING_MM = 0.006;

    /** A new version, the next of its model and control. */
    public static function enter(Node $node, User $by): SpecVersion
    {
        $written = self::read($node, $by);

        $enter = static function () use ($written, $by): SpecVersion {
            $last = (int) SpecVersion::query()
                ->where('model', $written['model'])
                ->where('control', $written['control'])
                ->lockForUpdate()
                ->max('version');
            $spec = SpecVersion::query()->create($written + ['version' => $last + 1, 'entered_by_id' => $by->id]);
            Audit::note($by, 'spec entered', "{$spec->model} {$spec->name}, version {$spec->version}");
            SpecUse::hangWhereAsked($spec, $by);

            return $spec;
        };

        return self::withFreeVersion(static fn (): SpecVersion => DB::transaction($enter, 3));
    }

    /**
     * @param  string|null  $seen  the content that was looked at
     *
     * @throws Conflict If it is no draft any more, or a job was judged by it.
     * @throws ChangedSince If it is another by now.
     */
    public static function change(SpecVersion $found, Node $node, User $by, ?string $seen): SpecVersion
    {
        return DB::transaction(static fn (): SpecVersion => self::changeHeld(
            SpecVersion::query()->with('enteredBy')->lockForUpdate()->findOrFail($found->id),
            $node,
            $by,
            $seen,
        ));
    }

    private static function changeHeld(SpecVersion $spec, Node $node, User $by, ?string $seen): SpecVersion
    {
        self::mustBeOpen($spec);
        self::mustBeTheirs($spec, $by, '. Ask for a change, or enter a version of your own.');
        $written = self::read($node, $spec->enteredBy ?? $by);
        if ($written['model'] !== $spec->model || $written['control'] !== $spec->control) {
            throw Refused::because('A draft stays with its model and control. Enter a new one for another.');
        }
        $before = self::said($spec);
        $drawn = $spec->run;
        Version::mustBe($seen, SpecContent::of($spec), "spec {$spec->id}", $before);
        $spec->forceFill($written)->save();
        SpecUse::redraw($spec, $drawn);
        Audit::note(
            $by,
            'spec draft changed',
            "{$spec->model} {$spec->name}, version {$spec->version}",
            Audit::changes($before, self::said($spec)),
            "spec {$spec->id}",
        );
        SpecUse::hangWhereAsked($spec, $by);

        return $spec;
    }

    /** @return array<string, scalar|null> what a version says, in short */
    private static function said(SpecVersion $version): array
    {
        $spec = $version->spec();

        return [
            'name' => $version->name,
            'says' => $spec->say(),
            'printed' => $spec->book->printed,
            'source' => $spec->source->say(),
            'minutes' => $version->minutes,
        ];
    }

    public static function discard(SpecVersion $spec, User $by): void
    {
        self::mustBeOpen($spec);
        self::mustBeTheirs($spec, $by, '; a lead may throw it away.');
        if (Control::query()->where('spec_version_id', $spec->id)->exists()) {
            throw new Conflict('Machines stand on this draft. Put another version in force first.');
        }
        DB::transaction(static function () use ($spec, $by): void {
            DB::table('spec_sketches')->where('spec_version_id', $spec->id)->delete();
            $spec->delete();
            Audit::note($by, 'spec draft thrown away', "{$spec->model} {$spec->name}, version {$spec->version}");
        });
    }

    /** A picture belongs to the draft that its enterer or a lead still works on. */
    public static function sketch(SpecVersion $spec, string $bytes, User $by): void
    {
        self::mustBeOpen($spec);
        self::mustBeTheirs($spec, $by, '. Ask for a change, or enter a version of your own.');
        DB::table('spec_sketches')->updateOrInsert(['spec_version_id' => $spec->id], Pictures::anew($bytes));
    }

    /** Held against the document by somebody who did not enter it. */
    public static function check(SpecVersion $spec, User $by): SpecVersion
    {
        if (! $spec->isDraft()) {
            throw new Conflict('This version was checked already.');
        }
        if ($spec->entered_by_id === $by->id) {
            throw Forbidden::because(
                'Whoever entered a spec does not check it: a second pair of eyes finds what the first passed over.',
            );
        }
        self::mustBeWhole($spec);
        $body = $spec->body;
        $body['source']['checked_by'] = $by->name;
        $spec->forceFill(['body' => $body, 'checked_by_id' => $by->id, 'checked_at' => CarbonImmutable::now()])->save();
        Audit::note($by, 'spec checked', "{$spec->model} {$spec->name}, version {$spec->version}");
        SpecUse::hangWhereAsked($spec, $by);

        return $spec;
    }

    /**
     * Puts a version in force on all machines of its model; jobs already begun keep theirs.
     *
     * @return int controls that changed
     */
    public static function adopt(SpecVersion $spec, User $by): int
    {
        if (! SpecUse::judges($spec, SpecUse::worksAlone())) {
            throw new Conflict('A draft is not put in force. Have a second person check it first.');
        }
        $moved = Control::query()->where('spec_version_id', '!=', $spec->id)
            ->whereHas(
                'specVersion',
                static fn ($versions) => $versions->where('model', $spec->model)->where('control', $spec->control),
            )
            ->update(['spec_version_id' => $spec->id]);
        Audit::note(
            $by,
            'spec put in force',
            "{$spec->model} {$spec->name}, version {$spec->version}",
            ['controls' => $moved],
        );

        return $moved;
    }

    /**
     * The band as it stands in print, and where its two units disagree.
     *
     * @return array{low_mm: float|null, high_mm: float|null, disagreements: list<string>}
     */
    public static function printed(string $text): array
    {
        $read = PrintedBand::read($text);

        return ['low_mm' => $read->band->low, 'high_mm' => $read->band->high, 'disagreements' => $read->disagreements];
    }

    /**
     * @return array{
     *     model: string, control: string, name: string, minutes: int, body: array<string, mixed>,
     *     run: array<string, mixed>, hangs: bool,
     * }
     */
    private static function read(Node $node, User $by): array
    {
        $node->object(['model', 'control', 'name', 'minutes', 'spec', 'run'], ['despite', 'hang']);
        $control = $node->at('control')->id();
        if (preg_match('/^[a-z][a-z0-9_]*$/', $control) !== 1) {
            throw BadFile::at(
                $node->at('control')->path,
                'the short name of a control is small letters, digits and underscores, such as front_brake.',
            );
        }
        $spec = SpecCodec::draft($node->at('spec'));
        self::mustAgree($node, $spec);
        self::mustMove($spec, RunDraft::of($node->at('run'))->run, $node->at('spec'));
        $body = SpecCodec::encode($spec);
        $body['source']['entered_by'] = $by->name;
        $body['source']['checked_by'] = null;

        return [
            'model' => $node->at('model')->name(),
            'control' => $control,
            'name' => $node->at('name')->name(),
            'minutes' => $node->at('minutes')->integer(1, 600),
            'body' => $body,
            'run' => (array) $node->at('run')->value,
            'hangs' => $node->flag('hang'),
        ];
    }

    /** What moves the arm of a table is an adjuster of the run that is drawn with it. */
    private static function mustMove(Spec $spec, Run $run, Node $node): void
    {
        $table = $spec->other(OutcomeTable::class);
        foreach (array_keys($table->movers ?? []) as $id) {
            $adjuster = $run->adjuster($id)
                ?? throw BadFile::at(
                    $node->at('others')->path,
                    'it is moved by '.Quoted::text($id)
                        .', which is no adjuster of this run. Take it out of what moves it, or add the adjuster.',
                );
            // Else a move of four turns, in bevels, would be one of 24 turns.
            if ($table?->unit === StepUnit::Bevel->value && $adjuster->counting()->unit !== StepUnit::Bevel) {
                throw BadFile::at(
                    $node->at('run')->path,
                    "the table of {$table->arm} counts in bevels, and the {$adjuster->name()} in {$adjuster->counting()->unit->plural()}. Say how many bevels a turn of it has.",
                );
            }
        }
    }

    /**
     * What is printed and what is held against must be one thing, and two units must mean the same unless somebody says
     * that the book itself errs.
     */
    private static function mustAgree(Node $node, Spec $spec): void
    {
        if ($spec->book->printed === null || $spec->aim === null) {
            return;
        }
        $read = $node->at('spec')->making(static fn (): PrintedBand => PrintedBand::read($spec->book->printed));
        foreach ([
            [$read->band->low, $spec->aim->band->low],
            [$read->band->high, $spec->aim->band->high],
        ] as [$printed, $held]) {
            if (
                ($printed === null) !== ($held === null)
                || abs(($printed ?? 0.0) - ($held ?? 0.0)) > self::ROUNDING_MM
            ) {
                throw BadFile::at(
                    $node->at('spec')->at('book')->at('printed')->path,
                    "printed is {$read->band->say()}, and held against is {$spec->aim->band->say()}. Make both the same.",
                );
            }
        }
        if ($read->disagreements !== [] && ! $node->flag('despite')) {
            throw Refused::because(
                'Its two units disagree: '.implode(' ', $read->disagreements)
                    .' Look at the print again; if it really says so, say that the book does.',
            );
        }
    }

    /** A draft is its enterer's to work on, or a lead's; the sentence goes on with what another may do instead. */
    private static function mustBeTheirs(SpecVersion $spec, User $by, string $instead): void
    {
        if ($spec->entered_by_id !== $by->id && ! $by->acting()->may(Permission::KeepShop)) {
            throw Forbidden::because("{$spec->enteredBy?->name} entered this draft{$instead}");
        }
    }

    /** Nothing is judged by a run whose threads or steps nobody measured. */
    public static function mustBeWhole(SpecVersion $spec): void
    {
        $missing = $spec->missing();
        if ($missing !== []) {
            throw Refused::because('Still empty: '.implode('; ', $missing).'. Fill it in first.');
        }
    }

    private static function mustBeOpen(SpecVersion $spec): void
    {
        if (! $spec->isDraft()) {
            throw new Conflict('A checked version stays as it is. Enter the next version from it.');
        }
        if (ControlJob::query()->where('spec_version_id', $spec->id)->exists()) {
            throw new Conflict('A job was judged by this draft, so it stays as it is. Enter the next version from it.');
        }
    }

    /** @param  callable(): SpecVersion  $write */
    private static function withFreeVersion(callable $write): SpecVersion
    {
        try {
            return $write();
        } catch (UniqueConstraintViolationException $e) {
            throw new Conflict(
                'Somebody entered a version of this spec in the same moment. Look at theirs, then enter yours again.',
                previous: $e,
            );
        }
    }
}
