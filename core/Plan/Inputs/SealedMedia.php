<?php

declare(strict_types=1);

namespace UpperPane\Core\Plan\Inputs;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Geometry\Size;
use UpperPane\Core\Picture\MediaFacts;
use UpperPane\Core\Picture\MediaNotes;
use UpperPane\Core\Picture\Opening;

/** What is known of a medium, written down: all that a plan takes of it. How light it is belongs to findings. */
final class SealedMedia
{
    public static function read(string $id, Input $input): MediaFacts
    {
        return new MediaFacts(
            $id,
            $input->text('name'),
            $input->text('sha256', 64),
            $input->text('mime', 100),
            $input->int('bytes', 0, \PHP_INT_MAX),
            $input->optional('size') === null ? null : Size::parse($input->child('size')),
            $input->optional('duration_ms')?->asInt(0, \PHP_INT_MAX),
            array_map(Opening::parse(...), $input->list('openings')),
            MediaNotes::parse($input->child('notes')),
        );
    }

    /** @return array<string, mixed> */
    public static function toArray(MediaFacts $facts): array
    {
        return [
            'name' => $facts->name,
            'sha256' => $facts->sha256,
            'mime' => $facts->mime,
            'bytes' => $facts->bytes,
            'size' => $facts->size?->toArray(),
            'duration_ms' => $facts->durationMs,
            'openings' => array_map(static fn (Opening $opening) => $opening->toArray(), $facts->openings),
            'notes' => $facts->notes->toArray(),
        ];
    }
}
