<?php

declare(strict_types=1);

namespace App\Models;

use App\Bench\ControlSummary;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOne;
use VividPull\Core\Cable\Run;
use VividPull\Core\Input\Node;
use VividPull\Core\Spec\Spec;
use VividPull\Core\Wire\RunCodec;

/**
 * One hand control of one machine.
 *
 * @property int $id
 * @property int $machine_id
 * @property int $spec_version_id
 * @property string $key
 * @property string $name
 * @property array<string, mixed> $run
 * @property int $minutes
 * @property CarbonImmutable|null $planned_on
 * @property CarbonImmutable|null $due_on
 * @property int|null $due_usage
 * @property string|null $due_why
 * @property ControlSummary|null $summary
 * @property CarbonImmutable|null $updated_at
 * @property Machine $machine
 * @property SpecVersion $specVersion
 * @property ControlJob|null $openJob
 */
final class Control extends Model
{
    protected $guarded = [];

    /** @return BelongsTo<Machine, $this> */
    public function machine(): BelongsTo
    {
        return $this->belongsTo(Machine::class);
    }

    /** @return BelongsTo<SpecVersion, $this> */
    public function specVersion(): BelongsTo
    {
        return $this->belongsTo(SpecVersion::class);
    }

    /** What it is judged by. */
    public function spec(): Spec
    {
        return $this->specVersion->spec();
    }

    /** What hangs on the machine, as the core reads it. */
    public function fitted(): Run
    {
        return RunCodec::decode(Node::of($this->run));
    }

    /** @return HasMany<ControlJob, $this> */
    public function jobs(): HasMany
    {
        return $this->hasMany(ControlJob::class);
    }

    /** @return HasOne<ControlJob, $this> */
    public function openJob(): HasOne
    {
        return $this->hasOne(ControlJob::class, 'open_control_id');
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'run' => 'array', 'summary' => SummaryCast::class, 'planned_on' => 'immutable_date',
            'due_on' => 'immutable_date', 'minutes' => 'integer',
        ];
    }
}
