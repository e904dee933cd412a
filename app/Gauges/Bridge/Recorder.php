<?php

declare(strict_types=1);

namespace App\Gauges\Bridge;

use App\Gauges\Steady;
use React\EventLoop\LoopInterface;
use React\EventLoop\TimerInterface;
use VividPull\Core\Gauge\GaugeReading;
use VividPull\Core\Gauge\GaugeRecording;

/**
 * The lines of a force gauge that records a pull: while they follow each other they are one recording, which goes out
 * when they cease. A line that nothing follows at once is a press of its button.
 */
final class Recorder
{
    /** A gauge that records sends oftener than this. */
    private const ALONE_S = 0.25;

    /** Nothing for so long, and the recording is over. */
    private const OVER_S = 0.8;

    /** @var list<array{int, string}> */
    private array $lines = [];

    private ?When $began = null;

    private ?When $last = null;

    private bool $isTooLong = false;

    private ?TimerInterface $ends = null;

    public function __construct(
        private readonly Wired $gauge,
        private readonly LoopInterface $loop,
        private readonly Outgoing $outgoing,
        private readonly Journal $journal,
    ) {}

    public function came(string $line, GaugeReading $read): void
    {
        if ($this->ends !== null) {
            $this->loop->cancelTimer($this->ends);
        }
        $this->last = When::now();
        $this->began ??= $this->last;
        $this->take($line, $read);
        $this->ends = $this->loop->addTimer(
            count($this->lines) === 1 && ! $this->isTooLong ? self::ALONE_S : self::OVER_S,
            $this->over(...),
        );
    }

    private function take(string $line, GaugeReading $read): void
    {
        if ($this->isTooLong) {
            return;
        }
        $this->lines[] = [Steady::ms(), $line];
        if (
            count($this->lines) > GaugeRecording::MOST
            || $this->lines[count($this->lines) - 1][0] - $this->lines[0][0] > GaugeRecording::LONGEST_MS
        ) {
            $this->isTooLong = true;
            $this->lines = [];
            $this->journal->say(
                $this->gauge->instrument,
                "It sends {$read->entered} and goes on: a recording has at most ".GaugeRecording::MOST.' lines and '
                    .intdiv(GaugeRecording::LONGEST_MS, 1000)
                    .' s. Nothing of it was taken. Let it send only while you pull.',
            );
        }
    }

    private function over(): void
    {
        [$lines, $began, $last] = [$this->lines, $this->began, $this->last];
        [$this->lines, $this->began, $this->last, $this->ends] = [[], null, null, null];
        $wasTooLong = $this->isTooLong;
        $this->isTooLong = false;
        if ($wasTooLong || $lines === [] || $began === null || $last === null) {
            return;
        }
        if (count($lines) >= GaugeRecording::FEWEST) {
            $this->outgoing->put(RecordedPull::of($this->gauge, $lines, $last));

            return;
        }
        if (count($lines) > 1) {
            $this->journal->say(
                $this->gauge->instrument,
                count($lines).' lines came one after the other, and a pull is read from '.GaugeRecording::FEWEST
                    .': the first was taken as a reading.',
            );
        }
        $this->outgoing->put(Press::of($this->gauge, $lines[0][1], $began));
    }
}
