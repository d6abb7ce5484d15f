<?php

declare(strict_types=1);

/*
 * What goes wrong with files: a full folder for temporary ones at each step of an upload, parts that come twice while PHP
 * is killed, hostile archives beside other work, ten 4K videos with 2 GB of memory. Included by fault.php.
 */

use Symfony\Component\Process\Process;
use UpperPane\Tests\Support\BenchClient;

$files = new BenchClient((string) getenv('UPPER_PANE_URL'));
$stateOf = static fn (string $id): string => (string) (array_column($files->call('GET', '/api/sites/harrowmere/stock')['media'], 'state', 'id')[$id] ?? 'gone');
$end = static fn (string $upload): array => $files->call('POST', "$upload/done");
/** A picture of noise that no other is like, of about so many MB (PNG, third edition, §5 and §11). */
$picture = static function (int $mb): string {
    [$width, $height] = $mb === 0 ? [64, 64] : [1000, intdiv($mb << 20, 3001)];
    $lines = '';
    for ($line = 0; $line < $height; ++$line) {
        $lines .= "\0".random_bytes(3 * $width);
    }
    $chunk = static fn (string $name, string $data): string => pack('N', strlen($data)).$name.$data.pack('N', crc32($name.$data));

    return "\x89PNG\r\n\x1A\n".$chunk('IHDR', pack('NNCCCCC', $width, $height, 8, 2, 0, 0, 0)).$chunk('IDAT', (string) gzcompress($lines, 1)).$chunk('IEND', '');
};
$isKept = static fn (array $medium, string $bytes): bool => $medium['sha256'] === hash('sha256', $bytes);

$temporary = sys_get_temp_dir();
$filler = "$temporary/fault-filler";
$room = (new Process(['sh', '-c', "df --output=avail -B1 $temporary | tail -1"]))->mustRun()->getOutput();
if ((int) $room < (1 << 30)) {
    $fill = static fn () => (new Process(['sh', '-c', "dd if=/dev/zero of=$filler bs=1M 2>/dev/null; true"], timeout: 120))->run();
    $empty = static fn () => unlink($filler);
    $bytes = $picture(9);
    $kept = 0;

    $fill();
    file_put_contents($whole = "$stack/fault-whole.png", $bytes);
    $said = static function (callable $try): string {
        try {
            $try();

            return 'taken';
        } catch (RuntimeException $fault) {
            return $fault->getMessage();
        }
    };
    $refused = static fn (string $said): int => str_contains($said, ' 507 ') && str_contains($said, 'stock.no_room') ? 1 : 0;
    $kept += $refused($said(static fn () => $files->form('/api/sites/harrowmere/stock', ['file' => new CURLFile($whole)])));
    unlink($whole);

    $upload = $files->begin('harrowmere', 'full-folder.png', strlen($bytes));
    [$status] = $files->part($upload, 0, substr($bytes, 0, 8 << 20));
    $kept += $status === 507 && $files->call('GET', $upload)['received'] === 0 ? 1 : 0;
    $empty();
    foreach ([0, 8 << 20] as $from) {
        $files->part($upload, $from, substr($bytes, $from, 8 << 20));
    }
    $fill();
    $kept += $refused($said(static fn () => $end($upload)));
    $empty();
    $medium = $end($upload);
    $kept += $isKept($medium, $bytes) ? 1 : 0;
    $fill();
    sleep(3);
    $waits = $stateOf($medium['id']) !== 'failed';
    $empty();
    $kept += $waits && $until('the worker goes on', static fn () => $stateOf($medium['id']) === 'ready', 150) ? 1 : 0;
    $row('temporary folder full: whole, part, end, again, worker', 4, 5, $kept);
} else {
    echo "    not tried: a full folder for temporary files (run with TMPDIR on a file system below 1 GB)\n";
}

// Each part twice, and the end twice, while PHP is killed: one medium, and the bytes that were sent.
$sent = $right = 0;
$times = $while($ofFpm, static function () use ($files, $picture, $isKept, &$sent, &$right): void {
    $try = static function (callable $what): mixed {
        for ($stop = time() + 180; time() < $stop; usleep(100_000)) {
            try {
                return $what();
            } catch (RuntimeException) {
                continue;
            }
        }

        return null;
    };
    for ($i = 0; $i < 5; ++$i) {
        $bytes = $picture(3);
        $upload = $try(static fn () => $files->begin('harrowmere', "twice-$i.png", strlen($bytes)));
        for ($from = 0; $from < strlen($bytes);) {
            $part = substr($bytes, $from, 1 << 20);
            $files->part($upload, $from, $part);
            $files->part($upload, $from, $part);
            $from = $try(static fn () => $files->call('GET', $upload)['received']);
        }
        [$one, $two] = [$try(static fn () => $files->call('POST', "$upload/done")), $try(static fn () => $files->call('POST', "$upload/done"))];
        ++$sent;
        $right += $one['id'] === $two['id'] && $isKept($one, $bytes) ? 1 : 0;
    }
});
$row('parts and ends sent twice, PHP killed', $times, $sent, $right);

