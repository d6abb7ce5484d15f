<?php

declare(strict_types=1);

namespace UpperPane\App\Pane;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Geometry\Size;
use UpperPane\Core\Text\Fonts;
use UpperPane\Core\Text\Setting\TextMode;
use UpperPane\Core\Text\Setting\TextSetter;

/** A text, a face and a box → the size taken, its lines with their widths, the room used. */
final readonly class TextCommand implements Command
{
    private const LONGEST = 100_000;
    private const TALLEST_THOUSANDTHS = 10_000;

    /** @param \Closure(): Fonts $fonts the faces that the app serves */
    public function __construct(private \Closure $fonts)
    {
    }

    public function name(): string
    {
        return 'text';
    }

    public function about(): string
    {
        return 'A text, a face and a box: the size taken, lines and widths, the room used, whether it overflows.';
    }

    public function schema(): array
    {
        return Schema::object(
            [
                'font' => ['type' => 'string', 'minLength' => 1, 'maxLength' => 80],
                'weight' => Schema::whole(1, 1000),
                'size' => Schema::whole(1, Size::LARGEST_PX),
                'text' => ['type' => 'string', 'maxLength' => self::LONGEST],
                'box' => Schema::size(),
                'mode' => ['enum' => array_column(TextMode::cases(), 'value')],
                'min_size' => Schema::whole(1, Size::LARGEST_PX),
                'line_height' => Schema::parts(1000, 1, self::TALLEST_THOUSANDTHS),
            ],
            ['font', 'size', 'text', 'box'],
        ) + ['description' => 'A font that is not served is refused, and so are controls in the text.'];
    }

    public function run(Input $input): array
    {
        $input->keys(['font', 'weight', 'size', 'text', 'box', 'mode', 'min_size', 'line_height']);
        $size = $input->int('size', 1, Size::LARGEST_PX);
        $mode = $input->has('mode') ? $input->enum('mode', TextMode::class) : TextMode::AsSet;
        \assert($mode instanceof TextMode);

        return TextSetter::set(
            $input->text('text', self::LONGEST),
            ($this->fonts)()
                ->face($input->text('font', 80, 1), $input->has('weight') ? $input->int('weight', 1, 1000) : 400),
            $mode,
            $size,
            $input->has('min_size') ? $input->int('min_size', 1, Size::LARGEST_PX) : 1,
            Size::parse($input->child('box')),
            $input->has('line_height')
                ? $input->child('line_height')->asThousandths(1, self::TALLEST_THOUSANDTHS)
                : 0,
        )->toArray();
    }
}
