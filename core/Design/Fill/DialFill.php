<?php

declare(strict_types=1);

namespace UpperPane\Core\Design\Fill;

use UpperPane\Core\Base\Input;

/** The site's civil time on a dial with hands. */
final readonly class DialFill implements Fill
{
    use Altered;

    private function __construct(
        public Colour $hands,
        public Colour $face,
        public Colour $accent,
        public ?Colour $ground,
        public bool $seconds,
    ) {
    }

    public static function parse(Input $input): self
    {
        $input->keys(['kind', 'hands', 'face', 'accent', 'ground', 'seconds']);

        return new self(
            Colour::parse($input->child('hands')),
            Colour::parse($input->child('face')),
            Colour::parse($input->child('accent')),
            Colour::parseOrNone($input->child('ground')),
            $input->bool('seconds'),
        );
    }

    public function resolved(Names $names): self
    {
        return $this->altered([
            'hands' => $names->colour($this->hands),
            'face' => $names->colour($this->face),
            'accent' => $names->colour($this->accent),
            'ground' => $this->ground === null ? null : $names->colour($this->ground),
        ]);
    }

    public function kind(): FillKind
    {
        return FillKind::Dial;
    }

    public function toArray(): array
    {
        return [
            'kind' => 'dial',
            'hands' => $this->hands->said,
            'face' => $this->face->said,
            'accent' => $this->accent->said,
            'ground' => $this->ground?->said,
            'seconds' => $this->seconds,
        ];
    }

    public function mediaIds(): array
    {
        return [];
    }
}
