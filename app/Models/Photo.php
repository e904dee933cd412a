<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * A picture kept with a job: small enough for a bench, and without what a phone writes into it.
 *
 * @property string $id
 * @property string $job_id
 * @property string $digest
 * @property string $jpeg
 */
final class Photo extends Model
{
    public $incrementing = false;

    public $timestamps = false;

    protected $guarded = [];

    protected $keyType = 'string';
}
