<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Practice;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use VividPull\Core\Cable\Pose;
use VividPull\Core\Cable\ReadingPoint;
use VividPull\Core\Errors\BadFile;
use VividPull\Core\Errors\Refused;
use VividPull\Core\Input\Node;
use VividPull\Core\Log\Person;
use VividPull\Core\Log\Role;
use VividPull\Core\Practice\Control\Act;
use VividPull\Core\Practice\Control\Fault;
use VividPull\Core\Practice\Control\Seat;
use VividPull\Core\Practice\Lesson\ActCodec;
use VividPull\Core\Practice\Lesson\Attempt;
use VividPull\Core\Practice\Lesson\AttemptSteps;
use VividPull\Core\Practice\Lesson\LessonBook;
use VividPull\Core\Practice\Lesson\MachineView;
use VividPull\Core\Procedure\Cure;
use VividPull\Core\Procedure\MeasureKey;
use VividPull\Core\Quantity\Steps;

/** The ends of a cable are hooked by hand. Common practice, no source. */
final class CableEndsTest extends TestCase
{
    private const AT = '2026-01-01T08:00:00+00:00';

    private static function attempt(string $lesson): Attempt
    {
        return new Attempt(
            LessonBook::find($lesson) ?? self::fail($lesson),
            new Person('p', 'P', Role::Technician),
            'opened',
            self::AT,
        );
    }

    public function test_every_lesson_says_where_its_ends_are(): void
    {
        foreach (LessonBook::all() as $lesson) {
            $ends = $lesson->control()->ends();
            $hasWire = ! in_array($lesson->spec->family->value, ['automatic_clutch', 'hydraulic_clutch'], true);
            self::assertSame($hasWire, $ends->labels() !== [], $lesson->tale->key);
            self::assertNull($ends->off(), $lesson->tale->key);
            self::assertSame(
                in_array(Fault::OffSeat, $lesson->found->faults, true),
                $ends->beside() !== null,
                $lesson->tale->key,
            );
        }
    }

    public function test_a_row_of_holes_or_a_clamp_is_its_other_end(): void
    {
        self::assertSame(
            ['cable/hand' => 'At the auger handle'],
            self::attempt('hook_slow')->control()->ends()->labels(),
        );
        self::assertSame(['cable/hand'], array_keys(self::attempt('engage_loose')->control()->ends()->labels()));
        self::assertSame(
            ['cable/hand' => 'At the clutch lever', 'cable/working' => 'At the release arm'],
            self::attempt('lever_loose')->control()->ends()->labels(),
        );
        self::assertCount(4, self::attempt('grip_pair')->control()->ends()->labels());
    }

    /** @return iterable<string, array{float, Seat}> */
    public static function pushes(): iterable
    {
        yield 'taken off' => [0.0, Seat::Off];
        yield 'not in yet' => [0.29, Seat::Off];
        yield 'caught' => [0.3, Seat::Edge];
        yield 'nearly' => [0.91, Seat::Edge];
        yield 'home' => [0.92, Seat::Home];
        yield 'to the stop' => [1.0, Seat::Home];
    }

    #[DataProvider('pushes')]
    public function test_it_sits_as_far_as_it_is_pushed(float $in, Seat $sits): void
    {
        $attempt = self::attempt('lever_loose');
        self::assertSame($sits->value, $attempt->act(Act::hook('cable/hand', $in), self::AT)->word);
        self::assertSame($sits, $attempt->control()->ends()->seat('cable/hand'));
        self::assertSame($sits === Seat::Edge, $attempt->control()->has(Fault::OffSeat));
        self::assertSame(
            $sits === Seat::Home ? 1.0 : $in,
            $attempt->control()->ends()->in('cable/hand'),
            'home is all the way',
        );
    }

    public function test_off_its_hook_nothing_answers_and_it_is_not_fit(): void
    {
        $attempt = self::attempt('lever_right');
        self::assertTrue($attempt->control()->isRight());
        $attempt->act(Act::hook('cable/working', 0.0), self::AT);
        self::assertFalse($attempt->control()->isRight());
        self::assertTrue($attempt->control()->isUnsafe());
        self::assertSame(Cure::Ferrule, $attempt->control()->wants());
        foreach ([Act::hold(ReadingPoint::LeverTip, Pose::Straight), Act::snap(), Act::try('no_slip', null)] as $act) {
            try {
                $attempt->act($act, self::AT);
                self::fail($act->kind->value);
            } catch (Refused $refused) {
                self::assertSame(
                    'At the release arm the cable is off, and nothing answers. Hook it first.',
                    $refused->getMessage(),
                );
            }
        }
        $attempt->act(Act::turn('barrel', Steps::exactly(1.0)), self::AT);
        $attempt->act(Act::turn('barrel', Steps::exactly(-1.0)), self::AT);
        $attempt->act(Act::hook('cable/working', 0.97), self::AT);
        $attempt->act(Act::snap(), self::AT);
        self::assertTrue($attempt->control()->isRight());
    }

