<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Cables that somebody measured once; and the few entries about parts are found without reading the whole log. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('known_cables', static function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->json('body');
            // To the letter, as it stands on a label.
            $table->string('number', 60)->collation('utf8mb4_bin')->nullable()->unique();
            $table->string('price', 20)->nullable();
            $table->string('note', 200)->nullable();
            $table->string('measured_by', 60)->nullable();
            $table->date('measured_on')->nullable();
            // The control it was measured off, and is on.
            $table->foreignId('control_id')->nullable()->constrained();
            $table->timestamps();
        });
        Schema::table('entries', static function (Blueprint $table): void {
            $table->index('kind');
        });
    }

    public function down(): void
    {
        Schema::table('entries', static function (Blueprint $table): void {
            $table->dropIndex(['kind']);
        });
        Schema::dropIfExists('known_cables');
    }
};
