<?php

declare(strict_types=1);

namespace App\Gauges\Simulated;

use React\EventLoop\LoopInterface;
use React\EventLoop\TimerInterface;
use VividPull\Core\Cable\ReadingPoint;
use VividPull\Core\Practice\Control\TrueControl;
use VividPull\Core\Practice\Lesson\LessonBook;
use VividPull\Core\Practice\PulledLever;
use VividPull\Core\Practice\SeededChance;
use VividPull\Core\Quantity\Steps;

/**
 * Works a simulated gauge by words, one a line: `show 4.2` (what it measures, in mm or N), `press`, `press 4.2`, `hold`
 * (its button sticks), `let go`, `lever 7` (a practice machine's clutch lever by its seed: what it measures from then
 * on is that lever's free play, or its heaviest pull), `hang lever_loose` (on the machine of a lesson, or one at
 * random: every press is another pull of it, and what it measures is its free play), `turn barrel 1.5` (an adjuster of
 * that machine, by turns or what else it is counted in, and it is let snap back), `pull 7` (that lever is pulled
 * steadily and let back, and a force gauge sends all the while; `pull 7 2` in two seconds each way), `fault half`,
 * `unplug`, `plug`, `say TEXT` (these bytes as they are), `wait 0.5` (seconds), `quit`.
 */
final class Simulator
{
    private const HELD_S = 0.1;

    /** Between two lines of a pull that is recorded. */
    private const RECORDED_S = 0.04;

    /** A pull takes so long each way. */
    private const PULLED_S = 3.0;

    /** @var list<string> */
    private array $toDo = [];

    private bool $isWaiting = false;

    private ?TimerInterface $held = null;

    private ?TimerInterface $pull = null;

    /** The machine it hangs on, where it does. */
    private ?TrueControl $machine = null;

    private ?ReadingPoint $point = null;

    public function __construct(
        private readonly LoopInterface $loop,
        private readonly SimulatedGauge $gauge,
        private readonly Speaks $wire,
    ) {}

    public function told(string $line): void
    {
        $this->toDo[] = trim($line);
        $this->goOn();
    }

    private function goOn(): void
    {
        while (! $this->isWaiting && ($line = array_shift($this->toDo)) !== null) {
            $this->obey(...[...explode(' ', $line, 2), '']);
        }
    }

    private function obey(string $word, string $rest): void
    {
        match ($word) {
            'show' => [$this->gauge->true, $this->machine] = [(float) $rest, null],
            'hang' => $this->hang($rest),
            'turn' => $this->turn(...[...explode(' ', $rest, 2), '']),
            'lever' => [$this->gauge->true, $this->machine] = [$this->ofLever((int) $rest), null],
            'press' => $this->press($rest),
            'pull' => $this->pull(...[...explode(' ', $rest, 2), '']),
            'hold' => $this->held ??= $this->loop->addPeriodicTimer(self::HELD_S, fn () => $this->press('')),
            'let' => $this->letGo(),
            'fault' => $this->gauge->fault = Fault::tryFrom($rest) ?? Fault::None,
            'unplug' => $this->wire->unplug(),
            'plug' => $this->wire->plug(),
            'say' => $this->wire->send("{$rest}\r\n"),
            'wait' => $this->wait((float) $rest),
            'quit' => $this->quit(),
            default => fwrite(
                STDERR,
                "It knows show, press, lever, hang, turn, pull, hold, let go, fault, unplug, plug, say, wait and quit, and not “{$word}”.\n",
            ),
        };
    }

    /** Drawn by its seed; on a length its play is measured, on a force its pull before the stop. */
    private function ofLever(int $seed): float
    {
        $lever = PulledLever::drawn(new SeededChance($seed));

        return $this->gauge->kind->unit() === 'mm'
            ? $lever->playMm
            : $lever->breaks[max(0, count($lever->breaks) - 2)][1];
    }

    /** A length gauge only, and on what has play. */
    private function hang(string $key): void
    {
        $lesson = LessonBook::find($key);
        $this->point = $lesson?->points()[0] ?? null;
        $this->machine = $this->point === null || $this->gauge->kind->unit() !== 'mm' ? null : $lesson?->control();
        if ($this->machine === null) {
            fwrite(STDERR, "Nothing is read by a {$this->gauge->kind->label()} on “{$key}”.\n");
        }
    }

    private function turn(string $adjuster, string $by): void
    {
        $this->machine?->turn($adjuster, Steps::exactly((float) $by));
        $this->machine?->settle();
    }

    private function press(string $of): void
    {
        if ($of !== '') {
            [$this->gauge->true, $this->machine] = [(float) $of, null];
        }
        if ($this->machine !== null && $this->point !== null) {
            $this->gauge->true = $this->machine->shows($this->point, null);
        }
        $this->wire->send($this->gauge->press());
    }

    private function pull(string $seed, string $seconds): void
    {
        if ($this->pull !== null || $this->gauge->kind->unit() !== 'N') {
            return;
        }
        $lever = PulledLever::drawn(new SeededChance((int) $seed));
        $each = max(0.1, (float) ($seconds === '' ? self::PULLED_S : $seconds));
        $began = microtime(true);
        $this->pull = $this->loop->addPeriodicTimer(self::RECORDED_S, function () use ($lever, $each, $began): void {
            $share = (microtime(true) - $began) / $each;
            $this->gauge->true = $lever->forceAt(min(2.0, $share));
            $this->press('');
            if ($share >= 2.0 && $this->pull !== null) {
                $this->loop->cancelTimer($this->pull);
                $this->pull = null;
            }
        });
    }

    private function letGo(): void
    {
        if ($this->held !== null) {
            $this->loop->cancelTimer($this->held);
        }
        $this->held = null;
    }

    private function wait(float $seconds): void
    {
        $this->isWaiting = true;
        $this->loop->addTimer($seconds, function (): void {
            $this->isWaiting = false;
            $this->goOn();
        });
    }

    public function quit(): void
    {
        $this->wire->unplug();
        $this->loop->stop();
    }
}
