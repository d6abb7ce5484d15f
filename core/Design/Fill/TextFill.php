<?php

declare(strict_types=1);

namespace UpperPane\Core\Design\Fill;

use UpperPane\Core\Base\Input;

/** A text and how it is set. */
final readonly class TextFill implements Fill
{
    public const LONGEST = 5000;

    private function __construct(public string $text, public TextStyle $style)
    {
    }

    public static function parse(Input $input): self
    {
        $input->keys(['kind', 'text', ...TextStyle::KEYS]);

        return new self($input->text('text', self::LONGEST), TextStyle::parse($input));
    }

    public function kind(): FillKind
    {
        return FillKind::Text;
    }

    public function toArray(): array
    {
        return ['kind' => 'text', 'text' => $this->text] + $this->style->toArray();
    }

    public function mediaIds(): array
    {
        return [];
    }
}
