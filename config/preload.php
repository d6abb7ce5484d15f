<?php

declare(strict_types=1);

/*
 * What PHP-FPM loads once, before its first request: what the framework found to be used when the cache was warmed, and
 * every class of ours. Loading them again in each request costs more than most requests do. Changed code is read when
 * the app starts again.
 */

$root = dirname(__DIR__);
require_once "$root/vendor/autoload.php";

$var = getenv('UPPER_PANE_VAR') ?: "$root/var";
foreach (glob("$var/cache/prod/*.preload.php") ?: [] as $warmed) {
    require_once $warmed;
}
$whole = [
    'core' => 'UpperPane\Core',
    'src' => 'UpperPane\App',
    'vendor/doctrine/dbal/src/Types' => 'Doctrine\DBAL\Types',
    'vendor/doctrine/dbal/src/Driver/PDO' => 'Doctrine\DBAL\Driver\PDO',
    'vendor/doctrine/orm/src/Internal/Hydration' => 'Doctrine\ORM\Internal\Hydration',
    'vendor/doctrine/orm/src/Mapping' => 'Doctrine\ORM\Mapping',
    'vendor/doctrine/orm/src/Persisters' => 'Doctrine\ORM\Persisters',
];
foreach ($whole as $folder => $namespace) {
    $files = new RecursiveIteratorIterator(new RecursiveDirectoryIterator("$root/$folder", FilesystemIterator::SKIP_DOTS));
    foreach ($files as $file) {
        // A file that begins with a capital is a class; the others are tables of words.
        if (preg_match('#/([A-Z][^.]*)\.php$#', $file->getPathname()) === 1) {
            $name = substr($file->getPathname(), strlen("$root/$folder/"), -strlen('.php'));
            class_exists("$namespace\\".strtr($name, '/', '\\'));
        }
    }
}
