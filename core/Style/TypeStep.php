<?php

declare(strict_types=1);

namespace UpperPane\Core\Style;

use UpperPane\Core\Base\Input;

/** A step of the type scale: face, size in design px, line height in thousandths of the size (0: the font's own). */
final readonly class TypeStep
{
    private function __construct(
        public string $name,
        public string $font,
        public int $weight,
        public int $sizePx,
        public int $lineHeightThousandths,
    ) {
    }

    public static function parse(Input $input): self
    {
        $input->keys(['name', 'font', 'weight', 'size', 'line_height']);

        return new self(
            trim($input->text('name', 60, 1)),
            $input->text('font', 80, 1),
            $input->int('weight', 100, 900),
            $input->int('size', 1, 4000),
            $input->int('line_height', 0, 5000),
        );
    }

    /** @return array{name: string, font: string, weight: int, size: int, line_height: int} */
    public function toArray(): array
    {
        return ['name' => $this->name] + $this->look();
    }

    /** @return array{font: string, weight: int, size: int, line_height: int} what a text takes from it */
    public function look(): array
    {
        return [
            'font' => $this->font,
            'weight' => $this->weight,
            'size' => $this->sizePx,
            'line_height' => $this->lineHeightThousandths,
        ];
    }
}
