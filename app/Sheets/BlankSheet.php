<?php

declare(strict_types=1);

namespace App\Sheets;

use App\Models\Control;
use VividPull\Core\Bench\JobStage;
use VividPull\Core\Family\Inspection;
use VividPull\Core\Family\Proof;
use VividPull\Core\Family\Step;
use VividPull\Core\Wire\Node;
use VividPull\Core\Wire\RunCodec;
use VividPull\Core\Wire\SpecCodec;

/** A bench sheet to fill in by hand when there is no power: the same steps, cautions and proofs, in the same order. */
final readonly class BlankSheet
{
    /** @return array<string, mixed> */
    public static function of(Control $control): array
    {
        $spec = SpecCodec::decode(Node::of($control->specVersion->body));
        $run = RunCodec::decode(Node::of($control->run));
        $family = $spec->family->family();

        return [
            'control' => $control,
            'says' => $spec->say(),
            'source' => $spec->source->say(),
            'how' => $spec->aim?->point->howToRead(),
            'conditions' => implode(', ', array_filter([$spec->conditions->engine?->value, $spec->conditions->wheels?->label()], is_string(...))),
            'make_safe' => array_map(static fn (Step $one): string => $one->label, $family->makeSafe()),
            'look_over' => array_map(static fn (Inspection $one): array => [$one->label, $one->lookFor], $family->lookOver()),
            'proofs' => array_map(static fn (Proof $one): array => [$one->question, array_map(static fn ($pose): string => $pose->label(), $one->poses)], $spec->proofs($run)),
            'closing' => array_map(static fn (Step $one): string => $one->label, $family->closing()),
            'adjusters' => array_map(static fn ($one): array => [$one->name(), $one->counting()->unit->plural()], array_values($run->adjusters())),
            'cautions' => array_merge(...array_map(static fn (JobStage $stage): array => $family->cautions($stage), JobStage::cases())),
        ];
    }
}
