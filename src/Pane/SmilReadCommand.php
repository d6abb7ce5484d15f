<?php

declare(strict_types=1);

namespace UpperPane\App\Pane;

use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Exchange\SmilReader;
use UpperPane\Core\Exchange\SmilRegion;

/** A SMIL document → its regions in px, a glazing when they tile, a report. */
final class SmilReadCommand implements FileCommand
{
    private const MOST_BYTES = 1_000_000;

    public function name(): string
    {
        return 'smil-read';
    }

    public function about(): string
    {
        return 'A SMIL file: its regions in px, a glazing when they tile, what could not be taken over.';
    }

    public function schema(): array
    {
        return ['type' => 'null', 'description' => 'Input is a SMIL document of at most 1 MB, given as --file FILE.'];
    }

    public function options(): array
    {
        return [];
    }

    public function runFile(string $bytes, array $options): array
    {
        if (strlen($bytes) > self::MOST_BYTES) {
            throw Refusal::because('input.too_large', '', ['bytes' => strlen($bytes), 'most' => self::MOST_BYTES]);
        }
        $read = SmilReader::read($bytes);

        return [
            'size' => $read['size']->toArray(),
            'regions' => array_map(static fn (SmilRegion $region) => $region->toArray(), $read['regions']),
            // A whole canvas has no size as a part.
            'tree' => $read['tree'] === null ? null : array_diff_key($read['tree']->toArray(), ['size' => 0]),
            'report' => $read['report'],
        ];
    }
}
