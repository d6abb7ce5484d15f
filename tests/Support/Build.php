<?php

declare(strict_types=1);

namespace UpperPane\Tests\Support;

use UpperPane\App\Adapter\StockShelf;
use UpperPane\Core\Base\Input;
use UpperPane\Core\Document\Command\Batch;
use UpperPane\Core\Document\Command\BatchResult;
use UpperPane\Core\Document\Design;
use UpperPane\Core\Geometry\Rational;
use UpperPane\Core\Geometry\Size;
use UpperPane\Core\Picture\MediaFacts;
use UpperPane\Core\Plan\PlanContext;
use UpperPane\Demo\Sketch;

/** Short ways to what tests need. */
final class Build
{
    public static function design(int $width = 1920, int $height = 1080): Design
    {
        return Design::fresh('Test', Size::of($width, $height), $width * 630, $height * 630, 's-rest', 'a');
    }

    /** @param array<string, mixed> ...$commands */
    public static function apply(Design $design, array ...$commands): BatchResult
    {
        return Batch::parse(Input::of($commands, '/commands'))->apply($design);
    }

    /** 1320 and 600 over a strip of 200: zones a, b and c. */
    public static function board(): Design
    {
        return self::apply(self::design(), Sketch::split('a', 'rows', 880, 'c'), Sketch::split('a', 'columns', 1320, 'b'), Sketch::size('c', '200px'))->after;
    }

    /** @param array<string, mixed> $fill */
    public static function filled(Design $design, string $zone, array $fill): Design
    {
        return self::apply($design, Sketch::fill($zone, $fill))->after;
    }

    public static function context(MediaFacts ...$media): PlanContext
    {
        $byId = [];
        foreach ($media as $one) {
            $byId[$one->id] = $one;
        }

        return new PlanContext(new StockShelf($byId), new TestFonts(), new \DateTimeZone('Europe/London'), 1_774_000_000_000, Rational::of(1));
    }

    public static function picture(string $id, int $width, int $height): MediaFacts
    {
        return new MediaFacts($id, "$id.jpg", hash('sha256', $id), 'image/jpeg', 1000, Size::of($width, $height), null);
    }

    public static function video(string $id, int $width, int $height, int $ms): MediaFacts
    {
        return new MediaFacts($id, "$id.mp4", hash('sha256', $id), 'video/mp4', 1000, Size::of($width, $height), $ms);
    }
}
