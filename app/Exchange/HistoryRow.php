<?php

declare(strict_types=1);

namespace App\Exchange;

use App\Bench\EntryRequest;
use BackedEnum;
use Ramsey\Uuid\Uuid;
use VividPull\Core\Bench\ClosingOutcome;
use VividPull\Core\Cable\Part;
use VividPull\Core\Cable\ReadingPoint;
use VividPull\Core\Errors\BadFile;
use VividPull\Core\Errors\CoreError;
use VividPull\Core\Errors\Quoted;
use VividPull\Core\Errors\Refused;
use VividPull\Core\Spec\EngineHeat;
use VividPull\Core\Wire\Node;

/** One closed job as a line of history: what was found and left, at what use, by whom. */
final readonly class HistoryRow
{
    public const COLUMNS = ['job', 'machine', 'control', 'day', 'usage', 'point', 'engine', 'found_mm', 'found_u_mm', 'left_mm', 'left_u_mm', 'outcome', 'reason', 'parts', 'given_before_mm', 'next_check', 'signed_by'];

    private const NAMESPACE = '6ba7b812-9dad-11d1-80b4-00c04fd430c8';

    /** Standard uncertainty where a line names none: what a steel rule gives, read once (ours). */
    private const USUAL_U = 0.5;

    /** @param  list<Part>  $parts */
    private function __construct(
        public string $job,
        public string $machine,
        public string $control,
        public string $day,
        public int $usage,
        public ?ReadingPoint $point,
        public ?EngineHeat $engine,
        public ?float $found,
        public ?float $foundU,
        public ?float $left,
        public ?float $leftU,
        public ClosingOutcome $outcome,
        public ?string $reason,
        public array $parts,
        public float $given,
        public ?string $nextCheck,
        public string $signedBy,
    ) {}

    /**
     * From cells of a CSV, or the values of a JSON object.
     *
     * @param  array<string, mixed>  $row
     *
     * @throws CoreError If a cell is not what its column takes.
     */
    public static function from(array $row): self
    {
        if (isset($row[''])) {
            throw Refused::because('This line has more cells than the first line has names.');
        }
        $cells = [];
        foreach ($row as $name => $value) {
            if (! in_array($name, self::COLUMNS, true)) {
                throw Refused::because(Quoted::text($name).' is no column of a history.');
            }
            if (is_array($value) || is_bool($value)) {
                throw Refused::because("{$name}: this is no text and no number.");
            }
            $cells[$name] = trim(is_float($value) ? (string) json_encode($value) : (string) $value);
        }
        $found = self::mm($cells, 'found_mm');
        $left = self::mm($cells, 'left_mm');
        $machine = self::text($cells, 'machine', 20) ?? throw Refused::because('machine: which tag?');
        $control = self::text($cells, 'control', 40) ?? throw Refused::because('control: which one, by its short name?');
        $day = self::day($cells, 'day') ?? throw Refused::because('day: when was it?');
        $usage = self::whole($cells, 'usage');

        return new self(
            self::id($cells, implode('|', [$machine, $control, $day, $usage, $found, $left])), mb_strtoupper($machine), $control, $day, $usage,
            self::enum($cells, 'point', ReadingPoint::class), self::enum($cells, 'engine', EngineHeat::class),
            $found, $found === null ? null : self::mm($cells, 'found_u_mm') ?? self::USUAL_U, $left, $left === null ? null : self::mm($cells, 'left_u_mm') ?? self::USUAL_U,
            self::enum($cells, 'outcome', ClosingOutcome::class) ?? ClosingOutcome::Fit, self::text($cells, 'reason', 300), self::parts($cells),
            self::signed($cells, 'given_before_mm'), self::day($cells, 'next_check'), self::text($cells, 'signed_by', 60) ?? throw Refused::because('signed_by: who stood for it?'),
        );
    }

    /** @return list<string|int|float|null> in the order of the columns */
    public function cells(): array
    {
        return [$this->job, $this->machine, $this->control, $this->day, $this->usage, $this->point?->value, $this->engine?->value, $this->found, $this->foundU, $this->left, $this->leftU,
            $this->outcome->value, $this->reason, implode(' ', array_map(static fn (Part $one): string => $one->value, $this->parts)), $this->given, $this->nextCheck, $this->signedBy];
    }

    /** @return array<string, string|int|float|null> */
    public function wire(): array
    {
        return array_combine(self::COLUMNS, $this->cells());
    }

    /** @param  array<string, string>  $cells */
    private static function text(array $cells, string $name, int $most): ?string
    {
        $text = $cells[$name] ?? '';
        if (! mb_check_encoding($text, 'UTF-8')) {
            throw Refused::because("{$name}: this is no text in UTF-8. Save the file as UTF-8.");
        }
        if (mb_strlen($text) > $most) {
            throw Refused::because("{$name}: this is longer than {$most} letters.");
        }

        return $text === '' ? null : $text;
    }

    /** @param  array<string, string>  $cells */
    private static function mm(array $cells, string $name): ?float
    {
        $number = self::number($cells, $name);
        if ($number !== null && ($number < 0.0 || $number > 1000.0)) {
            throw Refused::because("{$name}: ".Quoted::text($cells[$name]).' is not between 0 and 1000 mm.');
        }

        return $number;
    }

    /** @param  array<string, string>  $cells */
    private static function signed(array $cells, string $name): float
    {
        $number = self::number($cells, $name) ?? 0.0;

        return abs($number) <= 100.0 ? $number : throw Refused::because("{$name}: ".Quoted::text($cells[$name]).' is more than a cable can give.');
    }

    /** @param  array<string, string>  $cells */
    private static function number(array $cells, string $name): ?float
    {
        $text = self::text($cells, $name, 40);
        if ($text === null) {
            return null;
        }
        $plain = str_replace(',', '.', $text);

        return preg_match('/^[+\-]?\d+(\.\d+)?(e[+\-]?\d+)?$/i', $plain) === 1 && is_finite((float) $plain) ? (float) $plain : throw Refused::because("{$name}: ".Quoted::text($text).' is no number.');
    }

    /** @param  array<string, string>  $cells */
    private static function whole(array $cells, string $name): int
    {
        $text = (string) preg_replace('/\s+/u', '', $cells[$name] ?? '');

        return preg_match('/^\d{1,7}$/', $text) === 1 ? (int) $text : throw Refused::because("{$name}: ".Quoted::text($cells[$name] ?? '').' is no whole number of a meter.');
    }

    /** @param  array<string, string>  $cells */
    private static function day(array $cells, string $name): ?string
    {
        $text = self::text($cells, $name, 10);
        try {
            return $text === null ? null : Node::of($text, $name)->day();
        } catch (BadFile) {
            throw Refused::because("{$name}: ".Quoted::text($cells[$name]).' is no day, such as 2027-03-31.');
        }
    }

    /**
     * @template E of \BackedEnum
     *
     * @param  array<string, string>  $cells
     * @param  class-string<E>  $enum
     * @return E|null
     */
    private static function enum(array $cells, string $name, string $enum): ?BackedEnum
    {
        $text = self::text($cells, $name, 40);

        return $text === null ? null : $enum::tryFrom($text) ?? throw Refused::because("{$name}: ".Quoted::text($text).' is not one of: '.implode(', ', array_map(static fn (BackedEnum $one): string => (string) $one->value, $enum::cases())).'.');
    }

    /**
     * @param  array<string, string>  $cells
     * @return list<Part>
     */
    private static function parts(array $cells): array
    {
        $words = preg_split('/[\s,;]+/', self::text($cells, 'parts', 120) ?? '', -1, PREG_SPLIT_NO_EMPTY);

        return array_map(static fn (string $word): Part => Part::tryFrom($word) ?? throw Refused::because('parts: '.Quoted::text($word).' is none of: '.implode(', ', array_column(Part::cases(), 'value')).'.'), $words === false ? [] : $words);
    }

    /**
     * The job's own id, or one that the same line always has, so that a file taken twice is taken once.
     *
     * @param  array<string, string>  $cells
     */
    private static function id(array $cells, string $content): string
    {
        $id = mb_strtolower($cells['job'] ?? '');

        return match (true) {
            $id === '' => Uuid::uuid5(self::NAMESPACE, "vivid-pull history {$content}")->toString(),
            preg_match(EntryRequest::UUID, $id) === 1 => $id,
            default => throw Refused::because('job: this is no UUID. Leave it empty for a line from elsewhere.'),
        };
    }
}
