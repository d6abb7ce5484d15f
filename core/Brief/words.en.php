<?php

declare(strict_types=1);

/* Every word on a brief sheet. */
return [
    'title' => 'Brief sheet',
    'scene' => 'Scene',
    'zone' => 'Zone',
    'name' => 'Name',
    'width' => 'Width px',
    'height' => 'Height px',
    'x' => 'Left px',
    'y' => 'Top px',
    'turn' => 'Turned °',
    'exact' => 'Exact ratio',
    'ratio' => 'Ratio',
    'bleed_x' => 'Behind seams across px',
    'bleed_y' => 'Behind seams down px',
    'fill' => 'Content',
    'seconds' => 'Seconds',
    'surface' => 'Surface',
    'canvas' => 'Canvas',
    'safe' => 'Safe area',
    'safe_all' => 'the whole canvas',
    'scale' => 'Scale',
    'revision' => 'Revision',
    'at' => 'Date',
    'fill.empty' => 'nothing yet',
    'fill.colour' => 'colour',
    'fill.picture' => 'picture',
    'fill.video' => 'video',
    'fill.text' => 'text',
    'fill.clock' => 'clock',
    'fill.playlist' => 'playlist',
];
