<?php

declare(strict_types=1);

namespace VividPull\Core\Wire;

use VividPull\Core\Cable\Adjuster;
use VividPull\Core\Cable\CableComparison;
use VividPull\Core\Cable\Part;
use VividPull\Core\Cable\Pose;
use VividPull\Core\Cable\ReadingPoint;
use VividPull\Core\Cable\Run;
use VividPull\Core\Cable\ThreadedAdjuster;
use VividPull\Core\Errors\BadFile;
use VividPull\Core\Errors\Quoted;
use VividPull\Core\Errors\Refused;
use VividPull\Core\Log\ClosingOutcome;
use VividPull\Core\Log\Entry\AdjusterFitted;
use VividPull\Core\Log\Entry\AllConfirmed;
use VividPull\Core\Log\Entry\Amended;
use VividPull\Core\Log\Entry\CablesCompared;
use VividPull\Core\Log\Entry\Checked;
use VividPull\Core\Log\Entry\Closed;
use VividPull\Core\Log\Entry\Complained;
use VividPull\Core\Log\Entry\ConditionNoted;
use VividPull\Core\Log\Entry\Confirmed;
use VividPull\Core\Log\Entry\CoverMoved;
use VividPull\Core\Log\Entry\Entry;
use VividPull\Core\Log\Entry\GuideStepDone;
use VividPull\Core\Log\Entry\Inspected;
use VividPull\Core\Log\Entry\Joined;
use VividPull\Core\Log\Entry\LeftByChoice;
use VividPull\Core\Log\Entry\MeasureTaken;
use VividPull\Core\Log\Entry\Moved;
use VividPull\Core\Log\Entry\Noted;
use VividPull\Core\Log\Entry\Opened;
use VividPull\Core\Log\Entry\OutcomeSeen;
use VividPull\Core\Log\Entry\PartFitted;
use VividPull\Core\Log\Entry\PartRefused;
use VividPull\Core\Log\Entry\PhotoTaken;
use VividPull\Core\Log\Entry\PolicyChosen;
use VividPull\Core\Log\Entry\PutRight;
use VividPull\Core\Log\Entry\ReadEnough;
use VividPull\Core\Log\Entry\ReadingTaken;
use VividPull\Core\Log\Entry\ReadingUpheld;
use VividPull\Core\Log\Entry\ReplacementStep;
use VividPull\Core\Log\Entry\SoakBegun;
use VividPull\Core\Log\Entry\Tagged;
use VividPull\Core\Log\Entry\ThreadNoted;
use VividPull\Core\Log\Entry\Untagged;
use VividPull\Core\Log\Entry\Voided;
use VividPull\Core\Log\EntryKind;
use VividPull\Core\Log\Finding;
use VividPull\Core\Log\Person;
use VividPull\Core\Log\Role;
use VividPull\Core\Log\Stamp;
use VividPull\Core\Log\ThreadState;
use VividPull\Core\Procedure\Cure;
use VividPull\Core\Procedure\MeasureKey;
use VividPull\Core\Procedure\ReplacementReason;
use VividPull\Core\Procedure\Symptom;
use VividPull\Core\Quantity\NotUnderstood;
use VividPull\Core\Quantity\QuantityReader;
use VividPull\Core\Quantity\Steps;
use VividPull\Core\Quantity\StepUnit;
use VividPull\Core\Quantity\Unit;
use VividPull\Core\Spec\EngineHeat;
use VividPull\Core\Spec\Parking;
use VividPull\Core\Spec\Policy;
use VividPull\Core\Spec\SetLike;
use VividPull\Core\Spec\SettingMode;
use VividPull\Core\Spec\Wheels;

/** Entries from the wire. A body is kept as it came, once resolved, so entries are only ever decoded. */
final class EntryCodec
{
    private const LONGEST_REASON = 500;

    private const MOST_TURNS = 400;

    /** Fields of a move beside its adjuster. */
    private const HOW_MUCH = ['turns', 'flats', 'steps', 'uncounted'];

    /** Fields of a thread beside its adjuster. */
    private const HOW_FAR = ['showing_mm', 'turns', 'flats', 'steps', 'unseen', 'marked', 'seized'];

    /** @var array<string, Adjuster> fitted by an entry that was decoded here */
    private array $fitted = [];

    public function __construct(private readonly Run $run) {}

