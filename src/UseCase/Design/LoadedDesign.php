<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Design;

use UpperPane\App\Entity\DesignRow;
use UpperPane\App\Entity\SceneRow;
use UpperPane\Core\Document\Design;

/** A design as stored and as the core sees it. */
final readonly class LoadedDesign
{
    /** @param list<SceneRow> $scenes */
    public function __construct(public DesignRow $row, public array $scenes, public Design $document)
    {
    }
}
