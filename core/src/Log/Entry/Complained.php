<?php

declare(strict_types=1);

namespace VividPull\Core\Log\Entry;

use VividPull\Core\Input\Node;
use VividPull\Core\Log\Decoding;
use VividPull\Core\Log\Draft;
use VividPull\Core\Log\EntryKind;
use VividPull\Core\Log\LogNames;
use VividPull\Core\Log\Stamp;
use VividPull\Core\Procedure\Symptom;

/**
 * Somebody said what feels wrong while the job is open: the job asks of each whether it is gone. Whoever noticed it
 * need not work on the job.
 */
final readonly class Complained extends Entry
{
    /** @param  list<Symptom>  $symptoms */
    public function __construct(Stamp $stamp, public array $symptoms)
    {
        parent::__construct($stamp);
    }

    /** @param  list<Symptom>  $symptoms */
    public static function draft(array $symptoms): Draft
    {
        $keys = array_map(static fn (Symptom $one): string => $one->value, $symptoms);

        return new Draft(EntryKind::Complaint, ['symptoms' => $keys]);
    }

    public static function from(Node $body, Stamp $stamp, Decoding $with): self
    {
        return new self($stamp, array_map(
            static fn (Node $one): Symptom => $one->enum(Symptom::class),
            $body->object(['symptoms'])->at('symptoms')->items(30),
        ));
    }

    public function kind(): EntryKind
    {
        return EntryKind::Complaint;
    }

    public function said(LogNames $names): string
    {
        return 'Feels wrong: '
            .implode('; ', array_map(static fn (Symptom $one): string => lcfirst($one->words()), $this->symptoms));
    }
}
