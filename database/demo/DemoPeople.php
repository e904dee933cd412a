<?php

declare(strict_types=1);

namespace Database\Demo;

use App\Models\User;
use VividPull\Core\Log\Role;

/** The invented people of the demo workshop. Their passwords open nothing but the demo. */
final readonly class DemoPeople
{
    /** Login, name, role, password. */
    public const ALL = [
        ['ines', 'Ines', Role::Technician, 'ferry-bell-42'],
        ['tomas', 'Tomas', Role::Technician, 'dune-grass-17'],
        ['oda', 'Oda', Role::Lead, 'harbour-lamp-9'],
        ['mirre', 'Mirre', Role::Apprentice, 'tide-table-31'],
        ['office', 'Harbour office', Role::Viewer, 'slack-water-6'],
    ];

    /** @return array<string, User> by login */
    public static function load(): array
    {
        $users = [];
        foreach (self::ALL as [$login, $name, $role, $password]) {
            $users[$login] = User::query()->create([
                'login' => $login,
                'name' => $name,
                'role' => $role,
                'password' => $password,
            ]);
        }

        return $users;
    }
}
