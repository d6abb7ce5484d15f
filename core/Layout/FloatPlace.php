<?php

declare(strict_types=1);

namespace UpperPane\Core\Layout;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Geometry\Axis;
use UpperPane\Core\Geometry\Rational;
use UpperPane\Core\Geometry\Rect;

/**
 * Where a float lies (model §3): a point of its frame (the canvas, a pane or a panel) is held to the same point of the
 * float, with an offset and a size in px or % of the frame, turned clockwise about its centre by centidegrees.
 */
final readonly class FloatPlace
{
    public const CANVAS = 'canvas';
    private const PANE = 'pane:';
    private const KEYS = ['zone', 'frame', 'anchor', 'offset', 'size', 'turn', 'was', ...FloatTraits::KEYS];

    public FloatTraits $traits;

    /**
     * @param string                 $frame  `canvas`, `pane:` and a zone's id, or `panel:` and a panel's letter
     * @param array{Length, Length}  $offset x right, y down
     * @param array{Length, Length}  $size
     * @param ?string                $was    the frame that is gone; the float lies where it lay then
     */
    public function __construct(
        public string $zone,
        public string $frame,
        public Anchor $anchor,
        public array $offset,
        public array $size,
        public int $turnCentidegrees,
        public ?string $was = null,
        ?FloatTraits $traits = null,
    ) {
        $this->traits = $traits ?? FloatTraits::plain();
    }

    /** @throws Refusal `length.text`, `float.no_size` */
    public static function parse(Input $input): self
    {
        $input->keys(self::KEYS);
        return new self(
            $input->id('zone'),
            self::frame($input),
            $input->enum('anchor', Anchor::class),
            self::pair($input->list('offset', 2, 2)),
            self::size($input),
            $input->has('turn') ? $input->int('turn', -35_999, 35_999) : 0,
            $input->has('was') ? $input->text('was', 80, 1) : null,
            FloatTraits::plain()->set($input),
        );
    }

    /** Held to the canvas, so that it lies at just this rectangle. */
    public static function at(string $zone, Rect $rect, int $turnCentidegrees, ?string $was = null): self
    {
        return new self(
            $zone,
            self::CANVAS,
            Anchor::TopLeft,
            [Length::px($rect->x), Length::px($rect->y)],
            [Length::px($rect->width), Length::px($rect->height)],
            $turnCentidegrees,
            $was,
        );
    }

    /** Held to a point of a frame, so that it lies at just this rectangle. Halves of a px are written as such. */
    public static function held(
        string $zone,
        string $frameName,
        Rect $frame,
        Anchor $anchor,
        Rect $rect,
        int $turnCentidegrees,
    ): self {
        $offset = static function (Axis $axis) use ($frame, $anchor, $rect): Length {
            $halves = Rational::of($anchor->halves($axis), 2);
            $point = static fn (Rect $of) => Rational::of($of->start($axis))->plus(
                $halves->times(Rational::of($of->length($axis))),
            );

            return Length::ofPx($point($rect)->minus($point($frame)));
        };

        return new self(
            $zone,
            $frameName,
            $anchor,
            [$offset(Axis::X), $offset(Axis::Y)],
            [Length::px($rect->width), Length::px($rect->height)],
            $turnCentidegrees,
        );
    }

    /**
     * Held to the same point of its frame, lying at another rectangle. Units stay where they can say it exactly.
     */
    public function movedTo(Rect $frame, Rect $rect): self
    {
        $px = self::held($this->zone, $this->frame, $frame, $this->anchor, $rect, $this->turnCentidegrees);
        $offset = $size = [];
        foreach ([Axis::X, Axis::Y] as $index => $axis) {
            $framePx = $frame->length($axis);
            $offset[] = $this->offset[$index]->holding($px->offset[$index]->in($framePx), $framePx);
            $size[] = $this->size[$index]->holding($px->size[$index]->in($framePx), $framePx);
        }
        $kept = $this->lying($this->frame, $this->anchor, $offset, $size);

        return $kept->rect($frame)->equals($rect) ? $kept : $px->withTraits($this->traits);
    }

    /**
     * Left and right, top and bottom edges are rounded separately; a side is never below 1 px.
     *
     * @param ?Rational $scale px there per design px; null on the design's own canvas
     */
    public function rect(Rect $frame, ?Rational $scale = null): Rect
    {
        [$x, $width] = $this->along(Axis::X, $frame, $scale, 0);
        [$y, $height] = $this->along(Axis::Y, $frame, $scale, 1);

        return Rect::of($x, $y, $width, $height);
    }

    /** The pane it is held to; null for the canvas and panels. */
    public function pane(): ?string
    {
        return str_starts_with($this->frame, self::PANE) ? substr($this->frame, strlen(self::PANE)) : null;
    }

    /**
     * @param array{Length, Length} $offset
     * @param array{Length, Length} $size
     */
    public function lying(string $frame, Anchor $anchor, array $offset, array $size): self
    {
        return new self($this->zone, $frame, $anchor, $offset, $size, $this->turnCentidegrees, null, $this->traits);
    }

    /** With another zone in the place of one, as itself or as the pane it is held to. */
    public function exchanged(string $from, string $to): self
    {
        return $this->with([
            'zone' => $this->zone === $from ? $to : $this->zone,
            'frame' => $this->pane() === $from ? self::PANE.$to : $this->frame,
        ]);
    }

    public function turned(int $centidegrees): self
    {
        return $this->with(['turn' => $centidegrees]);
    }

    public function withTraits(FloatTraits $traits): self
    {
        return $this->with(['traits' => $traits]);
    }

    /** @param array{zone?: string, frame?: string, turn?: int, traits?: FloatTraits} $set */
    private function with(array $set): self
    {
        return new self(
            $set['zone'] ?? $this->zone,
            $set['frame'] ?? $this->frame,
            $this->anchor,
            $this->offset,
            $this->size,
            $set['turn'] ?? $this->turnCentidegrees,
            $this->was,
            $set['traits'] ?? $this->traits,
        );
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'zone' => $this->zone,
            'frame' => $this->frame,
            'anchor' => $this->anchor->value,
            'offset' => self::texts($this->offset),
            'size' => self::texts($this->size),
            'turn' => $this->turnCentidegrees,
        ] + ($this->was === null ? [] : ['was' => $this->was]) + $this->traits->toArray();
    }

    /** @return array{int, int} start and length in px */
    private function along(Axis $axis, Rect $frame, ?Rational $scale, int $index): array
    {
        $framePx = $frame->length($axis);
        $length = $this->size[$index]->in($framePx, $scale);
        $halves = Rational::of($this->anchor->halves($axis), 2);
        $start = Rational::of($frame->start($axis))
            ->plus($halves->times(Rational::of($framePx)))
            ->plus($this->offset[$index]->in($framePx, $scale))
            ->minus($halves->times($length));
        $first = $start->round();

        return [$first, max(1, $start->plus($length)->round() - $first)];
    }

    /** @throws Refusal `float.frame` */
    public static function frame(Input $input): string
    {
        $frame = $input->text('frame', 80, 1);

        return preg_match('/^(canvas|(pane|panel):[A-Za-z0-9_.-]{1,64})$/D', $frame) === 1
            ? $frame
            : throw Refusal::because('float.frame', $input->pathTo('frame'), ['value' => $frame]);
    }

    /**
     * @param array{Length, Length} $pair
     *
     * @return array{string, string}
     */
    public static function texts(array $pair): array
    {
        return [$pair[0]->toText(), $pair[1]->toText()];
    }

    /** @return array{Length, Length} */
    public static function size(Input $input): array
    {
        return self::seen(self::pair($input->list('size', 2, 2)), $input->pathTo('size'));
    }

    /**
     * @param array{Length, Length} $size
     *
     * @return array{Length, Length}
     *
     * @throws Refusal `float.no_size`
     */
    public static function seen(array $size, string $path): array
    {
        foreach ($size as $index => $length) {
            $length->isPositive()
                || throw Refusal::because('float.no_size', "$path/$index", ['value' => $length->toText()]);
        }

        return $size;
    }

    /**
     * @param list<Input> $pair
     *
     * @return array{Length, Length}
     */
    public static function pair(array $pair): array
    {
        return [Length::parse($pair[0]), Length::parse($pair[1])];
    }
}
