<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Planning;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use VividPull\Core\Cable\RatioPrior;
use VividPull\Core\Planning\RatioFinding;
use VividPull\Core\Tests\Support\TestJob;

/** What machines taught of a spec's distances: 132 mm to the tip and 38 mm to the wire, a ratio of 3.474. */
final class RatioFindingTest extends TestCase
{
    private const TOLD = 132.0 / 38.0;

    /** @return iterable<string, array{list<RatioPrior>, bool}> */
    public static function machines(): iterable
    {
        $one = static fn (
            float $times,
            float $spread = 0.06,
        ): RatioPrior => RatioPrior::of(log($times * self::TOLD), $spread);
        yield 'nobody learned it' => [[], false];
        yield 'one, twice as far' => [[$one(2.0)], true];
        yield 'one, half as far' => [[$one(0.5)], true];
        yield 'one, a tenth off: as machines differ' => [[$one(1.1)], false];
        yield 'one, twice as far and hardly known' => [[$one(2.0, 0.4)], false];
        yield 'four, all twice as far' => [[$one(2.0), $one(1.95), $one(2.05), $one(2.0)], true];
        yield 'one odd machine among five' => [[$one(2.0), $one(1.0), $one(0.98), $one(1.02), $one(1.0)], false];
    }

    /** @param  list<RatioPrior>  $machines */
    #[DataProvider('machines')]
    public function test_a_spec_is_contradicted_by_its_machines_together(array $machines, bool $contradicted): void
    {
        $state = TestJob::clutch()->state;
        self::assertSame($contradicted, RatioFinding::across($state->spec, $state->run, $machines) !== null);
    }

    public function test_either_distance_may_be_the_wrong_one(): void
    {
        $state = TestJob::clutch()->state;
        $finding = RatioFinding::across($state->spec, $state->run, [RatioPrior::of(log(2 * self::TOLD), 0.06)]);
        self::assertNotNull($finding);
        self::assertSame(
            'The lever seems to move 2.0 times as far as its spec says: measure its two distances, and see which adjuster was turned.',
            $finding->sentence,
        );
        self::assertEqualsWithDelta(
            [self::TOLD, 2 * self::TOLD, 264.0, 19.0],
            [$finding->told, $finding->learned, $finding->pointMm(), $finding->wireMm()],
            1e-9,
        );
    }
}
