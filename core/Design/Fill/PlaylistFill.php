<?php

declare(strict_types=1);

namespace UpperPane\Core\Design\Fill;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Time\Order;

/**
 * Entries shown one after another, again and again, and those between one by one after every so many of the others
 * (model §6, Interleave). Each change gives a new playlist.
 */
final readonly class PlaylistFill implements Fill
{
    use Altered;

    public const MOST_ENTRIES = 500;
    /** After each of the others, where nothing is said. */
    public const AFTER = 1;

    /**
     * @param list<Entry> $entries
     * @param int         $after   so many of the others, ≥ 1
     * @param ?string     $of      the playlist of the Stock whose entries and order it has; null: they are its own
     */
    private function __construct(
        public array $entries,
        public ?Clip $clip,
        public Order $order,
        public int $after,
        public ?string $of,
    ) {
    }

    /** @throws Refusal `playlist.entry_twice` */
    public static function parse(Input $input): self
    {
        $input->keys(['kind', 'entries', 'clip', 'order', 'after', 'of']);
        $entries = $seen = [];
        foreach ($input->list('entries', self::MOST_ENTRIES) as $item) {
            $entry = Entry::parse($item);
            if (isset($seen[$entry->id])) {
                throw Refusal::because('playlist.entry_twice', $item->pathTo('id'), ['id' => $entry->id]);
            }
            $seen[$entry->id] = true;
            $entries[] = $entry;
        }

        return new self(
            $entries,
            Clip::parseOrNone($input),
            $input->has('order') ? $input->enum('order', Order::class) : Order::Listed,
            $input->has('after') ? $input->int('after', 1, self::MOST_ENTRIES) : self::AFTER,
            $input->optional('of')?->asId(),
        );
    }

    /** @return list<Entry> enabled ones; none where all lie between others, and there are none */
    public function shown(): array
    {
        $enabled = $this->enabled();
        $others = array_filter($enabled, static fn (Entry $entry) => !$entry->between || $entry->alone);

        return $others === [] ? [] : $enabled;
    }

    /** @return list<Entry> those that are not left out */
    public function enabled(): array
    {
        return array_values(array_filter($this->entries, static fn (Entry $entry) => $entry->enabled));
    }

    /** Whether some that are shown lie between the others; one that is alone then lies between none. */
    public function isMixed(): bool
    {
        return array_filter($this->enabled(), static fn (Entry $entry) => $entry->between && !$entry->alone) !== [];
    }

    public function entry(string $id): ?Entry
    {
        return array_values(array_filter($this->entries, static fn (Entry $entry) => $entry->id === $id))[0] ?? null;
    }

    /** The id of the entry after this one; null at the end. */
    public function follower(string $id): ?string
    {
        $ids = array_map(static fn (Entry $entry) => $entry->id, $this->entries);

        return $ids[(int) array_search($id, $ids, true) + 1] ?? null;
    }

    public function without(string $id): self
    {
        return $this->made(array_values(array_filter($this->entries, static fn (Entry $entry) => $entry->id !== $id)));
    }

    /** @param ?string $before the entry it is put in front of; null for the end */
    public function withInserted(Entry $inserted, ?string $before): self
    {
        $entries = [];
        foreach ($this->entries as $entry) {
            if ($entry->id === $before) {
                $entries[] = $inserted;
            }
            $entries[] = $entry;
        }

        return $this->made($before === null ? [...$entries, $inserted] : $entries);
    }

    public function withReplaced(Entry $replacement): self
    {
        return $this->made(
            array_map(
                static fn (Entry $entry) => $entry->id === $replacement->id ? $replacement : $entry,
                $this->entries,
            ),
        );
    }

    /** What is kept of it: what it has from a playlist of the Stock stays there. */
    public function kept(): self
    {
        return $this->of === null
            ? $this
            : $this->altered(['entries' => [], 'order' => Order::Listed, 'after' => self::AFTER]);
    }

    /** @return array<string, mixed> its entries and their order, wherever it shows them */
    public function listed(): array
    {
        return $this->altered(['clip' => null, 'of' => null])->toArray();
    }

    /** The entries of the playlist that it names, in that one's order. */
    public function filledBy(self $list): self
    {
        return $this->altered(['entries' => $list->entries, 'order' => $list->order, 'after' => $list->after]);
    }

    /** @param list<Entry> $entries */
    private function made(array $entries): self
    {
        return $this->altered(['entries' => $entries]);
    }

    public function resolved(Names $names): self
    {
        return $this->altered([
            'entries' => array_map(static fn (Entry $entry) => $entry->resolved($names), $this->entries),
            'clip' => $this->clip?->resolved($names),
        ]);
    }

    public function kind(): FillKind
    {
        return FillKind::Playlist;
    }

    public function toArray(): array
    {
        return [
            'kind' => 'playlist',
            'entries' => array_map(static fn (Entry $entry) => $entry->toArray(), $this->entries),
        ] + ($this->clip === null ? [] : ['clip' => $this->clip->toArray()])
            + ($this->order === Order::Listed ? [] : ['order' => $this->order->value])
            + ($this->after === self::AFTER ? [] : ['after' => $this->after])
            + ($this->of === null ? [] : ['of' => $this->of]);
    }

    public function mediaIds(): array
    {
        return array_merge([], ...array_map(static fn (Entry $entry) => $entry->fill->mediaIds(), $this->entries));
    }
}
