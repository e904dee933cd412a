<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Instrument;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Support\HttpJob;
use Tests\Support\Yard;
use Tests\TestCase;

/** The shelf over HTTP: who keeps it, what it refuses, and what a job takes from it. */
final class ShelfTest extends TestCase
{
    private const NEW = [
        'name' => 'Depth gauge',
        'kind' => 'caliper',
        'resolution_mm' => 0.02,
        'reach_mm' => 150,
        'calibration' => null,
    ];

    public function test_a_lead_adds_an_instrument_and_the_next_job_has_it(): void
    {
        $before = HttpJob::open($this->signIn());
        $shelf = $this->signIn('oda')->putJson('/api/shelf/depth-1', self::NEW)->assertOk()->json();
        self::assertTrue($shelf['may_keep']);
        self::assertContains('Depth gauge', array_column($shelf['instruments'], 'name'));
        self::assertNotContains(
            'depth-1',
            array_column($before->state['shelf'], 'id'),
            'a job keeps the shelf it was opened with',
        );
        self::assertContains(
            'depth-1',
            array_column(HttpJob::open($this->signIn(), 'QB-03', 'throttle')->state['shelf'], 'id'),
        );
    }

    public function test_a_certificate_past_its_day_is_called_overdue_and_said_at_the_reading(): void
    {
        $this
            ->signIn('oda')
            ->putJson(
                '/api/shelf/old-1',
                ['calibration' => ['expanded_mm' => 0.04, 'factor' => 2, 'due' => now()->subDay()->toDateString()]]
                    + self::NEW,
            )
            ->assertOk();
        $this
            ->putJson(
                '/api/shelf/soon-1',
                [
                    'name' => 'Other',
                    'calibration' => [
                        'expanded_mm' => 0.04,
                        'factor' => 2,
                        'due' => now()->addDays(30)->toDateString(),
                    ],
                ]
                    + self::NEW,
            )
            ->assertOk();
        $states = array_column($this->getJson('/api/shelf')->assertOk()->json('instruments'), 'state', 'id');
        self::assertSame(['overdue', 'soon'], [$states['old-1'], $states['soon-1']]);
        $job = HttpJob::open($this->signIn())->ready();
        $job->line('25.3', ['item' => 'in_band', 'instrument' => 'old-1'])->assertOk();
        self::assertStringContainsString('Depth gauge was due for calibration', implode(' ', $job->state['warnings']));
        self::assertSame(now()->subDay()->toDateString(), $job->state['found']['overdue_since'], 'and printed as such');
    }

    public function test_one_put_away_is_offered_no_more_and_comes_back_when_it_is_kept_again(): void
    {
        $this->signIn('oda')->putJson('/api/shelf/depth-1', self::NEW)->assertOk();
        self::assertNotContains(
            'depth-1',
            array_column($this->deleteJson('/api/shelf/depth-1')->assertOk()->json('instruments'), 'id'),
        );
        $this->deleteJson('/api/shelf/depth-1')->assertNotFound();
        self::assertContains(
            'depth-1',
            array_column($this->putJson('/api/shelf/depth-1', self::NEW)->assertOk()->json('instruments'), 'id'),
        );
    }

