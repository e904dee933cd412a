<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Bench\JobHead;
use App\Models\EntryRow;
use App\Sheets\JobSheet;
use Illuminate\Database\Events\QueryExecuted;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use LogicException;
use PHPUnit\Framework\Attributes\DataProvider;
use RuntimeException;
use Tests\Support\HttpJob;
use Tests\TestCase;

final class EntriesTest extends TestCase
{
    /** @return iterable<string, array{string, string}> */
    public static function badLines(): iterable
    {
        yield 'two decimal marks' => ['12,,5', '“12,,5” is not a number I can read.'];
        yield 'beyond the rule' => ['999', 'reaches'];
        yield 'nothing below the line' => ['3/0 in', 'has 0 below the line'];
        yield 'no number' => ['abc', '“abc” has no number in it.'];
        yield 'an empty line' => ['', 'Nothing was typed.'];
        yield 'a bare minus' => ['-3', 'Is -3 a reading or a move?'];
        yield 'a gauge with its sign' => ['+4.20', 'Is +4.20 a reading or a move?'];
        yield 'ten kilobytes' => [str_repeat('0123456789', 1024), 'characters'];
        yield 'beyond the thread' => ['+99t', 'that is beyond its thread'];
        yield 'an unlisted unit' => ['4 furlong', 'is not a unit I know'];
        yield 'bytes that are no text' => ["4 \u{1}", 'unit'];
    }

    #[DataProvider('badLines')]
    public function test_a_bad_line_gets_a_sentence_and_writes_nothing(string $line, string $sentence): void
    {
        $this->signIn();
        $job = HttpJob::open($this)->ready()->read('25');
        $rows = $job->rows();
        $answer = $job->line($line, ['adjuster' => 'perch', 'instrument' => 'rule-300'])->assertStatus(422);
        self::assertStringContainsString($sentence, (string) $answer->json('detail'));
        self::assertLessThan(400, mb_strlen((string) $answer->json('detail')));
        self::assertSame($rows, $job->rows());
    }

    public function test_an_adjuster_that_is_not_there_and_a_pose_the_spec_does_not_know(): void
    {
        $this->signIn();
        $job = HttpJob::open($this)->ready();
        $rows = $job->rows();
        self::assertStringContainsString(
            'No such adjuster',
            (string) $job->line('+1t', ['adjuster' => 'cam'])->assertStatus(422)->json('detail'),
        );
        self::assertStringContainsString(
            '“cam” is not an adjuster',
            (string) $job->body('move', ['adjuster' => 'cam', 'turns' => 1])->assertStatus(422)->json('detail'),
        );
        self::assertStringContainsString(
            'bars full left',
            (string) $job->line('25', ['pose' => 'left'])->assertStatus(422)->json('detail'),
        );
        self::assertStringContainsString(
            '$.shown.pose',
            (string) $job->line('25', ['pose' => 'upside down'])->assertStatus(422)->json('detail'),
        );
        self::assertSame($rows, $job->rows());
    }

    public function test_what_another_wrote_is_not_logged_under_the_name_of_who_is_signed_in_now(): void
    {
        $this->signIn();
        $job = HttpJob::open($this)->ready();
        $rows = $job->rows();
        $entry = [
            'id' => (string) Str::uuid(),
            'at' => now()->toIso8601String(),
            'by' => 'ines',
            'line' => '25',
            'shown' => ['item' => 'reading:found', 'instrument' => 'rule-300'],
        ];
        $this->signIn('tomas');
        $answer = $this->postJson("/api/jobs/{$job->id}/entries", $entry)->assertStatus(409);
        self::assertSame('/problems/written-by-another', $answer->json('type'));
        self::assertSame(
            'This was written by Ines, and Tomas is signed in here now. It is kept on its device until Ines signs in there again.',
            $answer->json('detail'),
        );
        self::assertSame($rows, $job->rows(), 'nothing is stored under the wrong name');
        $this->signIn();
        $stored = $this->postJson("/api/jobs/{$job->id}/entries", $entry)->assertOk()->json('state.log');
        self::assertSame('Ines', $stored[count($stored) - 1]['by']);
        $this->postJson("/api/jobs/{$job->id}/entries", $entry)->assertOk();
        $this->postJson("/api/jobs/{$job->id}/entries", array_diff_key($entry, ['by' => true]))->assertOk();
    }

