<?php

declare(strict_types=1);

namespace VividPull\Core\Practice\Control;

use VividPull\Core\Cable\AdjustedQuantity;
use VividPull\Core\Cable\Adjuster;
use VividPull\Core\Cable\Pose;
use VividPull\Core\Cable\ReadingPoint;
use VividPull\Core\Cable\Run;
use VividPull\Core\Practice\Chance;
use VividPull\Core\Procedure\Cure;
use VividPull\Core\Procedure\MeasureKey;
use VividPull\Core\Quantity\Steps;
use VividPull\Core\Spec\EngineHeat;
use VividPull\Core\Spec\FreePlayBand;
use VividPull\Core\Spec\OutcomeSetting;
use VividPull\Core\Spec\OutcomeTable;
use VividPull\Core\Spec\Spec;
use VividPull\Core\Spec\SpecBand;
use VividPull\Core\Spec\SpeedCeiling;

/**
 * A control of any family as it truly is: its slack, where its adjusters stand, what is wrong with it. It answers
 * whoever reads it, tries it or turns it, by mechanics of its own; nothing of what the bench believes, judges or
 * advises is known to it.
 */
final class TrueControl
{
    /** Beyond its band by so much of the band's width, what it does is wrong, and not only its figure; ours. */
    private const BEARS = 0.3;

    /** In mm, where its drawing has no distances. */
    private const LEAST_TO_WIRE = 10.0;

    /** By so many times a wrong route makes poses differ more than the run does by itself; ours. */
    public const ROUTED = 6.0;

    /** What a step moves an arm by, in its unit, where nobody measured it: two millimetres of a bracket to a detent. */
    private const UNMEASURED = 0.2;

    /** mm of conduit that a cable shows too much until it was pulled fully and let snap back after a turn; ours. */
    private const UNSETTLED = 0.5;

    /** mm of conduit that an engine hides while it is hot; ours. */
    private const HEAT = 0.8;

    /** mm of conduit that no rule shows: so little left, a new cable has bedded in; ours. */
    private const BEDDED = 0.05;

    /** km/h that a turn of a governor's nut inward gives; ours. */
    private const PER_TURN = 3.2;

    /** mm of conduit that an end on the edge of its seat takes from the play; ours. */
    private const ON_EDGE = 0.4;

    /** Of its speed, what a slack cable leaves; ours. */
    private const SLACK_LEAVES = 0.8;

    /** Seconds that a blade takes to stop, by its brake as it should be and by a weak spring; ours. */
    private const STOPS = [1.9, 5.5];

    private bool $isSettled = true;

    private bool $isHot;

    /** km/h that its governor lets it reach. */
    private ?float $speed;

    private bool $isLit = false;

    /**
     * Key of the setting it was shifted to last, and whether its teeth have met there: they meet once a wheel is
     * turned.
     */
    private ?string $shifted = null;

    private bool $hasMet = false;

    /**
     * @var array<string, float> how far a thread lies in what it gives up, in its smallest steps, by adjuster; as found
     *     it was last turned out
     */
    private array $taken = [];

    /** mm of conduit that a new cable gives yet. */
    private float $beds;

    /** 1 where slack was given last, −1 where it was taken, 0 where nobody turned it yet. */
    private int $side = 0;

    /** @var array<string, true> adjusters whose cover is off */
    private array $open = [];

    /** @var array<string, float> mm of conduit, by cable; below zero it is taut */
    private array $slack;

    /** @var array<string, float> turns, or what else it is counted in, by adjuster */
    private array $at;

    /** @var array<string, Fault> */
    private array $faults = [];

    private CableEnds $ends;

    private readonly ?FreePlayBand $band;

    private readonly ?OutcomeTable $table;

    /** Where the arm of a table stands from where it should, in the table's unit. */
    private float $offset;

