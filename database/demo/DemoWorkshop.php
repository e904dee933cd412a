<?php

declare(strict_types=1);

namespace Database\Demo;

use App\Models\CableRow;
use App\Models\Complaint;
use App\Models\ComplaintAnswer;
use App\Models\Control;
use App\Models\Instrument;
use App\Models\Intake;
use App\Models\Machine;
use App\Models\PracticeGroup;
use App\Models\PracticeTask;
use App\Models\SpecVersion;
use App\Models\User;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use VividPull\Core\Family\Families;
use VividPull\Core\Practice\Lesson\Help;
use VividPull\Core\Procedure\Replacement;
use VividPull\Core\Spec\FamilyKey;

/** Saltmarsh Ferry & Parks: machines, two years of jobs, and a day on the bench. The same for the same day. */
final class DemoWorkshop
{
    /** Days before today of the past jobs of a control, oldest first, and what wore between them. */
    private const PAST = [700, 520, 340, 170];

    /** How much of the pull still arrives at the clutch of one machine, job by job. */
    private const DRIER = [1 => 0.84, 2 => 0.8, 3 => 0.75];

    /** Days by which the looks at some lie earlier, so that they do not all fall due at once. */
    private const SHIFTS = ['SC-02' => -78, 'QB-01 throttle' => 4, 'SC-05 throttle' => 1, 'RT-14 throttle' => -6];

    /**
     * Stories that wear tells: control, days before today, mm of play for each unit of use, and what slipped before
     * which visit.
     */
    private const WEAR = [
        ['RT-11', 'clutch', [690, 560, 430, 300, 150], -0.0034, [4 => 15.0]],
        ['MW-04', 'drive', [640, 500, 370, 240, 110], 0.155, []],
        ['RT-16', 'throttle', [660, 480, 300, 120], 0.0007, []],
    ];

    /** @var array<string, User> */
    private array $people;

    private function __construct(private readonly CarbonImmutable $now) {}

    public static function load(CarbonImmutable $now): void
    {
        $frozen = CarbonImmutable::hasTestNow() ? CarbonImmutable::getTestNow() : null;
        try {
            DemoIds::during(static fn () => (new self($now))->fill());
        } finally {
            CarbonImmutable::setTestNow($frozen);
        }
    }

    private function fill(): void
    {
        $this->people = DemoPeople::load();
        foreach (DemoFleet::SHELF as $place => [$id, $body, $days]) {
            if (($body['calibration'] ?? null) !== null) {
                $body['calibration']['due'] = $this->now->addDays($days)->toDateString();
            }
            Instrument::query()->create(['id' => $id, 'place' => $place, 'body' => $body]);
        }
        $this->checks();
        foreach (DemoFleet::MACHINES as $row) {
            $this->machine($row);
        }
        $this->past();
        $this->dueDates();
        $this->library();
        $this->cables();
        $this->today();
        $this->learners();
    }

    /** Who learns here, and what is set for them. */
    private function learners(): void
    {
        $group = PracticeGroup::query()->create([
            'id' => 'c4ec0000-2222-4333-8444-000000000002',
            'name' => 'Apprentices',
            'made_at' => $this->now->subDays(3),
        ]);
        $group->people()->attach($this->people['mirre']->id);
        foreach ([
            'c4ec0000-2222-4333-8444-000000000003' => ['lever_loose', Help::Asked],
            'c4ec0000-2222-4333-8444-000000000004' => ['lever_right', Help::None],
        ] as $id => [$lesson, $help]) {
            PracticeTask::query()->create([
                'id' => $id,
                'group_id' => $group->id,
                'lesson' => $lesson,
                'help' => $help,
                'due_on' => $this->now->addDays(11)->toDateString(),
                'set_at' => $this->now->subDays(3),
            ]);
        }
    }

    /** The caliper was held against blocks before its certificate was written. */
    private function checks(): void
    {
        DB::table('instrument_checks')->insert([
            'id' => 'c4ec0000-2222-4333-8444-000000000001', 'instrument' => 'caliper-1',
            'user_id' => $this->people['oda']->id, 'at' => $this->now->subDays(243)->format('Y-m-d H:i:s.v'),
            'body' => json_encode(['kind' => 'blocks', 'known_mm' => 0.001, 'blocks' => [
                ['size_mm' => 5.0, 'readings_mm' => [5.0, 5.0, 5.05]],
                ['size_mm' => 12.5, 'readings_mm' => [12.5, 12.5, 12.5]],
                ['size_mm' => 25.0, 'readings_mm' => [25.0, 24.95, 25.0]],
            ]], JSON_PRESERVE_ZERO_FRACTION),
        ]);
    }

