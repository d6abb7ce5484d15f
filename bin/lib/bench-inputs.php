<?php

declare(strict_types=1);

// What is sealed, compiled again; and a house style that fifty open designs use. Part of bench.php, with its client, rows.

use UpperPane\Core\Base\CanonicalJson;
use UpperPane\Core\Plan\Inputs\Inputs;
use UpperPane\Core\Preflight\Judgement;
use UpperPane\Core\Site\SurfaceSheet;
use UpperPane\Demo\Sketch;
use UpperPane\Tests\Support\Build;
use UpperPane\Tests\Support\TestFonts;

// (p) a plan of 200 zones, from its sealed inputs, against compiling it the first time.
$commands = [];
for ($number = 0; $number < 200; ++$number) {
    $commands[] = Sketch::float("f$number", ['120px', '60px'], ['offset' => [(10 + 180 * ($number % 10)).'px', (5 + 50 * intdiv($number, 10)).'px']]);
    $commands[] = Sketch::fill("f$number", Sketch::text("Boat $number leaves from the inner pontoon", 18, ['min_size' => 8]));
}
$design = Build::design(1920, 1080);
foreach (array_chunk($commands, 200) as $some) {
    $design = Build::apply($design, ...$some)->after;
}
$sheet = SurfaceSheet::fresh(['name' => 'Hall', 'kind' => 'LCD', 'shape' => ['panels' => [['native' => [1920, 1080], 'active_mm' => [1209.6, 680.4]]]], 'viewing_mm' => [1000, 4000]], ['hall-1' => 1]);
$first = $again = [];
for ($i = 0; $i < 7; ++$i) {
    [$asking, $inputs] = Inputs::recording($design, null, $sheet, null, Build::context());
    $start = hrtime(true);
    $plan = Judgement::of($design, $sheet, null, $asking)->plan->toArray();
    $first[] = (hrtime(true) - $start) / 1e6;
    $sealed = CanonicalJson::encode($inputs()->toArray());
    $start = hrtime(true);
    $compiled = Inputs::read((array) json_decode($sealed, true))->plan(new TestFonts())->toArray();
    $again[] = (hrtime(true) - $start) / 1e6;
    CanonicalJson::encode($compiled) === CanonicalJson::encode($plan) || throw new RuntimeException('It is another plan.');
}
$row('(p) 200 zones compiled again from sealed inputs ÷ judged and compiled', $percentile($again, 0.5) / $percentile($first, 0.5), '×', null);
$row('(p) 200 zones compiled again from sealed inputs', $percentile($again, 0.5), ' ms', null);

// (q) fifty designs of one house style are open: what all their pages ask, and how long until each is drawn anew.
$style = $client::uuid();
$client->call('POST', '/api/sites/harrowmere/styles', ['style' => $style, 'name' => 'Fifty']);
$colour = static fn (string $hex): array => ['do' => 'style.colour', 'id' => 'lake', 'colour' => ['name' => 'Lake', 'hex' => $hex]];
$styled = $client->batch($style, 0, [$colour('#276B62')])['revision'];
$open = [];
for ($i = 0; $i < 50; ++$i) {
    $id = $client::uuid();
    $client->call('POST', '/api/surfaces/cafe/designs', ['design' => $id, 'name' => "Styled $i"]);
    $open[$id] = $client->batch($id, 0, [['do' => 'design.style', 'style' => $style], Sketch::fill('z-'.substr($id, 0, 8), Sketch::colour('lake@#276B62'))])['revision'];
}
$asked = static function () use ($client, $open, $percentile): float {
    $took = [];
    foreach ($open as $id => $revision) {
        $client->call('GET', "/api/documents/$id/since/$revision");
        $took[] = $client->tookMs();
    }

    return $percentile($took, 0.5);
};
$asked();
$before = $asked();
$alone = $changed = [];
foreach (range(1, 20) as $shade) {
    $client->call('GET', '/api/time');
    $alone[] = $client->tookMs();
    $styled = $client->batch($style, $styled, [$colour(sprintf('#2060%02X', $shade))])['revision'];
    $changed[] = $client->tookMs();
}
$row('(q) a style that 50 designs use changed ÷ empty JSON request, p95', $percentile($changed, 0.95) / $percentile($alone, 0.95), '×', 5);
$row('(q) an open design asks what is new, after the change ÷ before', $asked() / $before, '×', 1.2);
$drawn = [];
foreach (array_keys($open) as $id) {
    $client->call('GET', "/api/documents/$id");
    $drawn[] = $client->tookMs();
}
$row('(q) all 50 drawn anew, one after the other', array_sum($drawn), ' ms', 5000);
