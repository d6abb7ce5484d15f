<?php

declare(strict_types=1);

/*
 * The faces designs may use: whole files of Debian's font packages, copied into public/fonts by `bin/console app:fonts`,
 * with what the package says of their licence.
 * family → package, and weight → file
 */
$type = '/usr/share/fonts/truetype/';
$open = '/usr/share/fonts/opentype/';
$faces = static fn (string $package, string $begins, array $ends): array => [
    'package' => $package,
    'faces' => array_map(static fn (string $end) => $begins.$end, $ends),
];

return [
    'Amiri' => $faces('fonts-hosny-amiri', "{$open}fonts-hosny-amiri/Amiri-", [400 => 'Regular.ttf', 700 => 'Bold.ttf']),
    'Andika' => $faces('fonts-sil-andika', "{$type}andika/Andika-", [400 => 'Regular.ttf', 700 => 'Bold.ttf']),
    'Cantarell' => $faces('fonts-cantarell', "{$open}cantarell/Cantarell-", [300 => 'Light.otf', 400 => 'Regular.otf', 700 => 'Bold.otf', 800 => 'ExtraBold.otf']),
    'Carlito' => $faces('fonts-crosextra-carlito', "{$type}crosextra/Carlito-", [400 => 'Regular.ttf', 700 => 'Bold.ttf']),
    'Comfortaa' => $faces('fonts-comfortaa', "{$type}comfortaa/Comfortaa-", [300 => 'Light.ttf', 400 => 'Regular.ttf', 700 => 'Bold.ttf']),
    'Droid Sans Fallback' => $faces('fonts-droid-fallback', "{$type}droid/DroidSansFallback", [400 => 'Full.ttf']),
    'EB Garamond' => $faces('fonts-ebgaramond', "{$open}ebgaramond/EBGaramond12-", [400 => 'Regular.otf', 700 => 'Bold.otf']),
    'Inter' => $faces('fonts-inter', "{$open}inter/Inter-", [300 => 'Light.otf', 400 => 'Regular.otf', 500 => 'Medium.otf', 700 => 'Bold.otf', 900 => 'Black.otf']),
    'JetBrains Mono' => $faces('fonts-jetbrains-mono', "{$type}jetbrains-mono/JetBrainsMono-", [400 => 'Regular.ttf', 700 => 'Bold.ttf']),
    'Lato' => $faces('fonts-lato', "{$type}lato/Lato-", [400 => 'Regular.ttf', 700 => 'Bold.ttf', 900 => 'Black.ttf']),
    'League Spartan' => $faces('fonts-league-spartan', "{$open}league-spartan/LeagueSpartan-", [400 => 'Regular.otf', 700 => 'Bold.otf', 900 => 'Black.otf']),
    'Noto Sans' => $faces('fonts-noto-core', "{$type}noto/NotoSans-", [400 => 'Regular.ttf', 700 => 'Bold.ttf']),
    'Noto Sans Hebrew' => $faces('fonts-noto-core', "{$type}noto/NotoSansHebrew-", [400 => 'Regular.ttf', 700 => 'Bold.ttf']),
    'Noto Serif' => $faces('fonts-noto-core', "{$type}noto/NotoSerif-", [400 => 'Regular.ttf', 700 => 'Bold.ttf']),
    'Open Sans' => $faces('fonts-open-sans', "{$type}open-sans/OpenSans-", [300 => 'Light.ttf', 400 => 'Regular.ttf', 600 => 'Semibold.ttf', 700 => 'Bold.ttf', 800 => 'ExtraBold.ttf']),
    'Quicksand' => $faces('fonts-quicksand', "{$type}quicksand/Quicksand-", [300 => 'Light.ttf', 400 => 'Regular.ttf', 500 => 'Medium.ttf', 700 => 'Bold.ttf']),
    'Roboto' => $faces('fonts-roboto-unhinted', "{$type}roboto/unhinted/RobotoTTF/Roboto-", [300 => 'Light.ttf', 400 => 'Regular.ttf', 500 => 'Medium.ttf', 700 => 'Bold.ttf', 900 => 'Black.ttf']),
    'Roboto Condensed' => $faces('fonts-roboto-unhinted', "{$type}roboto/unhinted/RobotoCondensed-", [400 => 'Regular.ttf', 700 => 'Bold.ttf']),
    'Vollkorn' => $faces('fonts-vollkorn', "{$type}vollkorn/Vollkorn-", [400 => 'Regular.ttf', 700 => 'Bold.ttf', 900 => 'Black.ttf']),
    'Yanone Kaffeesatz' => $faces('fonts-yanone-kaffeesatz', "{$open}yanone-kaffeesatz/YanoneKaffeesatz-", [300 => 'Light.otf', 400 => 'Regular.otf', 700 => 'Bold.otf']),
];
