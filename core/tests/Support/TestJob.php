<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Support;

use RuntimeException;
use VividPull\Core\Bench\Bench;
use VividPull\Core\Bench\BenchLine;
use VividPull\Core\Bench\BenchState;
use VividPull\Core\Bench\Shown;
use VividPull\Core\Cable\Pose;
use VividPull\Core\Errors\CoreError;
use VividPull\Core\Family\Families;
use VividPull\Core\Input\Node;
use VividPull\Core\Judging\GateState;
use VividPull\Core\Log\EntryKind;
use VividPull\Core\Log\Log;
use VividPull\Core\Log\Person;
use VividPull\Core\Log\Role;
use VividPull\Core\Log\Stamp;
use VividPull\Core\Measurement\VerdictKind;
use VividPull\Core\Procedure\GateKey;
use VividPull\Core\Procedure\Step;
use VividPull\Core\Progress\Answer;
use VividPull\Core\Progress\StageItem;
use VividPull\Core\Quantity\Unit;
use VividPull\Core\Spec\OutcomeTable;
use VividPull\Core\Wire\AimCodec;
use VividPull\Core\Wire\EntryCodec;
use VividPull\Core\Wire\RunCodec;
use VividPull\Core\Wire\SpecCodec;

/** A job worked in a test: lines and entries go the way they go on the bench. */
final class TestJob
{
    public BenchState $state;

    public Person $person;

    public string $instrument = 'rule';

    /** The adjuster shown when a move is typed. */
    public ?string $adjuster = 'perch';

    /** What a bare number is taken in. */
    public Unit $unit = Unit::Millimetre;

    /**
     * @var list<array{id: string, kind: string, body: array<string, mixed>, by: string, after: ?string}> what was taken
     *     after the job was opened, as it was sent
     */
    public array $written = [];

    /** The last entry its person has seen; null is all of them. */
    public ?string $seen = null;

    private int $count = 0;

    private readonly EntryCodec $codec;

    /**
     * @param  array<string, mixed>  $spec
     * @param  array<string, mixed>  $run
     * @param  array<string, mixed>  $standing
     */
    private function __construct(array $spec, array $run, array $standing, bool $isCheck = false)
    {
        $this->person = self::ines();
        $decoded = RunCodec::decode(Node::of($run));
        $this->codec = new EntryCodec($decoded);
        $opened = $this->codec->entry(
            EntryKind::Opened,
            Node::of(['control' => 'test', 'standing' => $standing] + ($isCheck ? ['check' => true] : [])),
            $this->stamp(),
        );
        $this->state = Bench::replay(SpecCodec::decode(Node::of($spec)), $decoded, Log::of($opened));
    }

    /**
     * Any spec on any run.
     *
     * @param  array<string, mixed>  $spec  beside its source
     * @param  array<string, mixed>  $run
     * @param  array<string, float|null>  $positions
     * @param  array<string, mixed>  $standing  beside its shelf and positions
     */
    public static function of(array $spec, array $run, array $positions = [], array $standing = []): self
    {
        $job = new self(
            $spec + ['source' => ['document' => 'test book']],
            $run,
            $standing + self::standing($positions),
        );
        $job->adjuster = array_key_first($job->state->run->adjusters());

        return $job;
    }

    /**
     * A control whose settings are tried, with one slotted bracket or as many in-line adjusters of six bevels as are
     * named.
     *
     * @param  list<string>  $bevels
     * @param  array<string, mixed>  $standing
     */
    public static function table(string $family, OutcomeTable $table, array $bevels = [], array $standing = []): self
    {
        $adjusters = $bevels === []
            ? [[
                'id' => 'bracket',
                'name' => 'slotted bracket',
                'kind' => 'slotted_bracket',
                'mm_per_step' => 1,
                'travel_steps' => ['from' => 0, 'to' => 60],
                'smallest_step' => 0.5,
            ]]
            : array_map(
                static fn (string $id): array => [
                    'id' => $id,
                    'name' => "{$id} adjuster",
                    'kind' => 'in_line',
                    'thread' => 'M8 x 1.25',
                    'travel_mm' => 40,
                    'bevels_per_turn' => 6,
                ],
                $bevels,
            );

        return self::of(['family' => $family, 'others' => [AimCodec::encode($table)]], [
            'hand' => ['kind' => 'selector', 'name' => 'Selector'],
            'cables' => [['id' => 'cable', 'name' => 'Cable', 'adjusters' => $adjusters]],
            'working_end' => 'arm',
        ], array_fill_keys(array_column($adjusters, 'id'), $bevels === [] ? 30.0 : 16.0), $standing);
    }

