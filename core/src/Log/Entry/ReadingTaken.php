<?php

declare(strict_types=1);

namespace VividPull\Core\Log\Entry;

use VividPull\Core\Cable\Pose;
use VividPull\Core\Cable\ReadingPoint;
use VividPull\Core\Input\Node;
use VividPull\Core\Log\Decoding;
use VividPull\Core\Log\Draft;
use VividPull\Core\Log\EntryKind;
use VividPull\Core\Log\LogNames;
use VividPull\Core\Log\Stamp;
use VividPull\Core\Quantity\NotUnderstood;
use VividPull\Core\Quantity\QuantityReader;
use VividPull\Core\Quantity\ReadQuantity;
use VividPull\Core\Quantity\Unit;
use VividPull\Core\Spec\EngineHeat;
use VividPull\Core\Spec\Spec;
use VividPull\Core\Spec\Wheels;

/** One reading of free play, with everything it must carry to be compared. */
final readonly class ReadingTaken extends Entry
{
    public function __construct(
        Stamp $stamp,
        public float $mm,
        public string $entered,
        /**
         * How coarse the person wrote it beyond what the instrument shows, in mm: 3.2 for 4/8 in, 1 for 3 to 4 mm; 0
         * where not.
         */
        public float $writtenStep,
        public ReadingPoint $point,
        public Pose $pose,
        /** Null where the figure holds in any state, and nobody was asked. */
        public ?EngineHeat $engine,
        public ?Wheels $wheels,
        public string $instrument,
    ) {
        parent::__construct($stamp);
    }

    /** Whether it was read off a scale of inches, as its words tell. */
    public function isInInches(): bool
    {
        return preg_match(
            '/\/|[½⅓⅔¼¾⅛⅜⅝⅞]|\d\s*(?:"|\'\'|″|in\b|inch|thou|mil\b)|\b(?:half|quarter|eighth|sixteenth)/u',
            $this->entered,
        ) === 1;
    }

    /**
     * @param  string  $entered  as it was typed, with its unit where that is not mm
     * @param  ConditionNoted|null  $stands  how the machine stands; null where nobody was asked
     */
    public static function draft(
        ReadQuantity $read,
        string $entered,
        ReadingPoint $point,
        Pose $pose,
        string $instrument,
        ?ConditionNoted $stands,
    ): Draft {
        return new Draft(EntryKind::Reading, [
            'mm' => $read->value,
            'entered' => $entered,
            'written_step_mm' => $read->coarseness,
            'point' => $point->value,
            'pose' => $pose->value,
            'instrument' => $instrument,
        ] + ConditionNoted::draft($stands?->engine, $stands?->wheels)->body);
    }

    /** What it should have said, of the machine as it stood then. */
    public function saidAnew(Draft $becomes): Draft
    {
        $stood = ConditionNoted::draft($this->engine, $this->wheels)->body;

        return new Draft($becomes->kind, $stood + array_diff_key($becomes->body, ['engine' => true, 'wheels' => true]));
    }

    public static function from(Node $body, Stamp $stamp, Decoding $with): self
    {
        $body->object(['mm', 'entered', 'point', 'instrument'], ['pose', 'engine', 'wheels', 'written_step_mm']);

        return new self(
            $stamp,
            $body->at('mm')->number(-10_000, 1e9),
            $body->at('entered')->string(60),
            self::coarseness($body),
            $body->at('point')->enum(ReadingPoint::class),
            $body->optionalEnum('pose', Pose::class) ?? Pose::Straight,
            $body->optionalEnum('engine', EngineHeat::class),
            $body->optionalEnum('wheels', Wheels::class),
            $body->at('instrument')->string(40),
        );
    }

    public function kind(): EntryKind
    {
        return EntryKind::Reading;
    }

    public function said(LogNames $names): string
    {
        return "Read {$this->entered}".(is_numeric($this->entered) ? ' mm' : '')
            ." at the {$names->spec->pointName($this->point)}"
            .(count($names->spec->conditions->poses) < 2 ? '' : ", {$this->pose->label()}");
    }

    /** Whether this reading repeats the other: the same thing, read the same way, by the same person. */
    public function repeats(self $other, Spec $spec): bool
    {
        return $this->isOfSame($other, $spec)
            && $this->instrument === $other->instrument
            && $this->stamp->by->is($other->stamp->by);
    }

    /** Whether both are of the same play, as far as the state of the machine tells. */
    public function isOfSame(self $other, Spec $spec): bool
    {
        return $this->point === $other->point
            && $this->pose === $other->pose
            && (! $spec->heatMatters() || $this->engine === $other->engine)
            && (! $spec->wheelsMatter() || $this->wheels === $other->wheels);
    }

    /**
     * How coarse a reading was written beyond what its instrument shows. Logs from before said 12.7 of `1/2 in`, which
     * is half an inch and no coarser than the rule: where the words tell, they count.
     */
    private static function coarseness(Node $body): float
    {
        $said = $body->optionalNumber('written_step_mm', 0, 1000) ?? 0.0;
        if ($said === 0.0) {
            return 0.0;
        }
        try {
            return QuantityReader::defaultingTo(Unit::Millimetre)->read($body->at('entered')->string(60))->coarseness;
        } catch (NotUnderstood) {
            return $said;
        }
    }
}
