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
$edits('PHP killed, edits', $ofFpm, 40);
$edits('nginx killed, edits', "pkill -9 -P \$(cat $stack/run/nginx.pid); $pause", 30);
$edits('MariaDB killed and started again, edits', "kill -9 \$(cat $stack/run/mariadb.pid); sleep 1; bin/fault start mariadb $port; sleep 3", 60);
$edits('MariaDB gone for a minute, edits', "sleep 5; kill -9 \$(cat $stack/run/mariadb.pid); sleep 60; bin/fault start mariadb $port; sleep 600 & wait \$!", 75);
$edits('a disk that stalls for 3 s (MariaDB held and let go), edits', "kill -STOP \$(cat $stack/run/mariadb.pid); sleep 3; kill -CONT \$(cat $stack/run/mariadb.pid); sleep 1", 30);

// Ends what the three workers run, and all that this runs, by their ids: a pattern would end others' too.
$ofWorkers = "below() { for p in \$(pgrep -P \$1); do echo \$p; below \$p; done; }; for loop in \$(pgrep -P \$(cat $stack/run/worker.pid)); do kill -9 \$(below \$loop) 2>/dev/null; done";

// Uploads and what the worker makes of them, killed together with the programs it runs.
$files = [];
for ($i = 0; $i < 6; ++$i) {
    $files[] = $file = sys_get_temp_dir()."/fault-$i-".getmypid().($i < 4 ? '.png' : '.mp4');
    (new Process(['ffmpeg', '-v', 'error', '-y', '-f', 'lavfi', '-i', 'mandelbrot=size='.(800 + 100 * $i).'x600:rate=10', '-frames:v', $i < 4 ? '1' : '60', '-pix_fmt', $i < 4 ? 'rgb24' : 'yuv420p', $file], timeout: 120))->mustRun();
}
$ids = [];
$times = $while("$ofWorkers; sleep 1.\$((RANDOM % 9))", static function () use ($client, $files, &$ids): void {
    foreach ($files as $file) {
        $ids[] = $client->send('POST', '/api/sites/harrowmere/stock', ['file' => new CURLFile($file)])['id'];
        usleep(700_000);
    }
});
array_map(unlink(...), $files);
$ready = static fn (): int => (int) $query("SELECT COUNT(*) FROM media WHERE state = 'ready' AND id IN ('".implode("','", $ids)."')");
$until('all media are ready', static fn () => $ready() === count($ids), 180);
$row('worker and ffmpeg killed, uploads', $times, count($ids), $ready());

// Releases and hand-offs: what was acknowledged is what the player's file names, byte for byte.
$design = $client->newDesign();
$client->edit($design, ['do' => 'fill.begin', 'zone' => 'z-'.substr($design, 0, 8), 'kind' => 'colour', 'entry' => 'e-1']);
$handed = 0;
$hand = static function () use ($client, $design, &$handed): void {
    $release = $client->send('POST', "/api/designs/$design/releases", ['revision' => $client->revision($design), 'note' => '', 'made_as' => FaultClient::uuid()]);
    $client->send('POST', '/api/surfaces/cafe/hand-off', ['release' => $release['release'], 'after' => $handed, 'made_as' => FaultClient::uuid()]);
    ++$handed;
};
$wrong = static function () use ($stack, $query): int {
    [$key, $number, $sha256] = explode("\t", $query("SELECT p.orders_key, p.orders_number, g.sha256 FROM player p JOIN hand_off h ON h.surface_id = p.surface_id JOIN programme g ON g.id = h.programme_id WHERE p.code = 'cafe-1' ORDER BY h.number DESC LIMIT 1"));
    $orders = json_decode((string) @file_get_contents("$stack/published/orders/$key.json"), true);
    $programme = (string) @file_get_contents("$stack/published".($orders['programme']['url'] ?? '/none'));
    $plan = json_decode($programme, true)['intervals'][0]['plan'] ?? ['base' => '/none/', 'sha256' => ''];

    return ($orders['number'] ?? 0) === (int) $number && hash('sha256', $programme) === $sha256
        && @hash_file('sha256', "$stack/published{$plan['base']}plan.json") === $plan['sha256'] ? 0 : 1;
};
$kept = static fn (): int => (int) $query("SELECT COUNT(*) FROM hand_off h JOIN surface s ON s.id = h.surface_id WHERE s.code = 'cafe'") - $wrong();
$times = $while($ofFpm, static fn () => array_map($hand, range(1, 40)));
$until('the orders are right', static fn () => $wrong() === 0, 120);
$row('PHP killed, hand-offs', $times, $handed, $kept());
$before = $handed;
$times = $while("$ofWorkers; rm -rf $stack/published/orders/*; sleep 1", static fn () => array_map($hand, range(1, 40)));
$until('the orders are right', static fn () => $wrong() === 0, 150);
$row('orders deleted, worker killed, hand-offs', $times, $handed - $before, $kept() - $before);

// A full disk under what players fetch: handed off all the same, said on the card, and made good when there is room.
$mounted = (new Process(['mount', '-t', 'tmpfs', '-o', 'size=64m,mode=0777', 'tmpfs', "$stack/published"]))->run() === 0;
if ($mounted) {
    $until('what players fetch is written again', static fn () => $wrong() === 0, 150);
    (new Process(['dd', 'if=/dev/zero', "of=$stack/published/filler", 'bs=1M'], timeout: 60))->run();
    $before = $handed;
    array_map($hand, range(1, 5));
    $card = static fn (): mixed => array_column(array_merge(...array_column($client->send('GET', '/api/sites/harrowmere/hand-off')['surfaces'], 'players')), 'waits', 'code')['cafe-1'];
    $said = $card() !== null;
    echo $said ? '' : "    the card did not say that files wait\n";
    unlink("$stack/published/filler");
    $until('the orders are right', static fn () => $wrong() === 0 && $card() === null, 150);
    $row('disk full, hand-offs', 1, $handed - $before, $kept() - $before - ($said ? 0 : 1));
} else {
    echo "    not tried: a full disk (no file system may be mounted here)\n";
}
// A full folder for temporary files, at each step of an upload: refused in words, nothing of it kept, and taken when there is room.
$temporary = sys_get_temp_dir();
$filler = "$temporary/fault-filler";
$room = (new Process(['sh', '-c', "df --output=avail -B1 $temporary | tail -1"]))->mustRun()->getOutput();
$isSmall = (int) $room < (1 << 30);
if ($isSmall) {
    $bytes = random_bytes(9 << 20);
    file_put_contents($file = "$stack/fault-large.png", $bytes);
    (new Process(['sh', '-c', "dd if=/dev/zero of=$filler bs=1M 2>/dev/null; true"], timeout: 120))->run();
    $code = '';
    try {
        $client->send('POST', '/api/sites/harrowmere/stock', ['file' => new CURLFile($file)]);
    } catch (RuntimeException $fault) {
        $code = $fault->getMessage();
    }
    unlink($filler);
    $row('temporary folder full, upload refused', 1, 1, str_contains($code, '507') || str_contains($code, 'no_room') || str_contains($code, 'upload_broken') ? 1 : 0);
    unlink($file);
} else {
    echo "    not tried: a full folder for temporary files (run with TMPDIR on a file system below 1 GB)\n";
}

echo $lost === 0 ? "\nNothing was lost.\n" : "\nLost: $lost\n";
exit($lost === 0 ? 0 : 1);
