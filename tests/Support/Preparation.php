<?php

declare(strict_types=1);

namespace Tests\Support;

use Illuminate\Support\Str;
use RuntimeException;

/**
 * A job brought to where a test begins, over HTTP, as a screen sends it. Getting there by keys and clicks has tests of
 * its own.
 */
final class Preparation
{
    /** Confirms whatever is confirmed with a word, as often as it is asked. */
    public const OKS = 'ok, as long as it is asked for';

    /** Finds everything as it should be, as long as a word tells it. */
    public const RIGHT = 'what is right, as long as a word tells it';

    private const INSTRUMENT = 'rule-300';

    /** @var array<string, mixed> */
    private array $state;

    private readonly string $id;

    private int $sent = 0;

    private function __construct(private readonly HttpClient $client, string $tag, string $control)
    {
        $this->id = (string) Str::uuid();
        $this->state = $this->sent('machines/'.rawurlencode($tag).'/jobs', ['id' => $this->id, 'control' => $control]);
    }

    /**
     * @param  list<string>  $lines
     * @return string id of the job
     */
    public static function of(HttpClient $client, string $tag, string $control, array $lines): string
    {
        $job = new self($client, $tag, $control);
        foreach ($lines as $line) {
            match ($line) {
                self::OKS => $job->all(static fn (array $answer): bool => $answer['word'] === 'ok'),
                self::RIGHT => $job->all(static fn (array $answer): bool => $answer['tone'] === 'right'),
                default => $job->line($line),
            };
        }

        return $job->id;
    }

    /** @param  callable(array<string, mixed>): bool  $wanted */
    private function all(callable $wanted): void
    {
        while (($answers = array_filter(Shown::asked($this->state)['answers'] ?? [], $wanted)) !== []) {
            $this->line(reset($answers)['word']);
        }
    }

    private function line(string $line): void
    {
        $this->state = $this->sent("jobs/{$this->id}/entries", [
            'id' => (string) Str::uuid(), 'at' => date('c'), 'after' => $this->state['head'], 'line' => $line,
            'shown' => Shown::of($this->state, self::INSTRUMENT),
        ]);
    }

    /**
     * @param  array<string, mixed>  $body
     * @return array<string, mixed>
     */
    private function sent(string $path, array $body): array
    {
        $this->sent++;
        [$status, $answer] = $this->client->send('POST', $path, $body);
        if (! in_array($status, [200, 201], true) || ! is_array($answer) || ! is_array($answer['state'] ?? null)) {
            throw new RuntimeException("Entry {$this->sent} to {$path} answered {$status}: ".json_encode($answer));
        }

        return $answer['state'];
    }
}
