<?php

declare(strict_types=1);

namespace UpperPane\Core\Design\Fill;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Legibility\Contrast;
use UpperPane\Core\Legibility\Qr\QrCode;
use UpperPane\Core\Legibility\Qr\QrContent;
use UpperPane\Core\Legibility\Qr\QrLevel;

/** A QR code: dark modules on a light ground, because many readers know no other. */
final readonly class QrFill implements Fill
{
    use Altered;

    private function __construct(
        public QrContent $content,
        public QrLevel $level,
        public Colour $colour,
        public Colour $ground,
        public ?QrCode $code,
    ) {
    }

    /** @throws Refusal `qr.colours` when it would not be read, `qr.too_long` */
    public static function parse(Input $input): self
    {
        $input->keys(['kind', 'content', 'level', 'colour', 'ground']);
        $level = $input->enum('level', QrLevel::class);
        \assert($level instanceof QrLevel);
        $content = QrContent::parse($input->child('content'));
        [$colour, $ground] = [Colour::parse($input->child('colour')), Colour::parse($input->child('ground'))];
        self::judge($colour, $ground, $input->pathTo('colour'));

        return new self(
            $content,
            $level,
            $colour,
            $ground,
            $content->text() === '' ? null : QrCode::of($content->text(), $level, $input->pathTo('content')),
        );
    }

    /** @throws Refusal `qr.colours` when it would not be read */
    public function resolved(Names $names): self
    {
        [$colour, $ground] = [$names->colour($this->colour), $names->colour($this->ground)];
        self::judge($colour, $ground, '/colour');

        return $this->altered(['colour' => $colour, 'ground' => $ground]);
    }

    private static function judge(Colour $colour, Colour $ground, string $path): void
    {
        $ratio = Contrast::ratio($colour->hex, $ground->hex);
        if (Contrast::luminance($colour->hex) > Contrast::luminance($ground->hex) || $ratio < Contrast::LEAST) {
            throw Refusal::because('qr.colours', $path, [
                'colour' => $colour->hex,
                'ground' => $ground->hex,
                'ratio' => Contrast::said($ratio),
            ]);
        }
    }

    public function kind(): FillKind
    {
        return FillKind::Qr;
    }

    public function toArray(): array
    {
        return [
            'kind' => 'qr',
            'content' => $this->content->toArray(),
            'level' => $this->level->value,
            'colour' => $this->colour->said,
            'ground' => $this->ground->said,
        ];
    }

    public function mediaIds(): array
    {
        return [];
    }
}
