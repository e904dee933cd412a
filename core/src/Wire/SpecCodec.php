<?php

declare(strict_types=1);

namespace VividPull\Core\Wire;

use VividPull\Core\Cable\Pose;
use VividPull\Core\Cable\ReadingPoint;
use VividPull\Core\Errors\BadFile;
use VividPull\Core\Errors\Quoted;
use VividPull\Core\Family\Families;
use VividPull\Core\Input\Node;
use VividPull\Core\Procedure\GuideStep;
use VividPull\Core\Spec\Book;
use VividPull\Core\Spec\BookInterval;
use VividPull\Core\Spec\Conditions;
use VividPull\Core\Spec\DecisionRule;
use VividPull\Core\Spec\EngineHeat;
use VividPull\Core\Spec\FamilyKey;
use VividPull\Core\Spec\FreePlayBand;
use VividPull\Core\Spec\MeterUnit;
use VividPull\Core\Spec\Policy;
use VividPull\Core\Spec\SourceKind;
use VividPull\Core\Spec\Spec;
use VividPull\Core\Spec\SpecBand;
use VividPull\Core\Spec\SpecSource;
use VividPull\Core\Spec\Torque;
use VividPull\Core\Spec\Wheels;

/** A spec to and from the wire. */
final readonly class SpecCodec
{
    public const AIM = 'free_play_band';

    /** @throws BadFile If it is no spec, or holds a control against nothing. */
    public static function decode(Node $node): Spec
    {
        $spec = self::draft($node);
        if (! self::asksSomething($spec)) {
            throw BadFile::at($node->path, 'say what it is held against: an “aim”, “others”, or both.');
        }

        return $spec;
    }

    /** Whether there is something to hold a control against, where it has anything to be set. */
    public static function asksSomething(Spec $spec): bool
    {
        return $spec->aim !== null || $spec->targets !== [] || Families::of($spec->family)->notSettable() !== null;
    }

    /**
     * A spec somebody still works on, whose figure may be missing.
     *
     * @throws BadFile If what is there is wrong.
     */
    public static function draft(Node $node): Spec
    {
        $node->object(
            ['family', 'source'],
            ['aim', 'others', 'conditions', 'policy', 'rule', 'backward', 'secondary', 'book'],
        );
        $second = self::second($node);
        $others = $node->has('others') ? array_map(AimCodec::decode(...), $node->at('others')->items(8)) : [];
        $key = $node->at('family')->enum(FamilyKey::class);
        $family = Families::of($key);

        return Spec::of(
            $family,
            $node->has('aim') ? self::aim($node->at('aim')) : null,
            $node->has('conditions')
                ? self::conditions($node->at('conditions'))
                : Conditions::of(EngineHeat::Cold, null, []),
            $node->optionalEnum('policy', Policy::class) ?? $family->startingPolicy(),
            $node->optionalEnum('rule', DecisionRule::class) ?? DecisionRule::Guarded,
            self::source($node->at('source')),
            $second === null ? null : FreePlayBand::at(self::secondPoint($node), self::band($second)),
            $second !== null && $second->flag('set_first'),
            $others,
            $node->has('book') ? self::book($node->at('book'), $key) : Book::silent(),
        );
    }

    /**
     * The play of a second cable: of a closing one read backward, or of one behind a governor read at the carburettor.
     */
    private static function second(Node $node): ?Node
    {
        if ($node->has('backward') && $node->has('secondary')) {
            throw BadFile::at($node->path, 'a second cable is read “backward” or is a “secondary”, not both.');
        }
        $key = $node->has('backward') ? 'backward' : 'secondary';

        return $node->has($key) ? $node->at($key)->object([], ['low_mm', 'high_mm', 'set_first']) : null;
    }

    private static function secondPoint(Node $node): ReadingPoint
    {
        return $node->has('backward') ? ReadingPoint::GripBackward : ReadingPoint::CarburettorBarrel;
    }

    /** @return array<string, mixed> */
    public static function encode(Spec $spec): array
    {
        return [
            'family' => $spec->family->value,
            'aim' => $spec->aim === null ? null : [
                'kind' => self::AIM,
                'point' => $spec->aim->point->value,
                'low_mm' => $spec->aim->band->low,
                'high_mm' => $spec->aim->band->high,
            ],
            'others' => array_map(AimCodec::encode(...), $spec->targets),
            'conditions' => [
                'engine' => $spec->conditions->engine?->value,
                'wheels' => $spec->conditions->wheels?->value,
                'poses' => array_map(static fn (Pose $pose): string => $pose->value, $spec->conditions->poses),
            ],
            ...($spec->second === null
                ? []
                : [
                    $spec->second->point === ReadingPoint::GripBackward ? 'backward' : 'secondary' => [
                        'low_mm' => $spec->second->band->low,
                        'high_mm' => $spec->second->band->high,
                        'set_first' => $spec->secondFirst,
                    ],
                ]),
            'policy' => $spec->policy->value,
            'rule' => $spec->rule->value,
            ...self::encodeBook($spec->book),
            'source' => [
                ...($spec->source->kind === SourceKind::Document ? [] : ['kind' => $spec->source->kind->value]),
                ...($spec->source->date === null ? [] : ['date' => $spec->source->date]),
                'document' => $spec->source->document,
                'edition' => $spec->source->edition,
                'page' => $spec->source->page,
                'entered_by' => $spec->source->enteredBy,
                'checked_by' => $spec->source->checkedBy,
            ],
        ];
    }

    private static function aim(Node $node): FreePlayBand
    {
        $node->object(['kind', 'point'], ['low_mm', 'high_mm']);
        if ($node->at('kind')->string() !== self::AIM) {
            throw BadFile::at($node->at('kind')->path, 'the only kind of aim known is “'.self::AIM.'”.');
        }

        return FreePlayBand::at($node->at('point')->enum(ReadingPoint::class), self::band($node));
    }

    private static function band(Node $node): SpecBand
    {
        $edge = static fn (string $key): ?float => $node->has($key) ? $node->at($key)->number(0, 1000) : null;

        return $node->making(static fn (): SpecBand => SpecBand::between($edge('low_mm'), $edge('high_mm')));
    }

    private static function conditions(Node $node): Conditions
    {
        $node->object([], ['engine', 'wheels', 'poses']);

        return Conditions::of(
            $node->optionalEnum('engine', EngineHeat::class),
            $node->optionalEnum('wheels', Wheels::class),
            $node->has('poses')
                ? array_map(static fn (Node $pose): Pose => $pose->enum(Pose::class), $node->at('poses')->items(3))
                : [],
        );
    }

    private static function book(Node $node, FamilyKey $family): Book
    {
        $node->object([], ['printed', 'interval', 'torques', 'proofs', 'back_off', 'tools']);
        $torque = static fn (Node $one): Torque => new Torque(
            $one->object(['what', 'nm'])->at('what')->string(80),
            $one->at('nm')->number(0.05, 500),
        );

        return Book::says(
            $node->optionalString('printed', 120),
            $node->has('interval') ? self::interval($node->at('interval')) : null,
            $node->has('torques') ? array_map($torque, $node->at('torques')->items(20)) : [],
            $node->has('proofs') ? self::proofs($node->at('proofs')) : [],
            $node->optionalString('back_off', 60),
            $node->has('tools') ? self::tools($node->at('tools'), $family) : [],
        );
    }

    /** @return array<string, string> */
    private static function tools(Node $node, FamilyKey $family): array
    {
        $steps = array_map(static fn (GuideStep $step): string => $step->key, Families::of($family)->replacing());
        $tools = [];
        foreach ($node->items(20) as $one) {
            $step = $one->object(['step', 'what'])->at('step')->string(40);
            if (! in_array($step, $steps, true)) {
                throw BadFile::at(
                    $one->at('step')->path,
                    Quoted::text($step).' is no step of replacing a cable of this family.',
                );
            }
            if (isset($tools[$step])) {
                throw BadFile::at(
                    $one->at('step')->path,
                    'the tools of this step stand above already. Write all of them in one line.',
                );
            }
            $tools[$step] = $one->at('what')->string(100);
        }

        return $tools;
    }

    private static function interval(Node $node): BookInterval
    {
        $node->object([], ['usage', 'unit', 'months']);

        return $node->making(static fn (): BookInterval => BookInterval::of(
            $node->optionalNumber('usage', 1, 1_000_000),
            $node->optionalEnum('unit', MeterUnit::class),
            $node->has('months') ? $node->at('months')->integer(1, 120) : null,
        ));
    }

    /** @return array<string, string> */
    private static function proofs(Node $node): array
    {
        $proofs = [];
        foreach ($node->items(10) as $one) {
            $key = $one->object(['key', 'question'])->at('key')->id();
            if (! str_starts_with($key, 'book_')) {
                throw BadFile::at(
                    $one->at('key')->path,
                    'the key of a proof of the book begins with “book_”, so that it never stands for another.',
                );
            }
            $proofs[$key] = $one->at('question')->string(120);
        }

        return $proofs;
    }

    /** @return array<string, mixed> nothing where the book is silent */
    private static function encodeBook(Book $book): array
    {
        $says = array_filter([
            'printed' => $book->printed,
            'interval' => $book->interval === null ? null : array_filter(
                [
                    'usage' => $book->interval->use,
                    'unit' => $book->interval->unit?->value,
                    'months' => $book->interval->months,
                ],
                static fn (mixed $value): bool => $value !== null,
            ),
            'torques' => array_map(
                static fn (Torque $one): array => ['what' => $one->what, 'nm' => $one->nm],
                $book->torques,
            ),
            'back_off' => $book->backOff,
            'tools' => array_map(
                static fn (string $step, string $what): array => ['step' => $step, 'what' => $what],
                array_keys($book->tools),
                array_values($book->tools),
            ),
            'proofs' => array_map(
                static fn (string $key, string $question): array => ['key' => $key, 'question' => $question],
                array_keys($book->proofs),
                array_values($book->proofs),
            ),
        ], static fn (mixed $value): bool => $value !== null && $value !== []);

        return $says === [] ? [] : ['book' => $says];
    }

    private static function source(Node $node): SpecSource
    {
        $node->object(['document'], ['kind', 'edition', 'page', 'date', 'entered_by', 'checked_by']);

        return SpecSource::of(
            $node->at('document')->string(),
            $node->optionalString('edition'),
            $node->optionalString('page'),
            $node->optionalString('entered_by'),
            $node->optionalString('checked_by'),
            $node->has('date') ? $node->at('date')->day() : null,
            $node->optionalEnum('kind', SourceKind::class) ?? SourceKind::Document,
        );
    }
}
