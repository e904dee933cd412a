<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Day;

use PHPUnit\Framework\TestCase;
use VividPull\Core\Day\MachineService;
use VividPull\Core\Day\Readiness;
use VividPull\Core\Day\ServiceStop;
use VividPull\Core\Family\Families;
use VividPull\Core\Input\Node;
use VividPull\Core\Judging\InstrumentCapability;
use VividPull\Core\Measurement\Instrument;
use VividPull\Core\Spec\DecisionRule;
use VividPull\Core\Spec\FamilyKey;
use VividPull\Core\Spec\SpecBand;
use VividPull\Core\Tests\Support\TestJob;
use VividPull\Core\Wire\RunCodec;
use VividPull\Core\Wire\SpecCodec;

/**
 * One machine in one visit. Common practice, no source: cold readings first, up on the stand once, a cover off once.
 */
final class MachineServiceTest extends TestCase
{
    /** @param  array<string, mixed>  $spec  what differs */
    private static function stop(
        string $key,
        Readiness $ready = Readiness::Any,
        ?string $wheels = null,
        ?string $cover = null,
        float $minutes = 10.0,
        array $spec = [],
    ): ServiceStop {
        $run = TestJob::clutchRun();
        $run['cables'][0]['adjusters'][1]['access'] = ['minutes' => 6, 'tools' => "{$key} spanner"]
            + ($cover === null ? [] : ['cover' => $cover]);
        $run['cables'][0]['adjusters'][1]['lock_torque_nm'] = 8;

        return new ServiceStop(
            $key,
            ucfirst($key),
            $ready,
            SpecCodec::decode(Node::of(array_replace_recursive(
                TestJob::clutchSpec(),
                ['conditions' => $wheels === null ? [] : ['wheels' => $wheels]],
                $spec,
            ))),
            RunCodec::decode(Node::of($run)),
            $minutes,
        );
    }

    /** @return list<string> */
    private static function order(MachineService $service): array
    {
        return array_map(static fn (ServiceStop $stop): string => $stop->key, $service->stops);
    }

    public function test_cold_comes_first_and_what_wants_running_last(): void
    {
        $service = MachineService::of([
            self::stop('hot', Readiness::Hot),
            self::stop('any'),
            self::stop('cold', Readiness::Cold),
            self::stop('cooling', Readiness::Cooling),
        ]);

        self::assertSame(['cold', 'any', 'cooling', 'hot'], self::order($service));
    }

    public function test_it_goes_up_on_the_stand_once(): void
    {
        $service = MachineService::of([
            self::stop('up', wheels: 'on_stand', minutes: 1.0),
            self::stop('down', wheels: 'on_ground', minutes: 9.0),
            self::stop('also_up', wheels: 'on_stand', minutes: 2.0),
        ]);

        self::assertSame(['down', 'up', 'also_up'], self::order($service));
    }

    public function test_a_cover_comes_off_once_and_its_minutes_count_once(): void
    {
        $service = MachineService::of([
            self::stop('first', cover: 'cowl', minutes: 10.0),
            self::stop('between', minutes: 11.0),
            self::stop('last', cover: 'cowl', minutes: 12.0),
        ]);

        self::assertSame(['first', 'last', 'between'], self::order($service));
        self::assertSame([[], ['cowl'], []], array_map($service->sharedBefore(...), [0, 1, 2]));
        self::assertSame([10.0, 6.0, 11.0], array_map($service->minutesAt(...), [0, 1, 2]));
        self::assertSame(27.0, $service->minutes());
        self::assertSame(['cowl' => 6.0], $service->covers());
    }

    public function test_an_instrument_that_decides_each_band_is_laid_out_and_what_none_decides_is_said(): void
    {
        $shelf = TestJob::clutch()->state->facts->standing;
        $by = TestJob::clutch()->person;
        $band = static fn (float $low, float $high): array => ['aim' => ['low_mm' => $low, 'high_mm' => $high]];
        $service = MachineService::of([
            self::stop('wide', minutes: 1.0),
            self::stop('fine', minutes: 2.0, spec: $band(1.0, 2.0)),
            self::stop('none', minutes: 3.0, spec: $band(0.01, 0.02)),
        ]);
        $instruments = $service->instruments($shelf, $by);

        self::assertSame(['None'], $instruments['']);
        foreach ([['Wide', 10.0, 20.0], ['Fine', 1.0, 2.0]] as [$name, $low, $high]) {
            $chosen = array_keys(array_filter(
                $instruments,
                static fn (array $for): bool => in_array($name, $for, true),
            ));
            self::assertCount(1, $chosen);
            $instrument = array_values(array_filter(
                $shelf->shelf,
                static fn (Instrument $one): bool => $one->name === $chosen[0],
            ))[0];
            self::assertNotNull(
                (new InstrumentCapability(
                    $shelf,
                    SpecBand::between($low, $high),
                    DecisionRule::Guarded,
                    $by,
                ))->readingsWith($instrument),
                "{$chosen[0]} decides {$name}",
            );
        }
    }

    public function test_what_is_used_up_is_laid_out_once_for_all(): void
    {
        $used = MachineService::of([self::stop('one', minutes: 1.0), self::stop('two', minutes: 2.0)])->consumables();

        self::assertSame(['One', 'Two'], $used['light oil']);
        foreach (FamilyKey::cases() as $family) {
            self::assertNotSame([], Families::of($family)->consumables(), $family->value);
        }
    }

    public function test_every_adjuster_has_a_boot_of_its_own(): void
    {
        $service = MachineService::of([
            self::stop('lever', cover: 'boot', minutes: 1.0),
            self::stop('grip', cover: 'boot', minutes: 2.0),
        ]);

        self::assertSame([[], []], array_map($service->sharedBefore(...), [0, 1]));
        self::assertSame(3.0, $service->minutes());
    }

    public function test_a_cover_is_not_shared_with_what_is_read_in_another_heat(): void
    {
        $service = MachineService::of([
            self::stop('cold', Readiness::Cold, cover: 'cowl'),
            self::stop('any', minutes: 1.0),
            self::stop('late', cover: 'cowl', minutes: 2.0),
        ]);

        self::assertSame(['cold', 'any', 'late'], self::order($service));
    }

    public function test_what_is_laid_out_names_what_it_is_for(): void
    {
        $service = MachineService::of([
            self::stop('clutch', spec: ['book' => ['torques' => [['what' => 'clutch cover bolts', 'nm' => 10]]]]),
            self::stop('brake'),
        ]);

        self::assertSame(
            ['brake spanner' => ['engine bracket, brake'], 'clutch spanner' => ['engine bracket, clutch']],
            array_intersect_key($service->tools(), ['brake spanner' => 1, 'clutch spanner' => 1]),
        );
        self::assertArrayNotHasKey('by hand', $service->tools());
        self::assertContains(['what' => 'clutch cover bolts', 'nm' => 10.0, 'of' => 'Clutch'], $service->torques());
        self::assertContains(
            ['what' => 'lock nut of the engine bracket', 'nm' => 8.0, 'of' => 'Brake'],
            $service->torques(),
        );
        self::assertSame(
            ['Brake' => '10 to 20 mm at the lever tip', 'Clutch' => '10 to 20 mm at the lever tip'],
            $service->figures(),
        );
    }
}
