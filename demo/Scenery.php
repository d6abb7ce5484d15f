<?php

declare(strict_types=1);

namespace UpperPane\Demo;

use Random\Engine\Mt19937;
use Random\Randomizer;
use Symfony\Component\Process\Process;

/** What the demo's pictures are put together from, as SVG in px: skies, ridges, water, boats. All of it is invented. */
final class Scenery
{
    private string $drawn = '';
    private string $defined = '';
    private int $gradients = 0;
    private readonly Randomizer $chance;
    private readonly float $unit;

    public function __construct(public readonly int $width, public readonly int $height, int $seed = 1)
    {
        $this->chance = new Randomizer(new Mt19937($seed));
        $this->unit = min($width, $height) / 100;
    }

    /** A hundredth of the shorter side. */
    public function unit(float $times = 1): float
    {
        return $this->unit * $times;
    }

    public function x(float $share): float
    {
        return $share * $this->width;
    }

    public function y(float $share): float
    {
        return $share * $this->height;
    }

    public function between(float $from, float $to): float
    {
        return $from + ($to - $from) * $this->chance->getInt(0, 1_000_000) / 1_000_000;
    }

    public function add(string $svg): self
    {
        $this->drawn .= "$svg\n";

        return $this;
    }

    /** As sprintf writes it. */
    public function draw(string $svg, float|int|string ...$values): self
    {
        return $this->add(sprintf($svg, ...$values));
    }

    /** @param array<array-key, string> $stops share → colour, also with an opacity as `#rrggbbaa` */
    public function fill(array $stops, string $how = 'x1="0" y1="0" x2="0" y2="1"', string $kind = 'linear'): string
    {
        $id = 'g'.++$this->gradients;
        $written = '';
        foreach ($stops as $share => $colour) {
            $opacity = strlen($colour) === 9 ? hexdec(substr($colour, 7)) / 255 : 1;
            $colour = substr($colour, 0, 7);
            $written .= "<stop offset=\"$share\" stop-color=\"$colour\" stop-opacity=\"$opacity\"/>";
        }
        $this->defined .= "<{$kind}Gradient id=\"$id\" $how>$written</{$kind}Gradient>";

        return "url(#$id)";
    }

    /** @param array<array-key, string> $stops from its top to its foot */
    public function band(float $top, float $foot, array $stops): self
    {
        $high = $foot - $top;

        $fill = $this->fill($stops);

        return $this->add("<rect y=\"$top\" width=\"$this->width\" height=\"$high\" fill=\"$fill\"/>");
    }

    /** Light around a place. */
    public function glow(float $x, float $y, float $reach, string $colour, int $strength = 200): self
    {
        $ends = [
            '0' => $colour.sprintf('%02x', $strength),
            '0.35' => $colour.sprintf('%02x', intdiv($strength, 3)),
            '1' => "{$colour}00",
        ];
        $fill = $this->fill($ends, '', 'radial');

        return $this->add("<circle cx=\"$x\" cy=\"$y\" r=\"$reach\" fill=\"$fill\"/>");
    }

    /** A far line of hills down to its foot: waves of a few lengths, each half as high as the one before. */
    public function ridge(float $line, float $rise, float $foot, string $top, string $low, float $waves = 3): self
    {
        $phases = array_map(fn () => $this->between(0, 2 * \M_PI), range(0, 6));
        $points = "M0 $foot";
        $step = max(2, $this->width / 900);
        for ($x = 0.0; $x <= $this->width + $step; $x += $step) {
            $height = 0.0;
            foreach ($phases as $octave => $phase) {
                $height += sin($phase + 2 * \M_PI * $waves * 2.17 ** $octave * $x / $this->width) / 1.8 ** $octave;
            }
            $points .= sprintf(' L%.1f %.1f', $x, $line - $rise * (0.5 + $height / 3));
        }
        $fill = $this->fill(['0' => $top, '1' => $low]);

        return $this->add("<path d=\"$points L$this->width $foot Z\" fill=\"$fill\"/>");
    }

