<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverKeys;

/**
 * How many keys and taps the usual work takes, as docs/counts.md says; more of them is a fault. A check and a new model
 * are counted where they are tried.
 */
final class CountsTest extends BrowserTestCase
{
    private int $keys = 0;

    private int $taps = 0;

    private function typed(string ...$lines): static
    {
        $this->keys += array_sum(array_map(static fn (string $line): int => mb_strlen($line) + 1, $lines));

        return $this->line(...$lines);
    }

    private function pressed(string $key): static
    {
        $this->keys++;

        return $this->armed()->keys($key)->settled();
    }

    private function tap(string $css): static
    {
        $this->taps++;

        return $this->click($css);
    }

    /** @return array{int, int} keys and taps, as the docs have them */
    private static function allowed(string $work): array
    {
        $found = preg_match(
            '/^\| '.preg_quote($work, '/').' \| (\d+) \| (\d+) \|/m',
            (string) file_get_contents(dirname(__DIR__, 2).'/docs/counts.md'),
            $part,
        );
        self::assertSame(1, $found, "docs/counts.md has no row of {$work}");

        return [(int) $part[1], (int) $part[2]];
    }

    private function isAsTheDocsSay(string $work): void
    {
        self::assertSame(self::allowed($work), [$this->keys, $this->taps], $work);
    }

    public function test_a_whole_job_on_a_lever_that_is_right(): void
    {
        $tag = $this->machineLike('RT-20', 'ZN-01');
        $this
            ->as('ines')
            ->visit("/machines/{$tag}#clutch")
            ->tap('[data-start=clutch]')
            ->await('[data-unread], #bench-line')
            ->tap('[data-unread]')
            ->await('#bench-line');
        $this
            ->typed('all ok', 'all ok', 'cold', '3.1')
            ->typed('15', '15', '15')
            ->see('Release arm loose by hand')
            ->typed('yes', 'yes', 'ok', 'ok', 'yes', 'holds', 'middle', 'ok')
            ->see('Sign as fit for use');
        $this->pressed(WebDriverKeys::CONTROL.WebDriverKeys::ENTER)->see('Signed by Ines');
        $this->isAsTheDocsSay('A whole job, inside');
    }

    public function test_a_whole_job_with_one_move(): void
    {
        $tag = $this->machineLike('RT-20', 'ZN-02');
        $this
            ->as('ines')
            ->visit("/machines/{$tag}#clutch")
            ->tap('[data-start=clutch]')
            ->await('[data-unread], #bench-line')
            ->tap('[data-unread]')
            ->await('#bench-line');
        $this
            ->typed('all ok', 'all ok', 'cold', '3.1')
            ->typed('25', '25', '25')
            ->see('OUT')
            ->pressed('=')
            ->see('Moved: pull it fully three times and read it')
            ->typed('17', '17', '17')
            ->see('Lock the perch barrel')
            ->typed('ok', '17', '17', '17');
        $this
            ->see('Release arm loose by hand')
            ->typed('yes', 'yes', 'ok', 'ok', 'yes', 'holds', 'middle', 'ok')
            ->see('Sign as fit for use')
            ->pressed(WebDriverKeys::CONTROL.WebDriverKeys::ENTER)
            ->see('Signed by Ines');
        $this->isAsTheDocsSay('A whole job, one move');
    }

    public function test_three_controls_in_one_visit(): void
    {
        $tag = $this->machineLike('RT-20', 'ZN-03');
        $database = $this->server->database();
        $database->exec(
            "delete c from controls c join machines m on m.id = c.machine_id where m.tag = '{$tag}' and c.`key` <> 'clutch'",
        );
        foreach (['second' => 'Second lever', 'third' => 'Third lever'] as $key => $name) {
            $database->exec(
                "insert into controls (machine_id, spec_version_id, `key`, name, run, minutes, created_at, updated_at) select c.machine_id, c.spec_version_id, '{$key}', '{$name}', c.run, c.minutes, now(), now() from controls c join machines m on m.id = c.machine_id where m.tag = '{$tag}' and c.`key` = 'clutch'",
            );
        }
        $this->as('ines')->visit("/machines/{$tag}")->tap('[data-service]');
        foreach (['clutch', 'second', 'third'] as $key) {
            $this
                ->tap("[data-stop={$key}] [data-check]")
                ->await('#bench-line')
                ->typed('ok cold', '15')
                ->see('Play is inside')
                ->pressed('=')
                ->see('Checked, play inside');
            $this->tap('[data-rest]')->await("[data-stop={$key}][data-done=true]");
        }
        $this->isAsTheDocsSay('Three controls checked in one visit');
    }
}
