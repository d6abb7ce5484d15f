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

/**
 * `float.lay`: where floats lie, as rectangles of the canvas before turning. They stay held to what they are held to,
 * in the units they are written in. Refuses `float.gone`,
 * `float.locked`.
 */
final readonly class LayFloats implements DesignCommand
{
    public const NAME = 'float.lay';

    /** @param array<string, Rect> $rects by zone */
    private function __construct(private FloatsAt $floats, private array $rects)
    {
    }

    public static function parse(Input $input): self
    {
        $input->keys(['do', 'scene', 'layout', 'rects', 'panels']);
        $rects = array_map(Rect::parseAnywhere(...), $input->child('rects')->members());
        // Keys, that is, but as ids they are looked at like all others.
        $zones = FloatsAt::ids(Input::of(['zones' => array_map(strval(...), array_keys($rects))]), 1);

        return new self(FloatsAt::parse($input, $zones), $rects);
    }

    public function apply(Document $document): Change
    {
        return $this->floats->put($this->floats->layout($document), $this->rects);
    }

    public function target(): Scope
    {
        return LayoutAt::scopeOf($this->floats->scene, $this->floats->turned)->below('lay', ...$this->floats->zones);
    }

    public function toArray(): array
    {
        return $this->floats->toArray(self::NAME) + [
            'rects' => array_map(static fn (Rect $rect) => $rect->toArray(), $this->rects),
        ];
    }
}