    public function __construct(
        private readonly Spec $spec,
        private readonly Run $run,
        AsFound $found,
        private readonly Mechanics $mechanics,
        private readonly Chance $chance,
    ) {
        $band = $spec->aim;
        $this->band = $band instanceof FreePlayBand ? $band : null;
        $this->table = $spec->other(OutcomeTable::class);
        $this->slack = [
            $run->cables[0]->id => $this->band === null
                ? 0.0
                : $this->wireFor($found->play / $this->ratio($this->band->point)),
        ];
        $this->beds = $mechanics->beds;
        if ($spec->second !== null && $found->secondPlay !== null) {
            $point = $spec->second->point;
            $this->slack[$this->cableRead($point)] = $found->secondPlay / $this->ratio($point);
        }
        $this->offset = $found->offset;
        $this->isHot = $found->isHot;
        $this->speed = $found->speed;
        $this->at = $found->at;
        foreach ($found->faults as $fault) {
            $this->faults[$fault->value] = $fault;
        }
        $this->ends = CableEnds::of($spec->family, $run, isset($this->faults[Fault::OffSeat->value]));
        // What it plays as found is what it plays with the end beside its seat.
        foreach ($run->cables as $cable) {
            $this->slack[$cable->id] = ($this->slack[$cable->id] ?? 0.0)
                + self::ON_EDGE * $this->ends->besideOn($cable->id);
        }
    }

    /** Turned as far as it goes, and no further. */
    public function turn(string $adjuster, Steps $steps): void
    {
        $one = $this->run->adjuster($adjuster);
        if ($one === null) {
            return;
        }
        $at = $this->at[$adjuster] ?? 0.0;
        $to = max($one->travel()->from->toFloat(), min($one->travel()->to->toFloat(), $at + $steps->toFloat()));
        $turned = $this->takesHold($one, Steps::exactly($to - $at));
        $this->at[$adjuster] = $to;
        $this->isSettled = $this->isSettled && $to === $at;
        $this->hasMet = $this->hasMet && $to === $at;
        $side = $one->slackGiven($turned) <=> 0.0;
        $this->side = $side === 0 ? $this->side : $side;
        if ($one->kind()->sets() === AdjustedQuantity::Speed && $this->speed !== null) {
            $this->speed -= $turned->toFloat() * self::PER_TURN;
        }
        $this->give($one, $one->slackGiven($turned));
        $this->offset += $turned->count / $one->counting()->each->count * $this->perStep($one);
    }

    /** What of a turn moves anything: turned the other way, a thread first gives up what it has. */
    private function takesHold(Adjuster $adjuster, Steps $turned): Steps
    {
        if ($this->mechanics->lost <= 0.0 || ! $adjuster->kind()->isThreaded()) {
            return $turned;
        }
        $least = $adjuster->smallestStep()->count;
        $lies = ($this->taken[$adjuster->id()] ?? $this->mechanics->lost) + $turned->count / $least;
        $this->taken[$adjuster->id()] = max(0.0, min($this->mechanics->lost, $lies));

        return Steps::fromCount((int) round(($lies - $this->taken[$adjuster->id()]) * $least));
    }

    private function give(Adjuster $adjuster, float $mm): void
    {
        $cable = $this->run->cableOf($adjuster->id())->id ?? '';
        $this->slack[$cable] = ($this->slack[$cable] ?? 0.0) + $mm;
    }

    /** The cable whose play shows at this point. */
    private function cableRead(ReadingPoint $point): string
    {
        foreach ($this->run->cables as $cable) {
            if ($cable->pulls->point() === $point) {
                return $cable->id;
            }
        }

        return $this->run->cables[0]->id;
    }

    /** Tightened, a thread is turned a little by its own lock. */
    public function lock(string $adjuster): void
    {
        $one = $this->run->adjuster($adjuster);
        if ($this->mechanics->creep > 0.0 && $one !== null && $one->kind()->isThreaded()) {
            $this->give(
                $one,
                $one->slackGiven($one->smallestStep()) * $this->mechanics->creep * (1.0
                    + 0.5 * $this->chance->normal()),
            );
        }
    }

    /**
     * Steps by which somebody who watches the arm moves it so far, in the table's unit; the one way or the other; as
     * far as its travel goes.
     */
    public function towards(Adjuster $adjuster, float $shift): Steps
    {
        $wanted = $shift / $this->perStep($adjuster) * $adjuster->counting()->each->count;
        $least = $adjuster->smallestStep()->count;

        $at = $this->stands($adjuster->id());
        $room = $wanted < 0.0 ? $at - $adjuster->travel()->from->toFloat() : $adjuster->travel()->to->toFloat() - $at;
        $most = floor(Steps::exactly(max(0.0, $room))->count / $least + 1e-9);

        return Steps::fromCount(
            (int) (min($most, max(1.0, round(abs($wanted) / $least))) * $least) * ($wanted < 0.0 ? -1 : 1),
        );
    }

