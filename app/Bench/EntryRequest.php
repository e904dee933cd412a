<?php

declare(strict_types=1);

namespace App\Bench;

use Carbon\CarbonImmutable;
use VividPull\Core\Bench\Amending;
use VividPull\Core\Bench\BenchLine;
use VividPull\Core\Bench\BenchState;
use VividPull\Core\Bench\Shown;
use VividPull\Core\Cable\Pose;
use VividPull\Core\Cable\ReadingPoint;
use VividPull\Core\Errors\BadFile;
use VividPull\Core\Errors\CoreError;
use VividPull\Core\Errors\Refused;
use VividPull\Core\Input\Node;
use VividPull\Core\Log\Draft;
use VividPull\Core\Log\EntryKind;
use VividPull\Core\Log\Person;
use VividPull\Core\Log\Stamp;
use VividPull\Core\Procedure\MeasureKey;
use VividPull\Core\Quantity\Unit;
use VividPull\Core\Wire\EntryCodec;
use VividPull\Core\Wire\TypedQuantities;

/** What a screen sends to be logged: a typed line with what was shown beside it, or a kind with its body. */
final readonly class EntryRequest
{
    /**
     * The id a client gives what it makes; files and whole shops are held to it too. Version and variant are of RFC
     * 9562: the database has no place for others.
     */
    public const UUID = '/^[0-9a-f]{8}-[0-9a-f]{4}-[1-8][0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/D';

    private const LONGEST_LINE = 100_000;

    private function __construct(
        public string $id,
        public string $at,
        /** Sign-in name of who wrote it, as the screen knew it then; null from a tool that has no person of its own. */
        public ?string $by,
        public ?string $after,
        public ?string $line,
        public Shown $shown,
        public ?EntryKind $kind,
        public ?Node $body,
        /** Tells a repeat of the same request from another under the same id. */
        public string $digest,
    ) {}

    /** @throws BadFile If it is not what the API document says. */
    public static function from(Node $node): self
    {
        $node->object(['id', 'at'], ['by', 'after', 'line', 'shown', 'kind', 'body']);
        if ($node->has('line') === $node->has('kind') && is_string($node->at('line')->value) === $node->has('kind')) {
            throw BadFile::at('$', 'send either a “line”, or a “kind” with its “body”.');
        }
        $kind = $node->optionalEnum('kind', EntryKind::class);

        return new self(
            self::uuid($node->at('id')),
            EntryCodec::instant($node->at('at')),
            $node->optionalString('by', 40),
            $node->has('after') ? self::uuid($node->at('after')) : null,
            $kind === null ? self::line($node->at('line')) : null,
            self::shown($node->has('shown') ? $node->at('shown') : Node::of([], '$.shown')),
            $kind,
            $kind === null ? null : self::body($kind, $node->has('body') ? $node->at('body') : Node::of([], '$.body')),
            hash(
                'sha256',
                (string) json_encode(
                    is_array($node->value) ? array_diff_key($node->value, ['by' => true]) : $node->value,
                ),
            ),
        );
    }

    /**
     * What it means on this job.
     *
     * @throws CoreError If it means nothing there.
     */
    public function draft(BenchState $state, Person $by): Draft
    {
        if ($this->kind === null || $this->body === null) {
            return BenchLine::read($this->line ?? '', $this->shown, $state, $by);
        }
        if ($this->kind === EntryKind::Amend && $this->body->has('line')) {
            $said = $this->body->object(['entry', 'line', 'reason']);

            return Amending::read(
                $said->at('line')->string(500),
                $said->at('entry')->string(40),
                $said->at('reason')->string(500),
                $state,
                $by,
            );
        }

        return new Draft(
            $this->kind,
            is_array($this->body->value)
                ? $this->body->value
                : throw Refused::because('The body of an entry is an object.'),
        );
    }

    public function stamp(Person $by, CarbonImmutable $now): Stamp
    {
        return new Stamp(
            $this->id,
            $this->at,
            $by,
            $this->after,
            $this->line,
            $now->utc()->format('Y-m-d\TH:i:s.vP'),
        );
    }

    /**
     * A reading keeps its words beside it and comes by the line; in every other entry a size may be typed as people
     * write it.
     */
    private static function body(EntryKind $kind, Node $body): Node
    {
        return match ($kind) {
            EntryKind::Measure => TypedQuantities::measured($body),
            EntryKind::Thread, EntryKind::Compared, EntryKind::Policy,
            EntryKind::Adjuster, EntryKind::Hand => TypedQuantities::readIn($body),
            default => $body,
        };
    }

    public static function uuid(Node $node): string
    {
        $id = mb_strtolower($node->string(36));
        if (preg_match(self::UUID, $id) !== 1) {
            throw BadFile::at($node->path, 'this is not a UUID.');
        }

        return $id;
    }

    /** The line as typed; an empty one is the core's to answer. */
    private static function line(Node $node): string
    {
        if (! is_string($node->value)) {
            throw BadFile::at($node->path, 'this is not text.');
        }
        if (strlen($node->value) > self::LONGEST_LINE) {
            throw BadFile::at($node->path, 'this line is far too long.');
        }

        return $node->value;
    }

    private static function shown(Node $node): Shown
    {
        $node->object(
            [],
            ['adjuster', 'steps', 'pose', 'point', 'instrument', 'item', 'unit', 'measure', 'of', 'gauge'],
        );

        return new Shown(
            $node->optionalString('adjuster', 40),
            $node->optionalNumber('steps', -400, 400),
            $node->optionalEnum('pose', Pose::class),
            $node->optionalEnum('point', ReadingPoint::class),
            $node->optionalString('instrument', 40),
            $node->optionalString('item', 80),
            $node->has('unit') && $node->at('unit')->string(4) === 'in' ? Unit::Inch : Unit::Millimetre,
            $node->optionalEnum('measure', MeasureKey::class),
            $node->optionalString('of', 20),
            $node->flag('gauge'),
        );
    }
}
