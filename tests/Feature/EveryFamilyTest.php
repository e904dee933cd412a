<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Control;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Support\HttpJob;
use Tests\Support\Yard;
use Tests\TestCase;
use VividPull\Core\Spec\FamilyKey;

/** A machine of every family of the demo yard, walked from make safe to its signature. */
final class EveryFamilyTest extends TestCase
{
    private const MOST_ENTRIES = 120;

    /**
     * @return iterable<string, array{string, string, FamilyKey, array<string, string>}> answers by the beginning of an
     *     item's key
     */
    public static function walks(): iterable
    {
        $yes = ['check:' => 'yes', 'found:' => 'yes'];
        yield 'a clutch lever' => [
            'RT-14',
            'clutch',
            FamilyKey::ClutchLever,
            $yes + ['thread:' => '3.1', 'reading:' => '16', 'check:no_slip' => 'holds', 'check:bite' => 'middle'],
        ];
        yield 'a clutch whose arm sits on a spline' => [
            'RT-18',
            'clutch',
            FamilyKey::ClutchLever,
            $yes
                + [
                    'thread:' => '3.1',
                    'reading:' => '16',
                    'check:no_slip' => 'holds',
                    'check:bite' => 'middle',
                    'check:springs_felt' => 'springs',
                ],
        ];
        yield 'a clutch with a sprung self-adjuster' => [
            'RT-27',
            'clutch',
            FamilyKey::ClutchLever,
            $yes + ['reading:' => '16', 'check:no_slip' => 'holds', 'check:bite' => 'middle'],
        ];
        yield 'an automatic clutch' => [
            'SC-14',
            'clutch',
            FamilyKey::AutomaticClutch,
            $yes + ['found:takes_hold' => 'smoothly'],
        ];
        yield 'a hydraulic clutch' => [
            'RT-30',
            'clutch',
            FamilyKey::HydraulicClutch,
            $yes + ['found:lever_feel' => 'firm', 'found:no_slip' => 'holds', 'check:no_slip' => 'holds'],
        ];
        yield 'a throttle grip' => [
            'QB-03',
            'throttle',
            FamilyKey::TwistGrip,
            $yes + ['reading:' => '4', 'pose:' => '4'],
        ];
        yield 'a push-pull throttle' => [
            'RT-22',
            'throttle',
            FamilyKey::TwistGrip,
            $yes
                + [
                    'thread:' => '6', 'reading:found:second' => '3', 'reading:' => '4', 'pose:left:second' => '3',
                    'pose:right:second' => '3', 'pose:straight:second' => '3', 'pose:' => '4',
                ],
        ];
        yield 'a trigger' => ['TM-06', 'trigger', FamilyKey::TriggerThrottle, $yes + ['reading:' => '1.1']];
        yield 'a pedal with its governor' => [
            'UC-01',
            'pedal',
            FamilyKey::PedalThrottle,
            $yes
                + [
                    'thread:governor' => '20',
                    'thread:' => '4',
                    'reading:found:second' => '1.5',
                    'reading:' => '10',
                    'check:take_off' => 'smooth',
                    'measure:tyre' => '457',
                    'measure:ground_speed' => '14.9 mph',
                ],
        ];
        yield 'a sliding drive without a figure' => [
            'MW-07',
            'drive',
            FamilyKey::SlidingDrive,
            $yes + ['thread:' => '5', 'found:outcome' => 'right', 'outcome:' => 'right', 'check:on_grass' => 'well'],
        ];
        yield 'a sliding drive with one' => [
            'MW-04',
            'drive',
            FamilyKey::SlidingDrive,
            $yes + ['thread:' => '5', 'reading:' => '12', 'check:on_grass' => 'well'],
        ];
        yield 'a drive engaged by its pull' => [
            'TR-02',
            'drive',
            FamilyKey::EngageByPull,
            $yes
                + [
                    'thread:' => '4',
                    'reading:' => '15',
                    'found:measure' => '60',
                    'measure:' => '60',
                    'check:light_load' => 'early',
                    'check:under_load' => 'pulls',
                ],
        ];
        yield 'a drive released by its pull' => [
            'TR-05',
            'drive',
            FamilyKey::ReleaseByPull,
            $yes
                + [
                    'thread:' => '4',
                    'reading:' => '15',
                    'check:drives_released' => 'smoothly',
                    'check:under_load' => 'pulls',
                ],
        ];
        yield 'a bail' => [
            'MW-07',
            'bail',
            FamilyKey::Bail,
            $yes + ['check:stops' => 'engine_stops', 'measure:' => '2.2 s'],
        ];
        yield 'a speed selector' => [
            'SN-03',
            'selector',
            FamilyKey::SpeedSelector,
            $yes
                + [
                    'thread:' => '10',
                    'found:outcome:r' => 'reverse',
                    'found:outcome:f' => 'forward',
                    'outcome:r' => 'reverse',
                    'outcome:f' => 'forward',
                ],
        ];
        yield 'mode and park cables' => [
            'UC-01',
            'modes',
            FamilyKey::ModeCables,
            $yes + ['thread:' => '6', 'found:outcome' => 'right', 'outcome:' => 'right', 'check:unlock' => 'cleanly'],
        ];
        yield 'hook holes' => ['SN-03', 'auger', FamilyKey::HookControl, $yes + ['thread:' => '3', 'reading:' => '14']];
        yield 'any other cable with play' => [
            'UC-03',
            'latch',
            FamilyKey::OtherControl,
            $yes + ['thread:' => '5', 'reading:' => '6'],
        ];
        yield 'a brake' => [
            'UC-01',
            'brake',
            FamilyKey::BrakePull,
            $yes + ['thread:' => '3', 'reading:' => '13', 'check:holds' => 'before_end'],
        ];
    }

