<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Planning;

use PHPUnit\Framework\TestCase;
use VividPull\Core\Cable\Adjuster;
use VividPull\Core\Cable\RatioPrior;
use VividPull\Core\Cable\Run;
use VividPull\Core\Facts\Facts;
use VividPull\Core\Learning\TaughtPlay;
use VividPull\Core\Planning\AdjustmentPlan;
use VividPull\Core\Planning\PlanMaker;
use VividPull\Core\Planning\ShiftWindow;
use VividPull\Core\Quantity\Steps;
use VividPull\Core\Spec\SettingMode;
use VividPull\Core\Spec\SpecBand;
use VividPull\Core\Tests\Support\Chance;
use VividPull\Core\Tests\Support\TestJob;
use VividPull\Core\Tests\Support\Tried;
use VividPull\Core\Tests\Support\Tries;

/** Plans against trying every position of every adjuster, on invented runs with a fixed seed. */
final class PlansAgainstTryingTest extends TestCase
{
    private const SEED = 20_260;

    private const SMALL = 1_200;

    private const FULL = 20;

    /** @var array<string, int> */
    private array $mix = [
        'solvable' => 0,
        'impossible' => 0,
        'three adjusters' => 0,
        'last resort' => 0,
        'service' => 0,
    ];

    /** @var array<string, int> how often another order of two criteria would have given another plan */
    private array $swapped = [];

    public function test_on_many_small_runs(): void
    {
        $chance = new Chance(self::SEED);
        for ($case = 0; $case < self::SMALL; $case++) {
            $this->tryOne($chance, $case, false);
        }
        fwrite(STDERR, "\n  plans tried: ".json_encode($this->mix).', seed '.self::SEED."\n");
        self::assertGreaterThanOrEqual(0.6 * self::SMALL, $this->mix['solvable']);
        self::assertGreaterThanOrEqual(200, $this->mix['three adjusters']);
        self::assertGreaterThanOrEqual(120, $this->mix['last resort']);
        self::assertGreaterThanOrEqual(120, $this->mix['impossible']);
        foreach ([
            SettingMode::TouchUp->value => Tries::TOUCH_UP,
            SettingMode::Service->value => Tries::SERVICE,
        ] as $mode => $order) {
            foreach (self::pairs($order) as [$a, $b]) {
                self::assertGreaterThan(
                    0,
                    $this->swapped["{$mode}: {$order[$a]} and {$order[$b]}"] ?? 0,
                    "{$mode}: no case tells {$order[$a]} from {$order[$b]}",
                );
            }
        }
    }

    public function test_on_runs_of_full_size(): void
    {
        $chance = new Chance(self::SEED + 1);
        for ($case = 0; $case < self::FULL; $case++) {
            $this->tryOne($chance, $case, true);
        }
        self::assertGreaterThan(self::FULL / 2, $this->mix['solvable']);
    }

    /**
     * One turn at the most of what nobody knows the place of, which comes nearer to the band.
     *
     * @param  array<string, Steps|null>  $positions
     */
    private function isOnTheWay(?AdjustmentPlan $plan, array $positions, ShiftWindow $window, string $where): void
    {
        self::assertNotNull($plan, $where);
        self::assertCount(1, $plan->steps, $where);
        self::assertNull($positions[$plan->steps[0]->adjuster] ?? null, $where);
        self::assertLessThanOrEqual(
            Steps::PER_TURN,
            abs(($plan->steps[0]->steps ?? self::fail($where))->count),
            $where,
        );
        self::assertLessThan(
            abs($window->band->beyond($window->expected(0.0))),
            abs($window->band->beyond($window->expected($plan->shift))),
            $where,
        );
    }

