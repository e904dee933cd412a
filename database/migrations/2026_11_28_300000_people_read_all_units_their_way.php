<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/**
 * How each person reads forces, speeds and decimals beside lengths, and what the shop reads where a person chose
 * nothing.
 */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('users', static function (Blueprint $table): void {
            $table->string('forces', 8)->nullable();
            $table->string('speeds', 8)->nullable();
            $table->string('decimals', 8)->nullable();
        });
        Schema::create('shop_settings', static function (Blueprint $table): void {
            $table->id();
            $table->string('name', 40)->unique();
            $table->string('value', 40);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('shop_settings');
        Schema::table('users', static function (Blueprint $table): void {
            $table->dropColumn(['forces', 'speeds', 'decimals']);
        });
    }
};
