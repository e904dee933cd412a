<?php

declare(strict_types=1);

namespace VividPull\Core\Diagnosis\Knowledge;

use VividPull\Core\Diagnosis\Cause;
use VividPull\Core\Diagnosis\Check;
use VividPull\Core\Diagnosis\Commonness;
use VividPull\Core\Diagnosis\Grade;
use VividPull\Core\Diagnosis\Knowledge;
use VividPull\Core\Family\Families;
use VividPull\Core\Procedure\Bearing;
use VividPull\Core\Procedure\Symptom;
use VividPull\Core\Spec\FamilyKey;

/** A brake worked by a cable. Common practice, no source. */
final readonly class BrakePullCauses implements KnownFamily
{
    public static function knowledge(): Knowledge
    {
        return Knowledge::of(
            Families::of(FamilyKey::BrakePull)->symptoms(),
            self::checks(),
            [...self::settings(), ...self::parts()],
            Shared::ofAnyCable(),
        );
    }

    /** @return list<Check> */
    private static function checks(): array
    {
        return [
            Shared::wire(),
            Shared::adjusters(),
            Check::of('arm', 'Brake arm', 'Applied: does it stand past square, spring whole?', 'Before square, spring whole', ['past' => 'Past square', 'spring' => 'Spring weak or broken'], 1.0)->stoppingOn('past')->asInspection('arm')->first(),
            Check::play(),
            Check::story([...Shared::GROWS, ...Shared::JUMPED]),
            Check::of('shoes', 'Shoes or pads and the drum', 'Worn to their limit, oily, glazed?', 'Good', ['worn' => 'Worn to their limit', 'oily' => 'Oily or glazed'], 8.0)->stoppingOn('worn', 'oily')->asInspection('shoes')->under('wheel or drum', 12.0)->saying('Chocked, on rated stands. Dust is not blown out.'),
            Check::of('clamp', 'Pinch clamp', 'Mark the wire, pull hard: does it slip?', 'Held', ['slips' => 'It slips'], 1.5)->stoppingOn('slips')->using('pen'),
            Check::of('turn', 'Wheel with the brake off', 'Turn it by hand.', 'Turns freely', ['drags' => 'Drags'], 1.0)->asProof('no_drag')->using('rated stands'),
            Check::of('pivot', 'Cam and pivot', 'Cable off the arm: work the arm by hand.', 'Moves and comes back', ['stiff' => 'Stiff'], 5.0)->using('spanner'),
            Shared::conduit(),
            Shared::drag(5.0),
        ];
    }

    /** @return list<Cause> */
    private static function settings(): array
    {
        return [
            Cause::setting(
                'too_loose',
                'Play too large',
                Commonness::Common,
                'Take slack away, until it holds well before the end.',
                6,
                Bearing::LessSlack,
            )
                ->shows('play:loose', Grade::Always, 'play too large is what is read')
                ->brings(Symptom::DoesNotHold, Grade::Usually, 'the lever is used up first'),
            Cause::setting(
                'too_tight',
                'Play too small',
                Commonness::Common,
                'Give slack until the wheel turns freely.',
                6,
                Bearing::MoreSlack,
            )
                ->shows('play:tight', Grade::Always, 'play too small is what is read')
                ->shows('turn:drags', Grade::Usually, 'the shoes touch')
                ->brings(Symptom::Drags, Grade::Always, 'the shoes touch'),
        ];
    }

    /** @return list<Cause> */
    private static function parts(): array
    {
        return [
            Cause::of('worn_shoes', 'Worn shoes or pads', Commonness::Common, 'Replace them; then set the cable.', 50)
                ->shows('shoes:worn', Grade::Always, 'they are seen')
                ->shows('play:loose', Grade::Usually, 'what wears away is play')
                ->shows('story:grows', Grade::Usually, 'what wears away is play, from job to job')
                ->shows('arm:past', Grade::Usually, 'the cam turns too far')
                ->brings(Symptom::DoesNotHold, Grade::Usually, 'they do not reach the drum')
                ->brings(Symptom::AgainAndAgain, Grade::Always, 'they go on wearing')
                ->brings(Symptom::EndOfThread, Grade::Usually, 'the cable has made up for it'),
            Cause::of('oily_shoes', 'Oily or glazed shoes', Commonness::Occasional, 'Find the oil; replace oily shoes, roughen glazed ones.', 50)->imitates()
                ->shows('shoes:oily', Grade::Always, 'they are seen')
                ->brings(Symptom::DoesNotHold, Grade::Always, 'they slide'),
            Cause::of('weak_spring', 'A weak or broken return spring', Commonness::Occasional, 'Replace it.', 15)->imitates()
                ->shows('arm:spring', Grade::Always, 'it is seen at the arm')
                ->shows('turn:drags', Grade::Usually, 'nothing draws the shoes off')
                ->brings(Symptom::NoSpringBack, Grade::Always, 'nothing draws it back')
                ->brings(Symptom::Drags, Grade::Usually, 'nothing draws the shoes off'),
            Cause::of('stiff_cam', 'A stiff cam', Commonness::Occasional, 'Free it, a little grease on the cam, none on the shoes.', 25)->imitates()
                ->shows('pivot:stiff', Grade::Always, 'by hand it is stiff, too')
                ->shows('turn:drags', Grade::Usually, 'it stays where it was')
                ->brings(Symptom::Drags, Grade::Usually, 'it stays where it was')
                ->brings(Symptom::NoSpringBack, Grade::Usually, 'it stays where it was')
                ->brings(Symptom::Heavy, Grade::Usually, 'it rubs')
                ->brings(Symptom::DoesNotHold, Grade::Sometimes, 'it takes the pull'),
            Cause::of('slipping_clamp', 'Wire slips through its clamp', Commonness::Occasional, 'Clamp it on sound wire, tight; a notched wire is replaced.', 12)
                ->shows('clamp:slips', Grade::Always, 'the mark moves')
                ->shows('story:jumped', Grade::Usually, 'it slips all at once')
                ->shows('play:loose', Grade::Usually, 'the wire has come longer')
                ->brings(Symptom::DoesNotHold, Grade::Usually, 'it gives under the pull')
                ->brings(Symptom::PlayChanges, Grade::Always, 'it slips a little each time')
                ->brings(Symptom::AgainAndAgain, Grade::Usually, 'it slips again'),
        ];
    }
}