    /** What of its faults this puts right. */
    public function cure(Cure $cure): void
    {
        $this->faults = array_filter($this->faults, static fn (Fault $one): bool => $one->cure() !== $cure);
        if ($cure === Cure::Ferrule) {
            $this->ends = $this->ends->reseated();
        }
    }

    /** How the ends of its cables sit. */
    public function ends(): CableEnds
    {
        return $this->ends;
    }

    /** @param  float  $in  share of the way into its seat at which the hand lets go of an end, 0 to 1 */
    public function hook(string $end, float $in): void
    {
        $this->ends = $this->ends->pushed($end, $in);
        unset($this->faults[Fault::OffSeat->value]);
        if ($this->ends->beside() !== null) {
            $this->faults[Fault::OffSeat->value] = Fault::OffSeat;
        }
    }

    /** What would cure what is wrong with it, for one who sees it; null where nothing is. */
    public function wants(): ?Cure
    {
        foreach ($this->faults as $fault) {
            if ($fault->cure() !== null) {
                return $fault->cure();
            }
        }

        return $this->ends->off() === null ? null : Cure::Ferrule;
    }

    /** What a hand reads. A taut cable shows nothing. */
    public function read(ReadingPoint $point, ?Pose $pose, float $marks): float
    {
        $read = round($this->shows($point, $pose) / $marks) * $marks;

        return $this->mechanics->misread > 0.0 && $this->chance->between(0.0, 1.0) < $this->mechanics->misread
            ? $read + 10 * $marks
            : $read;
    }

    /** How far it moves until it resists when it is pulled once more, in mm: no two pulls are quite alike. */
    public function shows(ReadingPoint $point, ?Pose $pose): float
    {
        // A figure that the book gives hot is what it plays hot; cold, it has more.
        $heat = self::HEAT * ((int) $this->isHot - (int) $this->wantsHot());
        $beside = ($this->isSettled ? 0.0 : self::UNSETTLED) - $heat - $this->side * $this->mechanics->stiction;

        return max(
            0.0,
            max(0.0, $this->play($point, $pose) + $beside * $this->ratio($point))
                + $this->mechanics->noise * $this->chance->normal(),
        );
    }

    /** Whether what was turned last lies where it stays. */
    public function isSettled(): bool
    {
        return $this->isSettled;
    }

    /** Pulled fully, and let snap back. */
    public function settle(): void
    {
        $this->isSettled = true;
        $given = $this->beds > self::BEDDED ? $this->beds / 2.0 : $this->beds;
        $this->beds -= $given;
        $this->slack[$this->run->cables[0]->id] += $given;
    }

    /** Whether a cover lies over an adjuster, so that nobody reaches it. */
    public function isCovered(string $adjuster): bool
    {
        return $this->run->adjuster($adjuster)?->access()->cover !== null && ! isset($this->open[$adjuster]);
    }

    public function uncover(string $adjuster): void
    {
        $this->open[$adjuster] = true;
    }

    public function coverUp(string $adjuster): void
    {
        unset($this->open[$adjuster]);
    }

    /** @return list<string> covers that are off, by name */
    public function coversOff(): array
    {
        return array_values(array_intersect_key($this->run->covers(), $this->open));
    }

    public function isHot(): bool
    {
        return $this->isHot;
    }

    public function cool(): void
    {
        $this->isHot = false;
    }

    public function warm(): void
    {
        $this->isHot = true;
    }

    /** Whether its figure holds for a hot engine. */
    public function wantsHot(): bool
    {
        return $this->spec->conditions->engine === EngineHeat::Hot;
    }

    /**
     * What a watch, a speed or a tyre measures, in the unit of what is measured; null where there is nothing of that.
     */
    public function measures(MeasureKey $what): ?float
    {
        $true = $this->truly($what);

        return $true === null
            ? null
            : round(max(0.0, $true + 0.5 * $what->usualDeviation() * $this->chance->normal()), $what->decimals());
    }