    /** The book of cables: what was measured when it was off. */
    private function cables(): void
    {
        $ridge = ['hand_end' => 'barrel', 'working_end' => 'barrel', 'adjusters' => ['in_line']];
        $throttle = ['hand_end' => 'barrel', 'working_end' => 'ball', 'adjusters' => []];
        foreach ([
            [
                'Clutch cable off RT-14',
                null,
                ['wire_mm' => 84.0, 'conduit_mm' => 912.0] + $ridge,
                null,
                'Ines',
                170,
                'RT-14',
            ],
            [
                'Clutch cable, Ridge 300',
                'TV-300-7',
                ['wire_mm' => 84.5, 'conduit_mm' => 914.0] + $ridge,
                '24.90',
                'Tomas',
                120,
                null,
            ],
            [
                'Clutch cable, Ridge 300, long bars',
                'TV-300-9',
                ['wire_mm' => 88.0, 'conduit_mm' => 962.0] + $ridge,
                '27.50',
                'Tomas',
                120,
                null,
            ],
            [
                'Clutch cable, Quay 125',
                'ON-125-2',
                [
                    'wire_mm' => 84.0,
                    'conduit_mm' => 861.0,
                    'hand_end' => 'barrel',
                    'working_end' => 'eyelet',
                    'adjusters' => ['in_line'],
                ],
                '19.00',
                'Ines',
                60,
                null,
            ],
            [
                'Throttle cable, an inch short',
                'MH-2110, an inch short',
                ['wire_mm' => 84.0, 'conduit_mm' => 880.0] + $throttle,
                '11.80',
                'Tomas',
                150,
                null,
            ],
            [
                'Throttle cable',
                'MH-2112',
                ['wire_mm' => 109.0, 'conduit_mm' => 904.0] + $throttle,
                '12.40',
                'Tomas',
                150,
                null,
            ],
        ] as [$name, $number, $sizes, $price, $by, $days, $tag]) {
            CableRow::query()->create([
                'id' => DemoIds::next(),
                'body' => ['name' => $name] + $sizes,
                'number' => $number,
                'price' => $price,
                'measured_by' => $by,
                'measured_on' => $this->now->subDays($days)->toDateString(),
                'control_id' => $tag === null ? null : $this->control($tag, 'clutch')->id,
            ]);
        }
    }

    /** A figure that the next edition of a book prints otherwise, entered and waiting for a second pair of eyes. */
    private function library(): void
    {
        $next = DemoFleet::version('Tolvane Ridge 300', 'clutch');
        $next['body'] = array_replace_recursive($next['body'], ['aim' => ['low_mm' => 12, 'high_mm' => 18],
            'book' => ['printed' => '12–18 mm (15/32–23/32 in)'],
            'source' => ['edition' => '3rd edition', 'entered_by' => 'Ines', 'checked_by' => null]]);
        SpecVersion::query()->create(
            [
                'model' => 'Tolvane Ridge 300',
                'control' => 'clutch',
                'version' => 2,
                'entered_by_id' => $this->people['ines']->id,
                'checked_by_id' => null,
                'checked_at' => null,
            ]
                + $next,
        );
    }

    /** @param  array{string, string|null, string, string, int, string, int, string, list<string>}  $row */
    private function machine(array $row): void
    {
        [$tag, $plate, $model, $kind, $year, $place, $usage, $unit, $controls] = $row;
        $machine = Machine::query()->create([
            'tag' => $tag,
            'plate' => $plate,
            'name' => $model,
            'kind' => $kind,
            'year' => $year,
            'place' => $place,
            'usage_reading' => $usage,
            'usage_unit' => $unit,
            'ran_until' => $this->now->subHours(9)->subMinutes(20),
        ]);
        foreach ($controls as $key) {
            $spec = SpecVersion::query()->firstOrCreate(
                ['model' => $model, 'control' => $key, 'version' => 1],
                DemoFleet::version($model, $key),
            );
            Control::query()->create(['machine_id' => $machine->id, 'spec_version_id' => $spec->id, 'key' => $key,
                'name' => DemoFleet::NAMES[$key], 'run' => DemoFleet::run($model, $key),
                'minutes' => DemoFleet::MINUTES[$key]]);
        }
    }

