<?php

declare(strict_types=1);

namespace VividPull\Core\Log;

use VividPull\Core\Cable\Run;
use VividPull\Core\Family\Families;
use VividPull\Core\Family\Family;
use VividPull\Core\Log\Entry\Entry;
use VividPull\Core\Procedure\Guide;
use VividPull\Core\Procedure\Proof;
use VividPull\Core\Procedure\Replacement;
use VividPull\Core\Spec\OutcomeTable;
use VividPull\Core\Spec\Spec;

/** What the entries of a log speak of by a key, as it is called on this control. An older log may name what is gone. */
final readonly class LogNames
{
    /** @param  list<Proof>  $proofs */
    public function __construct(
        public Spec $spec,
        public Run $run,
        private Log $log,
        public ?OutcomeTable $table,
        private array $proofs,
    ) {}

    public function family(): Family
    {
        return Families::of($this->spec->family);
    }

    public function entry(string $id): ?Entry
    {
        return $this->log->find($id);
    }

    public function adjuster(string $id): string
    {
        return $this->run->everKnown($id)?->name() ?? $id;
    }

    public function cable(?string $id): ?string
    {
        foreach ($this->run->cables as $cable) {
            if ($cable->id === $id) {
                return $cable->name;
            }
        }

        return null;
    }

    public function proof(string $key): ?Proof
    {
        return self::keyed($key, $this->proofs);
    }

    public function step(string $key): string
    {
        $family = $this->family();

        return self::keyed($key, [...$family->makeSafe(), ...$family->refit(), ...$family->closing()])->label ?? $key;
    }

    public function inspection(string $key): string
    {
        return self::keyed($key, $this->spec->inspections())->label ?? $key;
    }

    public function replacementStep(string $key): string
    {
        return self::keyed($key, [...$this->family()->replacing(), ...Replacement::usual()])->label ?? $key;
    }

    public function guideStep(string $adjuster, string $key): string
    {
        $guided = $this->run->adjuster($adjuster);

        return self::keyed($key, $guided === null ? [] : Guide::of($guided->kind()))->label ?? $key;
    }

    /**
     * @template T of object{key: string}
     *
     * @param  array<T>  $all
     * @return T|null
     */
    private static function keyed(string $key, array $all): ?object
    {
        foreach ($all as $one) {
            if ($one->key === $key) {
                return $one;
            }
        }

        return null;
    }
}
