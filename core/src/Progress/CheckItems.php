<?php

declare(strict_types=1);

namespace VividPull\Core\Progress;

use VividPull\Core\Cable\Pose;
use VividPull\Core\Cable\Run;
use VividPull\Core\Errors\Quoted;
use VividPull\Core\Facts\Facts;
use VividPull\Core\Family\Families;
use VividPull\Core\Judging\GateState;
use VividPull\Core\Judging\Judgement;
use VividPull\Core\Log\Entry\Checked;
use VividPull\Core\Log\Entry\Confirmed;
use VividPull\Core\Log\Entry\Entry;
use VividPull\Core\Log\Entry\Inspected;
use VividPull\Core\Log\Finding;
use VividPull\Core\Planning\CableState;
use VividPull\Core\Procedure\GateKey;
use VividPull\Core\Procedure\Inspection;
use VividPull\Core\Procedure\Proof;
use VividPull\Core\Procedure\Running;
use VividPull\Core\Procedure\Step;
use VividPull\Core\Procedure\SymptomProofs;
use VividPull\Core\Spec\Spec;

/** What is confirmed, looked over, put right where that found a fault, and tried. */
final readonly class CheckItems
{
    private const WIRE = 'wire';

    private Spec $spec;

    private Run $run;

    private Facts $facts;

    private Judgement $judgement;

    public function __construct(CableState $cable)
    {
        [$this->spec, $this->run, $this->facts] = [$cable->spec, $cable->run, $cable->facts];
        $this->judgement = $cable->judgement;
    }

    public function step(Step $step): StageItem
    {
        $done = $this->facts->answers->confirmed[$step->key] ?? null;

        return $this->answered($step->key, $step->label, $done, 'Done', false, null, $step->caution, [
            new Answer('ok', 'Done', Confirmed::draft($step->key), AnswerTone::Right),
        ]);
    }

    public function inspection(Inspection $inspection): StageItem
    {
        $found = $this->facts->answers->inspected[$inspection->key] ?? null;
        $said = match ($found?->finding) {
            null => null,
            Finding::Sound => 'Sound'.($found->remark === null ? '' : ": {$found->remark}"),
            Finding::Noted => 'Noted'.($found->remark === null ? '' : ": {$found->remark}"),
            Finding::Fault => 'Fault'.($found->remark === null ? '' : ": {$found->remark}"),
        };
        $failed = $found?->finding === Finding::Fault && $inspection->gate !== null;

        return $this->answered(
            $inspection->key,
            $inspection->label,
            $found,
            $said,
            $failed,
            $this->lookFor($inspection, $found),
            null,
            [
                new Answer('ok', 'Sound', Inspected::draft($inspection->key, Finding::Sound), AnswerTone::Right),
                new Answer(
                    'noted',
                    'Worn, noted',
                    Inspected::draft($inspection->key, Finding::Noted),
                    AnswerTone::Plain,
                    true,
                ),
                new Answer('fault', 'Fault', Inspected::draft($inspection->key, Finding::Fault), AnswerTone::Wrong, true),
            ],
        );
    }

    /** What to look for, after what the log tells of the wire, where nobody looked since. */
    private function lookFor(Inspection $inspection, ?Inspected $found): string
    {
        $written = $found === null && $inspection->gate === GateKey::WireSound
            ? $this->facts->answers->wireInNotes()
            : null;

        return $written === null
            ? $inspection->lookFor
            : 'Written in the log: '.Quoted::text($written).'. '.$inspection->lookFor;
    }

    /**
     * @return list<StageItem> a fault is never passed in silence: it is mended, or left with a reason where that is
     *     allowed
     */
    public function faults(): array
    {
        $items = [];
        foreach ($this->spec->inspections() as $inspection) {
            $found = $this->facts->answers->inspected[$inspection->key] ?? null;
            if ($inspection->gate !== null || $found?->finding !== Finding::Fault) {
                continue;
            }
            $items[] = self::fault($inspection, $found, Families::of($this->spec->family)->allowsByChoice());
        }

        return $items;
    }

    private static function fault(Inspection $inspection, Inspected $found, bool $mayBeLeft): StageItem
    {
        $sound = Inspected::draft($inspection->key, Finding::Sound);
        $noted = Inspected::draft($inspection->key, Finding::Noted);
        $mended = new Answer('mended', 'Mended or replaced', $sound, AnswerTone::Right, true, 'What was done');
        $left = new Answer('left', 'Leave it, and say why', $noted, AnswerTone::Plain, true, 'Why it is left');

        return new StageItem(
            "fault:{$inspection->key}",
            ItemKind::Answer,
            "Put right: {$inspection->label}",
            new ItemState(
                false,
                said: $found->remark === null ? 'Fault' : "Fault: {$found->remark}",
                stamp: $found->stamp,
            ),
            ($found->remark === null ? '' : "Found: {$found->remark}. ")
                .'Mend it or replace it; what was read before no longer compares.',
            answers: $mayBeLeft ? [$mended, $left] : [$mended],
            subject: new ItemSubject($inspection->key),
        );
    }

    /**
     * @return list<StageItem> what nobody may use: it is replaced or tagged before anything is set, tried or run with
     *     it
     */
    public function gatedFaults(): array
    {
        $family = Families::of($this->spec->family);
        $items = [];
        foreach ($this->spec->inspections() as $inspection) {
            $found = $this->facts->answers->inspected[$inspection->key] ?? null;
            if ($inspection->gate === null || $found?->finding !== Finding::Fault) {
                continue;
            }
            $why = array_values(array_filter(
                $this->judgement->gates,
                static fn (GateState $one): bool => $one->gate->key === $inspection->gate,
            ))[0]->sentence
                ?? '';
            $said = $found->remark === null ? 'Fault' : "Fault: {$found->remark}";
            $items[] = new StageItem(
                "fault:{$inspection->key}",
                ItemKind::Answer,
                "Not fit: {$inspection->label}",
                new ItemState(false, said: $said, stamp: $found->stamp),
                ($found->remark === null ? '' : "Found: {$found->remark}. ")
                    .trim("{$why} Replace it, or tag the machine: nothing is set or run with it."),
                // Replacing the cable, step by step, is what is offered first where it can be.
                answers: [new Answer(
                    'mended',
                    'Replaced, and sound now',
                    Inspected::draft($inspection->key, Finding::Sound),
                    $inspection->key === self::WIRE && $family->notSettable() === null
                        ? AnswerTone::Plain
                        : AnswerTone::Right,
                    true,
                    'What was done',
                )],
                subject: new ItemSubject($inspection->key));
        }

        return $items;
    }

    /** @return list<StageItem> */
    public function proofs(Running $running): array
    {
        $items = [];
        foreach (array_filter(
            $this->facts->proofs($this->spec, $this->run),
            static fn (Proof $proof): bool => $proof->running === $running,
        ) as $proof) {
            foreach ($proof->tries() as $pose) {
                $items[] = $this->proof($proof, $pose);
            }
        }

        return $items;
    }

    private function proof(Proof $proof, ?Pose $pose): StageItem
    {
        $key = Facts::checkKey($proof->key, $pose?->value);
        $given = $this->facts->answers->checks[$key] ?? null;
        $passed = $given !== null && $this->facts->passes($proof, $given);
        $label = $proof->question.($pose === null ? '' : ', '.$pose->label());

        return new StageItem(
            "check:{$key}",
            ItemKind::Answer,
            $label,
            new ItemState(
                $passed,
                $given !== null && ! $passed,
                $given === null
                    ? null
                    : ($proof->answers->words[$given->answer] ?? $given->answer)
                        .($given->remark === null ? '' : ": {$given->remark}"),
                $given?->stamp,
                $given !== null && $proof->tolerates($given->answer),
            ),
            $this->noteBehind($proof),
            $proof->caution,
            self::answersTo($proof, $pose),
            subject: new ItemSubject($pose?->value),
        );
    }

    /** The note that makes it ask, word for word. */
    private function noteBehind(Proof $proof): ?string
    {
        foreach ($this->facts->observations->told as $told) {
            if ($told->note !== null && $proof->key === SymptomProofs::key($told->symptom)) {
                return 'Written in the log: '.Quoted::text($told->note).'.';
            }
        }

        return null;
    }

    /** @return list<Answer> */
    private static function answersTo(Proof $proof, ?Pose $pose): array
    {
        $answers = [];
        foreach ($proof->answers->words as $word => $label) {
            $asksWhy = $proof->asksWhy($word);
            $tone = match (true) {
                $asksWhy, $word === Proof::MISREAD => AnswerTone::Plain,
                $proof->passes($word) => AnswerTone::Right,
                default => AnswerTone::Wrong,
            };
            $answers[] = new Answer(
                $word,
                $label,
                Checked::draft($proof->key, $word, $pose),
                $tone,
                $asksWhy,
                $asksWhy ? 'Why not?' : null,
            );
        }

        return $answers;
    }

    /** @param  list<Answer>  $answers */
    private function answered(
        string $key,
        string $label,
        ?Entry $entry,
        ?string $said,
        bool $failed,
        ?string $detail,
        ?string $caution,
        array $answers,
    ): StageItem {
        return new StageItem(
            $key,
            ItemKind::Answer,
            $label,
            new ItemState($entry !== null, $failed, $entry === null ? null : $said, $entry?->stamp),
            $detail,
            $caution,
            $answers,
        );
    }
}
