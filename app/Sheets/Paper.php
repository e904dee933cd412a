<?php

declare(strict_types=1);

namespace App\Sheets;

use Dompdf\Dompdf;
use Dompdf\Options;
use Illuminate\Contracts\View\Factory;
use Illuminate\Http\Response;

/**
 * A view as a sheet of paper, in the fonts of the screens. Nothing is fetched from anywhere; the fonts lie with the
 * app, for the packages of the screens are there to build them and cannot be read by whoever serves.
 */
final readonly class Paper
{
    private const FONTS = [
        'Atkinson Hyperlegible Next' => [
            'atkinson-hyperlegible-next-latin-%d-normal.woff',
            [400 => 'normal', 700 => 'bold'],
        ],
        'Sofia Sans Condensed' => ['sofia-sans-condensed-latin-%d-normal.woff', [400 => 'normal', 700 => 'bold']],
    ];

    public function __construct(private Factory $views) {}

    /** @param  array<string, mixed>  $what */
    public function of(string $view, array $what, string $name): Response
    {
        return new Response($this->pdf($view, $what), 200, [
            'Content-Type' => 'application/pdf',
            'Content-Disposition' => "inline; filename=\"{$name}.pdf\"",
            'Cache-Control' => 'private, no-store',
            'X-Content-Type-Options' => 'nosniff',
        ]);
    }

    /** @param  array<string, mixed>  $what */
    private function pdf(string $view, array $what): string
    {
        $folder = storage_path('framework/fonts');
        is_dir($folder) || mkdir($folder, 0775, true);
        $options = new Options([
            'fontDir' => $folder,
            'fontCache' => $folder,
            'isRemoteEnabled' => false,
            'isPhpEnabled' => false,
            'isJavascriptEnabled' => false,
            'chroot' => [resource_path('fonts'), $folder],
            'defaultFont' => 'Atkinson Hyperlegible Next',
            'isFontSubsettingEnabled' => true,
        ]);
        $paper = new Dompdf($options);
        foreach (self::FONTS as $family => [$file, $weights]) {
            foreach ($weights as $weight => $word) {
                $paper
                    ->getFontMetrics()
                    ->registerFont(
                        ['family' => $family, 'weight' => $word, 'style' => 'normal'],
                        self::font($folder, sprintf($file, $weight)),
                    );
            }
        }
        $paper->setPaper('A4');
        $paper->loadHtml($this->views->make("sheets.{$view}", $what)->render(), 'UTF-8');
        $paper->render();

        return (string) $paper->output();
    }

    private static function font(string $folder, string $woff): string
    {
        $file = $folder.'/'.basename($woff, '.woff').'.ttf';
        if (! is_file($file)) {
            // Written beside and moved into place, for two sheets may be asked for at once.
            $half = tempnam($folder, 'font');
            file_put_contents($half, TrueType::fromWoff((string) file_get_contents(resource_path("fonts/{$woff}"))));
            rename($half, $file);
        }

        return $file;
    }
}
