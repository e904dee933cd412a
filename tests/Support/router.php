<?php

declare(strict_types=1);

// Router of the tests' server: the application, and beside it axe-core, since its pages run no script of another place.

if ($_SERVER['REQUEST_URI'] === '/tests/axe.js') {
    header('Content-Type: text/javascript');
    header('Cache-Control: public, max-age=31536000, immutable');
    readfile(__DIR__.'/../../node_modules/axe-core/axe.min.js');

    return true;
}

return require __DIR__.'/../../public/router.php';
