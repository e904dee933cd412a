<?php

declare(strict_types=1);

namespace VividPull\Core\Practice;

use VividPull\Core\Bench\Bench;
use VividPull\Core\Bench\BenchState;
use VividPull\Core\Input\Node;
use VividPull\Core\Judging\Settles;
use VividPull\Core\Log\EntryKind;
use VividPull\Core\Log\Log;
use VividPull\Core\Log\Person;
use VividPull\Core\Log\Role;
use VividPull\Core\Log\Stamp;
use VividPull\Core\Measurement\VerdictKind;
use VividPull\Core\Planning\AdjusterAdvice;
use VividPull\Core\Planning\PlanKind;
use VividPull\Core\Procedure\LockStep;
use VividPull\Core\Wire\EntryCodec;
use VividPull\Core\Wire\RunCodec;
use VividPull\Core\Wire\SpecCodec;

/** One hidden machine set by doing what the bench says, reading three times after every move. */
final class Trial
{
    private const MOST_MOVES = 12;

    private const MOST_EXTRA_READINGS = 4;

    private const MOST_TURNS = 60;

    /** mm from the pivot to the wire of every machine that is tried. */
    private const TO_WIRE = 38.0;

    private int $count = 0;

    private BenchState $state;

    private readonly EntryCodec $codec;

    private readonly HiddenMachine $machine;

    /** Whether one who knew the machine could set it with one move of whole flats. */
    private readonly bool $knowing;

    private readonly Person $person;

    private int $moves = 0;

    private int $reversals = 0;

    private int $lastWay = 0;

    private bool $overshot = false;

    /** @var list<bool> whether the reading after each move fell in the range foretold */
    private array $foretold = [];

    /** @var list<float> widths of those ranges, in mm */
    private array $widths = [];

    private function __construct(private readonly TrialRow $row, Chance $chance)
    {
        $this->person = new Person('trial', 'Trial', Role::Technician);
        $start = self::start($row, $chance);
        $ratio = $row->band->ratio * $row->physics->ratioFactor * match ($row->start) {
            TrialStart::MisDrawn => $chance->between(0.0, 1.0) < 0.5 ? 1.4 : 1 / 1.4,
            TrialStart::Outside, TrialStart::Taut => exp($row->spread * $chance->normal()),
        };
        $this->knowing = self::reachesInside($row, $start, $ratio);
        $this->machine = new HiddenMachine(
            $start,
            $row->band->pitch,
            self::TO_WIRE * $ratio,
            self::TO_WIRE,
            $row->physics,
            $chance,
        );
        $run = RunCodec::decode(Node::of($this->run()));
        $this->codec = new EntryCodec($run);
        $opened = $this->codec->entry(EntryKind::Opened, Node::of(['control' => 'trial', 'standing' => [
            'positions_steps' => ['barrel' => 100],
            'shelf' => [[
                'id' => 'instrument',
                'name' => 'instrument',
                'kind' => $row->physics->reader->instrument,
                'resolution_mm' => $row->physics->reader->resolution,
                'reach_mm' => 500,
            ]],
            'pooled' => [[
                'person' => 'trial',
                'instrument' => 'instrument',
                'deviation_mm' => $row->physics->reader->noise,
                'freedom' => 30,
            ]],
        ]]), $this->stamp());
        $this->state = Bench::replay(SpecCodec::decode(Node::of($this->spec())), $run, Log::of($opened));
    }

    public static function of(TrialRow $row, Chance $chance): TrialResult
    {
        return (new self($row, $chance))->worked();
    }

    private function worked(): TrialResult
    {
        $this->read(3);
        $extra = 0;
        for ($turn = 0; $turn < self::MOST_TURNS && ! $this->isLocked(); $turn++) {
            $next = $this->state->next();
            $advice = $next->options['barrel'] ?? null;
            if ($next->kind === PlanKind::Move && $advice?->steps !== null) {
                if ($this->moves >= self::MOST_MOVES) {
                    break;
                }
                $this->move($advice);
                $extra = 0;
            } elseif (
                ($next->kind === PlanKind::Decide || $next->kind === PlanKind::Read)
                && $extra < self::MOST_EXTRA_READINGS
            ) {
                $this->read(1);
                $extra++;
            } elseif ($this->moves === 0) {
                break;
            } else {
                // It is proved, or left as it reads: locked and read again, as a job is.
                $this->lock();
                $extra = 0;
            }
        }
        $play = $this->machine->play();

        return new TrialResult(
            $this->moves,
            $play >= $this->row->band->low && $play <= $this->row->band->high,
            $this->state->judgement->now->is(VerdictKind::Inside),
            $this->reversals,
            $this->overshot,
            $this->foretold,
            $this->widths,
            $this->knowing,
        );
    }