    /** @param  array<string, string>  $answers */
    #[DataProvider('walks')]
    public function test_its_job_can_be_walked_to_the_end(
        string $tag,
        string $key,
        FamilyKey $family,
        array $answers,
    ): void {
        if (! in_array($tag, ['RT-14', 'QB-03'], true)) {
            Yard::add($tag);
        }
        $job = HttpJob::open($this->signIn(), $tag, $key);
        self::assertSame($family->value, $job->state['family']['key']);
        self::walk($job, $answers);
        self::assertSame([], $job->state['closing']['fit']);
        $job->body('closed', ['outcome' => 'fit'])->assertOk();
        self::assertSame('fit', $job->state['closed']['outcome']);
        self::assertNotNull(
            Control::query()
                ->where('key', $key)
                ->whereHas('machine', static fn ($machines) => $machines->where('tag', $tag))
                ->firstOrFail()->summary,
        );
        $this->getJson("/api/machines/{$tag}")->assertOk();
        $this->getJson('/api/bench')->assertOk();
    }

    public function test_a_drive_without_a_figure_is_remembered_by_its_rungs(): void
    {
        Yard::add('MW-07');
        $slow = [
            'check:' => 'yes', 'found:' => 'yes', 'thread:' => '5', 'found:outcome' => 'slow', 'in_band' => 'done',
            'try:' => 'right', 'outcome:' => 'right', 'check:on_grass' => 'well',
        ];
        $this->signIn();
        for ($job = 0; $job < 5; $job++) {
            $http = HttpJob::open($this, 'MW-07', 'drive');
            self::walk($http, ['thread:' => (string) (3 + $job)] + $slow);
            $http->body('closed', ['outcome' => 'fit'])->assertOk();
            $this->travel(1)->days();
        }
        $control = array_values(array_filter(
            (array) $this->getJson('/api/machines/MW-07')->json('controls'),
            static fn (array $one): bool => $one['key'] === 'drive',
        ))[0];
        [$found, $left] = array_map(
            static fn (string $said): int => (int) str_replace('rung ', '', $said),
            [$control['history'][0]['stands'][0]['found'], $control['history'][0]['stands'][0]['left']],
        );
        self::assertSame($found + 1, $left, 'found on one rung, left on the next');
        self::assertMatchesRegularExpression(
            '/^Rung clamp: \d+ rungs taken up in a year\. Look at the belt/',
            $control['story']['again'][0],
        );
        $next = HttpJob::open($this, 'MW-07', 'drive');
        self::assertStringContainsString(
            'Look at the belt',
            implode(' ', $next->state['warnings']),
            'the next job begins with it',
        );
    }

    public function test_every_family_has_its_walk(): void
    {
        $walked = array_map(static fn (array $walk): string => $walk[2]->value, iterator_to_array(self::walks()));
        $unwalked = array_diff(
            array_map(static fn (FamilyKey $key): string => $key->value, FamilyKey::cases()),
            $walked,
        );
        self::assertSame([], array_values($unwalked));
    }

    /** @param  array<string, string>  $answers */
    private static function walk(HttpJob $job, array $answers): void
    {
        for ($n = 0; $n < self::MOST_ENTRIES; $n++) {
            $asks = (string) $job->state['asks'];
            if ($asks === 'sign_off') {
                return;
            }
            $about = str_starts_with($asks, 'thread:')
                ? ['adjuster' => substr($asks, 7)]
                : (preg_match('/^pose:(\w+)/', $asks, $pose) === 1 ? ['pose' => $pose[1]] : []);
            $job->line(self::answer($job, $asks, $answers), $about + ['instrument' => 'caliper-1'])->assertOk();
        }
        self::fail("It still asks for {$job->state['asks']}.");
    }

    /** @param  array<string, string>  $answers */
    private static function answer(HttpJob $job, string $asks, array $answers): string
    {
        foreach ($job->state['stages'] as $stage) {
            foreach ($stage['items'] as $item) {
                if ($item['key'] === $asks && in_array('ok', array_column($item['answers'], 'word'), true)) {
                    return 'ok';
                }
            }
        }
        $longest = '';
        foreach ($answers as $key => $ignored) {
            $longest = str_starts_with($asks, $key) && strlen($key) > strlen($longest) ? $key : $longest;
        }
        $answer = $answers[$longest]
            ?? ($asks === 'condition'
                ? ($job->state['spec']['engine'] ?? 'cold')
                : self::fail("No answer to {$asks}."));

        return $answer;
    }
}
