<?php

declare(strict_types=1);

namespace UpperPane\Core\Design\Scenes;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Letters;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Change\Change;
use UpperPane\Core\Change\Document;
use UpperPane\Core\Change\Scopes;
use UpperPane\Core\Design\DesignCommand;
use UpperPane\Core\Design\Spot;

/**
 * `scene.duplicate`: the same scene again, behind the first, with the same zones: changed in one, they change in both.
 * `copies` names those that become zones of their own, with the ids they get. Refuses `document.scene_gone`,
 * `document.zone_gone`, `document.id_taken`.
 */
final readonly class DuplicateScene implements DesignCommand
{
    public const NAME = 'scene.duplicate';

    public function __construct(
        private string $scene,
        private string $as,
        private string $name,
/** @var array<string, string> */ private array $copies,
        private bool $joins,
    ) {
    }

    public static function parse(Input $input): self
    {
        $input->keys(['do', 'scene', 'as', 'name', 'copies', 'joins']);

        $copies = array_map(static fn (Input $id) => $id->asNewId(), $input->child('copies')->members());

        return new self(
            $input->id('scene'),
            $input->newId('as'),
            $input->name('name', 80, 1),
            $copies,
            $input->bool('joins'),
        );
    }

    public function apply(Document $document): Change
    {
        $scene = $document->scene($this->scene);
        if (isset($document->scenes[$this->as])) {
            throw Refusal::because('document.id_taken', '/as', ['id' => $this->as]);
        }
        $same = $scene->as($this->as, $this->name);
        $zones = [];
        foreach ($this->copies as $from => $as) {
            if (!$scene->holds((string) $from) || isset($zones[$as])) {
                throw Refusal::because('document.zone_gone', '/copies', ['zone' => (string) $from]);
            }
            if (isset($document->zones[$as])) {
                throw Refusal::because('document.id_taken', '/copies', ['id' => $as]);
            }
            $zones[$as] = $document
                ->zone((string) $from)
                ->copiedAs($as, Letters::at($document->lettersUsed + count($zones)));
            $same = $same->with([
                'own' => $same->own->exchanged((string) $from, $as),
                'turned' => $same->turned?->exchanged((string) $from, $as),
            ]);
        }
        $follower = $document->order[(int) array_search($this->scene, $document->order, true) + 1] ?? null;

        return Joining::put($document, $same, $zones, count($zones), $follower, $this->joins)->touching(
            Scopes::of(
                Spot::scene($this->scene),
                ...array_map(static fn (int|string $id) => Spot::zone((string) $id), array_keys($this->copies)),
            ),
            Scopes::of(),
        );
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
            'as' => $this->as,
            'name' => $this->name,
            'copies' => $this->copies,
            'joins' => $this->joins,
        ];
    }
}
