<?php

declare(strict_types=1);

namespace App\People;

use App\Models\Audit;
use App\Models\User;
use Illuminate\Support\Facades\Hash;
use VividPull\Core\Errors\Refused;

/**
 * A shared tablet changes hands by PIN. Four digits are soon guessed, so few wrong ones lock it until its owner signs
 * in with the password.
 */
final readonly class TakeOver
{
    private const MOST_MISSES = 5;

    /**
     * Whether the PIN is right.
     *
     * @throws Refused If its owner never showed the password on this device, or it was missed too often.
     */
    public static function by(User $next, string $pin, User $from, ?Device $device): bool
    {
        if ($next->pin === null) {
            return false;
        }
        if ($device?->knows($next->login) !== true) {
            Audit::note($from, 'PIN on an unknown device', "{$next->name} ({$next->login})");
            throw Refused::because(
                "{$next->name} has not signed in with the password on this device. Once that is done, the PIN takes over here.",
            );
        }
        // Counted before it is looked at, so that tries side by side cannot outrun the count.
        $counted = User::query()
            ->whereKey($next->id)
            ->where('pin_misses', '<', self::MOST_MISSES)
            ->increment('pin_misses');
        if ($counted === 0) {
            throw Refused::because(
                "The PIN of {$next->name} is locked after ".self::MOST_MISSES
                    .' wrong tries. Signing in with the password opens it again.',
            );
        }
        if (! Hash::check($pin, $next->pin)) {
            Audit::note($from, 'PIN missed', "{$next->name} ({$next->login})");

            return false;
        }
        self::unlock($next->login);
        Audit::note($next, 'took over', "from {$from->name} ({$from->login})");

        return true;
    }

    /** The owner has shown the password, or the PIN itself. */
    public static function unlock(string $login): void
    {
        User::query()->where('login', $login)->where('pin_misses', '>', 0)->update(['pin_misses' => 0]);
    }
}
