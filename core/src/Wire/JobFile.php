<?php

declare(strict_types=1);

namespace VividPull\Core\Wire;

use VividPull\Core\Bench\Bench;
use VividPull\Core\Bench\BenchState;
use VividPull\Core\Errors\BadFile;
use VividPull\Core\Input\Node;
use VividPull\Core\Log\Log;

/** A job in one file: spec, run and log. See docs/formats/job-file.md. */
final readonly class JobFile
{
    public const FORMAT = 'vivid-pull/job@1';

    private const MOST_ENTRIES = 1000;

    /**
     * Replays the file entry by entry, as the server would have taken them.
     *
     * @throws BadFile If the file is not what its schema says, or an entry may not stand where it does.
     */
    public static function replay(string $json): BenchState
    {
        $node = Node::fromJson($json)->object(['format', 'spec', 'run', 'log']);
        if ($node->at('format')->value !== self::FORMAT) {
            throw BadFile::at('$.format', 'this is not “'.self::FORMAT.'”, the only format read here.');
        }
        $spec = SpecCodec::decode($node->at('spec'));
        $run = RunCodec::decode($node->at('run'));
        $codec = new EntryCodec($run);
        $items = $node->at('log')->items(self::MOST_ENTRIES);
        if ($items === []) {
            throw BadFile::at('$.log', 'a log begins with the entry that opens the job; this one is empty.');
        }
        self::inOrder($items);
        $first = array_shift($items);
        $state = $first->making(static fn (): BenchState => Bench::replay(
            $spec,
            $run,
            Log::of($codec->decode($first)),
        ));
        foreach ($items as $item) {
            $state = $item->making(static fn (): BenchState => Bench::accept($state, $codec->decode($item), false));
        }

        return $state;
    }

    /**
     * Where entries carry the server's numbers, these must go up: the numbers are the order of replay.
     *
     * @param  list<Node>  $items
     */
    private static function inOrder(array $items): void
    {
        $last = 0;
        foreach ($items as $item) {
            if (! $item->has('seq')) {
                continue;
            }
            $seq = $item->at('seq')->integer(1, PHP_INT_MAX);
            if ($seq <= $last) {
                throw BadFile::at(
                    $item->at('seq')->path,
                    "entry {$seq} stands after entry {$last}; entries are listed in the order of their numbers.",
                );
            }
            $last = $seq;
        }
    }
}
