<?php

declare(strict_types=1);

namespace UpperPane\Core\Site\Command;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Change\Change;
use UpperPane\Core\Change\Command;
use UpperPane\Core\Change\Document;
use UpperPane\Core\Change\Scopes;
use UpperPane\Core\Site\Spot;
use UpperPane\Core\Site\SurfaceSheet;

/**
 * `player.add`: one more player feeds the surface. Refuses `player.there`.
 *
 * @implements Command<SurfaceSheet>
 */
final readonly class AddPlayer implements Command
{
    public const NAME = 'player.add';

    public function __construct(private string $player, private int $outputs)
    {
    }

    public static function parse(Input $input): self
    {
        $input->keys(['do', 'player', 'outputs']);

        return new self($input->newId('player'), $input->int('outputs', 1, SurfaceSheet::MOST_OUTPUTS));
    }

    public function apply(Document $document): Change
    {
        if (isset($document->players[$this->player])) {
            throw Refusal::because('player.there', '/player', ['player' => $this->player]);
        }

        return new Change(
            $document->with(['players' => $document->players + [$this->player => $this->outputs]]),
            [new RemovePlayer($this->player)],
            Scopes::of(),
            Scopes::of(Spot::player($this->player)),
            ['player' => $this->player],
        );
    }

    public function target(): null
    {
        return null;
    }

    public function toArray(): array
    {
        return ['do' => self::NAME, 'player' => $this->player, 'outputs' => $this->outputs];
    }
}
