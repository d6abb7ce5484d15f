<?php

declare(strict_types=1);

namespace UpperPane\Core\Design\Fill;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;

/** What a fill of each kind begins with, before anybody set anything. */
final class FreshFill
{
    /** How long an entry stands whose content has no length of its own, until somebody says otherwise. */
    private const ENTRY_MS = 10_000;
    private const GROUND = '#1D2A33';
    private const STYLE = [
        'font' => 'Roboto',
        'weight' => 500,
        'size' => 72,
        'min_size' => 24,
        'mode' => 'wrap_shrink',
        'line_height' => 1200,
        'colour' => '#F4F1EA',
        'ground' => self::GROUND,
        'align' => 'left',
        'valign' => 'middle',
        'padding' => 40,
    ];
    private const MEDIA = ['fit' => 'contain', 'focus' => [50_000, 50_000], 'ground' => self::GROUND];

    /**
     * The kind and, for a picture or a video, the medium; a text may come with its first words.
     *
     * @throws Refusal `input.missing` for a picture or a video without `media`
     */
    public static function parse(Input $input): Fill
    {
        $kind = FillKind::from((string) $input->choice('kind', array_column(FillKind::cases(), 'value')));

        return FillReader::read(
            Input::of(
                ['kind' => $kind->value] +
                    match ($kind) {
                        FillKind::Empty => [],
                        FillKind::Colour => ['colour' => '#276B62'],
                        FillKind::Picture => ['media' => $input->id('media')] + self::MEDIA,
                        FillKind::Video => ['media' => $input->id('media'), 'sound' => false] + self::MEDIA,
                        FillKind::Text => [
                            'text' => $input->has('text') ? $input->text('text', TextFill::LONGEST) : '',
                        ] + self::STYLE,
                        FillKind::Clock => ['pattern' => 'HH:mm', 'align' => 'centre', 'size' => 160] + self::STYLE,
                        FillKind::Playlist => ['entries' => []],
                    },
            ),
        );
    }

    /** @return array{media?: string, text?: string} what {@see parse()} made it of, beside its kind */
    public static function given(Fill $fresh): array
    {
        return array_filter([
            'media' => $fresh->mediaIds()[0] ?? '',
            'text' => $fresh instanceof TextFill ? $fresh->text : '',
        ]);
    }

    /** Null, as long as its content, where that has a length of its own. */
    public static function durationMs(Fill $fill): ?int
    {
        return $fill->kind()->isVideo() ? null : self::ENTRY_MS;
    }

    /** @throws Refusal `playlist.nested` */
    public static function entry(string $id, Fill $fill): Entry
    {
        return Entry::parse(
            Input::of([
                'id' => $id,
                'fill' => $fill->toArray(),
                'duration_ms' => self::durationMs($fill),
                'enabled' => true,
                'transition' => Transition::cut()->toArray(),
            ]),
        );
    }

    /**
     * What a zone shows when it is turned into another kind: a playlist begins with what was there as its first entry.
     */
    public static function instead(Fill $before, Fill $fresh, string $entry): Fill
    {
        if (!$fresh instanceof PlaylistFill || $before instanceof EmptyFill) {
            return $fresh;
        }

        return $before instanceof PlaylistFill ? $before : $fresh->withInserted(self::entry($entry, $before), null);
    }
}