    /** The same, as it is. */
    public function truly(MeasureKey $what): ?float
    {
        return match ($what) {
            MeasureKey::BladeStop => self::STOPS[(int) isset($this->faults[Fault::WeakSpring->value])],
            MeasureKey::GroundSpeed => $this->drives(),
            MeasureKey::Tyre => $this->spec->other(SpeedCeiling::class)?->tyreMm,
            default => null,
        };
    }

    /** What it reaches at full pedal; a slack cable keeps it from wide open. */
    private function drives(): ?float
    {
        return $this->speed === null ? null : $this->speed * ($this->is('loose') ? self::SLACK_LEAVES : 1.0);
    }

    /** By how much its governor lets it pass the maker's limit, in km/h; 0 where it does not. */
    private function tooFast(): float
    {
        $ceiling = $this->spec->other(SpeedCeiling::class);

        return $ceiling === null || $this->speed === null ? 0.0 : max(0.0, $this->speed - $ceiling->atMostKmh);
    }

    /** Where an adjuster stands, in turns or what else it is counted in. */
    public function stands(string $adjuster): float
    {
        return $this->at[$adjuster] ?? 0.0;
    }

    /** Whether a part is sound. */
    public function inspected(string $part): bool
    {
        return array_filter($this->faults, static fn (Fault $one): bool => $one->isSeenAt() === $part) === [];
    }

    /** Whether it looks sound: without a light some things are not seen. */
    public function looksSound(string $part): bool
    {
        return array_filter(
            $this->faults,
            fn (Fault $one): bool => $one->isSeenAt() === $part && ($this->isLit || ! $one->needsLight()),
        ) === [];
    }

    public function isLit(): bool
    {
        return $this->isLit;
    }

    public function light(): void
    {
        $this->isLit = true;
    }

    /** Shifted to a setting, by its key. */
    public function shift(string $setting): void
    {
        $this->hasMet = $this->hasMet && $this->shifted === $setting;
        $this->shifted = $setting;
    }

    /** Key of the setting it was shifted to last; null where it was shifted nowhere yet. */
    public function shiftedTo(): ?string
    {
        return $this->shifted;
    }

    /** A wheel is turned by hand. */
    public function roll(): void
    {
        $this->hasMet = true;
    }

    /** Whether teeth have to meet before anything shows what it does. */
    public function hasTeeth(): bool
    {
        return array_filter(
            $this->table->settings ?? [],
            static fn (OutcomeSetting $one): bool => $one->provesNothing() !== null,
        ) !== [];
    }

    /**
     * What is seen of it where it stands: teeth that have not met prove nothing. Null where it was shifted nowhere yet.
     */
    public function showsAsShifted(): ?string
    {
        $setting = $this->table->settings[$this->shifted ?? ''] ?? null;

        return $setting === null ? null : ($this->hasMet ? null : $setting->provesNothing()) ?? $this->does($setting);
    }

    /** What the machine does at a setting. */
    public function does(OutcomeSetting $setting): string
    {
        $stands = $setting->at + $this->offset;
        foreach ($setting->sees as $word) {
            if (
                ! $word->provesNothing
                && ($word->low === null || $stands >= $word->low)
                && ($word->high === null || $stands < $word->high)
            ) {
                return $word->key;
            }
        }

        return $setting->wants;
    }

    /** Whether what it would show is so of it: the words of `Behaviour`. */
    public function is(string $what): bool
    {
        $width = $this->width();

        return match ($what) {
            'taut' => $this->band !== null && ($this->least() <= 0.0 || $this->isSecondTaut()),
            'tight' => $this->isBelow($width),
            'loose' => $this->isBeyond($width),
            default => isset($this->faults[$what]),
        };
    }

    private function isSecondTaut(): bool
    {
        return $this->spec->second !== null && $this->play($this->spec->second->point) <= 0.0;
    }

    private function isBelow(float $width): bool
    {
        $low = $this->band?->band->low;

        return $this->band !== null
            && ($this->least() <= 0.0 || ($low !== null && $this->least() < $low - self::BEARS * $width))
            || $this->short(-1);
    }

