<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Foundation\Auth\User as Authenticatable;
use VividPull\Core\Bench\Person;
use VividPull\Core\Bench\Role;

/**
 * @property int $id
 * @property string $login
 * @property string $name
 * @property Role $role
 */
final class User extends Authenticatable
{
    protected $fillable = ['login', 'name', 'role', 'password'];

    protected $hidden = ['password'];

    public function person(): Person
    {
        return new Person($this->login, $this->name, $this->role);
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['role' => Role::class, 'password' => 'hashed'];
    }
}
