<?php

declare(strict_types=1);

namespace VividPull\Core\Judging;

use VividPull\Core\Facts\Facts;
use VividPull\Core\Spec\OutcomeSetting;
use VividPull\Core\Spec\OutcomeTable;

/** What the machine does at each of its settings: found, and since the last change. */
final readonly class TableState
{
    /**
     * @param  array<string, string>  $found  what was seen before anything was changed, by setting
     * @param  array<string, string>  $now  what was last seen since the last change or lock, by setting
     */
    private function __construct(public OutcomeTable $table, public array $found, public array $now) {}

    public static function of(OutcomeTable $table, Facts $facts): self
    {
        $found = [];
        $now = [];
        foreach ($facts->observations->outcomes as $seen) {
            if ($seen->setting === 0) {
                $found[$seen->entry->setting] = $seen->entry->saw;
            }
            if ($seen->setting !== $facts->readings->setting) {
                continue;
            }
            $now[$seen->entry->setting] = $seen->entry->saw;
            if ($seen->ranOpen && ($table->settings[$seen->entry->setting]->wants ?? null) === $seen->entry->saw) {
                // What went right with something off is tried again.
                unset($now[$seen->entry->setting]);
            }
        }

        return new self($table, $found, $now);
    }

    public function isRight(OutcomeSetting $setting): bool
    {
        return ($this->now[$setting->key] ?? null) === $setting->wants;
    }

    /** Seen since the last change to be something else; teeth that did not meet are not. */
    public function isWrong(OutcomeSetting $setting): bool
    {
        $saw = $setting->sees[$this->now[$setting->key] ?? ''] ?? null;

        return $saw !== null && $saw->key !== $setting->wants && ! $saw->provesNothing;
    }

    /** @return list<OutcomeSetting> those not told since the last change */
    public function untold(bool $tellingOnly): array
    {
        return array_values(array_filter(
            $this->table->settings,
            fn (OutcomeSetting $one): bool => ($one->isTelling || ! $tellingOnly)
                && ! $this->isRight($one)
                && ! $this->isWrong($one),
        ));
    }

    public function isAnyWrong(): bool
    {
        return array_filter($this->table->settings, $this->isWrong(...)) !== [];
    }

    /** Everything that tells was seen since the last change, and nothing that was seen is wrong. */
    public function isSet(): bool
    {
        return $this->untold(true) === [] && ! $this->isAnyWrong();
    }
}
