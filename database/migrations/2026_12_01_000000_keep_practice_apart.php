<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/**
 * Lessons being worked: what was done to a machine that is not there, and what was written of it. Nothing of the shop
 * points here.
 */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('practice_attempts', static function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignId('user_id')->constrained('users');
            $table->string('lesson', 40);
            // The lesson as it stood when it was begun, as a file of it would be.
            $table->json('frame');
            $table->dateTime('begun_at', 3);
            $table->dateTime('ended_at', 3)->nullable();
            // What it came to at its end, by the rules of that day.
            $table->json('score')->nullable();
            $table->index(['user_id', 'lesson']);
        });
        // Lessons of the shop's own, from its jobs or from a file.
        Schema::create('practice_lessons', static function (Blueprint $table): void {
            $table->string('key', 40)->primary();
            $table->json('frame');
            $table->foreignId('made_by_id')->constrained('users');
            $table->dateTime('made_at', 3);
        });
        Schema::create('practice_deeds', static function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('attempt_id')->constrained('practice_attempts');
            $table->unsignedInteger('seq');
            // Null for what is done to the machine, else the kind of an entry.
            $table->string('kind', 20)->nullable();
            $table->json('body');
            $table->text('line')->nullable();
            $table->string('at', 40);
            $table->dateTime('received_at', 3);
            $table->char('digest', 64);
            $table->unique(['attempt_id', 'seq']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('practice_lessons');
        Schema::dropIfExists('practice_deeds');
        Schema::dropIfExists('practice_attempts');
    }
};
