<?php

declare(strict_types=1);

namespace UpperPane\App\Adapter;

use UpperPane\Core\Brief\BriefLabels;
use UpperPane\Core\Brief\BriefScale;
use UpperPane\Core\Brief\BriefScene;
use UpperPane\Core\Brief\BriefSheet;
use UpperPane\Core\Brief\BriefZone;
use UpperPane\Core\Brief\Words;

/** A brief sheet as PDF, A4 across: a page per scene with its drawing and the title block, then its table. */
final class BriefPdf
{
    private const FACE = 'dejavusans';
    private const MARGIN = 12;
    private const POINT_MM = 25.4 / 72;
    private const ROOM = [273, 118];
    private const TOP = 14;
    private const BLOCK_TOP = 146;
    private const LINE = 6.2;
    private const TABLE_BOTTOM = 196;

    /** Shares of the page's width, in the order of the columns. */
    private const WIDTHS = [14, 44, 19, 19, 27, 15, 17, 17, 17, 21, 21, 23, 19];
    private const INK = [29, 42, 51];
    private const SEAM = [120, 128, 133];

    private function __construct(private readonly BriefSheet $sheet, private readonly \TCPDF $pdf)
    {
    }

    public static function write(BriefSheet $sheet): string
    {
        $pdf = new class('L', 'mm', 'A4', true, 'UTF-8') extends \TCPDF {
            /** The library's own line at the foot of the last page is not part of anyone's sheet. */
            public function Close(): void
            {
                $this->tcpdflink = false;
                parent::Close();
            }
        };
        $pdf->setCreator('Upper Pane');
        $pdf->setTitle($sheet->design);
        $pdf->setPrintHeader(false);
        $pdf->setPrintFooter(false);
        $pdf->setMargins(self::MARGIN, self::TOP, self::MARGIN);
        $pdf->setAutoPageBreak(false);
        $pdf->setCellPaddings(1, 0.5, 1, 0.5);
        $self = new self($sheet, $pdf);
        foreach ($sheet->scenes as $scene) {
            $self->drawing($scene);
            $self->table($scene);
        }

        return $pdf->Output('', 'S');
    }

    private function drawing(BriefScene $scene): void
    {
        $scale = BriefScale::fitting($this->sheet->canvas, $this->sheet->um, self::ROOM);
        $this->pdf->AddPage();
        $this->pdf->setDrawColor(...self::INK);
        $this->pdf->setTextColor(...self::INK);
        [, , $width, $height] = $scale->mm($this->sheet->canvas->rect());
        [$left, $top] = [self::MARGIN, self::TOP];
        $this->pdf->setLineStyle(['width' => 0.5, 'dash' => 0]);
        $this->pdf->Rect($left, $top, $width, $height);
        $this->pdf->setLineStyle(['width' => 0.3, 'dash' => 0]);
        foreach ($scene->drawn as $zone) {
            $this->turned($zone, $scale, fn (float $x, float $y, float $wide, float $high) => $this->pdf->Rect(
                ...[$x, $y, $wide, $high, 'DF', [], [255, 253, 248]],
            ));
        }
        $labels = new BriefLabels();
        foreach (array_reverse($scene->drawn) as $zone) {
            $this->turned($zone, $scale, fn (float ...$box) => $this->label($zone, $box, $labels));
        }
        foreach ($this->sheet->seams as $seam) {
            [$x, $y, $wide, $high] = $scale->mm($seam);
            $this->pdf->Rect($left + $x, $top + $y, $wide, $high, 'F', [], self::SEAM);
        }
        if ($this->sheet->safe !== null) {
            [$x, $y, $wide, $high] = $scale->mm($this->sheet->safe);
            $this->pdf->setLineStyle(['width' => 0.2, 'dash' => '2,1']);
            $this->pdf->Rect($left + $x, $top + $y, $wide, $high);
        }
        $this->titleBlock($scene, $scale);
    }

    /** @param \Closure(float, float, float, float): void $draw its rectangle or what stands in it, upright */
    private function turned(BriefZone $zone, BriefScale $scale, \Closure $draw): void
    {
        [$x, $y, $width, $height] = $scale->mm($zone->rect);
        [$x, $y] = [$x + self::MARGIN, $y + self::TOP];
        $this->pdf->StartTransform();
        if ($zone->turnCentidegrees !== 0) {
            $this->pdf->Rotate(-$zone->turnCentidegrees / 100, $x + $width / 2, $y + $height / 2);
        }
        $draw($x, $y, $width, $height);
        $this->pdf->StopTransform();
    }

    /** @param array<float> $box of its zone, in mm */
    private function label(BriefZone $zone, array $box, BriefLabels $labels): void
    {
        [$x, $y, $width, $height] = array_values($box);
        $points = max(5, min(11, $height * 1.6, $width * 0.55));
        $words = "{$zone->letter}  {$zone->rect->width} × {$zone->rect->height} px";
        [$left, $top] = $labels->place([$x, $y, $width, $height], $words, $points * self::POINT_MM);
        $this->pdf->setFont(self::FACE, 'B', $points);
        $this->pdf->Text($left + 0.6, $top + 0.4, $words);
    }

    private function titleBlock(BriefScene $scene, BriefScale $scale): void
    {
        $lines = [
            ...$this->sheet->titleBlock($scale->toText()),
            [Words::of('scene'), $scene->name],
            [Words::of('lasts'), $scene->lasts()],
        ];
        $this->pdf->setXY(self::MARGIN, self::BLOCK_TOP);
        foreach ($lines as [$word, $value]) {
            $this->pdf->setX(297 - self::MARGIN - 130);
            $this->pdf->setFont(self::FACE, '', 7.5);
            $this->pdf->Cell(28, self::LINE, $word, 1, 0, '', false, '', 1);
            $this->pdf->setFont(self::FACE, 'B', 7.5);
            $this->pdf->Cell(102, self::LINE, $value, 1, 1, '', false, '', 1);
        }
    }

    private function table(BriefScene $scene): void
    {
        $this->head($scene);
        foreach ($scene->zones as $zone) {
            if ($this->pdf->GetY() + self::LINE > self::TABLE_BOTTOM) {
                $this->head($scene);
            }
            $this->pdf->setFont(self::FACE, '', 8);
            $this->line($zone->cells());
        }
    }

    private function head(BriefScene $scene): void
    {
        $this->pdf->AddPage();
        $this->pdf->setFont(self::FACE, 'B', 11);
        $this->pdf->Cell(0, 9, "{$this->sheet->design}: {$scene->name}", 0, 1);
        $this->pdf->setFont(self::FACE, 'B', 6);
        $this->line(array_map(Words::of(...), BriefZone::columns()));
    }

    /** @param list<string> $cells narrowed where they are longer than their column */
    private function line(array $cells): void
    {
        foreach ($cells as $index => $cell) {
            $isNumber = preg_match('/^[\d.-]+$/D', $cell) === 1;
            $this->pdf->Cell(self::WIDTHS[$index], self::LINE, $cell, 1, 0, $isNumber ? 'R' : 'L', false, '', 1);
        }
        $this->pdf->Ln();
    }
}
