<?php

declare(strict_types=1);

namespace VividPull\Core\Bench;

use VividPull\Core\Cable\Adjuster;
use VividPull\Core\Cable\Pose;
use VividPull\Core\Cable\ReadingPoint;
use VividPull\Core\Cable\ThreadedAdjuster;
use VividPull\Core\Errors\Quoted;
use VividPull\Core\Log\Draft;
use VividPull\Core\Log\Entry\AllConfirmed;
use VividPull\Core\Log\Entry\ConditionNoted;
use VividPull\Core\Log\Entry\HandMeasured;
use VividPull\Core\Log\Entry\MeasureTaken;
use VividPull\Core\Log\Entry\Moved;
use VividPull\Core\Log\Entry\Noted;
use VividPull\Core\Log\Entry\NothingFound;
use VividPull\Core\Log\Entry\PolicyChosen;
use VividPull\Core\Log\Entry\ReadingTaken;
use VividPull\Core\Log\Entry\Tagged;
use VividPull\Core\Log\Entry\ThreadNoted;
use VividPull\Core\Log\Entry\Voided;
use VividPull\Core\Log\Person;
use VividPull\Core\Log\ThreadState;
use VividPull\Core\Measurement\Instrument;
use VividPull\Core\Planning\TablePlanner;
use VividPull\Core\Procedure\JobStage;
use VividPull\Core\Procedure\MeasureKey;
use VividPull\Core\Progress\Answer;
use VividPull\Core\Progress\ItemKind;
use VividPull\Core\Progress\ItemTopic;
use VividPull\Core\Progress\StageItem;
use VividPull\Core\Quantity\Dimension;
use VividPull\Core\Quantity\Fraction;
use VividPull\Core\Quantity\NotUnderstood;
use VividPull\Core\Quantity\QuantityReader;
use VividPull\Core\Quantity\ReadQuantity;
use VividPull\Core\Quantity\Spoken;
use VividPull\Core\Quantity\Steps;
use VividPull\Core\Quantity\StepUnit;
use VividPull\Core\Quantity\Unit;
use VividPull\Core\Quantity\Writing;
use VividPull\Core\Spec\EngineHeat;
use VividPull\Core\Spec\Parking;
use VividPull\Core\Spec\Policy;
use VividPull\Core\Spec\SettingMode;
use VividPull\Core\Spec\Wheels;

/**
 * Reads the one line at the bottom of a job.
 *
 * A reading is a value, with or without a unit, or a coin. A move carries a sign and letters: `+1.5t`, `-2f`, `+1t2f`,
 * and `+3c`, `+2r`, `-1h`, `+4mm` where the adjuster counts in clicks, rungs, holes or millimetres. It is also taken as
 * it is said: `out 1 turn and 2 flats`, `2 rungs towards the engine`. Where a thread or place is asked for, a bare
 * value is that thread or place. `n ` begins a note, `v reason` takes the last own entry back, `thread 3.1` notes a
 * thread, `tag reason` hangs a tag, `aim loose`, `service`, `touch-up` and `park middle` change how it is set, `whole
 * job` goes on from a check, `done` logs the move shown, and the words on the answers shown (`ok`, `no`, `cold`) answer
 * the item shown; what follows such a word is its remark. `seized` says that the adjuster shown will not turn. `all ok`
 * confirms the open lines of a stage together. `distances 38 and 132` are those of the hand control, measured. `stop`
 * says that what was turned last, and cannot be seen, has come to its stop.
 */
