<?php

declare(strict_types=1);

namespace UpperPane\Core\Geometry;

use UpperPane\Core\Base\Input;

/** Width and height in whole px, each at least 1; what is read is at most 100,000, what is computed may be more. */
final readonly class Size
{
    public const LARGEST_PX = 100_000;

    private function __construct(public int $width, public int $height)
    {
    }

    /** @throws \InvalidArgumentException below 1 px: a slip of the program, never of a person */
    public static function of(int $width, int $height): self
    {
        if ($width < 1 || $height < 1) {
            throw new \InvalidArgumentException("A size of $width × $height px has no area.");
        }

        return new self($width, $height);
    }

    /** Reads `[width, height]` in px. */
    public static function parse(Input $input): self
    {
        $sides = $input->asList(2, 2);

        return new self($sides[0]->asInt(1, self::LARGEST_PX), $sides[1]->asInt(1, self::LARGEST_PX));
    }

    public function turned(int $degrees): self
    {
        return $degrees % 180 === 0 ? $this : new self($this->height, $this->width);
    }

    public function area(): int
    {
        return $this->width * $this->height;
    }

    public function shortSide(): int
    {
        return min($this->width, $this->height);
    }

    public function isPortrait(): bool
    {
        return $this->height > $this->width;
    }

    public function rect(): Rect
    {
        return Rect::of(0, 0, $this->width, $this->height);
    }

    /** @return array{int, int} */
    public function toArray(): array
    {
        return [$this->width, $this->height];
    }
}
