<?php

declare(strict_types=1);

namespace UpperPane\Core\Design\Scenes;

use UpperPane\Core\Change\Change;
use UpperPane\Core\Change\Command;
use UpperPane\Core\Change\Scopes;
use UpperPane\Core\Design\Design;
use UpperPane\Core\Design\LengthKind;
use UpperPane\Core\Design\Scene;
use UpperPane\Core\Design\SceneLength;
use UpperPane\Core\Design\Spot;
use UpperPane\Core\Design\Zone;

/** A new scene that comes into the design, and maybe into the round. */
final class Joining
{
    /**
     * @param array<string, Zone> $zones
     *
     * @return Change<Design>
     */
    public static function put(
        Design $design,
        Scene $scene,
        array $zones,
        int $lettersTaken,
        ?string $before,
        bool $joins,
    ): Change {
        $open = LengthKind::Open;
        $scene = $joins && $scene->length->kind === $open ? $scene->with(['length' => SceneLength::longest()]) : $scene;
        $change = (new PutScene(
            $scene,
            $zones,
            $before,
            $joins ? [...$design->round, $scene->id] : null,
            $lettersTaken,
        ))->apply($design);
        if (!$joins) {
            return $change;
        }
        [$after, $inverse, $reads, $writes] = [$change->after, $change->inverse, $change->reads, $change->writes];
        foreach ($design->round as $id) {
            $reads = $reads->and(Scopes::of(Spot::sceneField($id, 'length')));
            if ($after->scene($id)->length->kind === $open) {
                $length = (new SetSceneLength($id, SceneLength::longest()))->apply($after);
                [$after, $writes] = [$length->after, $writes->and($length->writes)];
                /** @var list<Command<Design>> $inverse */
                $inverse = [...$length->inverse, ...$inverse];
            }
        }

        return new Change($after, $inverse, $reads, $writes, $change->about);
    }
}