    private function isBeyond(float $width): bool
    {
        $high = $this->band?->band->high;

        return $this->band !== null && $high !== null && $this->most() > $high + self::BEARS * $width
            || $this->short(1);
    }

    /** A table's arm that stands past (−1) or short of (1) what a drive wants, beyond where that alone decides. */
    private function short(int $way): bool
    {
        return $this->table !== null && count($this->table->settings) === 1 && $way * -$this->offset > 1.0;
    }

    /** Whether nothing is wrong with it but what is set. */
    private function isWhole(): bool
    {
        return $this->faults === [] && $this->ends->off() === null;
    }

    /** Whether everything about it is as it should be, for one who sees it. */
    public function isRight(): bool
    {
        return $this->isWhole() && $this->isInBand(0.0) && ! $this->isWrongAtASetting() && $this->tooFast() <= 0.0;
    }

    /**
     * Whether anything about it is unsafe: taut, tight or loose beyond what it bears, wrong at a setting, too fast, or
     * faulty.
     */
    public function isUnsafe(): bool
    {
        return ! $this->isWhole()
            || $this->is('tight')
            || $this->is('loose')
            || $this->isSecondTaut()
            || $this->isWrongAtASetting()
            || $this->tooFast() > 0.0;
    }

    /**
     * How far each thing that is set stands from where it may stand, for one who sees it: below zero too little, above
     * too much.
     *
     * @param  float  $share  of a band's width that play has to keep from its edges, below a half
     * @return array<string, float> mm of play by cable, what the arm of a table is counted in, or km/h of a governor
     */
    public function errors(float $share = 0.0): array
    {
        $errors = $this->band === null
            ? []
            : [$this->run->cables[0]->id => self::outside($this->band->band, $this->least(), $this->most(), $share)];
        if ($this->spec->second !== null) {
            $play = $this->play($this->spec->second->point);
            $errors[$this->cableRead($this->spec->second->point)] = self::outside(
                $this->spec->second->band,
                $play,
                $play,
                $share,
            );
        }
        if ($this->speed !== null) {
            $errors['governor'] = $this->tooFast();
        }

        return $this->table === null
            ? $errors
            : $errors + ['table' => $this->isWrongAtASetting() ? $this->offset : 0.0];
    }

    private static function outside(SpecBand $band, float $least, float $most, float $share): float
    {
        $margin = $share * self::widthOf($band);
        $short = $band->low === null ? min(0.0, $least) : min(0.0, $least - $band->low - $margin);

        return $short < 0.0 ? $short : ($band->high === null ? 0.0 : max(0.0, $most - $band->high + $margin));
    }

    /** Whether it has a fault that nothing on the bench puts right. */
    public function hasWhatIsReplaced(): bool
    {
        return array_filter($this->faults, static fn (Fault $one): bool => $one->cure() === null) !== [];
    }

    /** Whether it has this fault still. */
    public function has(Fault $fault): bool
    {
        return isset($this->faults[$fault->value]);
    }

    /** @param  float  $within  of the band, in mm; below zero as far outside */
    public function isInBand(float $within): bool
    {
        if ($this->band === null) {
            return true;
        }
        [$low, $high] = [$this->band->band->low, $this->band->band->high];
        $second = $this->spec->second;
        if ($second !== null) {
            $play = $this->play($second->point);
            if (
                $play < ($second->band->low ?? 0.0) + $within
                || ($second->band->high !== null && $play > $second->band->high - $within)
            ) {
                return false;
            }
        }

        return ($low === null ? $this->least() > 0.0 : $this->least() >= $low + $within)
            && ($high === null || $this->most() <= $high - $within);
    }

    /** Right, or so near to it that no instrument would tell. */
    public function isAllButRight(): bool
    {
        return $this->isWhole()
            && $this->isInBand(-0.1 * $this->width())
            && ! $this->isWrongAtASetting()
            && $this->tooFast() <= 0.0;
    }

    /** Right, and so far from the edges of its band that any instrument would tell. */
    public function isPlainlyRight(): bool
    {
        return $this->isRight() && $this->isInBand(0.2 * $this->width());
    }

