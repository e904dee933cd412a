<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Audit;
use App\Models\Control;
use App\Models\User;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\HttpFoundation\Response;
use Tests\TestCase;

/** Two people change the same thing: the second is told, loses nothing, and decides. */
final class ChangedSinceTest extends TestCase
{
    private const CALIPER = [
        'name' => 'Caliper by the window',
        'kind' => 'caliper',
        'resolution_mm' => 0.02,
        'reach_mm' => 150,
    ];

    /**
     * @return iterable<string, array{string, string, array<string, mixed>, array<string, mixed>, string, mixed, mixed}>
     */
    public static function things(): iterable
    {
        $machine = ['tag' => 'RT-14', 'plate' => null, 'kind' => 'road motorcycle', 'place' => 'hall'];
        yield 'a machine' => [
            'machines/RT-14',
            'machines/RT-14',
            $machine,
            ['place' => 'beach'] + $machine,
            'place',
            'hall',
            'beach',
        ];
        $person = ['name' => 'Ines', 'role' => 'technician', 'here' => true];
        yield 'a person' => [
            'people/ines',
            'people',
            ['name' => 'Ines the first'] + $person,
            ['role' => 'apprentice'] + $person,
            'name',
            'Ines the first',
            'Ines',
        ];
        $due = static fn (string $day): array => ['calibration' => [
            'expanded_mm' => 0.03,
            'factor' => 2,
            'due' => $day,
        ]]
            + self::CALIPER;
        yield 'the day of a certificate' => [
            'shelf/window', 'shelf', $due('2027-06-30'), $due('2028-01-31'), 'due', '2027-06-30', '2028-01-31',
        ];
    }

    /**
     * @param  array<string, mixed>  $first
     * @param  array<string, mixed>  $second
     */
    #[DataProvider('things')]
    public function test_whoever_saves_second_is_told_what_it_says_now(
        string $at,
        string $looked,
        array $first,
        array $second,
        string $field,
        mixed $firstSays,
        mixed $secondSays,
    ): void {
        $this->signIn('oda')->putJson('/api/shelf/window', self::CALIPER + ['calibration' => null])->assertOk();
        $seen = self::etag($this->getJson("/api/{$looked}")->assertOk(), $at);
        $this->changing($at, $first, $seen)->assertOk();
        $told = $this->changing($at, $second, $seen)->assertStatus(412);
        self::assertMatchesRegularExpression(
            '/^Oda changed this at \d\d:\d\d, since you looked\. What you typed is still here\. Save again to put it over what stands there now\.$/',
            (string) $told->json('detail'),
        );
        self::assertSame($firstSays, $told->json("now.{$field}"));
        self::assertSame(
            $told->json('etag'),
            self::etag($this->getJson("/api/{$looked}"), $at),
            'what stands there is the first one\'s still',
        );
        $this->changing($at, $second, $told->json('etag'))->assertOk();
        $audit = Audit::query()->latest('id')->firstOrFail();
        self::assertSame(
            ['before' => $firstSays, 'after' => $secondSays],
            $audit->detail[$field],
            'every change tells what it was before',
        );
        self::assertSame('oda', User::query()->find($audit->user_id)?->login);
    }

    public function test_a_day_that_somebody_planned_meanwhile_is_not_planned_over(): void
    {
        Control::query()->update(['due_on' => now()->addDay()]);
        $row = fn (): array => (array) collect(
            (array) $this->getJson('/api/due')->assertOk()->json('due'),
        )->firstWhere('tag', 'RT-14');
        $this->signIn('ines');
        $seen = (string) $row()['plan_etag'];
        $plan = fn (?string $on, string $seen): TestResponse => $this->changing(
            'machines/RT-14/controls/clutch/plan',
            ['on' => $on],
            $seen,
        );
        $plan('2026-12-01', $seen)->assertOk();
        $told = $this
            ->signIn('tomas')
            ->changing('machines/RT-14/controls/clutch/plan', ['on' => '2026-12-24'], $seen)
            ->assertStatus(412);
        self::assertStringStartsWith('Ines changed this at ', (string) $told->json('detail'));
        self::assertSame('2026-12-01', $told->json('now.planned_on'));
        self::assertSame('2026-12-01', $row()['planned_on']);
        $plan(null, $row()['plan_etag'])->assertOk();
        self::assertSame(
            ['before' => '2026-12-01', 'after' => null],
            Audit::query()->where('action', 'day planned')->latest('id')->firstOrFail()->detail['planned_on'],
        );
    }

    public function test_a_machine_that_was_moved_meanwhile_is_not_retired_unseen(): void
    {
        $seen = (string) $this->signIn('oda')->getJson('/api/machines/RT-14')->json('etag');
        $this
            ->changing(
                'machines/RT-14',
                ['tag' => 'RT-14', 'plate' => null, 'kind' => 'road motorcycle', 'place' => 'hall'],
                $seen,
            )
            ->assertOk();
        $this->changing('machines/RT-14/retired', ['retired' => true, 'why' => 'gone'], $seen)->assertStatus(412);
        $this->putJson('/api/machines/RT-14/retired', ['retired' => true, 'why' => 'sold'])->assertOk();
        self::assertSame(
            'RT-14 is retired already: sold.',
            $this
                ->putJson('/api/machines/RT-14/retired', ['retired' => true, 'why' => 'gone'])
                ->assertConflict()
                ->json('detail'),
        );
        $this->putJson('/api/machines/RT-14/retired', ['retired' => false])->assertOk();
        self::assertSame(
            'RT-14 is in use already.',
            $this->putJson('/api/machines/RT-14/retired', ['retired' => false])->assertConflict()->json('detail'),
        );
    }

    public function test_what_is_put_on_the_shelf_and_away_is_noted(): void
    {
        $this->signIn('oda')->putJson('/api/shelf/window', self::CALIPER + ['calibration' => null])->assertOk();
        $this->deleteJson('/api/shelf/window')->assertOk();
        self::assertSame(
            ['instrument put away', 'instrument added'],
            Audit::query()->latest('id')->limit(2)->pluck('action')->all(),
        );
        self::assertSame(
            ['before' => null, 'after' => 150],
            Audit::query()->where('action', 'instrument added')->firstOrFail()->detail['reach_mm'],
        );
    }

    /** @param  TestResponse<Response>  $answer */
    private static function etag(TestResponse $answer, string $at): string
    {
        [$kind, $name] = explode('/', $at);

        return (string) match ($kind) {
            'people' => collect((array) $answer->json('people'))->firstWhere('login', $name)['etag'] ?? '',
            'shelf' => collect((array) $answer->json('instruments'))->firstWhere('id', $name)['etag'] ?? '',
            default => $answer->json('etag'),
        };
    }

    /**
     * @param  array<string, mixed>  $body
     * @return TestResponse<Response>
     */
    private function changing(string $at, array $body, string $seen): TestResponse
    {
        return $this->putJson("/api/{$at}", $body, ['If-Match' => "\"{$seen}\""]);
    }
}
