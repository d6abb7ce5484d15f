<?php

declare(strict_types=1);

namespace UpperPane\Core\Design\Fill;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Picture\FitMode;
use UpperPane\Core\Web\WebAddress;

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
    private const CHART = ['font', 'weight', 'size', 'min_size', 'ground', 'padding'];
    /** A day that always lies ahead, until somebody says which one is meant. */
    private const NEXT_TURN = '2100-01-01T00:00:00';
    private const MEDIA = ['fit' => 'contain', 'focus' => [50_000, 50_000], 'ground' => self::GROUND];

    /**
     * The kind; for a picture or a video the medium, and maybe how it is sized; a web page may be one of the Stock; a
     * text may come with its first words.
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
                        FillKind::Picture => self::medium($input),
                        FillKind::Video => ['sound' => false] + self::medium($input),
                        FillKind::Text => [
                            'text' => $input->has('text') ? $input->text('text', TextFill::LONGEST) : '',
                        ] + self::STYLE,
                        FillKind::Clock => ['pattern' => 'HH:mm', 'align' => 'centre', 'size' => 160] + self::STYLE,
                        FillKind::Count => [
                            'at' => self::NEXT_TURN,
                            'up' => false,
                            'pattern' => "D 'd' HH:mm:ss",
                            'align' => 'centre',
                            'size' => 120,
                        ] + self::STYLE,
                        FillKind::Dial => [
                            'hands' => '#1D2A33',
                            'face' => '#F4F1EA',
                            'accent' => '#A63D2A',
                            'ground' => self::GROUND,
                            'seconds' => true,
                        ],
                        FillKind::Progress => [
                            'of' => ProgressFill::SCENE,
                            'whole' => false,
                            'form' => 'bar',
                            'colour' => '#A63D2A',
                            'track' => '#4D5A62',
                            'ground' => self::GROUND,
                        ],
                        FillKind::Qr => [
                            'content' => ['as' => 'address', 'address' => ''],
                            'level' => 'M',
                            'colour' => '#0C1216',
                            'ground' => '#FFFFFF',
                        ],
                        FillKind::Shape => [
                            'shape' => 'rectangle',
                            'colour' => '#276B62',
                            'radius' => 0,
                            'padding' => 0,
                            'ground' => null,
                        ],
                        FillKind::Chart => [
                            'form' => 'bars',
                            'rows' => [],
                            'unit' => '',
                            'from' => '0',
                            'to' => '100',
                            'ink' => self::STYLE['colour'],
                            'colour' => '#5B88A5',
                            'accent' => '#D9B44A',
                        ] + array_intersect_key(self::STYLE, array_flip(self::CHART)),
                        FillKind::Web => [
                            'address' => $input->has('media') ? WebAddress::STOCK.$input->id('media') : '',
                            'width' => 1440,
                            'scroll' => 0,
                            'refresh_s' => null,
                            'still' => null,
                            'ground' => '#FFFFFF',
                        ],
                        FillKind::Live => [
                            'source' => ['as' => 'stand-in', 'name' => 'pattern'],
                            'fit' => 'contain',
                            'sound' => false,
                            'still' => null,
                            'ground' => self::GROUND,
                        ],
                        FillKind::Playlist => ['entries' => []],
                    },
            ),
        );
    }

    /** @return array<string, mixed> */
    private static function medium(Input $input): array
    {
        return ['media' => $input->id('media')] +
            ($input->has('fit') ? ['fit' => $input->enum('fit', FitMode::class)->value] : []) +
            // What is seen through in places is seen through there.
            ($input->has('bare') && $input->bool('bare') ? ['ground' => null] : []) +
            self::MEDIA;
    }

    /** A picture behind everything: it leaves no bars. */
    public static function ground(string $media): Fill
    {
        return FillReader::read(
            Input::of(['kind' => FillKind::Picture->value, 'media' => $media, 'fit' => 'cover'] + self::MEDIA),
        );
    }

    /**
     * @return array{media?: string, fit?: string, bare?: true, text?: string} what {@see parse()} made it of, beside
     *     its kind
     */
    public static function given(Fill $fresh): array
    {
        return array_filter([
            'media' => $fresh->mediaIds()[0] ?? '',
            'fit' => $fresh instanceof MediaFill && $fresh->fit !== FitMode::Contain ? $fresh->fit->value : '',
            'bare' => $fresh instanceof MediaFill && $fresh->ground === null,
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
