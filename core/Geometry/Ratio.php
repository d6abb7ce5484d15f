<?php

declare(strict_types=1);

namespace UpperPane\Core\Geometry;

/** Width to height: exact in lowest terms, and the nearest common name within 0.5 % (model §2; common practice). */
final readonly class Ratio
{
    private const NAMED = [
        '1:1' => [[1, 1]],
        '5:4' => [[5, 4]],
        '4:3' => [[4, 3]],
        '3:2' => [[3, 2]],
        '16:10' => [[16, 10]],
        '5:3' => [[5, 3]],
        '16:9' => [[16, 9]],
        '17:9' => [[17, 9]],
        '2:1' => [[2, 1]],
        '21:9' => [[64, 27], [43, 18]],
        '8:3' => [[8, 3]],
        '32:9' => [[32, 9]],
        '48:9' => [[48, 9]],
    ];

    private function __construct(public string $exact, public ?string $name)
    {
    }

    public static function of(Size $size): self
    {
        $common = Rational::gcd($size->width, $size->height);
        $exact = intdiv($size->width, $common).':'.intdiv($size->height, $common);

        return new self($exact, self::nearestName($size));
    }

    /** @return array{exact: string, name: ?string} */
    public function toArray(): array
    {
        return ['exact' => $this->exact, 'name' => $this->name];
    }

    private static function nearestName(Size $size): ?string
    {
        $portrait = $size->isPortrait();
        $ratio = $portrait ? Rational::of($size->height, $size->width) : Rational::of($size->width, $size->height);
        $best = null;
        $bestDistance = Rational::of(5, 1000);
        foreach (self::NAMED as $name => $values) {
            foreach ($values as [$a, $b]) {
                $distance = $ratio->times(Rational::of($b, $a))->minus(Rational::of(1))->absolute();
                $order = $distance->compare($bestDistance);
                if ($order < 0 || ($order === 0 && $best === null)) {
                    [$best, $bestDistance] = [$name, $distance];
                }
            }
        }

        return $best !== null && $portrait ? implode(':', array_reverse(explode(':', $best))) : $best;
    }
}
