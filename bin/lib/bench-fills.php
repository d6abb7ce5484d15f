<?php

declare(strict_types=1);

/*
 * (l) what zones show: texts measured and fitted, openings found. Included by bench.php, with its $row and $percentile.
 */

use UpperPane\Core\Geometry\Size;
use UpperPane\Core\Picture\CutOut;
use UpperPane\Core\Text\Setting\TextMode;
use UpperPane\Core\Text\Setting\TextSetter;
use UpperPane\Tests\Support\Chromium;
use UpperPane\Tests\Support\TestFonts;

$words = file(dirname(__DIR__, 2).'/tests/cases/text/strings.txt', \FILE_IGNORE_NEW_LINES) ?: [];
$strings = [];
for ($i = 0; $i < 10_000; ++$i) {
    $strings[] = $words[$i % 300].' '.$words[(7 * $i + intdiv($i, 300)) % 300];
}
$face = (new TestFonts())->face('Roboto', 400);
$face->widthUnits('warm');
$start = hrtime(true);
array_map($face->widthUnits(...), $strings);
$ours = (hrtime(true) - $start) / 1e6;

$browser = Chromium::open();
$browser->get('data:text/html,<body></body>');
$theirs = $browser->executeAsyncScript(
    <<<'JS'
    const [data, strings, done] = arguments
    new FontFace('probe', Uint8Array.from(atob(data), (c) => c.charCodeAt(0))).load().then((face) => {
      document.fonts.add(face)
      const span = document.body.appendChild(document.createElement('span'))
      span.style.cssText = 'font: 100px probe; white-space: pre; position: absolute'
      span.textContent = 'warm'; span.getBoundingClientRect()
      const start = performance.now()
      for (const text of strings) { span.textContent = text; span.getBoundingClientRect() }
      done(performance.now() - start)
    })
    JS
    ,
    [base64_encode((string) file_get_contents(TestFonts::path('Roboto', 400))), $strings],
);
$browser->quit();
$row('(l) 10,000 strings measured ÷ by Chromium’s DOM', $ours / $theirs, '×', 1);
$row('(l) 10,000 strings measured', $ours, ' ms', null);

$start = hrtime(true);
foreach (array_slice($strings, 0, 1000) as $i => $text) {
    TextSetter::set("$text $text $text", $face, TextMode::WrapShrink, 200, 12, Size::of(400 + $i % 500, 120 + $i % 300), 1200);
}
$row('(l) 1,000 texts fitted by wrapping and shrinking', (hrtime(true) - $start) / 1e6, ' ms', null);
$long = mb_substr(implode(' ', $strings), 0, 5000);
$ways = [
    'wrapping and shrinking' => TextMode::WrapShrink,
    'shrinking' => TextMode::Shrink,
    'an ellipsis' => TextMode::Ellipsis,
];
foreach ($ways as $how => $mode) {
    $start = hrtime(true);
    TextSetter::set($long, $face, $mode, 72, 8, Size::of(1320, 880));
    $row("(l) 5,000 characters fitted by $how", (hrtime(true) - $start) / 1e6, ' ms', 200);
}

$mask = imagecreatetruecolor(3840, 2160) ?: throw new RuntimeException('No memory for a mask.');
imagealphablending($mask, false);
imagesavealpha($mask, true);
$clear = (int) imagecolorallocatealpha($mask, 0, 0, 0, 127);
imagefilledrectangle($mask, 0, 0, 3839, 2159, 0x203040);
imagefilledellipse($mask, 1200, 1080, 1600, 1400, $clear);
imagefilledrectangle($mask, 2400, 300, 3500, 1700, $clear);
mt_srand(1);
for ($i = 0; $i < 4000; ++$i) {
    imagesetpixel($mask, mt_rand(0, 3839), mt_rand(0, 2159), $clear);
}
$path = sys_get_temp_dir().'/upper-pane-mask.png';
imagepng($mask, $path);
$alpha = '';
for ($y = 0; $y < 2160; ++$y) {
    for ($x = 0; $x < 3840; ++$x) {
        $alpha .= imagecolorat($mask, $x, $y) >> 24 === 127 ? "\0" : "\xFF";
    }
}
$found = $decoded = [];
for ($i = 0; $i < 7; ++$i) {
    $start = hrtime(true);
    imagecreatefrompng($path);
    $decoded[] = (hrtime(true) - $start) / 1e6;
    $start = hrtime(true);
    CutOut::of(Size::of(3840, 2160), $alpha);
    $found[] = (hrtime(true) - $start) / 1e6;
}
unlink($path);
$row('(l) openings of 3840 × 2160 px found ÷ PNG decoded', $percentile($found, 0.5) / $percentile($decoded, 0.5), '×', 1.5);
$row('(l) openings of 3840 × 2160 px found', $percentile($found, 0.5), ' ms', null);
