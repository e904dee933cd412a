<?php

declare(strict_types=1);

namespace Tests\Support;

use CurlHandle;
use RuntimeException;

/** Plain HTTP with cookies and the token against forged requests: what a browser does, without one. */
final class HttpClient
{
    /**
     * @param  array<string, string>  $cookies
     * @param  string|null  $authority  file of the certificate that vouches for it, where it is HTTPS
     */
    public function __construct(
        private readonly string $url,
        private array $cookies = [],
        private readonly ?string $authority = null,
    ) {}

    public function signIn(string $login, string $password): void
    {
        $this->send('GET', 'session');
        [$status, $body] = $this->send('POST', 'session', ['login' => $login, 'password' => $password]);
        if ($status !== 200) {
            throw new RuntimeException("Signing in as {$login} answered {$status}: ".json_encode($body));
        }
    }

    /** @return array<string, string> */
    public function cookies(): array
    {
        return $this->cookies;
    }

    /**
     * @param  array<string, mixed>|null  $body
     * @return array{int, mixed}
     */
    public function send(string $method, string $path, ?array $body = null): array
    {
        $handle = $this->handle($method, $path, $body);
        $answer = curl_exec($handle);
        if (! is_string($answer)) {
            throw new RuntimeException('No answer: '.curl_error($handle));
        }

        return [curl_getinfo($handle, CURLINFO_RESPONSE_CODE), json_decode($answer, true)];
    }

    /** @param  array<string, mixed>|null  $body */
    public function handle(string $method, string $path, ?array $body = null): CurlHandle
    {
        $handle = curl_init("{$this->url}/api/{$path}");
        if ($handle === false || $method === '') {
            throw new RuntimeException('curl could not begin.');
        }
        $pairs = array_map(
            static fn (string $name, string $value): string => "{$name}={$value}",
            array_keys($this->cookies),
            array_values($this->cookies),
        );
        curl_setopt_array($handle, [
            CURLOPT_CUSTOMREQUEST => $method,
            CURLOPT_RETURNTRANSFER => true,
            CURLOPT_TIMEOUT => 30,
            CURLOPT_COOKIE => implode('; ', $pairs).';',
            CURLOPT_HTTPHEADER => [
                'Accept: application/json',
                'Content-Type: application/json',
                'X-XSRF-TOKEN: '.rawurldecode($this->cookies['XSRF-TOKEN'] ?? ''),
            ],
            CURLOPT_HEADERFUNCTION => $this->keepCookie(...),
        ]);
        if ($this->authority !== null && $this->authority !== '') {
            curl_setopt($handle, CURLOPT_CAINFO, $this->authority);
        }
        if ($body !== null) {
            curl_setopt($handle, CURLOPT_POSTFIELDS, (string) json_encode($body));
        }

        return $handle;
    }

    private function keepCookie(CurlHandle $handle, string $header): int
    {
        if (preg_match('/^set-cookie:\s*([^=]+)=([^;]*)/i', $header, $part) === 1) {
            $this->cookies[$part[1]] = $part[2];
        }

        return strlen($header);
    }
}