    /** A whole entry, envelope and body. */
    public function decode(Node $node): Entry
    {
        $node->object(['id', 'kind', 'at', 'by', 'body'], ['after', 'line', 'seq', 'received_at', 'control']);

        return $this->body($node->at('kind')->enum(EntryKind::class), $node->at('body'), self::stamp($node));
    }

    public static function person(Node $node): Person
    {
        $node->object(['id', 'name', 'role']);

        return new Person(
            $node->at('id')->string(60),
            $node->at('name')->string(60),
            $node->at('role')->enum(Role::class),
        );
    }

    /** The time a person's clock showed: ISO 8601 with seconds and an offset. */
    public static function instant(Node $node): string
    {
        $at = $node->string(40);
        if (
            preg_match('/^\d{4}-\d\d-\d\dT\d\d:\d\d:\d\d(\.\d{1,6})?(Z|[+-]\d\d:\d\d)$/', $at) !== 1
            || strtotime($at) === false
        ) {
            throw BadFile::at(
                $node->path,
                Quoted::text($at).' is not a time with its offset, such as 2026-03-02T08:44:00+00:00.',
            );
        }

        return $at;
    }

    public function body(EntryKind $kind, Node $body, Stamp $stamp): Entry
    {
        return match ($kind) {
            EntryKind::Opened => $this->opened($body->object(['control', 'standing'], ['check']), $stamp),
            EntryKind::Joined => self::bare($body, new Joined($stamp)),
            EntryKind::Complaint => self::complained($body->object(['symptoms']), $stamp),
            EntryKind::Confirmed => self::confirmed($body->object(['key'], ['adjuster']), $stamp),
            EntryKind::AllConfirmed => self::allConfirmed($body->object(['keys']), $stamp),
            EntryKind::Inspected => self::inspected($body->object(['key', 'finding'], ['remark']), $stamp),
            EntryKind::Condition => self::condition($body->object([], ['engine', 'wheels']), $stamp),
            EntryKind::Cover => self::cover($body->object(['adjuster', 'off']), $stamp),
            EntryKind::Thread => $this->thread($body->object(['adjuster'], self::HOW_FAR), $stamp),
            EntryKind::Reading => self::reading($body, $stamp),
            EntryKind::Upheld => new ReadingUpheld($stamp, $body->object(['reading'])->at('reading')->string(40)),
            EntryKind::Enough => self::enough($body->object(['point', 'pose']), $stamp),
            EntryKind::Outcome => self::outcome($body->object(['setting', 'saw']), $stamp),
            EntryKind::Measure => self::measure($body->object(['key', 'value', 'entered'], ['of', 'at_mm']), $stamp),
            EntryKind::Trace => TraceCodec::entry($body, $stamp),
            EntryKind::PutRight => self::putRight($body->object(['cure'], ['remark']), $stamp),
            EntryKind::PartRefused => self::partRefused($body->object(['part', 'number']), $stamp),
            EntryKind::Photo => self::photo($body->object(['photo', 'of']), $stamp),
            EntryKind::Replacing => self::replacing($body, $stamp),
            EntryKind::Soak => self::bare($body, new SoakBegun($stamp)),
            EntryKind::Compared => self::compared($body, $stamp),
            EntryKind::Move => $this->move($body->object(['adjuster'], self::HOW_MUCH), $stamp),
            EntryKind::Step => self::step($body->object(['adjuster', 'key'], ['remark']), $stamp),
            EntryKind::Part => self::part($body->object(['part'], ['remark']), $stamp),
            EntryKind::Adjuster => $this->adjusterFitted($body, $stamp),
            EntryKind::Policy => self::policy($body, $stamp),
            EntryKind::Check => self::check($body->object(['key', 'answer'], ['pose', 'remark']), $stamp),
            EntryKind::Note => new Noted($stamp, $body->object(['text'])->at('text')->string(self::LONGEST_REASON)),
            EntryKind::Void => self::void($body->object(['entry', 'reason']), $stamp),
            EntryKind::Amend => $this->amend($body->object(['entry', 'kind', 'body', 'reason']), $stamp),
            EntryKind::ByChoice => new LeftByChoice($stamp, self::reason($body->object(['reason']))),
            EntryKind::Tag => new Tagged($stamp, self::reason($body->object(['reason']))),
            EntryKind::Untag => new Untagged($stamp, self::reason($body->object(['reason']))),
            EntryKind::Closed => self::closed($body->object(['outcome'], ['next_check', 'record']), $stamp),
        };
    }

    private static function complained(Node $body, Stamp $stamp): Complained
    {
        return new Complained($stamp, array_map(
            static fn (Node $one): Symptom => $one->enum(Symptom::class),
            $body->at('symptoms')->items(30),
        ));
    }

