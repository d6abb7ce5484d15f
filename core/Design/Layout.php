<?php

declare(strict_types=1);

namespace UpperPane\Core\Design;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Layout\FloatPlace;
use UpperPane\Core\Layout\Glazing;
use UpperPane\Core\Layout\GlazingReader;
use UpperPane\Core\Layout\Part;
use UpperPane\Core\Layout\Sizing;
use UpperPane\Core\Layout\Tree;

/**
 * One arrangement of zones on a canvas: a glazing, and floats above it, back to front. It is resolved once and carries
 * the result.
 */
final class Layout
{
    private ?Glazing $resolved = null;

    /** @var list<string>|null */
    private ?array $zones = null;

    /**
     * @param list<FloatPlace> $floats
     * @param list<string>     $locks  parts that keep their px
     */
    private function __construct(
        public readonly Part $tree,
        public readonly array $floats,
        private readonly array $locks = [],
    ) {
    }

    /** @param list<FloatPlace> $floats */
    public static function of(Part $tree, array $floats = []): self
    {
        return new self($tree, $floats);
    }

    /** @throws Refusal `document.zone_twice` when a zone stands in it twice */
    public static function parse(Input $input): self
    {
        $input->keys(['glazing', 'floats', 'locks']);
        $layout = new self(
            GlazingReader::read($input->child('glazing')),
            array_map(FloatPlace::parse(...), $input->list('floats', 200)),
            $input->has('locks') ? array_map(static fn (Input $id) => $id->asId(), $input->list('locks', 2000)) : [],
        );
        $layout->refuseTwins($input->path);

        return $layout;
    }

    /** @param array<string, mixed> $raw from {@see toArray()} */
    public static function stored(array $raw): self
    {
        /** @var array{glazing: array<string, mixed>, floats: list<array<string, mixed>>, locks?: list<string>} $raw */
        return new self(
            GlazingReader::stored($raw['glazing']),
            array_map(static fn (array $float) => FloatPlace::parse(Input::of($float)), $raw['floats']),
            $raw['locks'] ?? [],
        );
    }

    /** @throws Refusal `document.zone_twice` */
    public function refuseTwins(string $path = ''): void
    {
        $zones = $this->zones();
        $twice = array_diff_assoc($zones, array_unique($zones));
        if ($twice !== []) {
            throw Refusal::because('document.zone_twice', $path, ['zone' => (string) reset($twice)]);
        }
    }

    /** @return list<string> every zone that stands in it: panes in tree order, then floats */
    public function zones(): array
    {
        return $this->zones ??= [
            ...$this->tree->paneIds(),
            ...array_map(static fn (FloatPlace $float) => $float->zone, $this->floats),
        ];
    }

    public function holds(string $zone): bool
    {
        return in_array($zone, $this->zones(), true);
    }

    public function float(string $zone): ?FloatPlace
    {
        foreach ($this->floats as $float) {
            if ($float->zone === $zone) {
                return $float;
            }
        }

        return null;
    }

    /** @throws Refusal what {@see Glazing::resolve()} refuses */
    public function resolve(Sizing $sizing): Glazing
    {
        return $this->resolved ??= $sizing->resolve($this->tree);
    }

    /** Another zone in the place of one; floats that are held to its pane stay with the pane. */
    public function exchanged(string $from, string $to): self
    {
        if (!$this->holds($from)) {
            return $this;
        }

        return new self(
            Tree::renamed($this->tree, $from, $to),
            array_map(static fn (FloatPlace $float) => $float->exchanged($from, $to), $this->floats),
            array_map(static fn (string $part) => $part === $from ? $to : $part, $this->locks),
        );
    }

    public function withTree(Part $tree): self
    {
        return $tree === $this->tree ? $this : new self($tree, $this->floats, $this->locks);
    }

    /** @param list<FloatPlace> $floats */
    public function withFloats(array $floats): self
    {
        $layout = new self($this->tree, $floats, $this->locks);
        $layout->resolved = $this->resolved;

        return $layout;
    }

    public function isLocked(string $part): bool
    {
        return in_array($part, $this->locks, true);
    }

    public function withLock(string $part, bool $locked): self
    {
        $others = array_values(array_diff($this->locks, [$part]));
        $locks = $locked ? [...$others, $part] : $others;
        sort($locks);
        $layout = new self($this->tree, $this->floats, $locks);
        $layout->resolved = $this->resolved;

        return $layout;
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'glazing' => $this->tree->toArray(true),
            'floats' => array_map(static fn (FloatPlace $float) => $float->toArray(), $this->floats),
        ] + ($this->locks === [] ? [] : ['locks' => $this->locks]);
    }
}
