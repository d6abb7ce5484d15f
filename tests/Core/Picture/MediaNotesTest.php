<?php

declare(strict_types=1);

namespace UpperPane\Tests\Core\Picture;

use PHPUnit\Framework\TestCase;
use UpperPane\Core\Base\Finding;
use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Geometry\Size;
use UpperPane\Core\Picture\MediaFacts;
use UpperPane\Core\Picture\MediaNotes;
use UpperPane\Core\Plan\PlanCompiler;
use UpperPane\Core\Preflight\Preflight;
use UpperPane\Core\Surface\Panel;
use UpperPane\Core\Surface\Surface;
use UpperPane\Demo\Sketch;
use UpperPane\Tests\Support\Build;

/** The last day on which a medium may be shown: said before, kept by the plan. */
final class MediaNotesTest extends TestCase
{
    /**
     * The first instant after the day, by ICU: also where clocks change that night, and where midnight does not exist
     * (São Paulo, 2018-11-04).
     */
    public function testADayEndsWhereTheNextBegins(): void
    {
        foreach (
            [
                ['Europe/London', '2026-03-28'],
                ['Europe/London', '2026-10-24'],
                ['Europe/London', '2026-10-25'],
                ['America/Sao_Paulo', '2018-11-03'],
                ['Pacific/Apia', '2011-12-29'],
                ['Asia/Kathmandu', '2028-02-29'],
            ] as [$zone, $day]
        ) {
            $calendar = \IntlCalendar::createInstance($zone) ?? self::fail('no calendar');
            [$year, $month, $date] = array_map(intval(...), explode('-', $day));
            $calendar->clear();
            $calendar->set($year, $month - 1, $date + 1, 0, 0, 0);
            $notes = self::notes(['until' => $day]);
            self::assertSame((int) $calendar->getTime(), $notes->endsMs(new \DateTimeZone($zone)), "$zone $day");
        }
    }

    public function testItIsFoundBeforeAndAfter(): void
    {
        // The context's plan is compiled on 20 March 2026.
        foreach (['2026-03-19' => 'media.over', '2026-03-20' => 'media.ends', '2026-04-30' => ''] as $day => $code) {
            $media = new MediaFacts(
                'm1',
                'lake.jpg',
                hash('sha256', 'm1'),
                'image/jpeg',
                1000,
                Size::of(1320, 880),
                null,
                [],
                self::notes(['until' => $day]),
            );
            $plan = PlanCompiler::compile(
                Build::filled(Build::board(), 'a', Sketch::picture('m1')),
                Surface::ofPanel(Panel::of(Size::of(1920, 1080), 1_209_600, 680_400)),
                Build::context($media),
            );
            $codes = array_map(
                static fn (Finding $one) => $one->code,
                Preflight::standard()->zones([$plan->zones()[0]]),
            );
            self::assertSame($code === '' ? [] : [$code], $codes, $day);
            self::assertSame(
                $media->notes->endsMs(new \DateTimeZone('Europe/London')),
                $plan->zones()[0]->items[0]->drawing['until_ms'],
            );
        }
    }

    public function testTagsAreEachOnceAndDaysAreDays(): void
    {
        $notes = self::notes(['tags' => ['Lake', ' lake', 'dawn', '  ']]);
        self::assertSame(['dawn', 'lake'], $notes->tags);
        self::assertSame($notes->toArray(), MediaNotes::parse(Input::of($notes->toArray()))->toArray());
        self::assertSame(['x'], self::notes(['tags' => ['x']])->tags);
        foreach (['2026-02-29', '2026-1-1', 'tomorrow', ''] as $day) {
            try {
                self::notes(['until' => $day]);
                self::fail("'$day' was taken");
            } catch (Refusal $refusal) {
                self::assertSame(['time.day', '/until'], [$refusal->refusalCode, $refusal->path]);
            }
        }
    }

    /** @param array<string, mixed> $set */
    private static function notes(array $set): MediaNotes
    {
        return MediaNotes::parse(Input::of($set + MediaNotes::none()->toArray()));
    }
}
