<?php

declare(strict_types=1);

namespace VividPull\Core\Practice\Lesson\Judged;

use VividPull\Core\Cable\ReadingPoint;
use VividPull\Core\Family\Families;
use VividPull\Core\Log\Entry\AllConfirmed;
use VividPull\Core\Log\Entry\Checked;
use VividPull\Core\Log\Entry\ConditionNoted;
use VividPull\Core\Log\Entry\CoverMoved;
use VividPull\Core\Log\Entry\Entry;
use VividPull\Core\Log\Entry\HandMeasured;
use VividPull\Core\Log\Entry\Inspected;
use VividPull\Core\Log\Entry\MeasureTaken;
use VividPull\Core\Log\Entry\Moved;
use VividPull\Core\Log\Entry\NothingFound;
use VividPull\Core\Log\Entry\OutcomeSeen;
use VividPull\Core\Log\Entry\PutRight;
use VividPull\Core\Log\Finding;
use VividPull\Core\Practice\Control\Act;
use VividPull\Core\Practice\Control\ActKind;
use VividPull\Core\Practice\Control\Behaviour;
use VividPull\Core\Practice\Control\Fault;
use VividPull\Core\Practice\Control\Seat;
use VividPull\Core\Practice\Lesson\Attempt;
use VividPull\Core\Practice\Lesson\Moment;
use VividPull\Core\Practice\Lesson\Remark;
use VividPull\Core\Practice\Lesson\Skill;
use VividPull\Core\Practice\Lesson\SkillScore;
use VividPull\Core\Procedure\Cure;
use VividPull\Core\Quantity\Steps;
use VividPull\Core\Spec\EngineHeat;
use VividPull\Core\Spec\OutcomeTable;

/**
 * What was written is what was done and seen. An answer that was not tried is a guess, also where it happens to be so.
 */
final class SaysWhatIsSo implements Judged
{
    private const FALSE_WORD = 5.0;

    private const UNTRIED = 2.0;

    /** Half the smallest step of a thread, in turns: as near as a hand counts. */
    private const COUNTED = 0.09;

    /** Standard deviations that what is so is not off by. */
    private const NEAR = 4.0;

    /** Share by which the ratio of two distances is read otherwise, with a rule; ours. */
    private const OF_A_DISTANCE = 0.08;

    /** @var array<string, true> what was tried or looked at since it last changed */
    private array $tried = [];

    /** @var array<string, string> what was seen of a setting since it last changed */
    private array $shown = [];

    /** @var array<string, Steps> turned, and not written down yet, by adjuster */
    private array $turned = [];

    /** @var array<string, float> measured, and not written down yet */
    private array $measured = [];

    /** @var list<string> cures done and not written down yet */
    private array $cured = [];

    /** Whether an end was put back in its seat, and no word of it written yet. */
    private bool $isReseated = false;

    /** @var list<Remark> */
    private array $remarks = [];

    private int $said = 0;

    private int $guessed = 0;

    private function __construct(private readonly Attempt $attempt) {}

    /** Whether most of what was answered was never tried. */
    public static function isGuesswork(Attempt $attempt): bool
    {
        $judged = self::of($attempt);

        return $judged->guessed > 0.5 * $judged->said;
    }

    private static function of(Attempt $attempt): self
    {
        $judged = new self($attempt);
        foreach ($attempt->moments() as $place => $moment) {
            $moment->deed instanceof Act
                ? $judged->done($moment->deed, $moment)
                : $judged->written($moment->deed, $place, $moment);
        }

        return $judged;
    }

    public static function in(Attempt $attempt): ?SkillScore
    {
        $judged = self::of($attempt);
        foreach ($judged->turned as $adjuster => $steps) {
            if (! $steps->isNone()) {
                $judged->remarks[] = new Remark(
                    self::FALSE_WORD,
                    "The {$judged->name($adjuster)} was turned, and no word of it was written: what is learned from readings is wrong from there on.",
                );
            }
        }

        if ($judged->isReseated) {
            $judged->remarks[] = new Remark(
                self::FALSE_WORD,
                'An end of the cable was put back in its seat, and no word of it was written: what was read before does not compare.',
            );
        }

        return $judged->said === 0 && $judged->remarks === []
            ? null
            : new SkillScore(
                Skill::Word,
                $judged->remarks,
                $judged->remarks === []
                    ? 'What was written is what was done and seen.'
                    : 'Try it, look, then write: the next person believes what stands there.',
            );
    }

