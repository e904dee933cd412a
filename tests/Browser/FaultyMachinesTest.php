<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverBy;
use Tests\Support\FaultyMachines;
use Tests\Support\Technician;
use VividPull\Core\Spec\FamilyKey;

/**
 * Machines from their fault to their signature on the real screen, where every caution stands at its step. Of every
 * family it is done over HTTP in each run; here of those with screens of their own that no other test works to the end,
 * and of all where EVERY_FAMILY is set.
 */
final class FaultyMachinesTest extends BrowserTestCase
{
    private const MOST_ENTRIES = 60;

    private const ON_THE_SCREEN = [
        FamilyKey::PedalThrottle, FamilyKey::SlidingDrive, FamilyKey::ReleaseByPull, FamilyKey::Bail,
        FamilyKey::ModeCables,
    ];

    /** @return iterable<string, array{string, string, FamilyKey, Technician}> one of each of these families */
    private static function machines(): iterable
    {
        $met = [];
        foreach (FaultyMachines::all() as $name => $machine) {
            if (
                ! isset($met[$machine[2]->value])
                && (getenv('EVERY_FAMILY') !== false || in_array($machine[2], self::ON_THE_SCREEN, true))
            ) {
                $met[$machine[2]->value] = true;
                yield $name => $machine;
            }
        }
    }

    /** In one browser, one after the other, as somebody works through a day. */
    public function test_each_is_mended_and_signed(): void
    {
        // As it is held at the machine.
        $this->window(390, 844);
        $this->as('ines');
        foreach (self::machines() as $name => [$tag, $control, $family, $technician]) {
            $this->begin($tag, $control);
            $state = $this->state();
            self::assertSame($family->value, $state['family']['key'], $name);
            $entries = 0;
            for (; ($deed = $technician->next($state)) !== null && $entries < self::MOST_ENTRIES; $entries++) {
                $this->does($deed, $state);
                $state = $this->state();
            }
            self::assertSame('sign_off', $state['asks'], "{$name}: after {$entries} entries");
            $this->click('[data-close=fit]')->see('Signed by Ines');
        }
    }

    /**
     * @param  array{line: string, refused: string|null}|array{cure: string}  $deed
     * @param  array<string, mixed>  $state
     */
    private function does(array $deed, array $state): void
    {
        if ($this->browser->findElements(WebDriverBy::cssSelector('[data-go-on]')) !== []) {
            $this->armed()->click('[data-go-on]')->gone('[data-go-on]');
        }
        $this->seesItsCautions($state);
        if (isset($deed['cure'])) {
            $this->armed()->click("[data-cure={$deed['cure']}]")->settled();
        } elseif ($deed['refused'] === null) {
            $this->line($deed['line']);
        } else {
            $this->line($deed['line'])->await('[data-refusal]')->see($deed['refused'])->clear();
        }
    }

    /** @param  array<string, mixed>  $state */
    private function seesItsCautions(array $state): void
    {
        foreach ($state['stages'] as $stage) {
            foreach ($stage['items'] as $item) {
                if ($item['key'] === $state['asks']) {
                    $this->see(...array_filter([...$stage['cautions'], $item['caution']], is_string(...)));
                }
            }
        }
    }
}
