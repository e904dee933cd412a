<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * The points of a pull, kept with a job.
 *
 * @property string $id
 * @property string $job_id
 * @property int $points
 * @property string $digest
 * @property string $csv  `travel_mm,force_n,direction`
 */
final class Trace extends Model
{
    public $incrementing = false;

    public $timestamps = false;

    protected $guarded = [];

    protected $keyType = 'string';
}
