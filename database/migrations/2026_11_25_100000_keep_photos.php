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
        Schema::create('photos', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('job_id')->constrained('control_jobs');
            $table->foreignId('user_id')->constrained();
            $table->unsignedSmallInteger('width_px');
            $table->unsignedSmallInteger('height_px');
            // Of what was sent, to tell a repeat from another picture under its id.
            $table->char('digest', 64);
            $table->dateTime('taken_in_at', 3);
        });
        DB::statement('alter table photos add jpeg mediumblob not null');
    }

    public function down(): void
    {
        Schema::dropIfExists('photos');
    }
};