    private function done(Act $act, Moment $moment): void
    {
        $seen = $moment->seen;
        if ($act->kind === ActKind::Measure) {
            $this->measured[$act->about] = $seen->amount ?? 0.0;
        }
        if (in_array($act->kind, [ActKind::Try, ActKind::Look, ActKind::Run], true)) {
            $this->tried[$this->triedAs($act->kind, $act->about, $act->pose?->value)] = true;
        }
        if (($act->kind === ActKind::Run || $act->kind === ActKind::Roll) && $seen->word !== null) {
            $this->shown[$moment->after->shiftedTo() ?? ''] = $seen->word;
        }
        if ($act->kind === ActKind::Turn && $act->steps !== null) {
            $this->turned[$act->about] = ($this->turned[$act->about] ?? Steps::none())->plus($act->steps);
        }
        if ($act->kind === ActKind::Cure) {
            $this->cured[] = $act->about;
        }
        if ($act->kind === ActKind::Hook && $seen->word === Seat::Home->value) {
            $this->cured[] = Cure::Ferrule->value;
            $this->isReseated = $this->isReseated || $moment->before->has(Fault::OffSeat);
        }
        if (in_array($act->kind, [ActKind::Turn, ActKind::Hook, ActKind::Cure], true)) {
            $this->tried = array_filter(
                $this->tried,
                static fn (string $one): bool => str_starts_with($one, ActKind::Look->value),
                ARRAY_FILTER_USE_KEY,
            );
            [$this->measured, $this->shown] = [[], []];
        }
    }

    private function written(Entry $entry, int $place, Moment $moment): void
    {
        $family = $this->attempt->lesson->spec->family;
        if ($entry instanceof AllConfirmed) {
            foreach ($entry->each(Families::of($family)) as $one) {
                $this->written($one, $place, $moment);
            }
        }
        match (true) {
            $entry instanceof Moved => $this->moved($entry, $place),
            $entry instanceof Checked => $this->checked($entry, $place, $moment),
            $entry instanceof Inspected => $this->inspected($entry, $place, $moment),
            $entry instanceof OutcomeSeen => $this->outcome($entry, $place, $moment),
            $entry instanceof ConditionNoted => $this->condition($entry, $place, $moment),
            $entry instanceof CoverMoved => $this->cover($entry, $place, $moment),
            $entry instanceof MeasureTaken => $this->amount($entry, $place, $moment),
            $entry instanceof PutRight => $this->putRight($entry, $place),
            $entry instanceof HandMeasured => $this->hand($entry, $place, $moment),
            $entry instanceof NothingFound => $this->nothingFound($moment, $place),
            default => null,
        };
    }

    private function moved(Moved $entry, int $place): void
    {
        $turned = $this->turned[$entry->adjuster] ?? Steps::none();
        unset($this->turned[$entry->adjuster]);
        if ($entry->steps === null) {
            return;
        }
        $off = abs($entry->steps->minus($turned)->toFloat());
        if ($off > self::COUNTED) {
            $name = $this->name($entry->adjuster);
            $this->remarks[] = new Remark(
                self::FALSE_WORD,
                $turned->isNone()
                    ? "A move of the {$name} was written, and it was not turned."
                    : "The {$name} was turned by {$turned->say()}, and {$entry->steps->say()} was written.",
                $place,
            );
        }
    }

    private function checked(Checked $entry, int $place, Moment $moment): void
    {
        $truth = Behaviour::word(
            $this->attempt->lesson->spec->family,
            $this->attempt->lesson->run,
            $entry->key,
            $moment->before,
        );
        $this->said(
            $entry->answer === $truth,
            $this->wasTried(ActKind::Try, $entry->key, $entry->pose?->value),
            $entry->key,
            $place,
        );
    }

    private function inspected(Inspected $entry, int $place, Moment $moment): void
    {
        $isSound = $moment->before->inspected($entry->key);
        if (! $isSound && $entry->finding !== Finding::Fault && ! $moment->before->isLit()) {
            $this->said++;
            $this->remarks[] = new Remark(
                self::FALSE_WORD,
                'It was called sound without a light: a wire that is frayed hides behind its end fittings.',
                $place,
            );

            return;
        }
        $this->said(
            ($entry->finding === Finding::Fault) !== $isSound,
            $this->wasTried(ActKind::Look, $entry->key, null),
            $entry->key,
            $place,
        );
    }

    private function outcome(OutcomeSeen $entry, int $place, Moment $moment): void
    {
        $setting = $this->attempt->lesson->spec->other(OutcomeTable::class)->settings[$entry->setting] ?? null;
        $shown = $this->shown[$entry->setting] ?? null;
        if ($setting !== null && $shown !== null && $shown === $setting->provesNothing() && $entry->saw !== $shown) {
            $this->said++;
            $this->remarks[] = new Remark(
                self::FALSE_WORD,
                "{$setting->label}: its teeth had not met, and that proves nothing. Turn a wheel by hand, and look again.",
                $place,
            );
        } elseif ($setting !== null) {
            $this->said(
                ($shown ?? $moment->before->does($setting)) === $entry->saw,
                $this->wasTried(ActKind::Run, $entry->setting, null),
                "outcome:{$entry->setting}",
                $place,
            );
        }
    }

