<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Support\Str;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Support\HttpJob;
use Tests\TestCase;

/** Instruments held against blocks and in several hands, over HTTP: what that tells, and what it changes. */
final class InstrumentChecksTest extends TestCase
{
    private const BLOCKS = [
        'kind' => 'blocks',
        'known_mm' => '0.002 mm',
        'blocks' => [
            ['size_mm' => '5 mm', 'readings_mm' => ['5.00', '5,05', '5.00']],
            ['size_mm' => '1 in', 'readings_mm' => [25.35, 25.35, 25.3]],
        ],
    ];

    public function test_blocks_tell_and_are_kept_once_and_only_when_asked(): void
    {
        $told = $this
            ->signIn('oda')
            ->postJson('/api/shelf/caliper-1/checks', $this->made(self::BLOCKS, keep: false))
            ->assertOk()
            ->json();
        self::assertSame([], $told['checks']);
        self::assertEqualsWithDelta(25.4 - 76 / 3, -$told['told']['worst'], 1e-9);
        self::assertStringContainsString(
            'At its worst it shows 0.067 mm too little.',
            implode(' ', $told['told']['says']),
        );
        $made = $this->made(self::BLOCKS);
        $this->postJson('/api/shelf/caliper-1/checks', $made)->assertOk();
        $this->postJson('/api/shelf/caliper-1/checks', $made)->assertOk();
        $this
            ->postJson('/api/shelf/caliper-1/checks', ['check' => ['known_mm' => 0] + self::BLOCKS] + $made)
            ->assertStatus(409);
        $seen = $this->signIn()->getJson('/api/shelf/caliper-1/checks')->assertOk()->json();
        self::assertSame(
            [false, 'Caliper', 1, 'Oda'],
            [$seen['may_keep'], $seen['instrument']['name'], count($seen['checks']), $seen['checks'][0]['by']],
        );
        self::assertSame($told['told'], $seen['checks'][0]['told']);
        $this->postJson('/api/shelf/caliper-1/checks', $made)->assertStatus(403);
    }

    public function test_a_study_of_play_tells_how_hands_repeat_in_jobs_and_one_of_pieces_does_not(): void
    {
        $mine = fn (): mixed => array_column(
            $this->signIn()->getJson('/api/shelf')->assertOk()->json('instruments'),
            null,
            'id',
        )['caliper-1'];
        $before = $mine();
        $study = ['kind' => 'study', 'readings' => []];
        foreach (['ines' => 0.0, 'tomas' => 0.2] as $person => $off) {
            foreach ([4.0, 12.0, 15.0] as $n => $play) {
                $study['readings'][] = [
                    'person' => $person,
                    'piece' => "piece {$n}",
                    'readings_mm' => [$play + $off, $play + $off + 0.3, $play + $off - 0.3],
                ];
            }
        }
        $told = $this
            ->signIn('oda')
            ->postJson('/api/shelf/caliper-1/checks', $this->made($study))
            ->assertOk()
            ->json('told');
        self::assertEqualsWithDelta(
            0.3 * sqrt(6 * 2 / 14),
            $told['repeat'],
            1e-9,
            'people and pieces together are chance: 12 + 2 degrees of freedom',
        );
        self::assertSame($before, $mine(), 'on pieces a hand repeats otherwise than on a lever');
        $this
            ->signIn('oda')
            ->postJson('/api/shelf/caliper-1/checks', $this->made(['of_play' => true] + $study))
            ->assertOk();
        $after = $mine();
        self::assertEqualsWithDelta(($before['my_freedom'] ?? 0) + 6, $after['my_freedom'], 1e-9);
        self::assertNotNull($after['my_deviation_mm']);
    }

