<?php

declare(strict_types=1);

namespace App\People;

use App\Chain\Version;
use App\Models\Audit;
use App\Models\User;
use App\Refusals\ChangedSince;
use App\Refusals\Conflict;
use Carbon\CarbonImmutable;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use VividPull\Core\Errors\BadFile;
use VividPull\Core\Errors\Refused;
use VividPull\Core\Input\Node;
use VividPull\Core\Log\Role;

/** Who works here: added, given another role, gone. What they signed keeps their name. */
final readonly class Staff
{
    private const LOGIN = '/^[a-z][a-z0-9._-]{1,39}$/';

    private const PASSWORD_LETTERS = 14;

    private const PIN = '/^\d{4,8}$/';

    /**
     * A sign-in name as it is stored, from what was typed: trailing blanks, capitals and accents make no other name,
     * and no other count of tries.
     */
    public static function loginOf(string $typed): string
    {
        return mb_substr(Str::lower(Str::ascii(trim($typed))), 0, 40);
    }

    /** @return list<array<string, mixed>> */
    public static function rows(): array
    {
        return array_values(User::query()->orderBy('name')->get()->map(static fn (User $one): array => [
            'login' => $one->login,
            'name' => $one->name,
            'role' => $one->role->value,
            'has_pin' => $one->pin !== null,
            'left_at' => $one->left_at?->toIso8601String(),
            'etag' => Version::of(self::said($one)),
        ])->all());
    }

    /** @return array{name: string, role: string, here: bool} what can be changed about somebody */
    private static function said(User $user): array
    {
        return ['name' => $user->name, 'role' => $user->role->value, 'here' => $user->left_at === null];
    }

    /** @return string the first password, shown once */
    public static function add(Node $node, User $by): string
    {
        $node->object(['login', 'name', 'role']);
        $login = mb_strtolower(trim($node->at('login')->string(40)));
        if (preg_match(self::LOGIN, $login) !== 1) {
            throw BadFile::at(
                $node->at('login')->path,
                'a sign-in name is 2 to 40 small letters and digits, and begins with a letter.',
            );
        }
        $password = self::freshPassword();
        try {
            $user = User::query()->create([
                'login' => $login,
                'name' => self::free($node->at('name')->name(), null),
                'role' => $node->at('role')->enum(Role::class),
                'password' => $password,
            ]);
        } catch (UniqueConstraintViolationException $e) {
            throw new Conflict("Somebody signs in as {$login} already.", previous: $e);
        }
        Audit::note($by, 'person added', "{$user->name} ({$login})", ['role' => $user->role->value]);

        return $password;
    }

    /** @throws Refused If nobody would be left to lead. */
    /**
     * @param  string|null  $seen  the version that was looked at
     *
     * @throws ChangedSince If it is another by now.
     */
    public static function change(User $found, Node $node, User $by, ?string $seen): void
    {
        $node->object(['name', 'role', 'here']);
        $role = $node->at('role')->enum(Role::class);
        $here = $node->at('here')->boolean();
        DB::transaction(static function () use ($found, $node, $by, $role, $here, $seen): void {
            $user = User::query()->lockForUpdate()->findOrFail($found->id);
            $before = self::said($user);
            Version::mustBe($seen, Version::of($before), "person {$user->login}", $before);
            $leads = User::query()->where('role', Role::Lead)->whereNull('left_at')->lockForUpdate()->get();
            if (
                $user->role === Role::Lead
                && ($role !== Role::Lead || ! $here)
                && $leads->where('id', '!=', $user->id)->isEmpty()
            ) {
                throw Refused::because("{$user->name} is the only lead here. Make somebody else a lead first.");
            }
            $user
                ->forceFill([
                    'name' => self::free($node->at('name')->name(), $user),
                    'role' => $role,
                    'left_at' => $here ? null : ($user->left_at ?? CarbonImmutable::now()),
                ])
                ->save();
            if (! $here) {
                DB::table('sessions')->where('user_id', $user->id)->delete();
            }
            Audit::note(
                $by,
                $here ? 'person changed' : 'person left',
                "{$user->name} ({$user->login})",
                Audit::changes($before, self::said($user)),
                "person {$user->login}",
            );
        });
    }

    /** @return string another password, shown once; what was signed in is signed out */
    public static function newPassword(User $user, User $by): string
    {
        $password = self::freshPassword();
        $user->forceFill(['password' => $password, 'pin' => null])->save();
        Device::forgetAllOf($user);
        DB::table('sessions')->where('user_id', $user->id)->delete();
        Audit::note($by, 'password made anew', "{$user->name} ({$user->login})");

        return $password;
    }

    /**
     * @param  string  $here  the session that stays; every other of theirs ends
     * @param  Device|null  $device  the one it is changed on, where the new one was shown
     */
    public static function ownPassword(User $user, string $password, string $here, ?Device $device): void
    {
        Password::check($password, $user);
        // Whoever knew the old one may have set the PIN.
        $user->forceFill(['password' => $password, 'pin' => null])->save();
        Device::forgetAllOf($user, $device);
        DB::table('sessions')->where('user_id', $user->id)->where('id', '!=', $here)->delete();
        Audit::note($user, 'own password changed', "{$user->name} ({$user->login})");
    }

    public static function ownPin(User $user, ?string $pin): void
    {
        if ($pin !== null && preg_match(self::PIN, $pin) !== 1) {
            throw Refused::because('A PIN is 4 to 8 digits.');
        }
        if (
            $pin !== null
            && (count(array_unique(str_split($pin))) === 1
                || str_contains('0123456789', $pin)
                || str_contains('9876543210', $pin))
        ) {
            throw Refused::because('That PIN is the first one anybody would try. Choose another.');
        }
        $user->forceFill(['pin' => $pin, 'pin_misses' => 0])->save();
        Audit::note($user, $pin === null ? 'own PIN taken off' : 'own PIN set', "{$user->name} ({$user->login})");
    }

    /** @throws Conflict If somebody else is called so, or so alike that a signature would not tell them apart. */
    private static function free(string $name, ?User $but): string
    {
        $plain = self::plain($name);
        foreach (User::query()->whereNull('left_at')->get(['id', 'name']) as $one) {
            if ($one->id !== $but?->id && self::plain($one->name) === $plain) {
                throw new Conflict("Somebody here is called {$one->name} already. Add a letter that tells them apart.");
            }
        }

        return $name;
    }

    private static function plain(string $name): string
    {
        $plain = (string) preg_replace('/[^a-z0-9]/', '', Str::lower(Str::ascii($name)));

        return $plain === '' ? Str::lower($name) : $plain;
    }

    private static function freshPassword(): string
    {
        return Str::password(self::PASSWORD_LETTERS, symbols: false);
    }
}
