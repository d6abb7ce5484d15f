<?php

declare(strict_types=1);

namespace UpperPane\Core\Design\Floats;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Change\Change;
use UpperPane\Core\Change\Document;
use UpperPane\Core\Change\Scopes;
use UpperPane\Core\Design\DesignCommand;
use UpperPane\Core\Geometry\Rect;

/**
 * `float.match`: floats as wide, as high, or both, as another; each keeps its top left corner. Refuses `float.gone`,
 * `float.locked`.
 */
final readonly class MatchFloats implements DesignCommand
{
    public const NAME = 'float.match';
    private const SIDES = ['width', 'height', 'both'];

    private function __construct(private FloatsAt $floats, private string $like, private string $side)
    {
    }

    public static function parse(Input $input): self
    {
        $input->keys(['do', 'scene', 'layout', 'zones', 'like', 'side', 'panels']);

        return new self(
            FloatsAt::parse($input, FloatsAt::ids($input, 1)),
            $input->id('like'),
            (string) $input->choice('side', self::SIDES),
        );
    }

    public function apply(Document $document): Change
    {
        $at = $this->floats->layout($document);
        $rects = $this->floats->rects($at);
        $float = $at->layout->float($this->like);
        if ($float === null) {
            throw Refusal::because('float.gone', '/like', ['zone' => $this->like]);
        }
        $like = $at->placing($this->floats->panels)->placed[$this->like]->rect;
        $sized = array_map(
            fn (Rect $rect): Rect => Rect::of(
                $rect->x,
                $rect->y,
                $this->side === 'height' ? $rect->width : $like->width,
                $this->side === 'width' ? $rect->height : $like->height,
            ),
            $rects,
        );

        return $this->floats->put($at, $sized)->touching(Scopes::of($at->float($this->like)), Scopes::of());
    }

    public function target(): null
    {
        return null;
    }

    public function toArray(): array
    {
        return $this->floats->toArray(self::NAME) +
            ['zones' => $this->floats->zones, 'like' => $this->like, 'side' => $this->side];
    }
}
