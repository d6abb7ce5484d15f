<?php

declare(strict_types=1);

namespace UpperPane\Core\Design;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Letters;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Change\Stored;
use UpperPane\Core\Design\Fill\EmptyFill;
use UpperPane\Core\Design\Fill\Entry;
use UpperPane\Core\Design\Fill\Fill;
use UpperPane\Core\Design\Fill\FillReader;
use UpperPane\Core\Design\Fill\LiveFill;
use UpperPane\Core\Design\Fill\MediaFill;
use UpperPane\Core\Design\Fill\PlaylistFill;

/**
 * A zone of a design: its letter for life, an optional name, what it shows, whether it runs on from the site's midnight
 * instead of starting with its scene, and which other it is in step with. A zone from the store is read when it is
 * asked for: an edit of one among eight hundred should not pay for the others.
 */
final class Zone
{
    private const KEYS = ['name', 'runs_on', 'follows', 'fill'];

    /** @param ?string $json as stored; null when the values below hold */
    private function __construct(
        public readonly string $id,
        private ?string $json,
        private string $letter = '',
        private string $name = '',
        private bool $runsOn = false,
        private ?Fill $fill = null,
        private ?Follow $follow = null,
    ) {
    }

    public static function fresh(string $id, string $letter): self
    {
        return new self($id, null, $letter, '', false, new EmptyFill());
    }

    /** @throws Refusal with the place of the first fault; `zone.letter` for what is no letter */
    public static function parse(string $id, Input $input): self
    {
        $input->keys(['letter', ...self::KEYS]);
        $letter = $input->text('letter', 4, 1);
        Letters::index($letter) ??
            throw Refusal::because('zone.letter', $input->pathTo('letter'), ['letter' => $letter]);

        return self::written($id, $letter, $input);
    }

    /** One that will get its letter when it comes into a design. */
    public static function unlettered(string $id, Input $input): self
    {
        return self::written($id, '', $input->keys(self::KEYS));
    }

    /** @param string $json from {@see toJson()} */
    public static function stored(string $id, string $json): self
    {
        return new self($id, $json);
    }

    public function letter(): string
    {
        return $this->read()->letter;
    }

    public function name(): string
    {
        return $this->read()->name;
    }

    public function runsOn(): bool
    {
        return $this->read()->runsOn;
    }

    public function fill(): Fill
    {
        return $this->read()->fill ?? throw new \LogicException('A zone has a fill.');
    }

    /** The zone that it is in step with; null: it goes by its own durations. Read only when it may have one. */
    public function follow(): ?Follow
    {
        return $this->mayHold('"follows":') ? $this->read()->follow : null;
    }

    public function withFill(Fill $fill): self
    {
        $copy = $this->unstored();
        $copy->fill = $fill;

        return $copy;
    }

    public function withName(string $name): self
    {
        $copy = $this->unstored();
        $copy->name = $name;

        return $copy;
    }

    public function withRunsOn(bool $runsOn): self
    {
        $copy = $this->unstored();
        $copy->runsOn = $runsOn;

        return $copy;
    }

    public function following(?Follow $follow): self
    {
        $copy = $this->unstored();
        $copy->follow = $follow;

        return $copy;
    }

    /** The same zone as another one, with an id and a letter of its own. */
    public function copiedAs(string $id, string $letter): self
    {
        $read = $this->read();

        return new self($id, null, $letter, $read->name, $read->runsOn, $read->fill, $read->follow);
    }

    /** Whether it refers to a medium or another thing by this id. */
    public function mentions(string $id): bool
    {
        return $this->json !== null && $this->fill === null
            ? str_contains($this->json, $id)
            : in_array($id, $this->fill()->mediaIds(), true);
    }

    /** The playlist of the Stock that it shows; one that was not read yet is read only when it may have one. */
    public function list(): ?string
    {
        $fill = $this->mayHold('"of":"') ? $this->fill() : null;

        return $fill instanceof PlaylistFill ? $fill->of : null;
    }

    /** Whether what it shows has a sound; one that was not read yet is read only when it may have. */
    public function isHeard(): bool
    {
        return $this->mayHold('"sound":true') && self::sounds($this->fill());
    }

    /** Whether a text may stand in it; of one that is read already it is not asked. */
    private function mayHold(string $text): bool
    {
        return $this->json === null || $this->fill !== null || str_contains($this->json, $text);
    }

    private static function sounds(Fill $fill): bool
    {
        return match (true) {
            $fill instanceof MediaFill, $fill instanceof LiveFill => $fill->sound,
            $fill instanceof PlaylistFill => array_filter(
                $fill->enabled(),
                static fn (Entry $entry) => self::sounds($entry->fill),
            ) !== [],
            default => false,
        };
    }

    public function equals(self $other): bool
    {
        return $this === $other || $this->toJson() === $other->toJson();
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['letter' => $this->letter(), 'name' => $this->name] +
            ($this->runsOn ? ['runs_on' => true] : []) +
            ($this->follow === null ? [] : ['follows' => $this->follow->toArray()]) +
            ['fill' => $this->fill()->toArray()];
    }

    public function toJson(): string
    {
        return $this->json ??
            json_encode($this->toArray(), \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES);
    }

    private static function written(string $id, string $letter, Input $input): self
    {
        return new self(
            $id,
            null,
            $letter,
            $input->text('name', 80),
            $input->has('runs_on') && $input->bool('runs_on'),
            FillReader::read($input->child('fill')),
            $input->has('follows') ? Follow::parse($input->child('follows')) : null,
        );
    }

    /** The same, to be changed: what is stored of it holds no more. */
    private function unstored(): self
    {
        $copy = clone $this->read();
        $copy->json = null;

        return $copy;
    }

    private function read(): self
    {
        if ($this->json !== null && $this->fill === null) {
            $json = $this->json;
            $path = "/zones/$this->id";
            $read = Stored::read(
                $path,
                fn () => self::parse($this->id, Input::of(json_decode($json, true, 128, \JSON_THROW_ON_ERROR), $path)),
            );
            [$this->letter, $this->name, $this->runsOn, $this->fill, $this->follow] = [
                $read->letter,
                $read->name,
                $read->runsOn,
                $read->fill,
                $read->follow,
            ];
        }

        return $this;
    }
}
