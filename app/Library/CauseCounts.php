<?php

declare(strict_types=1);

namespace App\Library;

use App\Chain\Version;
use App\Models\Audit;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use VividPull\Core\Diagnosis\Cause;
use VividPull\Core\Diagnosis\Causes;
use VividPull\Core\Diagnosis\Weights;
use VividPull\Core\Family\Families;
use VividPull\Core\Spec\FamilyKey;

/**
 * How often each cause was at the bottom of it: what closed complaints here say, what a lead changed about that, and
 * what other workshops counted. Only the last two are kept; the first is counted each time.
 */
final readonly class CauseCounts
{
    /** @param  array<string, array{here: int, elsewhere: int}>  $counts  by cause, in the family's order */
    private function __construct(private FamilyKey $family, private array $counts) {}

    public static function of(FamilyKey $family): self
    {
        $found = self::found($family);
        $kept = DB::table('cause_weights')->where('family', $family->value)->get()->keyBy('cause');
        $counts = [];
        foreach (array_keys(Causes::of($family)->causes) as $cause) {
            $counts[$cause] = [
                'here' => max(0, ($found[$cause] ?? 0) + (int) ($kept[$cause]->changed ?? 0)),
                'elsewhere' => (int) ($kept[$cause]->elsewhere ?? 0),
            ];
        }

        return new self($family, $counts);
    }

    public static function weights(FamilyKey $family): Weights
    {
        return self::of($family)->weighed();
    }

    /** @return array<string, mixed> */
    public function wire(): array
    {
        $causes = Causes::of($this->family)->causes;
        $weights = $this->weighed();

        return [
            'family' => $this->family->value,
            'title' => Families::of($this->family)->title(),
            'etag' => $this->etag(),
            'causes' => array_map(static fn (array $row): array => $row + [
                'label' => $causes[$row['key']]->label,
                'practice' => round($causes[$row['key']]->commonness->chance(), 4),
                'chance' => round($weights->chance($causes[$row['key']]), 4),
            ], self::rows($this->counts)),
        ];
    }

    /** @param  array<string, int>  $here  what is to count from now on, by cause */
    public function change(array $here, bool $withoutElsewhere, User $by, ?string $seen): void
    {
        $before = array_map(static fn (array $one): int => $one['here'], $this->counts);
        DB::transaction(function () use ($here, $withoutElsewhere, $by, $seen, $before): void {
            DB::table('cause_weights')->where('family', $this->family->value)->lockForUpdate()->get();
            $now = self::of($this->family);
            Version::mustBe(
                $seen,
                $now->etag(),
                "causes {$this->family->value}",
                array_map(static fn (array $one): int => $one['here'], $now->counts),
            );
            $found = self::found($this->family);
            foreach ($here as $cause => $count) {
                self::keep($this->family, $cause, ['changed' => $count - ($found[$cause] ?? 0)]);
            }
            if ($withoutElsewhere) {
                DB::table('cause_weights')->where('family', $this->family->value)->update(['elsewhere' => 0]);
            }
            Audit::note(
                $by,
                'causes counted anew',
                Families::of($this->family)->title(),
                Audit::changes($before, $here + $before) + ($withoutElsewhere ? ['elsewhere' => 'left out'] : []),
                "causes {$this->family->value}",
            );
        }, 3);
    }

    /** What another workshop counted takes the place of what it had counted before. */
    public static function fromElsewhere(FamilyKey $family, string $cause, int $count): void
    {
        self::keep($family, $cause, ['elsewhere' => $count]);
    }

    /**
     * @return list<array{family: string, cause: string, label: string, jobs: int}> what was counted here, of every
     *     family, for other workshops
     */
    public static function forOthers(): array
    {
        $rows = [];
        foreach (FamilyKey::cases() as $family) {
            foreach (self::of($family)->counts as $cause => $count) {
                if ($count['here'] > 0) {
                    $rows[] = [
                        'family' => $family->value,
                        'cause' => $cause,
                        'label' => Causes::of($family)->causes[$cause]->label,
                        'jobs' => $count['here'],
                    ];
                }
            }
        }

        return $rows;
    }

    /** What was counted elsewhere of one cause. */
    public function elsewhere(string $cause): int
    {
        return $this->counts[$cause]['elsewhere'] ?? 0;
    }

    private function weighed(): Weights
    {
        return Weights::counted(
            array_map(static fn (array $one): int => $one['here'], $this->counts),
            array_map(static fn (array $one): int => $one['elsewhere'], $this->counts),
        );
    }

    private function etag(): string
    {
        return Version::of($this->counts);
    }

    /** @param  array<string, int>  $values */
    private static function keep(FamilyKey $family, string $cause, array $values): void
    {
        DB::table('cause_weights')->updateOrInsert(['family' => $family->value, 'cause' => $cause], $values);
    }

    /** @return array<string, int> complaints here that were closed with each cause */
    private static function found(FamilyKey $family): array
    {
        $counts = DB::table('complaints')
            ->join('controls', 'controls.id', '=', 'complaints.control_id')
            ->join('spec_versions', 'spec_versions.id', '=', 'controls.spec_version_id')
            ->whereNotNull('complaints.cause')->whereRaw(
                "json_value(spec_versions.body, '$.family') = ?",
                [$family->value],
            )
            ->groupBy('complaints.cause')
            ->selectRaw('complaints.cause as cause, count(*) as jobs')
            ->pluck('jobs', 'cause');

        return array_map(intval(...), $counts->all());
    }

    /**
     * @param  array<string, array{here: int, elsewhere: int}>  $counts
     * @return list<array{key: string, here: int, elsewhere: int}>
     */
    private static function rows(array $counts): array
    {
        return array_map(
            static fn (string $cause, array $one): array => ['key' => $cause] + $one,
            array_keys($counts),
            array_values($counts),
        );
    }
}
