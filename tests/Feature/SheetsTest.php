<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Bench\ShopClock;
use App\Chain\DayHeads;
use App\Chain\Link;
use App\Models\Control;
use Illuminate\Support\Str;
use Symfony\Component\Process\Process;
use Tests\Support\Exchanges;
use Tests\Support\HttpJob;
use Tests\Support\Yard;
use Tests\TestCase;

/**
 * What is printed, read back by tools that did not write it: qpdf holds the file against ISO 32000, pdftotext reads its
 * words.
 */
final class SheetsTest extends TestCase
{
    use Exchanges;

    public function test_a_job_sheet_says_what_was_found_and_left_against_what_and_by_whom(): void
    {
        $job = HttpJob::open($this->signIn('ines'))->ready()->read('25.0', '25.5', '25.0');
        $job->line('n boot torn at the perch')->assertOk();
        $text = $this->words("/api/jobs/{$job->id}/sheet");
        foreach ([
            'RT-14',
            'Clutch lever',
            'Tolvane Ridge 300',
            '6 412 km',
            'Still open: this is no record yet',
            '25.17 ±',
            'too loose',
            'Steel rule, 3 times',
            '10 to 20 mm at the lever tip',
            '10–20 mm (3/8–13/16 in)',
            'Tolvane service book, 2nd edition, page 3-11',
            'checked by Oda',
            'boot torn at the perch',
            'local law win',
            'Ines',
        ] as $said) {
            self::assertStringContainsString($said, $text);
        }
        $job->line('tag wire frayed')->assertOk();
        $job->body('closed', ['outcome' => 'tagged'])->assertOk();
        $text = $this->words("/api/jobs/{$job->id}/sheet");
        foreach ([
            'Do not run',
            'wire frayed',
            'Only a new job that passes, signed by a lead, lifts this tag.',
            'Next check',
            'practice interval',
        ] as $said) {
            self::assertStringContainsString($said, $text);
        }
    }

    public function test_a_sheet_carries_the_head_of_all_that_was_logged_before_its_day(): void
    {
        $job = HttpJob::open($this->signIn());
        self::assertStringNotContainsString(
            'Head of the log',
            $this->words("/api/jobs/{$job->id}/sheet"),
            'nothing was logged before today',
        );
        $day = ShopClock::now()->utc()->format('Y-m-d');
        $this->travel(1)->days();
        $head = DayHeads::on($day);
        $text = $this->words("/api/jobs/{$job->id}/sheet");
        self::assertStringContainsString("Head of the log at the end of {$day}:", $text);
        self::assertStringContainsString($head, str_replace(' ', '', $text));
        self::assertNotSame(Link::NOTHING, $head);
    }

    public function test_a_machine_history_tells_every_control(): void
    {
        $job = HttpJob::open($this->signIn());
        $job->line('tag wire frayed')->assertOk();
        $job->body('closed', ['outcome' => 'tagged'])->assertOk();
        $text = $this->words('/api/machines/RT-14/sheet');
        foreach ([
            'Machine history',
            'Clutch lever',
            'Throttle grip',
            'Do not run: wire frayed',
            'No job yet.',
        ] as $said) {
            self::assertStringContainsString($said, $text);
        }
    }

    public function test_a_blank_sheet_has_every_step_caution_and_proof_of_the_family(): void
    {
        array_map(Yard::add(...), ['MW-07', 'SN-03', 'UC-01', 'TR-02']);
        $this->signIn('office');
        foreach (Control::query()->with('machine')->get() as $control) {
            $state = HttpJob::open($this->signIn(), $control->machine->tag, $control->key)->state;
            $text = $this->words("/api/machines/{$control->machine->tag}/controls/{$control->key}/blank");
            foreach ($state['stages'] as $stage) {
                foreach ($stage['cautions'] as $caution) {
                    self::assertStringContainsString(self::flat($caution), $text, $stage['key']);
                }
                foreach (in_array(
                    $stage['key'],
                    ['make_safe', 'look_over'],
                    true,
                ) ? array_column($stage['items'], 'label') : [] as $label) {
                    self::assertStringContainsString(self::flat($label), $text);
                }
            }
        }
    }

    public function test_a_blank_sheet_of_what_has_no_play_lists_its_settings_and_what_else_is_measured(): void
    {
        array_map(Yard::add(...), ['MW-07', 'SN-03']);
        $this->signIn('office');
        $selector = $this->words('/api/machines/SN-03/controls/selector/blank');
        self::assertSame(
            4,
            substr_count($selector, 'R1 Reverse Nothing Forward'),
            'as found and as left, the right one first; words() reads a sheet twice',
        );
        self::assertStringNotContainsString('1st 2nd 3rd', $selector);
        $bail = $this->words('/api/machines/MW-07/controls/bail/blank');
        foreach ([
            'what it does is tried under Prove',
            '4 Prove',
            'Engine and blade stop',
            'The blade stands within 3 s',
            '5 Close',
        ] as $words) {
            self::assertStringContainsString($words, $bail);
        }
        self::assertStringNotContainsString('Stands at, before', $bail, 'nothing on it is turned');
    }

