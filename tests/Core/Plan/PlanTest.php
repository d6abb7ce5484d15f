<?php

declare(strict_types=1);

namespace UpperPane\Tests\Core\Plan;

use Opis\JsonSchema\Validator;
use PHPUnit\Framework\TestCase;
use UpperPane\Core\Base\CanonicalJson;
use UpperPane\Core\Base\Input;
use UpperPane\Core\Design\Design;
use UpperPane\Core\Design\LayoutAt;
use UpperPane\Core\Geometry\Size;
use UpperPane\Core\Handoff\Expectation;
use UpperPane\Core\Handoff\Proof;
use UpperPane\Core\Handoff\ReleasedPlan;
use UpperPane\Core\Plan\ContentTime;
use UpperPane\Core\Plan\Plan;
use UpperPane\Core\Plan\PlanCompiler;
use UpperPane\Core\Plan\PlanRef;
use UpperPane\Core\Plan\Programme;
use UpperPane\Core\Plan\SceneCompiler;
use UpperPane\Core\Surface\Panel;
use UpperPane\Core\Surface\Surface;
use UpperPane\Demo\Sketch;
use UpperPane\Tests\Support\Build;

final class PlanTest extends TestCase
{
    public function testCompilesEveryKindOfFillToThePublishedSchema(): void
    {
        $plan = self::plan(self::full());

        self::assertTrue(
            (new Validator())
                ->validate(
                    json_decode(CanonicalJson::encode($plan->toArray())),
                    (string) file_get_contents(\dirname(__DIR__, 3).'/docs/schema/plan.schema.json'),
                )
                ->isValid(),
        );
        self::assertSame(
            ['a', 'b', 'c'],
            array_map(static fn ($zone) => $zone->zone->id, $plan->zones()),
            'in reading order',
        );
        self::assertSame(
            12_000 + 5000 + 3000,
            $plan->zones()[0]->cycleMs(),
            'the video and the text are as long as their content',
        );
    }

    /** Model §11: dates come with the almanac, so the hash of what is the same never changes. */
    public function testIsTheSamePlanOnAnotherDay(): void
    {
        $surface = Surface::ofPanel(Panel::of(Size::of(1920, 1080), 1_209_600, 680_400));
        $dial = ['kind' => 'dial', 'ground' => null, 'seconds' => true]
            + array_fill_keys(['hands', 'face', 'accent'], '#F4F1EA');
        $design = Build::filled(self::full(), 'a', $dial);
        $at = static fn (string $day): string => CanonicalJson::sha256(
            PlanCompiler::compile($design, $surface, Build::context()->from(1000 * (int) strtotime($day)))->toArray(),
        );

        self::assertSame($at('2026-03-01'), $at('2026-11-30'));
    }

    /** What runs on, or is on at some hours only, does not begin with the scene. */
    public function testLanesBeginWithTheScene(): void
    {
        $design = self::full();
        $lanes = static fn (Design $design): array => (new ContentTime(
            Build::context(Build::picture('p', 1320, 880), Build::video('v', 1280, 720, 12_000))->media,
        ))->lanes($design, $design->restScene());
        self::assertSame([12_000, 5000, 3000], array_column($lanes($design)['a'], 'ms'));

        $playlist = $design->zone('a')->fill()->toArray();
        $hours = ['start' => '2026-12-07T06:00', 'end' => '09:00'];
        $playlist['entries'] = array_replace($playlist['entries'], [1 => ['when' => $hours] + $playlist['entries'][1]]);
        self::assertSame([], $lanes(Build::filled($design, 'a', $playlist)));
        $runsOn = Build::apply($design, ['do' => 'zone.runs_on', 'zone' => 'a', 'on' => true]);
        self::assertSame([], $lanes($runsOn->after));
    }

    /** Disabled entries take no time; the plan's remainder and the core's answer agree at every second. */
    public function testSaysWhatShowsAtAnInstant(): void
    {
        $plan = ReleasedPlan::read(self::plan(self::full())->toArray(), [0]);
        foreach (
            [0 => 'e1', 11_999 => 'e1', 12_000 => 'e2', 16_999 => 'e2', 17_000 => 'e3', 20_000 => 'e1'] as $t => $entry
        ) {
            self::assertSame($entry, $plan->at($t, 0)['a']['entry']);
        }
    }

    /** A trimmed video is as long as its part, also in a playlist; what lies beyond the file is the whole. */
    public function testAVideoIsTrimmed(): void
    {
        $item = static function (?array $trim): array {
            $fill = ['trim' => $trim] + Sketch::video('v');
            $plan = self::plan(Build::filled(Build::board(), 'a', Sketch::playlist([[$fill, null]])));
            $item = $plan->zones()[0]->items[0];

            return [$item->ms, $item->contentMs, $item->drawing['content_from_ms'] ?? 0, $item->drawing['content_ms']];
        };
        self::assertSame([12_000, 12_000, 0, 12_000], $item(null));
        self::assertSame([4000, 4000, 3000, 4000], $item([3000, 7000]));
        self::assertSame([2000, 2000, 10_000, 2000], $item([10_000, 15_000]), 'to the end');
        self::assertSame([12_000, 12_000, 0, 12_000], $item([12_000, 15_000]));
        $this->expectExceptionMessageMatches('/before or when it begins/');
        $item([3000, 3000]);
    }

