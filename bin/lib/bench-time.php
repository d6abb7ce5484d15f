<?php

declare(strict_types=1);

/*
 * (w) the position in a playlist of 10, 1,000 and 100,000 entries, also with some between the others; (x) a day of
 * changes of 64 zones of 200 entries. Included by bench.php, with its $row.
 */

use UpperPane\Core\Time\Sequence;

$listed = static fn (int $count, bool $mixed): Sequence => Sequence::of(
    array_map(static fn (int $i) => 4000 + 1000 * ($i % 7), range(0, $count - 1)),
    range(0, $count - 1),
    array_map(static fn (int $i) => $mixed && $i % 5 === 0, range(0, $count - 1)),
    3,
);
$position = static function (int $count, bool $mixed) use ($listed): float {
    $list = $listed($count, $mixed);
    $start = hrtime(true);
    for ($i = 0; $i < 20_000; ++$i) {
        $list->at(($i * 86_028_121) % 4_102_444_800_000);
    }

    return (hrtime(true) - $start) / 20_000;
};
foreach (['' => false, ', a fifth between the others' => true] as $how => $mixed) {
    $few = $position(10, $mixed);
    $row("(w) the position in a list of 1,000 ÷ 10$how", $position(1000, $mixed) / $few, '×', 4);
    $row("(w) the position in a list of 100,000 ÷ 10$how", $position(100_000, $mixed) / $few, '×', 8);
}

$day = static function (int $zones) use ($listed): array {
    $base = memory_get_usage();
    memory_reset_peak_usage();
    $start = hrtime(true);
    $changes = 0;
    foreach (range(1, $zones) as $zone) {
        $list = $listed(200, $zone % 2 === 0);
        for ($at = 0; $at < 86_400_000; ++$changes) {
            $at += $list->at($at)->leftMs ?? throw new LogicException('A list shows something.');
        }
    }

    return [(hrtime(true) - $start) / 1e9, (memory_get_peak_usage() - $base) / 1e6, $changes];
};
[$few] = $day(16);
[$many, $memory, $changes] = $day(64);
$row(sprintf('(x) a day of %s changes of 64 zones of 200 entries', number_format($changes)), $many, ' s', null);
$row('(x) the same ÷ 16 zones', $many / $few, '×', 5);
$row('(x) its memory', $memory, ' MB', 64);
