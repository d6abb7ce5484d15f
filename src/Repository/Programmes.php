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

    /** @return list<string> names of the surfaces that were handed a release of a design last */
    public function surfacesShowing(string $design): array
    {
        return array_map(strval(...), $this->database->fetchFirstColumn(
            'SELECT DISTINCT s.name FROM hand_off h JOIN release_ r ON r.id = h.release_id '.
                'JOIN surface s ON s.id = h.surface_id WHERE r.design_id = ? AND s.archived = 0 AND NOT EXISTS '.
                '(SELECT 1 FROM hand_off later WHERE later.surface_id = h.surface_id AND later.number > h.number) '.
                'ORDER BY s.name',
            [$design],
        ));
    }
}
