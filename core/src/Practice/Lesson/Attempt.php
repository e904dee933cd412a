<?php

declare(strict_types=1);

namespace VividPull\Core\Practice\Lesson;

use VividPull\Core\Bench\Bench;
use VividPull\Core\Bench\BenchState;
use VividPull\Core\Cable\Pose;
use VividPull\Core\Cable\ReadingPoint;
use VividPull\Core\Errors\Refused;
use VividPull\Core\Family\Families;
use VividPull\Core\Judging\MeasureState;
use VividPull\Core\Log\Entry\Closed;
use VividPull\Core\Log\Entry\Confirmed;
use VividPull\Core\Log\Entry\Entry;
use VividPull\Core\Log\Entry\Tagged;
use VividPull\Core\Log\EntryKind;
use VividPull\Core\Log\Person;
use VividPull\Core\Log\Stamp;
use VividPull\Core\Practice\Control\Act;
use VividPull\Core\Practice\Control\ActKind;
use VividPull\Core\Practice\Control\Behaviour;
use VividPull\Core\Practice\Control\TrueControl;
use VividPull\Core\Procedure\Cure;
use VividPull\Core\Procedure\MeasureKey;
use VividPull\Core\Progress\ItemTopic;
use VividPull\Core\Quantity\Steps;
use VividPull\Core\Spec\EngineHeat;
use VividPull\Core\Spec\OutcomeTable;

/**
 * A lesson being worked: what is done to the machine changes the machine, what is written changes the job, and neither
 * knows of the other. The same deeds in the same order come to the same, whenever they are done again.
 */
final class Attempt
{
    /** The step by which a lock is said to be tight. */
    private const LOCKED = 'locked';

    /** What there is nothing of on a machine to learn on. */
    private const NOT_HERE = [
        EntryKind::Opened, EntryKind::Complaint, EntryKind::Trace, EntryKind::Photo, EntryKind::Adjuster,
        EntryKind::Part, EntryKind::Replacing, EntryKind::Untag,
    ];

    /** What shows nothing while a cable hangs off its hook. */
    private const WANTS_CABLE = [ActKind::Hold, ActKind::Snap, ActKind::Try, ActKind::Run, ActKind::Measure];

    private BenchState $job;

    /** @var array{int|null}|null worked out once, since every place of every adjuster is tried for it */
    private ?array $fewest = null;

    private readonly TrueControl $control;

    /** @var list<Moment> */
    private array $moments = [];

    public function __construct(
        public readonly Lesson $lesson,
        Person $learner,
        string $id,
        string $at,
        public readonly Help $help = Help::Asked,
    ) {
        $this->control = $lesson->control();
        $this->job = $lesson->opened(new Stamp($id, $at, $learner));
    }

    public function job(): BenchState
    {
        return $this->job;
    }

    public function control(): TrueControl
    {
        return $this->control;
    }

    /**
     * The fewest moves that would have set the machine right as it came in; null where nothing that turns reaches it.
     */
    public function fewest(): ?int
    {
        $this->fewest ??= [BestPlay::moves($this->lesson, $this->lesson->control())];

        return $this->fewest[0];
    }

    /** @return list<Moment> */
    public function moments(): array
    {
        return $this->moments;
    }

    /** Signed, tagged, or left as it is. */
    public function isOver(): bool
    {
        $last = $this->last();

        return $this->isEnded() || ($last instanceof Act && $last->kind === ActKind::Stop);
    }

    /** Signed or tagged. */
    public function isEnded(): bool
    {
        $last = $this->last();

        return $last instanceof Closed || $last instanceof Tagged;
    }

    /** What was done or written last. */
    public function last(): Act|Entry|null
    {
        return $this->moments === [] ? null : $this->moments[count($this->moments) - 1]->deed;
    }

    /**
     * @param  string  $at  RFC 3339
     *
     * @throws Refused If it cannot be done on this machine, or the lesson is over.
     */
    public function act(Act $act, string $at): Seen
    {
        $this->mustGoOn();
        $this->mustBeThere($act);
        if ($this->help === Help::None && in_array($act->kind, [ActKind::Ask, ActKind::Guess], true)) {
            throw Refused::because('This lesson is worked without advice: turn what you would turn.');
        }
        if ($act->kind === ActKind::Turn && $this->control->isCovered($act->about)) {
            throw Refused::because("Its {$this->lesson->run->covers()[$act->about]} is over it: take that off first.");
        }
        $off = $this->control->ends()->off();
        if ($off !== null && in_array($act->kind, self::WANTS_CABLE, true) && $act->about !== MeasureKey::Tyre->value) {
            throw Refused::because("{$off} the cable is off, and nothing answers. Hook it first.");
        }
        $before = clone $this->control;
        $seen = $this->does($act);
        $this->moments[] = new Moment($at, $act, $this->job, $before, clone $this->control, $seen);

        return $seen;
    }

