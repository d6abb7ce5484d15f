<?php

declare(strict_types=1);

namespace UpperPane\Core\Text;

/**
 * Big-endian reads from the bytes of an OpenType file (ISO/IEC 14496-22), and where its tables lie.
 */
final readonly class FontFile
{
    /** @param array<string, int> $tables tag → offset */
    private function __construct(private string $bytes, public array $tables)
    {
    }

    /** @throws \UnexpectedValueException when the bytes are no TrueType-flavoured OpenType file */
    public static function ofBytes(string $bytes): self
    {
        if (!in_array(substr($bytes, 0, 4), ["\x00\x01\x00\x00", 'true', 'OTTO'], true)) {
            throw new \UnexpectedValueException('These bytes are no OpenType font.');
        }
        $file = new self($bytes, []);
        $tables = [];
        for ($i = 0, $count = $file->u16(4); $i < $count; ++$i) {
            $tables[substr($bytes, 12 + 16 * $i, 4)] = $file->u32(12 + 16 * $i + 8);
        }

        return new self($bytes, $tables);
    }

    /** @throws \UnexpectedValueException beyond the end */
    public function u16(int $offset): int
    {
        if ($offset < 0 || !isset($this->bytes[$offset + 1])) {
            throw new \UnexpectedValueException('The font ends too early.');
        }

        return (ord($this->bytes[$offset]) << 8) | ord($this->bytes[$offset + 1]);
    }

    public function i16(int $offset): int
    {
        $value = $this->u16($offset);

        return $value > 0x7FFF ? $value - 0x10000 : $value;
    }

    public function u32(int $offset): int
    {
        return ($this->u16($offset) << 16) | $this->u16($offset + 2);
    }

    public function tag(int $offset): string
    {
        return substr($this->bytes, $offset, 4);
    }
}