    private function past(): void
    {
        foreach (['RT-14' => 4, 'RT-09' => 2, 'SC-08' => 2, 'SC-02' => 2, 'RT-16' => 2] as $tag => $jobs) {
            $this->story($tag, 'clutch', $jobs, self::SHIFTS[$tag] ?? 0);
        }
        foreach (['RT-14' => 2, 'QB-03' => 2, 'QB-05' => 1, 'QB-01' => 2, 'SC-05' => 1] as $tag => $jobs) {
            $this->story($tag, 'throttle', $jobs, self::SHIFTS["{$tag} throttle"] ?? 0);
        }
        foreach (self::WEAR as [$tag, $key, $days, $perUse, $slips]) {
            $this->wearStory($tag, $key, $days, $perUse, $slips);
        }
        $this->wrongCable();
    }

    /** Past jobs of one control: plates wear and take play away, a throttle's conduit settles and gives it. */
    private function story(string $tag, string $key, int $jobs, int $shift): void
    {
        $control = $this->control($tag, $key);
        $band = $control->specVersion->body['aim'];
        $clutch = $key === 'clutch';
        $truth = $this->truth($control, $clutch ? $band['low_mm'] - 1.5 : $band['high_mm'] + 0.8);
        $usage = $control->machine->usage_reading;
        foreach (array_slice(self::PAST, -$jobs) as $n => $past) {
            $days = $past + $shift;
            $control->machine->forceFill(['usage_reading' => (int) round($usage * (1 - $days / 900))])->save();
            $worker = $this->people[$n % 2 === 0 ? 'ines' : 'tomas'];
            $job = new DemoTechnician(
                $this->control($tag, $key),
                $truth,
                $worker,
                $this->now->startOfDay()->subDays($days)->addHours(8 + $n),
                $this->resolution($control),
            );
            if ($tag === 'RT-14' && $clutch && $n > 0) {
                $job->workUntil('reading');
                $job->pull(self::DRIER[$n]);
            }
            $job->workUntil('never');
            $truth->wear(($band['high_mm'] - $band['low_mm']) * ($clutch ? -0.55 : 0.3));
        }
        $control->machine->forceFill(['usage_reading' => $usage])->save();
    }

    /**
     * @param  list<int>  $days
     * @param  array<int, float>  $slips  mm of play that went by itself before a visit, by visit
     */
    private function wearStory(string $tag, string $key, array $days, float $perUse, array $slips): void
    {
        $control = $this->control($tag, $key);
        $band = $control->specVersion->body['aim'];
        $now = $control->machine->usage_reading;
        $truth = $this->truth($control, ($band['low_mm'] + $band['high_mm']) / 2);
        $before = null;
        foreach ($days as $n => $ago) {
            $usage = (int) round($now * (1 - $ago / 900));
            $truth->wear(($before === null ? 0.0 : $perUse * ($usage - $before)) + ($slips[$n] ?? 0.0));
            $before = $usage;
            $control->machine->forceFill(['usage_reading' => $usage])->save();
            $worker = $this->people[$n % 2 === 0 ? 'tomas' : 'ines'];
            (new DemoTechnician(
                $this->control($tag, $key),
                $truth,
                $worker,
                $this->now->startOfDay()->subDays($ago)->addHours(9 + $n),
                $this->resolution($control),
                ['measure:full_drive' => '62', 'found:measure:full_drive' => '62'],
            ))->workUntil('never');
        }
        $control->machine->forceFill(['usage_reading' => $now])->save();
    }

    /**
     * A frayed throttle cable replaced: the first new one is an inch short although its label says that it fits, the
     * second is right.
     */
    private function wrongCable(): void
    {
        $usage = $this->control('RT-02', 'throttle')->machine->usage_reading;
        $truth = $this->truth($this->control('RT-02', 'throttle'), 4.6);
        foreach ([520, 330, 150, 118, 40] as $n => $ago) {
            $control = $this->control('RT-02', 'throttle');
            $control->machine->forceFill(['usage_reading' => (int) round($usage * (1 - $ago / 900))])->save();
            $job = new DemoTechnician(
                $control,
                $truth,
                $this->people[$n % 2 === 0 ? 'ines' : 'tomas'],
                $this->now->startOfDay()->subDays($ago)->addHours(10),
                0.5,
            );
            if ($ago === 150) {
                $job->workUntil('pose');
                $job->body('replacing', ['key' => 'begin', 'reason' => 'frayed']);
                $job->body(
                    'replacing',
                    ['key' => 'note', 'remark' => 'Left of the steering head, under both clips, second hole'],
                );
                $job->body('replacing', ['key' => 'slack']);
                $job->body('compared', ['old_wire_mm' => 109.4, 'new_wire_mm' => 84, 'ends_alike' => true]);
                $job->body('part_refused', ['part' => 'cable', 'number' => 'MH-2110, an inch short']);
                $job->body('compared', ['old_wire_mm' => 109.4, 'new_wire_mm' => 109, 'ends_alike' => true]);
                foreach (Families::of(FamilyKey::TwistGrip)->replacing() as $step) {
                    if (! in_array($step->key, [Replacement::NOTE, Replacement::SLACK, Replacement::COMPARE], true)) {
                        $job->body('replacing', ['key' => $step->key]);
                    }
                }
                $job->body('part', ['part' => 'cable', 'remark' => 'MH-2112']);
                $truth->wear(0.4);
            }
            $job->workUntil('never');
            $truth->wear($ago === 150 ? 0.9 : 0.6);
        }
        $this->control('RT-02', 'throttle')->machine->forceFill(['usage_reading' => $usage])->save();
    }

