<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Audit;
use App\Models\Control;
use App\Models\Machine;
use App\Models\SpecVersion;
use Database\Demo\DemoFleet;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Support\HttpJob;
use Tests\Support\Picture;
use Tests\TestCase;
use VividPull\Core\Cable\AdjusterKind;
use VividPull\Core\Spec\FamilyKey;

/**
 * The spec library: entered, held against its document by a second person, put in force; what judged a job stays as it
 * was.
 */
final class SpecLibraryTest extends TestCase
{
    public function test_a_version_is_entered_checked_by_another_and_put_in_force_by_a_lead(): void
    {
        $before = Control::query()->where('key', 'clutch')->firstOrFail()->spec_version_id;
        $made = $this->signIn('tomas')->postJson('/api/specs', self::written(12, 18))->assertCreated()->json();
        self::assertSame(
            [2, true, 'Tomas', null],
            [$made['version'], $made['draft'], $made['entered_by'], $made['checked_by']],
        );
        self::assertSame(['change' => true, 'check' => false, 'adopt' => false], $made['may']);
        $this
            ->postJson("/api/specs/{$made['id']}/check", $this->seen($made['id']))
            ->assertForbidden()
            ->assertJsonPath(
                'detail',
                'Whoever entered a spec does not check it: a second pair of eyes finds what the first passed over.',
            );
        $this->signIn('oda')->postJson("/api/specs/{$made['id']}/adopt", $this->seen($made['id']))->assertConflict();
        $this
            ->postJson("/api/specs/{$made['id']}/check", $this->seen($made['id']))
            ->assertOk()
            ->assertJsonPath('checked_by', 'Oda')
            ->assertJsonPath('may.adopt', true);
        $this->postJson("/api/specs/{$made['id']}/check", $this->seen($made['id']))->assertConflict();
        self::assertSame(
            $before,
            Control::query()->where('key', 'clutch')->firstOrFail()->spec_version_id,
            'checked is not yet in force',
        );
        $this
            ->postJson("/api/specs/{$made['id']}/adopt", $this->seen($made['id']))
            ->assertOk()
            ->assertJsonPath('machines', [['tag' => 'RT-14', 'version' => 2]]);
        self::assertSame(12, $this->getJson('/api/machines/RT-14')->json('controls.0.band.low_mm'));
        self::assertSame('Oda', $this->getJson('/api/machines/RT-14')->json('controls.0.spec.checked_by'));
    }

    public function test_a_job_that_began_before_says_that_its_spec_was_changed(): void
    {
        $this->signIn();
        $job = HttpJob::open($this);
        $this->getJson("/api/jobs/{$job->id}")->assertOk()->assertJsonPath('spec_changed', null);
        $id = $this->signIn('tomas')->postJson('/api/specs', self::written(12, 18))->assertCreated()->json('id');
        $this->signIn('oda')->postJson("/api/specs/{$id}/check", $this->seen($id))->assertOk();
        $this->getJson("/api/jobs/{$job->id}")->assertOk()->assertJsonPath('spec_changed', null);
        $this->postJson("/api/specs/{$id}/adopt", $this->seen($id))->assertOk();
        $said = (string) $this
            ->getJson("/api/jobs/{$job->id}")
            ->assertOk()
            ->assertJsonPath('state.spec.band.low_mm', 10)
            ->json('spec_changed');
        self::assertStringStartsWith(
            'Its spec was changed since this job began, and the job is judged by the old one. It began with 10 to 20 mm',
            $said,
        );
        self::assertStringContainsString('its spec says 12 to 18 mm at the lever tip now', $said);
        $this->signIn();
        $job->body('tag', ['reason' => 'Figures are to be looked at.'])->assertOk();
        $job->body('closed', ['outcome' => 'tagged'])->assertOk();
        $this->getJson("/api/jobs/{$job->id}")->assertOk()->assertJsonPath('spec_changed', null);
    }

