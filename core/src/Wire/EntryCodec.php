<?php

declare(strict_types=1);

namespace VividPull\Core\Wire;

use VividPull\Core\Cable\Adjuster;
use VividPull\Core\Cable\Run;
use VividPull\Core\Errors\BadFile;
use VividPull\Core\Errors\Quoted;
use VividPull\Core\Input\Node;
use VividPull\Core\Log\Decoding;
use VividPull\Core\Log\Draft;
use VividPull\Core\Log\Entry\Entry;
use VividPull\Core\Log\EntryKind;
use VividPull\Core\Log\Person;
use VividPull\Core\Log\Stamp;
use VividPull\Core\Log\Standing;
use VividPull\Core\Spec\RidersWish;
use VividPull\Core\Trace\TraceSummary;

/** Entries from the wire: the envelope here, the body in the class of its kind. */
final class EntryCodec implements Decoding
{
    /** @var array<string, Adjuster> fitted by an entry that was decoded here */
    private array $fitted = [];

    public function __construct(private readonly Run $run) {}

    /** A whole entry, envelope and body. */
    public function decode(Node $node): Entry
    {
        $node->object(['id', 'kind', 'at', 'by', 'body'], ['after', 'line', 'seq', 'received_at', 'control']);

        return $this->entry($node->at('kind')->enum(EntryKind::class), $node->at('body'), self::stamp($node));
    }

    /** The time a person's clock showed: ISO 8601 with seconds and an offset. */
    public static function instant(Node $node): string
    {
        $at = $node->string(40);
        if (
            preg_match('/^\d{4}-\d\d-\d\dT\d\d:\d\d:\d\d(\.\d{1,6})?(Z|[+-]\d\d:\d\d)$/', $at) !== 1
            || strtotime($at) === false
        ) {
            throw BadFile::at(
                $node->path,
                Quoted::text($at).' is not a time with its offset, such as 2026-03-02T08:44:00+00:00.',
            );
        }

        return $at;
    }

    /** What a draft becomes once somebody writes it. */
    public function drafted(Draft $draft, Stamp $stamp): Entry
    {
        return $this->entry($draft->kind, Node::of($draft->body, '$.body'), $stamp);
    }

    public function entry(EntryKind $kind, Node $body, Stamp $stamp): Entry
    {
        return $kind->entry()::from($body, $stamp, $this);
    }

    public function run(): Run
    {
        return $this->run;
    }

    public function adjuster(string $id): ?Adjuster
    {
        return $this->run->everKnown($id) ?? $this->fitted[$id] ?? null;
    }

    public function fitted(Node $adjuster): Adjuster
    {
        $fitted = RunCodec::adjuster($adjuster);

        return $this->fitted[$fitted->id()] = $fitted;
    }

    public function standing(Node $standing): Standing
    {
        return StandingCodec::decode($standing);
    }

    public function wish(Node $wish): RidersWish
    {
        return StandingCodec::wish($wish);
    }

    public function told(Node $trace): TraceSummary
    {
        return TraceCodec::told($trace);
    }

    private static function stamp(Node $node): Stamp
    {
        return new Stamp(
            $node->at('id')->string(40),
            self::instant($node->at('at')),
            Person::from($node->at('by')),
            $node->optionalString('after', 40),
            $node->optionalString('line', 600),
            $node->has('received_at') ? self::instant($node->at('received_at')) : null,
        );
    }
}
