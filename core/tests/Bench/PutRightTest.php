<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Bench;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use VividPull\Core\Family\Families;
use VividPull\Core\Measurement\VerdictKind;
use VividPull\Core\Procedure\Cure;
use VividPull\Core\Spec\FamilyKey;
use VividPull\Core\Tests\Support\TestJob;

/**
 * Something changed on the bench that is no adjuster: nothing read before stands for it, and nobody is told that they
 * moved.
 */
final class PutRightTest extends TestCase
{
    /** @return iterable<string, array{Cure}> */
    public static function cures(): iterable
    {
        foreach (Families::of(FamilyKey::ClutchLever)->cures() as $cure) {
            yield $cure->value => [$cure];
        }
    }

    #[DataProvider('cures')]
    public function test_what_was_read_before_no_longer_stands(Cure $cure): void
    {
        $job = TestJob::clutch()->ready()->read(26.0, 26.0, 26.0);
        $job->entry('put_right', ['cure' => $cure->value]);
        self::assertSame(
            [VerdictKind::Unread, 'Changed: pull it fully three times and read it'],
            [$job->state->judgement->now->kind, $job->state->judgement->now->sentence],
        );
        self::assertSame('Changed: pull it fully three times and read it.', $job->state->next()->sentence);
        self::assertSame(26.0, $job->state->judgement->foundGroup?->found->mean, 'as found is what was found');

        $job->read(15.0, 15.0, 15.0);
        self::assertSame(VerdictKind::Inside, $job->state->judgement->now->kind);
        self::assertSame(15.0, $job->state->judgement->nowGroup?->found->mean, 'the three before are not among them');
    }

    public function test_a_turn_after_it_is_a_move_again(): void
    {
        $job = TestJob::clutch()
            ->ready()
            ->read(26.0, 26.0, 26.0)
            ->entry('put_right', ['cure' => Cure::Ferrule->value])
            ->line('+1t', 'in_band');
        self::assertSame('Moved: pull it fully three times and read it', $job->state->judgement->now->sentence);
        $job->entry('put_right', ['cure' => Cure::Oiled->value]);
        self::assertSame('Changed: pull it fully three times and read it', $job->state->judgement->now->sentence);
    }

    public function test_a_new_cable_is_no_move_either(): void
    {
        $job = TestJob::clutch()->ready()->read(26.0, 26.0, 26.0)->entry('part', ['part' => 'cable']);
        self::assertSame('Changed: pull it fully three times and read it', $job->state->judgement->now->sentence);
    }
}
