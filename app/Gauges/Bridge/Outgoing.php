<?php

declare(strict_types=1);

namespace App\Gauges\Bridge;

use GuzzleHttp\Client;
use GuzzleHttp\Exception\TransferException;
use GuzzleHttp\Handler\CurlMultiHandler;
use GuzzleHttp\HandlerStack;
use LogicException;
use Psr\Http\Message\ResponseInterface;
use React\EventLoop\LoopInterface;
use React\EventLoop\TimerInterface;
use Throwable;

/**
 * What was pressed, on its way to the server: one after the other, in the order it was pressed. While the server is
 * away it waits here and on the disk, and is told how old it is when it goes.
 */
final class Outgoing
{
    private const FIRST_PAUSE_S = 0.3;

    private const LONGEST_PAUSE_S = 5.0;

    /** Nobody presses so often while nothing answers; what comes after is told and let go. */
    private const MOST = 500;

    /** Twice in the minute after which the server calls it away. */
    private const HELLO_S = 25.0;

    private const HELLO_AGAIN_S = 1.0;

    private const TICK_S = 0.005;

    private readonly CurlMultiHandler $wire;

    private readonly Client $http;

    /** @var list<Sent> */
    private array $waiting = [];

    private bool $isSending = false;

    private bool $isAway = false;

    /** Whether the server has said who this is. */
    private bool $isKnown = false;

    private float $pause = self::FIRST_PAUSE_S;

    private int $underWay = 0;

    private ?TimerInterface $ticking = null;

    public function __construct(
        private readonly LoopInterface $loop,
        private readonly Settings $settings,
        private readonly Journal $journal,
        private readonly string $file,
    ) {
        $this->wire = new CurlMultiHandler(['select_timeout' => 0]);
        $this->http = new Client([
            'handler' => HandlerStack::create($this->wire), 'base_uri' => "{$settings->server}/api/",
            'http_errors' => false, 'connect_timeout' => 3, 'timeout' => 8,
            'verify' => $settings->authority ?? true,
            'headers' => ['Authorization' => "Bearer {$settings->token}", 'Accept' => 'application/json'],
        ]);
        $kept = is_file($file) ? json_decode((string) file_get_contents($file), true) : [];
        $this->waiting = array_values(array_filter(array_map(
            static fn (mixed $one): ?Sent => Press::fromKept($one) ?? RecordedPull::fromKept($one),
            is_array($kept) ? $kept : [],
        )));
    }

    public function begin(): void
    {
        if ($this->waiting !== []) {
            $this->journal->say('server', count($this->waiting).' from before wait to be sent.');
        }
        $this->hello();
        $this->loop->addPeriodicTimer(self::HELLO_S, function (): void {
            if ($this->isKnown) {
                $this->hello();
            }
        });
        $this->next();
    }

    /** What has not gone yet is there when it begins again. */
    public function stop(): void
    {
        if ($this->waiting !== []) {
            $this->keep();
        }
    }

    public function put(Sent $sent): void
    {
        if (count($this->waiting) >= self::MOST) {
            $this->journal->say(
                $sent->instrument(),
                "{$sent->says()} was let go: ".self::MOST.' wait already, and the server does not answer.',
            );

            return;
        }
        $this->waiting[] = $sent;
        if ($this->isAway) {
            $this->keep();
            $this->journal->say(
                $sent->instrument(),
                "{$sent->says()} waits, ".count($this->waiting).' in all: the server does not answer.',
            );
        }
        $this->next();
    }

    private function next(): void
    {
        if ($this->isSending || $this->waiting === []) {
            return;
        }
        $this->isSending = true;
        $sent = $this->waiting[0];
        $this->ask(
            'POST',
            $sent->path(),
            $sent->body(),
            fn (int $status, array $said) => $this->answered($sent, $status, $said),
        );
    }

    /** @param  array<array-key, mixed>  $said */
    private function answered(Sent $sent, int $status, array $said): void
    {
        $this->isSending = false;
        if ($status === 0 || $status === 401 || $status === 429 || $status >= 500) {
            $this->tryLater(
                $status === 401
                    ? self::sentence($said)
                    : 'The workshop server does not answer. What is pressed is kept, in order.',
            );

            return;
        }
        array_shift($this->waiting);
        $this->backAgain();
        $late = $sent->ageMs() > 2000 ? ', pressed '.round($sent->ageMs() / 1000).' s ago' : '';
        $this->journal->say($sent->instrument(), $status === 200
            ? self::text($said, 'entered').' to '.self::text($said, 'told').$late
                .(($said['low_battery'] ?? false) === true ? '. Its battery is low.' : '')
            : self::sentence($said).$late);
        $this->next();
    }

