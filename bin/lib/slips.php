<?php

declare(strict_types=1);

/* Part of bin/slips: puts one slip at a time into a copy and runs what should notice it. Ends with 1 when one is not noticed. */

use Symfony\Component\Process\Process;

$root = dirname(__DIR__, 2);
require "$root/vendor/autoload.php";
/** @var list<array{string, string, string, string}> $slips */
$slips = require __DIR__.'/slips.list.php';
$which = $argv[1] ?? '';

$lives = 0;
foreach ($slips as [$file, $from, $to, $filter]) {
    $code = (string) file_get_contents("$root/$file");
    if (substr_count($code, $from) !== 1) {
        echo "  ✗ $file: what the slip is made of does not stand there once: $from\n";
        ++$lives;
        continue;
    }
    if ($which === '--look' || !str_starts_with($file, "$which/")) {
        continue;
    }
    $slipped = str_replace($from, $to, $code);
    if ($which === 'frontend') {
        $copy = sys_get_temp_dir().'/slip-'.bin2hex(random_bytes(4));
        mkdir("$copy/tests", 0o700, true);
        foreach (['frontend', 'config', 'vite.config.ts', 'package.json', 'tests/cases'] as $part) {
            (new Process(['cp', '-r', "$root/$part", "$copy/$part"]))->mustRun();
        }
        symlink("$root/node_modules", "$copy/node_modules");
        file_put_contents("$copy/$file", $slipped);
        $process = new Process(['npx', 'vitest', 'run', '--root', 'frontend', '--bail', '1'], $copy, timeout: 300);
    } else {
        preg_match('/^namespace ([\w\\\\]+);.*?^(?:final |readonly )*class (\w+)/ms', $code, $class);
        $copy = (string) tempnam(sys_get_temp_dir(), 'slip');
        file_put_contents($copy, $slipped);
        $process = new Process(
            ['php', '-d', 'zend.assertions=1', 'vendor/bin/phpunit', '--bootstrap', 'tests/Support/mutant.php', '--testsuite', 'App', '--filter', $filter, '--stop-on-defect', '--no-output', '--do-not-cache-result'],
            $root,
            ['MUTANT_CLASS' => "$class[1]\\$class[2]", 'MUTANT_FILE' => $copy, 'APP_ENV' => 'test'],
            timeout: 600,
        );
    }
    $noticed = $process->run() !== 0;
    (new Process(['rm', '-rf', $copy]))->mustRun();
    $lives += $noticed ? 0 : 1;
    printf("  %s %s: %s → %s\n", $noticed ? '✓' : '✗ not noticed:', $file, $from, $to === '' ? 'nothing' : $to);
}
exit($lives === 0 ? 0 : 1);
