<?php

declare(strict_types=1);

namespace App\Exchange;

use App\Bench\EntryRequest;
use BackedEnum;
use VividPull\Core\Errors\BadFile;
use VividPull\Core\Errors\Quoted;
use VividPull\Core\Errors\Refused;
use VividPull\Core\Input\Node;

/** The cells of one line, from a CSV or a JSON object, each read as what its column takes. An empty cell is null. */
final readonly class Cells
{
    /** @param  array<string, string>  $cells */
    private function __construct(private array $cells) {}

    /**
     * @param  array<array-key, mixed>  $row
     * @param  list<string>  $columns
     * @param  string  $what  what the file holds, as in “is no column of a history”
     *
     * @throws Refused If a cell has no column, or is no text and no number.
     */
    public static function of(array $row, array $columns, string $what): self
    {
        if (isset($row[''])) {
            throw Refused::because('This line has more cells than the first line has names.');
        }
        $cells = [];
        foreach ($row as $name => $value) {
            if (! in_array($name, $columns, true)) {
                throw Refused::because(Quoted::text((string) $name)." is no column of {$what}.");
            }
            if (is_array($value) || is_bool($value)) {
                throw Refused::because("{$name}: this is no text and no number.");
            }
            $cells[$name] = trim(is_float($value) ? (string) json_encode($value) : (string) $value);
        }

        return new self($cells);
    }

    public function text(string $name, int $most): ?string
    {
        $text = $this->cells[$name] ?? '';
        if (! mb_check_encoding($text, 'UTF-8')) {
            throw Refused::because("{$name}: this is no text in UTF-8. Save the file as UTF-8.");
        }
        if (mb_strlen($text) > $most) {
            throw Refused::because("{$name}: this is longer than {$most} letters.");
        }

        return $text === '' ? null : $text;
    }

    public function mm(string $name): ?float
    {
        $number = $this->number($name);
        if ($number !== null && ($number < 0.0 || $number > 1000.0)) {
            throw Refused::because("{$name}: ".Quoted::text($this->cells[$name]).' is not between 0 and 1000 mm.');
        }

        return $number;
    }

    public function number(string $name): ?float
    {
        $text = $this->text($name, 40);
        if ($text === null) {
            return null;
        }
        $plain = str_replace(',', '.', $text);

        return preg_match('/^[+\-]?\d+(\.\d+)?(e[+\-]?\d+)?$/i', $plain) === 1 && is_finite((float) $plain)
            ? (float) $plain
            : throw Refused::because("{$name}: ".Quoted::text($text).' is no number.');
    }

    public function whole(string $name): int
    {
        $text = (string) preg_replace('/\s+/u', '', $this->cells[$name] ?? '');

        return preg_match('/^\d{1,7}$/', $text) === 1
            ? (int) $text
            : throw Refused::because(
                "{$name}: ".Quoted::text($this->cells[$name] ?? '').' is no whole number of a meter.',
            );
    }

    public function day(string $name): ?string
    {
        $text = $this->text($name, 10);
        try {
            return $text === null ? null : Node::of($text, $name)->day();
        } catch (BadFile) {
            throw Refused::because("{$name}: ".Quoted::text($text).' is no day, such as 2027-03-31.');
        }
    }

    /**
     * @template E of BackedEnum
     *
     * @param  class-string<E>  $enum
     * @return E|null
     */
    public function enum(string $name, string $enum): ?BackedEnum
    {
        $text = $this->text($name, 40);

        return $text === null ? null : $enum::tryFrom($text)
            ?? throw Refused::because(
                "{$name}: ".Quoted::text($text).' is not one of: '
                    .implode(
                        ', ',
                        array_map(static fn (BackedEnum $one): string => (string) $one->value, $enum::cases()),
                    )
                    .'.',
            );
    }

    /** @param  string  $hint  what to do about one that is none */
    public function uuid(string $name, string $hint = ''): ?string
    {
        $id = mb_strtolower($this->cells[$name] ?? '');

        return match (true) {
            $id === '' => null,
            preg_match(EntryRequest::UUID, $id) === 1 => $id,
            default => throw Refused::because(trim("{$name}: this is no UUID. {$hint}")),
        };
    }
}
