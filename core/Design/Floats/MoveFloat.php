<?php

declare(strict_types=1);

namespace UpperPane\Core\Design\Floats;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Change\Change;
use UpperPane\Core\Change\Document;
use UpperPane\Core\Change\Scope;
use UpperPane\Core\Design\DesignCommand;
use UpperPane\Core\Design\LayoutAt;
use UpperPane\Core\Layout\FloatPlace;
use UpperPane\Core\Layout\Length;

/** `float.move`: the offset of a float from its anchor, x right, y down. Refuses `float.gone`. */
final readonly class MoveFloat implements DesignCommand
{
    public const NAME = 'float.move';

    public function __construct(
        private string $scene,
        private bool $turned,
        private string $zone,
/** @var array{Length, Length} */ private array $offset,
    ) {
    }

    public static function parse(Input $input): self
    {
        $input->keys(['do', 'scene', 'layout', 'zone', 'offset']);

        [$scene, $turned] = LayoutAt::fields($input);

        return new self($scene, $turned, $input->id('zone'), FloatPlace::pair($input->list('offset', 2, 2)));
    }

    public function apply(Document $document): Change
    {
        $at = LayoutAt::of($document, $this->scene, $this->turned);
        $float =
            $at->layout->float($this->zone) ?? throw Refusal::because('float.gone', '/zone', ['zone' => $this->zone]);

        return SetFloat::replacing(
            $at,
            $float,
            $float->lying($float->frame, $float->anchor, $this->offset, $float->size),
        );
    }

    public function target(): Scope
    {
        return LayoutAt::scopeOf($this->scene, $this->turned)->below('float', $this->zone, 'offset');
    }

    public function toArray(): array
    {
        return [
            'do' => self::NAME,
            'scene' => $this->scene,
            'layout' => $this->turned ? LayoutAt::TURNED : LayoutAt::OWN,
            'zone' => $this->zone,
            'offset' => FloatPlace::texts($this->offset),
        ];
    }
}
