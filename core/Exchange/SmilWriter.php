<?php

declare(strict_types=1);

namespace UpperPane\Core\Exchange;

use UpperPane\Core\Base\Finding;
use UpperPane\Core\Base\Severity;
use UpperPane\Core\Geometry\Size;
use UpperPane\Core\Picture\FitMode;

/**
 * A layout as a SMIL 3.0 document without a body (§7 Layout), valid by its DTD. SMIL has no *cover*: it is `slice`,
 * with `mediaAlign` so that a centred picture stays centred.
 */
final class SmilWriter
{
    private const HEAD = <<<'XML'
        <?xml version="1.0" encoding="UTF-8"?>
        <!DOCTYPE smil PUBLIC "-//W3C//DTD SMIL 3.0 Language//EN" "http://www.w3.org/2008/SMIL30/SMIL30Language.dtd">

        XML;
    private const ALIGNS = [
        ['topLeft', 'topMid', 'topRight'],
        ['midLeft', 'center', 'midRight'],
        ['bottomLeft', 'bottomMid', 'bottomRight'],
    ];

    /**
     * @param list<SmilRegion> $regions
     *
     * @return array{smil: string, findings: list<Finding>} findings where a focal point is none of the nine
     *     positions, or a name none that XML knows
     */
    public static function write(Size $size, array $regions): array
    {
        $findings = $lines = $names = [];
        foreach ($regions as $index => $region) {
            $rounded = array_map(static fn (int $percent): int => intdiv($percent + 25, 50), $region->focus);
            if ([50 * $rounded[0], 50 * $rounded[1]] !== $region->focus) {
                $findings[] = Finding::of('smil.focus', Severity::Note, "/regions/$index/focus", ['id' => $region->id]);
            }
            $name = preg_replace('/[^A-Za-z0-9_.-]/', '-', $region->id);
            if ($name !== $region->id) {
                $findings[] = Finding::of('smil.id', Severity::Note, "/regions/$index/id", ['id' => (string) $name]);
            }
            $isFirst = preg_match('/^[A-Za-z_]/', (string) $name) === 1 && !isset($names[$name]);
            $names[$name] = true;
            $lines[] = self::element('region', [
                'xml:id' => $isFirst ? (string) $name : 'region-'.($index + 1),
                'regionName' => (string) $name,
                'left' => (string) $region->rect->x,
                'top' => (string) $region->rect->y,
                'width' => (string) $region->rect->width,
                'height' => (string) $region->rect->height,
                'z-index' => (string) $region->z,
                'fit' => match ($region->fit) {
                    FitMode::Contain => 'meet',
                    FitMode::Cover => 'slice',
                    FitMode::Stretch => 'fill',
                    FitMode::None => 'hidden',
                },
                'mediaAlign' => self::ALIGNS[$rounded[1]][$rounded[0]],
                'backgroundColor' => $region->ground ?? 'transparent',
            ]);
        }
        $root = self::element('root-layout', ['width' => (string) $size->width, 'height' => (string) $size->height]);

        return [
            'smil' => self::HEAD.
                "<smil xmlns=\"http://www.w3.org/ns/SMIL\" version=\"3.0\" baseProfile=\"Language\">\n".
                " <head>\n  <layout>\n   $root\n".
                implode('', array_map(static fn (string $line) => "   $line\n", $lines)).
                "  </layout>\n </head>\n <body/>\n</smil>\n",
            'findings' => $findings,
        ];
    }

    /** @param array<string, string> $attributes */
    private static function element(string $name, array $attributes): string
    {
        $written = '';
        foreach ($attributes as $key => $value) {
            $written .= " $key=\"".htmlspecialchars($value, \ENT_XML1 | \ENT_QUOTES).'"';
        }

        return "<$name$written/>";
    }
}
