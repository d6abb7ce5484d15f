<?php

declare(strict_types=1);

namespace UpperPane\App\Repository;

use Doctrine\DBAL\Connection;
use UpperPane\App\Adapter\ShiftedClock;
use UpperPane\Core\Text\Widths;

/** What browsers measured of lines at a site, by the sum of face and text. */
final readonly class MeasuredTexts
{
    public function __construct(private Connection $database)
    {
    }

    public function of(int $site): Widths
    {
        return new class(fn (string $sum) => $this->width($sum), $site) implements Widths {
            /** @param \Closure(string): ?int $find */
            public function __construct(private \Closure $find, private int $site)
            {
            }

            public function find(string $family, int $weight, string $line): ?int
            {
                return ($this->find)(MeasuredTexts::sum($this->site, $family, $weight, $line));
            }
        };
    }

    public function keep(int $site, string $family, int $weight, string $line, int $width): void
    {
        $this->database->executeStatement(
            'REPLACE INTO measured_text (sum, width, at_ms) VALUES (?, ?, ?)',
            [self::sum($site, $family, $weight, $line), $width, (new ShiftedClock())->nowMs()],
        );
    }

    public static function sum(int $site, string $family, int $weight, string $line): string
    {
        return hash('sha256', "$site\0$family\0$weight\0$line");
    }

    private function width(string $sum): ?int
    {
        $width = $this->database->fetchOne('SELECT width FROM measured_text WHERE sum = ?', [$sum]);

        return $width === false ? null : (int) $width;
    }
}
