<?php

declare(strict_types=1);

namespace UpperPane\Core\Plan;

use UpperPane\Core\Design\Fill\Fill;
use UpperPane\Core\Design\Fill\Transition;
use UpperPane\Core\Picture\Fit;
use UpperPane\Core\Picture\MediaFacts;
use UpperPane\Core\Picture\Variant;
use UpperPane\Core\Schedule\When;
use UpperPane\Core\Text\Setting\SetText;
use UpperPane\Core\Web\WebFacts;

/** One thing a zone shows for a time: how it is drawn, and the facts the preflight judges it by. */
final readonly class Item
{
    /**
     * @param ?string              $entry      id of the playlist entry; null when the fill stands alone
     * @param ?int                 $ms         null: for as long as the zone shows it
     * @param array<string, mixed> $drawing `kind` and what the renderer draws; px in thousandths where the key ends in
     *     _mpx
     * @param ?int                 $contentMs  how long the content itself is, where it has a length
     * @param ?int                 $modulePx   of a QR code
     * @param ?WebFacts            $page  what is known of a page
     * @param ?string              $unstyled why it is not as the house style says
     * @param ?int                 $smallestPx of the letters of a chart
     * @param ?MediaFacts          $document a page of the Stock
     * @param ?Variant             $variant what is shown in the medium's place
     * @param list<SubItem>        $parts of rows, over its own drawing
     * @param ?When                $when days and hours of the entry; null: always
     * @param bool                 $alone whether it is shown instead of all others then
     * @param bool                 $between whether it lies between the others
     * @param bool                 $past  whether those days and hours are over for good
     * @param ?bool                $over whether the medium's last day is over; null when it ends beyond the horizon
     */
    public function __construct(
        public Fill $fill,
        public array $drawing,
        public ?string $entry = null,
        public ?int $ms = null,
        public ?Transition $transition = null,
        public ?Fit $fit = null,
        public ?SetText $set = null,
        public ?MediaFacts $media = null,
        public ?int $contentMs = null,
        public ?int $modulePx = null,
        public ?WebFacts $page = null,
        public ?string $unstyled = null,
        public ?bool $over = null,
        public ?int $smallestPx = null,
        public ?Variant $variant = null,
        public ?MediaFacts $document = null,
        public array $parts = [],
        public ?When $when = null,
        public bool $alone = false,
        public bool $past = false,
        public bool $between = false,
    ) {
    }

    public function inEntry(string $entry, int $ms, Transition $transition): self
    {
        return $this->with(['entry' => $entry, 'ms' => $ms, 'transition' => $transition]);
    }

    public function onlyOn(?When $when, bool $alone, bool $past): self
    {
        return $this->with(['when' => $when, 'alone' => $alone, 'past' => $past]);
    }

    public function between(bool $between): self
    {
        return $this->with(['between' => $between]);
    }

    /** @param list<SubItem> $parts */
    public function withParts(array $parts): self
    {
        return $this->with(['parts' => $parts]);
    }

    /** @return list<self> itself, and what the parts of its rows show */
    public function walk(): array
    {
        return [
            $this,
            ...array_map(fn (SubItem $part) => $part->item->with(['entry' => $this->entry]), $this->parts),
        ];
    }

    public function enteringWithin(int $ms): self
    {
        return $this->transition === null || $this->transition->ms <= $ms
            ? $this
            : $this->with(['transition' => $this->transition->atMost($ms)]);
    }

    public function unstyled(string $why): self
    {
        return $this->with(['unstyled' => $why]);
    }

    /** @return array<string, mixed> of what is written, alone or in a shape */
    public function written(): array
    {
        /** @var array{label?: array<string, mixed>} $drawing */
        $drawing = $this->drawing;

        return $drawing['label'] ?? $this->drawing;
    }

    /** @return list<int> of the faces that it is written in, each once */
    public function weights(): array
    {
        /** @var array{weight?: int, lines?: list<array{parts?: list<array{weight?: int}>}>} $drawing */
        $drawing = $this->written();
        $weights = isset($drawing['weight']) ? [$drawing['weight']] : [];
        foreach ($drawing['lines'] ?? [] as $line) {
            $weights = [...$weights, ...array_column($line['parts'] ?? [], 'weight')];
        }

        return array_values(array_unique($weights));
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'entry' => $this->entry,
            'ms' => $this->ms,
            'transition' => $this->transition?->toArray() ?? ['kind' => 'cut', 'ms' => 0],
        ] + ($this->when === null ? [] : ['when' => $this->when->toArray()]) + ($this->alone ? ['alone' => true] : []) +
            ($this->between ? ['between' => true] : []) + $this->drawing +
            ($this->parts === []
                ? []
                : ['parts' => array_map(static fn (SubItem $part) => $part->toArray(), $this->parts)]);
    }

    /** @param array<string, mixed> $otherwise by property: readonly ones cannot be set on a clone before PHP 8.3 */
    private function with(array $otherwise): self
    {
        return (new \ReflectionClass(self::class))->newInstance(...$otherwise + get_object_vars($this));
    }
}
