<?php

declare(strict_types=1);

namespace App\Practice;

use App\Bench\EntryRequest;
use App\Models\EntryRow;
use App\Models\PracticeAttempt;
use App\Models\PracticeTask;
use App\Models\User;
use App\Refusals\Conflict;
use App\Refusals\Forbidden;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use stdClass;
use VividPull\Core\Errors\CoreError;
use VividPull\Core\Errors\Refused;
use VividPull\Core\Input\Node;
use VividPull\Core\Log\EntryKind;
use VividPull\Core\Log\Person;
use VividPull\Core\Log\Role;
use VividPull\Core\Log\Stamp;
use VividPull\Core\Practice\Lesson\ActCodec;
use VividPull\Core\Practice\Lesson\Attempt;
use VividPull\Core\Practice\Lesson\Help;
use VividPull\Core\Practice\Lesson\Lesson;
use VividPull\Core\Practice\Lesson\LessonFile;
use VividPull\Core\Practice\Lesson\ScoreCodec;
use VividPull\Core\Practice\Lesson\Scorer;
use VividPull\Core\Wire\EntryCodec;

/**
 * Lessons being worked. What is done and written is appended to the attempt alone; the shop's log knows nothing of it.
 */
final readonly class Attempts
{
    private const TAKEN = 'Something else was already done under this id. Nothing was changed.';

    /** So much is done in no lesson. */
    private const MOST = 1000;

    public static function find(string $id, User $user): PracticeAttempt
    {
        $found = PracticeAttempt::query()->findOrFail($id);

        return $found->user_id === $user->id ? $found : throw new Forbidden('This attempt is somebody else’s.');
    }

    /** @throws Conflict If the id stands for another attempt. */
    public static function begin(
        string $id,
        Lesson $lesson,
        User $user,
        CarbonImmutable $now,
        ?PracticeTask $task = null,
    ): PracticeAttempt {
        if ($task !== null && $task->lesson !== $lesson->tale->key) {
            throw Refused::because('Another lesson is set there.');
        }
        $made = PracticeAttempt::query()->firstOrCreate(['id' => $id], [
            'user_id' => $user->id, 'lesson' => $lesson->tale->key, 'begun_at' => $now, 'task_id' => $task?->id,
            'help' => $task->help ?? Help::Asked,
            'frame' => json_encode(LessonFile::encode($lesson), JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION),
        ]);

        return $made->user_id === $user->id && $made->lesson === $lesson->tale->key
            ? $made
            : throw new Conflict('Another attempt was already begun under this id.');
    }

    /** Everything that was done and written in it, done again. */
    public static function replay(PracticeAttempt $row): Attempt
    {
        return self::replayed($row, self::deeds($row->id));
    }

    /**
     * What is written, as at the bench.
     *
     * @throws CoreError If the job does not take it.
     */
    public static function write(PracticeAttempt $row, EntryRequest $request, CarbonImmutable $now): Attempt
    {
        $write = static function (Attempt $attempt) use ($request, $row, $now): array {
            $by = self::person($row);
            $draft = $request->draft($attempt->job(), $by);
            $codec = new EntryCodec($attempt->job()->run);
            $attempt->write($codec->drafted($draft, $request->stamp($by, $now)));

            return [
                'kind' => $draft->kind->value,
                'body' => $draft->body,
                'line' => $request->line,
                'at' => $request->at,
            ];
        };

        return self::append($row, $request->id, $request->digest, $write, $now);
    }

    /**
     * What is done to the machine.
     *
     * @throws CoreError If it cannot be done on it.
     */
    public static function act(PracticeAttempt $row, Node $node, CarbonImmutable $now): Attempt
    {
        $node->object(['id', 'at', 'act'], ['of', 'by', 'pose', 'point', 'in']);
        $at = EntryCodec::instant($node->at('at'));
        $body = array_diff_key(is_array($node->value) ? $node->value : [], ['id' => true, 'at' => true]);
        $act = ActCodec::decode(Node::of($body));

        $digest = hash('sha256', (string) json_encode($body));
        $do = static function (Attempt $attempt) use ($act, $at): array {
            $attempt->act($act, $at);

            return ['kind' => null, 'body' => ActCodec::encode($act), 'line' => null, 'at' => $at];
        };

        return self::append($row, EntryRequest::uuid($node->at('id')), $digest, $do, $now);
    }

    /**
     * @param  callable(Attempt): array{
     *     kind: string|null, body: array<string, mixed>, line: string|null, at: string,
     * }  $do
     */
    private static function append(
        PracticeAttempt $row,
        string $id,
        string $digest,
        callable $do,
        CarbonImmutable $now,
    ): Attempt {
        return DB::transaction(static function () use ($row, $id, $digest, $do, $now): Attempt {
            PracticeAttempt::query()->whereKey($row->id)->lockForUpdate()->firstOrFail();
            $deeds = self::deeds($row->id);
            $attempt = self::replayed($row, $deeds);
            $same = array_values(array_filter($deeds, static fn (stdClass $one): bool => $one->id === $id))[0] ?? null;
            if ($same !== null) {
                return $same->digest === $digest ? $attempt : throw new Conflict(self::TAKEN);
            }
            if (count($deeds) >= self::MOST) {
                throw Refused::because('So much is done in no lesson. Begin it again.');
            }
            if (DB::table('practice_deeds')->where('id', $id)->exists()) {
                throw new Conflict(self::TAKEN);
            }
            $done = $do($attempt);
            DB::table('practice_deeds')->insert(
                [
                    'id' => $id,
                    'attempt_id' => $row->id,
                    'seq' => count($deeds) + 1,
                    'digest' => $digest,
                    'received_at' => $now->utc()->format('Y-m-d H:i:s.v'),
                    'body' => json_encode($done['body'], JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION),
                ]
                    + $done,
            );
            if ($attempt->isOver()) {
                $row->update(['ended_at' => $now, 'score' => ScoreCodec::encode(Scorer::judge($attempt))]);
            }

            return $attempt;
        }, 3);
    }

    /** @return list<stdClass> in order */
    private static function deeds(string $attempt): array
    {
        return array_values(DB::table('practice_deeds')->where('attempt_id', $attempt)->orderBy('seq')->get()->all());
    }

    /** @param  list<stdClass>  $deeds */
    private static function replayed(PracticeAttempt $row, array $deeds): Attempt
    {
        $person = self::person($row);
        $attempt = new Attempt(
            LessonFile::read($row->frame),
            $person,
            $row->id,
            $row->begun_at->toIso8601String(),
            $row->help,
        );
        foreach ($deeds as $deed) {
            $body = json_decode($deed->body, true, flags: JSON_THROW_ON_ERROR);
            if ($deed->kind === null) {
                $attempt->act(ActCodec::decode(Node::of($body)), $deed->at);

                continue;
            }
            $stamp = new Stamp(
                $deed->id,
                $deed->at,
                $person,
                null,
                $deed->line,
                EntryRow::instant($deed->received_at),
            );
            $attempt->write(
                (new EntryCodec($attempt->job()->run))->entry(EntryKind::from($deed->kind), Node::of($body), $stamp),
                false,
            );
        }

        return $attempt;
    }

    /** On a machine to learn on everybody may sign. */
    public static function person(PracticeAttempt $row): Person
    {
        return new Person($row->user->login, $row->user->name, Role::Technician);
    }
}
