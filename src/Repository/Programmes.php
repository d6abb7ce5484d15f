<?php

declare(strict_types=1);

namespace UpperPane\App\Repository;

use Doctrine\DBAL\Connection;
use UpperPane\App\Entity\SurfaceRow;

final readonly class Programmes
{
    public function __construct(private Connection $database)
    {
    }

    /** The number of a surface's next programme; its row is locked, so that no two take the same. */
    public function next(SurfaceRow $surface): int
    {
        $this->database->fetchOne('SELECT id FROM surface WHERE id = ? FOR UPDATE', [$surface->id]);

        return 1 +
            (int) $this->database->fetchOne('SELECT MAX(number) FROM programme WHERE surface_id = ?', [$surface->id]);
    }
}
