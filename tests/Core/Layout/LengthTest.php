<?php

declare(strict_types=1);

namespace UpperPane\Tests\Core\Layout;

use PHPUnit\Framework\TestCase;
use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Geometry\Rational;
use UpperPane\Core\Layout\Length;

/** A length that is reckoned is one that can be read back. */
final class LengthTest extends TestCase
{
    public function testWhatIsReckonedCanBeReadBackOrIsRefused(): void
    {
        foreach ([[100_000, 1], [-100_000, 1], [199_999, 2], [1, 3]] as [$numerator, $denominator]) {
            $text = Length::ofPx(Rational::of($numerator, $denominator))->toText();
            self::assertSame($text, Length::parse(Input::of($text))->toText());
        }
        $percent = Length::parse(Input::of('50%'));
        foreach (
            [
                static fn () => Length::ofPx(Rational::of(200_001, 2)),
                static fn () => Length::ofPx(Rational::of(-100_001)),
                static fn () => Length::px(100_001),
                static fn () => $percent->holding(Rational::of(100_001), 100),
            ] as $beyond
        ) {
            try {
                $beyond();
                self::fail('It could not be read back.');
            } catch (Refusal $refusal) {
                self::assertSame('length.far', $refusal->refusalCode);
            }
        }
    }
}