    /** A machine that is new here: nobody has looked at it, and the book asks for a first look. */
    private function dueDates(): void
    {
        $this
            ->control('RT-20', 'clutch')
            ->forceFill([
                'due_on' => $this->now->addDays(24)->toDateString(),
                'due_why' => 'first look of a new machine',
            ])
            ->save();
    }

    private function today(): void
    {
        $this->tagged();
        $this->finished();
        $this->withoutPlay();
        $this->leftByChoice();
        foreach ([
            'RT-14/clutch', 'QB-03/throttle', 'SC-08/clutch', 'RT-16/clutch', 'RT-09/clutch', 'QB-07/throttle',
            'TM-06/trigger', 'TR-02/drive', 'SN-03/selector', 'MW-07/bail',
        ] as $name) {
            [$tag, $key] = explode('/', $name);
            $this->control($tag, $key)->forceFill(['planned_on' => $this->now->toDateString()])->save();
        }
        Machine::query()->where('tag', 'SC-08')->update(['ran_until' => $this->now->subMinutes(118)]);
        $this->begun();
        foreach (['ines' => 75, 'tomas' => 60] as $login => $minutes) {
            DB::table('presences')->insert([
                'day' => $this->now->toDateString(),
                'user_id' => $this->people[$login]->id,
                'minutes' => $minutes,
            ]);
        }
        Intake::query()->create([
            'id' => DemoIds::next(),
            'machine_id' => $this->control('QB-01', 'throttle')->machine_id,
            'control_id' => $this->control('QB-01', 'throttle')->id,
            'words' => 'Grip comes back slowly when it is wet.',
            'user_id' => $this->people['mirre']->id,
            'at' => $this->now->subHours(3),
        ]);
        $this->complaints();
    }

    /** One whose cause is being looked for, and three that were found. */
    private function complaints(): void
    {
        foreach ([
            ['SC-02', 'slips', 'wrong_oil', 61],
            ['RT-11', 'bites_late', 'too_tight', 34],
            ['RT-02', 'creeps_in', 'too_loose', 12],
        ] as [$tag, $symptom, $cause, $days]) {
            $this->complaint($tag, ['symptom' => [$symptom => 'yes']], $this->now->subDays($days), $cause);
        }
        $this->complaint(
            'RT-11',
            ['symptom' => ['slips' => 'yes', 'creeps_in' => 'no'], 'check' => ['wire' => 'right', 'play' => 'right']],
            $this->now->subMinutes(50),
            null,
            'Slips in the hills since spring.',
        );
    }

    /** @param  array<string, array<string, string>>  $answers  by kind, by what they are about */
    private function complaint(
        string $tag,
        array $answers,
        CarbonImmutable $at,
        ?string $cause,
        ?string $words = null,
    ): void {
        $control = $this->control($tag, 'clutch');
        $complaint = Complaint::query()->create([
            'id' => DemoIds::next(),
            'control_id' => $control->id,
            'open_control_id' => $cause === null ? $control->id : null,
            'words' => $words,
            'opened_by_id' => $this->people['mirre']->id,
            'opened_at' => $at,
            'closed_by_id' => $cause === null ? null : $this->people['tomas']->id,
            'closed_at' => $cause === null ? null : $at->addMinutes(40),
            'cause' => $cause,
        ]);
        $seq = 0;
        foreach ($answers as $kind => $given) {
            foreach ($given as $about => $answer) {
                $seq++;
                ComplaintAnswer::query()->create([
                    'id' => DemoIds::next(),
                    'complaint_id' => $complaint->id,
                    'seq' => $seq,
                    'kind' => $kind,
                    'about' => $about,
                    'answer' => $answer,
                    'user_id' => $this->people[$kind === 'symptom' ? 'mirre' : 'tomas']->id,
                    'at' => $at->addMinutes(3 * $seq),
                ]);
            }
        }
    }

