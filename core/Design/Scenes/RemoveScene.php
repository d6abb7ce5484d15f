<?php

declare(strict_types=1);

namespace UpperPane\Core\Design\Scenes;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Change\Change;
use UpperPane\Core\Change\Document;
use UpperPane\Core\Change\Scopes;
use UpperPane\Core\Design\DesignCommand;
use UpperPane\Core\Design\LayoutPut;
use UpperPane\Core\Design\Spot;

/**
 * `scene.remove`: a scene goes, with the zones that stand nowhere else. `round` says what the round is then; without
 * it, the same without the scene. Refuses `document.scene_gone`, `scene.last_of_round`, `document.round`.
 */
final readonly class RemoveScene implements DesignCommand
{
    public const NAME = 'scene.remove';

    public function __construct(private string $scene, /** @var ?list<string> */ private ?array $round = null)
    {
    }

    public static function parse(Input $input): self
    {
        $input->keys(['do', 'scene', 'round']);

        $round = $input->optional('round')?->asList(200, 1);

        return new self(
            $input->id('scene'),
            $round === null ? null : array_map(static fn (Input $id) => $id->asId(), $round),
        );
    }

    public function apply(Document $document): Change
    {
        $scene = $document->scene($this->scene);
        $round = $this->round ?? array_values(array_diff($document->round, [$this->scene]));
        if ($round === []) {
            throw Refusal::because('scene.last_of_round', '/scene', ['scene' => $scene->name]);
        }
        $scenes = array_diff_key($document->scenes, [$this->scene => true]);
        $design = (new SetRound($round))->apply(
            $document->with([
                'scenes' => $scenes,
                'order' => array_values(array_diff($document->order, [$this->scene])),
            ]),
        )->after;
        [$after, $gone] = LayoutPut::cleared($design, $scene->zones());
        $follower = $document->order[(int) array_search($this->scene, $document->order, true) + 1] ?? null;

        return new Change(
            $after,
            // What was in no round comes back into none, whatever that has become.
            [new PutScene($scene, $gone, $follower, $round === $document->round ? null : $document->round)],
            Scopes::of(),
            Scopes::of(
                Spot::scene($this->scene),
                Spot::order(),
                ...$round === $document->round ? [] : [Spot::round()],
                ...array_map(static fn (int|string $id) => Spot::zone((string) $id), array_keys($gone)),
            ),
            ['scene' => $scene->name],
        );
    }

    public function target(): null
    {
        return null;
    }

    public function toArray(): array
    {
        return ['do' => self::NAME, 'scene' => $this->scene] +
            ($this->round === null ? [] : ['round' => $this->round]) +
            [];
    }
}
