<?php

declare(strict_types=1);

namespace UpperPane\Core\Style;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Change\Document;

/** Named colours and a type scale that fills refer to. Immutable; only commands make a new one. */
final readonly class HouseStyle implements Document
{
    public const VERSION = 1;
    public const MOST = 100;

    /**
     * @param array<string, NamedColour> $colours by id, in the order they came
     * @param array<string, TypeStep>    $types   by id
     */
    private function __construct(public string $name, public array $colours, public array $types)
    {
    }

    public static function fresh(string $name): self
    {
        return new self($name, [], []);
    }

    /** @throws Refusal with the place of the first fault */
    public static function parse(Input $input): self
    {
        $input->keys(['version', 'name', 'colours', 'types'])->choice('version', [self::VERSION]);

        return new self(
            self::named($input),
            array_map(NamedColour::parse(...), $input->child('colours')->members()),
            array_map(TypeStep::parse(...), $input->child('types')->members()),
        );
    }

    public static function named(Input $input): string
    {
        return trim($input->text('name', 120, 1));
    }

    public function called(string $name): self
    {
        return new self($name, $this->colours, $this->types);
    }

    /** @param ?NamedColour $colour null takes it away */
    public function withColour(string $id, ?NamedColour $colour): self
    {
        $colours = $colour === null
            ? array_diff_key($this->colours, [$id => 0])
            : array_replace($this->colours, [$id => $colour]);

        return new self($this->name, $colours, $this->types);
    }

    /** @param ?TypeStep $step null takes it away */
    public function withType(string $id, ?TypeStep $step): self
    {
        $types = $step === null
            ? array_diff_key($this->types, [$id => 0])
            : array_replace($this->types, [$id => $step]);

        return new self($this->name, $this->colours, $types);
    }

    public function toArray(): array
    {
        return [
            'version' => self::VERSION,
            'name' => $this->name,
            'colours' => (object) array_map(static fn (NamedColour $one) => $one->toArray(), $this->colours),
            'types' => (object) array_map(static fn (TypeStep $one) => $one->toArray(), $this->types),
        ];
    }
}
