<?php

declare(strict_types=1);

namespace UpperPane\Core\Design\Floats;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Change\Change;
use UpperPane\Core\Change\Document;
use UpperPane\Core\Change\Scope;
use UpperPane\Core\Change\Scopes;
use UpperPane\Core\Design\Design;
use UpperPane\Core\Design\DesignCommand;
use UpperPane\Core\Design\LayoutAt;
use UpperPane\Core\Layout\FloatPlace;

/**
 * `float.set`: where a float lies, whole. It is how a moved, sized, turned or anchored one is taken back. Refuses
 * `float.gone`.
 */
final readonly class SetFloat implements DesignCommand
{
    public const NAME = 'float.set';

    public function __construct(private string $scene, private bool $turned, private FloatPlace $float)
    {
    }

    public static function parse(Input $input): self
    {
        $input->keys(['do', 'scene', 'layout', 'float']);

        [$scene, $turned] = LayoutAt::fields($input);

        return new self($scene, $turned, FloatPlace::parse($input->child('float')));
    }

    public function apply(Document $document): Change
    {
        $at = LayoutAt::of($document, $this->scene, $this->turned);
        $float =
            $at->layout->float($this->float->zone) ??
            throw Refusal::because('float.gone', '/float/zone', ['zone' => $this->float->zone]);

        return self::replacing($at, $float, $this->float);
    }

    public function target(): Scope
    {
        return LayoutAt::scopeOf($this->scene, $this->turned)->below('float', $this->float->zone);
    }

    public function toArray(): array
    {
        return [
            'do' => self::NAME,
            'scene' => $this->scene,
            'layout' => $this->turned ? LayoutAt::TURNED : LayoutAt::OWN,
            'float' => $this->float->toArray(),
        ];
    }

    /** The command that brings a float of this layout back to where it is now. */
    public static function asItWas(LayoutAt $at, FloatPlace $float): self
    {
        return new self($at->scene->id, $at->turned, $float);
    }

    /** @return Change<Design> */
    public static function replacing(LayoutAt $at, FloatPlace $old, FloatPlace $new): Change
    {
        $floats = array_map(
            static fn (FloatPlace $float) => $float->zone === $old->zone ? $new : $float,
            $at->layout->floats,
        );

        return new Change(
            $at->putFloats($floats)->after,
            [self::asItWas($at, $old)],
            Scopes::of(...$new->pane() === null ? [] : [$at->part($new->pane())]),
            Scopes::of($at->float($old->zone)),
            ['letter' => $at->design->zone($old->zone)->letter()],
        );
    }
}
