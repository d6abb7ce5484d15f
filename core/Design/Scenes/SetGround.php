<?php

declare(strict_types=1);

namespace UpperPane\Core\Design\Scenes;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Change\Change;
use UpperPane\Core\Change\Document;
use UpperPane\Core\Change\Scope;
use UpperPane\Core\Change\Scopes;
use UpperPane\Core\Design\DesignCommand;
use UpperPane\Core\Design\Fill\Fill;
use UpperPane\Core\Design\Fill\FreshFill;
use UpperPane\Core\Design\Scene;
use UpperPane\Core\Design\Spot;

/**
 * `scene.ground`: what lies behind everything: a colour or a picture; `media` alone is that picture as it begins.
 * Refuses `document.scene_gone`.
 */
final readonly class SetGround implements DesignCommand
{
    public const NAME = 'scene.ground';

    public function __construct(private string $scene, private Fill $ground)
    {
    }

    public static function parse(Input $input): self
    {
        $input->keys(['do', 'scene', 'ground', 'media']);
        $ground = $input->has('media')
            ? FreshFill::ground($input->id('media'))
            : Scene::readGround($input->child('ground'));

        return new self($input->id('scene'), $ground);
    }

    public function apply(Document $document): Change
    {
        $scene = $document->scene($this->scene);

        return new Change(
            $document->withScene($scene->with(['ground' => $this->ground])),
            [new self($this->scene, $scene->ground)],
            Scopes::of(),
            Scopes::of(Spot::sceneField($this->scene, 'ground')),
            ['scene' => $scene->name],
        );
    }

    public function target(): Scope
    {
        return Spot::sceneField($this->scene, 'ground');
    }

    public function toArray(): array
    {
        return ['do' => self::NAME, 'scene' => $this->scene, 'ground' => $this->ground->toArray()];
    }
}
