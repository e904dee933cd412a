<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Instruments held against blocks and in several hands: what was read, as it was read. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('instrument_checks', static function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->string('instrument', 40)->index();
            $table->json('body');
            $table->foreignId('user_id')->constrained();
            $table->dateTime('at', 3);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('instrument_checks');
    }
};
