<?php

declare(strict_types=1);

namespace VividPull\Core\Log;

use VividPull\Core\Cable\Adjuster;
use VividPull\Core\Errors\BadFile;
use VividPull\Core\Input\Node;
use VividPull\Core\Quantity\Steps;
use VividPull\Core\Quantity\StepUnit;

/** How far an adjuster went or stands, in an entry: turns and flats of what is turned, steps of what is not. */
final readonly class CountedSteps
{
    public const FIELDS = ['turns', 'flats', 'steps'];

    public const MOST_TURNS = 400;

    private function __construct() {}

    public static function areIn(Node $body): bool
    {
        return $body->has('turns') || $body->has('flats') || $body->has('steps');
    }

    /** @throws BadFile If nothing is said, or the one where the other is counted: neither stands for the other. */
    public static function of(Node $body, int $least, ?Adjuster $adjuster): Steps
    {
        $unit = $adjuster?->counting()->unit ?? StepUnit::Turn;
        if ($body->has($unit->turns() ? 'steps' : 'turns') || (! $unit->turns() && $body->has('flats'))) {
            throw BadFile::at(
                $body->path,
                $unit->turns()
                    ? 'this adjuster is counted in “turns” and “flats”.'
                    : "this adjuster is counted in “steps”: {$unit->plural()}.",
            );
        }

        return $unit->turns() ? self::turns($body, $least) : self::steps($body, $least);
    }

    private static function steps(Node $body, int $least): Steps
    {
        if (! $body->has('steps')) {
            throw BadFile::at($body->path, 'say how far, in “steps”.');
        }

        return self::exactly($body, 'steps', $least);
    }

    private static function turns(Node $body, int $least): Steps
    {
        if (! $body->has('turns') && ! $body->has('flats')) {
            throw BadFile::at($body->path, 'say how far, in “turns”, “flats” or both.');
        }
        $turns = $body->has('turns') ? self::exactly($body, 'turns', $least) : Steps::none();

        return $body->has('flats')
            ? $turns->plus(Steps::fromFlats($body->at('flats')->integer($least * 6, self::MOST_TURNS * 6)))
            : $turns;
    }

    private static function exactly(Node $body, string $field, int $least): Steps
    {
        return $body->making(static fn (): Steps => Steps::exactly(
            $body->at($field)->number($least, self::MOST_TURNS),
        ));
    }
}
