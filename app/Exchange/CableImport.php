<?php

declare(strict_types=1);

namespace App\Exchange;

use App\Library\BookOfCables;
use App\Models\Audit;
use App\Models\CableRow;
use App\Models\User;
use Illuminate\Support\Str;
use VividPull\Core\Cable\KnownCable;
use VividPull\Core\Errors\Refused;
use VividPull\Core\Input\Node;
use VividPull\Core\Wire\CableCodec;
use VividPull\Core\Wire\TypedQuantities;

/**
 * Cables that somebody measured elsewhere. One whose number, or else whose name, the book has already is not taken in
 * again.
 */
final class CableImport implements LineImport
{
    public const FORMAT = 'vivid-pull/cables@1';

    public const COLUMNS = [
        'name', 'number', 'wire_mm', 'conduit_mm', 'hand_end', 'working_end', 'adjusters', 'price', 'note',
        'measured_by', 'measured_on',
    ];

    /** A cable without an adjuster of its own; an empty cell is one that nobody looked at. */
    public const NONE = 'none';

    /** @var array<string, true> */
    private array $seen = [];

    public function __construct(private readonly User $by) {}

    public function format(): string
    {
        return self::FORMAT;
    }

    public function key(): string
    {
        return 'cables';
    }

    public function columns(): array
    {
        return self::COLUMNS;
    }

    public function consider(array $row): ?object
    {
        $row = array_filter($row, static fn (mixed $cell): bool => $cell !== null && $cell !== '');
        if (is_string($row['adjusters'] ?? null)) {
            $row['adjusters'] = trim($row['adjusters']) === self::NONE
                ? []
                : array_values(array_filter(
                    explode(' ', $row['adjusters']),
                    static fn (string $one): bool => $one !== '',
                ));
        }
        [$cable, $rest] = BookOfCables::read(TypedQuantities::readIn(Node::of($row)->object(
            ['name', 'wire_mm'],
            array_values(array_diff(self::COLUMNS, ['name', 'wire_mm'])),
        )));
        $name = $rest['number'] ?? "name {$cable->name}";
        isset($this->seen[$name])
            ? throw Refused::because(
                ($rest['number'] === null ? $cable->name : "Number {$rest['number']}").' stands in the file twice.',
            )
            : $this->seen[$name] = true;
        $there = $rest['number'] !== null ? CableRow::query()->where('number', $rest['number'])->exists()
            : CableRow::query()
                ->whereNull('number')
                ->whereRaw("json_value(body, '$.name') = ?", [$cable->name])
                ->exists();

        return $there ? null : (object) ['cable' => $cable, 'row' => $rest];
    }

    public function write(array $taken): void
    {
        foreach ($taken as $one) {
            assert(isset($one->cable, $one->row) && $one->cable instanceof KnownCable && is_array($one->row));
            CableRow::query()->create(
                ['id' => (string) Str::uuid(), 'body' => CableCodec::encode($one->cable)] + $one->row,
            );
        }
        if ($taken !== []) {
            Audit::note($this->by, 'cables imported', count($taken).' cables');
        }
    }

    public function finish(): void {}
}