    public function test_what_was_checked_is_what_stands(): void
    {
        $id = $this->signIn('tomas')->postJson('/api/specs', self::written(12, 18))->json('id');
        $looked = $this->signIn('oda')->getJson("/api/specs/{$id}")->json('content');
        $this->signIn('tomas')->putJson("/api/specs/{$id}", self::written(2, 28))->assertOk();
        $refused = $this->signIn('oda')->postJson("/api/specs/{$id}/check", ['content' => $looked])->assertConflict();
        self::assertSame(
            'It was changed since you looked. What it says now is shown beside what it said; look again.',
            $refused->json('detail'),
        );
        self::assertNull($this->getJson("/api/specs/{$id}")->json('checked_by'));
        $this->postJson("/api/specs/{$id}/check", ['content' => 'made up'])->assertConflict();
        $this->postJson("/api/specs/{$id}/check", [])->assertUnprocessable();
        $this->raw('POST', "/api/specs/{$id}/check", 'no json')->assertStatus(400);
        $this->postJson("/api/specs/{$id}/check", $this->seen($id))->assertOk()->assertJsonPath('checked_by', 'Oda');
        $this->postJson("/api/specs/{$id}/adopt", ['content' => $looked])->assertConflict();
        $this->postJson("/api/specs/{$id}/adopt", [])->assertUnprocessable();
        $this->raw('POST', "/api/specs/{$id}/adopt", 'no json')->assertStatus(400);
        $this->postJson("/api/specs/{$id}/adopt", $this->seen($id))->assertOk();
    }

    public function test_a_sketch_put_in_under_the_checkers_hand_is_a_change_too(): void
    {
        $id = $this->signIn('tomas')->postJson('/api/specs', self::written(12, 18))->json('id');
        $looked = $this->seen($id);
        $this
            ->call(
                'PUT',
                "/api/specs/{$id}/sketch",
                server: ['HTTP_ACCEPT' => 'application/json', 'CONTENT_TYPE' => 'application/octet-stream'],
                content: Picture::png(),
            )
            ->assertOk();
        $this->signIn('oda')->postJson("/api/specs/{$id}/check", $looked)->assertConflict();
    }

    /** @return array{content: string} what somebody sees of it now */
    private function seen(mixed $id): array
    {
        self::assertIsInt($id);

        return ['content' => (string) $this->getJson("/api/specs/{$id}")->json('content')];
    }

    public function test_a_spec_hangs_itself_on_the_machines_of_its_model_once_it_was_checked(): void
    {
        $fresh = $this->front();
        $made = $this
            ->signIn('tomas')
            ->postJson('/api/specs', ['hang' => true] + $fresh)
            ->assertCreated()
            ->assertJsonPath('hangs', true)
            ->json();
        self::assertSame([], $made['machines'], 'a draft judges nothing');
        $this
            ->signIn('oda')
            ->postJson('/api/machines/RT-14/controls', ['spec' => $made['id']])
            ->assertConflict()
            ->assertJsonPath(
                'detail',
                'This is a draft. A second person holds it against its document first; a shop of one person says so under Shop.',
            );
        $this
            ->postJson("/api/specs/{$made['id']}/check", $this->seen($made['id']))
            ->assertOk()
            ->assertJsonPath('machines', [['tag' => 'RT-14', 'version' => 1]])
            ->assertJsonPath('hangs', false);
        self::assertContains('front', array_column($this->getJson('/api/machines/RT-14')->json('controls'), 'key'));
        HttpJob::open($this, 'RT-14', 'front');
    }

    public function test_it_hangs_on_no_machine_that_has_such_a_control_or_is_retired_or_of_another_model(): void
    {
        $other = $this
            ->signIn('oda')
            ->postJson(
                '/api/machines',
                [
                    'tag' => 'RT-41', 'name' => 'Tolvane Ridge 300', 'kind' => 'trail motorcycle', 'year' => 2026,
                    'place' => 'pier', 'usage' => 12, 'usage_unit' => 'km',
                ],
            )
            ->assertCreated();
        self::assertSame(['clutch', 'throttle'], array_column($other->json('controls'), 'key'));
        $this
            ->withHeaders(['If-Match' => $other->json('etag')])
            ->putJson('/api/machines/RT-41/retired', ['retired' => true, 'why' => 'sold'])
            ->assertOk();
        $before = Control::query()->count();
        $made = $this->signIn('tomas')->postJson('/api/specs', ['hang' => true] + self::written(12, 18))->json('id');
        $this->signIn('oda')->postJson("/api/specs/{$made}/check", $this->seen($made))->assertOk();
        self::assertSame(
            $before,
            Control::query()->count(),
            'RT-14 has a clutch already, and keeps the version it is judged by',
        );
        $front = $this->signIn('tomas')->postJson('/api/specs', ['hang' => true] + $this->front())->json('id');
        $this
            ->signIn('oda')
            ->postJson("/api/specs/{$front}/check", $this->seen($front))
            ->assertOk()
            ->assertJsonPath('machines', [['tag' => 'RT-14', 'version' => 1]]);
    }

