<?php

declare(strict_types=1);

namespace VividPull\Core\Wire;

use VividPull\Core\Bench\Bench;
use VividPull\Core\Bench\BenchState;
use VividPull\Core\Bench\MeasuredHand;
use VividPull\Core\Bench\Warnings;
use VividPull\Core\Cable\HandKind;
use VividPull\Core\Cable\Knowledge;
use VividPull\Core\Cable\Part;
use VividPull\Core\Cable\ReadingPoint;
use VividPull\Core\Family\Families;
use VividPull\Core\Judging\GateState;
use VividPull\Core\Judging\GateStatus;
use VividPull\Core\Log\ClosingOutcome;
use VividPull\Core\Log\Entry\Closed;
use VividPull\Core\Log\Person;
use VividPull\Core\Log\Role;
use VividPull\Core\Procedure\GateKey;
use VividPull\Core\Procedure\JobStage;
use VividPull\Core\Procedure\Proof;
use VividPull\Core\Progress\QuickCheck;
use VividPull\Core\Spec\EngineHeat;
use VividPull\Core\Spec\FamilyKey;
use VividPull\Core\Spec\RidersWish;
use VividPull\Core\Spec\Wheels;

/**
 * A bench state to the wire: everything a screen shows, with units in the keys. Nothing is left to work out.
 *
 * @phpstan-import-type JobSpecShape from JobSpecCodec
 * @phpstan-import-type InstrumentShape from JobSpecCodec
 * @phpstan-import-type StageShape from StagesCodec
 * @phpstan-import-type AdjusterShape from AdjusterCodec
 * @phpstan-import-type BandShape from JudgedCodec
 * @phpstan-import-type JudgedShape from JudgedCodec
 * @phpstan-import-type PoseReadingShape from JudgedCodec
 * @phpstan-import-type ExpectedShape from LearnedCodec
 * @phpstan-import-type LearnedShape from LearnedCodec
 * @phpstan-import-type NextMoveShape from AdviceCodec
 * @phpstan-import-type WayHomeShape from AdviceCodec
 * @phpstan-import-type LogRowShape from LogRows
 * @phpstan-import-type BesideShape from BesideCodec
 *
 * @phpstan-type Day string
 * @phpstan-type BenchStateShape array{
 *     engine: string,
 *     // Id of the newest entry; sent back as `after`.
 *     head: string,
 *     family: array{
 *         key: value-of<FamilyKey>,
 *         title: string,
 *         allows_by_choice: bool,
 *     },
 *     spec: JobSpecShape,
 *     hand: JobHandShape,
 *     working_end: string,
 *     stage: value-of<JobStage>,
 *     stages: list<StageShape>,
 *     asks: string|null,
 *     condition: ConditionShape|null,
 *     adjusters: list<AdjusterShape>,
 *     found: JudgedShape,
 *     now: JudgedShape,
 *     poses: list<PoseReadingShape>,
 *     working_band: BandShape|null,
 *     expected: ExpectedShape|null,
 *     learned: LearnedShape,
 *     next: NextMoveShape,
 *     way_home: list<WayHomeShape>,
 *     gates: list<array{
 *         key: value-of<GateKey>,
 *         title: string,
 *         status: value-of<GateStatus>,
 *         sentence: string,
 *     }>,
 *     closing: ClosingShape,
 *     tag: TagShape|null,
 *     by_choice: string|null,
 *     closed: ClosedShape|null,
 *     people: list<PersonHereShape>,
 *     shelf: list<InstrumentShape>,
 *     warnings: list<string>,
 *     log: list<LogRowShape>,
 *     // What can be fitted new.
 *     parts: list<array{
 *         key: string,
 *         label: string,
 *     }>,
 *     // The closing cable of a push-pull pair, in the place of the opening one; null where there is one
 *     // cable.
 *     pair: PairedCableShape|null,
 *     beside: BesideShape,
 *     // What the second cable is called, where there is one.
 *     second_label: string|null,
 *     // What the first cable is called, where there are two.
 *     first_label: string|null,
 *     // How the rider wants it.
 *     wish: WishShape|null,
 *     // Whether where it bites is a matter of taste here.
 *     may_wish_bite: bool,
 *     // Of a job that was begun as a check; null where a whole job was begun.
 *     check: CheckUnderWayShape|null,
 *     // That the machine stands otherwise than its figure is for, where it is to be read: what is read so is
 *     // not judged.
 *     wrong_state: string|null,
 * }
 * @phpstan-type JobHandShape array{
 *     kind: value-of<HandKind>,
 *     name: string,
 *     ratio: float,
 *     knowledge: value-of<Knowledge>,
 *     // What can be measured of it, that to the wire first; empty where play is not read at it.
 *     distances: list<DistanceShape>,
 *     how_to_measure: string,
 *     // Whether they were measured on this machine.
 *     of_machine: bool,
 * }
 * @phpstan-type DistanceShape array{
 *     // Null is the wire.
 *     point: value-of<ReadingPoint>|null,
 *     label: string,
 *     // As it is known so far.
 *     mm: float|null,
 * }
 * @phpstan-type ConditionShape array{
 *     engine: value-of<EngineHeat>|null,
 *     wheels: value-of<Wheels>|null,
 *     // The same in words.
 *     label: string,
 * }
 * @phpstan-type ClosingShape array{
 *     fit: list<string>,
 *     by_choice: list<string>,
 *     tagged: list<string>,
 *     checked: list<string>,
 * }
 * @phpstan-type CheckUnderWayShape array{
 *     on: bool,
 *     // Why it is a whole job now.
 *     over: string|null,
 *     // What whoever signs it says beside the reading.
 *     says: list<string>,
 * }
 * @phpstan-type WishShape array{
 *     say: string,
 *     play_mm: float|null,
 *     bite: string|null,
 *     said: string|null,
 * }
 * @phpstan-type TagShape array{
 *     reason: string,
 *     // ISO 8601 with offset
 *     at: string,
 *     by: string,
 * }
 * @phpstan-type ClosedShape array{
 *     outcome: value-of<ClosingOutcome>,
 *     next_check: Day|null,
 *     // ISO 8601 with offset
 *     at: string,
 *     by: string,
 * }
 * @phpstan-type PersonHereShape array{
 *     id: string,
 *     name: string,
 *     role: value-of<Role>,
 * }
 * @phpstan-type PairedCableShape array{
 *     spec: JobSpecShape,
 *     found: JudgedShape,
 *     now: JudgedShape,
 *     poses: list<PoseReadingShape>,
 *     working_band: BandShape|null,
 *     expected: ExpectedShape|null,
 *     learned: LearnedShape,
 *     next: NextMoveShape,
 *     shelf: list<InstrumentShape>,
 * }
 */
