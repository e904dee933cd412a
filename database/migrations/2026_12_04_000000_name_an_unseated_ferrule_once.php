<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/**
 * The twist grip knew a ferrule out of its seat by two names, so that it stood twice among the causes. What a shop
 * counted of the one is the other's.
 */
return new class extends Migration
{
    private const WAS = 'unseated';

    private const IS = 'unseated_ferrule';

    public function up(): void
    {
        DB::table('complaints')->where('cause', self::WAS)->update(['cause' => self::IS]);
        DB::table('complaint_answers')
            ->where(['kind' => 'tried', 'about' => self::WAS])
            ->update(['about' => self::IS]);
        foreach (DB::table('cause_weights')->where('cause', self::WAS)->get() as $row) {
            $kept = DB::table('cause_weights')->where(['family' => $row->family, 'cause' => self::IS]);
            $kept->exists()
                ? $kept->update([
                    'changed' => DB::raw('changed + '.(int) $row->changed),
                    'elsewhere' => DB::raw('elsewhere + '.(int) $row->elsewhere),
                ])
                : DB::table('cause_weights')->where('id', $row->id)->update(['cause' => self::IS]);
        }
        DB::table('cause_weights')->where('cause', self::WAS)->delete();
    }

    public function down(): void {}
};
