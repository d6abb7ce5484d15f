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

    /** @var list<array{code: string, path: string, message: string}> */
    private array $report = [];

    private function __construct(private readonly Size $size)
    {
    }

    /**
     * @return array{size: Size, regions: list<SmilRegion>, tree: ?Part, report: list<array<string, string>>}
     *
     * @throws Refusal `smil.xml`, `smil.entities`, `smil.none`, `smil.layout_type`, `smil.no_size`, `smil.too_many`
     */
    public static function read(string $xml): array
    {
        $layout = self::layout(self::document($xml));
        $root = self::child($layout, ['root-layout', 'topLayout']) ?? throw Refusal::because('smil.no_size');
        $self = new self(self::size($root));
        $self->others($layout, $root);
        $self->within($root->localName === 'topLayout' ? $root : $layout, $self->size->rect(), 0, 1);
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

    private static function layout(\DOMElement $smil): \DOMElement
    {
        $head = self::child($smil, ['head']);
        $switch = $head === null ? null : self::child($head, ['switch']);
        $layout =
            ($head === null ? null : self::child($head, ['layout'])) ??
            ($switch === null ? null : self::child($switch, ['layout'])) ??
            throw Refusal::because('smil.no_size');
        $type = $layout->getAttribute('type');
        if ($type !== '' && $type !== 'text/smil-basic-layout') {
            throw Refusal::because('smil.layout_type', '/smil/head/layout/@type', ['type' => $type]);
        }

        return $layout;
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
    private function others(\DOMElement $layout, \DOMElement $root): void
    {
        foreach (self::children($layout) as $element) {
            if ($element !== $root && in_array($element->localName, ['root-layout', 'topLayout'], true)) {
                $this->finding('smil.second_window', $element);
            }
        }
        $body = self::child($layout->ownerDocument?->documentElement, ['body']);
        if ($body !== null && self::children($body) !== []) {
            $this->finding('smil.body', $body);
        }
    }

    private function within(\DOMElement $parent, Rect $room, int $z, int $depth): void
    {
        foreach (self::children($parent) as $element) {
            if ($element->localName === 'region') {
                $this->region($element, $room, $z, $depth);
            } elseif (!in_array($element->localName, ['root-layout', 'topLayout', 'metadata'], true)) {
                $this->finding('smil.element', $element, ['name' => (string) $element->localName]);
            }
        }
    }

    private function region(\DOMElement $element, Rect $room, int $above, int $depth): void
    {
        if (count($this->regions) >= self::MOST_REGIONS || $depth > self::DEEPEST) {
            throw Refusal::because('smil.too_many', self::path($element), ['most' => self::MOST_REGIONS]);
        }
        $rect = $this->rect($element, $room);
        if ($rect === null) {
            return;
        }
        $own = self::whole($element->getAttribute('z-index'));
        if ($depth > 1 && $own !== 0) {
            $this->finding('smil.nested_z', $element);
        }
        $z = $depth > 1 ? $above : $own;
        foreach ($element->attributes as $attribute) {
            $name = $attribute->nodeName;
            if (!in_array($attribute->localName, self::KNOWN, true)) {
                $this->finding('smil.attribute', $element, ['name' => $name], "/@$name");
            }
        }
        $this->regions[] = new SmilRegion(
            $this->id($element),
            $rect,
            $z,
            $this->fit($element),
            self::ALIGNS[$element->getAttribute('mediaAlign')] ?? [0, 0],
            $this->ground($element),
        );
        $this->within($element, $rect, $z, $depth + 1);
    }

    /** Edges are rounded separately, as those of floats are. */
    private function rect(\DOMElement $element, Rect $room): ?Rect
    {
        $get = $element->getAttribute(...);
        $across = SmilLength::of($get('left'), $get('width'), $get('right'))->within(Rational::of($room->width));
        $down = SmilLength::of($get('top'), $get('height'), $get('bottom'))->within(Rational::of($room->height));
        $edges = [];
        foreach ([[$across, $room->x], [$down, $room->y]] as [$span, $from]) {
            $start = $span === null ? 0 : $span[0]->round();
            $end = $span === null ? 0 : $span[0]->plus($span[1])->round();
            if ($end - $start < 1 || abs($start) > Size::LARGEST_PX || $end - $start > Size::LARGEST_PX) {
                $this->finding('smil.no_place', $element);

                return null;
            }
            $edges[] = [$from + $start, $end - $start];
        }

        return Rect::of($edges[0][0], $edges[1][0], $edges[0][1], $edges[1][1]);
    }

    private function fit(\DOMElement $element): FitMode
    {
        $fit = $element->getAttribute('fit');
        if ($fit !== '' && (!isset(self::FITS[$fit]) || $fit === 'scroll' || $fit === 'meetBest')) {
            $this->finding('smil.fit', $element, ['fit' => $fit], '/@fit');
        }

        return self::FITS[$fit] ?? FitMode::None;
    }

    private function ground(\DOMElement $element): ?string
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
            default => null,
        };
        if ($hex === null) {
            $this->finding('smil.colour', $element, ['colour' => $text], "/@$name");
        }

        return $hex === null ? null : "#$hex";
    }

    /** As other things are named here: letters, digits, `_`, `.` and `-`, each once. */
    private function id(\DOMElement $element): string
    {
        $said = $element->getAttribute('regionName') ?: self::xmlId($element);
        $clean = substr((string) preg_replace('/[^A-Za-z0-9_.-]/', '-', $said), 0, 60);
        $taken = array_map(static fn (SmilRegion $region) => $region->id, $this->regions);
        $base = $clean === '' ? 'region' : $clean;
        $id = $base;
        for ($number = 2; in_array($id, $taken, true); ++$number) {
            $id = "$base-$number";
        }
        if ($id !== $said) {
            $this->finding('smil.id', $element, ['id' => $id]);
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
    private function finding(string $code, \DOMElement $element, array $params = [], string $below = ''): void
    {
        $this->report[] = [
            'code' => $code,
            'path' => self::path($element).$below,
            'message' => Catalogue::message($code, $params),
        ];
    }

    private static function xmlId(\DOMElement $element): string
    {
        return $element->getAttributeNS('http://www.w3.org/XML/1998/namespace', 'id') ?: $element->getAttribute('id');
    }

    private static function whole(string $text): int
    {
        return preg_match('/^\s*([+-]?\d{1,6})\s*$/D', $text, $found) === 1 ? (int) $found[1] : 0;
    }

    /** Where an element stands, in the words of XPath. */
    private static function path(\DOMElement $element): string
    {
        $path = '';
        for ($node = $element; $node instanceof \DOMElement; $node = $node->parentNode) {
            $number = 1;
            for ($other = $node->previousSibling; $other !== null; $other = $other->previousSibling) {
                $number += $other->nodeName === $node->nodeName ? 1 : 0;
            }
            $path = "/{$node->localName}".($node->localName === 'region' ? "[$number]" : '').$path;
        }

        return $path;
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
