<?php

declare(strict_types=1);

/*
 * The pages as they are served to a shop's network, over HTTPS, looked at by Lighthouse (Google's open-source audit of
 * web pages) as on a telephone: accessibility, best practices, speed. Run by hand: bin/bench pages
 */

require __DIR__.'/../vendor/autoload.php';

use Symfony\Component\Process\Process;
use Tests\Support\HttpClient;
use Tests\Support\Served;

const LEAST = ['accessibility' => 100, 'best-practices' => 90, 'performance' => 0];
/**
 * Pages of every day: as fast as this on the telephone that Lighthouse stands in for, and never busy for longer than
 * this in all, in ms.
 */
const FAST = ['/', '/machines', '/machines/RT-14', '/due', 'a job'];
const FASTEST = ['performance' => 95, 'total-blocking-time' => 200.0];

$served = Served::begin();
$lead = new HttpClient($served->secure, authority: $served->authority());
$lead->signIn('oda', 'harbour-lamp-9');
$id = sprintf('%s-0000-4000-8000-%s', bin2hex(random_bytes(4)), bin2hex(random_bytes(6)));
$lead->send('POST', 'machines/RT-14/jobs', ['id' => $id, 'control' => 'clutch']);
$cookie = implode(
    '; ',
    array_map(
        static fn (string $name, string $value): string => "{$name}={$value}",
        array_keys($lead->cookies()),
        $lead->cookies(),
    ),
);
$failed = false;
foreach ([
    '/signed-out', '/trust', '/', '/machines', '/machines/RT-14', "/jobs/{$id}", '/due', '/specs', '/specs/1',
    '/specs/new', '/shelf', '/shop',
] as $path) {
    $signedOut = $path === '/signed-out';
    $said = new Process([
        'node', (string) getenv('LIGHTHOUSE'), $served->secure.($signedOut ? '/' : $path), '--quiet', '--output=json',
        '--only-categories='.implode(',', array_keys(LEAST)),
        '--chrome-flags=--headless=new --no-sandbox --disable-gpu --ignore-certificate-errors',
        ...($signedOut ? [] : ['--extra-headers='.json_encode(['Cookie' => $cookie])]),
    ], env: ['CHROME_PATH' => trim((string) shell_exec('command -v chromium'))], timeout: 180);
    $said->run();
    $report = json_decode($said->getOutput(), true);
    if (! is_array($report)) {
        fwrite(STDERR, "{$path}: no report. ".substr($said->getErrorOutput(), 0, 500)."\n");
        $failed = true;

        continue;
    }
    printf('%-18s', $signedOut ? 'sign-in' : preg_replace('/[0-9a-f-]{36}/', '…', $path));
    foreach (LEAST as $key => $least) {
        $category = $report['categories'][$key];
        $score = (int) round(100 * (float) $category['score']);
        printf('  %s %3d', $key, $score);
        $failed = $failed
            || $score < (in_array(str_starts_with($path, '/jobs') ? 'a job' : $path, FAST, true)
                ? FASTEST[$key] ?? $least
                : $least);
        foreach ($key === 'performance' ? [] : $category['auditRefs'] as $ref) {
            $audit = $report['audits'][$ref['id']];
            if ($audit['score'] !== null && $audit['score'] < 1 && $ref['weight'] > 0) {
                echo "\n    {$audit['title']}: ",
                implode(
                    ' | ',
                    array_map(
                        static fn (array $item): string => substr(
                            (string) ($item['node']['snippet']
                                ?? $item['description']
                                ?? $item['source']
                                ?? json_encode($item)),
                            0,
                            160,
                        ),
                        array_slice($audit['details']['items'] ?? [], 0, 4),
                    ),
                );
            }
        }
    }
    $busy = (float) $report['audits']['total-blocking-time']['numericValue'];
    $shown = (float) $report['audits']['largest-contentful-paint']['numericValue'];
    printf("  busy %4.0f ms, all there after %4.0f ms\n", $busy, $shown);
    $failed = $failed
        || (in_array(str_starts_with($path, '/jobs') ? 'a job' : $path, FAST, true)
            && $busy > FASTEST['total-blocking-time']);
}
$served->end();
exit($failed ? 1 : 0);
