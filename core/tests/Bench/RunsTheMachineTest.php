<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Bench;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use VividPull\Core\Bench\Bench;
use VividPull\Core\Bench\OtherControl;
use VividPull\Core\Bench\RunsTheMachine;
use VividPull\Core\Errors\Refused;
use VividPull\Core\Log\Entry\Checked;
use VividPull\Core\Log\Log;
use VividPull\Core\Log\Person;
use VividPull\Core\Log\Role;
use VividPull\Core\Log\Stamp;
use VividPull\Core\Spec\FamilyKey;
use VividPull\Core\Tests\Support\FamilyJob;
use VividPull\Core\Tests\Support\Walk;

/**
 * What runs the machine is known before it is answered, and waits for the rest of the machine (common practice, no
 * source).
 */
final class RunsTheMachineTest extends TestCase
{
    private const STEPS = 80;

    /** @return iterable<string, array{FamilyKey}> */
    public static function families(): iterable
    {
        foreach (FamilyKey::cases() as $key) {
            yield $key->value => [$key];
        }
    }

    #[DataProvider('families')]
    public function test_what_is_asked_runs_the_machine_where_its_answer_says_that_it_ran(FamilyKey $key): void
    {
        $job = FamilyJob::of($key);
        Walk::through($job, 31, self::STEPS, $key->value);
        $entries = $job->state->log->entries;
        $told = [];
        foreach (array_keys($entries) as $n) {
            if ($n === 0) {
                continue;
            }
            $before = Bench::replay($job->state->spec, $job->state->run, Log::of(...array_slice($entries, 0, $n)));
            $runs = RunsTheMachine::entry($before, $entries[$n]);
            self::assertSame(
                $runs,
                RunsTheMachine::asked($before),
                "{$key->value}: {$before->progress->asks()?->key} and then {$entries[$n]->kind()->value}",
            );
            $told[] = $runs;
        }
        self::assertContains(false, $told);
        self::assertSame(
            $key !== FamilyKey::ModeCables,
            in_array(true, $told, true),
            'of an arm nothing is tried but by hand',
        );
    }

    public function test_a_cover_that_is_off_stops_everybody_and_a_tag_all_but_a_lead(): void
    {
        $clear = new OtherControl('clutch lever', [], null);
        self::assertNull($clear->cover());
        self::assertNull($clear->tag());
        $open = new OtherControl('clutch lever', ['side cover', 'belt guard'], null);
        self::assertSame(
            'This runs the machine, and its side cover and belt guard are off, as the job on its clutch lever has it. Put it back, and say so there.',
            $open->cover(),
        );
        $turned = new OtherControl('throttle grip', [], null, untried: ['Snaps shut: not tried yet.']);
        self::assertSame(
            'This runs the machine, and what was changed on its throttle grip was not tried by hand since. Snaps shut: not tried yet. Try that first.',
            $turned->untried(),
        );
        self::assertSame([false, true], [$clear->isAgainst(), $turned->isAgainst()]);
        $tagged = new OtherControl('front brake', [], 'lever snapped');
        foreach ([
            [Role::Technician, [$clear], true],
            [Role::Technician, [$clear, $open], false],
            [Role::Lead, [$open], false],
            [Role::Lead, [$turned], false],
            [Role::Technician, [$tagged], false],
            [Role::Apprentice, [$tagged], false],
            [Role::Lead, [$tagged], true],
            [Role::Lead, [$tagged, $open], false],
        ] as [$role, $others, $may]) {
            self::assertSame($may, self::may($role, $others), $role->value);
        }
    }

    /** @param  list<OtherControl>  $others */
    private static function may(Role $role, array $others): bool
    {
        try {
            RunsTheMachine::check(
                new Checked(
                    new Stamp('e1', '2026-05-04T09:00:00+02:00', new Person('p1', 'Ines', $role)),
                    'idle_steady',
                    null,
                    'yes',
                ),
                $others,
            );
        } catch (Refused) {
            return false;
        }

        return true;
    }
}