    public function test_malformed_json_and_unknown_ids(): void
    {
        $this->signIn();
        $job = HttpJob::open($this);
        $this
            ->raw('POST', "/api/jobs/{$job->id}/entries", '{"id":')
            ->assertStatus(400)
            ->assertJsonPath('title', 'Not JSON');
        $this->raw('POST', "/api/jobs/{$job->id}/entries", '')->assertStatus(400);
        $this->raw('POST', "/api/jobs/{$job->id}/entries", '[]')->assertStatus(422);
        $this->raw('POST', "/api/jobs/{$job->id}/entries", '"text"')->assertStatus(422);
        $this
            ->raw('POST', "/api/jobs/{$job->id}/entries", str_repeat('[', 200).str_repeat(']', 200))
            ->assertStatus(400);
        $this
            ->postJson(
                '/api/jobs/'.Str::uuid().'/entries',
                ['id' => (string) Str::uuid(), 'at' => now()->toIso8601String(), 'line' => 'ok'],
            )
            ->assertNotFound();
        $job->send(['line' => 'ok', 'colour' => 'red'])->assertStatus(422);
        $job->send(['line' => 'ok', 'kind' => 'note'])->assertStatus(422);
        $job->send(['id' => 'seven', 'line' => 'ok'])->assertStatus(422);
        // Of no version and variant that RFC 9562 has: the database would not keep it.
        $job->send(['id' => '465b9030-59cc-9c51-6bf5-39348ad4951c', 'line' => 'ok'])->assertStatus(422);
        $job->send(['at' => 'yesterday', 'line' => 'ok'])->assertStatus(422);
        $job->send(['line' => 25])->assertStatus(422);
        $job->send(['kind' => 'rudder', 'body' => []])->assertStatus(422);
        $job->send(['kind' => 'note', 'body' => 'text'])->assertStatus(422);
        $job
            ->body('opened', ['control' => 'x', 'standing' => ['shelf' => []]])
            ->assertStatus(422)
            ->assertJsonPath('detail', 'A job is opened from the machine\'s page.');
        self::assertSame(1, $job->rows());
    }

    public function test_more_than_a_server_takes_is_refused(): void
    {
        $this->signIn();
        $job = HttpJob::open($this);
        $this->call(
            'POST',
            "/api/jobs/{$job->id}/entries",
            [],
            [],
            [],
            [
                'CONTENT_LENGTH' => (string) (1 << 30),
                'CONTENT_TYPE' => 'application/json',
                'HTTP_ACCEPT' => 'application/json',
            ],
            '{}',
        )
            ->assertStatus(413);
    }

    public function test_the_same_entry_again_changes_nothing_and_another_under_its_id_is_refused(): void
    {
        $this->signIn();
        $job = HttpJob::open($this)->ready();
        $job->line('25.3')->assertOk();
        $sent = $job->lastSent;
        $rows = $job->rows();
        $head = $job->state['head'];
        $job->resend($sent)->assertOk()->assertJsonPath('state.head', $head);
        $job
            ->resend(['line' => '26.3'] + $sent)
            ->assertStatus(409)
            ->assertJsonPath('detail', 'Another entry was already written under this id. Nothing was changed.');
        self::assertSame($rows, $job->rows());
    }

    public function test_the_same_id_in_another_machines_job_is_refused(): void
    {
        $this->signIn();
        $one = HttpJob::open($this)->ready();
        $one->line('n boot torn')->assertOk();
        $other = HttpJob::open($this, 'QB-03', 'throttle');
        $other
            ->resend($one->lastSent)
            ->assertStatus(409)
            ->assertJsonPath('detail', 'Another entry was already written under this id. Nothing was changed.');
        self::assertCount(1, $other->state['log']);
    }

