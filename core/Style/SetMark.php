<?php

declare(strict_types=1);

namespace UpperPane\Core\Style;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Change\Change;
use UpperPane\Core\Change\Command;
use UpperPane\Core\Change\Document;
use UpperPane\Core\Change\Scope;
use UpperPane\Core\Change\Scopes;

/**
 * `style.mark`: the picture in a corner of every scene; null takes it away.
 *
 * @implements Command<HouseStyle>
 */
final readonly class SetMark implements Command
{
    public const NAME = 'style.mark';

    private function __construct(private ?CornerMark $mark)
    {
    }

    public static function parse(Input $input): self
    {
        $input->keys(['do', 'mark']);
        $mark = $input->optional('mark');

        return new self($mark === null ? null : CornerMark::parse($mark));
    }

    public function apply(Document $document): Change
    {
        return new Change(
            $document->withMark($this->mark),
            [new self($document->mark)],
            Scopes::of(),
            Scopes::of($this->target()),
        );
    }

    public function target(): Scope
    {
        return Scope::of('mark');
    }

    public function toArray(): array
    {
        return ['do' => self::NAME, 'mark' => $this->mark?->toArray()];
    }
}
