<?php

declare(strict_types=1);

namespace App\Gauges;

use App\Models\Audit;
use App\Models\GaugeBridge;
use App\Models\Instrument;
use App\Models\User;
use App\Refusals\Conflict;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Support\Collection;
use Illuminate\Support\Str;
use VividPull\Core\Input\Node;

/**
 * The computers that carry what gauges send: each has a token that can do this and nothing else, until a lead ends it.
 */
final readonly class Bridges
{
    private const LETTERS = 40;

    /** Seconds after which one that was not heard of is away; it says that it is there twice in this time. */
    private const AWAY_S = 60;

    /** @return string its token, which is shown once */
    public static function add(string $name, User $by): string
    {
        if (self::open()->contains(
            static fn (GaugeBridge $one): bool => mb_strtolower($one->name) === mb_strtolower($name),
        )) {
            throw new Conflict("Another computer here is called {$name}. Give each its own name.");
        }
        $token = Str::random(self::LETTERS);
        GaugeBridge::query()->create([
            'id' => (string) Str::uuid(),
            'name' => $name,
            'digest' => self::digest($token),
            'user_id' => $by->id,
            'made_at' => self::now(),
            'carries' => [],
        ]);
        Audit::note($by, 'gauge computer added', $name);

        return $token;
    }

    public static function end(GaugeBridge $bridge, User $by): void
    {
        $bridge->forceFill(['ended_at' => self::now()])->save();
        Audit::note($by, 'gauge computer ended', $bridge->name);
    }

    /** @throws ModelNotFoundException<GaugeBridge> If it is none, or was ended. */
    public static function find(string $id): GaugeBridge
    {
        return GaugeBridge::query()->whereNull('ended_at')->findOrFail($id);
    }

    /** Null where no bridge has this token, or it was ended. */
    public static function by(string $token): ?GaugeBridge
    {
        return GaugeBridge::query()->where('digest', self::digest($token))->whereNull('ended_at')->first();
    }

    /**
     * What it carries, and that it is there.
     *
     * @return array<string, mixed> the instruments of the shelf, and what it named that is none
     */
    public static function heard(GaugeBridge $bridge, Node $node): array
    {
        $carries = array_map(
            static fn (Node $one): string => $one->string(40),
            $node->object(['carries'])->at('carries')->items(40),
        );
        $bridge->forceFill(['carries' => array_values(array_unique($carries)), 'seen_at' => self::now()])->save();
        $shelf = Instrument::onTheShelf();

        return [
            'name' => $bridge->name,
            'instruments' => $shelf
                ->map(static fn (Instrument $one): array => [
                    'id' => $one->id,
                    'name' => $one->instrument()->name,
                    'kind' => $one->kind()->value,
                ])
                ->values()
                ->all(),
            'unknown' => array_values(array_diff(
                $carries,
                $shelf->map(static fn (Instrument $one): string => $one->id)->all(),
            )),
        ];
    }

    /** @return list<array<string, mixed>> those in use, as a lead sees them */
    public static function rows(): array
    {
        $names = Instrument::onTheShelf()
            ->mapWithKeys(static fn (Instrument $one): array => [$one->id => $one->instrument()->name])
            ->all();

        return array_values(self::open()->map(static fn (GaugeBridge $one): array => [
            'id' => $one->id, 'name' => $one->name, 'made_at' => $one->made_at->toIso8601ZuluString(),
            'seen_at' => $one->seen_at?->toIso8601ZuluString(),
            'there' => self::isThere($one),
            'carries' => array_map(static fn (string $id): string => $names[$id] ?? $id, $one->carries),
        ])->all());
    }

    public static function any(): bool
    {
        return GaugeBridge::query()->whereNull('ended_at')->exists();
    }

    /** @return array<string, GaugeBridge> by instrument: who carries it now, or did when it was last there */
    public static function carriers(): array
    {
        $found = [];
        foreach (self::open()->sortBy('seen_at') as $bridge) {
            $found = [...$found, ...array_fill_keys($bridge->carries, $bridge)];
        }

        return $found;
    }

    public static function isThere(GaugeBridge $bridge): bool
    {
        return $bridge->seen_at !== null && $bridge->seen_at->greaterThan(self::now()->subSeconds(self::AWAY_S));
    }

    /** @return Collection<int, GaugeBridge> */
    private static function open(): Collection
    {
        return GaugeBridge::query()->whereNull('ended_at')->orderBy('made_at')->get()->toBase();
    }

    private static function digest(string $token): string
    {
        return hash('sha256', $token);
    }

    private static function now(): CarbonImmutable
    {
        return CarbonImmutable::now()->utc();
    }
}
