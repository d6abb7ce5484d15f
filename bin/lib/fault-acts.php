<?php

declare(strict_types=1);

/*
 * Acts and orders while what writes them is killed, after a restored backup, and with a clock that goes back. Included by
 * fault.php, with its $client, $query, $until, $while, $row, $ofFpm, $pause, $stack, $pid and $started.
 */

use Symfony\Component\Process\Process;
use UpperPane\Tests\Support\FaultClient;

$key = $query("SELECT acts_key FROM site WHERE slug = 'harrowmere'");
$file = static fn (): array => (array) json_decode((string) @file_get_contents("$stack/published/orders/acts-$key.json"), true);
$standing = [];
/** Every second act is cleared again: what was acknowledged stands, what was cleared does not. */
$act = static function (int $index) use ($client, &$standing): void {
    $id = FaultClient::uuid();
    $client->send('POST', '/api/sites/harrowmere/acts', ['act' => $id, 'kind' => 'standby', 'targets' => ['player:cafe-1']]);
    if ($index % 2 === 0) {
        $client->send('POST', "/api/acts/$id/clear");
    } else {
        $standing[] = $id;
    }
};
$isRight = static function () use ($file, &$standing): bool {
    $there = array_column($file()['list'] ?? [], 'id');
    sort($there);
    sort($standing);

    return $there === $standing;
};
$clear = static function () use ($client, &$standing): void {
    array_map(static fn (string $id) => $client->send('POST', "/api/acts/$id/clear"), $standing);
    $standing = [];
};
$ofActs = "pkill -9 -f '[c]onsole app:acts'; $pause";
foreach ([
    'PHP killed, acts' => $ofFpm,
    'what writes acts killed, and its file deleted' => "rm -f $stack/published/orders/acts-*; $ofActs",
] as $what => $loop) {
    $times = $while($loop, static fn () => array_map($act, range(1, 40)));
    $kept = $until('the file of acts is right', $isRight, 10);
    $row($what, $times, 40, $kept ? 40 : 0);
    $clear();
}

// Yesterday's backup under running players: what comes after it is obeyed, since numbers never fall.
$hand = static function () use ($client): void {
    foreach ($client->send('GET', '/api/sites/harrowmere/hand-off')['surfaces'] as $one) {
        if ($one['surface']['code'] === 'kiosk') {
            $given = ['release' => $one['releases'][0]['release'], 'after' => $one['after'], 'made_as' => FaultClient::uuid()];
            $client->send('POST', '/api/surfaces/kiosk/hand-off', $given);
        }
    }
};
$numbers = static fn (): array => array_map(intval(...), [
    $query("SELECT orders_number FROM player WHERE code = 'kiosk-1'"),
    $query("SELECT acts_number FROM site WHERE slug = 'harrowmere'"),
]);
$hand();
$tables = ['hand_off', 'programme', 'player', 'act', 'site', 'proof', 'stretch'];
$backup = sys_get_temp_dir().'/fault-backup-'.bin2hex(random_bytes(4)).'.sql';
(new Process(['sh', '-c', "mariadb-dump --no-defaults --socket=$stack/db/mysql.sock upper_pane ".implode(' ', $tables)." > $backup"]))->mustRun();
$risen = 0;
foreach (range(1, 3) as $round) {
    $hand();
    $act(1);
    $before = $numbers();
    (new Process(['sh', '-c', "mariadb --no-defaults --socket=$stack/db/mysql.sock upper_pane < $backup"], timeout: 120))->mustRun();
    $standing = [];
    $hand();
    $act(2);
    $after = $numbers();
    $risen += (int) ($after[0] > $before[0] && $after[1] > $before[1]);
}
unlink($backup);
$row('backup restored, numbers of orders and acts', 3, 3, $risen);

// The server's clock goes back by a day.
$before = $numbers();
posix_kill($pid('fpm'), SIGTERM);
$until('PHP is gone', static fn () => !file_exists("$stack/run/fpm.sock") || !posix_kill($pid('fpm'), 0), 20);
putenv('UPPER_PANE_CLOCK=-86400000');
$started('fpm');
$hand();
$act(2);
$after = $numbers();
$row('the clock a day back, numbers of orders and acts', 1, 1, (int) ($after[0] > $before[0] && $after[1] > $before[1]));
posix_kill($pid('fpm'), SIGTERM);
$until('PHP is gone', static fn () => !file_exists("$stack/run/fpm.sock") || !posix_kill($pid('fpm'), 0), 20);
putenv('UPPER_PANE_CLOCK');
$started('fpm');
