<?php

declare(strict_types=1);

namespace UpperPane\Core\Design\Floats;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Change\Change;
use UpperPane\Core\Change\Document;
use UpperPane\Core\Change\Scopes;
use UpperPane\Core\Design\DesignCommand;
use UpperPane\Core\Design\LayoutAt;

/** `float.order`: a float right behind another, or in front of all. Refuses `float.gone`. */
final readonly class OrderFloat implements DesignCommand
{
    public const NAME = 'float.order';

    public function __construct(
        private string $scene,
        private bool $turned,
        private string $zone,
        private ?string $before,
    ) {
    }

    public static function parse(Input $input): self
    {
        $input->keys(['do', 'scene', 'layout', 'zone', 'before']);

        [$scene, $turned] = LayoutAt::fields($input);

        return new self($scene, $turned, $input->id('zone'), $input->optional('before')?->asId());
    }

    public function apply(Document $document): Change
    {
        $at = LayoutAt::of($document, $this->scene, $this->turned);
        $float =
            $at->layout->float($this->zone) ?? throw Refusal::because('float.gone', '/zone', ['zone' => $this->zone]);
        $floats =
            $this->before === $this->zone
                ? $at->layout->floats
                : PlaceFloat::inserted($at->layout, $float, $this->before);

        return new Change(
            $at->putFloats($floats)->after,
            [new self($this->scene, $this->turned, $this->zone, RemoveFloat::follower($at->layout, $this->zone))],
            Scopes::of(),
            Scopes::of($at->floats()),
            ['letter' => $document->zone($this->zone)->letter()],
        );
    }

    public function target(): null
    {
        return null;
    }

    public function toArray(): array
    {
        return [
            'do' => self::NAME,
            'scene' => $this->scene,
            'layout' => $this->turned ? LayoutAt::TURNED : LayoutAt::OWN,
            'zone' => $this->zone,
            'before' => $this->before,
        ];
    }
}
