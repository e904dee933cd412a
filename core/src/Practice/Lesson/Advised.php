<?php

declare(strict_types=1);

namespace VividPull\Core\Practice\Lesson;

use VividPull\Core\Bench\BenchState;
use VividPull\Core\Planning\TablePlanner;
use VividPull\Core\Quantity\Steps;

/** What the bench would turn, as a job stands: which adjuster, which way and how far. */
final readonly class Advised
{
    /** @param  Steps|null  $steps  null where it says which, and not how far */
    private function __construct(public string $adjuster, public ?Steps $steps) {}

    /** @return list<self> of each cable that is set, of the governor and of the table */
    public static function in(BenchState $job): array
    {
        $all = [];
        foreach ([$job, $job->second] as $cable) {
            $next = $cable?->next();
            if ($next?->recommended !== null && isset($next->options[$next->recommended])) {
                $all[] = new self($next->recommended, $next->options[$next->recommended]->steps);
            }
        }
        $governor = $job->governor();
        if ($governor?->adjuster !== null) {
            $all[] = new self($governor->adjuster, $governor->steps);
        }
        if ($job->judgement->table !== null) {
            $advice = TablePlanner::advise($job->spec, $job->judgement->table, $job->run, $job->facts);
            if ($advice->adjuster !== null) {
                $all[] = new self($advice->adjuster, $advice->steps);
            }
        }

        return $all;
    }

    /** Whether turning it so goes the way that is advised here. */
    public function is(string $adjuster, Steps $steps): bool
    {
        return $this->adjuster === $adjuster && ($this->steps === null || $this->steps->count * $steps->count > 0);
    }
}
