<?php

declare(strict_types=1);

namespace App\Gauges\Bridge;

use React\EventLoop\LoopInterface;

/** Carries what gauges send to the workshop: every wire opened, every press sent in its order. */
final readonly class Bridge
{
    /** @return Outgoing what has to be stopped before the loop is */
    public static function begin(LoopInterface $loop, Settings $settings, Journal $journal, string $file): Outgoing
    {
        $outgoing = new Outgoing($loop, $settings, $journal, $file);
        $outgoing->begin();
        $serial = [];
        foreach ($settings->gauges as $gauge) {
            $presses = new Presses($gauge, $loop, $outgoing, $journal);
            if ($gauge->port === null) {
                (new NetworkWire($loop, $presses, $journal))->open();
            } else {
                $serial[$gauge->port][] = $presses;
            }
        }
        foreach ($serial as $port => $gauges) {
            (new SerialWire($loop, $port, $gauges[0]->gauge->serial, $gauges, $journal))->open();
        }

        return $outgoing;
    }
}