    private function tryLater(string $why): void
    {
        if (! $this->isAway) {
            $this->journal->stands('server', $why);
        }
        $this->isAway = true;
        $this->keep();
        $this->loop->addTimer($this->pause, $this->next(...));
        $this->pause = min(self::LONGEST_PAUSE_S, 2 * $this->pause);
    }

    private function backAgain(): void
    {
        if ($this->isAway) {
            $this->journal->stands('server', 'It answers again.');
            $this->isAway = false;
            $this->hello();
        }
        $this->pause = self::FIRST_PAUSE_S;
        if ($this->waiting === []) {
            @unlink($this->file);
        } elseif (is_file($this->file)) {
            $this->keep();
        }
    }

    /** Says that it is there, and what it carries; until it is known, every second. */
    private function hello(): void
    {
        $carries = array_values(array_unique(array_map(
            static fn (Wired $one): string => $one->instrument,
            $this->settings->gauges,
        )));
        $this->ask('PUT', 'gauges/here', ['carries' => $carries], function (int $status, array $said): void {
            if ($status === 200) {
                if (! $this->isKnown) {
                    $this->known($said);
                }

                return;
            }
            if ($status === 401 || ! $this->isKnown) {
                $this->journal->stands(
                    'server',
                    $status === 0 || $status >= 500
                        ? "{$this->settings->server} does not answer. It is asked again and again."
                        : self::sentence($said),
                );
            }
            if (! $this->isKnown) {
                $this->loop->addTimer(self::HELLO_AGAIN_S, $this->hello(...));
            }
        });
    }

    /** @param  array<array-key, mixed>  $said */
    private function known(array $said): void
    {
        $this->isKnown = true;
        $this->journal->stands('server', 'This computer is known as '.self::text($said, 'name').'.');
        foreach ((array) ($said['unknown'] ?? []) as $unknown) {
            $this->journal->say(
                (string) $unknown,
                'No such instrument is on the shelf. It has: '
                    .implode(', ', array_column((array) ($said['instruments'] ?? []), 'id')).'.',
            );
        }
    }

    /**
     * @param  array<string, mixed>  $body
     * @param  callable(int, array<array-key, mixed>): void  $then  told the status, 0 where nothing answered, and what
     *     was said
     */
    private function ask(string $method, string $path, array $body, callable $then): void
    {
        $this->underWay++;
        $this->http->requestAsync($method, $path, ['json' => $body])->then(
            function (ResponseInterface $answer) use ($then): void {
                $this->underWay--;
                $said = json_decode((string) $answer->getBody(), true);
                $then($answer->getStatusCode(), is_array($said) ? $said : []);
            },
            function (mixed $why) use ($then): void {
                $this->underWay--;
                $why instanceof TransferException || throw $why instanceof Throwable
                    ? $why
                    : new LogicException('The request failed without saying why.');
                $then(0, []);
            },
        );
        $this->ticking ??= $this->loop->addPeriodicTimer(self::TICK_S, $this->tick(...));
    }

    private function tick(): void
    {
        $this->wire->tick();
        if ($this->underWay === 0 && $this->ticking !== null) {
            $this->loop->cancelTimer($this->ticking);
            $this->ticking = null;
        }
    }

    /** All of it under its name, or as it was. */
    private function keep(): void
    {
        $half = "{$this->file}.half";
        if (@file_put_contents(
            $half,
            json_encode(array_map(static fn (Sent $one): array => $one->kept(), $this->waiting), JSON_THROW_ON_ERROR),
        ) !== false) {
            rename($half, $this->file);
        }
    }

    /** @param  array<array-key, mixed>  $said */
    private static function sentence(array $said): string
    {
        $detail = self::text($said, 'detail');

        return $detail === '' ? 'The server gave an answer that is not understood.' : $detail;
    }

    /** @param  array<array-key, mixed>  $said */
    private static function text(array $said, string $key): string
    {
        return is_string($said[$key] ?? null) ? $said[$key] : '';
    }
}
