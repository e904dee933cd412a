<?php

declare(strict_types=1);

namespace VividPull\Core\Practice\Control;

/** What a hand does to a machine to learn on, beside what it writes down. */
enum ActKind: string
{
    /** Pulled until it resists, with an instrument held to it. */
    case Hold = 'hold';
    /** Pulled fully and let snap back, so that what was turned settles. */
    case Snap = 'snap';
    /** The cover over an adjuster is taken off. */
    case Open = 'open';
    /** It is put back on. */
    case Shut = 'shut';
    /** The engine is felt: hot or cold. */
    case Feel = 'feel';
    /** It is left until it is cold. */
    case Cool = 'cool';
    /** It is run until it is hot, standing. */
    case Warm = 'warm';
    /** An adjuster is turned, or moved by its steps. */
    case Turn = 'turn';
    /** A proof is tried. */
    case Try = 'try';
    /** Something beside the play is measured: a stop timed, a speed driven, a tyre. */
    case Measure = 'measure';
    /** A light is taken in hand; it stays there. */
    case Light = 'light';
    /** A part is looked over. */
    case Look = 'look';
    /** It is run at one of its settings. */
    case Run = 'run';
    /** A wheel is turned by hand, so that teeth can meet. */
    case Roll = 'roll';
    /** An end of a cable is hooked into its seat, or taken off. */
    case Hook = 'hook';
    /** Something that is no adjuster is put right. */
    case Cure = 'cure';
    /** Which adjuster, which way and how far: said before the bench says it. */
    case Guess = 'guess';
    /** The bench's advice is asked for. */
    case Ask = 'ask';
    /** No more is done. */
    case Stop = 'stop';
}
