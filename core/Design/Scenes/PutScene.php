<?php

declare(strict_types=1);

namespace UpperPane\Core\Design\Scenes;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Change\Change;
use UpperPane\Core\Change\Document;
use UpperPane\Core\Change\Scopes;
use UpperPane\Core\Design\Design;
use UpperPane\Core\Design\DesignCommand;
use UpperPane\Core\Design\LayoutPut;
use UpperPane\Core\Design\Scene;
use UpperPane\Core\Design\Spot;
use UpperPane\Core\Design\Zone;

/**
 * `scene.put`: a whole scene that comes, with the zones that only it has, its place in the frieze and the round it
 * comes into; null where it comes into none, and the round stays as it is then. It is how removed scenes come back.
 * Refuses `document.id_taken`, `document.scene_gone`, `document.round`, and what {@see LayoutPut::withZones()} refuses.
 */
final readonly class PutScene implements DesignCommand
{
    public const NAME = 'scene.put';

    public function __construct(
        private Scene $content,
/** @var array<string, Zone> */ private array $zones,
        private ?string $before,
/** @var ?list<string> */ private ?array $round,
        private int $lettersTaken = 0,
    ) {
    }

    public static function parse(Input $input): self
    {
        $input->keys(['do', 'scene', 'content', 'zones', 'before', 'round']);

        $zones = [];
        foreach ($input->child('zones')->members() as $id => $zone) {
            $zones[$id] = Zone::parse((string) $id, $zone);
        }

        $round = $input->optional('round');

        return new self(
            Scene::parse($input->newId('scene'), $input->child('content')),
            $zones,
            $input->optional('before')?->asId(),
            $round === null ? null : array_map(static fn (Input $id) => $id->asId(), $round->asList(200, 1)),
        );
    }

    public function apply(Document $document): Change
    {
        $scene = $this->content;
        if (isset($document->scenes[$scene->id])) {
            throw Refusal::because('document.id_taken', '/scene', ['id' => $scene->id]);
        }
        $scene->own->resolve($document->sizing());
        $scene->turned?->resolve($document->sizing(true));
        $design = LayoutPut::withZones($document, $this->zones, $this->lettersTaken)->withScene($scene);
        $unknown = array_values(array_filter($scene->zones(), static fn (string $id) => !isset($design->zones[$id])));
        if ($unknown !== []) {
            throw Refusal::because('document.zone_unplaced', '/content', ['zones' => $unknown]);
        }
        if (array_diff(array_map(strval(...), array_keys($this->zones)), $scene->zones()) !== []) {
            throw Refusal::because('document.zone_unplaced', '/zones', [
                'zones' => array_map(strval(...), array_keys($this->zones)),
            ]);
        }
        $design = $design->with(['order' => self::inserted($document, $document->order, $scene->id, $this->before)]);
        $round = $this->round === null || $this->round === $document->round ? null : $this->round;
        $set = $round === null ? null : (new SetRound($round))->apply($design);

        return new Change(
            $set->after ?? $design,
            [new RemoveScene($scene->id, $round === null ? null : $document->round)],
            ($set->reads ?? Scopes::of())->and(Scopes::of(...array_map(Spot::zoneThere(...), $scene->zones()))),
            Scopes::of(
                Spot::scene($scene->id),
                Spot::order(),
                ...$round === null ? [] : [Spot::round()],
                ...array_map(static fn (int|string $id) => Spot::zone((string) $id), array_keys($this->zones)),
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
        return [
            'do' => self::NAME,
            'scene' => $this->content->id,
            'content' => $this->content->toArray(),
            'zones' => array_map(static fn (Zone $zone) => $zone->toArray(), $this->zones),
            'before' => $this->before,
            'round' => $this->round,
        ];
    }

    /**
     * @param list<string> $order
     *
     * @return list<string>
     *
     * @throws Refusal `document.scene_gone` when the one it is put in front of is not there
     */
    public static function inserted(Design $design, array $order, string $scene, ?string $before): array
    {
        if ($before === null) {
            return [...$order, $scene];
        }
        $at = (int) array_search($design->scene($before, '/before')->id, $order, true);

        return [...array_slice($order, 0, $at), $scene, ...array_slice($order, $at)];
    }
}
