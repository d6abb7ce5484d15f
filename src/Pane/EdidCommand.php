<?php

declare(strict_types=1);

namespace UpperPane\App\Pane;

use UpperPane\Core\Base\Finding;
use UpperPane\Core\Surface\Edid;

/** A display's EDID file → its native mode, size and name. */
final class EdidCommand implements FileCommand
{
    public function name(): string
    {
        return 'edid';
    }

    public function about(): string
    {
        return 'An EDID file: maker, name, native px, rate, size and where it is from.';
    }

    public function schema(): array
    {
        return ['type' => 'null', 'description' => 'Input is a binary file of 128·n bytes, given as --file FILE.'];
    }

    public function options(): array
    {
        return [];
    }

    public function runFile(string $bytes, array $options): array
    {
        $edid = Edid::read($bytes);
        $findings = array_map(static fn (Finding $finding) => $finding->toArray(), $edid->findings());

        return $edid->toArray() + ($findings === [] ? [] : ['findings' => $findings]);
    }
}
