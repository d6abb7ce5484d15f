<?php

declare(strict_types=1);

namespace UpperPane\App\Adapter;

use UpperPane\Core\Base\Refusal;

/**
 * A file for players could not be written. The database knows what is in it, so it is tried again until it is there.
 */
final class Unwritten extends \RuntimeException
{
    private function __construct(string $message, public readonly Refusal $why)
    {
        parent::__construct($message);
    }

    public static function at(string $path): self
    {
        $free = (int) @disk_free_space(is_dir(dirname($path)) ? dirname($path) : '/');

        return new self(
            "Could not write $path.",
            Refusal::because('publish.unwritten', '', ['free' => intdiv($free, 1_000_000)]),
        );
    }

    public static function broken(): self
    {
        return new self('What was sealed has changed.', Refusal::because('publish.broken'));
    }

    public static function without(string $sha256): self
    {
        return new self("The medium $sha256 is not in the storage.", Refusal::because('publish.medium_gone'));
    }
}
