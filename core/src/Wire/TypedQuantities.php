<?php

declare(strict_types=1);

namespace VividPull\Core\Wire;

use VividPull\Core\Errors\BadFile;
use VividPull\Core\Input\Node;
use VividPull\Core\Procedure\MeasureKey;
use VividPull\Core\Quantity\Dimension;
use VividPull\Core\Quantity\NotUnderstood;
use VividPull\Core\Quantity\QuantityReader;
use VividPull\Core\Quantity\Spoken;
use VividPull\Core\Quantity\Unit;

/**
 * Sizes that a person typed into a field, read by the one reader of quantities: text under a key that names a unit
 * (`travel_mm`, `lock_torque_nm`) becomes the number in that unit. Everything else stays as it came.
 */
final readonly class TypedQuantities
{
    private const UNITS = [
        '_mm' => [Unit::Millimetre, Dimension::Length], '_n' => [Unit::Newton, Dimension::Force],
        '_nm' => [Unit::NewtonMetre, Dimension::Torque],
        '_kmh' => [Unit::KilometreAnHour, Dimension::Speed], '_s' => [Unit::Second, Dimension::Time],
    ];

    /** Keys that are a unit themselves, or begin with one. */
    private const WHOLE = [
        'nm' => [Unit::NewtonMetre, Dimension::Torque],
        'mm_per_step' => [Unit::Millimetre, Dimension::Length],
    ];

    /** @throws BadFile If such a text is no quantity of that kind; the sentence says what was understood. */
    public static function readIn(Node $node): Node
    {
        return Node::of(self::walk($node->value, $node->path, null), $node->path);
    }

    /**
     * A measured value as it was typed, in the unit of what is measured.
     *
     * @throws BadFile If it is no quantity of that kind.
     */
    public static function measured(Node $body): Node
    {
        $map = is_array($body->value) ? $body->value : [];
        $key = is_string($map['key'] ?? null) ? MeasureKey::tryFrom($map['key']) : null;
        if ($key !== null && is_string($map['value'] ?? null)) {
            $map['value'] = self::read(
                $map['value'],
                Unit::usualOf($key->dimension()),
                $key->dimension(),
                "{$body->path}.value",
            );
        }

        return self::readIn(Node::of($map === [] ? $body->value : $map, $body->path));
    }

    /** @param  array{Unit, Dimension}|null  $unit  of the key that this stands under */
    private static function walk(mixed $value, string $path, ?array $unit): mixed
    {
        if (is_string($value) && $unit !== null) {
            return self::read($value, $unit[0], $unit[1], $path);
        }
        if (! is_array($value)) {
            return $value;
        }
        $walked = [];
        foreach ($value as $key => $child) {
            $walked[$key] = self::walk(
                $child,
                is_int($key) ? "{$path}[{$key}]" : "{$path}.{$key}",
                is_int($key) ? $unit : self::unitOf($key) ?? $unit,
            );
        }

        return $walked;
    }

    /** @return array{Unit, Dimension}|null */
    private static function unitOf(string $key): ?array
    {
        if (isset(self::WHOLE[$key])) {
            return self::WHOLE[$key];
        }
        foreach (self::UNITS as $ending => $unit) {
            if (str_ends_with($key, $ending)) {
                return $unit;
            }
        }

        return null;
    }

    private static function read(string $text, Unit $unit, Dimension $dimension, string $path): float
    {
        try {
            $read = QuantityReader::defaultingTo($unit)->read($text);
        } catch (NotUnderstood $e) {
            throw BadFile::at($path, lcfirst($e->getMessage()));
        }
        if ($read->dimension !== $dimension) {
            throw BadFile::at(
                $path,
                "read {$read->entered}, which is {$read->dimension->withArticle()}; this is {$dimension->withArticle()}, in "
                    .Spoken::units()->of($dimension)->value.'.',
            );
        }

        return $read->value;
    }
}
