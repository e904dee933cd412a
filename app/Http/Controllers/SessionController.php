<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Gauges\Bridges;
use App\Http\Middleware\EnsureActiveUser;
use App\Library\SpecUse;
use App\Models\User;
use App\People\Device;
use App\People\ReadUnits;
use App\People\Staff;
use App\People\TakeOver;
use Database\Demo\DemoPeople;
use Illuminate\Contracts\Auth\StatefulGuard;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Hash;
use VividPull\Core\Errors\Refused;
use VividPull\Core\Input\Node;
use VividPull\Core\Log\Permission;

final class SessionController
{
    public function show(Request $request): JsonResponse
    {
        $user = $request->user();
        if ($user instanceof User) {
            $user->byPin = $request->session()->get(EnsureActiveUser::BY_PIN) === true;
        }

        return new JsonResponse(['user' => self::person($user), 'demo' => self::demo()]);
    }

    public function store(Request $request): JsonResponse
    {
        $node = Node::fromJson($request->getContent())->object(['login', 'password']);
        $user = self::whoIs(Staff::loginOf($node->at('login')->string(60)), $node->at('password')->string(200));
        if ($user === null) {
            throw Refused::because(
                'That name and password do not go together. Try again, or ask the lead for a new password.',
            );
        }
        self::guard()->login($user);
        $request->session()->regenerate();
        $request->session()->forget(EnsureActiveUser::BY_PIN);
        TakeOver::unlock($user->login);
        $response = new JsonResponse(['user' => self::person($user), 'demo' => self::demo()]);
        $response->headers->setCookie(Device::trustedBy($request, $user)->cookie($request));

        return $response;
    }

    /** Who this name and password are; a name that nobody has takes as long to answer. */
    private static function whoIs(string $login, string $password): ?User
    {
        $user = User::query()->where('login', $login)->whereNull('left_at')->first();
        if ($user === null || str_contains($password, "\0")) {
            Hash::make('nobody');

            return null;
        }

        return Hash::check($password, $user->getAuthPassword()) ? $user : null;
    }

    /** Another person takes the tablet over, by PIN: somebody signed in on it with a password before. */
    public function change(Request $request): JsonResponse
    {
        $node = Node::fromJson($request->getContent())->object(['login', 'pin']);
        $next = User::query()
            ->where('login', Staff::loginOf($node->at('login')->string(60)))
            ->whereNull('left_at')
            ->first();
        $pin = $node->at('pin')->string(8);
        $from = User::of($request);
        if ($next === null || ! TakeOver::by($next, $pin, $from, Device::of($request))) {
            throw Refused::because(
                'That name and PIN do not go together. A PIN is set under one\'s own name, once signed in with the password.',
            );
        }
        self::guard()->login($next);
        $request->session()->regenerate();
        $request->session()->put(EnsureActiveUser::BY_PIN, true);
        $next->byPin = true;

        return new JsonResponse(['user' => self::person($next), 'demo' => self::demo()]);
    }

    /** How the person reads lengths, forces, speeds and decimals from here on, on every device. */
    public function units(Request $request): JsonResponse
    {
        $user = User::of($request);
        ReadUnits::choose($user, Node::fromJson($request->getContent()));

        return new JsonResponse(['user' => self::person($user), 'demo' => self::demo()]);
    }

    /** What everybody reads who chose nothing for themselves. */
    public function shopUnits(Request $request): JsonResponse
    {
        $user = User::of($request);
        ReadUnits::chooseForTheShop(Node::fromJson($request->getContent()), $user);

        return new JsonResponse(['user' => self::person($user), 'demo' => self::demo()]);
    }

    public function destroy(Request $request): Response
    {
        self::guard()->logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return new Response(status: 204);
    }

    private static function guard(): StatefulGuard
    {
        $guard = Auth::guard('web');
        assert($guard instanceof StatefulGuard);

        return $guard;
    }

    /** Whether one person works alone here, so that nobody can check what they enter. */
    public function worksAlone(Request $request): JsonResponse
    {
        $user = User::of($request);
        SpecUse::setWorksAlone(
            Node::fromJson($request->getContent())->object(['alone'])->at('alone')->boolean(),
            $user,
        );

        return new JsonResponse(['user' => self::person($user), 'demo' => self::demo()]);
    }

    /** @return array<string, mixed>|null */
    private static function person(mixed $user): ?array
    {
        return $user instanceof User ? [
            'id' => $user->login,
            'name' => $user->name,
            'role' => $user->acting()->value,
            'may_log' => $user->acting()->mayLog(),
            'may_sign_off' => $user->acting()->maySignOff(),
            'may_lift_tag' => $user->acting()->mayLiftTag(),
            'may_keep_shop' => $user->acting()->may(Permission::KeepShop),
            'asks_password' => $user->acting() !== $user->role,
            'units' => ReadUnits::wire(ReadUnits::of($user)),
            'own_units' => ReadUnits::chosen($user),
            'shop_units' => ReadUnits::ofTheShop(),
            'works_alone' => SpecUse::worksAlone(),
            'gauges' => Bridges::any(),
        ] : null;
    }

    /** @return list<array<string, string>> the sign-ins of the demo workshop; none of a real one */
    private static function demo(): array
    {
        return config('app.demo') !== true ? [] : array_map(static fn (array $person): array => [
            'login' => $person[0], 'name' => $person[1], 'role' => $person[2]->value, 'password' => $person[3],
        ], DemoPeople::ALL);
    }
}
