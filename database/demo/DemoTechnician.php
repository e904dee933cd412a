<?php

declare(strict_types=1);

namespace Database\Demo;

use App\Bench\EntryRequest;
use App\Bench\JobHead;
use App\Bench\JobLog;
use App\Bench\Journal;
use App\Bench\Opening;
use App\Bench\Traces;
use App\Models\Control;
use App\Models\User;
use Carbon\CarbonImmutable;
use LogicException;
use VividPull\Core\Bench\BenchState;
use VividPull\Core\Cable\Adjuster;
use VividPull\Core\Cable\SteppedAdjuster;
use VividPull\Core\Input\Node;
use VividPull\Core\Planning\PlanKind;
use VividPull\Core\Practice\PulledLever;
use VividPull\Core\Practice\SeededChance;
use VividPull\Core\Progress\Answer;
use VividPull\Core\Progress\ItemKind;
use VividPull\Core\Progress\StageItem;
use VividPull\Core\Wire\TraceFile;

/** Works a job as a person would: does what the bench asks, through the same door as the screens. */
final class DemoTechnician
{
    private const MOST_ENTRIES = 90;

    private JobHead $job;

    private BenchState $state;

    private int $readings = 0;

    /** @param  array<string, string>  $answers  words for items not answered with the first, by item key */
    public function __construct(
        private readonly Control $control,
        private readonly HiddenRun $truth,
        private readonly User $user,
        private CarbonImmutable $clock,
        private readonly float $resolution,
        private readonly array $answers = [],
    ) {
        $this->open();
    }

    /**
     * Works until the stage asks for an item that begins with this key, or to the signature.
     *
     * @param  array<string, mixed>  $closing  the body of the closing entry
     */
    public function workUntil(string $key, array $closing = ['outcome' => 'fit']): void
    {
        for ($i = 0; $i < self::MOST_ENTRIES && $this->state->facts->closed === null; $i++) {
            $item = $this->asks();
            if ($item === null || str_starts_with($item->key, $key)) {
                return;
            }
            $item->kind === ItemKind::SignOff ? $this->body('closed', $closing) : $this->settle($item);
        }
        if ($this->state->facts->closed === null) {
            throw new LogicException("The demo job on {$this->control->machine->tag} did not come to an end.");
        }
    }

    /** @param  array<string, mixed>  $shown */
    public function line(string $line, array $shown = []): void
    {
        $this->write(['line' => $line, 'shown' => $shown + ['item' => $this->asks()?->key]]);
    }

    /** @param  array<string, mixed>  $body */
    public function body(string $kind, array $body): void
    {
        $this->write(['kind' => $kind, 'body' => $body]);
    }

    /** Pulls the lever over a force gauge and keeps the curve. */
    public function pull(float $efficiency): void
    {
        $id = DemoIds::next();
        $chance = new SeededChance((int) round(1000 * $efficiency));
        Traces::keep(
            $this->job,
            $this->user,
            $id,
            TraceFile::csv(PulledLever::usual(max(0.5, $this->truth->play), $efficiency)->pulled($chance, 1400)),
            $this->clock,
        );
        $how = Node::of([
            'point' => $this->state->spec->play()->point->value,
            'instrument' => 'caliper-1',
            'at_mm' => 120.0,
            'to_stop' => true,
        ]);
        $body = Traces::of($this->job, $this->state)->read($id, $how)['body'];
        $this->body('trace', is_array($body) ? $body : []);
    }

    /** Moves what the bench shows. */
    public function move(): void
    {
        $next = $this->state->next();
        $advice = $next->options[$next->recommended ?? '']
            ?? throw new LogicException("No move to make: {$next->sentence}");
        $adjuster = $this->state->run->adjuster($advice->adjuster);
        if ($adjuster === null || $advice->steps === null) {
            throw new LogicException('No adjuster to move.');
        }
        $cover = $adjuster->access()->cover;
        if ($cover !== null && ! isset($this->state->facts->adjusters->coversOff[$adjuster->id()])) {
            $this->body('cover', ['adjuster' => $adjuster->id(), 'off' => true]);
            if (($this->state->facts->adjusters->positions[$adjuster->id()] ?? null) === null) {
                $this->line($this->usualThread($adjuster), ['adjuster' => $adjuster->id()]);
            }

            return;
        }
        $this->truth->give($adjuster->slackGiven($advice->steps));
        $this->line('done', ['adjuster' => $adjuster->id(), 'steps' => $advice->steps->toFloat()]);
    }