    public function test_hands_that_differ_make_the_next_jobs_readings_less_sure(): void
    {
        $expanded = function (HttpJob $job): float {
            foreach (['12.4 mm', '12.5 mm', '12.4 mm'] as $line) {
                $job->line($line, ['instrument' => 'caliper-1', 'item' => 'in_band'])->assertOk();
            }

            return $job->state['now']['expanded_mm'];
        };
        foreach (['RT-31', 'RT-32'] as $tag) {
            $this
                ->signIn('oda')
                ->postJson(
                    '/api/machines',
                    [
                        'tag' => $tag, 'plate' => null, 'name' => 'Tolvane Ridge 300', 'kind' => 'trail motorcycle',
                        'year' => 2026, 'place' => 'here', 'usage' => 12, 'usage_unit' => 'km',
                    ],
                )
                ->assertCreated();
        }
        $before = HttpJob::open($this->signIn(), 'RT-32', 'clutch')->ready();
        $study = ['kind' => 'study', 'of_play' => true, 'readings' => []];
        foreach (['ines' => 0.0, 'tomas' => 0.8, 'oda' => 0.4] as $person => $off) {
            foreach ([4.0, 12.0, 15.0] as $n => $play) {
                $study['readings'][] = [
                    'person' => $person,
                    'piece' => "piece {$n}",
                    'readings_mm' => [$play + $off, $play + $off + 0.1, $play + $off - 0.1],
                ];
            }
        }
        $told = $this
            ->signIn('oda')
            ->postJson('/api/shelf/caliper-1/checks', $this->made($study))
            ->assertOk()
            ->json('told');
        self::assertContains(
            'From the next job on a reading with it may be off by that, too, whoever reads.',
            $told['says'],
        );
        self::assertEqualsWithDelta(0.4, $told['between'], 0.01);
        $this->signIn();
        $open = $expanded($before);
        $next = $expanded(HttpJob::open($this->signIn(), 'RT-31', 'clutch')->ready());
        self::assertGreaterThan(
            0.8,
            sqrt($next ** 2 - $open ** 2),
            'twice the 0.4 between hands, and more, since they are only three; what is open already stays as it was opened',
        );
    }

    public function test_a_force_gauge_is_checked_in_newtons(): void
    {
        $check = [
            'kind' => 'blocks',
            'blocks' => [['size_n' => '5 kgf', 'readings_n' => ['49.2', '49.3 N', '11.1 lbf']]],
        ];
        $told = $this
            ->signIn('oda')
            ->postJson('/api/shelf/pull-500/checks', $this->made($check, keep: false))
            ->assertOk()
            ->json('told');
        self::assertEqualsWithDelta((49.2 + 49.3 + 11.1 * 4.4482216152605) / 3 - 49.03325, $told['worst'], 1e-9);
        self::assertStringContainsString(' N too much.', implode(' ', $told['says']));
    }

    /** @return iterable<string, array{string, array<string, mixed>, string}> */
    public static function nonsense(): iterable
    {
        $study = static fn (string $person, array $readings): array => [
            'kind' => 'study',
            'readings' => [
                ['person' => 'ines', 'piece' => 'a', 'readings_mm' => [1, 1]],
                ['person' => 'ines', 'piece' => 'b', 'readings_mm' => [1, 1]],
                ['person' => $person, 'piece' => 'a', 'readings_mm' => [1, 1]],
                ['person' => $person, 'piece' => 'b', 'readings_mm' => $readings],
            ],
        ];
        yield 'two readings' => [
            'caliper-1',
            ['kind' => 'blocks', 'blocks' => [['size_mm' => 5, 'readings_mm' => [5, 5]]]],
            'at least three times',
        ];
        yield 'no block' => ['caliper-1', ['kind' => 'blocks', 'blocks' => []], 'No block is named'];
        yield 'a word' => [
            'caliper-1',
            ['kind' => 'blocks', 'blocks' => [['size_mm' => 'five', 'readings_mm' => [5, 5, 5]]]],
            'five',
        ];
        yield 'a force on a caliper' => [
            'caliper-1',
            ['kind' => 'blocks', 'blocks' => [['size_n' => 5, 'readings_n' => [5, 5, 5]]]],
            'size_n',
        ];
        yield 'neither' => ['caliper-1', ['kind' => 'look'], 'blocks'];
        yield 'one short' => ['caliper-1', $study('tomas', [1]), 'tomas did not'];
        yield 'nobody' => ['caliper-1', $study('nobody', [1, 1]), 'nobody here signs in by this name'];
        yield 'play in newtons' => [
            'pull-500',
            ['kind' => 'study', 'of_play' => true, 'readings' => []],
            'play is a length',
        ];
    }

    /** @param  array<string, mixed>  $check */
    #[DataProvider('nonsense')]
    public function test_nonsense_is_refused_with_a_sentence_and_nothing_kept(
        string $instrument,
        array $check,
        string $says,
    ): void {
        self::assertStringContainsString(
            $says,
            (string) $this
                ->signIn('oda')
                ->postJson("/api/shelf/{$instrument}/checks", $this->made($check))
                ->assertStatus(422)
                ->json('detail'),
        );
        self::assertSame([], $this->getJson("/api/shelf/{$instrument}/checks")->json('checks'));
    }

    /**
     * @param  array<string, mixed>  $check
     * @return array<string, mixed>
     */
    private function made(array $check, bool $keep = true): array
    {
        return ['id' => (string) Str::uuid(), 'keep' => $keep, 'check' => $check];
    }
}
