<?php

declare(strict_types=1);

namespace UpperPane\Core\Design\Fill;

use UpperPane\Core\Base\Input;

/** A text, how it is set, how it comes, and whether it runs through its zone: then it comes running. */
final readonly class TextFill implements StyledFill
{
    public const LONGEST = 5000;

    private function __construct(
        public string $text,
        public TextStyle $style,
        public ?Ticker $ticker,
        public ?Entrance $entrance,
    ) {
    }

    public static function parse(Input $input): self
    {
        $input->keys(['kind', 'text', 'ticker', 'entrance', ...TextStyle::KEYS]);
        [$ticker, $entrance] = [$input->optional('ticker'), $input->optional('entrance')];

        return new self(
            $input->text('text', self::LONGEST),
            TextStyle::parse($input),
            $ticker === null ? null : Ticker::parse($ticker),
            $entrance === null ? null : Entrance::parse($entrance),
        );
    }

    /** The same words, standing still. */
    public function unmoved(): self
    {
        return new self($this->text, $this->style, null, null);
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
            array_filter(['ticker' => $this->ticker?->toArray(), 'entrance' => $this->entrance?->toArray()]);
    }

    public function mediaIds(): array
    {
        return [];
    }
}
