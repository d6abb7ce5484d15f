<?php

declare(strict_types=1);

namespace UpperPane\App\Pane;

use UpperPane\App\Adapter\AlphaReader;
use UpperPane\App\Adapter\OutsideProgram;
use UpperPane\App\Adapter\Pulse;
use UpperPane\Core\Picture\CutOut;
use UpperPane\Core\Picture\Opening;

/** A picture with alpha → its transparent openings. */
final readonly class CutOutCommand implements FileCommand
{
    public function name(): string
    {
        return 'cutout';
    }

    public function about(): string
    {
        return 'A PNG or WebP file: its transparent openings, what to lay under each, the room inside.';
    }

    public function schema(): array
    {
        return [
            'type' => 'null',
            'description' => 'Input is a PNG or WebP picture, given as --file FILE; --alpha N (8) is the most that counts as open.',
        ];
    }

    public function options(): array
    {
        return ['alpha' => ['least' => 0, 'most' => 254, 'otherwise' => CutOut::ALPHA]];
    }

    public function runFile(string $bytes, array $options): array
    {
        [$size, $alpha] = (new AlphaReader(new OutsideProgram(new Pulse())))->read($bytes);

        return [
            'size' => $size->toArray(),
            'openings' => array_map(
                static fn (Opening $opening) => $opening->toArray(),
                CutOut::of($size, $alpha, $options['alpha']),
            ),
        ];
    }
}