    /** Soft heaps of light in a sky. */
    public function clouds(int $count, float $top, float $foot, string $colour, float $size = 14): self
    {
        for ($cloud = 0; $cloud < $count; ++$cloud) {
            [$x, $y] = [$this->between(0, $this->width), $this->between($top, $foot)];
            for ($puff = 0; $puff < 9; ++$puff) {
                $wide = $this->unit($this->between($size / 2, $size));
                $ends = ['0' => "{$colour}66", '0.6' => "{$colour}22", '1' => "{$colour}00"];
                $fill = $this->fill($ends, '', 'radial');
                $left = $x + $this->unit($this->between(-1.4 * $size, 1.4 * $size));
                $this->add(sprintf(
                    '<ellipse cx="%.1f" cy="%.1f" rx="%.1f" ry="%.1f" fill="%s"/>',
                    ...[$left, $y + $this->unit($this->between(-1.5, 1.5)), $wide, 0.32 * $wide, $fill],
                ));
            }
        }

        return $this;
    }

    /**
     * Water from a shore down: strokes that get longer and thicker as they come nearer.
     *
     * @param array<array-key, string> $stops
     */
    public function water(float $shore, array $stops, string $light, int $strokes = 520): self
    {
        $this->band($shore, $this->height, $stops);
        for ($stroke = 0; $stroke < $strokes; ++$stroke) {
            $near = $this->between(0, 1) ** 1.7;
            $y = $shore + ($this->height - $shore) * $near;
            $this->stroke($this->between(-0.05, 1) * $this->width, $y, $near, $light, $this->between(0.05, 0.22));
        }

        return $this;
    }

    /** The path of a light over water. */
    public function path(float $x, float $shore, string $light, int $strokes = 260, float $spread = 5): self
    {
        for ($stroke = 0; $stroke < $strokes; ++$stroke) {
            $near = $this->between(0, 1) ** 1.3;
            $y = $shore + ($this->height - $shore) * $near;
            $out = $this->unit($spread) * (0.3 + 2.4 * $near) * ($this->between(-1, 1) + $this->between(-1, 1)) / 1.4;
            $this->stroke($x + $out, $y, 0.6 * $near, $light, $this->between(0.18, 0.75) * (1 - 0.6 * $near));
        }

        return $this;
    }

    private function stroke(float $x, float $y, float $near, string $light, float $opacity): void
    {
        $this->add(sprintf(
            '<ellipse cx="%.1f" cy="%.1f" rx="%.1f" ry="%.2f" fill="%s" fill-opacity="%.2f"/>',
            ...[$x, $y, $this->unit($this->between(0.6, 2) + 5 * $near), $this->unit(0.05 + 0.28 * $near), $light],
            ...[$opacity],
        ));
    }

    /** A lake ferry, seen from the side; its length is given, its waterline lies at y. */
    public function ferry(float $x, float $y, float $length): self
    {
        $ports = '';
        for ($port = 0; $port < 9; ++$port) {
            $ports .= sprintf('<rect x="%.1f" y="-12.4" width="4.4" height="3.2" rx="1"/>', 20 + 7.4 * $port);
        }
        $lamps = str_replace(['y="-12.4"', 'height="3.2"'], ['y="-19.6"', 'height="3.6"'], $ports);
        $scale = $length / 100;

        return $this->add(
            "<g transform=\"translate($x $y) scale($scale)\">".
                '<ellipse cx="50" cy="0.6" rx="56" ry="1.6" fill="#ffffff" opacity="0.35"/>'.
                '<path d="M2 -8 L98 -9.5 Q96 -3 91 0 L7 0 Q4 -3 2 -8 Z" fill="#8f3a28"/>'.
                '<path d="M2.6 -6.4 L97.4 -7.6 L97.8 -9.5 L2 -8 Z" fill="#f2e9d8"/>'.
                '<path d="M5 -2.4 L94.4 -2.4 L91 0 L7 0 Z" fill="#5d2318"/>'.
                '<path d="M14 -8.3 L14 -14.6 L90 -15.4 L94 -9.4 Z" fill="#f6f1e6"/>'.
                '<path d="M18 -14.7 L18 -21 L80 -21.6 L84 -15.2 Z" fill="#e9e2d2"/>'.
                '<path d="M62 -21.4 L62 -27 L74 -27 L77 -21.6 Z" fill="#f6f1e6"/>'.
                '<path d="M64 -25.6 L73.4 -25.6 L75 -22.6 L64 -22.6 Z" fill="#27424f"/>'.
                '<path d="M40 -21.2 L41.4 -31 L50 -31 L51 -21.3 Z" fill="#276b62"/>'.
                '<rect x="41" y="-29.6" width="9.4" height="2" fill="#e0b24a"/>'.
                '<path d="M66 -27 L66.5 -38 M58 -21 L66.5 -36 M66.5 -36 L90 -15" stroke="#0c1a22" '.
                'stroke-width="0.35"/>'.
                "<g fill=\"#2f4752\">$ports$lamps</g>".
                '<path d="M2 -8 L98 -9.5 L97.4 -7.6 L94 -4 L7 -4 Z" fill="#000000" opacity="0.12"/></g>',
        );
    }

