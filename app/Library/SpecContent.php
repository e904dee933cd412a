<?php

declare(strict_types=1);

namespace App\Library;

use App\Models\SpecVersion;
use App\Refusals\Conflict;
use Illuminate\Support\Facades\DB;
use VividPull\Core\Input\Node;

/** What a version says, by a hash: who checks it, or puts it in force, names what they looked at. */
final readonly class SpecContent
{
    public static function of(SpecVersion $spec): string
    {
        $body = $spec->body;
        // Who checked it is what the check itself adds.
        unset($body['source']['checked_by']);
        $sketch = DB::table('spec_sketches')->where('spec_version_id', $spec->id)->value('sum');

        return hash(
            'sha256',
            (string) json_encode([$body, $spec->run, $spec->name, $spec->minutes, $sketch], JSON_UNESCAPED_UNICODE),
        );
    }

    /**
     * The version, held until the work is done, if it says what was looked at.
     *
     * @throws Conflict If it was changed since.
     */
    public static function held(SpecVersion $spec, Node $request): SpecVersion
    {
        $seen = $request->object(['content'])->at('content')->string(64);
        $now = SpecVersion::query()->with('enteredBy')->lockForUpdate()->findOrFail($spec->id);
        if (! hash_equals(self::of($now), $seen)) {
            throw new Conflict(
                'It was changed since you looked. What it says now is shown beside what it said; look again.',
            );
        }

        return $now;
    }
}