    public function test_where_one_person_works_alone_a_spec_judges_at_once_and_says_that_nobody_checked_it(): void
    {
        $this->signIn('tomas')->putJson('/api/shop/alone', ['alone' => true])->assertForbidden();
        $this->signIn('oda')->putJson('/api/shop/alone', ['alone' => 'yes'])->assertUnprocessable();
        $this->putJson('/api/shop/alone', ['alone' => true])->assertOk()->assertJsonPath('user.works_alone', true);
        $made = $this
            ->postJson('/api/specs', ['hang' => true] + $this->front())
            ->assertCreated()
            ->assertJsonPath('draft', false)
            ->assertJsonPath('unchecked', true)
            ->assertJsonPath('machines', [['tag' => 'RT-14', 'version' => 1]])
            ->json();
        $job = HttpJob::open($this, 'RT-14', 'front');
        self::assertNull($this->getJson("/api/jobs/{$job->id}")->json('state.spec.checked_by'));
        self::assertSame(11, $this->travelOfFront());
        $next = $this
            ->postJson('/api/specs', $this->front(4, 9))
            ->assertCreated()
            ->assertJsonPath('may.adopt', true)
            ->json('id');
        $this
            ->postJson("/api/specs/{$next}/adopt", $this->seen($next))
            ->assertOk()
            ->assertJsonPath('machines', [['tag' => 'RT-14', 'version' => 2]]);
        $this
            ->putJson("/api/specs/{$made['id']}", $this->front())
            ->assertConflict()
            ->assertJsonPath(
                'detail',
                'A job was judged by this draft, so it stays as it is. Enter the next version from it.',
            );
        // Another person came: what is entered from now on waits for them.
        $this->putJson('/api/shop/alone', ['alone' => false])->assertOk()->assertJsonPath('user.works_alone', false);
        $this
            ->postJson('/api/specs', $this->front(5, 9))
            ->assertCreated()
            ->assertJsonPath('draft', true)
            ->assertJsonPath('may.adopt', false);
        self::assertSame(2, Audit::query()->where('action', 'second person for specs')->count());
    }

    public function test_a_spec_put_right_before_its_first_job_is_drawn_anew_on_its_machines(): void
    {
        $this->signIn('oda')->putJson('/api/shop/alone', ['alone' => true])->assertOk();
        $made = $this->postJson('/api/specs', ['hang' => true] + $this->front())->assertCreated()->json();
        $longer = $this->front();
        $longer['run']['cables'][0]['adjusters'][0]['travel_mm'] = 13;
        $this
            ->withHeaders(['If-Match' => $made['content']])
            ->putJson("/api/specs/{$made['id']}", ['minutes' => 7] + $longer)
            ->assertOk();
        self::assertSame(
            [13, 7],
            [$this->travelOfFront(), Control::query()->where('key', 'front')->firstOrFail()->minutes],
        );
    }

    /** Of the perch barrel of the front lever, as it is drawn on its machine. */
    private function travelOfFront(): int|float
    {
        return Control::query()->where('key', 'front')->firstOrFail()->run['cables'][0]['adjusters'][0]['travel_mm'];
    }

