<?php

declare(strict_types=1);

namespace App\Library;

use App\Models\Control;
use App\Models\SpecVersion;
use Illuminate\Support\Collection;
use VividPull\Core\Input\Node;
use VividPull\Core\Measurement\KeptReading;
use VividPull\Core\Planning\RatioFinding;
use VividPull\Core\Wire\RunCodec;

/**
 * What the machines of a model taught about the distances of their spec, where they contradict it: a correction, and
 * what it rests on.
 */
final readonly class SpecTaught
{
    /**
     * @param  Collection<int, Control>  $controls  of this model and control, on any version
     * @return array{
     *     sentence: string, told: float, learned: float, expanded: float, point_mm: float|null, wire_mm: float|null,
     *     machines: list<array{tag: string, learned: float, expanded: float, at: string|null}>,
     * }|null
     */
    public static function of(SpecVersion $spec, Collection $controls): ?array
    {
        $body = $spec->spec();
        if ($spec->run === null || $body->aim === null) {
            return null;
        }
        [$priors, $machines] = [[], []];
        foreach ($controls as $control) {
            $prior = $control->summary?->learned($body->aim->point->value);
            if ($prior === null) {
                continue;
            }
            $priors[] = $prior;
            $learned = exp($prior->ln);
            $machines[] = [
                'tag' => $control->machine->tag,
                'learned' => $learned,
                'expanded' => KeptReading::expanded($learned * $prior->spread),
                'at' => $control->summary->at,
            ];
        }
        if ($priors === []) {
            return null;
        }
        $finding = RatioFinding::across($body, RunCodec::decode(Node::of($spec->run)), $priors);

        return $finding === null ? null : [
            'sentence' => $finding->finding, 'told' => $finding->told, 'learned' => $finding->learned,
            'expanded' => KeptReading::expanded($finding->deviation),
            'point_mm' => $finding->pointMm(), 'wire_mm' => $finding->wireMm(), 'machines' => $machines,
        ];
    }
}
