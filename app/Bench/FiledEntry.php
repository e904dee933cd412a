<?php

declare(strict_types=1);

namespace App\Bench;

use VividPull\Core\Log\Draft;
use VividPull\Core\Log\Person;
use VividPull\Core\Log\Role;
use VividPull\Core\Log\Stamp;

/** An entry that comes from a file, with its place in the log: said by whom the file names. */
final readonly class FiledEntry
{
    public function __construct(
        public string $visit,
        public int $seq,
        public string $job,
        public Draft $draft,
        public Stamp $stamp,
    ) {}

    /**
     * @param  string  $at  as their clock showed it, with its offset
     * @param  string  $name  whom the file names
     */
    public static function stamp(string $id, string $at, string $name): Stamp
    {
        return new Stamp($id, $at, new Person(ImportedRecord::HISTORY, $name, Role::Technician));
    }
}
