<?php

declare(strict_types=1);

namespace UpperPane\Tests\Core\Plan\Fill;

use Opis\JsonSchema\Validator;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use UpperPane\Core\Base\CanonicalJson;
use UpperPane\Core\Geometry\Size;
use UpperPane\Core\Plan\Plan;
use UpperPane\Core\Plan\PlanCompiler;
use UpperPane\Core\Surface\Panel;
use UpperPane\Core\Surface\Surface;
use UpperPane\Demo\Sketch;
use UpperPane\Tests\Support\Build;

/** What a text has beside its lines: all of it placed by the core, inside the box, and in the published plan. */
final class TextCompilerTest extends TestCase
{
    private const EFFECTS = [
        'ground' => null,
        'spacing' => 50,
        'outline' => ['colour' => '#102030', 'px' => 3],
        'shadow' => ['colour' => '#000000', 'x' => -4, 'y' => 6, 'blur' => 8],
        'plate' => ['colour' => '#405060', 'padding' => 12, 'radius' => 9],
    ];

    /** Whatever is marked, the parts of a line are the line again; of the same weight it is as wide as before. */
    public function testMarkedCharactersAreTheTextAgain(): void
    {
        $random = new Randomizer(new Mt19937(3));
        $text = "Überfahrt 🚢 nach Århus\nheute AVAILABLE um 12:45 Uhr, Landungsbrücke fünf";
        foreach (range(1, 40) as $ignored) {
            $edges = array_values($random->pickArrayKeys(range(0, mb_strlen($text)), 4));
            $plain = self::plan(Sketch::text($text, 40))->zones()[0]->items[0]->drawing;
            foreach ([500, 900] as $weight) {
                $runs = [
                    ['from' => $edges[0], 'to' => $edges[1], 'weight' => $weight],
                    ['from' => $edges[2], 'to' => $edges[3], 'colour' => '#FFD27A'],
                ];
                $plan = self::plan(['runs' => $runs] + Sketch::text($text, 40));
                self::assertTrue(self::isPublished($plan));
                $drawing = $plan->zones()[0]->items[0]->drawing;
                $marked = ['weight' => '', 'colour' => ''];
                foreach ($drawing['lines'] as $index => $line) {
                    $parts = $line['parts'] ?? [['text' => $line['text']]];
                    self::assertSame($line['text'], implode('', array_column($parts, 'text')));
                    foreach ($parts as $part) {
                        foreach (array_intersect_key($part, $marked) as $look => $value) {
                            $marked[$look] .= $part['text'];
                        }
                    }
                    if ($weight === 500 && $line['text'] === $plain['lines'][$index]['text']) {
                        self::assertSame($plain['lines'][$index]['width_mpx'], $line['width_mpx']);
                    }
                }
                $letters = static fn (string $some) => strtr($some, [' ' => '', "\n" => '']);
                foreach (['weight', 'colour'] as $which => $look) {
                    [$from, $to] = [$edges[2 * $which], $edges[2 * $which + 1]];
                    self::assertSame($letters(mb_substr($text, $from, $to - $from)), $letters($marked[$look]));
                }
            }
        }
    }

    /** @return iterable<string, array{list<array<string, int>>}> */
    public static function misplacedRuns(): iterable
    {
        yield 'beyond the end' => [[['from' => 0, 'to' => 13]]];
        yield 'over another' => [[['from' => 0, 'to' => 4], ['from' => 3, 'to' => 5]]];
        yield 'of nothing' => [[['from' => 3, 'to' => 3]]];
        yield 'out of order' => [[['from' => 6, 'to' => 8], ['from' => 1, 'to' => 2]]];
    }

    /** @param list<array<string, int>> $runs */
    #[DataProvider('misplacedRuns')]
    public function testMisplacedMarksAreRefused(array $runs): void
    {
        $this->expectExceptionMessage('cannot be set otherwise');
        self::plan(['runs' => $runs] + Sketch::text('Mind the gap', 40));
    }

