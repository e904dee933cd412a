<?php

declare(strict_types=1);

namespace App\Bench;

use App\Models\Control;
use App\Models\EntryRow;
use App\Models\User;
use Carbon\CarbonImmutable;
use Illuminate\Support\Str;
use VividPull\Core\Diagnosis\Check;
use VividPull\Core\Diagnosis\JobAnswer;
use VividPull\Core\Errors\Refused;
use VividPull\Core\Log\Draft;
use VividPull\Core\Log\Entry\Complained;
use VividPull\Core\Log\Entry\Joined;
use VividPull\Core\Log\Entry\Voided;
use VividPull\Core\Procedure\Symptom;

/**
 * What is said of a control while a job on it is open stands in that job, too: what feels wrong, and what a look showed
 * where the job asks for the same look.
 */
final readonly class ComplaintInJob
{
    private function __construct(private JobHead $job, private Journal $journal) {}

    public static function on(Control $control): ?self
    {
        $id = $control->openJob()->value('id');

        return is_string($id) ? new self(JobHead::find($id), new Journal) : null;
    }

    /** @param  list<Symptom>  $symptoms */
    public function feelsWrong(array $symptoms, User $by, CarbonImmutable $now): void
    {
        $this->journal->add(
            $this->job,
            $by,
            (string) Str::uuid7($now),
            Complained::draft($symptoms),
            $now,
        );
    }

    /**
     * Under the answer's own id, so that it is found when it is taken back. What the job does not take at its stage
     * counts where the cause is looked for alone.
     */
    public function seen(Check $check, string $answer, string $id, User $by, CarbonImmutable $now): void
    {
        $state = JobLog::of($this->job)->replay();
        $said = JobAnswer::of($check, $answer, $state);
        if ($said === null) {
            return;
        }
        $joining = isset($state->facts->joined[$by->person()->id])
            ? []
            : [[(string) Str::uuid7($now), Joined::draft()]];
        $this->asFarAsItGoes([...$joining, [$id, $said]], $by, $now);
    }

    /** @param  string  $answer  id of the answer that is taken back */
    public function takenBack(string $answer, User $by, CarbonImmutable $now): void
    {
        if (EntryRow::query()->whereKey($answer)->where('job_id', $this->job->id)->exists()) {
            $this->asFarAsItGoes(
                [[
                    (string) Str::uuid7($now),
                    Voided::draft($answer, 'Taken back where its cause is looked for'),
                ]],
                $by,
                $now,
            );
        }
    }

    /** @param  list<array{string, Draft}>  $entries  each with its id */
    private function asFarAsItGoes(array $entries, User $by, CarbonImmutable $now): void
    {
        try {
            foreach ($entries as [$id, $draft]) {
                $this->journal->add($this->job, $by, $id, $draft, $now);
            }
        } catch (Refused) {
            // It stands with the complaint, and is evidence there.
        }
    }
}