    private static function allConfirmed(Node $body, Stamp $stamp): AllConfirmed
    {
        $keys = $body->at('keys')->items(20);

        return new AllConfirmed($stamp, array_map(static fn (Node $key): string => $key->string(40), $keys));
    }

    private static function cover(Node $body, Stamp $stamp): CoverMoved
    {
        return new CoverMoved($stamp, $body->at('adjuster')->string(40), $body->at('off')->boolean());
    }

    private static function enough(Node $body, Stamp $stamp): ReadEnough
    {
        return new ReadEnough(
            $stamp,
            $body->at('point')->enum(ReadingPoint::class),
            $body->at('pose')->enum(Pose::class),
        );
    }

    private static function outcome(Node $body, Stamp $stamp): OutcomeSeen
    {
        return new OutcomeSeen($stamp, $body->at('setting')->string(40), $body->at('saw')->string(40));
    }

    private static function putRight(Node $body, Stamp $stamp): PutRight
    {
        return new PutRight($stamp, $body->at('cure')->enum(Cure::class), $body->optionalString('remark', 300));
    }

    private static function partRefused(Node $body, Stamp $stamp): PartRefused
    {
        return new PartRefused($stamp, $body->at('part')->enum(Part::class), $body->at('number')->string(60));
    }

    private static function photo(Node $body, Stamp $stamp): PhotoTaken
    {
        return new PhotoTaken($stamp, $body->at('photo')->string(40), $body->at('of')->string(60));
    }

    private static function step(Node $body, Stamp $stamp): GuideStepDone
    {
        return new GuideStepDone(
            $stamp,
            $body->at('adjuster')->string(40),
            $body->at('key')->string(40),
            $body->optionalString('remark', 300),
        );
    }

    private static function part(Node $body, Stamp $stamp): PartFitted
    {
        return new PartFitted($stamp, $body->at('part')->enum(Part::class), $body->optionalString('remark', 300));
    }

    private static function void(Node $body, Stamp $stamp): Voided
    {
        return new Voided($stamp, $body->at('entry')->string(40), self::reason($body));
    }

    private static function measure(Node $body, Stamp $stamp): MeasureTaken
    {
        return new MeasureTaken(
            $stamp,
            $body->at('key')->enum(MeasureKey::class),
            $body->at('value')->number(-1e6, 1e6),
            $body->at('entered')->string(60),
            $body->optionalString('of', 20),
            $body->has('at_mm') ? $body->at('at_mm')->number(1, 1000) : null,
        );
    }

    private static function replacing(Node $body, Stamp $stamp): ReplacementStep
    {
        $body->object(['key'], ['reason', 'remark', 'cable', 'not_here']);
        $reason = $body->has('reason') ? $body->at('reason')->enum(ReplacementReason::class) : null;

        return new ReplacementStep(
            $stamp,
            $body->at('key')->string(40),
            $reason,
            $body->optionalString('remark', 300),
            $body->optionalString('cable', 40),
            ! ($body->has('not_here') && $body->at('not_here')->boolean()),
        );
    }

    private static function compared(Node $body, Stamp $stamp): CablesCompared
    {
        $body->object(['new_wire_mm', 'ends_alike'], ['old_wire_mm', 'old_conduit_mm', 'new_conduit_mm']);
        $length = static fn (string $key): ?float => $body->has($key) ? $body->at($key)->number(0, 10_000) : null;

        return new CablesCompared(
            $stamp,
            new CableComparison(
                $length('old_wire_mm'),
                $body->at('new_wire_mm')->number(0, 10_000),
                $length('old_conduit_mm'),
                $length('new_conduit_mm'),
                $body->at('ends_alike')->boolean(),
            ),
        );
    }

    /** What comes after it in the log may speak of it. */
    private function adjusterFitted(Node $body, Stamp $stamp): AdjusterFitted
    {
        $body->object(['cable', 'adjuster'], ['in_place_of', 'remark']);
        $adjuster = RunCodec::adjuster($body->at('adjuster'));
        $this->fitted[$adjuster->id()] = $adjuster;

        return new AdjusterFitted(
            $stamp,
            $adjuster,
            $body->at('cable')->string(40),
            $body->optionalString('in_place_of', 40),
            $body->optionalString('remark', 300),
        );
    }

    private function adjuster(string $id): ?Adjuster
    {
        return $this->run->everKnown($id) ?? $this->fitted[$id] ?? null;
    }

