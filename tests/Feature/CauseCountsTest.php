<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Exchange\CauseExport;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use Opis\JsonSchema\Validator;
use Symfony\Component\HttpFoundation\Response;
use Tests\Support\Exchanges;
use Tests\TestCase;

/**
 * What closed complaints teach the workshop: counted, put right by a lead, begun anew, passed on to other workshops and
 * taken from them.
 */
final class CauseCountsTest extends TestCase
{
    use Exchanges;

    public function test_what_was_found_is_counted_and_a_lead_puts_it_right(): void
    {
        $this->signIn('ines');
        $this->found('wrong_spline', 2);
        $before = $this->getJson('/api/causes/clutch_lever')->assertOk()->json();
        self::assertSame([2, 0], [self::row($before, 'wrong_spline')['here'], self::row($before, 'worn_rod')['here']]);
        self::assertGreaterThan(
            self::row($before, 'wrong_spline')['practice'],
            self::row($before, 'wrong_spline')['chance'],
        );
        $this->change(['here' => ['wrong_spline' => 0]])->assertForbidden();

        $this->signIn('oda');
        $after = $this->change(['here' => ['wrong_spline' => 1, 'worn_rod' => 4]], $before['etag'])->assertOk()->json();
        self::assertSame([1, 4], [self::row($after, 'wrong_spline')['here'], self::row($after, 'worn_rod')['here']]);
        $this
            ->change(['here' => ['worn_rod' => 9]], $before['etag'])
            ->assertStatus(412)
            ->assertJsonPath('now.worn_rod', 4);
        $this->found('worn_rod', 1);
        self::assertSame(
            5,
            self::row($this->getJson('/api/causes/clutch_lever')->json(), 'worn_rod')['here'],
            'counted on from there',
        );
        self::assertSame(1, DB::table('audits')->where('action', 'causes counted anew')->count());
    }

    public function test_counting_anew_begins_from_what_the_trade_says(): void
    {
        $this->signIn('oda');
        $this->found('worn_plates', 3);
        $keys = array_column($this->getJson('/api/causes/clutch_lever')->json('causes'), 'key');
        foreach ($this->change(['here' => array_fill_keys($keys, 0)])->assertOk()->json('causes') as $row) {
            self::assertSame([0, $row['practice']], [$row['here'], $row['chance']], $row['key']);
        }
        $this->found('worn_plates', 1);
        self::assertSame(1, self::row($this->getJson('/api/causes/clutch_lever')->json(), 'worn_plates')['here']);
    }

    public function test_what_was_counted_of_a_cause_under_its_former_name_is_kept(): void
    {
        $row = static fn (string $cause, int $changed, int $elsewhere): array => [
            'family' => 'twist_grip', 'cause' => $cause, 'changed' => $changed, 'elsewhere' => $elsewhere,
        ];
        DB::table('cause_weights')->insert([$row('unseated', 2, 3), $row('unseated_ferrule', 1, 0)]);
        (require database_path('migrations/2026_12_04_000000_name_an_unseated_ferrule_once.php'))->up();
        self::assertEquals(
            [(object) $row('unseated_ferrule', 3, 3)],
            DB::table('cause_weights')->get(['family', 'cause', 'changed', 'elsewhere'])->all(),
        );
        DB::table('cause_weights')->update(['cause' => 'unseated']);
        (require database_path('migrations/2026_12_04_000000_name_an_unseated_ferrule_once.php'))->up();
        self::assertSame(['unseated_ferrule'], DB::table('cause_weights')->pluck('cause')->all());
    }

