<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/**
 * What a lead changed about the counts of causes, and what other workshops counted. The workshop's own counts are
 * counted, not kept.
 */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('cause_weights', static function (Blueprint $table): void {
            $table->id();
            $table->string('family', 40);
            $table->string('cause', 40);
            $table->integer('changed')->default(0);
            $table->unsignedInteger('elsewhere')->default(0);
            $table->unique(['family', 'cause']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('cause_weights');
    }
};
