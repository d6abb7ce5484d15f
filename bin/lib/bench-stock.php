<?php

declare(strict_types=1);

/*
 * (m) a gigabyte on its way into the Stock, and files looked at while somebody edits; (n) thirty zones that move.
 * Included by bench.php, with its $client, $address, $row and $percentile.
 */

use UpperPane\Demo\Sketch;
use UpperPane\Tests\Support\BenchClient;
use UpperPane\Tests\Support\Chromium;
use UpperPane\Tests\Support\FrameTrace;
use UpperPane\Tests\Support\Page;

// The most that any PHP process of the web ever held, in MB.
$held = static function (): float {
    $most = 0;
    foreach (glob('/proc/[0-9]*/status') ?: [] as $path) {
        $status = (string) @file_get_contents($path);
        $ours = str_contains((string) @file_get_contents(dirname($path).'/cmdline'), 'php-fpm: pool');
        if ($ours && preg_match('/^VmHWM:\s+(\d+)/m', $status, $found) === 1) {
            $most = max($most, (int) $found[1]);
        }
    }

    return $most / 1024;
};
$part = 8 << 20;
$gigabyte = 1 << 30;
$client->send('harrowmere', 'warm.mp4', $part, static fn (int $bytes) => "\0\0\0\x18ftypmp42\0\0\0\0mp42isom".random_bytes($bytes - 24), $part);
$before = $held();
$first = true;
$noise = random_bytes($part);
$start = hrtime(true);
$upload = $client->send('harrowmere', 'large.mp4', $gigabyte, static function (int $bytes) use (&$first, $noise): string {
    $begins = $first ? "\0\0\0\x18ftypmp42\0\0\0\0mp42isom" : '';
    $first = false;

    return $begins.substr($noise, 0, $bytes - strlen($begins));
}, $part);
$client->call('POST', "$upload/done");
$row('(m) 1 GB sent in parts: more memory of PHP than 8 MB', $held() - $before, ' MB', 16);
$row('(m) 1 GB sent in parts: in all', (hrtime(true) - $start) / 1e9, ' s', null);

// An edit alone, and while a worker looks at files, makes thumbnails and pictures for their places.
$design = $client->makeScenes(1);
$revision = $client->call('GET', "/api/documents/$design")['revision'];
$editing = static function (int $times) use ($client, $design, &$revision): array {
    $took = [];
    for ($i = 0; $i < $times; ++$i) {
        $fill = Sketch::text("Changed $i: the boat leaves from the inner pontoon", 90, ['min_size' => 8]);
        $revision = $client->batch($design, $revision, [Sketch::fill('c1', $fill)])['revision'];
        $took[] = $client->tookMs();
    }

    return $took;
};
$alone = $editing(60);
$picture = imagecreatetruecolor(3000, 2000);
for ($i = 0; $i < 12; ++$i) {
    imagefilledellipse($picture, 200 * $i, 900, 700, 900, random_int(0, 0xFFFFFF));
    ob_start();
    imagejpeg($picture, null, 92);
    $bytes = (string) ob_get_clean();
    $sent = 0;
    $at = $client->send('harrowmere', "looked-at-$i.jpg", strlen($bytes), static function (int $length) use ($bytes, &$sent): string {
        $sent += $length;

        return substr($bytes, $sent - $length, $length);
    }, $part);
    $client->call('POST', "$at/done");
}
$worker = proc_open([dirname(__DIR__).'/console', 'app:worker', '--until-empty'], [1 => ['file', '/dev/null', 'w'], 2 => ['file', '/dev/null', 'w']], $pipes);
$beside = [];
while (count($beside) < 60 && is_resource($worker) && proc_get_status($worker)['running']) {
    $beside = [...$beside, ...$editing(1)];
}
$row('(m) an edit while files are looked at ÷ an edit alone, p50', $percentile($beside, 0.5) / $percentile($alone, 0.5), '×', 1.5);
is_resource($worker) && proc_close($worker);

// (n) ten tickers, ten videos and ten clocks with seconds, playing: what the page's script does in each frame.
$made = BenchClient::uuid();
$client->call('POST', '/api/surfaces/hall/designs', ['design' => $made, 'name' => 'Thirty that move']);
$zones = ['z-'.substr($made, 0, 8), ...array_map(static fn (int $i) => "m$i", range(1, 29))];
$video = array_column($client->call('GET', '/api/sites/harrowmere/stock')['media'], 'id', 'name')['Crossing to Ness.mp4'];
$canvas = $client->call('GET', "/api/documents/$made")['canvas'];
$splits = $fills = [];
foreach (range(1, 29) as $i) {
    $splits[] = Sketch::split($zones[$i - 1], 'columns', intdiv($canvas[0] * $i, 30), $zones[$i]);
}
foreach ($zones as $i => $zone) {
    $fills[] = Sketch::fill($zone, match ($i % 3) {
        0 => ['ticker' => ['direction' => 'up', 'speed' => 60]] + Sketch::text('Boats for Ness leave from the inner pontoon today', 30, ['min_size' => 8]),
        1 => ['kind' => 'video', 'media' => $video, 'fit' => 'cover', 'focus' => [50_000, 50_000], 'ground' => null, 'sound' => false],
        default => Sketch::clock('HH:mm:ss', 20, ['min_size' => 8]),
    });
}
$at = $client->batch($made, 0, $splits)['revision'];
$client->batch($made, $at, $fills);
$trace = sys_get_temp_dir().'/pane-trace-'.bin2hex(random_bytes(6)).'.json';
$page = new Page(Chromium::open([1600, 1000], trace: [$trace, FrameTrace::SCRIPT]), $address);
$page->signIn()->open("/bench/$made")->until('30 panes', static fn () => count($page->all('.pane')) === 30, 60);
// The design alone on the whole screen: the renderer as in a player, and nothing of the bench.
$page->press('scale', '.title-block')->press('On the whole screen', 'aside');
$playing = 'return [...document.querySelectorAll(".preview-alone video")].filter((one) => !one.paused).length';
$page->until('videos', static fn () => $page->script($playing) === 10, 60);
FrameTrace::watch($page, 20);
$page->browser->quit();
[$worked, $passed] = FrameTrace::scriptMs($trace);
unlink($trace);
$what = '(n) thirty moving zones: script per frame, p95';
$row($what, $percentile($worked, 0.95), ' ms', 2);
$row("$what, by the clock, beside ten films that are decoded", $percentile($passed, 0.95), ' ms', null);
