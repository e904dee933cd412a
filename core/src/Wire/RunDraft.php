<?php

declare(strict_types=1);

namespace VividPull\Core\Wire;

use VividPull\Core\Cable\AdjusterKind;
use VividPull\Core\Cable\Run;
use VividPull\Core\Errors\BadFile;
use VividPull\Core\Input\Node;

/**
 * A run somebody still works on. Threads, travels and steps may be empty, for they are measured at a machine; all else
 * must be right. What is empty is named, and no machine is judged by such a run.
 */
final readonly class RunDraft
{
    /** What an empty field is read as, only to see whether all else is right. */
    private const STAND_INS = [
        'thread' => [
            'thread' => ['M8 x 1.25', 'its thread or pitch'],
            'travel_mm' => [16.0, 'how far its thread goes, its travel'],
        ],
        'steps' => [
            'mm_per_step' => [1.0, 'how many mm one step moves'],
            'travel_steps' => [['from' => 1, 'to' => 12], 'its first and last step'],
        ],
        'nothing' => [],
    ];

    /**
     * @param  Run  $run  with stand-ins for what is missing
     * @param  list<string>  $missing  each what, of which adjuster: `barrel: its thread or pitch`
     */
    private function __construct(public Run $run, public array $missing) {}

    /** @throws BadFile If what is there is wrong. */
    public static function of(Node $node): self
    {
        $missing = [];
        $run = is_array($node->value) ? $node->value : [];
        if (is_array($run['cables'] ?? null)) {
            foreach ($run['cables'] as $place => $cable) {
                [$run['cables'][$place], $empty] = self::filled($cable);
                array_push($missing, ...$empty);
            }
        }

        return new self(RunCodec::decode(Node::of($missing === [] ? $node->value : $run, $node->path)), $missing);
    }

    /** @return array{mixed, list<string>} a cable with a stand-in in each empty field, and what those are */
    private static function filled(mixed $cable): array
    {
        if (! is_array($cable) || ! is_array($cable['adjusters'] ?? null)) {
            return [$cable, []];
        }
        $missing = [];
        foreach (array_filter($cable['adjusters'], is_array(...)) as $place => $adjuster) {
            foreach (self::empty($adjuster) as $key => [$standIn, $what]) {
                $adjuster[$key] = $standIn;
                $missing[] = (is_string($adjuster['name'] ?? null) ? $adjuster['name'] : 'an adjuster').": {$what}";
            }
            $cable['adjusters'][$place] = $adjuster;
        }

        return [$cable, $missing];
    }

    /**
     * @param  array<array-key, mixed>  $adjuster
     * @return array<string, array{mixed, string}> by key
     */
    private static function empty(array $adjuster): array
    {
        $kind = is_string($adjuster['kind'] ?? null) ? AdjusterKind::tryFrom($adjuster['kind']) : null;
        $needed = self::STAND_INS[$kind?->measuredBy() ?? 'nothing'] ?? [];

        return array_filter(
            $needed,
            static fn (string $key): bool => ! isset($adjuster[$key])
                && ! ($key === 'thread' && isset($adjuster['pitch_mm'])),
            ARRAY_FILTER_USE_KEY,
        );
    }
}
