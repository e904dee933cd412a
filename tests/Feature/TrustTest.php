<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Providers\AppServiceProvider;
use Illuminate\Http\Middleware\TrustProxies;
use Tests\TestCase;

/** Whose word on HTTPS is believed, and what a device is told that is to trust the workshop. */
final class TrustTest extends TestCase
{
    protected function tearDown(): void
    {
        TrustProxies::flushState();
        parent::tearDown();
    }

    public function test_only_a_proxy_that_was_named_is_believed(): void
    {
        $forwarded = ['X-Forwarded-Proto' => 'https', 'X-Forwarded-For' => '203.0.113.9'];
        self::assertNull(
            $this->get('/', $forwarded)->headers->get('Strict-Transport-Security'),
            'anybody can write such a line',
        );
        config(['app.trusted_proxies' => '192.0.2.1, 127.0.0.1']);
        (new AppServiceProvider($this->app))->boot();
        self::assertSame('max-age=31536000', $this->get('/', $forwarded)->headers->get('Strict-Transport-Security'));
        self::assertNull(
            $this->get('http://localhost/')->headers->get('Strict-Transport-Security'),
            'plain http stays plain',
        );
    }

    public function test_where_there_is_no_https_there_is_nothing_to_trust(): void
    {
        $this->get('/trust/about')->assertNotFound();
        $this->get('/trust/authority.crt')->assertNotFound();
        $this->get('/trust')->assertOk();
    }
}
