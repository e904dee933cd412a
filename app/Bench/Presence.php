<?php

declare(strict_types=1);

namespace App\Bench;

use App\Models\User;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use VividPull\Core\Errors\BadFile;
use VividPull\Core\Input\Node;

/** Who is in the workshop on a day, and for how many minutes of bench work. */
final readonly class Presence
{
    private const LONGEST_DAY = 16 * 60;

    /** @return list<array{login: string, name: string, minutes: int}> */
    public static function on(CarbonImmutable $day): array
    {
        return array_values(
            DB::table('presences')
                ->join('users', 'users.id', '=', 'presences.user_id')
                ->where('day', $day->toDateString())
                ->orderBy('users.name')
                ->get(['users.login', 'users.name', 'presences.minutes'])
                ->map(static fn (object $row): array => [
                    'login' => (string) $row->login,
                    'name' => (string) $row->name,
                    'minutes' => (int) $row->minutes,
                ])
                ->all(),
        );
    }

    /** The whole day said anew: who is not named is not here. */
    public static function say(CarbonImmutable $day, Node $node): void
    {
        $rows = [];
        foreach ($node->object(['people'])->at('people')->items(40) as $one) {
            $login = $one->object(['login', 'minutes'])->at('login')->string(40);
            $user = User::query()->where('login', $login)->whereNull('left_at')->first()
                ?? throw BadFile::at($one->at('login')->path, 'nobody here signs in by this name.');
            $rows[$user->id] = [
                'day' => $day->toDateString(),
                'user_id' => $user->id,
                'minutes' => $one->at('minutes')->integer(0, self::LONGEST_DAY),
            ];
        }
        DB::transaction(static function () use ($day, $rows): void {
            DB::table('presences')->where('day', $day->toDateString())->delete();
            DB::table('presences')->insert(array_values($rows));
        });
    }
}
