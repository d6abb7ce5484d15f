<?php

declare(strict_types=1);

use Symfony\Component\Process\Process;
use UpperPane\Tests\Support\FaultClient;

require dirname(__DIR__, 2).'/vendor/autoload.php';

$stack = (string) getenv('STACK');
$port = $argv[1];
$client = new FaultClient((string) getenv('UPPER_PANE_URL'));
$lost = 0;
$row = static function (string $what, int $times, int $acknowledged, int $kept) use (&$lost): void {
    $lost += $acknowledged - $kept;
    printf("| %s | %d | %d | %d | %d |\n", $what, $times, $acknowledged, $kept, $acknowledged - $kept);
};
$pid = static fn (string $part): int => (int) @file_get_contents("$stack/run/$part.pid");
$started = static fn (string $part) => (new Process(['bin/fault', 'start', $part, $port], timeout: 120))->mustRun();
$query = static fn (string $sql): string => trim((new Process(['mariadb', '--no-defaults', "--socket=$stack/db/mysql.sock", '-N', '-e', $sql, 'upper_pane']))->mustRun()->getOutput());
$until = static function (string $what, callable $probe, int $seconds): bool {
    for ($end = time() + $seconds; time() < $end; usleep(500_000)) {
        if ($probe()) {
            return true;
        }
    }
    echo "    not within $seconds s: $what\n";

    return false;
};

/** Does the work while a shell loop breaks something again and again; gives how often it did. */
$while = static function (string $loop, callable $work): int {
    $breaker = Process::fromShellCommandline("count=0; trap 'echo \$count; exit' TERM; while :; do count=\$((count + 1)); $loop; done", timeout: null);
    $breaker->start();
    try {
        $work();
    } finally {
        $breaker->stop(5, SIGTERM);
    }

    return (int) trim($breaker->getOutput());
};
$pause = 'sleep 0.$((RANDOM % 7 + 2))$((RANDOM % 10)) & wait $!';
$ofFpm = "pkill -9 -P \$(cat $stack/run/fpm.pid); $pause";


/** Names a new design again and again: what was acknowledged is one revision each, no more, and the last name stays. */
$edits = static function (string $what, string $loop, int $seconds) use ($client, $query, $while, $row): void {
    $design = $client->newDesign();
    $count = 0;
    $times = $while($loop, static function () use ($client, $design, $seconds, &$count): void {
        for ($end = time() + $seconds; time() < $end; usleep(20_000)) {
            $client->edit($design, ['do' => 'design.name', 'name' => 'Edit '.++$count]);
        }
    });
    $steps = (int) $query("SELECT COUNT(*) FROM revision WHERE document_id = '$design' AND nature = 'edit'");
    $right = $query("SELECT CONCAT(revision, name) FROM document WHERE id = '$design'") === "{$count}Edit $count";
    $row($what, $times, $count, $right ? $steps : min($steps, $count - 1));
};

echo "| broken while people work | times | acknowledged | found again | lost |\n| --- | --- | --- | --- | --- |\n";
$only = $argv[2] ?? '';
$only === '' && require __DIR__.'/fault-work.php';
in_array($only, ['', 'acts'], true) && require __DIR__.'/fault-acts.php';
in_array($only, ['', 'files'], true) && require __DIR__.'/fault-files.php';

echo $lost === 0 ? "\nNothing was lost.\n" : "\nLost: $lost\n";
exit($lost === 0 ? 0 : 1);
