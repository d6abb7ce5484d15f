<?php

declare(strict_types=1);

namespace UpperPane\Tests\Core\Layout;

use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use UpperPane\Core\Base\Input;
use UpperPane\Core\Geometry\Axis;
use UpperPane\Core\Geometry\Rect;
use UpperPane\Core\Layout\Arrange;
use UpperPane\Core\Layout\FloatPlace;

/** What moves when boxes are aligned or spread: by the words of the rule, on random boxes. */
final class ArrangeTest extends TestCase
{
    private Randomizer $random;

    protected function setUp(): void
    {
        $this->random = new Randomizer(new Mt19937(7));
    }

    /** All have the same edge then, or the same middle to half a px; done again nothing moves. */
    #[TestWith([0])]
    #[TestWith([1])]
    #[TestWith([2])]
    public function testAlignedBoxesShareTheirEdge(int $halves): void
    {
        for ($try = 0; $try < 40; ++$try) {
            $boxes = $this->boxes(5);
            $frame = $this->boxes(1)[0];
            foreach (Axis::cases() as $axis) {
                $after = self::moved($boxes, Arrange::aligned($boxes, $axis, $halves, $frame), $axis);
                $edge = static fn (Rect $box): int => 2 * $box->start($axis) + $halves * $box->length($axis);
                foreach ($after as $key => $box) {
                    self::assertContains($edge($frame) - $edge($box), $halves === 1 ? [0, 1] : [0]);
                    self::assertSame($boxes[$key]->start($axis->other()), $box->start($axis->other()));
                }
                self::assertSame([0], array_unique(array_values(Arrange::aligned($after, $axis, $halves, $frame))));
            }
        }
    }

    /** The outer two stay, the gaps between differ by at most a px, the order along the axis is kept. */
    public function testSpreadBoxesHaveEqualGaps(): void
    {
        for ($try = 0; $try < 60; ++$try) {
            $boxes = $this->boxes(3 + $try % 5);
            foreach (Axis::cases() as $axis) {
                $by = Arrange::spread($boxes, $axis);
                self::assertSameSize($boxes, $by);
                $order = array_keys($by);
                self::assertSame(0, $by[$order[0]]);
                self::assertSame(0, $by[$order[count($order) - 1]]);
                $after = self::moved($boxes, $by, $axis);
                $gaps = [];
                foreach (array_slice($order, 1) as $index => $key) {
                    $gaps[] = $after[$key]->start($axis) - $after[$order[$index]]->end($axis);
                }
                self::assertLessThanOrEqual(1, max($gaps) - min($gaps));
            }
        }
        $three = [Rect::of(0, 0, 10, 5), Rect::of(100, 0, 10, 5), Rect::of(12, 0, 30, 5)];
        self::assertSame([0 => 0, 2 => 28, 1 => 0], Arrange::spread($three, Axis::X), '110 − 50 = 60: two gaps of 30');
        self::assertSame([], Arrange::spread([], Axis::X));
    }

    /** A float moved to another rectangle lies there to the px, and keeps % where % can say it. */
    public function testAMovedFloatKeepsItsUnits(): void
    {
        $float = FloatPlace::parse(Input::of([
            'zone' => 'f',
            'frame' => 'canvas',
            'anchor' => 'bottom-right',
            'offset' => ['-5%', '-40px'],
            'size' => ['20%', '300px'],
        ]));
        $frame = Rect::of(0, 0, 1920, 1080);
        for ($try = 0; $try < 50; ++$try) {
            $to = $this->boxes(1)[0];
            $moved = $float->movedTo($frame, $to);
            self::assertSame($to->toArray(), $moved->rect($frame)->toArray());
            self::assertSame($moved->toArray(), FloatPlace::parse(Input::of($moved->toArray()))->toArray());
        }
        $moved = $float->movedTo($frame, Rect::of(960, 100, 480, 200))->toArray();
        self::assertSame([['-25%', '-780px'], ['25%', '200px']], [$moved['offset'], $moved['size']]);
        $thin = $float->movedTo(Rect::of(0, 0, 100_000, 100), Rect::of(3, 4, 7, 9));
        self::assertSame([3, 4, 7, 9], $thin->rect(Rect::of(0, 0, 100_000, 100))->toArray());
    }

    /** @return list<Rect> */
    private function boxes(int $count): array
    {
        return array_map(
            fn () => Rect::of(
                $this->random->getInt(-200, 900),
                $this->random->getInt(-200, 900),
                $this->random->getInt(1, 300),
                $this->random->getInt(1, 300),
            ),
            range(1, $count),
        );
    }

    /**
     * @param array<int, Rect> $boxes
     * @param array<int, int>  $by
     *
     * @return array<int, Rect>
     */
    private static function moved(array $boxes, array $by, Axis $axis): array
    {
        foreach ($boxes as $key => $box) {
            $boxes[$key] = $box->movedBy($axis === Axis::X ? $by[$key] : 0, $axis === Axis::Y ? $by[$key] : 0);
        }

        return $boxes;
    }
}
