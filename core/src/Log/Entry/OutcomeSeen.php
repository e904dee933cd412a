<?php

declare(strict_types=1);

namespace VividPull\Core\Log\Entry;

use VividPull\Core\Input\Node;
use VividPull\Core\Log\Decoding;
use VividPull\Core\Log\Draft;
use VividPull\Core\Log\EntryKind;
use VividPull\Core\Log\LogNames;
use VividPull\Core\Log\Stamp;
use VividPull\Core\Spec\ArmLook;

/** What the machine did at one setting. */
final readonly class OutcomeSeen extends Entry
{
    public function __construct(Stamp $stamp, public string $setting, public string $saw)
    {
        parent::__construct($stamp);
    }

    public static function draft(string $setting, string $saw): Draft
    {
        return new Draft(EntryKind::Outcome, ['setting' => $setting, 'saw' => $saw]);
    }

    public static function from(Node $body, Stamp $stamp, Decoding $with): self
    {
        $body->object(['setting', 'saw']);

        return new self($stamp, $body->at('setting')->string(40), $body->at('saw')->string(40));
    }

    public function kind(): EntryKind
    {
        return EntryKind::Outcome;
    }

    public function said(LogNames $names): string
    {
        $table = $names->table;
        $setting = $table?->settings[$this->setting] ?? null;
        $look = ArmLook::tryFrom($this->saw);
        if ($setting === null && $look !== null) {
            return 'Lever drawn, nothing loosened: '.($table->arm ?? 'arm').' '.lcfirst($look->label());
        }

        return $setting === null
            ? ucfirst($table->arm ?? 'arm').' went '.($this->saw === 'plus' ? $table?->plus : $table?->minus)
            : "{$setting->label}: ".lcfirst($setting->sees[$this->saw]->label ?? $this->saw);
    }
}