final readonly class BenchLine
{
    /** Where the bench says to look. */
    public const NOTHING_FOUND = 'nothing found';

    /** Confirms every open line of the stage. */
    public const ALL_OK = 'all ok';

    private const LONGEST = 500;

    private const STUCK = ['seized', 'stuck'];

    private function __construct(
        private BenchState $state,
        private Shown $shown,
        private Person $by,
        private bool $isAnew,
    ) {}

    /**
     * @param  bool  $isAnew  whether it says anew what was logged before, so that how the machine stands now is no
     *     matter
     *
     * @throws NotUnderstood If the line means nothing here; the sentence says what was understood and what to type.
     */
    public static function read(string $line, Shown $shown, BenchState $state, Person $by, bool $isAnew = false): Draft
    {
        if (! mb_check_encoding($line, 'UTF-8')) {
            throw NotUnderstood::line('The line holds characters that are no text. Type it again.');
        }
        $length = mb_strlen($line);
        if ($length > self::LONGEST) {
            throw NotUnderstood::tooLong($length, self::LONGEST);
        }
        $plain = trim((string) preg_replace('/\s+/u', ' ', strtr($line, ['−' => '-', "\u{FEFF}" => ''])));
        if ($plain === '') {
            throw NotUnderstood::nothing();
        }

        $line = new self($state, $shown, $by, $isAnew);

        return $shown->fromGauge ? $line->sent($plain) : $line->draft($plain);
    }

    /** What a gauge sent is a figure, and answers only what is answered by one. */
    private function sent(string $line): Draft
    {
        if (str_starts_with($line, '-')) {
            throw NotUnderstood::line(
                "The gauge shows {$line}, which is below its zero. Set it to zero and read again.",
            );
        }
        $item = $this->item();
        if (! $this->asksFigure($item)) {
            throw NotUnderstood::line(
                "The gauge shows {$line}, but "
                    .($item === null ? 'nothing that is measured is asked' : "“{$item->label}” is asked")
                    .' now. Nothing was logged.',
            );
        }

        return $this->reading($line);
    }

    /** Where an adjuster stands is asked of a gauge only where it is a thread that shows. */
    private function asksFigure(?StageItem $item): bool
    {
        return $this->shown->measure !== null || match ($item?->kind) {
            ItemKind::Reading, ItemKind::Measure => true,
            ItemKind::Thread => $this->adjusterShown() instanceof ThreadedAdjuster,
            default => in_array($item?->topic(), [ItemTopic::InBand, ItemTopic::Home, ItemTopic::Doubt], true),
        };
    }

    private function draft(string $line): Draft
    {
        [$word, $rest] = [...explode(' ', $line, 2), ''];
        $word = mb_strtolower($word);

        return $this->answer($line, $word, $rest) ?? match (true) {
            $word === 'n' => Noted::draft(
                self::needed($rest, 'A note needs its words, such as: n boot torn, ordered.'),
            ),
            $word === 'v' => $this->void($rest),
            $word === 'thread' => $this->thread($rest),
            mb_strtolower($line) === self::ALL_OK => $this->allOk(),
            mb_strtolower($line) === 'stop' => $this->atItsStop(),
            in_array(mb_strtolower($line), self::STUCK, true) => ThreadNoted::draftUncounted(
                $this->adjuster()->id(),
                ThreadState::Seized,
            ),
            mb_strtolower($line) === self::NOTHING_FOUND => NothingFound::draft(),
            $word === 'distances' => $this->distances($rest),
            $word === 'tag' => Tagged::draft(
                self::needed($rest, 'A tag needs its reason, such as: tag throttle sticks, bars right.'),
            ),
            $word === 'aim' => $this->policy($rest),
            $word === 'park' => $this->parking($rest),
            mb_strtolower($line) === 'service' => PolicyChosen::draft(SettingMode::Service),
            mb_strtolower($line) === 'touch-up' => PolicyChosen::draft(SettingMode::TouchUp),
            mb_strtolower($line) === 'whole job' => PolicyChosen::draftWhole(),
            mb_strtolower($line) === 'done' => $this->moveShown(),
            in_array($word, ['cold', 'hot'], true) => $this->condition($word, $rest),
            preg_match('/^[+\-]/', $line) === 1 => $this->move($line),
            default => $this->moveInWords($line) ?? $this->reading($line),
        };
    }

    /** What a bare yes or no would answer here. */
    private static function noSuchAnswer(?StageItem $item): string
    {
        return match (true) {
            $item === null => 'none is open.',
            $item->answers === [] => "“{$item->label}” is none. {$item->kind->howTyped()}",
            $item->kind === ItemKind::Answer => "“{$item->label}” is answered otherwise: ".self::hints($item).'.',
            default => "“{$item->label}” is none. {$item->kind->howTyped()} Or: ".self::hints($item).'.',
        };
    }

    /** A word on one of the answers of the item shown; the rest of the line is a remark where one belongs. */
    private function answer(string $said, string $word, string $rest): ?Draft
    {
        $line = mb_strtolower($said);
        $item = $this->item();
        foreach ($item->answers ?? [] as $answer) {
            if ($answer->word === $line) {
                return $answer->writes;
            }
            if ($answer->word === $word && $answer->asksRemark) {
                return $answer->writes->withRemark($rest);
            }
            $hint = $answer->hint($item->answers ?? []);
            if ($answer->asksRemark && str_starts_with($line, "{$hint} ")) {
                return $answer->writes->withRemark(trim(mb_substr($said, mb_strlen($hint))));
            }
        }
        $begins = array_values(array_filter(
            $item->answers ?? [],
            static fn (Answer $one): bool => mb_strlen($line) >= Answer::LEAST
                && str_starts_with(mb_strtolower($one->label), $line),
        ));
        if (count($begins) === 1) {
            return $begins[0]->writes;
        }
        if (in_array($line, ['ok', 'yes', 'no'], true)) {
            throw NotUnderstood::line(
                Quoted::text($line).' answers a question, but '.self::noSuchAnswer($item),
            );
        }

        return null;
    }

    /** What may be typed at it, in its own words. */
    private static function hints(StageItem $item): string
    {
        return implode(
            ', ',
            array_map(static fn (Answer $answer): string => $answer->hint($item->answers), $item->answers),
        );
    }

    private function item(): ?StageItem
    {
        return $this->shown->item === null ? null : $this->state->progress->item($this->shown->item);
    }

    private function void(string $reason): Draft
    {
        self::needed($reason, 'Taking an entry back needs a reason, such as: v misread the rule.');
        $voids = $this->state->log->voids();
        foreach (array_reverse($this->state->log->entries) as $entry) {
            if (
                $entry->stamp->by->is($this->by)
                && $entry->kind()->canBeVoided()
                && ! isset($voids[$entry->stamp->id])
            ) {
                return Voided::draft($entry->stamp->id, $reason);
            }
        }
        throw NotUnderstood::line(
            'There is no entry of yours left to take back. Point at another in the log to take it back.',
        );
    }

    private function thread(string $rest): Draft
    {
        $adjuster = $this->adjuster();
        // As it is said where it stands: `3.1 mm out`, `10 mm along`, `4 mm pulled through`.
        $rest = (string) preg_replace('/ (out|along|pulled through)$/i', '', $rest);
        if (! $adjuster instanceof ThreadedAdjuster) {
            return $this->place($adjuster, $rest);
        }
        $rest = self::needed($rest, 'Type the thread that shows, such as: thread 3.1 mm.');
        try {
            $size = QuantityReader::defaultingTo($this->shown->unit)->read($rest);
        } catch (NotUnderstood $no) {
            throw preg_match('/\d/', $rest) === 1 && preg_match(self::steps($adjuster), mb_strtolower($rest)) !== 1
                ? $no
                : $this->noThread($rest);
        }
        self::mustBeLength($size, 'the thread that shows');

        return ThreadNoted::draftShowing($adjuster, $size->value);
    }

    /** Words, or turns, where it is asked how much thread shows. */
    private function noThread(string $said): NotUnderstood
    {
        $item = $this->item();

        return NotUnderstood::line(
            Quoted::text($said)
                .' does not say how much thread shows. Type it in mm or in, such as 3.1 mm, or 0 where none does.'
                .($item === null || $item->answers === [] ? '' : ' Or: '.self::hints($item).'.'),
        );
    }

    /** The rung, hole or other place an adjuster stands on. */
    private function place(Adjuster $adjuster, string $rest): Draft
    {
        $unit = $adjuster->counting()->unit;
        if ($unit === StepUnit::Millimetre) {
            try {
                $along = QuantityReader::defaultingTo($this->shown->unit)->read($rest);
            } catch (NotUnderstood) {
                throw NotUnderstood::line(
                    "Type where the {$adjuster->name()} stands, in mm or in, such as: thread 4 mm.",
                );
            }
            self::mustBeLength($along, "where the {$adjuster->name()} stands");

            return ThreadNoted::draft($adjuster, Steps::nearest($along->value)->toFloat());
        }
        $number = trim((string) preg_replace('/\s*(rungs?|holes?|teeth|tooth|turns?|t|r|h)$/i', '', $rest));
        if (preg_match('/^[\d.,\/ ]+$/', $number) !== 1) {
            throw NotUnderstood::line(
                "Type where the {$adjuster->name()} stands, in {$unit->plural()}, such as: thread 4.",
            );
        }

        return ThreadNoted::draft($adjuster, Fraction::fromText($number)->toFloat());
    }

    /** What was measured of the hand control, in the order in which it is asked for. */
    private function distances(string $rest): Draft
    {
        $hand = $this->state->run->hand;
        $points = MeasuredHand::points($this->state);
        $labels = [$hand->toWire(), ...array_map($hand->toPoint(...), $points)];
        if ($points === []) {
            throw NotUnderstood::line(MeasuredHand::tellsNothing($this->state));
        }
        $parts = explode(';', (string) preg_replace('/\s+and\s+/iu', ';', $rest));
        $parts = count($parts) === 1 ? explode(' ', $rest) : $parts;
        if (count($parts) !== count($labels)) {
            throw NotUnderstood::line(
                'Type '.implode(' and ', array_map(lcfirst(...), $labels)).', such as: distances 38 and 132.',
            );
        }
        $mm = [];
        foreach ($parts as $n => $part) {
            $size = QuantityReader::defaultingTo($this->shown->unit)->read($part);
            self::mustBeLength($size, lcfirst($labels[$n]));
            $mm[] = $size->value;
        }
        $keys = array_map(static fn (ReadingPoint $one): string => $one->value, $points);

        return HandMeasured::draft($mm[0], array_combine($keys, array_slice($mm, 1)));
    }

    private function allOk(): Draft
    {
        $progress = $this->state->progress;
        $lines = $progress->together($progress->stageOf($this->shown->item ?? '') ?? $progress->stage);
        if ($lines === []) {
            throw NotUnderstood::line('Nothing here is confirmed together. Answer what is asked.');
        }

        return AllConfirmed::draft(array_map(static fn (StageItem $line): string => $line->key, $lines));
    }

    /** An adjuster that nobody can see is found by its stop: it stands at the end that it was turned to last. */
    private function atItsStop(): Draft
    {
        $moves = $this->state->facts->readings->moves;
        $last = $moves[count($moves) - 1] ?? null;
        $adjuster = $last === null ? null : $this->state->run->adjuster($last->entry->adjuster);
        if ($last === null || $adjuster === null || $last->entry->steps === null) {
            throw NotUnderstood::line(
                'No adjuster was turned to its stop. Log the turn first, such as +1/2t, then type stop.',
            );
        }
        $end = $last->entry->steps->count > 0 ? $adjuster->travel()->to : $adjuster->travel()->from;

        return ThreadNoted::draft($adjuster, $end->toFloat());
    }

    private function parking(string $rest): Draft
    {
        $parking = match (mb_strtolower(self::needed($rest, 'Type park threads, park in or park middle.'))) {
            'threads' => Parking::Threads,
            'in' => Parking::InThenBack,
            'middle' => Parking::Middle,
            default => throw NotUnderstood::line(
                Quoted::text($rest).' is no parking place. Type park threads, park in or park middle.',
            ),
        };

        return PolicyChosen::draft($parking);
    }

    private function policy(string $rest): Draft
    {
        $policy = Policy::tryFrom(mb_strtolower($rest))
            ?? throw NotUnderstood::line(
                Quoted::text($rest).' is no place in the band to aim for. Type aim middle, aim crisp or aim loose.',
            );

        return PolicyChosen::draft($policy);
    }

    private function condition(string $engine, string $rest): Draft
    {
        $wheels = match (mb_strtolower($rest)) {
            '' => $this->state->spec->conditions->wheels === null ? null : Wheels::OnGround,
            'stand', 'on stand' => Wheels::OnStand,
            default => throw NotUnderstood::line(
                "Read {$engine}, but not ".Quoted::text($rest).". Type {$engine}, or {$engine} stand.",
            ),
        };

        return ConditionNoted::draft(EngineHeat::from($engine), $wheels);
    }

    private function stateWanted(): string
    {
        $conditions = $this->state->spec->conditions;

        return $conditions->engine === null && $conditions->wheels !== null
            ? 'on its wheels, or on a stand'
            : 'cold or hot, for play changes with heat';
    }

    private function moveShown(): Draft
    {
        if ($this->shown->steps === null && $this->state->judgement->table !== null) {
            $advice = TablePlanner::advise(
                $this->state->spec,
                $this->state->judgement->table,
                $this->state->run,
                $this->state->facts,
            );
            $adjuster = $this->state->run->adjuster($advice->adjuster ?? '');
            if ($advice->steps !== null && $adjuster !== null) {
                return Moved::draft($adjuster, $advice->steps);
            }
        }
        if ($this->shown->steps === null) {
            throw NotUnderstood::line(
                'No move was shown, so there is none to call done. Log what you turned, such as +3f.',
            );
        }

        return $this->moved(Steps::exactly($this->shown->steps));
    }

    private function move(string $line): Draft
    {
        $sign = $line[0] === '-' ? -1 : 1;
        $amount = Writing::of(mb_strtolower(trim(mb_substr($line, 1))))->plain;
        if (preg_match('/^[\d.,\/ ]+$/', $amount) === 1) {
            throw NotUnderstood::line(
                "Is {$line} a reading or a move? Type {$amount} for a reading, or {$this->asMoves($line[0], $amount)}.",
            );
        }
        if (
            preg_match('/^(?<number>[\d.,\/ ]+?) ?(?<unit>[a-z]+|")$/', $amount, $own) === 1
            && ! in_array($own['unit'], ['t', 'turn', 'turns', 'f', 'flat', 'flats'], true)
        ) {
            return $this->movedInOwnSteps($line, $sign, $own['number'], $own['unit']);
        }
        if (preg_match(
            '/^(?:(?<turns>[\d.,\/ ]+?) ?t(?:urns?)?)? ?(?:(?<flats>\d+) ?f(?:lats?)?)?$/',
            $amount,
            $part,
        ) !== 1) {
            $this->refuseSteps($line, $amount);
        }
        if (! $this->adjuster()->counting()->unit->turns()) {
            $this->refuseSteps($line, $amount);
        }
        $turns = ($part['turns'] ?? '') === '' ? 0.0 : Fraction::fromText($part['turns'])->toFloat();
        $flats = (int) ($part['flats'] ?? 0);
        if ($turns + $flats / 6 > 200) {
            throw NotUnderstood::line("Read {$line}, but no adjuster has that many turns.");
        }

        return $this->moved(Steps::fromCount($sign * Steps::exactly($turns)->plus(Steps::fromFlats($flats))->count));
    }

    /**
     * `out 1 turn and 2 flats`, `2 rungs towards the engine`: a move as it is said. Null where it is none; `4 in` is a
     * length.
     */
    private function moveInWords(string $line): ?Draft
    {
        $adjuster = $this->adjusterShown();
        // Where it stands is asked: what is said of that is no move.
        if ($adjuster === null || $this->item()?->kind === ItemKind::Thread) {
            return null;
        }
        $plain = str_replace([' and ', ' of wire', 'the '], [' ', '', ''], Writing::of(mb_strtolower($line))->plain);
        if (preg_match('/\d[\d.,\/ ]*(in\b|inch|")/', $plain) === 1 && ! $this->slides($adjuster)) {
            return null;
        }
        foreach ($adjuster->ways()->typed() as $said => $sign) {
            $said = preg_quote($said, '/');
            foreach (["/^{$said} (?<amount>\d.*)$/", "/^(?<amount>\d.*?) {$said}$/"] as $pattern) {
                if (preg_match($pattern, $plain, $match) === 1) {
                    return $this->move(($sign < 0 ? '-' : '+').$match['amount']);
                }
            }
        }

        return preg_match(self::steps($adjuster), $plain, $move) === 1
            ? throw self::halfSaid($line, $plain, $move[0], $adjuster)
            : null;
    }

    /** What is said of steps: those of any adjuster by their words, its own by their letters too. */
    private static function steps(Adjuster $adjuster): string
    {
        return '/\d[\d.,\/ ]*?(?:'.$adjuster->counting()->unit->typed().')(?![a-z])(?: ?\d+ ?f(?:lats?)?(?![a-z]))?/';
    }

    /** Steps of an adjuster with none of its ways, or with more than the move. */
    private static function halfSaid(string $line, string $plain, string $move, Adjuster $adjuster): NotUnderstood
    {
        $ways = $adjuster->ways();
        $why = preg_match('/[+\-] ?\d/', $plain) === 1
            ? "not all of it. Type the move alone; the screen shows of which adjuster. The {$adjuster->name()} counts in {$adjuster->counting()->example()}."
            : "not which way. Type {$move} {$ways->outward}, or {$move} {$ways->inward}.";

        return NotUnderstood::line('Read '.Quoted::text($line)." as a move, but {$why}");
    }

    /** Whether it is moved by a length, and inches are not the way in. */
    private function slides(Adjuster $adjuster): bool
    {
        return $adjuster->counting()->unit === StepUnit::Millimetre
            && ! array_key_exists('in', $adjuster->ways()->typed());
    }

    /** Clicks, rungs, holes: what the adjuster itself counts in, and nothing else. */
    private function movedInOwnSteps(string $line, int $sign, string $number, string $letters): Draft
    {
        $steps = $this->adjuster()->counting()->typed(Fraction::fromText($number)->toFloat(), $letters)
            ?? $this->refuseSteps($line, $number.$letters);

        return $this->moved(Steps::fromCount($sign * $steps->count));
    }

    /** An amount as a move of each kind of adjuster that is here. */
    private function asMoves(string $sign, string $amount): string
    {
        $units = array_unique(
            array_map(
                static fn (Adjuster $one): StepUnit => $one->counting()->unit,
                array_values($this->state->run->adjusters()),
            ),
            SORT_REGULAR,
        );
        $moves = array_map(
            static fn (StepUnit $unit): string => $unit === StepUnit::Turn
                ? "{$sign}{$amount}t for turns and {$sign}{$amount}f for flats"
                : ($unit === StepUnit::Millimetre
                    ? "{$sign}{$amount}mm for millimetres and {$sign}{$amount}in for inches"
                    : "{$sign}{$amount}{$unit->letters()} for {$unit->plural()}"),
            $units,
        );

        return $moves === [] ? "{$sign}{$amount}t for turns" : implode(' and ', $moves);
    }

    private function refuseSteps(string $line, string $amount): never
    {
        $adjuster = $this->adjuster();
        $unit = (string) preg_replace('/^[\d.,\/ ]+/', '', $amount);
        $counts = "The {$adjuster->name()} counts in {$adjuster->counting()->example()}.";
        throw NotUnderstood::line(
            'Read '.Quoted::text($line).' as a move, but '.Quoted::text($unit)." is no step of it. {$counts}",
        );
    }

    private function moved(Steps $steps): Draft
    {
        if ($steps->isNone()) {
            throw NotUnderstood::line('A move of nothing is no move. Type how far it was turned, such as +2f.');
        }

        return Moved::draft($this->adjuster(), $steps);
    }

    private function reading(string $line): Draft
    {
        if ($this->shown->measure !== null) {
            return $this->measured($this->shown->measure, $line, $this->shown->of);
        }
        if ($this->item()?->kind === ItemKind::Thread) {
            return $this->thread($line);
        }
        $measure = $this->item()?->measure;
        if ($measure !== null) {
            return $this->measured($measure, $line);
        }
        $item = $this->item();
        $read = $this->quantity($line, $item);
        if ($item !== null && $this->asksOtherwise($item)) {
            throw NotUnderstood::line(
                "Read {$line}, but “{$item->label}” is asked now. Nothing was logged. Answer that, or turn to the reading and type it there.",
            );
        }
        if ($this->state->spec->aim === null) {
            throw NotUnderstood::line(
                "Read {$line}, but no play is read on this control, and nothing that is asked now is measured.",
            );
        }
        self::mustBeLength($read, 'play');
        $this->mustStandAsSaid($line);

        return ReadingTaken::draft(
            $read,
            $this->asEntered($read),
            $this->shown->point ?? $this->pointAsked(),
            $this->shown->pose ?? Pose::Straight,
            $read->coin !== null ? Instrument::COIN : $this->instrument(),
            $this->state->facts->answers->condition,
        );
    }

    private function mustStandAsSaid(string $line): void
    {
        if ($this->isAnew) {
            return;
        }
        if ($this->state->progress->item('condition')?->done === false) {
            throw NotUnderstood::line(
                "Read {$line}. Say first how the machine stands: {$this->stateWanted()}; then type it again.",
            );
        }
        if ($this->state->facts->readings->ranSince && $this->state->spec->heatMatters()) {
            throw NotUnderstood::line(
                "Read {$line}. It was run since its heat was said. Say first how it stands now: {$this->stateWanted()}; then type it again.",
            );
        }
    }

    /** A bare number is in the units of whoever typed it; the log says which, whoever reads it. */
    private function asEntered(ReadQuantity $read): string
    {
        return $read->unit === Unit::Inch && is_numeric(strtr($read->entered, ',', '.'))
            ? "{$read->entered} in"
            : $read->entered;
    }

    /**
     * Whether what is asked is nothing that a value answers. Between moves and locks a reading is always welcome; at a
     * proof, or where something is confirmed, it would land in a pose that nobody meant.
     */
    private function asksOtherwise(StageItem $item): bool
    {
        return match ($this->state->progress->stageOf($item->key)) {
            JobStage::MakeSafe, JobStage::LookOver => true,
            JobStage::Prove, JobStage::Close => $item->kind === ItemKind::Answer && $item->topic() !== ItemTopic::Doubt,
            JobStage::AsFound, JobStage::Set, null => false,
        };
    }

    /**
     * What is no quantity at a question that is answered in words is told those words, and not how a value is written.
     */
    private function quantity(string $line, ?StageItem $item): ReadQuantity
    {
        try {
            return QuantityReader::defaultingTo($this->shown->unit)->read($line);
        } catch (NotUnderstood $no) {
            throw $item?->kind === ItemKind::Answer && $item->answers !== [] && preg_match('/\d/', $line) !== 1
                ? NotUnderstood::line(
                    Quoted::text($line)." means nothing here. “{$item->label}” is answered: ".self::hints($item).'.',
                ) : $no;
        }
    }

    /** A bare value is in the unit of what is asked; another unit of the same kind is turned into it. */
    private function measured(MeasureKey $key, string $line, ?string $of = null): Draft
    {
        $usual = $key->dimension() === Dimension::Length ? $this->shown->unit : Unit::usualOf($key->dimension());
        $read = QuantityReader::defaultingTo($usual)->read($line);
        if ($read->dimension !== $key->dimension()) {
            throw NotUnderstood::line(
                "Read {$read->entered}, which is {$read->dimension->withArticle()}; ".lcfirst($key->label())
                    ." is {$key->dimension()->withArticle()}. Type it in ".Spoken::units()->of($key->dimension())->value.'.',
            );
        }

        return MeasureTaken::draft($key, $read->value, $this->asEntered($read), $of);
    }

    /** Where the item shown is read: a second cable's play at its own place, all else at the spec's. */
    private function pointAsked(): ReadingPoint
    {
        return ($this->item()?->isSecond === true ? $this->state->run->secondPulls()?->point() : null)
            ?? $this->state->spec->play()->point;
    }

    private function instrument(): string
    {
        $shelf = array_values($this->state->facts->standing->shelf);

        return $this->shown->instrument ?? ($shelf === [] ? Instrument::COIN : $shelf[0]->id);
    }

    private function adjuster(): Adjuster
    {
        $adjusters = $this->state->run->adjusters();
        if ($adjusters === []) {
            throw NotUnderstood::line('Nothing is turned on this control.');
        }

        return $this->adjusterShown() ?? throw NotUnderstood::line('No such adjuster on this control. Choose one: '
            .implode(', ', array_map(static fn (Adjuster $a): string => $a->name(), array_values($adjusters))).'.');
    }

    /** The one that the screen shows, or the only one; null where it is neither. */
    private function adjusterShown(): ?Adjuster
    {
        $adjusters = $this->state->run->adjusters();

        return $adjusters[$this->shown->adjuster ?? (count($adjusters) === 1 ? array_key_first($adjusters) : '')]
            ?? null;
    }

    private static function mustBeLength(ReadQuantity $read, string $what): void
    {
        if ($read->dimension !== Dimension::Length) {
            throw NotUnderstood::line(
                "Read {$read->entered}, which is {$read->dimension->withArticle()}; {$what} is a length. Type it in mm or in.",
            );
        }
    }

    private static function needed(string $text, string $sentence): string
    {
        return trim($text) === '' ? throw NotUnderstood::line($sentence) : trim($text);
    }
}
