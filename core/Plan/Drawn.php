<?php

declare(strict_types=1);

namespace UpperPane\Core\Plan;

use UpperPane\Core\Design\Fill\Fill;

/**
 * What was drawn already, as long as its fills live: a scene is drawn for the bench and judged for its surface, mostly
 * at the same px.
 */
final class Drawn
{
    /** @var \WeakMap<Fill, array<string, Item>> */
    private \WeakMap $items;

    public function __construct()
    {
        $this->items = new \WeakMap();
    }

    /**
     * @param string           $as   everything that it is drawn by beside the fill
     * @param callable(): Item $draw
     */
    public function once(Fill $fill, string $as, callable $draw): Item
    {
        $known = $this->items[$fill] ?? [];
        if (!isset($known[$as])) {
            $known[$as] = $draw();
            $this->items[$fill] = $known;
        }

        return $known[$as];
    }
}
