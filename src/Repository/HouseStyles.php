<?php

declare(strict_types=1);

namespace UpperPane\App\Repository;

use Doctrine\DBAL\Connection;
use UpperPane\Core\Style\HouseStyle;
use UpperPane\Core\Style\StyleKind;

/** The house styles of a site; one that cannot be read is left out, and designs stay as they were chosen. */
final readonly class HouseStyles
{
    public function __construct(private Connection $database, private Documents $documents)
    {
    }

    /** @return array<string, HouseStyle> by id, by name */
    public function ofSite(int $site): array
    {
        $ids = $this->database->fetchFirstColumn('SELECT id FROM document WHERE kind = ? AND site_id = ? AND removed_ms IS NULL', [
            StyleKind::NAME,
            $site,
        ]);
        $styles = array_filter(
            $this->documents->several(StyleKind::NAME, array_map(strval(...), $ids)),
            static fn (object $one) => $one instanceof HouseStyle,
        );
        uasort($styles, static fn (HouseStyle $one, HouseStyle $other) => strnatcasecmp($one->name, $other->name));

        return $styles;
    }

    /** @param bool $held until the transaction is over nobody removes it */
    public function find(int $site, string $id, bool $held = false): ?HouseStyle
    {
        $found = $this->database->fetchOne('SELECT 1 FROM document WHERE id = ? AND kind = ? AND site_id = ? AND removed_ms IS NULL'.
            ($held ? ' LOCK IN SHARE MODE' : ''), [
                $id,
                StyleKind::NAME,
                $site,
            ]);
        $style = $found === false ? null : $this->documents->several(StyleKind::NAME, [$id])[$id] ?? null;

        return $style instanceof HouseStyle ? $style : null;
    }
}
