<?php

declare(strict_types=1);

namespace VividPull\Core\Diagnosis;

use VividPull\Core\Procedure\Symptom;
use VividPull\Core\Quantity\Figure;

/**
 * What to do next so that the machine is right in the fewest minutes on average: a check that tells causes apart, or a
 * cure that is tried. A check is worth its minutes if what comes after each of its answers takes so much less; the best
 * few are looked at two steps ahead. (Heckerman, Breese and Rommelse, Decision-theoretic troubleshooting, 1995.)
 */
final readonly class Troubleshooter
{
    /** Minutes to ask whoever saw it (ours). */
    private const ASKING = 0.5;

    /**
     * Checks that are looked at two steps ahead, and second steps that are tried after each (ours: 20 ms for a family).
     */
    private const AHEAD = 3;

    private const AFTER = 5;

    /** Above this chance that nothing listed is the cause, that is said (ours). */
    private const UNEXPLAINED = 0.5;

    /** An answer less likely than this is not followed up. */
    private const UNLIKELY = 1e-6;

    private function __construct(private Knowledge $knowledge, private Belief $belief, private Evidence $evidence) {}

    /** @param  bool  $byPhone  only what needs no tool, no cover and no running machine */
    public static function next(
        Knowledge $knowledge,
        Belief $belief,
        Evidence $evidence,
        bool $byPhone = false,
    ): NextStep {
        $here = new self($knowledge, $belief, $evidence);
        $next = $here->best($byPhone);

        return $byPhone && in_array($next->kind, [StepKind::Cure, StepKind::Unexplained], true)
            ? self::bringIn($here->best(false))
            : $next;
    }

    /** From afar nothing is put right: it comes in, and this is done first. */
    private static function bringIn(NextStep $first): NextStep
    {
        return new NextStep(
            StepKind::BringIn,
            $first->key,
            'Bring it in. '.($first->kind === StepKind::Check ? 'Looked at first: ' : 'Done first: ')
                .lcfirst($first->sentence),
            'Nothing more can be told without tools.',
            $first->minutes,
            $first->expected,
        );
    }

    private function best(bool $byPhone): NextStep
    {
        $chances = $this->belief->chances();
        if (! $this->belief->isPossible()) {
            return $this->unexplained(0.0);
        }
        $looks = $this->looks();
        $now = $this->belief->minutesLeft($looks);
        $values = [];
        foreach ($this->open($byPhone) as $question) {
            $values[$question] = $this->minutes($question) + $this->afterOne($this->belief, $question);
        }
        asort($values);
        $ahead = array_keys(array_slice($values, 0, self::AHEAD, true));
        $seconds = array_keys(array_slice($values, 0, self::AFTER, true));
        foreach ($ahead as $question) {
            $values[$question] = min(
                $values[$question],
                $this->minutes($question) + $this->afterTwo($question, $seconds),
            );
        }
        asort($values);
        $question = array_key_first($values);
        $first = $looks->checks[$this->belief->first($looks)];
        if ($question !== null && $values[$question] >= $now - 1e-9 && $first !== null && isset($values[$first])) {
            $question = $first;
        }
        $isWorthIt = $question !== null && ($values[$question] < $now - 1e-9 || $question === $first);
        $safety = $isWorthIt ? null : $this->safety($byPhone);

        return match (true) {
            $question !== null && $isWorthIt => $this->asked($question, $now, min($now, $values[$question])),
            $safety !== null => $this->asked($safety, $now, $values[$safety] ?? $now),
            $chances[Cause::OTHER] > self::UNEXPLAINED => $this->unexplained($now),
            default => $this->cured($chances, $now),
        };
    }

    /** @param  list<string>  $answered  what is taken for answered as well */
    private function looks(array $answered = [], ?string $coverOff = null): Looks
    {
        $closed = [...array_keys($this->evidence->seen), ...$this->evidence->skipped, ...$answered];
        $off = [...$this->evidence->coversOff, ...($coverOff === null ? [] : [$coverOff])];

        return Looks::of(
            $this->knowledge,
            array_fill_keys($closed, true),
            array_fill_keys($off, true),
            $this->evidence->symptoms(),
        );
    }

    /**
     * What is not answered yet. Nothing runs before what it is safe by was looked at and found right; to pass that over
     * is no leave to run it. Nor does anything run while something on the machine stands against it.
     *
     * @return list<string>
     */
    private function open(bool $byPhone): array
    {
        $open = [];
        // At the machine people said what they came with; at the other end of a line they are asked.
        foreach ($byPhone ? $this->knowledge->symptoms : [] as $symptom) {
            if (
                ! isset($this->evidence->seen[$symptom->value])
                && ! in_array($symptom->value, $this->evidence->skipped, true)
            ) {
                $open[] = $symptom->value;
            }
        }
        foreach ($this->knowledge->checks as $check) {
            if (
                $this->isOpen($check, $byPhone)
                && ! ($check->effort->runs && ($this->unsafe() !== [] || $this->evidence->against !== []))
            ) {
                $open[] = $check->key;
            }
        }

        return $open;
    }

    private function isOpen(Check $check, bool $byPhone): bool
    {
        return ! $check->isOnFile
            && ! isset($this->evidence->seen[$check->key])
            && ! in_array($check->key, $this->evidence->skipped, true)
            && (! $byPhone || $check->isForThePhone());
    }

    /**
     * @return list<string> what must be right before it runs, and is not known to be; and what was seen, with the
     *     machine at rest, that nobody runs it with
     */
    private function unsafe(): array
    {
        return array_values(array_map(
            static fn (Check $one): string => lcfirst($one->label),
            array_filter($this->knowledge->checks, $this->isUnsafe(...)),
        ));
    }

    private function isUnsafe(Check $check): bool
    {
        $answer = $this->evidence->answer($check->key);

        return ($check->effort->isSafety && $answer !== Check::RIGHT)
            || (! $check->effort->runs && $check->isStoppedBy($answer));
    }

    /** A look that comes before anything runs, or is put right and tried; null where all are made. */
    private function safety(bool $byPhone): ?string
    {
        return array_key_first(array_filter(
            $this->knowledge->checks,
            fn (Check $one): bool => $one->effort->isSafety && $this->isOpen($one, $byPhone),
        ));
    }

    private function minutes(string $question, ?string $coverOff = null): float
    {
        $check = $this->knowledge->checks[$question] ?? null;

        return match (true) {
            $check === null => self::ASKING,
            $check->effort->cover === null, $check->effort->cover === $coverOff,
            in_array($check->effort->cover, $this->evidence->coversOff, true) => $check->minutes,
            default => $check->minutes + $check->effort->coverMinutes,
        };
    }

    /** Minutes that are left on average after this question, if causes are then looked at in their order. */
    private function afterOne(Belief $belief, string $question, ?string $before = null): float
    {
        $looks = $this->looks(
            $before === null ? [$question] : [$before, $question],
            $this->cover($question) ?? $this->cover($before),
        );
        $left = 0.0;
        foreach ($belief->answers($question) as $answer => $chance) {
            $left += $chance < self::UNLIKELY ? 0.0 : $chance * $belief->after($question, $answer)->minutesLeft($looks);
        }

        return $left;
    }

    /**
     * Minutes that are left on average after this question, if one more of these may follow.
     *
     * @param  list<string>  $seconds
     */
    private function afterTwo(string $question, array $seconds): float
    {
        $left = 0.0;
        $looks = $this->looks([$question], $this->cover($question));
        foreach ($this->belief->answers($question) as $answer => $chance) {
            if ($chance < self::UNLIKELY) {
                continue;
            }
            $after = $this->belief->after($question, $answer);
            $least = $after->minutesLeft($looks);
            foreach ($seconds as $second) {
                $least = $second === $question
                    ? $least
                    : min(
                        $least,
                        $this->minutes($second, $this->cover($question)) + $this->afterOne($after, $second, $question),
                    );
            }
            $left += $chance * $least;
        }

        return $left;
    }

    private function cover(?string $question): ?string
    {
        return ($this->knowledge->checks[$question ?? ''] ?? null)?->effort->cover;
    }

    private function asked(string $question, float $now, float $expected): NextStep
    {
        $check = $this->knowledge->checks[$question] ?? null;
        $minutes = $this->minutes($question);
        $saved = $now - $expected;
        $likeliest = $this->likeliest($question);
        $why = match (true) {
            $saved > 0.05 => 'It saves '.self::about($saved).' of '.self::about($now).' on average',
            $likeliest !== null => "The cheapest look for what is likeliest here: {$likeliest}",
            $check?->effort->isSafety === true => 'It comes before anything is put right and tried',
            default => 'A short look that tells a little',
        }
            .($check?->effort->cover === null || in_array($check->effort->cover, $this->evidence->coversOff, true)
                ? ''
                : ", with the {$check->effort->cover} to take off")
                .'.';

        return new NextStep(
            $check === null ? StepKind::Ask : StepKind::Check,
            $question,
            $check === null ? Symptom::from($question)->words().'?' : "{$check->label}: ".lcfirst($check->how),
            $why,
            $minutes,
            $expected,
            $this->meanings($question),
            $check?->effort->runs === true ? $this->beforeItRuns() : null,
        );
    }

    /** What the check always shows, where that is the likeliest of all that is looked for. */
    private function likeliest(string $question): ?string
    {
        $chances = $this->belief->chances();
        arsort($chances);
        foreach (array_keys($chances) as $key) {
            if (in_array($question, $this->knowledge->causes[$key]->telling(), true)) {
                return $chances[$key] > 0.05 ? lcfirst($this->knowledge->causes[$key]->label) : null;
            }
        }

        return null;
    }

    /**
     * Nothing runs with its covers off, before what it is safe by is right, or while the rest of the machine stands
     * against it.
     */
    private function beforeItRuns(): ?string
    {
        $unsafe = $this->unsafe();
        $said = [
            ...($this->evidence->coversOff === []
                ? []
                : [
                    'Back on before it runs: the '.implode(' and the ', array_unique($this->evidence->coversOff))
                        .', with guards, springs and belt.',
                ]),
            ...($unsafe === [] ? [] : ['Looked at and right before it runs: '.implode(' and ', $unsafe).'.']),
            ...($this->evidence->against === []
                ? []
                : ['Put right before it runs: '.implode(' ', $this->evidence->against)]),
        ];

        return $said === [] ? null : implode(' ', $said);
    }

    /** @return array<string, string> what each answer would make likeliest */
    private function meanings(string $question): array
    {
        $meanings = [];
        foreach ($this->belief->answers($question) as $answer => $chance) {
            $after = $this->belief->after($question, $answer)->chances();
            arsort($after);
            $first = array_key_first($after);
            $meanings[$answer] = $chance < self::UNLIKELY || $first === null
                ? 'That would contradict what is known.'
                : "{$this->knowledge->causes[$first]->label} is then likeliest, ".self::percent($after[$first]).'.';
        }

        return $meanings;
    }

    /** @param  array<string, float>  $chances */
    private function cured(array $chances, float $now): NextStep
    {
        $best = null;
        foreach ($this->knowledge->causes as $key => $cause) {
            if ($best === null || $chances[$key] / $cause->minutes > $chances[$best->key] / $best->minutes) {
                $best = $cause;
            }
        }
        $best ??= Cause::other([]);
        if ($best->key === Cause::OTHER) {
            return $this->unexplained($now);
        }
        $share = self::percent($chances[$best->key]);
        $why = $chances[$best->key] < 0.5
            ? 'To try it costs less than to look further: '.self::about($best->minutes).", and {$share} that it is that."
            : "{$best->label} is likeliest, {$share}.";

        return new NextStep(
            StepKind::Cure,
            $best->key,
            $best->cure,
            $why,
            $best->minutes,
            $now,
            before: $this->beforeItRuns(),
        );
    }

    private function unexplained(float $now): NextStep
    {
        return new NextStep(
            StepKind::Unexplained,
            Cause::OTHER,
            $this->knowledge->causes[Cause::OTHER]->cure,
            'None of what is listed explains what was seen.',
            $this->knowledge->causes[Cause::OTHER]->minutes,
            $now,
        );
    }

    private static function about(float $minutes): string
    {
        return Figure::number($minutes, $minutes < 10.0 ? 1 : 0)->bare().' min';
    }

    private static function percent(float $chance): string
    {
        // Never surer than it is.
        return match (true) {
            $chance >= 0.995 => 'more than 99 %',
            $chance < 0.01 => 'less than 1 %',
            default => Figure::number(100 * $chance, 0)->bare().' %',
        };
    }
}
