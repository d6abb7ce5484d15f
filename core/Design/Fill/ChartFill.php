<?php

declare(strict_types=1);

namespace UpperPane\Core\Design\Fill;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;

/** Numbers from a typed table, drawn as bars, a line, a gauge of the last one, or that one with its change. */
final readonly class ChartFill implements Fill
{
    use Altered;

    public const FORMS = ['bars', 'line', 'gauge', 'figure'];
    private const MOST_ROWS = 40;
    private const LARGEST_SIZE_PX = 4000;

    /**
     * @param list<array{string, string, int}> $rows  label, value as it was typed, value in thousandths
     * @param int                              $least of a gauge, in thousandths
     * @param int                              $most  of a gauge, in thousandths
     */
    private function __construct(
        public string $form,
        public array $rows,
        public string $unit,
        public int $least,
        public int $most,
        public string $font,
        public int $weight,
        public int $sizePx,
        public int $minSizePx,
        public Colour $ink,
        public Colour $colour,
        public Colour $accent,
        public ?Colour $ground,
        public int $paddingPx,
        private string $from,
        private string $to,
    ) {
    }

    /** @throws Refusal `chart.value` for what is no number, `chart.range` when a gauge ends before it begins */
    public static function parse(Input $input): self
    {
        $input->keys([
            ...['kind', 'form', 'rows', 'unit', 'from', 'to', 'font', 'weight', 'size', 'min_size'],
            ...['ink', 'colour', 'accent', 'ground', 'padding'],
        ]);
        $size = $input->int('size', 1, self::LARGEST_SIZE_PX);
        [$from, $to] = [self::thousandths($input->child('from')), self::thousandths($input->child('to'))];
        if ($from >= $to) {
            throw Refusal::because('chart.range', $input->pathTo('to'), [
                'from' => $input->text('from'),
                'to' => $input->text('to'),
            ]);
        }
        $row = static function (Input $row): array {
            [$label, $value] = $row->asList(2, 2);

            return [$label->asText(80), trim($value->asText(16)), self::thousandths($value)];
        };

        return new self(
            (string) $input->choice('form', self::FORMS),
            array_map($row, $input->list('rows', self::MOST_ROWS)),
            $input->text('unit', 20),
            $from,
            $to,
            $input->text('font', 80, 1),
            $input->int('weight', 100, 900),
            $size,
            $input->int('min_size', 1, $size),
            Colour::parse($input->child('ink')),
            Colour::parse($input->child('colour')),
            Colour::parse($input->child('accent')),
            Colour::parseOrNone($input->child('ground')),
            $input->int('padding', 0, 10_000),
            trim($input->text('from')),
            trim($input->text('to')),
        );
    }

    private static function thousandths(Input $input): int
    {
        $text = trim($input->asText(16));
        if (preg_match('/^(-?)(\d{1,9})(?:\.(\d{1,3}))?$/D', $text, $part) !== 1) {
            throw Refusal::because('chart.value', $input->path, ['value' => $text]);
        }
        $size = 1000 * (int) $part[2] + (int) str_pad($part[3] ?? '', 3, '0');

        return $part[1] === '-' ? -$size : $size;
    }

    public function resolved(Names $names): self
    {
        return $this->altered([
            'ink' => $names->colour($this->ink),
            'colour' => $names->colour($this->colour),
            'accent' => $names->colour($this->accent),
            'ground' => $this->ground === null ? null : $names->colour($this->ground),
        ]);
    }

    public function kind(): FillKind
    {
        return FillKind::Chart;
    }

    public function toArray(): array
    {
        return [
            'kind' => 'chart',
            'form' => $this->form,
            'rows' => array_map(static fn (array $row) => [$row[0], $row[1]], $this->rows),
            'unit' => $this->unit,
            'from' => $this->from,
            'to' => $this->to,
            'font' => $this->font,
            'weight' => $this->weight,
            'size' => $this->sizePx,
            'min_size' => $this->minSizePx,
            'ink' => $this->ink->said,
            'colour' => $this->colour->said,
            'accent' => $this->accent->said,
            'ground' => $this->ground?->said,
            'padding' => $this->paddingPx,
        ];
    }

    public function mediaIds(): array
    {
        return [];
    }
}
