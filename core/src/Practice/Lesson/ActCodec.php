<?php

declare(strict_types=1);

namespace VividPull\Core\Practice\Lesson;

use VividPull\Core\Cable\Pose;
use VividPull\Core\Cable\ReadingPoint;
use VividPull\Core\Errors\BadFile;
use VividPull\Core\Input\Node;
use VividPull\Core\Practice\Control\Act;
use VividPull\Core\Practice\Control\ActKind;
use VividPull\Core\Procedure\Cure;
use VividPull\Core\Procedure\MeasureKey;
use VividPull\Core\Quantity\Steps;

/**
 * What is done to a machine to learn on, as it goes over the wire: `act`, and what it is `of`; `by` so many turns or
 * steps, in a `pose`, at a `point`, `in` by a share of the way.
 */
final readonly class ActCodec
{
    private const LONGEST = 40;

    /** Turns or steps of one turn of the hand. */
    private const FARTHEST = 100.0;

    /** @throws BadFile If it is not what the format says. */
    public static function decode(Node $node): Act
    {
        $node->object(['act'], ['of', 'by', 'pose', 'point', 'in']);
        $of = static fn (): string => $node->at('of')->string(self::LONGEST);
        $by = static fn (): Steps => Steps::nearest($node->at('by')->number(-self::FARTHEST, self::FARTHEST));

        return match ($node->at('act')->enum(ActKind::class)) {
            ActKind::Hold => Act::hold(
                $node->at('point')->enum(ReadingPoint::class),
                self::pose($node) ?? Pose::Straight,
            ),
            ActKind::Snap => Act::snap(),
            ActKind::Open => Act::open($of()),
            ActKind::Shut => Act::shut($of()),
            ActKind::Feel => Act::feel(),
            ActKind::Cool => Act::cool(),
            ActKind::Warm => Act::warm(),
            ActKind::Measure => Act::measure($node->at('of')->enum(MeasureKey::class)),
            ActKind::Turn => Act::turn($of(), $by()),
            ActKind::Try => Act::try($of(), self::pose($node)),
            ActKind::Light => Act::light(),
            ActKind::Look => Act::look($of()),
            ActKind::Run => Act::run($of()),
            ActKind::Roll => Act::roll(),
            ActKind::Hook => Act::hook($of(), $node->at('in')->number(0.0, 1.0)),
            ActKind::Cure => Act::cure($node->at('of')->enum(Cure::class)),
            ActKind::Guess => Act::guess($of(), $by()),
            ActKind::Ask => Act::ask(),
            ActKind::Stop => Act::stop(),
        };
    }

    /** @return array<string, mixed> */
    public static function encode(Act $act): array
    {
        return array_filter(
            [
                'act' => $act->kind->value,
                'of' => $act->about === '' ? null : $act->about,
                'by' => $act->steps?->toFloat(),
                'pose' => $act->pose?->value,
                'point' => $act->point?->value,
                'in' => $act->in,
            ],
            static fn (mixed $one): bool => $one !== null,
        );
    }

    private static function pose(Node $node): ?Pose
    {
        return $node->optionalEnum('pose', Pose::class);
    }
}
