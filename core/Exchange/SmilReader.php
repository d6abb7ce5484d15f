<?php

declare(strict_types=1);

namespace UpperPane\Core\Exchange;

use UpperPane\Core\Base\Catalogue;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Geometry\Rational;
use UpperPane\Core\Geometry\Rect;
use UpperPane\Core\Geometry\Size;
use UpperPane\Core\Layout\Part;
use UpperPane\Core\Picture\FitMode;

/**
 * The layout of a SMIL 3.0 document (§7 Layout; of 1.0 and 2.x the same elements): its root's size and its regions in
 * px, and a report of what could not be taken over. Nothing outside the text is ever fetched.
 */
final class SmilReader
{
    private const MOST_REGIONS = 1000;
    private const MOST_REPORTED = 1000;
    /** Asked before the text is parsed: parsers take long for what nobody writes. */
    private const MOST_ELEMENTS = 50_000;
    private const MOST_ATTRIBUTES = 200;
    private const DEEPEST = 20;
    private const FITS = [
        'fill' => FitMode::Stretch,
        'hidden' => FitMode::None,
        'meet' => FitMode::Contain,
        'meetBest' => FitMode::Contain,
        'scroll' => FitMode::None,
        'slice' => FitMode::Cover,
    ];
    private const ALIGNS = [
        'topLeft' => [0, 0],
        'topMid' => [50, 0],
        'topRight' => [100, 0],
        'midLeft' => [0, 50],
        'center' => [50, 50],
        'midRight' => [100, 50],
        'bottomLeft' => [0, 100],
        'bottomMid' => [50, 100],
        'bottomRight' => [100, 100],
    ];

    private const PERCENTS = '/^rgb\(\s*([\d.]{1,6})%\s*,\s*([\d.]{1,6})%\s*,\s*([\d.]{1,6})%\s*\)$/D';
    /** CSS 2.1 §4.3.6, the colours that SMIL's backgroundColor may name. */
    private const COLOURS = [
        'aqua' => '00ffff', 'black' => '000000', 'blue' => '0000ff', 'fuchsia' => 'ff00ff', 'gray' => '808080',
        'green' => '008000', 'lime' => '00ff00', 'maroon' => '800000', 'navy' => '000080', 'olive' => '808000',
        'orange' => 'ffa500', 'purple' => '800080', 'red' => 'ff0000', 'silver' => 'c0c0c0', 'teal' => '008080',
        'white' => 'ffffff', 'yellow' => 'ffff00',
    ];
    private const KNOWN = [
        'id', 'regionName', 'left', 'top', 'right', 'bottom', 'width', 'height', 'z-index', 'fit', 'mediaAlign',
        'backgroundColor', 'background-color', 'title', 'class', 'lang', 'showBackground',
    ];

    /** @var list<SmilRegion> */
    private array $regions = [];

    /** @var array<string, true> ids of the regions */
    private array $taken = [];

    /** @var list<array{code: string, path: string, message: string}> */
    private array $report = [];

    private int $unreported = 0;

    /** @var array<string, int> the next number by id */
    private array $next = [];

    private function __construct(private readonly Size $size)
    {
    }

    /**
     * @return array{size: Size, regions: list<SmilRegion>, tree: ?Part, report: list<array<string, string>>}
     *
     * @throws Refusal `smil.xml`, `smil.entities`, `smil.none`, `smil.layout_type`, `smil.no_size`, `smil.too_many`,
     *     `smil.too_much`
     */
    public static function read(string $xml): array
    {
        [$layout, $path] = self::layout(self::document($xml));
        $root = self::child($layout, ['root-layout', 'topLayout']) ?? throw Refusal::because('smil.no_size');
        $self = new self(self::size($root));
        $self->others($layout, $root, $path);
        $isTop = $root->localName === 'topLayout';
        $self->within($isTop ? $root : $layout, $isTop ? "$path/topLayout" : $path, $self->size->rect(), 0, 1);
        if ($self->unreported > 0) {
            $self->report[] = [
                'code' => 'smil.more',
                'path' => $path,
                'message' => Catalogue::message('smil.more', ['count' => $self->unreported]),
            ];
        }
        usort($self->regions, static fn (SmilRegion $a, SmilRegion $b) => $a->z <=> $b->z);

        return [
            'size' => $self->size,
            'regions' => $self->regions,
            'tree' => $self->tree(),
            'report' => $self->report,
        ];
    }