    public function test_who_has_not_joined_and_a_closed_job_take_nothing(): void
    {
        $this->signIn();
        $job = HttpJob::open($this);
        $this->signIn('tomas');
        self::assertStringContainsString(
            'Tomas is not on this job.',
            (string) $job->line('ok')->assertStatus(422)->json('detail'),
        );
        $job->body('joined', [])->assertOk();
        $job->line('tag frayed wire')->assertOk();
        $job->body('closed', ['outcome' => 'tagged'])->assertOk();
        $rows = $job->rows();
        self::assertStringContainsString(
            'This job was closed by Tomas',
            (string) $job->line('n more')->assertStatus(422)->json('detail'),
        );
        self::assertSame($rows, $job->rows());
    }

    public function test_a_proof_that_crossed_anothers_turn_is_kept_and_asked_again(): void
    {
        $this->signIn();
        $job = HttpJob::open($this)->ready()->read('15', '15', '15');
        $seen = $job->state['head'];
        $this->signIn('tomas');
        $job->body('joined', [])->assertOk();
        $job->line('+1f', ['adjuster' => 'perch'])->assertOk();
        $this->signIn();
        $rows = $job->rows();
        $job
            ->send(['kind' => 'check', 'body' => ['key' => 'arm_loose', 'answer' => 'yes'], 'after' => $seen])
            ->assertOk();
        self::assertSame($rows + 1, $job->rows(), 'nothing that was said is lost');
        $open = static fn (array $state): array => array_column(
            array_filter(
                array_merge(...array_column($state['stages'], 'items')),
                static fn (array $item): bool => $item['key'] === 'check:arm_loose',
            ),
            'done',
        );
        self::assertSame([false], $open($job->state));
        self::assertContains(
            'Ines had not seen what Tomas did meanwhile. Asked again: Release arm loose by hand, just feelable.',
            array_values(array_filter(
                $job->state['warnings'],
                static fn (string $one): bool => str_contains($one, 'meanwhile'),
            )),
        );
        $job->body('check', ['key' => 'arm_loose', 'answer' => 'yes'])->assertOk();
        self::assertSame([true], $open($job->state));
    }

    public function test_nothing_runs_while_another_job_of_the_machine_says_that_a_cover_is_off(): void
    {
        $this->signIn();
        $clutch = HttpJob::open($this)->ready();
        $cover = $this->coverOf($clutch);
        $clutch->body('cover', ['adjuster' => $cover, 'off' => true])->assertOk();
        $grip = HttpJob::open($this, 'RT-14', 'throttle')->ready()->upTo('check:idle_steady', '4.2');
        self::assertSame(
            'This runs the machine, and its side cover is off, as the job on its clutch lever has it. Put it back, and say so there.',
            $grip->body('check', ['key' => 'idle_steady', 'answer' => 'yes'])->assertStatus(422)->json('detail'),
        );
        $grip->body('check', ['key' => 'snap_shut', 'answer' => 'yes', 'pose' => 'straight'])->assertOk();
        $clutch->body('cover', ['adjuster' => $cover, 'off' => false])->assertOk();
        $grip->body('check', ['key' => 'idle_steady', 'answer' => 'yes'])->assertOk();
        // A throttle is swept with its own covers off.
        $grip->body('cover', ['adjuster' => $this->coverOf($grip), 'off' => true])->assertOk();
        $clutch->body('confirmed', ['key' => 'refitted'])->assertOk();
        $clutch->body('confirmed', ['key' => 'slots_apart'])->assertOk();
        $clutch->body('check', ['key' => 'no_slip', 'answer' => 'holds'])->assertOk();
    }

