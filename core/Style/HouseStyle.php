<?php

declare(strict_types=1);

namespace UpperPane\Core\Style;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Change\Document;

/**
 * Named colours, a type scale and named distances that fills refer to, and a picture for a corner of every scene.
 * Immutable; only commands make a new one.
 *
 * @phpstan-type All array{
 *     name: string,
 *     colours: array<string, NamedColour>,
 *     types: array<string, TypeStep>,
 *     spaces: array<string, SpaceStep>,
 *     mark: ?CornerMark,
 * }
 */
final readonly class HouseStyle implements Document
{
    public const VERSION = 1;
    public const MOST = 100;

    /**
     * @param array<string, NamedColour> $colours by id, in order, see {@see Section}
     * @param array<string, TypeStep>    $types   by id
     * @param array<string, SpaceStep>   $spaces  by id
     */
    private function __construct(
        public string $name,
        public array $colours,
        public array $types,
        public array $spaces,
        public ?CornerMark $mark,
    ) {
    }

    public static function fresh(string $name): self
    {
        return new self($name, [], [], [], null);
    }

    /** @throws Refusal with the place of the first fault */
    public static function parse(Input $input): self
    {
        $input->keys(['version', 'name', 'colours', 'types', 'spaces', 'mark'])->choice('version', [self::VERSION]);

        $mark = $input->optional('mark');

        return new self(
            self::named($input),
            Section::inOrder(array_map(NamedColour::parse(...), $input->child('colours')->members())),
            Section::inOrder(array_map(TypeStep::parse(...), $input->child('types')->members())),
            Section::inOrder(
                $input->has('spaces') ? array_map(SpaceStep::parse(...), $input->child('spaces')->members()) : [],
            ),
            $mark === null ? null : CornerMark::parse($mark),
        );
    }

    public static function named(Input $input): string
    {
        return trim($input->text('name', 120, 1));
    }

    public function called(string $name): self
    {
        return new self($name, $this->colours, $this->types, $this->spaces, $this->mark);
    }

    /** @return array<string, NamedColour|TypeStep|SpaceStep> by id */
    public function all(Section $section): array
    {
        return match ($section) {
            Section::Colours => $this->colours,
            Section::Types => $this->types,
            Section::Spaces => $this->spaces,
        };
    }

    /** With one of a section anew, or without it. */
    public function with(Section $section, string $id, NamedColour|TypeStep|SpaceStep|null $put): self
    {
        $there = $this->all($section);
        $anew =
            $put === null
                ? array_diff_key($there, [$id => 0])
                : Section::inOrder(array_replace($there, [$id => $put]));
        /** @var All $all */
        $all = [$section->plural() => $anew] + get_object_vars($this);

        return new self(...$all);
    }

    public function withMark(?CornerMark $mark): self
    {
        return new self($this->name, $this->colours, $this->types, $this->spaces, $mark);
    }

    public function toArray(): array
    {
        return [
            'version' => self::VERSION,
            'name' => $this->name,
            'colours' => (object) array_map(static fn (NamedColour $one) => $one->toArray(), $this->colours),
            'types' => (object) array_map(static fn (TypeStep $one) => $one->toArray(), $this->types),
            'spaces' => (object) array_map(static fn (SpaceStep $one) => $one->toArray(), $this->spaces),
            'mark' => $this->mark?->toArray(),
        ];
    }
}
