<?php

declare(strict_types=1);

namespace UpperPane\Core\Document;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Document\Fill\EmptyFill;
use UpperPane\Core\Document\Fill\Fill;
use UpperPane\Core\Document\Fill\FillReader;

/** A zone of a scene: its letter for life, an optional name, and what it shows. */
final readonly class Zone
{
    private function __construct(public string $id, public string $letter, public string $name, public Fill $fill)
    {
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
        return ['letter' => $this->letter, 'name' => $this->name, 'fill' => $this->fill->toArray()];
    }
}
