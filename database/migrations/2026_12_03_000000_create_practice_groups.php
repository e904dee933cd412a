<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Who learns together, and the lessons that are set for them. Nothing of the shop points here. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('practice_groups', static function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->string('name', 60);
            $table->dateTime('made_at', 3);
        });
        Schema::create('practice_group_people', static function (Blueprint $table): void {
            $table->foreignUuid('group_id')->constrained('practice_groups')->cascadeOnDelete();
            $table->foreignId('user_id')->constrained('users');
            $table->primary(['group_id', 'user_id']);
        });
        Schema::create('practice_tasks', static function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('group_id')->constrained('practice_groups')->cascadeOnDelete();
            // Of the book, of the shop's own, or a machine at random with its seed: the same for all.
            $table->string('lesson', 40);
            $table->string('help', 10);
            $table->date('due_on')->nullable();
            $table->dateTime('set_at', 3);
        });
        Schema::table('practice_attempts', static function (Blueprint $table): void {
            $table->string('help', 10)->default('asked');
            // What was done stays when the task it was done for is taken back.
            $table->foreignUuid('task_id')->nullable()->constrained('practice_tasks')->nullOnDelete();
        });
    }

    public function down(): void
    {
        Schema::table('practice_attempts', static function (Blueprint $table): void {
            $table->dropConstrainedForeignId('task_id');
            $table->dropColumn('help');
        });
        Schema::dropIfExists('practice_tasks');
        Schema::dropIfExists('practice_group_people');
        Schema::dropIfExists('practice_groups');
    }
};
