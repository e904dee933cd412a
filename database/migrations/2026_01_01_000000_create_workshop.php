<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        $this->people();
        $this->machines();
        $this->log();
    }

    public function down(): void
    {
        foreach ([
            'entries', 'control_jobs', 'visits', 'controls', 'spec_versions', 'instruments', 'machines', 'cache_locks',
            'cache', 'sessions', 'users',
        ] as $table) {
            Schema::dropIfExists($table);
        }
    }

    private function people(): void
    {
        Schema::create('users', function (Blueprint $table): void {
            $table->id();
            $table->string('login', 40)->unique();
            $table->string('name', 60);
            $table->string('role', 20);
            $table->string('password');
            $table->timestamps();
        });
        Schema::create('sessions', function (Blueprint $table): void {
            $table->string('id')->primary();
            $table->foreignId('user_id')->nullable()->index();
            $table->string('ip_address', 45)->nullable();
            $table->text('user_agent')->nullable();
            $table->longText('payload');
            $table->integer('last_activity')->index();
        });
        Schema::create('cache', function (Blueprint $table): void {
            $table->string('key')->primary();
            $table->mediumText('value');
            $table->integer('expiration');
        });
        Schema::create('cache_locks', function (Blueprint $table): void {
            $table->string('key')->primary();
            $table->string('owner');
            $table->integer('expiration');
        });
    }

    private function machines(): void
    {
        Schema::create('machines', function (Blueprint $table): void {
            $table->id();
            $table->string('tag', 20)->unique();
            $table->string('plate', 20)->nullable()->index();
            $table->string('name', 60)->index();
            $table->string('kind', 60);
            $table->unsignedSmallInteger('year');
            $table->string('place', 60);
            $table->unsignedInteger('usage_reading');
            $table->string('usage_unit', 4);
            $table->dateTime('ran_until')->nullable();
            $table->timestamps();
        });
        Schema::create('spec_versions', function (Blueprint $table): void {
            $table->id();
            $table->string('model', 60);
            $table->string('control', 40);
            $table->unsignedSmallInteger('version');
            $table->json('body');
            $table->timestamps();
            $table->unique(['model', 'control', 'version']);
        });
        Schema::create('controls', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('machine_id')->constrained();
            $table->foreignId('spec_version_id')->constrained();
            $table->string('key', 40);
            $table->string('name', 60);
            $table->json('run');
            $table->unsignedSmallInteger('minutes');
            $table->date('planned_on')->nullable()->index();
            $table->date('due_on')->nullable()->index();
            $table->string('due_why', 100)->nullable();
            // Rebuildable from the log: how the control stood when its last job closed, for lists.
            $table->json('summary')->nullable();
            $table->timestamps();
            $table->unique(['machine_id', 'key']);
        });
        Schema::create('instruments', function (Blueprint $table): void {
            $table->string('id', 40)->primary();
            $table->unsignedSmallInteger('place');
            $table->json('body');
            $table->timestamps();
        });
    }

    private function log(): void
    {
        Schema::create('visits', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignId('machine_id')->constrained();
            $table->dateTime('opened_at', 3);
            $table->dateTime('closed_at', 3)->nullable();
        });
        Schema::create('control_jobs', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('visit_id')->constrained();
            $table->foreignId('control_id')->constrained();
            $table->foreignId('spec_version_id')->constrained();
            // The control while the job is open, null after: the unique index keeps one open job a control.
            $table->foreignId('open_control_id')->nullable()->unique();
            // Spec and run as they stood when the job opened; a job is judged by these for ever.
            $table->json('frame');
            $table->unsignedInteger('usage_reading');
            $table->dateTime('opened_at', 3);
            $table->dateTime('closed_at', 3)->nullable()->index();
        });
        Schema::create('entries', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('visit_id')->constrained();
            $table->unsignedInteger('seq');
            // Null for what belongs to the whole visit, such as the heat of the engine.
            $table->foreignUuid('job_id')->nullable()->constrained('control_jobs');
            $table->string('kind', 20);
            $table->json('body');
            $table->text('line')->nullable();
            $table->string('at', 40);
            $table->dateTime('at_utc', 3)->index();
            $table->dateTime('received_at', 3);
            $table->foreignId('user_id')->constrained();
            $table->json('by');
            $table->uuid('after')->nullable();
            $table->char('digest', 64);
            $table->unique(['visit_id', 'seq']);
            $table->index(['job_id', 'kind']);
        });
    }
};
