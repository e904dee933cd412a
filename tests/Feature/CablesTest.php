<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Exchange\CableExport;
use App\Models\Audit;
use App\Models\CableRow;
use App\Models\Control;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use Opis\JsonSchema\Validator;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\HttpFoundation\Response;
use Tests\Support\Exchanges;
use Tests\Support\HttpJob;
use Tests\TestCase;

/**
 * The book of cables: measured once, told where it fitted, matched with a control before anything is ordered, out and
 * in.
 */
final class CablesTest extends TestCase
{
    use Exchanges;

    private const CABLE = [
        'name' => 'Clutch, Ridge 300', 'number' => 'TV-300-7', 'wire_mm' => 84, 'conduit_mm' => 912.5,
        'hand_end' => 'barrel', 'working_end' => 'barrel', 'adjusters' => ['in_line'], 'price' => '24.90',
        'note' => null, 'measured_by' => null, 'measured_on' => '2026-11-01',
    ];

    public function test_a_cable_is_written_into_the_book_once_and_put_right_by_whoever_looked(): void
    {
        $id = (string) Str::uuid();
        $made = $this->signIn('tomas')->put1($id)->assertOk()->json('cables.0');
        self::assertSame(
            [84, 912.5, 'Tomas', '24.90', []],
            [$made['wire_mm'], $made['conduit_mm'], $made['measured_by'], $made['price'], $made['told']],
        );
        $this->put1($id)->assertOk();
        self::assertSame(1, CableRow::query()->count(), 'the same id is the same cable');
        $this
            ->put1($id, ['wire_mm' => '3 5/16 in'], $made['etag'])
            ->assertOk()
            ->assertJsonPath('cables.0.wire_mm', 84.1375);
        $this->put1($id, ['wire_mm' => 90], $made['etag'])->assertStatus(412)->assertJsonPath('now.wire_mm', 84.1375);
        $this
            ->put1((string) Str::uuid(), ['name' => 'Another'])
            ->assertConflict()
            ->assertJsonPath('detail', 'The book has number TV-300-7 already: Clutch, Ridge 300.');
        $this->put1((string) Str::uuid(), ['number' => 'tv-300-7'])->assertOk();
        $this->deleteJson('/api/cables/'.CableRow::query()->where('number', 'tv-300-7')->value('id'))->assertOk();
        $this->signIn('mirre')->put1($id)->assertForbidden();
        $this->getJson('/api/cables')->assertOk()->assertJsonPath('may_keep', false)->assertJsonCount(1, 'cables');
        $this->signIn('ines')->deleteJson("/api/cables/{$id}")->assertOk()->assertJsonCount(0, 'cables');
        self::assertSame(
            [
                'cable added',
                'cable changed',
                'cable changed',
                'cable added',
                'cable left out of the book',
                'cable left out of the book',
            ],
            Audit::query()->where('action', 'like', 'cable%')->orderBy('id')->pluck('action')->all(),
        );
    }

    /** @return iterable<string, array{array<string, mixed>}> */
    public static function wrong(): iterable
    {
        yield 'no wire' => [['wire_mm' => null]];
        yield 'wire below nothing' => [['wire_mm' => -3]];
        yield 'a wire of words' => [['wire_mm' => 'a bit']];
        yield 'no name' => [['name' => ' ']];
        yield 'an end nobody knows' => [['hand_end' => 'velcro']];
        yield 'an adjuster nobody knows' => [['adjusters' => ['magic']]];
        yield 'four adjusters' => [['adjusters' => ['in_line', 'in_line', 'in_line', 'in_line']]];
        yield 'a day that is none' => [['measured_on' => '2026-02-30']];
        yield 'a control that is not there' => [['control' => 999_999]];
        yield 'more than is known' => [['colour' => 'red']];
    }

    /** @param  array<string, mixed>  $change */
    #[DataProvider('wrong')]
    public function test_what_is_no_cable_is_refused_with_a_sentence(array $change): void
    {
        $this->signIn('tomas')->put1((string) Str::uuid(), $change)->assertUnprocessable();
        self::assertSame(0, CableRow::query()->count());
    }

    public function test_what_fits_a_control_is_told_from_the_one_on_it_best_first(): void
    {
        $control = Control::query()
            ->whereHas('machine', static fn ($m) => $m->where('tag', 'RT-14'))
            ->where('key', 'clutch')
            ->firstOrFail();
        $this->signIn('ines');
        $this->closed();
        [$on, $same, $short, $longer] = array_map(static fn (): string => (string) Str::uuid(), range(1, 4));
        $this->put1($same, ['name' => 'Alike', 'number' => 'A']);
        $this->put1($short, ['name' => 'Far too short', 'number' => 'B', 'wire_mm' => 84 - 70]);
        $this->put1($longer, ['name' => 'Longer conduit', 'number' => 'C', 'conduit_mm' => 930]);
        $before = $this->getJson('/api/machines/RT-14/controls/clutch/cables')->assertOk()->json();
        self::assertSame(
            [null, ['cannot_tell']],
            [$before['on'], array_values(array_unique(array_column($before['cables'], 'verdict')))],
            'nobody measured the one on it',
        );

        $this->put1($on, ['number' => null, 'control' => $control->id, 'measured_on' => '2026-11-02']);
        $told = $this->getJson('/api/machines/RT-14/controls/clutch/cables')->assertOk()->json();
        self::assertSame(
            [$on, ['Alike', 'Longer conduit', 'Far too short'], 'does_not_fit'],
            [$told['on']['id'], array_column($told['cables'], 'name'), $told['cables'][2]['verdict']],
        );
        self::assertStringContainsString('Too short by', $told['cables'][2]['sentence']);
        self::assertStringContainsString(
            'as much wire as the old one did',
            $told['cables'][0]['sentence'],
            'nobody measured the bracket',
        );
        self::assertSame('RT-14', $told['on']['on']['tag']);
        $this->getJson('/api/machines/RT-14/controls/nothing/cables')->assertNotFound();
        // Another that is measured off the same control takes its place there.
        $this->put1($same, ['name' => 'Alike', 'number' => 'A', 'control' => $control->id]);
        self::assertSame(
            [$same, null],
            [
                $this->getJson('/api/machines/RT-14/controls/clutch/cables')->json('on.id'),
                CableRow::query()->findOrFail($on)->control_id,
            ],
        );
    }

