<?php

declare(strict_types=1);

namespace UpperPane\Core\Design\Floats;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Change\Change;
use UpperPane\Core\Change\Document;
use UpperPane\Core\Change\Scopes;
use UpperPane\Core\Design\DesignCommand;
use UpperPane\Core\Layout\FloatPlace;
use UpperPane\Core\Layout\FloatTraits;

/**
 * `float.traits`: what floats are beside where they lie; `set` holds those that change: `opacity` in thousandths,
 * `locked`, `hidden`, `group`. Refuses `float.gone`.
 */
final readonly class SetTraits implements DesignCommand
{
    public const NAME = 'float.traits';

    /** @param array<string, mixed> $set */
    private function __construct(private FloatsAt $floats, private array $set)
    {
    }

    public static function parse(Input $input): self
    {
        $input->keys(['do', 'scene', 'layout', 'zones', 'set']);
        $set = $input->child('set')->keys(FloatTraits::KEYS);
        $checked = FloatTraits::plain()->set($set);

        return new self(FloatsAt::parse($input, FloatsAt::ids($input, 1)), array_intersect_key(
            [
                'opacity' => $checked->opacityPermille,
                'locked' => $checked->locked,
                'hidden' => $checked->hidden,
                'group' => $checked->group,
            ],
            $set->members(),
        ));
    }

    public function apply(Document $document): Change
    {
        $at = $this->floats->layout($document);
        $new = $inverse = $writes = $letters = [];
        foreach ($this->floats->zones as $zone) {
            $float = $at->layout->float($zone) ?? throw Refusal::because('float.gone', '/zones', ['zone' => $zone]);
            $new[$zone] = $float->withTraits($float->traits->set(Input::of($this->set)));
            $inverse[] = SetFloat::asItWas($at, $float);
            $writes[] = $at->float($zone);
            $letters[] = $document->zone($zone)->letter();
        }
        $floats = array_map(static fn (FloatPlace $one) => $new[$one->zone] ?? $one, $at->layout->floats);

        return new Change(
            $at->putFloats($floats)->after,
            $inverse,
            Scopes::of(),
            Scopes::of(...$writes),
            ['letter' => implode(', ', $letters)],
        );
    }

    public function target(): null
    {
        return null;
    }

    public function toArray(): array
    {
        return $this->floats->toArray(self::NAME) + ['zones' => $this->floats->zones, 'set' => (object) $this->set];
    }
}
