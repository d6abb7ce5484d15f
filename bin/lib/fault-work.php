<?php

declare(strict_types=1);

/*
 * What goes wrong with edits, uploads and hand-offs while processes are killed, disks stall and fill. Included by
 * fault.php.
 */

use Symfony\Component\Process\Process;
use UpperPane\Tests\Support\FaultClient;

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