    /** Each that is written was measured for itself: the same one written three times is one. */
    private function amount(MeasureTaken $entry, int $place, Moment $moment): void
    {
        $true = $moment->before->truly($entry->key);
        if ($true === null) {
            return;
        }
        $shown = $this->measured[$entry->key->value] ?? null;
        unset($this->measured[$entry->key->value]);
        $isSo = $shown === null
            ? abs($entry->value - $true) <= self::NEAR * $entry->key->usualDeviation()
            : abs($entry->value - $shown) < 10 ** -$entry->key->decimals() * 1.01;
        $this->said($isSo, $shown !== null, "measure:{$entry->key->value}", $place);
    }

    private function hand(HandMeasured $entry, int $place, Moment $moment): void
    {
        $points = array_map(ReadingPoint::from(...), array_keys($entry->pointMm));
        $true = $moment->before->distances($points);
        foreach ($entry->pointMm as $point => $mm) {
            $off = abs($mm / $entry->wireMm / ($true['point_mm'][$point] / $true['wire_mm']) - 1);
            if ($off > self::OF_A_DISTANCE) {
                $this->remarks[] = new Remark(
                    self::FALSE_WORD,
                    "The {$this->attempt->lesson->run->hand->kind->value} was written with other distances than it has.",
                    $place,
                );
            }
        }
    }

    private function condition(ConditionNoted $entry, int $place, Moment $moment): void
    {
        if ($entry->engine !== null && ($entry->engine === EngineHeat::Hot) !== $moment->before->isHot()) {
            $this->remarks[] = new Remark(
                self::FALSE_WORD,
                $moment->before->isHot()
                    ? 'It was written as cold, and its engine was hot: what is read then is no reading for a cold figure.'
                    : 'It was written as hot, and its engine was cold.',
                $place,
            );
        }
    }

    private function cover(CoverMoved $entry, int $place, Moment $moment): void
    {
        if ($entry->off === $moment->before->isCovered($entry->adjuster)) {
            $cover = $this->attempt->lesson->run->covers()[$entry->adjuster] ?? 'cover';
            $this->remarks[] = new Remark(
                self::FALSE_WORD,
                "It was written that the {$cover} is "
                    .($entry->off ? 'off, and it was on.' : 'back on, and it was off.'),
                $place,
            );
        }
    }

    private function nothingFound(Moment $moment, int $place): void
    {
        if ($moment->before->wants() !== null) {
            $this->remarks[] = new Remark(
                self::FALSE_WORD,
                'It was written that nothing was found, and there was something to find.',
                $place,
            );
        }
    }

    private function putRight(PutRight $entry, int $place): void
    {
        if ($this->cured === []) {
            $this->remarks[] = new Remark(
                self::FALSE_WORD,
                "{$entry->cure->label()} was written, and nothing of that was done.",
                $place,
            );
        }
        array_pop($this->cured);
        $this->isReseated = $this->isReseated && $entry->cure !== Cure::Ferrule;
    }

    private function said(bool $isSo, bool $wasTried, string $key, int $place): void
    {
        $this->said++;
        $this->guessed += $wasTried ? 0 : 1;
        $progress = $this->attempt->moments()[$place]->job->progress;
        $item = $progress->item($key) ?? $progress->item("check:{$key}") ?? $progress->item("found:{$key}");
        $what = rtrim($item->label ?? ucfirst(strtr($key, '_:', '  ')), '.');
        if (! $isSo) {
            $this->remarks[] = new Remark(
                self::FALSE_WORD,
                $wasTried
                    ? "What was written of this is not what it showed: {$what}"
                    : "This was not tried, and what was written is not so: {$what}",
                $place,
            );
        } elseif (! $wasTried) {
            $this->remarks[] = new Remark(self::UNTRIED, "This was written without being tried: {$what}", $place);
        }
    }

    /** A proof of poses may be tried in one, and then tells of that one. */
    private function wasTried(ActKind $kind, string $about, ?string $pose): bool
    {
        return isset($this->tried[$this->triedAs($kind, $about, $pose)]);
    }

    private function triedAs(ActKind $kind, string $about, ?string $pose): string
    {
        return "{$kind->value} {$about} {$pose}";
    }

    private function name(string $adjuster): string
    {
        return $this->attempt->lesson->run->adjuster($adjuster)?->name() ?? $adjuster;
    }
}
