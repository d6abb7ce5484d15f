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

    public function __construct(private string $player, private int $outputs, private ?string $before = null)
    {
    }

    public static function parse(Input $input): self
    {
        $input->keys(['do', 'player', 'outputs', 'before']);

        return new self(
            $input->newId('player'),
            $input->int('outputs', 1, SurfaceSheet::MOST_OUTPUTS),
            $input->optional('before')?->asId(),
        );
    }

    public function apply(Document $document): Change
    {
        if (isset($document->players[$this->player])) {
            throw Refusal::because('player.there', '/player', ['player' => $this->player]);
        }

        $at = $this->before === null
            ? count($document->players)
            : (int) array_search($this->before, array_map(strval(...), array_keys($document->players)), true);
        if ($this->before !== null && !isset($document->players[$this->before])) {
            throw Refusal::because('player.gone', '/before', ['player' => $this->before]);
        }

        return new Change(
            $document->with([
                'players' => array_slice($document->players, 0, $at, true) + [$this->player => $this->outputs]
                    + $document->players,
            ]),
            [new RemovePlayer($this->player)],
            Scopes::of(),
            Scopes::of(Spot::player($this->player), Spot::playerOrder()),
            ['player' => $this->player],
        );
    }

    public function target(): null
    {
        return null;
    }

    public function toArray(): array
    {
        return ['do' => self::NAME, 'player' => $this->player, 'outputs' => $this->outputs] +
            ($this->before === null ? [] : ['before' => $this->before]);
    }
}
