<?php

declare(strict_types=1);

namespace UpperPane\Core\Web;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;

/**
 * Where a page lies: anywhere with http or https (RFC 3986), among those that ship with the app, or in the Stock. Empty
 * as long as nobody said where.
 */
final readonly class WebAddress
{
    private const LONGEST = 2000;
    public const SHIPPED = '/stand-in/';
    /** Before the id of a page of the Stock. */
    public const STOCK = 'stock:';
    private const OF_STOCK = '/^'.self::STOCK.'([A-Za-z0-9-]{1,36})$/D';

    private function __construct(public string $text)
    {
    }

    /** @throws Refusal `web.address`, also for one that carries a name and a password */
    public static function parse(Input $input): self
    {
        $text = trim($input->asText(self::LONGEST));
        $isShipped = preg_match('#^'.self::SHIPPED.'[a-z-]+\.html$#D', $text) === 1;
        $isElsewhere = preg_match('#^https?://[^\s/?\#@\\\\]+(?:[/?\#][^\s\\\\]*)?$#Di', $text) === 1
            && Origin::of($text) !== null;

        return $text === '' || $isShipped || $isElsewhere || preg_match(self::OF_STOCK, $text) === 1
            ? new self($text)
            : throw Refusal::because('web.address', $input->path, ['value' => $text]);
    }

    /** Whether it comes with the app or with what players are handed: then nobody has to look whether it is there. */
    public function isShipped(): bool
    {
        return str_starts_with($this->text, self::SHIPPED) || $this->stockId() !== null;
    }

    /** The id of a page of the Stock; null for all others. */
    public function stockId(): ?string
    {
        return preg_match(self::OF_STOCK, $this->text, $found) === 1 ? $found[1] : null;
    }
}
