<?php

declare(strict_types=1);

namespace UpperPane\Core\Site;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Change\Commands;
use UpperPane\Core\Change\Document;
use UpperPane\Core\Change\Kind;
use UpperPane\Core\Change\Scopes;
use UpperPane\Core\Change\Stored;
use UpperPane\Core\Site\Command\AddPlayer;
use UpperPane\Core\Site\Command\RemovePlayer;
use UpperPane\Core\Site\Command\SetField;
use UpperPane\Core\Site\Command\SetOutputs;
use UpperPane\Core\Site\Command\WireOutputs;

/**
 * Surfaces' sheets as one kind of document, all in one part.
 *
 * @implements Kind<SurfaceSheet>
 */
final class SurfaceKind implements Kind
{
    public const NAME = 'surface';
    private const HEAD = 'head';

    public function name(): string
    {
        return self::NAME;
    }

    public function upgraded(array $parts): array
    {
        return $parts;
    }

    public function stored(array $parts): SurfaceSheet
    {
        $head = $parts[self::HEAD] ?? '';

        return Stored::read(
            '',
            static fn () => SurfaceSheet::parse(Input::of(json_decode($head, true, 64, \JSON_THROW_ON_ERROR))),
        );
    }

    public function read(Input $input): SurfaceSheet
    {
        return SurfaceSheet::parse($input);
    }

    public function commands(): Commands
    {
        return Commands::of([
            [SetField::NAME, SetField::class],
            [WireOutputs::NAME, WireOutputs::class],
            [SetOutputs::NAME, SetOutputs::class],
            [AddPlayer::NAME, AddPlayer::class],
            [RemovePlayer::NAME, RemovePlayer::class],
        ]);
    }

    public function parts(Document $document, ?Document $before = null): array
    {
        return [
            self::HEAD => json_encode(
                ['version' => SurfaceSheet::VERSION] + $document->fields(),
                \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES,
            ),
        ];
    }

    public function versions(Document $theirs, Document $mine, Scopes $touched): array
    {
        $lines = [];
        foreach ($touched->all() as $scope) {
            [$root, $name] = [...$scope->path(), ''];
            $value = static fn (SurfaceSheet $sheet): mixed => match ($root) {
                'fields' => $sheet->field($name),
                'players' => $sheet->players[$name] ?? null,
                'player_order' => array_map(strval(...), array_keys($sheet->players)),
                default => $sheet->outputs?->toArray(),
            };
            if ($value($theirs) !== $value($mine)) {
                $lines[] = [
                    'what' => $root === 'fields' ? 'field' : $root,
                    'field' => $name,
                    'theirs' => $value($theirs),
                    'yours' => $value($mine),
                ];
            }
        }

        return $lines;
    }
}
