<?php

declare(strict_types=1);

namespace VividPull\Core\Wire;

use VividPull\Core\Bench\BenchState;
use VividPull\Core\Cable\Pose;
use VividPull\Core\Facts\ReadingGroup;
use VividPull\Core\Family\Families;
use VividPull\Core\Judging\Judging;
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
use VividPull\Core\Log\Entry\TraceTaken;
use VividPull\Core\Log\Entry\Untagged;
use VividPull\Core\Log\Entry\Voided;
use VividPull\Core\Procedure\Guide;
use VividPull\Core\Procedure\GuideStep;
use VividPull\Core\Procedure\Inspection;
use VividPull\Core\Procedure\LockStep;
use VividPull\Core\Procedure\Replacement;
use VividPull\Core\Procedure\Step;
use VividPull\Core\Procedure\Symptom;
use VividPull\Core\Quantity\Figure;
use VividPull\Core\Spec\ArmLook;

/** The bench log in the trade's words, one row an entry, oldest first. */
final readonly class LogRows
{
    /**
     * @param  array<string, ReadingGroup>  $lasts  the group each reading ends, by the reading's id
     * @param  array<string, float|null>  $changes  change since the group before, by the same id
     * @param  array<string, true>  $asked  readings that are asked about, or left out of their mean
     */
    private function __construct(
        private BenchState $state,
        private array $lasts,
        private array $changes,
        private array $asked,
    ) {}

    /** @return list<array<string, mixed>> */
    public static function of(BenchState $state): array
    {
        $lasts = [];
        $changes = [];
        $asked = [];
        foreach ([$state->facts->readings->groups, $state->facts->second->readings->groups ?? []] as $groups) {
            $before = null;
            foreach ($groups as $group) {
                $id = $group->last()->stamp->id;
                $lasts[$id] = $group;
                foreach ($group->doubt === null ? $group->leftOut : [$group->doubt->reading] as $reading) {
                    $asked[$reading->stamp->id] = true;
                }
                $comparable = $before !== null
                    && $before->at->series === $group->at->series
                    && $before->first()->pose === $group->first()->pose;
                $changes[$id] = $comparable ? $group->found->mean - $before->found->mean : null;
                $before = $group->first()->pose === Pose::Straight ? $group : $before;
            }
        }
        $rows = new self($state, $lasts, $changes, $asked);
        $voids = $state->log->voids();

        return array_map(
            static fn (Entry $entry): array => $rows->row($entry, ($voids[$entry->stamp->id] ?? null)?->reason),
            $state->log->entries,
        );
    }

    /** @return array<string, mixed> */
    private function row(Entry $entry, ?string $voided): array
    {
        $group = $voided === null ? ($this->lasts[$entry->stamp->id] ?? null) : null;
        $open = $voided === null && $this->state->facts->closed === null;

        return [
            'id' => $entry->stamp->id,
            'at' => $entry->stamp->at,
            'by' => $entry->stamp->by->name,
            'kind' => $entry->kind()->value,
            'what' => $this->what($entry),
            'mm' => $entry instanceof ReadingTaken ? $entry->mm : null,
            'mean_mm' => $group?->found->mean,
            'expanded_mm' => $group?->found->expanded(),
            'count' => $group?->found->count,
            'change_mm' => $this->changes[$entry->stamp->id] ?? null,
            'says' => $group === null ? null : $this->says($group),
            'voided' => $voided,
            'can_uphold' => $open && $entry instanceof ReadingTaken && isset($this->asked[$entry->stamp->id]),
            'can_void' => $open && $entry->kind()->canBeVoided(),
            'can_amend' => $open && $entry->kind()->canBeAmended(),
        ];
    }

    private function says(ReadingGroup $group): string
    {
        $state = $this->state->second !== null && $group->first()->point === $this->state->run->secondPulls()?->point()
            ? $this->state->second
            : $this->state;
        $judgement = $state->judgement;
        $isFound = $judgement->foundGroup?->last()->stamp->id === $group->last()->stamp->id;

        return $isFound ? $judgement->found->sentence : Judging::heldAgainst($state->spec, $group)->sentence;
    }

    private function cableReplaced(ReplacementStep $step): string
    {
        foreach ($this->state->run->cables as $cable) {
            if ($cable->id === $step->cable) {
                return "{$cable->name} to be replaced";
            }
        }

        return 'Cable to be replaced';
    }

    /** As its family calls it; an older log may name a step that the family has no more. */
    private function replacementStep(string $key): string
    {
        foreach ([...Families::of($this->state->spec->family)->replacing(), ...Replacement::usual()] as $step) {
            if ($step->key === $key) {
                return $step->label;
            }
        }

        return $key;
    }

    private function what(Entry $entry): string
    {
        return match (true) {
            $entry instanceof ReadingTaken => $this->reading($entry),
            $entry instanceof ReadingUpheld => 'It is right: '.lcfirst($this->upheld($entry)),
            $entry instanceof ReadEnough => $this->leftAsItReads($entry),
            $entry instanceof Moved => $this->moved($entry),
            $entry instanceof ThreadNoted => $this->thread($entry),
            $entry instanceof Confirmed => $this->confirmed($entry),
            $entry instanceof AllConfirmed => $this->together($entry),
            $entry instanceof Inspected => $this->inspected($entry),
            $entry instanceof ConditionNoted => $entry->label(),
            $entry instanceof CoverMoved => $this->cover($entry),
            $entry instanceof Checked => $this->proof($entry),
            $entry instanceof PolicyChosen => $entry->say(),
            $entry instanceof OutcomeSeen => $this->outcome($entry),
            $entry instanceof MeasureTaken => self::measured($entry),
            $entry instanceof TraceTaken => self::trace($entry),
            $entry instanceof PutRight => $entry->cure->label().($entry->remark === null ? '' : ": {$entry->remark}"),
            $entry instanceof SoakBegun => 'New friction plates laid in oil',
            $entry instanceof PhotoTaken => "Picture of the {$entry->of}",
            $entry instanceof PartRefused => "Did not fit: {$entry->part->label()} {$entry->number}",
            $entry instanceof ReplacementStep => $this->replaced($entry),
            $entry instanceof CablesCompared => self::compared($entry),
            $entry instanceof PartFitted => self::fitted($entry),
            $entry instanceof AdjusterFitted => $this->adjusterFitted($entry),
            $entry instanceof GuideStepDone => $this->guideStep($entry),
            $entry instanceof Noted => $entry->text,
            $entry instanceof Voided => 'Took an entry back: '.$entry->reason,
            $entry instanceof Amended => 'Put an entry right: '.$this->what($entry->becomes).'. '.$entry->reason,
            $entry instanceof LeftByChoice => 'Left outside by choice: '.$entry->reason,
            $entry instanceof Tagged => 'Tagged, do not run: '.$entry->reason,
            $entry instanceof Untagged => 'Tag lifted: '.$entry->reason,
            $entry instanceof Opened => $entry->isCheck ? 'Check begun: play only' : 'Job opened',
            $entry instanceof Complained => 'Feels wrong: '
                .implode('; ', array_map(static fn (Symptom $one): string => lcfirst($one->words()), $entry->symptoms)),
            $entry instanceof Joined => "{$entry->stamp->by->name} joined",
            $entry instanceof Closed => 'Closed: '.self::outcomeOf($entry->outcome),
        };
    }

    private function cover(CoverMoved $entry): string
    {
        return ucfirst($this->state->run->everCovers()[$entry->adjuster] ?? 'cover').($entry->off ? ' off' : ' back on');
    }

    private static function fitted(PartFitted $entry): string
    {
        return "New {$entry->part->label()} fitted".($entry->remark === null ? '' : ". {$entry->remark}");
    }

    private function leftAsItReads(ReadEnough $entry): string
    {
        return "Left as it reads at the {$this->state->spec->pointName($entry->point)}"
            .($entry->pose === Pose::Straight ? '' : ", {$entry->pose->label()}")
            .': the instrument can say no more';
    }

    private function thread(ThreadNoted $entry): string
    {
        return $this->adjuster($entry->adjuster).': '
            .($entry->position === null
                ? lcfirst($entry->state->label() ?? 'not counted')
                : $this->state->run->everKnown($entry->adjuster)?->where($entry->position));
    }

    private function confirmed(Confirmed $entry): string
    {
        return $entry->key === LockStep::KEY
            ? $this->adjuster($entry->adjuster ?? '').' locked'
            : $this->step($entry->key);
    }

    private function inspected(Inspected $entry): string
    {
        return $this->inspection($entry->key).': '.$entry->finding->value
            .($entry->remark === null ? '' : ", {$entry->remark}");
    }

    private static function measured(MeasureTaken $entry): string
    {
        return $entry->key->label().($entry->of === null ? '' : " {$entry->of}").': '.$entry->entered
            .(is_numeric(strtr($entry->entered, ',', '.')) ? ' '.$entry->key->dimension()->internalUnit() : '');
    }

    private static function compared(CablesCompared $entry): string
    {
        $sizes = $entry->sizes;

        return 'Old and new cable compared'
            .($sizes->oldWire === null
                ? ''
                : ', wire showing '.Figure::shortLength($sizes->oldWire, 1)->bare().' and '
                    .Figure::shortLength($sizes->newWire, 1));
    }

    private function reading(ReadingTaken $entry): string
    {
        return 'Read '.$entry->entered.(is_numeric($entry->entered) ? ' mm' : '').' at the '
            .$this->state->spec->pointName($entry->point)
            .(count($this->state->spec->conditions->poses) < 2 ? '' : ', '.$entry->pose->label());
    }

    private function moved(Moved $entry): string
    {
        return $this->adjuster($entry->adjuster).' '
            .($entry->steps === null
                ? 'turned, not counted'
                : $this->state->run->everKnown($entry->adjuster)?->say($entry->steps));
    }

    private function replaced(ReplacementStep $entry): string
    {
        return $entry->reason !== null ? $this->cableReplaced($entry).': '.lcfirst($entry->reason->label())
            : $this->replacementStep($entry->key).($entry->isHere ? '' : ': not here')
                .($entry->remark === null ? '' : ". {$entry->remark}");
    }

    private static function outcomeOf(ClosingOutcome $outcome): string
    {
        return match ($outcome) {
            ClosingOutcome::Fit => 'fit for use',
            ClosingOutcome::ByChoice => 'left outside by choice',
            ClosingOutcome::Tagged => 'tagged, do not run',
            ClosingOutcome::Checked => 'checked, play inside',
        };
    }

    private function outcome(OutcomeSeen $seen): string
    {
        $table = $this->state->judgement->table?->table;
        $setting = $table?->settings[$seen->setting] ?? null;
        $look = ArmLook::tryFrom($seen->saw);
        if ($setting === null && $look !== null) {
            return 'Lever drawn, nothing loosened: '.($table->arm ?? 'arm').' '.lcfirst($look->label());
        }

        return $setting === null
            ? ucfirst($table->arm ?? 'arm').' went '.($seen->saw === 'plus' ? $table?->plus : $table?->minus)
            : "{$setting->label}: ".lcfirst($setting->sees[$seen->saw]->label ?? $seen->saw);
    }

    private function upheld(ReadingUpheld $upheld): string
    {
        $reading = $this->state->log->find($upheld->reading);

        return $reading instanceof ReadingTaken ? $this->what($reading) : 'a reading';
    }

    private function adjuster(string $id): string
    {
        return $this->state->run->everKnown($id)?->name() ?? $id;
    }

    private function adjusterFitted(AdjusterFitted $fitted): string
    {
        $place = $fitted->inPlaceOf === null ? ' added' : " in place of the {$this->adjuster($fitted->inPlaceOf)}";

        return ucfirst($fitted->adjuster->name()).$place.($fitted->remark === null ? '' : ". {$fitted->remark}");
    }

    private function guideStep(GuideStepDone $done): string
    {
        $adjuster = $this->state->run->adjuster($done->adjuster);
        $step = array_values(array_filter(
            $adjuster === null ? [] : Guide::of($adjuster->kind()),
            static fn (GuideStep $one): bool => $one->key === $done->key,
        ))[0]
            ?? null;

        return ucfirst($this->adjuster($done->adjuster)).': '.lcfirst($step->label ?? $done->key)
            .($done->remark === null ? '' : ". {$done->remark}");
    }

    private function together(AllConfirmed $all): string
    {
        $said = array_map(
            fn (Confirmed|Inspected $line): string => $line instanceof Confirmed
                ? $this->step($line->key)
                : $this->inspection($line->key).' sound',
            $all->each(Families::of($this->state->spec->family)),
        );

        return implode('; ', $said);
    }

    private function step(string $key): string
    {
        $family = Families::of($this->state->spec->family);
        $found = array_filter(
            [...$family->makeSafe(), ...$family->refit(), ...$family->closing()],
            static fn (Step $step): bool => $step->key === $key,
        );

        return array_values($found)[0]->label ?? $key;
    }

    private function inspection(string $key): string
    {
        $found = array_filter($this->state->spec->inspections(), static fn (Inspection $i): bool => $i->key === $key);

        return array_values($found)[0]->label ?? $key;
    }

    private function proof(Checked $check): string
    {
        foreach ($this->state->facts->proofs($this->state->spec, $this->state->run) as $proof) {
            if ($proof->key === $check->key) {
                return rtrim($proof->question, '?').($check->pose === null ? '' : ', '.$check->pose->label()).': '
                    .lcfirst($proof->answers->words[$check->answer] ?? $check->answer)
                    .($check->remark === null ? '' : ": {$check->remark}");
            }
        }

        return $check->key;
    }

    private static function trace(TraceTaken $taken): string
    {
        $play = $taken->told->playMm === null ? '' : ', free play ends at '.Figure::length($taken->told->playMm);
        $lost = $taken->told->lost() === null ? '' : ", {$taken->told->lost()} % lost to friction";

        return "Pull as a curve, {$taken->points} points{$play}{$lost}";
    }
}