    /**
     * @param  bool  $now  whether it is written now; of what was written before, the order of work is not asked any
     *     more
     *
     * @throws Refused If the job does not take it, or the lesson is over.
     */
    public function write(Entry $entry, bool $now = true): void
    {
        $this->mustGoOn();
        if (in_array($entry->kind(), self::NOT_HERE, true)) {
            throw Refused::because(
                $entry->kind() === EntryKind::Replacing
                    ? 'There is no new cable for a machine to learn on: tag it.'
                    : 'There is nothing of that on a machine to learn on.',
            );
        }
        $before = clone $this->control;
        $after = Bench::accept($this->job, $entry, $now);
        if ($entry instanceof Confirmed && $entry->key === self::LOCKED && $entry->adjuster !== null) {
            $this->control->lock($entry->adjuster);
        }
        $this->moments[] = new Moment(
            $entry->stamp->at,
            $entry,
            $this->job,
            $before,
            clone $this->control,
            Seen::nothing(),
        );
        $this->job = $after;
    }

    /** Whether it matters here how hot it is. */
    public function hasEngineToFeel(): bool
    {
        return $this->lesson->found->isHot || $this->job->progress->item(ItemTopic::Condition->value) !== null;
    }

    /** @return list<MeasureKey> what is measured beside the play, and can be here */
    public function measured(): array
    {
        $all = array_map(
            static fn (MeasureState $one): MeasureKey => $one->measure->key,
            $this->job->judgement->measures,
        );

        return array_values(array_filter($all, fn (MeasureKey $one): bool => $this->control->truly($one) !== null));
    }

    private function mustGoOn(): void
    {
        if ($this->isOver()) {
            throw Refused::because('This lesson is over. Begin it again to do more.');
        }
    }

    private function does(Act $act): Seen
    {
        $this->changes($act);
        $spec = $this->lesson->spec;

        return match (true) {
            $act->kind === ActKind::Hold => Seen::far($this->control->shows(
                $act->point ?? ReadingPoint::LeverTip,
                $act->pose ?? Pose::Straight,
            )),
            $act->kind === ActKind::Feel => Seen::word(
                $this->control->isHot() ? EngineHeat::Hot->value : EngineHeat::Cold->value,
            ),
            $act->kind === ActKind::Measure => Seen::amount($this->control->measures(MeasureKey::from($act->about))),
            $act->kind === ActKind::Try => Seen::word(Behaviour::word(
                $spec->family,
                $this->lesson->run,
                $act->about,
                $this->control,
            )),
            $act->kind === ActKind::Hook => Seen::word($this->control->ends()->seat($act->about)->value),
            $act->kind === ActKind::Look => Seen::word($this->control->looksSound($act->about) ? 'sound' : 'fault'),
            $act->kind === ActKind::Run, $act->kind === ActKind::Roll => Seen::word($this->control->showsAsShifted()),
            default => Seen::nothing(),
        };
    }

    /** What a hand changes on the machine. */
    private function changes(Act $act): void
    {
        match ($act->kind) {
            ActKind::Snap => $this->control->settle(),
            ActKind::Light => $this->control->light(),
            ActKind::Open => $this->control->uncover($act->about),
            ActKind::Shut => $this->control->coverUp($act->about),
            ActKind::Cool => $this->control->cool(),
            ActKind::Warm => $this->control->warm(),
            ActKind::Run => $this->control->shift($act->about),
            ActKind::Roll => $this->control->roll(),
            ActKind::Turn => $this->control->turn($act->about, $act->steps ?? Steps::none()),
            ActKind::Hook => $this->control->hook($act->about, $act->in ?? 1.0),
            ActKind::Cure => $this->control->cure(Cure::from($act->about)),
            default => null,
        };
    }

    private function mustBeThere(Act $act): void
    {
        $family = Families::of($this->lesson->spec->family);
        $keys = static fn (array $all): array => array_column($all, 'key');
        $known = match ($act->kind) {
            ActKind::Hold => $act->point !== null && in_array($act->point, $this->lesson->points(), true),
            ActKind::Open, ActKind::Shut => isset($this->lesson->run->covers()[$act->about]),
            ActKind::Snap => $this->lesson->points() !== [],
            ActKind::Feel, ActKind::Cool, ActKind::Warm => $this->hasEngineToFeel(),
            ActKind::Measure => in_array(MeasureKey::from($act->about), $this->measured(), true),
            ActKind::Turn, ActKind::Guess => $act->steps !== null && $this->lesson->run->adjuster($act->about) !== null,
            ActKind::Try => in_array($act->about, $keys($family->proofs($this->lesson->run)), true),
            ActKind::Look => in_array($act->about, $keys($family->lookOver()), true),
            ActKind::Run => isset($this->lesson->spec->other(OutcomeTable::class)->settings[$act->about]),
            ActKind::Roll => $this->control->hasTeeth(),
            ActKind::Hook => $act->in !== null && isset($this->control->ends()->labels()[$act->about]),
            ActKind::Cure => in_array($act->about, array_column($family->cures(), 'value'), true),
            ActKind::Ask, ActKind::Stop, ActKind::Light => true,
        };
        if (! $known) {
            throw Refused::because('There is nothing of that on this machine.');
        }
    }
}
