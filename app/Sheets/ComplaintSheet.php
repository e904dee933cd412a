<?php

declare(strict_types=1);

namespace App\Sheets;

use App\Bench\Complaints;
use App\Bench\ShopClock;
use App\Models\Complaint;

/**
 * What felt wrong, what was looked at, what it was and what is done about it: for the customer, or the machine's
 * folder.
 */
final readonly class ComplaintSheet
{
    /** Causes that are named while it is not known which it is. */
    private const LIKELIEST = 4;

    /** @return array<string, mixed> */
    public static function of(Complaint $complaint): array
    {
        $whole = Complaints::whole($complaint);
        /**
         * @var array{
         *     causes: list<array{key: string, label: string, chance: float, cure: string, ruled_out: bool}>,
         *     symptoms: list<array{words: string, answer: string|null}>,
         *     checks: list<array{label: string, words: string|null}>,
         *     next: array{sentence: string},
         * } $diagnosis
         */
        $diagnosis = $whole['diagnosis'];
        $open = array_values(array_filter($diagnosis['causes'], static fn (array $one): bool => ! $one['ruled_out']));

        return [
            'complaint' => $complaint,
            'opened' => $complaint->opened_at->setTimezone(ShopClock::now()->getTimezone())->format('j F Y, H:i'),
            'closed' => $complaint->closed_at?->setTimezone(ShopClock::now()->getTimezone())->format('j F Y, H:i'),
            'symptoms' => array_values(array_filter(
                $diagnosis['symptoms'],
                static fn (array $one): bool => $one['answer'] !== null,
            )),
            'looks' => array_values(array_filter(
                $diagnosis['checks'],
                static fn (array $one): bool => $one['words'] !== null,
            )),
            'tried' => array_values(array_filter(
                (array) $whole['answers'],
                static fn (array $one): bool => in_array($one['kind'], ['tried', 'skip'], true),
            )),
            'was' => array_column($diagnosis['causes'], null, 'key')[$complaint->cause ?? ''] ?? null,
            'likeliest' => array_slice($open, 0, self::LIKELIEST),
            'stopped_by' => $whole['stopped_by'],
            'next' => $diagnosis['next']['sentence'],
            'printed_at' => ShopClock::now()->format('j F Y, H:i'),
        ];
    }
}