    private static function document(string $xml): \DOMElement
    {
        // Entities can make a small file vast: none is read that declares any.
        if (preg_match('/<!ENTITY/i', $xml) === 1) {
            throw Refusal::because('smil.entities');
        }
        self::bound($xml);
        $before = libxml_use_internal_errors(true);
        $document = new \DOMDocument();
        $read = $xml !== '' && $document->loadXML($xml, \LIBXML_NONET | \LIBXML_COMPACT);
        $error = libxml_get_last_error();
        libxml_clear_errors();
        libxml_use_internal_errors($before);
        $root = $document->documentElement;
        if (!$read || $root === null) {
            throw Refusal::because('smil.xml', '', [
                'what' => $error === false ? 'it is empty' : trim($error->message),
                'line' => $error === false ? 1 : $error->line,
            ]);
        }

        return $root->localName === 'smil'
            ? $root
            : throw Refusal::because('smil.none', '', ['root' => $root->nodeName]);
    }

    /** @throws Refusal `smil.too_much` */
    private static function bound(string $xml): void
    {
        $elements = 0;
        for ($at = strpos($xml, '<'); $at !== false; $at = $next) {
            $next = strpos($xml, '<', $at + 1);
            $tag = substr($xml, $at, ($next === false ? strlen($xml) : $next) - $at);
            $many = substr_count($tag, '=') > self::MOST_ATTRIBUTES
                && preg_match_all('/\s[^\s=<>"\']+\s*=\s*["\']/', $tag) > self::MOST_ATTRIBUTES;
            if (++$elements > 2 * self::MOST_ELEMENTS || $many) {
                throw Refusal::because('smil.too_much', '', [
                    'elements' => self::MOST_ELEMENTS,
                    'attributes' => self::MOST_ATTRIBUTES,
                ]);
            }
        }
    }

    /**
     * The first layout that is SMIL's own: of a switch, the first that can be read (§4.4).
     *
     * @return array{\DOMElement, string} with its path
     */
    private static function layout(\DOMElement $smil): array
    {
        $head = self::child($smil, ['head']);
        $type = null;
        foreach ($head === null ? [] : self::children($head) as $element) {
            $isSwitch = $element->localName === 'switch';
            foreach ($isSwitch ? self::children($element) : [$element] as $layout) {
                if ($layout->localName !== 'layout') {
                    continue;
                }
                $said = $layout->getAttribute('type');
                if ($said === '' || $said === 'text/smil-basic-layout') {
                    return [$layout, '/smil/head'.($isSwitch ? '/switch' : '').'/layout'];
                }
                $type ??= $said;
            }
        }

        throw $type === null
            ? Refusal::because('smil.no_size')
            : Refusal::because('smil.layout_type', '/smil/head/layout/@type', ['type' => $type]);
    }

    private static function size(\DOMElement $root): Size
    {
        $sides = [];
        foreach (['width', 'height'] as $side) {
            $px = SmilLength::of(null, $root->getAttribute($side), null)->within(Rational::of(0));
            $whole = $px === null ? 0 : $px[1]->round();
            if ($whole < 1 || $whole > Size::LARGEST_PX || str_contains($root->getAttribute($side), '%')) {
                throw Refusal::because('smil.no_size', "/smil/head/layout/{$root->localName}/@$side");
            }
            $sides[] = $whole;
        }

        return Size::of($sides[0], $sides[1]);
    }

    /** What stands beside the layout that is read. */
    private function others(\DOMElement $layout, \DOMElement $root, string $path): void
    {
        foreach (self::children($layout) as $element) {
            if ($element !== $root && in_array($element->localName, ['root-layout', 'topLayout'], true)) {
                $this->finding('smil.second_window', "$path/$element->localName");
            }
        }
        $body = self::child($layout->ownerDocument?->documentElement, ['body']);
        if ($body !== null && self::children($body) !== []) {
            $this->finding('smil.body', '/smil/body');
        }
    }

