<?php

declare(strict_types=1);

/*
 * (r) how soon 20 players hear of an act and of a hand-off, also with 50 conversions waiting; (s) a minute of 1,000
 * players; (t) windows of many entries; (u) the lookup in a timeline; (v) an almanac of lists with hours. Included by
 * bench.php, with its $client, $row, $percentile and $address.
 */

use Symfony\Component\Process\Process;
use UpperPane\Core\Base\Input;
use UpperPane\Core\Plan\Almanac;
use UpperPane\Core\Schedule\Windows;
use UpperPane\Core\Schedule\ZoneTime;
use UpperPane\Core\Time\Timeline;
use UpperPane\Tests\Support\BenchClient;
use UpperPane\Tests\Support\Pollers;

$token = bin2hex(random_bytes(24));
$client->call('POST', '/api/players/kiosk-1/pairing', ['token' => $token]);
$paired = $client->call('POST', '/api/play/kiosk-1/pair', null, ["Authorization: Bearer $token"]);
$orders = $client->call('GET', $paired['orders']);
$database = new PDO(sprintf(
    'mysql:unix_socket=%s/db/mysql.sock;dbname=upper_pane',
    (string) getenv('STACK'),
), 'root');
$heard = static function (string $path, int $everyMs, Closure $do) use ($address, $percentile): array {
    [$news, $latencies] = [[], []];
    $pollers = new Pollers($address, static function (int $index, string $body) use (&$news): void {
        $news[$index] = ['number' => json_decode($body, true)['number'] ?? 0, 'ms' => Pollers::nowMs()];
    });
    for ($i = 0; $i < 20; ++$i) {
        $pollers->add($path, $everyMs);
    }
    $pollers->run(2 * $everyMs / 1000 + 0.5);
    for ($i = 0; $i < 15; ++$i) {
        // At any moment of their polls.
        $pollers->run(random_int(0, $everyMs) / 1000);
        $news = [];
        $begun = Pollers::nowMs();
        $do($i);
        $pollers->run(10, static function () use (&$news): bool {
            return count($news) === 20;
        });
        foreach ($news as ['ms' => $ms]) {
            $latencies[] = ($ms - $begun) / 1000;
        }
        if (count($news) < 20) {
            throw new RuntimeException('A player never heard.');
        }
    }

    return ['p50' => $percentile($latencies, 0.5), 'p95' => $percentile($latencies, 0.95)];
};
$standing = '';
$act = static function (int $i) use ($client, &$standing): void {
    if ($i % 2 === 0) {
        $standing = BenchClient::uuid();
        $client->call('POST', '/api/sites/harrowmere/acts', ['act' => $standing, 'kind' => 'standby', 'targets' => ['site']]);
    } else {
        $client->call('POST', "/api/acts/$standing/clear");
    }
};
$took = $heard($orders['acts'], 900, $act);
$client->call('POST', "/api/acts/$standing/clear");
$row('(r) an act: from the press until 20 players have it, p95', $took['p95'], ' s', 1.5);
$row('(r) the same, p50', $took['p50'], ' s', null);
$hand = static function () use ($client): void {
    foreach ($client->call('GET', '/api/sites/harrowmere/hand-off')['surfaces'] as $one) {
        if ($one['surface']['code'] === 'kiosk') {
            $client->call('POST', '/api/surfaces/kiosk/hand-off', [
                'release' => $one['releases'][0]['release'],
                'after' => $one['after'],
                'made_as' => BenchClient::uuid(),
            ]);
        }
    }
};
$took = $heard($paired['orders'], 2000, $hand);
$row('(r) a hand-off: from the press until 20 players have its orders, p95', $took['p95'], ' s', 3);

// Fifty films of 4K wait for the one worker that converts.
$folder = sys_get_temp_dir().'/bench-clock-'.bin2hex(random_bytes(4));
mkdir($folder);
(new Process([
    'ffmpeg', '-v', 'error', '-f', 'lavfi', '-i', 'testsrc2=size=3840x2160:rate=25:duration=3', '-c:v', 'mpeg4', '-q:v', '9', "$folder/film.avi",
]))->setTimeout(300)->mustRun();
$bytes = (string) file_get_contents("$folder/film.avi");
$sent = 0;
$upload = $client->send('harrowmere', 'film.avi', strlen($bytes), static function (int $length) use ($bytes, &$sent): string {
    $sent += $length;

    return substr($bytes, $sent - $length, $length);
}, 8 << 20);
$client->call('POST', "$upload/done");
$database->exec(
    "INSERT INTO job (kind, lane, payload, state, due_ms) SELECT j.kind, 'long', j.payload, 'waiting', j.due_ms ".
        "FROM (SELECT * FROM job WHERE state = 'waiting' ORDER BY id DESC LIMIT 1) j JOIN (SELECT seq FROM seq_1_to_49) n",
);
$workers = array_map(static fn (string $lanes) => new Process(
    [dirname(__DIR__).'/console', 'app:worker', "--lanes=$lanes"],
    timeout: null,
), ['now', 'long,soon']);
array_map(static fn (Process $worker) => $worker->start(), $workers);
$took = $heard($paired['orders'], 2000, $hand);
$row('(r) the same with 50 conversions waiting, p95', $took['p95'], ' s', 3);
array_map(static fn (Process $worker) => $worker->stop(5), $workers);
$database->exec("DELETE FROM job WHERE lane = 'long' AND state <> 'done'");
array_map(unlink(...), glob("$folder/*") ?: []);
rmdir($folder);