    /** Looks over and tries by hand all that keeps the machine from being run until it was. */
    public function triedByHand(): self
    {
        foreach ($this->state->spec->inspections() as $part) {
            if ($part->gate !== null && ! isset($this->state->facts->answers->inspected[$part->key])) {
                $this->entry('inspected', ['key' => $part->key, 'finding' => 'sound']);
            }
        }
        $isRead = array_filter(
            $this->state->judgement->untriedAtRest(),
            static fn (GateState $one): bool => $one->gate->key === GateKey::NotTaut,
        ) !== [];
        foreach ($isRead ? $this->state->judgement->poses : [] as $pose => $verdict) {
            if ($this->state->facts->answers->condition === null) {
                $this->entry('condition', ['engine' => 'cold']);
            }
            if ($verdict->is(VerdictKind::Unread)) {
                $this->readIn(Pose::from($pose), 10, 10, 10);
            }
        }
        foreach ($this->state->facts->proofs($this->state->spec, $this->state->run) as $proof) {
            foreach ($proof->gate === null || $proof->running->runs() ? [] : $proof->tries() as $pose) {
                $passes = array_key_first(array_filter(
                    $proof->answers->words,
                    $proof->passes(...),
                    ARRAY_FILTER_USE_KEY,
                ));
                $this->entry(
                    'check',
                    ['key' => $proof->key, 'answer' => $passes] + ($pose === null ? [] : ['pose' => $pose->value]),
                );
            }
        }

        return $this;
    }

    /** Puts back everything that is asked for before the machine is run. */
    public function refit(): self
    {
        foreach ($this->state->progress->items['prove'] ?? [] as $item) {
            $isRefit = array_filter(
                Families::of($this->state->spec->family)->refit(),
                static fn (Step $step): bool => $step->key === $item->key,
            ) !== [];
            if (! $item->done && ($isRefit || str_starts_with($item->key, 'cover:'))) {
                $this->answer($item->answers[0]);
            }
        }

        return $this;
    }

    /**
     * A clutch lever, 10 to 20 mm at the tip, measured 132 to 38 mm: 3.4737 mm of play for one of conduit.
     *
     * @param  array<string, mixed>  $spec  what differs
     * @param  array<string, mixed>  $run
     * @param  array<string, mixed>  $standing
     */
    public static function clutch(array $spec = [], array $run = [], array $standing = []): self
    {
        return new self(
            array_replace_recursive(self::clutchSpec(), $spec),
            $run + self::clutchRun(),
            $standing + self::standing(),
        );
    }

    /**
     * The same, begun as a check.
     *
     * @param  array<string, mixed>  $standing
     */
    public static function clutchCheck(array $standing = []): self
    {
        return new self(self::clutchSpec(), self::clutchRun(), $standing + self::standing(), true);
    }

