<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Control;
use App\Models\EntryRow;
use Illuminate\Support\Facades\DB;
use Tests\Support\HttpJob;
use Tests\TestCase;

/** Lengths are said as each person reads them; what is kept and what goes out as a file is in millimetres. */
final class UnitsTest extends TestCase
{
    public function test_a_person_chooses_and_every_device_knows(): void
    {
        $this
            ->signIn('ines')
            ->getJson('/api/session')
            ->assertJsonPath(
                'user.units',
                ['lengths' => 'mm', 'forces' => 'N', 'speeds' => 'km/h', 'decimals' => 'point'],
            )
            ->assertJsonPath('user.own_units.lengths', null);
        $this
            ->putJson('/api/session/units', ['lengths' => 'in32'])
            ->assertOk()
            ->assertJsonPath('user.units.lengths', 'in32');
        $this
            ->putJson('/api/session/units', ['forces' => 'lbf_in', 'speeds' => 'mph', 'decimals' => 'comma'])
            ->assertOk();
        $this
            ->getJson('/api/session')
            ->assertJsonPath(
                'user.units',
                ['lengths' => 'in32', 'forces' => 'lbf_in', 'speeds' => 'mph', 'decimals' => 'comma'],
            );
        $this
            ->putJson('/api/session/units', ['lengths' => null])
            ->assertOk()
            ->assertJsonPath('user.units.lengths', 'mm')
            ->assertJsonPath('user.units.speeds', 'mph');
        $this->putJson('/api/session/units', ['lengths' => 'feet'])->assertUnprocessable();
        $this->putJson('/api/session/units', ['lengths' => 7])->assertUnprocessable();
        $this->putJson('/api/session/units', [])->assertUnprocessable();
        $this->raw('PUT', '/api/session/units', 'not json')->assertStatus(400);
        $this->signIn('tomas')->getJson('/api/session')->assertJsonPath('user.units.lengths', 'mm');
    }

    public function test_who_chose_nothing_reads_as_the_shop_does(): void
    {
        $this->signIn('ines')->putJson('/api/shop/units', ['lengths' => 'in'])->assertForbidden();
        $this->putJson('/api/session/units', ['forces' => 'N']);
        $this
            ->signIn('oda')
            ->putJson('/api/shop/units', ['lengths' => 'in16', 'forces' => 'lbf_ft'])
            ->assertOk()
            ->assertJsonPath('user.units.lengths', 'in16')
            ->assertJsonPath('user.shop_units.forces', 'lbf_ft');
        $this->putJson('/api/shop/units', ['speeds' => 'warp'])->assertUnprocessable();
        $this
            ->signIn('tomas')
            ->getJson('/api/session')
            ->assertJsonPath(
                'user.units',
                ['lengths' => 'in16', 'forces' => 'lbf_ft', 'speeds' => 'km/h', 'decimals' => 'point'],
            )
            ->assertJsonPath('user.own_units.lengths', null);
        $this
            ->signIn('ines')
            ->getJson('/api/session')
            ->assertJsonPath('user.units.lengths', 'in16')
            ->assertJsonPath('user.units.forces', 'N');
        $job = HttpJob::open($this);
        self::assertSame(
            '3/8 to 13/16 in at the lever tip',
            $this->getJson("/api/jobs/{$job->id}")->json('state.spec.say'),
        );
        $this
            ->signIn('oda')
            ->putJson('/api/shop/units', ['lengths' => null, 'forces' => null])
            ->assertOk()
            ->assertJsonPath('user.units.lengths', 'mm');
        self::assertSame(2, DB::table('audits')->where('action', 'units of the shop')->count());
        self::assertSame(0, DB::table('shop_settings')->count());
    }

    public function test_a_job_speaks_inches_to_one_and_millimetres_to_the_other_and_means_the_same(): void
    {
        $this->signIn('ines')->putJson('/api/session/units', ['lengths' => 'in64']);
        $job = HttpJob::open($this)->ready();
        $job->line('1 1/16', ['item' => 'reading:found'])->assertOk();
        $job->line('1.06', ['item' => 'reading:found', 'unit' => 'in'])->assertOk();
        $state = $this->getJson("/api/jobs/{$job->id}")->json('state');
        self::assertSame('25/64 to 25/32 in at the lever tip', $state['spec']['say']);
        self::assertEqualsWithDelta(26.95, $state['found']['mm'], 0.05, 'figures of the wire stay in mm');
        self::assertStringNotContainsString(
            ' mm',
            (string) json_encode(
                [
                    $state['next'],
                    $state['found'],
                    $state['stages'],
                    $state['warnings'],
                    array_column($state['adjusters'], 'at_say'),
                    array_column($state['adjusters'], 'room_say'),
                ],
                JSON_UNESCAPED_SLASHES,
            ),
        );
        self::assertStringContainsString('1.06 in', (string) json_encode($state['log']));
        self::assertStringContainsString(
            ' in,',
            (string) $job->line('9000', ['item' => 'reading:found'])->assertUnprocessable()->json('detail'),
            'refusals, too',
        );

        $other = $this->signIn('tomas')->getJson("/api/jobs/{$job->id}")->json('state');
        self::assertSame('10 to 20 mm at the lever tip', $other['spec']['say']);
        self::assertSame(
            [$state['found']['mm'], $state['found']['verdict'], $state['stage']],
            [$other['found']['mm'], $other['found']['verdict'], $other['stage']],
        );
    }

    public function test_what_is_signed_in_inches_is_kept_in_millimetres(): void
    {
        $this->signIn('ines')->putJson('/api/session/units', ['lengths' => 'in64']);
        $job = HttpJob::open($this)->ready()->read('27', '27', '27');
        $job->line('tag for the test')->assertOk();
        $job
            ->body('closed', ['outcome' => 'tagged'])
            ->assertOk()
            ->assertJsonPath('state.spec.say', '25/64 to 25/32 in at the lever tip');

        $record = EntryRow::query()->where('job_id', $job->id)->where('kind', 'closed')->firstOrFail()->body['record'];
        self::assertSame('10 to 20 mm at the lever tip', $record['spec']);
        self::assertStringNotContainsString(' in ', $record['found']['sentence']);
        $summary = Control::query()
            ->where('key', 'clutch')
            ->whereHas('machine', static fn ($machines) => $machines->where('tag', 'RT-14'))
            ->firstOrFail()->summary;
        self::assertSame($record['found']['mm'], $summary?->toArray()['record']['found']['mm']);
        $file = (string) $this->get("/api/jobs/{$job->id}/file")->assertOk()->getContent();
        self::assertStringNotContainsString('25/64', $file);
        self::assertStringContainsString(
            '%PDF',
            (string) $this->get("/api/jobs/{$job->id}/sheet")->assertOk()->getContent(),
        );
    }
}
