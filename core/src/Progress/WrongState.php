<?php

declare(strict_types=1);

namespace VividPull\Core\Progress;

use VividPull\Core\Facts\Facts;
use VividPull\Core\Spec\EngineHeat;
use VividPull\Core\Spec\Spec;

/**
 * A machine that stands otherwise than its figure is for, hot for a cold one or on its wheels for one on a stand: said
 * before it is read, since nothing that is read so is judged. On a stand for a figure on its wheels is no such thing:
 * that is good enough to set by.
 */
final readonly class WrongState
{
    /** One sentence or two, where a reading is asked and would not be judged; else null. */
    public static function say(Spec $spec, Facts $facts, Progress $progress): ?string
    {
        $noted = $facts->answers->condition;
        if ($facts->closed !== null || ! self::isToBeRead($progress) || $noted === null) {
            return null;
        }
        [$engine, $wheels] = [$spec->conditions->engine, $spec->conditions->wheels];
        if ($engine !== null && $noted->engine !== null && $noted->engine !== $engine) {
            return "It is {$noted->engine->value}, and the figure is for a {$engine->value} engine: what is read now is not judged. "
                .($engine === EngineHeat::Cold
                    ? 'Let it cool, then say so.'
                    : 'Run it warm, outdoors and with nobody near what turns, then say so.');
        }
        $stands = $wheels === null
            || $noted->wheels === null
            || $noted->wheels === $wheels
            || $spec->conditions->areProvisional($engine, $noted->wheels);

        return $stands
            ? null
            : "It is {$noted->wheels->label()}, and the figure is for the machine {$wheels->label()}: what is read now is not judged. Put it there, then say so.";
    }

    /** Whether play is what is asked for. */
    public static function isToBeRead(Progress $progress): bool
    {
        return in_array($progress->asks()?->kind, [ItemKind::Reading, ItemKind::InBand], true);
    }

    /**
     * Another job of the same visit ran the machine, which is one: how hot it is was said before that.
     *
     * @param  string  $control  that it was run for, as it stands within a sentence
     */
    public static function ranFor(string $control): string
    {
        return "The machine was run for its {$control} since its heat was said. Say again how it stands, before play is read.";
    }
}
