<?php

declare(strict_types=1);

namespace App\Exchange;

use VividPull\Core\Cable\Pose;
use VividPull\Core\Cable\ReadingPoint;
use VividPull\Core\Errors\Quoted;
use VividPull\Core\Errors\Refused;
use VividPull\Core\Spec\EngineHeat;
use VividPull\Core\Spec\Wheels;

/** One reading as a line: what was read, where and with what, and of which job it is. */
final readonly class ReadingRow
{
    public const COLUMNS = [
        'reading', 'job', 'machine', 'control', 'at', 'by', 'point', 'pose', 'engine', 'wheels', 'instrument',
        'entered', 'value_mm', 'written_step_mm', 'put_right', 'taken_back',
    ];

    /** @param  array<string, mixed>  $body  as the log keeps it */
    private function __construct(
        public string $id,
        public string $job,
        public string $machine,
        public string $control,
        public string $at,
        public string $by,
        public array $body,
        public bool $putRight,
        public bool $takenBack,
    ) {}

    /**
     * @param  array<array-key, mixed>  $row  cells of a CSV, or the values of a JSON object
     *
     * @throws Refused If a cell is not what its column takes.
     */
    public static function from(array $row): self
    {
        $cells = Cells::of($row, self::COLUMNS, 'a file of readings');
        $text = static fn (string $name, int $most): string => $cells->text($name, $most)
            ?? throw Refused::because("{$name}: this is empty.");
        $said = static function (string $name) use ($cells): bool {
            $word = $cells->text($name, 3);

            return $word === null
                ? false
                : $word === 'yes'
                    || throw Refused::because("{$name}: ".Quoted::text($word).' is neither “yes” nor empty.');
        };

        return new self(
            $cells->uuid('reading') ?? throw Refused::because('reading: each has an id of its own, a UUID.'),
            $cells->uuid('job') ?? throw Refused::because('job: of which one, by its id?'),
            mb_strtoupper($text('machine', 20)), $text('control', 40), $text('at', 40), $text('by', 60),
            [
                'mm' => $cells->mm('value_mm') ?? throw Refused::because('value_mm: this is empty.'),
                'entered' => $text('entered', 60),
                'point' => ($cells->enum('point', ReadingPoint::class)
                    ?? throw Refused::because('point: where was it read?'))->value,
                'instrument' => $text('instrument', 40),
                ...self::where($cells->enum('engine', EngineHeat::class)?->value, 'engine'),
                ...self::where($cells->enum('wheels', Wheels::class)?->value, 'wheels'),
                ...self::where($cells->enum('pose', Pose::class)?->value, 'pose'),
                ...self::where($cells->mm('written_step_mm'), 'written_step_mm'),
            ],
            $said('put_right'), $said('taken_back'),
        );
    }

    /**
     * @param  array<string, mixed>  $body
     * @return list<string|float|null> in the order of the columns
     */
    public static function cells(
        string $id,
        string $job,
        string $machine,
        string $control,
        string $at,
        string $by,
        array $body,
        bool $putRight,
        bool $takenBack,
    ): array {
        return [
            $id,
            $job,
            $machine,
            $control,
            $at,
            $by,
            $body['point'],
            $body['pose'] ?? null,
            $body['engine'] ?? null,
            $body['wheels'] ?? null,
            $body['instrument'],
            $body['entered'],
            (float) $body['mm'],
            isset($body['written_step_mm']) ? (float) $body['written_step_mm'] : null,
            $putRight ? 'yes' : null,
            $takenBack ? 'yes' : null,
        ];
    }

    /** @return array<string, string|float> */
    private static function where(string|float|null $value, string $name): array
    {
        return $value === null ? [] : [$name => $value];
    }
}
