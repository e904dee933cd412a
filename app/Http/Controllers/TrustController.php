<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;

/**
 * The workshop's own authority, for the phones that are to trust its HTTPS. It is no secret, and asked for before
 * anybody signs in.
 */
final class TrustController
{
    public function about(): JsonResponse
    {
        $pem = $this->certificate();
        $parsed = openssl_x509_parse($pem);

        return new JsonResponse([
            'https_port' => (int) config()->string('app.https_port'),
            'plain_port' => (int) config()->string('app.plain_port'),
            'address' => config('app.address'),
            'name' => is_array($parsed) && is_string($parsed['subject']['CN'] ?? null) ? $parsed['subject']['CN'] : '',
            'fingerprint' => implode(':', str_split(strtoupper((string) openssl_x509_fingerprint($pem, 'sha256')), 2)),
        ], headers: ['Cache-Control' => 'no-store']);
    }

    public function authority(): Response
    {
        return new Response($this->certificate(), 200, [
            'Content-Type' => 'application/x-x509-ca-cert',
            'Content-Disposition' => 'attachment; filename="vivid-pull-workshop.crt"', 'Cache-Control' => 'no-store',
        ]);
    }

    private function certificate(): string
    {
        $file = config('app.authority');
        $pem = is_string($file) && is_file($file) ? file_get_contents($file) : false;

        return $pem === false ? abort(404) : $pem;
    }
}