    public function test_one_who_works_alone_uses_no_spec_with_something_empty(): void
    {
        $this->signIn('oda')->putJson('/api/shop/alone', ['alone' => true])->assertOk();
        $empty = $this->front();
        unset($empty['run']['cables'][0]['adjusters'][0]['travel_mm']);
        $made = $this
            ->postJson('/api/specs', ['hang' => true] + $empty)
            ->assertCreated()
            ->assertJsonPath('draft', true)
            ->assertJsonPath('hangs', true)
            ->json();
        self::assertSame([], $made['machines']);
        $this->postJson('/api/machines/RT-14/controls', ['spec' => $made['id']])->assertUnprocessable();
        // Filled in, it is used as was asked.
        $this
            ->withHeaders(['If-Match' => $made['content']])
            ->putJson("/api/specs/{$made['id']}", ['hang' => true] + $this->front())
            ->assertOk()
            ->assertJsonPath('machines', [['tag' => 'RT-14', 'version' => 1]]);
    }

    /** @return array<string, mixed> a second clutch lever of the model that RT-14 is */
    private function front(int $low = 3, int $high = 8): array
    {
        $spec = self::written($low, $high);
        $spec['model'] = (string) Machine::query()->where('tag', 'RT-14')->value('name');

        return ['control' => 'front', 'name' => 'Front lever'] + $spec;
    }

    public function test_a_job_keeps_the_version_it_was_opened_with(): void
    {
        $job = HttpJob::open($this->signIn('tomas'));
        $id = $this->postJson('/api/specs', self::written(12, 18))->json('id');
        $this->signIn('oda')->postJson("/api/specs/{$id}/check", $this->seen($id))->assertOk();
        $this->postJson("/api/specs/{$id}/adopt", $this->seen($id))->assertOk();
        self::assertSame(10, $this->getJson("/api/jobs/{$job->id}")->json('state.spec.band.low_mm'));
    }

    public function test_what_a_new_version_would_have_said_of_past_jobs_is_shown_and_changes_none(): void
    {
        $job = HttpJob::open($this->signIn('tomas'))->ready()->read('11.5', '11.5', '11.5');
        $job->line('tag for the test')->assertOk();
        $job->body('closed', ['outcome' => 'tagged'])->assertOk();
        $id = $this->postJson('/api/specs', self::written(14, 18))->json('id');
        $changes = $this->getJson("/api/specs/{$id}/changes")->assertOk()->json();
        self::assertSame(
            [1, $job->id, 'inside', 'too_tight'],
            [
                $changes['looked_at'],
                $changes['changed'][0]['job'],
                $changes['changed'][0]['was'],
                $changes['changed'][0]['would_be'],
            ],
        );
        self::assertSame('inside', $this->getJson('/api/machines/RT-14')->json('controls.0.history.0.left_verdict'));
        $hot = $this
            ->postJson(
                '/api/specs',
                array_replace_recursive(self::written(14, 18), ['spec' => ['conditions' => ['engine' => 'hot']]]),
            )
            ->assertCreated()
            ->json('id');
        $this->getJson("/api/specs/{$hot}/changes")->assertOk()->assertJsonPath('looked_at', 0);
    }

    public function test_a_draft_is_put_right_by_who_entered_it_and_thrown_away(): void
    {
        $id = $this->signIn('tomas')->postJson('/api/specs', self::written(12, 18))->json('id');
        $this->putJson("/api/specs/{$id}", self::written(12, 19))->assertOk()->assertJsonPath('spec.aim.high_mm', 19);
        $this->putJson("/api/specs/{$id}", ['model' => 'Another 9'] + self::written(12, 19))->assertUnprocessable();
        $this->signIn('ines')->putJson("/api/specs/{$id}", self::written(1, 2))->assertForbidden();
        $this->deleteJson("/api/specs/{$id}")->assertForbidden();
        $this->signIn('tomas')->deleteJson("/api/specs/{$id}")->assertNoContent();
        $this->getJson("/api/specs/{$id}")->assertNotFound();
    }

    public function test_a_draft_changed_by_another_meanwhile_is_not_written_over(): void
    {
        $made = $this->signIn('tomas')->postJson('/api/specs', self::written(12, 18))->assertCreated();
        $at = "/api/specs/{$made->json('id')}";
        $seen = ['If-Match' => "\"{$made->json('content')}\""];
        $this->putJson($at, self::written(13, 18), $seen)->assertOk();
        $told = $this->putJson($at, self::written(2, 28), $seen)->assertStatus(412);
        self::assertStringContainsString('changed this at', (string) $told->json('detail'));
        self::assertStringContainsString('13 to 18 mm', (string) $told->json('now.says'));
        self::assertStringContainsString(
            '13 to 18 mm',
            (string) $this->getJson($at)->json('says'),
            'nothing was changed',
        );
        $this->putJson($at, self::written(2, 28), ['If-Match' => "\"{$told->json('etag')}\""])->assertOk();
        self::assertStringContainsString('2 to 28 mm', (string) $this->getJson($at)->json('says'));
    }

