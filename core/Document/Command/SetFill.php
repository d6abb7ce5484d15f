<?php

declare(strict_types=1);

namespace UpperPane\Core\Document\Command;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Document\Design;
use UpperPane\Core\Document\Fill\Fill;
use UpperPane\Core\Document\Fill\FillReader;

/** `fill.set`: what a zone shows, whole. */
final readonly class SetFill implements Command
{
    public const NAME = 'fill.set';

    public function __construct(private string $scene, private string $zone, private Fill $fill)
    {
    }

    public static function parse(Input $input): self
    {
        $input->keys(['do', 'scene', 'zone', 'fill']);

        return new self($input->id('scene'), $input->id('zone'), FillReader::read($input->child('fill')));
    }

    public function apply(Design $design): Change
    {
        $scene = $design->scene($this->scene);
        $zone = $scene->zone($this->zone);

        return new Change(
            $design->withScene($scene->withZone($zone->withFill($this->fill))),
            new self($this->scene, $this->zone, $zone->fill()),
            [Touched::zone($this->zone)],
            [Touched::fill($this->zone)],
            [['op' => 'replace', 'path' => Touched::zonePath($this->scene, $this->zone).'/fill', 'value' => $this->fill->toArray()]],
        );
    }

    public function toArray(): array
    {
        return ['do' => self::NAME, 'scene' => $this->scene, 'zone' => $this->zone, 'fill' => $this->fill->toArray()];
    }
}
