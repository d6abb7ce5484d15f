<?php

declare(strict_types=1);

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;
use UpperPane\Core\Base\Input;
use UpperPane\Core\Geometry\Size;
use UpperPane\Core\Layout\Glazing;
use UpperPane\Core\Layout\Pane;
use UpperPane\Core\Layout\PartSize;
use UpperPane\Core\Layout\Split;
use UpperPane\Core\Geometry\Axis;
use UpperPane\Core\Surface\SurfaceReader;
use UpperPane\Demo\Sketch;
use UpperPane\Tests\Support\BenchClient;
use UpperPane\Tests\Support\Chromium;
use UpperPane\Tests\Support\FrameTrace;
use UpperPane\Tests\Support\Page;

require dirname(__DIR__, 2).'/vendor/autoload.php';

$address = (string) getenv('UPPER_PANE_URL');
$rows = [];
$missed = [];
$percentile = static function (array $values, float $share): float {
    sort($values);

    return $values[(int) min(count($values) - 1, floor(count($values) * $share))];
};
$row = static function (string $what, float $value, string $unit, ?float $bound) use (&$rows, &$missed): void {
    $kept = $bound === null || $value <= $bound;
    $rows[] = sprintf('| %s | %.2f%s | %s | %s |', $what, $value, $unit, $bound === null ? '' : "≤ $bound$unit", $bound === null ? '' : ($kept ? 'yes' : '**no**'));
    $kept || $missed[] = $what;
    printf("%-72s %8.2f%s %s\n", $what, $value, $unit, $bound === null ? '' : ($kept ? 'ok' : "MISSED (≤ $bound$unit)"));
};

// bin/bench clock: the rows of bench-clock.php alone, and nothing is written.
if (in_array('clock', $argv, true)) {
    $client = new BenchClient($address);
    require __DIR__.'/bench-clock.php';
    exit(0);
}

// bin/bench time: those of bench-time.php.
if (in_array('time', $argv, true)) {
    require __DIR__.'/bench-time.php';
    exit(0);
}

// (a) an edit, and an empty JSON request between every two of them, so that both see the same machine.
$client = new BenchClient($address);
$client->makeLoad();
$order = $client->call('GET', '/api/documents/'.BenchClient::DESIGN)['order'];
for ($i = 0; $i < 20; ++$i) {
    $client->call('GET', '/api/time');
    $client->edit([Sketch::fill($order[0], Sketch::colour(sprintf('#0000%02X', $i)))]);
}
$edits = $empty = [];
for ($i = 0; $i < 100; ++$i) {
    $client->call('GET', '/api/time');
    $empty[] = $client->tookMs();
    $client->edit([Sketch::fill($order[$i % 80], Sketch::text("Changed $i: the boat leaves from the inner pontoon", 90, ['min_size' => 8, 'padding' => 4]))]);
    $edits[] = $client->tookMs();
}
$row('(a) edit answered ÷ empty JSON request, p50', $percentile($edits, 0.5) / $percentile($empty, 0.5), '×', 6);
$row('(a) edit answered ÷ empty JSON request, p95', $percentile($edits, 0.95) / $percentile($empty, 0.95), '×', 5);
printf("    edit p50 %.1f ms, p95 %.1f ms; empty p50 %.1f ms, p95 %.1f ms\n", $percentile($edits, 0.5), $percentile($edits, 0.95), $percentile($empty, 0.5), $percentile($empty, 0.95));

// (a) the same edit, sent from the queues of two people that each hold ten batches made on one revision.
$queues = [$client, new BenchClient($address, 'ada')];
$empty = $edits = [];
for ($round = 0; $round < 5; ++$round) {
    $madeOn = $client->revision;
    for ($i = 0; $i < 10; ++$i) {
        foreach ($queues as $person => $queue) {
            $queue->call('GET', '/api/time');
            $empty[] = $queue->tookMs();
            $fill = Sketch::text("Changed $round $i: the boat leaves from the inner pontoon", 90, ['min_size' => 8, 'padding' => 4]);
            $client->revision = $queue->batch(BenchClient::DESIGN, $madeOn, [Sketch::fill($order[2 * $i + $person], $fill)])['revision'];
            $edits[] = $queue->tookMs();
        }
    }
}
$row('(a) from the queues of two people ÷ empty, p50', $percentile($edits, 0.5) / $percentile($empty, 0.5), '×', 6);
$row('(a) from the queues of two people ÷ empty, p95', $percentile($edits, 0.95) / $percentile($empty, 0.95), '×', 6);

