<?php

declare(strict_types=1);

namespace VividPull\Core\Log\Entry;

use VividPull\Core\Errors\BadFile;
use VividPull\Core\Input\Node;
use VividPull\Core\Log\Decoding;
use VividPull\Core\Log\Draft;
use VividPull\Core\Log\EntryKind;
use VividPull\Core\Log\LogNames;
use VividPull\Core\Log\Stamp;
use VividPull\Core\Quantity\Figure;
use VividPull\Core\Spec\Parking;
use VividPull\Core\Spec\Policy;
use VividPull\Core\Spec\RidersWish;
use VividPull\Core\Spec\SetLike;
use VividPull\Core\Spec\SettingMode;

/**
 * How to set it from here on: where in the band to aim, how far the work goes, where to park. Null leaves a thing as it
 * was.
 */
final readonly class PolicyChosen extends Entry
{
    public function __construct(
        Stamp $stamp,
        public ?Policy $policy,
        public ?SettingMode $mode = null,
        public ?Parking $parking = null,
        public ?SetLike $like = null,
        public ?RidersWish $wish = null,
        /** Whether what was begun as a check goes on as a whole job. */
        public bool $isWhole = false,
    ) {
        parent::__construct($stamp);
    }

    public static function draft(Policy|SettingMode|Parking $chosen): Draft
    {
        $field = match (true) {
            $chosen instanceof Policy => 'policy',
            $chosen instanceof SettingMode => 'mode',
            $chosen instanceof Parking => 'parking',
        };

        return new Draft(EntryKind::Policy, [$field => $chosen->value]);
    }

    /** What was begun as a check goes on as a whole job. */
    public static function draftWhole(): Draft
    {
        return new Draft(EntryKind::Policy, ['whole' => true]);
    }

    public static function from(Node $body, Stamp $stamp, Decoding $with): self
    {
        $body->object([], ['policy', 'mode', 'parking', 'like', 'wish', 'whole']);
        $like = $body->has('like') ? $body->at('like')->object(['machine', 'mm']) : null;
        $chosen = new self(
            $stamp,
            $body->optionalEnum('policy', Policy::class),
            $body->optionalEnum('mode', SettingMode::class),
            $body->optionalEnum('parking', Parking::class),
            $like === null ? null : new SetLike($like->at('machine')->string(20), $like->at('mm')->number(0, 10_000)),
            $body->has('wish') ? $with->wish($body->at('wish')) : null,
            $body->flag('whole'),
        );
        if ($chosen->say() === '') {
            throw BadFile::at(
                $body->path,
                'say a “policy”, a “mode”, a “parking”, a “wish”, whom to set it “like”, or that it goes on as a “whole” job.',
            );
        }

        return $chosen;
    }

    public function kind(): EntryKind
    {
        return EntryKind::Policy;
    }

    public function said(LogNames $names): string
    {
        return $this->say();
    }

    public function say(): string
    {
        return implode('. ', array_filter([
            $this->policy === null ? null : 'Aim for '.$this->policy->label(),
            $this->like === null ? null : "Set like {$this->like->machine}: ".Figure::length($this->like->mm),
            $this->wish === null ? null : 'Rider\'s wish: '.$this->wish->say(),
            $this->mode === null ? null : 'Work as '.$this->mode->label(),
            $this->parking === null ? null : 'Park at '.$this->parking->label(),
            $this->isWhole ? 'Go on as a whole job' : null,
        ], is_string(...)));
    }
}
