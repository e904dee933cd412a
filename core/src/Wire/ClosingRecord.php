<?php

declare(strict_types=1);

namespace VividPull\Core\Wire;

use VividPull\Core\Bench\Bench;
use VividPull\Core\Bench\BenchState;
use VividPull\Core\Bench\Carryover;
use VividPull\Core\Cable\AdjustedQuantity;
use VividPull\Core\Facts\ReadingGroup;
use VividPull\Core\Facts\SeenTrace;
use VividPull\Core\Judging\GateState;
use VividPull\Core\Judging\MeasureState;
use VividPull\Core\Judging\PackState;
use VividPull\Core\Judging\PullState;
use VividPull\Core\Judging\Verdict;
use VividPull\Core\Log\Entry\Inspected;
use VividPull\Core\Log\Entry\PartFitted;
use VividPull\Core\Log\Entry\PartRefused;
use VividPull\Core\Log\Entry\PutRight;
use VividPull\Core\Log\Finding;
use VividPull\Core\Procedure\Proof;
use VividPull\Core\Procedure\SymptomProofs;
use VividPull\Core\Quantity\Steps;

/** What is signed when a job closes. Kept with the entry, so that no later engine can change what was signed. */
final readonly class ClosingRecord
{
    /** @return array<string, mixed> */
    public static function of(BenchState $state): array
    {
        $done = $state->facts->observations;

        return [
            'engine' => Bench::ENGINE,
            'point' => $state->spec->aim?->point->value,
            'spec' => $state->spec->say(),
            'source' => $state->spec->source->say(),
            'found' => self::reading($state, $state->judgement->foundGroup, $state->judgement->found),
            'left' => self::reading($state, $state->judgement->nowGroup, $state->judgement->now),
            'left_backward' => $state->second === null
                ? null
                : self::reading($state, $state->second->judgement->nowGroup, $state->second->judgement->now),
            'stands' => self::stands($state),
            'measured' => self::measured($state),
            'outcomes' => self::outcomes($state),
            'pull' => PullState::of($state->spec, $state->facts)?->sentence,
            'pack' => self::pack($state),
            ...self::traces($state),
            'put_right' => array_map(static fn (PutRight $one): string => $one->cure->value, $done->putRight),
            'did_not_fit' => array_map(
                static fn (PartRefused $one): array => ['part' => $one->part->value, 'number' => $one->number],
                $done->refused,
            ),
            ...self::parts($state),
            'wish' => $state->facts->chosen->wish?->say(),
            'by_choice' => $state->facts->chosen->byChoice?->reason,
            'left_faults' => $state->progress->check?->isOn() === true
                ? $state->facts->standing->history->left->faults ?? []
                : self::leftFaults($state),
            'tag' => $state->facts->tag?->reason,
            'gates' => array_map(
                static fn (GateState $one): array => ['key' => $one->gate->key->value, 'status' => $one->status->value],
                $state->judgement->gates,
            ),
        ];
    }

    /** @return list<array<string, mixed>> */
    private static function measured(BenchState $state): array
    {
        return array_map(static fn (MeasureState $one): array => [
            'key' => $one->measure->key->value,
            'value' => $one->found?->mean,
            'expanded' => $one->found?->expanded(),
            'unit' => $one->measure->key->dimension()->internalUnit(),
            'verdict' => $one->verdict->kind->value,
            'sentence' => $one->verdict->sentence,
        ], $state->judgement->measures);
    }

    /** @return array{found: object, left: object}|null */
    private static function outcomes(BenchState $state): ?array
    {
        $table = $state->judgement->table;

        return $table === null ? null : ['found' => (object) $table->found, 'left' => (object) $table->now];
    }

    /** @return array<string, mixed> what was fitted, and what was moved for it */
    private static function parts(BenchState $state): array
    {
        $parts = $state->facts->answers->parts;

        return [
            'fitted_parts' => array_values(array_map(
                static fn (PartFitted $one): array => ['part' => $one->part->value, 'number' => $one->remark],
                array_filter($parts, static fn (PartFitted $one): bool => $one->remark !== null),
            )),
            'given_before_mm' => Carryover::givenBetween($state),
            'moves' => count($state->facts->readings->moves),
            'parts' => array_map(static fn (PartFitted $one): string => $one->part->value, $parts),
        ];
    }

    /** @return array<string, mixed> pulls kept as curves; nothing where there are none */
    private static function traces(BenchState $state): array
    {
        $traces = array_map(
            static fn (SeenTrace $one): array => TraceCodec::body($one->entry),
            $state->facts->observations->traces,
        );

        return $traces === [] ? [] : ['traces' => $traces];
    }

    /** @return list<array<string, mixed>> where each adjuster was found and left, and what it took up */
    private static function stands(BenchState $state): array
    {
        $stands = [];
        foreach ($state->run->adjusters() as $id => $adjuster) {
            if (! in_array($adjuster->kind()->sets(), [AdjustedQuantity::Play, AdjustedQuantity::Speed], true)) {
                continue;
            }
            [$home, $at] = [
                $state->facts->adjusters->homeOf($id),
                $state->facts->adjusters->at($id),
            ];
            $moved = Steps::none();
            foreach ($state->facts->readings->moves as $move) {
                $moved = $move->entry->adjuster === $id && $move->entry->steps !== null
                    ? $moved->plus($move->entry->steps)
                    : $moved;
            }
            $stands[] = [
                'adjuster' => $id,
                'name' => $adjuster->name(),
                'unit' => $adjuster->counting()->unit->value,
                'found' => $home === null ? null : $adjuster->where($home),
                'left' => $at === null ? null : $adjuster->where($at),
                'taken' => $adjuster->sense()->sign() * $moved->count / $adjuster->counting()->each->count,
            ];
        }

        return $stands;
    }

    /** @return list<string> what was found faulty, or worn, and left with its reason */
    private static function leftFaults(BenchState $state): array
    {
        $faulty = [];
        foreach ($state->log->effective() as $entry) {
            if ($entry instanceof Inspected) {
                $faulty[$entry->key] = $entry->finding === Finding::Fault
                    || ($entry->finding === Finding::Noted && ($faulty[$entry->key] ?? false));
            }
        }
        $left = [];
        foreach ($state->spec->inspections() as $inspection) {
            if ($faulty[$inspection->key] ?? false) {
                $left[] = "{$inspection->label}: "
                    .($state->facts->answers->inspected[$inspection->key]->remark ?? 'fault');
            }
        }

        foreach ($state->spec->symptomProofs($state->facts->observations->told) as $proof) {
            $given = $state->facts->answers->checks[$proof->key] ?? null;
            $left = $given?->answer === Proof::LEFT
                ? [...$left, SymptomProofs::words($proof).", still there: {$given->remark}"]
                : $left;
        }

        return $left;
    }

    /** @return array<string, mixed>|null null where nothing of a pack was measured */
    private static function pack(BenchState $state): ?array
    {
        $pack = PackState::of($state->spec, $state->facts);

        return $pack === null || $pack->items === []
            ? null
            : ['sentence' => $pack->sentence, 'weakest_mm' => $pack->weakest()];
    }

    /** @return array<string, mixed>|null */
    private static function reading(BenchState $state, ?ReadingGroup $group, Verdict $verdict): ?array
    {
        return $group === null ? null : [
            'mm' => $group->found->mean,
            'standard_mm' => $group->found->standard(),
            'engine' => $group->first()->engine?->value,
            'expanded_mm' => $group->found->expanded(),
            'instrument' => $group->instrument->name,
            'overdue_since' => $group->overdueSince($state->log),
            'converted_from' => $group->convertedFrom?->label(),
            'verdict' => $verdict->kind->value,
            'sentence' => $verdict->sentence,
            'chance_inside' => $verdict->chanceInside,
        ];
    }
}