    public function test_a_machine_that_is_tagged_on_one_control_is_not_run_for_another_but_by_a_lead(): void
    {
        $this->signIn();
        $grip = HttpJob::open($this, 'RT-14', 'throttle')->ready()->upTo('check:idle_steady', '4.2');
        $clutch = HttpJob::open($this);
        $clutch->line('tag lever snapped')->assertOk();
        $said = 'This runs the machine, and a tag hangs on its clutch lever: “lever snapped”. Do not run it. A lead may, and lifts the tag once that is put right.';
        self::assertSame(
            $said,
            $grip->body('check', ['key' => 'idle_steady', 'answer' => 'yes'])->assertStatus(422)->json('detail'),
            'as soon as it hangs',
        );
        $clutch->body('closed', ['outcome' => 'tagged'])->assertOk();
        self::assertSame(
            $said,
            $grip->body('check', ['key' => 'idle_steady', 'answer' => 'yes'])->assertStatus(422)->json('detail'),
            'and from then on',
        );
        $grip->body('check', ['key' => 'snap_shut', 'answer' => 'yes', 'pose' => 'straight'])->assertOk();
        $again = HttpJob::open($this);
        self::assertSame(
            422,
            $grip->body('check', ['key' => 'idle_steady', 'answer' => 'yes'])->status(),
            'a new job alone lifts nothing',
        );
        $grip->body('check', ['key' => 'idle_steady', 'answer' => 'no'])->assertOk();
        self::assertContains(
            'check:idle_steady',
            array_column(
                array_filter(
                    array_merge(...array_column(
                        $this->getJson("/api/jobs/{$grip->id}")->json('state.stages'),
                        'items',
                    )),
                    static fn (array $one): bool => $one['failed'],
                ),
                'key',
            ),
            'what went wrong while somebody ran it is kept',
        );
        $this->signIn('oda');
        $grip->body('joined', [])->assertOk();
        $grip->body('check', ['key' => 'idle_steady', 'answer' => 'yes'])->assertOk();
        $this->signIn();
        self::assertStringStartsWith(
            'This runs the machine. First, with the engine off: Inner wire',
            (string) $again
                ->body('check', ['key' => 'no_slip', 'answer' => 'holds'])
                ->assertStatus(422)
                ->json('detail'),
            'its own tag keeps no job from what lifts it',
        );
    }

    public function test_what_stands_against_running_is_said_where_it_is_asked_with_the_job_where_it_is_put_right(): void
    {
        $this->signIn();
        $grip = HttpJob::open($this, 'RT-14', 'throttle');
        $clutch = HttpJob::open($this);
        $clutch->line('tag lever snapped')->assertOk();
        $against = fn (): array => $this->getJson("/api/jobs/{$grip->id}")->assertOk()->json('do_not_run');
        $grip->ready();
        self::assertSame([], $against(), 'nothing is run yet');
        $grip->upTo('check:idle_steady', '4.2');
        $said = 'This runs the machine, and a tag hangs on its clutch lever: “lever snapped”. Do not run it. A lead may, and lifts the tag once that is put right.';
        self::assertSame([['sentence' => $said, 'job' => $clutch->id]], $against());
        $clutch->body('closed', ['outcome' => 'tagged'])->assertOk();
        self::assertSame([['sentence' => $said, 'job' => null]], $against(), 'no job is open on it any more');
    }

    public function test_nothing_runs_while_another_job_of_the_machine_found_a_throttle_that_stays_open(): void
    {
        $this->signIn('oda');
        $clutch = HttpJob::open($this)->ready();
        foreach (['refitted', 'slots_apart'] as $step) {
            $clutch->body('confirmed', ['key' => $step])->assertOk();
        }
        $grip = HttpJob::open($this, 'RT-14', 'throttle');
        $grip->body('check', ['key' => 'snap_shut', 'answer' => 'no', 'pose' => 'left'])->assertOk();
        $said = 'This runs the machine, and the job on its throttle grip found what is not to be run: Throttle does not snap shut, bars full left. Put it right there, or tag it.';
        $slip = fn () => $clutch->body('check', ['key' => 'no_slip', 'answer' => 'holds']);
        self::assertSame($said, $slip()->assertStatus(422)->json('detail'), 'a lead too');
        $clutch->body('check', ['key' => 'arm_loose', 'answer' => 'yes'])->assertOk();
        self::assertStringContainsString(
            'it is not to be run',
            (string) $grip
                ->body('check', ['key' => 'idle_steady', 'answer' => 'yes'])
                ->assertStatus(422)
                ->json('detail'),
        );
        $grip->body('check', ['key' => 'snap_shut', 'answer' => 'yes', 'pose' => 'left'])->assertOk();
        $slip()->assertOk();
    }

