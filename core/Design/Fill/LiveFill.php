<?php

declare(strict_types=1);

namespace UpperPane\Core\Design\Fill;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Picture\FitMode;

/** A live picture, with or without its sound; another picture stands in its place when the signal is gone. */
final readonly class LiveFill implements Fill
{
    use Altered;

    private function __construct(
        public LiveSource $source,
        public FitMode $fit,
        public bool $sound,
        public ?string $still,
        public Colour $ground,
    ) {
    }

    public static function parse(Input $input): self
    {
        $input->keys(['kind', 'source', 'fit', 'sound', 'still', 'ground']);
        $fit = $input->enum('fit', FitMode::class);
        \assert($fit instanceof FitMode);

        return new self(
            LiveSource::parse($input->child('source')),
            $fit,
            $input->bool('sound'),
            $input->optional('still')?->asId(),
            Colour::parse($input->child('ground')),
        );
    }

    public function resolved(Names $names): self
    {
        return $this->altered([
            'ground' => $names->colour($this->ground),
        ]);
    }

    public function kind(): FillKind
    {
        return FillKind::Live;
    }

    public function toArray(): array
    {
        return [
            'kind' => 'live',
            'source' => $this->source->toArray(),
            'fit' => $this->fit->value,
            'sound' => $this->sound,
            'still' => $this->still,
            'ground' => $this->ground->said,
        ];
    }

    public function mediaIds(): array
    {
        return $this->still === null ? [] : [$this->still];
    }
}
