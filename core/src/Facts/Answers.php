<?php

declare(strict_types=1);

namespace VividPull\Core\Facts;

use VividPull\Core\Log\Entry\Checked;
use VividPull\Core\Log\Entry\ConditionNoted;
use VividPull\Core\Log\Entry\Confirmed;
use VividPull\Core\Log\Entry\Entry;
use VividPull\Core\Log\Entry\Inspected;
use VividPull\Core\Log\Entry\Noted;
use VividPull\Core\Log\Entry\PartFitted;
use VividPull\Core\Log\Finding;
use VividPull\Core\Log\Log;
use VividPull\Core\Procedure\GateKey;
use VividPull\Core\Procedure\WireDamage;
use VividPull\Core\Spec\Spec;

/** What is confirmed, looked at, noted and fitted, as it comes. */
final class Answers
{
    /** What of the cable itself is looked at. */
    private const OF_THE_CABLE = ['wire', 'conduit'];

    /** @var array<string, Confirmed> */
    private array $confirmed = [];

    /** @var array<string, Inspected> */
    private array $inspected = [];

    private ?ConditionNoted $condition = null;

    /** @var list<Noted> */
    private array $notes = [];

    /** @var list<PartFitted> */
    private array $parts = [];

    public function __construct(private readonly Spec $spec, private readonly UnseenChanges $unseen) {}

    /** A step of safety, of the refit or of the end; what comes after the work does not count across a change. */
    public function confirm(Confirmed $step): void
    {
        if (
            ! in_array($step->key, Refit::keys($this->spec), true)
            || ! $this->unseen->overtook($step, UnseenChanges::STANDS, UnseenChanges::SPEED, UnseenChanges::OPEN)
        ) {
            $this->confirmed[$step->key] = $step;
        }
    }

    /** What was put back before something was run is off again. */
    public function openAgain(): void
    {
        $this->confirmed = array_diff_key($this->confirmed, array_flip(Refit::keys($this->spec)));
    }

    /** @return bool whether a fault that stood was mended by it */
    public function inspect(Inspected $found): bool
    {
        if ($found->finding === Finding::Fault) {
            $this->unseen->note("fault:{$found->key}", $found);
        } elseif ($this->unseen->overtook($found, "fault:{$found->key}")) {
            return false;
        }
        $wasFault = ($this->inspected[$found->key] ?? null)?->finding === Finding::Fault;
        $this->inspected[$found->key] = $found;

        return $wasFault && $found->finding === Finding::Sound;
    }

    public function stand(ConditionNoted $noted): void
    {
        $this->condition = $noted->after($this->condition);
    }

    /** What was seen of the wire before does not stand against what is written of it since. */
    public function note(Noted $note): void
    {
        $this->notes[] = $note;
        $this->inspected = WireDamage::isSaid($note->text) ? array_filter(
            $this->inspected,
            fn (Inspected $one): bool => $one->finding === Finding::Fault
                || $this->spec->inspection($one->key)?->gate !== GateKey::WireSound,
        ) : $this->inspected;
    }

    public function fit(PartFitted $fitted): void
    {
        $this->parts[] = $fitted;
    }

    /** What was seen of the old cable says nothing of the new one. */
    public function forgetTheCable(Entry $by): void
    {
        $this->inspected = array_diff_key($this->inspected, array_flip(self::OF_THE_CABLE));
        foreach (self::OF_THE_CABLE as $key) {
            $this->unseen->note("fault:{$key}", $by);
        }
    }

    /** @return array<string, Confirmed> by key */
    public function confirmed(): array
    {
        return $this->confirmed;
    }

    public function facts(Trials $trials, Log $log): AnswerFacts
    {
        return new AnswerFacts(
            $this->confirmed,
            $this->inspected,
            $this->condition,
            $trials->checks(),
            self::voidedChecks($log),
            $this->notes,
            $this->parts,
            $trials->foundChecks(),
            $trials->tried(),
            $this->unseen->overtaken(),
        );
    }

    /** @return list<Checked> */
    private static function voidedChecks(Log $log): array
    {
        $voids = $log->voids();

        return array_values(array_filter(
            $log->entries,
            static fn (Entry $entry): bool => $entry instanceof Checked && isset($voids[$entry->stamp->id]),
        ));
    }
}
