<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What feels wrong about a control, what was answered on the way to its cause, and what it was. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('complaints', static function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignId('control_id')->constrained();
            $table->foreignId('open_control_id')->nullable()->unique()->constrained('controls');
            $table->string('words', 500)->nullable();
            $table->foreignId('opened_by_id')->constrained('users');
            $table->dateTime('opened_at', 3);
            $table->foreignId('closed_by_id')->nullable()->constrained('users');
            $table->dateTime('closed_at', 3)->nullable()->index();
            $table->string('cause', 40)->nullable();
        });
        Schema::create('complaint_answers', static function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('complaint_id')->constrained();
            $table->unsignedSmallInteger('seq');
            $table->string('kind', 16);
            $table->string('about', 60);
            $table->string('answer', 40)->nullable();
            $table->foreignId('user_id')->constrained();
            $table->dateTime('at', 3);
            $table->unique(['complaint_id', 'seq']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('complaint_answers');
        Schema::dropIfExists('complaints');
    }
};
