<?php

declare(strict_types=1);

namespace UpperPane\Core\Design\Starters;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Change\Document;

/** What a site's people keep to begin layouts with. Immutable; only commands make a new one. */
final readonly class OwnStarters implements Document
{
    public const VERSION = 1;
    public const MOST = 200;

    /** @param array<string, OwnStarter> $starters by id, in the order of their names, whoever kept one first */
    private function __construct(public array $starters)
    {
    }

    /** @param array<string, OwnStarter> $starters by id */
    private static function inOrder(array $starters): self
    {
        // A stable sort: of one name, by their ids.
        ksort($starters, \SORT_STRING);
        uasort($starters, static fn (OwnStarter $one, OwnStarter $other) => strnatcasecmp($one->name, $other->name));

        return new self($starters);
    }

    public static function none(): self
    {
        return new self([]);
    }

    /** @throws Refusal with the place of the first fault */
    public static function parse(Input $input): self
    {
        $input->keys(['version', 'starters'])->choice('version', [self::VERSION]);

        return self::inOrder(array_map(OwnStarter::parse(...), $input->child('starters')->members()));
    }

    /** @param ?OwnStarter $starter null takes it away */
    public function with(string $id, ?OwnStarter $starter): self
    {
        return self::inOrder(
            $starter === null
                ? array_diff_key($this->starters, [$id => 0])
                : array_replace($this->starters, [$id => $starter]),
        );
    }

    public function toArray(): array
    {
        $starters = array_map(static fn (OwnStarter $one) => $one->toArray(), $this->starters);

        return ['version' => self::VERSION, 'starters' => (object) $starters];
    }
}
