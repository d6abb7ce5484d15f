<?php

declare(strict_types=1);

/*
 * The faces designs may use: whole files of Debian's font packages, copied into public/fonts by `bin/console app:fonts`.
 * family → weight → file
 */
$roboto = '/usr/share/fonts/truetype/roboto/unhinted/RobotoTTF/Roboto-';
$condensed = '/usr/share/fonts/truetype/roboto/unhinted/RobotoCondensed-';
$lato = '/usr/share/fonts/truetype/lato/Lato-';

return [
    'Roboto' => [300 => $roboto.'Light.ttf', 400 => $roboto.'Regular.ttf', 500 => $roboto.'Medium.ttf', 700 => $roboto.'Bold.ttf', 900 => $roboto.'Black.ttf'],
    'Roboto Condensed' => [400 => $condensed.'Regular.ttf', 700 => $condensed.'Bold.ttf'],
    'Lato' => [400 => $lato.'Regular.ttf', 700 => $lato.'Bold.ttf', 900 => $lato.'Black.ttf'],
];
