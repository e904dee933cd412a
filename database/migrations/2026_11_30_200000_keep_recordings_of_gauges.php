<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Pulls that a force gauge recorded and that nobody has looked at yet; their points are a curve of the job. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('gauge_recordings', static function (Blueprint $table): void {
            $table->foreignUuid('trace_id')->primary()->constrained('traces');
            $table->foreignUuid('bridge_id')->constrained('gauge_bridges');
            $table->string('instrument', 40);
            $table->foreignUuid('job_id')->constrained('control_jobs');
            $table->double('seconds');
            $table->double('heaviest_n');
            // Lines that were no reading, and are not among its points.
            $table->unsignedInteger('spoilt');
            $table->boolean('low_battery');
            $table->dateTime('at', 3);
            $table->dateTime('received_at', 3);
            $table->dateTime('dropped_at', 3)->nullable();
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('gauge_recordings');
    }
};
