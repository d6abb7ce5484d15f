<?php

declare(strict_types=1);

namespace UpperPane\Core\Design\Fill;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Time\ClockPattern;

/** The site's civil time, written by a pattern of Unicode date fields (UTS #35), for example `EEEE HH:mm`. */
final readonly class ClockFill implements StyledFill
{
    use Altered;

    private function __construct(public ClockPattern $pattern, public TextStyle $style)
    {
    }

    public static function parse(Input $input): self
    {
        $input->keys(['kind', 'pattern', ...TextStyle::KEYS]);

        return new self(ClockPattern::parse($input->child('pattern')), TextStyle::parse($input));
    }

    public function style(): TextStyle
    {
        return $this->style;
    }

    public function resolved(Names $names): self
    {
        return $this->altered([
            'style' => $this->style->resolved($names),
        ]);
    }

    public function kind(): FillKind
    {
        return FillKind::Clock;
    }

    public function toArray(): array
    {
        return ['kind' => 'clock', 'pattern' => $this->pattern->pattern] + $this->style->toArray();
    }

    public function mediaIds(): array
    {
        return [];
    }
}
