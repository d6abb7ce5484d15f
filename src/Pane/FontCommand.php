<?php

declare(strict_types=1);

namespace UpperPane\App\Pane;

use UpperPane\Core\Text\File\FontFacts;

/** A font file → what it says of itself. */
final readonly class FontCommand implements FileCommand
{
    public function name(): string
    {
        return 'font';
    }

    public function about(): string
    {
        return 'A TrueType or OpenType file: its family and weight, whether it may be embedded, how many characters.';
    }

    public function schema(): array
    {
        return ['type' => 'null', 'description' => 'Input is a TTF or OTF file, given as --file FILE.'];
    }

    public function options(): array
    {
        return [];
    }

    public function runFile(string $bytes, array $options): array
    {
        return FontFacts::of($bytes)->toArray();
    }
}
