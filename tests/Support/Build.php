<?php

declare(strict_types=1);

namespace UpperPane\Tests\Support;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Change\Batch;
use UpperPane\Core\Change\Outcome;
use UpperPane\Core\Design\Design;
use UpperPane\Core\Design\DesignKind;
use UpperPane\Core\Design\LayoutAt;
use UpperPane\Core\Geometry\Rational;
use UpperPane\Core\Geometry\Rect;
use UpperPane\Core\Geometry\Size;
use UpperPane\Core\Picture\MediaFacts;
use UpperPane\Core\Picture\MediaShelf;
use UpperPane\Core\Plan\PlanContext;
use UpperPane\Core\Web\WebFacts;
use UpperPane\Core\Web\WebShelf;
use UpperPane\Core\Web\WebState;
use UpperPane\Demo\Sketch;

/** Short ways to what tests need. */
final class Build
{
    public static function design(int $width = 1920, int $height = 1080): Design
    {
        return Design::fresh('Test', Size::of($width, $height), $width * 630, $height * 630, 's-rest', 'a', 'Rest');
    }

    /**
     * @param array<string, mixed> ...$commands
     *
     * @return Outcome<Design>
     */
    public static function apply(Design $design, array ...$commands): Outcome
    {
        return Batch::parse(Input::of($commands, '/commands'), new DesignKind())->apply($design);
    }

    /**
     * Where the panes of a layout lie.
     *
     * @return array<string, Rect>
     */
    public static function panes(Design $design, string $scene = 's-rest', bool $turned = false): array
    {
        return LayoutAt::of($design, $scene, $turned)->glazing()->panes;
    }

    /** 1320 and 600 over a strip of 200: zones a, b and c. */
    public static function board(): Design
    {
        return self::apply(
            self::design(),
            Sketch::split('a', 'rows', 880, 'c'),
            Sketch::split('a', 'columns', 1320, 'b'),
            Sketch::size('c', '200px'),
        )->after;
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

        $shelf = new class($byId) implements MediaShelf {
            /** @param array<string, MediaFacts> $media */
            public function __construct(private array $media)
            {
            }

            public function find(string $id): ?MediaFacts
            {
                return $this->media[$id] ?? null;
            }
        };

        $pages = new class implements WebShelf {
            public function find(string $address): WebFacts
            {
                $host = explode('.', (string) parse_url($address, \PHP_URL_HOST))[0];

                return new WebFacts(WebState::tryFrom($host) ?? WebState::Shown, 'X-Frame-Options: DENY');
            }
        };

        return new PlanContext(
            $shelf,
            $pages,
            new TestFonts(),
            new \DateTimeZone('Europe/London'),
            1_774_000_000_000,
            Rational::of(1),
        );
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
