<?php

declare(strict_types=1);

namespace App\Exchange;

use App\Models\Audit;
use App\Models\SpecVersion;
use App\Models\User;
use VividPull\Core\Errors\BadFile;
use VividPull\Core\Errors\Refused;
use VividPull\Core\Input\Node;
use VividPull\Core\Spec\FamilyKey;
use VividPull\Core\Wire\RunDraft;
use VividPull\Core\Wire\SpecCodec;
use VividPull\Core\Wire\StartingSpec;

/** Specs from elsewhere: each comes in as a draft, for a second person here to hold against its document. */
final class SpecImport implements LineImport
{
    /**
     * Columns of the flat form, which holds the play and its source; all else stays as it stands here, or as the family
     * begins.
     */
    public const COLUMNS = [
        'model', 'control', 'name', 'minutes', 'family', 'point', 'low_mm', 'high_mm', 'printed', 'engine', 'document',
        'edition', 'page', 'date', 'entered_by',
    ];

    /** @var array<string, true> */
    private array $seen = [];

    public function __construct(private readonly User $by) {}

    public function format(): string
    {
        return 'vivid-pull/specs@1';
    }

    public function key(): string
    {
        return 'specs';
    }

    public function columns(): array
    {
        return self::COLUMNS;
    }

    public function consider(array $row): ?object
    {
        $made = isset($row['spec']) ? self::whole($row) : self::flat($row);
        $name = "{$made['model']}/{$made['control']}";
        if (isset($this->seen[$name])) {
            throw Refused::because("{$made['model']}, {$made['name']} stands in the file twice.");
        }
        $this->seen[$name] = true;
        $newest = self::newest($made['model'], $made['control']);

        return $newest !== null && self::same($newest, $made) ? null : (object) $made;
    }

    public function write(array $taken): void
    {
        foreach ($taken as $made) {
            $row = (array) $made;
            $version = (int) SpecVersion::query()
                ->where('model', $row['model'])
                ->where('control', $row['control'])
                ->max('version');
            SpecVersion::query()->create($row + ['version' => $version + 1, 'entered_by_id' => $this->by->id]);
        }
        if ($taken !== []) {
            Audit::note($this->by, 'specs imported', count($taken).' drafts');
        }
    }

    public function finish(): void {}

    /** @return array<string, mixed> what a spec is, as a line of JSON says it */
    public static function wire(SpecVersion $one): array
    {
        return [
            'model' => $one->model,
            'control' => $one->control,
            'name' => $one->name,
            'minutes' => $one->minutes,
            'spec' => $one->body,
            'run' => $one->run,
        ];
    }

    /** @return list<string|int|float|null> */
    public static function cells(SpecVersion $one): array
    {
        $body = $one->body;
        $aim = $body['aim'] ?? [];
        $float = static fn (mixed $value): ?float => $value === null ? null : (float) $value;

        return [
            $one->model,
            $one->control,
            $one->name,
            $one->minutes,
            $body['family'],
            $aim['point'] ?? null,
            $float($aim['low_mm'] ?? null),
            $float($aim['high_mm'] ?? null),
            $body['book']['printed'] ?? null,
            $body['conditions']['engine'] ?? null,
            $body['source']['document'],
            $body['source']['edition'] ?? null,
            $body['source']['page'] ?? null,
            $body['source']['date'] ?? null,
            $body['source']['entered_by'] ?? null,
        ];
    }

    /**
     * @param  array<string, mixed>  $row
     * @return array{
     *     model: string, control: string, name: string, minutes: int, body: array<string, mixed>,
     *     run: array<string, mixed>|null,
     * }
     */
    private static function whole(array $row): array
    {
        $node = Node::of($row)->object(['model', 'control', 'name', 'minutes', 'spec', 'run']);
        $body = SpecCodec::encode(SpecCodec::draft($node->at('spec')));
        if ($node->at('run')->value !== null) {
            RunDraft::of($node->at('run'));
        }

        return self::head($node)
            + ['body' => $body, 'run' => $node->at('run')->value === null ? null : (array) $node->at('run')->value];
    }

