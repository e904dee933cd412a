<?php

declare(strict_types=1);

namespace App\People;

use App\Models\User;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use VividPull\Core\Log\Permission;

/** Where a person is signed in; a lead sees everybody. */
final readonly class OpenSessions
{
    private const MOST = 200;

    /** @return list<array<string, mixed>> latest first */
    public static function of(User $user, string $own): array
    {
        $rows = DB::table('sessions')->join('users', 'users.id', '=', 'sessions.user_id')
            ->when(
                ! $user->acting()->may(Permission::KeepShop),
                static fn ($sessions) => $sessions->where('users.id', $user->id),
            )
            ->orderByDesc('last_activity')
            ->limit(self::MOST)
            ->get([
                'sessions.id',
                'users.name',
                'sessions.ip_address',
                'sessions.user_agent',
                'sessions.last_activity',
            ]);

        return array_values($rows->map(static fn (object $row): array => [
            // Not the id itself, which is as good as a password.
            'key' => self::key((string) $row->id),
            'name' => (string) $row->name,
            'address' => $row->ip_address,
            'device' => self::device((string) $row->user_agent),
            'last_seen' => CarbonImmutable::createFromTimestampUTC((int) $row->last_activity)->toIso8601String(),
            'this_one' => $row->id === $own,
        ])->all());
    }

    /** Ends one of one's own sessions, or as a lead anybody's. */
    public static function end(User $user, string $key): bool
    {
        $sessions = DB::table('sessions')->whereNotNull('user_id')
            ->when(
                ! $user->acting()->may(Permission::KeepShop),
                static fn ($all) => $all->where('user_id', $user->id),
            )->pluck('id');
        foreach ($sessions as $id) {
            if (hash_equals(self::key((string) $id), $key)) {
                return DB::table('sessions')->where('id', $id)->delete() === 1;
            }
        }

        return false;
    }

    private static function key(string $id): string
    {
        return substr(hash('sha256', $id), 0, 32);
    }

    /** A device as people would call it, from what its browser says of itself. */
    private static function device(string $agent): string
    {
        $kinds = [
            'iPhone' => 'iPhone',
            'iPad' => 'iPad',
            'Android' => 'Android',
            'Windows' => 'Windows',
            'Macintosh' => 'Mac',
            'Linux' => 'Linux',
        ];
        foreach ($kinds as $word => $name) {
            if (str_contains($agent, $word)) {
                return $name;
            }
        }

        return 'another device';
    }
}
