<?php

declare(strict_types=1);

namespace UpperPane\Core\Design\Fill;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Time\Order;

/** Entries shown one after another, again and again. Each change gives a new playlist. */
final readonly class PlaylistFill implements Fill
{
    use Altered;

    public const MOST_ENTRIES = 500;

    /** @param list<Entry> $entries */
    private function __construct(public array $entries, public ?Clip $clip, public Order $order)
    {
    }

    /** @throws Refusal `playlist.entry_twice` */
    public static function parse(Input $input): self
    {
        $input->keys(['kind', 'entries', 'clip', 'order']);
        $entries = $seen = [];
        foreach ($input->list('entries', self::MOST_ENTRIES) as $item) {
            $entry = Entry::parse($item);
            if (isset($seen[$entry->id])) {
                throw Refusal::because('playlist.entry_twice', $item->pathTo('id'), ['id' => $entry->id]);
            }
            $seen[$entry->id] = true;
            $entries[] = $entry;
        }

        $order = $input->has('order') ? $input->enum('order', Order::class) : Order::Listed;

        return new self($entries, Clip::parseOrNone($input), $order);
    }

    /** @return list<Entry> those that are shown */
    public function enabled(): array
    {
        return array_values(array_filter($this->entries, static fn (Entry $entry) => $entry->enabled));
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
        return $this->of(array_values(array_filter($this->entries, static fn (Entry $entry) => $entry->id !== $id)));
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

        return $this->of($before === null ? [...$entries, $inserted] : $entries);
    }

    public function withReplaced(Entry $replacement): self
    {
        return $this->of(
            array_map(
                static fn (Entry $entry) => $entry->id === $replacement->id ? $replacement : $entry,
                $this->entries,
            ),
        );
    }

    /** @param list<Entry> $entries */
    private function of(array $entries): self
    {
        return new self($entries, $this->clip, $this->order);
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
            + ($this->order === Order::Listed ? [] : ['order' => $this->order->value]);
    }

    public function mediaIds(): array
    {
        return array_merge([], ...array_map(static fn (Entry $entry) => $entry->fill->mediaIds(), $this->entries));
    }
}
