<?php

declare(strict_types=1);

namespace UpperPane\App\Adapter;

/**
 * The people of the demo, for the sign-in page: in a file that only the demo writes beside its own data. Elsewhere
 * there is none, and nobody is listed.
 */
final readonly class DemoPeople
{
    public function __construct(private string $varDir)
    {
    }

    /** @param list<array{name: string, email: string, role: string, password: string}> $people */
    public function write(array $people): void
    {
        file_put_contents($this->path(), json_encode($people, \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE));
    }

    /** @return list<array{name: string, email: string, role: string, password: string}> */
    public function all(): array
    {
        if (!is_file($this->path())) {
            return [];
        }
        /** @var list<array{name: string, email: string, role: string, password: string}> */
        return json_decode((string) file_get_contents($this->path()), true, 8, \JSON_THROW_ON_ERROR);
    }

    private function path(): string
    {
        return $this->varDir.'/demo-people.json';
    }
}
