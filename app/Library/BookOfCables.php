<?php

declare(strict_types=1);

namespace App\Library;

use App\Bench\ControlSummary;
use App\Bench\Siblings;
use App\Chain\Version;
use App\Models\Audit;
use App\Models\CableRow;
use App\Models\Control;
use App\Models\User;
use App\Refusals\Conflict;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Support\Facades\DB;
use LogicException;
use VividPull\Core\Cable\KnownCable;
use VividPull\Core\Cable\Run;
use VividPull\Core\Errors\BadFile;
use VividPull\Core\Input\Node;
use VividPull\Core\Learning\Learning;
use VividPull\Core\Planning\BookMatch;
use VividPull\Core\Planning\CableBook;
use VividPull\Core\Quantity\Steps;
use VividPull\Core\Wire\CableCodec;

/** The shop's book of cables: measured once, found by whoever orders the next one. */
final readonly class BookOfCables
{
    /** @return list<array<string, mixed>> by name */
    public static function all(): array
    {
        $told = PartsTold::ofCables();

        $rows = CableRow::query()
            ->with('control.machine')
            ->get()
            ->sortBy(static fn (CableRow $one): string => mb_strtolower("{$one->cable()->name} {$one->number}"));

        return array_map(static fn (CableRow $one): array => self::wire($one, $told), array_values($rows->all()));
    }

    /** A cable written into the book, or what was wrong about one. */
    public static function keep(string $id, Node $node, User $by, ?string $seen): void
    {
        [$cable, $row] = self::read($node);
        $row['measured_by'] ??= $by->name;
        try {
            self::write($id, $cable, $row, $by, $seen);
        } catch (UniqueConstraintViolationException $e) {
            throw new Conflict(
                'Somebody wrote this cable, or one of this number, in the same moment. Look at theirs, then save yours again.',
                previous: $e,
            );
        }
    }

    /**
     * @param  array{
     *     number: string|null, price: string|null, note: string|null, measured_by: string|null,
     *     measured_on: string|null, control_id: int|null,
     * }  $row
     */
    private static function write(string $id, KnownCable $cable, array $row, User $by, ?string $seen): void
    {
        DB::transaction(static function () use ($id, $cable, $row, $by, $seen): void {
            $found = CableRow::query()->lockForUpdate()->find($id);
            $before = $found === null ? [] : self::said($found);
            if ($found !== null) {
                Version::mustBe($seen, Version::of($found->asWritten()), "cable {$id}", $before);
            }
            $twin = $row['number'] === null
                ? null
                : CableRow::query()->where('number', $row['number'])->where('id', '!=', $id)->first();
            if ($twin !== null) {
                throw new Conflict("The book has number {$row['number']} already: {$twin->cable()->name}.");
            }
            if ($row['control_id'] !== null) {
                CableRow::query()
                    ->where('control_id', $row['control_id'])
                    ->where('id', '!=', $id)
                    ->update(['control_id' => null]);
            }
            $found ??= new CableRow(['id' => $id]);
            $found->forceFill($row + ['body' => CableCodec::encode($cable)])->save();
            Audit::note(
                $by,
                $before === [] ? 'cable added' : 'cable changed',
                $cable->name,
                Audit::changes($before, self::said($found)),
                "cable {$id}",
            );
        }, 3);
    }

    public static function leaveOut(CableRow $row, User $by): void
    {
        $row->delete();
        Audit::note($by, 'cable left out of the book', $row->cable()->name, subject: "cable {$row->id}");
    }

    /**
     * What fits a control, best first.
     *
     * @return array{
     *     on: array<string, mixed>|null, left_mm: float|null, about: string|null, cables: list<array<string, mixed>>,
     * }
     */
    public static function fitting(Control $control): array
    {
        $told = PartsTold::ofCables();
        $rows = array_values(CableRow::query()->with('control.machine')->get()->all());
        $on = self::on($control, $rows, $told);
        $summary = $control->summary;
        $book = [];
        foreach ($rows as $place => $row) {
            if ($on === null || $row->id !== $on->id) {
                $book[$place] = ['cable' => $row->cable(), 'before' => $told->at($row->number, $control->id)];
            }
        }
        $run = $control->fitted();
        $matches = CableBook::ranked(
            $control->spec(),
            $run,
            $on?->cable(),
            self::leftOf($control, $summary),
            self::positions($summary),
            self::lnRatio($control),
            $book,
        );

        return [
            'on' => $on === null ? null : self::wire($on, $told),
            'left_mm' => self::leftOf($control, $summary),
            'about' => count($run->cables) > 1 ? $run->cables[0]->name : null,
            'cables' => array_map(
                static fn (BookMatch $one): array => self::wire(
                    $rows[$one->cable] ?? throw new LogicException('A match of no row.'),
                    $told,
                ) + self::match($one, $run),
                $matches,
            ),
        ];
    }

    /** @return array<string, mixed> */
    private static function match(BookMatch $one, Run $run): array
    {
        return [
            'verdict' => $one->match->verdict->value,
            'label' => $one->match->verdict->label(),
            'sentence' => $one->match->sentence,
            'before' => $one->before,
            'take_up_mm' => $one->match->takeUp,
            'reserve_mm' => $one->match->reserve,
            'lands' => array_map(
                static fn (string $id, Steps $at): array => [
                    'adjuster' => $id,
                    'name' => (string) $run->adjuster($id)?->name(),
                    'say' => (string) $run->adjuster($id)?->where($at),
                ],
                array_keys($one->lands),
                array_values($one->lands),
            ),
        ];
    }

    /**
     * The cable that is on a control: the one that was fitted last, if it is in the book, else the one that was
     * measured off it.
     *
     * @param  list<CableRow>  $rows
     */
    private static function on(Control $control, array $rows, PartsTold $told): ?CableRow
    {
        $fitted = $told->fittedTo($control->id);
        $measured = array_values(array_filter(
            $rows,
            static fn (CableRow $one): bool => $one->control_id === $control->id,
        ))[0]
            ?? null;
        $replaced = $told->replacedOn($control->id);
        $since = $measured?->measured_on;
        // Of the cable that was fitted last: the book's, where its number is known; one that was fitted without a
        // number since it was measured nobody measured.
        $known = $fitted === null || $fitted['on'] !== $replaced
            ? null
            : array_values(array_filter(
                $rows,
                static fn (CableRow $one): bool => $one->number === $fitted['number'],
            ))[0]
                ?? null;

        return match (true) {
            $replaced === null || ($since !== null && $replaced < $since) => $measured,
            // Of one day, a number that the book knows says more than a cable that was measured in the morning.
            $replaced === $since => $known ?? $measured,
            default => $known,
        };
    }

    private static function leftOf(Control $control, ?ControlSummary $summary): ?float
    {
        return $summary === null
            || $summary->point() === null
            || $summary->point() !== $control->spec()->aim?->point->value
            ? null
            : $summary->leftMm();
    }

    /** @return array<string, Steps|null> */
    private static function positions(?ControlSummary $summary): array
    {
        return array_map(
            static fn (?float $at): ?Steps => $at === null ? null : Steps::nearest($at),
            $summary->handedOn->positions ?? [],
        );
    }

    private static function lnRatio(Control $control): float
    {
        $point = $control->spec()->aim?->point->value;
        $ln = $point === null ? null : Siblings::taught($control)[$point]['ln_ratio'] ?? null;

        return match (true) {
            $ln !== null => (float) $ln,
            $point === null => 0.0,
            default => Learning::drawn($control->spec(), $control->fitted())->ln,
        };
    }

    /** @return array<string, mixed> */
    private static function wire(CableRow $row, PartsTold $told): array
    {
        $machine = $row->control?->machine;

        return ['id' => $row->id, 'etag' => Version::of($row->asWritten())] + $row->asWritten() + [
            'on' => $row->control === null || $machine === null
                ? null
                : ['tag' => $machine->tag, 'key' => $row->control->key, 'name' => $row->control->name],
            'told' => array_map(
                static fn (array $one): array => [
                    'tag' => $one['tag'],
                    'key' => $one['key'],
                    'name' => $one['name'],
                    'fits' => $one['fits'],
                    'on' => $one['on'],
                ],
                $told->of($row->number),
            ),
        ];
    }

    /** @return array<string, scalar|null> */
    private static function said(CableRow $row): array
    {
        return array_map(
            static fn (mixed $one): mixed => is_array($one) ? implode(', ', $one) : $one,
            $row->asWritten(),
        );
    }

    /**
     * @return array{KnownCable, array{
     *     number: string|null, price: string|null, note: string|null, measured_by: string|null,
     *     measured_on: string|null, control_id: int|null,
     * }}
     */
    public static function read(Node $node): array
    {
        $node->object(
            ['name', 'wire_mm'],
            [
                'conduit_mm', 'hand_end', 'working_end', 'adjusters', 'number', 'price', 'note', 'measured_by',
                'measured_on', 'control',
            ],
        );
        $cable = CableCodec::decode(Node::of(
            array_intersect_key(
                (array) $node->value,
                array_flip(['name', 'wire_mm', 'conduit_mm', 'hand_end', 'working_end', 'adjusters']),
            ),
            $node->path,
        ));
        $text = static function (string $key, int $longest) use ($node): ?string {
            $said = trim((string) $node->optionalString($key, $longest));

            return $said === '' ? null : $said;
        };
        $control = $node->has('control') ? $node->at('control')->integer(1, PHP_INT_MAX) : null;
        if ($control !== null && ! Control::query()->whereKey($control)->exists()) {
            throw BadFile::at($node->at('control')->path, 'there is no such control.');
        }

        return [$cable, [
            'number' => $text('number', 60),
            'price' => $text('price', 20),
            'note' => $text('note', 200),
            'measured_by' => $text('measured_by', 60),
            'measured_on' => $node->has('measured_on') ? $node->at('measured_on')->day() : null,
            'control_id' => $control,
        ]];
    }
}
