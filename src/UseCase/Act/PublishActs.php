<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Act;

use Doctrine\DBAL\Connection;
use Doctrine\DBAL\Exception as DatabaseFault;
use UpperPane\App\Adapter\Published;
use UpperPane\App\Adapter\ShiftedClock;
use UpperPane\App\Adapter\Unwritten;
use UpperPane\App\Repository\Acts;
use UpperPane\Core\Act\Act;

/**
 * Writes the file of acts of each site for its players: in the request that does something, and again and again on
 * every node, so that no shared volume is needed. What is there and right is left alone.
 */
final class PublishActs
{
    public const PREFIX = 'acts-';

    /** @var array<int, array{number: int, endMs: int}> by site: what this process wrote last, and when that changes */
    private array $written = [];

    public function __construct(
        private readonly Acts $acts,
        private readonly Published $published,
        private readonly Connection $database,
        private readonly ShiftedClock $clock,
    ) {
    }

    /** @throws Unwritten */
    public function __invoke(int $site): void
    {
        $file = $this->acts->files()[$site] ?? null;
        $file === null || $this->write($site, $file['key'], $file['number']);
    }

    /**
     * What changed since this process looked last, and what ended; what stands is renewed long before its end.
     *
     * @throws Unwritten|DatabaseFault
     */
    public function all(): void
    {
        foreach ($this->acts->files() as $site => ['key' => $key, 'number' => $number]) {
            $last = $this->written[$site] ?? null;
            $isWritten = $last !== null && $last['number'] === $number && $this->clock->nowMs() < $last['endMs'];
            // Two requests at once may have written it in the wrong order.
            if (!$isWritten || $this->published->numberOf(self::PREFIX.$key) !== $number) {
                $this->renew($site);
                $this->write($site, $key, $this->acts->files()[$site]['number'] ?? $number);
            }
        }
    }

    private function renew(int $site): void
    {
        $now = $this->clock->nowMs();
        $renewed = array_filter(array_map(
            static fn (Act $act) => $act->renewed($now),
            $this->acts->late($site, $now)->all,
        ));
        if ($renewed !== []) {
            $this->database->transactional(function () use ($renewed, $site, $now): void {
                array_map($this->acts->renew(...), $renewed);
                $this->acts->renumber($site, $now);
            });
        }
    }

    /** @throws Unwritten */
    private function write(int $site, string $key, int $number): void
    {
        $now = $this->clock->nowMs();
        $acts = $this->acts->late($site, $now);
        $this->published->order(
            self::PREFIX.$key,
            $acts->file($number, $acts->all === [] ? [] : $this->acts->players($site), $now),
        );
        $ends = array_filter(
            array_map(static fn (Act $act) => $act->changesMs(), $acts->all),
            static fn (int $ms) => $ms > $now,
        );
        $this->written[$site] = ['number' => $number, 'endMs' => $ends === [] ? \PHP_INT_MAX : min($ends)];
    }
}
