<?php

declare(strict_types=1);

namespace UpperPane\Core\Design\Floats;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Change\Change;
use UpperPane\Core\Change\Document;
use UpperPane\Core\Change\Scope;
use UpperPane\Core\Design\DesignCommand;
use UpperPane\Core\Design\LayoutAt;
use UpperPane\Core\Geometry\Rect;
use UpperPane\Core\Layout\FloatPlace;
use UpperPane\Core\Layout\Length;
use UpperPane\Core\Layout\Placing;
use UpperPane\Core\Layout\Typed;

/** `float.move`: the offset of a float from its anchor, x right, y down. Refuses `float.gone`, `float.locked`. */
final readonly class MoveFloat implements DesignCommand
{
    public const NAME = 'float.move';

    public function __construct(
        private string $scene,
        private bool $turned,
        private string $zone,
/** @var array{Typed, Typed} */ private array $offset,
    ) {
    }

    public static function parse(Input $input): self
    {
        $input->keys(['do', 'scene', 'layout', 'zone', 'offset']);

        [$scene, $turned] = LayoutAt::fields($input);

        return new self($scene, $turned, $input->id('zone'), Typed::pair($input->list('offset', 2, 2)));
    }

    public function apply(Document $document): Change
    {
        $at = LayoutAt::of($document, $this->scene, $this->turned);
        $float = $at->movable($this->zone, '/zone');

        $offset = self::lengths($this->offset, self::frameOf($at, $float), '/offset');

        return SetFloat::replacing($at, $float, $float->lying($float->frame, $float->anchor, $offset, $float->size));
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
            'offset' => self::texts($this->offset),
        ];
    }

    /** What a float's % are of. A panel's size the design does not know: there % stay %, or the canvas is meant. */
    public static function frameOf(LayoutAt $at, FloatPlace $float): Rect
    {
        return Placing::frame($float->frame, $at->canvas(), $at->glazing()->panes, []) ?? $at->canvas()->rect();
    }

    /**
     * @param array{Typed, Typed} $typed
     *
     * @return array{Length, Length}
     */
    public static function lengths(array $typed, Rect $frame, string $path): array
    {
        return [$typed[0]->length($frame->width, "$path/0"), $typed[1]->length($frame->height, "$path/1")];
    }

    /**
     * @param array{Typed, Typed} $typed
     *
     * @return array{string, string}
     */
    public static function texts(array $typed): array
    {
        return [$typed[0]->toText(), $typed[1]->toText()];
    }
}