    public function test_nothing_runs_while_a_throttle_of_the_machine_was_turned_and_not_let_go_of_since(): void
    {
        $this->signIn();
        $clutch = HttpJob::open($this)->ready();
        foreach (['refitted', 'slots_apart'] as $step) {
            $clutch->body('confirmed', ['key' => $step])->assertOk();
        }
        $slip = fn () => $clutch->body('check', ['key' => 'no_slip', 'answer' => 'holds']);
        $grip = HttpJob::open($this, 'RT-14', 'throttle')->ready()->read('4.2');
        $slip()->assertOk();
        $grip->line('+1f', ['item' => 'in_band', 'adjuster' => 'grip'])->assertOk();
        $said = 'This runs the machine, and what was changed on its throttle grip was not tried by hand since. Snaps shut in every pose: not tried yet: bars straight, bars full left, bars full right. Wire in its groove: not tried yet: Wire lies in its groove on the drum. Try that first.';
        self::assertSame($said, $slip()->assertStatus(422)->json('detail'));
        $grip->upTo('check:idle_steady', '4.2');
        $slip()->assertOk();
    }

    public function test_who_signs_one_control_is_told_what_stands_against_the_machine_and_so_is_its_sheet(): void
    {
        $this->signIn();
        $clutch = HttpJob::open($this)->ready()->read('15', '15', '15');
        $against = fn (): array => $this->getJson("/api/jobs/{$clutch->id}")->assertOk()->json('do_not_run');
        $clutch->upTo('sign_off', '15');
        self::assertSame([], $against());
        $grip = HttpJob::open($this, 'RT-14', 'throttle');
        $grip->body('inspected', ['key' => 'wire', 'finding' => 'fault', 'remark' => 'frayed'])->assertOk();
        self::assertSame(
            [['sentence' => 'The job on its throttle grip found: Throttle wire is damaged.', 'job' => $grip->id]],
            $against(),
        );
        $clutch->body('closed', ['outcome' => 'fit'])->assertOk();
        self::assertSame([], $against(), 'signed, it asks for nothing');
        $sheet = JobSheet::of(JobHead::find($clutch->id));
        self::assertSame(
            ['Fit for use', ['The job on its throttle grip found: Throttle wire is damaged.']],
            [$sheet['outcome_words'], $sheet['machine_not_fit']],
        );
    }

    public function test_after_it_ran_it_is_made_safe_again_before_hands_go_near_also_for_another_control(): void
    {
        $this->signIn();
        $grip = HttpJob::open($this, 'RT-14', 'throttle')->ready();
        $clutch = HttpJob::open($this)->ready()->read('15', '15', '15');
        $said = fn (HttpJob $job): ?string => $this->getJson("/api/jobs/{$job->id}")->assertOk()->json('safe_again');
        foreach (['arm_loose', 'wiggle_still'] as $proof) {
            $clutch->body('check', ['key' => $proof, 'answer' => 'yes'])->assertOk();
        }
        foreach (['refitted', 'slots_apart'] as $step) {
            $clutch->body('confirmed', ['key' => $step])->assertOk();
        }
        $clutch->body('check', ['key' => 'no_creep', 'answer' => 'yes'])->assertOk();
        self::assertNull($said($clutch), 'it is run again next');
        self::assertSame(
            'It ran for the clutch lever. Before hands go near it again: engine off, key out; in neutral, parking brake set, wheels chocked.',
            $said($grip),
        );
        $clutch->body('check', ['key' => 'no_slip', 'answer' => 'holds'])->assertOk();
        $clutch->body('check', ['key' => 'bite', 'answer' => 'late'])->assertOk();
        self::assertSame(
            'It ran. Before hands go near it again: engine off, key out; in neutral, on its stand, wheels chocked.',
            $said($clutch),
        );
        $grip->read('4')->body('note', ['text' => 'dusty'])->assertOk();
        self::assertNull($said($grip), 'a hand was at it since');
    }

