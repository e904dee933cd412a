<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Bench\EntryRequest;
use App\Exchange\CableExport;
use App\Exchange\CauseExport;
use App\Exchange\HistoryExport;
use App\Exchange\ImportKind;
use App\Exchange\ReadingsExport;
use App\Exchange\ShopExport;
use App\Exchange\SpecExport;
use App\Exchange\TableExport;
use App\Jobs\CheckImport;
use App\Jobs\RunImport;
use App\Models\Audit;
use App\Models\ImportFile;
use App\Models\User;
use App\Refusals\Conflict;
use Carbon\CarbonImmutable;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Str;
use Symfony\Component\HttpFoundation\BinaryFileResponse;
use Symfony\Component\HttpFoundation\StreamedResponse;
use VividPull\Core\Errors\Refused;
use VividPull\Core\Input\Node;

/** Open formats, out and in. */
final class ExchangeController
{
    private const MOST_BYTES = 134_217_728;

    private const LISTED = 20;

    public function history(Request $request): StreamedResponse
    {
        return $this->out($request, new HistoryExport, 'history');
    }

    public function readings(Request $request): StreamedResponse
    {
        return $this->out($request, new ReadingsExport, 'readings');
    }

    public function specs(Request $request): StreamedResponse
    {
        return $this->out($request, new SpecExport, 'specs');
    }

    public function causes(Request $request): StreamedResponse
    {
        return $this->out($request, new CauseExport, 'causes');
    }

    public function cables(Request $request): StreamedResponse
    {
        return $this->out($request, new CableExport, 'cables');
    }

    /** The whole shop, without what is as good as a password. */
    public function shop(Request $request): BinaryFileResponse
    {
        $folder = storage_path('app/exports');
        is_dir($folder) || mkdir($folder, 0700, true);
        $file = $folder.'/'.Str::uuid().'.zip';
        ShopExport::to($file);
        Audit::note(User::of($request), 'shop exported', 'the whole shop');

        return (new BinaryFileResponse(
            $file,
            200,
            ['Content-Type' => 'application/zip', 'Cache-Control' => 'private, no-store'],
        ))
            ->setContentDisposition(
                'attachment',
                'vivid-pull-shop-'.CarbonImmutable::now()->format('Y-m-d').'.zip',
            )->deleteFileAfterSend();
    }

    public function imports(): JsonResponse
    {
        return new JsonResponse([
            'imports' => ImportFile::query()
                ->orderByDesc('at')
                ->limit(self::LISTED)
                ->get()
                ->map(self::wire(...))
                ->values()
                ->all(),
        ]);
    }

    /** A file, as it is, under an id its sender made; its lines are considered at once, and nothing is kept yet. */
    public function take(Request $request, string $import): JsonResponse
    {
        $id = EntryRequest::uuid(Node::of($import, '$.import'));
        $kind = Node::of($request->query('kind'), '$.kind')->enum(ImportKind::class);
        $name = $request->query('name');
        $bytes = $request->getContent();
        if ($bytes === '' || strlen($bytes) > self::MOST_BYTES) {
            throw Refused::because(
                $bytes === '' ? 'This file is empty.' : 'This file is larger than 128 MB. Take it in in parts.',
            );
        }
        if (ImportFile::query()->whereKey($id)->exists()) {
            throw new Conflict('Another file stands under this id.');
        }
        $file = ImportFile::query()->create([
            'id' => $id,
            'user_id' => User::of($request)->id,
            'kind' => $kind->value,
            'name' => is_string($name) ? mb_substr($name, 0, 120) : '',
            'state' => 'waiting',
            'report' => (object) [],
            'at' => CarbonImmutable::now(),
        ]);
        if (@file_put_contents($file->path(), $bytes) !== strlen($bytes)) {
            $file->forget();
            throw Refused::because('The disk of the server is full: the file could not be kept. Nothing was changed.');
        }
        dispatch(new CheckImport($id));

        return new JsonResponse(self::wire($file->refresh()), 201);
    }

    public function import(string $import): JsonResponse
    {
        return new JsonResponse(self::wire(ImportFile::query()->findOrFail($import)));
    }

    /** Writes what was considered. Rejected lines stand in the way, unless it is said that they are left out. */
    public function run(Request $request, string $import): JsonResponse
    {
        $without = Node::fromJson($request->getContent())
            ->object(['without_rejected'])
            ->at('without_rejected')
            ->boolean();
        $file = ImportFile::query()->findOrFail($import);
        if ($file->state !== 'checked') {
            throw new Conflict(
                $file->state === 'done' ? 'This file was taken in already.' : 'This file is not ready to be taken in.',
            );
        }
        if (($file->report['rejected_in_all'] ?? 0) > 0 && ! $without) {
            throw new Conflict(
                "{$file->report['rejected_in_all']} lines cannot be taken, so none was. Put them right, or say that they are left out.",
            );
        }
        $file->forceFill(['state' => 'waiting'])->save();
        Audit::note(
            User::of($request),
            'file imported',
            $file->name,
            [
                'kind' => $file->kind,
                'new' => $file->report['new'] ?? 0,
                'left out' => $file->report['rejected_in_all'] ?? 0,
            ],
        );
        dispatch(new RunImport($file->id));

        return new JsonResponse(self::wire($file->refresh()));
    }

    public function forget(string $import): Response
    {
        ImportFile::query()->findOrFail($import)->forget();

        return new Response(status: 204);
    }

    /** @return array<string, mixed> */
    private static function wire(ImportFile $file): array
    {
        return [
            'id' => $file->id,
            'kind' => $file->kind,
            'name' => $file->name,
            'state' => $file->state,
            'at' => $file->at->toIso8601String(),
            'lines' => $file->lines,
            'done' => $file->done(),
            'new' => $file->report['new'] ?? 0,
            'standing' => $file->report['standing'] ?? 0,
            'rejected_in_all' => $file->report['rejected_in_all'] ?? 0,
            'rejected' => $file->report['rejected'] ?? [],
            'sentence' => $file->report['sentence'] ?? null,
        ];
    }

    private function out(Request $request, TableExport $table, string $name): StreamedResponse
    {
        $as = $request->query('as');
        $format = in_array($as, ['csv', 'spreadsheet', 'json'], true) ? $as : 'csv';
        $ending = $format === 'json' ? 'json' : 'csv';

        return new StreamedResponse(static function () use ($table, $format): void {
            $out = fopen('php://output', 'wb');
            if ($out !== false) {
                $table->write($out, $format);
                fclose($out);
            }
        }, 200, [
            'Content-Type' => $format === 'json' ? 'application/json' : 'text/csv; charset=utf-8',
            'Content-Disposition' => "attachment; filename=\"vivid-pull-{$name}.{$ending}\"",
            'Cache-Control' => 'private, no-store',
            'X-Content-Type-Options' => 'nosniff',
        ]);
    }
}
