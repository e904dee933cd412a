<?php

declare(strict_types=1);

namespace App\People;

use App\Models\User;
use Carbon\CarbonImmutable;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Symfony\Component\HttpFoundation\Cookie;

/**
 * The browser that somebody works with, by a secret of its own. A PIN takes over only where its owner once showed the
 * password, and each entry carries the device it was written on.
 */
final readonly class Device
{
    private const COOKIE = 'vivid_device';

    private const LETTERS = 40;

    /** How much of the digest names it in the log: enough to tell devices apart, and of no use to anybody. */
    private const SHORT = 12;

    private const DAYS = 400;

    private function __construct(private string $secret) {}

    /** Null where this browser has never been signed in on. */
    public static function of(Request $request): ?self
    {
        $secret = $request->cookie(self::COOKIE);

        return is_string($secret) && preg_match('/^[A-Za-z0-9]{'.self::LETTERS.'}$/D', $secret) === 1
            ? new self($secret)
            : null;
    }

    /** The password was shown here. */
    public static function trustedBy(Request $request, User $user): self
    {
        $device = self::of($request) ?? new self(Str::random(self::LETTERS));
        DB::table('device_people')->upsert(
            [
                'device' => $device->digest(),
                'user_id' => $user->id,
                'at' => CarbonImmutable::now()->utc()->format('Y-m-d H:i:s.v'),
            ],
            ['device', 'user_id'],
            ['at'],
        );

        return $device;
    }

    /** A new password is shown anew everywhere. */
    public static function forgetAllOf(User $user, ?self $but = null): void
    {
        $all = DB::table('device_people')->where('user_id', $user->id);
        ($but === null ? $all : $all->where('device', '!=', $but->digest()))->delete();
    }

    public function knows(string $login): bool
    {
        return DB::table('device_people')
            ->join('users', 'users.id', '=', 'device_people.user_id')
            ->where('device', $this->digest())
            ->where('users.login', $login)
            ->exists();
    }

    public function cookie(Request $request): Cookie
    {
        return new Cookie(
            self::COOKIE,
            $this->secret,
            CarbonImmutable::now()->addDays(self::DAYS),
            '/',
            null,
            $request->isSecure(),
            true,
            false,
            Cookie::SAMESITE_LAX,
        );
    }

    /** As the log names it. */
    public function short(): string
    {
        return substr($this->digest(), 0, self::SHORT);
    }

    private function digest(): string
    {
        return hash('sha256', $this->secret);
    }
}