    private function isLocked(): bool
    {
        return $this->moves > 0
            && $this->state->facts->adjusters->isLocked()
            && $this->state->judgement->nowGroup !== null
            && $this->state->next()->kind !== PlanKind::Move
                && $this->state->judgement->now->settles !== Settles::Answer;
    }

    private function lock(): void
    {
        $this->log(EntryKind::Confirmed, ['key' => LockStep::KEY, 'adjuster' => 'barrel']);
        $this->machine->lock();
        $this->read(3);
    }

    /** True play as it is found; below zero it is taut by that much. */
    private static function start(TrialRow $row, Chance $chance): float
    {
        $width = $row->band->high - $row->band->low;
        if ($row->start === TrialStart::Taut) {
            return -$chance->between(0.0, 2.0) * $width;
        }
        $away = $chance->between(0.1, 3.0) * $width;
        $loose = $chance->between(0.0, 1.0) < 0.5 || $row->band->low - $away < 0.6;

        return $loose ? $row->band->high + $away : $row->band->low - $away;
    }

    private static function reachesInside(TrialRow $row, float $start, float $ratio): bool
    {
        $flat = $ratio * $row->band->pitch / 6;
        $nearest = $start - $flat * round(($start - ($row->band->low + $row->band->high) / 2) / $flat);

        return $nearest >= $row->band->low && $nearest <= $row->band->high;
    }

    private function move(AdjusterAdvice $advice): void
    {
        $turns = $advice->steps?->toFloat() ?? 0.0;
        $before = $this->machine->play();
        $this->log(EntryKind::Move, ['adjuster' => 'barrel', 'turns' => $turns]);
        $this->machine->turnOut($turns);
        $this->moves++;
        $way = $turns <=> 0.0;
        $this->reversals += (int) ($this->lastWay !== 0 && $way !== $this->lastWay);
        $this->lastWay = $way;
        if ($this->moves === 1) {
            $after = $this->machine->play();
            $this->overshot = $before > $this->row->band->high
                ? $after < $this->row->band->low
                : $after > $this->row->band->high;
        }
        $mean = $this->read(3);
        if ($advice->low !== null && $advice->high !== null) {
            $this->foretold[] = $mean >= $advice->low && $mean <= $advice->high;
            $this->widths[] = $advice->high - $advice->low;
        }
    }

    private function read(int $times): float
    {
        $sum = 0.0;
        for ($i = 0; $i < $times; $i++) {
            $mm = $this->machine->read();
            $sum += $mm;
            $this->log(
                EntryKind::Reading,
                [
                    'mm' => $mm,
                    'entered' => (string) $mm,
                    'point' => $this->row->band->point,
                    'engine' => 'cold',
                    'wheels' => 'on_ground',
                    'instrument' => 'instrument',
                ],
            );
        }

        return $this->state->judgement->nowGroup->found->mean ?? $sum / $times;
    }

    /** @param  array<string, mixed>  $body */
    private function log(EntryKind $kind, array $body): void
    {
        $this->state = Bench::accept($this->state, $this->codec->entry($kind, Node::of($body), $this->stamp()));
    }

    private function stamp(): Stamp
    {
        $this->count++;

        return new Stamp("t{$this->count}", '2026-01-01T08:00:00+00:00', $this->person);
    }

    /** @return array<string, mixed> */
    private function spec(): array
    {
        return [
            'family' => $this->row->band->family,
            'aim' => [
                'kind' => 'free_play_band',
                'point' => $this->row->band->point,
                'low_mm' => $this->row->band->low,
                'high_mm' => $this->row->band->high,
            ],
            'conditions' => ['poses' => ['straight']],
            'policy' => 'middle',
            'source' => ['document' => 'trial'],
        ];
    }

    /** @return array<string, mixed> one adjuster with thread enough either way */
    private function run(): array
    {
        $grip = $this->row->band->point === 'grip_flange';

        return [
            'hand' => ['kind' => $grip ? 'grip' : 'lever', 'name' => 'trial', 'knowledge' => $this->row->knowledge]
                + ($grip
                ? ['drum_radius_mm' => self::TO_WIRE, 'flange_radius_mm' => self::TO_WIRE * $this->row->band->ratio]
                : [
                    'pivot_to_wire_mm' => self::TO_WIRE,
                    'pivot_to_point_mm' => [$this->row->band->point => self::TO_WIRE * $this->row->band->ratio],
                ]),
            'cables' => [['id' => 'cable', 'name' => 'cable', 'adjusters' => [
                [
                    'id' => 'barrel',
                    'name' => 'barrel',
                    'kind' => 'barrel',
                    'pitch_mm' => $this->row->band->pitch,
                    'travel_mm' => 200 * $this->row->band->pitch,
                ],
            ]]],
            'working_end' => 'trial',
        ];
    }
}
