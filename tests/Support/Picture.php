<?php

declare(strict_types=1);

namespace Tests\Support;

use PHPUnit\Framework\Assert;

/** Black pictures, as files that a camera or a scanner could have made. */
final readonly class Picture
{
    public static function png(int $width = 60, int $height = 40): string
    {
        return self::written(imagepng(...), $width, $height);
    }

    public static function jpeg(int $width, int $height): string
    {
        return self::written(imagejpeg(...), $width, $height);
    }

    private static function written(callable $write, int $width, int $height): string
    {
        $picture = imagecreatetruecolor(max(1, $width), max(1, $height));
        Assert::assertNotFalse($picture);
        ob_start();
        $write($picture);

        return (string) ob_get_clean();
    }
}
