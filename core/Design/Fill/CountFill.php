<?php

declare(strict_types=1);

namespace UpperPane\Core\Design\Fill;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Time\CivilTime;
use UpperPane\Core\Time\CountPattern;

/** How long it is to an instant, or has been since: at the site's civil time. Beyond it, nothing is left. */
final readonly class CountFill implements StyledFill
{
    use Altered;

    private function __construct(
        public CivilTime $at,
        public bool $up,
        public CountPattern $pattern,
        public TextStyle $style,
    ) {
    }

    public static function parse(Input $input): self
    {
        $input->keys(['kind', 'at', 'up', 'pattern', ...TextStyle::KEYS]);

        return new self(
            CivilTime::parse($input->child('at')),
            $input->bool('up'),
            CountPattern::parse($input->child('pattern')),
            TextStyle::parse($input),
        );
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
        return FillKind::Count;
    }

    public function toArray(): array
    {
        return ['kind' => 'count', 'at' => $this->at->text, 'up' => $this->up, 'pattern' => $this->pattern->pattern] +
            $this->style->toArray();
    }

    public function mediaIds(): array
    {
        return [];
    }
}
