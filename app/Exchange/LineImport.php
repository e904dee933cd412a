<?php

declare(strict_types=1);

namespace App\Exchange;

use VividPull\Core\Errors\CoreError;

/** A kind of file that is taken in line by line. */
interface LineImport
{
    /** What its JSON names itself. */
    public function format(): string;

    /** The key under which its JSON lists its rows. */
    public function key(): string;

    /** @return list<string> the columns of its CSV */
    public function columns(): array;

    /**
     * What would be written for a row; null where it stands already.
     *
     * @param  array<string, mixed>  $row
     *
     * @throws CoreError If the row cannot be taken; the sentence says why.
     */
    public function consider(array $row): ?object;

    /** @param  list<object>  $taken  what was considered, in order */
    public function write(array $taken): void;

    /** Called once after all of them. */
    public function finish(): void;
}
