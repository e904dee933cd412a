<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Support\Str;
use Opis\JsonSchema\Validator;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\Process\Process;
use Tests\Support\HttpJob;
use Tests\TestCase;

/** What goes out as JSON is what its published schema says, as two validators read it that share no code. */
final class FormatsTest extends TestCase
{
    private const AJV = <<<'JS'
        import { readFileSync } from 'node:fs';
        import Ajv from 'ajv/dist/2020.js';
        import formats from 'ajv-formats';
        const ajv = new Ajv({ strict: false, allErrors: true });
        formats(ajv);
        const [file, ...schemas] = process.argv.slice(1).map((path) => JSON.parse(readFileSync(path, 'utf8')));
        for (const schema of schemas) ajv.addSchema(schema);
        const validate = ajv.getSchema(schemas.at(-1).$id);
        console.log(JSON.stringify(validate(file) ? [] : validate.errors.slice(0, 5)));
        JS;

    /** @return iterable<string, array{string}> */
    public static function exports(): iterable
    {
        yield 'history' => ['history'];
        yield 'readings' => ['readings'];
        yield 'specs' => ['specs'];
    }

    #[DataProvider('exports')]
    public function test_an_export_is_as_its_schema_says(string $what): void
    {
        $this
            ->signIn('oda')
            ->call(
                'PUT',
                '/api/imports/'.($id = (string) Str::uuid()).'?kind=history&name=x',
                content: "machine,control,day,usage,found_mm,left_mm,signed_by,parts\nRT-14,clutch,2025-01-10,2000,,15.3,Bo,cable\n",
            )
            ->assertCreated();
        $this->postJson("/api/imports/{$id}/run", ['without_rejected' => false])->assertOk();
        HttpJob::open($this->signIn())->ready()->read('25.3', '25')->line('v misread')->assertOk();
        $text = $this->get("/api/export/{$what}?as=json")->assertOk()->streamedContent();
        $schemas = [base_path('docs/formats/job-file.schema.json'), base_path("docs/formats/{$what}.schema.json")];
        $validator = new Validator;
        foreach ($schemas as $schema) {
            $validator->resolver()?->registerRaw(json_decode((string) file_get_contents($schema)));
        }
        self::assertTrue(
            $validator->validate(json_decode($text), "https://vivid-pull.example/schemas/{$what}-1.json")->isValid(),
        );
        $file = (string) tempnam(sys_get_temp_dir(), 'json');
        file_put_contents($file, $text);
        self::assertSame(
            '[]',
            trim(
                (new Process(['node', '--input-type=module', '-e', self::AJV, '--', $file, ...$schemas], base_path()))
                    ->mustRun()
                    ->getOutput(),
            ),
        );
        unlink($file);
    }
}
