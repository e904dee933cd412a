<?php

declare(strict_types=1);

namespace Tests\Architecture;

use PHPat\Selector\Selector;
use PHPat\Test\Builder\Rule;
use PHPat\Test\PHPat;

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

    public function test_families_declare_and_never_compute(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('VividPull\Core\Family'))
            ->shouldNot()->dependOn()
            ->classes(Selector::inNamespace('VividPull\Core\Planning'), Selector::inNamespace('VividPull\Core\Learning'))
            ->because('a family is a declaration');
    }
}