    public function testEffectsAreInThePublishedPlan(): void
    {
        $plan = self::plan(self::EFFECTS + Sketch::text('Mind the gap', 60));
        $drawing = $plan->zones()[0]->items[0]->drawing;

        self::assertTrue(self::isPublished($plan));
        self::assertNull($drawing['ground']);
        self::assertSame(60 * 50, $drawing['spacing_mpx'], 'a twentieth of the size');
        self::assertSame(['colour' => '#102030', 'width_mpx' => 3000], $drawing['outline']);
        self::assertSame(
            ['colour' => '#000000', 'x_mpx' => -4000, 'y_mpx' => 6000, 'blur_mpx' => 8000],
            $drawing['shadow'],
        );
    }

    /** The plate surrounds all lines by its padding on every side, and stays in the zone. */
    #[DataProvider('places')]
    public function testThePlateSurroundsTheLines(string $align, string $valign): void
    {
        $look = ['align' => $align, 'valign' => $valign, 'padding' => 20];
        $zone = self::plan(
            $look + self::EFFECTS + Sketch::text('Mind the gap between the train and the platform edge', 90),
        )->zones()[0];
        $drawing = $zone->items[0]->drawing;
        [$x, $y, $width, $height] = $drawing['plate']['rect_mpx'];
        $lines = $drawing['lines'];

        self::assertGreaterThan(1, count($lines));
        self::assertSame(min(array_column($lines, 'x_mpx')) - 12_000, $x);
        self::assertSame($lines[0]['y_mpx'] - 12_000, $y);
        self::assertSame(
            max(array_map(static fn (array $line) => $line['x_mpx'] + $line['width_mpx'], $lines)) + 12_000,
            $x + $width,
        );
        self::assertSame($lines[count($lines) - 1]['y_mpx'] + $drawing['line_mpx'] + 12_000, $y + $height);
        self::assertGreaterThanOrEqual(20_000, min($x, $y));
        self::assertLessThanOrEqual(1000 * $zone->rect->width - 20_000, $x + $width);
    }

    /** @return iterable<string, array{string, string}> */
    public static function places(): iterable
    {
        foreach (['left', 'centre', 'right'] as $align) {
            foreach (['top', 'middle', 'bottom'] as $valign) {
                yield "$align $valign" => [$align, $valign];
            }
        }
    }

    /** Cycle ms = (box + text) ÷ speed (model §5): a way begins and ends just outside. */
    #[DataProvider('directions')]
    public function testATickerGoesFromEdgeToEdge(string $direction): void
    {
        $ticker = ['ticker' => ['direction' => $direction, 'speed' => 120]];
        $zone = self::plan($ticker + Sketch::text("Next sailing 12:45\nPier 2", 60))->zones()[0];
        $drawing = $zone->items[0]->drawing;
        $axis = in_array($direction, ['left', 'right'], true) ? 0 : 1;
        $box = 1000 * ($axis === 0 ? $zone->rect->width : $zone->rect->height);
        $text = $axis === 0 ? $drawing['lines'][0]['width_mpx'] : 2 * $drawing['line_mpx'];
        ['from_mpx' => $from, 'to_mpx' => $to, 'ms' => $ms] = $drawing['ticker'];

        self::assertCount($axis + 1, $drawing['lines']);
        self::assertEqualsWithDelta(($box + $text) / 120, $ms, 0.5);
        self::assertSame([0, 0], [$from[1 - $axis], $to[1 - $axis]], 'straight on');
        $ends = [$box, -$text];
        self::assertSame(
            in_array($direction, ['left', 'up'], true) ? $ends : array_reverse($ends),
            [$from[$axis], $to[$axis]],
        );
        self::assertSame($ms, $zone->items[0]->contentMs);
        self::assertEqualsWithDelta(
            in_array($direction, ['left', 'up'], true) ? 0 : $box - $text,
            $from[$axis] + ($to[$axis] - $from[$axis]) * $drawing['ticker']['ahead_ms'] / $ms,
            120,
            'it begins with its head at the far edge',
        );
    }

