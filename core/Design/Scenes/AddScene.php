<?php

declare(strict_types=1);

namespace UpperPane\Core\Design\Scenes;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Letters;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Change\Change;
use UpperPane\Core\Change\Document;
use UpperPane\Core\Design\DesignCommand;
use UpperPane\Core\Design\Layout;
use UpperPane\Core\Design\Scene;
use UpperPane\Core\Design\Zone;
use UpperPane\Core\Layout\Pane;
use UpperPane\Core\Layout\PartSize;

/**
 * `scene.add`: a new scene with one empty pane, in front of another in the frieze or at its end; with `joins` it comes
 * last in the round, and scenes there that would last until something else last for their longest cycle from then on,
 * so that it is ever seen. Refuses `document.id_taken`, `document.scene_gone`.
 */
final readonly class AddScene implements DesignCommand
{
    public const NAME = 'scene.add';

    public function __construct(
        private string $scene,
        private string $name,
        private string $zone,
        private ?string $before,
        private bool $joins,
    ) {
    }

    public static function parse(Input $input): self
    {
        $input->keys(['do', 'scene', 'name', 'zone', 'before', 'joins']);

        return new self(
            $input->newId('scene'),
            $input->name('name', 80, 1),
            $input->newId('zone'),
            $input->optional('before')?->asId(),
            $input->bool('joins'),
        );
    }

    public function apply(Document $document): Change
    {
        if (isset($document->zones[$this->zone])) {
            throw Refusal::because('document.id_taken', '/zone', ['id' => $this->zone]);
        }
        $zone = Zone::fresh($this->zone, Letters::at($document->lettersUsed));
        $scene = Scene::fresh($this->scene, $this->name, Layout::of(new Pane($this->zone, PartSize::fr(1))));

        return Joining::put($document, $scene, [$this->zone => $zone], 1, $this->before, $this->joins);
    }

    public function target(): null
    {
        return null;
    }

    public function toArray(): array
    {
        return [
            'do' => self::NAME,
            'scene' => $this->scene,
            'name' => $this->name,
            'zone' => $this->zone,
            'before' => $this->before,
            'joins' => $this->joins,
        ];
    }
}
