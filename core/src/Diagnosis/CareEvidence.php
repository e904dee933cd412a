<?php

declare(strict_types=1);

namespace VividPull\Core\Diagnosis;

/**
 * What is on file of a cable's care, and of the oil its clutch runs in: how long the cable has been on, when it was
 * oiled last, and when the engine oil was changed. Where nothing is on file nothing is said.
 */
final readonly class CareEvidence
{
    /** Days within which a cable was fitted lately (ours). */
    private const NEW = 90;

    /** Days from which it has been on for years (ours). */
    private const OLD = 5 * 365;

    /** Days within which oil is still there, and from which it is not (ours). */
    private const OILED = 180;

    private const DRY = 2 * 365;

    /** Days within which engine oil was changed lately, and from which it is old (ours: it is changed once a year). */
    private const FRESH = 365;

    private const STALE = 2 * 365;

    private function __construct() {}

    /**
     * @param  int|null  $fitted  days since its cable was fitted; null where that is not on file
     * @param  int|null  $oiled  days since it was oiled
     * @param  int|null  $engineOil  days since the engine oil was changed
     */
    public static function into(
        Evidence $evidence,
        Knowledge $knowledge,
        ?int $fitted,
        ?int $oiled,
        ?int $engineOil = null,
    ): Evidence {
        $age = match (true) {
            $fitted === null => null,
            $fitted <= self::NEW => 'new',
            $fitted >= self::OLD => 'old',
            default => Check::RIGHT,
        };
        // A cable is oiled when it is fitted.
        $oil = $fitted === null ? $oiled : min($fitted, $oiled ?? $fitted);
        $dry = match (true) {
            $oil === null => null,
            $oil <= self::OILED => Check::RIGHT,
            $oil >= self::DRY => 'long_ago',
            default => null,
        };
        $stale = match (true) {
            $engineOil === null => null,
            $engineOil <= self::FRESH => Check::RIGHT,
            $engineOil >= self::STALE => 'old',
            default => null,
        };
        $known = array_filter([Check::CABLE_AGE => $age, Check::OILED => $dry, Check::OIL_AGE => $stale]);
        foreach ($known as $question => $answer) {
            $evidence = isset($knowledge->checks[$question]) ? $evidence->answered($question, $answer) : $evidence;
        }

        return $evidence;
    }
}
