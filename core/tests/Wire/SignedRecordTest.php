<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Wire;

use PHPUnit\Framework\TestCase;
use VividPull\Core\Cable\Part;
use VividPull\Core\Cable\ReadingPoint;
use VividPull\Core\Measurement\VerdictKind;
use VividPull\Core\Procedure\Cure;
use VividPull\Core\Spec\EngineHeat;
use VividPull\Core\Tests\Support\TestJob;
use VividPull\Core\Wire\ClosingRecord;
use VividPull\Core\Wire\SignedRecord;

/** What was signed is read back as it was, also from records that say less. */
final class SignedRecordTest extends TestCase
{
    public function test_what_is_signed_is_read_back(): void
    {
        $job = TestJob::clutch()->ready()->read(25.5, 25, 25.5);
        $job->entry('part', ['part' => 'cable', 'remark' => 'C-12'])->entry('put_right', ['cure' => 'oiled']);
        $job->line('+2t')->read(15, 15.5, 15);
        // Through JSON, as it lies in the log.
        $record = SignedRecord::of(json_decode((string) json_encode(ClosingRecord::of($job->state)), true));
        self::assertSame(
            [ReadingPoint::LeverTip, $job->state->spec->say(), $job->state->spec->source->say()],
            [$record->point(), $record->spec(), $record->source()],
        );
        [$found, $left] = [$record->found(), $record->left()];
        self::assertNotNull($found);
        self::assertNotNull($left);
        self::assertEqualsWithDelta($job->state->judgement->foundGroup?->found->mean, $found->mm, 1e-9);
        self::assertSame([VerdictKind::TooLoose, VerdictKind::Inside], [$found->verdict, $left->verdict]);
        self::assertSame(EngineHeat::Cold, $left->engine);
        self::assertEqualsWithDelta($job->state->judgement->nowGroup?->found->expanded(), $left->expandedMm, 1e-9);
        self::assertTrue($record->hasFitted(Part::Cable));
        self::assertFalse($record->hasFitted(Part::Plates));
        self::assertTrue($record->hasPutRight(Cure::Oiled));
        self::assertSame(
            ['perch', 'bracket'],
            array_column($record->stands(), 'adjuster'),
            'each adjuster of the play stands in it',
        );
        self::assertSame([null, null, []], [$record->byChoice(), $record->tag(), $record->leftFaults()]);
    }

    public function test_an_older_record_says_less_and_nothing_is_made_up(): void
    {
        $record = SignedRecord::of([
            'engine' => '0.9',
            'found' => null,
            'left' => ['mm' => 15, 'expanded_mm' => 1, 'verdict' => 'inside'],
            'refused_parts' => ['C-7'],
        ]);
        self::assertSame(
            [null, null, [], []],
            [$record->point(), $record->found(), $record->parts(), $record->stands()],
        );
        $left = $record->left();
        self::assertSame([0.5, INF, null], [$left?->standardMm, $left?->freedom, $left?->engine]);
        self::assertSame([['part' => Part::Cable, 'number' => 'C-7', 'fits' => false]], $record->numbers());
        self::assertNull($record->givenBeforeMm(), 'nobody wrote down what was given: that is not none');
    }
}
