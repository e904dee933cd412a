<?php

declare(strict_types=1);

namespace App\Sheets;

use App\Models\Control;
use VividPull\Core\Cable\AdjustedQuantity;
use VividPull\Core\Cable\Adjuster;
use VividPull\Core\Cable\Pose;
use VividPull\Core\Cable\Run;
use VividPull\Core\Family\Families;
use VividPull\Core\Procedure\Inspection;
use VividPull\Core\Procedure\JobStage;
use VividPull\Core\Procedure\Proof;
use VividPull\Core\Procedure\Step;
use VividPull\Core\Spec\Aim;
use VividPull\Core\Spec\OutcomeTable;
use VividPull\Core\Spec\OutcomeWord;
use VividPull\Core\Spec\Spec;

/** A bench sheet to fill in by hand when there is no power: the same steps, cautions and proofs, in the same order. */
final readonly class BlankSheet
{
    /** @return array<string, mixed> */
    public static function of(Control $control): array
    {
        $spec = $control->spec();
        $run = $control->fitted();
        $family = Families::of($spec->family);

        return [
            'control' => $control,
            'says' => $spec->say(),
            'source' => $spec->source->say(),
            'how' => $spec->aim === null ? null : $spec->howToRead($spec->aim->point),
            'conditions' => implode(
                ', ',
                array_filter([$spec->conditions->engine?->value, $spec->conditions->wheels?->label()], is_string(...)),
            ),
            'make_safe' => array_map(static fn (Step $one): string => $one->label, $family->makeSafe()),
            'look_over' => array_map(
                static fn (Inspection $one): array => [$one->label, $one->lookFor],
                $family->lookOver(),
            ),
            'settings' => self::settings($spec),
            'proofs' => array_map(self::proof(...), $spec->proofs($run)),
            'measured' => array_map(
                static fn (Aim $one): string => ucfirst($one->say()),
                array_values(array_filter(
                    $spec->targets,
                    static fn (Aim $one): bool => ! $one instanceof OutcomeTable,
                )),
            ),
            'closing' => array_map(static fn (Step $one): string => $one->label, $family->closing()),
            'adjusters' => self::adjusters($run),
            'cautions' => array_merge(...array_map(
                static fn (JobStage $stage): array => $family->cautions($stage),
                JobStage::cases(),
            )),
        ];
    }

    /** @return array{string, list<string>} what is asked, and what is ticked */
    private static function proof(Proof $one): array
    {
        return [
            $one->question,
            $one->poses === []
                ? array_values($one->answers->words)
                : array_map(static fn (Pose $pose): string => $pose->label(), $one->poses),
        ];
    }

    /** @return list<array{string, string}> name and unit of each that sets anything */
    private static function adjusters(Run $run): array
    {
        $set = array_filter(
            $run->adjusters(),
            static fn (Adjuster $one): bool => $one->kind()->sets() !== AdjustedQuantity::Nothing,
        );

        return array_map(
            static fn (Adjuster $one): array => [$one->name(), $one->counting()->unit->plural()],
            array_values($set),
        );
    }

    /**
     * What is tried at each setting where no play is read, before anything is turned and after.
     *
     * @return list<array{string, list<string>}> the setting, and what can be seen there: the right one first
     */
    private static function settings(Spec $spec): array
    {
        $rows = [];
        foreach ($spec->other(OutcomeTable::class)->settings ?? [] as $setting) {
            $seen = array_filter($setting->sees, static fn (OutcomeWord $one): bool => $one->key !== $setting->wants);
            $rows[] = [
                $setting->label,
                array_map(
                    static fn (OutcomeWord $one): string => $one->label,
                    [$setting->wanted(), ...array_values($seen)],
                ),
            ];
        }

        return $rows;
    }
}