    private static function stamp(Node $node): Stamp
    {
        return new Stamp(
            $node->at('id')->string(40),
            self::instant($node->at('at')),
            self::person($node->at('by')),
            $node->optionalString('after', 40),
            $node->optionalString('line', 600),
            $node->has('received_at') ? self::instant($node->at('received_at')) : null,
        );
    }

    private static function bare(Node $body, Entry $entry): Entry
    {
        $body->object([]);

        return $entry;
    }

    private function opened(Node $body, Stamp $stamp): Opened
    {
        $standing = StandingCodec::decode($body->at('standing'));
        foreach (array_keys($standing->positions) as $id) {
            if ($this->run->adjuster($id) === null) {
                throw BadFile::at(
                    $body->at('standing')->at('positions_steps')->path,
                    Quoted::text($id).' is not an adjuster of this run.',
                );
            }
        }

        return new Opened(
            $stamp,
            $body->at('control')->string(60),
            $standing,
            $body->has('check') && $body->at('check')->boolean(),
        );
    }

    private static function confirmed(Node $body, Stamp $stamp): Confirmed
    {
        return new Confirmed($stamp, $body->at('key')->string(40), $body->optionalString('adjuster', 40));
    }

    private static function inspected(Node $body, Stamp $stamp): Inspected
    {
        return new Inspected(
            $stamp,
            $body->at('key')->string(40),
            $body->at('finding')->enum(Finding::class),
            $body->optionalString('remark', 300),
        );
    }

    private static function condition(Node $body, Stamp $stamp): ConditionNoted
    {
        return new ConditionNoted($stamp, self::engine($body), self::wheels($body));
    }

    private function thread(Node $body, Stamp $stamp): ThreadNoted
    {
        $id = $body->at('adjuster')->string(40);
        $adjuster = $this->adjuster($id)
            ?? throw Refused::because(Quoted::text($id).' is not an adjuster of this control.');
        if ($body->has('showing_mm') && ! $adjuster instanceof ThreadedAdjuster) {
            throw BadFile::at(
                $body->at('showing_mm')->path,
                "the {$adjuster->name()} has no thread to measure; say where it stands in “steps”.",
            );
        }
        foreach ([ThreadState::Unseen, ThreadState::Marked, ThreadState::Seized] as $state) {
            if ($body->has($state->value) && $body->at($state->value)->boolean()) {
                return new ThreadNoted($stamp, $id, null, $state);
            }
        }
        $position = $body->has('showing_mm') && $adjuster instanceof ThreadedAdjuster
            ? $adjuster->positionShowing($body->at('showing_mm')->number(0, 500))
            : self::counted($body, 0, $adjuster);

        return new ThreadNoted($stamp, $id, $position);
    }

    private static function engine(Node $body): ?EngineHeat
    {
        return $body->has('engine') ? $body->at('engine')->enum(EngineHeat::class) : null;
    }

    private static function wheels(Node $body): ?Wheels
    {
        return $body->has('wheels') ? $body->at('wheels')->enum(Wheels::class) : null;
    }

    private static function reading(Node $body, Stamp $stamp): ReadingTaken
    {
        $body->object(['mm', 'entered', 'point', 'instrument'], ['pose', 'engine', 'wheels', 'written_step_mm']);

        return new ReadingTaken(
            $stamp,
            $body->at('mm')->number(-10_000, 1e9),
            $body->at('entered')->string(60),
            self::coarseness($body),
            $body->at('point')->enum(ReadingPoint::class),
            $body->has('pose') ? $body->at('pose')->enum(Pose::class) : Pose::Straight,
            self::engine($body),
            self::wheels($body),
            $body->at('instrument')->string(40),
        );
    }

    /**
     * How coarse a reading was written beyond what its instrument shows. Logs from before said 12.7 of `1/2 in`, which
     * is half an inch and no coarser than the rule: where the words tell, they count.
     */
    private static function coarseness(Node $body): float
    {
        $said = $body->has('written_step_mm') ? $body->at('written_step_mm')->number(0, 1000) : 0.0;
        if ($said === 0.0) {
            return 0.0;
        }
        try {
            return QuantityReader::defaultingTo(Unit::Millimetre)->read($body->at('entered')->string(60))->coarseness;
        } catch (NotUnderstood) {
            return $said;
        }
    }

