<?php

declare(strict_types=1);

namespace UpperPane\Core\Surface;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Geometry\Rational;
use UpperPane\Core\Geometry\Size;

/**
 * Pixels, pitch and active size of a panel: any two give the third, per axis, exactly: size = px × pitch. All three may
 * be given when they agree to within half a pixel; then px and size count. A size may also be said as its diagonal in
 * inches, as displays are sold: with px, of square pixels.
 *
 * Example: 960 × 96 px of 6 mm → 5760 × 576 mm.
 */
final readonly class PanelFigures
{
    private const LARGEST_PITCH_NM = 1_000_000_000;

    /** @param array{int, int} $activeUm */
    private function __construct(public Size $native, public array $activeUm)
    {
    }

    /**
     * Null while fewer than two are given; what is given is checked all the same.
     *
     * @throws Refusal `figures.not_whole` (size ÷ pitch is no whole number of px), `figures.contradict`
     *                 with the difference, each beside its field
     */
    public static function parse(Input $input): ?self
    {
        $input->keys(['native', 'pitch_mm', 'active_mm', 'diagonal_in']);
        $native = $input->has('native') ? Size::parse($input->child('native')) : null;
        $nanometres = static fn (Input $mm) => $mm->asMillionths(1, self::LARGEST_PITCH_NM);
        $pitchNm = self::pair($input, 'pitch_mm', $nanometres);
        $activeUm = self::pair($input, 'active_mm', static fn (Input $mm) => $mm->asThousandths(1, Panel::LARGEST_UM));
        if ($native !== null && $activeUm === null && $input->has('diagonal_in')) {
            $activeUm = self::ofDiagonal($native, $input->child('diagonal_in')->asThousandths(1, 10_000_000));
        }
        if (count(array_filter([$native, $pitchNm, $activeUm])) < 2) {
            return null;
        }
        if ($pitchNm === null || $activeUm === null) {
            return self::ofPx(
                $native ?? throw new \LogicException('Two of three are given.'),
                $pitchNm,
                $activeUm,
                $input,
            );
        }
        $px = [
            self::px($activeUm[0], $pitchNm[0], $native?->width, $input, 0),
            self::px($activeUm[1], $pitchNm[1], $native?->height, $input, 1),
        ];

        return new self(Size::of(...$px), $activeUm);
    }

    /** @return array<string, mixed> all three, decimals as in model §1 */
    public function toArray(): array
    {
        $mm = static fn (int $um) => Rational::of($um, 1000)->decimal(3);

        return [
            'native' => $this->native->toArray(),
            'active_mm' => array_map($mm, $this->activeUm),
            'pitch_mm' => [
                Rational::of($this->activeUm[0], 1000 * $this->native->width)->decimal(4),
                Rational::of($this->activeUm[1], 1000 * $this->native->height)->decimal(4),
            ],
        ];
    }

    /**
     * @param ?array{int, int} $pitchNm
     * @param ?array{int, int} $activeUm
     */
    private static function ofPx(Size $native, ?array $pitchNm, ?array $activeUm, Input $input): self
    {
        if ($activeUm === null) {
            $activeUm = [
                self::sizeUm($native->width, $pitchNm[0] ?? 0),
                self::sizeUm($native->height, $pitchNm[1] ?? 0),
            ];
        }
        foreach ($activeUm as $axis => $um) {
            if ($um < 1 || $um > Panel::LARGEST_UM) {
                throw Refusal::because('input.range', $input->path.'/active_mm/'.$axis, [
                    'value' => self::mm($um),
                    'least' => '0.001',
                    'most' => self::mm(Panel::LARGEST_UM),
                ]);
            }
        }

        return new self($native, $activeUm);
    }

    /** As it is read: without trailing zeros. */
    private static function mm(int $um): string
    {
        return Rational::of($um, 1000)->plain(3);
    }

    /**
     * Width and height in µm of a diagonal in thousandths of an inch (25.4 µm each): d·w ÷ √(w² + h²).
     *
     * @return array{int, int}
     */
    private static function ofDiagonal(Size $native, int $thousandthsInch): array
    {
        $share = ($thousandthsInch * 25.4) / hypot($native->width, $native->height);

        return [(int) round($share * $native->width), (int) round($share * $native->height)];
    }

    private static function sizeUm(int $px, int $pitchNm): int
    {
        return Rational::of(Rational::product($px, $pitchNm), 1000)->round();
    }

    /** @throws Refusal when the size holds another count of px than the one given, or no whole one */
    private static function px(int $activeUm, int $pitchNm, ?int $given, Input $input, int $axis): int
    {
        $exact = Rational::of(Rational::product($activeUm, 1000), $pitchNm);
        $nearest = $exact->round();
        if ($given === null) {
            $off = Rational::of(self::sizeUm($nearest, $pitchNm) - $activeUm)->absolute();
            if (
                $nearest < 1
                || $nearest > Size::LARGEST_PX
                || $off->compare(Rational::of(max(1, intdiv($pitchNm, 10_000)))) > 0
            ) {
                throw Refusal::because('figures.not_whole', $input->path.'/active_mm/'.$axis, [
                    'px' => $exact->plain(3),
                    'nearest' => max(1, $nearest),
                    'mm' => self::mm(self::sizeUm(max(1, $nearest), $pitchNm)),
                ]);
            }

            return $nearest;
        }
        if ($exact->minus(Rational::of($given))->absolute()->compare(Rational::of(1, 2)) >= 0) {
            $fromPitchUm = self::sizeUm($given, $pitchNm);
            throw Refusal::because('figures.contradict', $input->path.'/active_mm/'.$axis, [
                'px' => $given,
                'would' => self::mm($fromPitchUm),
                'given' => self::mm($activeUm),
                'difference' => self::mm(abs($fromPitchUm - $activeUm)),
                'nearest' => $nearest,
            ]);
        }

        return $given;
    }

    /**
     * @param \Closure(Input): int $read
     *
     * @return ?array{int, int}
     */
    private static function pair(Input $input, string $key, \Closure $read): ?array
    {
        if (!$input->has($key)) {
            return null;
        }
        $sides = $input->list($key, 2, 2);

        return [$read($sides[0]), $read($sides[1])];
    }
}
