<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Design;

use UpperPane\App\Entity\Site;
use UpperPane\App\Entity\SurfaceRow;
use UpperPane\Core\Site\SurfaceSheet;

/** Where a design is looked at: a surface of a site, or a size that none has yet. */
final readonly class Stand
{
    /** @param ?string $area the part of the surface that the design is for; null for the whole */
    public function __construct(
        public Site $site,
        public ?SurfaceRow $surface,
        public SurfaceSheet $sheet,
        public ?string $area,
    ) {
    }

    /** The same place with another sheet. */
    public function with(SurfaceSheet $sheet): self
    {
        return new self($this->site, $this->surface, $sheet, $this->area);
    }
}
