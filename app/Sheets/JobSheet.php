<?php

declare(strict_types=1);

namespace App\Sheets;

use App\Bench\ImportedRecord;
use App\Bench\JobHead;
use App\Bench\JobLog;
use App\Bench\RestOfMachine;
use App\Bench\ShopClock;
use App\Bench\Traces;
use App\Chain\DayHeads;
use App\Models\ControlJob;
use App\Models\EntryRow;
use Carbon\CarbonImmutable;
use VividPull\Core\Bench\BenchState;
use VividPull\Core\Facts\ReadingGroup;
use VividPull\Core\Input\Node;
use VividPull\Core\Judging\GateState;
use VividPull\Core\Judging\GateStatus;
use VividPull\Core\Judging\Verdict;
use VividPull\Core\Log\ClosingOutcome;
use VividPull\Core\Log\Entry\Entry;
use VividPull\Core\Log\Log;
use VividPull\Core\Procedure\JobStage;
use VividPull\Core\Progress\StageItem;
use VividPull\Core\Quantity\Figure;
use VividPull\Core\Spec\SourceKind;
use VividPull\Core\Spec\Spec;
use VividPull\Core\Wire\LogRows;

/**
 * A job as it goes into the machine's folder: what was found and left against what, what was moved and tried, who
 * stands for it.
 */
