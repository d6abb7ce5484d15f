<?php

declare(strict_types=1);

namespace UpperPane\Core\Document\Fill;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Picture\FitMode;

/** A picture or a video from the Stock, how it is sized into its zone, and the ground behind it. */
final readonly class MediaFill implements Fill
{
    private const KEYS = ['kind', 'media', 'fit', 'focus', 'ground', 'sound'];

    private function __construct(
        private FillKind $kind,
        public string $media,
        public FitMode $fit,
        public int $focusX,
        public int $focusY,
        public Colour $ground,
        public bool $sound,
    ) {
    }

    /** `focus` is in thousandths of a percent per axis; `sound` belongs to videos. */
    public static function parse(Input $input, FillKind $kind): self
    {
        $input->keys($kind === FillKind::Video ? self::KEYS : array_slice(self::KEYS, 0, 5));
        $focus = $input->list('focus', 2, 2);

        return new self(
            $kind,
            $input->id('media'),
            FitMode::from((string) $input->choice('fit', array_column(FitMode::cases(), 'value'))),
            $focus[0]->asInt(0, 100_000),
            $focus[1]->asInt(0, 100_000),
            Colour::parse($input->child('ground')),
            $kind === FillKind::Video && $input->bool('sound'),
        );
    }

    public function kind(): FillKind
    {
        return $this->kind;
    }

    public function toArray(): array
    {
        return [
            'kind' => $this->kind->value,
            'media' => $this->media,
            'fit' => $this->fit->value,
            'focus' => [$this->focusX, $this->focusY],
            'ground' => $this->ground->hex,
        ] + ($this->kind === FillKind::Video ? ['sound' => $this->sound] : []);
    }

    public function mediaIds(): array
    {
        return [$this->media];
    }
}
