<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Bench\EntryRequest;
use App\Bench\JobHead;
use App\Models\PracticeAttempt;
use App\Models\User;
use App\Practice\AttemptResource;
use App\Practice\Attempts;
use App\Practice\LearnerList;
use App\Practice\LessonList;
use App\Practice\OwnLessons;
use App\Practice\SetLessons;
use App\Refusals\WrittenByAnother;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use VividPull\Core\Input\Node;
use VividPull\Core\Practice\Lesson\Attempt;
use VividPull\Core\Practice\Lesson\Lesson;
use VividPull\Core\Practice\Lesson\LessonFile;
use VividPull\Core\Practice\Lesson\LessonForm;
use VividPull\Core\Practice\Lesson\LessonTale;
use VividPull\Core\Wire\TypedQuantities;

/** Machines to learn on, for everybody who is signed in. Nothing of it is in the shop's records. */
final class PracticeController
{
    public function index(Request $request): JsonResponse
    {
        return new JsonResponse(LessonList::of(User::of($request)));
    }

    /** The lesson as a file, with what is true of its machine. */
    public function file(string $lesson): JsonResponse
    {
        return new JsonResponse(
            LessonFile::encode(self::lesson($lesson)),
            200,
            ['Content-Disposition' => "attachment; filename=\"{$lesson}.json\""],
            JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRESERVE_ZERO_FRACTION,
        );
    }

    /** A lesson from a file. */
    public function take(Request $request, string $lesson): JsonResponse
    {
        OwnLessons::take($lesson, $request->getContent(), User::of($request), CarbonImmutable::now());

        return new JsonResponse(LessonList::of(User::of($request)));
    }

    /** A lesson from a closed job. */
    public function make(Request $request): JsonResponse
    {
        $node = Node::fromJson($request->getContent())->object(['id', 'job', 'title', 'teaches', 'story']);
        $id = EntryRequest::uuid($node->at('id'));
        $tale = new LessonTale(
            OwnLessons::keyOf($id),
            trim($node->at('title')->string(80)),
            trim($node->at('teaches')->string(200)),
            trim($node->at('story')->string(300)),
        );
        OwnLessons::fromJob(
            JobHead::find($node->at('job')->string(36)),
            $id,
            $tale,
            User::of($request),
            CarbonImmutable::now(),
        );

        return new JsonResponse(LessonList::of(User::of($request)), 201);
    }

    /** What can be filled in for another lesson on this one's machine. */
    public function form(string $lesson): JsonResponse
    {
        return new JsonResponse(LessonForm::of(self::lesson($lesson)));
    }

    /** A lesson filled in by hand, on the machine of another. */
    public function fill(Request $request, string $lesson): JsonResponse
    {
        $node = TypedQuantities::readIn(Node::fromJson($request->getContent()));
        $like = self::lesson($lesson);
        $node->object(['id', 'form']);
        OwnLessons::fill(
            $like,
            EntryRequest::uuid($node->at('id')),
            $node->at('form'),
            User::of($request),
            CarbonImmutable::now(),
        );

        return new JsonResponse(LessonList::of(User::of($request)), 201);
    }

    /** Out of the list; what was done in it stays. */
    public function remove(Request $request, string $lesson): JsonResponse
    {
        if (! OwnLessons::remove($lesson)) {
            throw (new ModelNotFoundException)->setModel(PracticeAttempt::class);
        }

        return new JsonResponse(LessonList::of(User::of($request)));
    }

    public function begin(Request $request): JsonResponse
    {
        $node = Node::fromJson($request->getContent())->object(['id', 'lesson'], ['task']);
        [$user, $lesson] = [User::of($request), self::lesson($node->at('lesson')->string(40))];
        $task = $node->has('task')
            ? SetLessons::find(EntryRequest::uuid($node->at('task')), $user)
            : SetLessons::waiting($user, $lesson->tale->key);
        $row = Attempts::begin(EntryRequest::uuid($node->at('id')), $lesson, $user, CarbonImmutable::now(), $task);

        return $this->answer($row, Attempts::replay($row), $row->wasRecentlyCreated ? 201 : 200);
    }

    public function show(Request $request, string $attempt): JsonResponse
    {
        $row = Attempts::find($attempt, User::of($request));

        return $this->answer($row, Attempts::replay($row));
    }

    public function write(Request $request, string $attempt): JsonResponse
    {
        $entry = EntryRequest::from(Node::fromJson($request->getContent()));
        $row = Attempts::find($attempt, User::of($request));
        WrittenByAnother::unless($entry->by, User::of($request));

        return $this->answer($row, Attempts::write($row, $entry, CarbonImmutable::now()));
    }

    public function act(Request $request, string $attempt): JsonResponse
    {
        $node = Node::fromJson($request->getContent());
        $row = Attempts::find($attempt, User::of($request));

        return $this->answer($row, Attempts::act($row, $node, CarbonImmutable::now()));
    }

    /** How everybody does who learns here. */
    public function learners(): JsonResponse
    {
        return new JsonResponse(LearnerList::all());
    }

    public function learnersFile(): Response
    {
        return new Response(
            LearnerList::csv(),
            200,
            [
                'Content-Type' => 'text/csv; charset=UTF-8',
                'Content-Disposition' => 'attachment; filename="practice.csv"',
            ],
        );
    }

    private function answer(PracticeAttempt $row, Attempt $attempt, int $status = 200): JsonResponse
    {
        return new JsonResponse(AttemptResource::of($row->refresh(), $attempt), $status);
    }

    /** @throws ModelNotFoundException<PracticeAttempt> If there is no such lesson. */
    private static function lesson(string $key): Lesson
    {
        return OwnLessons::find($key) ?? throw (new ModelNotFoundException)->setModel(PracticeAttempt::class);
    }
}