    /** A boat with its sails up, waterline at y. */
    public function sail(float $x, float $y, float $high, string $sail = '#fbf6ea', string $hull = '#22363f'): self
    {
        $scale = $high / 100;

        return $this->add(
            "<g transform=\"translate($x $y) scale($scale)\">".
                '<ellipse cx="4" cy="3" rx="40" ry="2.4" fill="#ffffff" opacity="0.3"/>'.
                "<path d=\"M-32 -7 L40 -8 Q34 2 24 2 L-24 2 Q-30 -1 -32 -7 Z\" fill=\"$hull\"/>".
                '<path d="M0 -8 L1.2 -98 L2.4 -8 Z" fill="#6b5136"/>'.
                "<path d=\"M3 -96 Q34 -50 38 -14 L3 -13 Z\" fill=\"$sail\"/>".
                '<path d="M3 -96 Q22 -50 22 -13.5 L3 -13 Z" fill="#000000" opacity="0.07"/>'.
                "<path d=\"M-1 -88 Q-14 -46 -28 -13 L-1 -14 Z\" fill=\"$sail\" opacity=\"0.92\"/></g>",
        );
    }

    /** A conifer, its foot at y. */
    public function tree(float $x, float $y, float $high, string $colour): self
    {
        $path = sprintf('M%.1f %.1f', $x, $y - $high);
        for ($side = 1; $side >= -1; $side -= 2) {
            for ($bough = 1; $bough <= 7; ++$bough) {
                $step = $side === 1 ? $bough : 8 - $bough;
                $out = $side * $high * 0.045 * $step * $this->between(0.75, 1.15);
                $path .= sprintf(' L%.1f %.1f', $x + $out, $y - $high * (1 - $step / 7.4) + $high * 0.02);
                $path .= sprintf(' L%.1f %.1f', $x + 0.45 * $out, $y - $high * (1 - $step / 7.4) - $high * 0.01);
            }
        }

        return $this->add("<path d=\"$path Z\" fill=\"$colour\"/>");
    }

    /** Paper, or the grain of a film: a tile of noise over all. */
    public function grain(float $opacity = 0.05): self
    {
        $tile = imagecreatetruecolor(160, 160);
        for ($y = 0; $y < 160; ++$y) {
            for ($x = 0; $x < 160; ++$x) {
                $light = $this->chance->getInt(0, 255);
                imagesetpixel($tile, $x, $y, $light << 16 | $light << 8 | $light);
            }
        }
        ob_start();
        imagepng($tile);
        $href = 'data:image/png;base64,'.base64_encode((string) ob_get_clean());
        $this->defined .= '<pattern id="grain" width="160" height="160" patternUnits="userSpaceOnUse">'.
            "<image href=\"$href\" width=\"160\" height=\"160\"/></pattern>";

        return $this->add("<rect width=\"100%\" height=\"100%\" fill=\"url(#grain)\" opacity=\"$opacity\"/>");
    }

    public function svg(): string
    {
        return "<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"$this->width\" height=\"$this->height\" ".
            "viewBox=\"0 0 $this->width $this->height\"><defs>$this->defined</defs>\n$this->drawn</svg>\n";
    }

    /** Into a file of the kind that its name says. */
    public function save(string $path): void
    {
        $draw = new Process(['rsvg-convert', '--unlimited', '-f', 'png'], input: $this->svg(), timeout: 120);
        $png = $draw->mustRun()->getOutput();
        $kind = pathinfo($path, \PATHINFO_EXTENSION);
        if ($kind === 'png') {
            file_put_contents($path, $png);

            return;
        }
        $image = imagecreatefromstring($png) ?: throw new \RuntimeException("Nothing was drawn for $path.");
        $kind === 'webp' ? imagewebp($image, $path, 90) : imagejpeg($image, $path, 90);
    }
}