    /** @param string $path of the parent, in the words of XPath */
    private function within(\DOMElement $parent, string $path, Rect $room, int $z, int $depth): void
    {
        $number = 0;
        foreach (self::children($parent) as $element) {
            if ($element->localName === 'region') {
                $this->region($element, "$path/region[".++$number.']', $room, $z, $depth);
            } elseif (!in_array($element->localName, ['root-layout', 'topLayout', 'metadata'], true)) {
                $name = (string) $element->localName;
                $this->finding('smil.element', "$path/$name", ['name' => $name]);
            }
        }
    }

    private function region(\DOMElement $element, string $path, Rect $room, int $above, int $depth): void
    {
        if (count($this->regions) >= self::MOST_REGIONS || $depth > self::DEEPEST) {
            throw Refusal::because('smil.too_many', $path, ['most' => self::MOST_REGIONS]);
        }
        $rect = $this->rect($element, $path, $room);
        if ($rect === null) {
            return;
        }
        $own = $this->layer($element, $path);
        if ($depth > 1 && $own !== 0) {
            $this->finding('smil.nested_z', $path);
        }
        $z = $depth > 1 ? $above : $own;
        foreach ($element->attributes as $attribute) {
            $name = $attribute->nodeName;
            if (!in_array($attribute->localName, self::KNOWN, true)) {
                $this->finding('smil.attribute', "$path/@$name", ['name' => $name]);
            }
        }
        $this->regions[] = new SmilRegion(
            $this->id($element, $path),
            $rect,
            $z,
            $this->fit($element, $path),
            $this->focus($element, $path),
            $this->ground($element, $path),
        );
        $this->within($element, $path, $rect, $z, $depth + 1);
    }

    /** Edges are rounded separately, as those of floats are. */
    private function rect(\DOMElement $element, string $path, Rect $room): ?Rect
    {
        $get = $element->getAttribute(...);
        $across = SmilLength::of($get('left'), $get('width'), $get('right'))->within(Rational::of($room->width));
        $down = SmilLength::of($get('top'), $get('height'), $get('bottom'))->within(Rational::of($room->height));
        $edges = [];
        foreach ([[$across, $room->x], [$down, $room->y]] as [$span, $from]) {
            $start = $span === null ? 0 : $span[0]->round();
            $end = $span === null ? 0 : $span[0]->plus($span[1])->round();
            if ($end - $start < 1 || abs($start) > Size::LARGEST_PX || $end - $start > Size::LARGEST_PX) {
                $this->finding('smil.no_place', $path);

                return null;
            }
            $edges[] = [$from + $start, $end - $start];
        }

        return Rect::of($edges[0][0], $edges[1][0], $edges[0][1], $edges[1][1]);
    }

    private function fit(\DOMElement $element, string $path): FitMode
    {
        $fit = $element->getAttribute('fit');
        if ($fit !== '' && (!isset(self::FITS[$fit]) || $fit === 'scroll' || $fit === 'meetBest')) {
            $this->finding('smil.fit', "$path/@fit", ['fit' => $fit]);
        }

        return self::FITS[$fit] ?? FitMode::None;
    }

    /** @return array{int, int} where in its region a medium stands, in % */
    private function focus(\DOMElement $element, string $path): array
    {
        $align = $element->getAttribute('mediaAlign');
        if ($align !== '' && !isset(self::ALIGNS[$align])) {
            $this->finding('smil.align', "$path/@mediaAlign", ['align' => $align]);
        }

        return self::ALIGNS[$align] ?? [0, 0];
    }

    private function layer(\DOMElement $element, string $path): int
    {
        $text = trim($element->getAttribute('z-index'));
        if (preg_match('/^[+-]?\d{1,6}$/D', $text) === 1) {
            return (int) $text;
        }
        if ($text !== '' && $text !== 'auto') {
            $this->finding('smil.layer', "$path/@z-index", ['layer' => $text]);
        }

        return 0;
    }