    /**
     * @param  array<string, mixed>  $row
     * @return array{
     *     model: string, control: string, name: string, minutes: int, body: array<string, mixed>,
     *     run: array<string, mixed>|null,
     * }
     */
    private static function flat(array $row): array
    {
        if (isset($row['']) || array_diff(array_keys($row), self::COLUMNS) !== []) {
            throw Refused::because(
                'This line has more cells than the first line has names, or a name that is no column.',
            );
        }
        $cells = array_filter(
            array_map(
                static fn (mixed $cell): string => is_scalar($cell)
                    ? trim((string) $cell)
                    : throw Refused::because('A cell is no text.'),
                $row,
            ),
            static fn (string $cell): bool => $cell !== '',
        );
        foreach ($cells as $name => $cell) {
            mb_check_encoding($cell, 'UTF-8')
                || throw Refused::because("{$name}: this is no text in UTF-8. Save the file as UTF-8.");
        }
        $minutes = $cells['minutes'] ?? '15';
        $node = Node::of(['minutes' => ctype_digit($minutes) ? (int) $minutes : $minutes] + $cells);
        $head = self::head($node);
        $stands = self::newest($head['model'], $head['control']);
        $family = $node->at('family')->enum(FamilyKey::class);
        $starting = $stands !== null && $stands->body['family'] === $family->value
            ? ['spec' => $stands->body, 'run' => $stands->run]
            : StartingSpec::of($family);
        $spec = SpecCodec::decode(Node::of(self::put($starting['spec'], $cells)));

        return $head + ['body' => SpecCodec::encode($spec), 'run' => $starting['run']];
    }

    /** @return array{model: string, control: string, name: string, minutes: int} */
    private static function head(Node $node): array
    {
        $control = $node->at('control')->id();
        if (preg_match('/^[a-z][a-z0-9_]*$/', $control) !== 1) {
            throw BadFile::at(
                '$.control',
                'the short name of a control is small letters, digits and underscores, such as front_brake.',
            );
        }

        return [
            'model' => $node->at('model')->string(60),
            'control' => $control,
            'name' => $node->at('name')->string(60),
            'minutes' => $node->at('minutes')->integer(1, 600),
        ];
    }

    /**
     * The cells of a flat line put into a spec.
     *
     * @param  array<string, mixed>  $spec
     * @param  array<string, string>  $cells
     * @return array<string, mixed>
     */
    private static function put(array $spec, array $cells): array
    {
        unset($spec['aim']);
        if (isset($cells['low_mm']) || isset($cells['high_mm'])) {
            $spec['aim'] = array_filter(
                [
                    'kind' => SpecCodec::AIM,
                    'point' => $cells['point'] ?? null,
                    'low_mm' => self::number($cells, 'low_mm'),
                    'high_mm' => self::number($cells, 'high_mm'),
                ],
                static fn (mixed $value): bool => $value !== null,
            );
        }
        $spec['conditions']['engine'] = $cells['engine'] ?? null;
        $book = array_filter(
            ['printed' => $cells['printed'] ?? null] + ($spec['book'] ?? []),
            static fn (mixed $value): bool => $value !== null,
        );
        unset($spec['book']);
        if ($book !== []) {
            $spec['book'] = $book;
        }
        $kind = isset($cells['document']) && ($spec['source']['document'] ?? null) === $cells['document']
            ? ($spec['source']['kind'] ?? null)
            : null;
        $spec['source'] = array_filter(
            [
                'kind' => $kind,
                'document' => $cells['document'] ?? null,
                'edition' => $cells['edition'] ?? null,
                'page' => $cells['page'] ?? null,
                'date' => $cells['date'] ?? null,
                'entered_by' => $cells['entered_by'] ?? null,
            ],
            static fn (mixed $value): bool => $value !== null,
        );

        return $spec;
    }

    /**
     * @param  array<string, string>  $cells
     *
     * @throws Refused If it is no number.
     */
    private static function number(array $cells, string $name): ?float
    {
        $written = str_replace(',', '.', $cells[$name] ?? '');

        return match (true) {
            ! isset($cells[$name]) => null,
            is_numeric($written) => (float) $written,
            default => throw Refused::because("{$name}: “".mb_substr($cells[$name], 0, 40).'” is no number.'),
        };
    }

    private static function newest(string $model, string $control): ?SpecVersion
    {
        return SpecVersion::query()
            ->where('model', $model)
            ->where('control', $control)
            ->orderByDesc('version')
            ->first();
    }

    /** @param  array{name: string, minutes: int, body: array<string, mixed>, run: array<string, mixed>|null}  $made */
    private static function same(SpecVersion $one, array $made): bool
    {
        $plain = static function (array $body): array {
            $encoded = SpecCodec::encode(SpecCodec::draft(Node::of($body)));
            unset($encoded['source']['checked_by']);

            return $encoded;
        };

        return $one->name === $made['name']
            && $one->minutes === $made['minutes']
            && self::plainly($one->run) === self::plainly($made['run'])
            && self::plainly($plain($one->body)) === self::plainly($plain($made['body']));
    }

    /** The same thing written one way: whole figures as figures, keys in order, for 10 and 10.0 are one. */
    private static function plainly(mixed $value): mixed
    {
        if (! is_array($value)) {
            return is_int($value) ? (float) $value : $value;
        }
        $plain = array_map(self::plainly(...), array_filter($value, static fn (mixed $one): bool => $one !== null));
        ksort($plain);

        return $plain;
    }
}
