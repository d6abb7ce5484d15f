<?php

declare(strict_types=1);

namespace UpperPane\Core\Book;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Change\Document;
use UpperPane\Core\Site\NamedId;

/**
 * What a site keeps beside its surfaces and designs: for now its groups, in an order that counts (where two groups of a
 * surface differ, the later one does, as in a style sheet). Immutable; only commands make a new one.
 */
final readonly class Book implements Document
{
    public const VERSION = 1;
    public const MOST_GROUPS = 200;

    /** @param array<string, string> $groups names by id, in their order */
    private function __construct(public array $groups)
    {
    }

    /** @param array<string, string> $groups names by id, in their order */
    public static function of(array $groups = []): self
    {
        return new self($groups);
    }

    /** @throws Refusal with the place of the first fault */
    public static function parse(Input $input): self
    {
        $input->keys(['version', 'groups', 'order'])->choice('version', [self::VERSION]);
        $names = array_map(self::name(...), array_map(
            static fn (Input $one) => $one->keys(['name']),
            $input->child('groups')->members(),
        ));
        $groups = [];
        foreach ($input->list('order', self::MOST_GROUPS) as $id) {
            $groups[$id->asId()] = $names[$id->asId()] ?? throw Refusal::because('group.gone', $id->path);
        }

        return new self($groups);
    }

    /** @throws Refusal `input.id` */
    public static function id(Input $input, string $key): string
    {
        $id = $input->id($key);

        return NamedId::Group->isOne($id)
            ? $id
            : throw Refusal::because('input.id', $input->pathTo($key), ['value' => $id]);
    }

    /** @throws Refusal */
    public static function name(Input $input): string
    {
        $name = trim($input->text('name', 60, 1));

        return $name === ''
            ? throw Refusal::because('input.missing', $input->pathTo('name'), ['key' => 'name'])
            : $name;
    }

    /** The group behind this one; null at the end, and for one that is not there. */
    public function behind(string $group): ?string
    {
        $ids = array_map(strval(...), array_keys($this->groups));
        $at = array_search($group, $ids, true);

        return $at === false ? null : $ids[$at + 1] ?? null;
    }

    /** With a group called so: where it stands, or, new, before another one or at the end. */
    public function with(string $group, string $name, ?string $before = null): self
    {
        return isset($this->groups[$group])
            ? new self([...$this->groups, $group => $name])
            : $this->placed($group, $name, $before);
    }

    public function without(string $group): self
    {
        return new self(array_diff_key($this->groups, [$group => 0]));
    }

    /** @param ?string $before null for the end */
    public function moved(string $group, ?string $before): self
    {
        return $this->without($group)->placed($group, $this->groups[$group], $before);
    }

    private function placed(string $group, string $name, ?string $before): self
    {
        $at = $before === null ? false : array_search($before, array_keys($this->groups), true);
        $at = $at === false ? count($this->groups) : $at;

        return new self(
            array_slice($this->groups, 0, $at) + [$group => $name] + array_slice($this->groups, $at),
        );
    }

    public function toArray(): array
    {
        return [
            'version' => self::VERSION,
            'groups' => (object) array_map(static fn (string $name) => ['name' => $name], $this->groups),
            'order' => array_keys($this->groups),
        ];
    }
}
