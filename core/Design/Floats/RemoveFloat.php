<?php

declare(strict_types=1);

namespace UpperPane\Core\Design\Floats;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Change\Change;
use UpperPane\Core\Change\Document;
use UpperPane\Core\Change\Scopes;
use UpperPane\Core\Design\DesignCommand;
use UpperPane\Core\Design\Layout;
use UpperPane\Core\Design\LayoutAt;
use UpperPane\Core\Layout\FloatPlace;

/** `float.remove`: a float goes; its zone too, when it stands nowhere else. Refuses `float.gone`, `float.locked`. */
final readonly class RemoveFloat implements DesignCommand
{
    public const NAME = 'float.remove';

    public function __construct(private string $scene, private bool $turned, private string $zone)
    {
    }

    public static function parse(Input $input): self
    {
        $input->keys(['do', 'scene', 'layout', 'zone']);

        [$scene, $turned] = LayoutAt::fields($input);

        return new self($scene, $turned, $input->id('zone'));
    }

    public function apply(Document $document): Change
    {
        $at = LayoutAt::of($document, $this->scene, $this->turned);
        $float = $at->movable($this->zone, '/zone');
        $put = $at->putFloats(
            array_values(array_filter($at->layout->floats, fn (FloatPlace $one) => $one->zone !== $this->zone)),
        );

        return new Change(
            $put->after,
            [new PlaceFloat($this->scene, $this->turned, $float, self::follower($at->layout, $this->zone), $put->gone)],
            Scopes::of(),
            $put->touched->and(Scopes::of($at->float($this->zone), $at->floats())),
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
        ];
    }

    /** The float right in front of one; null for the foremost. */
    public static function follower(Layout $layout, string $zone): ?string
    {
        $ids = array_map(static fn (FloatPlace $float) => $float->zone, $layout->floats);

        return $ids[(int) array_search($zone, $ids, true) + 1] ?? null;
    }
}