    public function test_where_a_number_fitted_and_where_it_was_refused_is_told_by_signed_jobs(): void
    {
        $this->signIn('ines');
        $this->put1((string) Str::uuid(), ['name' => 'Refused here', 'number' => 'WRONG-1']);
        $this->put1((string) Str::uuid(), ['name' => 'Fitted here', 'number' => 'RIGHT-2']);
        $this->closed(static function (HttpJob $job): void {
            $job->body('part_refused', ['part' => 'cable', 'number' => 'WRONG-1'])->assertOk();
            $job->body('part', ['part' => 'cable', 'remark' => 'RIGHT-2'])->assertOk();
        });
        $told = array_column($this->getJson('/api/cables')->json('cables'), 'told', 'number');
        self::assertSame(
            [['RT-14', true], ['RT-14', false]],
            [
                [$told['RIGHT-2'][0]['tag'], $told['RIGHT-2'][0]['fits']],
                [$told['WRONG-1'][0]['tag'], $told['WRONG-1'][0]['fits']],
            ],
        );
        $fitting = $this->getJson('/api/machines/RT-14/controls/clutch/cables')->json();
        self::assertSame('RIGHT-2', $fitting['on']['number'], 'what was fitted last is on it');
        self::assertSame(
            [['WRONG-1', false]],
            array_map(static fn (array $one): array => [$one['number'], $one['before']], $fitting['cables']),
        );
    }

    public function test_a_cable_fitted_without_a_number_since_is_one_that_nobody_measured(): void
    {
        $control = Control::query()
            ->whereHas('machine', static fn ($m) => $m->where('tag', 'RT-14'))
            ->where('key', 'clutch')
            ->firstOrFail();
        $this
            ->signIn('ines')
            ->put1((string) Str::uuid(), ['number' => null, 'control' => $control->id, 'measured_on' => '2020-01-01'])
            ->assertOk();
        self::assertNotNull($this->getJson('/api/machines/RT-14/controls/clutch/cables')->json('on'));
        $this->closed(static function (HttpJob $job): void {
            $job->body('part', ['part' => 'cable'])->assertOk();
        });
        self::assertNull($this->getJson('/api/machines/RT-14/controls/clutch/cables')->json('on'));
    }

    public function test_the_book_goes_out_as_its_schema_says_and_comes_in_once(): void
    {
        $this->signIn('oda');
        $this->put1((string) Str::uuid());
        $this->put1(
            (string) Str::uuid(),
            [
                'name' => 'Without a number',
                'number' => null,
                'adjusters' => [],
                'conduit_mm' => null,
                'hand_end' => null,
            ],
        );
        $validator = new Validator;
        $validator
            ->resolver()
            ?->registerRaw(
                (string) file_get_contents(base_path('docs/formats/cables.schema.json')),
                'https://vivid-pull.example/schemas/cables-1.json',
            );
        $json = self::text(new CableExport, 'json');
        self::assertTrue(
            $validator->validate(json_decode($json), 'https://vivid-pull.example/schemas/cables-1.json')->isValid(),
        );
        $csv = self::text(new CableExport, 'csv');
        $this->takenIn('cables', $csv, 0);
        foreach ([$csv, $json] as $file) {
            CableRow::query()->delete();
            $this->takenIn('cables', $file, 2);
            self::assertSame($csv, self::text(new CableExport, 'csv'), 'what comes in goes out the same');
        }
        $this->takenIn('cables', "name,wire_mm\nBy hand,\"3 5/16 in\"\n", 1);
        self::assertSame(84.1375, CableRow::query()->where('body->name', 'By hand')->firstOrFail()->cable()->wire);
    }

    /** @param  (callable(HttpJob): void)|null  $between */
    private function closed(?callable $between = null): void
    {
        $job = HttpJob::open($this, 'RT-14', 'clutch')->ready()->read('15', '15', '15');
        $between === null ? null : $between($job);
        $job->line('tag waits for its next look')->assertOk();
        $job->body('closed', ['outcome' => 'tagged'])->assertOk();
    }

    /**
     * @param  array<string, mixed>  $change
     * @return TestResponse<Response>
     */
    private function put1(string $id, array $change = [], ?string $seen = null): TestResponse
    {
        return $this->withHeaders(['If-Match' => $seen ?? '*'])->putJson("/api/cables/{$id}", $change + self::CABLE);
    }
}