// (g) designs of many scenes with 40 zones each: opened, and edited.
$scenes = [];
foreach ([1, 5, 20] as $count) {
    $design = $client->makeScenes($count);
    $opened = $edited = [];
    for ($i = 0; $i < 15; ++$i) {
        $revision = $client->call('GET', "/api/documents/$design")['revision'];
        $opened[] = $client->tookMs();
        $client->batch($design, $revision, [Sketch::fill('c1', Sketch::colour(sprintf('#0000%02X', $i)))]);
        $edited[] = $client->tookMs();
    }
    $scenes[$count] = ['opened' => $percentile($opened, 0.5), 'edited' => $percentile($edited, 0.5)];
}
foreach (['opened', 'edited'] as $what) {
    $row("(g) a design of 5 scenes × 40 zones $what ÷ 1 scene", $scenes[5][$what] / $scenes[1][$what], '×', null);
    $row("(g) a design of 20 scenes × 40 zones $what ÷ 1 scene", $scenes[20][$what] / $scenes[1][$what], '×', null);
    $row("(g) a design of 20 scenes × 40 zones $what", $scenes[20][$what], ' ms', null);
}

// (b) glazing: how the time grows with the number of panes.
$glazing = static function (int $panes) use ($percentile): float {
    $columns = (int) ceil(sqrt($panes));
    $parts = [];
    for ($left = $panes, $c = 0; $left > 0; $left -= $columns, ++$c) {
        $parts[] = new Split("s$c", Axis::Y, 2, array_map(static fn (int $r) => new Pane("p$c-$r", PartSize::fr($r + 1)), range(0, min($columns, $left) - 1)), PartSize::fr($c + 1));
    }
    $tree = new Split('root', Axis::X, 2, $parts, PartSize::fr(1));
    $times = [];
    for ($i = 0; $i < 15; ++$i) {
        $start = hrtime(true);
        Glazing::resolve($tree, Size::of(50_000, 50_000));
        $times[] = (hrtime(true) - $start) / 1e6;
    }

    return $percentile($times, 0.5);
};
[$ten, $hundred, $thousand] = array_map($glazing, [10, 100, 1000]);
$row('(b) glazing of 100 panes ÷ 10 panes', $hundred / $ten, '×', null);
$row('(b) glazing of 1000 panes ÷ 100 panes', $thousand / $hundred, '×', null);
$row('(b) glazing of 1000 panes', $thousand, ' ms', null);

// (c) an unchanged poll of a player and an unchanged static file, turn by turn.
$token = bin2hex(random_bytes(24));
$client->call('POST', '/api/players/booking-1/pairing', ['token' => $token]);
$paired = $client->call('POST', '/api/play/booking-1/pair', null, ["Authorization: Bearer $token"]);
$conditional = static fn (string $path): string => 'If-Modified-Since: '.gmdate('D, d M Y H:i:s', (int) strtotime((string) (get_headers($address.$path, true)['Last-Modified'] ?? 'now'))).' GMT';
[$poll, $file] = [$conditional($paired['orders']), $conditional('/mark.svg')];
$polls = $files = [];
for ($i = 0; $i < 2000; ++$i) {
    $client->call('GET', $paired['orders'], null, [$poll]);
    $polls[] = $client->tookMs();
    $client->call('GET', '/mark.svg', null, [$file]);
    $files[] = $client->tookMs();
}
$row('(c) unchanged poll of a player ÷ static file, p50', $percentile($polls, 0.5) / $percentile($files, 0.5), '×', 1.2);

