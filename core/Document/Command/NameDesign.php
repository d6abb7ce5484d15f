<?php

declare(strict_types=1);

namespace UpperPane\Core\Document\Command;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Document\Design;

/** `design.name`. */
final readonly class NameDesign implements Command
{
    public const NAME = 'design.name';

    public function __construct(private string $name)
    {
    }

    public static function parse(Input $input): self
    {
        $input->keys(['do', 'name']);

        return new self($input->text('name', 120, 1));
    }

    public function apply(Design $design): Change
    {
        return new Change($design->withName($this->name), new self($design->name), [], ['design:name'], [
            ['op' => 'replace', 'path' => '/name', 'value' => $this->name],
        ]);
    }

    public function toArray(): array
    {
        return ['do' => self::NAME, 'name' => $this->name];
    }
}