// A minute of 1,000 players on one node: orders, acts, proofs.
$proof = (string) json_encode([
    'release' => $orders['programme'] === null ? null : 1,
    'at_ms' => (int) Pollers::nowMs(),
    'offset_ms' => 0,
    'stepped' => false,
    'zones' => (object) [],
    'programme' => $orders['programme']['sha256'] ?? null,
]);
$pollers = new Pollers($address, static function (): void {});
$begun = hrtime(true);
$client->call('GET', '/api/time');
$alone = [];
for ($i = 0; $i < 200; ++$i) {
    $client->call('GET', '/mark.svg');
    $alone[] = $client->tookMs();
}
for ($i = 0; $i < 1000; ++$i) {
    $pollers->add($paired['orders'], 2000);
    $pollers->add($orders['acts'], 900);
    $pollers->add('/api/play/kiosk-1/proof', 60_000, $proof, ["Authorization: Bearer $token", 'Content-Type: application/json']);
}
$pollers->run(60);
$count = array_sum($pollers->statuses);
$row('(s) 1,000 players for 60 s: requests per second', $count / 60, '', null);
$row('(s) of these, that reach PHP, per second', ($pollers->statuses[204] ?? 0) / 60, '', 20);
$row('(s) a poll, p95, with the machine full of them', $percentile($pollers->tookMs, 0.95), ' ms', null);
$row('(s) refused or lost, of all', 100 * ($count - array_sum(array_intersect_key($pollers->statuses, [200 => 1, 204 => 1, 304 => 1]))) / max(1, $count), ' %', 0);

// (t) windows of many entries over a day.
$windows = static function (int $count) use ($percentile): float {
    $entries = array_map(static fn (int $i) => [
        'id' => "e$i",
        'start' => sprintf('2026-03-02T%02d:%02d:00', $i % 24, $i % 60),
        'end' => sprintf('%02d:%02d:00', ($i + 1) % 24, $i % 60),
        'rrule' => ['FREQ=DAILY', 'FREQ=WEEKLY;BYDAY=MO,TU,WE', 'FREQ=MONTHLY;BYDAY=1MO'][$i % 3],
    ], range(0, $count - 1));
    $times = [];
    for ($i = 0; $i < 5; ++$i) {
        $start = hrtime(true);
        $zone = ZoneTime::named(Input::of('Europe/London'));
        $from = (new DateTimeImmutable('2026-11-30T00:00Z'))->getTimestamp();
        foreach ($entries as $entry) {
            iterator_to_array(Windows::parse(Input::of($entry))->over($from, $from + 86_400, $zone));
        }
        $times[] = (hrtime(true) - $start) / 1e6;
    }

    return $percentile($times, 0.5);
};
[$few, $many] = [$windows(500), $windows(5000)];
$row('(t) windows of 5,000 entries over a day ÷ 500', $many / $few, '×', 15);
$row('(t) windows of 5,000 entries over a day', $many, ' ms', null);

// (u) a timeline looked up.
$lookups = [];
foreach ([10, 1000, 100_000] as $steps) {
    $timeline = Timeline::of(array_map(static fn (int $i) => ['from_ms' => 1000 * $i, 'value' => $i], range(1, $steps)));
    $start = hrtime(true);
    for ($i = 0; $i < 20_000; ++$i) {
        $timeline->at(($i * 7919) % (1000 * $steps));
    }
    $lookups[$steps] = (hrtime(true) - $start) / 20_000 / 1000;
}
$row('(u) a lookup in a timeline of 1,000 ÷ 10', $lookups[1000] / $lookups[10], '×', 5);
$row('(u) a lookup in a timeline of 100,000 ÷ 10', $lookups[100_000] / $lookups[10], '×', 8);

// (v) the almanac of lists with hours, as a worker seals it once a day.
$hours = static function (int $lists): array {
    $zones = array_map(static fn (int $zone) => [
        'id' => "z-$zone",
        'runs_on' => false,
        'cycle_ms' => 1_019_900,
        'items' => array_map(static function (int $entry) use ($zone): array {
            $from = ($entry * 7 + $zone * 13) % 1380;
            $time = static fn (int $minute): string => sprintf('%02d:%02d', intdiv($minute, 60), $minute % 60);

            return ['ms' => 5000 + $entry, 'when' => [
                'start' => "2026-11-01T{$time($from)}:00",
                'end' => $time($from + 50),
                'rrule' => 'FREQ=DAILY',
            ]];
        }, range(0, 199)),
    ], range(1, $lists));
    $plan = [
        'plan' => 2,
        'scenes' => ['s' => ['zones' => $zones]],
        'round' => ['scenes' => [['scene' => 's', 'ms' => null]], 'cycle_ms' => null],
    ];
    $now = 1000 * (new DateTimeImmutable('2026-12-01T05:00Z'))->getTimestamp();
    $base = memory_get_usage();
    memory_reset_peak_usage();
    $start = hrtime(true);
    $almanac = Almanac::of(new DateTimeZone('Europe/London'), $now);
    $almanac->with(['plan' => $almanac->lists($plan, [$now - 3 * 86_400_000], [])])->sha256();

    return [(hrtime(true) - $start) / 1e9, (memory_get_peak_usage() - $base) / 1e6];
};
[$few] = $hours(16);
[$many, $memory] = $hours(64);
$row('(v) an almanac of 64 lists of 200 entries with hours, sealed', $many, ' s', null);
$row('(v) the same ÷ 16 lists', $many / $few, '×', 5);
$row('(v) its memory', $memory, ' MB', 64);