    public function test_the_last_one_stays(): void
    {
        $this->signIn('oda');
        $ids = Instrument::onTheShelf()->pluck('id')->all();
        foreach (array_slice($ids, 1) as $id) {
            $this->deleteJson("/api/shelf/{$id}")->assertOk();
        }
        $this
            ->deleteJson("/api/shelf/{$ids[0]}")
            ->assertStatus(422)
            ->assertJsonPath('detail', 'The last instrument that play is read with stays on the shelf.');
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function nonsense(): iterable
    {
        yield 'a resolution of nothing' => [['resolution_mm' => 0], 'resolution_mm'];
        yield 'a resolution in words' => [['resolution_mm' => 'fine'], 'resolution_mm'];
        yield 'no name' => [['name' => ' '], 'name'];
        yield 'a kind nobody knows' => [['kind' => 'laser'], 'kind'];
        yield 'a reach below zero' => [['reach_mm' => -3], 'reach_mm'];
        yield 'a factor below one' => [
            ['calibration' => ['expanded_mm' => 0.1, 'factor' => 0.5, 'due' => null]],
            'factor',
        ];
        yield 'no such day' => [['calibration' => ['expanded_mm' => 0.1, 'factor' => 2, 'due' => '2026-13-45']], 'due'];
        yield 'a day in words' => [['calibration' => ['expanded_mm' => 0.1, 'factor' => 2, 'due' => 'spring']], 'due'];
    }

    /** @param  array<string, mixed>  $wrong */
    #[DataProvider('nonsense')]
    public function test_nonsense_is_refused_with_its_place_and_nothing_is_kept(array $wrong, string $place): void
    {
        $count = Instrument::query()->count();
        $answer = $this->signIn('oda')->putJson('/api/shelf/depth-1', $wrong + self::NEW);
        self::assertContains($answer->getStatusCode(), [400, 422]);
        self::assertStringContainsString($place, (string) $answer->json('detail'));
        self::assertSame($count, Instrument::query()->count());
        $this->raw('PUT', '/api/shelf/depth-1', '{"name":')->assertStatus(400);
    }

    public function test_two_of_one_name_are_refused(): void
    {
        $this->signIn('oda')->putJson('/api/shelf/depth-1', self::NEW)->assertOk();
        $this
            ->putJson('/api/shelf/depth-2', ['name' => 'depth GAUGE'] + self::NEW)
            ->assertStatus(409)
            ->assertJsonPath('detail', 'Another instrument is called depth GAUGE. Give each its own name.');
    }

    public function test_only_a_lead_keeps_it(): void
    {
        foreach (['ines', 'mirre', 'office'] as $login) {
            $this->signIn($login)->putJson('/api/shelf/depth-1', self::NEW)->assertForbidden();
            $this->deleteJson('/api/shelf/rule')->assertForbidden();
            self::assertFalse($this->getJson('/api/shelf')->json('may_keep'));
        }
    }

    public function test_how_a_person_repeats_is_learned_from_closed_jobs(): void
    {
        $this->signIn();
        self::assertNull($this->getJson('/api/shelf')->json('instruments.0.my_deviation_mm'));
        $rule = (string) $this->getJson('/api/shelf')->json('instruments.0.id');
        $job = HttpJob::open($this)->ready();
        foreach (['15', '15.5', '14.5', '15', '15.5', '14.5'] as $value) {
            $job->line($value, ['item' => 'in_band', 'instrument' => $rule])->assertOk();
        }
        foreach (['yes', 'yes', 'ok', 'ok', 'yes', 'holds', 'middle', 'ok'] as $answer) {
            $job->line($answer)->assertOk();
        }
        $job->body('closed', ['outcome' => 'fit'])->assertOk();
        // Squares about 15: 4 × 0.25 = 1 over 5 degrees of freedom.
        self::assertEqualsWithDelta(
            sqrt(1 / 5),
            $this->getJson('/api/shelf')->json('instruments.0.my_deviation_mm'),
            1e-9,
        );
        self::assertNull(
            $this->signIn('tomas')->getJson('/api/shelf')->json('instruments.0.my_deviation_mm'),
            'it is a person\'s own',
        );
    }

    public function test_another_machines_figure_can_be_aimed_for_and_no_invented_one(): void
    {
        $this->signIn();
        Yard::add('RT-11');
        $left = HttpJob::open($this, 'RT-11')->ready()->read('16', '16', '16');
        foreach (['yes', 'yes', 'ok', 'ok', 'yes', 'holds', 'middle', 'ok'] as $answer) {
            $left->line($answer)->assertOk();
        }
        $left->body('closed', ['outcome' => 'fit'])->assertOk();
        $job = HttpJob::open($this, 'RT-14')->ready()->read('25.3', '25', '25.5');
        $this
            ->getJson("/api/jobs/{$job->id}/alike")
            ->assertOk()
            ->assertJsonPath('machines.0.machine', 'RT-11')
            ->assertJsonPath('machines.0.left_mm', 16);
        $job->body('policy', ['like' => ['machine' => 'RT-11', 'mm' => 12.0]])->assertStatus(422)
            ->assertJsonPath(
                'detail',
                'No control like this one was left at that figure on RT-11. Choose one from the list.',
            );
        $job->body('policy', ['like' => ['machine' => 'RT-11', 'mm' => 16.0]])->assertOk()
            ->assertJsonPath('state.next.target_mm', 16)->assertJsonPath('state.spec.like', 'RT-11');
        self::assertStringContainsString(
            'Set like RT-11: 16.0 mm',
            $job->state['log'][count($job->state['log']) - 1]['what'],
        );
        $job
            ->body('policy', ['policy' => 'middle'])
            ->assertOk()
            ->assertJsonPath('state.next.target_mm', 15)
            ->assertJsonPath('state.spec.like', null);
        $this->getJson('/api/jobs/00000000-0000-4000-8000-000000000000/alike')->assertNotFound();
    }
}
