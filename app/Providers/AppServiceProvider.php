<?php

declare(strict_types=1);

namespace App\Providers;

use Carbon\CarbonImmutable;
use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Date;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\ServiceProvider;

final class AppServiceProvider extends ServiceProvider
{
    /** Tries a minute at one name from one address, and at all names from one address. */
    private const SIGN_INS = 6;

    private const SIGN_INS_AN_ADDRESS = 30;

    public function boot(): void
    {
        Date::use(CarbonImmutable::class);
        Model::preventLazyLoading($this->app->environment() !== 'production');
        RateLimiter::for('sign-in', static fn (Request $request): array => [
            Limit::perMinute(self::SIGN_INS)->by('login:'.self::login($request).$request->ip()),
            Limit::perMinute(self::SIGN_INS_AN_ADDRESS)->by('address:'.$request->ip()),
        ]);
    }

    /** The name tried, whatever was sent in its place. */
    private static function login(Request $request): string
    {
        $login = $request->json('login');

        return is_string($login) ? mb_substr(mb_strtolower($login), 0, 60) : '';
    }
}
