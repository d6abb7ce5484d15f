<?php

declare(strict_types=1);

namespace UpperPane\Core\Design\Guides;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Change\Change;
use UpperPane\Core\Change\Document;
use UpperPane\Core\Change\Scope;
use UpperPane\Core\Change\Scopes;
use UpperPane\Core\Design\Design;
use UpperPane\Core\Design\DesignCommand;
use UpperPane\Core\Design\Spot;
use UpperPane\Core\Layout\Lattice;

/**
 * `design.lattice`: columns and rows over the design's own canvas, exchanged for the other orientation; null for none.
 * Refuses `lattice.too_fine`.
 */
final readonly class SetLattice implements DesignCommand
{
    public const NAME = 'design.lattice';

    /** @param ?array{int, int} $lattice columns and rows */
    private function __construct(private ?array $lattice)
    {
    }

    public static function parse(Input $input): self
    {
        $input->keys(['do', 'lattice']);
        $lattice = $input->optional('lattice');

        return new self($lattice === null ? null : Design::lattice($lattice));
    }

    public function apply(Document $document): Change
    {
        if ($this->lattice !== null) {
            Lattice::of($document->canvas, ...$this->lattice);
        }

        return new Change(
            $document->with(['lattice' => $this->lattice]),
            [new self($document->lattice)],
            Scopes::of(),
            Scopes::of(Spot::lattice()),
        );
    }

    public function target(): Scope
    {
        return Spot::lattice();
    }

    public function toArray(): array
    {
        return ['do' => self::NAME, 'lattice' => $this->lattice];
    }
}
