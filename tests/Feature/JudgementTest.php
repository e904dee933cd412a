<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Bench\ControlSummary;
use App\Models\Control;
use App\Models\Instrument;
use App\Models\SpecVersion;
use Illuminate\Support\Str;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Support\HttpJob;
use Tests\TestCase;

/** What the bench asks about before it believes it, and what one machine tells of the next, over HTTP. */
final class JudgementTest extends TestCase
{
    public function test_readings_that_do_not_go_together_are_asked_about_and_each_answer_is_kept(): void
    {
        $this->signIn();
        $job = HttpJob::open($this)->ready()->read('15', '15.5', '25');
        $third = str_replace('doubt:', '', (string) $job->state['asks']);
        self::assertSame('25 does not go with the others: misread?', $job->state['now']['doubt']);
        self::assertSame(['cant_tell', 'decide'], [$job->state['now']['verdict'], $job->state['next']['kind']]);
        $job->body('closed', ['outcome' => 'fit'])->assertStatus(422);
        $job->line('right')->assertOk();
        self::assertNull($job->state['now']['doubt']);
        self::assertSame('upheld', $job->state['log'][count($job->state['log']) - 1]['kind'] ?? null);
        self::assertGreaterThan(5.0, $job->state['now']['expanded_mm'], 'stood by, it widens what is known');

        $other = HttpJob::open($this, 'QB-03', 'throttle');
        self::assertNotSame($job->id, $other->id);
        $again = HttpJob::resume($this, $job->id);
        $again->body('upheld', ['entry' => $third])->assertStatus(422);
        $again->body('upheld', ['entry' => (string) Str::uuid()])->assertStatus(422);
    }

    public function test_a_misread_one_is_struck_and_the_others_count(): void
    {
        $this->signIn();
        $job = HttpJob::open($this)->ready()->read('15', '15.5', '152');
        self::assertStringContainsString('more than this control can move', (string) $job->state['now']['doubt']);
        $job->line('misread')->assertOk();
        self::assertNull($job->state['now']['doubt']);
        self::assertEqualsWithDelta(15.25, $job->state['now']['mm'], 1e-9);
    }

    public function test_sizes_of_every_field_are_read_as_they_are_written(): void
    {
        $gauge = [
            'name' => 'Depth gauge',
            'kind' => 'steel_rule',
            'resolution_mm' => '1/64 in',
            'reach_mm' => '6"',
            'calibration' => null,
            'inch_marks' => 64,
        ];
        $this->signIn('oda')->putJson('/api/shelf/depth-1', $gauge)->assertOk();
        $kept = Instrument::query()->findOrFail('depth-1')->body;
        self::assertEqualsWithDelta(
            [25.4 / 64, 152.4, 64],
            [$kept['resolution_mm'], $kept['reach_mm'], $kept['inch_marks']],
            1e-9,
        );
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function noSizes(): iterable
    {
        yield 'a torque for a length' => [['reach_mm' => '10 Nm'], 'reach_mm'];
        yield 'no number' => [['reach_mm' => 'long'], 'reach_mm'];
        yield 'nothing below the line' => [['resolution_mm' => '1/0 in'], 'resolution_mm'];
        yield 'no marks' => [['inch_marks' => 0], 'inch_marks'];
        yield 'marks in words' => [['inch_marks' => 'many'], 'inch_marks'];
    }

    /** @param  array<string, mixed>  $wrong */
    #[DataProvider('noSizes')]
    public function test_what_is_no_size_is_refused_with_its_place(array $wrong, string $place): void
    {
        $gauge = [
            'name' => 'Depth gauge',
            'kind' => 'steel_rule',
            'resolution_mm' => 0.5,
            'reach_mm' => 150,
            'calibration' => null,
        ];
        $answer = $this->signIn('oda')->putJson('/api/shelf/depth-1', $wrong + $gauge)->assertStatus(422);
        self::assertStringContainsString($place, (string) $answer->json('detail'));
        self::assertNull(Instrument::query()->find('depth-1'));
    }

    public function test_half_an_inch_is_as_sure_as_the_rule_it_was_read_on(): void
    {
        $this->signIn();
        $whole = HttpJob::open($this)->ready()->read('1/2 in');
        self::assertEqualsWithDelta(12.7, $whole->state['now']['mm'], 1e-9);
        $fine = (float) $whole->state['now']['expanded_mm'];
        self::assertLessThan(2.0, $fine);
        $whole->line('misread')->assertStatus(422);
    }

    public function test_a_machine_of_a_model_is_expected_to_do_what_others_like_it_did(): void
    {
        $this->signIn('oda');
        foreach (['RT-31', 'RT-32', 'RT-33', 'RT-34', 'RT-35'] as $tag) {
            $this
                ->postJson(
                    '/api/machines',
                    [
                        'tag' => $tag, 'plate' => null, 'name' => 'Tolvane Ridge 300', 'kind' => 'trail motorcycle',
                        'year' => 2026, 'place' => 'here', 'usage' => 12, 'usage_unit' => 'km',
                    ],
                )
                ->assertCreated();
        }
        self::assertSame(0, HttpJob::open($this, 'RT-31')->state['learned']['machines']);
        foreach (['RT-32', 'RT-33', 'RT-34'] as $n => $tag) {
            $this->taught($tag, 4.0 + 0.1 * $n);
        }
        $job = HttpJob::open($this, 'RT-35');
        self::assertSame(3, $job->state['learned']['machines']);
        self::assertEqualsWithDelta(4.0, $job->state['learned']['ratio'], 0.35);
    }

    public function test_a_ratio_that_the_machines_contradict_is_offered_to_the_spec(): void
    {
        $this->signIn('oda');
        $spec = SpecVersion::query()->where('model', 'Tolvane Ridge 300')->where('control', 'clutch')->firstOrFail();
        $this->getJson("/api/specs/{$spec->id}")->assertOk()->assertJsonPath('taught', null);
        $this->taught('RT-14', 2 * 132 / 38);
        $taught = $this->getJson("/api/specs/{$spec->id}")->assertOk()->json('taught');
        self::assertStringContainsString('2.0 times as far as its spec says', $taught['sentence']);
        self::assertEqualsWithDelta([264.0, 19.0], [$taught['point_mm'], $taught['wire_mm']], 1e-6);
        self::assertSame(['RT-14'], array_column($taught['machines'], 'tag'));
    }

    /** What a closed job leaves of a ratio. */
    private function taught(string $tag, float $ratio): void
    {
        Control::query()
            ->whereHas('machine', static fn ($machine) => $machine->where('tag', $tag))
            ->where('key', 'clutch')
            ->firstOrFail()
            ->forceFill(['summary' => ControlSummary::fromArray([
                'job' => 'x', 'at' => now()->toIso8601String(), 'by' => 'Oda', 'outcome' => 'fit', 'record' => [],
                'taught' => ['lever_tip' => ['ln_ratio' => log($ratio), 'spread' => 0.06]],
            ])])->save();
    }
}