// Archives that would take all: each is refused in words, and what others wait for comes.
$archive = static function (string $name, callable $fill) use ($stack): string {
    $zip = new ZipArchive();
    $zip->open($path = "$stack/$name.zip", ZipArchive::CREATE);
    $fill($zip);
    $zip->close();
    $bytes = (string) file_get_contents($path);
    unlink($path);

    return $bytes;
};
$archives = [
    'circle' => static fn (ZipArchive $zip) => $zip->addFromString('index.html', '<link rel="stylesheet" href="a.css">') && $zip->addFromString('a.css', str_repeat('@import "a.css";', 300)),
    'vast' => static fn (ZipArchive $zip) => $zip->addFromString('index.html', '<img src="a.png">') && $zip->addFromString('a.png', str_repeat("\0", 600 << 20)),
    'many' => static fn (ZipArchive $zip) => array_map(static fn (int $i) => $zip->addFromString($i === 0 ? 'index.html' : "f$i", 'x'), range(0, 70_000)),
    'outside' => static fn (ZipArchive $zip) => $zip->addFromString('index.html', '<img src="../../../../etc/passwd">') && $zip->addFromString('../../x', 'x'),
];
$send = static fn (string $name, string $bytes): string => $end($files->send('harrowmere', $name, strlen($bytes), static function (int $length) use ($bytes): string {
    static $from = 0;

    return substr($bytes, ($from += $length) - $length, $length);
}, 8 << 20))['id'];
$taken = $answered = 0;
$hostile = [];
foreach ($archives as $name => $make) {
    try {
        $hostile[] = $send("$name.zip", $archive($name, $make));
    } catch (RuntimeException $fault) {
        // Refused in words before anybody looked.
        $answered += str_contains($fault->getMessage(), '"code"') ? 1 : 0;
    }
}
$friend = $send('beside-archives.png', $picture(0));
$taken += $until('a picture beside hostile archives', static fn () => $stateOf($friend) === 'ready', 60) ? 1 : 0;
$until('the archives are judged', static fn () => array_filter($hostile, static fn (string $id) => !in_array($stateOf($id), ['ready', 'failed'], true)) === [], 240);
$answered += count(array_filter($hostile, static fn (string $id) => in_array($stateOf($id), ['ready', 'failed'], true)));
$row('hostile archives, and a picture beside them', count($archives), count($archives) + 1, $answered + $taken);

// Ten films of 3840 × 2160, and a worker with 2 GB: each is shown or refused in words, none waits for ever.
(new Process(['sh', '-c', "kill $(cat $stack/run/worker.pid)"]))->run();
$films = [];
foreach (range(1, 10) as $i) {
    (new Process(['ffmpeg', '-v', 'error', '-y', '-f', 'lavfi', '-i', "testsrc2=size=3840x2160:rate=25:duration=2,hue=h=$i", '-c:v', 'mpeg4', '-q:v', '9', "$stack/film.avi"], timeout: 300))->mustRun();
    $films[] = $send("film-$i.avi", (string) file_get_contents("$stack/film.avi"));
}
unlink("$stack/film.avi");
(new Process(['sh', '-c', 'ulimit -v 2097152; exec bin/console app:worker --until-empty'], timeout: 900))->run();
$shown = count(array_filter($films, static fn (string $id) => in_array($stateOf($id), ['ready', 'failed'], true)));
$ready = count(array_filter($films, static fn (string $id) => $stateOf($id) === 'ready'));
echo "    of ten 4K films with 2 GB for the worker, $ready are ready\n";
$row('ten 4K films, 2 GB for the worker', 1, 10, $shown);
$little = new Process(['sh', '-c', 'ulimit -v 1500000; exec bin/console app:worker --until-empty'], timeout: 60);
$little->run();
$row('a worker with less says so and does not start', 1, 1, str_contains($little->getOutput(), 'below 2 GB') ? 1 : 0);
