<?php

declare(strict_types=1);

namespace App\Providers;

use App\People\Device;
use App\People\Staff;
use Carbon\CarbonImmutable;
use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Http\Middleware\TrustProxies;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Date;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\ServiceProvider;

final class AppServiceProvider extends ServiceProvider
{
    /** Tries a minute at one name from one address, at one name from anywhere, and at all names from one address. */
    private const SIGN_INS = 6;

    private const SIGN_INS_A_NAME = 12;

    private const SIGN_INS_AN_ADDRESS = 30;

    /** What one computer with gauges may send in a minute: four hands could not press so often. */
    private const GAUGES = 300;

    /** From one address, by whatever tokens: nobody tries one after the other. */
    private const GAUGES_AN_ADDRESS = 1200;

    public function boot(): void
    {
        Date::use(CarbonImmutable::class);
        Model::preventLazyLoading($this->app->environment() !== 'production');
        $proxies = config('app.trusted_proxies');
        if (is_string($proxies) && $proxies !== '') {
            TrustProxies::at($proxies === '*' ? '*' : array_map(trim(...), explode(',', $proxies)));
        }
        RateLimiter::for('sign-in', self::signIns(...));
        RateLimiter::for('gauges', static fn (Request $request): array => [
            Limit::perMinute(self::GAUGES)->by('gauges:'.hash('sha256', (string) $request->bearerToken())),
            Limit::perMinute(self::GAUGES_AN_ADDRESS)->by('gauges at:'.$request->ip()),
        ]);
    }

    /**
     * Who guesses from elsewhere is slowed down, at one name and at all; the person on a device that knows them keeps a
     * count of their own.
     *
     * @return list<Limit>
     */
    private static function signIns(Request $request): array
    {
        [$login, $device] = [self::login($request), Device::of($request)];

        return $device?->knows($login) === true
            ? [Limit::perMinute(self::SIGN_INS)->by("device:{$device->short()}:{$login}")]
            : [
                Limit::perMinute(self::SIGN_INS)->by("login:{$login}:{$request->ip()}"),
                Limit::perMinute(self::SIGN_INS_A_NAME)->by("name:{$login}"),
                Limit::perMinute(self::SIGN_INS_AN_ADDRESS)->by('address:'.$request->ip()),
            ];
    }

    /** The name tried, whatever was sent in its place. */
    private static function login(Request $request): string
    {
        $login = $request->json('login');

        return is_string($login) ? Staff::loginOf($login) : '';
    }
}
