<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Intake;
use App\Models\SpecVersion;
use App\Models\User;
use Illuminate\Support\Facades\Route;
use Illuminate\Support\Str;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;
use VividPull\Core\Log\Permission;
use VividPull\Core\Log\Role;

/** Who may what, on every route: a new route fails here until it says whom it is for. */
final class PoliciesTest extends TestCase
{
    private const FOR_EVERYBODY = [
        'DELETE session',
        'GET bench',
        'GET machines',
        'GET yard',
        'GET machines/{tag}',
        'GET jobs/{job}',
        'GET jobs/{job}/file',
        'GET jobs/{job}/alike',
        'GET jobs/{job}/parts',
        'GET jobs/{job}/photos/{photo}',
        'GET jobs/{job}/traces/{trace}',
        'GET jobs/{job}/traces/{trace}/points',
        'GET jobs/{job}/gauges',
        'GET simulated',
        'GET shelf/{instrument}/checks',
        'GET shelf',
        'POST session/person',
        'PUT session/password',
        'PUT session/pin',
        'PUT session/units',
        'GET sessions',
        'DELETE sessions/{key}',
        'GET people',
        'GET jobs/{job}/sheet',
        'GET machines/{tag}/sheet',
        'GET machines/{tag}/service',
        'GET machines/{tag}/service/sheet',
        'GET machines/{tag}/controls/{control}/blank',
        'GET export/history',
        'GET export/readings',
        'GET export/specs',
        'GET export/causes',
        'GET export/cables',
        'GET cables',
        'GET machines/{tag}/controls/{control}/cables',
        'GET causes/{family}',
        'GET due',
        'POST calendar',
        'DELETE calendar',
        'GET specs',
        'GET specs/starting/{family}',
        'GET specs/{spec}',
        'GET specs/{spec}/sketch',
        'GET specs/{spec}/changes',
        'GET complaints',
        'GET practice',
        'POST practice/attempts',
        'GET practice/attempts/{attempt}',
        'POST practice/attempts/{attempt}/entries',
        'POST practice/attempts/{attempt}/acts',
        'GET complaints/{complaint}',
        'GET complaints/{complaint}/sheet',
        'GET machines/{tag}/controls/{control}/symptoms',
    ];

    private const BEFORE_SIGN_IN = ['GET session', 'POST session'];

    /** For no person at all: a computer with gauges shows its own token. */
    private const BY_TOKEN = ['PUT gauges/here', 'POST gauges/readings', 'POST gauges/recordings'];

    /** @return iterable<string, array{Role}> */
    public static function roles(): iterable
    {
        foreach (Role::cases() as $role) {
            yield $role->value => [$role];
        }
    }

    #[DataProvider('roles')]
    public function test_every_route_lets_in_whom_it_names_and_nobody_else(Role $role): void
    {
        $user = User::query()->where('role', $role)->firstOrFail();
        foreach ($this->routes() as $name => [$method, $uri, $permission]) {
            if ($permission === null) {
                continue;
            }
            $status = $this->actingAs($user)->json($method, $this->sample($uri), [])->getStatusCode();
            self::assertNotSame(500, $status, $name);
            self::assertSame(
                ! $role->may($permission),
                $status === 403,
                "{$name} answered {$status} to a {$role->value}.",
            );
        }
    }

    public function test_nobody_gets_in_without_signing_in(): void
    {
        foreach ($this->routes() as $name => [$method, $uri]) {
            self::assertSame(401, $this->json($method, $this->sample($uri), [])->getStatusCode(), $name);
        }
    }

    public function test_what_is_no_json_is_refused_on_every_route_that_takes_some(): void
    {
        $this->signIn('oda');
        foreach ($this->routes() as $name => [$method, $uri, $permission]) {
            $isText = in_array($method, ['POST', 'PUT'], true) && $permission !== null && ! $this->takesNothing($name);
            if ($isText) {
                self::assertSame(400, $this->raw($method, $this->sample($uri), '{"half')->getStatusCode(), $name);
            }
        }
    }

    public function test_an_id_that_stands_for_nothing_is_not_found(): void
    {
        $this->signIn('oda');
        foreach ($this->routes() as $name => [$method, $uri, $permission]) {
            // A file, an instrument or a cable is put under an id that its sender makes, so that any id is a new one.
            if (
                $permission !== null
                && str_contains($uri, '{')
                && ! in_array(
                    $name,
                    [
                        'PUT imports/{import}',
                        'PUT shelf/{instrument}',
                        'PUT cables/{cable}',
                        'PUT practice/lessons/{lesson}',
                    ],
                    true,
                )
            ) {
                $path = (string) preg_replace(['/\{spec\}/', '/\{\w+\}/'], ['999999', 'ZZ-99'], $uri);
                self::assertSame(
                    404,
                    $this->json($method, "/{$path}", $this->plausible($name))->getStatusCode(),
                    $name,
                );
            }
        }
    }

