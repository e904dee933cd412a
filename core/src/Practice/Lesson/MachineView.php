<?php

declare(strict_types=1);

namespace VividPull\Core\Practice\Lesson;

use VividPull\Core\Bench\MeasuredHand;
use VividPull\Core\Cable\Adjuster;
use VividPull\Core\Cable\AdjusterKind;
use VividPull\Core\Cable\Pose;
use VividPull\Core\Cable\ReadingPoint;
use VividPull\Core\Family\Families;
use VividPull\Core\Log\Entry\MeasureTaken;
use VividPull\Core\Log\Entry\Moved;
use VividPull\Core\Log\Entry\PutRight;
use VividPull\Core\Measurement\InstrumentKind;
use VividPull\Core\Practice\Control\Act;
use VividPull\Core\Practice\Control\ActKind;
use VividPull\Core\Practice\Control\Seat;
use VividPull\Core\Procedure\Cure;
use VividPull\Core\Procedure\Inspection;
use VividPull\Core\Procedure\MeasureKey;
use VividPull\Core\Procedure\Proof;
use VividPull\Core\Quantity\Coin;
use VividPull\Core\Quantity\Steps;
use VividPull\Core\Spec\OutcomeSetting;
use VividPull\Core\Spec\OutcomeTable;

/** The machine of an attempt as a screen shows it: what can be done to it, and what it showed since it last changed. */
final class MachineView
{
    /** Common practice, no source. */
    private const TO_WARM = 'Outdoors: carbon monoxide kills. In neutral, nobody near what turns. What gets hot burns.';

    /** @var array{point: ReadingPoint, pose: Pose, mm: float}|null */
    private ?array $held = null;

    /** @var array<string, string> words, by what was tried */
    private array $seen = [];

    /** @var array<string, Steps> turned and not written, by adjuster */
    private array $turned = [];

    /** How often it was pulled fully and let snap back since it was turned last. */
    private int $snapped = 0;

    private ?string $felt = null;

    /** @var array<string, float> what was measured and not written yet, by what it is */
    private array $measured = [];

    /** Whether an end was hooked home, and no word of it written yet. */
    private bool $isHooked = false;

    private bool $isAdvised = false;

    private ?Act $guess = null;

    private function __construct(private readonly Attempt $attempt)
    {
        foreach ($attempt->moments() as $moment) {
            $deed = $moment->deed;
            if ($deed instanceof Moved) {
                unset($this->turned[$deed->adjuster]);
                [$this->isAdvised, $this->guess] = [false, null];
            }
            if ($deed instanceof MeasureTaken) {
                unset($this->measured[$deed->key->value]);
            }
            if ($deed instanceof PutRight && $deed->cure === Cure::Ferrule) {
                $this->isHooked = false;
            }
            if ($deed instanceof Act) {
                $this->after($deed, $moment);
            }
        }
    }

    /** @return array<string, mixed> */
    public static function of(Attempt $attempt): array
    {
        $view = new self($attempt);
        $lesson = $attempt->lesson;
        $family = Families::of($lesson->spec->family);

        return [
            ...self::readWith($lesson),
            'adjusters' => array_map($view->adjuster(...), array_values($lesson->run->adjusters())),
            'proofs' => array_map($view->proof(...), $family->proofs($lesson->run)),
            'parts' => array_map($view->part(...), $family->lookOver()),
            'settings' => array_map(
                $view->setting(...),
                array_values($lesson->spec->other(OutcomeTable::class)->settings ?? []),
            ),
            'cures' => $view->cures($family->cures()),
            'ends' => $view->ends(),
            'hooked' => $view->isHooked,
            'held' => $view->heldNow(),
            'light' => $attempt->control()->isLit(),
            'snapped' => $view->snapped,
            'engine' => $attempt->hasEngineToFeel() ? $view->engine($attempt->control()->wantsHot()) : null,
            'measures' => array_map($view->measure(...), $attempt->measured()),
            'distances' => $view->distances(),
            'turned' => $view->turned(),
            'help' => $attempt->help->value,
            'is_advised' => $attempt->help === Help::Shown || $view->isAdvised,
            'guess' => $view->guess === null
                ? null
                : [
                    'adjuster' => $view->guess->about,
                    'say' => $view->saidOf($view->guess->about, $view->guess->steps ?? Steps::none()),
                ],
        ];
    }

    /** @return list<array{label: string, mm: float}> what a rule held to its lever or grip shows */
    private function distances(): array
    {
        $points = MeasuredHand::points($this->attempt->job());
        $hand = $this->attempt->lesson->run->hand;
        $shown = $this->attempt->control()->distances($points);

        return $points === [] ? [] : [
            ['label' => $hand->toWire(), 'mm' => $shown['wire_mm']],
            ...array_map(
                static fn (ReadingPoint $one): array => [
                    'label' => $hand->toPoint($one),
                    'mm' => $shown['point_mm'][$one->value],
                ],
                $points,
            ),
        ];
    }

