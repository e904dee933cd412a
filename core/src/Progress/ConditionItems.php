<?php

declare(strict_types=1);

namespace VividPull\Core\Progress;

use VividPull\Core\Facts\Facts;
use VividPull\Core\Log\Entry\ConditionNoted;
use VividPull\Core\Planning\CableState;
use VividPull\Core\Spec\Conditions;
use VividPull\Core\Spec\EngineHeat;
use VividPull\Core\Spec\Spec;
use VividPull\Core\Spec\Wheels;

/** How the machine stands where play is read: cold or hot, on its wheels or on a stand. */
final readonly class ConditionItems
{
    private Spec $spec;

    private Facts $facts;

    public function __construct(CableState $cable)
    {
        [$this->spec, $this->facts] = [$cable->spec, $cable->facts];
    }

    public function condition(): StageItem
    {
        $noted = $this->facts->answers->condition;
        $conditions = $this->spec->conditions;
        $isHeatAsked = $this->spec->heatMatters();
        $answers = [];
        foreach ($isHeatAsked ? EngineHeat::cases() : [null] as $engine) {
            foreach ($conditions->wheels !== null ? Wheels::cases() : [null] as $wheels) {
                $fits = $conditions->objection($engine, $wheels) === null;
                $toSetBy = $conditions->areProvisional($engine, $wheels);
                $answers[] = new Answer(
                    self::stateWord($engine, $wheels),
                    Conditions::say($engine, $wheels).($toSetBy ? ', to set by' : ''),
                    ConditionNoted::draft($engine, $wheels),
                    $fits || $toSetBy ? AnswerTone::Right : AnswerTone::Plain,
                );
            }
        }

        // Of one visit: another control may have asked for the heat alone.
        $isSaid = $noted !== null
            && ($noted->engine !== null || ! $isHeatAsked)
            && ($noted->wheels !== null || $conditions->wheels === null);

        return new StageItem(
            'condition',
            ItemKind::Answer,
            $isHeatAsked ? 'How does it stand?' : 'On its wheels, or on a stand?',
            new ItemState($isSaid, said: $isSaid ? $noted->label() : null, stamp: $isSaid ? $noted->stamp : null),
            $this->conditionWanted(),
            answers: $answers,
        );
    }

    private static function stateWord(?EngineHeat $engine, ?Wheels $wheels): string
    {
        return match (true) {
            $engine === null => $wheels === Wheels::OnStand ? 'stand' : 'ground',
            default => $engine->value.($wheels === Wheels::OnStand ? ' stand' : ''),
        };
    }

    private function conditionWanted(): string
    {
        $conditions = $this->spec->conditions;
        $wanted = array_filter([$conditions->engine?->value, $conditions->wheels?->label()], is_string(...));
        $onStand = $conditions->wheels === Wheels::OnGround
            ? ' A reading on a stand is good enough to set by; it is proved on its wheels.'
            : '';

        return $wanted === []
            ? 'The book does not say cold or hot. Play changes with heat, so it is written down.'
            : 'The figure is for: '.implode(', ', $wanted).'.'.$onStand;
    }

    /** What was run is hotter than it was said to be. */
    public function again(): StageItem
    {
        $asked = $this->condition();

        return new StageItem(
            "{$asked->key}:ran",
            $asked->kind,
            'It was run since. How does it stand?',
            ItemState::open(),
            $asked->detail,
            answers: $asked->answers,
        );
    }

    /**
     * What was set on a stand is proved on the ground.
     *
     * @param  bool  $isReadSo  whether what was read last was read on a stand
     * @return list<StageItem>
     */
    public function wheelsDown(bool $isReadSo): array
    {
        $noted = $this->facts->answers->condition;
        $isOnStand = $noted !== null && $this->spec->conditions->areProvisional($noted->engine, $noted->wheels);
        if ($this->spec->aim === null || ! ($isOnStand || $isReadSo)) {
            return [];
        }

        return [new StageItem(
            StageItems::WHEELS_DOWN,
            ItemKind::Answer,
            'Off the stand, on its wheels',
            new ItemState(! $isOnStand, said: $isOnStand ? null : 'On its wheels'),
            'What was read on the stand was good enough to set by. The figure is for the machine on its wheels: read it there.',
            answers: [new Answer(
                'ok',
                'On its wheels',
                ConditionNoted::draft($noted?->engine, Wheels::OnGround),
                AnswerTone::Right,
            )],
        )];
    }
}
