<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Wire;

use PHPUnit\Framework\TestCase;
use VividPull\Core\Errors\BadFile;
use VividPull\Core\Input\Node;
use VividPull\Core\Wire\RunDraft;

final class RunDraftTest extends TestCase
{
    public function test_what_nobody_measured_is_named_with_its_adjuster(): void
    {
        $draft = RunDraft::of(self::written(
            ['kind' => 'barrel', 'thread' => 'M8 x 1.25'],
            ['kind' => 'hook_holes', 'mm_per_step' => 8],
            ['kind' => 'self_adjuster'],
        ));

        self::assertSame(
            ['adjuster 0: how far its thread goes, its travel', 'adjuster 1: its first and last step'],
            $draft->missing,
        );
    }

    public function test_a_pitch_serves_as_well_as_a_thread(): void
    {
        self::assertSame(
            [],
            RunDraft::of(self::written(['kind' => 'barrel', 'pitch_mm' => 1.25, 'travel_mm' => 11]))->missing,
        );
    }

    public function test_what_is_there_must_be_right(): void
    {
        $this->expectException(BadFile::class);
        $this->expectExceptionMessage('$.cables[0].adjusters[0].thread: “as long as my thumb”');

        RunDraft::of(self::written(['kind' => 'barrel', 'thread' => 'as long as my thumb']));
    }

    public function test_what_is_no_run_is_refused_with_its_path(): void
    {
        $this->expectException(BadFile::class);

        RunDraft::of(Node::of([
            'hand' => ['kind' => 'lever', 'name' => 'Lever'],
            'cables' => ['none', ['adjusters' => 3]],
            'working_end' => 'arm',
        ]));
    }

    /** @param  array<string, mixed>  ...$adjusters */
    private static function written(array ...$adjusters): Node
    {
        return Node::of([
            'hand' => ['kind' => 'lever', 'name' => 'Lever'],
            'working_end' => 'arm',
            'cables' => [[
                'id' => 'cable',
                'name' => 'Cable',
                'adjusters' => array_map(
                    static fn (array $one, int $n): array => $one
                        + ['id' => "adjuster_{$n}", 'name' => "adjuster {$n}"],
                    array_values($adjusters),
                    array_keys(array_values($adjusters)),
                ),
            ]],
        ]);
    }
}
