<?php

declare(strict_types=1);

namespace VividPull\Core\Practice\Lesson;

use VividPull\Core\Cable\ReadingPoint;
use VividPull\Core\Family\Families;
use VividPull\Core\Practice\Control\Act;
use VividPull\Core\Practice\Control\ActKind;
use VividPull\Core\Practice\Control\Seat;
use VividPull\Core\Practice\Control\TrueControl;
use VividPull\Core\Procedure\Cure;
use VividPull\Core\Procedure\MeasureKey;
use VividPull\Core\Quantity\Figure;
use VividPull\Core\Quantity\Steps;
use VividPull\Core\Spec\OutcomeTable;
use VividPull\Core\Wire\LogRows;

/** An attempt gone through once more: what was done and written, each with how the machine truly stood after it. */
final readonly class AttemptSteps
{
    private function __construct(private Lesson $lesson) {}

    /** @return list<array{at: string, is_act: bool, say: string, truth: string}> */
    public static function of(Attempt $attempt): array
    {
        $steps = new self($attempt->lesson);
        $written = array_column(LogRows::of($attempt->job()), 'what', 'id');

        return array_map(static fn (Moment $one): array => [
            'at' => $one->at,
            'is_act' => $one->deed instanceof Act,
            'say' => $one->deed instanceof Act
                ? $steps->act($one->deed, $one->seen)
                : 'Wrote: '.($written[$one->deed->stamp->id] ?? $one->deed->kind()->value),
            'truth' => $steps->truth($one->after),
        ], $attempt->moments());
    }

    /** How a machine stands, for one who sees it. */
    public function truth(TrueControl $control): string
    {
        $parts = array_map(
            static fn (ReadingPoint $one): string => "{$one->label()} ".self::play($control->play($one)),
            $this->lesson->points(),
        );
        $off = $control->errors()['table'] ?? null;
        if ($off !== null) {
            $unit = $this->lesson->spec->other(OutcomeTable::class)->unit ?? '';
            $parts[] = $off === 0.0
                ? 'right at every setting'
                : sprintf('%s %s from where it should stand', Figure::number(round(abs($off), 1)), $unit);
        }
        $speed = $control->truly(MeasureKey::GroundSpeed);
        if ($speed !== null) {
            $parts[] = 'goes '.Figure::speed($speed)
                .(($control->errors()['governor'] ?? 0.0) > 0.0 ? ', past its limit' : '');
        }
        foreach ($this->lesson->found->faults as $fault) {
            if ($control->has($fault)) {
                $parts[] = $fault->label();
            }
        }

        $off = $control->ends()->off();
        if ($off !== null) {
            $parts[] = lcfirst($off).' the cable is off';
        }

        return $parts === [] ? 'Nothing is wrong with it.' : ucfirst(implode(', ', $parts)).'.';
    }

    private static function play(float $mm): string
    {
        return $mm <= 0.0 ? 'taut' : (string) Figure::length($mm);
    }

    private function act(Act $act, Seen $seen): string
    {
        $named = $this->lesson->run->adjuster($act->about);
        $by = $act->steps ?? Steps::none();
        $turn = $named === null
            ? $act->about
            : "the {$named->name()} {$named->kind()->ways()->of($by)} {$named->counting()->say($by)}";
        $pose = $act->pose === null || count($this->lesson->spec->conditions->poses) < 2
            ? ''
            : ", {$act->pose->label()}";

        return match ($act->kind) {
            ActKind::Hold => "Pulled at the {$act->point?->label()}{$pose}: it moves ".self::play($seen->mm ?? 0.0),
            ActKind::Snap => 'Pulled it fully and let it snap back',
            ActKind::Open => 'Took off the '.($this->lesson->run->covers()[$act->about] ?? 'cover'),
            ActKind::Shut => 'Put back the '.($this->lesson->run->covers()[$act->about] ?? 'cover'),
            ActKind::Feel => "Felt the engine: {$seen->word}",
            ActKind::Cool => 'Left it until it was cold',
            ActKind::Warm => 'Ran it until it was hot',
            ActKind::Measure => self::measured(MeasureKey::from($act->about), $seen->amount ?? 0.0),
            ActKind::Turn => "Turned {$turn}",
            ActKind::Guess => "Would have turned {$turn}",
            ActKind::Ask => 'Asked what the bench would do',
            ActKind::Hook => self::hooked(
                $this->lesson->control()->ends()->labels()[$act->about] ?? $act->about,
                Seat::from($seen->word ?? ''),
            ),
            ActKind::Cure => 'Did: '.Cure::from($act->about)->label(),
            ActKind::Light => 'Took a light',
            ActKind::Look => "Looked at: {$this->label($act)}",
            ActKind::Try, ActKind::Run => "Tried: {$this->label($act)}{$pose}",
            ActKind::Roll => 'A wheel turned by hand',
            ActKind::Stop => 'Stopped',
        };
    }

    private static function hooked(string $where, Seat $seat): string
    {
        return match ($seat) {
            Seat::Home => "{$where}: hooked, home in its seat",
            Seat::Edge => "{$where}: hooked, and let go on the edge of its seat",
            Seat::Off => "{$where}: taken off",
        };
    }

    private static function measured(MeasureKey $what, float $amount): string
    {
        return "Measured: {$what->label()}, ".$what->figure($amount);
    }

    private function label(Act $act): string
    {
        $family = Families::of($this->lesson->spec->family);
        $named = match ($act->kind) {
            ActKind::Look => array_column($family->lookOver(), 'label', 'key'),
            ActKind::Run => array_column(
                array_values($this->lesson->spec->other(OutcomeTable::class)->settings ?? []),
                'label',
                'key',
            ),
            default => array_column($family->proofs($this->lesson->run), 'question', 'key'),
        };

        return $named[$act->about] ?? $act->about;
    }
}
