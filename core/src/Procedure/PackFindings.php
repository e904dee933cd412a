<?php

declare(strict_types=1);

namespace VividPull\Core\Procedure;

/** What is looked over where a pack of plates is opened, beside what is measured (common practice, no source). */
final readonly class PackFindings
{
    /** @return list<Inspection> */
    public static function all(): array
    {
        return [
            new Inspection('pack_steels', 'Steel plates', 'Blue or purple is heat; warp on a flat surface'),
            new Inspection(
                'pack_basket',
                'Basket fingers',
                'Ridges under a fingernail or pick: file them even, or replace it',
            ),
            new Inspection('pack_hub', 'Hub splines', 'Grooves where the steels sit'),
            new Inspection(
                'pack_pressure_plate',
                'Pressure plate',
                'Ridges and grooves on its face; one position only lets it down fully',
            ),
        ];
    }
}
