<?php

declare(strict_types=1);

namespace UpperPane\Core\Design\Fill;

use UpperPane\Core\Base\Input;

/** How far the scene has come, or a playlist of it: its entry that shows, or all of its round. */
final readonly class ProgressFill implements Fill
{
    use Altered;

    public const SCENE = 'scene';

    private function __construct(
        public string $of,
        public bool $whole,
        public string $form,
        public Colour $colour,
        public Colour $track,
        public ?Colour $ground,
    ) {
    }

    /** `of`: `scene`, or the id of a zone. */
    public static function parse(Input $input): self
    {
        $input->keys(['kind', 'of', 'whole', 'form', 'colour', 'track', 'ground']);

        return new self(
            $input->id('of'),
            $input->bool('whole'),
            (string) $input->choice('form', ['bar', 'ring']),
            Colour::parse($input->child('colour')),
            Colour::parse($input->child('track')),
            Colour::parseOrNone($input->child('ground')),
        );
    }

    public function resolved(Names $names): self
    {
        return $this->altered([
            'colour' => $names->colour($this->colour),
            'track' => $names->colour($this->track),
            'ground' => $this->ground === null ? null : $names->colour($this->ground),
        ]);
    }

    public function kind(): FillKind
    {
        return FillKind::Progress;
    }

    public function toArray(): array
    {
        return [
            'kind' => 'progress',
            'of' => $this->of,
            'whole' => $this->whole,
            'form' => $this->form,
            'colour' => $this->colour->said,
            'track' => $this->track->said,
            'ground' => $this->ground?->said,
        ];
    }

    public function mediaIds(): array
    {
        return [];
    }
}
