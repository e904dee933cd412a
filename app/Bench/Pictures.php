<?php

declare(strict_types=1);

namespace App\Bench;

use App\Models\Photo;
use App\Models\User;
use App\Refusals\Conflict;
use Carbon\CarbonImmutable;
use GdImage;
use Illuminate\Database\UniqueConstraintViolationException;
use VividPull\Core\Errors\Refused;
use VividPull\Core\Log\Entry\PhotoTaken;

/**
 * Takes a picture in: what it is, is told by its content and not by its name; it is made small and written anew, so
 * that nothing a phone adds to it (where it was, when, by which device) is kept.
 */
final readonly class Pictures
{
    private const MOST_BYTES = 12 * 1024 * 1024;

    /** What a camera sells as twelve megapixels is a little more. */
    private const MOST_PIXELS = 12 * 1024 * 1024;

    private const LONGEST_SIDE = 1600;

    private const QUALITY = 82;

    private const KINDS = [IMAGETYPE_JPEG, IMAGETYPE_PNG, IMAGETYPE_WEBP];

    /**
     * @throws Refused If it is no picture, or too large.
     * @throws Conflict If another picture stands under its id.
     */
    public static function keep(JobHead $job, User $user, string $id, string $bytes, CarbonImmutable $now): void
    {
        $digest = hash('sha256', $bytes);
        $same = Photo::query()->find($id, ['id', 'job_id', 'digest']);
        if ($same !== null) {
            if ($same->job_id !== $job->id || $same->digest !== $digest) {
                throw new Conflict('Another picture stands under this id. Nothing was changed.');
            }

            return;
        }
        try {
            Photo::query()->create(self::anew($bytes) + ['id' => $id, 'job_id' => $job->id, 'user_id' => $user->id,
                'digest' => $digest, 'taken_in_at' => $now->utc()->format('Y-m-d H:i:s.v')]);
        } catch (UniqueConstraintViolationException $e) {
            throw new Conflict('Another picture stands under this id. Nothing was changed.', previous: $e);
        }
    }

    /**
     * The picture made small and written anew.
     *
     * @return array{width_px: int, height_px: int, jpeg: string, sum: string}
     *
     * @throws Refused If it is no picture, or too large.
     */
    public static function anew(string $bytes): array
    {
        $picture = self::small(self::upright(self::read($bytes), $bytes));
        ob_start();
        imagejpeg($picture, null, self::QUALITY);

        $jpeg = (string) ob_get_clean();

        return [
            'width_px' => imagesx($picture),
            'height_px' => imagesy($picture),
            'jpeg' => $jpeg,
            'sum' => hash('sha256', $jpeg),
        ];
    }

    /** @throws Refused If the entry speaks of a picture that this job does not have. */
    public static function mustHold(JobHead $job, PhotoTaken $taken): void
    {
        if (Photo::query()->where('job_id', $job->id)->whereKey($taken->photo)->doesntExist()) {
            throw Refused::because('The picture did not arrive. Take it again.');
        }
    }

    private static function read(string $bytes): GdImage
    {
        if (strlen($bytes) > self::MOST_BYTES) {
            throw Refused::because('That picture is larger than 12 MB. Take it again, smaller.');
        }
        $size = @getimagesizefromstring($bytes);
        if ($size === false || ! in_array($size[2], self::KINDS, true)) {
            throw Refused::because(
                'That is no picture the bench can keep. Take a photo, or choose a JPEG, PNG or WebP.',
            );
        }
        if ($size[0] * $size[1] > self::MOST_PIXELS || $size[0] < 1 || $size[1] < 1) {
            throw Refused::because('That picture has more points than the bench can hold. Take it again, smaller.');
        }
        $picture = @imagecreatefromstring($bytes);

        return $picture === false ? throw Refused::because('That picture is damaged. Take it again.') : $picture;
    }

    /** As it was held: phones turn a picture by a note inside it, which is not kept. */
    private static function upright(GdImage $picture, string $bytes): GdImage
    {
        $noted = function_exists('exif_read_data')
            ? @exif_read_data('data://application/octet-stream;base64,'.base64_encode($bytes))
            : false;
        $turn = match (is_array($noted) ? $noted['Orientation'] ?? 1 : 1) {
            3 => 180,
            6 => -90,
            8 => 90,
            default => 0,
        };
        $turned = $turn === 0 ? $picture : imagerotate($picture, $turn, 0);

        return $turned === false ? $picture : $turned;
    }

    private static function small(GdImage $picture): GdImage
    {
        $longest = max(imagesx($picture), imagesy($picture));
        $share = min(1.0, self::LONGEST_SIDE / $longest);
        [$width, $height] = [
            max(1, (int) round(imagesx($picture) * $share)),
            max(1, (int) round(imagesy($picture) * $share)),
        ];
        $small = imagecreatetruecolor($width, $height);
        if ($small === false) {
            throw Refused::because('That picture could not be made smaller. Take it again.');
        }
        imagefill($small, 0, 0, (int) imagecolorallocate($small, 255, 255, 255));
        imagecopyresampled($small, $picture, 0, 0, 0, 0, $width, $height, imagesx($picture), imagesy($picture));

        return $small;
    }
}
