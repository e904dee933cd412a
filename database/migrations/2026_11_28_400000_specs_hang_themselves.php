<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** A spec that its enterer wants on every machine of its model, as soon as machines may be judged by it. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('spec_versions', static function (Blueprint $table): void {
            $table->boolean('hangs')->default(false);
        });
    }

    public function down(): void
    {
        Schema::table('spec_versions', static function (Blueprint $table): void {
            $table->dropColumn('hangs');
        });
    }
};