    /**
     * A twist grip, 2 to 6 mm at the flange, drawn 21 to 15 mm: 1.4 mm of play for one of conduit.
     *
     * @param  array<string, mixed>  $spec
     * @param  array<string, mixed>  $standing
     * @param  list<array<string, mixed>>  $cables  beside the one that opens
     */
    public static function throttle(
        array $spec = [],
        array $standing = [],
        array $cables = [],
        bool $isCheck = false,
    ): self {
        $job = new self(array_replace_recursive([
            'family' => 'twist_grip',
            'aim' => ['kind' => 'free_play_band', 'point' => 'grip_flange', 'low_mm' => 2, 'high_mm' => 6],
            'conditions' => ['wheels' => 'on_ground', 'poses' => ['straight', 'left', 'right']],
            'policy' => 'middle',
            'source' => ['document' => 'test book'],
        ], $spec), [
            'hand' => [
                'kind' => 'grip',
                'name' => 'Throttle grip',
                'drum_radius_mm' => 15,
                'flange_radius_mm' => 21,
                'knowledge' => 'drawn',
            ],
            'cables' => [['id' => 'throttle', 'name' => 'Throttle cable', 'adjusters' => [
                [
                    'id' => 'grip',
                    'name' => 'grip adjuster',
                    'kind' => 'in_line',
                    'thread' => 'M6 x 0.75',
                    'travel_mm' => 9,
                    'access' => ['minutes' => 1, 'cover' => 'boot'],
                ],
                [
                    'id' => 'carburettor',
                    'name' => 'carburettor adjuster',
                    'kind' => 'bracket_nuts',
                    'thread' => 'M6',
                    'travel_mm' => 12,
                    'access' => ['minutes' => 8, 'cover' => 'cowl'],
                ],
            ]], ...$cables],
            'working_end' => 'carburettor',
        ], $standing + self::standing(['grip' => 2.0, 'carburettor' => 3.0]), $isCheck);
        $job->adjuster = 'grip';

        return $job;
    }

    /** @return array<string, mixed> */
    public static function clutchSpec(): array
    {
        return [
            'family' => 'clutch_lever',
            'aim' => ['kind' => 'free_play_band', 'point' => 'lever_tip', 'low_mm' => 10, 'high_mm' => 20],
            'conditions' => ['engine' => 'cold', 'poses' => ['straight']],
            'policy' => 'middle',
            'source' => ['document' => 'test book'],
        ];
    }

    /**
     * @param  array<string, mixed>  $perch  what differs about the perch barrel
     * @return array<string, mixed>
     */
    public static function clutchRun(array $perch = []): array
    {
        return [
            'hand' => ['kind' => 'lever', 'name' => 'Clutch lever', 'pivot_to_wire_mm' => 38,
                'pivot_to_point_mm' => ['lever_tip' => 132, 'perch_gap' => 31], 'knowledge' => 'measured'],
            'cables' => [['id' => 'clutch', 'name' => 'Clutch cable', 'adjusters' => [
                $perch
                    + [
                        'id' => 'perch',
                        'name' => 'perch barrel',
                        'kind' => 'barrel',
                        'thread' => 'M8 x 1.25',
                        'travel_mm' => 11,
                    ],
                [
                    'id' => 'bracket',
                    'name' => 'engine bracket',
                    'kind' => 'bracket_nuts',
                    'thread' => 'M8',
                    'travel_mm' => 22,
                    'access' => ['minutes' => 6, 'cover' => 'side cover'],
                ],
            ]]],
            'working_end' => 'release arm',
        ];
    }

    /**
     * @param  array<string, float|null>  $positions  turns out, by adjuster
     * @return array<string, mixed>
     */
    public static function standing(array $positions = ['perch' => 2.0, 'bracket' => 6.0]): array
    {
        return ['positions_steps' => $positions, 'shelf' => [
            ['id' => 'rule', 'name' => 'Steel rule', 'kind' => 'steel_rule', 'resolution_mm' => 0.5, 'reach_mm' => 300],
            ['id' => 'caliper', 'name' => 'Caliper', 'kind' => 'caliper', 'resolution_mm' => 0.05, 'reach_mm' => 150,
                'calibration' => ['expanded_mm' => 0.04, 'factor' => 2, 'due' => '2027-01-01']],
        ]];
    }

    public static function ines(): Person
    {
        return new Person('ines', 'Ines', Role::Technician);
    }

    public static function oda(): Person
    {
        return new Person('oda', 'Oda', Role::Lead);
    }

    /** Everything before the first reading: safe, looked over, cold on its wheels, threads noted. */
    public function ready(): self
    {
        while (($item = $this->state->progress->asks()) !== null && ! str_starts_with($item->key, 'reading')) {
            $this->line($item->key === 'condition' ? 'cold' : 'ok');
        }

        return $this;
    }

