<?php

declare(strict_types=1);

namespace UpperPane\Core\Document;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Document\Fill\EmptyFill;
use UpperPane\Core\Document\Fill\Fill;
use UpperPane\Core\Document\Fill\FillReader;

/**
 * A zone of a scene: its letter for life, an optional name, and what it shows. A fill that comes from our own storage is
 * read only when it is asked for: an edit of one zone among two hundred should not pay for the others.
 */
final class Zone
{
    /** @param Fill|array<string, mixed> $fill */
    private function __construct(
        public readonly string $id,
        public readonly string $letter,
        public readonly string $name,
        private Fill|array $fill,
    ) {
    }

    public static function fresh(string $id, string $letter): self
    {
        return new self($id, $letter, '', new EmptyFill());
    }

    public static function parse(string $id, Input $input): self
    {
        $input->keys(['letter', 'name', 'fill']);

        return new self($id, $input->text('letter', 4, 1), $input->text('name', 80), FillReader::read($input->child('fill')));
    }

    /** From a document that was written by {@see toArray()}. */
    public static function stored(string $id, Input $input): self
    {
        /** @var array<string, mixed> $fill */
        $fill = $input->child('fill')->raw();

        return new self($id, $input->text('letter', 4, 1), $input->text('name', 80), $fill);
    }

    public function fill(): Fill
    {
        return $this->fill instanceof Fill ? $this->fill : $this->fill = FillReader::read(Input::of($this->fill, '/fill'));
    }

    /** @return list<string> */
    public function mediaIds(): array
    {
        if ($this->fill instanceof Fill) {
            return $this->fill->mediaIds();
        }
        $ids = [];
        array_walk_recursive($this->fill, static function (mixed $value, int|string $key) use (&$ids): void {
            if ($key === 'media' && is_string($value)) {
                $ids[] = $value;
            }
        });

        return $ids;
    }

    public function withFill(Fill $fill): self
    {
        return new self($this->id, $this->letter, $this->name, $fill);
    }

    public function withName(string $name): self
    {
        return new self($this->id, $this->letter, $name, $this->fill);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['letter' => $this->letter, 'name' => $this->name, 'fill' => $this->fill instanceof Fill ? $this->fill->toArray() : $this->fill];
    }
}