    public function test_the_token_against_forged_requests_is_asked_for_on_every_change(): void
    {
        $this->app->instance('env', 'production');
        $this->signIn('oda');
        foreach ($this->routes() as $name => [$method, $uri]) {
            if ($method !== 'GET') {
                self::assertSame(419, $this->json($method, $this->sample($uri), [])->getStatusCode(), $name);
            }
        }
    }

    /** @return array<string, array{string, string, Permission|null}> method, address and permission by name */
    private function routes(): array
    {
        $routes = [];
        foreach (Route::getRoutes()->getRoutes() as $route) {
            $method = $route->methods()[0];
            $uri = $route->uri();
            $name = "{$method} ".substr($uri, 4);
            if (
                ! str_starts_with($uri, 'api/')
                || str_contains($uri, '{any}')
                || in_array($name, [...self::BEFORE_SIGN_IN, ...self::BY_TOKEN], true)
            ) {
                continue;
            }
            $named = array_values(array_filter(
                $route->gatherMiddleware(),
                static fn (mixed $one): bool => is_string($one) && str_starts_with($one, 'may:'),
            ));
            $permission = $named === [] ? null : Permission::from(substr(end($named), 4));
            self::assertTrue(
                $permission !== null || in_array($name, self::FOR_EVERYBODY, true),
                "{$name} says nowhere whom it is for.",
            );
            $routes[$name] = [$method, $uri, $permission];
        }

        return $routes;
    }

    private function sample(string $uri): string
    {
        $intake = Intake::query()->first()
            ?? Intake::query()->create([
                'id' => (string) Str::uuid(),
                'machine_id' => 1,
                'words' => 'odd',
                'user_id' => 1,
                'at' => now(),
            ]);
        $with = [
            '{tag}' => 'RT-14',
            '{spec}' => (string) SpecVersion::query()->value('id'),
            '{intake}' => $intake->id,
            '{job}' => 'none',
            '{photo}' => 'none',
            '{family}' => 'none',
            '{control}' => 'clutch',
            '{login}' => 'mirre',
            '{import}' => 'none',
            '{complaint}' => 'none',
            '{key}' => 'none',
            '{instrument}' => 'none',
            '{bridge}' => 'none',
            '{reading}' => 'none',
            '{gauge}' => 'none',
        ];

        return '/'.strtr($uri, $with);
    }

    private function takesNothing(string $name): bool
    {
        return in_array(
            $name,
            [
                'PUT specs/{spec}/sketch',
                'POST people/{login}/password',
                'PUT imports/{import}',
                'PUT jobs/{job}/photos/{photo}',
                'PUT jobs/{job}/traces/{trace}',
                'PUT jobs/{job}/gauges/{instrument}',
            ],
            true,
        );
    }

    /** @return array<string, mixed> a body that is refused for nothing but the id in the address */
    private function plausible(string $name): array
    {
        return match ($name) {
            'POST intakes/{intake}/answer' => ['answer' => 'x'],
            'POST complaints/{complaint}/answers' => [
                'id' => (string) Str::uuid(),
                'kind' => 'check',
                'about' => 'play',
                'answer' => 'right',
            ],
            'POST complaints/{complaint}/closed' => ['cause' => 'too_tight'],
            'POST machines/{tag}/controls/{control}/complaints' => [
                'id' => (string) Str::uuid(),
                'symptoms' => ['slips' => 'yes'],
            ],
            'PUT machines/{tag}/controls/{control}/plan' => ['on' => null],
            'POST imports/{import}/run' => ['without_rejected' => false],
            'POST machines/{tag}/jobs' => ['id' => (string) Str::uuid(), 'control' => 'clutch'],
            'POST jobs/{job}/entries' => [
                'id' => (string) Str::uuid(),
                'at' => '2026-03-03T08:00:00+00:00',
                'kind' => 'note',
                'body' => ['text' => 'x'],
            ],
            'POST jobs/{job}/correction' => ['id' => (string) Str::uuid(), 'why' => 'x'],
            default => [],
        };
    }
}
