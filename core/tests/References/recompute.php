<?php

declare(strict_types=1);

/*
 * Each value that the tests hold the core against, computed afresh by R or GNU units. Ends with 1 if any stored value
 * is further from its tool's answer than the tests allow.
 */

const FILE = __DIR__.'/values.json';

/** @param  list<string>  $command */
function answer(array $command): string
{
    $process = proc_open($command, [1 => ['pipe', 'w'], 2 => ['pipe', 'w']], $pipes);
    if ($process === false) {
        throw new RuntimeException("{$command[0]} did not start.");
    }
    $out = (string) stream_get_contents($pipes[1]);
    $complaint = (string) stream_get_contents($pipes[2]);
    if (proc_close($process) !== 0 || trim($out) === '') {
        throw new RuntimeException("{$command[0]} did not answer: {$complaint}");
    }

    return trim($out);
}

/**
 * All R values in one run of R.
 *
 * @param  list<array{name: string, tool: string, command: string, value: float, within: float}>  $rows
 * @return array<string, float>
 */
function byR(array $rows): array
{
    $script = implode(
        "\n",
        array_map(static fn (array $row): string => "cat(sprintf('%.17g\\n', {$row['command']}))", $rows),
    );

    return array_combine(
        array_column($rows, 'name'),
        array_map(floatval(...), explode("\n", answer(['Rscript', '--vanilla', '-e', $script]))),
    );
}

/** The last bar parts what there is from the unit it is wanted in. */
function byUnits(string $command): float
{
    $bar = (int) strrpos($command, '|');

    return (float) answer(['units', '-t', '-d', '17', substr($command, 0, $bar), substr($command, $bar + 1)]);
}

/** @var list<array{name: string, tool: string, command: string, value: float, within: float}> $rows */
$rows = json_decode((string) file_get_contents(FILE), true, flags: JSON_THROW_ON_ERROR);
$fromR = byR(array_values(array_filter($rows, static fn (array $row): bool => $row['tool'] === 'R')));
$far = 0;
printf("%-28s %-6s %20s %20s %12s\n", 'value', 'tool', 'stored', 'recomputed', 'difference');
foreach ($rows as $row) {
    $now = $row['tool'] === 'R' ? $fromR[$row['name']] : byUnits($row['command']);
    $off = $row['value'] - $now;
    $isFar = abs($off) > $row['within'] * max(1.0, abs($now));
    $far += (int) $isFar;
    printf(
        "%-28s %-6s %20.13g %20.13g %12.2e%s\n",
        $row['name'],
        $row['tool'],
        $row['value'],
        $now,
        $off,
        $isFar ? '  too far' : '',
    );
}
printf("%d values, %d too far\n", count($rows), $far);
foreach (['diagnoses', 'traces'] as $name) {
    $isStored = answer(['Rscript', '--vanilla', __DIR__."/{$name}.R"]) === trim(
        (string) file_get_contents(__DIR__."/{$name}.json"),
    );
    echo "{$name}.json is ", $isStored ? 'what R prints' : 'not what R prints now', "\n";
    $far += (int) ! $isStored;
}
exit($far === 0 ? 0 : 1);
