<?php

declare(strict_types=1);

// How long it takes to rank the causes of each family and to choose the next step: from each symptom by itself, the
// worst of three. To reach: 20 ms.

use VividPull\Core\Diagnosis\Causes;
use VividPull\Core\Diagnosis\Diagnosis;
use VividPull\Core\Diagnosis\Evidence;
use VividPull\Core\Diagnosis\Model;
use VividPull\Core\Diagnosis\Weights;
use VividPull\Core\Spec\FamilyKey;

require __DIR__.'/../core/autoload.php';

foreach (FamilyKey::cases() as $family) {
    $knowledge = Causes::of($family);
    $times = [];
    foreach ($knowledge->symptoms as $symptom) {
        for ($n = 0; $n < 3; $n++) {
            $start = hrtime(true);
            Diagnosis::of(
                $knowledge,
                Weights::ofTheTrade(),
                Evidence::none()->answered($symptom->value, Evidence::YES),
            );
            $times[] = (hrtime(true) - $start) / 1e6;
        }
    }
    sort($times);
    printf(
        "%-18s %2d causes, %2d checks, %3d hypotheses: median %5.1f ms, worst %5.1f ms\n",
        $family->value,
        count($knowledge->causes),
        count($knowledge->checks),
        count(Model::of($knowledge, Weights::ofTheTrade())->hypotheses),
        $times[intdiv(count($times), 2)],
        end($times),
    );
}
