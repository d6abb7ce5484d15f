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
 * `player.remove`: a player no longer feeds the surface; slices that name its outputs become findings. Refuses
 * `player.gone`.
 *
 * @implements Command<SurfaceSheet>
 */
final readonly class RemovePlayer implements Command
{
    public const NAME = 'player.remove';

    public function __construct(private string $player)
    {
    }

    public static function parse(Input $input): self
    {
        $input->keys(['do', 'player']);

        return new self($input->id('player'));
    }

    public function apply(Document $document): Change
    {
        $before =
            $document->players[$this->player] ??
            throw Refusal::because('player.gone', '/player', ['player' => $this->player]);

        $codes = array_map(strval(...), array_keys($document->players));
        $follower = $codes[(int) array_search($this->player, $codes, true) + 1] ?? null;

        return new Change(
            $document->with(['players' => array_diff_key($document->players, [$this->player => 0])]),
            [new AddPlayer($this->player, $before, $follower)],
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
        return ['do' => self::NAME, 'player' => $this->player];
    }
}
