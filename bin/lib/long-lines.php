<?php

declare(strict_types=1);

/*
 * Lines of PHP longer than 120 characters: php bin/lib/long-lines.php FILE…
 * A text that would have to be cut (an input, a script for a browser) is left as it is.
 */

$long = [];
foreach (array_slice($argv, 1) as $file) {
    $text = [];
    foreach (token_get_all((string) file_get_contents($file)) as $token) {
        if (is_array($token) && in_array($token[0], [\T_CONSTANT_ENCAPSED_STRING, \T_ENCAPSED_AND_WHITESPACE], true)) {
            foreach (explode("\n", $token[1]) as $offset => $line) {
                $text[$token[2] + $offset] = max($text[$token[2] + $offset] ?? 0, mb_strlen($line));
            }
        }
    }
    foreach (file($file, \FILE_IGNORE_NEW_LINES) ?: [] as $index => $line) {
        if (mb_strlen($line) > 120 && ($text[$index + 1] ?? 0) < 50) {
            $long[] = sprintf('%s:%d  %d characters', $file, $index + 1, mb_strlen($line));
        }
    }
}
echo implode("\n", $long), $long === [] ? '' : "\n";
exit($long === [] ? 0 : 1);
