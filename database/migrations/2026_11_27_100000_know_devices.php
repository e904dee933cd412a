<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // Who has shown the password on which device: only there does a PIN take over.
        Schema::create('device_people', static function (Blueprint $table): void {
            $table->char('device', 64);
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->dateTime('at', 3);
            $table->primary(['device', 'user_id']);
        });
        Schema::table('entries', static function (Blueprint $table): void {
            $table->char('device', 12)->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('entries', static function (Blueprint $table): void {
            $table->dropColumn('device');
        });
        Schema::dropIfExists('device_people');
    }
};
