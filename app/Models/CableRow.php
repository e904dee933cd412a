<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use VividPull\Core\Cable\KnownCable;
use VividPull\Core\Input\Node;
use VividPull\Core\Wire\CableCodec;

/**
 * A cable of the shop's book.
 *
 * @property string $id
 * @property array<string, mixed> $body
 * @property string|null $number
 * @property string|null $price
 * @property string|null $note
 * @property string|null $measured_by
 * @property string|null $measured_on
 * @property int|null $control_id
 * @property Control|null $control
 */
final class CableRow extends Model
{
    public $incrementing = false;

    protected $table = 'known_cables';

    protected $guarded = [];

    protected $keyType = 'string';

    /** @return BelongsTo<Control, $this> */
    public function control(): BelongsTo
    {
        return $this->belongsTo(Control::class);
    }

    public function cable(): KnownCable
    {
        return CableCodec::decode(Node::of($this->body));
    }

    /** @return array<string, mixed> everything that can be changed about it */
    public function asWritten(): array
    {
        return CableCodec::encode($this->cable()) + [
            'number' => $this->number, 'price' => $this->price, 'note' => $this->note,
            'measured_by' => $this->measured_by, 'measured_on' => $this->measured_on, 'control' => $this->control_id,
        ];
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['body' => 'array'];
    }
}
