<?php

declare(strict_types=1);

namespace VividPull\Core\Practice\Lesson;

use VividPull\Core\Bench\Bench;
use VividPull\Core\Bench\BenchState;
use VividPull\Core\Cable\ReadingPoint;
use VividPull\Core\Cable\Run;
use VividPull\Core\Input\Node;
use VividPull\Core\Log\EntryKind;
use VividPull\Core\Log\Log;
use VividPull\Core\Log\Stamp;
use VividPull\Core\Practice\Control\AsFound;
use VividPull\Core\Practice\Control\Mechanics;
use VividPull\Core\Practice\Control\TrueControl;
use VividPull\Core\Practice\SeededChance;
use VividPull\Core\Spec\Spec;
use VividPull\Core\Wire\EntryCodec;
use VividPull\Core\Wire\RunCodec;

/** A machine to learn on: what its book says, how it truly is, and what the learner is told. */
final readonly class Lesson
{
    public Run $run;

    /**
     * @param  array<mixed>  $wire  the run as it goes over the wire
     * @param  non-empty-list<array{
     *     id: string, name: string, kind: string, resolution_mm: float, reach_mm: float,
     * }>  $instruments  what lies on the shelf; the first is at hand
     */
    public function __construct(
        public LessonTale $tale,
        public Spec $spec,
        public array $wire,
        public AsFound $found,
        public Mechanics $mechanics,
        public array $instruments,
        /** Whether the job knows where its adjusters stand. */
        public bool $isTold,
        /** The same seed is the same machine and the same hand. */
        public int $seed,
    ) {
        $this->run = RunCodec::decode(Node::of($wire));
    }

    /** The machine anew, as it came in. */
    public function control(): TrueControl
    {
        return new TrueControl($this->spec, $this->run, $this->found, $this->mechanics, new SeededChance($this->seed));
    }

    /** @return list<ReadingPoint> where an instrument is held */
    public function points(): array
    {
        return array_values(array_filter([$this->spec->aim->point ?? null, $this->spec->second?->point]));
    }

    /** The job that the learner works, opened. */
    public function opened(Stamp $stamp): BenchState
    {
        $body = ['control' => 'practice', 'standing' => [
            ...($this->isTold && $this->found->at !== [] ? ['positions_steps' => $this->found->at] : []),
            'shelf' => $this->instruments,
        ]];

        return Bench::replay(
            $this->spec,
            $this->run,
            Log::of((new EntryCodec($this->run))->entry(EntryKind::Opened, Node::of($body), $stamp)),
        );
    }
}
