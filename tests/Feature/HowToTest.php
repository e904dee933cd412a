<?php

declare(strict_types=1);

namespace Tests\Feature;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;

/** The examples of how something is added still do what they say, in as few files as they say. */
final class HowToTest extends TestCase
{
    private const ROOT = __DIR__.'/../..';

    /**
     * @return iterable<string, array{string, int, string}> the example, the most files that it may touch, the test that
     *     it brings along
     */
    public static function examples(): iterable
    {
        yield 'a kind of adjuster' => ['new-adjuster', 5, 'core/tests/Cable/EccentricBushTest.php'];
        yield 'a kind of entry' => ['new-entry', 6, 'core/tests/Log/HandedOverTest.php'];
        yield 'a field of the state' => ['new-field', 3, 'core/tests/Wire/ConditionSaidTest.php'];
        yield 'a family' => ['new-family', 4, 'core/tests/Family/ChokeCableTest.php'];
    }

    #[DataProvider('examples')]
    public function test_it_applies_and_its_test_passes(string $example, int $most, string $test): void
    {
        $patch = (string) realpath(self::ROOT."/docs/how-to/{$example}.patch");
        self::assertLessThanOrEqual($most, substr_count((string) file_get_contents($patch), "\n+++ "));
        $copy = sys_get_temp_dir()."/how-to-{$example}";
        try {
            mkdir("{$copy}/resources/js/features", recursive: true);
            mkdir("{$copy}/docs");
            foreach (['core', 'resources/js/features/job', 'docs/api'] as $folder) {
                self::done(['cp', '-r', self::ROOT."/{$folder}", dirname("{$copy}/{$folder}")], self::ROOT);
            }
            self::done(['git', 'apply', $patch], $copy);
            // What is patched is found before what stands here.
            file_put_contents("{$copy}/found-first.php", <<<'PHP'
                <?php
                require getenv('VENDOR').'/autoload.php';
                spl_autoload_register(static function (string $class): void {
                    foreach (['VividPull\\Core\\Tests\\' => 'core/tests', 'VividPull\\Core\\' => 'core/src'] as $space => $folder) {
                        $file = __DIR__."/{$folder}/".str_replace('\\', '/', substr($class, strlen($space))).'.php';
                        if (str_starts_with($class, $space) && is_file($file)) {
                            require $file;

                            return;
                        }
                    }
                }, prepend: true);
                PHP);
            $said = self::done(
                [
                    PHP_BINARY,
                    self::ROOT.'/vendor/bin/phpunit',
                    '--no-configuration',
                    '--bootstrap',
                    "{$copy}/found-first.php",
                    "{$copy}/{$test}",
                ],
                $copy,
                ['VENDOR' => self::ROOT.'/vendor'],
            );
            self::assertStringContainsString('OK (1 test', $said);
        } finally {
            self::done(['rm', '-rf', $copy], self::ROOT);
        }
    }

    /**
     * @param  list<string>  $command
     * @param  array<string, string>  $environment
     */
    private static function done(array $command, string $in, array $environment = []): string
    {
        $process = new Process($command, $in, $environment, timeout: 120);
        self::assertSame(0, $process->run(), $process->getErrorOutput().$process->getOutput());

        return $process->getOutput();
    }
}
