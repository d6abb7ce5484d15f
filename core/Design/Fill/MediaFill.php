<?php

declare(strict_types=1);

namespace UpperPane\Core\Design\Fill;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Geometry\Rect;
use UpperPane\Core\Geometry\Size;
use UpperPane\Core\Picture\Crop;
use UpperPane\Core\Picture\Fit;
use UpperPane\Core\Picture\FitMode;
use UpperPane\Core\Picture\Quality;

/**
 * A picture or a video from the Stock, the part of it that is shown, how it is sized into its zone, and the ground
 * behind it.
 */
final readonly class MediaFill implements Fill
{
    use Altered;

    private const KEYS = [
        ...['kind', 'media', 'fit', 'focus', 'ground', 'faces'],
        ...['crop', 'clip', 'behind', 'quality', 'sound', 'trim'],
    ];
    private const MOST_FACES = 50;

    /** @param list<Rect> $faces marked by a person, in ppm of the source */
    private function __construct(
        private FillKind $kind,
        public string $media,
        public FitMode $fit,
        public int $focusX,
        public int $focusY,
        public ?Colour $ground,
        public bool $sound,
        public array $faces,
        public ?Trim $trim,
        public ?Crop $crop,
        public bool $blurredBehind,
        public ?Clip $clip,
        public Quality $quality,
    ) {
    }

    /**
     * `focus` is in thousandths of a percent per axis; `sound` and `trim` belong to videos, `behind` and
     * `quality` to pictures: a video would have to be decoded twice, and takes too long to make anew.
     */
    public static function parse(Input $input, FillKind $kind): self
    {
        $others = $kind === FillKind::Video ? ['behind', 'quality'] : ['sound', 'trim'];
        $input->keys(array_values(array_diff(self::KEYS, $others)));
        $focus = $input->list('focus', 2, 2);
        $trim = $kind === FillKind::Video ? $input->optional('trim') : null;
        $crop = $input->optional('crop');
        $quality = $input->has('quality') ? $input->enum('quality', Quality::class) : Quality::Usual;
        \assert($quality instanceof Quality);

        return new self(
            $kind,
            $input->id('media'),
            FitMode::from((string) $input->choice('fit', array_column(FitMode::cases(), 'value'))),
            $focus[0]->asInt(0, 100_000),
            $focus[1]->asInt(0, 100_000),
            Colour::parseOrNone($input->child('ground')),
            $kind === FillKind::Video && $input->bool('sound'),
            $input->has('faces') ? array_map(Rect::parsePpm(...), $input->list('faces', self::MOST_FACES)) : [],
            $trim === null ? null : Trim::parse($trim),
            $crop === null ? null : Crop::parse($crop),
            $input->optional('behind') !== null && $input->choice('behind', ['blurred']) === 'blurred',
            Clip::parseOrNone($input),
            $quality,
        );
    }

    public function resolved(Names $names): self
    {
        return $this->altered([
            'ground' => $this->ground === null ? null : $names->colour($this->ground),
            'clip' => $this->clip?->resolved($names),
        ]);
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
            'ground' => $this->ground?->said,
        ] +
            ($this->faces === []
                ? []
                : ['faces' => array_map(static fn (Rect $face) => $face->toArray(), $this->faces)]) +
            ($this->kind === FillKind::Video ? ['sound' => $this->sound] : []) +
            array_filter([
                'crop' => $this->crop?->ppm->toArray(),
                'clip' => $this->clip?->toArray(),
                'quality' => $this->quality === Quality::Usual ? null : $this->quality->value,
                'behind' => $this->blurredBehind ? 'blurred' : null,
                'trim' => $this->trim?->toArray(),
            ]);
    }

    /**
     * Where it begins in its medium, and how long it is, in ms; null for what has no length.
     *
     * @return array{int, int}|null
     */
    public function stretch(?int $durationMs): ?array
    {
        return $durationMs === null ? null : $this->trim?->within($durationMs) ?? [0, $durationMs];
    }

    /** How it lies in a box: as it is fitted, or otherwise. */
    public function in(Size $source, Size $box, ?FitMode $mode = null): Fit
    {
        $how = [$box, $mode ?? $this->fit, $this->focusX, $this->focusY];

        return $this->crop === null
            ? Fit::of($source, ...$how)
            : Fit::ofPart($source, $this->crop->of($source), ...$how);
    }

    public function mediaIds(): array
    {
        return [$this->media];
    }
}
