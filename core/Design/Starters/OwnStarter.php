<?php

declare(strict_types=1);

namespace UpperPane\Core\Design\Starters;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Design\LayoutAt;
use UpperPane\Core\Geometry\Rect;
use UpperPane\Core\Geometry\Size;
use UpperPane\Core\Layout\Glazing;
use UpperPane\Core\Layout\GlazingReader;
use UpperPane\Core\Layout\Part;
use UpperPane\Core\Layout\Split;

/** A glazing that somebody kept to begin with: in shares only, so that it fits other canvases. */
final readonly class OwnStarter
{
    /** @param array<string, mixed> $tree panes are called `1`, `2` … in tree order; splits have no id */
    private function __construct(public string $name, public array $tree)
    {
    }

    /** @throws Refusal for what is no glazing, or has sizes other than shares */
    public static function parse(Input $input): self
    {
        $input->keys(['name', 'tree']);
        $tree = GlazingReader::read($input->child('tree'));
        if (!self::isInShares($tree)) {
            throw Refusal::because('starter.shares', $input->pathTo('tree'));
        }
        $panes = 0;

        return new self($input->text('name', 80, 1), self::plain($tree, $panes));
    }

    /** The glazing of a layout, as it lies there now. */
    public static function of(string $name, LayoutAt $at): self
    {
        $panes = 0;

        return new self($name, self::plain($at->tree(), $panes, $at->glazing()));
    }

    /**
     * @return ?list<list<int>> its panes on a canvas, as its tree calls them; null when that has too few px for it
     */
    public function on(Size $canvas): ?array
    {
        try {
            $panes = Glazing::resolve(GlazingReader::read(Input::of($this->tree)), $canvas)->panes;
        } catch (Refusal) {
            return null;
        }

        return array_values(array_map(static fn (Rect $rect) => $rect->toArray(), $panes));
    }

    /** @return array{name: string, tree: array<string, mixed>} */
    public function toArray(): array
    {
        return ['name' => $this->name, 'tree' => $this->tree];
    }

    private static function isInShares(Part $part): bool
    {
        foreach ($part instanceof Split ? $part->parts : [] as $child) {
            if (!$child->size()->isShare() || !self::isInShares($child)) {
                return false;
            }
        }

        return true;
    }

    /**
     * @param ?Glazing $glazing where shares are the px that parts have there; null where they are as written
     *
     * @return array<string, mixed>
     */
    private static function plain(Part $part, int &$panes, ?Glazing $glazing = null, ?Split $parent = null): array
    {
        $size =
            $parent === null
                ? []
                : ['size' => $glazing === null
                    ? $part->size()->toText()
                    : ($glazing->rect($part->id())?->length($parent->axis) ?? 1).'fr'];
        if (!$part instanceof Split) {
            return $size + ['pane' => (string) ++$panes];
        }
        $parts = [];
        foreach ($part->parts as $child) {
            $parts[] = self::plain($child, $panes, $glazing, $part);
        }

        return $size + ['split' => $part->axis->splitName(), 'gutter' => $part->gutterPx, 'parts' => $parts];
    }
}
