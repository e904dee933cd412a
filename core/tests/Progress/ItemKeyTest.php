<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Progress;

use PHPUnit\Framework\TestCase;
use VividPull\Core\Family\Families;
use VividPull\Core\Progress\ItemKey;
use VividPull\Core\Progress\ItemTopic;
use VividPull\Core\Spec\FamilyKey;

final class ItemKeyTest extends TestCase
{
    /** A part that is called like a topic would be taken for it: an arm that is looked over is no question of which way an arm went. */
    public function test_no_line_or_part_of_any_family_is_called_like_a_topic(): void
    {
        foreach (FamilyKey::cases() as $key) {
            $family = Families::of($key);
            foreach ([...$family->makeSafe(), ...$family->lookOver(), ...$family->refit(), ...$family->closing()] as $step) {
                self::assertSame(ItemTopic::Step, ItemKey::of($step->key)->topic, "{$key->value}: {$step->key}");
            }
        }
    }
}
