<?php

declare(strict_types=1);

namespace UpperPane\Core\Design\Zones;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Change\Change;
use UpperPane\Core\Change\Document;
use UpperPane\Core\Change\Scopes;
use UpperPane\Core\Design\DesignCommand;
use UpperPane\Core\Design\Fill\Fill;
use UpperPane\Core\Design\Fill\FreshFill;
use UpperPane\Core\Design\Spot;

/**
 * `fill.begin`: a zone shows a fresh fill of a kind, or a medium; turned into a playlist it keeps what it showed as the
 * first entry, under the id in `entry`. Refuses `document.zone_gone`.
 */
final readonly class BeginFill implements DesignCommand
{
    public const NAME = 'fill.begin';

    private function __construct(private string $zone, private Fill $fresh, private string $entry)
    {
    }

    public static function parse(Input $input): self
    {
        $input->keys(['do', 'zone', 'kind', 'media', 'fit', 'bare', 'text', 'entry']);

        return new self($input->id('zone'), FreshFill::parse($input), $input->newId('entry'));
    }

    public function apply(Document $document): Change
    {
        $zone = $document->zone($this->zone);
        $put = new SetFill($this->zone, FreshFill::instead($zone->fill(), $this->fresh, $this->entry));
        $change = $put->apply($document);

        return new Change(
            $change->after,
            $change->inverse,
            Scopes::of(Spot::zoneThere($this->zone), Spot::fill($this->zone)),
            $change->writes,
            $change->about,
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
            'zone' => $this->zone,
            'kind' => $this->fresh->kind()->value,
            ...FreshFill::given($this->fresh),
            'entry' => $this->entry,
        ];
    }
}
