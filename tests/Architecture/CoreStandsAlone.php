<?php

declare(strict_types=1);

namespace Tests\Architecture;

use PHPat\Selector\Selector;
use PHPat\Selector\SelectorInterface;
use PHPat\Test\Builder\Rule;
use PHPat\Test\PHPat;
use VividPull\Core\Practice\HiddenMachine;
use VividPull\Core\Practice\SeededChance;

/** The core names nothing outside itself; static analysis proves it on every run. */
final class CoreStandsAlone
{
    public function test_the_core_depends_on_nothing_outside_itself(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('VividPull\Core'))
            ->excluding(Selector::inNamespace('VividPull\Core\Tests'))
            ->shouldNot()->dependOn()
            ->classes(
                Selector::inNamespace('App'),
                Selector::inNamespace('Illuminate'),
                Selector::inNamespace('Carbon'),
                Selector::inNamespace('Symfony'),
                Selector::inNamespace('Database'),
                Selector::inNamespace('Tests'),
            )
            ->because('the rules of the trade are tested without framework, clock and database');
    }

    /**
     * From the bottom up: none names anything above it.
     *
     * @return iterable<string, Rule>
     */
    public function test_the_core_is_built_in_layers(): iterable
    {
        foreach (Layers::OF_THE_CORE as $n => $layer) {
            $above = array_slice(Layers::OF_THE_CORE, $n + 1);
            if ($above !== []) {
                yield $layer => PHPat::rule()
                    ->classes(Selector::inNamespace("VividPull\\Core\\{$layer}"))
                    ->shouldNot()->dependOn()
                    ->classes(...array_map(
                        static fn (string $one): SelectorInterface => Selector::inNamespace("VividPull\\Core\\{$one}"),
                        $above,
                    ))
                    ->because('what stands below can be read without what stands above');
            }
        }
    }

    public function test_what_the_server_does_knows_nothing_of_http(): Rule
    {
        return PHPat::rule()
            ->classes(...array_map(
                static fn (string $one): SelectorInterface => Selector::inNamespace("App\\{$one}"),
                ['Bench', 'Chain', 'Exchange', 'Library', 'People', 'Refusals'],
            ))
            ->shouldNot()->dependOn()
            ->classes(Selector::inNamespace('App\Http'))
            ->because('files, the queue and the console do the same things');
    }

    public function test_hidden_machines_know_nothing_of_the_bench(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::classname(HiddenMachine::class), Selector::classname(SeededChance::class))
            ->shouldNot()->dependOn()
            ->classes(
                Selector::inNamespace('VividPull\Core\Planning'),
                Selector::inNamespace('VividPull\Core\Learning'),
                Selector::inNamespace('VividPull\Core\Bench'),
                Selector::inNamespace('VividPull\Core\Measurement'),
                Selector::inNamespace('VividPull\Core\Facts'),
                Selector::inNamespace('VividPull\Core\Judging'),
                Selector::inNamespace('VividPull\Core\Progress'),
            )
            ->because('what tries the planner must not share its mistakes');
    }

    public function test_families_declare_and_never_compute(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('VividPull\Core\Family'))
            ->shouldNot()->dependOn()
            ->classes(
                Selector::inNamespace('VividPull\Core\Planning'),
                Selector::inNamespace('VividPull\Core\Learning'),
                Selector::inNamespace('VividPull\Core\Judging'),
            )
            ->because('a family is a declaration');
    }
}