    /** A throttle that hangs open with the bars full right. */
    private function tagged(): void
    {
        $truth = $this->truth($this->control('QB-05', 'throttle'), 4.1);
        $job = new DemoTechnician(
            $this->control('QB-05', 'throttle'),
            $truth,
            $this->people['ines'],
            $this->now->subDay()->setTime(15, 10),
            0.5,
        );
        $job->workUntil('check:snap_shut/right');
        $job->body('check', ['key' => 'snap_shut', 'answer' => 'no', 'pose' => 'right']);
        $job->body('tag', ['reason' => 'Throttle does not snap shut, bars full right.']);
        $job->body('closed', ['outcome' => 'tagged']);
    }

    private function finished(): void
    {
        $job = new DemoTechnician(
            $this->control('SC-11', 'clutch'),
            $this->truth($this->control('SC-11', 'clutch'), 17.0),
            $this->people['tomas'],
            $this->now->subDay()->setTime(10, 5),
            0.5,
        );
        $job->workUntil('never');
    }

    /** Controls that are proved by what they do: last season's look at a selector, a bail and the modes of a cart. */
    private function withoutPlay(): void
    {
        foreach (['SN-03/selector' => 240, 'MW-07/bail' => 62, 'UC-01/modes' => 35] as $name => $days) {
            [$tag, $key] = explode('/', $name);
            $control = $this->control($tag, $key);
            $job = new DemoTechnician(
                $control,
                $this->truth($control, 0.0),
                $this->people['tomas'],
                $this->now->subDays($days)->setTime(13, 20),
                0.5,
                ['measure:blade_stop' => '2.2 s'],
            );
            $job->workUntil('never');
        }
    }

    /** A rider who wants more play than the book. */
    private function leftByChoice(): void
    {
        $job = new DemoTechnician(
            $this->control('RT-02', 'clutch'),
            $this->truth($this->control('RT-02', 'clutch'), 4.4),
            $this->people['tomas'],
            $this->now->subDays(12)->setTime(9, 20),
            0.05,
        );
        $job->workUntil('in_band');
        $job->body('by_choice', ['reason' => 'Ranger Bo rides with thick gloves and wants the later bite.']);
        $job->workUntil('never', ['outcome' => 'by_choice']);
    }

    /** Two jobs begun and put down: one at its second move, one just read as found. */
    private function begun(): void
    {
        $truth = $this->truth($this->control('QB-07', 'throttle'), 7.2);
        $read = new DemoTechnician(
            $this->control('QB-07', 'throttle'),
            $truth,
            $this->people['tomas'],
            $this->now->subMinutes(95),
            0.5,
        );
        $read->workUntil('reading:found');
        $read->line('7', ['pose' => 'straight', 'instrument' => 'rule-300']);
        $truth = $this->truth($this->control('RT-09', 'clutch'), 27.1);
        $set = new DemoTechnician(
            $this->control('RT-09', 'clutch'),
            $truth,
            $this->people['ines'],
            $this->now->subMinutes(50),
            0.5,
        );
        $set->workUntil('in_band');
        $set->line('+1t', ['adjuster' => 'perch']);
        $truth->give(-1.25);
        foreach ([1, 2, 3] as $ignored) {
            $set->line((string) $truth->read(0.5, 'straight'), ['instrument' => 'rule-300']);
        }
    }

    private function truth(Control $control, float $play): HiddenRun
    {
        if (! isset($control->specVersion->body['aim'])) {
            return new HiddenRun(0.0, 1.0, 0.0, 1);
        }
        $hand = $control->run['hand'];
        $point = $control->specVersion->body['aim']['point'];
        $ratio = isset($hand['drum_radius_mm'])
            ? $hand['flange_radius_mm'] / $hand['drum_radius_mm']
            : $hand['pivot_to_point_mm'][$point] / $hand['pivot_to_wire_mm'];

        return new HiddenRun(
            $play,
            $ratio * 1.05,
            $this->resolution($control) < 0.5 ? 0.05 : 0.2,
            crc32("{$control->machine->tag} {$control->key}"),
        );
    }

    private function resolution(Control $control): float
    {
        return ($control->specVersion->body['aim']['point'] ?? null) === 'perch_gap' ? 0.05 : 0.5;
    }

    private function control(string $tag, string $key): Control
    {
        return Control::query()->with(['machine', 'specVersion'])->where('key', $key)
            ->whereHas('machine', static fn ($machines) => $machines->where('tag', $tag))->firstOrFail();
    }
}
