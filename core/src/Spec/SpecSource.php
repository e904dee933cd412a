<?php

declare(strict_types=1);

namespace VividPull\Core\Spec;

/** Where a spec's figures come from, and who stands for them. */
final readonly class SpecSource
{
    private function __construct(
        public string $document,
        public ?string $edition,
        public ?string $page,
        public ?string $enteredBy,
        public ?string $checkedBy,
        public ?string $date,
        public SourceKind $kind,
    ) {}

    public static function of(
        string $document,
        ?string $edition,
        ?string $page,
        ?string $enteredBy,
        ?string $checkedBy,
        ?string $date = null,
        SourceKind $kind = SourceKind::Document,
    ): self {
        return new self($document, $edition, $page, $enteredBy, $checkedBy, $date, $kind);
    }

    public function say(): string
    {
        return ($this->kind === SourceKind::CommonPractice ? 'Common practice, no maker\'s figure: ' : '')
            .implode(
                ', ',
                array_filter(
                    [$this->document, $this->edition, $this->page === null ? null : "page {$this->page}", $this->date],
                    is_string(...),
                ),
            );
    }
}
