<?php

declare(strict_types=1);

namespace UpperPane\Core\Design\Fill;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Web\WebAddress;

/**
 * A page of the web, laid out for a window of its own width and drawn at the zone's; a picture stands in its place when
 * it cannot be had.
 */
final readonly class WebFill implements Fill
{
    use Altered;

    private const NARROWEST = 200;
    private const WIDEST = 7680;
    private const FARTHEST = 50_000;
    /** s; more often would be a load on whoever serves the page. */
    private const OFTENEST = 10;
    private const SELDOMEST = 86_400;

    private function __construct(
        public WebAddress $address,
        public int $width,
        public int $scroll,
        public ?int $refreshS,
        public ?string $still,
        public Colour $ground,
    ) {
    }

    public static function parse(Input $input): self
    {
        $input->keys(['kind', 'address', 'width', 'scroll', 'refresh_s', 'still', 'ground']);

        return new self(
            WebAddress::parse($input->child('address')),
            $input->int('width', self::NARROWEST, self::WIDEST),
            $input->int('scroll', 0, self::FARTHEST),
            $input->optional('refresh_s')?->asInt(self::OFTENEST, self::SELDOMEST),
            $input->optional('still')?->asId(),
            Colour::parse($input->child('ground')),
        );
    }

    public function resolved(Names $names): self
    {
        return $this->altered([
            'ground' => $names->colour($this->ground),
        ]);
    }

    public function kind(): FillKind
    {
        return FillKind::Web;
    }

    public function toArray(): array
    {
        return [
            'kind' => 'web',
            'address' => $this->address->text,
            'width' => $this->width,
            'scroll' => $this->scroll,
            'refresh_s' => $this->refreshS,
            'still' => $this->still,
            'ground' => $this->ground->said,
        ];
    }

    public function mediaIds(): array
    {
        return array_values(array_filter([$this->still, $this->address->stockId()]));
    }

    /** @return list<string> addresses of the web that a fill shows, also among its entries */
    public static function addresses(Fill $fill): array
    {
        $fills = $fill instanceof PlaylistFill
            ? array_map(static fn (Entry $entry) => $entry->fill, $fill->entries)
            : [$fill];
        $found = [];
        foreach ($fills as $one) {
            if ($one instanceof self && $one->address->text !== '' && !$one->address->isShipped()) {
                $found[] = $one->address->text;
            }
        }

        return $found;
    }
}
