<?php

declare(strict_types=1);

namespace UpperPane\Core\Design\Fill;

use UpperPane\Core\Base\Input;

/**
 * A text, how it is set, what of it is set otherwise, how it comes, and whether it runs through its zone: then it comes
 * running.
 */
final readonly class TextFill implements StyledFill
{
    use Altered;

    public const LONGEST = 5000;

    /** @param list<TextRun> $runs */
    private function __construct(
        public string $text,
        public TextStyle $style,
        public ?Ticker $ticker,
        public ?Entrance $entrance,
        public array $runs,
    ) {
    }

    /** One that stands in something else, where nothing runs or comes by itself. */
    public static function parseStanding(Input $input): self
    {
        $input->keys(['kind', 'text', 'runs', ...TextStyle::KEYS]);
        $input->choice('kind', ['text']);

        return self::parse($input);
    }

    public static function parse(Input $input): self
    {
        $input->keys(['kind', 'text', 'ticker', 'entrance', 'runs', ...TextStyle::KEYS]);
        [$ticker, $entrance] = [$input->optional('ticker'), $input->optional('entrance')];

        $text = $input->text('text', self::LONGEST);

        return new self(
            $text,
            TextStyle::parse($input),
            $ticker === null ? null : Ticker::parse($ticker),
            $entrance === null ? null : Entrance::parse($entrance),
            $input->has('runs') ? TextRun::parseAll($input->child('runs'), $text) : [],
        );
    }

    /** The same words, standing still. */
    public function unmoved(): self
    {
        return new self($this->text, $this->style, null, null, $this->runs);
    }

    public function style(): TextStyle
    {
        return $this->style;
    }

    public function resolved(Names $names): self
    {
        return $this->altered([
            'style' => $this->style->resolved($names),
            'runs' => array_map(static fn (TextRun $run) => $run->resolved($names), $this->runs),
        ]);
    }

    public function kind(): FillKind
    {
        return FillKind::Text;
    }

    public function toArray(): array
    {
        return ['kind' => 'text', 'text' => $this->text] +
            $this->style->toArray() +
            array_filter([
                'ticker' => $this->ticker?->toArray(),
                'entrance' => $this->entrance?->toArray(),
                'runs' => array_map(static fn (TextRun $run) => $run->toArray(), $this->runs),
            ]);
    }

    public function mediaIds(): array
    {
        return [];
    }
}
