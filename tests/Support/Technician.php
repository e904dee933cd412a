<?php

declare(strict_types=1);

namespace Tests\Support;

use PHPUnit\Framework\Assert;

/**
 * Somebody at the bench with a faulty machine, who makes the usual mistakes: types a value too early, turns the wrong
 * way first, turns one too many. Says what they would type next, from what the screen asks and from how often they have
 * changed something.
 *
 * @phpstan-type Deed array{line: string, refused: string|null}|array{cure: string}
 */
final class Technician
{
    /** How often something was turned or put right. */
    private int $changes = 0;

    /** @var array<string, true> */
    private array $mistaken = [];

    /**
     * @param  array<string, string|list<string>>  $answers  by the beginning of an item's key: what is seen, from
     *     change to change; the last stays
     * @param  array<string, array{string, string}>  $mistakes  by the beginning of an item's key: what is typed at it
     *     first, and words of the refusal
     * @param  list<string>  $moves  what is turned, from change to change, where it is not what is advised
     */
    public function __construct(
        private readonly array $answers,
        private readonly array $mistakes = [],
        private readonly array $moves = [],
    ) {}

    /**
     * @param  array<string, mixed>  $state
     * @return Deed|null  null where it only has to be signed
     */
    public function next(array $state): ?array
    {
        $asks = (string) $state['asks'];
        if ($asks === 'sign_off') {
            return null;
        }
        $mistake = self::longest($asks, array_diff_key($this->mistakes, $this->mistaken));
        if ($mistake !== null) {
            $this->mistaken[$mistake] = true;

            return ['line' => $this->mistakes[$mistake][0], 'refused' => $this->mistakes[$mistake][1]];
        }
        $deed = $this->deed($state, $asks);
        $this->changes += isset($deed['cure'])
            || $deed['line'] === 'done'
            || preg_match('/^[+\-]/', $deed['line']) === 1
            ? 1
            : 0;

        return $deed;
    }

    /**
     * @param  array<string, mixed>  $state
     * @return Deed
     */
    private function deed(array $state, string $asks): array
    {
        $item = Shown::asked($state) ?? Assert::fail("{$asks} is not on the screen.");
        foreach ($state['stages'] as $stage) {
            if (
                $stage['together'] !== null
                && in_array($asks, $stage['together']['keys'], true)
                && self::longest($asks, $this->answers) === null
            ) {
                return ['line' => $stage['together']['word'], 'refused' => null];
            }
        }
        $key = self::longest($asks, $this->answers);
        if ($asks === 'put_right') {
            return ['cure' => $this->at($this->answers['cure'] ?? Assert::fail('Something is to be put right.'))];
        }
        if (
            ($asks === 'in_band' || str_starts_with($asks, 'home:'))
            && in_array($state['next']['kind'], ['move', 'table'], true)
        ) {
            return ['line' => $this->moves[$this->changes] ?? 'done', 'refused' => null];
        }
        if ($key === null && in_array('ok', array_column($item['answers'], 'word'), true)) {
            return ['line' => 'ok', 'refused' => null];
        }

        return [
            'line' => $this->at(
                $this->answers[$key ?? ($asks === 'in_band' ? 'reading:' : Assert::fail("No answer to {$asks}."))],
            ),
            'refused' => null,
        ];
    }

    /** @param  string|list<string>  $answer */
    private function at(string|array $answer): string
    {
        return is_string($answer) ? $answer : $answer[min($this->changes, count($answer) - 1)];
    }

    /** @param  array<string, mixed>  $by */
    private static function longest(string $asks, array $by): ?string
    {
        $longest = null;
        foreach (array_keys($by) as $key) {
            $longest = str_starts_with($asks, $key) && strlen($key) > strlen((string) $longest) ? $key : $longest;
        }

        return $longest;
    }
}
