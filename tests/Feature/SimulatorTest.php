<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Gauges\Simulated\SimulatedGauge;
use App\Gauges\Simulated\SimulatedKind;
use App\Gauges\Simulated\Simulator;
use App\Gauges\Simulated\Speaks;
use PHPUnit\Framework\TestCase;
use React\EventLoop\StreamSelectLoop;

/** A simulated gauge that hangs on a machine to learn on: it shows what a hand would read there. */
final class SimulatorTest extends TestCase
{
    public function test_every_press_is_another_pull_of_the_machine_it_hangs_on(): void
    {
        $pressed = self::worked(
            SimulatedKind::Caliper,
            ['hang lever_loose', 'press', 'press', 'press', 'turn barrel 1', 'press', 'press 4.2', 'press'],
        );
        self::assertCount(6, $pressed);
        foreach (array_slice($pressed, 0, 3) as $mm) {
            self::assertEqualsWithDelta(31.0, $mm, 0.6, 'the lesson came in with 31 mm at the tip');
        }
        self::assertGreaterThan(1, count(array_unique(array_slice($pressed, 0, 3))), 'no two pulls are quite alike');
        self::assertEqualsWithDelta(
            31.0 - 1.25 * 3.5,
            $pressed[3],
            0.6,
            'a turn of an M8 thread, 3.5 times as far at the tip',
        );
        self::assertEqualsWithDelta(4.2, $pressed[4], 0.06, 'taken off it');
        self::assertEqualsWithDelta(4.2, $pressed[5], 0.06);
    }

    public function test_it_hangs_on_a_machine_at_random_and_on_nothing_without_play(): void
    {
        $again = ['hang free_twist_grip_7', 'press'];
        self::assertGreaterThanOrEqual(0.0, self::worked(SimulatedKind::Caliper, $again)[0]);
        self::assertSame(
            self::worked(SimulatedKind::Caliper, $again),
            self::worked(SimulatedKind::Caliper, $again),
            'the same seed is the same machine',
        );
        self::assertEqualsWithDelta(
            2.0,
            self::worked(SimulatedKind::Caliper, ['show 2', 'hang bail_right', 'press'])[0],
            0.06,
        );
        self::assertEqualsWithDelta(
            2.0,
            self::worked(SimulatedKind::Caliper, ['show 2', 'hang nowhere', 'press'])[0],
            0.06,
        );
        self::assertEqualsWithDelta(
            40.0,
            self::worked(SimulatedKind::Force, ['show 40', 'hang lever_loose', 'press'])[0],
            0.8,
            'a force gauge hangs on none',
        );
    }

    /**
     * @param  list<string>  $words
     * @return list<float> what it sent
     */
    private static function worked(SimulatedKind $kind, array $words): array
    {
        $wire = new class implements Speaks
        {
            /** @var list<float> */
            public array $sent = [];

            public function send(string $bytes): void
            {
                $this->sent[] = (float) preg_replace('/[^-+.\d]/', '', $bytes);
            }

            public function plug(): void {}

            public function unplug(): void {}
        };
        $simulator = new Simulator(new StreamSelectLoop, new SimulatedGauge($kind, 7), $wire);
        foreach ($words as $word) {
            $simulator->told($word);
        }

        return $wire->sent;
    }
}