    public function test_a_run_for_one_control_makes_the_heat_of_another_be_said_again(): void
    {
        $this->signIn();
        $clutch = HttpJob::open($this)->ready();
        $grip = HttpJob::open($this, 'RT-14', 'throttle')->ready()->upTo('check:idle_steady', '4.2');
        $said = fn (): ?string => $this->getJson("/api/jobs/{$clutch->id}")->assertOk()->json('heat_again');
        self::assertNull($said(), 'tried by hand');
        $grip->body('check', ['key' => 'idle_steady', 'answer' => 'yes'])->assertOk();
        self::assertSame(
            'The machine was run for its throttle grip since its heat was said. Say again how it stands, before play is read.',
            $said(),
        );
        $rows = $clutch->rows();
        self::assertSame("{$said()} Then type it again.", $clutch->line('25')->assertStatus(422)->json('detail'));
        self::assertSame($rows, $clutch->rows());
        $clutch->line('hot')->assertOk();
        self::assertNull($said(), 'it is known again');
        self::assertStringStartsWith(
            'It is hot, and the figure is for a cold engine',
            (string) $clutch->state['wrong_state'],
        );
        $clutch->line('cold')->assertOk();
        $clutch->line('25')->assertOk();
        $clutch->body('check', ['key' => 'arm_loose', 'answer' => 'yes'])->assertOk();
        self::assertNull($said());
        // The figure of a grip holds in any heat: nobody has to say it.
        $clutch->body('confirmed', ['key' => 'refitted'])->assertOk();
        $clutch->body('confirmed', ['key' => 'slots_apart'])->assertOk();
        $clutch->body('check', ['key' => 'no_creep', 'answer' => 'yes'])->assertOk();
        $this->getJson("/api/jobs/{$grip->id}")->assertOk()->assertJsonPath('heat_again', null);
        $clutch->line('25')->assertStatus(422);
    }

    public function test_what_was_said_hours_ago_is_said_again(): void
    {
        $this->signIn();
        $clutch = HttpJob::open($this)->ready();
        $clutch->line('hot')->assertOk();
        $says = fn (?string $heat, ?string $lies): mixed => $this
            ->getJson("/api/jobs/{$clutch->id}")
            ->assertOk()
            ->assertJsonPath('heat_again', $heat)
            ->assertJsonPath('lies', $lies);
        $says(null, null);
        $this->travel(5)->hours();
        $says('It was called hot 5.0 h ago, and has cooled since. Say again how it stands, before play is read.',
            'Nothing was logged here for 5.0 h. Make it safe again before hands go near it: what was said then may not hold now.');
        self::assertStringContainsString(
            'has cooled since',
            (string) $clutch->line('25')->assertStatus(422)->json('detail'),
        );
        $clutch->line('cold')->assertOk();
        $says(null, null);
        $clutch->line('25')->assertOk();
    }

    public function test_nothing_is_found_only_where_the_bench_says_to_look(): void
    {
        $job = HttpJob::open($this->signIn(), 'RT-14', 'throttle')->ready();
        $rows = $job->rows();
        self::assertStringStartsWith(
            'The bench names nothing to be looked at now.',
            (string) $job->body('nothing_found', [])->assertStatus(422)->json('detail'),
        );
        self::assertSame($rows, $job->rows());
        $job->upTo('pose:left', '4.0');
        foreach (['left' => '9.0', 'straight' => '4.0'] as $pose => $mm) {
            $job->line($mm, ['pose' => $pose])->assertOk();
            $job->line($mm, ['pose' => $pose])->assertOk();
        }
        self::assertSame('routing_fault', $job->state['next']['kind']);
        $job->body('nothing_found', [])->assertOk();
        self::assertSame('Nothing was found: pull it fully three times and read it anew', $job->state['now']['sentence']);
        $job->body('nothing_found', [])->assertStatus(422);
    }

