<?php

declare(strict_types=1);

namespace UpperPane\Core\Text\File;

/**
 * Whether browsers would draw with a font: what they look at before they load one (ISO/IEC 14496-22 §5.2, as Chromium
 * goes by it; held against it by fonts that are broken in one place each).
 */
final readonly class FontCheck
{
    private const MAGIC = 0x5F0F3CF5;
    private const STANDARD_NAMES = 258;
    private const POST = [0x10000 => 32, 0x20000 => 34, 0x30000 => 32];

    private function __construct(private FontFile $file)
    {
    }

    /** @throws \UnexpectedValueException that says what is wrong */
    public static function of(FontFile $file): void
    {
        $self = new self($file);
        $self->head();
        $self->heights();
        $self->names();
        $self->outlines();
    }

    private function head(): void
    {
        $head = $this->file->need('head', 54);
        self::demand(
            $this->file->u32($head) === 0x10000 && $this->file->u32($head + 12) === self::MAGIC,
            'head has no version or no magic number',
        );
        self::demand(
            $this->file->u16($head + 50) < 2 && $this->file->u16($head + 52) === 0,
            'head names forms of glyphs that there are not',
        );
        // Bits that must not be set, and boxes whose ends are changed over.
        self::demand(
            $this->file->i16($head + 36) <= $this->file->i16($head + 40)
                && $this->file->i16($head + 38) <= $this->file->i16($head + 42),
            'head has a box without an inside',
        );
    }

    private function heights(): void
    {
        $hhea = $this->file->need('hhea', 36);
        self::demand(
            $this->file->u32($hhea) === 0x10000 && $this->file->u16($hhea + 32) === 0,
            'hhea has no version that is known',
        );
        self::demand($this->file->i16($hhea + 4) >= 0 && $this->file->i16($hhea + 8) >= 0, 'hhea has heights below 0');
        $maxp = $this->file->need('maxp', 6);
        self::demand(
            match ($this->file->u32($maxp)) {
                0x5000 => true,
                0x10000 => $this->file->length('maxp') >= 32
                    && in_array($this->file->u16($maxp + 14), [1, 2], true),
                default => false,
            },
            'maxp has no version that is known',
        );
    }

    private function names(): void
    {
        $this->file->need('name', 6);
        $post = $this->file->need('post', 32);
        $least = self::POST[$this->file->u32($post)] ?? null;
        self::demand($least !== null && $this->file->length('post') >= $least, 'post has no version that is known');
        if ($least === 34) {
            $this->file->need('post', 34 + 2 * $this->file->u16($post + 32));
            self::demand(
                $this->file->u16($post + 32) === $this->glyphs(),
                'post names more glyphs, or fewer, than there are',
            );
            $this->glyphNames($post);
        }
        self::demand(!in_array($this->file->length('gasp'), [1, 2, 3], true), 'gasp ends too early');
    }

    /** Each glyph's name is one of the standard's 258, or one of those that follow, one behind the other (§5.2.8). */
    private function glyphNames(int $post): void
    {
        $end = $post + $this->file->length('post');
        $names = 0;
        for ($at = $post + 34 + 2 * $this->glyphs(); $at < $end; ++$names) {
            $at += 1 + ($this->file->u16($at - 1) & 0xFF);
        }
        self::demand($at === $end, 'post has a name that ends too late');
        foreach (range(0, $this->glyphs() - 1) as $glyph) {
            self::demand(
                $this->file->u16($post + 34 + 2 * $glyph) < self::STANDARD_NAMES + $names,
                'post names a glyph by a name that there is not',
            );
        }
    }

    /** Of TrueType, the outlines lie where loca says, one behind the other (§5.3.4). */
    private function outlines(): void
    {
        if ($this->file->length('CFF ') > 0 || $this->file->length('CFF2') > 0) {
            return;
        }
        $this->file->need('glyf', 1);
        $long = $this->file->u16($this->file->need('head', 54) + 50) === 1;
        $size = $long ? 4 : 2;
        $loca = $this->file->need('loca', $size * ($this->glyphs() + 1));
        $before = 0;
        for ($glyph = 0; $glyph <= $this->glyphs(); ++$glyph) {
            $at = $loca + $size * $glyph;
            $offset = $long ? $this->file->u32($at) : 2 * $this->file->u16($at);
            self::demand(
                $offset >= $before && $offset <= $this->file->length('glyf'),
                'loca says outlines lie where they do not',
            );
            $before = $offset;
        }
    }

    private function glyphs(): int
    {
        return $this->file->u16($this->file->need('maxp', 6) + 4);
    }

    private static function demand(bool $is, string $else): void
    {
        if (!$is) {
            throw new \UnexpectedValueException("$else.");
        }
    }
}
