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
use UpperPane\Core\Layout\Typed;

/**
 * `float.size`: width and height, and the offset that goes with them when an edge is dragged. With `ratio`, of one side
 * that is another the other follows in the ratio that the float had. Refuses `float.gone`, `float.locked`,
 * `float.no_size`.
 */
final readonly class SizeFloat implements DesignCommand
{
    public const NAME = 'float.size';

    public function __construct(
        private string $scene,
        private bool $turned,
        private string $zone,
/** @var array{Typed, Typed} */ private array $size,
/** @var array{Typed, Typed}|null */ private ?array $offset,
        private bool $keepsRatio = false,
    ) {
    }

    public static function parse(Input $input): self
    {
        $input->keys(['do', 'scene', 'layout', 'zone', 'size', 'offset', 'ratio']);

        [$scene, $turned] = LayoutAt::fields($input);

        return new self(
            $scene,
            $turned,
            $input->id('zone'),
            Typed::pair($input->list('size', 2, 2)),
            $input->has('offset') ? Typed::pair($input->list('offset', 2, 2)) : null,
            $input->has('ratio') && $input->bool('ratio'),
        );
    }

    public function apply(Document $document): Change
    {
        $at = LayoutAt::of($document, $this->scene, $this->turned);
        $float = $at->movable($this->zone, '/zone');

        $frame = MoveFloat::frameOf($at, $float);
        $size = FloatPlace::seen(MoveFloat::lengths($this->size, $frame, '/size'), '/size');
        $size = $this->keepsRatio ? self::inRatio($size, $float->size, $frame) : $size;
        $offset = $this->offset === null ? $float->offset : MoveFloat::lengths($this->offset, $frame, '/offset');

        return SetFloat::replacing($at, $float, $float->lying($float->frame, $float->anchor, $offset, $size));
    }

    /**
     * @param array{Length, Length} $size
     * @param array{Length, Length} $before
     *
     * @return array{Length, Length}
     */
    private static function inRatio(array $size, array $before, Rect $frame): array
    {
        $isOther = static fn (int $side) => $size[$side]->toText() !== $before[$side]->toText();
        if ($isOther(0) === $isOther(1)) {
            return $size;
        }
        [$typed, $follows] = $isOther(0) ? [0, 1] : [1, 0];
        $sides = [$frame->width, $frame->height];
        $times = $size[$typed]->in($sides[$typed])->dividedBy($before[$typed]->in($sides[$typed]));
        $wanted = $before[$follows]->in($sides[$follows])->times($times);
        $size[$follows] = $before[$follows]->holding($wanted, $sides[$follows]);

        return [$size[0], $size[1]];
    }

    public function target(): Scope
    {
        return LayoutAt::scopeOf($this->scene, $this->turned)->below('float', $this->zone, 'size');
    }

    public function toArray(): array
    {
        return [
            'do' => self::NAME,
            'scene' => $this->scene,
            'layout' => $this->turned ? LayoutAt::TURNED : LayoutAt::OWN,
            'zone' => $this->zone,
            'size' => MoveFloat::texts($this->size),
        ] +
            ($this->offset === null ? [] : ['offset' => MoveFloat::texts($this->offset)]) +
            ($this->keepsRatio ? ['ratio' => true] : []);
    }
}
