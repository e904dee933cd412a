<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Gauges that speak: the bridges that carry what they send, which job each speaks to, and what came and waits. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('gauge_bridges', static function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->string('name', 60);
            // SHA-256 of its token, which is shown once and kept nowhere.
            $table->char('digest', 64)->unique();
            $table->foreignId('user_id')->constrained();
            $table->dateTime('made_at', 3);
            $table->dateTime('seen_at', 3)->nullable();
            $table->dateTime('ended_at', 3)->nullable();
            // Instruments on its lines, as it said when it was last heard.
            $table->json('carries');
        });
        Schema::create('gauge_claims', static function (Blueprint $table): void {
            $table->string('instrument', 40)->primary();
            $table->foreignUuid('job_id')->constrained('control_jobs');
            $table->foreignId('user_id')->constrained();
            $table->char('device', 12);
            $table->dateTime('since', 3);
        });
        Schema::create('gauge_readings', static function (Blueprint $table): void {
            // An entry made of it has the same id, so that it is logged once and no more.
            $table->uuid('id')->primary();
            $table->foreignUuid('bridge_id')->constrained('gauge_bridges');
            $table->string('instrument', 40);
            $table->foreignUuid('job_id')->constrained('control_jobs');
            $table->char('device', 12);
            // As it came over the wire.
            $table->string('line', 80);
            $table->string('entered', 40);
            $table->string('dimension', 12);
            $table->boolean('low_battery');
            $table->dateTime('at', 3);
            $table->dateTime('received_at', 3)->index();
            // When a screen was handed it; it is handed to one.
            $table->dateTime('handed_at', 3)->nullable();
            $table->dateTime('dropped_at', 3)->nullable();
            $table->index(['job_id', 'dropped_at']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('gauge_readings');
        Schema::dropIfExists('gauge_claims');
        Schema::dropIfExists('gauge_bridges');
    }
};
