<?php

declare(strict_types=1);

namespace UpperPane\App\Pane;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Legibility\Qr\QrCode;
use UpperPane\Core\Legibility\Qr\QrLevel;

/** A text → the modules of its QR code. */
final readonly class QrCommand implements Command
{
    public function name(): string
    {
        return 'qr';
    }

    public function about(): string
    {
        return 'A text and a level of correction: the rows of its QR code, quiet zone included.';
    }

    public function schema(): array
    {
        return Schema::object(
            [
                'text' => ['type' => 'string', 'minLength' => 1, 'maxLength' => QrCode::LONGEST],
                'level' => ['enum' => array_column(QrLevel::cases(), 'value')],
            ],
            ['text'],
        ) + ['description' => 'A text that the level cannot hold is refused with the most that it can.'];
    }

    public function run(Input $input): array
    {
        $input->keys(['text', 'level']);
        $level = $input->has('level') ? $input->enum('level', QrLevel::class) : QrLevel::M;
        \assert($level instanceof QrLevel);
        $code = QrCode::of($input->text('text', QrCode::LONGEST), $level, '/text');

        return ['version' => $code->version, 'side' => $code->side, 'rows' => $code->rows];
    }
}