    public function test_what_another_workshop_counted_weighs_beside_ones_own_and_is_not_passed_on(): void
    {
        $this->signIn('oda');
        $this->found('worn_rod', 1);
        $this->takenIn(
            'causes',
            "family,cause,label,jobs\nclutch_lever,worn_plates,Worn or burnt plates,12\nbail,worn_lining,,3\n",
            2,
        );
        $state = $this->getJson('/api/causes/clutch_lever')->json();
        self::assertSame(
            [0, 12, 1],
            [
                self::row($state, 'worn_plates')['here'],
                self::row($state, 'worn_plates')['elsewhere'],
                self::row($state, 'worn_rod')['here'],
            ],
        );
        self::assertGreaterThan(
            self::row($state, 'worn_plates')['practice'],
            self::row($state, 'worn_plates')['chance'],
        );
        $this->takenIn('causes', "family;cause;jobs\r\nclutch_lever;worn_plates;12\r\n", 0);
        $this->takenIn('causes', "family,cause,jobs\nclutch_lever,worn_plates,15\n", 1);
        self::assertSame(
            15,
            self::row($this->getJson('/api/causes/clutch_lever')->json(), 'worn_plates')['elsewhere'],
            'in place of what came before, not on top of it',
        );
        self::assertSame(
            "family,cause,label,jobs\r\nclutch_lever,worn_rod,\"Worn ends of screw, rod or arm\",1\r\n",
            self::text(new CauseExport, 'csv'),
        );
        // *3 of 15 here* would be a lie about jobs that were done elsewhere.
        $id = (string) Str::uuid();
        $diagnosis = $this
            ->postJson(
                '/api/machines/RT-14/controls/clutch/complaints',
                ['id' => $id, 'symptoms' => ['slips' => 'yes']],
            )
            ->assertCreated()
            ->json('diagnosis');
        self::assertSame(
            [1, 0],
            [$diagnosis['counted'], array_column($diagnosis['causes'], 'counted', 'key')['worn_plates']],
        );

        $this->change(['here' => (object) [], 'without_elsewhere' => true])->assertOk();
        self::assertSame(
            [0, 1],
            [
                self::row($this->getJson('/api/causes/clutch_lever')->json(), 'worn_plates')['elsewhere'],
                self::row($this->getJson('/api/causes/clutch_lever')->json(), 'worn_rod')['here'],
            ],
        );
        self::assertSame(
            3,
            self::row($this->getJson('/api/causes/bail')->json(), 'worn_lining')['elsewhere'],
            'of this kind of control alone',
        );
    }

    public function test_what_goes_out_is_as_its_schema_says(): void
    {
        $this->signIn('oda');
        $this->found('worn_rod', 2);
        $validator = new Validator;
        $validator
            ->resolver()
            ?->registerRaw(
                (string) file_get_contents(base_path('docs/formats/causes.schema.json')),
                'https://vivid-pull.example/schemas/causes-1.json',
            );
        $json = json_decode(self::text(new CauseExport, 'json'));

        self::assertTrue($validator->validate($json, 'https://vivid-pull.example/schemas/causes-1.json')->isValid());
        self::assertSame('worn_rod', $json->causes[0]->cause);
    }

    public function test_what_cannot_be_taken_is_named(): void
    {
        $file = $this->taken(
            'causes',
            "family,cause,jobs\nclutch_lever,gremlins,3\nwing,worn_rod,3\nclutch_lever,worn_rod,many\nclutch_lever,worn_rod,-1\nclutch_lever,worn_rod,2\nclutch_lever,worn_rod,2\n",
        );
        self::assertSame([1, 5], [$file['new'], $file['rejected_in_all']]);
        self::assertStringContainsString('no cause of this family', $file['rejected'][0]['why']);
        self::assertStringContainsString('twice', $file['rejected'][4]['why']);
        $this->signIn('oda')->change(['here' => ['gremlins' => 1]])->assertStatus(422);
        $this->change(['here' => ['worn_rod' => -1]])->assertStatus(422);
        $this->change(['here' => ['worn_rod' => 1.5]])->assertStatus(422);
        $this->getJson('/api/causes/wing')->assertNotFound();
    }

    private function found(string $cause, int $times): void
    {
        for ($n = 0; $n < $times; $n++) {
            $id = (string) Str::uuid();
            $this
                ->postJson(
                    '/api/machines/RT-14/controls/clutch/complaints',
                    ['id' => $id, 'symptoms' => ['slips' => 'yes']],
                )
                ->assertCreated();
            $this->postJson("/api/complaints/{$id}/closed", ['cause' => $cause])->assertOk();
        }
    }

    /**
     * @param  array<string, mixed>  $body
     * @return TestResponse<Response>
     */
    private function change(array $body, ?string $seen = null): TestResponse
    {
        return $this->putJson('/api/causes/clutch_lever', $body, $seen === null ? [] : ['If-Match' => "\"{$seen}\""]);
    }

    /**
     * @param  array<string, mixed>  $counts
     * @return array{here: int, elsewhere: int, practice: float, chance: float}
     */
    private static function row(array $counts, string $cause): array
    {
        return array_column($counts['causes'], null, 'key')[$cause];
    }
}