    /** @return list<array{size: string, mm: float}> thin first */
    private static function coins(): array
    {
        $coins = array_map(
            static fn (Coin $one): array => ['size' => $one->value, 'mm' => $one->thickness()],
            Coin::cases(),
        );
        usort($coins, static fn (array $a, array $b): int => $a['mm'] <=> $b['mm']);

        return $coins;
    }

    /** @return array<string, mixed> where it is read, in which poses, and with what */
    private static function readWith(Lesson $lesson): array
    {
        return [
            'points' => array_map(
                static fn (ReadingPoint $one): array => ['key' => $one->value, 'label' => $one->label()],
                $lesson->points(),
            ),
            'poses' => array_map(
                static fn (Pose $one): array => ['key' => $one->value, 'label' => $one->label()],
                $lesson->spec->conditions->poses,
            ),
            'instruments' => array_map(
                static fn (array $one): array => [
                    'id' => $one['id'],
                    'name' => $one['name'],
                    'kind' => $one['kind'],
                    'resolution_mm' => $one['resolution_mm'],
                    'sizes' => $one['kind'] === InstrumentKind::Coin->value ? self::coins() : [],
                ],
                $lesson->instruments,
            ),
        ];
    }

    /** @return array<string, mixed>|null */
    private function heldNow(): ?array
    {
        return $this->held === null
            ? null
            : [
                'point' => $this->held['point']->value,
                'pose' => $this->held['pose']->value,
                'mm' => $this->held['mm'],
                'force' => PullForce::curve($this->held['mm']),
            ];
    }

    /** @return array<string, mixed> */
    private function engine(bool $wantsHot): array
    {
        return ['felt' => $this->felt, 'wants_hot' => $wantsHot, 'caution' => $wantsHot ? self::TO_WARM : null];
    }

    private function after(Act $act, Moment $moment): void
    {
        $seen = $moment->seen;
        match ($act->kind) {
            ActKind::Hold => $this->held = [
                'point' => $act->point ?? ReadingPoint::LeverTip,
                'pose' => $act->pose ?? Pose::Straight,
                'mm' => $seen->mm ?? 0.0,
            ],
            ActKind::Snap => [$this->held, $this->snapped] = [null, $this->snapped + 1],
            // What was seen in the dark is looked at again.
            ActKind::Light => $this->seen = array_filter(
                $this->seen,
                static fn (string $one): bool => ! str_starts_with($one, ActKind::Look->value),
                ARRAY_FILTER_USE_KEY,
            ),
            ActKind::Feel => $this->felt = $seen->word,
            ActKind::Cool, ActKind::Warm => [$this->held, $this->felt] = [null, null],
            ActKind::Measure => $this->measured[$act->about] = $seen->amount ?? 0.0,
            ActKind::Roll => $this->seen["run {$moment->after->shiftedTo()}"] = $seen->word ?? '',
            ActKind::Try, ActKind::Look,
            ActKind::Run => $this->seen[trim("{$act->kind->value} {$act->about} {$act->pose?->value}")] = $seen->word
                ?? '',
            ActKind::Guess => [$this->isAdvised, $this->guess] = [true, $act],
            ActKind::Ask => $this->isAdvised = true,
            default => null,
        };
        $this->changed($act, $moment);
    }

    /** What is turned, hooked or mended makes old what was held and tried before. */
    private function changed(Act $act, Moment $moment): void
    {
        if ($act->kind === ActKind::Hook) {
            $this->isHooked = $moment->seen->word === Seat::Home->value
                && ($this->isHooked || $moment->before->ends()->seat($act->about) !== Seat::Home);
        }
        if (in_array($act->kind, [ActKind::Turn, ActKind::Hook, ActKind::Cure], true)) {
            [$this->held, $this->measured] = [null, []];
            $this->seen = array_filter(
                $this->seen,
                static fn (string $one): bool => str_starts_with($one, ActKind::Look->value),
                ARRAY_FILTER_USE_KEY,
            );
        }
        if ($act->kind === ActKind::Turn && $act->steps !== null) {
            $this->snapped = 0;
            $this->turned[$act->about] = ($this->turned[$act->about] ?? Steps::none())->plus($act->steps);
        }
    }

    /**
     * An end is hooked by hand where it is drawn, and by no button.
     *
     * @param  list<Cure>  $all
     * @return list<array{key: string, label: string}>
     */
    private function cures(array $all): array
    {
        $byButton = array_filter($all, fn (Cure $one): bool => $one !== Cure::Ferrule || $this->ends() === []);

        return array_map(
            static fn (Cure $one): array => ['key' => $one->value, 'label' => $one->label()],
            array_values($byButton),
        );
    }

