<?php

declare(strict_types=1);

namespace UpperPane\Core\Layout;

use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Geometry\Rect;
use UpperPane\Core\Geometry\Size;

/**
 * A resolved glazing: the rectangle of every part in canvas px, and the mullions between them. Panes tile the canvas
 * exactly.
 */
final class Glazing
{
    /** @var array<string, Rect> panes by id, in tree order */
    public array $panes = [];

    /** @var array<string, Rect> named splits by id */
    public array $splits = [];

    /** @var list<array{Split, list<Rect>, string}> where lines lie: depth first, a split before its parts */
    private array $lines = [];

    /** @var list<Mullion>|null */
    private ?array $mullions = null;

    private function __construct(private readonly Pitches $pitches)
    {
    }

    /** @throws Refusal see {@see Shares::of()}; paths below `$path` */
    public static function resolve(
        Part $tree,
        Size $canvas,
        Pitches $pitches = new Pitches(),
        string $path = '/tree',
    ): self {
        $glazing = new self($pitches);
        $glazing->place($tree, $canvas->rect(), $path);

        return $glazing;
    }

    /**
     * Of rectangles that were found another way, without mullions.
     *
     * @param array<string, Rect> $panes by id, in tree order
     */
    public static function ofPanes(array $panes): self
    {
        $glazing = new self(new Pitches());
        $glazing->panes = $panes;

        return $glazing;
    }

    public function rect(string $partId): ?Rect
    {
        return $this->panes[$partId] ?? ($this->splits[$partId] ?? null);
    }

    /** @return list<Mullion> depth first, a split before its parts; none after {@see ofPanes()} */
    public function mullions(): array
    {
        return $this->mullions ??= array_merge(
            ...array_map(
                fn (array $line) => array_map(
                    fn (int $index) => $this->mullion($line[0], $line[1], $index, $line[2]),
                    array_keys(array_slice($line[1], 1, null, true)),
                ),
                $this->lines,
            ),
        );
    }

    private function place(Part $part, Rect $rect, string $path): void
    {
        if (!$part instanceof Split) {
            $this->panes[$part->id()] = $rect;

            return;
        }
        if ($part->id() !== '') {
            $this->splits[$part->id()] = $rect;
        }
        $axis = $part->axis;
        $sizes = Shares::of($part, $rect->length($axis), $this->pitches, $path);
        $rects = [];
        $start = $rect->start($axis);
        foreach ($sizes as $px) {
            $rects[] = $rect->along($axis, $start, $px);
            $start += $px + $part->gutterPx;
        }
        $this->lines[] = [$part, $rects, $path];
        foreach ($part->parts as $index => $child) {
            $this->place($child, $rects[$index], "$path/parts/$index");
        }
    }

    /** @param list<Rect> $rects */
    private function mullion(Split $split, array $rects, int $index, string $path): Mullion
    {
        $axis = $split->axis;
        [$before, $after] = [$split->parts[$index - 1], $split->parts[$index]];
        [$beforeRect, $afterRect] = [$rects[$index - 1], $rects[$index]];
        $at = $beforeRect->end($axis);
        $touching = fn (Part $part, string $edge, int $line) => array_values(
            array_filter($part->paneIds(), fn (string $id) => $this->panes[$id]->$edge($axis) === $line),
        );
        $least = fn (Part $part) => max(1, $part->leastPx(), Need::of($part, $axis, $this->pitches));

        return new Mullion(
            $axis,
            $at,
            $split->gutterPx,
            $beforeRect->start($axis->other()),
            $beforeRect->end($axis->other()),
            [$before->id(), $after->id()],
            ["$path/parts/".($index - 1), "$path/parts/$index"],
            [$touching($before, 'end', $at), $touching($after, 'start', $at + $split->gutterPx)],
            [$beforeRect->start($axis) + $least($before), $afterRect->end($axis) - $split->gutterPx - $least($after)],
            $split->id(),
        );
    }

    /** @return array<string, mixed> as `bin/pane glaze` prints it */
    public function toArray(): array
    {
        return [
            'panes' => (object) array_map(static fn (Rect $rect) => $rect->toArray(), $this->panes),
            'mullions' => array_map(static fn (Mullion $mullion) => $mullion->toArray(), $this->mullions()),
        ];
    }
}
