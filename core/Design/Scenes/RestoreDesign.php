<?php

declare(strict_types=1);

namespace UpperPane\Core\Design\Scenes;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Change\Change;
use UpperPane\Core\Change\Document;
use UpperPane\Core\Change\Scope;
use UpperPane\Core\Change\Scopes;
use UpperPane\Core\Design\Design;
use UpperPane\Core\Design\DesignCommand;
use UpperPane\Core\Design\DesignReader;
use UpperPane\Core\Design\Spot;

/**
 * `design.restore`: a whole earlier state in place of what is there. Letters that were given meanwhile are not given
 * again. Refuses `design.canvas` for one of another size.
 */
final readonly class RestoreDesign implements DesignCommand
{
    public const NAME = 'design.restore';

    private function __construct(private Design $design)
    {
    }

    public static function of(Design $design): self
    {
        return new self($design);
    }

    public static function parse(Input $input): self
    {
        $input->keys(['do', 'design']);

        return new self(DesignReader::read($input->child('design')));
    }

    public function apply(Document $document): Change
    {
        if ($this->design->canvas->toArray() !== $document->canvas->toArray()) {
            throw Refusal::because('design.canvas', '/design/canvas', [
                'is' => implode(' × ', $document->canvas->toArray()),
                'other' => implode(' × ', $this->design->canvas->toArray()),
            ]);
        }
        $after = $this->design->with(['lettersUsed' => max($document->lettersUsed, $this->design->lettersUsed)]);
        $zones = array_keys($document->zones + $after->zones);
        $scenes = array_keys($document->scenes + $after->scenes);

        return new Change(
            $after,
            [new self($document)],
            Scopes::of(),
            Scopes::of(
                Spot::name(),
                Spot::reflow(),
                Spot::surfaces(),
                Spot::archived(),
                Spot::style(),
                Spot::still(),
                Spot::guides(),
                Spot::lattice(),
                Spot::order(),
                Spot::round(),
                ...array_map(static fn (int|string $id): Scope => Spot::zone((string) $id), $zones),
                ...array_map(static fn (int|string $id): Scope => Spot::scene((string) $id), $scenes),
            ),
        );
    }

    public function target(): null
    {
        return null;
    }

    public function toArray(): array
    {
        return ['do' => self::NAME, 'design' => $this->design->toArray()];
    }
}
