<?php

declare(strict_types=1);

/*
 * (o) how long people wait for a picture's thumbnail while slow pages, a conversion and a hostile archive are looked at.
 * Included by bench.php, with its $client, $row and $percentile.
 */

use Symfony\Component\Process\Process;
use UpperPane\Demo\Sketch;
use UpperPane\Tests\Support\BenchClient;

$whole = static function (string $name, string $bytes) use ($client): string {
    $sent = 0;
    $at = $client->send('harrowmere', $name, strlen($bytes), static function (int $length) use ($bytes, &$sent): string {
        $sent += $length;

        return substr($bytes, $sent - $length, $length);
    }, 8 << 20);

    return $client->call('POST', "$at/done")['id'];
};
$folder = sys_get_temp_dir().'/bench-jobs-'.bin2hex(random_bytes(4));
mkdir($folder);

// A server that answers nobody, and pages of it in one playlist.
file_put_contents("$folder/slow.php", '<?php sleep(60);');
$socket = stream_socket_server('tcp://127.0.0.1:0') ?: throw new RuntimeException('No port is free.');
$name = (string) stream_socket_get_name($socket, false);
fclose($socket);
$slow = new Process(['php', '-S', $name, "$folder/slow.php"]);
$slow->start();
$design = BenchClient::uuid();
$client->call('POST', '/api/surfaces/cafe/designs', ['design' => $design, 'name' => 'Forty slow pages']);
$page = static fn (int $i) => ['kind' => 'web', 'address' => "http://$name/?page=$i", 'width' => 1440, 'scroll' => 0]
    + ['refresh_s' => null, 'still' => null, 'ground' => '#FFFFFF'];
$entries = array_map(static fn (int $i) => [$page($i), 5000], range(1, 40));
$client->batch($design, 0, [Sketch::fill('z-'.substr($design, 0, 8), Sketch::playlist($entries))]);

// Something that takes long, and something that would take all.
$size = 'testsrc2=size=3840x2160:rate=25:duration=6';
(new Process(['ffmpeg', '-v', 'error', '-f', 'lavfi', '-i', $size, '-c:v', 'mpeg4', '-q:v', '9', "$folder/film.avi"]))
    ->setTimeout(300)
    ->mustRun();
$zip = new ZipArchive();
$zip->open("$folder/page.zip", ZipArchive::CREATE);
$zip->addFromString('index.html', '<link rel="stylesheet" href="a.css">');
$zip->addFromString('a.css', str_repeat('@import "a.css";', 300));
$zip->close();
$whole('film.avi', (string) file_get_contents("$folder/film.avi"));
$whole('page.zip', (string) file_get_contents("$folder/page.zip"));

$workers = array_map(static fn (string $lanes) => new Process(
    [dirname(__DIR__).'/console', 'app:worker', "--lanes=$lanes"],
    timeout: null,
), ['now', 'soon,now', 'long,soon']);
array_map(static fn (Process $worker) => $worker->start(), $workers);
$waited = [];
for ($i = 0; $i < 30; ++$i) {
    $picture = imagecreatetruecolor(1600, 1000);
    imagefilledellipse($picture, 60 * $i, 500, 500, 700, random_int(0, 0xFFFFFF));
    ob_start();
    imagejpeg($picture, null, 92);
    $id = $whole("waited-for-$i.jpg", (string) ob_get_clean());
    $start = hrtime(true);
    do {
        usleep(50_000);
        $state = array_column($client->call('GET', '/api/sites/harrowmere/stock')['media'], 'state', 'id')[$id];
    } while ($state !== 'ready' && hrtime(true) - $start < 120e9);
    $waited[] = (hrtime(true) - $start) / 1e9;
}
array_map(static fn (Process $worker) => $worker->stop(5), $workers);
$slow->stop(1);
array_map(unlink(...), glob("$folder/*") ?: []);
rmdir($folder);
$row('(o) a thumbnail behind slow pages, a conversion, a hostile archive, p95', $percentile($waited, 0.95), ' s', 5);
$row('(o) the same, p50', $percentile($waited, 0.5), ' s', null);