    public function test_a_job_that_came_in_by_file_prints_what_its_file_says(): void
    {
        $this->takenIn(
            'history',
            'job,'.self::HEAD
                ."\n11111111-2222-4333-8444-555555555555,RT-14,clutch,2025-01-10,2000,21.25,15.3,Bo Marl\n",
            1,
        );
        $text = $this->words('/api/jobs/11111111-2222-4333-8444-555555555555/sheet');
        foreach ([
            'Fit for use', '21.25 ± 1.00 mm', '15.30 ± 1.00 mm', 'As its file says', 'It came in by file.', 'Bo Marl',
            '10 January 2025',
        ] as $words) {
            self::assertStringContainsString($words, $text);
        }
        self::assertStringNotContainsString('Make safe', $text, 'what nobody said is not listed as undone');
    }

    public function test_what_is_typed_is_printed_as_text_and_never_as_markup(): void
    {
        $job = HttpJob::open($this->signIn());
        $job->line('n <b>bold</b> & <img src="https://example.org/x.png"> <?php echo 1; ?>')->assertOk();
        self::assertStringContainsString(
            '<b>bold</b> & <img src="https://example.org/x.png">',
            $this->words("/api/jobs/{$job->id}/sheet"),
        );
    }

    public function test_sheets_of_nothing_are_not_found(): void
    {
        $this->signIn();
        $this->get('/api/jobs/'.Str::uuid().'/sheet')->assertNotFound();
        $this->get('/api/machines/ZZ-1/sheet')->assertNotFound();
        $this->get('/api/machines/RT-14/controls/wing/blank')->assertNotFound();
    }

    /** The words of a PDF on one line, as another tool reads them. */
    public function test_a_complaint_says_what_felt_wrong_what_was_looked_at_and_what_it_was(): void
    {
        $id = (string) Str::uuid();
        $this
            ->signIn('ines')
            ->postJson(
                '/api/machines/RT-14/controls/clutch/complaints',
                [
                    'id' => $id,
                    'symptoms' => ['creeps_in' => 'yes', 'slips' => 'no'],
                    'words' => 'pulls away <b>by itself</b>',
                ],
            )
            ->assertCreated();
        foreach ([['check', 'wire', 'right'], ['tried', 'too_loose', null]] as [$kind, $about, $answer]) {
            $this
                ->postJson(
                    "/api/complaints/{$id}/answers",
                    ['id' => (string) Str::uuid(), 'kind' => $kind, 'about' => $about, 'answer' => $answer],
                )
                ->assertOk();
        }
        $text = $this->words("/api/complaints/{$id}/sheet");
        foreach ([
            'RT-14',
            'Do not run until its cause is found',
            '“pulls away <b>by itself</b>”',
            'Creeps or lurches with the lever in Yes',
            'Slips under load No',
            'Inner wire Sound',
            'Play too large Put right, and it is still there',
            'What it may be',
            'Next:',
        ] as $said) {
            self::assertStringContainsString($said, $text);
        }
        $this->postJson("/api/complaints/{$id}/answers", [
            'id' => (string) Str::uuid(), 'kind' => 'symptom', 'about' => 'creeps_in', 'answer' => 'no',
        ])->assertOk();
        $this->postJson("/api/complaints/{$id}/closed", ['cause' => 'notched_basket'])->assertOk();
        $text = $this->words("/api/complaints/{$id}/sheet");
        self::assertStringContainsString(
            'What it was Ridges in the basket or hub File shallow ridges; replace what is deeper.',
            $text,
        );
        self::assertStringNotContainsString('What it may be', $text);
        self::assertStringNotContainsString('Do not run', $text);
    }

    private function words(string $path): string
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'sheet');
        file_put_contents(
            $file,
            (string) $this->get($path)->assertOk()->assertHeader('Content-Type', 'application/pdf')->getContent(),
        );
        (new Process(['qpdf', '--check', $file]))->mustRun();
        $text = (new Process(['pdftotext', '-layout', $file, '-']))->mustRun()->getOutput();
        $flowing = (new Process(['pdftotext', $file, '-']))->mustRun()->getOutput();
        unlink($file);

        return self::flat($text).' '.self::flat($flowing);
    }

    private static function flat(string $text): string
    {
        return trim((string) preg_replace('/\s+/u', ' ', $text));
    }

    public function test_a_check_says_on_paper_what_nobody_tried(): void
    {
        $id = (string) Str::uuid();
        $this
            ->signIn('ines')
            ->postJson('/api/machines/RT-14/jobs', ['id' => $id, 'control' => 'clutch', 'check' => true])
            ->assertCreated();
        $job = HttpJob::resume($this, $id);
        $job->line('all ok')->assertOk();
        $job->line('cold')->assertOk();
        $job->read('15')->body('closed', ['outcome' => 'checked'])->assertOk();
        $text = $this->words("/api/jobs/{$id}/sheet");
        foreach ([
            'Checked: play inside its band',
            'does not say that it is fit for use',
            'Not tried: inner wire sound',
        ] as $said) {
            self::assertStringContainsString($said, $text);
        }
    }

    /** The screens are set in the same fonts: what lies with the app is what their packages have. */
    public function test_paper_is_set_in_the_fonts_of_the_screens(): void
    {
        $fonts = (array) glob(resource_path('fonts/*.woff'));
        self::assertCount(4, $fonts);
        foreach ($fonts as $font) {
            $family = preg_replace('/-latin-.*$/', '', basename((string) $font));
            self::assertFileEquals(
                base_path("node_modules/@fontsource/{$family}/files/".basename((string) $font)),
                (string) $font,
            );
            self::assertFileExists(resource_path("fonts/{$family}-LICENSE"));
        }
    }
}