final readonly class StateCodec
{
    private function __construct(private BenchState $state) {}

    /** @return BenchStateShape */
    public static function encode(BenchState $state): array
    {
        return (new self($state))->whole();
    }

    /** @return BenchStateShape */
    private function whole(): array
    {
        $state = $this->state;

        return [
            'engine' => Bench::ENGINE,
            'head' => $state->log->entries[count($state->log->entries) - 1]->stamp->id,
            'family' => $this->family(),
            'spec' => JobSpecCodec::of($state),
            'hand' => $this->hand(), 'working_end' => $state->run->workingEnd,
            'stage' => $state->progress->stage->value, 'stages' => StagesCodec::of($state),
            'asks' => $state->progress->asks()?->key,
            'condition' => $this->condition(),
            'adjusters' => AdjusterCodec::all($state),
            'found' => JudgedCodec::asFound($state), 'now' => JudgedCodec::asItStands($state),
            'poses' => JudgedCodec::poses($state), 'working_band' => JudgedCodec::band($state->judgement->plannedBand),
            'expected' => LearnedCodec::expected($state), 'learned' => LearnedCodec::of($state),
            'next' => AdviceCodec::of($state),
            'beside' => BesideCodec::encode($state),
            'first_label' => $state->run->secondPulls()?->otherLabel(),
            'second_label' => $state->run->secondPulls()?->label(),
            'way_home' => AdviceCodec::wayHome($state),
            'gates' => array_map(self::gate(...), $state->judgement->gates),
            'pair' => $state->second === null ? null : self::side($state->second),
            'closing' => $this->closing(), 'check' => self::check($state->progress->check),
            'tag' => StandingCodec::encodeTag($state->facts->tag),
            'wish' => self::wish($state->facts->chosen->wish), 'may_wish_bite' => $this->mayWishBite(),
            'by_choice' => $state->facts->chosen->byChoice?->reason,
            'closed' => self::closed($state->facts->closed),
            'people' => array_map(self::person(...), array_values($state->facts->joined)),
            'shelf' => JobSpecCodec::shelf($state),
            'parts' => self::parts(),
            'warnings' => Warnings::of($state), 'wrong_state' => $state->wrongState(),
            'log' => LogRows::of($state),
        ];
    }

    /** @return array{key: value-of<FamilyKey>, title: string, allows_by_choice: bool} */
    private function family(): array
    {
        $family = Families::of($this->state->spec->family);

        return [
            'key' => $this->state->spec->family->value,
            'title' => $family->title(),
            'allows_by_choice' => $family->allowsByChoice(),
        ];
    }

    /** @return JobHandShape */
    private function hand(): array
    {
        $state = $this->state;
        $point = $state->spec->aim->point ?? ReadingPoint::HandleTravel;
        $coupling = $state->run->couplings->at($point) ?? Families::of($state->spec->family)->usualRatio($point);

        return [
            'kind' => $state->run->hand->kind->value,
            'name' => $state->run->hand->name,
            'ratio' => $coupling->value,
            'knowledge' => $coupling->knowledge->value,
            'distances' => $this->distances(),
            'how_to_measure' => $state->run->hand->howToMeasure(),
            'of_machine' => $state->run->hand->isOfMachine,
        ];
    }

    /** @return list<DistanceShape> what can be measured of the hand control, that to the wire first */
    private function distances(): array
    {
        $hand = $this->state->run->hand;
        $points = MeasuredHand::points($this->state);

        return $points === [] ? [] : [
            ['point' => null, 'label' => $hand->toWire(), 'mm' => $hand->pointMm === [] ? null : $hand->wireMm],
            ...array_map(static fn (ReadingPoint $one): array => [
                'point' => $one->value,
                'label' => $hand->toPoint($one),
                'mm' => $hand->pointMm[$one->value] ?? null,
            ], $points),
        ];
    }

    /** @return ConditionShape|null */
    private function condition(): ?array
    {
        $said = $this->state->facts->answers->condition;
        $hasRun = $this->state->facts->readings->ranSince && $this->state->spec->heatMatters();

        return $said === null ? null : [
            'engine' => $said->engine?->value,
            'wheels' => $said->wheels?->value,
            'label' => $said->label().($hasRun ? ', run since' : ''),
        ];
    }

    /** @return array{key: value-of<GateKey>, title: string, status: value-of<GateStatus>, sentence: string} */
    private static function gate(GateState $state): array
    {
        return [
            'key' => $state->gate->key->value, 'title' => $state->gate->title, 'status' => $state->status->value,
            'sentence' => $state->sentence,
        ];
    }

    /** @return ClosingShape */
    private function closing(): array
    {
        return [
            'fit' => $this->state->progress->blocksFit,
            'by_choice' => $this->state->progress->blocksByChoice,
            'tagged' => $this->state->progress->blocksTagged,
            'checked' => $this->state->progress->blocks(ClosingOutcome::Checked),
        ];
    }

    /** @return WishShape|null */
    private static function wish(?RidersWish $wish): ?array
    {
        return $wish === null ? null : ['say' => $wish->say()] + StandingCodec::encodeWish($wish);
    }

    private function mayWishBite(): bool
    {
        $taste = array_filter(
            $this->state->spec->proofs($this->state->run),
            static fn (Proof $one): bool => $one->answers->isTaste(),
        );

        return $taste !== [];
    }

    /** @return list<array{key: string, label: string}> */
    private static function parts(): array
    {
        return array_map(
            static fn (Part $part): array => ['key' => $part->value, 'label' => $part->label()],
            Part::cases(),
        );
    }

    /** @return CheckUnderWayShape|null */
    private static function check(?QuickCheck $check): ?array
    {
        return $check === null ? null : ['on' => $check->isOn(), 'over' => $check->over, 'says' => $check->says];
    }

    /** @return ClosedShape|null */
    private static function closed(?Closed $closed): ?array
    {
        return $closed === null ? null : [
            'outcome' => $closed->outcome->value,
            'next_check' => $closed->nextCheck,
            'at' => $closed->stamp->at,
            'by' => $closed->stamp->by->name,
        ];
    }

    /** @return PairedCableShape what a screen shows of the second cable in the place of the first */
    private static function side(BenchState $state): array
    {
        return [
            'spec' => JobSpecCodec::of($state),
            'found' => JudgedCodec::asFound($state),
            'now' => JudgedCodec::asItStands($state),
            'poses' => JudgedCodec::poses($state),
            'working_band' => JudgedCodec::band($state->judgement->plannedBand),
            'expected' => LearnedCodec::expected($state),
            'learned' => LearnedCodec::of($state),
            'next' => AdviceCodec::of($state),
            'shelf' => JobSpecCodec::shelf($state),
        ];
    }

    /** @return PersonHereShape */
    private static function person(Person $person): array
    {
        return ['id' => $person->id, 'name' => $person->name, 'role' => $person->role->value];
    }
}
