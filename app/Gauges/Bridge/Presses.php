<?php

declare(strict_types=1);

namespace App\Gauges\Bridge;

use App\Gauges\Steady;
use React\EventLoop\LoopInterface;
use VividPull\Core\Gauge\GaugeLine;
use VividPull\Core\Gauge\GaugeReading;
use VividPull\Core\Gauge\HeldButton;
use VividPull\Core\Gauge\ScpiReply;
use VividPull\Core\Quantity\NotUnderstood;

/** The lines of one gauge: what is a reading goes out, one a press; what is none is said here and goes nowhere. */
final class Presses
{
    private readonly HeldButton $button;

    /** Only where it records pulls. */
    private readonly ?Recorder $recorder;

    public function __construct(
        public readonly Wired $gauge,
        LoopInterface $loop,
        private readonly Outgoing $outgoing,
        private readonly Journal $journal,
    ) {
        $this->button = new HeldButton;
        $this->recorder = $gauge->records ? new Recorder($gauge, $loop, $outgoing, $journal) : null;
    }

    public function isIts(string $line): bool
    {
        return str_starts_with(trim($line), $this->gauge->reads->before);
    }

    public function came(string $line): void
    {
        $reads = $this->recorder === null ? $this->gauge->reads : $this->gauge->reads->whileMoving();
        try {
            $read = $this->gauge->address === null ? GaugeLine::read($line, $reads) : ScpiReply::reading($line, $reads);
        } catch (NotUnderstood $no) {
            $this->journal->say($this->gauge->instrument, $no->getMessage());

            return;
        }
        $this->recorder === null ? $this->pressed($line, $read) : $this->recorder->came($line, $read);
    }

    private function pressed(string $line, GaugeReading $read): void
    {
        if ($this->button->isPress(Steady::ms())) {
            $this->outgoing->put(Press::of($this->gauge, $line, When::now()));
        } elseif ($this->button->hasJustStuck()) {
            $this->journal->say(
                $this->gauge->instrument,
                "It sends {$read->entered} again and again: one reading was taken. Is its button stuck, or does it send without being asked?",
            );
        }
    }
}
