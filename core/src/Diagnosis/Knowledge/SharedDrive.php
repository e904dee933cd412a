<?php

declare(strict_types=1);

namespace VividPull\Core\Diagnosis\Knowledge;

use VividPull\Core\Diagnosis\Cause;
use VividPull\Core\Diagnosis\Check;
use VividPull\Core\Diagnosis\Commonness;
use VividPull\Core\Diagnosis\Grade;
use VividPull\Core\Procedure\Symptom;

/** What the two drive clutches of a walking tractor share. Common practice, no source. */
final readonly class SharedDrive
{
    private function __construct() {}

    /**
     * @param  string  $label  in which state the clutch should be free
     * @param  string  $how  how that is tried
     * @param  array<string, string>  $story  how its play may go from job to job
     * @return list<Check>
     */
    public static function checks(string $label, string $how, array $story): array
    {
        return [
            Shared::wire(),
            Shared::adjusters(),
            Check::play(),
            Check::story($story),
            Check::of('rest', $label, $how, 'Free', ['held' => 'Held, or it drags'], 1.0)->stoppingOn('held')->first(),
            Check::of('nuts', 'Nuts of the hollow bolts', 'A spanner on each, at either end: tight?', 'Tight', ['slack' => 'A nut has come loose'], 1.0)->using('spanner'),
            Check::of('belt', 'Belt', 'Cover off: glazed, cracked, or longer than the idler takes up?', 'Good', ['worn' => 'Stretched, glazed or cracked', 'off' => 'Off its wheel, or behind its guide'], 2.0)->under('belt cover', 8.0)->saying('Spark lead off before a hand goes in.'),
            Check::of('lining', 'Clutch lining or cone', 'Look at it, and smell: thin, glazed, oily?', 'Good', ['worn' => 'Thin, glazed or oily'], 6.0)->under('belt cover', 8.0)->using('light'),
            Check::of('spring', 'Springs', 'At the clutch arm and the handle: whole and hooked?', 'Whole and hooked', ['broken' => 'Weak, broken or unhooked'], 1.5),
            Check::of('load', 'Under load', 'Engine speed holds: does ground speed drop?', 'It pulls', ['slips' => 'It slips'], 3.0)->asProof('under_load')->running('Light load first. Outdoors: carbon monoxide kills. Operator in place, nobody in front.'),
            Check::of('clamp', 'Pinch clamp', 'Mark the wire and pull: does it slip through?', 'Held', ['slips' => 'It slips'], 1.5)->using('pen'),
            Shared::conduit(),
            Shared::drag(5.0),
        ];
    }

    /** @return list<Cause> */
    public static function causes(): array
    {
        return [
            Cause::of(
                'belt_off',
                'Belt off its wheel or behind its guide',
                Commonness::Rare,
                'Put it back; see that the guide is straight.',
                15,
            )->imitates()
                ->shows('belt:off', Grade::Always, 'it is seen')
                ->brings(Symptom::Weak, Grade::Always, 'it does not draw'),
            Cause::of(
                'nut_loose',
                'A nut that came loose',
                Commonness::Occasional,
                'Back to its mark, both nuts tight, read again.',
                6,
            )
                ->shows('nuts:slack', Grade::Always, 'a spanner tells')
                ->shows('play:loose', Grade::Usually, 'the conduit has moved')
                ->shows('story:jumped', Grade::Usually, 'a nut lets go all at once')
                ->brings(Symptom::PlayChanges, Grade::Always, 'the conduit moves')
                ->brings(Symptom::AgainAndAgain, Grade::Usually, 'it comes loose again'),
            Cause::of(
                'slipping_clamp',
                'Wire slips through the pinch clamp',
                Commonness::Rare,
                'Clamp it on sound wire, tight; a notched wire is replaced.',
                15,
            )
                ->shows('clamp:slips', Grade::Always, 'the mark moves')
                ->shows('play:loose', Grade::Usually, 'the wire has come longer')
                ->brings(Symptom::PlayChanges, Grade::Usually, 'it slips a little each time')
                ->brings(Symptom::AgainAndAgain, Grade::Usually, 'it slips again'),
        ];
    }
}
