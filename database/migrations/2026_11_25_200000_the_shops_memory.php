<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        $this->machines();
        $this->specs();
        $this->day();
        $this->people();
        $this->queue();
    }

    public function down(): void
    {
        foreach ([
            'queue_jobs', 'failed_queue_jobs', 'imports', 'audits', 'presences', 'intakes', 'spec_sketches',
            'meter_readings', 'former_tags',
        ] as $table) {
            Schema::dropIfExists($table);
        }
        Schema::table('control_jobs', static function (Blueprint $table): void {
            $table->dropConstrainedForeignId('corrects');
        });
        Schema::table('users', static function (Blueprint $table): void {
            $table->dropColumn(['pin', 'calendar_digest', 'left_at']);
        });
        DB::statement('alter table spec_versions drop index spec_search, drop column words');
        Schema::table('spec_versions', static function (Blueprint $table): void {
            $table->dropConstrainedForeignId('entered_by_id');
            $table->dropConstrainedForeignId('checked_by_id');
            $table->dropColumn(['checked_at', 'name', 'minutes', 'run']);
        });
        DB::statement('alter table machines drop index machine_search, drop column words');
        Schema::table('machines', static function (Blueprint $table): void {
            $table->dropColumn(['usage_before', 'retired_at', 'retired_why']);
        });
        DB::statement('alter table controls drop index control_tagged, drop column is_tagged');
        Schema::table('controls', static function (Blueprint $table): void {
            $table->dropColumn('due_usage');
        });
    }

    private function machines(): void
    {
        Schema::table('machines', static function (Blueprint $table): void {
            // What meters before the present one had counted; the use in all is this and usage_reading.
            $table->integer('usage_before')->default(0)->after('usage_unit');
            $table->dateTime('retired_at')->nullable();
            $table->string('retired_why', 200)->nullable();
        });
        // The yard is searched by these alone, in the collation that is compared fastest without regard to case and
        // accents.
        DB::statement(
            "alter table machines add words varchar(250) collate utf8mb4_general_ci as (concat_ws(' ', tag, plate, name, kind)) persistent, add index machine_search (tag, words, retired_at)",
        );
        Schema::create('meter_readings', static function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignId('machine_id')->constrained();
            $table->dateTime('at', 3);
            $table->unsignedInteger('face');
            // In all, over meters that were replaced.
            $table->unsignedInteger('usage');
            $table->boolean('is_new_meter')->default(false);
            $table->foreignId('user_id')->constrained();
            $table->index(['machine_id', 'at']);
        });
        Schema::create('former_tags', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('machine_id')->constrained();
            $table->string('tag', 20)->index();
            $table->dateTime('until');
        });
    }

    private function specs(): void
    {
        Schema::table('controls', static function (Blueprint $table): void {
            // Use in all at which the next look falls due, where use decides it; rebuildable from the log.
            $table->unsignedInteger('due_usage')->nullable()->after('due_on');
        });
        // The bench asks which machines must not run, and reads no other summary for it.
        DB::statement(
            "alter table controls add is_tagged tinyint(1) as (json_value(summary, '$.tag.reason') is not null) persistent, add index control_tagged (is_tagged)",
        );
        Schema::table('spec_versions', static function (Blueprint $table): void {
            // The control as it is drawn for every machine of the model; null where a machine drew its own first.
            $table->string('name', 60)->default('');
            $table->unsignedSmallInteger('minutes')->default(15);
            $table->json('run')->nullable();
            $table->foreignId('entered_by_id')->nullable()->constrained('users');
            $table->foreignId('checked_by_id')->nullable()->constrained('users');
            // Null is a draft: nobody else has held it against the document yet.
            $table->dateTime('checked_at')->nullable();
        });
        // What stood here before is named and drawn as on the first machine that has it, and checked where its source
        // says by whom.
        DB::statement('update spec_versions v join (select spec_version_id, min(id) as id from controls group by spec_version_id) f on f.spec_version_id = v.id join controls c on c.id = f.id
            set v.name = c.name, v.minutes = c.minutes, v.run = c.run');
        DB::statement("update spec_versions set name = control where name = ''");
        DB::statement(
            "update spec_versions set checked_at = coalesce(updated_at, now()) where json_value(body, '$.source.checked_by') is not null",
        );
        // The library is searched by these alone, thousands of specs in one look at the index.
        DB::statement("alter table spec_versions add words varchar(400) collate utf8mb4_general_ci as (concat_ws(' ', model, control, name, json_value(body, '$.source.document'))) persistent,
            add index spec_search (model, control, version, words)");
        Schema::create('spec_sketches', static function (Blueprint $table): void {
            $table->foreignId('spec_version_id')->primary()->constrained();
            $table->unsignedSmallInteger('width_px');
            $table->unsignedSmallInteger('height_px');
        });
        DB::statement('alter table spec_sketches add jpeg mediumblob not null');
    }

    private function day(): void
    {
        Schema::create('intakes', static function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignId('machine_id')->constrained();
            $table->foreignId('control_id')->nullable()->constrained();
            $table->string('words', 500);
            $table->foreignId('user_id')->constrained();
            $table->dateTime('at', 3);
            $table->dateTime('answered_at', 3)->nullable()->index();
            $table->foreignId('answered_by_id')->nullable()->constrained('users');
            $table->string('answer', 500)->nullable();
            $table->foreignUuid('job_id')->nullable()->constrained('control_jobs');
        });
        Schema::create('presences', static function (Blueprint $table): void {
            $table->date('day');
            $table->foreignId('user_id')->constrained();
            $table->unsignedSmallInteger('minutes');
            $table->primary(['day', 'user_id']);
        });
    }

    private function people(): void
    {
        Schema::table('users', static function (Blueprint $table): void {
            $table->string('pin')->nullable();
            // For calendars, which cannot sign in; only its hash.
            $table->char('calendar_digest', 64)->nullable()->unique();
            $table->dateTime('left_at')->nullable();
        });
        Schema::table('control_jobs', static function (Blueprint $table): void {
            // The closed job that this one puts right.
            $table->foreignUuid('corrects')->nullable()->constrained('control_jobs');
        });
        Schema::create('audits', static function (Blueprint $table): void {
            $table->id();
            $table->dateTime('at', 3)->index();
            $table->foreignId('user_id')->nullable()->constrained();
            $table->string('action', 40);
            $table->string('about', 120);
            $table->json('detail');
        });
    }

    private function queue(): void
    {
        Schema::create('imports', static function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignId('user_id')->constrained();
            $table->string('kind', 20);
            $table->string('name', 120);
            $table->string('state', 20);
            $table->unsignedInteger('lines')->default(0);
            $table->unsignedInteger('done')->default(0);
            $table->json('report');
            $table->dateTime('at', 3);
            $table->dateTime('finished_at', 3)->nullable();
        });
        Schema::create('queue_jobs', static function (Blueprint $table): void {
            $table->bigIncrements('id');
            $table->string('queue')->index();
            $table->longText('payload');
            $table->unsignedTinyInteger('attempts');
            $table->unsignedInteger('reserved_at')->nullable();
            $table->unsignedInteger('available_at');
            $table->unsignedInteger('created_at');
        });
        Schema::create('failed_queue_jobs', static function (Blueprint $table): void {
            $table->id();
            $table->string('uuid')->unique();
            $table->text('connection');
            $table->text('queue');
            $table->longText('payload');
            $table->longText('exception');
            $table->timestamp('failed_at')->useCurrent();
        });
    }
};
