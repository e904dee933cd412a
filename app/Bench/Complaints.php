<?php

declare(strict_types=1);

namespace App\Bench;

use App\Library\CauseCounts;
use App\Models\Audit;
use App\Models\Complaint;
use App\Models\ComplaintAnswer;
use App\Models\Control;
use App\Models\ControlJob;
use App\Models\Machine;
use App\Models\User;
use App\Refusals\Conflict;
use App\Refusals\WrittenByAnother;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use VividPull\Core\Diagnosis\CareEvidence;
use VividPull\Core\Diagnosis\Causes;
use VividPull\Core\Diagnosis\Evidence;
use VividPull\Core\Diagnosis\JobEvidence;
use VividPull\Core\Diagnosis\Knowledge;
use VividPull\Core\Diagnosis\StoryEvidence;
use VividPull\Core\Errors\BadFile;
use VividPull\Core\Errors\Refused;
use VividPull\Core\Input\Node;
use VividPull\Core\Log\Draft;
use VividPull\Core\Log\Entry\Noted;
use VividPull\Core\Log\Permission;
use VividPull\Core\Procedure\OwnWords;
use VividPull\Core\Procedure\Symptom;
use VividPull\Core\Procedure\WireDamage;
use VividPull\Core\Wire\DiagnosisCodec;
use VividPull\Core\Wire\EntryCodec;

/**
 * What feels wrong about a control: answers added one by one, and what the core makes of them together with an open
 * job.
 */