// (d) dragging a mullion with 200 zones: one step of the pointer in every frame; what was drawn, by the browser's own trace.
$quiet = static fn (Page $page) => $page->until('pictures', static fn () => $page->script('return [...document.images].every((i) => i.complete) && document.fonts.status === "loaded"'), 60);
$traced = static function (callable $prepare, string $css, int $step, bool $free = false) use ($address, $quiet): array {
    $file = sys_get_temp_dir().'/pane-trace-'.bin2hex(random_bytes(6)).'.json';
    $page = new Page(Chromium::open([1600, 1000], trace: [$file, FrameTrace::FRAMES]), $address);
    $prepare($page->signIn());
    $quiet($page);
    $tools = new Facebook\WebDriver\Chrome\ChromeDevToolsDriver($page->browser);
    $tools->execute('Performance.enable');
    $script = static fn (): float => (float) array_column($tools->execute('Performance.getMetrics')['metrics'], 'value', 'name')['ScriptDuration'];
    FrameTrace::drag($page, $css, 30, $step, $free);
    $before = $script();
    FrameTrace::drag($page, $css, 240, $step, $free);
    $spent = ($script() - $before) * 1000;
    $page->browser->quit();
    $intervals = FrameTrace::intervalsMs($file);
    unlink($file);

    return [$intervals, $spent / 240];
};
// Drawn frames carry the time they were drawn at, anywhere within a refresh of the display; an interval counts in whole refreshes.
$refreshMs = 1000 / 60;
$frames = static function (string $what, array $intervals) use ($row, $percentile, $refreshMs): void {
    $row("$what: frame interval, p95, in whole refreshes", max(1, round($percentile($intervals, 0.95) / $refreshMs)) * $refreshMs, ' ms', 17);
    $row("$what: frame interval, p95, as drawn", $percentile($intervals, 0.95), ' ms', null);
    $row("$what: refreshes missed", 100 * count(array_filter($intervals, static fn (float $ms) => $ms > 1.5 * $refreshMs)) / count($intervals), ' %', null);
};
$dot = 'const dot = document.body.appendChild(document.createElement("i")); dot.style.cssText = "position:fixed;top:0;width:9px;height:9px;background:#000"; addEventListener("pointermove", (e) => (dot.style.left = e.clientX + "px"))';
[$intervals] = $traced(static fn (Page $page) => $page->open('/sign-in')->script($dot), '#app', 1);
$frames('(d), (f) for comparison, a dot on an empty page', $intervals);
[$intervals, $script] = $traced(static fn (Page $page) => $page->open('/bench/'.BenchClient::DESIGN)->until('200 panes', static fn () => count($page->browser->findElements(WebDriverBy::cssSelector('.pane'))) === 200, 60), '.mullion.x', 1);
$frames('(d) drag with 200 zones', $intervals);
$row('(d) drag with 200 zones: script per frame', $script, ' ms', 4);

// (h) the same load with 40 of its zones as floats: a mullion, and twelve floats chosen together; nothing is sent while they are dragged.
$floats = $client->makeFloats();
$withFloats = static function (Page $page) use ($floats): void {
    $page->open("/bench/$floats")->until('40 floats', static fn () => count($page->browser->findElements(WebDriverBy::cssSelector('.float'))) === 40, 60);
};
// Free of snap lines (Ctrl): where something holds still at one, no frame is drawn.
[$intervals] = $traced($withFloats, '.mullion.x', 1, true);
$frames('(h) drag of a mullion with 40 floats', $intervals);
$sent = null;
$twelve = static function (Page $page) use ($withFloats): void {
    $withFloats($page);
    $faces = array_slice($page->browser->findElements(WebDriverBy::cssSelector('.float-face')), 0, 12);
    $page->browser->action()->moveToElement($faces[0])->click()->perform();
    $page->key('keyDown', WebDriverKeys::SHIFT);
    foreach (array_slice($faces, 1) as $face) {
        $page->browser->action()->moveToElement($face)->click()->perform();
    }
    $page->key('keyUp', WebDriverKeys::SHIFT);
    $page->until('twelve', static fn () => count($page->browser->findElements(WebDriverBy::cssSelector('.float.chosen'))) === 12);
};
[$intervals, $script] = $traced($twelve, '[data-float="float5"] .float-face', 1, true);
$frames('(h) drag of twelve floats', $intervals);
$row('(h) drag of twelve floats: script per frame', $script, ' ms', null);

// (i) opening 200 zones: requests about the design, and when its panes are there.
$page = new Page(Chromium::open([1600, 1000]), $address);
$page->signIn()->open('/bench/'.BenchClient::DESIGN)->until('panes', static fn () => count($page->browser->findElements(WebDriverBy::cssSelector('.pane'))) === 200, 60);
$page->script('sessionStorage.setItem("panes", ""); const watch = () => { if (document.querySelector(".pane")) sessionStorage.setItem("panes", String(performance.now())); else requestAnimationFrame(watch) }; watch()');
$page->browser->navigate()->refresh();
$shown = (float) $page->browser->executeAsyncScript('const done = arguments[0]; const watch = () => (document.querySelector(".pane") ? done(performance.now()) : requestAnimationFrame(watch)); watch()');
$asked = (int) $page->script('return performance.getEntriesByType("resource").filter((one) => one.name.includes("/api/documents/")).length');
$page->browser->quit();
$row('(i) opening 200 zones: panes are there after', $shown, ' ms', 1000);
$row('(i) opening 200 zones: requests about it', $asked, '', 1);

