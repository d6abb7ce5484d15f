<?php

declare(strict_types=1);

/* Loads one class from another file than its own: what bin/mutate runs the tests with. */
require \dirname(__DIR__, 2).'/vendor/autoload.php';

spl_autoload_register(static function (string $class): void {
    if ($class === getenv('MUTANT_CLASS')) {
        require (string) getenv('MUTANT_FILE');
    }
}, prepend: true);
