<?php

declare(strict_types=1);

namespace Tests\Feature;

use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Support\FaultyMachines;
use Tests\Support\HttpJob;
use Tests\Support\Technician;
use Tests\Support\Yard;
use Tests\TestCase;
use VividPull\Core\Spec\FamilyKey;

/** A machine of every family from its fault to its signature, by somebody who makes the usual mistakes. */
final class FaultyMachinesTest extends TestCase
{
    /**
     * What an experienced hand would call fair; the longest is a governed pedal with its two cables, three readings
     * each.
     */
    private const MOST_ENTRIES = 40;

    /** @return iterable<string, array{string, string, FamilyKey, Technician}> */
    public static function machines(): iterable
    {
        return FaultyMachines::all();
    }

    #[DataProvider('machines')]
    public function test_it_is_mended_and_signed(
        string $tag,
        string $control,
        FamilyKey $family,
        Technician $technician,
    ): void {
        if (! in_array($tag, ['RT-14', 'QB-03'], true)) {
            Yard::add($tag);
        }
        $job = HttpJob::open($this->signIn(), $tag, $control);
        self::assertSame($family->value, $job->state['family']['key']);
        $entries = 0;
        for (; ($deed = $technician->next($job->state)) !== null && $entries < self::MOST_ENTRIES; $entries++) {
            $rows = $job->rows();
            $answer = isset($deed['cure'])
                ? $job->body('put_right', ['cure' => $deed['cure']])
                : $job->line($deed['line'], $job->shown('caliper-1'));
            if (($deed['refused'] ?? null) === null) {
                $answer->assertOk();

                continue;
            }
            self::assertStringContainsString($deed['refused'], (string) $answer->assertStatus(422)->json('detail'));
            self::assertSame($rows, $job->rows(), 'nothing was logged');
            $entries--;
        }
        self::assertSame('sign_off', $job->state['asks'], "after {$entries} entries");
        self::assertSame([], $job->state['closing']['fit']);
        $job->body('closed', ['outcome' => 'fit'])->assertOk();
    }

    public function test_every_family_has_one(): void
    {
        $mended = array_map(static fn (array $one): string => $one[2]->value, iterator_to_array(FaultyMachines::all()));
        self::assertSame([], array_values(array_diff(array_column(FamilyKey::cases(), 'value'), $mended)));
    }
}
