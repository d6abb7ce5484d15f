<?php

declare(strict_types=1);

namespace UpperPane\Core\Design\Scenes;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Change\Change;
use UpperPane\Core\Change\Document;
use UpperPane\Core\Change\Scope;
use UpperPane\Core\Change\Scopes;
use UpperPane\Core\Design\DesignCommand;
use UpperPane\Core\Design\Spot;

/**
 * `round.set`: the scenes that follow each other by themselves, in this order; the first is the rest scene. Refuses
 * `document.scene_gone`, `document.round` for one that stands in it twice.
 */
final readonly class SetRound implements DesignCommand
{
    public const NAME = 'round.set';

    public function __construct(/** @var list<string> */ private array $round)
    {
    }

    public static function parse(Input $input): self
    {
        $input->keys(['do', 'round']);

        return new self(array_map(static fn (Input $id) => $id->asId(), $input->list('round', 200, 1)));
    }

    public function apply(Document $document): Change
    {
        foreach ($this->round as $index => $scene) {
            $document->scene($scene, "/round/$index");
        }
        if ($this->round !== array_values(array_unique($this->round))) {
            throw Refusal::because('document.round', '/round', ['scenes' => $document->order]);
        }

        return new Change(
            $document->with(['round' => $this->round]),
            [new self($document->round)],
            Scopes::of(...array_map(static fn (string $id) => Spot::scene($id)->below('there'), $this->round)),
            Scopes::of(Spot::round()),
        );
    }

    public function target(): Scope
    {
        return Spot::round();
    }

    public function toArray(): array
    {
        return ['do' => self::NAME, 'round' => $this->round];
    }
}