    private function tryOne(Chance $chance, int $case, bool $full): void
    {
        [$run, $standing] = $full ? self::fullRun($chance) : self::smallRun($chance);
        $job = TestJob::clutch(run: $run, standing: TestJob::standing($standing));
        $mode = $chance->whole(0, 1) === 0 ? SettingMode::TouchUp : SettingMode::Service;
        $job->entry('policy', ['mode' => $mode->value]);
        if ($chance->whole(0, 4) === 0 && $job->state->run->adjuster('bracket')?->access()->cover !== null) {
            $job->entry('cover', ['adjuster' => 'bracket', 'off' => true]);
        }
        $window = self::window($chance);
        [$state, $facts] = [$job->state, $job->state->facts];
        $plan = (new PlanMaker($state->spec, $state->run, $facts, $window))->plan();
        $counts = [];
        foreach ($plan->steps ?? [] as $step) {
            $counts[$step->adjuster] = ($counts[$step->adjuster] ?? 0) + ($step->steps->count ?? 0);
        }
        $tries = new Tries($window, $mode === SettingMode::TouchUp ? Tries::TOUCH_UP : Tries::SERVICE);
        $usual = self::tried($state->run, $facts, $mode, false);
        [$good, $best] = $tries->best($usual);
        $last = $best === null;
        $all = $last ? self::tried($state->run, $facts, $mode, true) : $usual;
        if ($last && count($all) > count($usual)) {
            [$good, $best] = $tries->best($all);
        }
        if (
            $best === null
            && count($all) > count($usual)
            && array_filter(
                array_keys($usual),
                static fn (string $id): bool => $facts->adjusters->at($id) === null,
            ) === []
        ) {
            // Where the clamp has not wire enough for bolts fully home, they come home as far as it reaches.
            $all = self::tried($state->run, $facts, $mode, true, false);
            $good = $tries->good($all);
            $best = $tries->least($good);
        }
        $where = "seed {$chance->seed}, case {$case}, full ".json_encode($full);
        $this->tally($state->run, $best !== null, $last, $mode);
        if (str_starts_with((string) $plan?->why, 'Where it stands is not known')) {
            $this->isOnTheWay($plan, $facts->adjusters->positions, $window, $where);

            return;
        }
        if ($best === null) {
            self::assertNull($plan, $where);

            return;
        }
        self::assertNotNull($plan, $where);
        self::assertEquals($best, $tries->costOf($all, $counts), $where);
        foreach ($full ? [] : self::pairs($tries->order()) as [$a, $b]) {
            $order = $tries->order();
            [$order[$a], $order[$b]] = [$order[$b], $order[$a]];
            $name = "{$mode->value}: {$tries->order()[$a]} and {$tries->order()[$b]}";
            $this->swapped[$name] = ($this->swapped[$name] ?? 0) + (int) ($tries->least($good, $order) !== $best);
        }
    }

    private function tally(Run $run, bool $solved, bool $last, SettingMode $mode): void
    {
        $this->mix[$solved ? 'solvable' : 'impossible']++;
        $this->mix['three adjusters'] += (int) (count($run->playAdjusters()) === 3);
        $this->mix['last resort'] += (int) ($solved && $last);
        $this->mix['service'] += (int) ($mode === SettingMode::Service);
    }

    /**
     * @param  list<string>  $order
     * @return list<array{int, int}> every two of the criteria but the turning, which only breaks ties
     */
    private static function pairs(array $order): array
    {
        $pairs = [];
        for ($a = 0; $a < count($order) - 1; $a++) {
            for ($b = $a + 1; $b < count($order) - 1; $b++) {
                $pairs[] = [$a, $b];
            }
        }

        return $pairs;
    }

    private static function window(Chance $chance): ShiftWindow
    {
        $low = (float) $chance->whole(3, 12);
        $band = SpecBand::between($low, $low + $chance->between(2.0, 10.0));
        $found = max(0.5, $chance->between($low - 12.0, $band->ceiling() + 25.0));
        $play = TaughtPlay::startingFrom(
            RatioPrior::of(log($chance->between(1.0, 4.0)), [0.03, 0.1, 0.3][$chance->whole(0, 2)]),
            0.0,
        )->given($found, 0.15);
        self::assertInstanceOf(TaughtPlay::class, $play);
        $share = [0.25, 0.5, 0.75][$chance->whole(0, 2)];

        return new ShiftWindow(
            $play,
            $band,
            [$band->floor() + 0.25, $band->ceiling() - 0.25],
            0.2,
            $band->floor() + $share * ($band->ceiling() - $band->floor()),
            $chance->whole(0, 1) === 0,
        );
    }

