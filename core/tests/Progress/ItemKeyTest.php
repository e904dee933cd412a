<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Progress;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use VividPull\Core\Family\Families;
use VividPull\Core\Progress\ItemKey;
use VividPull\Core\Progress\ItemTopic;
use VividPull\Core\Spec\FamilyKey;
use VividPull\Core\Tests\Support\FamilyJob;

final class ItemKeyTest extends TestCase
{
    /** @return iterable<string, array{string, ItemTopic, string|null}> */
    public static function keys(): iterable
    {
        yield 'a line to confirm' => ['engine_off', ItemTopic::Step, 'engine_off'];
        yield 'the band' => ['in_band', ItemTopic::InBand, null];
        yield 'the band of a second cable' => ['in_band:second', ItemTopic::InBand, null];
        yield 'a reading of a second cable' => ['reading:left:second', ItemTopic::Reading, 'left'];
        yield 'a pose' => ['pose:left', ItemTopic::Pose, 'left'];
        yield 'a thread' => ['thread:perch', ItemTopic::Thread, 'perch'];
        yield 'a lock' => ['lock:perch', ItemTopic::Lock, 'perch'];
        yield 'a step of a guide' => ['guide:spline:back', ItemTopic::Guide, 'spline:back'];
        yield 'a proof in a pose' => ['check:snap_shut/left', ItemTopic::Check, 'snap_shut/left'];
        yield 'a proof as found' => ['found:brake_off', ItemTopic::Found, 'brake_off'];
        yield 'a setting as found' => ['found:outcome:r1', ItemTopic::Outcome, 'r1'];
        yield 'a setting tried again' => ['try:r1', ItemTopic::Outcome, 'r1'];
        yield 'a setting proved' => ['outcome:f1', ItemTopic::Outcome, 'f1'];
        yield 'a measure as found' => ['found:measure:full_drive', ItemTopic::Measure, 'full_drive'];
        yield 'a measure' => ['measure:blade_stop', ItemTopic::Measure, 'blade_stop'];
        yield 'a step of replacing' => ['replace:hook_on', ItemTopic::Replace, 'hook_on'];
        yield 'a fault' => ['fault:wire', ItemTopic::Fault, 'wire'];
        yield 'the signature' => ['sign_off', ItemTopic::SignOff, null];
    }

    #[DataProvider('keys')]
    public function test_it_is_taken_apart(string $key, ItemTopic $topic, ?string $of): void
    {
        self::assertEquals([$topic, $of], [ItemKey::of($key)->topic, ItemKey::of($key)->of]);
    }

    /** @return iterable<string, array{FamilyKey}> */
    public static function families(): iterable
    {
        foreach (FamilyKey::cases() as $key) {
            yield $key->value => [$key];
        }
    }

    #[DataProvider('families')]
    public function test_whatever_a_family_asks_has_its_topic(FamilyKey $family): void
    {
        $items = array_merge(...array_values(FamilyJob::of($family)->state->progress->items));
        self::assertNotSame([], $items);
        foreach ($items as $item) {
            self::assertSame(
                str_contains($item->key, ':'),
                str_contains($item->key, ':') && $item->topic() !== ItemTopic::Step,
                $item->key,
            );
        }
    }

    /**
     * A part that is called like a topic would be taken for it: an arm that is looked over is no question of which way
     * an arm went.
     */
    public function test_no_line_or_part_of_any_family_is_called_like_a_topic(): void
    {
        foreach (FamilyKey::cases() as $key) {
            $family = Families::of($key);
            foreach ([
                ...$family->makeSafe(),
                ...$family->lookOver(),
                ...$family->refit(),
                ...$family->closing(),
            ] as $step) {
                self::assertSame(ItemTopic::Step, ItemKey::of($step->key)->topic, "{$key->value}: {$step->key}");
            }
        }
    }
}
