<?php

declare(strict_types=1);

namespace VividPull\Core\Log\Entry;

use VividPull\Core\Errors\BadFile;
use VividPull\Core\Errors\Quoted;
use VividPull\Core\Input\Node;
use VividPull\Core\Log\Decoding;
use VividPull\Core\Log\Draft;
use VividPull\Core\Log\EntryKind;
use VividPull\Core\Log\LogNames;
use VividPull\Core\Log\Stamp;
use VividPull\Core\Log\Standing;

/** The job begins: everything from history that it will be judged with is frozen here. */
final readonly class Opened extends Entry
{
    /** @param  bool  $isCheck  whether only its play is to be read, as long as nothing is wrong */
    public function __construct(
        Stamp $stamp,
        public string $control,
        public Standing $standing,
        public bool $isCheck = false,
    ) {
        parent::__construct($stamp);
    }

    /** @param  array<string, mixed>  $standing  as it goes over the wire */
    public static function draft(string $control, array $standing, bool $isCheck = false): Draft
    {
        return new Draft(
            EntryKind::Opened,
            ['control' => $control, 'standing' => $standing] + ($isCheck ? ['check' => true] : []),
        );
    }

    public static function from(Node $body, Stamp $stamp, Decoding $with): self
    {
        $body->object(['control', 'standing'], ['check']);
        $standing = $with->standing($body->at('standing'));
        foreach (array_keys($standing->positions) as $id) {
            if ($with->run()->adjuster($id) === null) {
                throw BadFile::at(
                    $body->at('standing')->at('positions_steps')->path,
                    Quoted::text($id).' is not an adjuster of this run.',
                );
            }
        }

        return new self($stamp, $body->at('control')->string(60), $standing, $body->flag('check'));
    }

    public function kind(): EntryKind
    {
        return EntryKind::Opened;
    }

    public function said(LogNames $names): string
    {
        return $this->isCheck ? 'Check begun: play only' : 'Job opened';
    }
}
