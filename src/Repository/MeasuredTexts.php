<?php

declare(strict_types=1);

namespace UpperPane\App\Repository;

use Doctrine\DBAL\Connection;
use UpperPane\App\Adapter\ShiftedClock;
use UpperPane\Core\Text\Setting\Widths;

/** What browsers measured of lines at a site, by the sum of face and text. */
final readonly class MeasuredTexts
{
    public function __construct(private Connection $database, private ShiftedClock $clock)
    {
    }

    public function of(int $site): Widths
    {
        return new class($this, $site) implements Widths {
            public function __construct(private MeasuredTexts $texts, private int $site)
            {
            }

            public function find(string $family, int $weight, string $line): ?int
            {
                return $this->texts->width($this->site, $family, $weight, $line);
            }
        };
    }

    public function keep(int $site, string $family, int $weight, string $line, int $width): void
    {
        $this->database->executeStatement(
            'REPLACE INTO measured_text (sum, width, at_ms) VALUES (?, ?, ?)',
            [self::sum($site, $family, $weight, $line), $width, $this->clock->nowMs()],
        );
    }

    private static function sum(int $site, string $family, int $weight, string $line): string
    {
        return hash('sha256', "$site\0$family\0$weight\0$line");
    }

    /** In thousandths of the size; null where nobody has measured. */
    public function width(int $site, string $family, int $weight, string $line): ?int
    {
        $sum = self::sum($site, $family, $weight, $line);
        $width = $this->database->fetchOne('SELECT width FROM measured_text WHERE sum = ?', [$sum]);

        return $width === false ? null : (int) $width;
    }
}
