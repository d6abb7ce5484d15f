<?php

declare(strict_types=1);

namespace UpperPane\Tests\Support;

use Random\Randomizer;

/** Random values that a JSON Schema allows: mostly ordinary ones, often the least and the most. */
final readonly class FromSchema
{
    /**
     * @param array<mixed>                     $schema
     * @param array<string, non-empty-list<mixed>> $words what stands in members of that name, of which the schema says
     *     too little
     */
    public function __construct(private array $schema, private Randomizer $random, private array $words)
    {
    }

    /** @param non-empty-list<string> $path to a part of the schema */
    public function at(array $path): mixed
    {
        return $this->value(array_reduce($path, static fn (array $part, string $key) => $part[$key], $this->schema));
    }

    /** @param array<mixed> $schema */
    private function value(array $schema, string $name = ''): mixed
    {
        if (isset($schema['$ref'])) {
            $path = array_slice(explode('/', $schema['$ref']), 1);
            $schema = array_reduce($path, static fn (array $part, string $key) => $part[$key], $this->schema);
            $name = isset($this->words[$name]) ? $name : (string) end($path);
        }
        $ways = $schema['oneOf'] ?? $schema['anyOf'] ?? null;
        if ($ways !== null) {
            return $this->value($this->one($ways), $name);
        }
        if (isset($schema['const']) || isset($schema['enum'])) {
            return $this->one($schema['enum'] ?? [$schema['const']]);
        }
        $type = $this->one((array) $schema['type']);
        $words = array_values(array_filter($this->words[$name] ?? [], static fn (mixed $word) => $type === 'string'
            ? is_string($word)
            : $type === 'integer' && is_int($word)));

        return match (true) {
            $words !== [] => $this->one($words),
            $type === 'null' => null,
            $type === 'boolean' => $this->random->getInt(0, 1) === 1,
            $type === 'integer' => $this->number($schema),
            $type === 'array' => $this->list($schema, $name),
            $type === 'object' => $this->members($schema),
            default => throw new \LogicException("Nothing is known of what $name says."),
        };
    }

    /** @param array<mixed> $schema */
    private function number(array $schema): int
    {
        [$least, $most] = [$schema['minimum'], $schema['maximum']];

        return match ($this->random->getInt(0, 9)) {
            0 => $least,
            1 => $most,
            2, 3 => $this->random->getInt($least, $most),
            default => $this->random->getInt($least, min($most, max($least, 0) + 90)),
        };
    }

    /**
     * @param array<mixed> $schema
     *
     * @return list<mixed>
     */
    private function list(array $schema, string $name): array
    {
        if (isset($schema['prefixItems'])) {
            return array_map(
                fn (int $at) => $this->value($schema['prefixItems'][$at], $name.$at),
                array_keys($schema['prefixItems']),
            );
        }
        $least = $schema['minItems'] ?? 0;
        $many = $this->random->getInt($least, min($schema['maxItems'] ?? $least + 3, $least + 3));

        return array_map(fn () => $this->value($schema['items'], $name), array_fill(0, $many, null));
    }

    /**
     * @param array<mixed> $schema
     *
     * @return array<string, mixed>
     */
    private function members(array $schema): array
    {
        $members = [];
        foreach ($schema['properties'] as $name => $part) {
            if (in_array($name, $schema['required'] ?? [], true) || $this->random->getInt(0, 3) === 0) {
                $members[$name] = $this->value($part, $name);
            }
        }

        return $members;
    }

    /** @param non-empty-array<mixed> $of */
    private function one(array $of): mixed
    {
        return $of[$this->random->pickArrayKeys($of, 1)[0]];
    }
}
