<?php

declare(strict_types=1);

namespace UpperPane\Core\Design\Fill;

use UpperPane\Core\Base\Input;

/** A text, how it is set, and whether it runs through its zone. */
final readonly class TextFill implements StyledFill
{
    public const LONGEST = 5000;

    private function __construct(public string $text, public TextStyle $style, public ?Ticker $ticker)
    {
    }

    public static function parse(Input $input): self
    {
        $input->keys(['kind', 'text', 'ticker', ...TextStyle::KEYS]);
        $ticker = $input->optional('ticker');

        return new self(
            $input->text('text', self::LONGEST),
            TextStyle::parse($input),
            $ticker === null ? null : Ticker::parse($ticker),
        );
    }

    public function style(): TextStyle
    {
        return $this->style;
    }

    public function kind(): FillKind
    {
        return FillKind::Text;
    }

    public function toArray(): array
    {
        return ['kind' => 'text', 'text' => $this->text] +
            $this->style->toArray() +
            array_filter(['ticker' => $this->ticker?->toArray()]);
    }

    public function mediaIds(): array
    {
        return [];
    }
}
