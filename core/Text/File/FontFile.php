<?php

declare(strict_types=1);

namespace UpperPane\Core\Text\File;

/**
 * Big-endian reads from the bytes of an OpenType file (ISO/IEC 14496-22), and where its tables lie: all of them inside
 * the file. Who reads it has a budget, so that a small file cannot ask for hours or for all the memory.
 */
final class FontFile
{
    private const MOST_TABLES = 256;
    /** The largest face of the app, of 50,000 characters, spends a sixth of it. */
    private const BUDGET = 6_000_000;

    private int $spent = 0;

    /**
     * @param array<string, int> $tables  tag → offset
     * @param array<string, int> $lengths tag → bytes
     */
    private function __construct(
        private readonly string $bytes,
        public readonly array $tables,
        private readonly array $lengths,
    ) {
    }

    /** @throws \UnexpectedValueException when the bytes are no TrueType-flavoured OpenType file */
    public static function ofBytes(string $bytes): self
    {
        if (!in_array(substr($bytes, 0, 4), ["\x00\x01\x00\x00", 'true', 'OTTO'], true)) {
            throw new \UnexpectedValueException('These bytes are no OpenType font.');
        }
        $file = new self($bytes, [], []);
        $tables = $lengths = [];
        for ($i = 0, $count = min(self::MOST_TABLES, $file->u16(4)); $i < $count; ++$i) {
            $record = 12 + 16 * $i;
            [$tag, $offset, $length] = [$file->tag($record), $file->u32($record + 8), $file->u32($record + 12)];
            if ($offset + $length > strlen($bytes)) {
                throw new \UnexpectedValueException("The table $tag reaches beyond the font.");
            }
            [$tables[$tag], $lengths[$tag]] = [$offset, $length];
        }

        return new self($bytes, $tables, $lengths);
    }

    /**
     * Where a table lies that must be there.
     *
     * @param int $least bytes that it needs
     *
     * @throws \UnexpectedValueException without it, or when it is shorter
     */
    public function need(string $tag, int $least): int
    {
        if (($this->lengths[$tag] ?? 0) < $least) {
            throw new \UnexpectedValueException("The font has no table $tag of $least bytes.");
        }

        return $this->tables[$tag];
    }

    public function length(string $tag): int
    {
        return $this->lengths[$tag] ?? 0;
    }

    /** @throws \UnexpectedValueException when the font asks for more than any needs */
    public function spend(int $steps): void
    {
        $this->spent += $steps;
        if ($this->spent > self::BUDGET) {
            throw new \UnexpectedValueException('The font asks for more than fonts need.');
        }
    }

    /** @throws \UnexpectedValueException beyond the end */
    public function u16(int $offset): int
    {
        if ($offset < 0 || !isset($this->bytes[$offset + 1])) {
            throw new \UnexpectedValueException('The font ends too early.');
        }
        if (++$this->spent > self::BUDGET) {
            $this->spend(0);
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
