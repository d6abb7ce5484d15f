<?php

declare(strict_types=1);

/* Lines of PHP longer than 120 characters: php bin/lib/long-lines.php FILE… */

$long = [];
foreach (array_slice($argv, 1) as $file) {
    foreach (file($file, \FILE_IGNORE_NEW_LINES) ?: [] as $number => $line) {
        if (mb_strlen($line) > 120) {
            $long[] = sprintf('%s:%d  %d characters', $file, $number + 1, mb_strlen($line));
        }
    }
}
echo implode("\n", $long), $long === [] ? '' : "\n";
exit($long === [] ? 0 : 1);
