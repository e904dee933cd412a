<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Support;

use VividPull\Core\Bench\Bench;
use VividPull\Core\Bench\BenchState;
use VividPull\Core\Spec\FamilyKey;
use VividPull\Core\Wire\JobFile;
use VividPull\Core\Wire\StateCodec;

/**
 * What the engine answers to jobs that do not change: the example files, the cases, and walks by chance through every
 * family, a hash of all that was said of each. A signed record names the engine that judged it: one that answers
 * otherwise has another number.
 */
final readonly class Answers
{
    public const FILE = __DIR__.'/../answers.json';

    private const FILES = [__DIR__.'/../../../docs/formats/examples/*.json', __DIR__.'/../Cases/*.json'];

    private const SEEDS = [11, 12];

    private const STEPS = 60;

    /** Of a walk, what was said is looked at after every so many entries, and at its end. */
    private const EVERY = 12;

    /** Logs by chance that are written down with the rest, ten of each family; `bin/answers` plays more. */
    private const RANDOM = 150;

    /** Of a log made up by chance, so many entries: what is said of it stands for what was said on the way. */
    private const RANDOM_STEPS = 12;

    /** @return array{engine: string, answers: array<string, string>} as they were written down */
    public static function written(string $path = self::FILE): array
    {
        $file = json_decode((string) file_get_contents($path), true, 8, JSON_THROW_ON_ERROR);
        $written = is_array($file) && is_array($file['answers'] ?? null) ? $file['answers'] : [];
        $answers = [];
        foreach ($written as $name => $answer) {
            $answers[(string) $name] = is_string($answer) ? $answer : '';
        }

        return [
            'engine' => is_array($file) && is_string($file['engine'] ?? null) ? $file['engine'] : '',
            'answers' => $answers,
        ];
    }

    /** @param  array<string, string>  $answers */
    public static function write(array $answers, string $path = self::FILE): void
    {
        $written = ['engine' => Bench::ENGINE, 'answers' => $answers];
        file_put_contents($path, json_encode($written, JSON_PRETTY_PRINT | JSON_THROW_ON_ERROR)."\n");
    }

    /** @return array{engine: string, answers: array<string, string>} */
    public static function now(): array
    {
        $answers = [];
        foreach (self::FILES as $pattern) {
            $files = glob($pattern);
            foreach ($files === false ? [] : $files as $file) {
                $answers[basename($file, '.json')] = self::hash([JobFile::replay((string) file_get_contents($file))]);
            }
        }
        foreach (self::SEEDS as $seed) {
            foreach (FamilyKey::cases() as $key) {
                $answers["{$key->value}, seed {$seed}"] = self::walked(FamilyJob::of($key), $seed);
            }
            $answers["two adjusters, seed {$seed}"] = self::walked(TestJob::clutch(), $seed);
            $answers["three poses, seed {$seed}"] = self::walked(TestJob::throttle(), $seed);
        }

        foreach (self::random(self::RANDOM) as $name => $answer) {
            $of = strstr($name, ',', true).', by chance';
            $answers[$of] = substr(hash('sha256', ($answers[$of] ?? '').$answer), 0, 16);
        }

        return ['engine' => Bench::ENGINE, 'answers' => $answers];
    }

    /**
     * What is said of logs by chance, on controls that no book has: before something is moved in the core, and after.
     *
     * @return iterable<string, string>
     */
    public static function random(int $many): iterable
    {
        $families = FamilyKey::cases();
        for ($n = 0; $n < $many; $n++) {
            $key = $families[$n % count($families)];
            $job = MadeUp::job($key, 20_000 + intdiv($n, count($families)));
            Walk::through($job, $n, self::RANDOM_STEPS, "{$key->value}, log {$n}");
            yield "{$key->value}, log {$n}" => self::hash([$job->state]);
        }
    }

    private static function walked(TestJob $job, int $seed): string
    {
        $said = [];
        for ($step = 0; $step < self::STEPS; $step += self::EVERY) {
            Walk::through($job, $seed + $step, self::EVERY, $job->state->spec->family->value);
            $said[] = $job->state;
        }

        return self::hash($said);
    }

    /** @param  list<BenchState>  $states */
    public static function hash(array $states): string
    {
        $said = array_map(
            static fn (BenchState $state): mixed => self::plain(['engine' => null] + StateCodec::encode($state)),
            $states,
        );

        return substr(hash('sha256', json_encode($said, JSON_THROW_ON_ERROR)), 0, 16);
    }

    /** Figures as far as anybody reads them: processors differ in the last place. */
    private static function plain(mixed $value): mixed
    {
        return match (true) {
            is_array($value) => array_map(self::plain(...), $value),
            is_float($value) => sprintf('%.6e', abs($value) < 1e-12 ? 0.0 : $value),
            default => $value,
        };
    }
}
