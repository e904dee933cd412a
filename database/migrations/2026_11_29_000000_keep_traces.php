<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Pulls as they were measured, point by point, beside the entry that names them. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('traces', static function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('job_id')->constrained('control_jobs');
            $table->foreignId('user_id')->constrained();
            $table->unsignedInteger('points');
            // Of what was sent, to tell a repeat from another trace under its id.
            $table->char('digest', 64);
            // SHA-256 of the points as they are kept.
            $table->char('sum', 64);
            $table->dateTime('taken_in_at', 3);
        });
        DB::statement('alter table traces add csv mediumtext character set ascii collate ascii_bin not null');
    }

    public function down(): void
    {
        Schema::dropIfExists('traces');
    }
};
