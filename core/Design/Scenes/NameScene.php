<?php

declare(strict_types=1);

namespace UpperPane\Core\Design\Scenes;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Change\Change;
use UpperPane\Core\Change\Document;
use UpperPane\Core\Change\Scope;
use UpperPane\Core\Change\Scopes;
use UpperPane\Core\Design\DesignCommand;
use UpperPane\Core\Design\Spot;

/** `scene.name`. Refuses `document.scene_gone`. */
final readonly class NameScene implements DesignCommand
{
    public const NAME = 'scene.name';

    public function __construct(private string $scene, private string $name)
    {
    }

    public static function parse(Input $input): self
    {
        $input->keys(['do', 'scene', 'name']);

        return new self($input->id('scene'), $input->name('name', 80, 1));
    }

    public function apply(Document $document): Change
    {
        $scene = $document->scene($this->scene);

        return new Change(
            $document->withScene($scene->with(['name' => $this->name])),
            [new self($this->scene, $scene->name)],
            Scopes::of(),
            Scopes::of(Spot::sceneField($this->scene, 'name')),
            ['scene' => $this->name],
        );
    }

    public function target(): Scope
    {
        return Spot::sceneField($this->scene, 'name');
    }

    public function toArray(): array
    {
        return ['do' => self::NAME, 'scene' => $this->scene, 'name' => $this->name];
    }
}
