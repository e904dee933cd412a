<?php

declare(strict_types=1);

namespace App\Exchange;

use Ramsey\Uuid\Uuid;
use VividPull\Core\Cable\Part;
use VividPull\Core\Cable\ReadingPoint;
use VividPull\Core\Errors\CoreError;
use VividPull\Core\Errors\Quoted;
use VividPull\Core\Errors\Refused;
use VividPull\Core\Log\ClosingOutcome;
use VividPull\Core\Measurement\KeptReading;
use VividPull\Core\Spec\EngineHeat;

/** One closed job as a line of history: what was found and left, at what use, by whom. */
final readonly class HistoryRow
{
    public const COLUMNS = [
        'job', 'machine', 'control', 'day', 'usage', 'point', 'engine', 'found_mm', 'found_u_mm', 'left_mm',
        'left_u_mm', 'outcome', 'reason', 'parts', 'given_before_mm', 'next_check', 'signed_by',
    ];

    private const NAMESPACE = '6ba7b812-9dad-11d1-80b4-00c04fd430c8';

    /** Slack in mm that somebody can have given between two jobs. */
    private const MOST_GIVEN = 100.0;

    public string $job;

    public string $machine;

    public string $control;

    public string $day;

    public int $usage;

    public ?ReadingPoint $point;

    public ?EngineHeat $engine;

    public ?float $found;

    public ?float $foundU;

    public ?float $left;

    public ?float $leftU;

    public ClosingOutcome $outcome;

    public ?string $reason;

    /** @var list<Part> */
    public array $parts;

    public float $given;

    public ?string $nextCheck;

    public string $signedBy;

    private function __construct(Cells $cells)
    {
        [$this->found, $this->left] = [$cells->mm('found_mm'), $cells->mm('left_mm')];
        $machine = $cells->text('machine', 20) ?? throw Refused::because('machine: which tag?');
        $this->machine = mb_strtoupper($machine);
        $this->control = $cells->text('control', 40)
            ?? throw Refused::because('control: which one, by its short name?');
        $this->day = $cells->day('day') ?? throw Refused::because('day: when was it?');
        $this->usage = $cells->whole('usage');
        $this->job = $cells->uuid('job', 'Leave it empty for a line from elsewhere.')
            ?? self::idOf([$machine, $this->control, $this->day, $this->usage, $this->found, $this->left]);
        $this->point = $cells->enum('point', ReadingPoint::class);
        $this->engine = $cells->enum('engine', EngineHeat::class);
        $this->foundU = $this->found === null ? null : $cells->mm('found_u_mm') ?? KeptReading::USUAL_STANDARD_MM;
        $this->leftU = $this->left === null ? null : $cells->mm('left_u_mm') ?? KeptReading::USUAL_STANDARD_MM;
        $this->outcome = $cells->enum('outcome', ClosingOutcome::class) ?? ClosingOutcome::Fit;
        $this->reason = $cells->text('reason', 500);
        $this->parts = self::parts($cells);
        $this->given = self::given($cells);
        $this->nextCheck = $cells->day('next_check');
        $this->signedBy = $cells->text('signed_by', 60) ?? throw Refused::because('signed_by: who stood for it?');
    }

    /**
     * From cells of a CSV, or the values of a JSON object.
     *
     * @param  array<string, mixed>  $row
     *
     * @throws CoreError If a cell is not what its column takes.
     */
    public static function from(array $row): self
    {
        return new self(Cells::of($row, self::COLUMNS, 'a history'));
    }

    /** @return list<string|int|float|null> in the order of the columns */
    public function cells(): array
    {
        return [
            $this->job,
            $this->machine,
            $this->control,
            $this->day,
            $this->usage,
            $this->point?->value,
            $this->engine?->value,
            $this->found,
            $this->foundU,
            $this->left,
            $this->leftU,
            $this->outcome->value,
            $this->reason,
            implode(' ', array_map(static fn (Part $one): string => $one->value, $this->parts)),
            $this->given,
            $this->nextCheck,
            $this->signedBy,
        ];
    }

    /** @return array<string, string|int|float|null> */
    public function wire(): array
    {
        return array_combine(self::COLUMNS, $this->cells());
    }

    private static function given(Cells $cells): float
    {
        $given = $cells->number('given_before_mm') ?? 0.0;

        return abs($given) <= self::MOST_GIVEN
            ? $given
            : throw Refused::because(
                'given_before_mm: '.Quoted::text((string) $cells->text('given_before_mm', 40))
                    .' is more than a cable can give.',
            );
    }

    /** @return list<Part> */
    private static function parts(Cells $cells): array
    {
        $words = preg_split('/[\s,;]+/', $cells->text('parts', 120) ?? '', -1, PREG_SPLIT_NO_EMPTY);

        return array_map(
            static fn (string $word): Part => Part::tryFrom($word)
                ?? throw Refused::because(
                    'parts: '.Quoted::text($word).' is none of: '.implode(', ', array_column(Part::cases(), 'value'))
                        .'.',
                ),
            $words === false ? [] : $words,
        );
    }

    /**
     * An id that the same line always has, so that a file taken twice is taken once.
     *
     * @param  list<string|int|float|null>  $content
     */
    private static function idOf(array $content): string
    {
        return Uuid::uuid5(self::NAMESPACE, 'vivid-pull history '.implode('|', $content))->toString();
    }
}
