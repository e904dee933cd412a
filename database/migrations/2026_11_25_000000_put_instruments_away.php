<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('instruments', static function (Blueprint $table): void {
            $table->dateTime('retired_at')->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('instruments', static function (Blueprint $table): void {
            $table->dropColumn('retired_at');
        });
    }
};