    private function move(Node $body, Stamp $stamp): Moved
    {
        $uncounted = $body->has('uncounted') && $body->at('uncounted')->boolean();
        if ($uncounted && ($body->has('turns') || $body->has('flats') || $body->has('steps'))) {
            throw BadFile::at($body->path, 'a move is either counted or “uncounted”, not both.');
        }
        $steps = $uncounted
            ? null
            : self::counted($body, -self::MOST_TURNS, $this->adjuster($body->at('adjuster')->string(40)));
        if ($steps?->isNone() === true) {
            throw BadFile::at($body->path, 'a move of nothing is no move.');
        }

        return new Moved($stamp, $body->at('adjuster')->string(40), $steps);
    }

    /** Turns and flats of what is turned, steps of what is not: neither stands for the other. */
    private static function counted(Node $body, int $least, ?Adjuster $adjuster): Steps
    {
        $unit = $adjuster?->counting()->unit ?? StepUnit::Turn;
        if ($body->has($unit->turns() ? 'steps' : 'turns') || (! $unit->turns() && $body->has('flats'))) {
            throw BadFile::at(
                $body->path,
                $unit->turns()
                    ? 'this adjuster is counted in “turns” and “flats”.'
                    : "this adjuster is counted in “steps”: {$unit->plural()}.",
            );
        }

        return $unit->turns() ? self::turns($body, $least) : self::steps($body, $least);
    }

    private static function steps(Node $body, int $least): Steps
    {
        if (! $body->has('steps')) {
            throw BadFile::at($body->path, 'say how far, in “steps”.');
        }

        return $body->making(static fn (): Steps => Steps::exactly(
            $body->at('steps')->number($least, self::MOST_TURNS),
        ));
    }

    private static function policy(Node $body, Stamp $stamp): PolicyChosen
    {
        $body->object([], ['policy', 'mode', 'parking', 'like', 'wish', 'whole']);
        $like = $body->has('like') ? $body->at('like')->object(['machine', 'mm']) : null;
        $chosen = new PolicyChosen(
            $stamp,
            $body->has('policy') ? $body->at('policy')->enum(Policy::class) : null,
            $body->has('mode') ? $body->at('mode')->enum(SettingMode::class) : null,
            $body->has('parking') ? $body->at('parking')->enum(Parking::class) : null,
            $like === null ? null : new SetLike($like->at('machine')->string(20), $like->at('mm')->number(0, 10_000)),
            $body->has('wish') ? StandingCodec::wish($body->at('wish')) : null,
            $body->has('whole') && $body->at('whole')->boolean(),
        );
        if ($chosen->say() === '') {
            throw BadFile::at(
                $body->path,
                'say a “policy”, a “mode”, a “parking”, a “wish”, whom to set it “like”, or that it goes on as a “whole” job.',
            );
        }

        return $chosen;
    }

    private static function turns(Node $body, int $least): Steps
    {
        if (! $body->has('turns') && ! $body->has('flats')) {
            throw BadFile::at($body->path, 'say how far, in “turns”, “flats” or both.');
        }
        $turns = $body->has('turns')
            ? $body->making(static fn (): Steps => Steps::exactly($body->at('turns')->number($least, self::MOST_TURNS)))
            : Steps::none();

        return $body->has('flats')
            ? $turns->plus(Steps::fromFlats($body->at('flats')->integer($least * 6, self::MOST_TURNS * 6)))
            : $turns;
    }

    private static function check(Node $body, Stamp $stamp): Checked
    {
        return new Checked(
            $stamp,
            $body->at('key')->string(40),
            $body->has('pose') ? $body->at('pose')->enum(Pose::class) : null,
            $body->at('answer')->string(40),
            $body->optionalString('remark', 300),
        );
    }

    private function amend(Node $body, Stamp $stamp): Amended
    {
        $target = $body->at('entry')->string(40);
        $kind = $body->at('kind')->enum(EntryKind::class);
        if ($kind === EntryKind::Amend) {
            throw BadFile::at($body->at('kind')->path, 'an amendment cannot become an amendment.');
        }
        $becomes = $this->body($kind, $body->at('body'), new Stamp($target, $stamp->at, $stamp->by));

        return new Amended($stamp, $target, $becomes, self::reason($body));
    }

    private static function closed(Node $body, Stamp $stamp): Closed
    {
        return new Closed(
            $stamp,
            $body->at('outcome')->enum(ClosingOutcome::class),
            $body->optionalString('next_check', 10),
        );
    }

    private static function reason(Node $body): string
    {
        return $body->at('reason')->string(self::LONGEST_REASON);
    }
}
