<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;
use Tests\Support\Pulled;

/**
 * The pull as a curve: from a gauge's file or typed, kept with the job, its play taken as a reading; on a bench and on
 * a telephone.
 */
final class PullCurveTest extends BrowserTestCase
{
    private string $file = '';

    protected function tearDown(): void
    {
        if ($this->file !== '') {
            unlink($this->file);
        }
        parent::tearDown();
    }

    public function test_a_gauges_file_is_drawn_kept_and_its_play_taken_as_the_reading(): void
    {
        $this->as('ines')->onBench($this->machineLike('RT-14', 'ZP-14'), 'clutch');
        $job = $this->job();
        $this->visit("/jobs/{$job}/pull")->see('Make it safe first')->visit("/jobs/{$job}")->await('[data-ask]');
        $this
            ->line('all ok', 'ok', 'ok', 'ok', 'ok')
            ->click('[data-pull-curve]')
            ->see('keep your face out of its line')
            ->accessible('a pull is taken in');
        $this
            ->take(Pulled::csv(3, 1200))
            ->await('[data-phase=free_play]')
            ->await('[data-phase=working]')
            ->see('2 400 points', 'Free play ends at', 'The spec wants 10 to 20 mm');
        self::assertStringContainsString('yes, at', $this->text('[data-finding=reached]'));
        $this->browser
            ->findElement(WebDriverBy::cssSelector('[data-pick=instrument] option[value=caliper-1]'))
            ->click();
        $this
            ->accessible('a curve')
            ->click('[data-keep-trace]')
            ->await('[data-asks-state]')
            ->gone('[data-pick=instrument]')
            ->click('[data-state=cold]')
            ->await('[data-take-reading]');
        $this->click('[data-take-reading]')->await('[data-curves] a')->line('n read from the curve');
        self::assertSame(
            ['condition', 'reading', 'note'],
            array_slice(
                array_map(static fn (array $one): string => (string) $one['kind'], (array) $this->state()['log']),
                -3,
            ),
        );
        self::assertStringContainsString('play 3.', $this->text('[data-curves]'));
    }

    public function test_points_are_typed_on_a_telephone_and_a_wrong_spline_keeps_the_clutch_from_being_fit(): void
    {
        $this->window(390, 844);
        $this->as('ines')->lookedOver($this->machineLike('RT-14', 'ZP-15'), 'clutch');
        $job = $this->job();
        $this->visit("/jobs/{$job}/pull");
        $points = [
            "0 1\n2 1.1\n4 1.2\n6 1.2\n8 1.4\n8.5 4.9\n12 5.6\n20 7.1\n28 8.8\n36 10.2\n",
            "44 11.9\n",
            "45 31\n46 52\n",
        ];
        $this->element('#points')->sendKeys("{$points[0]}44 elf\n{$points[2]}");
        $this->expectsTrouble = true;
        $this
            ->click('[data-take-typed]')
            ->see('Line 11: “elf” is no force.')
            ->accessible('points that cannot be taken');
        self::assertStringContainsString('elf', $this->value('#points'), 'nothing of it is lost');
        $this->element('#points')->clear();
        $this->element('#points')->sendKeys(implode('', $points));
        $this
            ->click('[data-take-typed]')
            ->see('the arm is on the wrong spline')
            ->gone('[data-phase=working]')
            ->accessible('a curve on a telephone');
        $this
            ->click('[data-keep-trace]')
            ->gone('[data-keep-trace]')
            ->gone('[data-take-reading]')
            ->clickText('Back to the job')
            ->await('[data-curves]');
        self::assertContains(
            ['springs_reached', 'failed'],
            array_map(static fn (array $one): array => [$one['key'], $one['status']], (array) $this->state()['gates']),
        );
    }

    public function test_a_gauge_that_knows_only_the_time_is_asked_how_far_it_was_pulled(): void
    {
        $this->as('ines')->lookedOver($this->machineLike('RT-14', 'ZP-16'), 'clutch');
        $job = $this->job();
        $this->visit("/jobs/{$job}/pull");
        $this->expectsTrouble = true;
        $this
            ->take((string) preg_replace(
                '/^travel_mm/',
                'time_s',
                (string) preg_replace('/^.*,release$\n/m', '', Pulled::csv(3)),
            ))
            ->see('Say how far it was pulled')
            ->accessible('how far it was pulled');
        $this->element('#reach')->sendKeys('55'.WebDriverKeys::ENTER);
        $this
            ->await('[data-phase=free_play]')
            ->see('about ', 'Read the play by hand')
            ->click('[data-keep-trace]')
            ->gone('[data-keep-trace]')
            ->gone('[data-take-reading]');
    }

    private function take(string $csv): static
    {
        $this->file = sys_get_temp_dir().'/pull-'.bin2hex(random_bytes(6)).'.csv';
        file_put_contents($this->file, $csv);
        $this
            ->await('input[type=file]')->browser
            ->findElement(WebDriverBy::cssSelector('input[type=file]'))
            ->sendKeys($this->file);

        return $this;
    }
}
