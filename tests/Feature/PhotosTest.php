<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Photo;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\HttpFoundation\Response;
use Tests\Support\HttpJob;
use Tests\Support\Picture;
use Tests\TestCase;

/** Pictures: told by their content, made small, and without what a phone writes into them. */
final class PhotosTest extends TestCase
{
    private HttpJob $job;

    protected function setUp(): void
    {
        parent::setUp();
        $this->job = HttpJob::open($this->signIn());
    }

    public function test_a_picture_is_made_small_and_loses_where_it_was_taken(): void
    {
        $id = (string) Str::uuid();
        $jpeg = self::withLocation(Picture::jpeg(2400, 1200));
        self::assertStringContainsString('GPSLatitude secret', $jpeg);
        $this->keep($id, $jpeg)->assertOk();
        $answer = $this
            ->get("/api/jobs/{$this->job->id}/photos/{$id}")
            ->assertOk()
            ->assertHeader('Content-Type', 'image/jpeg')
            ->assertHeader('X-Content-Type-Options', 'nosniff');
        $kept = (string) $answer->getContent();
        self::assertSame([1600, 800, IMAGETYPE_JPEG], array_slice((array) getimagesizefromstring($kept), 0, 3));
        self::assertStringNotContainsString('GPSLatitude', $kept);
        $this->job->body('photo', ['photo' => $id, 'of' => 'route'])->assertOk();
        self::assertSame(
            [['id' => $id, 'of' => 'route']],
            array_map(
                static fn (array $one): array => ['id' => $one['id'], 'of' => $one['of']],
                $this->job->state['beside']['photos'],
            ),
        );
    }

    public function test_a_repeat_is_kept_once_and_another_picture_under_its_id_is_refused(): void
    {
        $id = (string) Str::uuid();
        $this->keep($id, Picture::jpeg(60, 40))->assertOk();
        $this->keep($id, Picture::jpeg(60, 40))->assertOk();
        $this->keep($id, Picture::jpeg(61, 40))->assertStatus(409);
        self::assertSame(1, Photo::query()->count());
    }

    /** @return iterable<string, array{string, string}> */
    public static function noPictures(): iterable
    {
        yield 'nothing' => ['', 'That is no picture'];
        yield 'text that says it is a picture' => ["\xFF\xD8\xFFhello", 'no picture'];
        yield 'a script' => ['<svg xmlns="http://www.w3.org/2000/svg" onload="alert(1)"/>', 'That is no picture'];
        // A PNG of seven kilobytes can hold sixty million points: its head alone is read before it is drawn.
        yield 'more points than are drawn at once' => [
            "\x89PNG\r\n\x1a\n".pack('N', 13).'IHDR'.pack('NNCCCCC', 7700, 7700, 8, 2, 0, 0, 0).pack('N', 0),
            'more points than the bench can hold',
        ];
        yield 'more than twelve megabytes' => [
            Picture::jpeg(60, 40).str_repeat('x', 12 * 1024 * 1024),
            'larger than 12 MB',
        ];
        yield 'half a picture' => [substr(Picture::jpeg(60, 40), 0, 30), 'picture'];
        yield 'a picture of another kind' => [
            "GIF89a\x01\x00\x01\x00\x80\x00\x00\xff\xff\xff\x00\x00\x00!\xf9\x04\x01\x00\x00\x00\x00,\x00\x00\x00\x00\x01\x00\x01\x00\x00\x02\x02D\x01\x00;",
            'That is no picture the bench can keep',
        ];
    }

    #[DataProvider('noPictures')]
    public function test_what_is_no_picture_gets_a_sentence(string $bytes, string $sentence): void
    {
        $answer = $this->keep((string) Str::uuid(), $bytes)->assertStatus(422);
        self::assertStringContainsString($sentence, (string) $answer->json('detail'));
        self::assertSame(0, Photo::query()->count());
    }

    public function test_a_closed_job_takes_no_picture_any_more(): void
    {
        $this->job->line('tag frayed wire')->assertOk();
        $this->job->body('closed', ['outcome' => 'tagged'])->assertOk();
        self::assertStringContainsString(
            'This job was closed by',
            (string) $this->keep((string) Str::uuid(), Picture::jpeg(10, 10))->assertStatus(422)->json('detail'),
        );
    }

    public function test_an_entry_of_a_picture_that_never_arrived_is_refused(): void
    {
        $answer = $this->job->body('photo', ['photo' => (string) Str::uuid(), 'of' => 'route'])->assertStatus(422);
        self::assertSame('The picture did not arrive. Take it again.', $answer->json('detail'));
    }

    public function test_pictures_are_for_those_who_may_log_and_are_signed_in(): void
    {
        $this->get("/api/jobs/{$this->job->id}/photos/".Str::uuid())->assertNotFound();
        $this->keep((string) Str::uuid(), Picture::jpeg(10, 10), 'no-such-job')->assertNotFound();
        $this->signIn('office');
        $this->keep((string) Str::uuid(), Picture::jpeg(10, 10))->assertForbidden();
        $this->signIn('tomas');
        self::assertStringContainsString(
            'is not on this job. Join it first',
            (string) $this->keep((string) Str::uuid(), Picture::jpeg(10, 10))->assertStatus(422)->json('detail'),
        );
        $this->app->make('auth')->forgetGuards();
        $this->keep((string) Str::uuid(), Picture::jpeg(10, 10))->assertUnauthorized();
        $this->getJson("/api/jobs/{$this->job->id}/photos/".Str::uuid())->assertUnauthorized();
    }

    /** @return TestResponse<Response> */
    private function keep(string $id, string $bytes, ?string $job = null): TestResponse
    {
        return $this->call(
            'PUT',
            '/api/jobs/'.($job ?? $this->job->id)."/photos/{$id}",
            server: ['HTTP_ACCEPT' => 'application/json', 'CONTENT_TYPE' => 'application/octet-stream'],
            content: $bytes,
        );
    }

    /** The same with an application segment, as a phone writes one. */
    private static function withLocation(string $jpeg): string
    {
        $note = "Exif\0\0GPSLatitude secret";

        return substr($jpeg, 0, 2)."\xFF\xE1".pack('n', strlen($note) + 2).$note.substr($jpeg, 2);
    }
}
