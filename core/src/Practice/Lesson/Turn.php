<?php

declare(strict_types=1);

namespace VividPull\Core\Practice\Lesson;

use VividPull\Core\Log\Entry\Moved;
use VividPull\Core\Practice\Control\Act;
use VividPull\Core\Practice\Control\ActKind;
use VividPull\Core\Quantity\Steps;

/** One move: turns of one adjuster that follow each other with nothing read or tried between them. */
final readonly class Turn
{
    /**
     * @param  array<string, float>  $before  how far what is set stood from where it may stand
     * @param  array<string, float>  $after
     */
    private function __construct(
        public int $deed,
        public Moment $moment,
        public string $adjuster,
        public Steps $steps,
        public array $before,
        public array $after,
    ) {}

    /** @return list<self> */
    public static function allOf(Attempt $attempt): array
    {
        $all = [];
        $isOpen = false;
        foreach ($attempt->moments() as $place => $moment) {
            $deed = $moment->deed;
            if ($deed instanceof Act && $deed->kind === ActKind::Turn && $deed->steps !== null) {
                $last = $isOpen ? array_pop($all) : null;
                if ($last !== null && $last->adjuster !== $deed->about) {
                    $all[] = $last;
                    $last = null;
                }
                $all[] = new self(
                    $last->deed ?? $place,
                    $last->moment ?? $moment,
                    $deed->about,
                    $deed->steps->plus($last->steps ?? Steps::none()),
                    $last->before ?? $moment->before->errors(),
                    $moment->after->errors(),
                );
                $isOpen = true;
            }
            $isOpen = $isOpen && ($deed instanceof Moved || ($deed instanceof Act && $deed->kind === ActKind::Turn));
        }

        return array_values(array_filter($all, static fn (self $one): bool => ! $one->steps->isNone()));
    }

    /** Whether it took what was outside further out. */
    public function isWrongWay(): bool
    {
        foreach ($this->before as $key => $before) {
            if (
                $before !== 0.0
                && $before * $this->after[$key] > 0.0
                && abs($this->after[$key]) > abs($before) + 1e-6
            ) {
                return true;
            }
        }

        return false;
    }

    /** Whether it went in at the one edge and out at the other. */
    public function isTooFar(): bool
    {
        foreach ($this->before as $key => $before) {
            if ($before * $this->after[$key] < 0.0) {
                return true;
            }
        }

        return false;
    }

    /** Whether the bench would have turned it so, from what stood in the job. */
    public function isAdvised(): bool
    {
        foreach (Advised::in($this->moment->job) as $advice) {
            if ($advice->is($this->adjuster, $this->steps)) {
                return true;
            }
        }

        return false;
    }
}
