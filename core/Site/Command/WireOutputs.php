<?php

declare(strict_types=1);

namespace UpperPane\Core\Site\Command;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Change\Change;
use UpperPane\Core\Change\Command;
use UpperPane\Core\Change\Document;
use UpperPane\Core\Change\Scope;
use UpperPane\Core\Change\Scopes;
use UpperPane\Core\Output\OutputMap;
use UpperPane\Core\Site\Spot;
use UpperPane\Core\Site\SurfaceSheet;

/**
 * `output.wire`: the whole output map; null puts one panel on each output, as they come.
 *
 * @implements Command<SurfaceSheet>
 */
final readonly class WireOutputs implements Command
{
    public const NAME = 'output.wire';

    public function __construct(private ?OutputMap $outputs)
    {
    }

    public static function parse(Input $input): self
    {
        $input->keys(['do', 'outputs']);

        return new self($input->child('outputs')->isNull() ? null : OutputMap::parse($input->child('outputs')));
    }

    public function apply(Document $document): Change
    {
        return new Change(
            $document->with(['outputs' => $this->outputs?->toArray()]),
            [new self($document->outputs)],
            Scopes::of(Spot::field('shape')),
            Scopes::of(Spot::outputs()),
        );
    }

    public function target(): Scope
    {
        return Spot::outputs();
    }

    public function toArray(): array
    {
        return ['do' => self::NAME, 'outputs' => $this->outputs?->toArray()];
    }
}
