<?php

declare(strict_types=1);

// The core without Composer, so that bin/vivid runs on a bare clone.
spl_autoload_register(static function (string $class): void {
    $prefix = 'VividPull\\Core\\';
    $file = __DIR__.'/src/'.strtr(substr($class, strlen($prefix)), '\\', '/').'.php';
    if (str_starts_with($class, $prefix) && is_file($file)) {
        require $file;
    }
});
