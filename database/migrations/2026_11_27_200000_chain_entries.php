<?php

declare(strict_types=1);

use App\Chain\Rechain;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('entries', static function (Blueprint $table): void {
            $table->char('chain', 64)->nullable();
        });
        Rechain::missing();
        foreach (['photos', 'spec_sketches'] as $table) {
            Schema::table($table, static function (Blueprint $columns): void {
                // SHA-256 of the picture as it is kept.
                $columns->char('sum', 64)->nullable();
            });
            DB::statement("update {$table} set `sum` = sha2(jpeg, 256)");
        }
    }

    public function down(): void
    {
        Schema::table('entries', static function (Blueprint $table): void {
            $table->dropColumn('chain');
        });
        foreach (['photos', 'spec_sketches'] as $name) {
            Schema::table($name, static function (Blueprint $table): void {
                $table->dropColumn('sum');
            });
        }
    }
};
