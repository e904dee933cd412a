<?php

declare(strict_types=1);

namespace VividPull\Core\Progress;

use VividPull\Core\Cable\Adjuster;
use VividPull\Core\Cable\Run;
use VividPull\Core\Facts\Facts;
use VividPull\Core\Facts\Refit;
use VividPull\Core\Family\Families;
use VividPull\Core\Family\Family;
use VividPull\Core\Judging\Judgement;
use VividPull\Core\Judging\MeasureState;
use VividPull\Core\Log\ClosingOutcome;
use VividPull\Core\Planning\CableState;
use VividPull\Core\Procedure\JobStage;
use VividPull\Core\Procedure\Running;
use VividPull\Core\Quantity\Figure;
use VividPull\Core\Spec\Spec;

/** The items of each stage, from what the family declares and what the facts say is done. */
final readonly class StageItems
{
    public const WHEELS_DOWN = 'wheels_down';

    private const HAND_FIRST = 'Not before what is tried with the engine off.';

    private Spec $spec;

    private Run $run;

    private Facts $facts;

    private Judgement $judgement;

    private Family $family;

    private CheckItems $checks;

    private ConditionItems $condition;

    private AdjusterItems $adjusters;

    private BesideItems $beside;

    private PlayItems $play;

    private ?PlayItems $playOfSecond;

    public function __construct(CableState $first, ?CableState $second)
    {
        [$this->spec, $this->run, $this->facts] = [$first->spec, $first->run, $first->facts];
        $this->judgement = $first->judgement;
        $this->family = Families::of($this->spec->family);
        $this->checks = new CheckItems($first);
        $this->condition = new ConditionItems($first);
        $this->adjusters = new AdjusterItems($first);
        $this->beside = new BesideItems($first, $second);
        $measured = array_filter(
            $this->judgement->measures,
            static fn (MeasureState $one): bool => $one->measure->asFound,
        );
        $this->play = new PlayItems($first, $second === null && $measured === []);
        $this->playOfSecond = $second === null ? null : new PlayItems($second, false);
    }

    /** @return array<string, list<StageItem>> by stage */
    public function all(): array
    {
        $heat = $this->heatAgain();

        return [
            JobStage::MakeSafe->value => array_map($this->checks->step(...), $this->family->makeSafe()),
            JobStage::LookOver->value => $this->lookOver(),
            JobStage::AsFound->value => $this->asFound($heat[JobStage::AsFound->value] ?? []),
            JobStage::Set->value => [
                ...$this->checks->faults(),
                ...$this->adjusters->guides(),
                ...$this->doubts(JobStage::Set),
                ...$heat[JobStage::Set->value] ?? [],
                ...$this->setting(),
                ...$this->beside->putRight($this->spec->aim !== null && $this->play->finer() !== null),
            ],
            JobStage::Prove->value => [
                ...$this->condition->wheelsDown($this->play->isOnStand()),
                ...$this->doubts(JobStage::Prove),
                ...$heat[JobStage::Prove->value] ?? [],
                ...$this->ofEach(static fn (PlayItems $play): array => $play->poses()),
                ...$this->still(),
                ...$this->refitted(),
                ...$this->running(),
            ],
            JobStage::Close->value => [
                ...($this->refit()->isAsked() ? [] : $this->adjusters->coversBack()),
                ...array_map($this->checks->step(...), $this->family->closing()),
                $this->signOff(),
            ],
        ];
    }

    /** @return list<string> keys of what is tried last, with the machine running */
    public function thatRun(): array
    {
        return array_map(
            static fn (StageItem $item): string => $item->key,
            [...$this->checks->proofs(Running::Open), ...$this->running()],
        );
    }

    /**
     * A cable being replaced comes before all else; one that was, after what is looked over.
     *
     * @return list<StageItem>
     */
    private function lookOver(): array
    {
        $looked = array_map($this->checks->inspection(...), $this->family->lookOver());
        $replacing = $this->beside->replacing();
        $isUnderWay = $this->facts->observations->replacing?->isOver === false;

        return $isUnderWay ? [...$replacing, ...$looked] : [...$looked, ...$replacing];
    }

    /**
     * Where play is read, everything is noted before it. Where settings are tried, they come first: where each does
     * what it should, nobody opens a cover to see how an adjuster stands.
     *
     * @param  list<StageItem>  $heat
     * @return list<StageItem>
     */
    private function asFound(array $heat): array
    {
        $found = $this->underCovers($this->beside->asFound());
        $gated = $this->checks->gatedFaults();
        if ($this->spec->aim !== null) {
            return [
                ...$gated,
                ...($this->spec->isStateAsked() ? [$this->condition->condition()] : []),
                ...$this->adjusters->threads(),
                ...$this->doubts(JobStage::AsFound),
                ...$heat,
                ...$this->foundReadings(),
                ...$found,
            ];
        }

        $isRight = $this->facts->readings->moves === [] && $this->beside->isFoundRight();

        return [...$gated, ...$found, ...($isRight ? [] : $this->adjusters->threads())];
    }

    /** @return list<StageItem> */
    private function foundReadings(): array
    {
        return $this->spec->aim === null
            ? []
            : $this->ofEach(static fn (PlayItems $play): array => [$play->foundReading()]);
    }

    /**
     * Where settings are tried, what was moved is tightened before each trial; where play is read, after it is right.
     *
     * @return list<StageItem>
     */
    private function setting(): array
    {
        $tried = $this->underCovers($this->beside->tried());

        return $this->spec->aim === null ? [...$this->beside->whichWay(), ...$this->adjusters->locks(), ...$tried]
            : [
                ...$this->inBands(),
                ...$this->adjusters->broughtHome(),
                ...$this->adjusters->locks(),
                ...$this->adjusters->guides(true),
                ...$this->readAgain(),
                ...$this->beside->whichWay(),
                ...$tried,
            ];
    }

    /**
     * What runs the machine before it is proved, as it was found or between two moves, waits for the covers that are
     * off: they are put back first.
     *
     * @param  list<StageItem>  $items
     * @return list<StageItem>
     */
    private function underCovers(array $items): array
    {
        $covers = $this->adjusters->coversBack();
        $runs = $covers === [] ? [] : array_filter($items, fn (StageItem $one): bool => ! $one->done
            && HowItRuns::item($one, $this->spec, $this->run, $this->facts, $this->judgement) === Running::Refitted);

        return $runs === [] ? $items : [...$covers, ...$items];
    }

    /**
     * The same asked of each cable whose play is read; of the second as that is called.
     *
     * @param  callable(PlayItems): list<StageItem>  $ask
     * @return list<StageItem>
     */
    private function ofEach(callable $ask): array
    {
        $second = $this->playOfSecond === null ? [] : $ask($this->playOfSecond);
        $label = $this->run->secondPulls()?->label() ?? '';

        return [
            ...$ask($this->play),
            ...array_map(static fn (StageItem $item): StageItem => $item->ofSecond($label), $second),
        ];
    }

    /** @return list<StageItem> */
    private function readAgain(): array
    {
        return $this->ofEach(static fn (PlayItems $play): array => $play->readAgain());
    }

    /** @return list<StageItem> */
    private function doubts(JobStage $stage): array
    {
        return [...$this->play->doubts($stage), ...$this->playOfSecond?->doubts($stage) ?? []];
    }

    /**
     * What was run is hotter than it was said to be: that is asked again where play is to be read after it, and a
     * figure of play knows heat.
     *
     * @return array<string, list<StageItem>> in the first stage that reads, by that
     */
    private function heatAgain(): array
    {
        if (! $this->facts->readings->ranSince || $this->spec->aim === null || ! $this->spec->heatMatters()) {
            return [];
        }
        foreach ([JobStage::AsFound, JobStage::Set, JobStage::Prove] as $stage) {
            if (array_filter($this->readIn($stage), static fn (StageItem $item): bool => ! $item->done) !== []) {
                return [$stage->value => [$this->condition->again()]];
            }
        }

        return [];
    }

    /** @return list<StageItem> the second cable first where the spec says so */
    private function inBands(): array
    {
        $items = $this->ofEach(static fn (PlayItems $play): array => [$play->inBand()]);

        return $this->spec->secondFirst ? array_reverse($items) : $items;
    }

    /** @return list<StageItem> what is read in this stage */
    private function readIn(JobStage $stage): array
    {
        return match ($stage) {
            JobStage::AsFound => $this->foundReadings(),
            JobStage::Set => [...$this->inBands(), ...$this->readAgain()],
            JobStage::Prove => $this->ofEach(static fn (PlayItems $play): array => $play->poses()),
            default => [],
        };
    }

    /**
     * @return list<StageItem> what is tried by hand, with everything as open as it must be, and what runs with it open
     */
    private function still(): array
    {
        return [
            ...($this->family->runsItsTable() ? [] : $this->beside->outcomes()),
            ...$this->checks->proofs(Running::Still),
            ...$this->beside->measured(Running::Still),
            ...$this->afterHand($this->checks->proofs(Running::Open)),
        ];
    }

    /** @return list<StageItem> what is put back before anything is run */
    private function refitted(): array
    {
        return $this->refit()->isAsked()
            ? [...$this->adjusters->coversBack(), ...array_map($this->checks->step(...), $this->family->refit())]
            : [];
    }

    /** @return list<StageItem> what runs the machine, after the refit */
    private function running(): array
    {
        return [
            ...($this->family->runsItsTable() ? $this->beside->outcomes() : []),
            ...$this->afterHand([
                ...$this->checks->proofs(Running::Refitted),
                ...$this->beside->measured(Running::Refitted),
            ]),
        ];
    }

    /**
     * What runs the machine says so where something is still to be tried by hand: whoever turns to it out of order is
     * told before anything runs.
     *
     * @param  list<StageItem>  $items
     * @return list<StageItem>
     */
    private function afterHand(array $items): array
    {
        return $this->judgement->untriedAtRest() === [] ? $items
            : array_map(
                static fn (StageItem $item): StageItem => $item->done ? $item : $item->minding(self::HAND_FIRST),
                $items,
            );
    }

    private function refit(): Refit
    {
        return Refit::of($this->spec, $this->run, $this->facts);
    }

    private function signOff(): StageItem
    {
        $closed = $this->facts->closed;

        return new StageItem(
            'sign_off',
            ItemKind::SignOff,
            'Sign the job',
            new ItemState(
                $closed !== null,
                said: match ($closed?->outcome) {
                    null => null,
                    ClosingOutcome::Fit => 'Fit for use',
                    ClosingOutcome::ByChoice => 'Left outside by choice',
                    ClosingOutcome::Tagged => 'Tagged: do not run',
                    ClosingOutcome::Checked => 'Checked: play inside',
                },
                stamp: $closed?->stamp,
            ),
        );
    }
}
