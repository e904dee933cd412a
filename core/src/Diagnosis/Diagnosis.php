<?php

declare(strict_types=1);

namespace VividPull\Core\Diagnosis;

use VividPull\Core\Procedure\Symptom;

/** Causes in order with their chances and reasons, and what to do next. */
final readonly class Diagnosis
{
    /** Below this chance a cause that something speaks against is ruled out (ours). */
    private const RULED_OUT = 0.01;

    /** A grade at least this sure speaks against a cause where the thing is not seen. */
    private const EXPECTED = 0.7;

    /**
     * @param  list<Ranked>  $causes  the likeliest first
     * @param  list<string>  $stoppedBy  what was felt or seen by which nobody runs the machine, in words
     */
    private function __construct(public array $causes, public NextStep $next, public array $stoppedBy) {}

    public static function of(Knowledge $knowledge, Weights $weights, Evidence $evidence, bool $byPhone = false): self
    {
        $belief = Belief::of(Model::of($knowledge, $weights), $evidence);
        $ranked = [];
        foreach ($belief->chances() as $key => $chance) {
            $ranked[] = self::ranked($knowledge, $knowledge->causes[$key], $chance, $evidence);
        }
        usort($ranked, static fn (Ranked $one, Ranked $other): int => $other->chance <=> $one->chance);

        return new self(
            $ranked,
            Troubleshooter::next($knowledge, $belief, $evidence, $byPhone),
            $knowledge->dangers($evidence->answer(...)),
        );
    }

    private static function ranked(Knowledge $knowledge, Cause $cause, float $chance, Evidence $evidence): Ranked
    {
        [$for, $against] = [[], []];
        foreach ($knowledge->questions() as $question => $findings) {
            $answer = $evidence->answer($question);
            if ($answer === null || $cause->key === Cause::OTHER) {
                continue;
            }
            foreach ($findings as $finding) {
                $link = $cause->links[$finding] ?? null;
                $isSeen = $finding === $question ? $answer === Evidence::YES : $finding === "{$question}:{$answer}";
                if ($isSeen && $link !== null && $link->grade->chance() > 0.0) {
                    $for[] = self::said($knowledge, $question, $answer).": {$link->reason}.";
                }
                if (! $isSeen && $link !== null && $link->grade->chance() >= self::EXPECTED) {
                    $against[] = self::said($knowledge, $question, $answer).", where {$link->reason}.";
                }
            }
        }
        if (in_array($cause->key, $evidence->tried, true)) {
            $against[] = 'It was put right, and it is still there.';
        }

        return new Ranked($cause, $chance, $for, $against, $chance < self::RULED_OUT && $against !== []);
    }

    private static function said(Knowledge $knowledge, string $question, string $answer): string
    {
        $check = $knowledge->checks[$question] ?? null;

        return $check === null
            ? Symptom::from($question)->words().($answer === Evidence::YES ? '' : ': no')
            : $check->said($answer);
    }
}
