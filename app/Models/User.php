<?php

declare(strict_types=1);

namespace App\Models;

use App\People\ReadUnits;
use Carbon\CarbonImmutable;
use Illuminate\Foundation\Auth\User as Authenticatable;
use Illuminate\Http\Request;
use VividPull\Core\Log\Person;
use VividPull\Core\Log\Role;
use VividPull\Core\Quantity\DecimalMark;
use VividPull\Core\Quantity\ForceStyle;
use VividPull\Core\Quantity\LengthStyle;
use VividPull\Core\Quantity\SpeedStyle;

/**
 * @property int $id
 * @property string $login
 * @property string $name
 * @property Role $role
 * @property string|null $pin
 * @property string|null $calendar_digest
 * @property CarbonImmutable|null $left_at
 * @property LengthStyle|null $lengths
 * @property ForceStyle|null $forces
 * @property SpeedStyle|null $speeds
 * @property DecimalMark|null $decimals
 */
final class User extends Authenticatable
{
    protected $fillable = ['login', 'name', 'role', 'password'];

    protected $hidden = ['password', 'pin', 'calendar_digest'];

    /** Who is signed in: asked for only behind the sign-in. */
    public static function of(Request $request): self
    {
        $user = $request->user();
        assert($user instanceof self);

        return $user;
    }

    /** Signed in here by PIN: four digits are no lead's. Of this session alone, and never stored. */
    public bool $byPin = false;

    /** What the person may do here: a lead's rights ask for the password. */
    public function acting(): Role
    {
        return $this->byPin && $this->role === Role::Lead ? Role::Technician : $this->role;
    }

    public function person(): Person
    {
        return new Person($this->login, $this->name, $this->acting());
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ReadUnits::KINDS
            + ['role' => Role::class, 'password' => 'hashed', 'pin' => 'hashed', 'left_at' => 'immutable_datetime'];
    }
}
