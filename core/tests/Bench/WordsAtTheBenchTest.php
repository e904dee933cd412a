<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Bench;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use VividPull\Core\Cable\AdjusterKind;
use VividPull\Core\Cable\ReadingPoint;
use VividPull\Core\Log\ClosingOutcome;
use VividPull\Core\Procedure\Guide;
use VividPull\Core\Spec\FamilyKey;
use VividPull\Core\Tests\Support\TestJob;

/** What is asked is said as it is done on this very control. */
final class WordsAtTheBenchTest extends TestCase
{
    /** @return iterable<string, array{FamilyKey, string}> */
    public static function moved(): iterable
    {
        yield 'a pedal' => [FamilyKey::PedalThrottle, 'pedal'];
        yield 'a brake lever' => [FamilyKey::BrakePull, 'lever'];
        yield 'a drive handle' => [FamilyKey::EngageByPull, 'handle'];
    }

    #[DataProvider('moved')]
    public function test_play_is_read_beside_what_is_moved_there(FamilyKey $family, string $word): void
    {
        $job = TestJob::of(
            [
                'family' => $family->value,
                'aim' => ['kind' => 'free_play_band', 'point' => 'handle_travel', 'low_mm' => 5, 'high_mm' => 15],
            ],
            TestJob::clutchRun(),
        );
        $item = $job->state->progress->item('reading:found');
        self::assertSame("Reading at the {$word}, as found", $item?->label);
        self::assertSame(ReadingPoint::HandleTravel->howToRead($word), $item->detail);
        self::assertStringContainsString("at the {$word}", $job->state->spec->say());
    }

    public function test_a_rung_clamp_is_tightened_and_not_hard(): void
    {
        self::assertSame(
            ['Tighten', 'Tight'],
            [AdjusterKind::RungClamp->fastening(), AdjusterKind::RungClamp->fastened()],
        );
        self::assertStringContainsString('plastic', AdjusterKind::RungClamp->fasteningCaution());
        self::assertStringContainsString('bolt head', AdjusterKind::SlottedBracket->fasteningCaution());
        self::assertStringContainsString('locking turns the adjuster', AdjusterKind::Barrel->fasteningCaution());
    }

    public function test_inside_with_one_reading_asks_for_readings_and_not_to_bring_it_inside(): void
    {
        $closing = [
            'id' => 'closing',
            'name' => 'Closing cable',
            'pulls' => 'closing',
            'adjusters' => [[
                'id' => 'return',
                'name' => 'return adjuster',
                'kind' => 'bracket_nuts',
                'thread' => 'M6',
                'travel_mm' => 12,
            ]],
        ];
        $job = TestJob::throttle(
            ['backward' => ['low_mm' => 1, 'high_mm' => 6]],
            ['positions_steps' => ['grip' => 2.0, 'carburettor' => 3.0, 'return' => 4.0]] + TestJob::standing(),
            [$closing],
        )
            ->toReading()
            ->line('ground', 'condition');
        $job->line('4', 'reading:found');
        self::assertSame('Inside: read it three times', $job->state->progress->item('in_band')?->label);
        $job->line('9', 'reading:found')->line('9', 'reading:found');
        self::assertSame('Bring it inside the band', $job->state->progress->item('in_band')->label);
    }