    /** @return array{array<string, mixed>, array<string, float|null>} */
    private static function smallRun(Chance $chance): array
    {
        $names = array_slice(['perch', 'in_line', 'bracket'], 0, $chance->whole(1, 3));
        $adjusters = [];
        $standing = [];
        foreach ($names as $place => $name) {
            $turns = $chance->whole(3, 7);
            $pitch = [1.25, 1.0, 0.75][$chance->whole(0, 2)];
            $adjusters[] = [
                'id' => $name, 'name' => $name, 'kind' => ['barrel', 'in_line', 'bracket_nuts'][$place],
                'pitch_mm' => $pitch,
                'travel_mm' => $turns * $pitch, 'engaged_mm' => 0,
                'smallest_step_turns' => [0.5, 1.0][$chance->whole(0, 1)],
                'sense' => $chance->whole(0, 9) === 0 ? 'out_gives_slack' : 'out_takes_slack',
                'access' => ['minutes' => [[0, 0], [0, 3], [1, 6]][$place][$chance->whole(0, 1)]]
                    + ($place === 0 ? [] : ['cover' => $place === 1 ? 'boot' : 'cover']),
            ];
            $standing[$name] = $chance->whole(0, 11) === 0 ? null : $chance->whole(0, 2 * $turns) / 2;
        }
        if ($chance->whole(0, 3) > 0) {
            $adjusters[] = [
                'id' => 'clamp',
                'name' => 'clamp',
                'kind' => 'pinch_clamp',
                'mm_per_step' => 1,
                'travel_steps' => ['from' => 0, 'to' => 12],
                'smallest_step' => 1,
                'access' => ['minutes' => 9, 'cover' => 'guard'],
            ];
            $standing['clamp'] = (float) $chance->whole(0, 6);
        }

        return [
            ['cables' => [['id' => 'cable', 'name' => 'Cable', 'adjusters' => $adjusters]]] + TestJob::clutchRun(),
            $standing,
        ];
    }

    /**
     * @return array{array<string, mixed>, array<string, float|null>} three adjusters in flats, as they come on a
     *     machine
     */
    private static function fullRun(Chance $chance): array
    {
        $adjusters = [];
        $standing = [];
        foreach ([
            'perch' => [1.25, 8.75, 0],
            'in_line' => [1.0, 8.0, 2],
            'bracket' => [1.25, 11.25, 6],
        ] as $name => [$pitch, $travel, $minutes]) {
            $adjusters[] = [
                'id' => $name,
                'name' => $name,
                'kind' => 'barrel',
                'pitch_mm' => $pitch,
                'travel_mm' => $travel,
                'engaged_mm' => 0,
                'access' => ['minutes' => $minutes],
            ];
            $standing[$name] = $chance->whole(0, (int) floor($travel / $pitch * 6)) / 6;
        }

        return [
            ['cables' => [['id' => 'cable', 'name' => 'Cable', 'adjusters' => $adjusters]]] + TestJob::clutchRun(),
            $standing,
        ];
    }

    /** @return array<string, Tried> */
    private static function tried(Run $run, Facts $facts, SettingMode $mode, bool $clamps, bool $home = true): array
    {
        $easy = null;
        foreach ($run->playAdjusters() as $adjuster) {
            $easy = $easy === null || $adjuster->access()->minutes < $easy->access()->minutes ? $adjuster : $easy;
        }
        $adjusters = array_filter(
            $run->playAdjusters(),
            static fn (Adjuster $one): bool => $clamps || $one->kind()->value !== 'pinch_clamp',
        );

        return array_map(static fn (Adjuster $one): Tried => new Tried(
            $one,
            $facts->adjusters->at($one),
            isset($facts->adjusters->coversOff[$one->id()]),
            true,
            $mode === SettingMode::Service && $one === $easy && $one->kind()->value !== 'pinch_clamp'
                ? [min(1440, $one->travel()->to->count), min(2160, $one->travel()->to->count)] : null,
            $clamps && $home && $one->kind()->value !== 'pinch_clamp' ? self::nearHome($one) : null,
        ), $adjusters);
    }

    /** @return array{int, int} the end that gives all its slack, and a turn from it */
    private static function nearHome(Adjuster $bolt): array
    {
        [$from, $to] = [$bolt->travel()->from->count, $bolt->travel()->to->count];

        return $bolt->slackGiven(Steps::of(1)) < 0 ? [$from, min($to, $from + 720)] : [max($from, $to - 720), $to];
    }
}
