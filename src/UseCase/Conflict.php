<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase;

/** The world has moved on since this was asked: 409, with what the person needs to choose. */
final class Conflict extends \RuntimeException
{
    /**
     * @param array<string, string|int|list<string>> $params
     * @param array<string, mixed>                   $versions
     */
    private function __construct(
        public readonly string $conflictCode,
        public readonly array $params,
        public readonly array $versions,
    ) {
        parent::__construct($conflictCode);
    }

    /**
     * @param array<string, string|int|list<string>> $params
     * @param array<string, mixed>                   $versions
     */
    public static function because(string $code, array $params = [], array $versions = []): self
    {
        return new self($code, $params, $versions);
    }
}
