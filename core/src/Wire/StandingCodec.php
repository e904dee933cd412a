<?php

declare(strict_types=1);

namespace VividPull\Core\Wire;

use VividPull\Core\Cable\LockCreep;
use VividPull\Core\Cable\RatioPrior;
use VividPull\Core\Cable\ReadingPoint;
use VividPull\Core\Errors\BadFile;
use VividPull\Core\Input\Node;
use VividPull\Core\Log\ControlDrift;
use VividPull\Core\Log\History;
use VividPull\Core\Log\LeftBefore;
use VividPull\Core\Log\PackInspection;
use VividPull\Core\Log\Standing;
use VividPull\Core\Log\StandingTag;
use VividPull\Core\Measurement\Calibration;
use VividPull\Core\Measurement\Instrument;
use VividPull\Core\Measurement\InstrumentKind;
use VividPull\Core\Measurement\Repeatability;
use VividPull\Core\Procedure\MeasureKey;
use VividPull\Core\Procedure\Symptom;
use VividPull\Core\Quantity\Dimension;
use VividPull\Core\Quantity\Steps;
use VividPull\Core\Spec\RidersWish;

/** What history hands to a job, to and from the wire. */
final readonly class StandingCodec
{
    public static function decode(Node $node): Standing
    {
        // Jobs opened when only threads were known say `positions_turns`; they replay as they always did.
        $positions = $node->has('positions_turns') ? 'positions_turns' : 'positions_steps';
        $node->object(
            ['shelf'],
            [
                $positions, 'taught', 'pooled', 'tag', 'drift', 'usage', 'usage_unit', 'pack', 'creep', 'left', 'again',
                'cured', 'wish', 'symptoms',
            ],
        );
        $shelf = [];
        foreach ($node->at('shelf')->items(200) as $item) {
            $instrument = self::instrument($item);
            $shelf[$instrument->id] = $instrument;
        }

        return new Standing(
            $node->has($positions) ? self::positions($node->at($positions)) : [],
            $node->has('taught') ? self::taught($node->at('taught')) : [],
            $shelf,
            $node->has('pooled') ? self::pooled($node->at('pooled')) : [],
            $node->has('tag') ? self::tag($node->at('tag')) : null,
            $node->has('creep') ? self::creep($node->at('creep')) : new LockCreep,
            self::history($node),
        );
    }

    private static function history(Node $node): History
    {
        return new History(
            $node->has('drift') ? self::drift($node->at('drift')) : null,
            $node->optionalNumber('usage', 0, 1e9),
            $node->optionalString('usage_unit', 4) ?? '',
            $node->has('pack') ? array_map(self::inspection(...), $node->at('pack')->items(100)) : [],
            $node->has('left') ? self::left($node->at('left')) : null,
            $node->has('again')
                ? array_map(static fn (Node $one): string => $one->string(300), $node->at('again')->items(10))
                : [],
            $node->optionalString('cured', 40),
            $node->has('wish') ? self::wish($node->at('wish')) : null,
            $node->has('symptoms')
                ? array_map(
                    static fn (Node $one): Symptom => $one->enum(Symptom::class),
                    $node->at('symptoms')->items(30),
                )
                : [],
        );
    }

    /** @return array<string, mixed> */
    public static function encode(Standing $standing): array
    {
        return [
            'positions_steps' => (object) array_map(
                static fn (?Steps $at): ?float => $at?->toFloat(),
                $standing->positions,
            ),
            'taught' => (object) array_map(self::encodePrior(...), $standing->taught),
            'shelf' => array_map(self::encodeInstrument(...), array_values($standing->shelf)),
            'pooled' => array_map(static fn (string $key, Repeatability $r): array => [
                'person' => explode('/', $key, 2)[0],
                'instrument' => explode('/', $key, 2)[1],
                'deviation_mm' => $r->deviation,
                'freedom' => $r->freedom,
            ], array_keys($standing->pooled), array_values($standing->pooled)),
            'tag' => self::encodeTag($standing->tag),
            'usage' => $standing->history->usage,
            'usage_unit' => $standing->history->usageUnit === '' ? null : $standing->history->usageUnit,
            'pack' => array_map(
                static fn (PackInspection $one): array => [
                    'usage' => $one->usage,
                    'weakest_mm' => (object) $one->weakest,
                ],
                $standing->history->pack,
            ),
            'creep' => $standing->creep->pairs === 0 ? null : $standing->creep->sums(),
            'left' => $standing->history->left === null ? null : self::encodeLeft($standing->history->left),
            'again' => $standing->history->again,
            'cured' => $standing->history->cured,
            'wish' => $standing->history->wish === null ? null : self::encodeWish($standing->history->wish),
            'symptoms' => array_map(static fn (Symptom $one): string => $one->value, $standing->history->symptoms),
            'drift' => $standing->history->drift === null
                ? null
                : [
                    'conduit_mm' => $standing->history->drift->conduitMm,
                    'intervals' => $standing->history->drift->intervals,
                ],
        ];
    }

    /** @throws BadFile If it is no wish as the format has it; an empty one wishes nothing any more. */
    public static function wish(Node $node): RidersWish
    {
        $node->object([], ['play_mm', 'bite', 'said']);

        return new RidersWish(
            $node->optionalNumber('play_mm', 0, 1000),
            $node->optionalString('bite', 20),
            $node->optionalString('said', 200),
        );
    }

    /** @return array{reason: string, at: string, by: string}|null */
    public static function encodeTag(?StandingTag $tag): ?array
    {
        return $tag === null ? null : ['reason' => $tag->reason, 'at' => $tag->at, 'by' => $tag->by];
    }

    /** @return array{play_mm: float|null, bite: string|null, said: string|null} */
    public static function encodeWish(RidersWish $wish): array
    {
        return ['play_mm' => $wish->mm, 'bite' => $wish->bite, 'said' => $wish->said];
    }

    /** @return array<string, mixed> */
    public static function encodeInstrument(Instrument $instrument): array
    {
        $calibration = $instrument->calibration;
        $in = self::unitKey($instrument->kind);

        return [
            'id' => $instrument->id,
            'name' => $instrument->name,
            'kind' => $instrument->kind->value,
            "resolution_{$in}" => $instrument->resolution,
            "reach_{$in}" => $instrument->reach,
            'calibration' => $calibration === null ? null
                : [
                    "expanded_{$in}" => $calibration->expanded,
                    'factor' => $calibration->factor,
                    'due' => $calibration->due,
                ],
            'inch_marks' => $instrument->inchMarks,
            ...($instrument->hands === null
                ? []
                : ['hands' => [
                    'deviation_mm' => $instrument->hands->deviation,
                    'freedom' => $instrument->hands->freedom,
                ]]),
        ];
    }

    /** @return array<string, Steps|null> */
    private static function positions(Node $node): array
    {
        return array_map(static fn (Node $at): ?Steps => $at->value === null ? null
            : $at->making(static fn (): Steps => Steps::exactly($at->number(0, 1000))), $node->entries());
    }

    /** @return array<string, RatioPrior> */
    private static function taught(Node $node): array
    {
        $taught = [];
        foreach ($node->entries() as $point => $prior) {
            $prior->object(['ln_ratio', 'spread'], ['machines']);
            $taught[Node::of($point, $prior->path)->enum(ReadingPoint::class)->value]
                = RatioPrior::of(
                    $prior->at('ln_ratio')->number(-5, 5),
                    $prior->at('spread')->number(0.001, 2),
                    $prior->has('machines') ? $prior->at('machines')->integer(0, 100_000) : 0,
                );
        }

        return $taught;
    }

    /** @throws BadFile If it is no instrument as the format has it. */
    public static function instrument(Node $node): Instrument
    {
        $kind = $node->at('kind')->enum(InstrumentKind::class);
        $in = self::unitKey($kind);
        $node->object(
            ['id', 'name', 'kind', "resolution_{$in}"],
            ["reach_{$in}", 'calibration', 'inch_marks', 'hands'],
        );

        return Instrument::of(
            $node->at('id')->id(),
            $node->at('name')->name(),
            $kind,
            $node->at("resolution_{$in}")->number(0.0001, 10),
            $node->has("reach_{$in}") ? $node->at("reach_{$in}")->number(0.1, 5000) : 150.0,
            $node->has('calibration') ? self::calibration($node->at('calibration'), $in) : null,
            $node->has('inch_marks') ? $node->at('inch_marks')->integer(2, 10_000) : null,
            $node->has('hands') ? self::hands($node->at('hands')) : null,
        );
    }

    private static function hands(Node $node): Repeatability
    {
        $node->object(['deviation_mm', 'freedom']);

        return Repeatability::pooled($node->at('deviation_mm')->number(0, 100), $node->at('freedom')->number(1, 1e6));
    }

    /** What its sizes are named by: a force gauge's are forces. */
    public static function unitKey(InstrumentKind $kind): string
    {
        return $kind->dimension() === Dimension::Force ? 'n' : 'mm';
    }

    private static function calibration(Node $node, string $in): Calibration
    {
        $node->object(["expanded_{$in}", 'factor'], ['due']);

        return Calibration::of(
            $node->at("expanded_{$in}")->number(0, 10),
            $node->at('factor')->number(1, 5),
            $node->optionalString('due', 10),
        );
    }

    /** @return array<string, Repeatability> */
    private static function pooled(Node $node): array
    {
        $pooled = [];
        foreach ($node->items(1000) as $item) {
            $item->object(['person', 'instrument', 'deviation_mm', 'freedom']);
            $pooled[$item->at('person')->string(60).'/'.$item->at('instrument')->string(40)]
                = Repeatability::pooled(
                    $item->at('deviation_mm')->number(0, 100),
                    $item->at('freedom')->number(1, 1e6),
                );
        }

        return $pooled;
    }

    private static function creep(Node $node): LockCreep
    {
        $node->object(['sum_mm', 'squares_mm2', 'pairs']);

        return new LockCreep(
            $node->at('sum_mm')->number(-1000, 1000),
            $node->at('squares_mm2')->number(0, 1e6),
            $node->at('pairs')->integer(0, 100_000),
        );
    }

    /** @return array<string, float|int> */
    public static function encodePrior(RatioPrior $prior): array
    {
        return ['ln_ratio' => $prior->ln, 'spread' => $prior->spread]
            + ($prior->machines === 0 ? [] : ['machines' => $prior->machines]);
    }

    private static function inspection(Node $node): PackInspection
    {
        $node->object(['usage', 'weakest_mm']);
        $weakest = [];
        foreach ($node->at('weakest_mm')->entries() as $key => $mm) {
            $weakest[Node::of($key, $mm->path)->enum(MeasureKey::class)->value] = $mm->number(0, 1000);
        }

        return new PackInspection($node->at('usage')->number(0, 1e9), $weakest);
    }

    private static function drift(Node $node): ControlDrift
    {
        $node->object(['conduit_mm', 'intervals']);

        return new ControlDrift($node->at('conduit_mm')->number(-500, 500), $node->at('intervals')->integer(0, 1000));
    }

    /** @return array<string, mixed> */
    public static function encodeLeft(LeftBefore $left): array
    {
        return ['by_choice' => $left->byChoice, 'faults' => $left->faults, 'at' => $left->at, 'by' => $left->by];
    }

    private static function left(Node $node): LeftBefore
    {
        $node->object(['at', 'by'], ['by_choice', 'faults']);

        return new LeftBefore(
            $node->optionalString('by_choice', 500),
            $node->has('faults')
                ? array_map(static fn (Node $one): string => $one->string(700), $node->at('faults')->items(40))
                : [],
            $node->at('at')->string(40),
            $node->at('by')->string(60),
        );
    }

    private static function tag(Node $node): StandingTag
    {
        $node->object(['reason', 'at', 'by']);

        return new StandingTag(
            $node->at('reason')->string(500),
            $node->at('at')->string(40),
            $node->at('by')->string(60),
        );
    }
}
