<?php

declare(strict_types=1);

namespace UpperPane\Core\Plan\Paint;

use UpperPane\Core\Plan\Item;

/** What an item paints into its box: its coats, back to front, and the letters on them. */
final readonly class PaintedItem
{
    /**
     * @param list<Coat>    $coats   back to front
     * @param list<Letters> $letters
     */
    private function __construct(public Item $item, private array $coats, public array $letters)
    {
    }

    public static function of(Item $item): self
    {
        $coats = Coats::of($item);
        $letters = Lettering::of($item);
        foreach ($item->parts as $part) {
            $box = Box::of($part->rect->x, $part->rect->y, $part->rect->width, $part->rect->height);
            foreach (Coats::of($part->item) as $coat) {
                $coats[] = new Within($box, $coat);
            }
            foreach (Lettering::of($part->item) as $own) {
                $letters[] = $own->movedBy($box->x, $box->y)->within($box);
            }
        }

        return new self($item, $coats, $letters);
    }

    public function steps(): int
    {
        return max([1, ...array_map(static fn (Coat $coat) => $coat->steps(), $this->coats)]);
    }

    /** @return list<array{self, int}> one step after another */
    public function moments(): array
    {
        return array_map(fn (int $step) => [$this, $step], range(0, $this->steps() - 1));
    }

    /** The colour of the whole box when it is the same everywhere and always. */
    public function plain(): ?Paint
    {
        $last = $this->coats[count($this->coats) - 1] ?? null;

        return $last instanceof Flat && $last->isEverywhere() ? $last->paint : null;
    }

    /**
     * Without the letters.
     *
     * @return ?Paint null where nobody knows
     */
    public function at(int $step, float $x, float $y): ?Paint
    {
        $paint = Paint::none();
        for ($index = count($this->coats) - 1; $index >= 0; --$index) {
            $coat = $this->coats[$index]->at($step, $x, $y);
            if ($coat === null) {
                return null;
            }
            $paint = $paint->over($coat);
            if ($paint->isFull()) {
                return $paint;
            }
        }

        return $paint;
    }

    /** @return list<Box> what it surely covers in a box of that size, always; a standby only stands for what will */
    public function covers(float $width, float $height): array
    {
        return $this->item->drawing['kind'] === 'standby' ? [] : array_values(
            array_filter(array_map(static fn (Coat $coat) => $coat->covers($width, $height), $this->coats)),
        );
    }
}