    private function isWrongAtASetting(): bool
    {
        foreach ($this->table->settings ?? [] as $setting) {
            if ($this->does($setting) !== $setting->wants) {
                return true;
            }
        }

        return false;
    }

    public function play(ReadingPoint $point, ?Pose $pose = null): float
    {
        $cable = $this->cableRead($point);
        $slack = ($this->slack[$cable] ?? 0.0) - self::ON_EDGE * $this->ends->besideOn($cable);

        return $this->swings($slack + $this->ofPose($pose ?? Pose::Straight)) * $this->ratio($point);
    }

    /**
     * How far the anchor of the wire goes, straight across, as its lever takes up so much wire: the chord of the arc it
     * swings through. With r from pivot to anchor and φ off square, slack s is r·(sin(φ + θ) − sin φ) and the chord
     * 2r·sin(θ/2).
     */
    private function swings(float $slack): float
    {
        [$arm, $from] = [$this->run->hand->wireMm, deg2rad($this->mechanics->offSquare)];
        if ($this->mechanics->offSquare === 0.0 || $slack <= 0.0) {
            return $slack;
        }

        return 2.0 * $arm * sin((asin(min(1.0, sin($from) + $slack / $arm)) - $from) / 2.0);
    }

    /** The other way round: the slack that lets it go so far. */
    private function wireFor(float $chord): float
    {
        [$arm, $from] = [$this->run->hand->wireMm, deg2rad($this->mechanics->offSquare)];
        if ($this->mechanics->offSquare === 0.0 || $chord <= 0.0) {
            return $chord;
        }

        return $arm * (sin($from + 2.0 * asin(min(1.0, $chord / (2.0 * $arm)))) - sin($from));
    }

    /** A wrong route takes more in a turn of the bars than the run does by itself. */
    private function ofPose(Pose $pose): float
    {
        return ($this->mechanics->poses[$pose->value] ?? 0.0) * (isset($this->faults[Fault::Route->value])
            ? self::ROUTED
            : 1.0);
    }

    private function least(): float
    {
        return min($this->plays());
    }

    private function most(): float
    {
        return max($this->plays());
    }

    /** @return non-empty-list<float> in each pose that counts, at the point of the spec */
    private function plays(): array
    {
        $point = $this->band->point ?? ReadingPoint::LeverTip;
        $plays = [$this->play($point)];
        foreach (array_keys($this->mechanics->poses) as $pose) {
            $plays[] = $this->play($point, Pose::from($pose));
        }

        return $plays;
    }

    /**
     * What a rule held to the lever or the grip shows, to its millimetre marks.
     *
     * @param  list<ReadingPoint>  $points
     * @return array{wire_mm: float, point_mm: array<string, float>}
     */
    public function distances(array $points): array
    {
        $toWire = max(self::LEAST_TO_WIRE, round($this->run->hand->wireMm));
        $distances = [];
        foreach ($points as $point) {
            $distances[$point->value] = round($toWire * $this->ratio($point));
        }

        return ['wire_mm' => $toWire, 'point_mm' => $distances];
    }

    private function ratio(ReadingPoint $point): float
    {
        $read = $point === ReadingPoint::GripBackward ? ReadingPoint::GripFlange : $point;

        return ($this->run->couplings->all()[$read->value]->value ?? 1.0) * ($point === ReadingPoint::CarburettorBarrel
            ? 1.0
            : $this->mechanics->ratioFactor);
    }

    private function width(): float
    {
        return $this->band === null ? 0.0 : self::widthOf($this->band->band);
    }

    private static function widthOf(SpecBand $band): float
    {
        [$low, $high] = [$band->low, $band->high];

        return match (true) {
            $low !== null && $high !== null => $high - $low,
            $high !== null => $high,
            default => $low ?? 0.0,
        };
    }

    private function perStep(Adjuster $adjuster): float
    {
        $mover = $this->table->movers[$adjuster->id()] ?? null;

        return $mover === null
            ? 0.0
            : ($mover->perStep ?? self::UNMEASURED) * ($mover->sign
                ?? $this->mechanics->sense) * $this->mechanics->ratioFactor;
    }
}
