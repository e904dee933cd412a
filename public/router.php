<?php

declare(strict_types=1);

// Router of PHP's own server: files that exist are served with a type and a cache time, all else is the application.

$path = rawurldecode((string) parse_url((string) $_SERVER['REQUEST_URI'], PHP_URL_PATH));
if (str_contains($path, "\0")) {
    http_response_code(400);
    echo 'There is nothing under this address.';

    return true;
}
$file = realpath(__DIR__.$path);
$types = ['js' => 'text/javascript', 'css' => 'text/css', 'woff2' => 'font/woff2', 'svg' => 'image/svg+xml', 'png' => 'image/png', 'json' => 'application/json', 'webmanifest' => 'application/manifest+json', 'html' => 'text/html; charset=utf-8'];
$type = $types[pathinfo($path, PATHINFO_EXTENSION)] ?? null;

if ($file !== false && $type !== null && is_file($file) && str_starts_with($file, __DIR__.DIRECTORY_SEPARATOR)) {
    header("Content-Type: {$type}");
    header(str_starts_with($path, '/build/assets/') ? 'Cache-Control: public, max-age=31536000, immutable' : 'Cache-Control: no-cache');
    readfile($file);

    return true;
}

$_SERVER['SCRIPT_NAME'] = '/index.php';
require __DIR__.'/index.php';