    /** @return iterable<string, array{string}> */
    public static function directions(): iterable
    {
        foreach (['left', 'right', 'up', 'down'] as $direction) {
            yield $direction => [$direction];
        }
    }

    /** Lines come one after another without a gap, the last when it is said; typed ones by their letters. */
    public function testATextComesInItsTime(): void
    {
        $text = Sketch::text("Ness\nאבגד הוז\nThe boat leaves from the inner pontoon", 60, ['mode' => 'as_set']);
        foreach (['fade', 'lines', 'typed'] as $way) {
            $plan = self::plan(['entrance' => ['way' => $way, 'ms' => 1000]] + $text);
            $entrance = $plan->zones()[0]->items[0]->drawing['entrance'];
            $ends = array_map(static fn (array $one) => $one['from_ms'] + $one['ms'], $entrance['lines']);
            $begins = array_column($entrance['lines'], 'from_ms');
            self::assertSame([$way === 'typed', 1000], [$entrance['typed'], $ends[2]]);
            self::assertSame($way === 'fade' ? [0, 0, 0] : [0, $ends[0], $ends[1]], $begins);
            self::assertSame([false, $way !== 'fade', false], array_column($entrance['lines'], 'rtl'));
            self::assertTrue(
                (new Validator())
                    ->validate(
                        json_decode(CanonicalJson::encode($plan->toArray())),
                        (string) file_get_contents(\dirname(__DIR__, 4).'/docs/schema/plan.schema.json'),
                    )
                    ->isValid(),
            );
            if ($way === 'typed') {
                self::assertSame([80, 160, 760], array_column($entrance['lines'], 'ms'), '4, 8 and 38 letters of 50');
            }
        }
        $runs = ['ticker' => ['direction' => 'left', 'speed' => 100], 'entrance' => ['way' => 'fade', 'ms' => 1000]];
        self::assertArrayNotHasKey('entrance', self::plan($runs + $text)->zones()[0]->items[0]->drawing);
    }

    /** In a design that stands still no text moves, and nothing fades. */
    public function testNothingMovesInADesignThatStandsStill(): void
    {
        $text = Sketch::text('Mind the gap', 60);
        $comes = ['entrance' => ['way' => 'fade', 'ms' => 900]] + $text;
        $runs = ['ticker' => ['direction' => 'left', 'speed' => 100]] + $text;
        $plan = PlanCompiler::compile(
            Build::apply(
                Build::filled(Build::board(), 'a', Sketch::playlist([[$comes, 4000], [$runs, null]])),
                ['do' => 'scene.transition', 'scene' => 's-rest', 'transition' => ['kind' => 'fade', 'ms' => 500]],
            )->after,
            Surface::ofPanel(Panel::of(Size::of(1920, 1080), 1_209_600, 680_400)),
            Build::context()->unmoved(),
        )->toArray();
        $said = CanonicalJson::encode($plan);
        foreach (['"entrance"', '"ticker"', '"fade"'] as $moving) {
            self::assertStringNotContainsString($moving, $said);
        }
        self::assertSame(
            self::plan($text)->zones()[0]->items[0]->drawing['lines'],
            $plan['scenes']['s-rest']['zones'][0]['items'][1]['lines'],
            'as a text that was never to run',
        );
    }

    /** @param array<string, mixed> $fill */
    private static function plan(array $fill): Plan
    {
        return PlanCompiler::compile(
            Build::filled(Build::board(), 'a', $fill),
            Surface::ofPanel(Panel::of(Size::of(1920, 1080), 1_209_600, 680_400)),
            Build::context(),
        );
    }

    private static function isPublished(Plan $plan): bool
    {
        return (new Validator())
            ->validate(
                json_decode(CanonicalJson::encode($plan->toArray())),
                (string) file_get_contents(\dirname(__DIR__, 4).'/docs/schema/plan.schema.json'),
            )
            ->isValid();
    }
}
