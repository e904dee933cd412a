<?php

declare(strict_types=1);

namespace Tests\Support;

use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Validator;
use PHPUnit\Framework\Assert;
use Symfony\Component\HttpFoundation\Response;

/** The API document, and which of its operations and statuses the tests have met. */
final class Contract
{
    private const FILE = __DIR__.'/../../docs/api/openapi.json';

    private const URI = 'https://vivid-pull.example/openapi.json';

    /** @var array<string, true> */
    private static array $met = [];

    private static ?Validator $validator = null;

    /** @var array<string, mixed>|null read once: it is held against every answer of every test */
    private static ?array $document = null;

    /** @var array<string, string> what an address looks like, by its template */
    private static array $patterns = [];

    public static function hold(string $method, string $uri, ?string $content, Response $response): void
    {
        $path = (string) parse_url($uri, PHP_URL_PATH);
        if (! str_starts_with($path, '/api/')) {
            return;
        }
        $template = self::template(substr($path, 4));
        $operation = $template === null ? null : (self::document()['paths'][$template][strtolower($method)] ?? null);
        if ($operation === null) {
            Assert::assertContains(
                $response->getStatusCode(),
                [404, 405],
                "{$method} {$path} is answered, and no part of the API document.",
            );

            return;
        }
        $status = (string) $response->getStatusCode();
        Assert::assertArrayHasKey(
            $status,
            $operation['responses'],
            "{$method} {$template} answered {$status}, which its document does not know: ".$response->getContent(),
        );
        self::$met["{$method} {$template} {$status}"] = true;
        self::holdBody($method, $template, $status, $operation['responses'][$status], $response);
        if ($status[0] === '2' && isset($operation['requestBody']['content']['application/json'])) {
            self::valid(
                json_decode((string) $content),
                "{$template}/".strtolower($method).'/requestBody',
                ['requestBody', 'content', 'application/json', 'schema'],
                $template,
                $method,
            );
        }
    }

    /** @return list<string> operations with a status that no test has met */
    public static function unmet(): array
    {
        $all = [];
        foreach (self::document()['paths'] as $template => $operations) {
            foreach ($operations as $method => $operation) {
                foreach (array_keys($operation['responses']) as $status) {
                    $all[] = strtoupper((string) $method)." {$template} {$status}";
                }
            }
        }

        return array_values(array_diff($all, array_keys(self::$met)));
    }

    /** @return array<string, mixed> */
    public static function document(): array
    {
        return self::$document ??= json_decode(
            (string) file_get_contents(self::FILE),
            true,
            flags: JSON_THROW_ON_ERROR,
        );
    }

    /** @param  array<string, mixed>  $described */
    private static function holdBody(
        string $method,
        string $template,
        string $status,
        array $described,
        Response $response,
    ): void {
        if (! isset($described['content'])) {
            Assert::assertSame('', (string) $response->getContent());

            return;
        }
        $types = array_filter(
            array_keys($described['content']),
            static fn (string|int $one): bool => str_starts_with(
                (string) $response->headers->get('Content-Type'),
                (string) $one,
            ),
        );
        Assert::assertNotSame(
            [],
            $types,
            "{$method} {$template} {$status} is none of: ".implode(', ', array_keys($described['content'])).'.',
        );
        $type = (string) reset($types);
        self::valid(
            json_decode((string) $response->getContent()),
            "{$method} {$template} {$status}",
            ['responses', $status, 'content', $type, 'schema'],
            $template,
            $method,
        );
    }

    /** @param  list<string>  $place */
    private static function valid(mixed $value, string $what, array $place, string $template, string $method): void
    {
        $pointer = implode('/', array_map(
            static fn (string $part): string => rawurlencode(str_replace(['~', '/'], ['~0', '~1'], $part)),
            ['paths', $template, strtolower($method), ...$place],
        ));
        $result = self::validator()->validate($value, self::URI.'#/'.$pointer);
        $error = $result->error();
        Assert::assertTrue(
            $result->isValid(),
            "{$what}: ".($error === null ? '' : json_encode((new ErrorFormatter)->format($error))),
        );
    }

    private static function validator(): Validator
    {
        if (self::$validator === null) {
            self::$validator = new Validator;
            $document = json_decode((string) file_get_contents(self::FILE));
            $document->{'$schema'} = 'https://json-schema.org/draft/2020-12/schema';
            self::$validator->resolver()?->registerRaw($document, self::URI);
        }

        return self::$validator;
    }

    private static function template(string $path): ?string
    {
        if (self::$patterns === []) {
            foreach (array_keys(self::document()['paths']) as $template) {
                self::$patterns[(string) $template] = '#^'
                    .preg_replace('/\\\\\{\w+\\\\\}/', '[^/]+', preg_quote((string) $template, '#')).'$#';
            }
        }
        foreach (self::$patterns as $template => $pattern) {
            if (preg_match($pattern, $path) === 1) {
                return $template;
            }
        }

        return null;
    }
}
