<?php

declare(strict_types=1);

namespace UpperPane\Core\Design\Scenes;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Change\Change;
use UpperPane\Core\Change\Document;
use UpperPane\Core\Change\Scope;
use UpperPane\Core\Change\Scopes;
use UpperPane\Core\Design\DesignCommand;
use UpperPane\Core\Design\Fill\Transition;
use UpperPane\Core\Design\Spot;

/** `scene.transition`: how a scene enters. Refuses `document.scene_gone`. */
final readonly class SetTransition implements DesignCommand
{
    public const NAME = 'scene.transition';

    public function __construct(private string $scene, private Transition $transition)
    {
    }

    public static function parse(Input $input): self
    {
        $input->keys(['do', 'scene', 'transition']);

        return new self($input->id('scene'), Transition::parse($input->child('transition')));
    }

    public function apply(Document $document): Change
    {
        $scene = $document->scene($this->scene);

        return new Change(
            $document->withScene($scene->with(['transition' => $this->transition])),
            [new self($this->scene, $scene->transition)],
            Scopes::of(),
            Scopes::of(Spot::sceneField($this->scene, 'transition')),
            ['scene' => $scene->name],
        );
    }

    public function target(): Scope
    {
        return Spot::sceneField($this->scene, 'transition');
    }

    public function toArray(): array
    {
        return ['do' => self::NAME, 'scene' => $this->scene, 'transition' => $this->transition->toArray()];
    }
}
