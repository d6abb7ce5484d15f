<?php

declare(strict_types=1);

namespace UpperPane\Core\Design\Guides;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Change\Change;
use UpperPane\Core\Change\Document;
use UpperPane\Core\Change\Scopes;
use UpperPane\Core\Design\DesignCommand;
use UpperPane\Core\Design\Spot;

/** `guide.remove`. Refuses `guide.gone`. */
final readonly class RemoveGuide implements DesignCommand
{
    public const NAME = 'guide.remove';

    public function __construct(private string $id)
    {
    }

    public static function parse(Input $input): self
    {
        $input->keys(['do', 'guide']);

        return new self($input->id('guide'));
    }

    public function apply(Document $document): Change
    {
        $guide =
            $document->guides[$this->id] ?? throw Refusal::because('guide.gone', '/guide', ['guide' => $this->id]);

        return new Change(
            $document->with(['guides' => array_diff_key($document->guides, [$this->id => 0])]),
            [new PutGuide($this->id, $guide)],
            Scopes::of(),
            Scopes::of(Spot::guide($this->id)),
        );
    }

    public function target(): null
    {
        return null;
    }

    public function toArray(): array
    {
        return ['do' => self::NAME, 'guide' => $this->id];
    }
}