    /** The same, where no thread can be seen. */
    public function readyUnseen(): self
    {
        while (($item = $this->state->progress->asks()) !== null && ! str_starts_with($item->key, 'reading')) {
            str_starts_with($item->key, 'thread')
                ? $this->entry('thread', ['adjuster' => (string) $item->about, 'unseen' => true])
                : $this->line($item->key === 'condition' ? 'cold' : 'ok');
        }

        return $this;
    }

    /** Types a line with the asked item, or these things, before the person's eyes. */
    /** Made safe and looked over: what comes first now is what is asked as found. */
    public function toReading(): self
    {
        foreach (['make_safe', 'look_over'] as $stage) {
            foreach ($this->state->progress->items[$stage] ?? [] as $item) {
                $this->answer($item->answers[0]);
            }
        }
        foreach ($this->state->progress->items['as_found'] ?? [] as $item) {
            if (str_starts_with($item->key, 'thread:')) {
                $this->answer($item->answers[0]);
            }
        }

        return $this;
    }

    /** Presses a button; what asks for words is given some. */
    public function answer(Answer $answer): self
    {
        $said = $answer->writes->withRemark($answer->asksRemark ? 'seen so' : '');

        return $this->entry($said->kind->value, $said->body);
    }

    /** @return list<Answer> what is right to answer, as somebody else than the bench has it */
    public function right(StageItem $item): array
    {
        return array_values(array_filter(
            $item->answers,
            fn (Answer $one): bool => Auditor::passes(
                $this->state->spec->family->value,
                $one->writes->kind->value,
                $one->writes->body,
            ),
        ));
    }

    public function line(string $line, ?string $item = null, ?Pose $pose = null, ?float $turns = null): self
    {
        $item ??= $this->state->progress->asks()?->key;
        $shown = new Shown($this->adjuster, $turns, $pose, null, $this->instrument, $item, $this->unit);
        $draft = BenchLine::read($line, $shown, $this->state, $this->person);

        return $this->entry($draft->kind->value, $draft->body);
    }

    public function read(float ...$values): self
    {
        foreach ($values as $value) {
            $this->line((string) $value, 'in_band');
        }

        return $this;
    }

    public function readIn(Pose $pose, float ...$values): self
    {
        foreach ($values as $value) {
            $this->line((string) $value, 'in_band', $pose);
        }

        return $this;
    }

    /** @param  array<string, mixed>  $body */
    public function entry(string $kind, array $body, ?string $after = null): self
    {
        $entry = $this->codec->entry(EntryKind::from($kind), Node::of($body, '$.body'), $this->stamp($after));
        $this->state = Bench::accept($this->state, $entry);
        $this->written[] = [
            'id' => $this->last(),
            'kind' => $kind,
            'body' => $body,
            'by' => $this->person->id,
            'after' => $after ?? $this->seen,
        ];

        return $this;
    }

    /** Replayed anew, as any reader would. */
    public static function again(self $job): BenchState
    {
        return Bench::replay($job->state->spec, $job->state->run->asOpened(), $job->state->log);
    }

    public function as(Person $person): self
    {
        $this->person = $person;
        if (! isset($this->state->facts->joined[$person->id])) {
            $this->entry('joined', []);
        }

        return $this;
    }

    /** Id of the entry written last. */
    public function last(): string
    {
        return "e{$this->count}";
    }

    /** The sentence a line or an entry is refused with; the log must be as it was before. */
    public function refusal(callable $try): string
    {
        $before = $this->state;
        try {
            $try($this);
        } catch (CoreError $refused) {
            if ($this->state !== $before) {
                throw new RuntimeException('The state changed although the entry was refused.');
            }

            return $refused->getMessage();
        }
        throw new RuntimeException('It was not refused.');
    }

    private function stamp(?string $after = null): Stamp
    {
        $this->count++;

        return new Stamp(
            "e{$this->count}",
            sprintf('2026-03-03T08:%02d:%02d+00:00', intdiv($this->count, 60), $this->count % 60),
            $this->person,
            $after ?? $this->seen,
        );
    }
}
