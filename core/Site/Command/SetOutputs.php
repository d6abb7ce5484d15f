<?php

declare(strict_types=1);

namespace UpperPane\Core\Site\Command;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Change\Change;
use UpperPane\Core\Change\Command;
use UpperPane\Core\Change\Document;
use UpperPane\Core\Change\Scope;
use UpperPane\Core\Change\Scopes;
use UpperPane\Core\Site\Spot;
use UpperPane\Core\Site\SurfaceSheet;

/**
 * `player.outputs`: how many outputs a player has. Refuses `player.gone`.
 *
 * @implements Command<SurfaceSheet>
 */
final readonly class SetOutputs implements Command
{
    public const NAME = 'player.outputs';

    public function __construct(private string $player, private int $outputs)
    {
    }

    public static function parse(Input $input): self
    {
        $input->keys(['do', 'player', 'outputs']);

        return new self($input->id('player'), $input->int('outputs', 1, SurfaceSheet::MOST_OUTPUTS));
    }

    public function apply(Document $document): Change
    {
        $before =
            $document->players[$this->player] ??
            throw Refusal::because('player.gone', '/player', ['player' => $this->player]);

        return new Change(
            $document->with(['players' => array_replace($document->players, [$this->player => $this->outputs])]),
            [new self($this->player, $before)],
            Scopes::of(),
            Scopes::of(Spot::player($this->player)),
            ['player' => $this->player],
        );
    }

    public function target(): Scope
    {
        return Spot::player($this->player);
    }

    public function toArray(): array
    {
        return ['do' => self::NAME, 'player' => $this->player, 'outputs' => $this->outputs];
    }
}
