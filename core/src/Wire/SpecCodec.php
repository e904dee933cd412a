<?php

declare(strict_types=1);

namespace VividPull\Core\Wire;

use VividPull\Core\Cable\Pose;
use VividPull\Core\Cable\ReadingPoint;
use VividPull\Core\Errors\BadFile;
use VividPull\Core\Family\FamilyKey;
use VividPull\Core\Measurement\DecisionRule;
use VividPull\Core\Spec\Conditions;
use VividPull\Core\Spec\EngineHeat;
use VividPull\Core\Spec\FreePlayBand;
use VividPull\Core\Spec\Policy;
use VividPull\Core\Spec\Spec;
use VividPull\Core\Spec\SpecBand;
use VividPull\Core\Spec\SpecSource;
use VividPull\Core\Spec\Wheels;

/** A spec to and from the wire. */
final readonly class SpecCodec
{
    public const AIM = 'free_play_band';

    public static function decode(Node $node): Spec
    {
        $node->object(['family', 'source'], ['aim', 'others', 'conditions', 'policy', 'rule', 'backward', 'secondary']);
        $second = self::second($node);
        $others = $node->has('others') ? array_map(AimCodec::decode(...), $node->at('others')->items(8)) : [];
        if (! $node->has('aim') && $others === [] && $node->at('family')->enum(FamilyKey::class)->family()->notSettable() === null) {
            throw BadFile::at($node->path, 'say what it is held against: an “aim”, “others”, or both.');
        }
        $family = $node->at('family')->enum(FamilyKey::class);

        return Spec::of(
            $family,
            $node->has('aim') ? self::aim($node->at('aim')) : null,
            $node->has('conditions') ? self::conditions($node->at('conditions')) : Conditions::of(EngineHeat::Cold, null, []),
            $node->has('policy') ? $node->at('policy')->enum(Policy::class) : $family->family()->startingPolicy(),
            $node->has('rule') ? $node->at('rule')->enum(DecisionRule::class) : DecisionRule::Guarded,
            self::source($node->at('source')),
            $second === null ? null : FreePlayBand::at(self::secondPoint($node), self::band($second)),
            $second !== null && $second->has('set_first') && $second->at('set_first')->boolean(),
            $others,
        );
    }

    /** The play of a second cable: of a closing one read backward, or of one behind a governor read at the carburettor. */
    private static function second(Node $node): ?Node
    {
        if ($node->has('backward') && $node->has('secondary')) {
            throw BadFile::at($node->path, 'a second cable is read “backward” or is a “secondary”, not both.');
        }
        $key = $node->has('backward') ? 'backward' : 'secondary';

        return $node->has($key) ? $node->at($key)->object([], ['low_mm', 'high_mm', 'set_first']) : null;
    }

    private static function secondPoint(Node $node): ReadingPoint
    {
        return $node->has('backward') ? ReadingPoint::GripBackward : ReadingPoint::CarburettorBarrel;
    }

    /** @return array<string, mixed> */
    public static function encode(Spec $spec): array
    {
        return [
            'family' => $spec->family->value,
            'aim' => $spec->aim === null ? null : [
                'kind' => self::AIM,
                'point' => $spec->aim->point->value,
                'low_mm' => $spec->aim->band->low,
                'high_mm' => $spec->aim->band->high,
            ],
            'others' => array_map(AimCodec::encode(...), $spec->others),
            'conditions' => [
                'engine' => $spec->conditions->engine?->value,
                'wheels' => $spec->conditions->wheels?->value,
                'poses' => array_map(static fn (Pose $pose): string => $pose->value, $spec->conditions->poses),
            ],
            ...($spec->second === null ? [] : [$spec->second->point === ReadingPoint::GripBackward ? 'backward' : 'secondary' => [
                'low_mm' => $spec->second->band->low, 'high_mm' => $spec->second->band->high, 'set_first' => $spec->secondFirst,
            ]]),
            'policy' => $spec->policy->value,
            'rule' => $spec->rule->value,
            'source' => [
                'document' => $spec->source->document,
                'edition' => $spec->source->edition,
                'page' => $spec->source->page,
                'entered_by' => $spec->source->enteredBy,
                'checked_by' => $spec->source->checkedBy,
            ],
        ];
    }

    private static function aim(Node $node): FreePlayBand
    {
        $node->object(['kind', 'point'], ['low_mm', 'high_mm']);
        if ($node->at('kind')->string() !== self::AIM) {
            throw BadFile::at($node->at('kind')->path, 'the only kind of aim known is “'.self::AIM.'”.');
        }

        return FreePlayBand::at($node->at('point')->enum(ReadingPoint::class), self::band($node));
    }

    private static function band(Node $node): SpecBand
    {
        $edge = static fn (string $key): ?float => $node->has($key) ? $node->at($key)->number(0, 1000) : null;

        return $node->making(static fn (): SpecBand => SpecBand::between($edge('low_mm'), $edge('high_mm')));
    }

    private static function conditions(Node $node): Conditions
    {
        $node->object([], ['engine', 'wheels', 'poses']);

        return Conditions::of(
            $node->has('engine') ? $node->at('engine')->enum(EngineHeat::class) : null,
            $node->has('wheels') ? $node->at('wheels')->enum(Wheels::class) : null,
            $node->has('poses') ? array_map(static fn (Node $pose): Pose => $pose->enum(Pose::class), $node->at('poses')->items(3)) : [],
        );
    }

    private static function source(Node $node): SpecSource
    {
        $node->object(['document'], ['edition', 'page', 'entered_by', 'checked_by']);

        return SpecSource::of(
            $node->at('document')->string(),
            $node->optionalString('edition'),
            $node->optionalString('page'),
            $node->optionalString('entered_by'),
            $node->optionalString('checked_by'),
        );
    }
}