    private function coverOf(HttpJob $job): string
    {
        foreach ($job->state['adjusters'] as $adjuster) {
            if ($adjuster['cover'] !== null && $adjuster['cover'] !== 'boot') {
                return $adjuster['id'];
            }
        }
        self::fail('no cover');
    }

    public function test_entries_are_numbered_in_order_and_never_changed(): void
    {
        $this->signIn();
        $job = HttpJob::open($this)->ready()->read('25', '25.5');
        $seqs = EntryRow::query()->orderBy('seq')->pluck('seq')->all();
        self::assertSame(range(1, count($seqs)), $seqs);
        $row = EntryRow::query()->where('kind', 'reading')->firstOrFail();
        $this->expectException(LogicException::class);
        $row->update(['line' => '99']);
    }

    public function test_taken_back_and_put_right(): void
    {
        $this->signIn();
        $job = HttpJob::open($this)->ready()->read('25', '52');
        $wrong = $job->state['head'];
        $job->body('amend', ['entry' => $wrong, 'line' => '25.2', 'reason' => 'digits swapped'])->assertOk();
        self::assertEqualsWithDelta(25.1, $job->state['now']['mm'], 1e-9);
        $job->line('v the ring was loose')->assertOk();
        self::assertEqualsWithDelta(38.5, $job->state['now']['mm'], 1e-9, 'the amendment was the last own entry');
        $job->body('amend', ['entry' => $wrong, 'line' => 'abc', 'reason' => 'x'])->assertStatus(422);
        $job->body('amend', ['entry' => 'nobody', 'line' => '25', 'reason' => 'x'])->assertStatus(422);
    }

    public function test_the_state_of_the_machine_is_said_once_for_both_its_controls(): void
    {
        $this->signIn();
        $clutch = HttpJob::open($this)->ready();
        $throttle = HttpJob::open($this, 'RT-14', 'throttle');
        self::assertSame(
            ['engine' => 'cold', 'wheels' => null, 'label' => 'Cold'],
            $throttle->state['condition'],
            'the heat is said; the wheels, that only the throttle depends on, are not',
        );
        $clutch->line('v it was hot', ['item' => 'condition']);
        $clutch->body('condition', ['engine' => 'hot', 'wheels' => 'on_ground'])->assertOk();
        self::assertSame('hot', $this->getJson("/api/jobs/{$throttle->id}")->json('state.condition.engine'));
    }

    public function test_a_clock_that_runs_ahead_is_flagged_and_not_changed(): void
    {
        $this->signIn();
        $job = HttpJob::open($this);
        $ahead = now()->addMinutes(9)->addSeconds(30)->toIso8601String();
        $job->send(['line' => 'ok', 'shown' => ['item' => 'engine_off'], 'at' => $ahead])->assertOk();
        self::assertStringContainsString('runs 9 min ahead', implode(' ', $job->state['warnings']));
        self::assertSame($ahead, EntryRow::query()->where('kind', 'confirmed')->firstOrFail()->at);
    }

    public function test_nothing_is_half_written_when_the_database_refuses(): void
    {
        $this->signIn();
        $job = HttpJob::open($this)->ready();
        $rows = $job->rows();
        DB::listen(static function (QueryExecuted $query): void {
            if (str_starts_with($query->sql, 'insert into `entries`')) {
                throw new RuntimeException('full');
            }
        });
        $this->withoutExceptionHandling();
        try {
            $job->line('25');
            self::fail('The database did not refuse.');
        } catch (RuntimeException $e) {
            // The server answers 500 in production; what matters here is what was written.
            self::assertSame('full', $e->getMessage());
        }
        self::assertSame($rows, $job->rows());
        self::assertSame(1, DB::transactionLevel());
    }
}
