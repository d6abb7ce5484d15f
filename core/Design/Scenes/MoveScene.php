<?php

declare(strict_types=1);

namespace UpperPane\Core\Design\Scenes;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Change\Change;
use UpperPane\Core\Change\Document;
use UpperPane\Core\Change\Scopes;
use UpperPane\Core\Design\DesignCommand;
use UpperPane\Core\Design\Spot;

/**
 * `scene.move`: a scene in front of another in the frieze, or at its end. The round keeps its own order. Refuses
 * `document.scene_gone`.
 */
final readonly class MoveScene implements DesignCommand
{
    public const NAME = 'scene.move';

    public function __construct(private string $scene, private ?string $before)
    {
    }

    public static function parse(Input $input): self
    {
        $input->keys(['do', 'scene', 'before']);

        return new self($input->id('scene'), $input->optional('before')?->asId());
    }

    public function apply(Document $document): Change
    {
        $scene = $document->scene($this->scene);
        $follower = $document->order[(int) array_search($this->scene, $document->order, true) + 1] ?? null;
        $order = array_values(array_diff($document->order, [$this->scene]));
        if ($this->before === $this->scene) {
            return new Change($document, [new self($this->scene, $follower)], Scopes::of(), Scopes::of(Spot::order()));
        }

        return new Change(
            $document->with(['order' => PutScene::inserted($document, $order, $this->scene, $this->before)]),
            [new self($this->scene, $follower)],
            Scopes::of(),
            Scopes::of(Spot::order()),
            ['scene' => $scene->name],
        );
    }

    public function target(): null
    {
        return null;
    }

    public function toArray(): array
    {
        return ['do' => self::NAME, 'scene' => $this->scene, 'before' => $this->before];
    }
}
