<?php

declare(strict_types=1);

// One page of a ZIP to standard output, by PageBundler in a process of its own; what is wrong as JSON to standard error.

use UpperPane\App\Adapter\PageBundler;
use UpperPane\Core\Base\Refusal;

require dirname(__DIR__, 2).'/vendor/autoload.php';

try {
    echo (new PageBundler(dirname(__DIR__, 2)))->bundle($argv[1] ?? '');
} catch (Refusal $refusal) {
    fwrite(\STDERR, (string) json_encode(['code' => $refusal->refusalCode]));
    exit(2);
}
