<?php

declare(strict_types=1);

namespace App\Gauges;

use App\Bench\EntryRequest;
use App\Models\Audit;
use App\Models\Instrument;
use App\Models\User;
use App\Refusals\Conflict;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use stdClass;
use VividPull\Core\Errors\BadFile;
use VividPull\Core\Input\Node;
use VividPull\Core\Measurement\GaugeStudy;
use VividPull\Core\Measurement\Repeatability;
use VividPull\Core\Wire\CheckCodec;
use VividPull\Core\Wire\StandingCodec;
use VividPull\Core\Wire\TypedQuantities;

/** Checks of instruments: kept as they were read, worked out anew whenever somebody looks. */
final readonly class InstrumentChecks
{
    private const SHOWN = 50;

    /** @return list<array<string, mixed>> newest first */
    public static function of(Instrument $instrument): array
    {
        return array_values(
            DB::table('instrument_checks')
                ->join('users', 'users.id', '=', 'instrument_checks.user_id')
                ->where('instrument', $instrument->id)
                ->orderByDesc('at')
                ->limit(self::SHOWN)
                ->get(['instrument_checks.*', 'users.name'])
                ->map(static fn (stdClass $row): array => [
                    'id' => $row->id,
                    'at' => CarbonImmutable::parse($row->at, 'UTC')->toIso8601ZuluString(),
                    'by' => $row->name,
                    'told' => self::told(Node::fromJson((string) $row->body), $instrument),
                ])
                ->all(),
        );
    }

    /**
     * What it tells; kept where that is asked for.
     *
     * @return array<string, mixed>
     */
    public static function take(Instrument $instrument, Node $node, User $by): array
    {
        $node->object(['id', 'keep', 'check']);
        $id = EntryRequest::uuid($node->at('id'));
        $check = TypedQuantities::readIn($node->at('check'));
        $told = self::told($check, $instrument);
        self::mustBeOurs($check);
        if ($node->at('keep')->boolean()) {
            $body = json_encode($check->value, JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION);
            $known = DB::table('instrument_checks')->find($id);
            if ($known instanceof stdClass) {
                return (string) $known->body === $body
                    ? $told
                    : throw new Conflict('Another check stands under this id.');
            }
            DB::table('instrument_checks')->insert([
                'id' => $id,
                'instrument' => $instrument->id,
                'body' => $body,
                'user_id' => $by->id,
                'at' => CarbonImmutable::now()->utc()->format('Y-m-d H:i:s.v'),
            ]);
            Audit::note($by, 'instrument checked', $instrument->instrument()->name);
        }

        return $told;
    }

    /**
     * @return list<array{person: string, instrument: string, squares: float, freedom: int}> what studies of play tell
     *     of each hand, as readings in jobs do; on blocks a hand repeats otherwise than on a lever
     */
    public static function repeats(): array
    {
        $sums = [];
        foreach (self::ofPlay() as [$instrument, $study]) {
            foreach ($study->byPerson as $person => $own) {
                $sums[] = ['person' => $person, 'instrument' => $instrument] + $own;
            }
        }

        return $sums;
    }

    /**
     * @return array<string, Repeatability|null> by instrument, how far hands differ with it; as its last study of play
     *     told
     */
    public static function hands(): array
    {
        $hands = [];
        foreach (self::ofPlay() as [$instrument, $study]) {
            $hands[$instrument] = $study->hands();
        }

        return $hands;
    }

    /** @return iterable<array{string, GaugeStudy}> studies of play with their instruments, oldest first */
    private static function ofPlay(): iterable
    {
        foreach (DB::table('instrument_checks')->where('body->of_play', true)->orderBy('at')->get(['instrument', 'body']) as $row) {
            yield [(string) $row->instrument, CheckCodec::gaugeStudy(Node::fromJson((string) $row->body), 'mm')];
        }
    }

    /** @return array<string, mixed> */
    private static function told(Node $check, Instrument $instrument): array
    {
        return CheckCodec::told($check, StandingCodec::instrument(Node::of($instrument->asWritten())));
    }

    /** Whose hands they were is who signs in here. */
    private static function mustBeOurs(Node $check): void
    {
        $hands = [];
        foreach ($check->has('readings') ? $check->at('readings')->items(400) : [] as $one) {
            $hands[$one->at('person')->string(60)] ??= $one->at('person')->path;
        }
        $known = User::query()->whereIn('login', array_map(strval(...), array_keys($hands)))->pluck('login')->all();
        foreach (array_diff_key($hands, array_flip($known)) as $path) {
            throw BadFile::at($path, 'nobody here signs in by this name.');
        }
    }
}
