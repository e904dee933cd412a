<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Day;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use VividPull\Core\Day\Cooling;
use VividPull\Core\Day\Readiness;
use VividPull\Core\Spec\EngineHeat;

final class ReadinessTest extends TestCase
{
    /** @return iterable<string, array{Readiness, EngineHeat|null, float|null, bool}> */
    public static function controls(): iterable
    {
        yield 'read cold, and nobody noted that it ran' => [Readiness::Cold, EngineHeat::Cold, null, false];
        yield 'read cold, it ran an hour ago' => [Readiness::Cooling, EngineHeat::Cold, 60.0, false];
        yield 'read cold, a minute short of three hours' => [Readiness::Cooling, EngineHeat::Cold, 179.0, false];
        yield 'read cold, it stood for three hours' => [Readiness::Cold, EngineHeat::Cold, 180.0, false];
        yield 'read hot' => [Readiness::Hot, EngineHeat::Hot, 60.0, false];
        yield 'read at any heat' => [Readiness::Any, null, 5.0, false];
        yield 'its plates lie in oil, whatever the heat' => [Readiness::Soaking, EngineHeat::Hot, 500.0, true];
    }

    #[DataProvider('controls')]
    public function test_when_a_control_can_be_read(
        Readiness $ready,
        ?EngineHeat $asked,
        ?float $stood,
        bool $soaks,
    ): void {
        self::assertSame($ready, Readiness::of($asked, $stood, $soaks));
    }

    public function test_an_engine_cools_over_three_hours(): void
    {
        self::assertSame([0.0, 0.5, 1.0], [Cooling::share(-4.0), Cooling::share(90.0), Cooling::share(400.0)]);
        self::assertSame(
            [180.0, 90.0, 0.0],
            [Cooling::minutesLeft(0.0), Cooling::minutesLeft(90.0), Cooling::minutesLeft(400.0)],
        );
    }
}
