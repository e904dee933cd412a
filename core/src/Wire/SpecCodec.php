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
        $node->object(['family', 'aim', 'source'], ['conditions', 'policy', 'rule', 'backward']);
        $backward = $node->has('backward') ? $node->at('backward')->object([], ['low_mm', 'high_mm', 'set_first']) : null;
        $family = $node->at('family')->enum(FamilyKey::class);

        return Spec::of(
            $family,
            self::aim($node->at('aim')),
            $node->has('conditions') ? self::conditions($node->at('conditions')) : Conditions::of(EngineHeat::Cold, null, []),
            $node->has('policy') ? $node->at('policy')->enum(Policy::class) : $family->family()->startingPolicy(),
            $node->has('rule') ? $node->at('rule')->enum(DecisionRule::class) : DecisionRule::Guarded,
            self::source($node->at('source')),
            $backward === null ? null : FreePlayBand::at(ReadingPoint::GripBackward, self::band($backward)),
            $backward !== null && $backward->has('set_first') && $backward->at('set_first')->boolean(),
        );
    }

    /** @return array<string, mixed> */
    public static function encode(Spec $spec): array
    {
        return [
            'family' => $spec->family->value,
            'aim' => [
                'kind' => self::AIM,
                'point' => $spec->aim->point->value,
                'low_mm' => $spec->aim->band->low,
                'high_mm' => $spec->aim->band->high,
            ],
            'conditions' => [
                'engine' => $spec->conditions->engine?->value,
                'wheels' => $spec->conditions->wheels?->value,
                'poses' => array_map(static fn (Pose $pose): string => $pose->value, $spec->conditions->poses),
            ],
            ...($spec->backward === null ? [] : ['backward' => [
                'low_mm' => $spec->backward->band->low, 'high_mm' => $spec->backward->band->high, 'set_first' => $spec->closingFirst,
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
