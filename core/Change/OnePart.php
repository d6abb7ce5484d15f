<?php

declare(strict_types=1);

namespace UpperPane\Core\Change;

use UpperPane\Core\Base\Input;

/**
 * A kind of document that lies whole in one part, the head, and has had no other version.
 *
 * @template D of Document
 *
 * @implements Kind<D>
 */
abstract class OnePart implements Kind
{
    private const HEAD = 'head';

    public function upgraded(array $parts): array
    {
        return $parts;
    }

    public function stored(array $parts): Document
    {
        $head = $parts[self::HEAD] ?? '';

        return Stored::read(
            '',
            fn (): Document => $this->read(Input::json(json_decode($head, false, 512, \JSON_THROW_ON_ERROR))),
        );
    }

    public function parts(Document $document, ?Document $before = null): array
    {
        return [
            self::HEAD => json_encode(
                $document->toArray(),
                \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES,
            ),
        ];
    }
}