    public function test_a_splined_arms_last_step_waits_for_the_cable_and_not_the_cable_for_it(): void
    {
        $run = [
            'hand' => ['kind' => 'lever', 'name' => 'Clutch lever'],
            'working_end' => 'release arm',
            'cables' => [[
                'id' => 'clutch',
                'name' => 'Clutch cable',
                'adjusters' => [
                    [
                        'id' => 'perch',
                        'name' => 'perch barrel',
                        'kind' => 'barrel',
                        'thread' => 'M8 x 1.25',
                        'travel_mm' => 11,
                    ],
                    ['id' => 'arm', 'name' => 'arm on its spline', 'kind' => 'spline_arm'],
                ],
            ]],
        ];
        $job = TestJob::of(TestJob::clutchSpec(), $run, ['perch' => 2.0]);
        foreach (Guide::of(AdjusterKind::SplineArm) as $step) {
            if ($step->isAfterCable) {
                break;
            }
            $job->entry(
                'step',
                ['adjuster' => 'arm', 'key' => $step->key] + ($step->asks === null ? [] : ['remark' => '0']),
            );
        }
        // Takes slack away: refused while the arm is being set, and not for the spring that comes last.
        $job->entry('move', ['adjuster' => 'perch', 'turns' => 1]);
        self::assertNull($job->state->facts->guideUnderWay($job->state->run));
        self::assertFalse($job->state->progress->item('guide:arm:wind')?->done);
        $keys = array_map(static fn ($one): string => $one->key, $job->state->progress->items['set']);
        self::assertGreaterThan(
            array_search('in_band', $keys, true),
            array_search('guide:arm:wind', $keys, true),
            'asked once the cable is set',
        );
        $job->entry('step', ['adjuster' => 'arm', 'key' => 'wind']);
        self::assertTrue($job->state->progress->item('guide:arm:wind')->done);
    }

    public function test_the_books_own_back_off_stands_at_its_step(): void
    {
        $run = [
            'hand' => ['kind' => 'lever', 'name' => 'Clutch lever'],
            'working_end' => 'release arm',
            'cables' => [[
                'id' => 'clutch',
                'name' => 'Clutch cable',
                'adjusters' => [[
                    'id' => 'rod',
                    'name' => 'push rod',
                    'kind' => 'push_rod_a',
                    'access' => ['minutes' => 5, 'cover' => 'clutch cover'],
                ]],
            ]],
        ];
        $job = TestJob::of(
            ['book' => ['back_off' => '3/4 turn']] + TestJob::clutchSpec(),
            $run,
        )->entry('cover', ['adjuster' => 'rod', 'off' => true]);
        self::assertSame(
            'Back it out 3/4 turn, as the book has it',
            $job->state->progress->item('guide:rod:back')?->label,
        );
        $silent = TestJob::of(TestJob::clutchSpec(), $run)->entry('cover', ['adjuster' => 'rod', 'off' => true]);
        self::assertSame(
            'Back it out: by the book, else 1/2 to 1 turn',
            $silent->state->progress->item('guide:rod:back')?->label,
        );
    }

    public function test_a_burnt_steel_or_a_ridged_basket_keeps_a_clutch_from_being_fit(): void
    {
        $pack = ['others' => [[
            'kind' => 'pack', 'friction_plates' => 2, 'steel_plates' => 1, 'springs' => 1, 'friction_min_mm' => 2.85,
            'spring_min_mm' => 35, 'bolts' => 5, 'bolt_nm' => 9.5,
        ]]];
        $job = TestJob::clutch($pack)->entry(
            'inspected',
            ['key' => 'pack_basket', 'finding' => 'fault', 'remark' => 'ridges'],
        );
        self::assertStringContainsString(
            'Basket fingers: a fault.',
            implode(' ', $job->state->progress->blocks(ClosingOutcome::Fit)),
        );
        $item = $job->state->progress->item('fault:pack_basket') ?? self::fail('it leads nowhere');
        self::assertSame('mended', $item->answers[0]->word);
        $job->line('mended filed even', 'fault:pack_basket');
        self::assertStringNotContainsString('Basket', implode(' ', $job->state->progress->blocks(ClosingOutcome::Fit)));
        self::assertStringContainsString(
            'not something to look over',
            TestJob::clutch()->refusal(static fn (TestJob $one): TestJob => $one->entry(
                'inspected',
                ['key' => 'pack_basket', 'finding' => 'fault'],
            )),
            'no pack on file',
        );
    }

    public function test_a_word_that_is_no_answer_is_told_the_answers_and_not_how_a_length_is_written(): void
    {
        $job = TestJob::clutch();
        $refusal = $job->refusal(static fn (TestJob $one) => $one->line('perhaps'));
        self::assertStringContainsString('means nothing here', $refusal);
        self::assertStringNotContainsString('nickel', $refusal);
    }
}