    /** @return list<array{key: string, label: string, in: float}> */
    private function ends(): array
    {
        $ends = $this->attempt->control()->ends();

        return array_map(
            static fn (string $key, string $label): array => [
                'key' => $key,
                'label' => $label,
                'in' => $ends->in($key),
            ],
            array_keys($ends->labels()),
            $ends->labels(),
        );
    }

    /** @return array<string, mixed> */
    private function adjuster(Adjuster $one): array
    {
        $ways = $one->kind()->ways();

        return [
            'id' => $one->id(),
            'name' => $one->name(),
            'kind' => $one->kind()->label(),
            'threaded' => $one->kind()->isThreaded(),
            'holes' => $one->kind() === AdjusterKind::HookHoles,
            'cover' => $one->access()->cover,
            'cover_off' => $one->access()->cover !== null && ! $this->attempt->control()->isCovered($one->id()),
            'steps' => self::steps($one),
            'out' => $ways->outward,
            'in' => $ways->inward,
            'at' => $this->attempt->control()->stands($one->id()),
            'from' => $one->travel()->from->toFloat(),
            'to' => $one->travel()->to->toFloat(),
            'unit' => $one->counting()->unit->field(),
        ];
    }

    /**
     * @return list<array{by: float, amount: float, one: string, many: string}> by how much it is turned, small first
     */
    private static function steps(Adjuster $one): array
    {
        $unit = $one->counting()->unit;
        $small = $one->smallestStep();
        $isFlat = $one->counting()->say($small) === '1 flat';
        $steps = $isFlat ? [['by' => $small->toFloat(), 'amount' => 1.0, 'one' => 'flat', 'many' => 'flats']]
            : [[
                'by' => $small->toFloat(),
                'amount' => $small->count / $one->counting()->each->count,
                'one' => $unit->value,
                'many' => $unit->plural(),
            ]];

        return $isFlat ? [...$steps, ['by' => 1.0, 'amount' => 1.0, 'one' => 'turn', 'many' => 'turns']] : $steps;
    }

    /** @return array<string, mixed> */
    private function proof(Proof $one): array
    {
        return [
            'key' => $one->key, 'question' => $one->question, 'caution' => $one->caution,
            'tries' => array_map(
                fn (?Pose $pose): array => [
                    'pose' => $pose?->value,
                    'label' => $pose?->label(),
                    'saw' => $this->answer($one, $pose),
                ],
                $one->tries(),
            ),
        ];
    }

    private function answer(Proof $one, ?Pose $pose): ?string
    {
        $word = $this->seen[trim("try {$one->key} {$pose?->value}")] ?? null;

        return $word === null ? null : $one->answers->words[$word] ?? $word;
    }

    /** @return array<string, mixed> */
    private function measure(MeasureKey $one): array
    {
        $amount = $this->measured[$one->value] ?? null;

        return ['key' => $one->value, 'label' => $one->label(), 'how' => $one->howTo(),
            'saw' => $amount === null ? null : (string) $one->figure($amount)];
    }

    /** @return array<string, mixed> */
    private function part(Inspection $one): array
    {
        $word = $this->seen["look {$one->key}"] ?? null;

        return ['key' => $one->key, 'label' => $one->label, 'look_for' => $one->lookFor, 'saw' => match ($word) {
            null => null,
            'sound' => 'Sound: there is nothing to see.',
            default => 'A fault: it is not as it should be.',
        }];
    }

    /** @return array<string, mixed> */
    private function setting(OutcomeSetting $one): array
    {
        $word = $this->seen["run {$one->key}"] ?? null;
        $label = null;
        foreach ($one->sees as $seen) {
            $label = $seen->key === $word ? $seen->label : $label;
        }

        return [
            'key' => $one->key,
            'label' => $one->label,
            'press' => $this->attempt->control()->hasTeeth() ? 'Shift it there' : 'Run it',
            'saw' => $label ?? $word,
            'unmet' => $word !== null
                && $word === $one->provesNothing()
                && $this->attempt->control()->shiftedTo() === $one->key,
        ];
    }

    /** @return list<array<string, mixed>> */
    private function turned(): array
    {
        $all = [];
        foreach ($this->turned as $adjuster => $steps) {
            if (! $steps->isNone()) {
                $all[] = [
                    'adjuster' => $adjuster,
                    'by' => $steps->toFloat(),
                    'say' => $this->saidOf($adjuster, $steps),
                ];
            }
        }

        return $all;
    }

    private function saidOf(string $adjuster, Steps $steps): string
    {
        $one = $this->attempt->lesson->run->adjuster($adjuster);

        return $one === null
            ? $adjuster
            : "{$one->name()}, {$one->kind()->ways()->of($steps)} {$one->counting()->say($steps)}";
    }
}
