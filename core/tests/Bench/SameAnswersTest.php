<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Bench;

use PHPUnit\Framework\TestCase;
use VividPull\Core\Bench\Bench;
use VividPull\Core\Tests\Support\Answers;

/**
 * One engine gives one answer to one log: where an answer changes, the number on every record that is signed from then
 * on does too.
 */
final class SameAnswersTest extends TestCase
{
    public function test_an_engine_that_answers_otherwise_has_another_number(): void
    {
        $written = Answers::written();
        self::assertSame(Bench::ENGINE, $written['engine'], 'The engine has a new number: run bin/answers.');
        self::assertSame(
            $written['answers'],
            Answers::now()['answers'],
            'Some jobs are answered otherwise. Where that is meant, raise Bench::ENGINE and run bin/answers.',
        );
    }
}
