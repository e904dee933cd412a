<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Practice;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use VividPull\Core\Cable\Adjuster;
use VividPull\Core\Practice\Control\AsFound;
use VividPull\Core\Practice\Control\HonestHand;
use VividPull\Core\Practice\Control\JobEnd;
use VividPull\Core\Practice\Control\Mechanics;
use VividPull\Core\Practice\Control\TrueControl;
use VividPull\Core\Practice\SeededChance;
use VividPull\Core\Spec\FamilyKey;
use VividPull\Core\Spec\SpecBand;
use VividPull\Core\Tests\Support\MadeUp;
use VividPull\Core\Tests\Support\TestJob;

/**
 * Machines that no book has, with whatever adjusters, covers, bands and second cables chance gives them, worked by a
 * hand that does what is asked and reads what is so. The truth is the machine's own.
 */
final class MadeUpMachinesTest extends TestCase
{
    private const MACHINES = 9;

    private const CALIPER = ['id' => 'caliper', 'kind' => 'caliper', 'resolution_mm' => 0.02];

    /** @return iterable<string, array{FamilyKey}> */
    public static function families(): iterable
    {
        foreach (FamilyKey::cases() as $key) {
            yield $key->value => [$key];
        }
    }

    #[DataProvider('families')]
    public function test_none_is_signed_that_is_not_right_and_none_leads_nowhere(FamilyKey $key): void
    {
        $ends = [];
        for ($seed = 1; $seed <= self::MACHINES; $seed++) {
            $chance = new SeededChance(31 * $seed + 7);
            $job = MadeUp::job($key, 70_000 + $seed);
            $at = array_map(
                static fn (Adjuster $one): float => self::somewhere($one, $chance),
                $job->state->run->adjusters(),
            );
            $control = self::control($job, $at, $chance);
            $worked = HonestHand::work($job->state->spec, $job->state->run, $control, $at, self::CALIPER);
            $last = implode(', ', array_slice($worked->asked, -6));
            $where = "{$key->value}, machine {$seed}, after {$last}: {$worked->why}";
            self::assertNotSame(JobEnd::Lost, $worked->end, $where);
            self::assertFalse($worked->end === JobEnd::Fit && $control->isUnsafe(), "signed, and not fit: {$where}");
            $isBlamed = $worked->end === JobEnd::Spent && $control->isPlainlyRight();
            self::assertFalse($isBlamed, "blamed, and right: {$where}");
            $ends[] = $worked->end;
        }
        self::assertContains(JobEnd::Fit, $ends);
    }

    /** In whole steps, well within what is safe. */
    private static function somewhere(Adjuster $one, SeededChance $chance): float
    {
        $safe = $one->safe();
        $steps = intdiv((int) ($safe->length()->count * $chance->between(0.15, 0.6)), $one->smallestStep()->count);

        return $safe->from->toFloat() + $steps * $one->smallestStep()->toFloat();
    }

    /** @param  array<string, float>  $at */
    private static function control(TestJob $job, array $at, SeededChance $chance): TrueControl
    {
        $spec = $job->state->spec;
        $band = $spec->aim->band ?? SpecBand::between(0.0, 1.0);
        $high = $band->high ?? $band->floor() + 3.0;
        $width = max(0.5, $high - $band->floor());
        $found = new AsFound(
            $spec->aim === null ? 0.0 : $chance->between(-0.4 * $width, $high + 1.5 * $width),
            $spec->second === null ? null : $chance->between(0.1, 3.0),
            $chance->between(-2.2, 2.2),
            $at,
            [],
        );
        $poses = count($spec->conditions->poses) < 2 ? [] : ['left' => 0.03 * $width, 'right' => -0.02 * $width];
        $sense = $chance->between(0.0, 1.0) < 0.5 ? 1 : -1;
        $mechanics = new Mechanics(exp(0.1 * $chance->normal()), $poses, 0.12, $sense, 0.0, 0.0);

        return new TrueControl($spec, $job->state->run, $found, $mechanics, $chance);
    }
}
