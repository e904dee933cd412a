<?php

declare(strict_types=1);

namespace Tests\Feature;

use Database\Demo\DemoFleet;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use VividPull\Core\Bench\Bench;
use VividPull\Core\Bench\BenchLine;
use VividPull\Core\Bench\BenchState;
use VividPull\Core\Bench\Shown;
use VividPull\Core\Errors\CoreError;
use VividPull\Core\Input\Node;
use VividPull\Core\Log\EntryKind;
use VividPull\Core\Log\Log;
use VividPull\Core\Log\Person;
use VividPull\Core\Log\Role;
use VividPull\Core\Log\Stamp;
use VividPull\Core\Progress\Answer;
use VividPull\Core\Tests\Support\Chance;
use VividPull\Core\Tests\Support\TestJob;
use VividPull\Core\Tests\Support\Walk;
use VividPull\Core\Wire\ClosingRecord;
use VividPull\Core\Wire\EntryCodec;
use VividPull\Core\Wire\RunCodec;
use VividPull\Core\Wire\SpecCodec;
use VividPull\Core\Wire\StateCodec;

/**
 * Whatever is typed and sent on any control of the demo yard: taken, or refused with a sentence, and never anything
 * else.
 */
final class RandomEntriesTest extends TestCase
{
    private const ENTRIES = 70;

    private const WALKS = 1;

    private const LINES = [
        'ok', 'yes', 'no', 'cold', 'hot stand', '4', '15', '2.2 s', '25 km/h', '457', '+1t', '-1t2f', '+2mm', '-3mm',
        '+1r', '+2h', 'done', 'n torn', 'v why', 'middle', 'park middle', 'aim loose', 'service', 'nickel', '1/8',
        '3 lbf', '0', '999999', '-4', '1e9', 'ok TR-1', 'thread 3', 'thread 99',
    ];

    /** @return iterable<string, array{string, string}> */
    public static function controls(): iterable
    {
        foreach (DemoFleet::MACHINES as [$tag, , $model, , , , , , $controls]) {
            foreach ($controls as $control) {
                yield "{$tag} {$control}" => [$model, $control];
            }
        }
    }

    /** Whatever is answered on a control of the yard, a way on is offered until it is signed. */
    #[DataProvider('controls')]
    public function test_no_walk_through_it_ends_before_it_is_signed(string $model, string $control): void
    {
        for ($walk = 0; $walk < self::WALKS; $walk++) {
            $job = TestJob::of(DemoFleet::spec($model, $control), DemoFleet::run($model, $control));
            self::assertGreaterThan(0, Walk::through($job, 700 + $walk, self::ENTRIES, "{$model} {$control}"));
        }
    }

    #[DataProvider('controls')]
    public function test_it_is_taken_or_refused_with_a_sentence_and_replays_to_the_same(
        string $model,
        string $control,
    ): void {
        $chance = new Chance(crc32("{$model} {$control}"));
        [$spec, $run] = [
            SpecCodec::decode(Node::of(DemoFleet::spec($model, $control))),
            RunCodec::decode(Node::of(DemoFleet::run($model, $control))),
        ];
        $codec = new EntryCodec($run);
        $stamp = static fn (int $n): Stamp => new Stamp(
            "e{$n}",
            sprintf('2026-03-03T08:%02d:%02d+00:00', intdiv($n, 60), $n % 60),
            new Person('ines', 'Ines', Role::Lead),
        );
        $state = Bench::replay(
            $spec,
            $run,
            Log::of($codec->entry(
                EntryKind::Opened,
                Node::of([
                    'control' => 'x',
                    'standing' => ['shelf' => [[
                        'id' => 'rule',
                        'name' => 'Rule',
                        'kind' => 'steel_rule',
                        'resolution_mm' => 0.5,
                        'reach_mm' => 300,
                    ]]],
                ]),
                $stamp(1),
            )),
        );
        $taken = 0;
        for ($n = 2; $n < self::ENTRIES && $state->facts->closed === null; $n++) {
            try {
                [$kind, $body] = $chance->whole(0, 3) === 0
                    ? self::made($chance, $state)
                    : self::typed($chance, $state);
                $state = Bench::accept($state, $codec->entry($kind, Node::of($body, '$.body'), $stamp($n)));
                $taken++;
            } catch (CoreError $refused) {
                self::assertGreaterThan(10, strlen($refused->getMessage()), "seed {$chance->seed}");
            }
        }
        self::assertGreaterThan(3, $taken, "seed {$chance->seed}");
        self::assertSame(
            json_encode(StateCodec::encode($state)),
            json_encode(StateCodec::encode(Bench::replay($spec, $run, $state->log))),
        );
        self::assertNotSame([], ClosingRecord::of($state));
    }

