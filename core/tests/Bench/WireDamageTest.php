<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Bench;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use VividPull\Core\Procedure\WireDamage;
use VividPull\Core\Tests\Support\TestJob;

/** A wire that frays is a fault, by whatever button it was written down. */
final class WireDamageTest extends TestCase
{
    public function test_a_frayed_wire_is_not_noted_as_wear(): void
    {
        foreach (['two strands broken', 'starting to fray behind the end', 'nearly snapped at the nipple'] as $said) {
            self::assertStringContainsString(
                'is no wear to be noted: a wire that frays parts. Answer Fault.',
                self::noted($said),
                $said,
            );
        }
    }

    public function test_what_is_wear_is_noted(): void
    {
        $job = TestJob::clutch()->entry(
            'inspected',
            ['key' => 'wire', 'finding' => 'noted', 'remark' => 'dry, no strands broken'],
        );
        self::assertSame('dry, no strands broken', $job->state->facts->answers->inspected['wire']->remark);
        $job->entry('inspected', ['key' => 'conduit', 'finding' => 'noted', 'remark' => 'strands poke out at the end']);
        self::assertArrayHasKey('conduit', $job->state->facts->answers->inspected);
    }

    public function test_nor_by_putting_an_entry_right(): void
    {
        $job = TestJob::clutch()->entry('inspected', ['key' => 'wire', 'finding' => 'sound']);
        $noted = ['key' => 'wire', 'finding' => 'noted', 'remark' => 'frayed'];
        self::assertStringContainsString('Answer Fault', $job->refusal(
            static fn (TestJob $one): TestJob => $one->entry('amend', [
                'entry' => $one->last(),
                'kind' => 'inspected',
                'body' => $noted,
                'reason' => 'looked again',
            ]),
        ));
    }

    /** @return iterable<string, array{string, bool}> */
    public static function words(): iterable
    {
        foreach ([
            'cable is frayed' => true,
            'one strand' => true,
            'wire nearly torn through' => true,
            'hanging by a thread, that cable' => false,
            'cable hangs by a thread' => true,
            'heard a twang and then the lever went loose' => true,
            'the trigger is suddenly slack' => true,
            'went slack with a snap' => true,
            'lever suddenly hung loose' => true,
            'mirror bolt suddenly loose' => false,
            'goes loose when the lock nut is undone' => false,
            'unfrayed' => false,
            'not frayed' => false,
            'no strands broken' => false,
            'boot torn' => false,
            'dry and rusty' => false,
            'Cable snapped this morning' => true,
            'it snapped' => true,
            'wire birdcaged at the clamp' => true,
            'old cable broke, new one ordered' => true,
            'Grip snapped back by itself' => false,
            'trigger snapped shut ten times' => false,
            'snapped several times, always closed' => false,
            'clip snapped home' => false,
            'without broken strands' => false,
            'Conduit strands poking out' => false,
            'spiral strands poke out under the handle' => false,
            'nipple is pulled half off' => true,
            'ball end cracked' => true,
            'no nipple loose' => false,
            'nipple greased' => false,
            'barrel end turns freely' => false,
            'barrel broken, wire sound' => false,
        ] as $words => $isDamage) {
            yield $words => [$words, $isDamage];
        }
    }

    #[DataProvider('words')]
    public function test_what_people_write_of_it(string $words, bool $isDamage): void
    {
        self::assertSame($isDamage, WireDamage::isSaid($words));
    }

    private static function noted(string $remark): string
    {
        return TestJob::clutch()->refusal(static fn (TestJob $one): TestJob => $one->entry(
            'inspected',
            ['key' => 'wire', 'finding' => 'noted', 'remark' => $remark],
        ));
    }
}
