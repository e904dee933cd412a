<?php

declare(strict_types=1);

namespace VividPull\Core\Wire;

use VividPull\Core\Bench\BenchState;
use VividPull\Core\Planning\CableMatch;
use VividPull\Core\Planning\MatchVerdict;
use VividPull\Core\Progress\CableMatching;

/**
 * A cable being replaced, and whether the new one fits.
 *
 * @phpstan-type ReplacingShape array{
 *     reason: string,
 *     over: bool,
 *     match: CableMatchShape|null,
 * }
 * @phpstan-type CableMatchShape array{
 *     verdict: value-of<MatchVerdict>,
 *     label: string,
 *     sentence: string,
 *     slack_in_mm: float|null,
 *     take_up_mm: float|null,
 *     reserve_mm: float|null,
 *     conduit_mm: float|null,
 *     lands: list<array{
 *         adjuster: string,
 *         name: string|null,
 *         say: string|null,
 *     }>,
 * }
 */
final readonly class ReplacingCodec
{
    private function __construct(private BenchState $state) {}

    /** @return ReplacingShape|null null where no cable is being replaced */
    public static function of(BenchState $state): ?array
    {
        return (new self($state))->replacing();
    }

    /** @return ReplacingShape|null */
    private function replacing(): ?array
    {
        $under = $this->state->facts->observations->replacing;
        $match = CableMatching::of($this->state->cable, $this->state->second?->cable);

        return $under === null ? null : [
            'reason' => implode(
                ': ',
                array_filter([$this->cableName($under->cable), $under->reason->label()], is_string(...)),
            ),
            'over' => $under->isOver,
            'match' => $match === null ? null : $this->match($match),
        ];
    }

    /** @return CableMatchShape */
    private function match(CableMatch $match): array
    {
        $lands = [];
        foreach (CableMatching::landing(
            CableMatching::runOf($this->state->run, $this->state->facts->observations->replacing?->cable),
            $this->state->facts,
            $match,
        ) as $id => $at) {
            $lands[] = [
                'adjuster' => $id,
                'name' => $this->state->run->adjuster($id)?->name(),
                'say' => $this->state->run->adjuster($id)?->where($at),
            ];
        }

        return [
            'verdict' => $match->verdict->value,
            'label' => $match->verdict->label(),
            'sentence' => $match->sentence,
            'slack_in_mm' => $match->slackIn,
            'take_up_mm' => $match->takeUp,
            'reserve_mm' => $match->reserve,
            'conduit_mm' => $match->conduitDifference,
            'lands' => $lands,
        ];
    }

    private function cableName(?string $cable): ?string
    {
        foreach ($this->state->run->cables as $one) {
            if ($one->id === $cable) {
                return $one->name;
            }
        }

        return null;
    }
}
