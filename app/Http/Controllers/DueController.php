<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Bench\DueList;
use App\Bench\Presence;
use App\Bench\ShopClock;
use App\Chain\Version;
use App\Http\IfMatch;
use App\Models\Audit;
use App\Models\Control;
use App\Models\User;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\DB;
use VividPull\Core\Input\Node;

/** What falls due, what is planned for which day, and who is here. */
final class DueController
{
    private const TOKEN_BYTES = 24;

    /** Which day that is, the workshop says: a device's clock may be off. */
    private const TODAY = 'today';

    public function __construct(private readonly BenchController $bench) {}

    public function index(Request $request): JsonResponse
    {
        return new JsonResponse([
            'due' => DueList::rows(ShopClock::now()),
            'calendar' => User::of($request)->calendar_digest !== null,
        ]);
    }

    /** On which day a control comes to the bench: *today* is the workshop's own. None takes it off. */
    public function plan(Request $request, string $tag, string $control): JsonResponse
    {
        $node = Node::fromJson($request->getContent())->object(['on']);
        $found = Control::query()
            ->where('key', $control)
            ->whereHas('machine', static fn ($machines) => $machines->where('tag', $tag))
            ->firstOrFail();
        $on = match ($node->at('on')->value) {
            null => null,
            self::TODAY => ShopClock::today(),
            default => $node->at('on')->day(),
        };
        DB::transaction(static function () use ($found, $tag, $on, $request): void {
            $control = Control::query()->lockForUpdate()->findOrFail($found->id);
            $before = DueList::plan($control);
            Version::mustBe(IfMatch::of($request), Version::of($before), "plan {$control->id}", $before);
            $control->forceFill(['planned_on' => $on])->save();
            Audit::note(
                User::of($request),
                'day planned',
                "{$tag} {$control->name}",
                Audit::changes($before, DueList::plan($control)),
                "plan {$control->id}",
            );
        }, 3);

        return $this->index($request);
    }

    public function present(Request $request): JsonResponse
    {
        Presence::say(ShopClock::now(), Node::fromJson($request->getContent()));

        return $this->bench->show();
    }

    /** A calendar's own address. It is shown once; making another puts the one before out of use. */
    public function subscribe(Request $request): JsonResponse
    {
        $token = bin2hex(random_bytes(self::TOKEN_BYTES));
        User::of($request)->forceFill(['calendar_digest' => hash('sha256', $token)])->save();

        return new JsonResponse(['path' => "/calendar/{$token}.ics"]);
    }

    public function unsubscribe(Request $request): Response
    {
        User::of($request)->forceFill(['calendar_digest' => null])->save();

        return new Response(status: 204);
    }

    /** For calendars, which cannot sign in. Whoever has the address reads due dates and nothing else. */
    public function calendar(Request $request, string $token): Response
    {
        $exists = User::query()->where('calendar_digest', hash('sha256', $token))->whereNull('left_at')->exists();

        return $exists
            ? new Response(
                DueList::calendar($request->getSchemeAndHttpHost()),
                200,
                ['Content-Type' => 'text/calendar; charset=utf-8', 'Cache-Control' => 'private, max-age=900'],
            )
            : new Response(
                'This calendar is not there any more.',
                404,
                ['Content-Type' => 'text/plain; charset=utf-8'],
            );
    }
}
