<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Whether somebody who reports was asked what stops the machine, and said that it does none of that. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('intakes', static fn (Blueprint $table) => $table->boolean('none_stops')->nullable());
    }

    public function down(): void
    {
        Schema::table('intakes', static fn (Blueprint $table) => $table->dropColumn('none_stops'));
    }
};
