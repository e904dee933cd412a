<?php

declare(strict_types=1);

namespace Database\Demo;

use VividPull\Core\Family\Families;
use VividPull\Core\Family\SlidingDrive;
use VividPull\Core\Family\SpeedSelector;
use VividPull\Core\Procedure\LeverPull;
use VividPull\Core\Spec\Aim;
use VividPull\Core\Spec\EngagementWindow;
use VividPull\Core\Spec\FamilyKey;
use VividPull\Core\Spec\Mover;
use VividPull\Core\Spec\PackFigures;
use VividPull\Core\Spec\PullFigure;
use VividPull\Core\Spec\SpeedCeiling;
use VividPull\Core\Spec\ThrottleWindow;
use VividPull\Core\Spec\TimeLimit;

/** What the invented makers ask of a control beside its play. */
final readonly class DemoAims
{
    /** @return list<Aim> */
    public static function of(string $model, string $control): array
    {
        return match ($control) {
            'clutch' => in_array($model, ['Tolvane Ridge 300', 'Brackwell Cairn 350'], true) ? [
                PullFigure::of(LeverPull::of(46, 34), 120),
                PackFigures::of(6, 5, 5, 2.85, 0.1, 35, 5, 9.5),
            ] : [],
            'throttle' => str_starts_with($model, 'Hesk') ? [ThrottleWindow::of(30, 25.5, 1, 3.4)] : [],
            'drive' => match ($model) {
                'Ondrel Furrow 11' => [EngagementWindow::fullBy(70)],
                'Brackwell Lawn 46' => [SlidingDrive::table('rungs')],
                default => [],
            },
            'bail' => [TimeLimit::seconds(3)],
            'selector' => [SpeedSelector::table(
                ['R2' => -2, 'R1' => -1, 'F1' => 1, 'F2' => 2, 'F3' => 3, 'F4' => 4, 'F5' => 5, 'F6' => 6],
                6,
                1,
                [Mover::of('bracket', 1, null, 0.15)],
            )],
            'pedal' => [SpeedCeiling::of(25.7, 457, 24), ThrottleWindow::of(30, 26, 1, 4, 1.1)],
            'modes' => [self::modes()],
            default => [],
        };
    }

    /** As the family begins: how much each cable moves a mode is learned. */
    private static function modes(): Aim
    {
        return Families::of(FamilyKey::ModeCables)->starting()->aims[0];
    }
}
