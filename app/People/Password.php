<?php

declare(strict_types=1);

namespace App\People;

use App\Models\User;
use VividPull\Core\Errors\Refused;

/** What a password must be: long enough, whole, and not one that is tried first. */
final readonly class Password
{
    private const LEAST = 10;

    /** What bcrypt reads; of a longer one the end would not count. */
    private const MOST_BYTES = 72;

    /** Letters of one's own name from which on it gives a password away. */
    private const LEAST_NAME = 3;

    /** @throws Refused If it is short, long, not text, or one of the first that anybody would try. */
    public static function check(string $password, User $of): void
    {
        match (true) {
            preg_match('/[\x00-\x1f\x7f]/', $password) === 1 => throw Refused::because(
                'A password holds letters, digits and signs that can be typed. Take the others out.',
            ),
            mb_strlen($password) < self::LEAST => throw Refused::because(
                'A password has at least '.self::LEAST.' letters. A few words do well.',
            ),
            strlen($password) > self::MOST_BYTES => throw Refused::because(
                'A password has at most '.self::MOST_BYTES.' bytes; this one has '.strlen($password)
                    .'. Letters with accents count two or more.',
            ),
            self::isCommon($password) => throw Refused::because(
                'That password is one of the first that anybody would try. A few words that do not belong together do well.',
            ),
            self::isOfName($password, $of) => throw Refused::because(
                'That password is made of your own name. Choose another.',
            ),
            default => null,
        };
    }

    /**
     * On the list of those tried first, with digits and signs at its ends, one letter again and again, or a run of
     * keys.
     */
    private static function isCommon(string $password): bool
    {
        $plain = mb_strtolower($password);
        $bare = (string) preg_replace('/^[^a-z]+|[^a-z]+$/', '', $plain);
        $list = self::list();

        return isset($list[$plain])
            || isset($list[$bare])
            || count(array_unique(mb_str_split($plain))) < 5
            || self::isRun($plain)
            || preg_match('/^(.{1,6})\1+$/u', $plain) === 1;
    }

    private static function isRun(string $plain): bool
    {
        foreach ([
            '0123456789012345678901234567890',
            'abcdefghijklmnopqrstuvwxyz',
            'qwertyuiopasdfghjklzxcvbnm',
            'qwertzuiopasdfghjklyxcvbnm',
            '1q2w3e4r5t6y7u8i9o0p',
        ] as $run) {
            if (str_contains($run, $plain) || str_contains(strrev($run), $plain)) {
                return true;
            }
        }

        return false;
    }

    private static function isOfName(string $password, User $of): bool
    {
        $plain = (string) preg_replace('/[^a-z]/', '', mb_strtolower($password));
        $names = array_filter(
            [$of->login, (string) preg_replace('/[^a-z]/', '', mb_strtolower($of->name))],
            static fn (string $name): bool => strlen($name) >= self::LEAST_NAME,
        );

        return array_filter(
            $names,
            static fn (string $name): bool => $plain === $name
                || preg_match('/^('.preg_quote($name, '/').')+$/', $plain) === 1,
        ) !== [];
    }

    /** @return array<string, true> */
    private static function list(): array
    {
        $lines = file(resource_path('passwords/common.txt'), FILE_IGNORE_NEW_LINES | FILE_SKIP_EMPTY_LINES);

        return array_fill_keys($lines === false ? [] : $lines, true);
    }
}