// (j) how what the bench is told of a layout grows with its zones.
$told = static function (int $panes) use ($percentile): float {
    $columns = (int) ceil(sqrt($panes));
    $parts = [];
    $zones = [];
    for ($left = $panes, $c = 0; $left > 0; $left -= $columns, ++$c) {
        $rows = [];
        foreach (range(0, min($columns, $left) - 1) as $r) {
            $rows[] = ['size' => ($r + 1).'fr', 'pane' => "p$c-$r"];
            $zones["p$c-$r"] = ['letter' => UpperPane\Core\Base\Letters::at(count($zones)), 'name' => '', 'fill' => ['kind' => 'empty']];
        }
        $parts[] = ['size' => ($c + 1).'fr', 'id' => "s$c", 'split' => 'rows', 'gutter' => 0, 'parts' => $rows];
    }
    $design = UpperPane\Core\Design\DesignReader::read(UpperPane\Core\Base\Input::of([
        'version' => 2, 'name' => 'Many', 'canvas' => ['px' => [30_000, 30_000], 'um' => [30_000_000, 30_000_000]], 'letters_used' => count($zones), 'reflow' => 'short_side', 'order' => ['s'], 'round' => ['s'], 'zones' => $zones,
        'scenes' => ['s' => ['name' => 'S', 'layouts' => ['own' => ['glazing' => ['id' => 'root', 'split' => 'columns', 'gutter' => 0, 'parts' => $parts], 'floats' => []]], 'ground' => ['kind' => 'colour', 'colour' => '#000000'], 'length' => ['kind' => 'open'], 'transition' => ['kind' => 'cut', 'ms' => 0]]],
    ]));
    $times = [];
    for ($i = 0; $i < 7; ++$i) {
        $start = hrtime(true);
        UpperPane\Core\Plan\BenchView::of(UpperPane\Core\Design\LayoutAt::of($design, 's', false), null);
        $times[] = (hrtime(true) - $start) / 1e6;
    }

    return $percentile($times, 0.5);
};
[$few, $some, $many] = array_map($told, [20, 200, 2000]);
$row('(j) the bench’s view of 200 zones ÷ 20 zones', $some / $few, '×', 15);
$row('(j) the bench’s view of 2000 zones ÷ 200 zones', $many / $some, '×', 15);
$row('(j) the bench’s view of 2000 zones', $many, ' ms', null);

// (k) ten thousand revisions: opening and undoing then, against the first; and what one takes in the store.
$long = $client->makeScenes(1);
$revision = $client->call('GET', "/api/documents/$long")['revision'];
$opening = static function () use ($client, $long, $percentile): array {
    $opened = $undone = [];
    for ($i = 0; $i < 15; ++$i) {
        $client->call('GET', "/api/documents/$long");
        $opened[] = $client->tookMs();
        foreach (['undo', 'redo'] as $kind) {
            $client->call('POST', "/api/documents/$long/$kind", ['batch' => BenchClient::uuid(), 'client' => BenchClient::uuid()]);
            $undone[] = $client->tookMs();
        }
    }

    return [$percentile($opened, 0.5), $percentile($undone, 0.5)];
};
$revision = $client->batch($long, $revision, [Sketch::fill('c1', Sketch::colour('#000001'))])['revision'];
[$openedFirst, $undoneFirst] = $opening();
$revision = $client->call('GET', "/api/documents/$long")['revision'];
$stored = new PDO('mysql:unix_socket='.getenv('UPPER_PANE_VAR').'/db/mysql.sock;dbname=upper_pane', (string) posix_getpwuid(posix_geteuid())['name']);
$written = static fn (): int => array_sum(array_column($stored->query('SHOW BINARY LOGS')->fetchAll(PDO::FETCH_ASSOC), 'File_size'));
$logged = $written();
for ($i = 0; $i < 10_000; ++$i) {
    $revision = $client->batch($long, $revision, [Sketch::fill('c1', Sketch::colour(sprintf('#%06X', $i)))])['revision'];
}
$logged = ($written() - $logged) / 10_000;
[$openedLast, $undoneLast] = $opening();
$row('(k) opened after 10,000 revisions ÷ before', $openedLast / $openedFirst, '×', 1.5);
$row('(k) undone after 10,000 revisions ÷ before', $undoneLast / $undoneFirst, '×', 1.5);
$bytes = (float) $stored->query("SELECT SUM(LENGTH(labels) + LENGTH(commands) + LENGTH(inverses) + LENGTH(reads_scopes) + LENGTH(writes_scopes) + 200) / COUNT(*) FROM revision WHERE document_id = '$long'")->fetchColumn();
$row('(k) a small edit in the tables', $bytes, ' B', 2048);
$row('(k) a small edit in the binary log', $logged, ' B', 16_384);
$kept = (float) $stored->query("SELECT SUM(COALESCE(LENGTH(keyframe), 0)) / COUNT(*) FROM revision WHERE document_id = '$long'")->fetchColumn();
$row('(k) kept whole states, per edit', $kept, ' B', null);