final readonly class JobSheet
{
    private const STILL_OPEN = 'Still open: this is no record yet';

    /** Kinds of entries that stand on the sheet under their stages. */
    private const SAID_ELSEWHERE = ['confirmed', 'all_confirmed', 'inspected', 'joined', 'opened'];

    private const OUTCOMES = [
        'fit' => 'Fit for use',
        'by_choice' => 'Left outside the band by choice',
        'tagged' => 'Do not run',
        'checked' => 'Checked: play inside its band',
    ];

    /** @return array<string, mixed> */
    public static function of(JobHead $job): array
    {
        $state = JobLog::of($job)->replay();
        $closed = $state->facts->closed;
        $signed = ImportedRecord::of($job->id, $state);
        $control = ControlJob::query()->with('control')->findOrFail($job->id)->control;

        return [
            'job' => $job,
            'state' => $state,
            'outcome' => $closed?->outcome->value,
            'outcome_words' => $closed === null ? self::STILL_OPEN : self::OUTCOMES[$closed->outcome->value],
            'reason' => self::reason($state),
            'machine_not_fit' => $closed === null ? [] : RestOfMachine::againstRunning($control->machine, $control->key),
            'from_file' => $signed !== null,
            'tape' => self::tape($state, $signed['found']['mm'] ?? null, $signed['left']['mm'] ?? null),
            'readings' => $signed === null ? self::readings($state) : self::signed($signed),
            'pulls' => self::pulls($job, $state),
            'wish' => $state->facts->chosen->wish?->say(),
            'spec' => self::spec($state->spec),
            'stages' => array_map(
                static fn (JobStage $stage): array => [
                    'title' => $stage->title(),
                    'items' => self::items($state->progress->items[$stage->value] ?? []),
                ],
                [JobStage::MakeSafe, JobStage::LookOver, JobStage::Prove, JobStage::Close],
            ),
            'log' => self::log($state),
            'people' => self::people($state),
            'seal' => $closed === null ? null : self::seal($closed->stamp->id),
            'day_head' => DayHeads::beforeToday(),
            'signed_by' => $closed?->stamp->by->name,
            'signed_at' => $closed === null ? null : self::moment($closed->stamp->at),
            'next' => $control->summary?->job === $job->id
                ? self::next($control->due_on, $control->due_usage, $control->due_why, $job->usageUnit)
                : $closed?->nextCheck,
            'printed_at' => ShopClock::now()->format('j F Y, H:i'),
        ];
    }

    /** @return list<array<string, mixed>> */
    private static function log(BenchState $state): array
    {
        return array_values(array_filter(
            LogRows::of($state),
            static fn (array $row): bool => ! in_array($row['kind'], self::SAID_ELSEWHERE, true),
        ));
    }

    /** @return list<string> who wrote in it */
    private static function people(BenchState $state): array
    {
        $names = array_map(static fn (Entry $entry): string => $entry->stamp->by->name, $state->log->entries);

        return array_values(array_unique($names));
    }

    /** Null where no play is read on this control. */
    private static function tape(BenchState $state, ?float $signedFound, ?float $signedLeft): ?string
    {
        $band = $state->spec->aim?->band;

        return $band === null
            ? null
            : Drawing::tape(
                $band->low,
                $band->high,
                $signedFound ?? $state->judgement->foundGroup?->found->mean,
                $signedLeft ?? $state->judgement->nowGroup?->found->mean,
            );
    }

    /** @return array<string, mixed> */
    private static function spec(Spec $spec): array
    {
        return [
            'says' => $spec->say(),
            'printed' => $spec->book->printed,
            'source' => $spec->source->say(),
            'entered_by' => $spec->source->enteredBy,
            'checked_by' => $spec->source->checkedBy,
            'common_practice' => $spec->source->kind === SourceKind::CommonPractice,
        ];
    }

    /**
     * @return list<array{at: string, drawing: string, findings: list<array<string, mixed>>}> pulls kept as curves,
     *     drawn, with what they tell
     */
    private static function pulls(JobHead $job, BenchState $state): array
    {
        $pulls = [];
        foreach ($state->facts->observations->traces as $seen) {
            $traces = Traces::of($job, $state);
            $view = $traces->read($seen->entry->trace, Node::of($traces->howKept($seen->entry->trace)));
            $pulls[] = [
                'at' => self::moment($seen->entry->stamp->at),
                'drawing' => Drawing::curve($view['pull'], $view['release'], $view['phases']),
                'findings' => $view['findings'],
            ];
        }

        return $pulls;
    }

    /** What stands under how it ended. */
    private static function reason(BenchState $state): ?string
    {
        $untried = array_map(
            static fn (GateState $gate): string => lcfirst($gate->gate->title),
            $state->judgement->gatesThat(GateStatus::Unknown),
        );

        return match ($state->facts->closed?->outcome) {
            ClosingOutcome::Tagged => $state->facts->tag?->reason,
            ClosingOutcome::Checked => 'Only its play was read: this does not say that it is fit for use.'
                .($untried === [] ? '' : ' Not tried: '.implode(', ', $untried).'.'),
            ClosingOutcome::Fit, ClosingOutcome::ByChoice, null => $state->facts->chosen->byChoice?->reason,
        };
    }

    /**
     * The first digits of the chain as it was when the job was closed: what stood before cannot be altered without
     * altering these.
     */
    private static function seal(string $entry): string
    {
        return trim(chunk_split(
            substr((string) EntryRow::query()->whereKey($entry)->toBase()->value('chain'), 0, 16),
            4,
            ' ',
        ));
    }

    public static function moment(string $at): string
    {
        return CarbonImmutable::parse($at)->format('j F Y, H:i');
    }

    private static function next(?CarbonImmutable $day, ?int $usage, ?string $why, string $unit): ?string
    {
        $when = array_filter(
            [$day?->format('j F Y'), $usage === null ? null : (string) Figure::usage($usage, $unit)],
            is_string(...),
        );

        return $when === [] ? null : implode(', or ', $when).($why === null ? '' : " ({$why})");
    }

    /** @return list<array<string, mixed>> found and left, of each cable that has play */
    private static function readings(BenchState $state): array
    {
        $rows = [];
        foreach ([
            [$state, ''],
            ...($state->second === null ? [] : [[$state->second, ', second cable']]),
        ] as [$one, $of]) {
            $rows[] = self::reading(
                $state->log,
                'found',
                "As found{$of}",
                $one->judgement->foundGroup,
                $one->judgement->found,
            );
            $rows[] = self::reading(
                $state->log,
                'left',
                "As left{$of}",
                $one->judgement->nowGroup,
                $one->judgement->now,
            );
        }

        return array_values(array_filter($rows, is_array(...)));
    }

    /**
     * @param  array{found: array<string, mixed>|null, left: array<string, mixed>|null}  $signed
     * @return list<array<string, mixed>>
     */
    private static function signed(array $signed): array
    {
        $row = static fn (string $mark, string $name, ?array $one): ?array => $one === null ? null : [
            'mark' => $mark,
            'name' => $name,
            'mm' => Figure::length($one['mm'], 2)->bare(),
            'expanded' => Figure::length($one['expanded_mm'], 2)->bare(),
            'count' => 0,
            'instrument' => '',
            'overdue' => null,
            'state' => '',
            'verdict' => $one['sentence'],
            'chance' => $one['chance_inside'] === null ? null : (int) floor($one['chance_inside'] * 100),
        ];

        return array_values(array_filter(
            [$row('found', 'As found', $signed['found']), $row('left', 'As left', $signed['left'])],
            is_array(...),
        ));
    }

    /** @return array<string, mixed>|null */
    private static function reading(
        Log $log,
        string $mark,
        string $name,
        ?ReadingGroup $group,
        Verdict $verdict,
    ): ?array {
        return $group === null ? null : [
            'mark' => $mark,
            'name' => $name,
            'mm' => Figure::length($group->found->mean, 2)->bare(),
            'expanded' => Figure::length($group->found->expanded(), 2)->bare(),
            'count' => count($group->readings),
            'instrument' => $group->instrument->name,
            'overdue' => $group->overdueSince($log),
            'state' => implode(
                ', ',
                array_filter(
                    [
                        $group->first()->engine?->value,
                        $group->first()->wheels?->label(),
                        $group->first()->pose->label(),
                    ],
                    is_string(...),
                ),
            ),
            'verdict' => $verdict->sentence,
            'chance' => $verdict->chanceInside === null ? null : (int) floor($verdict->chanceInside * 100),
        ];
    }

    /**
     * @param  list<StageItem>  $items
     * @return list<array<string, mixed>>
     */
    private static function items(array $items): array
    {
        return array_map(
            static fn (StageItem $item): array => [
                'label' => $item->label,
                'said' => $item->said,
                'mark' => $item->failed ? 'wrong' : ($item->done ? 'fit' : 'open'),
            ],
            array_values(array_filter($items, static fn (StageItem $item): bool => $item->key !== 'sign_off')),
        );
    }
}
