<?php

declare(strict_types=1);

namespace App\Gauges;

use App\Gauges\Simulated\SimulatedKind;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use VividPull\Core\Errors\BadFile;
use VividPull\Core\Errors\Refused;
use VividPull\Core\Input\Node;
use VividPull\Core\Practice\Lesson\Lesson;
use VividPull\Core\Practice\Lesson\LessonBook;

/** The simulated gauges of the demo, worked from a page as a hand would work real ones. */
final readonly class SimulatedGauges
{
    private const WORDS = '/^(?:(?:show|press) \d{1,4}(?:\.\d{1,4})?|press|lever \d{1,6}|hang [a-z][a-z0-9_]{0,39}|turn [a-z0-9_]{1,40} -?\d{1,2}(?:\.\d{1,3})?|pull \d{1,6}|hold|let go|unplug|plug|fault (?:none|dropout|half|garbage|unit|low))$/D';

    private const PATIENCE_S = 0.5;

    /**
     * @return list<array{key: string, name: string, unit: string, machines: list<array{key: string, name: string}>}>
     */
    public static function all(): array
    {
        $found = [];
        foreach (SimulatedKind::cases() as $kind) {
            if (self::socket($kind) !== null) {
                $found[] = [
                    'key' => $kind->value,
                    'name' => $kind->label(),
                    'unit' => $kind->unit(),
                    'machines' => $kind->unit() === 'mm' ? self::machines() : [],
                ];
            }
        }

        return $found;
    }

    /** @return list<array{key: string, name: string}> of lessons, those on which play is read */
    private static function machines(): array
    {
        $read = array_values(array_filter(LessonBook::all(), static fn (Lesson $one): bool => $one->points() !== []));

        return array_map(
            static fn (Lesson $one): array => ['key' => $one->tale->key, 'name' => $one->tale->title],
            $read,
        );
    }

    public static function tell(string $gauge, Node $node): void
    {
        $socket = self::socket(SimulatedKind::tryFrom($gauge)) ?? throw new ModelNotFoundException;
        $words = array_map(
            static fn (Node $one): string => preg_match(self::WORDS, $one->string(40)) === 1
                ? $one->string(40)
                : throw BadFile::at($one->path, 'these are no words for a gauge.'),
            $node->object(['words'])->at('words')->items(10),
        );
        $to = @stream_socket_client("unix://{$socket}", $code, $why, self::PATIENCE_S);
        if ($to === false) {
            throw Refused::because('The simulated gauge does not answer. It begins again in a moment.');
        }
        fwrite($to, implode("\n", $words)."\n");
        fclose($to);
    }

    private static function socket(?SimulatedKind $kind): ?string
    {
        $folder = config('app.simulated_gauges');
        $path = is_string($folder) && $kind !== null ? "{$folder}/{$kind->value}.words" : '';

        return $path !== '' && file_exists($path) ? $path : null;
    }
}
