<?php

declare(strict_types=1);

namespace App\Library;

use App\Models\Control;
use App\Models\SearchTerms;
use App\Models\SpecVersion;
use Illuminate\Database\Query\Builder as QueryBuilder;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use VividPull\Core\Family\Families;
use VividPull\Core\Spec\SourceKind;
use VividPull\Core\Wire\SpecCodec;

/** The library as a list: the newest version of every model and control, found by any of its words. */
final readonly class SpecList
{
    private const PAGE = 50;

    /** @return array{specs: list<array<string, mixed>>, total: int, page: int, pages: int} */
    public static function page(string $find, int $page): array
    {
        $ids = self::newest($find)->orderBy('model')->orderBy('control')->pluck('id');
        $total = $ids->count();
        $rows = SpecVersion::query()
            ->whereIn('id', $ids->forPage($page, self::PAGE))
            ->orderBy('model')
            ->orderBy('control')
            ->get();
        $used = self::used($rows);
        $alone = SpecUse::worksAlone();

        return [
            'specs' => array_values(
                $rows
                    ->map(
                        static fn (SpecVersion $one): array => self::brief($one, $alone)
                            + ['machines' => $used["{$one->model}/{$one->control}"] ?? 0],
                    )
                    ->all(),
            ),
            'total' => $total,
            'page' => $page,
            'pages' => max(1, (int) ceil($total / self::PAGE)),
        ];
    }

    /**
     * @param  bool  $alone  whether one person works alone here
     * @return array<string, mixed>
     */
    public static function brief(SpecVersion $one, bool $alone): array
    {
        $spec = $one->spec();

        return [
            'id' => $one->id,
            'model' => $one->model,
            'control' => $one->control,
            'name' => $one->name,
            'version' => $one->version,
            'draft' => ! SpecUse::judges($one, $alone),
            'unchecked' => $one->isDraft(),
            'family' => $spec->family->value,
            'family_title' => Families::of($spec->family)->title(),
            'says' => SpecCodec::asksSomething($spec) ? $spec->say() : 'No figure yet',
            'printed' => $spec->book->printed,
            'source' => $spec->source->say(),
            'common_practice' => $spec->source->kind === SourceKind::CommonPractice,
            'entered_by' => $spec->source->enteredBy,
            'checked_by' => $spec->source->checkedBy,
        ];
    }

    /** Read from the search index alone: it has every word that is looked for. */
    private static function newest(string $find): QueryBuilder
    {
        $query = DB::table('spec_versions');
        foreach (SearchTerms::patterns($find) as $pattern) {
            $query->where('words', 'like', $pattern);
        }

        // Asked last, so that it is asked only of what has the words.
        return $query->whereNotExists(
            static fn (QueryBuilder $newer) => $newer
                ->from('spec_versions as newer')
                ->selectRaw('1')
                ->whereColumn('newer.model', 'spec_versions.model')
                ->whereColumn('newer.control', 'spec_versions.control')
                ->whereColumn('newer.version', '>', 'spec_versions.version'),
        );
    }

    /**
     * @param  Collection<int, SpecVersion>  $rows
     * @return array<string, int> machines by model and control, whatever version each is on
     */
    private static function used(Collection $rows): array
    {
        $counts = Control::query()->join('spec_versions', 'spec_versions.id', '=', 'controls.spec_version_id')
            ->whereIn('spec_versions.model', $rows->pluck('model')->unique()->values())
            ->toBase()
            ->groupBy('spec_versions.model', 'spec_versions.control')
            ->selectRaw('spec_versions.model, spec_versions.control, count(*) as machines')
            ->get();
        $used = [];
        foreach ($counts as $one) {
            $used["{$one->model}/{$one->control}"] = (int) $one->machines;
        }

        return $used;
    }
}
