<?php

declare(strict_types=1);

namespace UpperPane\Core\Design\Scenes;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Change\Change;
use UpperPane\Core\Change\Document;
use UpperPane\Core\Change\Scope;
use UpperPane\Core\Change\Scopes;
use UpperPane\Core\Design\DesignCommand;
use UpperPane\Core\Design\SceneLength;
use UpperPane\Core\Design\Spot;

/** `scene.length`: how long a scene lasts. Refuses `document.scene_gone`. */
final readonly class SetSceneLength implements DesignCommand
{
    public const NAME = 'scene.length';

    public function __construct(private string $scene, private SceneLength $length)
    {
    }

    public static function parse(Input $input): self
    {
        $input->keys(['do', 'scene', 'length']);

        return new self($input->id('scene'), SceneLength::parse($input->child('length')));
    }

    public function apply(Document $document): Change
    {
        $scene = $document->scene($this->scene);

        return new Change(
            $document->withScene($scene->with(['length' => $this->length])),
            [new self($this->scene, $scene->length)],
            Scopes::of(),
            Scopes::of(Spot::sceneField($this->scene, 'length')),
            ['scene' => $scene->name],
        );
    }

    public function target(): Scope
    {
        return Spot::sceneField($this->scene, 'length');
    }

    public function toArray(): array
    {
        return ['do' => self::NAME, 'scene' => $this->scene, 'length' => $this->length->toArray()];
    }
}