    /** @return array{EntryKind, array<string, mixed>} */
    private static function typed(Chance $chance, BenchState $state): array
    {
        $item = $state->progress->asks();
        $words = array_map(static fn (Answer $answer): string => $answer->word, $item->answers ?? []);
        $line = $words !== [] && $chance->whole(0, 2) > 0
            ? $words[$chance->whole(0, count($words) - 1)]
            : self::LINES[$chance->whole(0, count(self::LINES) - 1)];
        $draft = BenchLine::read(
            $line,
            new Shown(self::adjuster($chance, $state), null, null, null, 'rule', $item?->key),
            $state,
            new Person('ines', 'Ines', Role::Lead),
        );

        return [$draft->kind, $draft->body];
    }

    /** @return array{EntryKind, array<string, mixed>} */
    private static function made(Chance $chance, BenchState $state): array
    {
        $adjuster = self::adjuster($chance, $state) ?? 'none';
        $one = static fn (string ...$of): string => $of[$chance->whole(0, count($of) - 1)];

        return match ($chance->whole(0, 12)) {
            0 => [
                EntryKind::Outcome,
                [
                    'setting' => $one('r1', 'f1', 'arm', 'park', 'drive', 'nowhere'),
                    'saw' => $one('plus', 'reverse', 'right', 'slow', 'gold'),
                ],
            ],
            1 => [
                EntryKind::Measure,
                [
                    'key' => $one('blade_stop', 'tyre', 'ground_speed', 'full_drive', 'friction_plate'),
                    'value' => $chance->whole(-10, 4000) / 10,
                    'entered' => 'x',
                    'of' => $one('1', '2'),
                ],
            ],
            2 => [
                EntryKind::Measure,
                [
                    'key' => $one('blade_stop', 'tyre', 'ground_speed', 'full_drive', 'lever_pull', 'lever_release'),
                    'value' => $chance->whole(-10, 900) / 10,
                    'entered' => 'x',
                ],
            ],
            3 => [EntryKind::PutRight, ['cure' => $one('route', 'belt', 'other')]],
            4 => [
                EntryKind::Replacing,
                [
                    'key' => $one('begin', 'note', 'slack', 'compare', 'draw', 'sheaths', 'hook'),
                    'reason' => 'frayed',
                    'remark' => 'left of the frame',
                ],
            ],
            5 => [
                EntryKind::Compared,
                [
                    'new_wire_mm' => $chance->whole(0, 200),
                    'old_wire_mm' => $chance->whole(0, 200),
                    'ends_alike' => $chance->whole(0, 3) > 0,
                ],
            ],
            6 => [EntryKind::Part, ['part' => $one('cable', 'plates', 'lever')]],
            7 => match ($chance->whole(0, 2)) {
                0 => [EntryKind::Hand, [
                    'wire_mm' => $chance->whole(0, 60),
                    'point_mm' => [$one('lever_tip', 'grip_flange') => $chance->whole(10, 200)],
                ]],
                1 => [EntryKind::Soak, []],
                default => [EntryKind::NothingFound, []],
            },
            8 => [
                EntryKind::Step,
                [
                    'adjuster' => $adjuster,
                    'key' => $one('slack', 'seat', 'tooth', 'spring', 'tab'),
                    'remark' => $one('2', 'half', '-1'),
                ],
            ],
            9 => [EntryKind::Cover, ['adjuster' => $adjuster, 'off' => true]],
            10 => [EntryKind::Move, ['adjuster' => $adjuster, 'uncounted' => true]],
            11 => [EntryKind::Void, ['entry' => 'e'.$chance->whole(1, 40), 'reason' => 'so']],
            default => [EntryKind::Confirmed, ['key' => 'locked', 'adjuster' => $adjuster]],
        };
    }

    private static function adjuster(Chance $chance, BenchState $state): ?string
    {
        $ids = array_keys($state->run->adjusters());

        return $ids === [] ? null : $ids[$chance->whole(0, count($ids) - 1)];
    }
}