    public function test_a_checked_version_is_never_changed(): void
    {
        $id = SpecVersion::query()->where('control', 'clutch')->value('id');
        $this->signIn('oda')->putJson("/api/specs/{$id}", self::written(12, 19))->assertConflict();
        $this->deleteJson("/api/specs/{$id}")->assertConflict();
        $this->call('PUT', "/api/specs/{$id}/sketch", content: Picture::png())->assertConflict();
    }

    public function test_a_draft_that_a_job_was_judged_by_is_never_changed(): void
    {
        $id = $this->signIn('tomas')->postJson('/api/specs', self::written(12, 18))->json('id');
        Control::query()->where('key', 'clutch')->update(['spec_version_id' => $id]);
        $this
            ->signIn('oda')
            ->deleteJson("/api/specs/{$id}")
            ->assertConflict()
            ->assertJsonPath('detail', 'Machines stand on this draft. Put another version in force first.');
        HttpJob::open($this->signIn('tomas'));
        $this
            ->putJson("/api/specs/{$id}", self::written(12, 19))
            ->assertConflict()
            ->assertJsonPath(
                'detail',
                'A job was judged by this draft, so it stays as it is. Enter the next version from it.',
            );
    }

    public function test_printed_units_are_kept_and_must_agree(): void
    {
        $this->signIn('tomas')->postJson('/api/specs/printed', ['printed' => '10–20 mm (3/8–1 in)'])->assertOk()
            ->assertJson([
                'low_mm' => 10,
                'high_mm' => 20,
                'disagreements' => ['“20 mm” beside “1 in”: 20 mm is about 25/32 in.'],
            ]);
        $this->postJson('/api/specs/printed', ['printed' => 'some'])->assertUnprocessable();
        $this->postJson('/api/specs', self::written(10, 20, '10–20 mm (3/8–1 in)'))->assertUnprocessable();
        $this
            ->postJson('/api/specs', self::written(10, 20, '10–20 mm (3/8–1 in)') + ['despite' => true])
            ->assertCreated()
            ->assertJsonPath('printed', '10–20 mm (3/8–1 in)');
        $this->postJson('/api/specs', self::written(10, 22, '10–20 mm'))->assertUnprocessable()
            ->assertJsonPath(
                'detail',
                '$.spec.book.printed: printed is 10 to 20 mm, and held against is 10 to 22 mm. Make both the same.',
            );
        $this->postJson('/api/specs', self::written(9.525, 25.4, '3/8–1 in'))->assertCreated();
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function wrong(): iterable
    {
        yield 'upside down' => [self::written(20, 10), 'The band runs from 20 to 10 mm'];
        yield 'a control in capitals' => [['control' => 'Clutch Lever'] + self::written(1, 2), 'small letters'];
        yield 'no model' => [['model' => ' '] + self::written(1, 2), 'empty'];
        yield 'hours below one' => [['minutes' => 0] + self::written(1, 2), '$.minutes'];
        yield 'a run without cables' => [
            ['run' => ['hand' => ['kind' => 'lever', 'name' => 'x'], 'cables' => [], 'working_end' => 'x']]
            + self::written(1, 2),
            'at least one cable',
        ];
        yield 'an interval of nothing' => [
            array_replace_recursive(self::written(1, 2), ['spec' => ['book' => ['interval' => ['usage' => 5]]]]),
            'Use needs its unit',
        ];
        yield 'a proof that would stand for another' => [
            array_replace_recursive(
                self::written(1, 2),
                ['spec' => ['book' => ['proofs' => [['key' => 'snap_shut', 'question' => 'x']]]]],
            ),
            'book_',
        ];
        yield 'no such day' => [
            array_replace_recursive(self::written(1, 2), ['spec' => ['source' => ['date' => '2026-02-30']]]),
            'is no day',
        ];
    }

    /** @param  array<string, mixed>  $body */
    #[DataProvider('wrong')]
    public function test_what_is_no_spec_is_refused_with_a_sentence(array $body, string $says): void
    {
        $rows = SpecVersion::query()->count();
        self::assertStringContainsString(
            $says,
            $this->signIn('tomas')->postJson('/api/specs', $body)->assertUnprocessable()->json('detail'),
        );
        self::assertSame($rows, SpecVersion::query()->count());
    }

    public function test_what_the_book_adds_is_asked_and_shown(): void
    {
        $body = array_replace_recursive(self::written(10, 20), ['spec' => ['book' => [
            'interval' => ['usage' => 6000, 'unit' => 'mi', 'months' => 12],
            'torques' => [['what' => 'bracket lock nut', 'nm' => 8.5]],
            'proofs' => [['key' => 'book_boot', 'question' => 'Boot seated on its groove']],
        ], 'source' => ['date' => '2021-03-01']]]);
        $id = $this->signIn('tomas')->postJson('/api/specs', $body)->assertCreated()->json('id');
        Control::query()->where('key', 'clutch')->update(['spec_version_id' => $id]);
        $spec = $this->getJson('/api/machines/RT-14')->json('controls.0.spec');
        self::assertSame(
            ['every 6 000 mi or 12 months', [['what' => 'bracket lock nut', 'nm' => 8.5]], true],
            [$spec['interval'], $spec['torques'], $spec['draft']],
        );
        $items = array_merge(...array_column(HttpJob::open($this)->state['stages'], 'items'));
        self::assertContains('Boot seated on its groove', array_column($items, 'label'));
    }

    public function test_the_library_is_found_by_any_of_its_words(): void
    {
        $this->signIn('office');
        $all = $this->getJson('/api/specs')->assertOk()->json();
        self::assertSame(3, $all['total']);
        self::assertSame(
            ['clutch'],
            array_column($this->getJson('/api/specs?find='.urlencode('ridge  CLUTCH'))->json('specs'), 'control'),
        );
        self::assertSame(
            ['throttle'],
            array_column($this->getJson('/api/specs?find='.urlencode('hesk service book'))->json('specs'), 'control'),
        );
        self::assertSame([], $this->getJson('/api/specs?find='.urlencode("100% ' or 1=1"))->json('specs'));
        self::assertSame([], $this->getJson('/api/specs?page=9')->json('specs'));
        $this->getJson('/api/specs?page=x&find[]=y')->assertOk();
        $this
            ->getJson("/api/specs/{$all['specs'][0]['id']}")
            ->assertOk()
            ->assertJsonPath('may', ['change' => false, 'check' => false, 'adopt' => false]);
        $this->getJson('/api/specs/999999/changes')->assertNotFound();
        $this->getJson('/api/specs/999999')->assertNotFound();
        $this
            ->getJson('/api/specs/starting/clutch_lever')
            ->assertOk()
            ->assertJsonPath('spec.source.kind', 'common_practice')
            ->assertJsonPath('has_figure', true);
        $this->getJson('/api/specs/starting/rudder')->assertNotFound();
    }

    #[DataProvider('families')]
    public function test_what_the_application_begins_with_is_saved_as_it_stands_and_judges_nothing_until_it_is_filled_in(FamilyKey $family): void
    {
        $start = $this->signIn('tomas')->getJson("/api/specs/starting/{$family->value}")->assertOk()->json();
        $spec = [
            'model' => 'Ostrel Reed 20',
            'control' => 'control',
            'name' => 'Control',
            'minutes' => 15,
            'spec' => $start['spec'],
            'run' => $start['run'],
        ];
        $made = $this->postJson('/api/specs', $spec)->assertCreated();
        $missing = $made->json('missing');
        $id = $made->json('id');
        $this->signIn('oda')->getJson("/api/specs/{$id}")->assertOk()->assertJsonPath('may.check', $missing === []);
        if ($missing === []) {
            self::assertContains($family, [FamilyKey::AutomaticClutch, FamilyKey::HydraulicClutch, FamilyKey::Bail]);

            return;
        }
        $this
            ->postJson("/api/specs/{$id}/check", $this->seen($id))
            ->assertUnprocessable()
            ->assertJsonPath('detail', 'Still empty: '.implode('; ', $missing).'. Fill it in first.');
        $this
            ->postJson('/api/machines/RT-14/controls', ['spec' => $id])
            ->assertUnprocessable()
            ->assertJsonPath('detail', 'Still empty: '.implode('; ', $missing).'. Fill it in first.');

        $spec['spec'] += isset($spec['spec']['others'])
            ? []
            : ['aim' => ['kind' => 'free_play_band', 'point' => 'handle_travel', 'low_mm' => 5, 'high_mm' => 15]];
        foreach ($spec['run']['cables'] as $c => $cable) {
            foreach ($cable['adjusters'] as $a => $adjuster) {
                $spec['run']['cables'][$c]['adjusters'][$a] += match (AdjusterKind::from($adjuster['kind'])->measuredBy()) {
                    'thread' => ['pitch_mm' => 1, 'travel_mm' => 20], 'steps' => ['mm_per_step' => 3, 'travel_steps' => ['from' => 1, 'to' => 9]], default => [],
                };
            }
        }
        $this->signIn('tomas')->putJson("/api/specs/{$id}", $spec)->assertOk()->assertJsonPath('missing', []);
        $this->signIn('oda')->getJson("/api/specs/{$id}")->assertJsonPath('may.check', true);
        $this->postJson("/api/specs/{$id}/check", $this->seen($id))->assertOk();
        $this->postJson('/api/machines/RT-14/controls', ['spec' => $id])->assertOk();
    }

    /** @return iterable<string, array{FamilyKey}> */
    public static function families(): iterable
    {
        foreach (FamilyKey::cases() as $key) {
            yield $key->value => [$key];
        }
    }

    public function test_a_table_is_moved_by_an_adjuster_of_its_own_run(): void
    {
        $start = $this->signIn('tomas')->getJson('/api/specs/starting/speed_selector')->assertOk()->json();
        $spec = [
            'model' => 'Morrigan Pier 81',
            'control' => 'selector',
            'name' => 'Speed selector',
            'minutes' => 20,
            'spec' => $start['spec'],
            'run' => $start['run'],
        ];
        $this->postJson('/api/specs', $spec)->assertCreated();
        $spec['spec']['others'][0]['movers'][0]['adjuster'] = 'gone';
        $this->postJson('/api/specs', $spec)->assertUnprocessable()
            ->assertJsonPath(
                'detail',
                '$.spec.others: it is moved by “gone”, which is no adjuster of this run. Take it out of what moves it, or add the adjuster.',
            );
    }

    public function test_a_sketch_is_kept_with_its_draft(): void
    {
        $id = $this->signIn('tomas')->postJson('/api/specs', self::written(12, 18))->json('id');
        $this->get("/api/specs/{$id}/sketch")->assertNotFound();
        $this->call('PUT', "/api/specs/{$id}/sketch", content: 'no picture')->assertUnprocessable();
        $this
            ->call('PUT', "/api/specs/{$id}/sketch", content: Picture::png())
            ->assertOk()
            ->assertJsonPath('has_sketch', true);
        $this->get("/api/specs/{$id}/sketch")->assertOk()->assertHeader('Content-Type', 'image/jpeg');
        $this->signIn('ines')->call('PUT', "/api/specs/{$id}/sketch", content: Picture::png())->assertForbidden();
        $this->signIn('tomas')->deleteJson("/api/specs/{$id}")->assertNoContent();
    }

    /** @return array<string, mixed> */
    private static function written(float $low, float $high, ?string $printed = null): array
    {
        $spec = DemoFleet::spec('Tolvane Ridge 300', 'clutch');
        unset($spec['others'], $spec['book']);
        $spec['aim'] = ['kind' => 'free_play_band', 'point' => 'lever_tip', 'low_mm' => $low, 'high_mm' => $high];

        return ['model' => 'Tolvane Ridge 300', 'control' => 'clutch', 'name' => 'Clutch lever', 'minutes' => 12,
            'spec' => $spec + ($printed === null ? [] : ['book' => ['printed' => $printed]]),
            'run' => DemoFleet::run('Tolvane Ridge 300', 'clutch')];
    }
}
