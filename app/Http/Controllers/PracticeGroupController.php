<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Bench\EntryRequest;
use App\Models\PracticeGroup;
use App\Practice\Groups;
use App\Practice\OwnLessons;
use Carbon\CarbonImmutable;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use VividPull\Core\Errors\Refused;
use VividPull\Core\Input\Node;
use VividPull\Core\Practice\Lesson\Help;

/** Who learns together, and the lessons that are set for them: for who teaches. */
final class PracticeGroupController
{
    private const MOST = 100;

    public function index(): JsonResponse
    {
        return new JsonResponse(Groups::all());
    }

    public function store(Request $request): JsonResponse
    {
        $node = Node::fromJson($request->getContent())->object(['id', 'name', 'people']);
        Groups::make(
            EntryRequest::uuid($node->at('id')),
            $node->at('name')->name(),
            self::logins($node),
            CarbonImmutable::now(),
        );

        return new JsonResponse(Groups::all(), 201);
    }

    public function update(Request $request, string $group): JsonResponse
    {
        $node = Node::fromJson($request->getContent());
        $found = PracticeGroup::query()->findOrFail($group);
        $node->object(['name', 'people']);
        Groups::change($found, $node->at('name')->name(), self::logins($node));

        return $this->index();
    }

    /** The group and what is set for it; what its people did stays theirs. */
    public function remove(string $group): JsonResponse
    {
        PracticeGroup::query()->findOrFail($group)->delete();

        return $this->index();
    }

    public function set(Request $request, string $group): JsonResponse
    {
        $node = Node::fromJson($request->getContent());
        $found = PracticeGroup::query()->findOrFail($group);
        $node->object(['id', 'lesson', 'help', 'due_on']);
        $lesson = $node->at('lesson')->string(40);
        if (OwnLessons::title($lesson) === null) {
            throw Refused::because('There is no such lesson.');
        }
        Groups::set(
            $found,
            EntryRequest::uuid($node->at('id')),
            $lesson,
            $node->at('help')->enum(Help::class),
            $node->at('due_on')->value === null ? null : $node->at('due_on')->day(),
            CarbonImmutable::now(),
        );

        return new JsonResponse(Groups::all(), 201);
    }

    public function takeBack(string $group, string $task): JsonResponse
    {
        PracticeGroup::query()->findOrFail($group)->tasks()->findOrFail($task)->delete();

        return $this->index();
    }

    /** @return list<string> */
    private static function logins(Node $node): array
    {
        return array_values(array_unique(array_map(
            static fn (Node $one): string => $one->string(60),
            $node->at('people')->items(self::MOST),
        )));
    }
}