    public function test_what_needs_no_cable_is_measured_with_it_off(): void
    {
        $attempt = self::attempt('pedal_governor');
        $attempt->act(Act::hook('cable/hand', 0.0), self::AT);
        self::assertNotNull($attempt->act(Act::measure(MeasureKey::Tyre), self::AT)->amount);
        $this->expectException(Refused::class);
        $attempt->act(Act::measure(MeasureKey::GroundSpeed), self::AT);
    }

    public function test_an_end_on_the_edge_takes_play_away(): void
    {
        $control = self::attempt('lever_right')->control();
        $whole = $control->play(ReadingPoint::LeverTip);
        $control->hook('cable/hand', 0.6);
        $one = $control->play(ReadingPoint::LeverTip);
        $control->hook('cable/working', 0.6);
        $two = $control->play(ReadingPoint::LeverTip);
        self::assertLessThan($whole, $one);
        self::assertEqualsWithDelta($whole - $one, $one - $two, 1e-9, 'each as much');
        $control->cure(Cure::Ferrule);
        self::assertSame($whole, $control->play(ReadingPoint::LeverTip));
        self::assertFalse($control->has(Fault::OffSeat));
    }

    public function test_of_a_pair_each_cable_has_its_own(): void
    {
        $control = self::attempt('grip_pair')->control();
        [$pull, $push] = array_map(
            static fn ($one): string => $one->id,
            self::attempt('grip_pair')->lesson->run->cables,
        );
        $before = $control->play(ReadingPoint::GripFlange);
        $control->hook("{$push}/hand", 0.6);
        self::assertSame($before, $control->play(ReadingPoint::GripFlange));
        $control->hook("{$pull}/hand", 0.6);
        self::assertLessThan($before, $control->play(ReadingPoint::GripFlange));
    }

    public function test_what_it_plays_as_found_is_what_it_plays_beside_its_seat(): void
    {
        $control = self::attempt('trigger_end')->control();
        self::assertEqualsWithDelta(1.4, $control->play(ReadingPoint::HandleTravel), 1e-9);
        $control->hook('cable/hand', 1.0);
        self::assertGreaterThan(1.4, $control->play(ReadingPoint::HandleTravel));
        self::assertTrue($control->isRight(), 'seated, it is within its band');
    }

    public function test_the_screen_shows_them_until_they_are_written(): void
    {
        $attempt = self::attempt('trigger_end');
        $view = static fn (): array => MachineView::of($attempt);
        self::assertSame([0.7, 1.0], array_column(is_array($view()['ends']) ? $view()['ends'] : [], 'in'));
        self::assertNotContains(
            'ferrule',
            array_column(is_array($view()['cures']) ? $view()['cures'] : [], 'key'),
            'by hand, and by no button',
        );
        $attempt->act(Act::hook('cable/hand', 0.8), self::AT);
        self::assertFalse($view()['hooked'], 'let go too early');
        $attempt->act(Act::hook('cable/hand', 1.0), self::AT);
        self::assertTrue($view()['hooked']);
        $said = array_column(AttemptSteps::of($attempt), 'say');
        self::assertSame(
            [
                'At the throttle trigger: hooked, and let go on the edge of its seat',
                'At the throttle trigger: hooked, home in its seat',
            ],
            $said,
        );
        $attempt->act(Act::hook('cable/hand', 0.0), self::AT);
        self::assertFalse($view()['hooked']);
        self::assertStringContainsString(
            'at the throttle trigger the cable is off',
            AttemptSteps::of($attempt)[2]['truth'],
        );
    }

    public function test_on_the_wire_it_says_how_far(): void
    {
        $act = ActCodec::decode(Node::of(['act' => 'hook', 'of' => 'cable/hand', 'in' => 0.4]));
        self::assertSame(['act' => 'hook', 'of' => 'cable/hand', 'in' => 0.4], ActCodec::encode($act));
        foreach ([
            ['act' => 'hook', 'of' => 'cable/hand'],
            ['act' => 'hook', 'in' => 1],
            ['act' => 'hook', 'of' => 'cable/hand', 'in' => 1.1],
            ['act' => 'hook', 'of' => 'cable/hand', 'in' => 'home'],
        ] as $bad) {
            try {
                ActCodec::decode(Node::of($bad));
                self::fail((string) json_encode($bad));
            } catch (BadFile $file) {
                self::assertNotSame('', $file->getMessage());
            }
        }
        $this->expectExceptionMessage('There is nothing of that on this machine.');
        self::attempt('hydraulic_right')->act(Act::hook('cable/hand', 1.0), self::AT);
    }
}
