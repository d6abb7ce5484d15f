<?php

declare(strict_types=1);

namespace UpperPane\Core\Document\Command;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Document\Design;

/** `zone.name`: a name beside the letter; empty takes it away. */
final readonly class NameZone implements Command
{
    public const NAME = 'zone.name';

    public function __construct(private string $scene, private string $zone, private string $name)
    {
    }

    public static function parse(Input $input): self
    {
        $input->keys(['do', 'scene', 'zone', 'name']);

        return new self($input->id('scene'), $input->id('zone'), $input->text('name', 80));
    }

    public function apply(Design $design): Change
    {
        $scene = $design->scene($this->scene);
        $zone = $scene->zone($this->zone);

        return new Change(
            $design->withScene($scene->withZone($zone->withName($this->name))),
            new self($this->scene, $this->zone, $zone->name),
            [Touched::zone($this->zone)],
            [Touched::zone($this->zone).'/name'],
            [['op' => 'replace', 'path' => Touched::zonePath($this->scene, $this->zone).'/name', 'value' => $this->name]],
        );
    }

    public function toArray(): array
    {
        return ['do' => self::NAME, 'scene' => $this->scene, 'zone' => $this->zone, 'name' => $this->name];
    }
}
