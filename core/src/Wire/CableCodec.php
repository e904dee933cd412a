<?php

declare(strict_types=1);

namespace VividPull\Core\Wire;

use VividPull\Core\Cable\AdjusterKind;
use VividPull\Core\Cable\CableEnd;
use VividPull\Core\Cable\KnownCable;
use VividPull\Core\Input\Node;

/** A known cable as it is written. */
final readonly class CableCodec
{
    /** mm; longer than any control's. */
    private const LONGEST_WIRE = 1000.0;

    private const LONGEST_CONDUIT = 10_000.0;

    private const MOST_ADJUSTERS = 3;

    public static function decode(Node $node): KnownCable
    {
        $node->object(['name', 'wire_mm'], ['conduit_mm', 'hand_end', 'working_end', 'adjusters']);

        return new KnownCable(
            $node->at('name')->name(),
            $node->at('wire_mm')->number(0.1, self::LONGEST_WIRE),
            $node->optionalNumber('conduit_mm', 1, self::LONGEST_CONDUIT),
            $node->optionalEnum('hand_end', CableEnd::class),
            $node->optionalEnum('working_end', CableEnd::class),
            $node->has('adjusters')
                ? array_map(
                    static fn (Node $one): AdjusterKind => $one->enum(AdjusterKind::class),
                    $node->at('adjusters')->items(self::MOST_ADJUSTERS),
                )
                : null,
        );
    }

    /**
     * @return array{
     *     name: string, wire_mm: float, conduit_mm: float|null, hand_end: string|null, working_end: string|null,
     *     adjusters: list<string>|null,
     * }
     */
    public static function encode(KnownCable $cable): array
    {
        return [
            'name' => $cable->name,
            'wire_mm' => $cable->wire,
            'conduit_mm' => $cable->conduit,
            'hand_end' => $cable->handEnd?->value,
            'working_end' => $cable->workingEnd?->value,
            'adjusters' => $cable->adjusters === null
                ? null
                : array_map(static fn (AdjusterKind $kind): string => $kind->value, $cable->adjusters),
        ];
    }
}
