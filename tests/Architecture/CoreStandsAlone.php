<?php

declare(strict_types=1);

namespace Tests\Architecture;

use PHPat\Selector\Selector;
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
            )
            ->because('what tries the planner must not share its mistakes');
    }

    public function test_families_declare_and_never_compute(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('VividPull\Core\Family'))
            ->shouldNot()->dependOn()
            ->classes(Selector::inNamespace('VividPull\Core\Planning'), Selector::inNamespace('VividPull\Core\Learning'))
            ->because('a family is a declaration');
    }
}