    public function testReflowsTextWithTheLayout(): void
    {
        $design = Build::filled(Build::board(), 'b', Sketch::text('Mind the gap', 60));
        $plan = self::plan($design, 3840, 2160);

        self::assertSame([2640, 0, 1200, 1760], $plan->zones()[1]->rect->toArray());
        self::assertSame(120, $plan->zones()[1]->items[0]->drawing['size']);
    }

    /** Text lines lie inside their pane's padding, in order, without touching. */
    /** 3960 × 2640 px over 1320 × 880: a third as large. 440 px square over 600 × 880: twice, 280 of 880 lost. */
    public function testSaysHowLargeAPictureIsAndWhatIsCutAway(): void
    {
        $drawn = static fn (int $width, int $height, string $zone): array => PlanCompiler::compile(
            Build::filled(Build::board(), $zone, Sketch::picture('q')),
            Surface::ofPanel(Panel::of(Size::of(1920, 1080), 1_209_600, 680_400)),
            Build::context(Build::picture('q', $width, $height)),
        )->zones()[$zone === 'a' ? 0 : 1]->items[0]->drawing;

        $whole = $drawn(3960, 2640, 'a');
        self::assertSame([333_333, 0], [$whole['scale_ppm'], $whole['cut_ppm']]);
        $square = $drawn(440, 440, 'b');
        self::assertSame([2_000_000, 318_182], [$square['scale_ppm'], $square['cut_ppm']], '280 of 880 are cut away');
    }

    public function testPlacesLines(): void
    {
        $design = Build::filled(
            Build::board(),
            'b',
            Sketch::text('One two three four five six seven eight nine ten eleven twelve', 90, [
                'align' => 'right',
                'valign' => 'bottom',
                'padding' => 30,
            ]),
        );
        $item = self::plan($design)->zones()[1]->items[0]->drawing;
        $last = end($item['lines']);

        self::assertGreaterThan(2, count($item['lines']));
        self::assertSame(850_000, $last['y_mpx'] + $item['line_mpx']);
        foreach ($item['lines'] as $index => $line) {
            self::assertSame(570_000, $line['x_mpx'] + $line['width_mpx']);
            self::assertSame($item['lines'][0]['y_mpx'] + $index * $item['line_mpx'], $line['y_mpx']);
        }
    }

    public function testOnlyWhatChangedIsCompiledAgain(): void
    {
        $before = self::full();
        $after = Build::filled($before, 'b', Sketch::colour('#101010'));
        $moved = Build::apply($before, Sketch::size('c', '240px'))->after;
        $at = static fn (Design $design) => LayoutAt::of($design, 's-rest', false);
        $changed = static fn (Design $next) => SceneCompiler::changed(
            $at($before),
            $at($before)->placing(),
            $at($next),
            $at($next)->placing(),
        );

        self::assertSame(['b'], $changed($after));
        self::assertSame([], $changed($before));
        self::assertEqualsCanonicalizing(['a', 'b', 'c'], $changed($moved));
    }

    /** A proof names the entry of every zone; within a second of a change either side is believed. */
    public function testHoldsAProofAgainstThePlan(): void
    {
        $ref = static fn (?int $release) => new PlanRef($release, 1, 'Test', str_repeat('a', 64), '/');
        $plan = ReleasedPlan::read(json_decode((string) json_encode(self::plan(self::full())->toArray()), true));
        $expectation = new Expectation(
            Programme::ofRelease('hall', 1, $ref(7), $ref(null), 1_000_000, null, 0),
            static fn () => $plan,
        );
        $proof = static fn (int $at, ?string $entry, int $release = 7) => Proof::parse(
            Input::of([
                'release' => $release,
                'at_ms' => 1_000_000 + $at,
                'offset_ms' => -120_000,
                'stepped' => true,
                'zones' => ['a' => $entry, 'b' => null, 'c' => null],
            ]),
        );

        self::assertTrue($expectation->proves($proof(5000, 'e1')));
        self::assertTrue($expectation->proves($proof(12_500, 'e1')));
        self::assertFalse($expectation->proves($proof(14_000, 'e1')));
        self::assertFalse($expectation->proves($proof(5000, 'e1', 6)));
        self::assertSame(['A'], $expectation->differences($proof(5000, 'e3')));
    }

    private static function full(): Design
    {
        $playlist = Sketch::playlist([
            [Sketch::video('v'), null],
            [Sketch::picture('p'), 5000],
            [Sketch::text('Short', 40), null],
            [Sketch::colour('#FF0000'), 9000],
        ]);
        $playlist['entries'][3]['enabled'] = false;

        return Build::filled(
            Build::filled(Build::filled(Build::board(), 'a', $playlist), 'b', Sketch::clock('EEEE HH:mm:ss', 80)),
            'c',
            Sketch::text('Harrowmere 北京 🚢', 60),
        );
    }

    private static function plan(Design $design, int $width = 1920, int $height = 1080): Plan
    {
        $surface = Surface::ofPanel(Panel::of(Size::of($width, $height), $width * 630, $height * 630));

        return PlanCompiler::compile(
            $design,
            $surface,
            Build::context(Build::picture('p', 1320, 880), Build::video('v', 1280, 720, 12_000)),
        );
    }
}
