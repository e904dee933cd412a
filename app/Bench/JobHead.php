<?php

declare(strict_types=1);

namespace App\Bench;

use App\Models\ControlJob;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Support\Facades\DB;
use stdClass;

/**
 * A job without its log: what it is on, and the spec and run it is judged by. Read in one query with every line logged.
 */
final readonly class JobHead
{
    public string $id;

    public string $visit;

    /** @var array{spec: array<string, mixed>, run: array<string, mixed>} */
    public array $frame;

    public int $usage;

    public CarbonImmutable $openedAt;

    public string $controlKey;

    public string $controlName;

    public string $tag;

    public string $machine;

    public string $usageUnit;

    public ?CarbonImmutable $ranUntil;

    /** The closed job that this one puts right. */
    public ?string $corrects;

    public Meanwhile $meanwhile;

    private function __construct(stdClass $row)
    {
        $this->id = $row->id;
        $this->visit = $row->visit_id;
        $this->frame = json_decode($row->frame, true, flags: JSON_THROW_ON_ERROR);
        $this->usage = (int) $row->usage_reading;
        $this->openedAt = CarbonImmutable::parse($row->opened_at, 'UTC');
        [$this->controlKey, $this->controlName] = [$row->key, $row->name];
        [$this->tag, $this->machine, $this->usageUnit] = [$row->tag, $row->machine, $row->usage_unit];
        $this->ranUntil = $row->ran_until === null ? null : CarbonImmutable::parse($row->ran_until, 'UTC');
        $this->corrects = $row->corrects;
        $this->meanwhile = new Meanwhile(
            (int) $row->spec_version_id !== (int) $row->hangs_on,
            (bool) $row->tried_elsewhere,
        );
    }

    /** @throws ModelNotFoundException<ControlJob> If there is no such job. */
    public static function find(string $id): self
    {
        $elsewhere = DB::table('entries')
            ->selectRaw('1')
            ->whereColumn('entries.visit_id', 'control_jobs.visit_id')
            ->whereColumn('entries.job_id', '!=', 'control_jobs.id')
            ->whereIn('entries.kind', RestOfMachine::TRIED)->limit(1);
        $row = DB::table('control_jobs')
            ->join('controls', 'controls.id', '=', 'control_jobs.control_id')
            ->join('machines', 'machines.id', '=', 'controls.machine_id')
            ->where('control_jobs.id', $id)
            ->select([
                'control_jobs.*',
                'controls.key',
                'controls.name',
                'machines.tag',
                'machines.name as machine',
                'machines.usage_unit',
                'machines.ran_until',
                'controls.spec_version_id as hangs_on',
            ])
            ->selectSub($elsewhere, 'tried_elsewhere')->first();

        return $row instanceof stdClass
            ? new self($row)
            : throw (new ModelNotFoundException)->setModel(ControlJob::class);
    }
}
