<?php

declare(strict_types=1);

namespace App\Gauges;

use App\Bench\EntryRequest;
use App\Models\Instrument;
use App\Refusals\Conflict;
use Carbon\CarbonImmutable;
use stdClass;
use VividPull\Core\Errors\Refused;
use VividPull\Core\Gauge\GaugeSettings;
use VividPull\Core\Input\Node;
use VividPull\Core\Quantity\Unit;

/**
 * What a computer says of everything it sends: its id, of which gauge, how that one's lines are read, and how long ago
 * it was measured.
 */
final readonly class Heard
{
    public const REQUIRED = ['id', 'instrument', 'age_ms'];

    public const OPTIONAL = ['unit', 'before'];

    /** Older than this, nobody remembers what was measured. */
    private const LONGEST_AGE_MS = 24 * 3600 * 1000;

    private function __construct(
        public string $id,
        private Instrument $instrument,
        public GaugeSettings $reads,
        public CarbonImmutable $at,
    ) {}

    public static function of(Node $node, CarbonImmutable $now): self
    {
        return new self(
            EntryRequest::uuid($node->at('id')),
            Instrument::query()->whereNull('retired_at')->find($node->at('instrument')->string(40))
                ?? throw Refused::because('No such instrument is on the shelf.'),
            new GaugeSettings(
                $node->optionalEnum('unit', Unit::class),
                $node->optionalString('before', 8) ?? '',
            ),
            $now->subMilliseconds($node->at('age_ms')->integer(0, self::LONGEST_AGE_MS)),
        );
    }

    public function instrument(): string
    {
        return $this->instrument->id;
    }

    public function name(): string
    {
        return $this->instrument->instrument()->name;
    }

    /** What it shows. */
    public function shows(): string
    {
        return $this->instrument->kind()->dimension()->value;
    }

    /** @throws Conflict If no job listened to this gauge then. */
    public function claim(string $entered): stdClass
    {
        return Listening::at($this->instrument(), $this->at)
            ?? throw new Conflict(
                "{$this->name()} shows {$entered}, and no job listened to it then. Open the job, and let it speak there.",
            );
    }
}
