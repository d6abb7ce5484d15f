<?php

declare(strict_types=1);

namespace UpperPane\Core\Style;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Change\Commands;
use UpperPane\Core\Change\Document;
use UpperPane\Core\Change\OnePart;
use UpperPane\Core\Change\Scopes;

/**
 * House styles as one kind of document, each in one part.
 *
 * @extends OnePart<HouseStyle>
 */
final class StyleKind extends OnePart
{
    public const NAME = 'style';
    private const COMMANDS = [
        [NameStyle::NAME, NameStyle::class],
        [PutNamed::COLOUR, PutNamed::class],
        [PutNamed::TYPE, PutNamed::class],
        [PutNamed::SPACE, PutNamed::class],
        [SetMark::NAME, SetMark::class],
    ];

    public function name(): string
    {
        return self::NAME;
    }

    public function read(Input $input): HouseStyle
    {
        return HouseStyle::parse($input);
    }

    public function commands(): Commands
    {
        return Commands::of(self::COMMANDS);
    }

    public function versions(Document $theirs, Document $mine, Scopes $touched): array
    {
        $lines = [];
        foreach ($touched->all() as $scope) {
            [$what, $id] = [...$scope->path(), '', ''];
            $said = static fn (HouseStyle $style): ?string => match ($what) {
                'colours' => isset($style->colours[$id]) ? implode(' ', $style->colours[$id]->toArray()) : null,
                'types' => isset($style->types[$id]) ? implode(' ', $style->types[$id]->toArray()) : null,
                'spaces' => isset($style->spaces[$id]) ? implode(' ', $style->spaces[$id]->toArray()) : null,
                'mark' => $style->mark === null ? null : implode(' ', $style->mark->toArray()),
                default => $style->name,
            };
            $lines[] = [
                'what' => 'field',
                'field' => $id === '' ? $what : $id,
                'theirs' => $said($theirs),
                'yours' => $said($mine),
            ];
        }

        return $lines;
    }
}
