<?php

declare(strict_types=1);

/*
 * The core, loaded once when the server starts and not with every request: it is small, it depends on nothing, and
 * every logged line needs most of it.
 */

require __DIR__.'/../core/autoload.php';

$files = new RecursiveIteratorIterator(new RecursiveDirectoryIterator(__DIR__.'/../core/src', FilesystemIterator::SKIP_DOTS));
foreach ($files as $file) {
    $name = str_replace('/', '\\', substr($file->getPathname(), strlen(__DIR__.'/../core/src/'), -4));
    class_exists("VividPull\\Core\\{$name}");
}