    private function open(): void
    {
        CarbonImmutable::setTestNow($this->clock);
        $this->job = JobHead::find((new Opening)->open($this->control, $this->user, DemoIds::next(), $this->clock)->id);
        $this->state = JobLog::of($this->job)->replay();
    }

    /** The first thing missing, answers that failed and were meant to fail apart. */
    private function asks(): ?StageItem
    {
        foreach ($this->state->progress->items as $items) {
            foreach ($items as $item) {
                if (! $item->done && ! $item->failed) {
                    return $item;
                }
            }
        }

        return null;
    }

    private function settle(StageItem $item): void
    {
        match ($item->kind) {
            ItemKind::Reading => $this->offers($item, 'leave') ? $this->line('leave') : $this->read($item),
            ItemKind::Thread => $this->offers($item, 'ok')
                ? $this->line('ok')
                : $this->line(
                    $this->usualThread($this->state->run->adjuster($item->about ?? '')),
                    ['adjuster' => $item->about],
                ),
            ItemKind::InBand => $this->bringInside($item),
            ItemKind::Measure => $this->line(
                $this->answers[$item->key] ?? throw new LogicException("Nothing to measure for {$item->key}."),
            ),
            ItemKind::Compare,
            ItemKind::Photo => throw new LogicException("No demo job replaces a cable by itself: {$item->key}."),
            ItemKind::Answer,
            ItemKind::SignOff => $this->line(
                $this->answers[$item->key] ?? ($this->offers($item, 'right') ? 'right' : $this->firstRight($item)),
            ),
        };
    }

    /** Where an adjuster of the demo stood before anyone measured it: with room for the way this control wears. */
    private function usualThread(?Adjuster $adjuster): string
    {
        if ($adjuster instanceof SteppedAdjuster) {
            return 'thread '
                .(int) round(
                    $adjuster->travel()->from->toFloat()
                        + 0.2 * ($adjuster->travel()->to->toFloat() - $adjuster->travel()->from->toFloat()),
                );
        }
        $mm = $adjuster === null
            ? 2.4
            : ($this->control->key === 'throttle' ? 0.12 : 0.48) * $adjuster->showing($adjuster->travel()->to);

        return 'thread '.number_format($mm, 1, '.', '').' mm';
    }

    private function bringInside(StageItem $item): void
    {
        match ($this->state->next()->kind) {
            PlanKind::Read, PlanKind::Prove => $this->readOnce('straight', $item),
            PlanKind::Decide,
            PlanKind::Suspect => $this->offers($item, 'leave') && $this->readings >= 5
                ? $this->line('leave')
                : $this->readOnce('straight', $item),
            default => $this->move(),
        };
        $this->readings++;
    }

    private function offers(StageItem $item, string $word): bool
    {
        return array_filter($item->answers, static fn (Answer $answer): bool => $answer->word === $word) !== [];
    }

    private function read(StageItem $item): void
    {
        $pose = in_array($item->about, ['left', 'right'], true) ? $item->about : 'straight';
        foreach (range(1, $pose === 'straight' ? 3 : 2) as $ignored) {
            $this->readOnce($pose, $item);
        }
    }

    /** Three pulls go to the item they began with, though the first may have settled it. */
    private function readOnce(string $pose, StageItem $item): void
    {
        $instrument = $this->resolution < 0.5 ? 'caliper-1' : 'rule-300';
        $this->line(
            (string) $this->truth->read($this->resolution, $pose),
            ['pose' => $pose, 'instrument' => $instrument, 'item' => $item->key],
        );
    }

    private function firstRight(StageItem $item): string
    {
        foreach ($item->answers as $answer) {
            if ($answer->tone->value === 'right') {
                return $answer->word;
            }
        }
        throw new LogicException("Nothing right to answer to {$item->key}.");
    }

    /** @param  array<string, mixed>  $what */
    private function write(array $what): void
    {
        $this->clock = $this->clock->addSeconds(35);
        CarbonImmutable::setTestNow($this->clock);
        $entries = $this->state->log->entries;
        $node = Node::of(
            [
                'id' => DemoIds::next(),
                'at' => $this->clock->toIso8601String(),
                'after' => $entries[count($entries) - 1]->stamp->id,
            ]
                + $what,
        );
        $this->state = (new Journal)->write($this->job, $this->user, EntryRequest::from($node), $this->clock);
    }
}
