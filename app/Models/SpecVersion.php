<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use VividPull\Core\Input\Node;
use VividPull\Core\Spec\Spec;
use VividPull\Core\Wire\RunDraft;
use VividPull\Core\Wire\SpecCodec;

/**
 * One version of a spec; never changed once checked, or once a job was judged by it.
 *
 * @property int $id
 * @property string $model
 * @property string $control
 * @property int $version
 * @property array<string, mixed> $body
 * @property string $name
 * @property int $minutes
 * @property array<string, mixed>|null $run
 * @property bool $hangs whether it hangs itself on the machines of its model once they may be judged by it
 * @property int|null $entered_by_id
 * @property int|null $checked_by_id
 * @property CarbonImmutable|null $checked_at
 * @property User|null $enteredBy
 */
final class SpecVersion extends Model
{
    protected $guarded = [];

    private ?Spec $read = null;

    private string $readFrom = '';

    /** @return BelongsTo<User, $this> */
    public function enteredBy(): BelongsTo
    {
        return $this->belongsTo(User::class, 'entered_by_id');
    }

    /** @return HasMany<Control, $this> */
    public function controls(): HasMany
    {
        return $this->hasMany(Control::class);
    }

    /** What is written here, as the core reads it; read once so long as it stands. */
    public function spec(): Spec
    {
        $written = (string) $this->attributes['body'];
        if ($this->read === null || $this->readFrom !== $written) {
            [$this->read, $this->readFrom] = [SpecCodec::draft(Node::of($this->body)), $written];
        }

        return $this->read;
    }

    /** @return list<string> what nobody filled in yet, and no control is judged without */
    public function missing(): array
    {
        return [
            ...(SpecCodec::asksSomething($this->spec()) ? [] : ['the book\'s figure, or what it must do']),
            ...($this->run === null ? [] : RunDraft::of(Node::of($this->run))->missing),
        ];
    }

    public function isDraft(): bool
    {
        return $this->checked_at === null;
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'body' => 'array',
            'run' => 'array',
            'version' => 'integer',
            'minutes' => 'integer',
            'hangs' => 'boolean',
            'checked_at' => 'immutable_datetime',
        ];
    }
}
