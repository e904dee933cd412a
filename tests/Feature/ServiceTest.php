<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Machine;
use Carbon\CarbonImmutable;
use Illuminate\Support\Str;
use Tests\Support\HttpJob;
use Tests\TestCase;

/** All controls of a machine in one visit, over HTTP. */
final class ServiceTest extends TestCase
{
    public function test_it_orders_them_lays_out_and_tells_how_far_it_is(): void
    {
        Machine::query()->where('tag', 'RT-14')->update(['ran_until' => CarbonImmutable::now()->subDay()]);
        $service = $this->signIn('ines')->getJson('/api/machines/RT-14/service')->assertOk()->json();
        self::assertSame(
            ['clutch', 'throttle'],
            array_column(array_column($service['stops'], 'control'), 'key'),
            'cold comes first',
        );
        self::assertSame([[], []], array_column($service['stops'], 'covers_shared'));
        self::assertNotSame([], $service['kit']['instruments']);
        self::assertSame(
            ['light oil', ['Clutch lever', 'Throttle grip']],
            [$service['kit']['consumables'][0]['what'], $service['kit']['consumables'][0]['for']],
        );
        self::assertSame([true, true], array_column(array_column($service['stops'], 'control'), 'may_check'));
        self::assertContains('two 12 mm spanners', array_column($service['kit']['tools'], 'what'));
        self::assertContains('side cover', array_column($service['kit']['covers'], 'what'));
        self::assertNotSame([], $service['kit']['torques']);
        self::assertSame(
            '10 to 20 mm at the lever tip',
            array_column($service['kit']['figures'], 'says', 'what')['Clutch lever'],
        );

        $id = (string) Str::uuid();
        $this
            ->postJson('/api/machines/RT-14/jobs', ['id' => $id, 'control' => 'clutch', 'check' => true])
            ->assertCreated();
        $stop = $this->getJson('/api/machines/RT-14/service')->json('stops.0');
        self::assertSame([$id, false, null], [$stop['control']['job'], $stop['control']['may_check'], $stop['done']]);
        $job = HttpJob::resume($this, $id);
        $job->line('all ok')->assertOk();
        $job->line('cold')->assertOk();
        $job->read('15')->body('closed', ['outcome' => 'checked'])->assertOk();
        $stops = $this->getJson('/api/machines/RT-14/service')->json('stops');
        self::assertSame(['job' => $id, 'outcome' => 'checked'], $stops[0]['done']);
        self::assertNull($stops[1]['done']);
        self::assertStringContainsString(
            '%PDF',
            (string) $this->get('/api/machines/RT-14/service/sheet')->assertOk()->getContent(),
        );
    }

    public function test_what_was_reported_or_is_looked_for_is_not_only_checked(): void
    {
        $this
            ->signIn('ines')
            ->postJson(
                '/api/machines/RT-14/intakes',
                ['id' => (string) Str::uuid(), 'words' => 'Grip comes back slowly.', 'control' => 'throttle'],
            )
            ->assertOk();
        $this
            ->postJson(
                '/api/machines/RT-14/controls/clutch/complaints',
                ['id' => (string) Str::uuid(), 'symptoms' => ['heavy' => 'yes']],
            )
            ->assertCreated();

        self::assertSame(
            [false, false],
            array_column(
                array_column($this->getJson('/api/machines/RT-14/service')->json('stops'), 'control'),
                'may_check',
            ),
        );
    }

    public function test_an_unknown_machine_has_none(): void
    {
        $this->signIn('office')->getJson('/api/machines/ZZ-99/service')->assertNotFound();
        $this->getJson('/api/machines/ZZ-99/service/sheet')->assertNotFound();
    }
}
