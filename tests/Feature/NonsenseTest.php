<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Instrument;
use App\Models\SpecVersion;
use Illuminate\Support\Str;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Support\Contract;
use Tests\Support\HttpJob;
use Tests\TestCase;

/** Whatever is sent to any address, the answer is one that its document knows, and none is a failure. */
final class NonsenseTest extends TestCase
{
    private const ROUNDS = 40;

    /** Tried apart, since trying them often is what they guard against. */
    private const GUARDED = ['/session', '/session/person', '/session/password', '/imports/{import}'];

    private const JUNK = [
        null,
        true,
        false,
        0,
        -1,
        1.5,
        1e300,
        9007199254740993,
        '',
        ' ',
        '0',
        'x',
        "\u{0}",
        "'; drop table machines; --",
        '<script>',
        '2026-02-30',
        '2026-13-01T25:00:00Z',
        [],
        [[]],
        ['a' => ['b' => ['c' => []]]],
        ['x', 'y'],
        '465b9030-59cc-9c51-6bf5-39348ad4951c',
        '１２',
        "\u{202E}tab",
        '%_\\',
    ];

    public function test_bodies_of_any_shape_are_answered_with_a_sentence(): void
    {
        $chance = new Randomizer(new Mt19937(404));
        $this->signIn('oda');
        $places = $this->places();
        $sent = 0;
        foreach (Contract::document()['paths'] as $template => $operations) {
            foreach ($operations as $method => $operation) {
                $schema = $operation['requestBody']['content']['application/json']['schema'] ?? null;
                if ($schema === null || in_array($template, self::GUARDED, true)) {
                    continue;
                }
                for ($n = 0; $n < self::ROUNDS; $n++) {
                    $body = json_encode(
                        $n === 0 ? [] : self::made($schema, $chance),
                        JSON_PARTIAL_OUTPUT_ON_ERROR | JSON_INVALID_UTF8_SUBSTITUTE,
                    );
                    $status = $this
                        ->raw(strtoupper((string) $method), '/api'.strtr((string) $template, $places), (string) $body)
                        ->getStatusCode();
                    self::assertLessThan(500, $status, "{$method} {$template}, {$n} of seed 404: {$body}");
                    $sent++;
                }
            }
        }
        self::assertGreaterThanOrEqual(800, $sent);
    }

    public function test_a_body_longer_than_anything_that_is_typed_is_refused_on_every_address(): void
    {
        $this->signIn('oda');
        $places = $this->places();
        $long = json_encode(['x' => str_repeat('long ', 60_000)], JSON_THROW_ON_ERROR);
        foreach (Contract::document()['paths'] as $template => $operations) {
            foreach ($operations as $method => $operation) {
                if (
                    isset($operation['requestBody']['content']['application/json'])
                    && ! str_starts_with((string) $template, '/imports')
                ) {
                    $this
                        ->raw(strtoupper((string) $method), '/api'.strtr((string) $template, $places), $long)
                        ->assertStatus(413)
                        ->assertJsonPath('detail', 'That is more than this address takes at once.');
                }
            }
        }
    }

    public function test_a_number_that_no_table_counts_to_is_no_id(): void
    {
        $this->signIn('oda')->getJson('/api/specs/100000000000000000000000')->assertNotFound();
    }

    public function test_questions_of_any_shape_are_answered(): void
    {
        $chance = new Randomizer(new Mt19937(405));
        $this->signIn('oda');
        $places = $this->places();
        foreach (Contract::document()['paths'] as $template => $operations) {
            $asked = array_column(
                array_filter(
                    $operations['get']['parameters'] ?? [],
                    static fn (array $one): bool => $one['in'] === 'query',
                ),
                'name',
            );
            foreach ($asked as $name) {
                for ($n = 0; $n < 12; $n++) {
                    $junk = self::JUNK[$chance->getInt(0, count(self::JUNK) - 1)];
                    $status = $this
                        ->getJson('/api'.strtr((string) $template, $places).'?'.http_build_query([$name => $junk]))
                        ->getStatusCode();
                    self::assertLessThan(
                        500,
                        $status,
                        "GET {$template}?{$name}, {$n} of seed 405: ".json_encode($junk),
                    );
                }
            }
        }
    }

    public function test_addresses_of_any_shape_are_not_found(): void
    {
        $this->signIn('oda');
        foreach (array_keys(Contract::document()['paths']) as $template) {
            foreach ([
                '..%2F..%2Fetc',
                '%00',
                '-1',
                '465b9030-59cc-9c51-6bf5-39348ad4951c',
                str_repeat('x', 300),
                '%F0%9F%94%A7',
            ] as $odd) {
                $path = (string) preg_replace('/\{\w+\}/', $odd, (string) $template);
                if ($path !== $template) {
                    self::assertLessThan(500, $this->getJson("/api{$path}")->getStatusCode(), $path);
                }
            }
        }
    }

    /** @return array<string, string> what stands here, for each name in an address */
    private function places(): array
    {
        return [
            '{tag}' => 'RT-14', '{control}' => 'clutch', '{job}' => HttpJob::open($this)->id,
            '{spec}' => (string) SpecVersion::query()->min('id'), '{login}' => 'mirre',
            '{instrument}' => (string) Instrument::query()->min('id'), '{intake}' => (string) Str::uuid(),
            '{import}' => (string) Str::uuid(), '{photo}' => (string) Str::uuid(), '{key}' => 'x', '{family}' => 'bail',
        ];
    }

    /**
     * Something of the schema's shape, with junk in some of its places.
     *
     * @param  array<string, mixed>|bool  $schema
     */
    private static function made(array|bool $schema, Randomizer $chance, int $deep = 0): mixed
    {
        if (is_bool($schema) || $deep > 5 || $chance->getInt(0, 5) === 0) {
            return self::JUNK[$chance->getInt(0, count(self::JUNK) - 1)];
        }
        $kinds = $schema['anyOf'] ?? $schema['oneOf'] ?? [];
        if ($kinds !== []) {
            return self::made($kinds[$chance->getInt(0, count($kinds) - 1)], $chance, $deep + 1);
        }
        $type = is_array($schema['type'] ?? null) ? $schema['type'][0] : ($schema['type'] ?? 'object');

        return match (true) {
            isset($schema['enum']) => $schema['enum'][$chance->getInt(0, count($schema['enum']) - 1)],
            isset($schema['const']) => $schema['const'],
            $type === 'object' => (object) array_map(
                static fn (array|bool $one): mixed => self::made($one, $chance, $deep + 1),
                array_filter($schema['properties'] ?? ['x' => []], static fn (): bool => $chance->getInt(0, 9) > 0),
            ),
            $type === 'array' => array_map(
                static fn (): mixed => self::made($schema['items'] ?? [], $chance, $deep + 1),
                range(1, $chance->getInt(1, 3)),
            ),
            $type === 'integer', $type === 'number' => [0, 1, 12, -5, 2.5, 99999999][$chance->getInt(0, 5)],
            $type === 'boolean' => $chance->getInt(0, 1) === 1,
            default => [
                'clutch', 'RT-14', '2026-11-26', (string) Str::uuid(), 'Some words.', 'ines', '15.3',
            ][$chance->getInt(0, 6)],
        };
    }
}
