<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Diagnosis;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use VividPull\Core\Cable\ReadingPoint;
use VividPull\Core\Diagnosis\Causes;
use VividPull\Core\Diagnosis\Check;
use VividPull\Core\Diagnosis\Diagnosis;
use VividPull\Core\Diagnosis\Evidence;
use VividPull\Core\Diagnosis\StoryEvidence;
use VividPull\Core\Diagnosis\Weights;
use VividPull\Core\Family\Families;
use VividPull\Core\Spec\EngineHeat;
use VividPull\Core\Spec\FamilyKey;
use VividPull\Core\Spec\SpecBand;
use VividPull\Core\Wear\JobRecord;
use VividPull\Core\Wear\Play;
use VividPull\Core\Wear\WearStory;

/** A wear story speaks for causes by itself, and nobody is asked for it. */
final class StoryEvidenceTest extends TestCase
{
    private const STEADY = [[2000, null, 15.3], [3100, 11.3, 15.3], [4200, 11.4, 15.2], [5250, 11.4, 15.3]];

    /**
     * @return iterable<string, array{list<array{int, float|null, float}>, string|null}> use, found, left; what it says
     */
    public static function stories(): iterable
    {
        yield 'plates wear' => [self::STEADY, 'shrinks'];
        yield 'a cable grows' => [
            [[2000, null, 12.0], [3000, 15.1, 12.0], [4000, 15.0, 12.0], [5000, 15.2, 12.0]],
            'grows',
        ];
        yield 'no steady wear' => [[[2000, null, 15.0], [3000, 15.3, 15.0], [4000, 14.8, 15.0]], Check::RIGHT];
        yield 'a jump' => [[...self::STEADY, [6400, 25.3, 15.4]], 'jumped'];
        yield 'too short to say' => [array_slice(self::STEADY, 0, 2), null];
    }

    /** @param  list<array{int, float|null, float}>  $looks */
    #[DataProvider('stories')]
    public function test_it_says_which_way_play_goes(array $looks, ?string $says): void
    {
        $check = Causes::of(FamilyKey::ClutchLever)->checks['story'];

        self::assertSame($says, StoryEvidence::into(Evidence::none(), $check, self::story($looks))->answer('story'));
        self::assertNull(StoryEvidence::into(Evidence::none(), null, self::story($looks))->answer('story'));
    }

    public function test_plates_that_wear_are_thought_of_sooner_and_the_reason_is_said(): void
    {
        $knowledge = Causes::of(FamilyKey::ClutchLever);
        $evidence = Evidence::none()->answered('slips', Evidence::YES)->answered('play', Check::RIGHT);
        $diagnosis = Diagnosis::of(
            $knowledge,
            Weights::ofTheTrade(),
            StoryEvidence::into($evidence, $knowledge->checks['story'], self::story(self::STEADY)),
        );

        self::assertSame('worn_plates', $diagnosis->causes[0]->cause->key);
        self::assertContains(
            'Its wear story: its play shrinks from job to job: a pack that wears takes the play away from job to job.',
            $diagnosis->causes[0]->for,
        );
    }

    public function test_nobody_is_asked_for_it(): void
    {
        foreach (FamilyKey::cases() as $family) {
            $knowledge = Causes::of($family);
            foreach ($knowledge->symptoms as $symptom) {
                self::assertNotSame(
                    'story',
                    Diagnosis::of(
                        $knowledge,
                        Weights::ofTheTrade(),
                        Evidence::none()->answered($symptom->value, Evidence::YES),
                    )->next->key,
                );
            }
        }
    }

    /** @param  list<array{int, float|null, float}>  $looks */
    private static function story(array $looks): WearStory
    {
        $records = array_map(
            static fn (array $look): JobRecord => new JobRecord(
                (float) $look[0],
                '2026-01-01',
                ReadingPoint::LeverTip,
                EngineHeat::Cold,
                $look[1] === null ? null : new Play($look[1], 0.25),
                new Play($look[2], 0.25),
            ),
            $looks,
        );

        return WearStory::of($records, SpecBand::between(10, 20), Families::of(FamilyKey::ClutchLever), 3.5);
    }
}
