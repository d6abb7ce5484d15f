<?php

declare(strict_types=1);

namespace UpperPane\Tests\Core\Site;

use PHPUnit\Framework\TestCase;
use UpperPane\Core\Site\Patience;

/** Some tries are free, then the wait doubles from ten seconds up to five minutes (common practice). */
final class PatienceTest extends TestCase
{
    public function testTheWaitDoublesUpToFiveMinutes(): void
    {
        $waits = static fn (Patience $patience, array $wrong) => array_map(
            static fn (int $count) => $patience->waitMs($count, 1_000_000, 1_000_000),
            $wrong,
        );

        self::assertSame(
            [0, 0, 10_000, 20_000, 40_000, 80_000, 160_000, 300_000, 300_000],
            $waits(Patience::withPerson(), [0, 4, 5, 6, 7, 8, 9, 10, 5000]),
        );
        self::assertSame([0, 10_000, 20_000, 300_000], $waits(Patience::withAddress(), [49, 50, 51, 90]));
    }

    public function testWhatIsLeftShrinksToNothing(): void
    {
        $left = static fn (int $now) => Patience::withPerson()->waitMs(6, 50_000, $now);

        self::assertSame([20_000, 1, 0, 0], [$left(50_000), $left(69_999), $left(70_000), $left(900_000)]);
    }
}
