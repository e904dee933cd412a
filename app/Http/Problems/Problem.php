<?php

declare(strict_types=1);

namespace App\Http\Problems;

use App\Refusals\ChangedSince;
use App\Refusals\Conflict;
use App\Refusals\DiskFull;
use App\Refusals\Forbidden;
use App\Refusals\UnknownToken;
use App\Refusals\WrittenByAnother;
use Illuminate\Auth\AuthenticationException;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Http\Exceptions\PostTooLargeException;
use Illuminate\Http\JsonResponse;
use Illuminate\Session\TokenMismatchException;
use Symfony\Component\HttpKernel\Exception\HttpExceptionInterface;
use Throwable;
use VividPull\Core\Errors\BadFile;
use VividPull\Core\Errors\CoreError;
use VividPull\Core\Errors\Questioned;
use VividPull\Core\Errors\Refused;

/** Every error the API answers with, as RFC 9457 asks: a sentence for the person, never a trace. */
final readonly class Problem
{
    private const AT_ONCE = 'Somebody did the same in this moment. Look at what stands there now, then try again.';

    private const DISK_FULL = 'The disk of the workshop server is full. Nothing was lost: '
        .'what you typed is kept here and goes out once there is room.';

    private const SESSION_ENDED = 'Your session has ended. Sign in again; what you typed is kept.';

    private const STALE = 'This page is older than its session. Load it again; what you typed is kept.';

    private const NOTHING_HERE = 'There is nothing under this address.';

    private const TOO_LARGE = 'That is more than this address takes at once.';

    private const FAILED = 'The workshop server failed. What you typed is kept; try again in a moment.';

    public static function response(Throwable $e): JsonResponse
    {
        [$status, $type, $title, $detail] = self::describe($e);
        $body = ['type' => "/problems/{$type}", 'title' => $title, 'status' => $status, 'detail' => $detail];
        if ($e instanceof Refused && $e->missing !== []) {
            $body['missing'] = $e->missing;
        }
        if ($e instanceof ChangedSince) {
            $body += ['etag' => $e->etag, 'now' => (object) $e->now];
        }
        $headers = $e instanceof HttpExceptionInterface ? $e->getHeaders() : [];

        return new JsonResponse(
            $body,
            $status,
            ['Content-Type' => 'application/problem+json'] + $headers,
            JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES,
        );
    }

    /** @return array{int, string, string, string} status, type, title, detail */
    private static function describe(Throwable $e): array
    {
        return match (true) {
            self::isNotJson($e) => [400, 'malformed', 'Not JSON', $e->getMessage()],
            $e instanceof BadFile => [422, 'invalid', 'Not what this address takes', $e->getMessage()],
            $e instanceof Questioned => [422, 'questioned', 'Look again', $e->getMessage()],
            $e instanceof CoreError => [422, 'refused', 'Not logged', $e->getMessage()],
            $e instanceof WrittenByAnother => [409, 'written-by-another', 'Written by another', $e->getMessage()],
            $e instanceof ChangedSince => [412, 'changed-since', 'Changed since', $e->getMessage()],
            $e instanceof Conflict => [409, 'conflict', 'Stands already', $e->getMessage()],
            DiskFull::is($e) => [507, 'disk-full', 'The disk is full', self::DISK_FULL],
            $e instanceof UniqueConstraintViolationException => [409, 'conflict', 'Stands already', self::AT_ONCE],
            $e instanceof Forbidden => [403, 'forbidden', 'Not yours to do', $e->getMessage()],
            $e instanceof UnknownToken => [401, 'unknown-token', 'Not known here', $e->getMessage()],
            $e instanceof AuthenticationException => [401, 'sign-in', 'Sign in first', self::SESSION_ENDED],
            $e instanceof TokenMismatchException => [419, 'stale', 'Stale page', self::STALE],
            $e instanceof ModelNotFoundException => [404, 'not-found', 'Not found', self::NOTHING_HERE],
            $e instanceof PostTooLargeException => [413, 'too-large', 'Too large', self::TOO_LARGE],
            $e instanceof HttpExceptionInterface => self::http($e),
            default => [500, 'failure', 'Something failed here', self::FAILED],
        };
    }

    private static function isNotJson(Throwable $e): bool
    {
        return $e instanceof BadFile && $e->path === '$' && str_starts_with($e->problem, 'this is not JSON');
    }

    /** @return array{int, string, string, string} */
    private static function http(HttpExceptionInterface $e): array
    {
        return match ($e->getStatusCode()) {
            404 => [404, 'not-found', 'Not found', 'There is nothing under this address.'],
            405 => [405, 'method', 'Not that way', 'This address does not answer to that method.'],
            413 => [413, 'too-large', 'Too large', 'That is more than this address takes at once.'],
            419 => [
                419,
                'stale',
                'Stale page',
                'This page is older than its session. Load it again; what you typed is kept.',
            ],
            429 => [429, 'slow-down', 'Too many tries', 'Too many tries. Wait a minute and try again.'],
            503 => [503, 'paused', 'Back soon', 'The workshop server is being looked after. Try again in a moment.'],
            default => [$e->getStatusCode(), 'error', 'Not possible', 'This address cannot answer that.'],
        };
    }
}
