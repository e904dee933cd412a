<?php

declare(strict_types=1);

namespace Tests\Support;

use App\Models\EntryRow;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use Symfony\Component\HttpFoundation\Response;
use Tests\TestCase;

/** A job worked over HTTP: it sends what a screen would send and keeps what was answered. */
final class HttpJob
{
    public string $id;

    /** @var array<string, mixed> */
    public array $state;

    /** @var array<string, mixed> */
    public array $lastSent = [];

    /** @param  array<string, mixed>  $state */
    private function __construct(private readonly TestCase $test, string $id, array $state)
    {
        $this->id = $id;
        $this->state = $state;
    }

    public static function open(TestCase $test, string $machine = 'RT-14', string $control = 'clutch'): self
    {
        $id = (string) Str::uuid();

        return new self(
            $test,
            $id,
            $test
                ->postJson("/api/machines/{$machine}/jobs", ['id' => $id, 'control' => $control])
                ->assertCreated()
                ->json('state'),
        );
    }

    /** One that is open already. */
    public static function resume(TestCase $test, string $id): self
    {
        return new self($test, $id, $test->getJson("/api/jobs/{$id}")->assertOk()->json('state'));
    }

    /**
     * @param  array<string, mixed>  $shown
     * @return TestResponse<Response>
     */
    public function line(string $line, array $shown = []): TestResponse
    {
        return $this->send(['line' => $line, 'shown' => $shown + ['item' => $this->state['asks']]]);
    }

    /**
     * What the screen would say it shows: the adjuster that the card speaks of and how far to turn it, the pose, the
     * instrument.
     *
     * @return array<string, mixed>
     */
    public function shown(string $instrument): array
    {
        return Shown::of($this->state, $instrument);
    }

    /**
     * @param  array<string, mixed>  $body
     * @return TestResponse<Response>
     */
    public function body(string $kind, array $body): TestResponse
    {
        return $this->send(['kind' => $kind, 'body' => (object) $body]);
    }

    /**
     * @param  array<string, mixed>  $what
     * @return TestResponse<Response>
     */
    public function send(array $what): TestResponse
    {
        $this->lastSent = $what
            + ['id' => (string) Str::uuid(), 'at' => now()->toIso8601String(), 'after' => $this->state['head']];

        return $this->resend($this->lastSent);
    }

    /**
     * @param  array<string, mixed>  $entry
     * @return TestResponse<Response>
     */
    public function resend(array $entry): TestResponse
    {
        $response = $this->test->postJson("/api/jobs/{$this->id}/entries", $entry);
        if ($response->isSuccessful()) {
            $this->state = $response->json('state');
        }

        return $response;
    }

    /** Confirms, looks over, says cold and notes threads, up to the first reading. */
    public function ready(): self
    {
        while (! str_starts_with((string) $this->state['asks'], 'reading')) {
            $asks = (string) $this->state['asks'];
            $this->line(match (true) {
                $asks === 'condition' => 'cold',
                str_starts_with($asks, 'thread') => 'thread 3.1 mm',
                default => 'ok',
            }, str_starts_with($asks, 'thread') ? ['adjuster' => substr($asks, 7)] : [])->assertOk();
        }

        return $this;
    }

    /** Answers as on a control that has nothing wrong, up to this item. */
    public function upTo(string $asked, string $play): self
    {
        for ($entry = 0; $this->state['asks'] !== $asked; $entry++) {
            TestCase::assertLessThan(40, $entry, "{$asked} is not asked");
            $item = Shown::asked($this->state) ?? TestCase::fail('nothing is asked');
            $pose = in_array($item['about'], ['left', 'right'], true) ? $item['about'] : 'straight';
            $isRead = in_array($item['kind'], ['reading', 'in_band'], true);
            $right = array_values(array_filter(
                $item['answers'],
                static fn (array $one): bool => $one['tone'] === 'right',
            ))[0]
                ?? null;
            ($isRead || $right === null
                ? $this->line($play, ['pose' => $pose])
                : $this->body($right['kind'], $right['body']))->assertOk();
        }

        return $this;
    }

    public function read(string ...$values): self
    {
        foreach ($values as $value) {
            $this->line($value, ['item' => 'in_band'])->assertOk();
        }

        return $this;
    }

    public function rows(): int
    {
        return EntryRow::query()
            ->where('job_id', $this->id)
            ->orWhere(fn ($rows) => $rows->whereNull('job_id'))
            ->count();
    }
}