    private function ground(\DOMElement $element, string $path): ?string
    {
        $name = $element->hasAttribute('backgroundColor') ? 'backgroundColor' : 'background-color';
        $text = strtolower(trim($element->getAttribute($name)));
        if (in_array($text, ['', 'transparent', 'inherit'], true)) {
            return null;
        }
        $hex = match (true) {
            isset(self::COLOURS[$text]) => self::COLOURS[$text],
            preg_match('/^#([0-9a-f]{6})$/D', $text, $found) === 1 => $found[1],
            preg_match('/^#([0-9a-f])([0-9a-f])([0-9a-f])$/D', $text, $found) === 1 => str_repeat($found[1], 2).
                str_repeat($found[2], 2).
                str_repeat($found[3], 2),
            preg_match('/^rgb\(\s*(\d{1,3})\s*,\s*(\d{1,3})\s*,\s*(\d{1,3})\s*\)$/D', $text, $found) === 1 => sprintf(
                '%02x%02x%02x',
                min(255, (int) $found[1]),
                min(255, (int) $found[2]),
                min(255, (int) $found[3]),
            ),
            preg_match(self::PERCENTS, $text, $found) === 1 => sprintf(
                '%02x%02x%02x',
                ...array_map(self::percent(...), array_slice($found, 1)),
            ),
            default => null,
        };
        if ($hex === null) {
            $this->finding('smil.colour', "$path/@$name", ['colour' => $text]);
        }

        return $hex === null ? null : "#$hex";
    }

    /** As other things are named here: letters, digits, `_`, `.` and `-`, each once. */
    private function id(\DOMElement $element, string $path): string
    {
        $said = $element->getAttribute('regionName') ?: self::xmlId($element);
        $clean = substr((string) preg_replace('/[^A-Za-z0-9_.-]/', '-', $said), 0, 60);
        $base = $clean === '' ? 'region' : $clean;
        $id = $base;
        for ($number = $this->next[$base] ?? 2; isset($this->taken[$id]); ++$number) {
            $id = "$base-$number";
            $this->next[$base] = $number + 1;
        }
        $this->taken[$id] = true;
        if ($id !== $said) {
            $this->finding('smil.id', $path, ['id' => $id]);
        }

        return $id;
    }

    /** The regions of the lowest layer that tile the whole. */
    private function tree(): ?Part
    {
        $layers = [];
        foreach ($this->regions as $region) {
            $layers[$region->z][$region->id] = $region->rect;
        }
        foreach ($layers as $tiles) {
            $tree = Tiling::of($tiles, $this->size->rect());
            if ($tree !== null) {
                return $tree;
            }
        }

        return null;
    }

    /** @param array<string, string|int> $params */
    private function finding(string $code, string $path, array $params = []): void
    {
        if (count($this->report) >= self::MOST_REPORTED) {
            ++$this->unreported;

            return;
        }
        $this->report[] = [
            'code' => $code,
            'path' => $path,
            'message' => Catalogue::message($code, $params),
        ];
    }

    private static function xmlId(\DOMElement $element): string
    {
        return $element->getAttributeNS('http://www.w3.org/XML/1998/namespace', 'id') ?: $element->getAttribute('id');
    }

    /** Of 255 (CSS 2.1 §4.3.6). */
    private static function percent(string $percent): int
    {
        return (int) round(255 * min(100.0, (float) $percent) / 100);
    }

    /** @param list<string> $names */
    private static function child(?\DOMElement $parent, array $names): ?\DOMElement
    {
        foreach ($parent === null ? [] : self::children($parent) as $element) {
            if (in_array($element->localName, $names, true)) {
                return $element;
            }
        }

        return null;
    }

    /** @return list<\DOMElement> */
    private static function children(\DOMElement $parent): array
    {
        return array_values(
            array_filter(
                iterator_to_array($parent->childNodes),
                static fn (\DOMNode $node) => $node instanceof \DOMElement,
            ),
        );
    }
}
