<?php

declare(strict_types=1);

namespace UpperPane\Core\Design\Guides;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Change\Change;
use UpperPane\Core\Change\Document;
use UpperPane\Core\Change\Scope;
use UpperPane\Core\Change\Scopes;
use UpperPane\Core\Design\Design;
use UpperPane\Core\Design\DesignCommand;
use UpperPane\Core\Design\Spot;
use UpperPane\Core\Layout\Guide;

/** `guide.put`: a guide where it is wanted, new or moved. Refuses `guide.outside`, `guide.too_many`. */
final readonly class PutGuide implements DesignCommand
{
    public const NAME = 'guide.put';

    public function __construct(private string $id, private Guide $guide)
    {
    }

    public static function parse(Input $input): self
    {
        $input->keys(['do', 'guide', 'layout', 'axis', 'at']);

        return new self($input->newId('guide'), Guide::parse($input));
    }

    public function apply(Document $document): Change
    {
        $this->guide->on($document->sizing($this->guide->turned)->canvas, '/at');
        $old = $document->guides[$this->id] ?? null;
        if ($old === null && count($document->guides) >= Design::MOST_GUIDES) {
            throw Refusal::because('guide.too_many', '/guide', ['most' => Design::MOST_GUIDES]);
        }

        return new Change(
            $document->with(['guides' => array_replace($document->guides, [$this->id => $this->guide])]),
            [$old === null ? new RemoveGuide($this->id) : new self($this->id, $old)],
            Scopes::of(),
            Scopes::of(Spot::guide($this->id)),
        );
    }

    public function target(): Scope
    {
        return Spot::guide($this->id);
    }

    public function toArray(): array
    {
        return ['do' => self::NAME, 'guide' => $this->id] + $this->guide->toArray();
    }
}
