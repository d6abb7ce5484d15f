<?php

declare(strict_types=1);

namespace UpperPane\Core\Design\Floats;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Change\Change;
use UpperPane\Core\Change\Document;
use UpperPane\Core\Change\Scope;
use UpperPane\Core\Design\DesignCommand;
use UpperPane\Core\Design\LayoutAt;

/** `float.turn`: centidegrees clockwise about its centre. Refuses `float.gone`, `float.locked`. */
final readonly class TurnFloat implements DesignCommand
{
    public const NAME = 'float.turn';

    public function __construct(
        private string $scene,
        private bool $turned,
        private string $zone,
        private int $turnCentidegrees,
    ) {
    }

    public static function parse(Input $input): self
    {
        $input->keys(['do', 'scene', 'layout', 'zone', 'turn']);

        [$scene, $turned] = LayoutAt::fields($input);

        return new self($scene, $turned, $input->id('zone'), $input->int('turn', -35_999, 35_999));
    }

    public function apply(Document $document): Change
    {
        $at = LayoutAt::of($document, $this->scene, $this->turned);
        $float = $at->movable($this->zone, '/zone');

        return SetFloat::replacing($at, $float, $float->turned($this->turnCentidegrees));
    }

    public function target(): Scope
    {
        return LayoutAt::scopeOf($this->scene, $this->turned)->below('float', $this->zone, 'turn');
    }

    public function toArray(): array
    {
        return [
            'do' => self::NAME,
            'scene' => $this->scene,
            'layout' => $this->turned ? LayoutAt::TURNED : LayoutAt::OWN,
            'zone' => $this->zone,
            'turn' => $this->turnCentidegrees,
        ];
    }
}
