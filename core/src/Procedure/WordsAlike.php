<?php

declare(strict_types=1);

namespace VividPull\Core\Procedure;

/**
 * Which symptoms a sentence is like, by the words of sentences whose meaning is known: naive Bayes over words and pairs
 * of words, each symptom's counts smoothed towards those of all (Manning, Raghavan and Schütze, Introduction to
 * Information Retrieval, 2008, chapters 12 and 13). It guesses; what it says is put to a person as a question.
 */
final readonly class WordsAlike
{
    /**
     * How many sentences of the whole each symptom is lent, so that a word it never had is no proof against it.
     * Found by trying, a tenth of the sentences left out in turn: with fewer, less is guessed right.
     */
    private const LENT = 100.0;

    /**
     * @param  array<string, array<string, float>>  $counts  of each word in what was said of a symptom, by symptom
     * @param  array<string, float>  $all  of each word in everything that was said
     * @param  array<string, float>  $sentences  how many were said of a symptom
     */
    private function __construct(private array $counts, private array $all, private array $sentences) {}

    /** @param  iterable<string, string>  $sayings  symptoms by the words for them, with commas between */
    public static function learned(iterable $sayings): self
    {
        $counts = [];
        $all = [];
        $sentences = [];
        foreach ($sayings as $words => $means) {
            $symptoms = $means === '' ? [] : explode(',', $means);
            // What may be said of two symptoms counts half for each.
            foreach ($symptoms as $symptom) {
                $share = 1.0 / count($symptoms);
                $sentences[$symptom] = ($sentences[$symptom] ?? 0.0) + $share;
                foreach (self::words($words) as $word) {
                    $counts[$symptom][$word] = ($counts[$symptom][$word] ?? 0.0) + $share;
                    $all[$word] = ($all[$word] ?? 0.0) + $share;
                }
            }
        }

        return new self($counts, $all, $sentences);
    }

    /**
     * @param  list<Symptom>  $symptoms
     * @return list<Symptom> those whose sentences have more of these words than sentences have on the whole, most first
     */
    public function likely(string $words, array $symptoms): array
    {
        $known = array_filter(self::words($words), fn (string $word): bool => isset($this->all[$word]));
        $scores = [];
        foreach ($symptoms as $one) {
            $score = $this->score($one->value, $known);
            if ($score > 0.0) {
                $scores[$one->value] = $score;
            }
        }
        arsort($scores);

        return array_map(static fn (string $key): Symptom => Symptom::from($key), array_keys($scores));
    }

    /**
     * @param  array<int, string>  $words
     * @return float natural logarithm of how much likelier they are where the symptom is told of
     */
    private function score(string $symptom, array $words): float
    {
        $sentences = array_sum($this->sentences);
        $said = $this->sentences[$symptom] ?? 0.0;
        $score = 0.0;
        foreach ($words as $word) {
            $usual = $this->all[$word] / $sentences;
            $here = (($this->counts[$symptom][$word] ?? 0.0) + self::LENT * $usual) / ($said + self::LENT);
            $score += log($here / $usual);
        }

        return $score;
    }

    /** @return list<string> words without their endings, and pairs of neighbours, each once */
    private static function words(string $said): array
    {
        preg_match_all('/[\p{L}\p{N}]+/u', PlainWords::of($said), $found);
        $words = array_map(
            static fn (string $word): string => mb_strlen($word) > 4
                ? (string) preg_replace('/(?:ing|ed|es|s|ly)$/u', '', $word)
                : $word,
            $found[0],
        );
        $pairs = array_map(
            static fn (string $one, string $next): string => "{$one} {$next}",
            array_slice($words, 0, -1),
            array_slice($words, 1),
        );

        return array_values(array_unique([...$words, ...$pairs]));
    }
}