// (e) panels resolved: how the time grows with their number, as a grid and hung freely (other pitches and turns among them).
$panel = ['native' => [192, 108], 'active_mm' => [1209.6, 680.4], 'bezel_mm' => [1.89, 1.89, 1.89, 1.89]];
$grid = static fn (int $columns, int $rows) => ['grid' => ['columns' => $columns, 'rows' => $rows, 'panel' => $panel]];
$hung = static fn (int $columns, int $rows) => ['panels' => array_map(static fn (int $i) => [
    'position_mm' => [($i % $columns) * 1240.5 + ($i % 3) * 7.3, intdiv($i, $columns) * 720.3 + ($i % 4) * 5.1], 'rotation' => $i % 5 === 4 ? 180 : 0,
] + ($i % 7 === 6 ? ['native' => [96, 54]] + $panel : $panel), range(0, $columns * $rows - 1))];
$resolve = static function (array $shape) use ($percentile): float {
    $times = [];
    for ($i = 0; $i < 25; ++$i) {
        $start = hrtime(true);
        SurfaceReader::read(Input::of($shape))->toArray();
        $times[] = (hrtime(true) - $start) / 1e6;
    }

    return $percentile($times, 0.5);
};
foreach (['a grid' => $grid, 'hung freely' => $hung] as $how => $shape) {
    [$four, $forty, $most] = [$resolve($shape(2, 2)), $resolve($shape(8, 5)), $resolve($shape(20, 20))];
    $row("(e) panels resolved, $how: 40 ÷ 4", $forty / $four, '×', null);
    $row("(e) panels resolved, $how: 400 ÷ 40", $most / $forty, '×', 15);
    $row("(e) panels resolved, $how: 400", $most, ' ms', null);
}

require __DIR__.'/bench-inputs.php';
require __DIR__.'/bench-fills.php';
require __DIR__.'/bench-stock.php';
require __DIR__.'/bench-jobs.php';
require __DIR__.'/bench-clock.php';
require __DIR__.'/bench-time.php';

// (f) panning the Elevation with 60 surfaces, among them a wall of 8 × 6.
$client->makeSite(60);
[$intervals, $script] = $traced(static fn (Page $page) => $page->open('/elevation')->until('the stills', static fn () => count($page->all('.still:not(.empty)')) >= 55, 90), '.elevation-drawing', 3);
$frames('(f) panning 60 surfaces', $intervals);
$row('(f) panning 60 surfaces: script per frame', $script, ' ms', 4);

$table = "# Benchmarks\n\nWritten by `bin/bench` on ".gmdate('Y-m-d').": production mode, warm, one run, on a machine of 2 cores. Ratios compare things measured turn by turn in that run.\n\nThe load of (a) and (d): 200 zones, of them 80 texts (40 shrink), 60 pictures, 20 playlists of 10, 10 clocks, 30 colours. Frames of (d) and (f): one step of the pointer in every frame, what was drawn by the browser's own trace. A growth of 10× for 10 times the panels is linear; the bound of 15× leaves room for noise.\n\n| what | measured | bound | kept |\n|---|---|---|---|\n".implode("\n", $rows)."\n";
file_put_contents(dirname(__DIR__, 2).'/docs/benchmarks.md', $table);
exit(in_array('--judge', $argv, true) && $missed !== [] ? 1 : 0);