final readonly class Complaints
{
    private const ANSWERED = ['answers', 'control.specVersion'];

    /**
     * @throws Conflict If another complaint about it is open.
     */
    public static function open(Control $control, Node $node, User $by): Complaint
    {
        $node->object(['id', 'symptoms'], ['words']);
        $id = EntryRequest::uuid($node->at('id'));
        $knowledge = Causes::of($control->spec()->family);
        $symptoms = self::felt($node->at('symptoms'), $knowledge);
        $words = $node->has('words') ? trim($node->at('words')->string(500)) : null;

        return DB::transaction(static function () use ($control, $id, $symptoms, $words, $by): Complaint {
            Control::query()->lockForUpdate()->findOrFail($control->id);
            $same = Complaint::query()->find($id);
            if ($same !== null) {
                return $same->control_id === $control->id
                    ? $same
                    : throw new Conflict('Another complaint stands under this id.');
            }
            if (Complaint::query()->where('open_control_id', $control->id)->exists()) {
                throw new Conflict('The cause of another complaint about it is being looked for. Go on with that one.');
            }
            $now = CarbonImmutable::now();
            $complaint = Complaint::query()->create([
                'id' => $id,
                'control_id' => $control->id,
                'open_control_id' => $control->id,
                'words' => $words,
                'opened_by_id' => $by->id,
                'opened_at' => $now,
            ]);
            foreach (array_diff($symptoms, ['not_tried']) as $symptom => $answer) {
                self::write($complaint, (string) Str::uuid7($now), AnswerKind::Symptom, $symptom, $answer, $by, $now);
            }
            $felt = array_map(Symptom::from(...), array_keys($symptoms, Evidence::YES, true));
            ComplaintInJob::on($control)?->feelsWrong($felt, $by, $now);

            return $complaint;
        }, 3);
    }

    /**
     * @return array<string, string> the answer to each
     *
     * @throws Refused If nothing feels wrong.
     */
    private static function felt(Node $node, Knowledge $knowledge): array
    {
        $symptoms = [];
        foreach ($node->entries() as $symptom => $answer) {
            DiagnosisCodec::symptom(Evidence::none(), $knowledge, $symptom, $answer);
            $symptoms[$symptom] = $answer->string(20);
        }
        if (! in_array(Evidence::YES, $symptoms, true)) {
            throw Refused::because('Say yes to at least one thing that feels wrong.');
        }

        return $symptoms;
    }

    /** One answer more; the same id again changes nothing. */
    public static function answer(Complaint $complaint, Node $node, User $by): void
    {
        $node->object(['id', 'kind', 'about'], ['answer', 'at', 'by']);
        WrittenByAnother::unless($node->optionalString('by', 40), $by);
        $at = $node->has('at')
            ? CarbonImmutable::parse(EntryCodec::instant($node->at('at')))->utc()
            : CarbonImmutable::now();
        $id = EntryRequest::uuid($node->at('id'));
        $kind = $node->at('kind')->enum(AnswerKind::class);
        $about = $node->at('about')->string(40);
        self::mustBeKnown(Causes::of($complaint->control->spec()->family), $kind, $node);
        $answer = in_array($kind, [AnswerKind::Symptom, AnswerKind::Check], true)
            ? $node->at('answer')->string(40)
            : null;
        DB::transaction(static function () use ($complaint, $id, $kind, $about, $answer, $by, $at): void {
            $held = Complaint::query()->lockForUpdate()->findOrFail($complaint->id);
            $same = ComplaintAnswer::query()->find($id);
            if ($same !== null) {
                $stands = [$same->complaint_id, $same->kind, $same->about, $same->answer];
                $stands === [$held->id, $kind->value, $about, $answer]
                    || throw new Conflict('Another answer stands under this id.');

                return;
            }
            if ($held->closed_at !== null) {
                throw new Conflict('This complaint is closed. Say anew what feels wrong.');
            }
            $before = self::latest($held)[$about] ?? null;
            self::write($held, $id, $kind, $about, $answer, $by, $at);
            self::inItsJob($held, $id, $kind, $about, $answer, $before, $by, CarbonImmutable::now());
        }, 3);
    }

    /** @throws BadFile If it answers nothing that this family asks. */
    private static function mustBeKnown(Knowledge $knowledge, AnswerKind $kind, Node $node): void
    {
        $about = $node->at('about')->string(40);
        match ($kind) {
            AnswerKind::Symptom => DiagnosisCodec::symptom(Evidence::none(), $knowledge, $about, $node->at('answer')),
            AnswerKind::Check => DiagnosisCodec::check(
                Evidence::none(),
                $knowledge,
                $about,
                Node::of($node->at('answer')->string(40), $node->at('answer')->path),
            ),
            AnswerKind::Tried => DiagnosisCodec::cause($node->at('about'), $knowledge),
            AnswerKind::Skip, AnswerKind::Back => DiagnosisCodec::question($node->at('about'), $knowledge),
        };
    }

    /** What the open job is told of it. */
    private static function inItsJob(
        Complaint $complaint,
        string $id,
        AnswerKind $kind,
        string $about,
        ?string $answer,
        ?ComplaintAnswer $before,
        User $by,
        CarbonImmutable $now,
    ): void {
        $job = ComplaintInJob::on($complaint->control);
        $check = Causes::of($complaint->control->spec()->family)->checks[$about] ?? null;
        match (true) {
            $job === null => null,
            $kind === AnswerKind::Symptom && $answer === Evidence::YES => $job->feelsWrong(
                [Symptom::from($about)],
                $by,
                $now,
            ),
            $kind === AnswerKind::Check && $check !== null => $job->seen($check, (string) $answer, $id, $by, $now),
            $kind === AnswerKind::Back && $before !== null => $job->takenBack($before->id, $by, $now),
            default => null,
        };
    }

    /** What it was, in one tap; a lead may put it right after. */
    public static function close(Complaint $complaint, Node $node, User $by): void
    {
        $node->object(['cause']);
        $cause = DiagnosisCodec::cause($node->at('cause'), Causes::of($complaint->control->spec()->family));
        DB::transaction(static function () use ($complaint, $cause, $by): void {
            $held = Complaint::query()->lockForUpdate()->findOrFail($complaint->id);
            if ($held->closed_at !== null && $held->cause === $cause) {
                return;
            }
            if ($held->closed_at !== null) {
                // What was named wrongly would go on teaching the workshop.
                $by->acting()->may(Permission::KeepShop)
                    ? null
                    : throw new Conflict('This complaint is closed. A lead may say that it was something else.');
                Audit::note(
                    $by,
                    'cause put right',
                    "{$held->control->machine->tag} {$held->control->name}",
                    ['was' => $held->cause, 'is' => $cause],
                    "complaint {$held->id}",
                );
                $held->forceFill(['cause' => $cause, 'closed_by_id' => $by->id])->save();

                return;
            }
            $unproved = self::unproved($held);
            if ($unproved !== null) {
                throw new Conflict($unproved);
            }
            $held
                ->forceFill([
                    'closed_at' => CarbonImmutable::now(),
                    'closed_by_id' => $by->id,
                    'cause' => $cause,
                    'open_control_id' => null,
                ])
                ->save();
            Audit::note($by, 'complaint closed', "{$held->control->machine->tag} {$held->control->name}: {$cause}");
        }, 3);
    }

    private static function write(
        Complaint $complaint,
        string $id,
        AnswerKind $kind,
        string $about,
        ?string $answer,
        User $by,
        CarbonImmutable $at,
    ): void {
        $last = (int) ComplaintAnswer::query()->where('complaint_id', $complaint->id)->max('seq');
        ComplaintAnswer::query()->create([
            'id' => $id,
            'complaint_id' => $complaint->id,
            'seq' => $last + 1,
            'kind' => $kind->value,
            'about' => $about,
            'answer' => $answer,
            'user_id' => $by->id,
            'at' => $at,
        ]);
    }

    /** @return array<string, mixed> a complaint, what is known, and what follows */
    public static function whole(Complaint $complaint, bool $byPhone = false): array
    {
        $complaint->load(['control.machine', 'control.specVersion', 'openedBy', 'closedBy', 'answers.user']);
        $control = $complaint->control;
        $family = $control->spec()->family;
        $knowledge = Causes::of($family);
        $against = $complaint->closed_at === null
            ? RestOfMachine::againstRunning($control->machine, askedOf: $control->key)
            : [];
        $evidence = self::evidence($complaint, $knowledge);

        return self::about($complaint, $knowledge) + [
            'answers' => array_values(
                $complaint->answers
                    ->sortBy('seq')
                    ->map(static fn (ComplaintAnswer $one): array => self::saying($one, $knowledge))
                    ->all(),
            ),
            'stopped_by' => $complaint->closed_at === null
                ? self::dangers($complaint, $knowledge, $evidence->answer(...))
                : [],
            'unproved' => $complaint->closed_at === null ? self::unproved($complaint) : null,
            'against_running' => $against,
            'diagnosis' => DiagnosisCodec::encode(
                $family,
                $evidence->notToBeRun(...$against),
                CauseCounts::weights($family),
                $byPhone,
            ),
        ];
    }

    /** @return array<string, mixed> what it is about, who took it, and what it was */
    private static function about(Complaint $complaint, Knowledge $knowledge): array
    {
        $control = $complaint->control;

        return [
            'id' => $complaint->id,
            'tag' => $control->machine->tag,
            'machine' => $control->machine->name,
            'control' => $control->key,
            'control_name' => $control->name,
            'words' => $complaint->words,
            'opened_by' => $complaint->openedBy->name,
            'opened_at' => $complaint->opened_at->toIso8601String(),
            'closed_at' => $complaint->closed_at?->toIso8601String(),
            'closed_by' => $complaint->closedBy?->name,
            'was' => $complaint->cause === null ? null : ($knowledge->causes[$complaint->cause] ?? null)?->label,
            'job' => $control->openJob?->id,
        ];
    }

    /** @return array{id: string, kind: string, about: string, label: string, by: string, at: string, says: string} */
    private static function saying(ComplaintAnswer $one, Knowledge $knowledge): array
    {
        $check = $knowledge->checks[$one->about] ?? null;
        $label = $check->label
            ?? Symptom::tryFrom($one->about)?->words()
            ?? ($knowledge->causes[$one->about] ?? null)->label
            ?? $one->about;

        return [
            'id' => $one->id,
            'kind' => $one->kind,
            'about' => $one->about,
            'label' => $label,
            'by' => $one->user->name,
            'at' => $one->at->toIso8601String(),
            'says' => match (AnswerKind::from($one->kind)) {
                AnswerKind::Symptom => $one->answer === Evidence::YES ? 'Yes' : 'No',
                AnswerKind::Check => $check?->answers()[$one->answer ?? ''] ?? (string) $one->answer,
                AnswerKind::Skip => 'Cannot look now',
                AnswerKind::Tried => 'Put right, and it is still there',
                AnswerKind::Back => 'Taken back',
            },
        ];
    }

    /** @return list<string> what stops the machine by an open complaint about a control, in the words people use */
    public static function stopping(Control $control): array
    {
        $open = Complaint::query()->with(self::ANSWERED)->where('open_control_id', $control->id)->first();

        return $open === null ? [] : self::stops($open);
    }

    /** @return array<int, true> every control that is not to be run by an open complaint, by its id */
    public static function stopped(): array
    {
        $open = Complaint::query()->with(self::ANSWERED)->whereNotNull('open_control_id')->get()
            ->filter(static fn (Complaint $one): bool => self::stops($one) !== []);

        return array_fill_keys($open->map(static fn (Complaint $one): int => $one->control->id)->all(), true);
    }

    /**
     * Why it is not closed yet: what nobody runs the machine with is gone once a job on the control proved it, or hung
     * a tag, since it was said; or once somebody says that it is not there any more. Null where nothing stands against
     * it.
     */
    private static function unproved(Complaint $open): ?string
    {
        $knowledge = Causes::of($open->control->spec()->family);
        $stops = self::stops($open, $knowledge);
        if ($stops === []) {
            return null;
        }
        $since = $open->opened_at;
        foreach (self::latest($open) as $about => $one) {
            $dangers = $knowledge->dangers(
                static fn (string $asked): ?string => $asked === $about ? $one->answer : null,
            );
            // A clock that runs ahead proves nothing.
            $since = $dangers === [] || $one->at->isFuture() ? $since : max($since, $one->at);
        }
        $isProved = ControlJob::query()
            ->where('control_id', $open->control_id)
            ->where('closed_at', '>=', $since->startOfSecond())
            ->exists();

        return $isProved
            ? null
            : 'Nobody runs it with that: '.lcfirst(implode('; ', $stops)).'. A job on the '.lcfirst($open->control->name)
                .' proves that it is gone. Where it is not there any more, say so first.';
    }

    /** @return list<string> */
    private static function stops(Complaint $open, ?Knowledge $knowledge = null): array
    {
        $latest = self::latest($open);

        return self::dangers(
            $open,
            $knowledge ?? Causes::of($open->control->spec()->family),
            static fn (string $question): ?string => ($latest[$question] ?? null)?->answer,
        );
    }

    /**
     * @param  callable(string): (string|null)  $answer
     * @return list<string> what was felt, seen or said by which nobody runs the machine until it is put right
     */
    private static function dangers(Complaint $open, Knowledge $knowledge, callable $answer): array
    {
        // Own words that tell of a wire hold until somebody looked at it.
        $isSaid = $answer('wire') === null && WireDamage::isSaid($open->words ?? '');

        return [...$knowledge->dangers($answer), ...($isSaid ? [WireDamage::SAID_SO] : [])];
    }

    /** @return array<string, ComplaintAnswer> symptoms that are there, by key, as was said last of each */
    private static function feltOf(Complaint $complaint): array
    {
        return array_filter(
            self::latest($complaint),
            static fn (ComplaintAnswer $one): bool => $one->kind === AnswerKind::Symptom->value
                && $one->answer === Evidence::YES,
        );
    }

    /** @return array<string, ComplaintAnswer> what was said last about each thing, in the order in which it was */
    private static function latest(Complaint $complaint): array
    {
        $latest = [];
        foreach ($complaint->answers->sortBy('seq') as $one) {
            unset($latest[$one->about]);
            $latest[$one->about] = $one;
        }

        return $latest;
    }

    /** What an open job knows by itself, then what was answered here: the latest about a thing counts. */
    private static function evidence(Complaint $complaint, Knowledge $knowledge): Evidence
    {
        $job = $complaint->closed_at === null ? $complaint->control->openJob : null;
        $evidence = $job === null
            ? Evidence::none()
            : JobEvidence::of(JobLog::of(JobHead::find($job->id))->replay(), $knowledge);
        $past = ControlPast::of($complaint->control);
        $evidence = StoryEvidence::into(
            $evidence,
            $knowledge->checks['story'] ?? null,
            ControlStory::told($complaint->control, $past),
        );
        $evidence = CareEvidence::into(
            $evidence,
            $knowledge,
            $past->cableDays(),
            $past->oiledDays(),
            EngineOil::days($complaint->control, $past, $knowledge),
        );
        foreach (self::latest($complaint) as $about => $one) {
            $kind = AnswerKind::from($one->kind);
            $evidence = match ($kind) {
                AnswerKind::Symptom, AnswerKind::Check => $evidence->answered($about, (string) $one->answer),
                AnswerKind::Skip => $evidence->skipped($about),
                AnswerKind::Tried => $evidence->curedInVain($about),
                AnswerKind::Back => $evidence,
            };
            $check = $kind === AnswerKind::Check ? $knowledge->checks[$about] ?? null : null;
            $evidence = match (true) {
                $check?->effort->runs === true => $evidence->coversBack(),
                $check?->effort->cover !== null => $evidence->coverOff($check->effort->cover),
                default => $evidence,
            };
        }

        return $evidence;
    }

    /**
     * @return array<string, mixed> what may be chosen about a control that nobody complained of yet, and what
     *     somebody's words seem to mean
     */
    public static function start(Control $control, string $words): array
    {
        $knowledge = Causes::of($control->spec()->family);
        $stopping = $knowledge->stopping();

        return [
            'tag' => $control->machine->tag,
            'machine' => $control->machine->name,
            'control' => $control->key,
            'control_name' => $control->name,
            'hand' => $control->fitted()->hand->kind->value,
            'open' => Complaint::query()->where('open_control_id', $control->id)->value('id'),
            'symptoms' => array_map(
                static fn (Symptom $one): array => [
                    'key' => $one->value,
                    'words' => $one->words(),
                    'stops' => in_array($one, $stopping, true),
                ],
                $knowledge->symptoms,
            ),
            'understood' => array_map(
                static fn (Symptom $one): string => $one->value,
                OwnWords::understood($words, $knowledge->symptoms),
            ),
            'perhaps' => array_map(
                static fn (Symptom $one): string => $one->value,
                OwnWords::perhaps($words, $knowledge->symptoms),
            ),
            'may_stop' => OwnWords::stopping($words, $stopping),
            'dangers' => [
                ...array_map(static fn (Symptom $one): string => $one->words(), $stopping),
                ...(isset($knowledge->checks['wire']) ? [WireDamage::SAID_SO] : []),
            ],
        ];
    }

    /** The complaint about a control whose cause is still looked for. */
    public static function openOf(string $tag, string $control): ?string
    {
        $id = Complaint::query()
            ->whereHas(
                'control',
                static fn ($controls) => $controls
                    ->where('key', $control)
                    ->whereHas('machine', static fn ($machines) => $machines->where('tag', $tag)),
            )
            ->whereNotNull('open_control_id')
            ->value('id');

        return is_string($id) ? $id : null;
    }

    /**
     * @return list<Draft> what a job that begins on the control is told of an open complaint: what was said and looked
     *     at, each person's in notes of their own
     */
    public static function said(Control $control): array
    {
        $complaint = Complaint::query()
            ->with(['answers.user', 'openedBy'])
            ->where('open_control_id', $control->id)
            ->first();
        if ($complaint === null) {
            return [];
        }
        $knowledge = Causes::of($control->spec()->family);
        $by = [];
        foreach ($complaint->answers->sortBy('seq') as $one) {
            $said = self::saying($one, $knowledge);
            $by[$one->user->name][$one->about] = lcfirst($said['label']).': '.lcfirst($said['says']);
        }

        return [
            ...($complaint->words === null
                ? []
                : Noted::told("Complaint taken by {$complaint->openedBy->name}: ", $complaint->words)),
            ...array_merge([], ...array_map(
                static fn (string $name, array $said): array => Noted::ofSearch($name, array_values($said)),
                array_keys($by),
                array_values($by),
            )),
        ];
    }

    /** @return list<string> what an open complaint says is there: a job that begins asks of each whether it is gone */
    public static function symptoms(Control $control): array
    {
        $complaint = Complaint::query()->with('answers')->where('open_control_id', $control->id)->first();

        return $complaint === null ? [] : array_keys(self::feltOf($complaint));
    }

    /** @return list<array<string, mixed>> whose cause is not found yet, the oldest first; of one machine, or of all */
    public static function waiting(?Machine $machine = null): array
    {
        $open = Complaint::query()->with(['control.machine', 'control.specVersion', 'openedBy', 'answers'])->whereNotNull('open_control_id')
            ->when(
                $machine !== null,
                static fn ($query) => $query->whereHas(
                    'control',
                    static fn ($controls) => $controls->where('machine_id', $machine?->id),
                ),
            )
            ->orderBy('opened_at')
            ->get();

        return array_values($open->map(static fn (Complaint $one): array => [
            'id' => $one->id,
            'tag' => $one->control->machine->tag,
            'machine' => $one->control->machine->name,
            'control' => $one->control->key,
            'control_name' => $one->control->name,
            'words' => $one->words
                ?? implode(
                    ', ',
                    $one->answers
                        ->where('kind', AnswerKind::Symptom->value)
                        ->where('answer', Evidence::YES)
                        ->map(
                            static fn (ComplaintAnswer $said): string => Symptom::tryFrom($said->about)?->words()
                                ?? $said->about,
                        )
                        ->all(),
                ),
            'stopped_by' => self::stops($one),
            'by' => $one->openedBy->name,
            'at' => $one->opened_at->toIso8601String(),
        ])->all());
    }
}
