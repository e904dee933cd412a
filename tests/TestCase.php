<?php

declare(strict_types=1);

namespace Tests;

use App\Models\User;
use Illuminate\Foundation\Testing\DatabaseTransactions;
use Illuminate\Foundation\Testing\TestCase as BaseTestCase;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Testing\TestResponse;
use Symfony\Component\HttpFoundation\Response;
use Tests\Support\Contract;
use Tests\Support\Yard;

/** The server, with a small yard in its database; every test leaves it as it found it. */
abstract class TestCase extends BaseTestCase
{
    use DatabaseTransactions;

    private static bool $filled = false;

    protected function setUp(): void
    {
        parent::setUp();
        self::assertMatchesRegularExpression(
            '/^vivid_pull_test(_\d)?$/',
            (string) config('database.connections.mariadb.database'),
            'Tests run in a database of their own: use bin/test.',
        );
    }

    /**
     * Called before the transaction of the first test begins.
     *
     * @return array<string, mixed>
     */
    protected function setUpTraits(): array
    {
        if (! self::$filled) {
            Artisan::call('migrate:fresh', ['--force' => true]);
            Yard::fill();
            self::$filled = true;
        }

        return parent::setUpTraits();
    }

    protected function signIn(string $login = 'ines'): static
    {
        return $this->actingAs(User::query()->where('login', $login)->firstOrFail());
    }

    /**
     * Every answer of the API is held against its document.
     *
     * @param  array<array-key, mixed>  $parameters
     * @param  array<array-key, mixed>  $cookies
     * @param  array<array-key, mixed>  $files
     * @param  array<array-key, mixed>  $server
     * @return TestResponse<Response>
     */
    public function call(
        $method,
        $uri,
        $parameters = [],
        $cookies = [],
        $files = [],
        $server = [],
        $content = null,
    ): TestResponse {
        $response = parent::call($method, $uri, $parameters, $cookies, $files, $server, $content);
        Contract::hold($method, (string) $uri, $content, $response->baseResponse);

        return $response;
    }

    /** @return TestResponse<Response> */
    protected function raw(string $method, string $uri, string $content): TestResponse
    {
        return $this->call(
            $method,
            $uri,
            [],
            [],
            [],
            ['CONTENT_TYPE' => 'application/json', 'HTTP_ACCEPT' => 'application/json'],
            $content,
        );
    }
}
