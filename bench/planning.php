<?php

declare(strict_types=1);

/*
 * How long a plan over three adjusters takes, in service, with every choice of positions to weigh: a perch barrel, an
 * in-line adjuster and bracket nuts in flats, found too loose, each time standing somewhere else. Run by hand:
 * bin/bench planning
 */

require __DIR__.'/../core/autoload.php';

use VividPull\Core\Bench\BenchState;
use VividPull\Core\Planning\Advice;
use VividPull\Core\Wire\JobFile;

const CASES = 200;

function found(int $case): BenchState
{
    $file = json_decode(
        (string) file_get_contents(__DIR__.'/../docs/formats/examples/clutch-lever.json'),
        true,
        flags: JSON_THROW_ON_ERROR,
    );
    $file['run']['cables'][0]['adjusters'] = [
        ['id' => 'perch', 'name' => 'perch barrel', 'kind' => 'barrel', 'thread' => 'M8 x 1.25', 'travel_mm' => 11],
        [
            'id' => 'in_line',
            'name' => 'in-line adjuster',
            'kind' => 'in_line',
            'thread' => 'M8 x 1.25',
            'travel_mm' => 14,
            'access' => ['minutes' => 2, 'cover' => 'boot'],
        ],
        [
            'id' => 'bracket',
            'name' => 'engine bracket',
            'kind' => 'bracket_nuts',
            'thread' => 'M8 x 1.25',
            'travel_mm' => 22,
            'access' => ['minutes' => 6, 'cover' => 'side cover'],
        ],
    ];
    $file['log'][0]['body']['standing']['positions_steps'] = [
        'perch' => ($case * 7 % 53) / 6,
        'in_line' => ($case * 11 % 67) / 6,
        'bracket' => ($case * 13 % 105) / 6,
    ];
    $by = $file['log'][0]['by'];
    $log = [$file['log'][0]];
    $add = static function (string $kind, array $body) use (&$log, $by): void {
        $n = count($log) + 1;
        $log[] = [
            'id' => "e{$n}",
            'kind' => $kind,
            'at' => sprintf('2026-03-03T09:00:%02d+00:00', $n),
            'by' => $by,
            'body' => $body,
        ];
    };
    $add('policy', ['mode' => $case % 2 === 0 ? 'service' : 'touch_up']);
    foreach ([0.0, 0.2, -0.2] as $off) {
        $mm = 1.0 + $case % 45 + $off;
        $add(
            'reading',
            [
                'mm' => $mm,
                'entered' => (string) $mm,
                'point' => 'lever_tip',
                'engine' => 'cold',
                'wheels' => 'on_ground',
                'instrument' => 'rule',
            ],
        );
    }
    $file['log'] = $log;

    return JobFile::replay(json_encode($file, JSON_THROW_ON_ERROR));
}

$times = [];
for ($case = 0; $case < CASES; $case++) {
    $state = found($case);
    $state->next();
    // A state keeps its advice: here each is worked out anew.
    $advice = new Advice($state->spec, $state->run, $state->facts, $state->judgement);
    $advice->beliefs();
    $start = hrtime(true);
    $advice->outcome();
    $times[] = (hrtime(true) - $start) / 1e6;
}
sort($times);
printf("PHP %s, three adjusters, %d cases\n", PHP_VERSION, CASES);
printf(
    "plan   median %.2f ms   p95 %.2f ms   most %.2f ms   (at most 20 ms)\n",
    $times[intdiv(CASES, 2)],
    $times[(int) (CASES * 0.95)],
    $times[CASES - 1],
);
